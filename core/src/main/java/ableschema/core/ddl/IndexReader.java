package ableschema.core.ddl;

import ableschema.core.expression.Expression;
import ableschema.core.schema.Part;
import ableschema.core.schema.Table;
import ableschema.core.schema.TableName;
import ableschema.core.sql.dialect.DialectOption;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/** Reads indexes: {@code CREATE [UNIQUE] INDEX NAME ON TABLE [USING method] "(" parts ")" [WHERE condition]}. */
final class IndexReader {

    static final String UNUSED = "that no query uses an index is not kept";
    static final String DESCRIBED = "what is said of an index is not kept";

    private final Context context;
    private final DraftTable table;

    IndexReader(Context context, DraftTable table) {
        this.context = context;
        this.table = table;
    }

    /** Reads the statement behind CREATE and the words before INDEX. */
    static void create(Context context, Cursor at, boolean unique, String kind) {
        at.expect("index");
        at.accept("concurrently");
        at.skipCondition();
        String name = at.is("on") ? "" : at.lastName();
        String method = at.accept("using") ? at.name() : "";
        at.expect("on");
        at.accept("only");
        TableName on = at.qualified();
        var reader = new IndexReader(context, context.table(on));
        var options = new HashMap<String, String>();
        if (at.accept("using")) {
            method = at.name();
        }
        List<Table.IndexedColumn> parts = reader.parts(at.inside());
        Expression<String> only = Expression.none();
        while (!at.atEnd()) {
            if (at.accept("where")) {
                only = context.expressions.read(at.upTo(conditionEnd(at)), reader.table);
            } else if (at.accept("using")) {
                method = at.name();
            } else if (at.accept("include")) {
                reader.includes(at.inside(), Part.Kind.INDEX, options);
            } else if (at.is("nulls")) {
                reader.empties(at, Part.Kind.INDEX, options);
            } else if (Storage.is(at)) {
                Storage.read(context, at, Part.Kind.INDEX, options);
            } else if (at.accept("tablespace")) {
                context.option(options, Part.Kind.INDEX, "tablespace", at.name());
            } else if (!reader.tail(at, options)) {
                at.skip();
            }
        }
        if (!method.isEmpty() && !method.equalsIgnoreCase("btree")) {
            context.option(options, Part.Kind.INDEX, "method", method);
        }
        if (!kind.isEmpty()) {
            context.option(options, Part.Kind.INDEX, DialectOption.KIND, kind);
        }
        reader.add(name, parts, unique, only, options);
    }

    /** What may stand behind an index anywhere: that no query uses it, and what is said of it. */
    boolean tail(Cursor at, Map<String, String> options) {
        int start = at.at();
        String lost;
        if (at.accept("not", "ignored") || at.accept("visible")) {
            return true;
        } else if (at.acceptAny("invisible", "ignored")) {
            boolean kept = context.option(options, Part.Kind.INDEX, DialectOption.INVISIBLE, "yes");
            lost = kept ? "" : UNUSED;
        } else if (context.isMySql() && at.accept("with", "parser")) {
            return context.option(options, Part.Kind.INDEX, "parser", at.name());
        } else if (at.accept("reverse")) {
            lost = "that an index keeps its values from back to front is not kept";
        } else if (at.accept("comment")) {
            at.accept('=');
            at.skip();
            lost = DESCRIBED;
        } else {
            return false;
        }
        if (!lost.isEmpty()) {
            context.draft.skip(at.tokens().line(start), at.tokens().text(start, at.at()), lost);
        }
        return true;
    }

    /** Columns that an index takes along, so that they are found without the table. */
    void includes(Cursor at, Part.Kind of, Map<String, String> options) {
        int start = at.at();
        var columns = new ArrayList<String>();
        for (Cursor part : at.parts()) {
            columns.add(context.dialect.column(table.requireColumn(part.name())));
        }
        if (!context.option(options, of, DialectOption.INCLUDE, String.join(", ", columns))) {
            context.draft.skip(
                    at.tokens().line(start),
                    at.tokens().text(start, at.end()),
                    "the columns that an index takes along are not kept");
        }
    }

    /** NULLS [NOT] DISTINCT: whether rows that are empty count as unlike. */
    void empties(Cursor at, Part.Kind of, Map<String, String> options) {
        int start = at.at();
        at.expect("nulls");
        boolean alike = at.accept("not");
        at.expect("distinct");
        if (alike && !context.option(options, of, DialectOption.EMPTIES, "one")) {
            context.draft.skip(
                    at.tokens().line(start),
                    at.tokens().text(start, at.at()),
                    "that empty values count as equal is not kept");
        }
    }

    static int conditionEnd(Cursor at) {
        for (int i = at.at(); i < at.end(); i++) {
            if (at.tokens().is(i, "with") || at.tokens().is(i, "tablespace")) {
                return i;
            }
        }
        return at.end();
    }

    void add(
            String name,
            List<Table.IndexedColumn> parts,
            boolean unique,
            Expression<String> only,
            Map<String, String> options) {
        if (parts.isEmpty()) {
            throw new Unread("the columns of the index are missing");
        }
        List<String> columns = parts.stream()
                .flatMap(part -> part.value().columns())
                .distinct()
                .toList();
        if (unique && context.isMySql() && isPlain(parts, only)) {
            new ConstraintReader(context, table)
                    .unique(name, columns, options); // it makes no difference between the two
            return;
        }
        String called = context.defaults.indexOf(table, parts, name);
        boolean own = !only.isStandard()
                || parts.stream().anyMatch(part -> !part.value().isStandard());
        table.indexes.add(new Table.TableIndex(
                called,
                own ? parts.stream().map(this::inOwn).toList() : parts,
                unique,
                own && only.isPresent() ? only.in(context.dialect.name()) : only,
                options));
    }

    /** What an index is made of is all of one dialect. */
    private Table.IndexedColumn inOwn(Table.IndexedColumn part) {
        return part.value().asColumn().isPresent()
                ? part
                : new Table.IndexedColumn(part.value().in(context.dialect.name()), part.descending());
    }

    private static boolean isPlain(List<Table.IndexedColumn> parts, Expression<String> only) {
        return !only.isPresent()
                && parts.stream().allMatch(part -> part.value().asColumn().isPresent() && !part.descending());
    }

    /** The parts between the brackets: columns, or what is made of them, each with its direction. */
    List<Table.IndexedColumn> parts(Cursor inside) {
        var reader = new IndexPartReader(context, table);
        var parts = new ArrayList<Table.IndexedColumn>();
        for (Cursor part : inside.parts()) {
            parts.add(reader.read(part));
        }
        return parts;
    }
}
