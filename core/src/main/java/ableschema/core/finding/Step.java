package ableschema.core.finding;

/** A step of the route from what must be known to what a database holds; what there is to say belongs to one of them. */
public enum Step {
    BRIEF("Brief"),
    DRAW("Draw"),
    KEYS("Keys"),
    FORMS("Normal forms"),
    REVIEW("Review"),
    ROWS("Rows"),
    SQL("SQL"),
    CHANGES("Changes");

    private final String label;

    Step(String label) {
        this.label = label;
    }

    public String label() {
        return label;
    }
}
