package ableschema.core.mapping;

import ableschema.core.design.Attribute;
import ableschema.core.design.Body;
import ableschema.core.design.Check;
import ableschema.core.design.ColumnRef;
import ableschema.core.design.Dependency;
import ableschema.core.design.Index;
import ableschema.core.design.KeyPart;
import ableschema.core.design.Unique;
import java.util.List;
import java.util.function.Function;
import java.util.function.UnaryOperator;

/** Gives the parts of keys, rules and indexes of a body other addresses; the same instance where none changes. */
public record Readdressing(Function<KeyPart, List<KeyPart>> part, UnaryOperator<ColumnRef> column) {

    public Body of(Body body) {
        List<Attribute> attributes = body.attributes().stream()
                .map(a -> a.filling().isPresent() ? a.withFilling(a.filling().map(column)) : a)
                .toList();
        List<Unique> uniques = body.uniques().stream()
                .map(u -> new Unique(u.id(), parts(u.parts()), u.pins()))
                .toList();
        List<Check> checks = body.checks().stream()
                .map(c -> new Check(c.id(), c.expression().map(column), c.pins()))
                .toList();
        List<Index> indexes = body.indexes().stream()
                .map(i -> new Index(
                        i.id(),
                        i.parts().stream()
                                .map(p -> new Index.Part(p.value().map(column), p.descending()))
                                .toList(),
                        i.unique(),
                        i.purpose(),
                        i.only().map(column),
                        i.pins()))
                .toList();
        Body changed = body.withAttributes(attributes)
                .withKey(parts(body.key()))
                .withUniques(uniques)
                .withChecks(checks)
                .withIndexes(indexes)
                .withDependencies(dependencies(body.dependencies()))
                .withRefused(dependencies(body.refused()));
        return changed.equals(body) ? body : changed;
    }

    private List<Dependency> dependencies(List<Dependency> dependencies) {
        return dependencies.stream()
                .map(d -> new Dependency(d.id(), parts(d.from()), parts(d.to()), d.multivalued()))
                .toList();
    }

    private List<KeyPart> parts(List<KeyPart> parts) {
        return parts.stream().flatMap(p -> part.apply(p).stream()).distinct().toList();
    }
}
