package ableschema.core.brief;

import static org.assertj.core.api.Assertions.assertThat;

import ableschema.core.design.Design;
import ableschema.core.document.Document;
import ableschema.core.words.DesignReader;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class TypeByNameTest {

    private static String likely(String sentence) {
        DesignReader.Result read = DesignReader.read(sentence);
        assertThat(read.problems()).isEmpty();
        Document document = read.document();
        Design design = document.design();
        var body = design.entities().get(0).body();
        return TypeByName.of(body.attributes().get(0), body)
                .map(suggestion -> suggestion.type().toString())
                .orElse("none");
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            textBlock =
                    """
            first name           | text 60
            date of birth        | date
            booked on            | date
            valid until          | date
            created at           | moment
            year of construction | year
            price per night      | decimal 10,2
            cost in euros        | decimal 10,2
            length in metres     | decimal 9,2
            duration in minutes  | whole
            discount in percent  | decimal 5,2
            number of beds       | whole
            phone number         | text 20
            passport number      | text 20
            number               | whole
            email address        | text 80
            licence plate        | text 30
            description          | text 500
            is open              | yes/no
            latitude             | decimal 9,6
            slope                | none
            depends on           | none
            """)
    void a_name_and_its_unit_suggest_a_type(String name, String type) {
        assertThat(likely("Each thing has " + name + ".")).isEqualTo(type);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            textBlock =
                    """
            Each slab has slope (between 0 and 45).        | whole
            Each slab has slope (at most 0.5).             | decimal 10,1
            Each slab has passport number (greater than 9).| whole
            Each slab has weight (at least 1).             | decimal 9,2
            """)
    void numbers_as_bounds_make_a_number_of_it(String sentence, String type) {
        assertThat(likely(sentence)).isEqualTo(type);
    }

    @Test
    void a_time_beside_a_day_is_one_of_that_day() {
        assertThat(likely("Each run has start time, day.")).isEqualTo("time");
        assertThat(likely("Each run has start time, distance.")).isEqualTo("moment");
    }
}
