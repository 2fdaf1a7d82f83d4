package ableschema.cli;

import ableschema.core.document.Document;
import ableschema.core.store.DocumentFile;
import ableschema.core.store.FileProblem;
import java.nio.file.Path;
import java.util.concurrent.Callable;
import org.jspecify.annotations.Nullable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;

/** {@code able rules}: the house rules out of a design, or into one. */
@Command(
        name = "rules",
        description = "Takes the house rules out of a design, or puts those of a file into it.",
        mixinStandardHelpOptions = true)
final class RulesCommand implements Callable<Integer> {

    @Parameters(paramLabel = "FILE", description = "The design.")
    private Path file = Path.of("");

    @Option(
            names = "--rules",
            paramLabel = "RULES",
            description = "House rules to put into the design; without it, those of the design are taken out.")
    private @Nullable Path rules;

    @Option(names = "--replace", description = "Writes over a design that is there.")
    private boolean replace;

    @Mixin
    private Output output = new Output();

    @Override
    public Integer call() throws FileProblem {
        Document document = DocumentFile.read(file);
        Document written = rules == null
                ? Document.EMPTY.with(document.rules())
                : document.with(DocumentFile.read(rules).rules());
        output.writeDesign(file, DocumentFile.print(written), replace);
        return Exit.DONE;
    }
}
