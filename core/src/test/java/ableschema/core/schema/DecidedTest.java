package ableschema.core.schema;

import static ableschema.core.DesignFixture.design;
import static org.assertj.core.api.Assertions.assertThat;

import ableschema.core.DesignFixture;
import ableschema.core.design.IdKind;
import ableschema.core.design.Index;
import ableschema.core.design.Lists;
import ableschema.core.design.Pins;
import ableschema.core.edit.ChangeBody;
import ableschema.core.edit.Edits;
import ableschema.core.edit.PutRelationship;
import ableschema.core.expression.Expression;
import ableschema.core.expression.Filling;
import ableschema.core.types.DataTypes;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** What is left out of definitions while something is undecided, and what stays. */
class DecidedTest {

    private static final DesignFixture CRATES = indexed(design(
            "Each depot has code: text 6 (key), phone: text 20 (unique), fax: text 20 (unique).",
            "Each crate has no: whole (key), size: whole (unique; at least 1), mark: text 9 (unique; one of a, b), width: whole.",
            "Each crate stands in exactly one depot; each depot holds any number of crates."));

    private static DesignFixture indexed(DesignFixture made) {
        DesignFixture all = made;
        for (String name : List.of("size", "width")) {
            all = all.with(f -> {
                var body = f.entity("Crate").body();
                var part = new Index.Part(f.attribute("Crate", name).ref(), true);
                var index = new Index(f.ids().next(IdKind.INDEX), List.of(part), false, Pins.NONE);
                return new ChangeBody(
                        f.entity("Crate").id(), body.withIndexes(Lists.plus(body.indexes(), index)), "index");
            });
        }
        return all.with(f -> new Edits(f.design(), f.ids())
                .changeAttribute(f.attribute("Crate", "width")
                        .withFilling(Filling.computed(Expression.of(
                                new Expression.Column<>(
                                        f.attribute("Crate", "size").ref()),
                                new Expression.Text<>(" + 1"))))));
    }

    private static DesignFixture undecided(String entity, String attribute) {
        return CRATES.with(f -> new Edits(f.design(), f.ids())
                .changeAttribute(f.attribute(entity, attribute).withType(DataTypes.UNDECIDED)));
    }

    private static List<String> said(Decided decided) {
        return decided.leftOut().stream().map(Remark::text).toList();
    }

    @Test
    void a_column_takes_along_what_is_said_of_it_and_computed_from_it_and_nothing_else() {
        Decided decided = Decided.of(undecided("Crate", "size").schema());
        Table crate = decided.schema().table("crate").orElseThrow();

        assertThat(crate.columns()).extracting(Column::name).containsExactly("no", "mark", "depot_code");
        assertThat(crate.primaryKey()).isPresent();
        assertThat(crate.foreignKeys()).hasSize(1);
        assertThat(crate.uniques()).extracting(Table.UniqueConstraint::columns).containsExactly(List.of("mark"));
        assertThat(crate.checks()).hasSize(1);
        assertThat(crate.indexes()).extracting(Table.TableIndex::columnNames).containsExactly(List.of("depot_code"));
        assertThat(said(decided))
                .hasSize(6)
                .contains(
                        "the column size is left out, as it has no type yet",
                        "the unique constraint crate_size_unique is left out with it",
                        "the check crate_size_check is left out with it",
                        "the index crate_size_index is left out with it",
                        "the index crate_width_index is left out with it");
        assertThat(decided.leftOut()).allMatch(remark -> remark.place().equals(crate.part()));
    }

    @Test
    void a_key_takes_along_what_refers_to_it_with_its_columns() {
        Decided decided = Decided.of(undecided("Depot", "code").schema());
        Table crate = decided.schema().table("crate").orElseThrow();

        assertThat(decided.schema().table("depot").orElseThrow().primaryKey()).isEmpty();
        assertThat(crate.column("depot_code")).isEmpty();
        assertThat(crate.foreignKeys()).isEmpty();
        assertThat(crate.indexes()).extracting(Table.TableIndex::columnNames).doesNotContain(List.of("depot_code"));
        assertThat(said(decided))
                .contains(
                        "the primary key depot_key is left out with it",
                        "the foreign key crate_stands_in_depot is left out with it");
    }

    @Test
    void a_reference_to_an_alternate_key_stays_where_that_is_decided() {
        var stands = CRATES.design().relationships().get(0);
        var side = stands.referencedSide().orElseThrow();
        var phone = CRATES.entity("Depot").body().uniques().get(0).id();
        var calling = stands.with(side, stands.end(side).with(stands.reference().withTargetKey(Optional.of(phone))));
        DesignFixture open = undecided("Depot", "code").with(new PutRelationship(calling, "call"));
        Decided decided = Decided.of(open.schema());

        assertThat(decided.schema().table("crate").orElseThrow().foreignKeys())
                .extracting(ForeignKey::targetColumns)
                .containsExactly(List.of("phone"));
        assertThat(said(decided)).noneMatch(text -> text.contains("foreign key"));
    }

    @Test
    void a_reference_to_what_is_no_key_is_said_at_the_table_that_has_it() {
        Table depot = CRATES.table("depot");
        Table open = Table.of(depot.qualified(), depot.columns());
        Table undecided = Table.of(new TableName("", "later"), List.of());
        Decided decided = Decided.of(new Schema(List.of(), List.of(open, CRATES.table("crate"), undecided)));
        Table crate = decided.schema().table("crate").orElseThrow();

        assertThat(crate.foreignKeys()).isEmpty();
        assertThat(crate.columns()).isEqualTo(CRATES.table("crate").columns());
        assertThat(said(decided))
                .containsExactly(
                        "the table later is left out, as none of its columns has a type yet",
                        "the foreign key crate_stands_in_depot is left out, as the key that it refers to is not decided yet");
    }
}
