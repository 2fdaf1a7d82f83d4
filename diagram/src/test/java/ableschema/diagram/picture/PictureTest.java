package ableschema.diagram.picture;

import static org.assertj.core.api.Assertions.assertThat;

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
import ableschema.core.document.Position;
import ableschema.core.store.DocumentFile;
import ableschema.core.store.FileProblem;
import ableschema.core.words.DesignReader;
import ableschema.diagram.geometry.Area;
import ableschema.diagram.geometry.Point;
import ableschema.diagram.layout.AutoLayout;
import ableschema.diagram.picture.Picture.DrawnLink;
import ableschema.diagram.picture.Picture.PlacedCard;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

class PictureTest {

    private static Document demo() throws FileProblem {
        return DocumentFile.read(Path.of("../demo/alder-valley.able.json"));
    }

    private static Picture concept(Notation notation) throws FileProblem {
        return PictureMaker.of(demo(), View.CONCEPT, notation);
    }

    private static PlacedCard card(Picture picture, String title) {
        return picture.cards().values().stream()
                .filter(c -> c.card().title().equals(title))
                .findFirst()
                .orElseThrow(() -> new AssertionError("no card " + title));
    }

    private static DrawnLink line(Picture picture, String verb) {
        return picture.lines().stream()
                .filter(l -> l.link().verb().equals(verb))
                .findFirst()
                .orElseThrow(() -> new AssertionError("no line " + verb));
    }

    private static List<String> labels(Stream<Mark> marks) {
        return marks.filter(Mark.Label.class::isInstance)
                .map(mark -> ((Mark.Label) mark).text())
                .toList();
    }

    @Test
    void a_card_shows_its_key_above_the_hairline_and_optional_attributes_in_brackets() throws Exception {
        Card hive = card(concept(Notation.CROWSFOOT), "Hive").card();

        assertThat(hive.weak()).isTrue();
        assertThat(hive.kind()).isEqualTo("thing");
        assertThat(hive.key()).extracting(Card.Entry::name).containsExactly("stand no");
        assertThat(hive.key()).allMatch(Card.Entry::underlined);
        assertThat(hive.others()).extracting(Card.Entry::name).containsExactly("type", "[colour]", "set up on");
        assertThat(hive.others()).extracting(Card.Entry::note).containsExactly("text 20", "text 20", "date");
    }

    @Test
    void in_the_tables_view_a_foreign_key_column_ends_in_its_target() throws Exception {
        Card hive = card(PictureMaker.of(demo(), View.TABLES, Notation.CROWSFOOT), "hive")
                .card();

        assertThat(hive.key()).extracting(Card.Entry::name).containsExactly("apiary_code", "stand_no");
        assertThat(hive.key().get(0).note()).isEqualTo("varchar(6) ↗ apiary");
        assertThat(hive.others().get(3).name()).isEqualTo("[queen_ring]");
    }

    @Test
    void less_detail_shows_less_but_leaves_the_card_its_size() throws Exception {
        PlacedCard keeper = card(concept(Notation.CROWSFOOT), "Keeper");

        assertThat(labels(keeper.marks(Detail.NAMES).stream())).containsExactly("Keeper", "person");
        assertThat(labels(keeper.marks(Detail.KEYS).stream()))
                .contains("keeper no")
                .doesNotContain("known as");
        assertThat(labels(keeper.marks(Detail.EVERYTHING).stream())).contains("known as", "[reached at]", "year");
        for (Detail detail : Detail.values()) {
            Mark.Box paper = (Mark.Box) keeper.marks(detail).get(0);
            assertThat(paper.area()).isEqualTo(keeper.area());
        }
    }

    @Test
    void a_verb_that_is_alone_says_which_way_it_reads() {
        IdSource ids = IdSource.seeded(1);
        Entity journalist = Entity.named(ids.next(IdKind.ENTITY), "Journalist");
        Entity article = Entity.named(ids.next(IdKind.ENTITY), "Article");
        var writes = Relationship.between(
                ids.next(IdKind.RELATIONSHIP),
                new End(journalist.id(), "writes", Cardinality.ANY_NUMBER, ""),
                new End(article.id(), "", Cardinality.ANY_NUMBER, ""));
        Design design = Design.of(List.of(journalist, article), List.of(writes));
        Document above = Document.EMPTY
                .with(design)
                .moved(Map.of(journalist.id(), new Position(0, 0), article.id(), new Position(0, 300)));
        Document below = above.moved(Map.of(journalist.id(), new Position(0, 600)));
        Document right = above.moved(Map.of(journalist.id(), new Position(600, 300)));

        assertThat(written(above)).isEqualTo("writes");
        assertThat(written(below)).isEqualTo("↑ writes");
        assertThat(written(right)).isEqualTo("‹ writes");
    }

