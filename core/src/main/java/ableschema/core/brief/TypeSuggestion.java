package ableschema.core.brief;

import ableschema.core.types.DataType;
import ableschema.core.types.DataTypes;
import ableschema.core.types.TypedValue;
import java.math.BigDecimal;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.function.Predicate;

/** The type that values seem to have, and what in them says so. */
public record TypeSuggestion(DataType type, String reason) {

    private static final List<String> EXACT = List.of("date", "time", "moment", "moment anywhere", "uuid");
    private static final int[] LENGTHS = {10, 20, 40, 60, 80, 120, 200, 500, 1000, 4000};

    /** Looks at all values; a name may tell years from other numbers. */
    public static TypeSuggestion of(String name, List<String> values) {
        if (values.isEmpty()) {
            return new TypeSuggestion(DataTypes.UNDECIDED, "no row has a value for it");
        }
        String all = values.size() == 1 ? "the one value" : "all " + values.size() + " values";
        if (all(values, "true|false|yes|no")) {
            return new TypeSuggestion(
                    DataType.Simple.YES_NO, all + (values.size() == 1 ? " is yes or no" : " are yes or no"));
        }
        for (String type : EXACT) {
            DataType parsed = DataTypes.parse(type);
            if (values.stream().allMatch(value -> TypedValue.of(parsed, value).fits())) {
                return new TypeSuggestion(parsed, all + " can be read as " + type);
            }
        }
        return all(values, "-?[0-9]+(?:\\.[0-9]+)?") ? number(name, values, all) : text(values, "");
    }

    private static boolean all(List<String> values, String pattern) {
        return values.stream().allMatch(value -> value.toLowerCase(Locale.ROOT).matches(pattern));
    }

    private static boolean any(List<String> values, Predicate<String> test) {
        return values.stream().anyMatch(test);
    }

    private static TypeSuggestion number(String name, List<String> values, String all) {
        String code =
                values.stream().filter(v -> v.matches("0[0-9]+")).findFirst().orElse("");
        if (!code.isEmpty()) {
            return text(values, "digits that begin with 0, such as " + code + ", are a code and no number; ");
        }
        if (any(values, value -> value.contains("."))) {
            int places = values.stream()
                    .mapToInt(v -> v.contains(".") ? v.length() - v.indexOf('.') - 1 : 0)
                    .max()
                    .orElse(0);
            int before = values.stream()
                    .mapToInt(v ->
                            new BigDecimal(v).abs().toBigInteger().toString().length())
                    .max()
                    .orElse(1);
            return new TypeSuggestion(
                    new DataType.Decimal(before + places + 1, places),
                    all + " are numbers with up to " + places + " decimal places");
        }
        if (name.matches(".*\\b(?:year|season)\\b.*") && all(values, "(?:19|20)[0-9]{2}")) {
            return new TypeSuggestion(DataType.Simple.YEAR, all + " are years, and so says the heading");
        }
        return whole(values, all);
    }

    private static TypeSuggestion whole(List<String> values, String all) {
        int digits =
                values.stream().mapToInt(v -> v.replace("-", "").length()).max().orElse(1);
        if (digits > 17) {
            return text(values, "more digits than a number can hold; ");
        }
        String largest =
                values.stream().max(Comparator.comparing(BigDecimal::new)).orElse("");
        return new TypeSuggestion(
                new DataType.Whole((long) Math.pow(10, digits)), all + " are whole numbers, the largest " + largest);
    }

    private static TypeSuggestion text(List<String> values, String before) {
        int longest = values.stream().mapToInt(String::length).max().orElse(0);
        for (int length : LENGTHS) {
            if (longest <= length * 0.85) {
                return new TypeSuggestion(
                        new DataType.Text(length),
                        before + "the longest of " + values.size() + " has " + longest + " letters");
            }
        }
        return new TypeSuggestion(new DataType.Text(0), before + "the longest has " + longest + " letters");
    }
}
