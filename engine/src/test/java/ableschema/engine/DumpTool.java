package ableschema.engine;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.SQLException;
import java.util.List;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** The program of a database server that prints what a database is made of. */
enum DumpTool {
    /** Of the machine, if one is installed that knows the server; the server of the tests brings none along. */
    PG_DUMP(RealEngine.POSTGRESQL) {
        @Override
        Optional<String> missing(Connection connection) throws SQLException {
            int server = connection.getMetaData().getDatabaseMajorVersion();
            try {
                String version = printed(List.of("pg_dump", "--version"));
                Matcher number = Pattern.compile("(\\d+)\\.").matcher(version);
                return number.find() && Integer.parseInt(number.group(1)) >= server
                        ? Optional.empty()
                        : Optional.of("it is older than the server " + server + ": " + version.strip());
            } catch (IOException e) {
                return Optional.of("pg_dump is not installed");
            }
        }

        @Override
        List<String> command(String host, String port, String database) {
            return List.of(
                    "pg_dump", "--schema-only", "--host", host, "--port", port, "--username", "postgres", database);
        }
    },
    /** Shipped with the server of the tests. */
    MARIADB_DUMP(RealEngine.MARIADB) {
        @Override
        Optional<String> missing(Connection connection) {
            return Optional.empty();
        }

        @Override
        List<String> command(String host, String port, String database) throws IOException {
            Path program = RealEngine.unpacked().toPath().resolve("bin/mariadb-dump");
            if (!Files.isExecutable(program) && !program.toFile().setExecutable(true)) {
                throw new IOException("cannot be run: " + program);
            }
            return List.of(
                    program.toString(),
                    "--no-data",
                    "--skip-dump-date",
                    "--disable-ssl-verify-server-cert",
                    "--protocol=tcp",
                    "--host=" + host,
                    "--port=" + port,
                    "--user=root",
                    database);
        }
    };

    private static final Pattern ADDRESS = Pattern.compile("//([^:/]+):(\\d+)/([^?]*)");

    private final RealEngine engine;

    DumpTool(RealEngine engine) {
        this.engine = engine;
    }

    RealEngine engine() {
        return engine;
    }

    /** Why it cannot be run here; empty where it can. */
    abstract Optional<String> missing(Connection connection) throws SQLException;

    abstract List<String> command(String host, String port, String database) throws IOException;

    /** What it prints of the database, but for the name of the database and what is new each time. */
    String dump(Connection connection) throws SQLException, IOException {
        Matcher address = ADDRESS.matcher(connection.getMetaData().getURL());
        if (!address.find()) {
            throw new IllegalStateException(
                    "no address in " + connection.getMetaData().getURL());
        }
        String database = address.group(3);
        return printed(command(address.group(1), address.group(2), database))
                .replace(database, "database")
                .replaceAll("(?m)^\\\\(?:un)?restrict .*\n", "");
    }

    private static String printed(List<String> command) throws IOException {
        Process process = new ProcessBuilder(command)
                .redirectError(ProcessBuilder.Redirect.INHERIT)
                .start();
        String printed = new String(process.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
        try {
            if (process.waitFor() != 0) {
                throw new IllegalStateException(String.join(" ", command) + " ended with " + process.exitValue());
            }
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new IOException("stopped while waiting for " + command.get(0), e);
        }
        return printed;
    }
}
