package ableschema.core.words;

import static org.assertj.core.api.Assertions.assertThat;

import ableschema.core.DesignFixture;
import ableschema.core.design.Design;
import ableschema.core.document.Document;
import ableschema.core.edit.Edits;
import ableschema.core.holding.CodeParts;
import ableschema.core.rows.RowJudge;
import ableschema.core.rows.RowValues;
import ableschema.core.store.DocumentFile;
import ableschema.core.structure.Field;
import ableschema.core.structure.Structure;
import ableschema.core.structure.StructureEdits;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What the database computes: said, typed in the list, worked out for the sample rows. */
class ComputedTest {

    private static final String SALE =
            "Each sale has code: text 8 (key; pattern \"S-yyyy-0\"), no: counted, price: decimal 8,2, [copies]: whole, [total]:"
                    + " decimal 9,2, first: text 20, last: text 20, [called]: text 60, sold on: date, [in year]: year.";

    private static Document read(String... sentences) {
        var read = DesignReader.read(SALE + "\n" + String.join("\n", sentences));
        assertThat(read.problems()).isEmpty();
        return read.document();
    }

    @Test
    void what_was_computed_from_something_that_goes_stays_and_is_entered() {
        DesignFixture sale = DesignFixture.of(read("The total of each sale is computed from price * copies."));
        DesignFixture left = sale.with(new Edits(sale.design(), sale.ids())
                .remove(List.of(sale.attribute("Sale", "copies").id())));

        assertThat(left.attribute("Sale", "total").filling().isPresent()).isFalse();
        assertThat(DocumentFile.parse(DocumentFile.print(left.document()))).isEqualTo(left.document());
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '#',
            textBlock =
                    """
            The total of each sale is computed from price * copies. # 31.05
            The total of each sale is computed from (price + 1) * copies / 2. # 17.03
            The called of each sale is computed from first || ' ' || last. # Ann Orr
            The called of each sale is computed from upper(last) || ', ' || substring(first from 2 for 1). # ORR, n
            The in year of each sale is computed from extract(year from sold on). # 2027
            The called of each sale is computed from substring(code from 3 for 4). # 2027
            """)
    void a_computation_is_said_again_and_worked_out(String typed, String value) {
        Document made = read(typed);

        assertThat(DesignText.of(made.design()).text()).contains(typed);
        DesignFixture filled = DesignFixture.of(made)
                .filled("Sale", "code,no,price,copies,first,last,sold on\nS-2027-1,1,10.35,3,Ann,Orr,2027-05-06\n");
        var sale = filled.entity("Sale");
        var attribute = sale.body().attributes().stream()
                .filter(each -> each.filling().isComputed())
                .findFirst()
                .orElseThrow();
        assertThat(new RowValues(filled.design()).value(sale.body().rows().get(0), attribute.ref()))
                .contains(value);
        assertThat(RowJudge.judge(filled.design())).isEmpty();
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '#',
            textBlock =
                    """
            The total of each sale is computed from price * cups. # 'cups' is no attribute of Sale
            The total of each sale is computed from total + 1. # total cannot be computed from itself
            The total of each sale is computed from no * 2. # no is counted by the database
            The total of each sale is computed from 2 * 3. # expected the name of an attribute
            The total of each sale is computed from price copies. # expected an operator
            The called of each sale is computed from first || price. # price holds decimal 8,2
            The called of each sale is computed from substring(first from 0). # expected 'from' and the place of the first sign
            The in year of each sale is computed from year of first. # first holds text 20, of which there is no year
            The total of each sale is computed from price / 0. # nothing is divided by 0
            The  of each sale is computed from price * 2. # a rule begins with 'Each'
            The sum of each sale is computed from price * copies. # 'sum' is no attribute of Sale
            """)
    void nonsense_is_pointed_at(String typed, String problem) {
        var read = DesignReader.read(SALE + "\n" + typed);

        assertThat(read.problems()).singleElement().asString().contains(problem);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '#',
            textBlock =
                    """
            The total of a sale is calculated as price times copies.   # The total of each sale is computed from price * copies.
            A sale's total is computed from the price times the copies plus 1 # The total of each sale is computed from price * copies + 1.
            Each sale's total is derived from price divided by 2 minus copies # The total of each sale is computed from price / 2 - copies.
            The code of a sale must start with 'S-'.                   # Of each sale: code like 'S-%'.
            """)
    void other_ways_to_say_it_mean_the_same(String typed, String kept) {
        assertThat(DesignText.of(read(typed).design()).text()).contains(kept);
    }

