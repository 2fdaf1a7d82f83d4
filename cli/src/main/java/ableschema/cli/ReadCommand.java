package ableschema.cli;

import ableschema.core.carried.Carried;
import ableschema.core.ddl.Skipped;
import ableschema.core.ddl.SqlRead;
import ableschema.core.ddl.SqlReader;
import ableschema.core.reverse.Reverse;
import ableschema.core.reverse.Reversed;
import ableschema.core.sql.dialect.Dialect;
import ableschema.core.store.DocumentFile;
import ableschema.core.store.FileProblem;
import ableschema.core.store.SqlFile;
import ableschema.engine.catalog.Catalog;
import ableschema.engine.catalog.CatalogRead;
import ableschema.engine.catalog.Wanted;
import ableschema.engine.connect.ConnectionProblem;
import ableschema.engine.connect.DatabaseAddress;
import java.io.PrintWriter;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.SQLException;
import java.util.List;
import java.util.Map;
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

/** {@code able read}: existing SQL, or a live database, as a design. */
@Command(
        name = "read",
        description = "Makes a design of existing SQL definitions, or of a live database.",
        mixinStandardHelpOptions = true)
final class ReadCommand implements Callable<Integer> {

    private static final Path NOWHERE = Path.of("");

    @Parameters(
            arity = "0..1",
            paramLabel = "SQLFILE",
            description = "The SQL to read, such as a dump; - for standard input.")
    private @Nullable Path file;

    @Option(
            names = "--url",
            paramLabel = "JDBCURL",
            description = "A live database to read, such as jdbc:postgresql://localhost/club.")
    private @Nullable String url;

    @Option(
            names = "--user",
            paramLabel = "U",
            description =
                    "With --url: who reads; the password is in the environment variable ABLE_PASSWORD, or is asked for.")
    private String user = "";

    @Option(
            names = "--schema",
            paramLabel = "S",
            description = "With --url: reads only what stands in this schema; may be given several times.")
    private List<String> schemas = List.of();

    @Option(
            names = "--driver",
            paramLabel = "JAR",
            description = "With --url: a JDBC driver of your own, for a database that is none of those known.")
    private @Nullable Path driver;

    @Option(
            names = "--dialect",
            paramLabel = "D",
            converter = DialectName.class,
            description = "one of ${COMPLETION-CANDIDATES}; without it, it is told by the text",
            completionCandidates = DialectName.Names.class)
    private @Nullable Dialect dialect;

    @Option(
            names = "--rows",
            paramLabel = "N",
            description = "Takes the first N rows of each table along as sample rows.")
    private int rows;

    @Option(names = "--json", description = "Prints what was read as counts, and all that was not, as JSON.")
    private boolean json;

    @Option(names = "--replace", description = "Writes over a design that is there.")
    private boolean replace;

    @Mixin
    private Output output = new Output();

    @Spec
    private CommandSpec spec = CommandSpec.create();

    @Override
    public Integer call() throws FileProblem {
        if ((file == null) == (url == null)) {
            throw new ParameterException(
                    spec.commandLine(), "name either a file of SQL, or --url and a database to read");
        }
        if (url == null && (!schemas.isEmpty() || driver != null || !user.isEmpty())) {
            throw new ParameterException(
                    spec.commandLine(), "--user, --schema and --driver are said of a database, which --url names");
        }
        CatalogRead found =
                url == null ? new CatalogRead(fromFile(Objects.requireNonNull(file)), Map.of()) : fromDatabase(url);
        SqlRead read = found.read();
        Reversed reversed = Reverse.of(read, title(), found.sizes());
        boolean toFile = output.isFile();
        if (toFile || !json) {
            output.writeDesign(file == null ? NOWHERE : file, DocumentFile.print(reversed.document()), replace);
        }
        if (json) {
            spec.commandLine().getOut().println(Json.line(counts(read)));
        }
        tell(read, reversed);
        return Exit.DONE;
    }

