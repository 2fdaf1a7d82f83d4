package ableschema.core.words;

/** Stops the reading of a line at the words that are not understood; never leaves this package. */
final class Misunderstanding extends RuntimeException {

    private static final long serialVersionUID = 1L;
    private final int start;
    private final int end;

    Misunderstanding(int start, int end, String problem) {
        super(problem, null, false, false);
        this.start = start;
        this.end = end;
    }

    Understanding.NotUnderstood toUnderstanding() {
        return new Understanding.NotUnderstood(start, end, String.valueOf(getMessage()));
    }
}
