package ableschema.core.store;

import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.charset.CharacterCodingException;
import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;

/** Reads files of SQL, which are written in more encodings than ours. */
public final class SqlFile {

    /** Dumps bring their rows along, so that more is read than of a design. */
    private static final long LARGEST = 256L * 1024 * 1024;

    private static final int LOOKED_AT = 4096;
    private static final String OTHERWISE = "name a file of SQL statements";

    private SqlFile() {}

    /**
     * The text of a file in UTF-8, in UTF-16 with a mark at its start, or else in Windows-1252; a {@link FileProblem} says why there is
     * none.
     */
    public static String read(Path file) throws FileProblem {
        if (file.equals(DocumentFile.STANDARD)) {
            return decoded(file, standard(file));
        }
        if (Files.isDirectory(file)) {
            throw FileProblem.reading(file, "it is a folder", OTHERWISE);
        }
        try {
            if (Files.size(file) > LARGEST) {
                throw FileProblem.reading(
                        file,
                        "it has " + Files.size(file) / (1024 * 1024) + " MB, more than the " + LARGEST / (1024 * 1024)
                                + " MB that are read",
                        "leave its rows out, as in a dump of the structure alone");
            }
            return decoded(file, Files.readAllBytes(file));
        } catch (IOException e) {
            throw FileProblem.reading(file, e);
        }
    }

    private static byte[] standard(Path file) throws FileProblem {
        try {
            return System.in.readAllBytes();
        } catch (IOException e) {
            throw FileProblem.reading(file, e);
        }
    }

    private static String decoded(Path file, byte[] bytes) throws FileProblem {
        if (startsWith(bytes, 0x1F, 0x8B) || startsWith(bytes, 'P', 'K', 3, 4)) {
            throw FileProblem.reading(file, "it is packed", "unpack it first, and read what is in it");
        }
        if (startsWith(bytes, 0xFF, 0xFE) || startsWith(bytes, 0xFE, 0xFF)) {
            return new String(bytes, StandardCharsets.UTF_16);
        }
        if (startsWith(bytes, 'P', 'G', 'D', 'M', 'P')) {
            throw FileProblem.reading(
                    file, "it is an archive of PostgreSQL and no text", "have it written as plain SQL, and read that");
        }
        for (int i = 0; i < Math.min(LOOKED_AT, bytes.length); i++) {
            if (bytes[i] == 0) {
                throw FileProblem.reading(file, "it is no text, as byte " + (i + 1) + " is 0", OTHERWISE);
            }
        }
        int start = startsWith(bytes, 0xEF, 0xBB, 0xBF) ? 3 : 0;
        try {
            return StandardCharsets.UTF_8
                    .newDecoder()
                    .decode(ByteBuffer.wrap(bytes, start, bytes.length - start))
                    .toString();
        } catch (CharacterCodingException e) {
            return new String(bytes, Charset.forName("windows-1252"));
        }
    }

    private static boolean startsWith(byte[] bytes, int... start) {
        if (bytes.length < start.length) {
            return false;
        }
        for (int i = 0; i < start.length; i++) {
            if ((bytes[i] & 0xFF) != start[i]) {
                return false;
            }
        }
        return true;
    }
}
