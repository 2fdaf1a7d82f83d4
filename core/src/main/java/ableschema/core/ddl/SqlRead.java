package ableschema.core.ddl;

import ableschema.core.schema.Schema;
import ableschema.core.sql.dialect.Dialect;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.function.ToIntFunction;

/**
 * What was read from an SQL text.
 *
 * @param dialect the dialect that it was read as
 * @param schema  its tables and named types as they end up
 * @param counts  how much was found, conditions that only hold a type counted as checks
 * @param cut     where the text ends in the middle of something, if it does
 * @param rows    the first rows of its tables, as many as were asked for
 * @param skipped what is not part of the schema, in the order of the text
 */
public record SqlRead(
        Dialect dialect, Schema schema, Counts counts, Optional<Cut> cut, List<ReadRows> rows, List<Skipped> skipped) {
    public SqlRead {
        rows = List.copyOf(rows);
        skipped = List.copyOf(skipped);
    }

    /** The same with rows that were read from elsewhere. */
    public SqlRead withRows(List<ReadRows> rows) {
        return new SqlRead(dialect, schema, counts, cut, rows, skipped);
    }

    /** What is not at its end where the text is, and the line where it begins. */
    public record Cut(int line, String what) {}

    /** How many parts of each kind there are; {@code indexes} are those that no constraint makes. */
    public record Counts(
            int tables, int columns, int primaryKeys, int foreignKeys, int uniques, int checks, int indexes) {

        static Counts of(Collection<DraftTable> tables) {
            return new Counts(
                    tables.size(),
                    sum(tables, table -> table.columns.size()),
                    sum(tables, table -> table.primaryKey == null ? 0 : 1),
                    sum(tables, table -> table.foreignKeys.size()),
                    sum(tables, table -> table.uniques.size()),
                    sum(tables, table -> table.checks.size()),
                    sum(tables, table -> table.indexes.size()));
        }

        private static int sum(Collection<DraftTable> tables, ToIntFunction<DraftTable> count) {
            return tables.stream().mapToInt(count).sum();
        }
    }
}
