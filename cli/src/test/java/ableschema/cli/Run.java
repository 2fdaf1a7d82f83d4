package ableschema.cli;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.io.ByteArrayOutputStream;
import java.io.PrintStream;
import java.nio.charset.StandardCharsets;

/** One command line that was carried out: its exit code, and what it printed. */
record Run(int exit, String out, String err) {

    JsonNode json() throws Exception {
        return new ObjectMapper().readTree(out);
    }

    static Run able(String... arguments) {
        var out = new ByteArrayOutputStream();
        var err = new ByteArrayOutputStream();
        int exit = Able.run(
                new PrintStream(out, true, StandardCharsets.UTF_8),
                new PrintStream(err, true, StandardCharsets.UTF_8),
                arguments);
        return new Run(exit, out.toString(StandardCharsets.UTF_8), err.toString(StandardCharsets.UTF_8));
    }

    /** Wrong use and unreadable input: exit code 2, nothing on standard output, one line that says all of these. */
    static void refused(Run run, String... said) {
        assertThat(run.exit()).as(run.err()).isEqualTo(2);
        assertThat(run.out()).isEmpty();
        assertThat(run.err().lines()).hasSize(1);
        assertThat(run.err()).contains(said).doesNotContain("Exception").doesNotContain("\tat ");
    }
}
