package ableschema.core.words;

import ableschema.core.design.ColumnRef;
import ableschema.core.design.Design;
import ableschema.core.design.Id;
import ableschema.core.design.IdKind;
import ableschema.core.design.Index;
import ableschema.core.design.Pins;
import ableschema.core.expression.Expression;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Reads by what rows are often searched or sorted, and says it:
 *
 * <pre>
 * index  = part { "," part } [ "where" RULE ] [ "(unique)" ]
 * part   = ( NAME [ "in any letter case" ] | VALUE ) [ "falling" | "rising" ]
 * </pre>
 *
 * where a rule and a value are as {@link CheckText} has them: {@code lower(name), done at falling where done = true}.
 */
final class IndexText {

    private static final Pattern FALLING = pattern("falling|descending|desc|down|↓|latest first|largest first");
    private static final Pattern RISING = pattern("rising|ascending|asc|up|↑");
    private static final Pattern ANY_CASE = pattern(
            "in any (?:letter )?case|whatever (?:its|the) letter case|ignoring (?:its |the )?(?:letter )?case|regardless of"
                    + " (?:its |the )?(?:letter )?case");
    private static final Pattern NEXT = Pattern.compile("\\s*(?:,|\\band\\b|\\+)\\s*");
    private static final Pattern WHERE =
            Pattern.compile("\\s*,?\\s*(?:but )?(?:only )?(?:for those )?(?:where|when)\\s+", Pattern.CASE_INSENSITIVE);
    private static final Pattern UNIQUE = Pattern.compile("\\s*\\(unique\\)\\s*\\.?\\s*$", Pattern.CASE_INSENSITIVE);
    private static final Pattern MADE =
            Pattern.compile("\\(|(?:the )?length of\\b|[\\p{L}_]+\\s*\\(", Pattern.CASE_INSENSITIVE);
    private static final Pattern RECKONED =
            Pattern.compile("\\s*[-*/]|\\s+\\+\\s*|\\s+(?:times|plus|minus|divided by)\\b", Pattern.CASE_INSENSITIVE);

    private final ColumnNames names;
    private final CheckText rules;
    private final String called;

    IndexText(Design design, Id owner) {
        this.names = new ColumnNames(design, owner);
        this.rules = new CheckText(design, owner);
        this.called = design.nameOf(owner);
    }

    private static Pattern pattern(String words) {
        return Pattern.compile("\\s*(?:" + words + ")(?![\\p{L}_])", Pattern.CASE_INSENSITIVE);
    }

    /** What was read. */
    record Read(List<Index.Part> parts, Expression<ColumnRef> only, boolean unique) {

        Index index(Index.Purpose purpose) {
            Id none = Id.derived(IdKind.INDEX, "read"); // whoever adds it gives it its own
            return new Index(none, parts, unique, purpose, only, Pins.NONE);
        }
    }

    private record ReadPart(List<Index.Part> parts, int end) {}

    /** A {@link Misunderstanding} points at what is wrong. */
    Read read(String line, int start, int end) {
        Matcher unique = UNIQUE.matcher(line).region(start, end);
        boolean isUnique = unique.find();
        String text = line.substring(0, isUnique ? unique.start() : end);
        var parts = new ArrayList<Index.Part>();
        int at = start;
        while (true) {
            ReadPart read = part(text, at);
            parts.addAll(read.parts());
            at = read.end();
            int next = behind(NEXT, text, at);
            if (next <= 0 || behind(WHERE, text, at) > 0) {
                break;
            }
            at = next;
        }
        Expression<ColumnRef> only = Expression.none();
        int where = behind(WHERE, text, at);
        if (where > 0) {
            only = rules.read(text, where, text.length());
        } else {
            String rest = text.substring(at).strip();
            if (!rest.isEmpty() && !rest.equals(".")) {
                throw new Misunderstanding(
                        at, text.length(), "expected a comma, 'falling', 'where …', '(unique)' or the end");
            }
        }
        long different = parts.stream().map(Index.Part::value).distinct().count();
        if (different < parts.size()) {
            throw new Misunderstanding(start, end, "a column stands twice in this index");
        }
        return new Read(parts, only, isUnique);
    }

    private ReadPart part(String text, int start) {
        int at = start;
        while (at < text.length() && Character.isWhitespace(text.charAt(at))) {
            at++;
        }
        Optional<ColumnNames.Found> column = names.at(text, at);
        Optional<ColumnNames.FoundReference> reference =
                column.isPresent() ? Optional.empty() : names.referenceAt(text, at);
        if (reference.isPresent()) {
            return directed(
                    reference.get().columns().stream().map(Expression::column).toList(),
                    text,
                    reference.get().end());
        }
        Expression<ColumnRef> value;
        if (column.isPresent() && behind(RECKONED, text, column.get().end()) == 0) {
            value = Expression.column(column.get().ref());
            at = column.get().end();
            int anyCase = behind(ANY_CASE, text, at);
            if (anyCase > 0) {
                value = lowered(column.get().ref());
                at = anyCase;
            }
        } else if (column.isPresent() || behind(MADE, text, at) > 0) {
            CheckText.ReadValue made = rules.readValue(text, at, text.length());
            value = made.value();
            at = made.end();
        } else {
            throw unknown(text, at);
        }
        return directed(List.of(value), text, at);
    }

    private static ReadPart directed(List<Expression<ColumnRef>> values, String text, int at) {
        int falling = behind(FALLING, text, at);
        int rising = behind(RISING, text, at);
        List<Index.Part> parts =
                values.stream().map(value -> new Index.Part(value, falling > 0)).toList();
        return new ReadPart(parts, Math.max(at, Math.max(falling, rising)));
    }

    private static Expression<ColumnRef> lowered(ColumnRef column) {
        return Expression.of(
                new Expression.Text<>("lower("), new Expression.Column<>(column), new Expression.Text<>(")"));
    }

    private static int behind(Pattern pattern, String text, int at) {
        Matcher matcher = pattern.matcher(text).region(at, text.length());
        return matcher.lookingAt() ? matcher.end() : 0;
    }

    private Misunderstanding unknown(String text, int at) {
        int comma = text.indexOf(',', at);
        int end = comma < 0 ? text.length() : comma;
        String found = text.substring(at, end).strip();
        return new Misunderstanding(
                Math.min(at, Math.max(0, text.length() - 1)),
                end,
                found.isEmpty() ? "expected the name of an attribute" : "'" + found + "' is no attribute of " + called);
    }

    /** Empty where a column has no name that leads to it, or what is said reads back as something else. */
    Optional<String> said(Index index) {
        List<String> parts = new ArrayList<>();
        for (Index.Part part : index.parts()) {
            Optional<String> value = rules.written(part.value());
            if (value.isEmpty()) {
                return Optional.empty();
            }
            parts.add(value.get() + (part.descending() ? " falling" : ""));
        }
        Optional<String> only = rules.written(index.only());
        if (only.isEmpty()) {
            return Optional.empty();
        }
        String said = String.join(", ", parts)
                + (only.get().isEmpty() ? "" : " where " + only.get())
                + (index.unique() ? " (unique)" : "");
        try {
            Index again = read(said, 0, said.length()).index(index.purpose());
            return again.isOverTheSameAs(index) ? Optional.of(said) : Optional.empty();
        } catch (Misunderstanding e) {
            return Optional.empty(); // a name that reads as more than itself
        }
    }
}
