package ableschema.core.ddl;

import ableschema.core.carried.Carried;
import ableschema.core.ddl.Tokens.Kind;
import ableschema.core.expression.Expression;
import ableschema.core.schema.ForeignKey;
import ableschema.core.schema.Part;
import ableschema.core.schema.Table;
import ableschema.core.schema.TableName;
import ableschema.core.sql.dialect.Ability;
import ableschema.core.sql.dialect.DialectOption;
import ableschema.core.types.ReferenceAction;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;

/**
 * Reads the constraints and indexes of a table:
 *
 * <pre>
 * constraint = [CONSTRAINT NAME] ( PRIMARY KEY columns | UNIQUE columns | FOREIGN KEY columns reference | CHECK "(" condition ")" )
 * reference  = REFERENCES NAME [columns] { ON DELETE action | ON UPDATE action | MATCH word | … }
 * </pre>
 */
final class ConstraintReader {

    static final String NOT_VALID = "that rows from before need not meet it is not kept";
    static final String NOT_ENFORCED = "that a constraint holds nothing is not kept";

    private final Context context;
    private final DraftTable table;

    ConstraintReader(Context context, DraftTable table) {
        this.context = context;
        this.table = table;
    }

    /** Whether a constraint or index begins here, and no column. */
    static boolean begins(Cursor at) {
        if (at.isKind(Kind.NAME)) {
            return false;
        }
        return at.is("constraint")
                || at.is("primary", "key")
                || at.is("foreign", "key")
                || at.is("check") && followedBy(at, 1, '(')
                || at.is("unique")
                        && (followedBy(at, 1, '(')
                                || at.is("unique", "nulls")
                                || at.is("unique", "key")
                                || at.is("unique", "index")
                                || at.is("unique", "clustered")
                                || at.is("unique", "nonclustered")
                                || listsColumns(at, 2))
                || at.is("exclude") && (followedBy(at, 1, '(') || at.is("exclude", "using"))
                || at.is("supplemental", "log")
                || at.isAny("key", "index")
                        && (listsColumns(at, 1) || listsColumns(at, 2) || listsColumns(at, 3) || listsColumns(at, 4))
                || at.isAny("fulltext", "spatial")
                        && (at.tokens().is(at.at() + 1, "key")
                                || at.tokens().is(at.at() + 1, "index")
                                || listsColumns(at, 1)
                                || listsColumns(at, 2))
                || at.is("period", "for");
    }

    /** A column may be called so as well: behind "key varchar (" stands a number, and in a list of columns none does. */
    private static boolean listsColumns(Cursor at, int behind) {
        int first = at.at() + behind + 1;
        return followedBy(at, behind, '(')
                && first < at.end()
                && at.tokens().kind(first) != Kind.NUMBER
                && at.tokens().kind(first) != Kind.STRING
                && !at.tokens().is(first, ')');
    }

    private static boolean followedBy(Cursor at, int behind, char symbol) {
        return at.at() + behind < at.end() && at.tokens().is(at.at() + behind, symbol);
    }

