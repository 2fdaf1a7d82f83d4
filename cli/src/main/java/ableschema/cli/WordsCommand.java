package ableschema.cli;

import ableschema.core.store.DocumentFile;
import ableschema.core.store.FileProblem;
import ableschema.core.words.DesignReader;
import ableschema.core.words.DesignText;
import java.io.PrintWriter;
import java.nio.file.Path;
import java.util.Objects;
import java.util.concurrent.Callable;
import org.jspecify.annotations.Nullable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.ParameterException;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;

/** {@code able words}: a design as sentences, or sentences as a design. */
@Command(
        name = "words",
        description = "Says a design in plain sentences, or makes a design of sentences.",
        mixinStandardHelpOptions = true)
final class WordsCommand implements Callable<Integer> {

    @Parameters(arity = "0..1", paramLabel = "FILE", description = "The design to say.")
    private @Nullable Path file;

    @Option(names = "--from", paramLabel = "TEXTFILE", description = "Sentences to make a design of.")
    private @Nullable Path from;

    @Option(names = "--strict", description = "With --from: takes only sentences of the exact forms of docs/words.md.")
    private boolean strict;

    @Option(
            names = "--partial",
            description = "With --from: writes what was understood, and exits with 1 where not all was.")
    private boolean partial;

    @Option(names = "--replace", description = "With --from: write over a design that is there.")
    private boolean replace;

    @Mixin
    private Output output = new Output();

    @Spec
    private CommandSpec spec = CommandSpec.create();

    @Override
    public Integer call() throws FileProblem {
        if ((file == null) == (from == null)) {
            throw new ParameterException(
                    spec.commandLine(), "name either a design to say, or --from and a text to read");
        }
        return from == null ? say(Objects.requireNonNull(file)) : read(from);
    }

    private int say(Path design) throws FileProblem {
        DesignText text = DesignText.of(DocumentFile.read(design));
        output.write(design, text.text());
        text.omissions().ifPresent(spec.commandLine().getErr()::println);
        return Exit.DONE;
    }

    private int read(Path text) throws FileProblem {
        DesignReader.Result result =
                DesignReader.read(DocumentFile.readText(text, "check that it is a text of sentences"), strict);
        PrintWriter messages = spec.commandLine().getErr();
        result.problems().forEach(messages::println);
        int count = result.problems().size();
        if (count > 0 && !partial) {
            throw new Refusal(
                    Exit.WRONG_USE,
                    "cannot read " + text + ": "
                            + (count == 1 ? "one sentence was" : count + " sentences were")
                            + " not understood; nothing was written (--partial writes the rest)");
        }
        result.readings().forEach(messages::println);
        output.writeDesign(text, DocumentFile.print(result.document()), replace);
        return count == 0 ? Exit.DONE : Exit.ERRORS;
    }
}
