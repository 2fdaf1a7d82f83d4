package ableschema.diagram.layout;

import static org.assertj.core.api.Assertions.assertThat;

import ableschema.core.design.Cardinality;
import ableschema.core.design.Design;
import ableschema.core.design.End;
import ableschema.core.design.Entity;
import ableschema.core.design.Id;
import ableschema.core.design.IdKind;
import ableschema.core.design.IdSource;
import ableschema.core.design.Relationship;
import ableschema.core.document.District;
import ableschema.core.document.Document;
import ableschema.core.document.Notation;
import ableschema.core.document.Position;
import ableschema.diagram.LargeDesign;
import ableschema.diagram.geometry.Area;
import ableschema.diagram.picture.Card;
import ableschema.diagram.picture.Contents;
import ableschema.diagram.picture.Faults;
import ableschema.diagram.picture.Link;
import ableschema.diagram.picture.Mark;
import ableschema.diagram.picture.Picture;
import ableschema.diagram.picture.Picture.DrawnDistrict;
import ableschema.diagram.picture.PictureDraft;
import ableschema.diagram.picture.PictureMaker;
import ableschema.diagram.picture.View;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

/** Large designs are drawn as a map of districts. */
class ArrangementTest {

    private final IdSource ids = IdSource.seeded(4);
    private final List<Entity> entities = new ArrayList<>();
    private final List<Relationship> related = new ArrayList<>();

    private Document document() {
        return Document.EMPTY.with(Design.of(entities, related));
    }

    private Entity entity(String name) {
        Entity made = Entity.named(ids.next(IdKind.ENTITY), name);
        entities.add(made);
        return made;
    }

    private void relate(Entity one, Entity many) {
        related.add(Relationship.between(
                ids.next(IdKind.RELATIONSHIP),
                new End(one.id(), "has", Cardinality.EXACTLY_ONE, ""),
                new End(many.id(), "is of", Cardinality.ANY_NUMBER, "")));
    }

    /** Seven groups of ten, each around its own first, chained to one another, and one calendar that every entity refers to. */
    private Entity sevenGroupsAndAHub() {
        Entity hub = entity("Calendar");
        for (int group = 0; group < 7; group++) {
            Entity first = entity("Group " + group);
            for (int i = 1; i < 10; i++) {
                Entity member = entity("Member " + group + "." + i);
                relate(first, member);
                if (i > 1) {
                    relate(entities.get(entities.size() - 2), member);
                }
                relate(hub, member);
            }
            if (group > 0) {
                relate(entities.get(1), first);
            }
        }
        return hub;
    }

    @Test
    void groups_that_refer_to_each_other_are_found_whatever_refers_to_a_hub() {
        Entity hub = sevenGroupsAndAHub();
        Arrangement arranged = Arrangement.of(document());

        assertThat(arranged.districts()).hasSize(7);
        for (int group = 0; group < 7; group++) {
            Set<Id> members = new HashSet<>();
            String prefix = "Member " + group + ".";
            entities.stream().filter(e -> e.name().startsWith(prefix)).forEach(e -> members.add(e.id()));
            assertThat(arranged.districts()).as("group " + group).anyMatch(district -> district.cards()
                    .containsAll(members));
        }
        assertThat(arranged.districts().stream().map(District::name)).contains("Group 3");
        assertThat(arranged.districts().stream().flatMap(d -> d.cards().stream()))
                .hasSize(71)
                .doesNotHaveDuplicates()
                .contains(hub.id());
    }

    @Test
    void a_line_that_leaves_its_district_is_named_on_the_cards_at_both_ends() {
        sevenGroupsAndAHub();
        Document placed = Arrangement.of(document()).appliedTo(document());
        Contents contents = Contents.of(placed, View.CONCEPT);

        assertThat(contents.links().size() + contents.far().size()).isEqualTo(related.size());
        Card member = card(contents, "Member 3.5");
        Card hub = card(contents, "Calendar");
        boolean together = contents.links().stream()
                .anyMatch(link -> isBetween(link.first().card(), link.second().card(), hub, member));
        if (!together) {
            assertThat(member.far()).extracting(Card.Entry::name).contains("→ Calendar");
        }
        assertThat(hub.far()).hasSize(6);
        assertThat(hub.far().get(0).name()).startsWith("← Member");
        assertThat(hub.far().get(5).name()).matches("and \\d+ more");
        assertThat(hub.height()).isGreaterThan(hub.leadingTo(List.of()).height());
    }

