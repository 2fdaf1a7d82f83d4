package ableschema.desktop.gloss;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Cuts a line of SQL into the parts that look alike: words of SQL, texts between quotes, comments, and the rest. */
final class SqlParts {

    /** Comments, texts, quoted names, and what may be words of SQL, written as they are in this script. */
    private static final Pattern SPECIAL =
            Pattern.compile("--.*|'(?:[^']|'')*'?|\"[^\"]*\"?|`[^`]*`?|[\\p{L}_][\\w$]*");

    private static final Set<String> WORDS = Set.of(
            ("CREATE TABLE SCHEMA DATABASE TYPE DOMAIN SEQUENCE VIEW INDEX UNIQUE CONSTRAINT PRIMARY FOREIGN KEY REFERENCES"
                            + " CHECK DEFAULT NOT NULL AS IDENTITY GENERATED ALWAYS BY START WITH INCREMENT ON DELETE UPDATE CASCADE RESTRICT ACTION SET ALTER ADD COLUMN DROP IF"
                            + " EXISTS COMMENT IS INSERT INTO VALUES SELECT FROM WHERE AND OR IN BETWEEN LIKE CASE WHEN THEN ELSE END BEGIN COMMIT TRANSACTION GRANT TO USER USING"
                            + " STORED VIRTUAL PERSISTED AUTO_INCREMENT AUTOINCREMENT COLLATE ENUM ENGINE CHARACTER DEFERRABLE INITIALLY DEFERRED EXCLUDE INCLUDE PARTITION"
                            + " RANGE LIST HASH OF INHERITS OWNED CACHE MINVALUE MAXVALUE CYCLE WITHOUT GO STRICT ROWID LANGUAGE FUNCTION TRIGGER RETURNS FOR EACH ROW EXECUTE")
                    .split(" "));

    /** How a statement, or a part of one, begins. */
    private static final Pattern CAPITAL =
            Pattern.compile("^\\s*(?:CREATE|ALTER|INSERT|COMMENT|SET|CONSTRAINT|BEGIN)\\b.*");

    private SqlParts() {}

    /** @param style the class of its look; empty for the rest */
    record Part(String text, String style) {}

    /** Whether a line begins with a word of SQL in capitals, as then all of them in its script are. */
    static boolean isInCapitals(String line) {
        return CAPITAL.matcher(line).matches();
    }

    /**
     * The parts of a line, one empty part for an empty line; words with nothing but spaces between them are one part.
     *
     * @param capitals whether words of SQL are written in capitals, else in small letters
     */
    static List<Part> of(String line, boolean capitals) {
        var parts = new ArrayList<Part>();
        Matcher special = SPECIAL.matcher(line);
        int at = 0; // where the part begins that is not in the list yet
        int end = 0; // where it ends
        String style = "";
        while (special.find()) {
            String next = style(special.group(), capitals);
            boolean goesOn =
                    next.equals(style) && line.substring(end, special.start()).isBlank();
            if (!next.isEmpty() && !goesOn) {
                add(line.substring(at, end), style, parts);
                add(line.substring(end, special.start()), "", parts);
                at = special.start();
                style = next;
            }
            end = next.isEmpty() ? end : special.end();
        }
        add(line.substring(at, end), style, parts);
        add(line.substring(end), "", parts);
        return parts.isEmpty() ? List.of(new Part("", "")) : parts;
    }

    private static void add(String text, String style, List<Part> parts) {
        if (!text.isEmpty()) {
            parts.add(new Part(text, style));
        }
    }

    private static String style(String part, boolean capitals) {
        if (part.startsWith("--")) {
            return "sql-comment";
        }
        if (part.startsWith("'")) {
            return "sql-text";
        }
        String large = part.toUpperCase(Locale.ROOT);
        boolean written = part.equals(capitals ? large : part.toLowerCase(Locale.ROOT));
        return written && WORDS.contains(large) ? "sql-word" : "";
    }
}
