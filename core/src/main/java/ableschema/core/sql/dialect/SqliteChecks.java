package ableschema.core.sql.dialect;

import ableschema.core.types.DataType;
import java.math.BigInteger;
import java.util.List;
import java.util.UUID;

/** Conditions that hold the values of a SQLite column to its type; each takes an empty value. */
final class SqliteChecks implements DataType.Visitor<List<String>> {

    private final Sqlite dialect;
    private final String column;
    private final boolean nullable;

    SqliteChecks(Sqlite dialect, String column, boolean nullable) {
        this.dialect = dialect;
        this.column = column;
        this.nullable = nullable;
    }

    private String isOf(String... kinds) {
        String listed = String.join("', '", kinds);
        return kinds.length == 1 && !nullable
                ? "typeof(" + column + ") = '" + listed + "'"
                : "typeof(" + column + ") IN ('" + listed + (nullable ? "', 'null" : "") + "')";
    }

    /** How far a value may go; of what kind it is, the expression says. */
    List<String> ofComputed(DataType base) {
        if (base instanceof DataType.Whole whole && whole.widest() != Long.MAX_VALUE) {
            return List.of(range(whole));
        }
        boolean bounded = base instanceof DataType.Text || base instanceof DataType.OneOf;
        return base instanceof DataType.Decimal decimal
                ? List.of(below(decimal))
                : bounded ? base.accept(this) : List.of();
    }

    private String range(DataType.Whole type) {
        return column + " BETWEEN " + type.lowest() + " AND " + type.widest();
    }

    private String below(DataType.Decimal type) {
        // beyond 15 digits its numbers are not exact, so that more could not be told apart
        int whole = type.precision() - type.scale();
        int digits = Math.min(whole, 300);
        return "abs(" + column + ") < "
                + (whole > 15 ? "1e" + digits : BigInteger.TEN.pow(digits).toString());
    }

    @Override
    public List<String> undecided() {
        return List.of();
    }

    @Override
    public List<String> text(DataType.Text type) {
        return type.max() == 0 ? List.of() : List.of("length(" + column + ") <= " + type.max());
    }

    @Override
    public List<String> whole(DataType.Whole type) {
        // SQLite keeps eight bytes whatever the type; of as many nothing has to be asked
        return List.of(isOf("integer") + (type.widest() == Long.MAX_VALUE ? "" : " AND " + range(type)));
    }

    @Override
    public List<String> counted(DataType.Counted type) {
        return List.of(isOf("integer"));
    }

    @Override
    public List<String> decimal(DataType.Decimal type) {
        String round = type.scale() == 0 ? "" : " AND " + column + " = round(" + column + ", " + type.scale() + ")";
        return List.of((type.scale() == 0 ? isOf("integer") : isOf("integer", "real") + round) + " AND " + below(type));
    }

    @Override
    public List<String> list(DataType.OneOf type) {
        return dialect.usualHolding(type, column);
    }

    @Override
    public List<String> bytes(DataType.Bytes type) {
        return List.of(isOf("blob") + (type.max() == 0 ? "" : " AND length(" + column + ") <= " + type.max()));
    }

    @Override
    public List<String> domain(DataType.InDomain type) {
        return List.of();
    }

    @Override
    public List<String> simple(DataType.Simple type) {
        return List.of(
                switch (type) {
                    case REAL -> isOf("real", "integer");
                    case YES_NO -> column + " IN (0, 1)";
                    case YEAR -> isOf("integer") + " AND " + column + " BETWEEN 1 AND 9999";
                    case DATE -> column + " IS date(" + column + ")";
                    case TIME -> column + " IS time(" + column + ")";
                    case MOMENT -> column + " IS datetime(" + column + ")";
                    case MOMENT_ANYWHERE ->
                        column + " IS NULL OR datetime(" + column + ") IS NOT NULL AND " + column
                                + " GLOB '????-??-?? ??:??:??[+-]??:??'";
                    case UUID ->
                        column + " GLOB '????????-????-????-????-????????????' AND length(replace(" + column
                                + ", '-', '')) = 32 AND " + column + " NOT GLOB '*[^0-9a-fA-F-]*'";
                    case JSON -> "json_valid(" + column + ")";
                });
    }
}
