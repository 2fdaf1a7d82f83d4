package ableschema.core.design;

import java.util.Optional;

/** One part of a key or of a dependency: a column, or a whole relationship with all columns it brings. */
public sealed interface KeyPart permits ColumnRef, KeyPart.WholeReference {

    /** The end of a relationship that this part comes through, if it comes through one. */
    Optional<EndRef> through();

    /** Reads {@code a:k3f9q2}, {@code r:k3f9q2.1/a:k3f9q2} or {@code r:k3f9q2.1}. */
    static KeyPart parse(String text) {
        return text.startsWith("r") && text.indexOf('/') < 0
                ? new WholeReference(EndRef.parse(text))
                : ColumnRef.parse(text);
    }

    /** Everything that refers to the entity at this end of a relationship, as one part. */
    record WholeReference(EndRef end) implements KeyPart {
        @Override
        public Optional<EndRef> through() {
            return Optional.of(end);
        }

        @Override
        public String toString() {
            return end.toString();
        }
    }
}
