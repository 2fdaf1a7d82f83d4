package ableschema.core.ddl;

import ableschema.core.ddl.Tokens.Kind;
import ableschema.core.expression.Expression;
import ableschema.core.expression.Expression.Piece;
import ableschema.core.sql.dialect.Dialect;
import ableschema.core.sql.dialect.StandardFunction;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.function.Predicate;

/**
 * Reads the expressions of checks, defaults and computed columns. What is standard SQL once it is simplified becomes that; what is not
 * belongs to the dialect.
 */
final class ExpressionReader {

    /** Longer expressions are kept as they are; nobody reads them as rules. */
    private static final int LONGEST = 3000;

    private static final Set<String> WORDS = Set.of(
            "and",
            "or",
            "not",
            "is",
            "null",
            "between",
            "in",
            "like",
            "true",
            "false",
            "case",
            "when",
            "then",
            "else",
            "end",
            "escape",
            "current_date",
            "current_timestamp",
            "current_time",
            "extract",
            "from",
            "for",
            "substring",
            "year",
            "month",
            "day",
            "coalesce",
            "nullif",
            "lower",
            "upper",
            "trim",
            "abs",
            "round",
            "char_length",
            "mod",
            "floor",
            "ceil");

    /** Words that name columns as often. */
    private static final Set<String> UNITS = Set.of("year", "month", "day");

    private static final Set<String> OPERATORS =
            Set.of("=", "<>", "!=", "<", ">", "<=", ">=", "+", "-", "*", "/", "(", ")", ",", "||");

    private final Dialect dialect;

    private final boolean doublePipeIsOr;

    /** Whether the database prints some expressions otherwise than they were written. */
    private final boolean foldsWhatItPrints;

    /** Whether two texts are joined by a plus. */
    private final boolean plusJoins;

    /** Whether LIKE does not look at letter case, whatever the columns are; GLOB does then. */
    private final boolean noLetterCase;

    private final Calls calls;

    /** What a function of this dialect with one argument is called in standard SQL. */
    private final Map<String, String> standard = new HashMap<>();

    ExpressionReader(Dialect dialect) {
        this.dialect = dialect;
        this.doublePipeIsOr = dialect.name().equals("mysql") || dialect.name().equals("mariadb");
        this.plusJoins = dialect.name().equals("sqlserver");
        this.calls = new Calls(
                doublePipeIsOr, doublePipeIsOr || plusJoins || dialect.name().equals("h2"));
        this.noLetterCase = dialect.name().equals("sqlite");
        this.foldsWhatItPrints = doublePipeIsOr || dialect.name().equals("h2");
        standard.put("character_length", "char_length");
        String length = dialect.traits().template(StandardFunction.LENGTH);
        standard.put(length.substring(0, Math.max(0, length.indexOf('('))).toLowerCase(Locale.ROOT), "char_length");
        if (dialect.name().equals("postgresql") || dialect.name().equals("h2")) { // elsewhere it may count bytes
            standard.put("length", "char_length");
        }
    }

    /** Whether a word of SQL stands here rather than the name of a column. */
    static boolean isWord(String word) {
        return WORDS.contains(word) && !UNITS.contains(word);
    }

    /**
     * Reads all that is left.
     *
     * @param column gives the column that a name means; empty for a name that is none
     */
    Expression<String> read(Cursor at, Function<String, Optional<String>> column) {
        return read(at, column, any -> true, any -> false);
    }

    /** The same of what speaks of a table, of which it is known what its columns hold. */
    Expression<String> read(Cursor at, DraftTable table) {
        return read(at, table::column, table::isText, table::isBytes);
    }

    private Expression<String> read(
            Cursor at, Function<String, Optional<String>> column, Predicate<String> isText, Predicate<String> isBytes) {
        List<Item> items = ItemReader.read(at, column);
        if (items.size() > LONGEST) {
            return expression(items, dialect.name());
        }
        boolean or = doublePipeIsOr && items.stream().anyMatch(item -> item.is("||"));
        items = calls.standard(foldsWhatItPrints ? PrintedForm.of(items, !doublePipeIsOr) : items);
        items = plusJoins ? JoinedTexts.of(items, isText) : items;
        items = Simplification.of(items, dialect.name().equals("postgresql"), isText);
        boolean isStandard = !or && isStandard(items, isBytes);
        if (isStandard && noLetterCase) {
            items = PrintedForm.withLike(items);
        }
        if (isStandard) {
            items = items.stream().map(this::renamed).toList();
        }
        return expression(items, isStandard ? "" : dialect.name());
    }

    /** @param isBytes whether a column holds bytes, of which no function counts the characters */
    private boolean isStandard(List<Item> items, Predicate<String> isBytes) {
        for (int i = 0; i < items.size(); i++) {
            Item item = items.get(i);
            boolean call = i + 1 < items.size() && items.get(i + 1).is("(");
            boolean good = item.column().isPresent()
                    || switch (item.kind()) {
                        case STRING -> item.text().startsWith("'");
                        case NUMBER -> item.text().indexOf('x') < 0;
                        case SYMBOL -> OPERATORS.contains(item.text());
                        case WORD ->
                            WORDS.contains(item.text()) && !(call && UNITS.contains(item.text()))
                                    || call && isKnown(items, i, isBytes)
                                    || noLetterCase && PrintedForm.isPlainGlob(items, i);
                        case NAME -> false;
                    };
            if (!good || noLetterCase && item.is("like")) {
                return false;
            }
        }
        return true;
    }

    private boolean isKnown(List<Item> items, int function, Predicate<String> isBytes) {
        Optional<String> argument =
                function + 2 < items.size() ? items.get(function + 2).column() : Optional.empty();
        return standard.containsKey(items.get(function).text())
                && argument.filter(isBytes).isEmpty();
    }

    private Item renamed(Item item) {
        return item.kind() == Kind.WORD && item.column().isEmpty() && standard.containsKey(item.text())
                ? Item.word(standard.getOrDefault(item.text(), item.text()))
                : item.is("!=") ? Item.symbol("<>") : item;
    }

    /** With single spaces, none within brackets and before commas. */
    private static Expression<String> expression(List<Item> items, String of) {
        var pieces = new ArrayList<Piece<String>>();
        var text = new StringBuilder();
        Item before = Item.symbol("(");
        boolean sign = false;
        for (Item item : items) {
            boolean tight = before.is("(")
                    || before.is(".")
                    || before.is("::")
                    || before.is("[")
                    || sign
                    || item.is(")")
                    || item.is(",")
                    || item.is(".")
                    || item.is("::")
                    || item.is("]")
                    || item.is("[")
                    || item.is("(") && before.isFunction();
            text.append(tight ? "" : " ");
            if (item.column().isPresent()) {
                end(text, pieces);
                pieces.add(new Expression.Column<>(item.column().get()));
            } else {
                text.append(item.text());
            }
            sign = item.is("-") && (before.kind() == Kind.SYMBOL && !before.is(")") || before.isKeyword());
            before = item;
        }
        end(text, pieces);
        return pieces.isEmpty() ? Expression.none() : new Expression<>(pieces, of);
    }

    private static void end(StringBuilder text, List<Piece<String>> pieces) {
        if (text.length() > 0) {
            pieces.add(new Expression.Text<>(text.toString()));
            text.setLength(0);
        }
    }
}
