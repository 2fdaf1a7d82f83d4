package ableschema.core.ddl;

import ableschema.core.ddl.Tokens.Kind;
import ableschema.core.expression.Expression;
import ableschema.core.expression.Filling;
import ableschema.core.schema.Column;
import ableschema.core.schema.Part;
import ableschema.core.schema.Table;
import ableschema.core.schema.TableName;
import ableschema.core.sql.dialect.DialectOption;
import ableschema.core.types.DataTypes;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/** Reads ALTER TABLE, action by action; one that is not understood is listed, and the others are carried out. */
final class AlterReader {

    /** What a setting is about that says whether changes of rows are written to a log. */
    static final String LOG = "log";

    private final Context context;
    private final Drawing drawing;

    AlterReader(Context context) {
        this.context = context;
        this.drawing = new Drawing(context);
    }

    /** Reads the statement behind ALTER. */
    void read(Cursor at) {
        at.expect("table");
        at.skipCondition();
        at.accept("only");
        TableName name = at.qualified();
        if (at.is("attach", "partition") && context.is("postgresql")) {
            attach(name, at);
            return;
        }
        if (at.is("owner", "to")) {
            return; // of a sequence or view, too, which are altered as tables are
        }
        DraftTable table = context.table(name);
        at.accept('*');
        List<Cursor> actions = at.parts();
        boolean adding = false;
        for (Cursor action : actions) {
            int start = action.at();
            try {
                if (adding && !startsAction(action)) { // ADD a int, b int
                    add(table, action);
                } else {
                    adding = action.is("add") || action.is("with", "check") || action.is("with", "nocheck");
                    action(table, action);
                }
            } catch (Unread e) {
                action.skipTo(start);
                context.draft.skip(action.tokens().line(start), action.text(), e.reason());
            }
        }
    }

    /** A table becomes a part of another one, or of a part of it. */
    private void attach(TableName whole, Cursor at) {
        at.skip();
        at.skip();
        TableName part = at.qualified();
        DraftTable table = context.table(part);
        String cut = table.options.getOrDefault(context.dialect.name() + "." + DialectOption.PARTITION, "");
        String which = TypeReader.text(at.tokens(), at.at(), at.end());
        context.draft.addPart(table.name, whole, cut.isEmpty() ? which : which + " PARTITION BY " + cut);
    }

    private static boolean startsAction(Cursor at) {
        boolean how = at.isAny("algorithm", "lock") && at.tokens().is(at.at() + 1, '=');
        return how
                || at.isKind(Kind.WORD)
                        && at.isAny(
                                "add",
                                "drop",
                                "alter",
                                "modify",
                                "change",
                                "rename",
                                "engine",
                                "comment",
                                "convert",
                                "owner",
                                "set",
                                "order",
                                "auto_increment",
                                "default",
                                "with",
                                "enable",
                                "disable");
    }

    private void action(DraftTable table, Cursor at) {
        if (at.is("with", "nocheck") && at.text().matches("(?is).*\\b(?:check\\s*\\(|foreign\\s).*")) {
            context.draft.skip(at.tokens().line(at.at()), at.text(), ConstraintReader.NOT_VALID);
        }
        if (!at.accept("with", "check")) {
            at.accept("with", "nocheck");
        }
        if (at.accept("add")) {
            add(table, at);
        } else if (at.accept("drop")) {
            drop(table, at);
        } else if (at.accept("alter", "column")) {
            alter(table, at);
        } else if (at.accept("alter")) {
            if (at.accept("index")) {
                seen(table, at);
            } else if (at.accept("constraint")) {
                context.draft.skip(
                        at.tokens().line(at.at() - 1), at.text(), "that it may be checked at another time is not kept");
            } else {
                alter(table, at);
            }
        } else if (at.accept("modify")) {
            at.accept("column");
            modify(table, at);
        } else if (at.accept("change")) {
            at.accept("column");
            String before = at.name();
            int start = at.at();
            context.draft.rename(table, before, at.name());
            at.skipTo(start);
            define(table, at, true);
        } else if (at.accept("rename")) {
            rename(table, at);
        } else if (at.accept("set", "schema")) {
            context.draft.rename(table, new TableName(context.names.namespace(at.name()), table.name.name()));
        } else if (Storage.is(at)) {
            Storage.read(context, at, Part.Kind.TABLE, table.options);
        } else if (at.accept("comment")) {
            at.accept('=');
            table.comment = at.string();
        } else if (at.accept("auto_increment")) {
            at.accept('=');
            long next = at.number();
            table.columns.replaceAll(
                    column -> column.identity().isPresent() ? OtherReader.starting(column, next) : column);
        } else if (context.isMySql() && isOption(at)) {
            if (at.accept("convert", "to")) {
                String collation = context.dialect.name() + ".collation";
                table.columns.replaceAll(column -> column.withoutOption(collation));
            }
            new TableReader(context).options(table, at, at.tokens().line(at.at()));
        } else if (at.is("nocheck", "constraint") || at.is("disable", "constraint")) {
            context.draft.skip(at.tokens().line(at.at()), at.text(), ConstraintReader.NOT_ENFORCED);
        } else if (!(context.is("postgresql") && setting(table, at)) && !isWithoutMeaning(at)) {
            throw new Unread("nothing is known of this change" + at.here());
        }
    }

