package ableschema.diagram.export;

import static org.assertj.core.api.Assertions.assertThat;

import ableschema.core.design.Attribute;
import ableschema.core.design.Body;
import ableschema.core.design.Cardinality;
import ableschema.core.design.Design;
import ableschema.core.design.End;
import ableschema.core.design.Entity;
import ableschema.core.design.Id;
import ableschema.core.design.IdKind;
import ableschema.core.design.IdSource;
import ableschema.core.design.Relationship;
import ableschema.core.document.Detail;
import ableschema.core.document.Document;
import ableschema.core.document.Notation;
import ableschema.core.store.DocumentFile;
import ableschema.core.types.DataTypes;
import ableschema.diagram.layout.AutoLayout;
import ableschema.diagram.picture.Picture;
import ableschema.diagram.picture.PictureMaker;
import ableschema.diagram.picture.View;
import java.io.ByteArrayInputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.List;
import java.util.stream.Stream;
import javax.imageio.ImageIO;
import javax.xml.parsers.DocumentBuilderFactory;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.w3c.dom.NodeList;

class PictureFileTest {

    private static org.w3c.dom.Document parsed(byte[] svg) throws Exception {
        var factory = DocumentBuilderFactory.newInstance();
        factory.setFeature("http://apache.org/xml/features/nonvalidating/load-external-dtd", false);
        return factory.newDocumentBuilder().parse(new ByteArrayInputStream(svg));
    }

    private static String texts(byte[] svg) throws Exception {
        NodeList nodes = parsed(svg).getElementsByTagName("text");
        var texts = new StringBuilder();
        for (int i = 0; i < nodes.getLength(); i++) {
            texts.append(nodes.item(i).getTextContent()).append('\n');
        }
        return texts.toString();
    }

    private static Picture picture(Document document, View view) {
        return PictureMaker.of(AutoLayout.completed(document), view, Notation.CROWSFOOT);
    }

