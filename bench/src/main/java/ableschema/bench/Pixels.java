package ableschema.bench;

import javafx.scene.Node;
import javafx.scene.image.PixelFormat;
import javafx.scene.image.WritableImage;

/** What a node looks like, pixel by pixel. */
final class Pixels {

    private Pixels() {}

    static int[] of(Node node) {
        WritableImage image = node.snapshot(null, null);
        int width = (int) image.getWidth();
        int height = (int) image.getHeight();
        int[] pixels = new int[width * height];
        image.getPixelReader().getPixels(0, 0, width, height, PixelFormat.getIntArgbInstance(), pixels, 0, width);
        return pixels;
    }
}
