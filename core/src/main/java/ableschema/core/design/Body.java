package ableschema.core.design;

import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import java.util.function.Predicate;
import java.util.stream.Stream;

/**
 * What makes a table of something: attributes, key, rules and sample rows. An entity has one, and so has a
 * relationship, for which it counts where the relationship is many-to-many.
 *
 * @param key the primary key in its order; empty where none is chosen. In a many-to-many, what widens the pair.
 */
public record Body(
        List<Attribute> attributes,
        List<KeyPart> key,
        List<Unique> uniques,
        List<Check> checks,
        List<Index> indexes,
        List<Dependency> dependencies,
        List<Row> rows) {

    public static final Body EMPTY =
            new Body(List.of(), List.of(), List.of(), List.of(), List.of(), List.of(), List.of());

    public Body {
        attributes = List.copyOf(attributes);
        key = List.copyOf(key);
        uniques = List.copyOf(uniques);
        checks = List.copyOf(checks);
        indexes = List.copyOf(indexes);
        dependencies = List.copyOf(dependencies);
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
        return new Body(attributes, key, uniques, checks, indexes, dependencies, rows);
    }

    public Body with(Attribute attribute) {
        return withAttributes(Lists.plus(attributes, attribute));
    }

    /** Returns this body with the attribute of the same id replaced. */
    public Body replacing(Attribute attribute) {
        return withAttributes(Lists.replace(attributes, Attribute::id, attribute));
    }

    /** Takes an attribute out, and out of keys, rules, dependencies and rows. */
    public Body without(Id attribute) {
        return withoutParts(
                        part -> part instanceof ColumnRef.Own own && own.id().equals(attribute))
                .withAttributes(attributes.stream()
                        .filter(a -> !a.id().equals(attribute))
                        .toList())
                .withRows(rows.stream().map(row -> row.with(attribute, "")).toList());
    }

    /** Takes everything out that comes through this relationship. */
    public Body withoutReference(Id relationship) {
        return withoutParts(part -> part.through()
                        .filter(end -> end.relationship().equals(relationship))
                        .isPresent())
                .withRows(rows.stream()
                        .map(row -> row.with(new EndRef(relationship, Side.FIRST), Optional.empty())
                                .with(new EndRef(relationship, Side.SECOND), Optional.empty()))
                        .toList());
    }

    private Body withoutParts(Predicate<KeyPart> gone) {
        Function<List<KeyPart>, List<KeyPart>> kept =
                parts -> parts.stream().filter(gone.negate()).toList();
        return new Body(
                attributes,
                kept.apply(key),
                uniques.stream().filter(u -> u.parts().stream().noneMatch(gone)).toList(),
                checks.stream()
                        .filter(c -> c.expression().columns().noneMatch(gone))
                        .toList(),
                indexes.stream()
                        .filter(i -> i.parts().stream().map(Index.Part::column).noneMatch(gone))
                        .toList(),
                dependencies.stream()
                        .filter(d -> Stream.concat(d.from().stream(), d.to().stream())
                                .noneMatch(gone))
                        .toList(),
                rows);
    }

    public Body withKey(List<KeyPart> key) {
        return new Body(attributes, key, uniques, checks, indexes, dependencies, rows);
    }

    public Body withUniques(List<Unique> uniques) {
        return new Body(attributes, key, uniques, checks, indexes, dependencies, rows);
    }

    public Body withChecks(List<Check> checks) {
        return new Body(attributes, key, uniques, checks, indexes, dependencies, rows);
    }

    public Body withIndexes(List<Index> indexes) {
        return new Body(attributes, key, uniques, checks, indexes, dependencies, rows);
    }

    public Body withDependencies(List<Dependency> dependencies) {
        return new Body(attributes, key, uniques, checks, indexes, dependencies, rows);
    }

    public Body withRows(List<Row> rows) {
        return rows.equals(this.rows) ? this : new Body(attributes, key, uniques, checks, indexes, dependencies, rows);
    }
}