    @Test
    void lines_between_districts_are_drawn_where_the_house_rule_says_so() {
        sevenGroupsAndAHub();
        Document placed = Arrangement.of(document()).appliedTo(document());
        Contents contents = Contents.of(placed.with(placed.rules().withFarLines(true)), View.CONCEPT);

        Picture drawn = picture(contents, placed.diagram().positions());
        assertThat(drawn.far()).isNotEmpty();
        assertThat(drawn.farMarks())
                .extracting(Mark::origin)
                .containsExactlyElementsOf(
                        drawn.far().stream().map(Link::relationship).toList());
        assertThat(drawn.farMarks()).allSatisfy(line -> {
            Link link = drawn.far().get(drawn.farMarks().indexOf(line));
            Area first = drawn.cards().get(link.first().card()).area();
            assertThat(first.grown(1).contains(line.points().get(0))).isTrue();
            assertThat(first.grown(-1).contains(line.points().get(0))).isFalse();
        });
        assertThat(picture(Contents.of(placed, View.CONCEPT), placed.diagram().positions())
                        .farMarks())
                .isEmpty();
    }

    @Test
    void a_short_line_between_districts_is_drawn_although_it_is_named_too() {
        sevenGroupsAndAHub();
        Document placed = Arrangement.of(document()).appliedTo(document());
        Contents contents = Contents.of(placed, View.CONCEPT);
        Map<Id, Position> positions = new HashMap<>(placed.diagram().positions());
        Picture picture = picture(contents, positions);
        Link far = picture.far().get(0);
        assertThat(picture.lines()).extracting(Picture.DrawnLink::link).doesNotContain(far);

        Area first = picture.cards().get(far.first().card()).area();
        positions.put(far.second().card(), new Position(first.right() + 60, first.y()));
        Picture near = picture(contents, positions);
        assertThat(near.far()).doesNotContain(far);
        assertThat(near.lines()).extracting(Picture.DrawnLink::link).contains(far);
    }

    private static Picture picture(Contents contents, Map<Id, Position> positions) {
        return PictureDraft.of(Picture.NOTHING, contents, positions, Notation.CROWSFOOT)
                .finished(laid -> {});
    }

    private static boolean isBetween(Id first, Id second, Card one, Card other) {
        return Set.of(first, second).equals(Set.of(one.id(), other.id()));
    }

    private static Card card(Contents contents, String title) {
        return contents.cards().stream()
                .filter(card -> card.title().equals(title))
                .findFirst()
                .orElseThrow();
    }

    @Test
    void designs_of_the_shape_of_real_ones_are_packed_in_the_form_of_the_window_and_have_no_faults() {
        for (Document document : List.of(
                LargeDesign.grouped(7, 100, 8), LargeDesign.grouped(8, 300, 8), LargeDesign.ungrouped(7, 300, 8))) {
            Document placed = Arrangement.of(document).appliedTo(document);
            assertThat(Arrangement.of(document).appliedTo(document))
                    .as("the same again")
                    .isEqualTo(placed);
            for (View view : View.values()) {
                Picture picture = PictureMaker.of(placed, view, Notation.CROWSFOOT);
                Area all = picture.bounds();
                assertThat(all.width() / all.height()).isBetween(1.0, 2.0);
                assertThat(Faults.in(picture)).isEmpty();
                assertThat(fill(picture)).isGreaterThan(view == View.TABLES ? 0.28 : 0.18);
                assertApart(picture.districts());
            }
        }
    }

    private static double fill(Picture picture) {
        Area all = picture.bounds();
        double cards = picture.cards().values().stream()
                .mapToDouble(card -> card.area().width() * card.area().height())
                .sum();
        return cards / (all.width() * all.height());
    }

    private static void assertApart(List<DrawnDistrict> districts) {
        for (int i = 0; i < districts.size(); i++) {
            for (int j = 0; j < i; j++) {
                assertThat(districts.get(i).area().meets(districts.get(j).area()))
                        .as(districts.get(i) + " and " + districts.get(j))
                        .isFalse();
            }
        }
    }

    @Test
    void sixty_entities_stay_in_one_piece() {
        for (int i = 0; i < 60; i++) {
            Entity made = entity("Thing " + i);
            if (i > 0) {
                relate(entities.get(i / 2), made);
            }
        }
        assertThat(Arrangement.of(document()).districts()).isEmpty();
        entity("One more");
        assertThat(Arrangement.of(document()).districts()).isNotEmpty();
    }

    @Test
    void the_skyline_leaves_no_gap_that_the_next_could_fill() {
        var skyline = new Skyline(100);
        assertThat(Stream.of(skyline.place(60, 40), skyline.place(40, 20), skyline.place(40, 20), skyline.place(100, 5))
                        .map(Object::toString))
                .containsExactly(
                        "Point[x=0.0, y=0.0]", "Point[x=60.0, y=0.0]", "Point[x=60.0, y=20.0]", "Point[x=0.0, y=40.0]");
    }
}
