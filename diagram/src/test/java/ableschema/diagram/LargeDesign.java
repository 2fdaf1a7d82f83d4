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

/** Makes designs of any size: regular ones, ones in groups with hubs as databases have them, and ones with hubs but no groups. */
public final class LargeDesign {

    private static final int GROUP = 12;
    private static final List<String> VERBS = List.of("shelters", "is looked at in", "yields", "gives", "has");

    private LargeDesign() {}

    /** Most entities refer to a few near ones, some to themselves. A document without places; the same for the same seed. */
    public static Document of(long seed, int entities, int attributesEach, int relationships) {
        IdSource ids = IdSource.seeded(seed);
        var random = new Random(seed);
        List<Entity> made = things(ids, random, entities, attributesEach);
        var related = new ArrayList<Relationship>();
        for (int i = 0; i < relationships; i++) {
            int one = random.nextInt(entities);
            int other = random.nextInt(20) == 0 ? one : Math.floorMod(one + 1 + random.nextInt(12), entities);
            related.add(related(ids, random, made.get(one), made.get(other)));
        }
        return Document.EMPTY.with(Design.of(made, related));
    }

    /**
     * Groups of a dozen that refer to each other and, here and there, to another group, and one hub in fifty that all refer
     * to; with three relationships for every two entities.
     */
    public static Document grouped(long seed, int entities, int attributesEach) {
        IdSource ids = IdSource.seeded(seed);
        var random = new Random(seed);
        List<Entity> made = things(ids, random, entities, attributesEach);
        int hubs = Math.max(1, entities / 50);
        var related = new ArrayList<Relationship>();
        for (int i = 0; i < entities * 3 / 2; i++) {
            int one = hubs + random.nextInt(entities - hubs);
            int group = one / GROUP * GROUP;
            int other =
                    switch (random.nextInt(10)) {
                        case 0 -> random.nextInt(hubs);
                        case 1 -> random.nextInt(entities);
                        default -> Math.min(entities - 1, group + random.nextInt(GROUP));
                    };
            related.add(related(ids, random, made.get(other), made.get(one)));
        }
        return Document.EMPTY.with(Design.of(made, related));
    }

    /** Half of the relationships lead to one of a few hubs, the others anywhere. */
    public static Document ungrouped(long seed, int entities, int attributesEach) {
        IdSource ids = IdSource.seeded(seed);
        var random = new Random(seed);
        List<Entity> made = things(ids, random, entities, attributesEach);
        int hubs = Math.max(1, entities / 50);
        var related = new ArrayList<Relationship>();
        for (int i = 0; i < entities * 3 / 2; i++) {
            int one = random.nextInt(entities);
            int other = random.nextBoolean() ? random.nextInt(hubs) : random.nextInt(entities);
            related.add(related(ids, random, made.get(other), made.get(one)));
        }
        return Document.EMPTY.with(Design.of(made, related));
    }

    private static Relationship related(IdSource ids, Random random, Entity one, Entity other) {
        Cardinality first = random.nextInt(8) == 0 ? Cardinality.ANY_NUMBER : Cardinality.EXACTLY_ONE;
        return Relationship.between(
                ids.next(IdKind.RELATIONSHIP),
                new End(one.id(), VERBS.get(random.nextInt(5)), first, ""),
                new End(other.id(), "is of", Cardinality.ANY_NUMBER, ""));
    }

    private static List<Entity> things(IdSource ids, Random random, int entities, int attributesEach) {
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
        return made;
    }
}
