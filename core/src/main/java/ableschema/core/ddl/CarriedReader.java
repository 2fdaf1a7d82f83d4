package ableschema.core.ddl;

import ableschema.core.carried.Carried;
import ableschema.core.carried.Carried.Kind;
import ableschema.core.schema.DomainType;
import ableschema.core.schema.Table;
import ableschema.core.schema.TableName;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * Takes up the statements that are no part of a design and are carried along: what makes views, triggers and routines, what is said of
 * these later, and rights. One that is made anew or dropped counts as it ends up.
 */
final class CarriedReader {

    private static final Map<String, Kind> KINDS = Map.ofEntries(
            Map.entry("view", Kind.VIEW),
            Map.entry("trigger", Kind.TRIGGER),
            Map.entry("function", Kind.ROUTINE),
            Map.entry("procedure", Kind.ROUTINE),
            Map.entry("proc", Kind.ROUTINE),
            Map.entry("alias", Kind.ROUTINE),
            Map.entry("aggregate", Kind.ROUTINE),
            Map.entry("package", Kind.PACKAGE),
            Map.entry("event", Kind.EVENT),
            Map.entry("rule", Kind.RULE),
            Map.entry("policy", Kind.POLICY),
            Map.entry("synonym", Kind.SYNONYM),
            Map.entry("extension", Kind.EXTENSION),
            Map.entry("type", Kind.TYPE),
            Map.entry("sequence", Kind.SEQUENCE),
            Map.entry("operator", Kind.OTHER),
            Map.entry("cast", Kind.OTHER),
            Map.entry("statistics", Kind.OTHER),
            Map.entry("collation", Kind.OTHER),
            Map.entry("constant", Kind.OTHER));

    /** Words between CREATE and what is made. */
    private static final Set<String> BETWEEN = Set.of(
            "or",
            "replace",
            "alter",
            "materialized",
            "force",
            "noforce",
            "editionable",
            "noneditionable",
            "public",
            "recursive",
            "constraint",
            "event",
            "algorithm",
            "undefined",
            "merge",
            "temptable",
            "definer",
            "invoker",
            "current_user",
            "sql",
            "security",
            "trusted");

    private final Context context;
    private final CarriedText text;
    private final CarriedDraft found;

    CarriedReader(Context context) {
        this.context = context;
        this.text = new CarriedText(context.dialect);
        this.found = context.draft.carried;
    }

    /** Takes a statement that is carried along, or takes away or changes one; false where it is another. */
    boolean takes(Cursor at) {
        if (at.is("create")) {
            return isIndexOfItsOwn(at.tokens()) || isIndexOfView(at)
                    ? index(at)
                    : make(new Cursor(at.tokens(), context.names, 1, at.end()));
        } else if (at.is("drop") || at.is("alter") || at.is("comment", "on")) {
            return later(new Cursor(at.tokens(), context.names, 1, at.end()));
        }
        return at.isAny("grant", "revoke", "deny") && right(at);
    }

    /** Indexes over what stands within a value, or that keep a table another way, which are not what a design has. */
    private boolean isIndexOfItsOwn(Tokens tokens) {
        for (int i = 2; context.isSqlServer() && i < Math.min(5, tokens.count()); i++) {
            if (tokens.is(i, "index")) {
                return tokens.is(i - 1, "xml")
                        || tokens.is(i - 1, "spatial")
                        || tokens.is(i - 1, "fulltext")
                        || tokens.is(i - 1, "columnstore");
            }
        }
        return false;
    }

    /** An index over what a view keeps. */
    private boolean isIndexOfView(Cursor at) {
        var ahead = new Cursor(at.tokens(), context.names, at.at() + 1, at.end());
        ahead.accept("unique");
        if (!ahead.accept("index")) {
            return false;
        }
        while (!ahead.atEnd() && !ahead.is("on")) {
            ahead.skip();
        }
        ahead.skip();
        ahead.accept("only");
        if (!ahead.isName()) {
            return false;
        }
        TableName on = ahead.qualified();
        return found.has(Kind.VIEW, on.toString()) && context.draft.table(on).isEmpty();
    }

    private boolean index(Cursor at) {
        while (!at.is("index")) {
            at.skip();
        }
        at.skip();
        at.accept("concurrently");
        at.skipCondition();
        String name = at.is("on") ? "" : at.lastName() + " ";
        at.accept("on");
        at.accept("only");
        Carried index = carried(Kind.INDEX, name + "on " + at.qualified(), at).withEarly(false);
        found.add(index.withSql(index.sql().replaceFirst("(?i)\\bconcurrently\\s+", ""))); // which no transaction takes
        return true;
    }

