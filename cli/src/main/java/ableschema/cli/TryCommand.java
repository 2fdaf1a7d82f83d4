package ableschema.cli;

import ableschema.core.carried.Carried;
import ableschema.core.document.Document;
import ableschema.core.mapping.Mapping;
import ableschema.core.store.DocumentFile;
import ableschema.core.store.FileProblem;
import ableschema.engine.ScriptRun;
import ableschema.engine.connect.ConnectionProblem;
import ableschema.engine.connect.DatabaseAddress;
import ableschema.engine.trial.Execution;
import ableschema.engine.trial.Trial;
import java.io.PrintWriter;
import java.nio.file.Path;
import java.sql.SQLException;
import java.util.List;
import java.util.concurrent.Callable;
import org.jspecify.annotations.Nullable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.ParameterException;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;

/** {@code able try}: a design put to a real database, read back, and taken away again. */
@Command(
        name = "try",
        description =
                "Carries out the script and the sample rows in a scratch schema of a real database, reads back what it then"
                        + " has, and takes the schema away.",
        mixinStandardHelpOptions = true)
final class TryCommand implements Callable<Integer> {

    @Parameters(paramLabel = "FILE", description = "The design.")
    private Path file = Path.of("");

    @Option(
            names = "--url",
            required = true,
            paramLabel = "JDBCURL",
            description = "The database, such as jdbc:postgresql://localhost/club.")
    private String url = "";

    @Option(
            names = "--user",
            paramLabel = "U",
            description = "Who tries it; the password is in the environment variable ABLE_PASSWORD, or is asked for.")
    private String user = "";

    @Option(names = "--json", description = "Prints what the database said as JSON.")
    private boolean json;

    @Option(
            names = "--for-real",
            description =
                    "Carries the script out in the database itself, where it stays, unless tables of its names are there.")
    private boolean forReal;

    @Option(names = "--rows", description = "With --for-real: inserts the sample rows as well.")
    private boolean rows;

    @Option(
            names = "--lose",
            description = "With --for-real: takes away what is there and is replaced, which is listed without this.")
    private boolean lose;

    @Spec
    private CommandSpec spec = CommandSpec.create();

    @Override
    public Integer call() throws FileProblem {
        Document document = DocumentFile.read(file);
        if (!forReal && (rows || lose)) {
            throw new ParameterException(spec.commandLine(), "--rows and --lose are said of what is done --for-real");
        }
        if (forReal) {
            return carriedOut(document);
        }
        Mapping mapping = document.mapping();
        List<String> undecided = mapping.undecided();
        undecided.forEach(each -> spec.commandLine().getErr().println("undecided, and so not tried: " + each));
        Trial trial = asked((address, password) -> Trial.of(document, address, password, done -> {}));
        PrintWriter out = spec.commandLine().getOut();
        if (json) {
            out.println(Json.line(Json.ordered(
                    "accepted",
                    trial.run().accepted(),
                    "refused",
                    refused(trial),
                    "notTried",
                    trial.leftOut().stream().map(Carried::label).toList(),
                    "differences",
                    differences(trial))));
        } else {
            tell(trial, out);
        }
        boolean good = trial.run().refusal().isEmpty() && trial.differences().isEmpty() && undecided.isEmpty();
        return good ? Exit.DONE : Exit.ERRORS;
    }

    /** Something done with the database. */
    private interface Asking<T> {
        T of(DatabaseAddress address, String password) throws ConnectionProblem, SQLException;
    }

    private <T> T asked(Asking<T> asking) {
        try {
            return asking.of(DatabaseAddress.of(url, user), Password.of(user));
        } catch (ConnectionProblem e) {
            throw new Refusal(Exit.WRONG_USE, "cannot try " + file + ": " + e.getMessage());
        } catch (SQLException e) {
            throw new Refusal(
                    Exit.WRONG_USE,
                    "cannot try " + file + ": "
                            + String.valueOf(e.getMessage())
                                    .lines()
                                    .findFirst()
                                    .orElse("the database stopped answering"));
        }
    }

