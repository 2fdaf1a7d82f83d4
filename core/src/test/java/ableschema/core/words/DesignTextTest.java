package ableschema.core.words;

import static ableschema.core.DesignFixture.design;
import static org.assertj.core.api.Assertions.assertThat;

import ableschema.core.DesignFixture;
import ableschema.core.ddl.SqlRead;
import ableschema.core.ddl.SqlReader;
import ableschema.core.design.Design;
import ableschema.core.design.Domain;
import ableschema.core.design.Entity;
import ableschema.core.design.IdSource;
import ableschema.core.design.Index;
import ableschema.core.design.KeyQuestion;
import ableschema.core.design.Relationship;
import ableschema.core.design.SubtypeLayout;
import ableschema.core.design.Topic;
import ableschema.core.document.Document;
import ableschema.core.document.HouseRules;
import ableschema.core.edit.ChangeNotes;
import ableschema.core.edit.Edits;
import ableschema.core.reverse.Reverse;
import ableschema.core.sql.dialect.Dialects;
import ableschema.core.store.DocumentFile;
import ableschema.core.types.DataType;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.LongRange;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What is said of a design gives the design again. */
class DesignTextTest {

    @Property(tries = 400)
    void a_design_said_and_read_means_the_same(@ForAll @LongRange(min = 0, max = 1_000_000) long seed) {
        Design design = AnyWords.of(seed);
        DesignText text = DesignText.of(design);
        DesignReader.Result read = DesignReader.read(text.text());

        assertThat(read.problems()).as(text.text()).isEmpty();
        if (text.notSaid().isEmpty()) {
            assertThat(read.document().design().sameMeaning(design))
                    .as(text.text())
                    .isEmpty();
        }
    }

    @Property(tries = 100)
    void what_is_said_of_one_thing_is_what_the_whole_says_of_it(
            @ForAll @LongRange(min = 0, max = 1_000_000) long seed) {
        Design design = AnyWords.of(seed);
        List<Sentence> whole = DesignText.of(design).sentences();
        Stream.concat(
                        design.entities().stream().map(Entity::id),
                        design.relationships().stream().map(Relationship::id))
                .forEach(owner -> assertThat(DesignText.about(design, owner))
                        .containsExactlyElementsOf(whole.stream()
                                .filter(said -> said.about().equals(owner))
                                .toList()));
    }

    @Test
    void most_designs_are_said_without_omission() {
        long whole = 0;
        for (long seed = 0; seed < 200; seed++) {
            whole += DesignText.of(AnyWords.of(seed)).notSaid().isEmpty() ? 1 : 0;
            if (seed < 60) { // the same in every run, so that a change that no law notices can be found
                a_design_said_and_read_means_the_same(seed);
                what_is_said_of_one_thing_is_what_the_whole_says_of_it(seed);
            }
        }
        assertThat(whole).isGreaterThan(120);
        a_design_said_and_read_means_the_same(5405); // two rules of the same words, of which the second has a pairing
    }

    @Test
    void the_demo_is_said_but_for_its_rows_and_indexes() throws Exception {
        Design demo =
                DocumentFile.read(Path.of("../demo/alder-valley.able.json")).design();
        DesignText text = DesignText.of(demo);

        assertThat(text.text()).contains("\nEach hive is identified by its apiary and stand no.\n");
        assertThat(text.omissions().orElseThrow()).matches("not said in words: .*\\d+ rows.*");
        assertThat(text.notSaid().keySet())
                .isSubsetOf("row", "index", "question", "purpose", "told text", "reason", "judgement", "answer");
    }

    /** The type is said all the same, and saying it anew takes nothing away. */
    @Test
    void a_domain_whose_rule_has_no_words_is_said_without_it() {
        SqlRead read = SqlReader.read(
                "create domain depth as int default 3 check (value is null or value % 7 = 3);"
                        + " create table berth (id int primary key, part depth);",
                Dialects.POSTGRESQL);
        Document document = Reverse.of(read, "berths").document();
        Design design = document.design();
        DesignText text = DesignText.of(design);

        assertThat(text.text()).contains("The domain depth holds whole (default 3).");
        assertThat(text.omissions().orElseThrow()).contains("1 domain rule");
        assertThat(DesignReader.read(text.text(), true).problems()).isEmpty();
        Design again = DesignFixture.of(document)
                .with("The domain depth holds whole (default 4).")
                .design();
        assertThat(again.domains().get(0).check())
                .isEqualTo(design.domains().get(0).check());
        assertThat(again.domains().get(0).defaultValue().toString()).contains("4");
    }

