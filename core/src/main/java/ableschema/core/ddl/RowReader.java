package ableschema.core.ddl;

import ableschema.core.ddl.Tokens.Kind;
import ableschema.core.schema.Column;
import ableschema.core.schema.TableName;
import ableschema.core.types.DataType;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * Reads the rows that a script brings along: the first of each table become sample rows, and the others are listed once for each
 * stretch of one table.
 */
final class RowReader {

    private final Draft draft;
    private final int most;
    private final Set<TableName> counted = new HashSet<>();
    private final Map<DraftTable, List<Map<String, String>>> read = new LinkedHashMap<>();
    private String table = "";
    private int line;
    private long left;
    private long computed;
    private String first = "";

    /** @param most how many rows of each table are read */
    RowReader(Draft draft, int most) {
        this.draft = draft;
        this.most = most;
    }

    /** The rows that were read, table by table. */
    List<ReadRows> read() {
        return read.entrySet().stream()
                .filter(each -> !each.getValue().isEmpty())
                .map(each -> new ReadRows(each.getKey().name, each.getValue()))
                .toList();
    }

    /** Takes a statement that brings or changes rows; false, and the stretch is at its end, where it does neither. */
    boolean takes(Cursor at) {
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
        TableName name = at.isName() ? at.qualified() : TableName.of("");
        if (name.name().equals("sqlite_sequence")) {
            startNumbering(at);
            return true;
        }
        if (line == 0 || !name.toString().equals(table)) {
            end();
            draft.table(name).ifPresent(this::count);
            table = name.toString();
            line = at.tokens().line(start);
            first = at.tokens().text(start, Math.min(at.end(), start + 40));
        }
        draft.table(name)
                .ifPresentOrElse(
                        found -> {
                            if (copied) {
                                copy(found, at);
                            } else {
                                insert(found, at);
                            }
                        },
                        () -> left++);
        return true;
    }

    private List<String> columns(DraftTable of, Cursor at) {
        var columns = new ArrayList<String>();
        if (at.is('(')) {
            for (Cursor part : at.inside().parts()) {
                columns.add(part.isName() ? of.column(part.name()).orElse("") : "");
            }
            return columns;
        }
        of.columns.stream().map(Column::name).forEach(columns::add);
        return columns;
    }

    private void insert(DraftTable of, Cursor at) {
        List<String> columns = columns(of, at);
        if (at.accept("overriding")) {
            at.skip();
            at.accept("value");
        }
        if (!at.accept("values") && !at.accept("value")) {
            left++; // rows that are selected from elsewhere
            return;
        }
        while (at.is('(')) {
            Cursor values = at.inside();
            add(of, columns, () -> values(values));
            at.accept(',');
        }
    }

    private interface Values {
        List<Optional<String>> read();
    }

    private void add(DraftTable of, List<String> columns, Values values) {
        List<Map<String, String>> rows = read.computeIfAbsent(of, any -> new ArrayList<>());
        if (rows.size() >= most) {
            left++;
            return;
        }
        List<Optional<String>> row = values.read();
        var byColumn = new LinkedHashMap<String, String>();
        for (int i = 0; i < Math.min(columns.size(), row.size()); i++) {
            String column = columns.get(i);
            if (!column.isEmpty()) {
                row.get(i).ifPresent(value -> byColumn.put(column, isTruth(of, column) ? Literal.truth(value) : value));
            }
        }
        rows.add(byColumn);
    }

    private static boolean isTruth(DraftTable of, String column) {
        return of.columns.stream()
                .anyMatch(each -> each.name().equals(column) && each.type() == DataType.Simple.YES_NO);
    }

    private List<Optional<String>> values(Cursor at) {
        var values = new ArrayList<Optional<String>>();
        for (Cursor part : at.parts()) {
            boolean empty = part.isAny("null", "default") && part.at() + 1 == part.end();
            Optional<String> value = value(part);
            computed += value.isEmpty() && !empty ? 1 : 0;
            values.add(value);
        }
        return values;
    }

    /** A value that stands there as such; what is computed is none. */
    private static Optional<String> value(Cursor at) {
        Tokens tokens = at.tokens();
        int last = at.end() - 1;
        boolean named = at.at() + 1 == last
                && at.isKind(Kind.WORD)
                && tokens.kind(last) == Kind.STRING; // DATE '…', _utf8mb4'…'
        if (at.at() == last || named) {
            return literal(tokens, last);
        }
        boolean signed = at.at() + 1 == last && (at.is('-') || at.is('+')) && tokens.kind(last) == Kind.NUMBER;
        if (signed) {
            return Optional.of((at.is('-') ? "-" : "") + tokens.text(last));
        }
        boolean cast = at.isKind(Kind.STRING)
                && at.at() + 2 < at.end()
                && tokens.is(at.at() + 1, ':')
                && tokens.is(at.at() + 2, ':');
        return cast ? literal(tokens, at.at()) : Optional.empty();
    }

    private static Optional<String> literal(Tokens tokens, int token) {
        String text = tokens.text(token);
        if (tokens.kind(token) == Kind.STRING) {
            char prefix = (char) (text.charAt(0) | 0x20);
            boolean bytes = prefix == 'x' && text.length() > 1 && text.charAt(1) == '\'';
            return Optional.of(bytes ? Literal.of(text).toLowerCase(Locale.ROOT) : tokens.string(token));
        }
        if (tokens.kind(token) == Kind.NUMBER) {
            return Optional.of(text.startsWith("0x") ? text.substring(2).toLowerCase(Locale.ROOT) : text);
        }
        return tokens.is(token, "true") || tokens.is(token, "false")
                ? Optional.of(tokens.is(token, "true") ? "yes" : "no")
                : Optional.empty();
    }

    /** The lines behind COPY: cells between tabs, empty ones as {@code \N}. */
    private void copy(DraftTable of, Cursor at) {
        List<String> columns = columns(of, at);
        at.tokens().data().lines().forEach(row -> add(of, columns, () -> cells(row)));
    }

    private static List<Optional<String>> cells(String row) {
        var cells = new ArrayList<Optional<String>>();
        for (String cell : row.split("\t", -1)) {
            cells.add(
                    cell.equals("\\N")
                            ? Optional.empty()
                            : Optional.of(Literal.escapedWithNumbers("'" + cell.replace("'", "''") + "'")));
        }
        return cells;
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
                && tokens.kind(last - 1) == Kind.NUMBER
                && tokens.kind(last - 3) == Kind.STRING;
        if (plain) {
            at.skipTo(last - 1);
            long next = at.number() + 1;
            draft.table(TableName.of(tokens.string(last - 3)))
                    .filter(found -> !counted.contains(found.name))
                    .ifPresent(found -> found.columns.replaceAll(column -> OtherReader.starting(column, next)));
        }
    }

    /** Lists the stretch that was counted, if anything of it was left out. */
    void end() {
        if (left > 0) {
            draft.skip(line, first, left == 1 ? "a row is not read" : left + " rows are not read");
        }
        if (computed > 0) {
            draft.skip(line, first, computed == 1 ? "a value is worked out" : computed + " values are worked out");
        }
        computed = 0;
        table = "";
        line = 0;
        left = 0;
    }
}
