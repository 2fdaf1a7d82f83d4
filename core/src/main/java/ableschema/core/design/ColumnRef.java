package ableschema.core.design;

import java.util.Optional;

/** The address of a column: an attribute, or a column of the key that a relationship refers to. */
public sealed interface ColumnRef extends KeyPart permits ColumnRef.Own, ForeignColumn, ColumnRef.Keyless {

    /** Reads {@code a:k3f9q2}, {@code r:k3f9q2.1/a:k3f9q2} and so on, or {@code r:k3f9q2.1/?}. */
    static ColumnRef parse(String text) {
        int slash = text.indexOf('/');
        if (slash >= 0) {
            return new ForeignColumn(EndRef.parse(text.substring(0, slash)), parse(text.substring(slash + 1)));
        }
        return text.equals("?") ? new Keyless() : new Own(Id.parse(text));
    }

    static ColumnRef of(Attribute attribute) {
        return new Own(attribute.id());
    }

    /** The attribute at the far end of all relationships passed through; empty for an entity without a key. */
    Optional<Id> attribute();

    /** An attribute of the thing itself. */
    record Own(Id id) implements ColumnRef {
        @Override
        public Optional<Id> attribute() {
            return Optional.of(id);
        }

        @Override
        public Optional<EndRef> through() {
            return Optional.empty();
        }

        @Override
        public String toString() {
            return id.toString();
        }
    }

    /** The column that stands for the key of an entity that has none yet. */
    record Keyless() implements ColumnRef {
        @Override
        public Optional<Id> attribute() {
            return Optional.empty();
        }

        @Override
        public Optional<EndRef> through() {
            return Optional.empty();
        }

        @Override
        public String toString() {
            return "?";
        }
    }
}
