package ableschema.core.store;

import java.io.IOException;
import java.nio.file.AccessDeniedException;
import java.nio.file.Files;
import java.nio.file.NoSuchFileException;
import java.nio.file.Path;

/** A file that cannot be read or written; its message is one line that says what, where, why and what to do. */
public final class FileProblem extends Exception {

    private FileProblem(String message, Throwable cause) {
        super(message.replaceAll("\\s*\\R\\s*", " "), cause);
    }

    private FileProblem(String message) {
        super(message.replaceAll("\\s*\\R\\s*", " "));
    }

    static FileProblem reading(Path file, String why, String whatToDo) {
        return new FileProblem("cannot read " + file + ": " + why + "; " + whatToDo);
    }

    static FileProblem reading(Path file, int line, String why) {
        return new FileProblem("cannot read " + file + ", line " + line + ": " + why
                + "; mend that line or open an earlier copy, this file stays as it is");
    }

    /** Puts into words why reading failed. */
    public static FileProblem reading(Path file, IOException cause) {
        return new FileProblem(
                "cannot read " + file + ": " + why(file, cause, "there is no such file") + "; check the path", cause);
    }

    /** Puts into words why writing failed. */
    public static FileProblem writing(Path file, IOException cause) {
        return new FileProblem(
                "cannot write " + file + ": " + why(file, cause, "no file can be made there")
                        + "; nothing was changed, choose another place",
                cause);
    }

    static FileProblem ownSource(Path file) {
        return new FileProblem("cannot write " + file
                + ": what is to be written was made from it; nothing was changed, choose another file");
    }

    private static String why(Path file, IOException cause, String ifMissing) {
        if (file.toString().isEmpty()) {
            return "the name is empty";
        }
        if (Files.isDirectory(file)) {
            return "it is a folder";
        }
        if (cause instanceof NoSuchFileException) {
            Path folder = file.toAbsolutePath().getParent();
            return folder != null && !Files.exists(folder) ? "the folder " + folder + " does not exist" : ifMissing;
        }
        if (cause instanceof AccessDeniedException) {
            return "you have no right to";
        }
        String message = cause.getMessage();
        return message == null ? cause.getClass().getSimpleName() : message;
    }
}
