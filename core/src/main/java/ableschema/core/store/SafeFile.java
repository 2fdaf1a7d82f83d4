package ableschema.core.store;

import java.io.File;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.channels.FileChannel;
import java.nio.charset.StandardCharsets;
import java.nio.file.AtomicMoveNotSupportedException;
import java.nio.file.DirectoryIteratorException;
import java.nio.file.DirectoryStream;
import java.nio.file.FileSystemException;
import java.nio.file.Files;
import java.nio.file.OpenOption;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.nio.file.StandardOpenOption;
import java.nio.file.attribute.PosixFileAttributeView;
import java.nio.file.attribute.PosixFileAttributes;
import java.time.Duration;
import java.time.Instant;
import java.util.UUID;
import java.util.regex.Pattern;

/** Writes a file so that at every moment there is the whole old one or the whole new one. */
public final class SafeFile {

    private static final System.Logger LOGGER = System.getLogger(SafeFile.class.getName());
    private static final int MOST_LINKS = 40;
    private static final Duration LEFT_FOR_GOOD = Duration.ofHours(1);

    private SafeFile() {}

    /** Writes text as UTF-8; a {@link FileProblem} says why it could not, and then the old file is untouched. */
    public static void write(Path file, String text) throws FileProblem {
        write(file, text.getBytes(StandardCharsets.UTF_8));
    }

    /** Writes what was made from another file, which it never replaces, by whatever path it is reached. */
    public static void writeFrom(Path source, Path file, byte[] bytes) throws FileProblem {
        if (isSame(source, file)) {
            throw FileProblem.ownSource(file);
        }
        write(file, bytes);
    }

    /** Whether two paths lead to the same file, which is there. */
    public static boolean isSame(Path source, Path file) throws FileProblem {
        try {
            return Files.exists(file) && Files.exists(source) && Files.isSameFile(source, file);
        } catch (IOException e) {
            throw FileProblem.writing(file, e);
        }
    }

    /** As the other, with text as UTF-8. */
    public static void writeFrom(Path source, Path file, String text) throws FileProblem {
        writeFrom(source, file, text.getBytes(StandardCharsets.UTF_8));
    }

    /**
     * Writes bytes beside the target, forces them to disk, and renames. What is no usual file, such as a device or a pipe, is
     * written to as it is; a link stays one; a file keeps its mode and owner.
     */
    public static void write(Path file, byte[] bytes) throws FileProblem {
        try {
            Path target = linked(file.toAbsolutePath());
            if (file.toString().isEmpty() || Files.isDirectory(target)) {
                throw new FileSystemException(file.toString(), null, "it is a folder");
            }
            if (Files.exists(target) && !Files.isRegularFile(target)) {
                writeAll(target, bytes, StandardOpenOption.WRITE);
                return;
            }
            replace(target, bytes);
        } catch (IOException e) {
            throw FileProblem.writing(file, e);
        }
    }

    /** What a link leads to in the end, be it there or not. */
    private static Path linked(Path file) throws IOException {
        Path target = file;
        for (int links = 0; Files.isSymbolicLink(target); links++) {
            if (links == MOST_LINKS) {
                throw new FileSystemException(file.toString(), null, "it is a link that leads back to itself");
            }
            target = target.resolveSibling(Files.readSymbolicLink(target));
        }
        return target;
    }

    private static void replace(Path target, byte[] bytes) throws IOException {
        Path beside = target.resolveSibling("." + target.getFileName() + "." + UUID.randomUUID() + ".new");
        try {
            writeAll(beside, bytes, StandardOpenOption.CREATE_NEW, StandardOpenOption.WRITE);
            if (Files.exists(target)) {
                keepModeAndOwner(target, beside);
            }
            rename(beside, target);
        } finally {
            Files.deleteIfExists(beside); // there is one only where something went wrong
        }
        forceFolder(target.getParent());
        removeLeftovers(target);
    }

    /** Takes away what savers that were killed have left beside a file, long ago enough that none is at work on it still. */
    private static void removeLeftovers(Path target) {
        Pattern left =
                Pattern.compile("\\." + Pattern.quote(String.valueOf(target.getFileName())) + "\\.[0-9a-f-]{36}\\.new");
        Instant old = Instant.now().minus(LEFT_FOR_GOOD);
        try (DirectoryStream<Path> files = Files.newDirectoryStream(
                target.toAbsolutePath().getParent(),
                each -> left.matcher(String.valueOf(each.getFileName())).matches())) {
            for (Path each : files) {
                if (Files.getLastModifiedTime(each).toInstant().isBefore(old)) {
                    Files.deleteIfExists(each);
                }
            }
        } catch (IOException | DirectoryIteratorException e) {
            LOGGER.log(System.Logger.Level.DEBUG, "what was left beside {0} stays: {1}", target, e.getMessage());
        }
    }

    private static void keepModeAndOwner(Path of, Path on) throws IOException {
        PosixFileAttributeView to = Files.getFileAttributeView(on, PosixFileAttributeView.class);
        if (to == null) {
            return; // a file system without modes
        }
        PosixFileAttributes kept = Files.readAttributes(of, PosixFileAttributes.class);
        PosixFileAttributes given = to.readAttributes();
        if (!given.group().equals(kept.group())) {
            to.setGroup(kept.group());
        }
        if (!given.owner().equals(kept.owner())) {
            to.setOwner(kept.owner());
        }
        to.setPermissions(kept.permissions());
    }

    private static void writeAll(Path file, byte[] bytes, OpenOption... how) throws IOException {
        try (FileChannel channel = FileChannel.open(file, how)) {
            ByteBuffer left = ByteBuffer.wrap(bytes);
            while (left.hasRemaining()) {
                channel.write(left);
            }
            if (Files.isRegularFile(file)) {
                channel.force(true);
            }
        }
    }

    private static void rename(Path from, Path to) throws IOException {
        try {
            Files.move(from, to, StandardCopyOption.ATOMIC_MOVE, StandardCopyOption.REPLACE_EXISTING);
        } catch (AtomicMoveNotSupportedException e) {
            Files.move(from, to, StandardCopyOption.REPLACE_EXISTING);
        }
    }

    /** A rename lasts only when its folder is on disk too; where folders cannot be opened, the system sees to that. */
    private static void forceFolder(Path folder) throws IOException {
        if (File.separatorChar == '/') {
            try (FileChannel channel = FileChannel.open(folder, StandardOpenOption.READ)) {
                channel.force(true);
            }
        }
    }
}