    /** Reads one constraint, or an index among the constraints. */
    void read(Cursor at) {
        int start = at.at();
        String name = "";
        if (at.accept("constraint") && !at.isAny("primary", "foreign", "check", "unique", "exclude")) {
            at.skipCondition();
            name = at.lastName();
        }
        if (at.accept("primary", "key")) {
            at.acceptAny("clustered", "nonclustered");
            String given = at.is('(') || at.is("using") ? name : at.name();
            Optional<List<String>> ofIndex = indexed(at);
            skipMethod(at);
            boolean counted = context.is("sqlite") && isCounted(at);
            int parts = at.at();
            List<String> columns = ofIndex.isPresent() ? ofIndex.get() : columns(at);
            at.skipTo(parts);
            if (ofIndex.isEmpty()) {
                at.inside().parts().forEach(this::keyPart);
            }
            replaceIndex(name, columns);
            primaryKey(name.isEmpty() ? given : name, columns);
            if (at.is("include")) {
                keyIncludes(at);
            }
            tellRest(at, table.options, Part.Kind.PRIMARY_KEY);
            if (counted) {
                table.change(columns.get(0), column -> OtherReader.numbered(column, 1, 1, false));
            }
        } else if (at.accept("foreign", "key")) {
            String given = at.is('(') ? "" : at.name();
            List<String> columns = columns(at);
            reference(name.isEmpty() ? given : name, columns, at);
        } else if (at.is("check")) {
            check(name, at);
            if (at.is("not", "valid") || at.is("novalidate") || at.is("enable", "novalidate")) {
                context.draft.skip(at.tokens().line(start), at.tokens().text(start, at.end()), NOT_VALID);
            }
        } else if (at.accept("unique")) {
            at.acceptAny("key", "index");
            at.acceptAny("clustered", "nonclustered");
            String given = at.is('(') || at.is("using") || at.is("nulls") ? "" : at.name();
            var options = new HashMap<String, String>();
            if (at.is("nulls")) {
                new IndexReader(context, table).empties(at, Part.Kind.UNIQUE, options);
            }
            Optional<List<String>> ofIndex = indexed(at);
            if (ofIndex.isPresent()) {
                unique(name.isEmpty() ? given : name, ofIndex.get(), options);
                return;
            }
            skipMethod(at);
            uniqueOrIndex(name.isEmpty() ? given : name, at, options);
        } else if (at.isAny("fulltext", "spatial")) {
            String kind = at.is("fulltext") ? "fulltext" : "spatial";
            at.skip();
            at.acceptAny("key", "index");
            index(at, kind);
        } else if (at.acceptAny("key", "index")) {
            index(at, "");
        } else if (at.is("exclude")) {
            carry(name, at.tokens().text(start, at.end()));
        } else {
            throw new Unread("this is no constraint that is read");
        }
    }

    /** What a word behind a key says that is not kept; empty where nothing is lost. */
    private static String lost(Cursor at) {
        if (at.is("include")) {
            return "the columns that a key takes along are not kept";
        }
        if (at.is("novalidate")) {
            return NOT_VALID;
        }
        if (at.isAny("invisible", "ignored")) {
            return IndexReader.UNUSED;
        }
        return at.is("comment") ? IndexReader.DESCRIBED : "";
    }

    /** What stands behind a key or what is unique, and is not kept, where it makes a difference. */
    private void tellRest(Cursor at, Map<String, String> options, Part.Kind of) {
        while (!at.atEnd()) {
            int start = at.at();
            if (later(at, options, of) || conflict(at, options, of)) {
                continue;
            }
            if (at.accept("not", "deferrable") || at.accept("not", "ignored")) {
                continue;
            }
            if (Storage.is(at)) {
                Storage.read(context, at, Part.Kind.INDEX, new HashMap<>());
                continue;
            }
            String lost = lost(at);
            at.skip();
            if (!lost.isEmpty()) {
                context.draft.skip(at.tokens().line(start), at.tokens().text(start, at.end()), lost);
            }
        }
    }

    /** Reads DEFERRABLE [INITIALLY DEFERRED | IMMEDIATE] if it stands here. */
    boolean later(Cursor at, Map<String, String> options, Part.Kind of) {
        int start = at.at();
        if (!at.accept("deferrable")) {
            return false;
        }
        boolean deferred = at.accept("initially", "deferred");
        if (!deferred) {
            at.accept("initially", "immediate");
        }
        String option = of == Part.Kind.UNIQUE ? DialectOption.LATER : DialectOption.KEY_LATER;
        if (!context.option(options, of, option, "INITIALLY " + (deferred ? "DEFERRED" : "IMMEDIATE"))) {
            context.draft.skip(
                    at.tokens().line(start),
                    at.tokens().text(start, at.at()),
                    "that it is checked at the end of a transaction is not kept");
        }
        return true;
    }

    /** Reads ON CONFLICT and what is done then if it stands here. */
    boolean conflict(Cursor at, Map<String, String> options, Part.Kind of) {
        int start = at.at();
        if (!at.accept("on", "conflict")) {
            return false;
        }
        String option = of == Part.Kind.UNIQUE ? DialectOption.CONFLICT : DialectOption.KEY_CONFLICT;
        if (!context.option(options, of, option, at.name().toUpperCase(Locale.ROOT))) {
            context.draft.skip(at.tokens().line(start), at.tokens().text(start, at.at()), ColumnReader.CONFLICT);
        }
        return true;
    }