    @Test
    void an_svg_holds_every_name_as_text() throws Exception {
        Document demo = DocumentFile.read(Path.of("../demo/alder-valley.able.json"));
        String concept = texts(PictureFile.svg(Print.of(demo, picture(demo, View.CONCEPT), Detail.EVERYTHING)));
        String tables = texts(PictureFile.svg(Print.of(demo, picture(demo, View.TABLES), Detail.EVERYTHING)));

        demo.design().entities().forEach(entity -> assertThat(concept).contains(entity.name()));
        demo.design().relationships().forEach(r -> assertThat(concept)
                .containsAnyOf(r.first().verb(), r.second().verb()));
        demo.mapping().schema().tables().forEach(table -> table.columns()
                .forEach(column -> assertThat(tables).contains(column.name())));
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "<script>alert(1)</script>",
                "]]> & \"quoted\" 'it'",
                "null \u0000 and \u0007 bell and \uFFFF",
                "line\nbreak\ttab",
                "🐝 🍯",
                "خلية النحل",
                "long name long name long name long name long name long name long name long name long name",
                "\uD83D alone",
                ""
            })
    void no_name_breaks_an_svg_or_a_png(String name) throws Exception {
        IdSource ids = IdSource.seeded(1);
        var attribute = Attribute.named(ids.next(IdKind.ATTRIBUTE), name).withType(DataTypes.parse("date"));
        var body = Body.EMPTY.with(attribute);
        var one = Entity.named(ids.next(IdKind.ENTITY), name).withBody(body);
        var other = Entity.named(ids.next(IdKind.ENTITY), "Hive");
        var relationship = Relationship.between(
                ids.next(IdKind.RELATIONSHIP),
                new End(one.id(), name, Cardinality.EXACTLY_ONE, name),
                new End(other.id(), name, Cardinality.ANY_NUMBER, ""));
        Document document = Document.EMPTY.with(Design.of(List.of(one, other), List.of(relationship)));

        for (View view : View.values()) {
            Picture picture = picture(document, view);
            var svg = parsed(PictureFile.svg(Print.of(document, picture, Detail.EVERYTHING)));
            assertThat(svg.getElementsByTagName("script").getLength()).isZero();
            byte[] png = PictureFile.png(Print.of(document, picture, Detail.EVERYTHING));
            assertThat(ImageIO.read(new ByteArrayInputStream(png)).getWidth()).isGreaterThan(100);
        }
    }

    @Test
    void an_svg_can_be_scaled_read_aloud_and_shown_without_the_shipped_fonts() throws Exception {
        Document demo = DocumentFile.read(Path.of("../demo/alder-valley.able.json"));
        Picture picture = picture(demo, View.CONCEPT);
        String text = new String(PictureFile.svg(Print.of(demo, picture, Detail.EVERYTHING)), StandardCharsets.UTF_8);
        var svg = parsed(text.getBytes(StandardCharsets.UTF_8)).getDocumentElement();

        assertThat(svg.getAttribute("viewBox"))
                .isEqualTo("0 0 " + svg.getAttribute("width") + " " + svg.getAttribute("height"));
        assertThat(svg.getElementsByTagName("title").item(0).getTextContent()).isEqualTo(demo.title());
        assertThat(svg.getElementsByTagName("desc").item(0).getTextContent())
                .contains("each hive stands in exactly one apiary")
                .contains("Inspection");
        assertThat(text)
                .contains("Arial,sans-serif")
                .contains("font-weight:600")
                .contains("font-family:'JetBrains Mono',")
                .doesNotContain("Inter SemiBold")
                .doesNotContain("Dialog");
    }

    @Test
    void an_empty_design_gives_an_empty_picture() throws Exception {
        Picture empty = picture(Document.EMPTY, View.CONCEPT);

        assertThat(texts(PictureFile.svg(Print.of(Document.EMPTY, empty, Detail.EVERYTHING))))
                .isEmpty();
        assertThat(PictureFile.png(Print.of(Document.EMPTY, empty, Detail.EVERYTHING)))
                .isNotEmpty();
    }

    @Test
    void a_pdf_is_one_page_of_the_size_of_the_picture_with_its_sentences() throws Exception {
        Document demo = DocumentFile.read(Path.of("../demo/alder-valley.able.json"));
        Picture picture = picture(demo, View.CONCEPT);
        var print = Print.of(demo, picture, Detail.EVERYTHING).withSentences(demo.design());

        try (var pdf = org.apache.pdfbox.Loader.loadPDF(PictureFile.pdf(print))) {
            assertThat(pdf.getNumberOfPages()).isEqualTo(1);
            assertThat((double) pdf.getPage(0).getMediaBox().getWidth())
                    .isCloseTo(picture.bounds().width() + 48, org.assertj.core.data.Offset.offset(1.0));
            var image = new org.apache.pdfbox.rendering.PDFRenderer(pdf).renderImage(0);
            assertThat(Stream.iterate(0, x -> x + 1)
                            .limit(image.getWidth())
                            .filter(x -> image.getRGB(x, image.getHeight() - 30) != image.getRGB(2, 2))
                            .count())
                    .as("the sentence below leaves ink")
                    .isGreaterThan(10);
        }
        assertThat(texts(PictureFile.svg(print))).contains("each hive stands in exactly one apiary.");
    }

    @Test
    void a_part_picture_shows_its_entities_and_what_pairs_them() throws Exception {
        Document demo = DocumentFile.read(Path.of("../demo/alder-valley.able.json"));
        List<Id> part = Stream.of("Inspection", "Treatment")
                .map(name -> demo.design().entity(name).orElseThrow().id())
                .toList();
        Document viewed = demo.with(demo.diagram().withPart(part));

        assertThat(picture(viewed, View.CONCEPT).cards()).hasSize(2);
        assertThat(picture(viewed, View.TABLES).cards()).hasSize(3);
        assertThat(picture(viewed, View.TABLES).lines()).hasSize(2);
    }
}