    /** What no design has a place for, and is said again; false where it is something else. */
    private boolean setting(DraftTable table, Cursor at) {
        String words = at.text();
        if (at.accept("inherit")) {
            table.settings.inherit(context.table(at.qualified()));
        } else if (at.accept("no", "inherit")) {
            table.settings.disinherit(context.table(at.qualified()));
        } else if (at.accept("set", "logged")) {
            table.settings.unsay(LOG);
        } else if (at.accept("set", "unlogged")) {
            table.settings.say(Settings.Of.TABLE, "", LOG, words);
        } else if (at.is("cluster") || at.is("replica")) {
            table.settings.say(Settings.Of.TABLE, "", at.is("cluster") ? "order" : "identity", words);
        } else {
            return false;
        }
        return true;
    }

    /** An option of the table, as it stands behind its definition. */
    private static boolean isOption(Cursor at) {
        return at.isAny("engine", "charset", "character", "collate", "row_format")
                || at.is("convert", "to")
                || at.is("default", "charset")
                || at.is("default", "character")
                || at.is("default", "collate");
    }

    /** What says nothing of the tables themselves: owners, whether checks are on, how rows are kept. */
    private static boolean isWithoutMeaning(Cursor at) {
        return at.isAny(
                "owner",
                "check",
                "nocheck",
                "enable",
                "disable",
                "engine",
                "validate",
                "cluster",
                "replica",
                "set",
                "order",
                "convert",
                "algorithm",
                "lock",
                "default",
                "logging",
                "nologging",
                "force",
                "row",
                "tablespace");
    }

    private void add(DraftTable table, Cursor at) {
        String called = "";
        if (at.is("constraint") && at.tokens().is(at.at() + 2, "default") && at.end() - at.at() > 5) {
            at.skip(); // a default is no constraint of its own elsewhere
            called = at.name();
        }
        if (ConstraintReader.begins(at)) {
            new ConstraintReader(context, table).read(at);
            return;
        }
        if (at.is("default") && at.tokens().is(at.end() - 2, "for")) {
            String column = at.tokens().unquoted(at.end() - 1);
            at.skip();
            setDefault(table, column, at.upTo(at.end() - 2));
            if (!called.isEmpty()) {
                new NamedDefaults(context).name(table, column, called, at);
            }
            return;
        }
        if (at.accept("generated") || at.is("partition")) {
            throw new Unread("this is not read");
        }
        at.accept("column");
        at.skipCondition();
        if (at.is('(')) {
            at.inside().parts().forEach(each -> {
                if (ConstraintReader.begins(each)) {
                    new ConstraintReader(context, table).read(each);
                } else {
                    define(table, each, false);
                }
            });
            return;
        }
        define(table, at, false);
    }

    /** Reads a column that is new, or that is defined anew. */
    private void define(DraftTable table, Cursor at, boolean again) {
        int start = at.at();
        String name = at.name();
        boolean there = table.column(name).isPresent();
        if (there && !again) {
            throw new Unread("there is a column " + name + " already");
        }
        if (!there) {
            table.columns.add(Column.of(name, DataTypes.UNDECIDED));
        }
        at.skipTo(start);
        if (again && context.is("mariadb")) { // where a check of a column is a part of its definition
            table.column(name).ifPresent(table::forgetChecksOf);
        }
        Column read;
        try {
            read = new ColumnReader(context, table, at).read();
        } catch (Unread e) {
            if (!there) {
                table.drop(name);
            }
            throw e;
        }
        place(table, read.name(), at);
        boolean keyed = table.primaryKey != null && table.primaryKey.columns().contains(read.name());
        table.change(read.name(), any -> keyed ? read.withNullable(false) : read);
    }

