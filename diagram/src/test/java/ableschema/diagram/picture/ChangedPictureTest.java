package ableschema.diagram.picture;

import static org.assertj.core.api.Assertions.assertThat;

import ableschema.core.design.Attribute;
import ableschema.core.design.Design;
import ableschema.core.design.Id;
import ableschema.core.design.IdSource;
import ableschema.core.design.SubtypeLayout;
import ableschema.core.document.Document;
import ableschema.core.document.Notation;
import ableschema.core.document.Position;
import ableschema.core.edit.Edits;
import ableschema.core.edit.SubtypeEdits;
import ableschema.core.words.DesignReader;
import ableschema.diagram.LargeDesign;
import ableschema.diagram.layout.Arrangement;
import ableschema.diagram.layout.AutoLayout;
import java.util.Collections;
import java.util.IdentityHashMap;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import org.junit.jupiter.api.Test;

/** What stays and what changes in a picture when the document does. */
class ChangedPictureTest {

    private static Picture after(Picture before, Document document) {
        return PictureMaker.after(
                before, Contents.of(document, View.CONCEPT), document.diagram().positions(), Notation.CROWSFOOT);
    }

    @Test
    void after_many_moves_nothing_runs_along_or_over_anything_and_most_stays_the_same() {
        Document document = LargeDesign.of(4, 40, 5, 50);
        document = Arrangement.of(document).appliedTo(document);
        Picture picture = PictureMaker.of(document, View.CONCEPT, Notation.CROWSFOOT);
        var random = new Random(8);
        long kept = 0;
        for (int move = 0; move < 30; move++) {
            Id card = document.design().entities().get(random.nextInt(40)).id();
            Position at = document.position(card).orElseThrow();
            document = document.moved(
                    Map.of(card, new Position(at.x() + random.nextInt(17) - 8, at.y() + random.nextInt(17) - 8)));
            Picture next = after(picture, document);
            Set<Object> old = Collections.newSetFromMap(new IdentityHashMap<>());
            old.addAll(picture.lines());
            kept += next.lines().stream().filter(old::contains).count();
            picture = next;
        }
        assertThat(Faults.in(picture)).isEmpty();
        assertThat(kept).isGreaterThan(30 * 50 / 2);
    }

    @Test
    void a_renamed_attribute_leaves_all_other_cards_and_lines_the_same() {
        Document document = LargeDesign.of(4, 40, 5, 50);
        document = Arrangement.of(document).appliedTo(document);
        var maker = new ContentsMaker();
        Contents contents = maker.of(document, document.mapping(), View.CONCEPT);
        Picture picture =
                PictureMaker.after(Picture.NOTHING, contents, document.diagram().positions(), Notation.CROWSFOOT);
        Attribute attribute =
                document.design().entities().get(7).body().attributes().get(3);
        Document renamed = new Edits(document.design(), IdSource.seeded(3))
                .changeAttribute(attribute.withName("x"))
                .applyTo(document);
        Contents kept = maker.of(renamed, renamed.mapping(), View.CONCEPT);
        Picture next = PictureMaker.after(picture, kept, renamed.diagram().positions(), Notation.CROWSFOOT);

        long sameCards = next.cards().values().stream()
                .filter(card -> picture.cards().get(card.card().id()) == card)
                .count();
        assertThat(sameCards).isEqualTo(39);
        for (int i = 0; i < next.lines().size(); i++) {
            assertThat(next.lines().get(i)).isSameAs(picture.lines().get(i));
        }
    }

    @Test
    void lines_that_go_leave_no_trace_in_the_room_of_the_others() {
        Document document = LargeDesign.of(4, 30, 4, 40);
        document = Arrangement.of(document).appliedTo(document);
        Picture picture = PictureMaker.of(document, View.CONCEPT, Notation.CROWSFOOT);
        Document less = document;
        for (int i = 0; i < 20; i++) {
            less = less.with(less.design()
                    .withoutRelationship(less.design().relationships().get(0).id()));
        }
        Picture after = after(picture, less);

        assertThat(after.lines()).hasSize(20);
        assertThat(Faults.in(after)).isEmpty();
    }

    @Test
    void a_kind_hangs_by_a_fork_and_has_no_signs_of_number() {
        Design design = DesignReader.read("Colony is a thing.\nNuc is a thing.\nEach nuc is a kind of colony.\n")
                .document()
                .design();
        Document document = Document.EMPTY.with(design);
        Picture picture = PictureMaker.of(Arrangement.of(document).appliedTo(document), View.CONCEPT, Notation.MINMAX);
        var line = picture.lines().get(0);

        assertThat(line.link().kind()).isTrue();
        assertThat(line.marks()).filteredOn(Mark.Circle.class::isInstance).isEmpty();
        assertThat(line.marks())
                .filteredOn(
                        mark -> mark instanceof Mark.Label label && label.text().contains(".."))
                .isEmpty();
        assertThat(line.marks()).filteredOn(Mark.Line.class::isInstance).hasSize(2);
    }

    @Test
    void kinds_in_one_table_have_one_card_among_the_tables() {
        Document document = DesignReader.read(
                        "Each colony has code: text 6 (key).\nNuc is a thing.\nEach nuc is a kind of colony.\n")
                .document();
        Id colony = document.design().entity("Colony").orElseThrow().id();
        Document one = new SubtypeEdits(document.design(), IdSource.seeded(1))
                .layOut(colony, SubtypeLayout.ONE_TABLE)
                .applyTo(document);

        assertThat(Contents.of(document, View.TABLES).cards()).hasSize(2);
        assertThat(Contents.of(one, View.TABLES).cards())
                .extracting(Card::title)
                .containsExactly("colony");
        assertThat(Contents.of(one, View.CONCEPT).cards()).hasSize(2);
    }

    @Test
    void neighbours_are_the_cards_that_a_line_joins() {
        Document document = DesignReader.read(
                        """
                Each hive stands in exactly one apiary.
                Each hive is headed by at most one queen.
                Each keeper owns any number of apiaries.
                """)
                .document();
        Contents all = Contents.of(document, View.CONCEPT);
        Contents near = all.only(
                all.neighbours(document.design().entity("Hive").orElseThrow().id()), document.design());

        assertThat(near.cards()).extracting(Card::title).containsExactly("Hive", "Apiary", "Queen");
        assertThat(near.links()).hasSize(2);
    }

    @Test
    void cards_that_are_kept_stay_and_the_others_make_room() {
        Document document = LargeDesign.of(6, 12, 4, 14);
        Document placed = Arrangement.of(document).appliedTo(document);
        Id kept = document.design().entities().get(3).id();
        Document moved = placed.moved(Map.of(kept, new Position(0, 0)));
        Map<Id, Position> tidied = AutoLayout.keeping(moved, Set.of(kept)).positions();
        Document after = moved.moved(tidied);

        assertThat(tidied).doesNotContainKey(kept);
        Picture picture = PictureMaker.of(after, View.CONCEPT, Notation.CROWSFOOT);
        var areas =
                picture.cards().values().stream().map(Picture.PlacedCard::area).toList();
        for (int i = 0; i < areas.size(); i++) {
            for (int j = 0; j < i; j++) {
                assertThat(areas.get(i).meets(areas.get(j))).isFalse();
            }
        }
    }
}