    private boolean make(Cursor at) {
        Optional<Kind> kind = kind(at);
        if (kind.isEmpty() || kind.get() == Kind.TYPE && !isComposed(at)) {
            return false;
        }
        if (kind.get() == Kind.SEQUENCE) {
            at.skipCondition();
            String key = Sequence.ownKey(new Cursor(at.tokens(), context.names, at.at(), at.end()).lastName());
            Carried made = carried(Kind.SEQUENCE, at.qualified().toString(), at);
            context.draft.undrawn.put(key, made);
            context.draft.sequencesMade.put(key, made);
            return false; // where a column draws from it, it is the numbering of that column
        }
        boolean body = at.accept("body");
        at.skipCondition();
        String name = (body ? "body " : "") + name(kind.get(), at);
        if (at.tokens().isCut()) {
            throw new Unread("it is not told where it ends");
        }
        found.forget(kind.get(), name);
        found.add(carried(kind.get(), name, at));
        return true;
    }

    /** The kind of what is made, behind which this then stands; empty where it is none of these. */
    private Optional<Kind> kind(Cursor at) {
        while (at.isKind(Tokens.Kind.WORD)) {
            String word = at.tokens().text(at.at()).toLowerCase(Locale.ROOT);
            Kind kind = KINDS.get(word);
            at.skip();
            if (kind != null && !(kind == Kind.EVENT && at.is("trigger"))) {
                return Optional.of(kind);
            } else if (!BETWEEN.contains(word)) {
                return Optional.empty();
            }
            skipSetting(at);
        }
        return Optional.empty();
    }

    /** ALGORITHM = …, DEFINER = `keeper`@`%`. */
    private static void skipSetting(Cursor at) {
        if (at.accept('=')) {
            at.skip();
            if (at.accept('@')) {
                at.skip();
            } else if (at.is('(')) {
                at.inside();
            }
        }
    }

    /** Whether a type is put together of others; lists of values and names for a type are read. */
    private boolean isComposed(Cursor at) {
        var ahead = new Cursor(at.tokens(), context.names, at.at(), at.end());
        if (ahead.is("body")) {
            return true;
        }
        ahead.qualified();
        if (ahead.atEnd()) {
            return true; // made whole later
        }
        return (ahead.accept("as") || ahead.accept("is"))
                        && (ahead.is('(') || ahead.isAny("range", "object", "table", "varray", "varying"))
                || ahead.is("under");
    }

    /** What tells it from others: routines may be called the same, and triggers of several tables. */
    private static String name(Kind kind, Cursor at) {
        if (kind == Kind.OTHER && !at.isName()) {
            return at.text().lines().findFirst().orElse("");
        }
        String name = at.qualified().toString();
        if (kind == Kind.ROUTINE && at.is('(')) {
            var ahead = new Cursor(at.tokens(), at.names(), at.at(), at.end());
            return name + "(" + ahead.inside().text().replaceAll("\\s+", " ") + ")";
        }
        boolean ofTable = kind == Kind.TRIGGER || kind == Kind.RULE || kind == Kind.POLICY;
        return ofTable ? name + table(at).map(table -> " on " + table).orElse("") : name;
    }

    private static Optional<TableName> table(Cursor from) {
        var ahead = new Cursor(from.tokens(), from.names(), from.at(), from.end());
        while (!ahead.atEnd() && !ahead.isAny("begin", "do", "execute")) {
            boolean named = ahead.is("on") || from.tokens().is(0, "create") && ahead.is("to") && isRule(from);
            ahead.skip();
            if (named && ahead.isName() && !ahead.isAny("update", "insert", "delete", "select")) {
                return Optional.of(ahead.qualified());
            }
        }
        return Optional.empty();
    }

    private static boolean isRule(Cursor at) {
        return at.tokens().is(1, "rule") || at.tokens().is(3, "rule");
    }

    /** Reads what is said later of something that is made here; false where it is none of these. */
    private boolean later(Cursor at) {
        boolean drops = at.tokens().is(0, "drop");
        boolean describes = at.tokens().is(0, "comment");
        if (describes) {
            at.expect("on");
            if (at.is("column")) {
                return column(at);
            }
        }
        if (isOfRows(at.tokens())) {
            at.skip();
            at.skipCondition();
            at.accept("only");
            found.add(carried(Kind.POLICY, "of rows on " + at.qualified(), at));
            return true;
        }
        Optional<Kind> kind = kind(at);
        if (kind.isPresent() && drops) {
            at.skipCondition();
            drop(kind.get(), new Cursor(at.tokens(), context.names, at.at(), at.end()));
        }
        if (kind.isEmpty() || kind.get() == Kind.TYPE || kind.get() == Kind.SEQUENCE) {
            return false; // these are read, too
        }
        if (drops) {
            return true;
        } else if (describes) {
            describe(kind.get(), at);
        } else if (!SqlReader.isOfOwner(at)) {
            alter(kind.get(), at);
        }
        return true;
    }

