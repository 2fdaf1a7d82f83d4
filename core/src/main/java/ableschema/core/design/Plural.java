package ableschema.core.design;

import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import java.util.regex.Pattern;
import org.atteo.evo.inflector.English;

/**
 * The plural of English phrases.
 *
 * @param taught plurals that the rules do not give, by the singular in small letters
 */
public record Plural(Map<String, String> taught) {

    public static final Plural ENGLISH = new Plural(Map.of());

    /** What the inflector forms as a rule would, and people do not. */
    private static final Map<String, String> UNRULY = unruly();

    private static Map<String, String> unruly() {
        var unruly = new HashMap<>(Map.of(
                "person", "people", "people", "people", "medium", "media", "loaf", "loaves", "hoof", "hooves", "ox",
                "oxen", "larva", "larvae", "nebula", "nebulae", "thief", "thieves"));
        List.of("german", "roman", "norman", "shaman", "ottoman", "talisman", "caiman")
                .forEach(people -> unruly.put(people, people + "s"));
        List.of(
                        "staff",
                        "goods",
                        "equipment",
                        "aircraft",
                        "spacecraft",
                        "watercraft",
                        "data",
                        "information",
                        "software",
                        "hardware",
                        "feedback",
                        "luggage",
                        "baggage",
                        "furniture",
                        "clothing",
                        "offspring",
                        "moose",
                        "trousers",
                        "crossroads",
                        "barracks",
                        "premises",
                        "means")
                .forEach(same -> unruly.put(same, same));
        return Map.copyOf(unruly);
    }

    private static final String OF = " of ";

    /** Nearly all words that end in o add an s: euros, logos, kilos; the inflector knows the fewer as the rule. */
    private static final Pattern IN_O = Pattern.compile(
            "(?!.*(?:tomato|potato|hero|echo|veto|torpedo|embargo|cargo|mosquito|buffalo|domino|volcano|tornado)$).*o",
            Pattern.CASE_INSENSITIVE);

    /** The inflector tries hundreds of patterns on each word. */
    private static final Map<String, String> KNOWN = new ConcurrentHashMap<>();

    public Plural {
        taught = Map.copyOf(taught);
    }

    /** Returns the phrase with its last word in the plural, or that before "of": "forage plants", "parcels of land". */
    public String of(String phrase) {
        int of = phrase.indexOf(OF);
        if (of > 0 && !taught.containsKey(phrase.toLowerCase(Locale.ROOT))) {
            return of(phrase.substring(0, of)) + phrase.substring(of);
        }
        int space = phrase.lastIndexOf(' ') + 1;
        String last = phrase.substring(space);
        String whole = taught.get(phrase.toLowerCase(Locale.ROOT));
        if (last.isEmpty() || whole != null) {
            return whole == null ? phrase : inCaseOf(phrase, whole);
        }
        String known = taught.get(last.toLowerCase(Locale.ROOT));
        return phrase.substring(0, space) + (known == null ? english(last) : inCaseOf(last, known));
    }

    private static String english(String word) {
        if (KNOWN.size() > 10_000) {
            KNOWN.clear();
        }
        String unruly = UNRULY.get(word.toLowerCase(Locale.ROOT));
        if (unruly != null) {
            return inCaseOf(word, unruly);
        }
        return KNOWN.computeIfAbsent(word, each -> IN_O.matcher(each).matches() ? each + "s" : English.plural(each));
    }

    private static String inCaseOf(String model, String word) {
        return Character.isUpperCase(model.charAt(0)) && !word.isEmpty()
                ? Character.toUpperCase(word.charAt(0)) + word.substring(1)
                : word;
    }
}
