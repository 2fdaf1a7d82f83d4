package ableschema.core.words;

import ableschema.core.design.Attribute;
import ableschema.core.design.ColumnRef;
import ableschema.core.design.Condition;
import ableschema.core.expression.Expression;
import ableschema.core.sql.dialect.StandardFunction;
import ableschema.core.types.DataType;
import ableschema.core.types.TypedValue;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;

/** Reads what an attribute's values must be, as in {@code between 1 and 10} or {@code one of white, sage}. */
public final class ConditionText {

    private static final Pattern RANGE = Pattern.compile("between (.+?) and (.+)", Pattern.CASE_INSENSITIVE);
    private static final Pattern LIST = Pattern.compile("one of (.+)", Pattern.CASE_INSENSITIVE);
    private static final Pattern SIGNED = Pattern.compile("(<=|>=|<>|<|>|=) ?(.+)");
    private static final Pattern SEPARATOR = Pattern.compile("\\s*,\\s*| or ");
    private static final Pattern BARE = Pattern.compile("[-+0-9.:]+(?: [-+0-9.:]+)?");
    private static final Map<String, Condition.Operator> SIGNS = Map.of(
            "<", Condition.Operator.LESS,
            "<=", Condition.Operator.AT_MOST,
            ">", Condition.Operator.GREATER,
            ">=", Condition.Operator.AT_LEAST,
            "=", Condition.Operator.EQUAL,
            "<>", Condition.Operator.OTHER);

    /** What the database fills in by itself, in words. */
    private static final Map<String, String> FUNCTIONS =
            Map.of("today", "current_date", "now", "current_timestamp", "a new uuid", "new_uuid()");

    private ConditionText() {}

    /** Reads a rule; empty for no text; an {@link IllegalArgumentException} says what was expected. */
    public static Optional<Condition> read(Attribute attribute, String text) {
        String given = text.strip();
        if (given.isEmpty()) {
            return Optional.empty();
        }
        Condition condition = condition(attribute, given)
                .orElseThrow(() -> new IllegalArgumentException("'" + given
                        + "' is no rule; rules are written as in: greater than 0; at most 100; between 1 and 10;"
                        + " one of white, sage"));
        return Optional.of(condition);
    }

    private static Optional<Condition> condition(Attribute attribute, String given) {
        String masked = Quoted.masked(given);
        Matcher range = RANGE.matcher(masked);
        if (range.matches()) {
            return Optional.of(new Condition.Range(
                    attribute.ref(),
                    fitting(attribute, given.substring(range.start(1), range.end(1))),
                    fitting(attribute, given.substring(range.start(2), range.end(2)))));
        }
        Matcher list = LIST.matcher(masked);
        if (list.matches()) {
            return Optional.of(new Condition.OneOf(attribute.ref(), values(attribute, given, masked, list.start(1))));
        }
        Matcher signed = SIGNED.matcher(given);
        if (signed.matches()) {
            return Optional.of(new Condition.Comparison(
                    attribute.ref(), SIGNS.get(signed.group(1)), fitting(attribute, signed.group(2))));
        }
        for (Condition.Operator operator : Condition.Operator.values()) {
            String words = operator.words() + " ";
            if (given.regionMatches(true, 0, words, 0, words.length())) {
                String value = fitting(attribute, given.substring(words.length()));
                return Optional.of(new Condition.Comparison(attribute.ref(), operator, value));
            }
        }
        return Optional.empty();
    }

    private static List<String> values(Attribute attribute, String given, String masked, int start) {
        var values = new ArrayList<String>();
        Matcher separator = SEPARATOR.matcher(masked);
        int at = start;
        while (separator.find(at)) {
            values.add(fitting(attribute, given.substring(at, separator.start())));
            at = separator.end();
        }
        values.add(fitting(attribute, given.substring(at)));
        return values;
    }

