package ableschema.core.structure;

/** What can be said of a column, in the order in which a list of them says it. */
public enum Field {
    NAME("name"),
    TYPE("type"),
    REQUIRED("required"),
    IDENTIFIES("identifies"),
    DEFAULT("default · filled by"),
    CHECK("check"),
    COMMENT("what it means");

    private final String label;

    Field(String label) {
        this.label = label;
    }

    public String label() {
        return label;
    }
}