    /** Columns that the primary key takes along. */
    private void keyIncludes(Cursor at) {
        int start = at.at();
        at.skip();
        List<String> columns = at.inside().parts().stream()
                .map(part -> context.dialect.column(table.requireColumn(part.name())))
                .toList();
        if (!context.option(
                table.options, Part.Kind.PRIMARY_KEY, DialectOption.KEY_INCLUDE, String.join(", ", columns))) {
            context.draft.skip(
                    at.tokens().line(start),
                    at.tokens().text(start, at.at()),
                    "the columns that a key takes along are not kept");
        }
    }

    /** A length or a direction behind a column of the key. */
    private void keyPart(Cursor part) {
        String said = part.text();
        String column = table.requireColumn(part.name());
        if (context.isMySql() && part.is('(')) {
            option(column, DialectOption.KEY_LENGTH, part.inside().text());
        }
        if (part.is("desc") && !option(column, DialectOption.KEY_ORDER, "desc")) {
            context.draft.skip(
                    part.tokens().line(part.at()),
                    said,
                    "that the key of " + table.name + " is kept in falling order of " + column + " is not kept");
        }
    }

    /** Whether the dialect has such an option of a column. */
    private boolean option(String column, String option, String value) {
        var found = new HashMap<String, String>();
        boolean taken = context.option(found, Part.Kind.COLUMN, option, value);
        table.change(column, each -> {
            var options = new HashMap<>(each.options());
            options.putAll(found);
            return each.withOptions(options);
        });
        return taken;
    }

    /** Carries a constraint along that is none of those of a design. */
    private void carry(String name, String sql) {
        context.draft.carried.add(new Carried(
                Carried.Kind.OTHER,
                "constraint " + name + " on " + table.name,
                context.dialect.name(),
                context.draft.namespace,
                false,
                "ALTER TABLE " + Settings.name(table, context.dialect) + " ADD " + sql));
    }

    /** Whether the one column of a key is numbered there, as in {@code PRIMARY KEY (id AUTOINCREMENT)}. */
    private static boolean isCounted(Cursor at) {
        int closing = at.is('(') ? at.closing(at.at()) : at.at();
        return closing < at.end() && at.tokens().is(closing - 1, "autoincrement");
    }

    /** USING INDEX in place of columns: those of an index that is there, which becomes that of the constraint. */
    private Optional<List<String>> indexed(Cursor at) {
        if (!at.is("using", "index") || at.at() + 2 >= at.end() || at.tokens().is(at.at() + 2, '(')) {
            return Optional.empty();
        }
        at.skip();
        at.skip();
        String index = at.lastName();
        Optional<List<String>> columns = table.indexes.stream()
                .filter(each -> context.names.same(each.name(), index))
                .map(Table.TableIndex::columnNames)
                .findFirst();
        if (columns.isEmpty()) {
            throw new Unread("there is no index " + index);
        }
        table.indexes.removeIf(each -> context.names.same(each.name(), index));
        return columns;
    }

    /** A unique index of the same name over the same columns serves the constraint. */
    private void replaceIndex(String name, List<String> columns) {
        table.indexes.removeIf(each -> each.unique()
                && context.names.same(each.name(), name)
                && each.columnNames().equals(table.requireColumns(columns)));
    }

    private static void skipMethod(Cursor at) {
        if (at.accept("using")) {
            at.name();
        }
    }

    /** The columns in brackets; a length, a direction or an operator class behind one is passed over. */
    static List<String> columns(Cursor at) {
        var columns = new ArrayList<String>();
        for (Cursor part : at.inside().parts()) {
            columns.add(part.name());
        }
        if (columns.isEmpty()) {
            throw new Unread("a list of columns was expected");
        }
        return columns;
    }

    void primaryKey(String name, List<String> columns) {
        List<String> known = table.requireColumns(columns);
        if (table.primaryKey != null) {
            throw new Unread("the table has a primary key already");
        }
        known.forEach(each -> table.change(each, column -> column.withNullable(false)));
        table.primaryKey = new Table.PrimaryKey(context.defaults.primaryKey(table, name), known);
    }

