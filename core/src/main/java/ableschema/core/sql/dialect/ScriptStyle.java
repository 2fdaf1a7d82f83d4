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
 * @param existing        what becomes of tables that are there already
 */
public record ScriptStyle(boolean keysBeside, boolean referencesAfter, boolean quotesAll, Existing existing) {

    /** What a script does where a table of its own is there already. */
    public enum Existing {
        /** The database refuses it, and nothing is lost. */
        STOP,
        /** It is left as it is. */
        SKIP,
        /** It is dropped first, with its rows. */
        REPLACE
    }

    static final ScriptStyle USUAL = new ScriptStyle(false, false, false, Existing.STOP);

    private static final String KEYS = "script.keys";
    private static final String REFERENCES = "script.references";
    private static final String NAMES = "script.names";
    private static final String EXISTING = "script.existing";

    /** What can be chosen, the usual first. */
    static Map<String, List<String>> choices() {
        var choices = new LinkedHashMap<String, List<String>>();
        choices.put(KEYS, List.of("after", "beside"));
        choices.put(REFERENCES, List.of("inside", "after"));
        choices.put(NAMES, List.of("plain", "quoted"));
        choices.put(EXISTING, List.of("stop", "skip", "replace"));
        return choices;
    }

    static ScriptStyle of(Map<String, String> chosen) {
        return new ScriptStyle(
                "beside".equals(chosen.get(KEYS)),
                "after".equals(chosen.get(REFERENCES)),
                "quoted".equals(chosen.get(NAMES)),
                Existing.valueOf(chosen.getOrDefault(EXISTING, "stop").toUpperCase(Locale.ROOT)));
    }
}
