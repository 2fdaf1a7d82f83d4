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
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

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
        assertThat(missed) // a slip of the pen
                .extracting(each -> each.substring(0, each.indexOf(" -> ")))
                .containsExactly("An exhibtion contains one or more artworks");
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
    void a_line_of_several_sentences_is_one_step_and_a_fault_stands_at_its_place() {
        SpokenLine.Heard heard =
                heard(Design.EMPTY, "A ward has beds. Each bed is in one ward. Nurses look after other nurses.");
        Design made = ((Understanding.Understood) heard.understanding())
                .edit()
                .applyTo(Document.EMPTY)
                .design();

        assertThat(made.entities()).extracting(each -> each.name()).containsExactlyInAnyOrder("Ward", "Bed", "Nurse");
        assertThat(heard.readAs())
                .containsExactly(
                        "Each ward has any number of beds.",
                        "Each ward has any number of beds; each bed is in exactly one ward.",
                        "Each nurse looks after any number of nurses.");
        assertThat(heard.others()).singleElement().asString().endsWith("Each nurse looks after exactly one nurse.");

        SpokenLine.Heard slip = heard(Design.EMPTY, "A ward has beds. Each bed is in excatly one ward.");
        assertThat(slip.understanding())
                .isEqualTo(new Understanding.NotUnderstood(32, 39, "\"excatly\", did you mean \"exactly\"?"));
        assertThat(slip.readAs()).isEmpty();
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            textBlock =
                    """
            A visit may have a severity from 1 to 5.                    | Each visit has [severity] (between 1 and 5).
            A visit has a name and possibly a code of 6 letters.        | Each visit has name, [code]: text 6.
            A source has a name and a connection string.                | Each source has name, connection string.
            A source has a port int, a path varchar(80) and a cash float. | Each source has port: whole, path: text 80, cash float.
            A bag has an optional kind (soft, hard).                    | Each bag has [kind] (one of soft, hard).
            A bag has a tag which is optional, and a seal that must be unique. | Each bag has [tag], seal (unique).
            A grant has a limit of at most 500.                         | Each grant has limit (at most 500).
            The budget of a grant is at most 2 million.                 | Each grant has budget (at most 2000000).
            The budget of a grant is between 1,000 and 25,000.          | Each grant has budget (between 1000 and 25000).
            The rate of a grant must be at least 0,125.                 | Each grant has rate (at least 0.125).
            """)
    void what_is_said_with_an_attribute_goes_with_it(String said, String kept) {
        SpokenLine.Heard heard = heard(Design.EMPTY, said);

        assertThat(heard.readAs()).containsExactly(kept);
        assertThat(heard.understanding()).isInstanceOf(Understanding.Understood.class);
    }

    /** Each open part would double the readings: a pasted page of them must not. */
    @ParameterizedTest
    @ValueSource(strings = {"Bs own cs. ", "Bs are in ds and are in cs and are in es. "})
    void of_many_open_parts_a_few_readings_are_offered_and_the_likeliest_first(String open) {
        SpokenLine.Heard heard = heard(Design.EMPTY, open.repeat(30).strip());

        assertThat(heard.others()).hasSizeBetween(1, 8);
        assertThat(heard.readAs()).allMatch(sentence -> !sentence.contains("exactly one"));
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            textBlock =
                    """
            A pallet holds at most 900 kg.        | Each pallet has size in kg
            A shift lasts four hours.             | Each shift has size in hours
            A seal code is 8 characters.          | whose seal code is so long?
            A fee must be a positive number.      | whose fee?
            A bill must be paid within 30 days.   | a measure is no entity
            A vet handles at most 12 visits a day. | how often it happens
            """)
    void a_measure_or_how_often_is_no_entity(String said, String problem) {
        assertThat(((Understanding.NotUnderstood) heard(Design.EMPTY, said).understanding()).problem())
                .contains(problem);
    }

    @Test
    void a_piece_of_what_is_known_is_that_unless_something_is_called_so() {
        Design equipment = with(Design.EMPTY, "Each equipment has number.");
        assertThat(heard(equipment, "Every piece of equipment has a colour.").readAs())
                .containsExactly("Each equipment has colour.");
        Design named = with(equipment, "\"Piece of equipment\" is a thing.");
        assertThat(heard(named, "Every piece of equipment has a colour.").readAs())
                .containsExactly("Each piece of equipment has colour.");
    }

    @Test
    void a_sentence_of_which_a_word_would_be_lost_is_refused() {
        assertThat(SwallowedWords.in(
                        "Shelves carry carafes, glasses and dishes.",
                        List.of("Each shelf carries any number of glasses."),
                        Nouns.of(Design.EMPTY)))
                .hasValue("carafes");
        assertThat(SwallowedWords.in(
                        "The guests of a table must always be served by one waiter.",
                        List.of("Each guest is served by exactly one waiter."),
                        Nouns.of(with(Design.EMPTY, "Each table has number."))))
                .isEmpty();
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            textBlock =
                    """
            A hire's always for one guest.            | Each hire is for exactly one guest.
            A costume's got a code and a size.        | Each costume has code, size.
            They've got rooms.                        | refused
            A slab's weight is at most 300 kg.        | Each slab has weight in kg (at most 300).
            Fabric decides how a piece gets cleaned.  | refused
            Each load weighs at most 40 kg.           | Each load has weight in kg (at most 40).
            A wine is kept in barrels or tanks.       | refused
            """)
    void speech_is_spelt_out_and_its_pieces_are_no_names(String said, String readAs) {
        SpokenLine.Heard heard = heard(Design.EMPTY, said);
        boolean refused = heard.understanding() instanceof Understanding.NotUnderstood;
        assertThat(refused ? "refused" : String.join(" ", heard.readAs())).isEqualTo(readAs);
    }

    @Test
    void a_name_that_is_a_piece_of_the_sentence_is_refused_unless_it_stands_between_quotes() {
        Design design = with(Design.EMPTY, "Each damage has date.");
        String piece = "Damages are reported by customers or mechanics.";
        assertThat(((Understanding.NotUnderstood) heard(design, piece).understanding()).problem())
                .contains("\"reported by customers\" is a piece of a sentence");
        assertThat(heard(design, "A customer has a \"name or number\" and a phone.")
                        .understanding())
                .isInstanceOf(Understanding.Understood.class);
        assertThat(heard(design, "A customer has a name once known and a phone.")
                        .understanding())
                .isInstanceOf(Understanding.NotUnderstood.class);
    }

    @Test
    void an_option_between_the_clauses_is_said_behind_them() {
        Design design = with(Design.EMPTY, "Each hive has code.");
        SpokenLine.Heard heard = heard(
                design,
                "Each hive stands in exactly one apiary (on delete cascade); each apiary shelters any number of hives.");

        assertThat(heard.readAs())
                .containsExactly(
                        "Each hive stands in exactly one apiary; each apiary shelters any number of hives (on delete cascade).");
        assertThat(heard.understanding()).isInstanceOf(Understanding.Understood.class);
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
    void what_a_key_speaks_of_is_made_only_where_no_other_sentence_makes_it() {
        Design later = DesignReader.read(
                        """
                        Seats are numbered within their row.
                        A seat stands in one row.
                        Rows have a letter.
                        """)
                .document()
                .design();
        assertThat(later.relationships()).hasSize(1);
        assertThat(later.relationships().get(0).first().verb()).isEqualTo("stands in");
        assertThat(later.entity("Seat").orElseThrow().body().key()).hasSize(2);

        Design never = DesignReader.read("Seats are numbered within their row. Rows have a letter.")
                .document()
                .design();
        assertThat(never.relationships()).hasSize(1);
        assertThat(never.entity("Seat").orElseThrow().body().key()).hasSize(2);

        DesignReader.Result slip =
                DesignReader.read("Wagons have a number and a type. Wagons are identified by their nubmer.");
        assertThat(slip.problems()).hasSize(1);
        assertThat(slip.document().design().entity("Wagon").orElseThrow().body().attributes())
                .hasSize(2);
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

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            quoteCharacter = '~',
            textBlock =
                    """
            Buses are identified by their fleet number               | Each bus is identified by its fleet number.
            The key of a bus is its fleet number                     | Each bus is identified by its fleet number.
            The primary key of a bus is the line and number          | Each bus is identified by its line and number.
            A fleet number uniquely identifies a bus                 | Each bus is identified by its fleet number.
            Line, date and number identify a trip                    | Each trip is identified by its line, date and number.
            Trips are numbered within the line                       | Each trip is identified by its line and number.
            A bus number is unique per depot                         | Each bus is identified by its depot and number.
            No two buses have the same plate                         | No two buses share their plate.
            No two trips may share the same line and date            | No two trips share their line and date.
            The combination of line and date must be unique          | refuse: of which entity? Say: No two … share their line and date.
            Every bus must have a unique plate                       | Each bus has plate (unique).
            The plate of a bus must be unique                        | Each bus has plate (unique).
            The bus's plate is unique                                | Each bus has plate (unique).
            A bus is either a coach or a tram                        | Each coach is a kind of bus. Each tram is a kind of bus.
            There are two kinds of buses: electric and diesel        | Each electric bus is a kind of bus. Each diesel bus is a kind of bus.
            There are two types of buses: coaches and trams          | Each coach is a kind of bus. Each tram is a kind of bus.
            A coach is a special kind of bus                         | Each coach is a kind of bus.
            Coaches and trams are buses                              | Each coach is a kind of bus. Each tram is a kind of bus.
            A stop is a place where buses halt                       | Stop is an entity: A place where buses halt.
            A bus can be electric or diesel                          | ask
            The colour of a bus is optional                          | Each bus has [colour].
            The plate of a bus may be unknown                        | Each bus has [plate].
            By default, the colour of a bus is red                   | Each bus has colour (default red).
            The colour of a bus is 'dark red' by default             | Each bus has colour (default dark red).
            The colour of a bus defaults to "a new uuid"             | Each bus has colour (default "a new uuid").
            The seats of a bus must be between 1 and 90              | Each bus has seats (between 1 and 90).
            The price of a ticket is from 0,5 to 20                  | Each ticket has price (between 0.5 and 20).
            The seats of a bus must be no more than 90               | Each bus has seats (at most 90).
            The seats of a bus are not more than 90                  | Each bus has seats (at most 90).
            The seats of a bus must be no less than 9                | Each bus has seats (at least 9).
            The seats of a bus must be more than 9                   | Each bus has seats (greater than 9).
            The seats of a bus must be less than 99                  | Each bus has seats (less than 99).
            The seats of a bus must exceed 2 thousand                | Each bus has seats (greater than 2000).
            The seats of a bus must not exceed 2 thousand            | Each bus has seats (at most 2000).
            The price of a ticket cannot be negative                 | Each ticket has price (at least 0).
            The price of a ticket is never negative                  | Each ticket has price (at least 0).
            The price of a ticket must be positive                   | Each ticket has price (greater than 0).
            Cost must be positive                                    | refuse: whose cost? Say: the cost of a …, and then what holds for it
            The colour must be unique                                | Each bus has colour (unique).
            Colour determines paint code                             | Bus: colour -> paint code
            Make determines model                                    | refuse: in which entity? Say for example: Station: Make -> model
            Paint code depends on colour                             | refuse: which columns decide which? Say for example: Artist: name -> nationality
            A ferry sails from one port to another port              | refuse: two rules stand here. Say: Each ferry starts at exactly one port. And: Each ferry ends at exactly one port.
            """)
    void a_fact_is_read_as_the_one_sentence_that_it_means(String said, String meant) {
        Design design = with(
                with(
                        with(Design.EMPTY, "Each bus has colour, paint code, seats: whole, plate."),
                        "Each ticket has price."),
                "Depot is a place.");
        Phrasing read = new Phrasings(design).of(said);
        String came = read instanceof Phrasing.ReadAs one
                ? String.join(" ", one.sentences())
                : read instanceof Phrasing.Refused refused ? "refuse: " + refused.problem() : "ask";

        assertThat(came).isEqualTo(meant);
    }

    /** Found by random texts: what ends where more was to come is refused, and never a crash. */
    @ParameterizedTest
    @ValueSource(strings = {"A hive can ", "Hives must ", "The hive may"})
    void what_ends_too_early_is_refused(String text) {
        assertThat(DesignReader.read("Each hive has no: whole (key).\n" + text).problems())
                .isNotEmpty();
    }
}
