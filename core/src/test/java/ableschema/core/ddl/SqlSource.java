package ableschema.core.ddl;

import ableschema.core.schema.Schema;
import ableschema.core.sql.dialect.Dialect;
import ableschema.core.sql.dialect.Dialects;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.stream.Stream;

/** The SQL texts that tests read: scripts in the manner of real dumps, and what the program writes itself. */
public final class SqlSource {

    private static final Path DUMPS = Path.of("src/test/resources/dumps");
    private static final Path WRITTEN = Path.of("src/test/resources/sql");

    private SqlSource() {}

    /** Scripts in the manner of real dumps; the name of each begins with its dialect. */
    public static Stream<Path> dumps() {
        return files(DUMPS).filter(file -> file.toString().endsWith(".sql"));
    }

    /** What the program writes of its own designs; the name of each ends with its dialect. */
    public static Stream<Path> written() {
        return files(WRITTEN).filter(file -> file.toString().endsWith(".sql"));
    }

    /** A script with what stands beside tables, in the manner of a dialect. */
    static String carried(String dialect) {
        return text(Path.of("src/test/resources/carried", dialect + ".sql"));
    }

    private static Stream<Path> files(Path folder) {
        try (Stream<Path> files = Files.list(folder)) {
            return files.sorted().toList().stream();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    public static String text(Path file) {
        try {
            return Files.readString(file);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** The dialect that the name of a file tells. */
    public static Dialect dialect(Path file) {
        String name = file.getFileName().toString().replace(".sql", "");
        return Dialects.ALL.stream()
                .filter(each -> name.startsWith(each.name()) || name.endsWith(each.name()))
                .findFirst()
                .orElseThrow();
    }

    /** What a schema says, one thing a line. */
    public static List<String> said(Schema schema) {
        return new Schema(List.of(), List.of())
                .differences(schema).stream()
                        .map(each ->
                                each.place() + ": " + each.after().orElse("").replace("\n", "\\n"))
                        .toList();
    }
}