    /** FIRST, or AFTER or BEFORE another column, at the end of a definition. */
    private void place(DraftTable table, String column, Cursor at) {
        Tokens tokens = at.tokens();
        int last = at.end() - 1;
        boolean first = context.isMySql() && tokens.is(last, "first");
        boolean after = (context.isMySql() || context.is("h2")) && last > 0 && tokens.is(last - 1, "after");
        boolean before = context.is("h2") && last > 0 && tokens.is(last - 1, "before");
        if (!first && !after && !before) {
            return;
        }
        Column moved = table.columns.stream()
                .filter(each -> each.name().equals(column))
                .findFirst()
                .orElseThrow(() -> new Unread("there is no column " + column));
        Optional<String> beside = first ? Optional.empty() : table.column(context.names.of(tokens, last));
        table.columns.remove(moved);
        int place = 0;
        while (beside.isPresent()
                && place < table.columns.size()
                && !table.columns.get(place).name().equals(beside.get())) {
            place++;
        }
        int wanted = beside.isEmpty() ? 0 : after ? place + 1 : place;
        table.columns.add(Math.min(wanted, table.columns.size()), moved);
    }

    private void drop(DraftTable table, Cursor at) {
        if (at.accept("primary", "key")) {
            table.dropKey();
        } else if (at.isAny("constraint", "index", "key", "check", "foreign")) {
            boolean reference = at.accept("foreign", "key");
            boolean index = at.acceptAny("index", "key");
            at.acceptAny("constraint", "check");
            at.skipCondition();
            String name = at.name();
            boolean found = context.isMySql() && reference
                    ? new MySqlTables(context).dropForeignKey(table, name)
                    : context.isMySql() && index
                            ? table.dropIndex(name)
                            : table.dropNamed(name) || new NamedDefaults(context).drop(table, name);
            if (!found) {
                throw new Unread("there is no constraint or index " + name + " in " + table.name);
            }
        } else if (at.accept("default")) {
            throw new Unread("the column is missing");
        } else {
            at.accept("column");
            at.skipCondition();
            if (at.is('(')) {
                at.inside().parts().forEach(each -> dropColumn(table, each.name()));
            } else {
                dropColumn(table, at.name());
            }
        }
    }

    private void dropColumn(DraftTable table, String name) {
        if (context.isMySql()) {
            table.leaveIndexes(name);
        }
        table.drop(name);
    }

    /** ALTER INDEX name INVISIBLE, VISIBLE, IGNORED or NOT IGNORED. */
    private void seen(DraftTable table, Cursor at) {
        String name = at.name();
        table.indexes.replaceAll(each -> {
            if (!each.name().equalsIgnoreCase(name)) {
                return each;
            }
            var options = new HashMap<>(each.options());
            options.keySet().removeIf(option -> option.endsWith("." + DialectOption.INVISIBLE));
            new IndexReader(context, table).tail(at, options);
            return new Table.TableIndex(each.name(), each.columns(), each.unique(), each.only(), options);
        });
    }

    private void alter(DraftTable table, Cursor at) {
        String name = table.requireColumn(at.name());
        if (at.accept("set", "default")) {
            setDefault(table, name, at.upTo(at.end()));
        } else if (at.accept("drop", "default")) {
            table.change(
                    name,
                    column -> column.filling().isComputed()
                            ? column
                            : drawing.released(table, column).withFilling(Filling.nothing()));
        } else if (at.accept("set", "not")) {
            table.change(name, column -> column.withNullable(false));
        } else if (at.accept("drop", "not") || at.accept("set", "null")) {
            table.change(name, column -> column.withNullable(true));
        } else if (at.accept("type") || at.accept("set", "data")) {
            at.accept("type");
            SqlType type = context.types.read(at);
            table.change(name, column -> drawing.typed(table, column, type));
        } else if (at.accept("add", "generated")) {
            boolean alone = at.is("always");
            while (!at.atEnd() && !at.is('(')) {
                at.skip();
            }
            Sequence numbers = Sequence.read(at.is('(') ? at.inside() : at);
            table.change(
                    name,
                    column -> drawing.without(OtherReader.numbered(column, numbers.start(), numbers.step(), alone)));
        } else if (at.accept("rename", "to")) {
            context.draft.rename(table, name, at.name());
        } else if (at.is("restart")) {
            at.skip(); // where the numbers have come to with the rows; the first one stays
        } else if (context.is("postgresql")
                && at.is("set")
                && (at.is("set", "statistics")
                        || at.is("set", "storage")
                        || at.is("set", "compression")
                        || at.tokens().is(at.at() + 1, '('))) {
            table.settings.say(
                    Settings.Of.COLUMN, name, at.tokens().text(at.at() + 1).toLowerCase(Locale.ROOT), at.text());
        } else if (at.isAny("set", "reset", "add", "drop", "comment")) {
            throw new Unread("nothing is known of this change" + at.here());
        } else {
            retype(table, name, at);
        }
    }

