package ableschema.core.design;

import ableschema.core.expression.Expression;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * An aid to searching and sorting, asked for by the designer; the indexes that keys bring along are not listed.
 *
 * @param purpose why it was asked for
 * @param only    which rows it is over, as in {@code left is null}; {@link Expression#none()} for all
 */
public record Index(Id id, List<Part> parts, boolean unique, Purpose purpose, Expression<ColumnRef> only, Pins pins) {
    public Index {
        parts = List.copyOf(parts);
    }

    /** An index over all rows, for searching. */
    public Index(Id id, List<Part> parts, boolean unique, Pins pins) {
        this(id, parts, unique, Purpose.SEARCHED, Expression.none(), pins);
    }

    /** What people often do by the columns of an index. */
    public enum Purpose {
        SEARCHED,
        SORTED,
        BOTH;

        public boolean includes(Purpose other) {
            return this == other || this == BOTH;
        }

        public Purpose and(Purpose other) {
            return this == other ? this : BOTH;
        }

        /** What is left of it without another; empty where that was all. */
        public Optional<Purpose> without(Purpose other) {
            return this == other
                    ? Optional.empty()
                    : Optional.of(this != BOTH ? this : other == SEARCHED ? SORTED : SEARCHED);
        }

        @Override
        public String toString() {
            return this == BOTH ? "searched and sorted" : this == SORTED ? "sorted" : "searched";
        }
    }

    public Index withPurpose(Purpose purpose) {
        return new Index(id, parts, unique, purpose, only, pins);
    }

    /** Returns an index that says the same under this one's id and names. */
    public Index saying(Index other) {
        return new Index(id, other.parts, other.unique, other.purpose, other.only, pins);
    }

    /** Whether both are over the same, whatever they are called and asked for. */
    public boolean isOverTheSameAs(Index other) {
        return parts.equals(other.parts) && unique == other.unique && only.equals(other.only);
    }

    /** Whether this is an index on one attribute and nothing else. */
    public boolean isOnlyOn(Attribute attribute) {
        return !unique
                && !only.isPresent()
                && parts.size() == 1
                && parts.get(0).column().filter(attribute.ref()::equals).isPresent();
    }

    /** Whether it is over columns as they are, and over all rows. */
    public boolean isPlain() {
        return !only.isPresent()
                && parts.stream().allMatch(part -> part.column().isPresent());
    }

    /** All columns that it speaks of, those of its condition too; one may come twice. */
    public Stream<ColumnRef> columns() {
        return Stream.concat(parts.stream().flatMap(part -> part.value().columns()), only.columns());
    }

    /** One column of an index, or what is made of some such as {@code lower({a:k3f9q2})}, and its direction. */
    public record Part(Expression<ColumnRef> value, boolean descending) {

        public Part(ColumnRef column, boolean descending) {
            this(Expression.column(column), descending);
        }

        /** The column; empty where something is made of it. */
        public Optional<ColumnRef> column() {
            return value.asColumn();
        }
    }
}
