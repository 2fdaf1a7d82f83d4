package ableschema.core.words;

import ableschema.core.types.DataType;
import ableschema.core.types.DataTypes;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;

/** Reads the values that a rule compares: columns, literals, functions and sums of them. */
final class CheckOperands {

    private static final Pattern TEXT = Pattern.compile("'(?:[^']|'')*'");
    private static final Pattern MOMENT = Pattern.compile(
            "[0-9]{4}-[0-9]{2}-[0-9]{2}(?:[ T][0-9]{2}:[0-9]{2}(?::[0-9]{2})?)?(?![0-9])|[0-9]{2}:[0-9]{2}(?::[0-9]{2})?(?![0-9])");
    private static final Pattern NUMBER = Pattern.compile("[0-9]+(?:\\.[0-9]+)?(?![\\p{L}_])");
    private static final Pattern TRUE = Pattern.compile("(?:true|yes)\\b", Pattern.CASE_INSENSITIVE);
    private static final Pattern FALSE = Pattern.compile("(?:false|no)\\b", Pattern.CASE_INSENSITIVE);
    private static final Pattern NOW =
            Pattern.compile("(?:today|now|current_date|current_timestamp|localtimestamp)\\b", Pattern.CASE_INSENSITIVE);
    private static final Pattern LENGTH_OF = Pattern.compile("(?:the )?length of\\b", Pattern.CASE_INSENSITIVE);
    private static final Pattern FUNCTION =
            Pattern.compile("(char_length|character_length|length|lower|upper)\\s*\\(", Pattern.CASE_INSENSITIVE);
    private static final Pattern YEAR_OF =
            Pattern.compile("(?:the )?year of\\b|extract\\s*\\(\\s*year\\s+from\\b", Pattern.CASE_INSENSITIVE);
    private static final Pattern SUBSTRING = Pattern.compile("substring\\s*\\(", Pattern.CASE_INSENSITIVE);
    private static final Pattern RANGE = Pattern.compile(
            "\\s+from\\s+[1-9][0-9]{0,4}(?:\\s+for\\s+[1-9][0-9]{0,4})?\\s*\\)", Pattern.CASE_INSENSITIVE);
    private static final Pattern ARTICLE = Pattern.compile("(?:the|its|their) ", Pattern.CASE_INSENSITIVE);
    private static final Pattern WORD = Pattern.compile("[\\p{L}_][\\p{L}\\p{N}_-]*");

    private static final Map<String, String> OPERATORS =
            Map.of("+", "plus", "-", "minus", "*", "times", "/", "divided by");

    private final CheckReader reader;
    private final String text;
    private final ColumnNames names;
    private final String owner;

    CheckOperands(CheckReader reader, String text, ColumnNames names, String owner) {
        this.reader = reader;
        this.text = text;
        this.names = names;
        this.owner = owner;
    }

    /**
     * A value that was read.
     *
     * @param said    as it stands in the line
     * @param literal what it is, where it is no column and not reckoned
     */
    record Value(DataType type, int start, String said, Optional<String> literal) {
        boolean isNumber() {
            return literal.filter(each -> each.matches("-?[0-9.]+")).isPresent();
        }
    }

    boolean isColumn() {
        return names.at(text, reader.at()).isPresent();
    }

    /** Whether a value of a list stands here. */
    boolean isListed(DataType type) {
        return type instanceof DataType.OneOf list && list.values().stream().anyMatch(each -> standsHere(each));
    }

    private boolean standsHere(String value) {
        int end = reader.at() + value.length();
        return text.startsWith(value, reader.at()) && (end >= text.length() || !ColumnNames.isOfWord(text.charAt(end)));
    }

    private Value value(DataType type, int start, Optional<String> literal) {
        return new Value(type, start, text.substring(start, reader.at()).strip(), literal);
    }

    /** @param wanted what it is compared with, by which the words of a list are known */
    Value sum(Optional<DataType> wanted) {
        int start = reader.at();
        Value value = reckoned(wanted);
        while (reader.accept("||")) {
            requireText(value);
            requireText(reckoned(wanted));
            value = value(new DataType.Text(0), start, Optional.empty());
        }
        return value;
    }

    private void requireText(Value value) {
        boolean text = value.type() instanceof DataType.Text
                || value.type() instanceof DataType.OneOf
                || value.type() instanceof DataType.Undecided;
        require(text, value, ", which is no text; each database writes it in its own way");
    }

    private static void require(boolean fits, Value value, String problem) {
        if (!fits) {
            throw Misunderstanding.ofTypes(
                    value.start(),
                    value.start() + value.said().length(),
                    value.said() + " holds " + value.type() + problem);
        }
    }

