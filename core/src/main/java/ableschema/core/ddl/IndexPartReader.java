package ableschema.core.ddl;

import ableschema.core.ddl.Tokens.Kind;
import ableschema.core.expression.Expression;
import ableschema.core.schema.Table;
import java.util.ArrayList;
import java.util.Locale;

/** Reads one part of an index: a column, or what is made of some, then how it is compared and in which direction it is kept. */
final class IndexPartReader {

    private final Context context;
    private final DraftTable table;

    IndexPartReader(Context context, DraftTable table) {
        this.context = context;
        this.table = table;
    }

    Table.IndexedColumn read(Cursor at) {
        int start = at.at();
        int end = valueEnd(at);
        Expression<String> value = value(at.upTo(end));
        Behind said = Behind.read(at, context.is("postgresql") || context.is("oracle"));
        String compared = compared(said);
        boolean lost = compared.isEmpty() && (!said.collation.isEmpty() || !said.isUsual());
        if (lost && !said.collation.equals("default")) {
            context.draft.skip(
                    at.tokens().line(start),
                    at.tokens().text(start, at.end()),
                    said.collation.isEmpty()
                            ? "whether the empty values come first in an index is not kept"
                            : "how an index compares its texts is not kept");
        }
        if (compared.isEmpty()) {
            return new Table.IndexedColumn(value, said.descending);
        }
        var pieces = new ArrayList<>(value.pieces());
        int last = pieces.size() - 1;
        if (last >= 0 && pieces.get(last) instanceof Expression.Text<String> text) {
            pieces.set(last, new Expression.Text<>(text.text() + compared));
        } else {
            pieces.add(new Expression.Text<>(compared));
        }
        return new Table.IndexedColumn(
                new Expression<>(pieces, context.dialect.name()), said.descending && said.isUsual());
    }

    /** What stands behind the value of a part. */
    private static final class Behind {
        private String collation = "";
        private String operators = "";
        private String empties = "";
        private boolean descending;

        /** Whether an empty value is more than any other, where nothing is said of it. */
        private final boolean emptyIsMost;

        private Behind(boolean emptyIsMost) {
            this.emptyIsMost = emptyIsMost;
        }

        static Behind read(Cursor at, boolean emptyIsMost) {
            var said = new Behind(emptyIsMost);
            while (!at.atEnd()) {
                if (at.accept("collate")) {
                    said.collation = at.lastName();
                } else if (at.accept("desc")) {
                    said.descending = true;
                } else if (at.accept("nulls")) {
                    said.empties = at.is("first") ? "first" : "last";
                    at.skip();
                } else if (at.is("asc") || !at.isName()) {
                    at.skip();
                } else {
                    said.operators = at.lastName();
                }
            }
            return said;
        }

        /** Whether empty values come where they come when nothing is said of them. */
        boolean isUsual() {
            return empties.isEmpty() || empties.equals(descending == emptyIsMost ? "first" : "last");
        }
    }

    /** How a part is compared otherwise than its type is, in the one form that it has behind the value; empty for nothing. */
    private String compared(Behind said) {
        if (context.is("sqlite")) {
            return said.collation.isEmpty() ? "" : " collate " + said.collation.toUpperCase(Locale.ROOT);
        }
        if (!context.is("postgresql")) {
            return "";
        }
        boolean collated = !said.collation.isEmpty() && !said.collation.equals("default");
        return (collated ? " collate \"" + said.collation.replace("\"", "\"\"") + "\"" : "")
                + (said.operators.isEmpty() ? "" : " " + said.operators)
                + (said.isUsual() ? "" : (said.descending ? " desc" : "") + " nulls " + said.empties);
    }

    private Expression<String> value(Cursor at) {
        if (at.isName() && at.at() + 1 == at.end()) {
            return Expression.column(table.requireColumn(at.name()));
        }
        boolean cut = at.isName()
                && at.at() + 4 == at.end()
                && at.tokens().is(at.at() + 1, '(')
                && at.tokens().kind(at.at() + 2) == Kind.NUMBER;
        if (cut && context.isMySql()) {
            String column = table.requireColumn(at.name());
            Expression<String> start = Expression.of(new Expression.Column<>(column), new Expression.Text<>(at.text()));
            return start.in(context.dialect.name());
        }
        return context.expressions.read(at, table);
    }

    /** Where the value of a part ends, outside brackets. */
    private int valueEnd(Cursor at) {
        Tokens tokens = at.tokens();
        int depth = 0;
        for (int i = at.at(); i < at.end(); i++) {
            depth += tokens.depth(i);
            boolean behind =
                    tokens.is(i, "asc") || tokens.is(i, "desc") || tokens.is(i, "nulls") || tokens.is(i, "collate");
            if (depth == 0 && i > at.at() && behind) {
                return operators(at, i);
            }
        }
        return operators(at, at.end());
    }

    /** Where the name of an operator class begins that stands before a place; the place where none does. */
    private int operators(Cursor at, int end) {
        Tokens tokens = at.tokens();
        if (!context.is("postgresql") || end < at.at() + 2 || tokens.kind(end - 1) == Kind.SYMBOL) {
            return end;
        }
        int start = end - 1;
        while (start > at.at() + 2 && tokens.is(start - 1, '.')) {
            start -= 2;
        }
        boolean behind = tokens.is(start - 1, ')') || start == at.at() + 1;
        return behind && tokens.unquoted(end - 1).endsWith("_ops") ? start : end;
    }
}
