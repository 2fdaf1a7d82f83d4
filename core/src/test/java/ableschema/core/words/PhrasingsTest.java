package ableschema.core.words;

import static org.assertj.core.api.Assertions.assertThat;

import ableschema.core.design.Design;
import ableschema.core.design.IdSource;
import ableschema.core.document.Document;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Objects;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** Sentences as people say them are read as meant, asked about or refused, and not as something else. */
class PhrasingsTest {

    private static final List<String> NUMBERS = List.of(
            "zero", "one", "two", "three", "four", "five", "six", "seven", "eight", "nine", "ten", "eleven", "twelve");

    private final IdSource ids = IdSource.seeded(1);

    private SpokenLine.Heard heard(Design design, String text) {
        return new SpokenLine(design, Optional.empty(), ids).read(text);
    }

    private Design with(Design design, String sentence) {
        Understanding read = new RuleLine(design, Optional.empty(), ids).read(sentence);
        assertThat(read).as(sentence).isInstanceOf(Understanding.Understood.class);
        return ((Understanding.Understood) read)
                .edit()
                .applyTo(Document.EMPTY.with(design))
                .design();
    }

    private static List<String> lines() throws Exception {
        try (var in = Objects.requireNonNull(PhrasingsTest.class.getResourceAsStream("/words/phrasings.tsv"))) {
            return new String(in.readAllBytes(), StandardCharsets.UTF_8)
                    .lines()
                    .filter(line -> !line.startsWith("#"))
                    .toList();
        }
    }

    /** What a sentence came to, in the words of the file. */
    private String came(Design design, String text) {
        SpokenLine.Heard heard = heard(design, text);
        if (!heard.others().isEmpty()) {
            return "ask";
        }
        if (heard.understanding() instanceof Understanding.NotUnderstood) {
            return "refuse";
        }
        return heard.readAs().isEmpty() ? text : String.join(" | ", heard.readAs());
    }

    /** Numbers in figures, and without the difference of "A" and "Each" before "kind of", which mean the same. */
    private static String alike(String sentences) {
        String alike = sentences.toLowerCase(Locale.ROOT).replaceAll("^an? (?=.* is a kind of )", "each ");
        for (int i = 0; i < NUMBERS.size(); i++) {
            alike = alike.replaceAll("\\b" + NUMBERS.get(i) + "\\b", Integer.toString(i));
        }
        return alike.replaceAll("(?<=is of )1", "exactly 1");
    }

    @Test
    void sentences_as_people_say_them_are_read_as_meant_and_none_as_something_else() throws Exception {
        var otherwise = new ArrayList<String>();
        var missed = new ArrayList<String>();
        int all = 0;
        Design design = Design.EMPTY;
        for (String line : lines()) {
            if (line.equals("=")) {
                design = Design.EMPTY;
            } else if (line.startsWith("+ ")) {
                design = with(design, line.substring(2));
            } else {
                all++;
                String[] parts = line.split("\t");
                String came = came(design, parts[0]);
                if (!alike(came).equals(alike(parts[1]))) {
                    boolean cautious = came.equals("ask") || came.equals("refuse");
                    (cautious ? missed : otherwise).add(parts[0] + " -> " + came + ", not " + parts[1]);
                }
            }
        }
        assertThat(all).isGreaterThanOrEqualTo(85);
        assertThat(otherwise).as("read as something else").isEmpty();
        assertThat(missed).as("refused or asked about").hasSizeLessThan(all * 15 / 100);
    }

    @Test
    void what_is_heard_is_done_in_one_step_and_a_slip_is_pointed_at() {
        Design known = with(Design.EMPTY, "Each artwork has number (key).");
        SpokenLine.Heard two = heard(known, "An artwork is either a painting or a print.");
        Design made = ((Understanding.Understood) two.understanding())
                .edit()
                .applyTo(Document.EMPTY.with(known))
                .design();
        assertThat(made.entities()).hasSize(3);
        assertThat(made.relationships()).hasSize(2).allMatch(each -> each.isSubtype());

        SpokenLine.Heard slip = heard(known, "Each artwork hangs in excatly one room.");
        assertThat(slip.understanding())
                .isEqualTo(new Understanding.NotUnderstood(22, 29, "\"excatly\", did you mean \"exactly\"?"));
        assertThat(((Understanding.NotUnderstood)
                                heard(known, "An artwrok is shown in a room.").understanding())
                        .problem())
                .contains("did you mean \"Artwork\"?");
    }

    @Test
    void the_table_in_the_manual_is_true() throws Exception {
        Design design = with(Design.EMPTY, "Each turbine has model, hub height, rated power.");
        List<String> rows = Files.readAllLines(Path.of("../docs/words.md")).stream()
                .filter(line -> line.startsWith("| ") && !line.startsWith("| say "))
                .toList();
        assertThat(rows).hasSizeGreaterThan(15);
        for (String row : rows) {
            String[] cells = row.split(" *\\| *");
            Phrasing read = new Phrasings(design).of(cells[1]);
            assertThat(read).as(row).isInstanceOf(Phrasing.ReadAs.class);
            assertThat(String.join(" ", ((Phrasing.ReadAs) read).sentences())).isEqualTo(cells[2]);
        }
    }

    @Test
    void a_text_is_read_as_it_is_said_and_every_reading_is_told() {
        String text =
                "Harbours have a name.\nA vessel may visit several harbours. Each vessel has name: text 40 (key).\n"
                        + "Sailors join crews.\n";
        DesignReader.Result read = DesignReader.read(text);

        assertThat(read.problems()).isEmpty();
        assertThat(read.readings())
                .extracting(Object::toString)
                .containsExactly(
                        "line 1: read as Each harbour has name.",
                        "line 2: read as Each vessel visits any number of harbours.",
                        "line 3: read as Each sailor joins any number of crews. It could also mean: Each sailor joins exactly one crew.");
        assertThat(read.document().design().entities()).hasSize(4);
        assertThat(DesignReader.read(text, true).problems()).hasSize(3);
    }
}
