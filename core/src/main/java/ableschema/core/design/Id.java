package ableschema.core.design;

import static java.util.Objects.requireNonNull;

import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.regex.Pattern;

/** The stable name of one thing in a design, such as {@code a:k3f9q2m4w7x1}; a rename of the thing leaves it as it is. */
public record Id(IdKind kind, String code) {

    /** 60 random bits: among a million ids two are alike once in some two million times. */
    static final int CODE_LENGTH = 12;

    static final String DIGITS = "0123456789abcdefghjkmnpqrstvwxyz";
    private static final Pattern FORM = Pattern.compile("[a-z]:[" + DIGITS + "]{6,16}");

    public Id {
        requireNonNull(kind, "kind");
        requireNonNull(code, "code");
    }

    /** Reads the text form; an {@link IllegalArgumentException} names a text that is none. */
    public static Id parse(String text) {
        if (!FORM.matcher(text).matches()) {
            throw new IllegalArgumentException(
                    "'" + text
                            + "' is no id: expected a kind letter, a colon and six to sixteen letters or digits, as in a:k3f9q2");
        }
        return new Id(IdKind.of(text.charAt(0)), text.substring(2));
    }

    /** Returns the id that always belongs to this text, so that reading the same source twice gives the same file. */
    public static Id derived(IdKind kind, String text) {
        byte[] digest = sha256(kind.letter() + text);
        var code = new StringBuilder();
        for (int i = 0; i < CODE_LENGTH; i++) {
            code.append(DIGITS.charAt(digest[i] & 31));
        }
        return new Id(kind, code.toString());
    }

    private static byte[] sha256(String text) {
        try {
            return MessageDigest.getInstance("SHA-256").digest(text.getBytes(StandardCharsets.UTF_8));
        } catch (NoSuchAlgorithmException e) {
            throw new IllegalStateException("every Java platform has SHA-256", e);
        }
    }

    // Ids are compared and looked up in every table of every step; what a record is given for that takes several times
    // as long.

    @Override
    public boolean equals(Object other) {
        return this == other || (other instanceof Id id && kind == id.kind && code.equals(id.code));
    }

    @Override
    public int hashCode() {
        return code.hashCode();
    }

    @Override
    public String toString() {
        return kind.letter() + ":" + code;
    }
}
