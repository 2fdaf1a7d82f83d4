package ableschema.cli;

import ableschema.core.document.Document;
import ableschema.core.schema.Schema;
import ableschema.core.sql.Dialect;
import ableschema.core.sql.Dialects;
import ableschema.core.sql.Script;
import ableschema.core.sql.ScriptWriter;
import ableschema.core.store.DocumentFile;
import ableschema.core.store.FileProblem;
import java.nio.file.Path;
import java.util.List;
import java.util.concurrent.Callable;
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
            required = true,
            converter = DialectName.class,
            description = "postgresql, sqlite or h2")
    private Dialect dialect = Dialects.STANDARD;

    @Option(names = "--rows", description = "Adds the sample rows as INSERT statements.")
    private boolean rows;

    @Mixin
    private Output output = new Output();

    @Spec
    private CommandSpec spec = CommandSpec.create();

    @Override
    public Integer call() throws FileProblem {
        Document document = DocumentFile.read(file);
        Schema schema = document.schema();
        List<String> undecided = schema.undecided();
        if (!undecided.isEmpty()) {
            undecided.forEach(each -> spec.commandLine().getErr().println("undecided: " + each));
            return Exit.ERRORS;
        }
        Script script = rows
                ? ScriptWriter.withRows(schema, document.design(), dialect)
                : ScriptWriter.definitions(schema, dialect);
        output.write(script.text());
        return Exit.DONE;
    }
}
