package ableschema.core.ddl;

import java.io.ByteArrayOutputStream;
import java.nio.charset.StandardCharsets;

/**
 * A text of PostgreSQL in which a backslash stands before a sign (n, t), before the digits of a byte of UTF-8 (303, xc3) or before
 * those of a character (u00e9), as 4.1.2.2 of its manual has it.
 */
final class Escapes {

    private final String text;
    private final StringBuilder read = new StringBuilder();
    private final ByteArrayOutputStream bytes = new ByteArrayOutputStream();
    private int at;

    Escapes(String text) {
        this.text = text;
    }

    String read() {
        while (at < text.length()) {
            char c = text.charAt(at++);
            if (c != '\\' || at == text.length()) {
                add(String.valueOf(c));
            } else if (!isByte()) {
                add(sign());
            }
        }
        add("");
        return read.toString();
    }

    /** Bytes make a character together, which ends before anything else. */
    private void add(String more) {
        if (bytes.size() > 0) {
            read.append(bytes.toString(StandardCharsets.UTF_8));
            bytes.reset();
        }
        read.append(more);
    }

    private boolean isByte() {
        boolean sixteen = text.charAt(at) == 'x';
        int from = sixteen ? at + 1 : at;
        int end = digits(from, sixteen ? 2 : 3, sixteen ? 16 : 8);
        if (end == from) {
            return false;
        }
        bytes.write(Integer.parseInt(text.substring(from, end), sixteen ? 16 : 8));
        at = end;
        return true;
    }

    private String sign() {
        char c = text.charAt(at++);
        int wanted = c == 'u' ? 4 : c == 'U' ? 8 : 0;
        int end = digits(at, wanted, 16);
        if (wanted > 0 && end == at + wanted) {
            long character = Long.parseLong(text.substring(at, end), 16);
            if (character <= Character.MAX_CODE_POINT) {
                at = end;
                return Character.toString((int) character);
            }
        }
        return c == 'f' ? "\f" : Literal.meant(String.valueOf(c));
    }

    /** Where so many digits of a base end, or fewer. */
    private int digits(int from, int most, int base) {
        int end = from;
        while (end < text.length() && end < from + most && Character.digit(text.charAt(end), base) >= 0) {
            end++;
        }
        return end;
    }
}
