package ableschema.core.design;

import java.util.List;

/** A stated functional dependency: rows alike in all of {@code from} are alike in all of {@code to}. */
public record Dependency(Id id, List<KeyPart> from, List<KeyPart> to) {
    public Dependency {
        from = List.copyOf(from);
        to = List.copyOf(to);
    }
}
