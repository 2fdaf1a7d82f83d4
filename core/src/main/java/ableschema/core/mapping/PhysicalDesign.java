package ableschema.core.mapping;

import ableschema.core.design.Body;
import ableschema.core.design.Design;
import ableschema.core.design.Entity;
import ableschema.core.design.Id;
import ableschema.core.design.KeyPart;
import ableschema.core.design.Relationship;
import ableschema.core.design.SubtypeLayout;
import ableschema.core.mapping.Gap.Kind;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * A design as its tables see it: without what is set aside, and with the kinds that share one table laid into the entity that
 * they are kinds of. Where there is neither, it is the design itself, the same instance.
 *
 * @param gaps what had to be left out on the way
 */
public record PhysicalDesign(Design design, List<Gap> gaps) {

    static final PhysicalDesign EMPTY = new PhysicalDesign(Design.EMPTY, List.of());

    public PhysicalDesign {
        gaps = List.copyOf(gaps);
    }

    public static PhysicalDesign of(Design design) {
        return of(design, EMPTY);
    }

    /** The same after a change: what comes out as before is the same instance as before. */
    static PhysicalDesign of(Design design, PhysicalDesign before) {
        var gaps = new ArrayList<Gap>();
        Design inScope = inScope(design, gaps);
        var oneTable = new OneTable(inScope);
        Design built = oneTable.design();
        gaps.addAll(oneTable.gaps());
        return new PhysicalDesign(built == design ? design : keepingInstances(built, before.design()), gaps);
    }

    /** A key of which a part is set aside is no key: what is left of it may well be the same in two rows. */
    private static Design inScope(Design design, List<Gap> gaps) {
        Design inScope = design.inScope();
        if (inScope == design) {
            return design;
        }
        var entities = new ArrayList<Entity>();
        for (Entity entity : inScope.entities()) {
            List<KeyPart> key = design.body(entity.id()).orElse(Body.EMPTY).key();
            if (entity.body().key().size() < key.size()) {
                entities.add(entity.withBody(entity.body().withKey(List.of())));
                gaps.add(new Gap(
                        Kind.KEY_PART_ASIDE,
                        entity.id(),
                        entity.id(),
                        "a part of the key of " + entity.name() + " refers to " + aside(design, key)
                                + ", which is set aside, so that there is no primary key"));
            }
        }
        return inScope.withAll(entities, List.of());
    }

    private static String aside(Design design, List<KeyPart> key) {
        return key.stream()
                .flatMap(part -> part.through().stream())
                .flatMap(end -> design.target(end).stream())
                .filter(Entity::parked)
                .map(Entity::name)
                .findFirst()
                .orElse("an entity");
    }

    private static Design keepingInstances(Design built, Design before) {
        List<Entity> entities = built.entities().stream()
                .map(e -> kept(e, before.entity(e.id())))
                .toList();
        List<Relationship> relationships = built.relationships().stream()
                .map(r -> kept(r, before.relationship(r.id())))
                .toList();
        return built.withAll(entities, relationships);
    }

    private static <T> T kept(T now, Optional<T> before) {
        return before.filter(now::equals).orElse(now);
    }

    /** The entity whose table holds an entity's rows: the general one of a kind that shares its table, else itself. */
    public static Id tableHolder(Design design, Id entity) {
        return new OneTable(design).rootOf(entity);
    }

    static Stream<Relationship> sharing(Design design) {
        return design.relationships().stream().filter(r -> r.subtype() == SubtypeLayout.ONE_TABLE && !r.isRecursive());
    }
}