    @Test
    void nothing_is_computed_from_what_is_computed() {
        var read = DesignReader.read(SALE + "\nThe total of each sale is computed from price * copies."
                + "\nThe in year of each sale is computed from total + 1.");

        assertThat(read.problems()).singleElement().asString().contains("total is itself computed");
    }

    @Test
    void it_is_typed_behind_an_equals_sign_and_stands_so_in_the_list() {
        Document made = read();
        var sale = made.design().entity("Sale").orElseThrow();
        var total = sale.body().attribute("total").orElseThrow();
        var edits = new StructureEdits(made, sale.id(), DesignFixture.of(made).ids());
        Document computed = edits.set(List.of(total.ref()), Field.DEFAULT, "= price * copies")
                .applyTo(made);

        assertThat(field(computed, total.name())).isEqualTo("= price * copies");
        Document plain = new StructureEdits(
                        computed, sale.id(), DesignFixture.of(made).ids())
                .set(List.of(total.ref()), Field.DEFAULT, "2.50")
                .applyTo(computed);
        assertThat(field(plain, total.name())).isEqualTo("2.50");
    }

    private static String field(Document document, String name) {
        var sale = document.design().entity("Sale").orElseThrow();
        return Structure.of(document, document.mapping(), sale.id()).orElseThrow().columns().stream()
                .filter(line -> line.field(Field.NAME).equals(name))
                .map(line -> line.field(Field.DEFAULT))
                .findFirst()
                .orElseThrow();
    }

    @Test
    void a_required_computation_from_what_is_empty_is_a_fault_of_the_row() {
        Document made = read("The total of each sale is computed from price * copies.");
        DesignFixture needed = DesignFixture.of(made).with(f -> new ableschema.core.edit.Edits(f.design(), f.ids())
                .changeAttribute(f.attribute("Sale", "total").withOptional(false)));
        DesignFixture filled = needed.filled(
                "Sale", "code,no,price,copies,first,last,sold on\nS-2027-1,1,10.35,,Ann,Orr,2027-05-06\n");

        assertThat(RowJudge.judge(filled.design())).singleElement().satisfies(finding -> assertThat(finding.text())
                .contains("total"));
    }

    @Test
    void the_parts_of_a_code_become_attributes_that_the_database_computes() {
        Design made = read().design();
        var code = made.entity("Sale").orElseThrow().body().attribute("code").orElseThrow();
        var fixture = DesignFixture.of(read());
        var parts = CodeParts.of(made, code).orElseThrow();

        assertThat(parts.names()).containsExactly("code year", "code number");
        DesignFixture taken = DesignFixture.of(read()).with(f -> CodeParts.of(f.design(), f.attribute("Sale", "code"))
                .orElseThrow()
                .edit(f.ids()));
        assertThat(DesignText.of(taken.design()).text())
                .contains("The code year of each sale is computed from substring(code from 3 for 4).")
                .contains("The code number of each sale is computed from substring(code from 8 for 1).");
        assertThat(CodeParts.of(taken.design(), taken.attribute("Sale", "code")))
                .isEmpty();
        assertThat(CodeParts.of(fixture.design(), fixture.attribute("Sale", "first")))
                .isEmpty();
    }
}