    private SqlRead fromFile(Path from) throws FileProblem {
        String text = SqlFile.read(from);
        SqlRead read = SqlReader.read(text, dialect == null ? SqlReader.dialectOf(text, from) : dialect, rows);
        read.cut().ifPresent(cut -> {
            throw refusal("it ends in the middle of " + cut.what() + ", begun in line " + cut.line()
                    + "; take the whole file, or name its dialect with --dialect");
        });
        if (read.schema().tables().isEmpty()) {
            throw refusal("it makes no table, read as " + read.dialect().label() + lost(read.skipped())
                    + "; name a file with CREATE TABLE statements, or another --dialect");
        }
        return read;
    }

    private CatalogRead fromDatabase(String from) {
        try (Connection connection = address(from).openToRead(Password.of(user))) {
            CatalogRead read = Catalog.read(connection, new Wanted(schemas, rows), asked -> {});
            if (read.read().schema().tables().isEmpty()) {
                throw refusal("there is no table in it that " + (user.isEmpty() ? "can be seen" : user + " can see")
                        + "; name another database in the URL");
            }
            return read;
        } catch (ConnectionProblem e) {
            throw new Refusal(Exit.WRONG_USE, "cannot read: " + e.getMessage());
        } catch (SQLException e) {
            throw refusal(String.valueOf(e.getMessage()).lines().findFirst().orElse("it stopped answering"));
        }
    }

    private DatabaseAddress address(String from) throws ConnectionProblem {
        return driver == null ? DatabaseAddress.of(from, user) : DatabaseAddress.of(from, user, driver);
    }

    private Refusal refusal(String reason) {
        Object from = file == null ? String.valueOf(url).replaceFirst("[?;].*$", "") : file;
        return new Refusal(Exit.WRONG_USE, "cannot read " + from + ": " + reason);
    }

    private static String lost(List<Skipped> skipped) {
        return skipped.isEmpty()
                ? ""
                : " (line " + skipped.get(0).line() + ": " + skipped.get(0).reason() + ")";
    }

    private String title() {
        Path named = file == null
                ? Path.of(String.valueOf(url).replaceFirst("[?;].*$", "").replaceAll("^.*[/:]", ""))
                : file;
        String name = named.equals(DocumentFile.STANDARD) || named.getFileName() == null
                ? "read"
                : named.getFileName().toString();
        int point = name.indexOf('.');
        return point > 0 ? name.substring(0, point) : name;
    }

    private static Map<String, @Nullable Object> counts(SqlRead read) {
        SqlRead.Counts counts = read.counts();
        return Json.ordered(
                "tables",
                counts.tables(),
                "columns",
                counts.columns(),
                "primaryKeys",
                counts.primaryKeys(),
                "foreignKeys",
                counts.foreignKeys(),
                "uniques",
                counts.uniques(),
                "checks",
                counts.checks(),
                "indexes",
                counts.indexes(),
                "carried",
                read.schema().carried().stream().map(Carried::label).toList(),
                "skipped",
                read.skipped().stream()
                        .map(each -> Json.ordered(
                                "line", each.line(), "statement", each.statement(), "reason", each.reason()))
                        .toList());
    }

    /** What was read and what was not, to people. */
    private void tell(SqlRead read, Reversed reversed) {
        PrintWriter messages = spec.commandLine().getErr();
        if (!json) {
            read.skipped()
                    .forEach(each -> messages.println(
                            "line " + each.line() + ": left out, as " + each.reason() + ": " + each.statement()));
        }
        reversed.differences().forEach(each -> messages.println("otherwise in the design: " + each.inWords()));
        SqlRead.Counts counts = read.counts();
        int carried = read.schema().carried().size();
        messages.println("read as " + read.dialect().label() + ": " + of(counts.tables(), "table") + ", "
                + of(counts.columns(), "column") + ", " + of(counts.foreignKeys(), "foreign key") + "; "
                + (carried == 0 ? "" : of(carried, "other statement") + " carried along; ")
                + (read.skipped().isEmpty()
                        ? "nothing was left out"
                        : of(read.skipped().size(), "part") + " left out"));
    }

    private static String of(int count, String what) {
        return count + " " + what + (count == 1 ? "" : "s");
    }
}
