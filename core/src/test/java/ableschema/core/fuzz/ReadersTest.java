package ableschema.core.fuzz;

import static org.assertj.core.api.Assertions.assertThat;

import ableschema.core.document.Document;
import ableschema.core.mapping.Mapping;
import ableschema.core.review.Review;
import ableschema.core.review.Subject;
import ableschema.core.rows.DesignScript;
import ableschema.core.rows.RowTable;
import ableschema.core.sql.dialect.Dialect;
import ableschema.core.sql.dialect.Dialects;
import ableschema.core.store.DocumentFile;
import ableschema.core.theory.Normalizer;
import ableschema.core.theory.RelationText;
import ableschema.core.words.DesignReader;
import ableschema.core.words.DesignText;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.io.IOException;
import java.io.PrintWriter;
import java.io.StringWriter;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

/** Readers are given what was good and is so no more: each takes it, or refuses it as it says it does, and soon. */
class ReadersTest {

    /** More of each, for a night: -Dable.fuzz=20. */
    private static final int TIMES = Integer.getInteger("able.fuzz", 1);

    private static final Duration LONGEST = Duration.ofSeconds(2);

    private interface Reading {
        void of(String text) throws Exception;
    }

    /** @param declared what the reader throws where it refuses */
    private static void read(int count, List<String> inputs, Reading reading, Class<? extends Exception> declared) {
        for (String input : inputs) {
            long start = Worked.nanos();
            try {
                reading.of(input);
            } catch (Exception | StackOverflowError e) {
                if (!declared.isInstance(e)) {
                    throw new AssertionError(trace(e) + "\nby reading\n" + input, e);
                }
                assertThat(e.getMessage()).as(input).isNotBlank();
            }
            assertThat(Worked.nanos() - start).as(input).isLessThan(LONGEST.toNanos());
        }
        assertThat(inputs).hasSize(count);
    }

    private static String trace(Throwable e) {
        var text = new StringWriter();
        e.printStackTrace(new PrintWriter(text));
        return text.toString();
    }

    private static List<String> mangled(long seed, int count, List<String> good) {
        var mangled = new Mangled(seed);
        return Stream.generate(() -> mangled.text(mangled.one(good)))
                .limit(count)
                .toList();
    }

    @Test
    void words_are_understood_or_refused() throws Exception {
        List<String> good = Stream.of(
                        Files.readAllLines(Path.of("src/test/resources/words/phrasings.tsv")),
                        Files.readAllLines(Path.of("src/test/resources/designs/inherited.txt")),
                        Files.readAllLines(Path.of("../docs/words.md")))
                .flatMap(List::stream)
                .filter(line -> !line.isBlank())
                .toList();
        var mangled = new Mangled(1);
        int count = 700 * TIMES;
        List<String> texts = Stream.generate(() -> String.join(
                        "\n",
                        Stream.generate(() -> mangled.text(mangled.one(good)))
                                .limit(3)
                                .toList()))
                .limit(count)
                .toList();
        read(
                count,
                texts,
                text -> {
                    DesignReader.Result result = DesignReader.read(text);
                    result.problems()
                            .forEach(problem -> assertThat(problem.text()).doesNotContain("\n"));
                    if (text.hashCode() % 10 == 0) {
                        used(result.document());
                    }
                },
                NoException.class);
    }

    @Test
    void designs_are_read_or_refused_and_what_was_read_can_be_used() throws Exception {
        List<JsonNode> good = Stream.of(
                        "src/test/resources/designs/every-feature.able.json", "../demo/field-log.able.json")
                .map(ReadersTest::tree)
                .toList();
        var mangled = new Mangled(2);
        int count = 2_500 * TIMES;
        List<String> texts = Stream.generate(() -> mangled.tree(mangled.one(good)))
                .limit(count)
                .toList();
        read(
                count,
                texts,
                text -> taken(text).filter(read -> text.hashCode() % 10 == 0).ifPresent(ReadersTest::used),
                NoException.class);
        List<String> broken =
                mangled(3, 6_000 * TIMES, good.stream().map(JsonNode::toString).toList());
        read(broken.size(), broken, DocumentFile::parse, IllegalArgumentException.class);
    }

    private static Optional<Document> taken(String text) {
        try {
            return Optional.of(DocumentFile.parse(text));
        } catch (IllegalArgumentException refused) {
            return Optional.empty();
        }
    }

    private static JsonNode tree(String file) {
        try {
            return new ObjectMapper().readTree(Path.of(file).toFile());
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** Whatever was read is good enough for everything else. */
    private static void used(Document document) {
        Mapping mapping = document.mapping();
        Review.of(Subject.of(document, mapping));
        Dialect dialect = Dialects.ALL.get(Math.floorMod(document.hashCode(), Dialects.ALL.size()));
        DesignScript.withRows(mapping, dialect);
        DesignText.of(document.design());
        String printed = DocumentFile.print(document);
        Document again = DocumentFile.parse(printed);
        assertThat(DocumentFile.print(again)).isEqualTo(printed);
        assertThat(again).as(printed).isEqualTo(document);
    }

    @Test
    void relations_are_worked_out_or_refused() {
        List<String> good = List.of(
                "R(A, B, C, D)\nA, B -> C\nA ->> C\n",
                "# stays\nStay (vessel, berth, from, to)\nvessel, from -> berth, to\n -> to\n",
                "R(A)\n");
        read(
                44_000 * TIMES,
                mangled(4, 44_000 * TIMES, good),
                text -> Normalizer.analyse(RelationText.read(text)),
                RelationText.SyntaxProblem.class);
    }

    @Test
    void cells_are_read_or_refused() {
        List<String> good = List.of(
                "code,name\n1,\"North, \"\"old\"\" quay\"\n2,East\n", "a;b\n1;2\n", "x\ty\n\"two\nlines\"\t3\n");
        read(
                48_000 * TIMES,
                mangled(5, 48_000 * TIMES, good),
                text -> RowTable.records(text, text.contains("\t")),
                IllegalArgumentException.class);
    }

    /** Where a reader declares to throw nothing. */
    private static final class NoException extends Exception {
        private static final long serialVersionUID = 1L;
    }
}
