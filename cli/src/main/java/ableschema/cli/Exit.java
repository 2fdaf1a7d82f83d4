package ableschema.cli;

/** The exit codes of every command. */
final class Exit {
    static final int DONE = 0;
    static final int ERRORS = 1;
    static final int WRONG_USE = 2;

    private Exit() {}
}
