package ableschema.core.reverse;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Names of tables and columns as people say them. */
class PhrasesTest {

    @ParameterizedTest
    @CsvSource({
        "hives, hive",
        "olives, olive",
        "valves, valve",
        "wolves, wolf",
        "book shelves, book shelf",
        "knives, knife",
        "boxes, box",
        "cities, city",
        "people, person",
        "children, child",
        "workmen, workman",
        "statuses, status",
        "series, series",
        "lens, lens",
        "species, species",
        "address, address",
        "hive, hive",
        "classes, class",
        "branches, branch",
        "matches, match",
        "caches, cache",
        "houses, house",
        "warehouses, warehouse",
        "viruses, virus",
        "causes, cause",
        "aliases, alias",
        "lenses, lens",
        "sizes, size",
        "purchases, purchase",
        "addresses, address",
        "taxes, tax",
        "dishes, dish",
        "axes, axe"
    })
    void the_singular_of_what_may_be_a_plural(String phrase, String singular) {
        assertThat(Phrases.singular(phrase)).isEqualTo(singular);
    }

    @ParameterizedTest
    @CsvSource({
        "ORDER_ITEM, order item",
        "orderItem, order item",
        "tbl2Orders, tbl2 orders",
        "HTTPServer, http server",
        "user-name, user name",
        "name, name"
    })
    void the_words_of_a_name(String name, String phrase) {
        assertThat(Phrases.of(name)).isEqualTo(phrase);
    }
}