    void unique(String name, List<String> columns, Map<String, String> options) {
        List<String> known = table.requireColumns(columns);
        boolean twice = table.uniques.stream().anyMatch(each -> each.columns().equals(known));
        if (twice && context.isMySql()) { // a second one only costs, and is kept as what it is
            List<Table.IndexedColumn> parts = known.stream()
                    .map(each -> new Table.IndexedColumn(each, false))
                    .toList();
            String called = context.defaults.index(table, known, name);
            table.indexes.add(new Table.TableIndex(called, parts, true, Map.of()));
            return;
        }
        table.uniques.add(new Table.UniqueConstraint(context.defaults.unique(table, known, name), known, options));
    }

    /** A unique key whose parts are cut or made is an index. */
    private void uniqueOrIndex(String name, Cursor at, Map<String, String> options) {
        Cursor inside = at.inside();
        var reader = new IndexReader(context, table);
        List<Table.IndexedColumn> parts = reader.parts(inside);
        boolean plain = parts.stream()
                .allMatch(part -> part.value().asColumn().isPresent() && !(context.isMySql() && part.descending()));
        if (plain) {
            if (at.accept("include")) {
                reader.includes(at.inside(), Part.Kind.UNIQUE, options);
            }
            tellRest(at, options, Part.Kind.UNIQUE);
            unique(name, parts.stream().flatMap(part -> part.value().columns()).toList(), options);
        } else {
            reader.add(name, parts, true, Expression.none(), Map.of());
        }
    }

    /** @param kind what the index is for, such as fulltext; empty for nothing special */
    private void index(Cursor at, String kind) {
        at.skipCondition();
        String name = at.is('(') || at.is("using") ? "" : at.name();
        boolean unique = at.accept("unique");
        at.acceptAny("clustered", "nonclustered");
        skipMethod(at);
        var reader = new IndexReader(context, table);
        List<Table.IndexedColumn> parts = reader.parts(at.inside());
        Map<String, String> options = options(at);
        if (!kind.isEmpty()) {
            context.option(options, Part.Kind.INDEX, DialectOption.KIND, kind);
        }
        if (at.accept("include")) {
            reader.includes(at.inside(), Part.Kind.INDEX, options);
        }
        Expression<String> only = at.accept("where")
                ? context.expressions.read(at.upTo(IndexReader.conditionEnd(at)), table)
                : Expression.none();
        while (!at.atEnd()) {
            if (!reader.tail(at, options)) {
                at.skip();
            }
        }
        reader.add(name, parts, unique, only, options);
    }

    private Map<String, String> options(Cursor at) {
        var options = new HashMap<String, String>();
        if (at.accept("using")) {
            String method = at.name();
            if (!method.equalsIgnoreCase("btree")) {
                context.option(options, Part.Kind.INDEX, "method", method);
            }
        }
        return options;
    }

    /** Reads a check that begins with its word. */
    void check(String name, Cursor at) {
        at.expect("check");
        at.accept("not", "for");
        at.accept("replication");
        Expression<String> condition = context.expressions.read(at.inside(), table);
        if (!condition.isPresent()) {
            throw new Unread("the condition is missing");
        }
        List<String> columns = condition.columns().distinct().toList();
        var options = new HashMap<String, String>();
        int start = at.at();
        boolean lost = at.accept("no", "inherit")
                && !context.option(options, Part.Kind.CHECK, DialectOption.HELD, "NO INHERIT");
        lost |= at.accept("not", "enforced")
                && !context.option(options, Part.Kind.CHECK, DialectOption.HELD, "NOT ENFORCED");
        lost |= at.accept("disable") && !context.option(options, Part.Kind.CHECK, DialectOption.HELD, "DISABLE");
        if (lost) {
            context.draft.skip(at.tokens().line(start), condition.toString(), NOT_ENFORCED);
        }
        var check = new Table.CheckConstraint(context.defaults.check(table, columns, name), condition, options);
        table.checks.add(check);
        if (name.isEmpty() || check.name().isEmpty()) {
            table.unnamedChecks.add(check);
        }
    }

