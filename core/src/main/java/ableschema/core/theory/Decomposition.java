package ableschema.core.theory;

import java.util.List;

/**
 * Parts that a relation can be taken into.
 *
 * @param goal                  the normal form that every part is in
 * @param parts                 none of which is contained in another
 * @param lossless              whether the parts joined give the rows back, and no others
 * @param preservesDependencies whether every stated functional dependency can be held within single parts
 */
public record Decomposition(NormalForm goal, List<Part> parts, boolean lossless, boolean preservesDependencies) {
    public Decomposition {
        parts = List.copyOf(parts);
    }

    /** One part and one of its keys. */
    public record Part(AttributeSet attributes, AttributeSet key) {}
}
