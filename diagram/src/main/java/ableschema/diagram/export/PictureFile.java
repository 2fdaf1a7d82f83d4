package ableschema.diagram.export;

import ableschema.core.document.Detail;
import ableschema.diagram.geometry.Area;
import ableschema.diagram.picture.Ink;
import ableschema.diagram.picture.Picture;
import java.awt.Color;
import java.awt.Dimension;
import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.StringWriter;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import javax.imageio.ImageIO;
import javax.xml.parsers.DocumentBuilderFactory;
import javax.xml.parsers.ParserConfigurationException;
import org.apache.batik.svggen.SVGGeneratorContext;
import org.apache.batik.svggen.SVGGraphics2D;
import org.w3c.dom.Document;

/** Writes a picture as the bytes of a file. */
public final class PictureFile {

    private static final double MARGIN = 24;
    private static final double SHARPNESS = 2;
    private static final double LARGEST_SIDE = 8_000;

    private PictureFile() {}

    /** The picture as SVG, whose texts stay texts. */
    public static byte[] svg(Picture picture, Detail detail) {
        Area area = picture.bounds().grown(MARGIN);
        SVGGeneratorContext context = SVGGeneratorContext.createDefault(emptyDocument());
        context.setComment("Able Schema");
        var graphics = new SVGGraphics2D(context, false);
        graphics.setSVGCanvasSize(new Dimension((int) Math.ceil(area.width()), (int) Math.ceil(area.height())));
        paint(picture, detail, area, graphics);
        try (var writer = new StringWriter()) {
            graphics.stream(writer, true);
            return writer.toString().getBytes(StandardCharsets.UTF_8);
        } catch (IOException e) {
            throw new UncheckedIOException("while writing SVG to memory", e);
        }
    }

    private static Document emptyDocument() {
        try {
            return DocumentBuilderFactory.newInstance()
                    .newDocumentBuilder()
                    .getDOMImplementation()
                    .createDocument("http://www.w3.org/2000/svg", "svg", null);
        } catch (ParserConfigurationException e) {
            throw new IllegalStateException("every Java platform makes XML documents", e);
        }
    }

    /** The picture as PNG at twice its size, so that it is sharp in print; a very large one at less. */
    public static byte[] png(Picture picture, Detail detail) {
        Area area = picture.bounds().grown(MARGIN);
        double scale = Math.min(SHARPNESS, LARGEST_SIDE / Math.max(area.width(), area.height()));
        var image = new BufferedImage(
                (int) Math.ceil(area.width() * scale),
                (int) Math.ceil(area.height() * scale),
                BufferedImage.TYPE_INT_RGB);
        Graphics2D graphics = image.createGraphics();
        graphics.setRenderingHint(RenderingHints.KEY_ANTIALIASING, RenderingHints.VALUE_ANTIALIAS_ON);
        graphics.setRenderingHint(RenderingHints.KEY_TEXT_ANTIALIASING, RenderingHints.VALUE_TEXT_ANTIALIAS_ON);
        graphics.setRenderingHint(RenderingHints.KEY_FRACTIONALMETRICS, RenderingHints.VALUE_FRACTIONALMETRICS_ON);
        graphics.setRenderingHint(RenderingHints.KEY_STROKE_CONTROL, RenderingHints.VALUE_STROKE_PURE);
        graphics.scale(scale, scale);
        paint(picture, detail, area, graphics);
        graphics.dispose();
        var bytes = new ByteArrayOutputStream();
        try {
            ImageIO.write(image, "png", bytes);
        } catch (IOException e) {
            throw new UncheckedIOException("while writing PNG to memory", e);
        }
        return bytes.toByteArray();
    }

    private static void paint(Picture picture, Detail detail, Area area, Graphics2D graphics) {
        graphics.setColor(Color.decode(Ink.PAPER.hex()));
        graphics.fillRect(0, 0, (int) Math.ceil(area.width()), (int) Math.ceil(area.height()));
        graphics.translate(-area.x(), -area.y());
        var painter = new MarkPainter(graphics);
        picture.marks(detail).forEach(painter::paint);
    }
}
