package ableschema.core.ddl;

import ableschema.core.schema.TableName;
import java.util.HashSet;
import java.util.Set;

/** Counts the rows that a script brings along, and lists them once for each stretch of one table. */
final class InsertCount {

    private final Draft draft;
    private final Set<TableName> counted = new HashSet<>();
    private String table = "";
    private int line;
    private long rows;
    private String first = "";

    InsertCount(Draft draft) {
        this.draft = draft;
    }

    /** Takes a statement that brings rows; false, and the stretch is at its end, where it brings none. */
    boolean counts(Cursor at) {
        boolean copied = at.is("copy");
        if (!at.isAny("insert", "replace", "copy", "merge", "update")
                || at.is("replace") && !at.is("replace", "into")) {
            end();
            return false;
        }
        int start = at.at();
        at.skip();
        at.acceptAny("ignore", "into", "or");
        at.acceptAny("replace", "ignore", "into");
        at.accept("into");
        String name = at.isName() ? at.qualified().toString() : "";
        if (!name.equals(table)) {
            end();
            draft.table(TableName.of(name)).ifPresent(this::count);
            table = name;
            line = at.tokens().line(start);
            first = at.tokens().text(start, Math.min(at.end(), start + 40));
        }
        if (name.equals("sqlite_sequence")) {
            startNumbering(at);
            table = "";
            return true;
        }
        rows += copied ? at.tokens().data().lines().count() : rowsOf(at);
        return true;
    }

    /** Where a table has rows, the number in its options is that of the next one, and not of the first. */
    private void count(DraftTable found) {
        if (counted.add(found.name) && found.nextNumbered) {
            found.columns.replaceAll(column -> OtherReader.starting(column, 1));
        }
    }

    /** The table of the last numbers that were given: at the definitions, it says where they start. */
    private void startNumbering(Cursor at) {
        Tokens tokens = at.tokens();
        int last = at.end() - 1;
        boolean plain = last > 4
                && tokens.is(last, ')')
                && tokens.kind(last - 1) == Tokens.Kind.NUMBER
                && tokens.kind(last - 3) == Tokens.Kind.STRING;
        if (plain) {
            at.skipTo(last - 1);
            long next = at.number() + 1;
            draft.table(TableName.of(tokens.string(last - 3)))
                    .filter(found -> !counted.contains(found.name))
                    .ifPresent(found -> found.columns.replaceAll(column -> OtherReader.starting(column, next)));
        }
    }

    /** The brackets behind VALUES; one row where there are none. */
    private static long rowsOf(Cursor at) {
        Tokens tokens = at.tokens();
        int i = at.at();
        while (i < at.end() && !tokens.is(i, "values")) {
            i++;
        }
        long rows = 0;
        int depth = 0;
        for (; i < at.end(); i++) {
            if (tokens.is(i, '(')) {
                rows += depth == 0 ? 1 : 0;
                depth++;
            } else if (tokens.is(i, ')')) {
                depth--;
            }
        }
        return Math.max(1, rows);
    }

    /** Lists the stretch that was counted, if there is one. */
    void end() {
        if (!table.isEmpty()) {
            draft.skip(line, first, rows == 1 ? "a row is not read" : rows + " rows are not read");
        }
        table = "";
        rows = 0;
    }
}
