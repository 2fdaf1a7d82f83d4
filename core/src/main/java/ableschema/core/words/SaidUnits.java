package ableschema.core.words;

import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** What something is measured in, as it is said: metres, hours, euros. */
final class SaidUnits {

    private static final Set<String> UNITS = Set.of(
            ("kg kgs g t tonne tonnes ton tons km m cm mm metre metres digit digits character characters letter letters meter meters litre litres l ml hour hours minute minutes "
                            + "second seconds percent euro euros dollar dollars cent cents point points star stars credit credits pound pounds degrees kilogram kilograms gram grams kilometre kilometres mile miles"
                            + " millimetre millimetres centimetre centimetres millimeters centimeters millilitre millilitres hectolitre hectolitres milligram milligrams"
                            + " gallon gallons hectare hectares acre acres watt watts kilowatt kilowatts volt volts amps hertz decibels knots")
                    .split(" "));

    /** These may be things of their own: a plant is in bloom in several months. */
    private static final Set<String> PERIODS = Set.of(
            "day", "days", "week", "weeks", "month", "months", "year", "years", "night", "nights", "season", "seasons");

    /** The same unit by other names, each group with what it is called here. */
    private static final Map<String, String> SAME = same(List.of(
            "kg kgs kilogram kilograms",
            "g gram grams",
            "t ton tons tonne tonnes",
            "km kilometre kilometres kilometer kilometers",
            "m metre metres meter meters",
            "cm centimetre centimetres centimeter centimeters",
            "mm millimetre millimetres millimeter millimeters",
            "l litre litres liter liters",
            "ml millilitre millilitres milliliter milliliters",
            "second seconds",
            "minute minutes",
            "hour hours",
            "day days",
            "week weeks",
            "month months",
            "year years",
            "euro euros",
            "dollar dollars",
            "cent cents",
            "pound pounds",
            "percent %"));

    private static Map<String, String> same(List<String> groups) {
        var same = new HashMap<String, String>();
        groups.forEach(group -> List.of(group.split(" ")).forEach(word -> same.put(word, group)));
        return Map.copyOf(same);
    }

    private static final Pattern IN_UNIT = Pattern.compile(".+ in (\\p{L}+|%)", Pattern.CASE_INSENSITIVE);

    private SaidUnits() {}

    /** Whether a noun is a unit that is no thing of its own, as a day may be. */
    static boolean isMeasure(String small) {
        return UNITS.contains(small.replaceFirst("^(?:square|cubic) ", ""));
    }

    static boolean isPeriod(String small) {
        return PERIODS.contains(small);
    }

    /** What is wrong with a number said in one unit of what is measured in another; empty where they are the same, or not known. */
    static Optional<String> other(String attribute, String unit) {
        Matcher in = IN_UNIT.matcher(attribute);
        if (!in.matches()) {
            return Optional.empty();
        }
        String known = SAME.get(in.group(1).toLowerCase(Locale.ROOT));
        String said = SAME.get(unit.toLowerCase(Locale.ROOT));
        return known == null || said == null || known.equals(said)
                ? Optional.empty()
                : Optional.of("the " + attribute + " is no number of " + unit + "; say it in " + in.group(1));
    }

    /** Whether a word is what something is measured in, such as metres, hours or euros. */
    static boolean isUnit(String word) {
        String small = word.toLowerCase(Locale.ROOT);
        return UNITS.contains(small) || PERIODS.contains(small);
    }

    /** Whether a word between brackets behind a name is what it is measured in, and no type. */
    static boolean isNamedUnit(String word) {
        String small = word.toLowerCase(Locale.ROOT);
        boolean several = PERIODS.contains(small) && small.endsWith("s");
        return several || small.matches("%|percent") || UNITS.contains(small) && !NO_PART_OF_NAME.contains(small);
    }

    private static final Set<String> NO_PART_OF_NAME =
            Set.of("percent point points star stars credit credits digit digits character characters letter letters"
                    .split(" "));

    /** A name with what it is measured in, as in "length in metres"; as it is where a word is no unit that a name has. */
    static String inUnit(String name, String unit) {
        String small = unit.toLowerCase(Locale.ROOT);
        boolean has = !isUnit(small) || NO_PART_OF_NAME.contains(small) || name.contains(" in ");
        return has || name.toLowerCase(Locale.ROOT).endsWith(small) ? name : name + " in " + unit;
    }
}
