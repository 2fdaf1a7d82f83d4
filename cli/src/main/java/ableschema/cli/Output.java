package ableschema.cli;

import ableschema.core.store.FileProblem;
import ableschema.core.store.SafeFile;
import java.nio.file.Path;
import org.jspecify.annotations.Nullable;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Spec;

/** Where the data of a command goes: a file, or standard output. */
final class Output {

    @Option(names = "-o", paramLabel = "OUT", description = "The file to write; without it, standard output.")
    private @Nullable Path file;

    @Spec(Spec.Target.MIXEE)
    private CommandSpec spec = CommandSpec.create();

    /** @param source the file that the text was made from, which is never replaced */
    void write(Path source, String text) throws FileProblem {
        if (file == null) {
            spec.commandLine().getOut().print(text);
        } else {
            SafeFile.writeFrom(source, file, text);
        }
    }
}
