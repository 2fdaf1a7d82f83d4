package ableschema.core.mapping;

import java.util.Map;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * What constraints and indexes are called, in words that the style of names then joins. {@code {table}} stands for the table,
 * {@code {columns}} for the columns concerned, {@code {target}} for what is referred to and {@code {verb}} for how.
 */
public record NamePatterns(String key, String reference, String unique, String check, String index) {

    private static final Pattern PLACE = Pattern.compile("\\{([^{}]*)}");
    private static final Set<String> OF_KEY = Set.of("table");
    private static final Set<String> OF_COLUMNS = Set.of("table", "columns");
    private static final Set<String> OF_REFERENCE = Set.of("table", "columns", "verb", "target");

    public static final NamePatterns USUAL = new NamePatterns(
            "{table} key",
            "{table} {verb} {target}",
            "{table} {columns} unique",
            "{table} {columns} check",
            "{table} {columns} index");

    public NamePatterns {
        require(key, OF_KEY);
        require(reference, OF_REFERENCE);
        require(unique, OF_COLUMNS);
        require(check, OF_COLUMNS);
        require(index, OF_COLUMNS);
    }

    /** With the table in it, as names stand side by side in a schema. */
    private static void require(String pattern, Set<String> places) {
        Matcher place = PLACE.matcher(pattern);
        boolean table = false;
        while (place.find()) {
            if (!places.contains(place.group(1))) {
                throw new IllegalArgumentException(
                        "'" + place.group() + "' stands for nothing in the pattern '" + pattern + "'; there is {"
                                + String.join("}, {", places.stream().sorted().toList()) + "}");
            }
            table |= place.group(1).equals("table");
        }
        if (!table) {
            throw new IllegalArgumentException("the pattern '" + pattern + "' must hold {table}, as in {table} key");
        }
    }

    public NamePatterns withKey(String key) {
        return new NamePatterns(key, reference, unique, check, index);
    }

    public NamePatterns withReference(String reference) {
        return new NamePatterns(key, reference, unique, check, index);
    }

    public NamePatterns withUnique(String unique) {
        return new NamePatterns(key, reference, unique, check, index);
    }

    public NamePatterns withCheck(String check) {
        return new NamePatterns(key, reference, unique, check, index);
    }

    public NamePatterns withIndex(String index) {
        return new NamePatterns(key, reference, unique, check, index);
    }

    /** A pattern with what stands in its places. */
    public static String filled(String pattern, Map<String, String> places) {
        return PLACE.matcher(pattern)
                .replaceAll(place -> Matcher.quoteReplacement(places.getOrDefault(place.group(1), "")));
    }
}
