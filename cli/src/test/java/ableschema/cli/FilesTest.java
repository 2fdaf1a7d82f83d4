package ableschema.cli;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.FileOutputStream;
import java.io.InputStream;
import java.io.PrintStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** No command harms a file: designs are never written over, and what cannot be written is said. */
class FilesTest {

    private static final Path DEMO = Path.of("../demo/alder-valley.able.json");

    @TempDir
    private Path folder;

    private final ByteArrayOutputStream out = new ByteArrayOutputStream();
    private final ByteArrayOutputStream err = new ByteArrayOutputStream();

    private int able(String... arguments) {
        out.reset();
        err.reset();
        return Able.run(
                new PrintStream(out, true, StandardCharsets.UTF_8),
                new PrintStream(err, true, StandardCharsets.UTF_8),
                arguments);
    }

    private String said() {
        return err.toString(StandardCharsets.UTF_8);
    }

    private Path design(String name) throws Exception {
        return Files.copy(DEMO, folder.resolve(name));
    }

    @Test
    void a_design_is_never_replaced_by_what_a_command_makes_of_another() throws Exception {
        Path mine = design("mine.able.json");
        Path other = design("other.able.json");
        Path renamed = design("other.json");
        Path link = Files.createSymbolicLink(folder.resolve("link.sql"), other.getFileName());

        for (Path target : new Path[] {mine, other, renamed, link}) {
            assertThat(able("sql", mine.toString(), "-o", target.toString())).isEqualTo(2);
            assertThat(said()).contains("nothing was changed").hasLineCount(1);
            assertThat(able("tables", mine.toString(), "-o", target.toString())).isEqualTo(2);
            assertThat(able("words", mine.toString(), "-o", target.toString())).isEqualTo(2);
            assertThat(able("review", mine.toString(), "-o", target.toString())).isEqualTo(2);
        }
        assertThat(able("draw", mine.toString(), "-o", other.toString())).isEqualTo(2);
        for (Path kept : new Path[] {mine, other, renamed}) {
            assertThat(kept).hasSameBinaryContentAs(DEMO);
        }
        assertThat(able("sql", mine.toString(), "-o", folder.resolve("new.sql").toString()))
                .isZero();
    }

    @Test
    void sentences_replace_a_design_only_when_that_is_said() throws Exception {
        Path text = Files.writeString(folder.resolve("words.txt"), "Each hive has code: text 6 (key).\n");
        Path design = design("there.able.json");

        assertThat(able("words", "--from", text.toString(), "-o", design.toString()))
                .isEqualTo(2);
        assertThat(said()).contains("it is a design").contains("--replace");
        assertThat(design).hasSameBinaryContentAs(DEMO);
        assertThat(able("words", "--from", text.toString(), "-o", design.toString(), "--replace"))
                .isZero();
        assertThat(Files.readString(design)).contains("\"Hive\"").doesNotContain("Apiary");
    }

    @Test
    void a_hyphen_stands_for_standard_input_and_output_and_a_mark_before_the_text_does_no_harm() throws Exception {
        Path marked = folder.resolve("marked.able.json");
        Files.writeString(marked, "\uFEFF" + Files.readString(DEMO));
        assertThat(able("tables", marked.toString())).isZero();
        String tables = out.toString(StandardCharsets.UTF_8);

        InputStream before = System.in;
        try {
            System.setIn(new ByteArrayInputStream(Files.readAllBytes(DEMO)));
            assertThat(able("tables", "-", "-o", "-")).isZero();
        } finally {
            System.setIn(before);
        }
        assertThat(out.toString(StandardCharsets.UTF_8)).isEqualTo(tables).contains("hive");
        assertThat(Path.of("-")).doesNotExist();
    }

    @Test
    void an_output_that_is_full_is_an_error() throws Exception {
        try (var full = new PrintStream(new FileOutputStream("/dev/full"), false, StandardCharsets.UTF_8)) {
            int exit = Able.run(full, new PrintStream(err, true, StandardCharsets.UTF_8), "sql", DEMO.toString());
            assertThat(exit).isEqualTo(2);
            assertThat(said()).contains("cannot write standard output").hasLineCount(1);
        }
        assertThat(able("sql", DEMO.toString(), "-o", "/dev/full")).isEqualTo(2);
        assertThat(able("sql", DEMO.toString(), "-o", "/dev/null")).isZero();
        assertThat(Files.isRegularFile(Path.of("/dev/null"))).isFalse();
    }

    @Test
    void an_empty_name_a_folder_and_the_word_help_get_a_fitting_line() {
        assertThat(able("sql", "")).isEqualTo(2);
        assertThat(said()).contains("the name is empty");
        assertThat(able("sql", folder.toString())).isEqualTo(2);
        assertThat(said()).contains("it is a folder");
        assertThat(able("help")).isZero();
        assertThat(out.toString(StandardCharsets.UTF_8)).contains("Usage: able");
        assertThat(able("sql", DEMO.toString())).isZero();
        assertThat(out.toString(StandardCharsets.UTF_8))
                .as("for the dialect of the design")
                .contains("CREATE TABLE");
    }
}
