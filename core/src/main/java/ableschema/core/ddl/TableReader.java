package ableschema.core.ddl;

import ableschema.core.ddl.Tokens.Kind;
import ableschema.core.expression.Filling;
import ableschema.core.schema.Column;
import ableschema.core.schema.Part;
import ableschema.core.schema.Table;
import ableschema.core.schema.TableName;
import ableschema.core.sql.dialect.DialectOption;
import ableschema.core.types.DataTypes;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * Reads CREATE TABLE. An element that is not understood is listed, and the others are read.
 *
 * <pre>
 * table   = CREATE words TABLE [IF NOT EXISTS] NAME ( "(" element { "," element } ")" options | LIKE NAME | PARTITION OF NAME … )
 * element = column | constraint | LIKE NAME
 * </pre>
 */
final class TableReader {

    /** Options of a table that a dialect may keep, by the words that name them. */
    private static final Map<String, String> OPTIONS = Map.of(
            "engine", "engine",
            "type", "engine",
            "charset", "charset",
            "collate", "collation",
            "row_format", "row_format",
            "tablespace", "tablespace");

    /** How MySQL and MariaDB keep a table; each is an option of the same name. */
    private static final Set<String> SETTINGS = Set.of(
            "avg_row_length",
            "checksum",
            "max_rows",
            "min_rows",
            "pack_keys",
            "key_block_size",
            "stats_persistent",
            "stats_auto_recalc",
            "stats_sample_pages",
            "delay_key_write",
            "encrypted",
            "page_checksum",
            "transactional");

    private final Context context;

    TableReader(Context context) {
        this.context = context;
    }

    /**
     * Reads the statement behind the words before TABLE.
     *
     * @param unlogged whether its rows are kept without a log
     */
    void read(Cursor at, int line, boolean unlogged) {
        at.expect("table");
        at.skipCondition();
        var table = new DraftTable(context.draft.placed(at.qualified()), context.names);
        if (context.draft
                .table(table.name)
                .filter(made -> made.name.equals(table.name))
                .isPresent()) {
            throw new Unread("there is a table " + table.name + " already");
        }
        if (at.accept("partition", "of")) {
            part(table, at);
            return;
        }
        if (at.accept("like")) {
            copy(table, at);
            context.draft.add(table);
            return;
        }
        if (at.accept("comment")) {
            table.comment = at.string();
        }
        if (at.is("as") || at.is("of") || at.is("using") || !at.is('(')) {
            throw new Unread("its columns follow from something else than a list of them");
        }
        Cursor inside = at.inside();
        table.line = line;
        context.draft.add(table);
        Set<String> inherited = inherited(table, at);
        elements(table, inside, inherited);
        options(table, at, line);
        if (unlogged) {
            table.settings.say(Settings.Of.TABLE, "", AlterReader.LOG, "SET UNLOGGED");
        }
        if (context.is("postgresql")) {
            sameAsKey(table);
        }
    }

    private void part(DraftTable part, Cursor at) {
        TableName whole = at.qualified();
        if (!context.is("postgresql")) {
            throw new Unread("it is a part of the table " + whole + ", which is read as one");
        }
        context.draft.addPart(part.name, whole, TypeReader.text(at.tokens(), at.at(), at.end()));
    }

    private void elements(DraftTable table, Cursor inside, Set<String> inherited) {
        List<Cursor> columns = new ArrayList<>();
        List<Cursor> constraints = new ArrayList<>();
        List<Cursor> waiting = new ArrayList<>();
        for (Cursor element : inside.parts()) {
            if (element.is("like")
                    && element.at() + 1 < element.end()
                    && !element.tokens().is(element.at() + 1, '(')) {
                announce(table, waiting, inherited); // they stand before those that are copied
                columns.addAll(waiting);
                waiting.clear();
                attempt(element, () -> {
                    element.skip();
                    copy(table, element);
                });
            } else if (ConstraintReader.begins(element)) {
                constraints.add(element);
            } else if (!element.atEnd()) {
                waiting.add(element);
            }
        }
        announce(table, waiting, inherited);
        columns.addAll(waiting);
        var reader = new ConstraintReader(context, table);
        columns.forEach(element -> attempt(element, () -> column(table, reader, element)));
        constraints.forEach(element -> attempt(element, () -> reader.read(element)));
    }

    /** Puts the columns into the table by their names, since what is said of one may speak of those behind it. */
    private void announce(DraftTable table, List<Cursor> columns, Set<String> inherited) {
        var there = new HashSet<String>();
        table.columns.forEach(each -> there.add(context.names.key(each.name())));
        columns.removeIf(element -> {
            try {
                int start = element.at();
                String name = element.name();
                element.skipTo(start);
                if (inherited.contains(context.names.key(name))) {
                    return false; // which is said anew
                }
                if (!there.add(context.names.key(name))) {
                    throw new Unread("there is a column " + name + " already");
                }
                table.columns.add(Column.of(name, DataTypes.UNDECIDED));
                return false;
            } catch (Unread e) {
                skip(element, e.reason());
                return true;
            }
        });
    }

