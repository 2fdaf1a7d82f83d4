package ableschema.desktop.sheet;

import ableschema.core.document.Detail;
import ableschema.core.document.Document;
import ableschema.diagram.geometry.Area;
import ableschema.diagram.paint.Palette;
import ableschema.diagram.paint.Raster;
import ableschema.diagram.paint.Raster.Patch;
import ableschema.diagram.paint.Raster.Stand;
import ableschema.diagram.picture.Contents;
import ableschema.diagram.picture.Picture;
import ableschema.diagram.picture.PictureMaker;
import ableschema.diagram.picture.View;
import java.util.Set;

/** Paints a document on paper that nobody sees: what is new to the machine takes several times as long the first time. */
public final class Rehearsal {

    private static final int WIDTH = 640;
    private static final int HEIGHT = 400;
    private static final double[] ZOOMS = {1, 0.6, 0.2};

    private Rehearsal() {}

    /** Safe on any thread; nothing of it is kept. */
    public static void of(Document document) {
        for (View view : View.values()) {
            Picture picture = PictureMaker.of(
                    Contents.of(document, view),
                    document.diagram().positions(),
                    document.diagram().notation());
            for (Detail detail : Detail.values()) {
                paint(picture, detail);
            }
        }
    }

    private static void paint(Picture picture, Detail detail) {
        var light = new Paintings.Light(Set.of(), Set.of(), Set.of());
        var painting = new Paintings().of(picture, detail, light, Palette.LIGHT);
        Area area = picture.bounds();
        for (double zoom : ZOOMS) {
            new Raster(WIDTH, HEIGHT)
                    .paint(painting, new Stand(area.x(), area.y(), zoom), new Patch(0, 0, WIDTH, HEIGHT));
        }
    }
}
