package ableschema.core.store;

import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.channels.FileChannel;
import java.nio.charset.StandardCharsets;
import java.nio.file.AtomicMoveNotSupportedException;
import java.nio.file.FileSystemException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.nio.file.StandardOpenOption;

/** Writes a file so that at every moment there is the whole old one or the whole new one. */
public final class SafeFile {

    private SafeFile() {}

    /** Writes text as UTF-8; a {@link FileProblem} says why it could not, and then the old file is untouched. */
    public static void write(Path file, String text) throws FileProblem {
        write(file, text.getBytes(StandardCharsets.UTF_8));
    }

    /** Writes what was made from another file, which it never replaces, by whatever path it is reached. */
    public static void writeFrom(Path source, Path file, byte[] bytes) throws FileProblem {
        try {
            if (Files.exists(file) && Files.exists(source) && Files.isSameFile(source, file)) {
                throw FileProblem.ownSource(file);
            }
        } catch (IOException e) {
            throw FileProblem.writing(file, e);
        }
        write(file, bytes);
    }

    /** As the other, with text as UTF-8. */
    public static void writeFrom(Path source, Path file, String text) throws FileProblem {
        writeFrom(source, file, text.getBytes(StandardCharsets.UTF_8));
    }

    /** Writes bytes beside the target, forces them to disk, and renames. */
    public static void write(Path file, byte[] bytes) throws FileProblem {
        try {
            Path target = file.toAbsolutePath();
            if (Files.isDirectory(target)) {
                throw new FileSystemException(file.toString(), null, "it is a folder");
            }
            Path beside = target.resolveSibling("." + target.getFileName() + ".new");
            try {
                writeThrough(beside, bytes);
                rename(beside, target);
            } finally {
                Files.deleteIfExists(beside); // there is one only where something went wrong
            }
        } catch (IOException e) {
            throw FileProblem.writing(file, e);
        }
    }

    private static void writeThrough(Path file, byte[] bytes) throws IOException {
        try (FileChannel channel = FileChannel.open(
                file, StandardOpenOption.CREATE, StandardOpenOption.TRUNCATE_EXISTING, StandardOpenOption.WRITE)) {
            ByteBuffer left = ByteBuffer.wrap(bytes);
            while (left.hasRemaining()) {
                channel.write(left);
            }
            channel.force(true);
        }
    }

    private static void rename(Path from, Path to) throws IOException {
        try {
            Files.move(from, to, StandardCopyOption.ATOMIC_MOVE, StandardCopyOption.REPLACE_EXISTING);
        } catch (AtomicMoveNotSupportedException e) {
            Files.move(from, to, StandardCopyOption.REPLACE_EXISTING);
        }
    }
}
