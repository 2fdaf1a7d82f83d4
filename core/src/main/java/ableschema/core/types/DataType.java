package ableschema.core.types;

import static java.util.stream.Collectors.joining;

import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.regex.Pattern;

/**
 * What an attribute holds, such as {@code text 40} or {@code decimal 6,2}. The text form of a type is its
 * {@link #toString()}; {@link DataTypes#parse} reads it back.
 */
public sealed interface DataType {

    /** Calls the visitor's method for this kind of type. */
    <R> R accept(Visitor<R> visitor);

    /** The type of a column that refers to a column of this type: the same values, but never numbered by itself. */
    default DataType asReferenced() {
        return this;
    }

    default boolean isNumeric() {
        return false;
    }

    /** One method a kind, without a default, so that the compiler finds what a new kind still needs. */
    interface Visitor<R> {
        R undecided();

        R text(Text type);

        R whole(Whole type);

        R counted(Counted type);

        R decimal(Decimal type);

        R list(OneOf type);

        R bytes(Bytes type);

        R domain(InDomain type);

        R simple(Simple type);
    }

    /** A visitor that treats most kinds alike: what is not overridden gives what {@link #other} does. */
    abstract class OtherVisitor<R> implements Visitor<R> {

        protected abstract R other(DataType type);

        @Override
        public R undecided() {
            return other(DataTypes.UNDECIDED);
        }

        @Override
        public R text(Text type) {
            return other(type);
        }

        @Override
        public R whole(Whole type) {
            return other(type);
        }

        @Override
        public R counted(Counted type) {
            return other(type);
        }

        @Override
        public R decimal(Decimal type) {
            return other(type);
        }

        @Override
        public R list(OneOf type) {
            return other(type);
        }

        @Override
        public R bytes(Bytes type) {
            return other(type);
        }

        @Override
        public R domain(InDomain type) {
            return other(type);
        }

        @Override
        public R simple(Simple type) {
            return other(type);
        }
    }

    /** Nothing has been said yet. */
    record Undecided() implements DataType {
        @Override
        public <R> R accept(Visitor<R> visitor) {
            return visitor.undecided();
        }

        @Override
        public String toString() {
            return "undecided";
        }
    }

    /** Text of at most {@code max} characters; 0 for long text without a limit. */
    record Text(int max) implements DataType {
        @Override
        public <R> R accept(Visitor<R> visitor) {
            return visitor.text(this);
        }

        @Override
        public String toString() {
            return max == 0 ? "text" : "text " + max;
        }
    }

    /** Whole numbers up to {@code largest} either way; 0 where the largest has not been said. */
    record Whole(long largest) implements DataType {

        /** The largest that can be said: all the digits that eight bytes have room for. */
        public static final long LARGEST = 999_999_999_999_999_999L;

        @Override
        public <R> R accept(Visitor<R> visitor) {
            return visitor.whole(this);
        }

        /** The largest value in the width that the largest expected chooses: what is expected is a rule for none. */
        public long widest() {
            return largest == 0 || largest > Short.MAX_VALUE
                    ? largest > Integer.MAX_VALUE ? Long.MAX_VALUE : Integer.MAX_VALUE
                    : Short.MAX_VALUE;
        }

        /** The lowest value in the same width, which has room for one more below zero than above. */
        public long lowest() {
            return -widest() - 1;
        }

        @Override
        public boolean isNumeric() {
            return true;
        }

        @Override
        public String toString() {
            return largest == 0 ? "whole" : "whole " + largest;
        }
    }

    /**
     * Whole numbers that the database hands out, from {@code start} by {@code step}.
     *
     * @param last the number that its column must have room for; 0 where the usual width will do
     */
    record Counted(long start, long step, long last) implements DataType {
        public Counted(long start, long step) {
            this(start, step, 0);
        }

        public Counted {
            if (step == 0) {
                throw new IllegalArgumentException("a counted number must grow or shrink: its step cannot be 0");
            }
        }

        @Override
        public <R> R accept(Visitor<R> visitor) {
            return visitor.counted(this);
        }

        @Override
        public DataType asReferenced() {
            return new Whole(largest());
        }

