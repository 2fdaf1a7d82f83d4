package ableschema.core.words;

import static org.assertj.core.api.Assertions.assertThat;

import ableschema.core.design.Design;
import ableschema.core.design.IdSource;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class MisspellingTest {

    private static Understanding typed(Design design, String sentence) {
        return new SpokenLine(design, Optional.empty(), IdSource.seeded(1))
                .read(sentence)
                .understanding();
    }

    private static List<String> problems(String text) {
        return DesignReader.read(text).problems().stream()
                .map(DesignReader.Problem::toString)
                .toList();
    }

    @ParameterizedTest
    @CsvSource({
        "Each crate contians exactly one bottle., contians, contains",
        "A crate contians bottles., contians, contains",
        "A cratte has a label., cratte, crate",
        "Each crate has a titel., titel, title",
        "Each flim is shot in exactly one studio., flim, film",
        "Every restuarant has a name and a street., restuarant, restaurant"
    })
    void a_slip_of_the_fingers_is_asked_about_at_its_place(String sentence, String word, String meant) {
        assertThat(typed(Design.EMPTY, sentence)).isInstanceOfSatisfying(Understanding.NotUnderstood.class, not -> {
            assertThat(sentence.substring(not.start(), not.end())).isEqualTo(word);
            assertThat(not.problem()).startsWith("\"" + word + "\" looks like \"" + meant + "\"");
        });
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "Each skep has a varroa count and a queenline.",
                "Each \"flim\" is shot in exactly one studio.",
                "Each crate \"contians\" exactly one bottle.",
                "Each vessel has imo: text 7 (key), addr: text 40, cfgtime: moment.",
                "Each guest has a checkin and a login.",
                "Each shop has a colour and a color.",
                "Each GmbH has a Steuernr and a PaSsword."
            })
    void what_is_no_english_or_stands_between_quotes_is_taken_as_it_is(String sentence) {
        assertThat(typed(Design.EMPTY, sentence)).isInstanceOf(Understanding.Understood.class);
    }

    @Test
    void what_the_design_has_or_a_text_says_twice_is_meant() {
        Design design =
                DesignReader.read("Each \"flim\" has a name.").document().design();
        assertThat(typed(design, "Each flim has a year.")).isInstanceOf(Understanding.Understood.class);

        assertThat(problems("A flim has a name.\nA studio has a number.\nA studio shoots many flims."))
                .isEmpty();
        assertThat(problems("A flim has a name.\nA studio has a number."))
                .containsExactly(
                        "line 1, column 3: \"flim\" looks like \"film\" misspelt; write that, or put it between quotes where it is meant");
    }

    @Test
    void a_text_of_sentences_as_they_are_printed_is_read_as_it_is() {
        String printed = "Each film has titel: text 40 (key).";
        assertThat(problems(printed)).isEmpty();
        assertThat(problems(printed + "\nA studio has a number.")).hasSize(1);
    }
}
