package ableschema.core.sql;

import ableschema.core.expression.Expression;
import ableschema.core.expression.Filling;
import ableschema.core.schema.Column;
import ableschema.core.schema.Schema;
import ableschema.core.schema.Table;
import ableschema.core.sql.dialect.Ability;
import ableschema.core.sql.dialect.Dialect;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** Writes out what is computed from computed columns, down to columns that are entered, where a database takes nothing else. */
final class WrittenOut {

    /** What is computed from itself by some way comes to no end, and is refused by the database. */
    private static final int MOST_STEPS = 20;

    private WrittenOut() {}

    static Schema of(Schema schema, Dialect dialect) {
        return dialect.can(Ability.COMPUTED_FROM_COMPUTED)
                ? schema
                : new Schema(
                        schema.domains(),
                        schema.tables().stream()
                                .map(table -> of(table, dialect))
                                .toList(),
                        schema.carried());
    }

    /** The same of one table. */
    static Table of(Table table, Dialect dialect) {
        boolean several = !dialect.can(Ability.COMPUTED_FROM_COMPUTED)
                && table.columns().stream()
                                .filter(column -> column.filling().isComputed())
                                .count()
                        > 1;
        return several
                ? table.withColumns(table.columns().stream()
                        .map(column -> of(column, table))
                        .toList())
                : table;
    }

    private static Column of(Column column, Table table) {
        if (!column.filling().isComputed()) {
            return column;
        }
        Expression<String> value = column.filling().expression();
        for (int i = 0; i < MOST_STEPS && speaksOfComputed(value, table); i++) {
            value = unfolded(value, table);
        }
        return value.equals(column.filling().expression()) ? column : column.withFilling(Filling.computed(value));
    }

    private static boolean speaksOfComputed(Expression<String> value, Table table) {
        return value.columns().anyMatch(name -> computed(name, table).isPresent());
    }

    private static Optional<Expression<String>> computed(String column, Table table) {
        return table.column(column)
                .map(Column::filling)
                .filter(Filling::isComputed)
                .map(Filling::expression);
    }

    private static Expression<String> unfolded(Expression<String> value, Table table) {
        var pieces = new ArrayList<Expression.Piece<String>>();
        for (Expression.Piece<String> piece : value.pieces()) {
            Optional<Expression<String>> computed = piece instanceof Expression.Column<String> column
                    ? computed(column.ref(), table)
                    : Optional.empty();
            computed.ifPresentOrElse(
                    found -> {
                        pieces.add(new Expression.Text<>("("));
                        pieces.addAll(found.pieces());
                        pieces.add(new Expression.Text<>(")"));
                    },
                    () -> pieces.add(piece));
        }
        return new Expression<>(List.copyOf(pieces), value.dialect());
    }
}
