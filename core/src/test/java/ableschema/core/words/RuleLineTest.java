package ableschema.core.words;

import static ableschema.core.DesignFixture.design;
import static org.assertj.core.api.Assertions.assertThat;

import ableschema.core.DesignFixture;
import ableschema.core.design.Design;
import ableschema.core.design.Entity;
import ableschema.core.design.IdSource;
import ableschema.core.design.Relationship;
import ableschema.core.types.DataType;
import ableschema.core.types.ReferenceAction;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class RuleLineTest {

    private static final String SHELTERS =
            "Each hive stands in exactly one apiary; each apiary shelters any number of hives.";

    /** Carets stand around the words that the answer must point at. */
    private static void fails(DesignFixture start, String marked, String problem) {
        String text = marked.replace("^", "");
        Understanding reading = new RuleLine(start.design(), Optional.empty(), IdSource.seeded(1)).read(text);
        assertThat(reading).as(text).isInstanceOf(Understanding.NotUnderstood.class);
        var not = (Understanding.NotUnderstood) reading;
        String pointed = text.substring(0, not.start()) + "^" + text.substring(not.start(), not.end()) + "^"
                + text.substring(not.end());
        assertThat(pointed).isEqualTo(marked);
        assertThat(not.problem()).contains(problem);
    }

    @Test
    void what_is_no_rule_is_answered_with_an_example_of_its_own_nouns() {
        Design known = design(SHELTERS).design();
        String said = "Nobody opens the hives at night.";

        assertThat(problem(known, said)).endsWith("as in: Each hive has …, or: Each hive belongs to exactly one …");
        assertThat(problem(Design.EMPTY, said)).endsWith("as in: Each hive stands in exactly one apiary.");
        assertThat(problem(known, "Nobody works at night."))
                .endsWith("as in: Each … has …, or: Each … belongs to exactly one …");
    }

    private static String problem(Design design, String said) {
        Understanding not = new RuleLine(design, Optional.empty(), IdSource.seeded(1)).read(said);
        return ((Understanding.NotUnderstood) not).problem();
    }

    @Test
    void both_readings_make_one_relationship_between_two_new_entities() {
        DesignFixture made = design(SHELTERS);

        assertThat(made.design().entities()).extracting(Entity::name).containsExactly("Hive", "Apiary");
        Relationship relationship = made.design().relationships().get(0);
        assertThat(new Sentences(made.design()).of(relationship)).isEqualTo(SHELTERS);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            textBlock =
                    """
            exactly one        | 1..1
            one                | 1..1
            at most one        | 0..1
            zero or one        | 0..1
            at least one       | 1..n
            one or more        | 1..n
            any number of      | 0..n
            many               | 0..n
            between 2 and four | 2..4
            up to three        | 0..3
            at least 12        | 12..n
            exactly two        | 2..2
            """)
    void quantities_are_understood_in_many_words(String words, String cardinality) {
        DesignFixture made = design("Each keeper looks after " + words + " hives.");

        assertThat(made.design().relationships().get(0).second().cardinality()).hasToString(cardinality);
    }

    @Test
    void entities_of_several_words_are_found_when_known_or_named_by_the_other_reading() {
        DesignFixture made = design(
                "Each forage plant grows at any number of apiaries; each apiary offers any number of forage plants.");

        assertThat(made.design().entities()).extracting(Entity::name).containsExactly("Forage plant", "Apiary");
        DesignFixture more = made.with("Each forage plant is visited by any number of hives.");
        assertThat(more.design().entities()).extracting(Entity::name).containsExactly("Forage plant", "Apiary", "Hive");
    }

    @Test
    void saying_a_rule_again_with_another_number_changes_it() {
        DesignFixture changed = design(SHELTERS)
                .with("Each hive stands in any number of apiaries; each apiary shelters any number of hives.");

        assertThat(changed.design().relationships()).hasSize(1);
        assertThat(changed.design().relationships().get(0).isManyToMany()).isTrue();
    }

    @Test
    void a_rule_said_from_the_other_side_is_the_same_rule() {
        DesignFixture same = design(SHELTERS)
                .with("Each apiary shelters at least one hive; each hive stands in exactly one apiary.");

        assertThat(same.design().relationships()).hasSize(1);
        assertThat(same.design().relationships().get(0).first().cardinality()).hasToString("1..n");
    }

    @Test
    void attributes_are_listed_with_types_and_flags() {
        DesignFixture made = design(
                "Each hive has code (key), colour, installed on: date, weight: decimal 6,2 (optional), [ring]: text 8 (unique).");

        Entity hive = made.entity("Hive");
        assertThat(hive.body().attributes())
                .extracting(a -> a.name() + ": " + a.type() + (a.optional() ? " optional" : ""))
                .containsExactly(
                        "code: undecided",
                        "colour: undecided",
                        "installed on: date",
                        "weight: decimal 6,2 optional",
                        "ring: text 8 optional");
        assertThat(hive.body().key())
                .containsExactly(made.attribute("Hive", "code").ref());
        assertThat(hive.body().isUnique(made.attribute("Hive", "ring"))).isTrue();
    }

    @Test
    void a_name_in_double_quotes_may_hold_anything() {
        DesignFixture made = design("Each hive has \"odd; (name), yes: [1]\": text 5.");

        assertThat(made.attribute("Hive", "odd; (name), yes: [1]").type()).hasToString("text 5");
    }

    @Test
    void a_dependency_is_said_of_the_chosen_entity() {
        DesignFixture made =
                design("Each log has hive code, visited on, keeper.").where("Log", "hive code, visited on -> keeper");

        assertThat(made.entity("Log").body().dependencies().get(0).from()).hasSize(2);
    }

    @Test
    void an_entity_is_given_its_kind() {
        assertThat(design(SHELTERS, "An apiary is a place.")
                        .entity("Apiary")
                        .kind()
                        .name())
                .isEqualTo("place");
    }

    @Test
    void what_is_not_understood_is_pointed_at() {
        fails(design(), "Each ^hive stands in some apiary^", "how many");
        fails(design(), "Each hive stands in ^exctly^ one apiary.", "such as 'exactly one'");
        fails(design(), "Each hive stands in at ^lest^ one apiary.", "'at least one'");
        fails(design(), "^Hives^ stand in one apiary.", "begins with 'Each'");
        fails(design(SHELTERS), "Each hive has code: ^txt 4^.", "'txt 4' is no type");
        fails(design(SHELTERS), "Each hive has code (^kee^).", "expected key, optional, unique");
        fails(design(SHELTERS), "Each hive stands in exactly one apiary; ^and^ so on.", "begins with 'each' too");
        fails(
                design(SHELTERS),
                "Each hive stands in exactly one apiary; each apiary shelters any number of ^queens^.",
                "leads back to Hive, not to queens");
        fails(design(), "^a, b -> c^", "choose the entity first");
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "Each",
                "Each ",
                "each;",
                ";;;",
                "->",
                "-> ->",
                "Each a has",
                "Each a has ,",
                "Each one one one.",
                "Each a b any number of",
                "é🐝",
                "is a",
                "Each x y exactly one z; each",
                "Each has exactly one has; each has has one has."
            })
    void no_text_breaks_it(String text) {
        assertThat(new RuleLine(design(SHELTERS).design(), Optional.empty(), IdSource.seeded(1)).read(text))
                .isNotNull();
    }

    @Test
    void a_domain_is_said_once_and_used_by_name() {
        DesignFixture made = design(
                "The domain net weight holds decimal 6,2 (greater than 0; default 1).",
                "Each jar has no: whole (key), weight: domain net weight.");
        DesignFixture again = made.with("The domain Net weight holds decimal 8,3 (at least 1).");

        assertThat(made.design().typeOf(made.attribute("Jar", "weight"))).isEqualTo(new DataType.Decimal(6, 2));
        assertThat(again.design().typeOf(again.attribute("Jar", "weight"))).isEqualTo(new DataType.Decimal(8, 3));
        assertThat(again.design().domains()).hasSize(1);
        fails(made, "Each jar has tare: ^domain tare^.", "there is no domain called tare yet");
        fails(made, "The domain lot holds ^counted^.", "a domain holds a type such as text 40");
    }

    @Test
    void a_type_that_is_told_later_is_how_the_values_of_rules_and_defaults_are_written() {
        DesignFixture made = design(
                "Each rate has amount (default 45.00; at least 10), code (one of 1, 2; default 1), paid (default yes).",
                "Each rate has amount: decimal 6,2, code: text 2, paid: yes/no.");

        assertThat(made.attribute("Rate", "amount").defaultValue()).hasToString("45.00");
        assertThat(made.attribute("Rate", "code").defaultValue()).hasToString("'1'");
        assertThat(made.attribute("Rate", "paid").defaultValue()).hasToString("true");
        assertThat(made.design().entity("Rate").orElseThrow().body().checks())
                .extracting(check -> check.expression().pieces().get(1).toString())
                .satisfiesExactly(amount -> assertThat(amount).contains(">= 10"), code -> assertThat(code)
                        .contains("in ('1', '2')"));
    }

    @Test
    void a_default_must_give_a_value_of_the_type() {
        fails(design(), "Each jar has filled on: whole (^default today^).", "gives no value of the type whole");
        fails(design(), "Each jar has code: text 9 (^default a new uuid^).", "gives no value of the type text 9");
        design(
                "Each jar has at: time (default now), on: date (default now), in: year (default today), id: text 36 (default a new uuid).");
    }

    @Test
    void each_side_of_a_pairing_says_what_happens_on_delete() {
        DesignFixture made = design(
                "Each jar is sold at any number of fairs; each fair sells any number of jars (first on delete cascade;"
                        + " second on delete restrict).");
        Relationship sold = made.design().relationships().get(0);

        assertThat(sold.first().reference().onDelete()).isEqualTo(ReferenceAction.CASCADE);
        assertThat(sold.second().reference().onDelete()).isEqualTo(ReferenceAction.RESTRICT);
        fails(
                design(),
                "Each jar is of exactly one batch; each batch fills any number of jars (^first on delete cascade^).",
                "nothing refers to this side");
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            textBlock =
                    """
            Each berth booking is made by exactly one vessel.       | Berth booking | is made by
            Each berth booking pays at most one vessel.             | Berth booking | pays
            Each berth lease renewal must go to exactly one vessel. | Berth lease renewal | must go to
            Each berth is used by exactly one vessel.               | Berth | is used by
            Each berth takes what is left of any number of vessels. | Berth | takes what is left of
            Each berth shelters what is in exactly one vessel.      | Berth | shelters what is in
            Each berth only then is given to exactly one vessel.    | Berth | only then is given to
            Each berth supplied what is needed by at least one vessel. | Berth | supplied what is needed by
            Each berth "booking is made by" exactly one vessel.     | Berth | booking is made by
            """)
    void a_noun_that_begins_with_a_known_one_goes_on_up_to_its_verb(String said, String subject, String verb) {
        DesignFixture made = design("Each berth has no: whole (key).", "Each vessel has imo: text 7 (key).");
        DesignFixture after = made.with(said);
        Relationship relationship = after.design().relationships().get(0);

        assertThat(after.design().at(relationship.first()).name()).isEqualTo(subject);
        assertThat(relationship.first().verb()).isEqualTo(verb);
        assertThat(made.with(new Sentences(after.design()).of(relationship))
                        .design()
                        .relationships())
                .extracting(each -> each.first().verb())
                .containsExactly(verb);
    }
}