        /** The largest number that its column must have room for: 0 where the usual width has it. */
        public long largest() {
            long furthest = Math.max(Math.abs(start), Math.abs(step));
            return Math.max(furthest, Math.abs(last)) > Integer.MAX_VALUE ? Whole.LARGEST : 0;
        }

        @Override
        public boolean isNumeric() {
            return true;
        }

        @Override
        public String toString() {
            String by = step == 1 ? "" : " by " + step;
            String from = start == 1 && step == 1 ? "" : " " + start;
            return "counted" + from + by + (last == 0 ? "" : " to " + last);
        }
    }

    /** Exact numbers of {@code precision} digits, {@code scale} of them behind the point. */
    record Decimal(int precision, int scale) implements DataType {

        /** One of which nobody has said how many digits it has, as databases have it. */
        public static final Decimal ANY = new Decimal(38, 10);

        public Decimal {
            if (precision < 1 || scale < 0 || scale > precision) {
                throw new IllegalArgumentException("a decimal has 1 or more digits and no more of them behind the"
                        + " point than in all, not " + precision + "," + scale);
            }
        }

        @Override
        public <R> R accept(Visitor<R> visitor) {
            return visitor.decimal(this);
        }

        @Override
        public boolean isNumeric() {
            return true;
        }

        @Override
        public String toString() {
            return "decimal " + precision + "," + scale;
        }
    }

    /** One of a few texts, in the designer's order. */
    record OneOf(List<String> values) implements DataType {
        public OneOf {
            values = List.copyOf(values);
            if (values.isEmpty() || values.stream().anyMatch(String::isEmpty)) {
                throw new IllegalArgumentException("a list of values has at least one, and none of them empty");
            }
            if (new HashSet<>(values).size() < values.size()) {
                throw new IllegalArgumentException("a value stands twice in the list " + String.join(", ", values));
            }
        }

        @Override
        public <R> R accept(Visitor<R> visitor) {
            return visitor.list(this);
        }

        /** The length of the longest value in characters. */
        public int longest() {
            return values.stream()
                    .mapToInt(v -> v.codePointCount(0, v.length()))
                    .max()
                    .orElse(1);
        }

        @Override
        public String toString() {
            return "list (" + values.stream().map(OneOf::quoted).collect(joining(", ")) + ")";
        }

        private static String quoted(String value) {
            return PLAIN.matcher(value).matches() ? value : '"' + value.replace("\"", "\"\"") + '"';
        }

        private static final Pattern PLAIN = Pattern.compile("[\\p{L}\\p{N}]+(?:[ ._/+-][\\p{L}\\p{N}]+)*");
    }

    /** Bytes, at most {@code max} of them; 0 for no limit. */
    record Bytes(long max) implements DataType {
        @Override
        public <R> R accept(Visitor<R> visitor) {
            return visitor.bytes(this);
        }

        @Override
        public String toString() {
            return max == 0 ? "bytes" : "bytes " + max;
        }
    }

    /**
     * What a domain holds.
     *
     * @param domain what the domain is addressed by: in a design its id, in a schema its name
     */
    record InDomain(String domain) implements DataType {
        @Override
        public <R> R accept(Visitor<R> visitor) {
            return visitor.domain(this);
        }

        @Override
        public String toString() {
            return "domain " + domain;
        }
    }

    /** The types that need no numbers. */
    enum Simple implements DataType {
        REAL("real"),
        YES_NO("yes/no"),
        YEAR("year"),
        DATE("date"),
        TIME("time"),
        MOMENT("moment"),
        MOMENT_ANYWHERE("moment anywhere"),
        UUID("uuid"),
        JSON("json");

        private final String text;

        Simple(String text) {
            this.text = text;
        }

        static Optional<DataType> named(String text) {
            return List.of(values()).stream()
                    .filter(type -> type.text.equals(text))
                    .map(DataType.class::cast)
                    .findFirst();
        }

        @Override
        public <R> R accept(Visitor<R> visitor) {
            return visitor.simple(this);
        }

        @Override
        public boolean isNumeric() {
            return this == REAL || this == YEAR;
        }

        @Override
        public String toString() {
            return text;
        }
    }
}
