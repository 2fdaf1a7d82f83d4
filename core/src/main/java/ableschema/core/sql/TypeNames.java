package ableschema.core.sql;

import ableschema.core.types.DataType;
import java.util.EnumMap;
import java.util.Map;

/**
 * The names of types in one dialect.
 *
 * @param text     the name of text with a limit, which follows it in brackets
 * @param longText the name of text without one
 * @param decimal  the name of exact numbers, whose digits follow in brackets
 */
record TypeNames(String text, String longText, String decimal, Whole whole, Map<DataType.Simple, String> simple)
        implements DataType.Visitor<String> {

    /** Whole numbers by width: of two bytes, four, and eight. */
    record Whole(String two, String four, String eight) {
        String holding(long largest) {
            if (largest == 0) {
                return four;
            }
            return largest <= Short.MAX_VALUE ? two : largest <= Integer.MAX_VALUE ? four : eight;
        }
    }

    static final Whole USUAL_WHOLE = new Whole("smallint", "integer", "bigint");

    /** ISO/IEC 9075; it has no uuid, whose text form has 36 characters. */
    static final TypeNames STANDARD = new TypeNames(
            "varchar",
            "clob",
            "decimal",
            USUAL_WHOLE,
            Map.of(
                    DataType.Simple.REAL, "double precision",
                    DataType.Simple.YES_NO, "boolean",
                    DataType.Simple.YEAR, "smallint",
                    DataType.Simple.DATE, "date",
                    DataType.Simple.TIME, "time",
                    DataType.Simple.MOMENT, "timestamp",
                    DataType.Simple.MOMENT_ANYWHERE, "timestamp with time zone",
                    DataType.Simple.UUID, "char(36)"));

    TypeNames withLongText(String longText) {
        return new TypeNames(text, longText, decimal, whole, simple);
    }

    TypeNames withWhole(Whole whole) {
        return new TypeNames(text, longText, decimal, whole, simple);
    }

    TypeNames with(DataType.Simple type, String name) {
        var changed = new EnumMap<>(simple);
        changed.put(type, name);
        return new TypeNames(text, longText, decimal, whole, changed);
    }

    @Override
    public String undecided() {
        return "undecided";
    }

    @Override
    public String text(DataType.Text type) {
        return type.max() == 0 ? longText : text + "(" + type.max() + ")";
    }

    @Override
    public String whole(DataType.Whole type) {
        return whole.holding(type.largest());
    }

    @Override
    public String counted(DataType.Counted type) {
        return whole.four();
    }

    @Override
    public String decimal(DataType.Decimal type) {
        return decimal + "(" + type.precision() + "," + type.scale() + ")";
    }

    @Override
    public String simple(DataType.Simple type) {
        return simple.getOrDefault(type, type.toString());
    }
}
