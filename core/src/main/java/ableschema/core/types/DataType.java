package ableschema.core.types;

import java.util.List;
import java.util.Optional;

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

        R simple(Simple type);
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
        @Override
        public <R> R accept(Visitor<R> visitor) {
            return visitor.whole(this);
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

    /** Whole numbers that the database hands out, from {@code start} by {@code step}. */
    record Counted(long start, long step) implements DataType {
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
            return new Whole(0);
        }

        @Override
        public boolean isNumeric() {
            return true;
        }

        @Override
        public String toString() {
            if (step != 1) {
                return "counted " + start + " by " + step;
            }
            return start == 1 ? "counted" : "counted " + start;
        }
    }

    /** Exact numbers of {@code precision} digits, {@code scale} of them behind the point. */
    record Decimal(int precision, int scale) implements DataType {
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

    /** The types that need no numbers. */
    enum Simple implements DataType {
        REAL("real"),
        YES_NO("yes/no"),
        YEAR("year"),
        DATE("date"),
        TIME("time"),
        MOMENT("moment"),
        MOMENT_ANYWHERE("moment anywhere"),
        UUID("uuid");

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
