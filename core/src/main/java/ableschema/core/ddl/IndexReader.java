package ableschema.core.ddl;

import ableschema.core.ddl.Tokens.Kind;
import ableschema.core.expression.Expression;
import ableschema.core.schema.Part;
import ableschema.core.schema.Table;
import ableschema.core.schema.TableName;
import ableschema.core.sql.dialect.DialectOption;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** Reads indexes: {@code CREATE [UNIQUE] INDEX NAME ON TABLE [USING method] "(" parts ")" [WHERE condition]}. */
final class IndexReader {

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
                only = context.expressions.read(at.upTo(conditionEnd(at)), reader.table::column, reader.table::isText);
            } else if (at.accept("using")) {
                method = at.name();
            } else if (at.accept("include")) {
                reader.includes(at.inside());
            } else if (at.is("with") && at.at() + 1 < at.end() && at.tokens().is(at.at() + 1, '(')) {
                at.skip();
                at.inside();
            } else if (at.accept("tablespace")) {
                context.option(options, Part.Kind.INDEX, "tablespace", at.name());
            } else {
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

    void includes(Cursor at) {
        context.draft.skip(at.tokens().line(at.at()), at.text(), "the columns that an index takes along are not kept");
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
            new ConstraintReader(context, table).unique(name, columns); // it makes no difference between the two
            return;
        }
        String called = context.defaults.indexOf(table, parts, name);
        table.indexes.add(new Table.TableIndex(called, parts, unique, only, options));
    }

    private static boolean isPlain(List<Table.IndexedColumn> parts, Expression<String> only) {
        return !only.isPresent()
                && parts.stream().allMatch(part -> part.value().asColumn().isPresent() && !part.descending());
    }

    /** The parts between the brackets: columns, or what is made of them, each with its direction. */
    List<Table.IndexedColumn> parts(Cursor inside) {
        var parts = new ArrayList<Table.IndexedColumn>();
        for (Cursor part : inside.parts()) {
            parts.add(part(part));
        }
        return parts;
    }

    private Table.IndexedColumn part(Cursor at) {
        int end = at.end();
        boolean descending = false;
        for (int i = at.at() + 1; i < at.end(); i++) {
            Tokens tokens = at.tokens();
            boolean direction =
                    tokens.is(i, "asc") || tokens.is(i, "desc") || tokens.is(i, "nulls") || tokens.is(i, "collate");
            if (direction && !inBrackets(at, i)) {
                descending |= tokens.is(i, "desc");
                end = Math.min(end, i);
                if (tokens.is(i, "collate")) {
                    context.draft.skip(
                            tokens.line(i),
                            tokens.text(at.at(), at.end()),
                            "how an index compares its texts is not kept");
                }
            }
        }
        if (at.isName() && at.at() + 1 == end) {
            String name = at.name();
            Optional<String> column = table.column(name);
            return new Table.IndexedColumn(
                    Expression.column(
                            column.orElseThrow(() -> new Unread("there is no column " + name + " in " + table.name))),
                    descending);
        }
        int operators = operatorClass(at, end);
        if (operators < end) {
            return compared(at, operators, end, descending);
        }
        boolean cut = at.isName()
                && at.at() + 4 == end
                && at.tokens().is(at.at() + 1, '(')
                && at.tokens().kind(at.at() + 2) == Kind.NUMBER;
        if (cut && context.isMySql()) {
            String column = table.requireColumn(at.name());
            Expression<String> start = Expression.of(
                    new Expression.Column<>(column),
                    new Expression.Text<>(at.upTo(end).text()));
            return new Table.IndexedColumn(start.in(context.dialect.name()), descending);
        }
        return new Table.IndexedColumn(
                context.expressions.read(at.upTo(end), table::column, table::isText), descending);
    }

    /** Where the name of an operator class begins, which says how a part is compared; the end where there is none. */
    private int operatorClass(Cursor at, int end) {
        if (!context.is("postgresql") || end < at.at() + 2 || at.tokens().kind(end - 1) == Kind.SYMBOL) {
            return end;
        }
        int start = end - 1;
        while (start > at.at() + 2 && at.tokens().is(start - 1, '.')) {
            start -= 2;
        }
        boolean behind = at.tokens().is(start - 1, ')') || start == at.at() + 1;
        return behind && at.tokens().unquoted(end - 1).endsWith("_ops") ? start : end;
    }

    /** A part that is compared in another way than its type is. */
    private Table.IndexedColumn compared(Cursor at, int operators, int end, boolean descending) {
        Expression<String> value = context.expressions.read(at.upTo(operators), table::column, table::isText);
        var pieces = new ArrayList<>(value.pieces());
        pieces.add(new Expression.Text<>(" " + at.tokens().unquoted(end - 1)));
        return new Table.IndexedColumn(new Expression<>(pieces, context.dialect.name()), descending);
    }

    private static boolean inBrackets(Cursor at, int token) {
        int depth = 0;
        for (int i = at.at(); i < token; i++) {
            depth += at.tokens().is(i, '(') ? 1 : at.tokens().is(i, ')') ? -1 : 0;
        }
        return depth > 0;
    }
}
