package ableschema.core.words;

import ableschema.core.design.Attribute;
import ableschema.core.design.Condition;
import ableschema.core.design.Expression;
import ableschema.core.design.TypedValue;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Reads what an attribute's values must be, as in {@code between 1 and 10} or {@code one of white, sage}. */
public final class ConditionText {

    private static final Pattern RANGE = Pattern.compile("between (.+?) and (.+)", Pattern.CASE_INSENSITIVE);
    private static final Pattern LIST = Pattern.compile("one of (.+)", Pattern.CASE_INSENSITIVE);
    private static final Pattern SIGNED = Pattern.compile("(<=|>=|<>|<|>|=) ?(.+)");
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
        Matcher range = RANGE.matcher(given);
        if (range.matches()) {
            return Optional.of(new Condition.Range(
                    attribute.ref(), fitting(attribute, range.group(1)), fitting(attribute, range.group(2))));
        }
        Matcher list = LIST.matcher(given);
        if (list.matches()) {
            List<String> values = Arrays.stream(list.group(1).split("\\s*,\\s*| or "))
                    .map(value -> fitting(attribute, value))
                    .toList();
            return Optional.of(new Condition.OneOf(attribute.ref(), values));
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

    private static String fitting(Attribute attribute, String value) {
        TypedValue read = TypedValue.of(attribute.type(), value.strip());
        read.problem().ifPresent(problem -> {
            throw new IllegalArgumentException(
                    "the rule for " + attribute.name() + " names a value that it can never have: " + problem);
        });
        return value.strip();
    }

    /** Whether a default is one of {@code today}, {@code now} and {@code a new uuid}. */
    public static boolean isFunction(String text) {
        return FUNCTIONS.containsKey(text.strip());
    }

    /** The expression for such words. */
    public static Expression function(String words) {
        return Expression.of(new Expression.Text(FUNCTIONS.getOrDefault(words.strip(), words)));
    }

    /** A default as people type it: a plain value, or the words for what the database fills in. */
    public static String defaultInWords(Expression expression) {
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
