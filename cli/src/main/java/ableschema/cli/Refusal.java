package ableschema.cli;

/** Ends a command with one line on standard error and an exit code. */
final class Refusal extends RuntimeException {
    private static final long serialVersionUID = 1L;
    private final int exitCode;

    Refusal(int exitCode, String message) {
        super(message, null, false, false);
        this.exitCode = exitCode;
    }

    int exitCode() {
        return exitCode;
    }
}
