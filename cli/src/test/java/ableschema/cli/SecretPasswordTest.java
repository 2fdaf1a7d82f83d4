package ableschema.cli;

import static java.nio.charset.StandardCharsets.UTF_8;
import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.DriverManager;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import java.util.concurrent.TimeUnit;
import java.util.stream.Stream;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** A database's password opens it and is found nowhere afterwards: the real program in a process of its own. */
class SecretPasswordTest {

    private static final String PASSWORD = "Quince-4711-heron";

    @TempDir
    private Path folder;

    private final Set<String> commandLines = new TreeSet<>();
    private String url = "";

    @BeforeEach
    void database() throws Exception {
        url = "jdbc:h2:" + folder.resolve("cellar");
        try (var connection = DriverManager.getConnection(url, "keeper", PASSWORD);
                var statement = connection.createStatement()) {
            statement.execute("CREATE TABLE vat (vat_no integer PRIMARY KEY, litres decimal(6,1))");
        }
    }

    @Test
    void reading_and_trying_keep_and_show_no_password() throws Exception {
        String design = folder.resolve("cellar.able.json").toString();

        assertThat(able(PASSWORD, "read", "--url", url, "--user", "keeper", "-o", design))
                .isZero();
        assertThat(able(PASSWORD, "try", design, "--url", url, "--user", "keeper", "--json"))
                .isZero();
        assertThat(Files.readString(Path.of(design))).contains("vat");
        nowhere(PASSWORD);
    }

    @Test
    void a_wrong_password_is_refused_without_being_shown() throws Exception {
        String wrong = PASSWORD + "-not";

        assertThat(able(wrong, "read", "--url", url, "--user", "keeper", "-o", folder + "/x.able.json"))
                .isEqualTo(2);
        assertThat(said()).contains("keeper").contains("ABLE_PASSWORD");
        assertThat(folder.resolve("x.able.json")).doesNotExist();
        nowhere(wrong);
    }

    /** Runs the program with a home and a temporary folder of its own; its exit code. */
    private int able(String password, String... words) throws Exception {
        List<String> command = new ArrayList<>(List.of(
                ProcessHandle.current().info().command().orElseThrow(),
                "-Duser.home=" + Files.createDirectories(folder.resolve("home")),
                "-Djava.io.tmpdir=" + Files.createDirectories(folder.resolve("temporary")),
                "-cp",
                System.getProperty("java.class.path"),
                Able.class.getName()));
        command.addAll(List.of(words));
        ProcessBuilder builder = new ProcessBuilder(command).directory(folder.toFile());
        builder.environment().put("ABLE_PASSWORD", password);
        builder.redirectErrorStream(true)
                .redirectOutput(
                        ProcessBuilder.Redirect.appendTo(folder.resolve("said").toFile()));
        Process process = builder.start();
        try {
            while (!process.waitFor(20, TimeUnit.MILLISECONDS)) {
                Stream.concat(Stream.of(process.toHandle()), process.descendants())
                        .forEach(each -> commandLines.add(
                                String.join(" ", each.info().arguments().orElse(new String[0]))));
            }
        } finally {
            process.destroyForcibly();
        }
        return process.exitValue();
    }

    private void nowhere(String password) throws Exception {
        assertThat(commandLines).isNotEmpty().noneMatch(line -> line.contains(password));
        assertThat(said()).isNotEmpty();
        try (Stream<Path> files = Files.walk(folder)) {
            for (Path file : files.filter(Files::isRegularFile).toList()) {
                byte[] bytes = Files.readAllBytes(file);
                assertThat(new String(bytes, UTF_8)).as(file.toString()).doesNotContain(password);
            }
        }
    }

    private String said() throws Exception {
        return Files.readString(folder.resolve("said"));
    }
}
