package ableschema.core.design;

import ableschema.core.expression.Filling;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import java.util.function.Predicate;
import java.util.stream.Stream;

/**
 * What makes a table of something: attributes, key, rules and sample rows. An entity has one, and so has a
 * relationship, for which it counts where the relationship is many-to-many.
 *
 * @param refused dependencies that were proposed and that the designer refused
 * @param key the primary key in its order; empty where none is chosen. In a many-to-many, what widens the pair.
 */
public record Body(
        List<Attribute> attributes,
        List<KeyPart> key,
        List<Unique> uniques,
        List<Check> checks,
        List<Index> indexes,
        List<Dependency> dependencies,
        List<Dependency> refused,
        List<Row> rows) {

    public static final Body EMPTY =
            new Body(List.of(), List.of(), List.of(), List.of(), List.of(), List.of(), List.of(), List.of());

    public Body {
        attributes = List.copyOf(attributes);
        key = List.copyOf(key);
        uniques = List.copyOf(uniques);
        checks = List.copyOf(checks);
        indexes = List.copyOf(indexes);
        dependencies = List.copyOf(dependencies);
        refused = List.copyOf(refused);
        rows = List.copyOf(rows);
    }

    public Optional<Attribute> attribute(Id id) {
        return attributes.stream().filter(a -> a.id().equals(id)).findFirst();
    }

    /** The attribute of that name, whatever its letter case. */
    public Optional<Attribute> attribute(String name) {
        return attributes.stream().filter(a -> a.name().equalsIgnoreCase(name)).findFirst();
    }

    public boolean isUnique(Attribute attribute) {
        return uniques.stream().anyMatch(u -> u.parts().equals(List.of(attribute.ref())));
    }

    public Body withAttributes(List<Attribute> attributes) {
        return attributes.equals(this.attributes)
                ? this
                : new Body(attributes, key, uniques, checks, indexes, dependencies, refused, rows);
    }

    public Body with(Attribute attribute) {
        return withAttributes(Lists.plus(attributes, attribute));
    }

    /** Returns this body with the attribute of the same id replaced; where it has another type, its rules are written as that is. */
    public Body replacing(Attribute attribute) {
        Optional<Retyped> retyped = attribute(attribute.id()).flatMap(before -> Retyped.of(before, attribute));
        Attribute after = retyped.map(Retyped::attribute).orElse(attribute);
        Body body = withAttributes(Lists.replace(attributes, Attribute::id, after));
        return retyped.map(
                        type -> body.withChecks(checks.stream().map(type::check).toList()))
                .orElse(body);
    }

    /** Takes an attribute out, and out of keys, rules, dependencies and rows. */
    public Body without(Id attribute) {
        Body rest = withoutParts(
                part -> part instanceof ColumnRef.Own own && own.id().equals(attribute));
        return rest.withAttributes(rest.attributes.stream()
                        .filter(a -> !a.id().equals(attribute))
                        .toList())
                .withRows(rows.stream().map(row -> row.with(attribute, "")).toList());
    }

    /** Takes everything out that comes through one of these relationships; the same instance where nothing does. */
    public Body withoutReferences(List<Id> relationships) {
        Body rest = this;
        for (Id each : relationships) {
            rest = rest.withoutReference(each);
        }
        return rest;
    }

    /** Takes everything out that comes through this relationship; the same instance where nothing does. */
    public Body withoutReference(Id relationship) {
        Body rest = withoutParts(part -> part.through()
                        .filter(end -> end.relationship().equals(relationship))
                        .isPresent())
                .withRows(rows.stream()
                        .map(row -> row.with(new EndRef(relationship, Side.FIRST), Optional.empty())
                                .with(new EndRef(relationship, Side.SECOND), Optional.empty()))
                        .toList());
        return rest.equals(this) ? this : rest;
    }

    /** What was computed from something that is gone stays, and is entered from now on. */
    private static Attribute computedWithout(Attribute attribute, Predicate<KeyPart> gone) {
        boolean lost = attribute.filling().isComputed()
                && attribute.filling().expression().columns().anyMatch(gone);
        return lost ? attribute.withFilling(Filling.nothing()) : attribute;
    }

    private Body withoutParts(Predicate<KeyPart> gone) {
        Function<List<KeyPart>, List<KeyPart>> kept =
                parts -> parts.stream().filter(gone.negate()).toList();
        return new Body(
                attributes.stream().map(a -> computedWithout(a, gone)).toList(),
                kept.apply(key),
                uniques.stream().filter(u -> u.parts().stream().noneMatch(gone)).toList(),
                checks.stream()
                        .filter(c -> c.expression().columns().noneMatch(gone))
                        .toList(),
                indexes.stream().filter(i -> i.columns().noneMatch(gone)).toList(),
                without(dependencies, gone),
                without(refused, gone),
                rows);
    }

    private static List<Dependency> without(List<Dependency> dependencies, Predicate<KeyPart> gone) {
        return dependencies.stream()
                .filter(d -> Stream.concat(d.from().stream(), d.to().stream()).noneMatch(gone))
                .toList();
    }

    public Body withKey(List<KeyPart> key) {
        return key.equals(this.key)
                ? this
                : new Body(attributes, key, uniques, checks, indexes, dependencies, refused, rows);
    }

    public Body withUniques(List<Unique> uniques) {
        return uniques.equals(this.uniques)
                ? this
                : new Body(attributes, key, uniques, checks, indexes, dependencies, refused, rows);
    }

    public Body withoutCheck(Id check) {
        return withChecks(
                checks.stream().filter(each -> !each.id().equals(check)).toList());
    }

    public Body withoutIndex(Id index) {
        return withIndexes(
                indexes.stream().filter(each -> !each.id().equals(index)).toList());
    }

    public Body withChecks(List<Check> checks) {
        return checks.equals(this.checks)
                ? this
                : new Body(attributes, key, uniques, checks, indexes, dependencies, refused, rows);
    }

    public Body withIndexes(List<Index> indexes) {
        return indexes.equals(this.indexes)
                ? this
                : new Body(attributes, key, uniques, checks, indexes, dependencies, refused, rows);
    }

    public Body withDependencies(List<Dependency> dependencies) {
        return dependencies.equals(this.dependencies)
                ? this
                : new Body(attributes, key, uniques, checks, indexes, dependencies, refused, rows);
    }

    public Body withRefused(List<Dependency> refused) {
        return refused.equals(this.refused)
                ? this
                : new Body(attributes, key, uniques, checks, indexes, dependencies, refused, rows);
    }

    public Body withRows(List<Row> rows) {
        return rows.equals(this.rows)
                ? this
                : new Body(attributes, key, uniques, checks, indexes, dependencies, refused, rows);
    }
}
