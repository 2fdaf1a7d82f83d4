package ableschema.core.sql.dialect;

/** What a database may be able to say or do; whoever writes asks for the ability, never for the product. */
public enum Ability {
    /** A table is made only where there is none. */
    SKIP_EXISTING("definitions that are passed over where they exist"),
    /** A table is dropped where there is one. */
    DROP_EXISTING("tables that are dropped where they exist"),
    /** There are users with rights. */
    USERS("users and their rights"),
    /** A foreign key can be added to a table that exists. */
    ADD_CONSTRAINTS("foreign keys added to a table that exists"),
    /** Tables and columns can be described. */
    DESCRIPTIONS("descriptions of tables and columns"),
    /** There are schemas within a database. */
    NAMESPACES("schemas within a database"),
    /** A column that is no key can be numbered, and one of several in a key. */
    NUMBER_ANY_COLUMN("numbered columns that are not the whole key"),
    /** Several columns of a table can be numbered. */
    NUMBER_SEVERAL("more than one numbered column in a table"),
    /** A column can be numbered that leads no key and no index. */
    NUMBER_UNINDEXED("numbered columns that lead no key or index"),
    /** Numbering can begin anywhere. */
    NUMBERING_START("numbering from a chosen start"),
    /** The database alone gives and changes the numbers of a column. */
    NUMBERS_ALONE("numbers that only the database gives"),
    /** Numbering can go by other steps than 1. */
    NUMBERING_STEP("numbering by a chosen step"),
    /** The numbering of a column can be set to go on from a number. */
    RESTART_NUMBERING("numbering that is set to go on from a number"),
    /** A constraint can be checked at the end of the transaction. */
    DEFERRED_CONSTRAINTS("constraints checked at the end of a transaction"),
    /** Definitions are part of a transaction. */
    TRANSACTIONAL_DEFINITIONS("definitions that are taken back when one fails"),
    /** A foreign key can be asked to be whole or empty. */
    MATCH_FULL("MATCH FULL"),
    /** Types can be named. */
    DOMAINS("named types"),
    /** Columns computed from others. */
    COMPUTED_COLUMNS("computed columns"),
    /** RESTRICT as a rule of its own beside NO ACTION. */
    RESTRICT("RESTRICT"),
    /** What is deleted or changed along may come to one table by several ways, or in a circle. */
    SEVERAL_CASCADES("deletions or changes that come to one table by several ways"),
    CASCADE_ON_UPDATE("ON UPDATE CASCADE"),
    SET_NULL_ON_UPDATE("ON UPDATE SET NULL"),
    SET_DEFAULT("SET DEFAULT"),
    /** What is unique may be empty in many rows. */
    MANY_EMPTIES_IN_UNIQUE("many rows that are empty in what is unique"),
    /** A reference of a column that is never empty may say that it is emptied, which then fails. */
    SET_NULL_OF_REQUIRED("SET NULL of columns that are never empty"),
    /** Columns that the database numbers can stand in a check. */
    CHECK_NUMBERED("checks over columns that it numbers"),
    /** What is computed can be computed from what is computed. */
    COMPUTED_FROM_COMPUTED("columns computed from computed ones"),
    /** Columns that a foreign key may empty or change can stand in a check. */
    CHECK_CHANGED_REFERENCES("checks over columns that a foreign key changes"),
    /** Texts without a limit can be part of a key or index. */
    LONG_TEXT_IN_KEYS("texts without a limit in keys and indexes"),
    /** A table in a schema with a name can refer to one in the usual schema, which is not named. */
    REFERENCES_TO_USUAL_SCHEMA("references from a schema to the usual one, which has no name"),
    /** A table can refer to others, and be referred to, however it is kept. */
    REFERENCES_BY_ANY_ENGINE("foreign keys of tables that are kept without them"),
    /** An index leads to what is within values, as another database has it. */
    SEARCH_INDEXES("indexes over what is within values, as another database has them"),
    /** A document may be in a key or an index. */
    JSON_IN_KEYS("documents in keys and indexes"),
    /** A column may be computed from one that it numbers. */
    COMPUTED_FROM_NUMBERED("columns computed from those that it numbers"),
    /** A key or an index may be as wide as its columns are. */
    WIDE_KEYS("keys and indexes of any width"),
    /** What is unique may be as wide as its columns are. */
    WIDE_UNIQUES("unique rules of any width"),
    /** Bytes of any length may be in a key or an index. */
    LONG_BYTES_IN_KEYS("bytes without a limit in keys and indexes"),
    /** A primary key can be over a column that is computed. */
    COMPUTED_KEYS("computed columns in primary keys"),
    /** A text is compared with a number without being made one. */
    NUMBERS_BESIDE_TEXTS("numbers that are compared with texts"),
    /** An index can be over some of the rows. */
    PARTIAL_INDEXES("indexes over some of the rows"),
    /** An index can be over what is made of columns. */
    MADE_INDEXES("indexes over what is made of columns"),
    /** Defaults that are no constants. */
    COMPUTED_DEFAULTS("defaults that are computed"),
    /** The length of a text is held. */
    TEXT_LENGTHS("text lengths"),
    /** Values are held to the type of their column. */
    HELD_TYPES("values held to the type of their column"),
    /** Rules written for another dialect. */
    FOREIGN_EXPRESSIONS("expressions of another dialect"),
    /** What stands beside tables is written in another dialect. */
    FOREIGN_STATEMENTS("statements of another dialect"),
    /** A default of another kind of value than its column. */
    UNFIT_DEFAULTS("a default of another type than its column"),
    /** The size of a type. */
    SIZE("types of any size"),
    /** The time zone of a moment is kept. */
    TIME_ZONES("moments that keep their time zone"),
    /** A name as long as it is. */
    LONG_NAMES("names of any length"),
    /** A constraint or an index may be called as one of another table, or as a table. */
    NAMES_AGAIN("names that stand again in a schema"),
    /** A name may hold any character. */
    ALL_CHARACTERS("names with any character"),
    /** A column may be called as the database calls its own. */
    SYSTEM_COLUMN_NAMES("columns called like its own system columns"),
    /** Text compares with letter case and accents. */
    EXACT_TEXT("texts compared letter by letter"),
    /** Decimals are added, multiplied and rounded as they are written. */
    EXACT_DECIMALS("decimals reckoned exactly");

    private final String words;

    Ability(String words) {
        this.words = words;
    }

    /** What the ability gives, as in "Not in SQLite: …". */
    public String words() {
        return words;
    }
}
