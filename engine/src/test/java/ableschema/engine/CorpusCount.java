package ableschema.engine;

import ableschema.core.ddl.SqlRead;
import ableschema.core.ddl.SqlReader;
import ableschema.core.reverse.Reverse;
import ableschema.core.reverse.Reversed;
import ableschema.core.rows.DesignScript;
import ableschema.core.schema.Schema;
import ableschema.engine.catalog.Catalog;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.SQLException;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.h2.tools.RunScript;

/**
 * Counts, for scripts that nobody here has written, how many are read exactly as the engine has them that carried them out. Run by
 * hand, with psql, mariadb and sqlite3 on the path: their folders are named like the dialects.
 */
final class CorpusCount {

    private static final Pattern SERVER = Pattern.compile("//([^:/]+):(\\d+)/(\\w+)");

    private static final Pattern BOTH = Pattern.compile("(?s).*? is (.*) in the first and (.*) in the second");

    private final RealEngine engine;
    private final Map<String, Integer> verdicts = new TreeMap<>();

    private CorpusCount(RealEngine engine) {
        this.engine = engine;
    }

    public static void main(String[] args) throws Exception {
        for (RealEngine engine : RealEngine.values()) {
            Path folder = Path.of(args[0]).resolve(engine.dialect().name());
            if (Files.isDirectory(folder)
                    && (args.length < 2 || args[1].equals(engine.dialect().name()))) {
                new CorpusCount(engine).count(folder, args.length > 2 ? args[2] : "");
            }
        }
        System.exit(0); // the servers' threads would go on
    }

    private void count(Path folder, String part) throws Exception {
        List<Path> files;
        try (Stream<Path> all = Files.list(folder)) {
            files = all.filter(file -> file.getFileName().toString().contains(part))
                    .sorted()
                    .toList();
        }
        for (Path file : files) {
            count(file);
        }
        System.out.println("== " + engine + ": " + verdicts);
    }

    private void count(Path file) throws Exception {
        SqlRead read = SqlReader.read(new String(Files.readAllBytes(file), StandardCharsets.UTF_8), engine.dialect());
        Path database = Files.createTempFile("corpus", ".db");
        try (Connection connection =
                engine == RealEngine.SQLITE ? DriverManager.getConnection("jdbc:sqlite:" + database) : engine.open()) {
            String said = run(connection, file, database);
            SqlRead live = Catalog.read(connection);
            List<String> differences = real(read.schema(), live.schema());
            String verdict = differences.isEmpty() ? "exact" : said.isEmpty() ? "OTHER" : "refused";
            verdicts.merge(verdict, 1, Integer::sum);
            System.out.printf("%s %s (%d tables)%n", verdict, file.getFileName(), counted(read.schema()));
            show("engine: ", said.lines().toList(), 3);
            show("", differences, 12);
            show("left out: ", differences.isEmpty() ? List.of() : read.skipped(), 8);
            writtenAgain(live);
        } finally {
            Files.delete(database);
        }
    }

    /** What the design of the database writes gives the same database. */
    private void writtenAgain(SqlRead live) throws SQLException {
        try (Connection other = engine.open()) {
            Reversed design = Reverse.of(live, "live");
            ScriptRun run =
                    ScriptRun.of(DesignScript.definitions(design.document().mapping(), engine.dialect()), other);
            List<String> differences = run.refusal().isPresent()
                    ? List.of(run.refusal().toString())
                    : real(live.schema(), Catalog.read(other).schema());
            verdicts.merge(differences.isEmpty() ? "written again" : "written OTHERWISE", 1, Integer::sum);
            show("design: ", design.differences(), 3);
            show("AGAIN: ", differences, 12);
        }
    }

    private static int counted(Schema schema) {
        return schema.tables().size();
    }

    private static void show(String before, List<?> lines, int most) {
        lines.stream().limit(most).forEach(line -> System.out.println("      " + before + line));
    }

    private static List<String> real(Schema one, Schema other) {
        return SameSchema.differences(one, other).stream()
                .filter(CorpusCount::isReal)
                .toList();
    }

    /** The collation that the database had before is said by a script that says it again, and not by the catalogue. */
    private static boolean isReal(String difference) {
        String plain = difference
                .replaceAll("(, )?mariadb.collation=utf8mb4_general_ci(, )?", "")
                .replace("RESTRICT", "NO ACTION"); // which are the same
        Matcher both = BOTH.matcher(plain.replaceAll(" options \\{}", ""));
        return !both.matches() || !both.group(1).equals(both.group(2));
    }

    private String run(Connection connection, Path file, Path database) throws Exception {
        Matcher at = SERVER.matcher(connection.getMetaData().getURL());
        return switch (engine) {
            case POSTGRESQL -> {
                at.find();
                yield client(file, "psql", "-q", "-h", at.group(1), "-p", at.group(2), "-U", "postgres", at.group(3));
            }
            case MARIADB -> {
                at.find();
                yield client(file, "mariadb", "-f", "-u", "root", "-h", "127.0.0.1", "-P", at.group(2), at.group(3));
            }
            case SQLITE -> client(file, "sqlite3", database.toString());
            case H2 -> {
                try {
                    RunScript.execute(connection, Files.newBufferedReader(file));
                    yield "";
                } catch (SQLException e) {
                    yield e.getMessage();
                }
            }
        };
    }

    /** A script that enters a database of its own is carried out in the one that is compared. */
    private static Path here(Path file) throws IOException {
        String text = Files.readString(file, StandardCharsets.ISO_8859_1);
        return Files.writeString(
                Files.createTempFile("corpus", ".sql"),
                text.replaceAll("(?im)^\\s*(create|drop) +(database|schema)\\b[^;]*;|^ *use +[`\\w]+ *;", ""),
                StandardCharsets.ISO_8859_1);
    }

    private static String client(Path script, String... command) throws IOException, InterruptedException {
        Path file = command[0].equals("mariadb") ? here(script) : script;
        Path said = Files.createTempFile("corpus", ".txt");
        Process process = new ProcessBuilder(new ArrayList<>(List.of(command)))
                .redirectInput(file.toFile())
                .redirectErrorStream(true)
                .redirectOutput(said.toFile())
                .start();
        process.waitFor();
        String text = new String(Files.readAllBytes(said), StandardCharsets.ISO_8859_1);
        Files.delete(said);
        return text.lines()
                .filter(line -> Pattern.compile("(?i)error").matcher(line).find())
                .reduce("", (one, next) -> one.isEmpty() ? next : one + "\n" + next);
    }
}
