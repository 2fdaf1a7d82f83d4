package ableschema.core.finding;

/** How much a finding matters. */
public enum Severity {
    MUST_MEND("must-mend", "must be mended"),
    ADVICE("advice", "advice"),
    OPEN("open", "open");

    private final String id;
    private final String label;

    Severity(String id, String label) {
        this.id = id;
        this.label = label;
    }

    /** As it is written in commands and their output. */
    public String id() {
        return id;
    }

    /** As people read it. */
    public String label() {
        return label;
    }
}