    private void column(DraftTable table, ConstraintReader constraints, Cursor element) {
        int start = element.at();
        String name = element.name();
        element.skipTo(start);
        var reader = new ColumnReader(context, table, constraints, element);
        try {
            Column read = reader.read();
            replace(table, read);
        } catch (Unread e) {
            replace(table, reader.soFar(name));
            throw e;
        }
    }

    /** What a key said of the column while it was read stays. */
    private static void replace(DraftTable table, Column read) {
        boolean keyed = table.primaryKey != null && table.primaryKey.columns().contains(read.name());
        table.change(read.name(), each -> keyed ? read.withNullable(false) : read);
    }

    private void attempt(Cursor element, Runnable reading) {
        int start = element.at();
        try {
            reading.run();
        } catch (Unread e) {
            element.skipTo(start);
            skip(element, e.reason());
        }
    }

    private void skip(Cursor element, String reason) {
        context.draft.skip(element.tokens().line(element.at()), element.text(), reason);
    }

    /** LIKE copies the columns, and more of a table where that is said; one family of databases copies all but what it refers to. */
    private void copy(DraftTable table, Cursor at) {
        DraftTable from = context.table(at.qualified());
        var including = new HashSet<String>();
        while (!at.atEnd()) {
            boolean more = at.accept("including");
            at.accept("excluding");
            if (!at.atEnd()) {
                String what = at.isName() ? at.name().toLowerCase(Locale.ROOT) : "";
                including.addAll(more ? Set.of(what) : Set.of());
                at.skipTo(what.isEmpty() ? at.at() + 1 : at.at());
            }
        }
        boolean all = including.contains("all") || context.isMySql() || context.is("h2");
        boolean defaults = all || including.contains("defaults");
        boolean others = !context.is("postgresql"); // where nothing is said of how a column is numbered and described
        var drawing = new Drawing(context);
        for (Column column : from.columns) {
            boolean numbered =
                    others || all || including.contains(from.isDrawing(column.name()) ? "defaults" : "identity");
            Column filled = defaults ? column : column.withFilling(Filling.nothing());
            Column described = others || all || including.contains("comments") ? filled : filled.withComment("");
            table.columns.add(numbered ? drawing.elsewhere(described, from) : drawing.without(described.unnumbered()));
        }
        table.types.putAll(from.types);
        if (all || including.contains("constraints")) {
            for (Table.CheckConstraint check : from.checks) {
                String name =
                        context.is("mysql") ? table.name.name() + "_chk_" + (table.checks.size() + 1) : check.name();
                table.checks.add(check.named(name));
            }
        }
        if (all || including.contains("indexes")) {
            copyKeys(table, from);
        }
        if (context.isMySql()) {
            table.options.putAll(from.options);
            table.columns.replaceAll(column -> OtherReader.starting(column, 1)); // it begins anew
            table.comment = from.comment;
        }
    }

    private void copyKeys(DraftTable table, DraftTable from) {
        DefaultNames names = context.defaults;
        boolean renamed = !context.isMySql();
        if (from.primaryKey != null) {
            table.primaryKey = new Table.PrimaryKey(names.primaryKey(table, ""), from.primaryKey.columns());
        }
        from.uniques.forEach(each -> table.uniques.add(new Table.UniqueConstraint(
                names.unique(table, each.columns(), renamed ? "" : each.name()), each.columns(), each.options())));
        from.indexes.forEach(each -> table.indexes.add(new Table.TableIndex(
                names.indexOf(table, each.columns(), renamed ? "" : each.name()),
                each.columns(),
                each.unique(),
                each.only(),
                each.options())));
    }

    /** Reads what may stand behind the definition of a table. */
    void options(DraftTable table, Cursor at, int line) {
        while (!at.atEnd()) {
            int start = at.at();
            if (at.accept("inherits")) {
                at.inside(); // which was looked at before the columns
            } else if (at.accept("partition", "by")) {
                int end = partitionEnd(at);
                String said = PartitionText.of(context, at.tokens(), at.at(), end);
                if (!context.option(table.options, Part.Kind.TABLE, DialectOption.PARTITION, said)) {
                    context.draft.skip(
                            line, at.tokens().text(start, end), "how " + table.name + " is cut into parts is not kept");
                }
                at.skipTo(end);
            } else if (at.accept("comment")) {
                at.accept('=');
                table.comment = at.isKind(Kind.STRING) ? at.string() : "";
            } else if (at.is("with", "system")) {
                versioning(table, at, line);
            } else if (at.accept("organization", "index")) {
                context.draft.skip(
                        line, "ORGANIZATION INDEX", "that " + table.name + " is kept as an index is not kept");
            } else if (Storage.is(at)) {
                Storage.read(context, at, Part.Kind.TABLE, table.options);
            } else if (at.accept("strict")) {
                context.option(table.options, Part.Kind.TABLE, "strict", "yes");
            } else if (at.accept("without", "rowid")) {
                context.option(table.options, Part.Kind.TABLE, "without_rowid", "yes");
            } else {
                option(table, at);
            }
        }
    }

