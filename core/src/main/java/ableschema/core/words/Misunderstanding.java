package ableschema.core.words;

/** Stops the reading of a line at the words that are not understood; never leaves this package. */
final class Misunderstanding extends RuntimeException {

    private static final long serialVersionUID = 1L;
    private final int start;
    private final int end;
    private final boolean ofTypes;

    Misunderstanding(int start, int end, String problem) {
        this(start, end, problem, false);
    }

    private Misunderstanding(int start, int end, String problem, boolean ofTypes) {
        super(problem, null, false, false);
        this.start = start;
        this.end = end;
        this.ofTypes = ofTypes;
    }

    /** The words are understood, and what they speak of holds values of another kind. */
    static Misunderstanding ofTypes(int start, int end, String problem) {
        return new Misunderstanding(start, end, problem, true);
    }

    boolean isOfTypes() {
        return ofTypes;
    }

    Understanding.NotUnderstood toUnderstanding() {
        return new Understanding.NotUnderstood(start, end, String.valueOf(getMessage()));
    }
}
