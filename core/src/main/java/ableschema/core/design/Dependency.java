package ableschema.core.design;

import java.util.List;

/**
 * A stated dependency: rows alike in all of {@code from} are alike in all of {@code to}; or, where it is multivalued, what
 * stands in {@code to} goes with {@code from} whatever the rest of the row is.
 */
public record Dependency(Id id, List<KeyPart> from, List<KeyPart> to, boolean multivalued) {
    public Dependency {
        from = List.copyOf(from);
        to = List.copyOf(to);
    }

    /** A functional dependency. */
    public static Dependency functional(Id id, List<? extends KeyPart> from, List<? extends KeyPart> to) {
        return new Dependency(id, List.copyOf(from), List.copyOf(to), false);
    }

    /** Whether both say the same, whatever their ids. */
    public boolean saysAs(Dependency other) {
        return from.equals(other.from) && to.equals(other.to) && multivalued == other.multivalued;
    }
}
