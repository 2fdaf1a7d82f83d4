package ableschema.core.sql.dialect;

import ableschema.core.schema.Part;
import java.util.Locale;
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

    /** The name of the option by which a column has no type at all, so that it keeps any value as it is given. */
    public static final String UNTYPED = "untyped";

    /** The name of the option that says what an index is for, where that has a word of its own, such as fulltext. */
    public static final String KIND = "kind";

    /** The name of the option that leaves a foreign key of several columns as it was found: it may be empty in part. */
    public static final String MATCH = "match";

    /** The name of the option that has a computed column worked out each time. */
    public static final String VIRTUAL = "virtual";

    /** The name of the option that has a foreign key checked at the end of each transaction. */
    public static final String DEFERRED = "deferred";

    /** The name of the option by which only the beginning of a text, so many characters of it, is part of the primary key. */
    public static final String KEY_LENGTH = "key_length";

    /**
     * The name of the option that leaves what is unique as it was found where the database counts empty values as equal: no more than
     * one row is empty in it.
     */
    public static final String EMPTIES = "empties";

    /** The name of the option that says how rows are kept in the files of the database. */
    public static final String STORAGE = "storage";

    /** The name of the option by which a column draws its numbers from a sequence of its own, as serial says it. */
    public static final String SERIAL = "serial";

    /** The name of the option by which a default that is the present moment, or day, is called as it was found. */
    public static final String DEFAULT = "default";

    /** The name of the option by which a default is a constraint with a name. */
    public static final String DEFAULT_NAME = "default_name";

    /** The name of the option by which a default, or the next number, stands for an empty value that is given as well. */
    public static final String ON_NULL = "on_null";

    /** The name of the option that names the sequence, which is no column's own, from which a column draws its numbers. */
    public static final String SEQUENCE = "sequence";

    /** The name of the option by which a sequence that has a name of its own goes with the column that draws from it. */
    public static final String OWNED = "owned_sequence";

    /** The name of the option by which the rule of a column stands in its definition and has no name, and goes when the column is defined anew. */
    public static final String CHECK_BESIDE = "check_beside";

    /** The name of the option that gives the name of what the values of a named type must meet. */
    public static final String CONSTRAINT = "constraint";

    /** The name of the option by which no column of a named type is empty. */
    public static final String NOT_NULL = "not_null";

    /** The name of the option that says how texts compare. */
    public static final String COLLATION = "collation";

    /** The name of the option that says how the rows of a table are kept in parts, as it stands behind PARTITION BY. */
    public static final String PARTITION = "partition";

    /** The name of the option by which the database keeps former rows of a table by itself. */
    public static final String VERSIONING = "system_versioning";

    /** The name of the option that lists the columns which an index takes along. */
    public static final String INCLUDE = "include";

    /** The name of the option by which the primary key is kept in falling order of a column. */
    public static final String KEY_ORDER = "key_order";

    /** The name of the option by which the places in a column are of one system of reference. */
    public static final String REFERENCE = "srid";

    /** The name of the option by which what is unique may be checked at the end of a transaction; it stands behind what is taken along. */
    public static final String LATER = "later";

    /** The name of the option by which a foreign key may be checked at the end of a transaction, where that asks for it. */
    public static final String DEFERRABLE = "deferrable";

    /** The name of the option by which a rule is held in another way than usual, or not at all. */
    public static final String HELD = "held";

    /** The name of the option that says what becomes of a row which says again what is unique. */
    public static final String CONFLICT = "conflict";

    /** The same of a primary key, as an option of its table. */
    public static final String KEY_CONFLICT = "key_conflict";

    /** What is said of what is unique by {@link #LATER}, of a primary key, as an option of its table. */
    public static final String KEY_LATER = "key_later";

    /** The name of the option of a table that lists the columns which its primary key takes along. */
    public static final String KEY_INCLUDE = "key_include";

    /** The name of the option by which a column is shown only where it is named. */
    public static final String INVISIBLE = "invisible";

    /** A word, or a name between quotes. */
    private static final String NAME = "(?:[\\p{L}_][\\p{L}\\p{N}_$#-]*|\"[^\";]+\")";

    /** A name as it stands in SQL, with what may quote it. */
    private static final String INCLUDED = "(?:[\\p{L}_][\\p{L}\\p{N}_$#]*|\"(?:[^\"]|\"\")+\"|\\[(?:[^]]|]])+])";

    private static final String ARGUMENTS = "\\((?:[^();'\"]++|'(?:[^']++|'')*+')*+\\)";
    private static final Pattern RAW_TYPE = Pattern.compile(NAME + "(?:[ .]+" + NAME + ")* ?(?:" + ARGUMENTS
            + ")?[\\p{L}\\p{N}_ \\[\\]]*(?:" + ARGUMENTS + ")?[\\p{L}\\p{N}_ ]*");

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

    /** A foreign key of which some columns may be empty and others not, where it says nothing of it. */
    static DialectOption partialMatch() {
        return new DialectOption(Part.Kind.FOREIGN_KEY, MATCH, "", Pattern.compile("simple"));
    }

    /** A word before INDEX. */
    static DialectOption indexKind(String... words) {
        return new DialectOption(
                Part.Kind.INDEX, KIND, "", Pattern.compile(String.join("|", words), Pattern.CASE_INSENSITIVE));
    }

    /** A computed column that is worked out each time it is asked for, and kept nowhere. */
    static DialectOption virtual() {
        return flag(Part.Kind.COLUMN, VIRTUAL, "");
    }

    /** How many characters of a column's text are part of the primary key. */
    static DialectOption keyLength() {
        return new DialectOption(Part.Kind.COLUMN, KEY_LENGTH, "", Pattern.compile("[1-9][0-9]{0,4}"));
    }

    /** The primary key is kept in falling order of a column. */
    static DialectOption keyOrder() {
        return new DialectOption(Part.Kind.COLUMN, KEY_ORDER, "", Pattern.compile("desc"));
    }

    /** What is unique lets one row alone be empty in it. */
    static DialectOption empties(Part.Kind of) {
        return new DialectOption(of, EMPTIES, "", Pattern.compile("one"));
    }

    /** How the rows of a table or an index are kept. */
    static DialectOption storage(Part.Kind of) {
        String each = "[a-z_][a-z0-9_.]*=[\\w.+-]+";
        return new DialectOption(of, STORAGE, "WITH ({})", Pattern.compile(each + "(?:, " + each + ")*"));
    }

    /** How a table is cut into parts: words, numbers, texts and signs, but nothing that ends a statement or begins a comment. */
    static DialectOption partition() {
        return new DialectOption(
                Part.Kind.TABLE,
                PARTITION,
                "",
                Pattern.compile(
                        "(?:[\\w\\s(),.=<>+*%]|'(?:[^']|'')*+'|\"(?:[^\"]|\"\")++\"|`(?:[^`]|``)++`|-(?!-)|/(?!\\*))++"));
    }

    /** Columns that an index, or that of a constraint, takes along, by their names as they stand in SQL. */
    static DialectOption include(Part.Kind of) {
        return new DialectOption(of, INCLUDE, "INCLUDE ({})", Pattern.compile(INCLUDED + "(?:, " + INCLUDED + ")*"));
    }

    /** A foreign key that is checked at the end of each transaction, though nothing asks for it. */
    static DialectOption waiting() {
        return flag(Part.Kind.FOREIGN_KEY, DEFERRED, "");
    }

    /** The type that a named type is made of, as it was found. */
    static DialectOption rawBase() {
        return new DialectOption(Part.Kind.DOMAIN, TYPE, "{}", RAW_TYPE);
    }

    /** The sequence from which a column draws, with its schema, as it stands in SQL. */
    static DialectOption sequence() {
        return new DialectOption(
                Part.Kind.COLUMN, SEQUENCE, "", Pattern.compile(INCLUDED + "(?:\\." + INCLUDED + ")?"));
    }

    /** What is unique may be checked at the end of a transaction, and is so at first or not. */
    static DialectOption deferrable(Part.Kind of, String name) {
        return new DialectOption(of, name, "DEFERRABLE {}", Pattern.compile("INITIALLY (?:DEFERRED|IMMEDIATE)"));
    }

    /** A foreign key that may be checked at the end of a transaction. */
    static DialectOption deferrableReference() {
        return new DialectOption(
                Part.Kind.FOREIGN_KEY, DEFERRABLE, "DEFERRABLE {}", Pattern.compile("INITIALLY IMMEDIATE"));
    }

    /** @param as in which way a rule is held, as it stands behind it */
    static DialectOption held(Part.Kind of, String as) {
        return new DialectOption(of, HELD, "{}", Pattern.compile(as));
    }

    /** What becomes of a row that says again what is unique. */
    static DialectOption conflict(Part.Kind of, String name) {
        return new DialectOption(of, name, "ON CONFLICT {}", Pattern.compile("ROLLBACK|ABORT|FAIL|IGNORE|REPLACE"));
    }

    /** Columns that a primary key takes along. */
    static DialectOption keyInclude() {
        return new DialectOption(
                Part.Kind.PRIMARY_KEY,
                KEY_INCLUDE,
                "INCLUDE ({})",
                include(Part.Kind.INDEX).values());
    }

    /** How a table is kept in MySQL and MariaDB, told by a number or a word. */
    static DialectOption setting(String name) {
        return new DialectOption(
                Part.Kind.TABLE, name, name.toUpperCase(Locale.ROOT) + "={}", Pattern.compile("[a-z0-9]+"));
    }

    /** The system of reference of a place. */
    static DialectOption reference(String form) {
        return new DialectOption(Part.Kind.COLUMN, REFERENCE, form, Pattern.compile("[0-9]{1,10}"));
    }

    /** The name of a default, as it is without quotes. */
    static DialectOption defaultName() {
        return new DialectOption(Part.Kind.COLUMN, DEFAULT_NAME, "", Pattern.compile("[^\\p{Cntrl}]{1,128}"));
    }

    /** What the present moment is called behind DEFAULT. */
    static DialectOption present() {
        return new DialectOption(Part.Kind.COLUMN, DEFAULT, "", Pattern.compile("[a-z_]+(?:\\([0-9]?\\))?"));
    }

    /** The name of what the values of a named type must meet. */
    static DialectOption constraint() {
        return new DialectOption(Part.Kind.DOMAIN, CONSTRAINT, "", Pattern.compile("[\\p{L}_][\\p{L}\\p{N}_$# -]*"));
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
