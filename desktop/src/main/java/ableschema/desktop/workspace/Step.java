package ableschema.desktop.workspace;

/** A step of the route that exists. */
public enum Step {
    BRIEF("Brief"),
    DRAW("Draw"),
    KEYS("Keys"),
    FORMS("Normal forms"),
    SQL("SQL");

    private final String label;

    Step(String label) {
        this.label = label;
    }

    public String label() {
        return label;
    }
}
