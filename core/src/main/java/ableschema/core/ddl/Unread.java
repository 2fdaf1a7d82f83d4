package ableschema.core.ddl;

/** Something in a statement is not understood; the message says what, as in "a column list was expected". */
final class Unread extends RuntimeException {

    private static final long serialVersionUID = 1L;

    Unread(String reason) {
        super(reason, null, false, false);
    }

    String reason() {
        return String.valueOf(getMessage());
    }
}
