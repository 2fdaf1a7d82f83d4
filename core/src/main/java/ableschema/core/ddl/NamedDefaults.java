package ableschema.core.ddl;

import ableschema.core.expression.Filling;
import ableschema.core.schema.Column;
import ableschema.core.schema.Part;
import ableschema.core.sql.dialect.DialectOption;
import java.util.HashMap;
import java.util.function.Predicate;

/** Defaults that are constraints with a name, as in SQL Server. */
final class NamedDefaults {

    private final Context context;

    NamedDefaults(Context context) {
        this.context = context;
    }

    /** @param at where it is said, as other dialects have no such names */
    void name(DraftTable table, String column, String called, Cursor at) {
        table.change(table.requireColumn(column), each -> {
            var options = new HashMap<>(each.options());
            boolean kept = context.option(options, Part.Kind.COLUMN, DialectOption.DEFAULT_NAME, called);
            if (!kept) {
                context.draft.skipAll(at.tokens().line(at.at()), called, ColumnReader.DEFAULT_NAME);
            }
            return kept ? each.withOptions(options) : each;
        });
    }

    /** Takes away the default of that name; false where there is none. */
    boolean drop(DraftTable table, String called) {
        Predicate<Column> is = column -> context.dialect
                .option(column.options(), DialectOption.DEFAULT_NAME)
                .filter(called::equalsIgnoreCase)
                .isPresent();
        boolean found = table.columns.stream().anyMatch(is);
        table.columns.replaceAll(column -> is.test(column)
                ? column.withFilling(Filling.nothing())
                        .withoutOption(context.dialect.name() + "." + DialectOption.DEFAULT_NAME)
                : column);
        return found;
    }
}