    /** A condition in words that read back as the same condition. */
    static String said(Condition condition) {
        if (condition instanceof Condition.OneOf list) {
            return "one of " + list.values().stream().map(Nouns::listed).collect(Collectors.joining(", "));
        }
        if (condition instanceof Condition.Range range) {
            return "between " + value(range.low()) + " and " + value(range.high());
        }
        var comparison = (Condition.Comparison) condition;
        return comparison.operator().words() + " " + value(comparison.value());
    }

    /** A value as it stands in a rule; numbers, dates and times stand bare. */
    private static String value(String value) {
        return BARE.matcher(value).matches() ? value : Nouns.listed(value);
    }

    /** Reads a default; an {@link IllegalArgumentException} says why it cannot stand for a missing value. */
    static Expression<ColumnRef> readDefault(Attribute attribute, String text) {
        if (isFunction(text)) {
            requireFitting(attribute, text);
            return function(text);
        }
        return plainDefault(attribute, Quoted.plain(text));
    }

    /** Refuses what the database fills in where it is of another type, by an {@link IllegalArgumentException}. */
    public static void requireFitting(Attribute attribute, String words) {
        String name = function(words).toString().replace("()", "");
        boolean open = attribute.type() instanceof DataType.Undecided || attribute.type() instanceof DataType.InDomain;
        boolean fits = StandardFunction.called(name)
                .flatMap(function -> function.fitting(attribute.type()))
                .isPresent();
        if (!open && !fits) {
            throw new IllegalArgumentException("this cannot stand for a missing " + attribute.name() + ": '" + words
                    + "' gives no value of the type " + attribute.type());
        }
    }

    /** A value as a default; an {@link IllegalArgumentException} says why it cannot stand for a missing value. */
    public static Expression<ColumnRef> plainDefault(Attribute attribute, String given) {
        TypedValue value = TypedValue.of(attribute.type(), given);
        if (!value.fits()) {
            throw new IllegalArgumentException("this cannot stand for a missing " + attribute.name() + ": "
                    + value.problem().orElse(""));
        }
        return Expression.of(new Expression.Text<>(Expression.literal(attribute.type(), given)));
    }

    /** A default in words that read back as the same default; empty where there are none. */
    static Optional<String> saidDefault(Attribute attribute) {
        String plain = defaultInWords(attribute.defaultValue());
        boolean function = FUNCTIONS.containsValue(attribute.defaultValue().toString());
        String said = function ? plain : isFunction(plain) ? Quoted.of(plain) : value(plain);
        try {
            return Optional.of(said).filter(text -> readDefault(attribute, text)
                    .toString()
                    .equals(attribute.defaultValue().toString()));
        } catch (IllegalArgumentException e) {
            return Optional.empty(); // an expression of another kind
        }
    }

    private static String fitting(Attribute attribute, String value) {
        String given = Quoted.plain(value);
        TypedValue read = TypedValue.of(attribute.type(), given);
        read.problem().ifPresent(problem -> {
            throw new IllegalArgumentException(
                    "the rule for " + attribute.name() + " names a value that it can never have: " + problem);
        });
        return given;
    }

    /** Whether a default is one of {@code today}, {@code now} and {@code a new uuid}. */
    public static boolean isFunction(String text) {
        return FUNCTIONS.containsKey(text.strip());
    }

    /** The expression for such words. */
    public static Expression<ColumnRef> function(String words) {
        return Expression.of(new Expression.Text<>(FUNCTIONS.getOrDefault(words.strip(), words)));
    }

    /** A default as people type it: a plain value, or the words for what the database fills in. */
    public static String defaultInWords(Expression<ColumnRef> expression) {
        String text = expression.toString();
        return FUNCTIONS.entrySet().stream()
                .filter(e -> e.getValue().equals(text))
                .map(Map.Entry::getKey)
                .findFirst()
                .orElseGet(() -> text.matches("'([^']|'')*'")
                        ? text.substring(1, text.length() - 1).replace("''", "'")
                        : text);
    }
}
