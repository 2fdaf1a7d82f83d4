package ableschema.core.words;

import static org.assertj.core.api.Assertions.assertThat;

import ableschema.core.design.Cardinality;
import ableschema.core.design.Design;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** One rule that is said in two sentences, one from each side. */
class VerbsTest {

    @ParameterizedTest
    @CsvSource({
        "writes, is written by, true",
        "teaches, is taught by, true",
        "carries, is carried by, true",
        "books, is booked by, true",
        "uses, is used by, true",
        "ships, is shipped by, true",
        "reads, is read by, true",
        "looks after, is looked after by, true",
        "has, belongs to, true",
        "is part of, contains, true",
        "Owns, Belongs To, true",
        "writes, is read by, false",
        "looks after, is looked at by, false",
        "owns, is run by, false",
        "has, has, false",
        "is written by, is read by, false",
        "books, is booked for, false",
    })
    void verbs_that_say_the_same_from_both_sides_are_told(String one, String other, boolean inverse) {
        assertThat(Verbs.areInverse(one, other)).isEqualTo(inverse);
        assertThat(Verbs.areInverse(other, one)).isEqualTo(inverse);
    }

    private static Design read(String text) {
        DesignReader.Result read = DesignReader.read(text);
        assertThat(read.problems()).isEmpty();
        return read.document().design();
    }

    @Test
    void two_sentences_make_one_relationship_with_the_numbers_of_both() {
        Design design =
                read("A journalist can write many articles.\nEach article is written by at least one journalist.\n");

        assertThat(design.relationships()).singleElement().satisfies(rule -> {
            assertThat(rule.first().verb()).isEqualTo("writes");
            assertThat(rule.second().verb()).isEqualTo("is written by");
            assertThat(rule.first().cardinality()).isEqualTo(Cardinality.AT_LEAST_ONE);
            assertThat(rule.second().cardinality()).isEqualTo(Cardinality.ANY_NUMBER);
        });
    }

    @Test
    void what_differs_stays_a_relationship_of_its_own() {
        assertThat(read("A keeper owns many hives.\nEach hive is watched by one keeper.\n")
                        .relationships())
                .hasSize(2);
        assertThat(
                        read("A keeper owns many hives. Each hive is owned by one keeper.\nEach hive belongs to one keeper.\n")
                                .relationships())
                .hasSize(2);
        assertThat(read("A queen leads many bees.\nA queen is led by one queen.\n")
                        .relationships())
                .hasSize(2);
    }

    @Test
    void what_the_grammar_says_of_both_sides_is_left_as_it_is() {
        String both = "Each keeper owns any number of hives; each hive is related to any number of keepers.\n"
                + "Each hive is owned by exactly one keeper; each keeper is related to any number of hives.\n";
        Design design = DesignReader.read(both, true).document().design();

        assertThat(design.relationships()).hasSize(2);
        assertThat(new Phrasings(design)
                        .of("Each hive belongs to exactly one keeper; each keeper has any number of hives."))
                .isInstanceOf(Phrasing.AsItStands.class);
    }
}
