package ableschema.diagram.export;

import ableschema.diagram.geometry.Area;
import ableschema.diagram.paint.MarkPainter;
import ableschema.diagram.paint.Palette;
import ableschema.diagram.picture.Ink;
import ableschema.diagram.text.Face;
import de.rototor.pdfbox.graphics2d.PdfBoxGraphics2D;
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
import java.nio.file.Path;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import javax.imageio.ImageIO;
import javax.xml.parsers.DocumentBuilderFactory;
import javax.xml.parsers.ParserConfigurationException;
import org.apache.batik.svggen.SVGGeneratorContext;
import org.apache.batik.svggen.SVGGraphics2D;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.PDPageContentStream;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.w3c.dom.Document;
import org.w3c.dom.Element;
import org.w3c.dom.Node;

/** Writes a picture as the bytes of a file. */
public final class PictureFile {

    private static final double MARGIN = 24;
    private static final double SHARPNESS = 2;
    private static final double LARGEST_SIDE = 8_000;

    private static final String SANS = "Inter,'Helvetica Neue',Arial,sans-serif";
    private static final String MONO = "'JetBrains Mono',Menlo,Consolas,monospace";

    private PictureFile() {}

    /** The endings of the formats that are written. */
    public static final List<String> ENDINGS = List.of(".svg", ".png", ".pdf");

    /**
     * The picture in the format that the name of a file asks for.
     *
     * @return empty where the name ends otherwise
     */
    public static Optional<byte[]> named(Path file, Print print) {
        String name = file.toString().toLowerCase(Locale.ROOT);
        if (name.endsWith(".svg")) {
            return Optional.of(svg(print));
        }
        if (name.endsWith(".png")) {
            return Optional.of(png(print));
        }
        return name.endsWith(".pdf") ? Optional.of(pdf(print)) : Optional.empty();
    }

    /** The picture as SVG, whose texts stay texts, with a title and a description for screen readers. */
    public static byte[] svg(Print print) {
        Area area = print.area().grown(MARGIN);
        SVGGeneratorContext context = SVGGeneratorContext.createDefault(emptyDocument());
        context.setComment("Able Schema");
        var graphics = new SVGGraphics2D(context, false);
        graphics.setSVGCanvasSize(new Dimension((int) Math.ceil(area.width()), (int) Math.ceil(area.height())));
        paint(print, area, graphics);
        Element root = graphics.getRoot();
        root.setAttribute("viewBox", "0 0 " + (int) Math.ceil(area.width()) + " " + (int) Math.ceil(area.height()));
        root.setAttribute("role", "img");
        describe(root, "desc", String.join(" ", print.told()));
        describe(root, "title", print.title());
        nameFonts(root);
        try (var writer = new StringWriter()) {
            graphics.stream(root, writer, true, false);
            return writer.toString().getBytes(StandardCharsets.UTF_8);
        } catch (IOException e) {
            throw new UncheckedIOException("while writing SVG to memory", e);
        }
    }

    private static void describe(Element root, String name, String text) {
        Element element = root.getOwnerDocument().createElementNS(root.getNamespaceURI(), name);
        // control characters would break the file
        element.setTextContent(text.replaceAll("[\\p{Cc}\\p{Cs}\\uFFFE\\uFFFF]", " "));
        root.insertBefore(element, root.getFirstChild());
    }

    /** Names families and weights as browsers know them, and what to take where the shipped fonts are not there. */
    private static void nameFonts(Element element) {
        String family = element.getAttribute("font-family");
        if (!family.isEmpty()) {
            element.setAttribute("font-family", family.contains("Mono") ? MONO : SANS);
        }
        if (family.contains("SemiBold")) {
            element.setAttribute("font-weight", Face.SEMIBOLD.weight());
        }
        for (Node child = element.getFirstChild(); child != null; child = child.getNextSibling()) {
            if (child instanceof Element inner) {
                nameFonts(inner);
            }
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
    public static byte[] png(Print print) {
        Area area = print.area().grown(MARGIN);
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
        paint(print, area, graphics);
        graphics.dispose();
        var bytes = new ByteArrayOutputStream();
        try {
            ImageIO.write(image, "png", bytes);
        } catch (IOException e) {
            throw new UncheckedIOException("while writing PNG to memory", e);
        }
        return bytes.toByteArray();
    }

    /** The picture as PDF, on one page of its size. */
    public static byte[] pdf(Print print) {
        Area area = print.area().grown(MARGIN);
        var width = (float) area.width();
        var height = (float) area.height();
        try (var document = new PDDocument();
                var bytes = new ByteArrayOutputStream()) {
            var page = new PDPage(new PDRectangle(width, height));
            document.addPage(page);
            var graphics = new PdfBoxGraphics2D(document, width, height);
            paint(print, area, graphics);
            graphics.dispose();
            try (var content = new PDPageContentStream(document, page)) {
                content.drawForm(graphics.getXFormObject());
            }
            document.save(bytes);
            return bytes.toByteArray();
        } catch (IOException e) {
            throw new UncheckedIOException("while writing PDF to memory", e);
        }
    }

    private static void paint(Print print, Area area, Graphics2D graphics) {
        graphics.setColor(Color.decode(Ink.PAPER.hex()));
        graphics.fillRect(0, 0, (int) Math.ceil(area.width()), (int) Math.ceil(area.height()));
        graphics.translate(-area.x(), -area.y());
        var painter = new MarkPainter(graphics, Palette.LIGHT, 1);
        print.marks().forEach(painter::paint);
    }
}
