package ableschema.core.ddl;

import static java.util.Objects.requireNonNull;

/**
 * Something in a script that is not part of what was read from it.
 *
 * @param line      where it begins, from 1
 * @param statement what it says, on one line and shortened where it is long
 * @param reason    why it is not part of it
 */
public record Skipped(int line, String statement, String reason) {

    private static final int LONGEST = 160;

    public Skipped {
        requireNonNull(reason, "reason");
        statement = shortened(statement);
    }

    private static String shortened(String text) {
        String start = text.length() > 4 * LONGEST ? text.substring(0, 4 * LONGEST) : text;
        String line = start.strip().replaceAll("\\s+", " ");
        return line.length() > LONGEST || start.length() < text.length()
                ? line.substring(0, Math.min(LONGEST, line.length())) + "…"
                : line;
    }
}
