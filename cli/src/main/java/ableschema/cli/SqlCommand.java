package ableschema.cli;

import ableschema.core.document.Document;
import ableschema.core.mapping.Mapping;
import ableschema.core.rows.DesignScript;
import ableschema.core.sql.Script;
import ableschema.core.sql.dialect.Dialect;
import ableschema.core.store.DocumentFile;
import ableschema.core.store.FileProblem;
import java.nio.file.Path;
import java.util.List;
import java.util.concurrent.Callable;
import org.jspecify.annotations.Nullable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;

/** {@code able sql}: definitions for a dialect, with sample rows if wished. */
@Command(
        name = "sql",
        description = "Writes the definitions of a design for a dialect.",
        mixinStandardHelpOptions = true)
final class SqlCommand implements Callable<Integer> {

    @Parameters(paramLabel = "FILE", description = "The design.")
    private Path file = Path.of("");

    @Option(
            names = "--dialect",
            paramLabel = "D",
            converter = DialectName.class,
            description = "one of ${COMPLETION-CANDIDATES}; without it, that of the design",
            completionCandidates = DialectName.Names.class)
    private @Nullable Dialect dialect;

    @Option(names = "--rows", description = "Adds the sample rows as INSERT statements.")
    private boolean rows;

    @Option(
            names = "--personal",
            description = "Writes personal and secret values of the rows as they were entered; without it, stand-ins.")
    private boolean personal;

    @Option(
            names = "--rules",
            paramLabel = "RULES",
            description = "House rules to write by, in place of those of the design.")
    private @Nullable Path rules;

    @Option(names = "--partial", description = "Writes what is decided, and says at its place what is not.")
    private boolean partial;

    @Mixin
    private Output output = new Output();

    @Spec
    private CommandSpec spec = CommandSpec.create();

    @Override
    public Integer call() throws FileProblem {
        Document read = DocumentFile.read(file);
        Document document =
                rules == null ? read : read.with(DocumentFile.read(rules).rules());
        Mapping mapping = document.mapping();
        List<String> undecided = mapping.undecided();
        undecided.forEach(each -> spec.commandLine().getErr().println("undecided: " + each));
        if (!undecided.isEmpty() && !partial) {
            return Exit.ERRORS;
        }
        Dialect chosen = dialect == null
                ? document.dialect()
                : dialect.choosing(document.rules().choices());
        output.write(file, script(mapping, chosen).text());
        return undecided.isEmpty() ? Exit.DONE : Exit.ERRORS;
    }

    private Script script(Mapping mapping, Dialect chosen) {
        if (!rows) {
            return DesignScript.definitions(mapping, chosen);
        }
        return personal ? DesignScript.withRowsAsEntered(mapping, chosen) : DesignScript.withRows(mapping, chosen);
    }
}
