package ableschema.core.words;

import static org.assertj.core.api.Assertions.assertThat;
import static org.junit.jupiter.api.Assertions.assertTimeoutPreemptively;

import ableschema.core.design.Design;
import ableschema.core.design.IdSource;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Whole texts as people write them are read as meant, and nothing in them becomes something else. */
class SpokenTextsTest {

    private static final Map<String, DesignReader.Result> READ = new HashMap<>();

    /** What a text comes to, read once for all tests. */
    private static DesignReader.Result read(List<String[]> lines) {
        return READ.computeIfAbsent(
                String.join("\n", lines.stream().map(line -> line[0]).toList()), DesignReader::read);
    }

    /** Texts, each of lines with a sentence and how it is read. */
    static Stream<List<String[]>> texts() throws Exception {
        try (var in = Objects.requireNonNull(SpokenTextsTest.class.getResourceAsStream("/words/texts.tsv"))) {
            String all = new String(in.readAllBytes(), StandardCharsets.UTF_8);
            return Arrays.stream(all.split("\n\n"))
                    .map(block -> block.lines()
                            .filter(line -> !line.startsWith("#") && !line.isBlank())
                            .map(line -> line.split("\t"))
                            .toList())
                    .filter(block -> !block.isEmpty())
                    .toList()
                    .stream();
        }
    }

    @ParameterizedTest
    @MethodSource("texts")
    void a_text_is_read_as_meant(List<String[]> lines) {
        DesignReader.Result read = read(lines);
        var otherwise = new ArrayList<String>();
        for (int i = 0; i < lines.size(); i++) {
            String came = came(read, i + 1);
            if (!came.equals(lines.get(i)[1])) {
                otherwise.add(lines.get(i)[0] + " -> " + came + ", not " + lines.get(i)[1]);
            }
        }
        assertThat(otherwise).isEmpty();
    }

    /** A sentence that stands as it is tells nothing of what the grammar took it for. */
    @ParameterizedTest
    @MethodSource("texts")
    void no_piece_of_a_sentence_becomes_an_entity(List<String[]> lines) {
        var design = read(lines).document().design();

        assertThat(design.entities()).allSatisfy(entity -> assertThat(Nouns.isPlain(Nouns.inSentence(entity.name())))
                .as(entity.name())
                .isTrue());
    }

    private static String came(DesignReader.Result read, int line) {
        if (read.problems().stream().anyMatch(problem -> problem.line() == line)) {
            return "refuse";
        }
        return read.readings().stream()
                .filter(reading -> reading.line() == line)
                .findFirst()
                .map(reading -> (reading.others().isEmpty() ? "" : "ask: ") + String.join(" ", reading.sentences()))
                .orElse("=");
    }

    /** A sentence is taken apart at few places: at each of many it would take longer than anybody waits. */
    @ParameterizedTest
    @ValueSource(
            strings = {
                " and is b",
                " and a c",
                " is a",
                " by one b",
                " to a date from a date",
                " which is unique",
                "; each a has b",
                ", and it is unique within it",
                " (a, b)"
            })
    void a_sentence_that_does_not_end_is_answered(String piece) {
        List<String> beginnings = List.of("A b is", "Each a", "Bs are", "For each x", "If an a is deleted, its");
        for (String beginning : beginnings) {
            for (int times : beginning.equals(beginnings.get(0)) ? List.of(25, 150, 4_000) : List.of(25, 150)) {
                String sentence = beginning + piece.repeat(times) + ".";
                SpokenLine.Heard heard = assertTimeoutPreemptively(
                        Duration.ofSeconds(10),
                        () -> new SpokenLine(Design.EMPTY, Optional.empty(), IdSource.seeded(1)).read(sentence));
                assertThat(heard.understanding()).isNotNull();
            }
        }
    }

    @Test
    void what_is_read_is_said_again_and_means_the_same() throws Exception {
        for (List<String[]> lines : texts().toList()) {
            var design = read(lines).document().design();
            String said = DesignText.of(design).text();
            DesignReader.Result again = DesignReader.read(said, true);
            assertThat(again.problems()).as(said).isEmpty();
            assertThat(DesignText.of(again.document().design()).text()).isEqualTo(said);
        }
    }
}
