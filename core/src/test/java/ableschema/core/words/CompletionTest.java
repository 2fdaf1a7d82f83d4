package ableschema.core.words;

import static ableschema.core.DesignFixture.design;
import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class CompletionTest {

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            textBlock =
                    """
            ea                                   | Each
            Each hi                              | Each hive
            Each hive st                         | Each hive stands in
            Each hive stands in e                | Each hive stands in exactly one
            Each hive stands in exactly one a    | Each hive stands in exactly one apiary
            Each apiary shelters any number of h | Each apiary shelters any number of hives
            Each hive stands in exactly one apiary; each ap | Each hive stands in exactly one apiary; each apiary
            Each hive has colour: te             | Each hive has colour: text 40
            Each hive has colour: text 20, set up on: da | Each hive has colour: text 20, set up on: date
            An apiary is a pl                    | An apiary is a place
            """)
    void the_likeliest_way_to_go_on_comes_first(String typed, String first) {
        var completion = new Completion(
                design("Each hive stands in exactly one apiary; each apiary shelters any number of hives.")
                        .design());

        assertThat(completion.at(typed).get(0).appliedTo(typed).strip()).isEqualTo(first);
    }
}
