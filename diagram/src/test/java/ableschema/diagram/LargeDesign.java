package ableschema.diagram;

import ableschema.core.design.Attribute;
import ableschema.core.design.Body;
import ableschema.core.design.Cardinality;
import ableschema.core.design.Design;
import ableschema.core.design.End;
import ableschema.core.design.Entity;
import ableschema.core.design.IdKind;
import ableschema.core.design.IdSource;
import ableschema.core.design.Relationship;
import ableschema.core.document.Document;
import ableschema.core.types.DataType;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;

/** Makes designs of any size as databases have them: most entities refer to a few near ones, some to themselves. */
public final class LargeDesign {

    private static final List<String> VERBS = List.of("shelters", "is looked at in", "yields", "gives", "has");

    private LargeDesign() {}

    /** A document without places; the same for the same seed. */
    public static Document of(long seed, int entities, int attributesEach, int relationships) {
        IdSource ids = IdSource.seeded(seed);
        var random = new Random(seed);
        var made = new ArrayList<Entity>();
        for (int i = 0; i < entities; i++) {
            var attributes = new ArrayList<Attribute>();
            attributes.add(Attribute.named(ids.next(IdKind.ATTRIBUTE), "no").withType(new DataType.Whole(0)));
            for (int j = 1; j < attributesEach; j++) {
                attributes.add(Attribute.named(ids.next(IdKind.ATTRIBUTE), "field " + j)
                        .withType(new DataType.Text(20 + j))
                        .withOptional(random.nextBoolean()));
            }
            Body body = Body.EMPTY
                    .withAttributes(attributes)
                    .withKey(List.of(attributes.get(0).ref()));
            made.add(Entity.named(ids.next(IdKind.ENTITY), "Thing " + i).withBody(body));
        }
        var related = new ArrayList<Relationship>();
        for (int i = 0; i < relationships; i++) {
            int one = random.nextInt(entities);
            int other = random.nextInt(20) == 0 ? one : Math.floorMod(one + 1 + random.nextInt(12), entities);
            Cardinality first = random.nextInt(8) == 0 ? Cardinality.ANY_NUMBER : Cardinality.EXACTLY_ONE;
            related.add(Relationship.between(
                    ids.next(IdKind.RELATIONSHIP),
                    new End(made.get(one).id(), VERBS.get(random.nextInt(5)), first, ""),
                    new End(made.get(other).id(), "is of", Cardinality.ANY_NUMBER, "")));
        }
        return Document.EMPTY.with(Design.of(made, related));
    }
}