    /** Without columns it is the key that is referred to; in some databases what is called as the columns that refer. */
    private List<String> unsaid(TableName target, List<String> referring) {
        boolean named = context.isMySql()
                && context.draft
                        .table(target)
                        .filter(other -> referring.stream()
                                .allMatch(each -> other.column(each).isPresent()))
                        .isPresent();
        return named ? referring : keyOf(target);
    }

    /** Reads what columns refer to. */
    void reference(String name, List<String> columns, Cursor at) {
        List<String> known = table.requireColumns(columns);
        at.expect("references");
        TableName target = at.qualified();
        List<String> targets = at.is('(') ? columns(at) : unsaid(target, known);
        ReferenceAction onDelete = ReferenceAction.NO_ACTION;
        ReferenceAction onUpdate = ReferenceAction.NO_ACTION;
        boolean whole = false;
        boolean deferred = false;
        int deferrable = -1;
        var options = new HashMap<String, String>();
        while (!at.atEnd()) {
            deferrable = at.is("deferrable") ? at.at() : deferrable;
            if (at.accept("on", "delete")) {
                onDelete = action(at);
            } else if (at.accept("on", "update")) {
                onUpdate = action(at);
            } else if (at.accept("match")) {
                whole = at.is("full") && known.size() > 1; // of one column there is no part
                at.skip();
            } else if (at.accept("not", "for")) {
                at.skip();
            } else if (at.accept("initially")) {
                deferred = at.is("deferred");
                at.skip();
            } else if (at.accept("not", "enforced")
                    || at.accept("disable")
                            && !context.option(options, Part.Kind.FOREIGN_KEY, DialectOption.HELD, "DISABLE")) {
                context.draft.skip(at.tokens().line(at.at() - 1), name, NOT_ENFORCED);
            } else if (at.accept("not", "valid") || at.accept("novalidate")) {
                context.draft.skip(at.tokens().line(at.at() - 1), name, NOT_VALID);
            } else if (at.accept("not", "deferrable")) {
                continue;
            } else if (!at.acceptAny("deferrable", "enable", "validate", "rely", "norely", "enforced")) {
                break; // the next clause of a column
            }
        }
        if (deferrable >= 0
                && !deferred
                && !context.option(options, Part.Kind.FOREIGN_KEY, DialectOption.DEFERRABLE, "INITIALLY IMMEDIATE")) {
            context.draft.skip(
                    at.tokens().line(deferrable),
                    at.tokens().text(deferrable, Math.max(deferrable + 1, at.at())),
                    "that it may be checked at the end of a transaction is not kept");
        }
        table.foreignKeys.add(new ForeignKey(
                context.defaults.foreignKey(table, known, name),
                known,
                found(target),
                targets,
                onDelete,
                onUpdate,
                whole,
                deferred && context.dialect.can(Ability.DEFERRED_CONSTRAINTS),
                options));
    }

    /** The key of a table that is there already; nothing where it is made later. */
    private List<String> keyOf(TableName target) {
        return context.draft
                .table(found(target))
                .filter(made -> made.primaryKey != null)
                .map(made -> made.primaryKey.columns())
                .orElse(List.of());
    }

    /** The name of the table as it was made, if it was made before; else as it is said here. */
    private TableName found(TableName said) {
        TableName near = said.namespace().isEmpty() && !table.name.namespace().isEmpty()
                ? new TableName(table.name.namespace(), said.name())
                : said;
        return context.draft
                .table(near)
                .or(() -> context.draft.table(said))
                .map(made -> made.name)
                .orElseGet(() -> context.draft.placed(said));
    }

    private static ReferenceAction action(Cursor at) {
        if (at.accept("cascade")) {
            return ReferenceAction.CASCADE;
        }
        if (at.accept("restrict")) {
            return ReferenceAction.RESTRICT;
        }
        if (at.accept("set", "null") || at.accept("set", "default")) {
            boolean empty = at.tokens().is(at.at() - 1, "null");
            if (at.is('(')) {
                at.inside(); // which of several columns
            }
            return empty ? ReferenceAction.SET_NULL : ReferenceAction.SET_DEFAULT;
        }
        at.expect("no");
        at.expect("action");
        return ReferenceAction.NO_ACTION;
    }
}