    private Value reckoned(Optional<DataType> wanted) {
        return calculated(wanted, "+", "-", () -> calculated(wanted, "*", "/", () -> factor(wanted)));
    }

    private interface Reading {
        Value value();
    }

    private Value calculated(Optional<DataType> wanted, String one, String other, Reading part) {
        int start = reader.at();
        Value value = part.value();
        while (operator(one) || operator(other)) {
            boolean divides = reader.hasWritten("/");
            requireNumber(value);
            Value right = part.value();
            requireNumber(right);
            if (divides
                    && right.literal()
                            .filter(text -> text.matches("-?0+(\\.0+)?"))
                            .isPresent()) {
                throw new Misunderstanding(
                        right.start(), right.start() + right.said().length(), "nothing is divided by 0");
            }
            value = value(new DataType.Decimal(1000, 500), start, Optional.empty());
        }
        return value;
    }

    private boolean operator(String sign) {
        return reader.accept(sign) || reader.acceptAs(OPERATORS.getOrDefault(sign, sign), sign);
    }

    private void requireNumber(Value value) {
        boolean number = value.type().isNumeric() || value.type() instanceof DataType.Undecided;
        require(number, value, ", with which databases reckon each in its own way, or not at all");
    }

    private Value factor(Optional<DataType> wanted) {
        reader.space();
        int start = reader.at();
        Optional<Value> truth = truth(wanted);
        if (truth.isPresent()) {
            return truth.get();
        }
        Optional<ColumnNames.Found> column =
                names.at(text, start).or(() -> behindArticle(start)).filter(found -> !isPartOfWords(found.end()));
        if (column.isPresent()) {
            reader.moveTo(column.get().end());
            reader.write(column.get().ref());
            return value(names.type(column.get().ref()), start, Optional.empty());
        }
        if (reader.accept("(")) {
            reader.deeper();
            Value inner = sum(wanted);
            if (!reader.accept(")")) {
                throw reader.expected("')'");
            }
            reader.shallower();
            return value(inner.type(), start, Optional.empty());
        }
        return called(start).or(() -> literal(start, wanted)).orElseThrow(() -> unknown(wanted));
    }

    /** "length of name" is no column called length, unless the column's name goes on. */
    private boolean isPartOfWords(int end) {
        return Stream.of(LENGTH_OF, YEAR_OF)
                .flatMap(words -> reader.here(words).stream())
                .anyMatch(words -> words.end() > end);
    }

    /** "the fine", "its fine". */
    private Optional<ColumnNames.Found> behindArticle(int start) {
        return reader.here(ARTICLE).flatMap(article -> names.at(text, article.end()));
    }

    private Optional<Value> called(int start) {
        Optional<Matcher> length = reader.here(LENGTH_OF);
        if (length.isPresent()) {
            reader.moveTo(length.get().end());
            reader.write("char_length(");
            while (reader.at() < text.length() && text.charAt(reader.at()) == ' ') {
                reader.moveTo(reader.at() + 1);
            }
            requireText(factor(Optional.empty()));
            reader.write(")");
            return Optional.of(value(new DataType.Whole(0), start, Optional.empty()));
        }
        Optional<Matcher> year = reader.here(YEAR_OF);
        if (year.isPresent()) {
            reader.moveTo(year.get().end());
            reader.write("extract(year from ");
            while (reader.at() < text.length() && text.charAt(reader.at()) == ' ') {
                reader.moveTo(reader.at() + 1);
            }
            requireDay(factor(Optional.empty()));
            boolean open = year.get().group().indexOf('(') > 0;
            if (!open) {
                reader.write(")");
            } else if (!reader.accept(")")) {
                throw reader.expected("')'");
            }
            return Optional.of(value(DataType.Simple.YEAR, start, Optional.empty()));
        }
        Optional<Matcher> part = reader.here(SUBSTRING);
        if (part.isPresent()) {
            return Optional.of(substring(part.get(), start));
        }
        Optional<Matcher> function = reader.here(FUNCTION);
        if (function.isEmpty()) {
            return Optional.empty();
        }
        reader.moveTo(function.get().end());
        reader.write(function.get().group());
        requireText(sum(Optional.empty()));
        if (!reader.accept(")")) {
            throw reader.expected("')'");
        }
        boolean letters = function.get().group(1).toLowerCase(Locale.ROOT).endsWith("er");
        return Optional.of(value(letters ? new DataType.Text(0) : new DataType.Whole(0), start, Optional.empty()));
    }

