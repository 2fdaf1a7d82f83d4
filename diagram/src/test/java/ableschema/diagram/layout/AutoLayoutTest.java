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
import ableschema.core.document.Document;
import ableschema.core.document.Position;
import ableschema.diagram.picture.Card;
import ableschema.diagram.picture.Contents;
import ableschema.diagram.picture.View;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import org.junit.jupiter.api.Test;

class AutoLayoutTest {

    /** Children refer to earlier entities only, so that parents can stand left of all their children. */
    private static Document random(long seed, int count) {
        IdSource ids = IdSource.seeded(seed);
        var random = new Random(seed);
        List<Entity> entities = new ArrayList<>();
        List<Relationship> relationships = new ArrayList<>();
        for (int i = 0; i < count; i++) {
            entities.add(Entity.named(ids.next(IdKind.ENTITY), "Hive " + i));
            if (i > 0) {
                relationships.add(Relationship.between(
                        ids.next(IdKind.RELATIONSHIP),
                        new End(entities.get(random.nextInt(i)).id(), "has", Cardinality.EXACTLY_ONE, ""),
                        new End(entities.get(i).id(), "is of", Cardinality.ANY_NUMBER, "")));
            }
        }
        return Document.EMPTY.with(Design.of(entities, relationships));
    }

    private static void assertNoOverlap(Document document, Map<Id, Position> positions) {
        List<Card> cards = Contents.of(document, View.CONCEPT).cards();
        for (int i = 0; i < cards.size(); i++) {
            for (int j = 0; j < i; j++) {
                Position a = positions.get(cards.get(i).id());
                Position b = positions.get(cards.get(j).id());
                assertThat(cards.get(i).at(a.x(), a.y()).meets(cards.get(j).at(b.x(), b.y())))
                        .isFalse();
            }
        }
    }

    @Test
    void every_parent_stands_left_of_its_children_and_no_cards_overlap() {
        for (long seed = 1; seed <= 5; seed++) {
            Document document = random(seed, 40);
            Map<Id, Position> positions = Arrangement.of(document).positions();

            assertNoOverlap(document, positions);
            document.design().relationships().forEach(r -> assertThat(
                            positions.get(r.first().entity()).x())
                    .isLessThan(positions.get(r.second().entity()).x()));
        }
    }

    @Test
    void new_cards_find_room_and_those_that_stand_stay() {
        Document document = random(3, 12);
        Map<Id, Position> all = Arrangement.of(document).positions();
        List<Id> some =
                document.design().entities().stream().map(Entity::id).limit(4).toList();
        var known = new HashMap<>(all);
        known.keySet().retainAll(some);
        Map<Id, Position> completed =
                AutoLayout.completed(document.moved(known)).diagram().positions();

        assertThat(completed).hasSize(12).containsAllEntriesOf(known);
        assertNoOverlap(document, completed);
    }
}
