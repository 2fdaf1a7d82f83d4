package ableschema.core.words;

import static ableschema.core.DesignFixture.design;
import static org.assertj.core.api.Assertions.assertThat;

import ableschema.core.DesignFixture;
import ableschema.core.design.IdSource;
import ableschema.core.design.Volume;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** How many rows are expected, as people say it. */
class VolumesTest {

    private static final DesignFixture BERTHS = design(
                    "Each berth has no: whole (key).", "Each vessel call has no: counted (key).")
            .with("There are about 20 vessel calls, and 5 more each year.");

    private static SpokenLine.Heard heard(String text) {
        return new SpokenLine(BERTHS.design(), Optional.empty(), IdSource.seeded(3)).read(text);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            textBlock =
                    """
            There are about 40 berths.                           | berth       | 40   | 0
            There are 40 berths.                                 | berth       | 40   | 0
            We have about 1,500 vessel calls.                    | vessel call | 1500 | 5
            We expect 9,000 vessel calls a year.                 | vessel call | 20   | 9000
            About 750 vessel calls are recorded each month.      | vessel call | 20   | 9000
            We record 2 million vessel calls per year            | vessel call | 20   | 2000000
            There are about 1.5 million vessel calls, and 3 thousand more each year. | vessel call | 1500000 | 3000
            There are 100 berths and 5 more are added a year.    | berth       | 100  | 5
            """)
    void numbers_of_rows_are_understood(String said, String entity, long first, long year) {
        var understood = (Understanding.Understood) heard(said).understanding();

        assertThat(understood
                        .edit()
                        .applyTo(BERTHS.document())
                        .design()
                        .notes()
                        .volume(BERTHS.design().entity(entity).orElseThrow().id()))
                .contains(new Volume(first, year));
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            textBlock =
                    """
            There are about 1,2,3 berths.                      | is no number
            There are about 40 boats.                          | no entity called boats
            There are about 99999999999999999999 berths.       | more than rows can be counted
            """)
    void what_cannot_be_counted_is_refused(String said, String why) {
        assertThat(heard(said).understanding())
                .isInstanceOfSatisfying(Understanding.NotUnderstood.class, not -> assertThat(not.problem())
                        .contains(why));
    }

    @Test
    void none_at_all_takes_it_back() {
        DesignFixture none = BERTHS.with("There are about 0 vessel calls.");

        assertThat(none.design().notes().volumes()).isEmpty();
    }
}