    private static String written(Document document) {
        Picture picture = PictureMaker.of(document, View.CONCEPT, Notation.CROWSFOOT);
        return String.join(" ", labels(picture.lines().get(0).marks().stream()));
    }

    @Test
    void each_notation_draws_the_ends_in_its_own_way() throws Exception {
        DrawnLink crow = line(concept(Notation.CROWSFOOT), "shelters");
        DrawnLink numbers = line(concept(Notation.MINMAX), "shelters");
        DrawnLink chen = line(concept(Notation.CHEN), "gives");

        // one line for the route, two bars at the one side, a foot at the many side, and its circle for zero
        assertThat(crow.marks().stream().filter(Mark.Line.class::isInstance)).hasSize(4);
        assertThat(crow.marks().stream().filter(Mark.Circle.class::isInstance)).hasSize(1);
        assertThat(labels(numbers.marks().stream())).contains("1..1", "0..n", "shelters");
        assertThat(labels(chen.marks().stream())).contains("n", "m", "gives");
        assertThat(chen.marks().stream()
                        .filter(mark ->
                                mark instanceof Mark.Line line && line.fill().isPresent()))
                .as("the diamond")
                .hasSize(1);
    }

    @Test
    void an_unusual_number_is_written_beside_the_crows_foot() {
        IdSource ids = IdSource.seeded(1);
        Entity hive = Entity.named(ids.next(IdKind.ENTITY), "Hive");
        Entity box = Entity.named(ids.next(IdKind.ENTITY), "Box");
        var relationship = Relationship.between(
                ids.next(IdKind.RELATIONSHIP),
                new End(hive.id(), "has", Cardinality.EXACTLY_ONE, ""),
                new End(box.id(), "belongs to", new Cardinality(2, 5), ""));
        Document document = Document.EMPTY
                .with(Design.of(List.of(hive, box), List.of(relationship)))
                .moved(Map.of(hive.id(), new Position(0, 0), box.id(), new Position(400, 0)));

        assertThat(labels(PictureMaker.of(document, View.CONCEPT, Notation.CROWSFOOT).lines().get(0).marks().stream()))
                .contains("2..5");
    }

    @Test
    void what_is_written_at_an_end_leaves_its_signs_to_be_seen() {
        Document document = AutoLayout.completed(
                DesignReader.read("Each ward holds between 2 and 6 beds; each bed stands in exactly one ward.")
                        .document());
        List<Mark> marks = PictureMaker.of(document, View.CONCEPT, Notation.CROWSFOOT)
                .lines()
                .get(0)
                .marks();
        Area number = marks.stream()
                .filter(mark -> mark instanceof Mark.Label label && label.text().equals("2..6"))
                .map(mark -> ((Mark.Label) mark).area())
                .findFirst()
                .orElseThrow();
        List<Mark.Line> foot = marks.stream()
                .filter(mark -> mark instanceof Mark.Line line && line.points().size() == 3 && line.radius() == 0)
                .map(Mark.Line.class::cast)
                .toList();

        assertThat(foot).hasSize(1);
        assertThat(foot.get(0).points())
                .noneMatch(point -> number.grown(1).meets(new Area(point.x(), point.y(), 0.1, 0.1)));
        assertThat(marks.stream().filter(mark -> mark instanceof Mark.Box))
                .as("paper over the signs")
                .allSatisfy(box -> assertThat(foot.get(0).points())
                        .noneMatch(point -> ((Mark.Box) box).area().meets(new Area(point.x(), point.y(), 0.1, 0.1))));
    }

