package ableschema.engine.connect;

/** Why a database could not be reached: one sentence that says what, why and what to do, without any password. */
public final class ConnectionProblem extends Exception {

    private static final long serialVersionUID = 1L;

    ConnectionProblem(String message, Throwable cause) {
        super(message, cause);
    }

    ConnectionProblem(String message) {
        super(message);
    }
}