    /** Former rows are kept by the database, from when to when in columns that it makes itself, or that are there already. */
    private void versioning(DraftTable table, Cursor at, int line) {
        int start = at.at();
        at.skipTo(Math.min(at.end(), start + 3));
        boolean columns = false;
        for (int i = 0; i < start; i++) {
            columns |= at.tokens().is(i, "row") && at.tokens().is(i + 1, "start");
        }
        if (columns || !context.option(table.options, Part.Kind.TABLE, DialectOption.VERSIONING, "yes")) {
            context.draft.skip(
                    line, at.tokens().text(start, at.at()), "how the database keeps former rows is not kept");
        }
    }

    /** In PostgreSQL other options stand behind; elsewhere it is the last. */
    private int partitionEnd(Cursor at) {
        int end = at.at();
        while (end < at.end()
                && !(context.is("postgresql")
                        && (at.tokens().is(end, "with")
                                || at.tokens().is(end, "tablespace")
                                || at.tokens().is(end, "using")))) {
            end++;
        }
        return end;
    }

    private void option(DraftTable table, Cursor at) {
        at.accept("default");
        boolean set = at.accept("character", "set");
        String word = set ? "charset" : at.tokens().text(at.at()).toLowerCase(Locale.ROOT);
        if (!set) {
            at.skip();
        }
        at.accept('=');
        String option = OPTIONS.get(word);
        if (option != null && at.isName()) {
            String found = at.name();
            String value = option.equals("row_format") ? found.toUpperCase(Locale.ROOT) : found;
            if (option.equals("charset")) {
                table.options.remove(context.dialect.name() + ".collation"); // one of another set, said before
            }
            if (!value.equalsIgnoreCase("InnoDB")) { // which is usual
                context.option(table.options, Part.Kind.TABLE, option, value);
            }
        } else if (word.equals("auto_increment") && at.isKind(Kind.NUMBER)) {
            start(table, at.number());
        } else if (SETTINGS.contains(word)) {
            context.option(
                    table.options,
                    Part.Kind.TABLE,
                    word,
                    at.tokens().text(at.at()).toLowerCase(Locale.ROOT));
            at.skip();
        }
    }

    /** The number that the next row gets is kept as the first. */
    private static void start(DraftTable table, long next) {
        table.nextNumbered = true;
        table.columns.replaceAll(column -> column.identity().isPresent() ? OtherReader.starting(column, next) : column);
    }

    /** What a table inherits is there before what it says itself; the names of these columns. */
    private Set<String> inherited(DraftTable table, Cursor behind) {
        int start = behind.at();
        while (!behind.atEnd() && !behind.is("inherits")) {
            behind.skip();
        }
        if (behind.accept("inherits") && behind.is('(')) {
            Cursor parents = behind.inside();
            attempt(parents, () -> inherit(table, parents));
        }
        behind.skipTo(start);
        return table.columns.stream()
                .map(column -> context.names.key(column.name()))
                .collect(Collectors.toSet());
    }

    /** Of a unique constraint and a key over the same columns, in one statement, PostgreSQL makes the key alone. */
    private static void sameAsKey(DraftTable table) {
        Table.PrimaryKey key = table.primaryKey;
        var seen = new HashSet<List<String>>();
        if (key != null) {
            seen.add(key.columns());
        }
        table.uniques.removeIf(unique -> !seen.add(unique.columns()));
    }

    private void inherit(DraftTable table, Cursor parents) {
        for (Cursor parent : parents.parts()) {
            DraftTable from = context.table(parent.qualified());
            table.settings.inherit(from);
            var drawing = new Drawing(context);
            var all = new ArrayList<>(from.columns);
            all.removeIf(column -> table.column(column.name()).isPresent());
            all.replaceAll(column -> from.isDrawing(column.name())
                    ? drawing.elsewhere(column, from)
                    : drawing.without(column.unnumbered()).withComment(""));
            table.columns.addAll(0, all);
            from.types.forEach(table.types::putIfAbsent);
            from.checks.stream()
                    .filter(check -> !context.dialect.has(check.options(), DialectOption.HELD)) // NO INHERIT
                    .filter(check ->
                            table.checks.stream().noneMatch(own -> own.name().equals(check.name())))
                    .forEach(table.checks::add);
        }
    }
}
