package ableschema.core.types;

/** What happens to the rows that refer to a row which is deleted or whose key is changed. */
public enum ReferenceAction {
    /** A row that still refers to it when the statement has ended is refused; the rule where nothing else is said. */
    NO_ACTION("NO ACTION"),
    /** The change is refused at once, also where the constraint itself is checked later. */
    RESTRICT("RESTRICT"),
    CASCADE("CASCADE"),
    SET_NULL("SET NULL"),
    SET_DEFAULT("SET DEFAULT");

    private final String sql;

    ReferenceAction(String sql) {
        this.sql = sql;
    }

    /** The words for it in standard SQL. */
    public String sql() {
        return sql;
    }
}
