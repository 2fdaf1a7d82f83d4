package ableschema.core.sql.dialect;

/**
 * How a dialect keeps one kind of values.
 *
 * @param pattern the type as it is written; {@code {n}} is the length, {@code {p}} and {@code {s}} digits, {@code {values}} a list
 * @param bytes   how many bytes a value takes; 0 where that depends on the value
 * @param limit   the longest length, or the most digits, that may be given; 0 for none
 * @param first   the first moment that it holds, at Greenwich; empty where that is no limit
 * @param last    the last moment that it holds
 */
public record TypeForm(String pattern, int bytes, long limit, String first, String last) {

    /** The kinds of values that dialects have types for. */
    public enum Kind {
        TEXT,
        LONG_TEXT,
        /** Whole numbers of two bytes. */
        SMALL,
        /** Whole numbers of four bytes. */
        WHOLE,
        /** Whole numbers of eight bytes. */
        BIG,
        DECIMAL,
        REAL,
        YES_NO,
        YEAR,
        DATE,
        TIME,
        MOMENT,
        MOMENT_ANYWHERE,
        UUID,
        JSON,
        BYTES,
        LONG_BYTES,
        LIST
    }

    static TypeForm of(String pattern) {
        return new TypeForm(pattern, 0, 0, "", "");
    }

    static TypeForm of(String pattern, int bytes) {
        return new TypeForm(pattern, bytes, 0, "", "");
    }

    /** The same type with the most that may be given. */
    TypeForm upTo(long limit) {
        return new TypeForm(pattern, bytes, limit, first, last);
    }

    /** The same type with the first and the last moment that it holds. */
    TypeForm between(String first, String last) {
        return new TypeForm(pattern, bytes, limit, first, last);
    }

    /** Whether there is no first and last moment. */
    public boolean isUnlimited() {
        return first.isEmpty();
    }

    /** Whether a moment is within the first and the last. */
    public boolean holds(String moment) {
        return isUnlimited() || first.compareTo(moment) <= 0 && moment.compareTo(last) <= 0;
    }

    /** The smallest whole number that this holds, for a type of whole numbers. */
    public long smallest() {
        return bytes >= 8 ? Long.MIN_VALUE : -(1L << (8 * bytes - 1));
    }

    /** The largest whole number that this holds, for a type of whole numbers. */
    public long largest() {
        return bytes >= 8 ? Long.MAX_VALUE : (1L << (8 * bytes - 1)) - 1;
    }
}
