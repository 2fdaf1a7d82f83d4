package ableschema.core.sql.dialect;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;

/**
 * How a house wants its scripts, whatever the dialect.
 *
 * @param keysBeside      whether a key of one column stands beside it, and not behind all columns
 * @param referencesAfter whether foreign keys are added once all tables are there
 * @param quotesAll       whether all names stand between quotes, and not only those that need it
 * @param letters         what of the language stands in capitals
 * @param existing        what becomes of tables that are there already
 * @param schema          the schema, or database, in which everything stands that has none of its own; empty for none
 * @param user            who gets rights on the tables; empty for nobody
 */
public record ScriptStyle(
        boolean keysBeside,
        boolean referencesAfter,
        boolean quotesAll,
        Letters letters,
        Existing existing,
        String schema,
        String user) {

    /** What of the language stands in capitals; names never do. */
    public enum Letters {
        /** Its words, but for the names of types. */
        KEYWORDS,
        /** All of it. */
        CAPITAL,
        /** Nothing. */
        SMALL
    }

    /** What a script does where a table of its own is there already. */
    public enum Existing {
        /** The database refuses it, and nothing is lost. */
        STOP,
        /** It is left as it is. */
        SKIP,
        /** It is dropped first, with its rows. */
        REPLACE
    }

    /** The choice of the schema, a name. */
    public static final String SCHEMA = "script.schema";

    /** The choice of the user, a name. */
    public static final String USER = "script.user";

    static final ScriptStyle USUAL = of(Map.of());

    private static final int LONGEST = 128;

    private static final String KEYS = "script.keys";
    private static final String REFERENCES = "script.references";
    private static final String NAMES = "script.names";
    private static final String LETTERS = "script.letters";
    private static final String EXISTING = "script.existing";

    /** What can be chosen, the usual first; what is empty takes a name. */
    static Map<String, List<String>> choices() {
        var choices = new LinkedHashMap<String, List<String>>();
        choices.put(KEYS, List.of("after", "beside"));
        choices.put(REFERENCES, List.of("inside", "after"));
        choices.put(NAMES, List.of("plain", "quoted"));
        choices.put(LETTERS, List.of("keywords", "capital", "small"));
        choices.put(EXISTING, List.of("stop", "skip", "replace"));
        choices.put(SCHEMA, List.of());
        choices.put(USER, List.of());
        return choices;
    }

    /** Whether a name can be chosen; an empty one chooses none. */
    static boolean isName(String name) {
        return name.length() <= LONGEST
                && name.equals(name.strip())
                && name.codePoints().noneMatch(Character::isISOControl);
    }

    static ScriptStyle of(Map<String, String> chosen) {
        return new ScriptStyle(
                "beside".equals(chosen.get(KEYS)),
                "after".equals(chosen.get(REFERENCES)),
                "quoted".equals(chosen.get(NAMES)),
                Letters.valueOf(chosen.getOrDefault(LETTERS, "keywords").toUpperCase(Locale.ROOT)),
                Existing.valueOf(chosen.getOrDefault(EXISTING, "stop").toUpperCase(Locale.ROOT)),
                chosen.getOrDefault(SCHEMA, ""),
                chosen.getOrDefault(USER, ""));
    }
}
