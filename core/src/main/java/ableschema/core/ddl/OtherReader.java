package ableschema.core.ddl;

import ableschema.core.ddl.Tokens.Kind;
import ableschema.core.expression.Filling;
import ableschema.core.schema.Column;
import ableschema.core.schema.Identity;
import ableschema.core.schema.TableName;
import ableschema.core.types.DataType;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/** Reads the statements that say more of tables that are there: descriptions, sequences, names, and what is dropped. */
final class OtherReader {

    private final Context context;
    private final NamedTypeReader types;

    OtherReader(Context context, NamedTypeReader types) {
        this.context = context;
        this.types = types;
    }

    /** The same column, numbered by the database. */
    static Column numbered(Column column, long start, long step, boolean alone) {
        return new Column(
                column.name(),
                new DataType.Counted(start, step, widest(column.type())).asReferenced(),
                false,
                Filling.nothing(),
                Optional.of(new Identity(start, step, alone)),
                column.comment(),
                column.options());
    }

    private static long widest(DataType found) {
        return found instanceof DataType.Whole whole && whole.largest() > Integer.MAX_VALUE ? whole.largest() : 0;
    }

    /** The same numbered column, from another number on. */
    static Column starting(Column column, long start) {
        return column.identity()
                .map(numbers -> numbered(column, start, numbers.step(), numbers.alone()))
                .orElse(column);
    }

    /** Reads what stands behind COMMENT ON. */
    void comment(Cursor at) {
        if (at.accept("table")) {
            DraftTable table = context.table(at.qualified());
            at.expect("is");
            table.comment = text(at);
        } else if (at.accept("column")) {
            List<String> parts = new ArrayList<>();
            parts.add(at.name());
            while (at.accept('.')) {
                parts.add(at.name());
            }
            if (parts.size() < 2) {
                throw new Unread("the table of the column is missing");
            }
            int last = parts.size() - 1;
            String namespace = last > 1 ? context.names.namespace(parts.get(last - 2)) : "";
            DraftTable table = context.table(new TableName(namespace, parts.get(last - 1)));
            at.expect("is");
            String text = text(at);
            table.change(parts.get(last), column -> column.withComment(text));
        } else if (!(at.isAny("domain", "type") && types.describe(at)) && !(context.is("postgresql") && part(at))) {
            throw new Unread("only tables, columns and named types are described");
        }
    }

    /** A description of an index or a constraint; false where there is none such. */
    private boolean part(Cursor at) {
        if (at.accept("constraint")) {
            String name = at.name();
            at.expect("on");
            at.accept("domain");
            DraftTable table = context.table(at.qualified());
            at.expect("is");
            table.settings.say(Settings.Of.CONSTRAINT, name, "description", at.text());
            return true;
        }
        if (!at.accept("index")) {
            return false;
        }
        String name = at.lastName();
        at.expect("is");
        Optional<DraftTable> of = context.draft.tables().stream()
                .filter(table -> table.hasNamed(name))
                .findFirst();
        of.ifPresent(table -> table.settings.say(Settings.Of.INDEX, name, "description", at.text()));
        return of.isPresent();
    }

    /** What stands behind IS; empty for nothing. */
    static String text(Cursor at) {
        return at.accept("null") ? "" : at.string();
    }

    /** Reads what stands behind CREATE SEQUENCE. */
    void sequence(Cursor at) {
        at.expect("sequence");
        at.skipCondition();
        String name = at.lastName();
        context.draft.addSequence(Sequence.ownKey(name), Sequence.read(at).identity());
    }

    /** Reads what stands behind DROP. */
    void drop(Cursor at) {
        at.accept("temporary");
        if (at.accept("table")) {
            at.skipCondition();
            for (Cursor each : at.parts()) {
                context.draft.table(each.qualified()).ifPresent(context.draft::drop);
            }
        } else if (at.accept("index")) {
            at.accept("concurrently");
            at.skipCondition();
            String name = at.lastName();
            boolean found = at.accept("on") ? dropIndex(context.table(at.qualified()), name) : dropIndex(name);
            if (!found) {
                throw new Unread("there is no index " + name);
            }
        } else if (at.acceptAny("domain", "type")) {
            at.skipCondition();
            context.draft.domains.remove(context.names.key(at.lastName()));
        }
    }

    private boolean dropIndex(DraftTable table, String name) {
        return context.isMySql() ? table.dropIndex(name) : table.dropNamed(name);
    }

    private boolean dropIndex(String name) {
        boolean found = false;
        for (DraftTable table : context.draft.tables()) {
            found |= table.indexes.removeIf(index -> context.names.same(index.name(), name));
        }
        return found;
    }