    @Test
    void a_domain_that_got_another_type_says_no_values_that_it_has_not() {
        DesignFixture worded = design(
                "The domain amount holds text 30.",
                "Each jar has no: whole (key), honey: domain amount (default plenty; one of plenty, little).");
        Domain amount = worded.design().domains().get(0);
        DesignText text = DesignText.of(worded.design().withDomains(List.of(amount.withBase(new DataType.Whole(0)))));

        assertThat(text.text()).contains("honey: domain amount.");
        assertThat(text.omissions().orElseThrow()).contains("1 default", "1 rule");
        assertThat(DesignReader.read(text.text(), true).problems()).isEmpty();
    }

    @Test
    void a_name_that_else_points_at_something_is_read_back_between_quotes() {
        String said = "\"It\" is an entity.\n\"There\" is a place.\n\"Everything\" is an entity.";
        Design design = DesignReader.read(said).document().design();

        assertThat(design.entities()).extracting(Entity::name).containsExactly("It", "There", "Everything");
        assertThat(DesignText.of(design).text()).contains(said);
        assertThat(DesignReader.read("It is a place.").problems()).hasSize(1);
    }

    @Test
    void what_stands_beside_the_design_is_counted_too() throws Exception {
        Document worked = DocumentFile.read(Path.of("../demo/alder-valley.able.json"));
        Document told = worked.with(worked.design()
                        .with(worked.design()
                                .notes()
                                .with(worked.design().notes().brief().withTold("It was cold."))))
                .with(worked.rules().withReasonsInSql(!worked.rules().reasonsInSql()));

        assertThat(DesignText.of(told).omissions().orElseThrow())
                .contains("1 title")
                .contains("1 told text")
                .contains("11 places of a card")
                .contains("house rule");
        assertThat(DesignText.of(Document.EMPTY).omissions()).isEmpty();
    }

    @Test
    void the_grammars_examples_are_understood() throws Exception {
        String page = Files.readString(Path.of("../docs/words.md"));
        var text = new StringBuilder();
        var block = Pattern.compile("```able\n(.*?)```", Pattern.DOTALL).matcher(page);
        while (block.find()) {
            text.append(block.group(1));
        }
        DesignReader.Result read = DesignReader.read(text.toString());

        assertThat(text).isNotEmpty();
        assertThat(read.problems()).isEmpty();
    }

    @Test
    void what_is_not_understood_is_named_by_line_and_column() {
        DesignReader.Result read =
                DesignReader.read("# Bees\nHive is a thing.\n\nEach hive stands in exctly one apiary.");

        assertThat(read.problems()).hasSize(1);
        assertThat(read.problems().get(0).toString())
                .isEqualTo("line 4, column 21: \"exctly\", did you mean \"exactly\"?");
        assertThat(read.document().design().entity("Hive")).isPresent();
    }

    @Test
    void a_sentence_may_speak_of_what_a_later_one_makes() {
        List<String> sentences = List.of(
                "Each terminal is identified by its harbour and number.",
                "Each terminal lies in exactly one harbour; each harbour has any number of terminals.",
                "Each terminal has number: whole, length: decimal 6,2.",
                "Each harbour has code: text 5 (key).");
        Design inOrder =
                DesignReader.read(String.join("\n", sentences)).document().design();
        DesignReader.Result onOneLine = DesignReader.read(String.join(" ", sentences));

        assertThat(onOneLine.problems()).isEmpty();
        assertThat(new Sentences(inOrder).key(inOrder.entity("Terminal").orElseThrow()))
                .isEqualTo("Each terminal is identified by its harbour and number.");
        assertThat(DesignText.of(onOneLine.document().design()).text())
                .isEqualTo(DesignText.of(inOrder).text());
        assertThat(DesignReader.read("Each berth is identified by its quay.\nEach quay is identified by its berth.")
                        .problems())
                .extracting(DesignReader.Problem::line)
                .containsExactly(1, 2);
    }