    /** A type anew, and whether it may be empty; what else is known of the column stays, but where it is defined anew. */
    private void retype(DraftTable table, String name, Cursor at) {
        if (context.is("h2")) {
            boolean never = table.columns.stream().anyMatch(each -> each.name().equals(name) && !each.nullable());
            at.skipTo(at.at() - 1);
            define(table, at, true);
            table.change(name, column -> never ? column.withNullable(false) : column);
            return;
        }
        SqlType type = context.types.read(at);
        boolean never = at.accept("not", "null");
        table.change(name, column -> context.typed(table, column, type).withNullable(!never));
    }

    private void setDefault(DraftTable table, String name, Cursor value) {
        String column = table.requireColumn(name);
        Tokens tokens = value.tokens();
        boolean numbered =
                table.columns.stream().anyMatch(each -> each.name().equals(column) && context.isNumbered(each.type()));
        for (int i = value.at(); i < value.end() && numbered; i++) {
            if (tokens.is(i, "nextval") && tokens.is(i + 1, '(')) {
                String sequence = tokens.kind(i + 2) == Kind.STRING ? tokens.string(i + 2) : "";
                table.change(column, each -> drawing.drawn(table, each, sequence));
                return;
            }
        }
        if (value.atEnd()) {
            throw new Unread(Context.NO_DEFAULT);
        }
        Expression<String> found = context.expressions.read(value, any -> Optional.empty());
        table.change(
                column,
                each -> each.filling().isComputed()
                                || (context.isMySql() || context.is("h2") || context.is("sqlserver"))
                                        && each.identity().isPresent()
                        ? each // which the database passes over
                        : withDefault(table, drawing.released(table, each), found));
    }

    private Column withDefault(DraftTable table, Column column, Expression<String> found) {
        Filling<String> filling = Filling.byDefault(context.defaultValue(found, context.base(column.type())));
        var options = new HashMap<>(column.options());
        context.called(options, found.written(name -> name), filling.defaultValue(), context.base(column.type()));
        context.precise(options, filling, table.types.getOrDefault(column.name(), SqlType.NONE));
        return column.withFilling(filling).withOptions(options);
    }

    private void modify(DraftTable table, Cursor at) {
        if (at.is('(')) {
            at.inside().parts().forEach(each -> modify(table, each));
            return;
        }
        if (context.isMySql()) {
            define(table, at, true);
            return;
        }
        String name = table.requireColumn(at.name());
        if (at.accept("constraint")) {
            at.name();
        }
        if (at.accept("not", "null")) {
            table.change(name, column -> column.withNullable(false));
        } else if (at.accept("null")) {
            table.change(name, column -> column.withNullable(true));
        } else if (at.accept("default")) {
            setDefault(table, name, at.upTo(at.end()));
        } else if (at.accept("generated")) {
            while (!at.atEnd() && !at.is('(')) {
                at.skip();
            }
            Sequence numbers = Sequence.read(at.is('(') ? at.inside() : at);
            table.change(
                    name,
                    column -> column.identity().isPresent()
                            ? column // it goes on from where the rows have come to
                            : OtherReader.numbered(column, numbers.start(), numbers.step(), false));
        } else {
            SqlType type = context.types.read(at);
            table.change(name, column -> context.typed(table, column, type));
            if (!at.atEnd()) {
                if (at.accept("not", "null")) {
                    table.change(name, column -> column.withNullable(false));
                } else if (at.accept("default")) {
                    setDefault(table, name, at.upTo(at.end()));
                }
            }
        }
    }

    private void rename(DraftTable table, Cursor at) {
        if (at.accept("to") || at.accept("as")) {
            TableName to = at.qualified();
            table.columns.replaceAll(column -> drawing.keepName(table, column));
            context.draft.rename(
                    table, to.namespace().isEmpty() ? new TableName(table.name.namespace(), to.name()) : to);
        } else if (at.acceptAny("constraint", "index", "key")) {
            String before = at.name();
            at.expect("to");
            if (!table.renameNamed(before, at.name())) {
                throw new Unread("there is no constraint or index " + before + " in " + table.name);
            }
        } else {
            at.accept("column");
            String before = at.name();
            at.expect("to");
            table.change(before, column -> drawing.keepName(table, column));
            context.draft.rename(table, before, at.name());
        }
    }
}
