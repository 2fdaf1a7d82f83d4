package ableschema.desktop.app;

import static org.assertj.core.api.Assertions.assertThat;

import ableschema.core.store.DocumentFile;
import ableschema.core.store.FileProblem;
import java.io.IOException;
import java.lang.management.ManagementFactory;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** The application as a process of its own, from its beginning to its end. */
class StartTest {

    /** What the process does: one file is opened, and what is wrong with it is said. */
    static final class Opening {
        public static void main(String[] arguments) {
            Path file = Path.of(arguments[0]);
            try {
                AbleApp.open(() -> DocumentFile.read(file), Optional.of(file));
            } catch (FileProblem e) {
                System.err.println(e.getMessage());
                System.exit(2);
            }
        }
    }

    private record Ended(int exit, String said) {}

    private static Ended open(Path file) throws IOException, InterruptedException {
        var command = new ArrayList<String>();
        command.add(Path.of(System.getProperty("java.home"), "bin", "java").toString());
        command.addAll(ManagementFactory.getRuntimeMXBean().getInputArguments());
        command.addAll(List.of("-Dable.close-when-seen=true", "-cp", System.getProperty("java.class.path")));
        command.addAll(List.of(Opening.class.getName(), file.toString()));
        Process process = new ProcessBuilder(command).redirectErrorStream(true).start();
        String said = new String(process.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
        return new Ended(process.waitFor(), said);
    }

    @Test
    void the_window_shows_a_design_and_a_broken_file_ends_it_before_it_is_seen(@TempDir Path folder) throws Exception {
        Path broken = Files.writeString(folder.resolve("broken.able.json"), "{");

        assertThat(open(Path.of("../demo/alder-valley.able.json"))).isEqualTo(new Ended(0, ""));
        Ended refused = open(broken);
        assertThat(refused.exit()).as(refused.said()).isEqualTo(2);
        assertThat(refused.said()).startsWith("cannot read " + broken).hasLineCount(1);
    }
}
