package ableschema.cli;

import java.io.Console;

/** The password of a database: from the environment, or asked for; it is kept nowhere and never shown. */
final class Password {

    private static final String VARIABLE = "ABLE_PASSWORD";

    private Password() {}

    /** The password of a user; empty where none is given and nobody can be asked. */
    static String of(String user) {
        String given = System.getenv(VARIABLE);
        if (given != null) {
            return given;
        }
        Console console = System.console();
        if (user.isEmpty() || console == null) {
            return "";
        }
        char[] typed = console.readPassword("Password of %s: ", user);
        return typed == null ? "" : new String(typed);
    }
}
