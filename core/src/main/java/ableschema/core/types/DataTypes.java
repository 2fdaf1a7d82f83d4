package ableschema.core.types;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;

/** Reads the short notation of types, such as {@code text 40}, {@code counted 500 by 10} or {@code decimal 6,2}. */
public final class DataTypes {

    public static final DataType UNDECIDED = new DataType.Undecided();

    /** One example of each notation, for completion and help. */
    public static final List<String> NOTATIONS = List.of(
            "text 40",
            "text",
            "whole",
            "whole 500",
            "counted",
            "counted 500 by 1",
            "counted to 5000000000",
            "decimal 6,2",
            "real",
            "yes/no",
            "year",
            "date",
            "time",
            "moment",
            "moment anywhere",
            "uuid",
            "bytes",
            "bytes 500",
            "json",
            "list (white, sage)",
            "undecided");

    private static final Pattern TEXT = Pattern.compile("(?:long )?text(?: (\\d{1,9}))?");
    private static final Pattern WHOLE = Pattern.compile("whole(?: (\\d{1,18}))?");
    private static final Pattern COUNTED =
            Pattern.compile("counted(?: (-?\\d{1,18}))?(?: by (-?\\d{1,9}))?(?: to (-?\\d{1,18}))?");
    private static final Pattern BYTES = Pattern.compile("bytes(?: (\\d{1,12}))?");
    private static final Pattern LIST =
            Pattern.compile("\\s*list\\s*\\((.*)\\)\\s*", Pattern.CASE_INSENSITIVE | Pattern.DOTALL);
    private static final Pattern LIST_VALUE = Pattern.compile("\\s*(?:\"((?:[^\"]|\"\")*)\"|([^,\"]*))\\s*(,|$)");
    private static final Pattern DOMAIN = Pattern.compile("domain (\\S+)");
    private static final Pattern DECIMAL = Pattern.compile("decimal (\\d{1,4}) ?, ?(\\d{1,4})");

    private static final String NUMBERS =
            "whole for what is counted, decimal 9,2 for sums and measures, real where it may be rounded";
    private static final String FILES = "bytes for what is in the file, text 200 for where it lies";

    /** What people write for several types, with those that it may be. */
    private static final Map<String, String> SEVERAL = Map.of(
            "number", NUMBERS,
            "numeric", NUMBERS,
            "decimal", "decimal 9,2 for nine digits of which two are behind the point",
            "file", FILES,
            "image", FILES,
            "picture", FILES,
            "document", FILES,
            "email", "text 80",
            "phone", "text 20",
            "enum", "list (white, sage)");

    private DataTypes() {}

    /** Reads a type, whatever its letter case; an {@link IllegalArgumentException} says what was expected. */
    public static DataType parse(String text) {
        Matcher list = LIST.matcher(text);
        if (list.matches()) {
            return new DataType.OneOf(values(list.group(1)));
        }
        String given = text.strip().toLowerCase(Locale.ROOT).replaceAll("\\s+", " ");
        return simple(given)
                .or(() -> sized(given))
                .orElseThrow(() -> new IllegalArgumentException("'" + text.strip() + "' is no type; "
                        + Optional.ofNullable(SEVERAL.get(given))
                                .map(types -> "write " + types)
                                .orElse("types are written as in: " + String.join("; ", NOTATIONS))));
    }

    private static Optional<DataType> simple(String given) {
        return given.isEmpty() || given.equals("undecided") ? Optional.of(UNDECIDED) : DataType.Simple.named(given);
    }

    private static Optional<DataType> sized(String given) {
        Matcher text = TEXT.matcher(given);
        if (text.matches()) {
            return Optional.of(new DataType.Text((int) number(text.group(1), 0)));
        }
        Matcher whole = WHOLE.matcher(given);
        if (whole.matches()) {
            return Optional.of(new DataType.Whole(number(whole.group(1), 0)));
        }
        Matcher counted = COUNTED.matcher(given);
        if (counted.matches()) {
            return Optional.of(new DataType.Counted(
                    number(counted.group(1), 1), number(counted.group(2), 1), number(counted.group(3), 0)));
        }
        Matcher bytes = BYTES.matcher(given);
        if (bytes.matches()) {
            return Optional.of(new DataType.Bytes(number(bytes.group(1), 0)));
        }
        Matcher domain = DOMAIN.matcher(given);
        if (domain.matches()) {
            return Optional.of(new DataType.InDomain(domain.group(1)));
        }
        Matcher decimal = DECIMAL.matcher(given);
        return decimal.matches()
                ? Optional.of(
                        new DataType.Decimal(Integer.parseInt(decimal.group(1)), Integer.parseInt(decimal.group(2))))
                : Optional.empty();
    }

    /** The values of a list, between commas; one that holds a comma or a quote stands between double quotes. */
    private static List<String> values(String text) {
        var values = new ArrayList<String>();
        Matcher value = LIST_VALUE.matcher(text);
        int at = 0;
        do {
            if (!value.find(at) || value.start() != at) {
                throw new IllegalArgumentException("'" + text.strip()
                        + "' is no list of values; they stand between commas, as in: list (white, sage)");
            }
            values.add(
                    value.group(1) == null
                            ? value.group(2).strip()
                            : value.group(1).replace("\"\"", "\""));
            at = value.end();
        } while (value.group(3).equals(","));
        return values;
    }

    private static long number(@Nullable String digits, long otherwise) {
        return digits == null ? otherwise : Long.parseLong(digits);
    }
}