    /** Nothing is carried out of a design of which something is undecided. */
    private int carriedOut(Document document) {
        List<String> undecided = document.mapping().undecided();
        if (!undecided.isEmpty()) {
            undecided.forEach(each -> spec.commandLine().getErr().println("undecided: " + each));
            throw new Refusal(Exit.ERRORS, "nothing was done, as the design is not decided; decide what is listed");
        }
        Execution execution =
                asked((address, password) -> Execution.of(document, address, password, rows, lose, done -> {}));
        PrintWriter out = spec.commandLine().getOut();
        if (json) {
            out.println(Json.line(Json.ordered(
                    "carriedOut",
                    execution.run().filter(run -> run.refusal().isEmpty()).isPresent(),
                    "accepted",
                    execution.run().map(ScriptRun::accepted).orElse(0),
                    "there",
                    execution.standing().stream()
                            .map(each -> Json.ordered("table", each.table(), "rows", each.rows()))
                            .toList(),
                    "leaning",
                    execution.leaning())));
        } else {
            execution.standing().forEach(each -> out.println("there already: " + each.table() + ", " + rows(each)));
            execution.leaning().forEach(each -> out.println("goes with it, or is made anew: " + each));
        }
        spec.commandLine().getErr().println(said(execution));
        return execution.run().filter(run -> run.refusal().isEmpty()).isPresent() ? Exit.DONE : Exit.ERRORS;
    }

    private static String rows(Execution.Standing standing) {
        return standing.rows() == 1 ? "1 row" : standing.rows() + " rows";
    }

    private static String said(Execution execution) {
        if (execution.run().isEmpty()) {
            return execution.replaces()
                    ? "nothing was done: what is listed would be lost with its rows; say --lose if it may be"
                    : "nothing was done: what is listed is there already; choose in the design's script whether what exists is"
                            + " skipped or replaced, or name another database";
        }
        ScriptRun run = execution.run().get();
        return run.refusal()
                .map(refusal ->
                        "refused: " + refusal.reason().lines().findFirst().orElse("") + "; "
                                + (run.accepted() == 0
                                        ? "nothing of it stays"
                                        : run.accepted() + " statements before it stay carried out"))
                .orElse("carried out: " + run.accepted() + " statements");
    }

    private static @Nullable Object refused(Trial trial) {
        return trial.run()
                .refusal()
                .map(refusal -> (Object) Json.ordered(
                        "line",
                        trial.refusedLine().orElse(0),
                        "statement",
                        refusal.statement().text(),
                        "reason",
                        refusal.reason()))
                .orElse(null);
    }

    private static List<?> differences(Trial trial) {
        return trial.differences().stream()
                .map(each -> Json.ordered(
                        "place",
                        each.place(),
                        "written",
                        each.before().orElse(null),
                        "had",
                        each.after().orElse(null)))
                .toList();
    }

    private static void tell(Trial trial, PrintWriter out) {
        ScriptRun run = trial.run();
        run.refusal()
                .ifPresentOrElse(
                        refusal -> out.println(
                                "refused in line " + trial.refusedLine().orElse(0) + " of the script for "
                                        + trial.script().dialect().label() + ": "
                                        + refusal.reason().lines().findFirst().orElse("")),
                        () -> out.println(run.accepted() + " statements accepted, rows included"));
        trial.leftOut()
                .forEach(each -> out.println("not tried, as it may reach beyond the scratch schema: " + each.label()));
        trial.differences()
                .forEach(each -> out.println("otherwise than written: " + each.place() + ": "
                        + each.before().orElse("nothing") + " was written, and there is "
                        + each.after().orElse("nothing")));
        if (run.refusal().isEmpty() && trial.differences().isEmpty()) {
            out.println("what it then had is what was written");
        }
    }
}