    @Test
    void the_verb_is_read_from_left_to_right() throws Exception {
        Picture picture = concept(Notation.CROWSFOOT);

        assertThat(labels(line(picture, "heads").marks().stream())).contains("is headed by");
        assertThat(labels(line(picture, "shelters").marks().stream())).contains("shelters");
    }

    @ParameterizedTest
    @EnumSource
    void no_label_lies_on_a_card_or_on_another_label(Notation notation) throws Exception {
        // diamonds belong to the concept; between tables there is not always room for them
        for (View view : notation == Notation.CHEN ? List.of(View.CONCEPT) : List.of(View.values())) {
            Picture picture = PictureMaker.of(demo(), view, notation);
            List<Area> labels = picture.lines().stream()
                    .flatMap(line -> line.marks().stream())
                    .filter(Mark.Label.class::isInstance)
                    .map(mark -> ((Mark.Label) mark).area().grown(-1))
                    .toList();
            for (int i = 0; i < labels.size(); i++) {
                Area label = labels.get(i);
                assertThat(picture.cards().values().stream()
                                .filter(card -> card.area().meets(label)))
                        .as("%s in %s", label, view)
                        .isEmpty();
                assertThat(labels.subList(0, i).stream().filter(label::meets))
                        .as("%s in %s", label, view)
                        .isEmpty();
            }
        }
    }

    @Test
    void a_point_hits_a_card_before_a_line_and_paper_not_at_all() throws Exception {
        Picture picture = concept(Notation.CROWSFOOT);
        PlacedCard hive = card(picture, "Hive");
        DrawnLink shelters = line(picture, "shelters");
        Point onLine = shelters.points().get(0);

        assertThat(picture.at(new Point(hive.area().centreX(), hive.area().centreY()), 5))
                .contains(hive.card().id());
        assertThat(picture.at(new Point(onLine.x() + 20, onLine.y() + 4), 5))
                .contains(shelters.link().relationship());
        assertThat(picture.at(new Point(onLine.x() + 20, onLine.y() + 12), 5)).isEmpty();
        assertThat(picture.at(new Point(-500, -500), 5)).isEmpty();
    }

    @Test
    void everything_lies_within_the_bounds() throws Exception {
        Picture picture = concept(Notation.CHEN);
        Area bounds = picture.bounds().grown(0.5);

        picture.cards().values().forEach(card -> assertThat(bounds.union(card.area()))
                .isEqualTo(bounds));
        picture.lines().forEach(line -> line.points()
                .forEach(point -> assertThat(bounds.contains(point)).isTrue()));
    }

    @Test
    void after_a_move_only_the_lines_it_touches_take_another_way() throws Exception {
        Document before = demo();
        Picture first = PictureMaker.of(before, View.CONCEPT, Notation.CROWSFOOT);
        Id treatment = before.design().entity("Treatment").orElseThrow().id();
        Position at = before.position(treatment).orElseThrow();
        Document after = before.moved(Map.of(treatment, new Position(at.x(), at.y() + 40)));
        Picture second = PictureMaker.after(
                first, Contents.of(after, View.CONCEPT), after.diagram().positions(), Notation.CROWSFOOT);

        List<String> changed = first.lines().stream()
                .filter(line -> second.lines().stream()
                        .noneMatch(other -> other.points().equals(line.points())))
                .map(line -> line.link().verb())
                .toList();
        assertThat(changed).containsExactly("gives");
    }

    @Test
    void a_card_in_the_way_is_gone_around() throws Exception {
        Document before = demo();
        Picture first = PictureMaker.of(before, View.CONCEPT, Notation.CROWSFOOT);
        DrawnLink makes = line(first, "makes");
        Id batch = before.design().entity("Batch").orElseThrow().id();
        Point middle = makes.points().get(2);
        Document after = before.moved(Map.of(batch, new Position(middle.x() - 60, middle.y() + 60)));
        Picture second = PictureMaker.after(
                first, Contents.of(after, View.CONCEPT), after.diagram().positions(), Notation.CROWSFOOT);
        Area inTheWay = second.cards().get(batch).area();

        List<Point> way = line(second, "makes").points();
        assertThat(way).isNotEqualTo(makes.points());
        for (int i = 1; i < way.size(); i++) {
            assertThat(way.get(i - 1).to(way.get(i)).meets(inTheWay)).isFalse();
        }
    }
}