    @Test
    void several_sentences_may_stand_on_one_line_but_a_definition_runs_to_its_end() {
        DesignReader.Result read = DesignReader.read(
                "Each hive has code (key). Each hive stands in exactly one apiary.\nApiary is a place: A spot. Each has room.");

        assertThat(read.problems()).isEmpty();
        assertThat(read.document().design().relationships()).hasSize(1);
        assertThat(read.document().design().entity("Apiary").orElseThrow().definition())
                .isEqualTo("A spot. Each has room.");
    }

    @Test
    void the_same_text_gives_the_same_file_and_a_changed_line_leaves_the_other_ids() {
        String text = "Hive is a thing.\nEach hive has code: text 6 (key), colour.\nQueen is a thing.\n";
        String once = DocumentFile.print(DesignReader.read(text).document());
        String changed = DocumentFile.print(DesignReader.read(text.replace("Hive is a thing", "Hive is a place"))
                .document());

        assertThat(DocumentFile.print(DesignReader.read(text).document())).isEqualTo(once);
        assertThat(changed.lines().filter(line -> !once.contains(line)).count()).isEqualTo(2);
    }

    @Test
    void a_kind_shares_the_key_of_what_it_is_a_kind_of() {
        DesignFixture made = design(
                "Each hive has code: text 6 (key).",
                "Each nuc has no of frames: whole.",
                "A nuc is a kind of hive (in one table).");

        assertThat(made.design().relationships().get(0).subtype()).isEqualTo(SubtypeLayout.ONE_TABLE);
        assertThat(new Sentences(made.design()).key(made.entity("Nuc")))
                .isEqualTo("Each nuc is identified by its hive.");
    }

    @Test
    void a_plural_that_was_taught_is_understood() {
        DesignFixture made = design("The plural of varroa mite is mites.", "Varroa mite is a thing.")
                .with("Each hive suffers any number of mites; each varroa mite sits in exactly one hive.");

        assertThat(made.design().entities()).hasSize(2);
        assertThat(new Sentences(made.design()).of(made.design().relationships().get(0)))
                .contains("any number of mites");
    }

    @Test
    void every_sort_of_thing_without_words_is_counted() {
        DesignFixture made = design(
                        "Each hive has code: text 5 (key), colour: text 9, ring: text 8.",
                        "Each apiary has no: whole (key).",
                        "Each hive stands in exactly one apiary; each apiary shelters any number of hives.")
                .filled("Hive", "code,colour\nA,white\nB,sage\n")
                .with(f -> new Edits(f.design(), f.ids())
                        .setOften(f.attribute("Hive", "colour"), Index.Purpose.SEARCHED, true));
        Document counted = made.with(f -> new ChangeNotes(
                        f.design()
                                .notes()
                                .withAnswer(f.entity("Hive").id(), KeyQuestion.SEVERAL_PLACES, Optional.of(true))
                                .withReason(Topic.of(f.entity("Hive").id()), "so"),
                        "note"))
                .document()
                .withTitle("Hives");
        HouseRules rules =
                HouseRules.USUAL.withDialect("mysql").withReasonsInSql(true).withChoice("sqlite.types", "strict");

        assertThat(DesignText.of(counted.with(rules)).notSaid())
                .containsExactlyInAnyOrderEntriesOf(Map.of("title", 1, "house rule", 3, "row", 2, "reason", 1));
        assertThat(DesignText.of(made.document()).text())
                .isEqualTo(
                        """
                        # What there is
                        Hive is an entity.
                        Apiary is an entity.

                        # What is known of each
                        Each hive has code: text 5 (key), colour: text 9, ring: text 8.
                        Each apiary has "no": whole (key).

                        # How they are related
                        Each hive stands in exactly one apiary; each apiary shelters any number of hives.

                        # What they are searched by
                        Each hive is often searched by its colour.
                        """);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            textBlock =
                    """
            code -> colour             | choose the entity first whose attributes decide each other
            Nuc: code -> colour        | there is no entity called Nuc yet
            Hive: code -> queen        | 'queen' is no attribute of Hive
            """)
    void a_dependency_without_its_entity_is_refused(String line, String problem) {
        Design hive = design("Each hive has code: text 5, colour: text 9.").design();

        assertThat(new RuleLine(hive, Optional.empty(), IdSource.seeded(1)).read(line))
                .isInstanceOfSatisfying(Understanding.NotUnderstood.class, refused -> assertThat(refused.problem())
                        .isEqualTo(problem));
    }
}
