package ableschema.core.sql.dialect;

import ableschema.core.schema.Part;
import java.util.regex.Pattern;

/**
 * Something that can be said of a table, column or index in one dialect alone, such as {@code engine} in MySQL.
 *
 * @param form   the clause, in which {@code {}} is the value
 * @param values what a value may be: only what fits is written into a script
 */
public record DialectOption(Part.Kind of, String name, String form, Pattern values) {

    /** A single word, or several with spaces, points, hyphens and underscores between. */
    private static final Pattern WORD = Pattern.compile("[\\p{L}_][\\p{L}\\p{N}_.$ -]*");

    /** The name of the option that gives the type of a column as it was found. */
    public static final String TYPE = "type";

    private static final Pattern RAW_TYPE = Pattern.compile(
            "[\\p{L}_][\\p{L}\\p{N}_.\" -]*(?:\\((?:[^();'\"]|'(?:[^']|'')*')*\\))?[\\p{L}\\p{N}_ \\[\\]]*");

    static DialectOption ofTable(String name, String form) {
        return new DialectOption(Part.Kind.TABLE, name, form, WORD);
    }

    static DialectOption ofColumn(String name, String form) {
        return new DialectOption(Part.Kind.COLUMN, name, form, WORD);
    }

    static DialectOption ofIndex(String name, String form) {
        return new DialectOption(Part.Kind.INDEX, name, form, WORD);
    }

    /** An option that is only on or off. */
    static DialectOption flag(Part.Kind of, String name, String form) {
        return new DialectOption(of, name, form, Pattern.compile("yes"));
    }

    /** The type of a column as it was found, in place of the one that the design would give. */
    static DialectOption rawType() {
        return new DialectOption(Part.Kind.COLUMN, TYPE, "{}", RAW_TYPE);
    }

    public boolean takes(String value) {
        return values.matcher(value).matches();
    }

    String clause(String value) {
        return form.replace("{}", value);
    }
}
