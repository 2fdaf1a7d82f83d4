package ableschema.core.types;

/** What happens to the rows that refer to a row which is deleted or whose key is changed. */
public enum ReferenceAction {
    /** The change is refused; this is the rule where nothing else is said. */
    RESTRICT("NO ACTION"),
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
