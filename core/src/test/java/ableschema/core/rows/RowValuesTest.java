package ableschema.core.rows;

import static ableschema.core.DesignFixture.design;
import static org.assertj.core.api.Assertions.assertThat;

import ableschema.core.DesignFixture;
import ableschema.core.design.EndRef;
import ableschema.core.design.Entity;
import ableschema.core.design.IdSource;
import ableschema.core.design.Relationship;
import ableschema.core.design.Row;
import ableschema.core.design.Side;
import ableschema.core.document.Document;
import ableschema.core.edit.ChangeBody;
import ableschema.core.edit.Edits;
import ableschema.core.mapping.Keys;
import ableschema.core.store.DocumentFile;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

class RowValuesTest {

    private static Document demo() throws Exception {
        return DocumentFile.read(Path.of("../demo/alder-valley.able.json"));
    }

    @Test
    void a_key_that_comes_through_two_relationships_is_followed_to_its_end() throws Exception {
        var design = demo().design();
        Entity harvest = design.entity("Harvest").orElseThrow();
        var values = new RowValues(design);

        assertThat(values.values(harvest.body().rows().get(0), new Keys(design).of(harvest.id())))
                .containsExactly("AV-01", "1", "2027-05-20");
    }

    @Test
    void a_row_is_called_by_its_name_beside_its_key() throws Exception {
        var design = demo().design();
        var values = new RowValues(design);
        Entity keeper = design.entity("Keeper").orElseThrow();
        Entity hive = design.entity("Hive").orElseThrow();

        assertThat(values.name(keeper, keeper.body().rows().get(0))).isEqualTo("I. Sallow · 101");
        assertThat(values.name(hive, hive.body().rows().get(0))).isEqualTo("AV-01 / 1");
    }

    @Test
    void rows_keyed_by_each_other_in_a_circle_end_in_nothing_rather_than_never() {
        DesignFixture made = design(
                "Each queen has no: whole.",
                "Each queen is mother of any number of queens; each queen is daughter of exactly one queen.");
        Relationship mother = made.design().relationships().get(0);
        DesignFixture weak = made.with(f -> new Edits(f.design(), f.ids()).setIdentifying(mother, true));
        EndRef end = new EndRef(mother.id(), mother.referencedSide().orElse(Side.FIRST));
        var entry = new RowEntry(weak.design(), weak.entity("Queen").id(), weak.ids());
        Row one = entry.newRow(List.of());
        Row other = entry.newRow(List.of(one)).with(end, Optional.of(Row.Reference.to(one)));
        one = one.with(end, Optional.of(Row.Reference.to(other)));
        DesignFixture filled = weak.with(new ChangeBody(
                weak.entity("Queen").id(), weak.entity("Queen").body().withRows(List.of(one, other)), "fill"));

        assertThat(new RowValues(filled.design())
                        .values(
                                one,
                                new Keys(filled.design())
                                        .of(filled.entity("Queen").id())))
                .allMatch(String::isEmpty);
        assertThat(RowJudge.judge(filled.design())).isNotEmpty();
    }

    @Test
    void what_a_row_refers_to_must_be_a_row_of_the_right_entity() throws Exception {
        var design = demo().design();
        Entity hive = design.entity("Hive").orElseThrow();
        Entity queen = design.entity("Queen").orElseThrow();
        EndRef apiary = design.referencesOf(hive.id()).get(0);
        Row wrong = hive.body()
                .rows()
                .get(0)
                .with(apiary, Optional.of(Row.Reference.to(queen.body().rows().get(0))));

        assertThat(new RowValues(design).parent(wrong, apiary)).isEmpty();
        assertThat(new RowValues(design).parent(hive.body().rows().get(0), apiary))
                .isPresent();
    }

    @Test
    void key_values_given_for_a_parent_that_is_not_there_are_kept_part_by_part() throws Exception {
        var design = demo().design();
        Entity inspection = design.entity("Inspection").orElseThrow();
        var entry = new RowEntry(design, inspection.id(), IdSource.seeded(1));
        var hive = entry.columns().stream()
                .filter(c -> entry.heading(c).equals("Hive"))
                .findFirst()
                .orElseThrow();
        Row row = entry.with(inspection.body().rows().get(0), hive, "AV-77 / 12");

        assertThat(entry.shown(row, hive)).isEqualTo("AV-77 / 12");
        EndRef end = hive.through().orElseThrow();
        assertThat(new RowValues(design).values(row, new Keys(design).referring(end)))
                .containsExactly("AV-77", "12");
        assertThat(entry.shown(entry.with(row, hive, ""), hive)).isEmpty();
    }
}
