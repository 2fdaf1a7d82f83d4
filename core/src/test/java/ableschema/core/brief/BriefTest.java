package ableschema.core.brief;

import static ableschema.core.DesignFixture.design;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import ableschema.core.DesignFixture;
import ableschema.core.design.Design;
import ableschema.core.design.EntityKind;
import ableschema.core.design.Id;
import ableschema.core.design.IdSource;
import ableschema.core.design.Question;
import ableschema.core.document.Document;
import ableschema.core.finding.Finding;
import ableschema.core.sql.dialect.Dialects;
import ableschema.core.store.DocumentFile;
import java.nio.file.Path;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class BriefTest {

    private static final Id ANY = Id.parse("q:000001");

    private static Document demo() throws Exception {
        return DocumentFile.read(Path.of("../demo/alder-valley.able.json"));
    }

    private static Answer answer(Document document, String... attributes) {
        List<Id> ids = Stream.of(attributes)
                .map(each -> each.split("\\."))
                .map(each -> document.design()
                        .entity(each[0])
                        .orElseThrow()
                        .body()
                        .attribute(each[1])
                        .orElseThrow()
                        .id())
                .toList();
        return Answer.of(new Question(ANY, "?", ids), document.mapping(), Dialects.POSTGRESQL);
    }

    @Test
    void a_question_without_attributes_is_open() throws Exception {
        assertThat(answer(demo()).isOpen()).isTrue();
    }

    @Test
    void tables_are_joined_through_junctions_and_by_all_columns_of_composite_keys() throws Exception {
        Answer answer = answer(demo(), "Keeper.known as", "Treatment.name", "Hive.colour");

        assertThat(answer.isJoined()).isTrue();
        assertThat(answer.select())
                .isEqualTo(
                        """
                SELECT keeper.known_as, treatment.name, hive.colour
                FROM keeper
                LEFT JOIN inspection ON inspection.keeper_no = keeper.keeper_no
                LEFT JOIN hive ON inspection.hive_apiary_code = hive.apiary_code AND inspection.hive_stand_no = hive.stand_no
                LEFT JOIN application ON application.inspection_id = inspection.id
                LEFT JOIN treatment ON application.treatment_name = treatment.name;""");
        assertThat(answer(demo(), "Inspection.strength", "Keeper.known as").select())
                .contains("\nJOIN keeper ON")
                .doesNotContain("LEFT");
    }

    @Test
    void what_no_relationship_joins_is_named() {
        DesignFixture made = design("Each hive has code (key).", "Each flower has name (key).");
        Answer answer = answer(made.document(), "Hive.code", "Flower.name");

        assertThat(answer.isJoined()).isFalse();
        assertThat(answer.apart()).containsExactly("Flower");
        assertThat(answer.select()).isEqualTo("SELECT hive.code\nFROM hive;");
    }

    @Test
    void the_nouns_of_sentences_are_candidates_with_their_kinds() {
        var found = NounCandidates.of(
                "Each keeper looks after several hives. At an inspection the keeper notes the strength of the colony;"
                        + " hives stand in apiaries.",
                design("Each hive has code.").design());

        assertThat(found)
                .extracting(NounCandidates.Candidate::noun)
                .contains("keeper", "hive", "inspection", "strength", "colony", "apiary")
                .doesNotContain("looks", "after", "each", "the", "stand", "hives");
        assertThat(found.stream()
                        .filter(c -> c.noun().equals("keeper"))
                        .findFirst()
                        .orElseThrow()
                        .kind())
                .isEqualTo(EntityKind.PERSON);
        assertThat(found.stream()
                        .filter(c -> c.noun().equals("inspection"))
                        .findFirst()
                        .orElseThrow()
                        .kind())
                .isEqualTo(EntityKind.EVENT);
        assertThat(found)
                .filteredOn(NounCandidates.Candidate::known)
                .extracting("noun")
                .containsExactly("hive");
    }

    @Test
    void verbs_and_the_first_half_of_a_pair_are_no_entities() {
        assertThat(NounCandidates.of(
                        "A member borrows a book and pays a fine when the due date has passed. Members may borrow up to five"
                                + " books; a lender stamps each card.",
                        design().design()))
                .extracting(NounCandidates.Candidate::noun)
                .contains("member", "book", "due date", "card", "lender", "fine")
                .doesNotContain("borrow", "member borrow", "due", "stamp", "lender stamp", "pay", "book pay");
    }

    @Test
    void a_sentence_is_offered_as_what_it_is_beside_the_others() {
        Design none = design().design();
        var known = new ToldSentences.Known();
        assertThat(ToldSentences.of("A boat has an owner and a name.", none, known)
                        .get(0)
                        .readings()
                        .get(0)
                        .sentences())
                .containsExactly("Each boat has owner, name.");
        List<ToldSentences.Offer> both =
                ToldSentences.of("A boat has an owner and a name. An owner has a phone number.", none, known);
        assertThat(both.get(0).readings().get(0).sentences())
                .containsExactly("Each boat has name.", "Each boat has exactly one owner.");
        // what has been read is not read again
        assertThat(ToldSentences.of("A boat has an owner and a name. An owner has a phone number. Good!", none, known))
                .hasSize(2)
                .element(1)
                .isSameAs(both.get(1));
    }

    /** What a sentence says is an attribute, how something is, or what somebody does, is not asked for as an entity. */
    @Test
    void what_somebody_does_is_not_asked_for() {
        String text = "A newspaper publishes articles. Each clerk files many letters. A file has a date.";
        assertThat(NounCandidates.of(text, design().design(), ToldSentences.of(text, design().design())))
                .extracting(NounCandidates.Candidate::noun)
                .contains("newspaper", "article", "clerk", "letter", "file")
                .doesNotContain("publish", "newspaper publish", "date");
        assertThat(NounCandidates.of("A newspaper publishes articles.", design().design()))
                .extracting(NounCandidates.Candidate::noun)
                .contains("publish");
    }

    @Test
    void what_the_sentences_say_is_no_entity_is_not_offered_as_one() {
        String text =
                "A boat has a name, a length in metres and a hull number, which must be unique. Contracts run from a start date to"
                        + " an end date. An invoice is open, paid or overdue. Technicians repair boats. A fee can't be greater than the"
                        + " previous one. Each berth lies at one jetty. A contract runs for one year.";

        assertThat(NounCandidates.of(text, design().design(), ToldSentences.of(text, design().design())))
                .extracting(NounCandidates.Candidate::noun)
                .contains("boat", "contract", "invoice", "technician", "berth", "jetty", "fee")
                .doesNotContain(
                        "name",
                        "length",
                        "metre",
                        "hull number",
                        "number",
                        "unique",
                        "start date",
                        "date",
                        "open",
                        "paid",
                        "overdue",
                        "repair",
                        "repair boat",
                        "can't",
                        "fee can't",
                        "greater",
                        "previou",
                        "previous",
                        "run",
                        "contract run");
        assertThat(NounCandidates.of(
                        "A member number is printed. Boats have a number.",
                        design("Each member has name.").design()))
                .extracting(NounCandidates.Candidate::noun)
                .contains("member", "member number");
    }

    @Test
    void told_sentences_are_offered_as_what_they_would_be_kept_as() {
        Design known = design("Each apiary has code: text 6 (key).").design();
        List<ToldSentences.Offer> offers = ToldSentences.of(
                "A forage plant grows at an apiary. It was a cold spring!\nApiaries have a code. A keeper can look after several"
                        + " hives.\nStudents enrol in courses.",
                known);

        assertThat(offers)
                .extracting(ToldSentences.Offer::told)
                .containsExactly(
                        "A forage plant grows at an apiary.",
                        "A keeper can look after several hives.",
                        "Students enrol in courses.");
        assertThat(offers.get(0).readings().get(0).sentences())
                .containsExactly("Each forage plant grows at exactly one apiary.");
        ToldSentences.Reverse reverse = offers.get(0).reverse().orElseThrow();
        assertThat(reverse.question()).isEqualTo("Several apiaries for one forage plant?");
        assertThat(reverse.ifYes().sentences().get(0)).startsWith("Each forage plant grows at at least one apiary");
        assertThat(offers.get(2).readings()).hasSizeGreaterThan(1);
        assertThat(offers.get(2).reverse()).isEmpty();
    }

    @Test
    void one_entity_is_made_of_each_noun_that_was_picked_and_nothing_of_the_others() {
        Map<String, EntityKind> picked = new LinkedHashMap<>();
        picked.put("keeper", EntityKind.PERSON);
        picked.put("hive", EntityKind.THING);
        DesignFixture made =
                design("Each hive has code.").with(f -> new BriefEdits(f.design(), f.ids()).makeEntities(picked));

        assertThat(made.design().entities())
                .extracting(e -> e.name() + " " + e.kind())
                .containsExactly("Hive not yet said", "Keeper person");
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            textBlock =
                    """
            keeper_no   | 12,7,104            | keeper no     | whole 1000   | the largest 104
            BatchCode   | 0042,0043           | batch code    | text 10      | begin with 0
            weight kg   | 12.5,8,10.25        | weight kg     | decimal 5,2  | 2 decimal places
            Done On     | 2027-04-12          | done on       | date         | can be read as date
            first season| 2019,2024           | first season  | year         | years
            is mated    | yes,no,yes          | is mated      | yes/no       | yes or no
            note        | a,calm and strong   | note          | text 20      | 15 letters
            empty       | ''                  | empty         | undecided    | no row
            stamp       | 2027-04-12 09:30    | stamp         | moment       | moment
            far         | 12345678901234567890| far           | text 40      | more digits
            """)
    void a_heading_becomes_an_attribute_with_a_type_and_its_reason(
            String heading, String values, String name, String type, String reason) {
        String pasted = heading + "\tother\n" + String.join("\tx\n", values.split(",")) + "\tx\n";
        Headings.Column column = Headings.of(pasted).columns().get(0);

        assertThat(column.name()).isEqualTo(name);
        assertThat(column.type()).hasToString(type);
        assertThat(column.reason()).contains(reason);
    }

    @Test
    void pasted_headings_and_rows_become_an_entity_with_its_rows() {
        Headings headings = Headings.of("Code;Colour;Code\nA1;white;1\nA2;;2\n");
        var entity = headings.entity("Hive", IdSource.seeded(1));

        assertThat(entity.body().attributes())
                .extracting(a -> a.name() + (a.optional() ? "?" : ""))
                .containsExactly("code", "colour?", "code 2");
        assertThat(entity.body().rows()).hasSize(2);
        assertThat(entity.body().rows().get(0).values().values()).containsExactly("A1", "white", "1");
        assertThatThrownBy(() -> Headings.of("  \n")).hasMessageContaining("expected a line of headings");
    }

    @Test
    void an_event_without_a_moment_or_anyone_who_took_part_is_asked_for_them() {
        Design bare = design("Inspection is an event.").design();
        Design good = design(
                        "Inspection is an event.",
                        "Each inspection has done at: moment.",
                        "Each hive is looked at in any number of inspections; each inspection is of exactly one hive.")
                .design();

        assertThat(asked(bare))
                .extracting(f -> f.text())
                .anyMatch(text -> text.contains("when"))
                .anyMatch(text -> text.contains("who or what"));
        assertThat(asked(good)).isEmpty();
    }

    @Test
    void a_parked_entity_leaves_tables_and_comes_back_with_all_it_had() throws Exception {
        Document demo = demo();
        var queen = demo.design().entity("Queen").orElseThrow();
        Document parked = demo.with(demo.design().with(queen.withParked(true)));
        Document back = parked.with(parked.design().with(queen.withParked(false)));

        assertThat(parked.mapping().schema().table("queen")).isEmpty();
        assertThat(parked.mapping().schema().table("hive").orElseThrow().column("queen_ring"))
                .isEmpty();
        assertThat(back.design()).isEqualTo(demo.design());
        assertThat(back.mapping().schema()).isEqualTo(demo.mapping().schema());
    }

    private static List<Finding> asked(Design design) {
        return design.entities().stream()
                .flatMap(entity -> EventRules.findings(design, entity).stream())
                .toList();
    }
}
