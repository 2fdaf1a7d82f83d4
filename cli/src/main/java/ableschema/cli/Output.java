package ableschema.cli;

import ableschema.core.store.DocumentFile;
import ableschema.core.store.FileProblem;
import ableschema.core.store.SafeFile;
import java.nio.file.Files;
import java.nio.file.Path;
import org.jspecify.annotations.Nullable;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Spec;

/** Where the data of a command goes: a file, or standard output. */
final class Output {

    @Option(names = "-o", paramLabel = "OUT", description = "The file to write; without it, or as -, standard output.")
    private @Nullable Path file;

    @Spec(Spec.Target.MIXEE)
    private CommandSpec spec = CommandSpec.create();

    /**
     * Writes what was made from a design or a text; a design is never replaced by it.
     *
     * @param source the file that the text was made from, which is never replaced either
     */
    void write(Path source, String text) throws FileProblem {
        if (file != null && !file.equals(DocumentFile.STANDARD)) {
            refuseDesign(source, file, "name another file");
        }
        put(source, text);
    }

    /** Writes a design, in the place of another only where that is said. */
    void writeDesign(Path source, String text, boolean replace) throws FileProblem {
        if (file != null && !replace) {
            refuseDesign(source, file, "name another file, or say --replace");
        }
        put(source, text);
    }

    /** Whether a file was named to write to. */
    boolean isFile() {
        return file != null && !file.equals(DocumentFile.STANDARD);
    }

    private void put(Path source, String text) throws FileProblem {
        if (file != null && !file.equals(DocumentFile.STANDARD)) {
            SafeFile.writeFrom(source, file, text);
            return;
        }
        spec.commandLine().getOut().print(text);
    }

    /** What it was made from is refused, with more fitting words, when it is to be written. */
    private static void refuseDesign(Path source, Path target, String otherwise) throws FileProblem {
        boolean design = Files.isRegularFile(target)
                && !SafeFile.isSame(source, target)
                && (target.toString().endsWith(DocumentFile.ENDING) || DocumentFile.isDesign(target));
        if (design) {
            throw new Refusal(
                    Exit.WRONG_USE, "cannot write " + target + ": it is a design; nothing was changed, " + otherwise);
        }
    }
}