    /** ALTER TABLE … ENABLE ROW LEVEL SECURITY, without which no policy holds. */
    private static boolean isOfRows(Tokens tokens) {
        int last = tokens.count() - 1;
        return tokens.is(1, "table")
                && last > 4
                && tokens.is(last, "security")
                && tokens.is(last - 1, "level")
                && tokens.is(last - 2, "row");
    }

    private void drop(Kind kind, Cursor at) {
        for (Cursor each : at.parts()) {
            if (each.isName()) {
                String name = each.qualified().toString();
                if (kind == Kind.ROUTINE && each.is('(')) {
                    found.forgetRoutine(name, each.inside().text());
                    continue;
                }
                String of = each.accept("on") ? name + " on " + each.qualified() : name;
                found.forget(kind, of);
                context.draft.undrawn.remove(kind == Kind.SEQUENCE ? Sequence.key(name) : "");
            }
        }
    }

    /** What is made anew in the place of what was there counts as made so. */
    private void alter(Kind kind, Cursor at) {
        boolean anew = context.isSqlServer() && (kind == Kind.VIEW || kind == Kind.ROUTINE || kind == Kind.TRIGGER);
        Carried said = carried(kind, at.isName() ? name(kind, at) : "", at);
        if (anew) {
            found.forget(kind, said.name());
            said = said.withSql(said.sql().replaceFirst("(?i)^alter", "CREATE"));
        }
        found.add(said);
    }

    private void describe(Kind kind, Cursor at) {
        String name = name(kind, at);
        found.forget(Kind.DESCRIPTION, name);
        found.add(carried(Kind.DESCRIPTION, name, at));
    }

    /** A description of a column of a view. */
    private boolean column(Cursor at) {
        at.skip();
        TableName name = at.qualified();
        String view = name.namespace();
        boolean ours = found.has(Kind.VIEW, view);
        if (ours && context.draft.table(TableName.of(view)).isEmpty()) {
            found.add(carried(Kind.DESCRIPTION, name.toString(), at));
            return true;
        }
        return false;
    }

    private boolean right(Cursor at) {
        for (int i = at.at(); i < at.end(); i++) {
            if (at.tokens().is(i, "identified")) {
                throw new Unread("a right with a password is not kept");
            }
        }
        found.add(carried(Kind.RIGHT, "", at));
        return true;
    }

    private Carried carried(Kind kind, String name, Cursor at) {
        boolean early = kind.compareTo(Kind.SEQUENCE) <= 0
                || !kind.isLast() && kind != Kind.VIEW && context.draft.tables().isEmpty();
        return new Carried(kind, name, context.dialect.name(), context.draft.namespace, early, text.of(at.tokens()));
    }

    /** All that is carried along, in an order that works. */
    List<Carried> read() {
        var all = new ArrayList<>(context.draft.undrawn.values());
        all.addAll(found.list());
        context.draft.tables().forEach(table -> all.addAll(table.settings.statements(table, context)));
        if (all.stream().anyMatch(each -> each.kind() == Kind.ROUTINE && !each.early())) {
            Set<String> needed = text.names(expressions());
            all.replaceAll(each ->
                    each.kind() == Kind.ROUTINE && needed.contains(plainName(each)) ? each.withEarly(true) : each);
        }
        if (!context.draft.owner.isEmpty()) {
            all.replaceAll(each -> text.without(context.draft.owner, each));
        }
        return CarriedOrder.of(all, context.dialect);
    }

    private String plainName(Carried routine) {
        String name = routine.name().replaceFirst("\\(.*", "");
        return context.names.key(name.substring(name.lastIndexOf('.') + 1));
    }

    /** All that is worked out in the tables, as one text. */
    private String expressions() {
        var text = new StringBuilder();
        for (DomainType type : context.draft.domains.values()) {
            text.append(type.check().written(name -> "")).append('\n');
        }
        for (DraftTable table : context.draft.tables()) {
            table.columns.forEach(each ->
                    text.append(each.filling().expression().written(name -> "")).append('\n'));
            for (Table.CheckConstraint each : table.checks) {
                text.append(each.expression().written(name -> "")).append('\n');
            }
            table.indexes.forEach(each -> text.append(each).append('\n'));
        }
        return text.toString();
    }
}
