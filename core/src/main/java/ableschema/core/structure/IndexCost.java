package ableschema.core.structure;

import ableschema.core.design.Volume;
import ableschema.core.holding.Space;
import ableschema.core.schema.Column;
import ableschema.core.schema.Schema;
import ableschema.core.schema.Table;
import ableschema.core.sql.dialect.Dialect;
import ableschema.core.sql.dialect.TypeForm;
import ableschema.core.types.DataType;
import java.util.Collection;

/**
 * What an index takes for the rows that are expected: roughly the values of its columns and where the row is, for each row. Texts are
 * counted as half full.
 */
final class IndexCost {

    static final int PLANNED_YEARS = 10;

    private static final int ROW_ADDRESS = 8;
    private static final int USUAL_TEXT = 30;

    private final Schema schema;
    private final Dialect dialect;
    private final Table table;
    private final long rows;

    IndexCost(Schema schema, Dialect dialect, Table table, Volume expected) {
        this.schema = schema;
        this.dialect = dialect;
        this.table = table;
        this.rows = expected.after(PLANNED_YEARS);
    }

    /** "about 4.2 MB"; empty where nobody said how many rows are expected. */
    String of(Collection<String> columns) {
        if (rows == 0) {
            return "";
        }
        int each = ROW_ADDRESS
                + columns.stream()
                        .flatMap(name -> table.column(name).stream())
                        .mapToInt(this::bytes)
                        .sum();
        return "about " + Space.said((double) rows * each);
    }

    private int bytes(Column column) {
        DataType type = schema.resolved(column.type());
        TypeForm form = dialect.form(type);
        if (form.bytes() > 0) {
            return form.bytes();
        }
        if (type instanceof DataType.Text text) {
            return text.max() == 0 ? USUAL_TEXT : text.max() / 2 + 1;
        }
        if (type instanceof DataType.Decimal decimal) {
            return decimal.precision() / 2 + 2; // two digits a byte, and the sign and point
        }
        return ROW_ADDRESS;
    }
}