    /** Reads what stands behind ALTER where that is no table. */
    void alter(Cursor at) {
        if (at.accept("index")) {
            at.skipCondition();
            String before = at.lastName();
            if (at.accept("rename", "to")) {
                String to = at.name();
                boolean found = false;
                for (DraftTable table : context.draft.tables()) {
                    found |= table.renameNamed(before, to);
                }
                if (!found) {
                    throw new Unread("there is no index " + before);
                }
                return;
            }
            for (; !at.atEnd(); at.skip()) {
                if (at.isAny("disable", "unusable", "invisible")) {
                    throw new Unread(IndexReader.UNUSED);
                }
            }
        } else if (at.accept("type")) {
            types.alterType(at);
        } else if (at.accept("domain")) {
            types.alterDomain(at);
        } else if (at.accept("sequence")) {
            at.skipCondition();
            String key = Sequence.ownKey(at.lastName());
            if (at.accept("owned", "by")) {
                own(at, key);
            }
        } else {
            throw new Unread("nothing is known of this change");
        }
    }

    /** A column that a sequence belongs to is numbered, once its default draws from it. */
    private void own(Cursor at, String sequence) {
        List<String> parts = new ArrayList<>();
        parts.add(at.name());
        while (at.accept('.')) {
            parts.add(at.name());
        }
        int last = parts.size() - 1;
        if (last < 1) {
            return; // NONE
        }
        String namespace = last > 1 ? context.names.namespace(parts.get(last - 2)) : "";
        DraftTable table = context.table(new TableName(namespace, parts.get(last - 1)));
        table.change(parts.get(last), column -> {
            Column owner = context.is("postgresql") ? new Drawing(context).owning(table, column, sequence) : column;
            if (!context.isNumbered(column.type()) || owner != column) {
                return owner; // the sequence stays one of its own
            }
            Identity numbers =
                    context.is("postgresql") ? context.draft.numbers(sequence) : context.draft.drawn(sequence);
            return column.identity().isPresent()
                    ? numbered(column, numbers.start(), numbers.step(), false).withNullable(column.nullable())
                    : column;
        });
    }

    /** Reads RENAME TABLE a TO b, c TO d. */
    void rename(Cursor at) {
        at.expect("table");
        for (Cursor each : at.parts()) {
            DraftTable table = context.table(each.qualified());
            each.expect("to");
            TableName to = each.qualified();
            context.draft.rename(
                    table, to.namespace().isEmpty() ? new TableName(table.name.namespace(), to.name()) : to);
        }
    }

    /** Reads a call of a procedure; false where it says nothing of tables. */
    boolean call(Cursor at) {
        String name = at.lastName();
        if (name.equalsIgnoreCase("sp_rename")) {
            procedureRename(at);
            return true;
        }
        if (name.equalsIgnoreCase("sp_addextendedproperty")) {
            describe(at);
            return true;
        }
        return false;
    }

    private void procedureRename(Cursor at) {
        List<String> values = values(at);
        if (values.size() < 2) {
            throw new Unread("the names are missing");
        }
        String[] path = values.get(0).replace("[", "").replace("]", "").split("\\.");
        String kind = values.size() > 2 ? values.get(2) : "";
        if (kind.equalsIgnoreCase("column") && path.length > 1) {
            DraftTable table = context.table(TableName.of(path[path.length - 2]));
            context.draft.rename(table, path[path.length - 1], values.get(1));
        } else if (kind.equalsIgnoreCase("index") && path.length > 1) {
            context.table(TableName.of(path[path.length - 2])).renameNamed(path[path.length - 1], values.get(1));
        } else {
            DraftTable table = context.table(TableName.of(path[path.length - 1]));
            context.draft.rename(table, new TableName(table.name.namespace(), values.get(1)));
        }
    }

    private static List<String> values(Cursor at) {
        var values = new ArrayList<String>();
        for (int i = at.at(); i < at.end(); i++) {
            if (at.tokens().kind(i) == Kind.STRING) {
                values.add(at.tokens().string(i));
            }
        }
        return values;
    }

    /** A description is a property of the name MS_Description. */
    private void describe(Cursor at) {
        var given = new HashMap<String, String>();
        List<String> order = List.of(
                "name", "value", "level0type", "level0name", "level1type", "level1name", "level2type", "level2name");
        int place = 0;
        for (Cursor each : at.parts()) {
            String label =
                    each.isKind(Kind.WORD) && each.tokens().text(each.at()).startsWith("@")
                            ? each.name().substring(1)
                            : order.get(Math.min(place, order.size() - 1));
            each.accept('=');
            if (each.isKind(Kind.STRING)) {
                given.put(label.toLowerCase(Locale.ROOT), each.string());
            } else if (each.isName()) {
                given.put(label.toLowerCase(Locale.ROOT), each.name());
            }
            place++;
        }
        String table = given.get("level1name");
        if (table == null || !"MS_Description".equals(given.get("name"))) {
            throw new Unread("it describes no table or column");
        }
        String namespace = context.names.namespace(given.getOrDefault("level0name", ""));
        DraftTable found = context.table(new TableName(namespace, table));
        String text = given.getOrDefault("value", "");
        if (given.containsKey("level2name")) {
            found.change(given.get("level2name"), column -> column.withComment(text));
        } else {
            found.comment = text;
        }
    }
}
