package ableschema.core.theory;

import java.util.List;
import java.util.Optional;

/**
 * Parts that a relation can be taken into.
 *
 * @param goal                  the normal form that the parts are meant to be in
 * @param parts                 none of which is contained in another
 * @param inForm                whether every part was proved to be in that form; in wide parts not every set can be tried
 * @param lossless              whether the parts joined give the rows back, and no others; empty where it was not proved
 * @param preservesDependencies whether every stated functional dependency can be held within single parts
 */
public record Decomposition(
        NormalForm goal, List<Part> parts, boolean inForm, Optional<Boolean> lossless, boolean preservesDependencies) {
    public Decomposition {
        parts = List.copyOf(parts);
    }

    /** One part and one of its keys. */
    public record Part(AttributeSet attributes, AttributeSet key) {}

    /** Whether it was proved that nothing is lost when the parts are joined. */
    public boolean isProvedLossless() {
        return lossless.orElse(false);
    }

    /** What is known of joining the parts, in words. */
    public String losslessInWords() {
        return lossless.map(proved -> proved ? "nothing lost when joined" : "rows are lost or made up when joined")
                .orElse("not proved whether something is lost when joined");
    }
}