    private void requireDay(Value value) {
        boolean day = value.type() == DataType.Simple.DATE || value.type() == DataType.Simple.MOMENT;
        require(day, value, ", of which there is no year");
    }

    private Value substring(Matcher begun, int start) {
        reader.moveTo(begun.end());
        reader.write("substring(");
        requireText(sum(Optional.empty()));
        Optional<Matcher> range = reader.here(RANGE);
        if (range.isEmpty()) {
            throw reader.expected("'from' and the place of the first sign, as in: substring(code from 4 for 2)");
        }
        reader.write(range.get().group());
        reader.moveTo(range.get().end());
        return value(new DataType.Text(0), start, Optional.empty());
    }

    private Optional<Value> literal(int start, Optional<DataType> wanted) {
        Optional<Matcher> text = reader.here(TEXT);
        if (text.isPresent()) {
            String inner = text.get().group();
            return taken(
                    text.get(),
                    inner,
                    DataTypes.UNDECIDED,
                    inner.substring(1, inner.length() - 1).replace("''", "'"));
        }
        Optional<Matcher> moment = reader.here(MOMENT);
        if (moment.isPresent()) {
            String said = moment.get().group();
            return taken(moment.get(), "'" + said + "'", DataTypes.UNDECIDED, said);
        }
        boolean negative = start < this.text.length() && this.text.charAt(start) == '-';
        if (negative) {
            reader.accept("-");
        }
        Optional<Matcher> number = reader.here(NUMBER);
        if (number.isPresent()) {
            String digits = number.get().group();
            taken(number.get(), digits, DataTypes.UNDECIDED, digits);
            return Optional.of(value(DataTypes.UNDECIDED, start, Optional.of(negative ? "-" + digits : digits)));
        }
        if (negative) {
            throw reader.expected("a number");
        }
        return wanted.flatMap(this::listed);
    }

    /** Where yes or no is wanted they are no names, whatever attributes are called. */
    private Optional<Value> truth(Optional<DataType> wanted) {
        boolean asked = wanted.filter(type -> type == DataType.Simple.YES_NO).isPresent();
        Optional<Matcher> yes = asked ? reader.here(TRUE) : Optional.empty();
        if (yes.isPresent()) {
            return taken(yes.get(), kept(yes.get(), "true"), DataType.Simple.YES_NO, "yes");
        }
        Optional<Matcher> no = asked ? reader.here(FALSE) : Optional.empty();
        return no.flatMap(match -> taken(match, kept(match, "false"), DataType.Simple.YES_NO, "no"));
    }

    /** The word of SQL as it stands, where it is one. */
    private static String kept(Matcher match, String sql) {
        return match.group().equalsIgnoreCase(sql) ? match.group() : sql;
    }

    /** A value of a list needs no quotes. */
    private Optional<Value> listed(DataType type) {
        if (!(type instanceof DataType.OneOf list)) {
            return Optional.empty();
        }
        return list.values().stream()
                .sorted((one, two) -> two.length() - one.length())
                .filter(this::standsHere)
                .findFirst()
                .map(each -> {
                    int start = reader.at();
                    reader.moveTo(start + each.length());
                    reader.write("'" + each.replace("'", "''") + "'");
                    return value(DataTypes.UNDECIDED, start, Optional.of(each));
                });
    }

    private Optional<Value> taken(Matcher match, String sql, DataType type, String literal) {
        reader.write(sql);
        reader.moveTo(match.end());
        return Optional.of(value(type, match.start(), Optional.of(literal)));
    }

    private Misunderstanding unknown(Optional<DataType> wanted) {
        if (reader.here(NOW).isPresent()) {
            return reader.expected(
                    "something that stays the same: a rule is judged when a row is written, and not each day");
        }
        Optional<Matcher> word = reader.here(WORD);
        if (word.isEmpty()) {
            return reader.expected("the name of an attribute, or a value");
        }
        String found = word.get().group();
        boolean words = wanted.filter(type -> type instanceof DataType.Text).isPresent();
        Optional<String> near = names.all().stream()
                .filter(each -> Math.min(each.length(), found.length()) > 3)
                .filter(each -> Spelling.distance(each.toLowerCase(Locale.ROOT), found.toLowerCase(Locale.ROOT)) <= 2)
                .findFirst();
        return new Misunderstanding(
                word.get().start(),
                word.get().end(),
                "'" + found + "' is no attribute of " + owner
                        + near.map(each -> "; is " + each + " meant?")
                                .orElse(words ? "; a text stands between quotes: '" + found + "'" : ""));
    }
}
