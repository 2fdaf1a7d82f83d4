package ableschema.core.mapping;

import static ableschema.core.DesignFixture.design;
import static org.assertj.core.api.Assertions.assertThat;

import ableschema.core.DesignFixture;
import ableschema.core.design.Cardinality;
import ableschema.core.design.ColumnRef;
import ableschema.core.design.End;
import ableschema.core.design.ForeignColumn;
import ableschema.core.design.Reference;
import ableschema.core.design.ReferenceColumn;
import ableschema.core.design.Relationship;
import ableschema.core.design.Side;
import ableschema.core.edit.PutRelationship;
import ableschema.core.expression.Expression;
import ableschema.core.schema.Column;
import ableschema.core.schema.ForeignKey;
import ableschema.core.schema.Table;
import ableschema.core.types.ReferenceAction;
import java.util.Optional;
import java.util.function.UnaryOperator;
import org.junit.jupiter.api.Test;

/** All that the end of a relationship that is referred to owns: its key, actions, columns and their names. */
class ReferencesTest {

    private static final DesignFixture CRATES = design(
            "Each depot has code: text 6 (key), zip: text 5, phone: text 20 (unique).",
            "Each crate has crate no: whole (key), label: text 20, weight: decimal 6,2.",
            "Each crate stands in exactly one depot; each depot holds any number of crates.");

    private static DesignFixture refer(DesignFixture made, UnaryOperator<Reference> reference) {
        Relationship stands = made.design().relationships().get(0);
        End end = stands.second();
        return made.with(
                new PutRelationship(stands.with(Side.SECOND, end.with(reference.apply(end.reference()))), "refer"));
    }

    @Test
    void a_reference_may_lead_to_an_alternate_key_and_its_column_say_more() {
        var phone = CRATES.entity("Depot").body().uniques().get(0);
        ColumnRef target = CRATES.attribute("Depot", "phone").ref();
        DesignFixture called = refer(CRATES, r -> r.withTargetKey(Optional.of(phone.id()))
                .withActions(ReferenceAction.RESTRICT, ReferenceAction.CASCADE)
                .with(ReferenceColumn.to(target)
                        .withName("call")
                        .withComment("whom to call")
                        .withDefault(Expression.text("'112'"))));
        Table crate = called.table("crate");
        Column call = crate.column("call").orElseThrow();
        ForeignKey key = crate.foreignKeys().get(0);

        assertThat(call.type()).hasToString("text 20");
        assertThat(call.comment()).isEqualTo("whom to call");
        assertThat(call.defaultValue()).hasToString("'112'");
        assertThat(key.targetColumns()).containsExactly("phone");
        assertThat(key.onDelete()).isEqualTo(ReferenceAction.RESTRICT);
        assertThat(key.onUpdate()).isEqualTo(ReferenceAction.CASCADE);
        assertThat(key.wholeOrEmpty()).isFalse();
    }

    @Test
    void a_foreign_key_column_may_be_one_that_is_there_already() {
        DesignFixture made = design(
                "Each region has code: text 4 (key).",
                "Each depot has no: whole.",
                "Each depot lies in exactly one region; each region seats any number of depots.",
                "Each depot is identified by its region and no.",
                "Each crate has crate no: whole (key), region: text 4.",
                "Each crate stands in at most one depot; each depot holds any number of crates.");
        Relationship stands = made.design().relationships().get(1);
        Relationship lies = made.design().relationships().get(0);
        var code = new ForeignColumn(
                lies.ref(Side.SECOND), made.attribute("Region", "code").ref());
        Reference shared = Reference.USUAL.with(ReferenceColumn.to(code)
                .withSameAs(made.attribute("Crate", "region").ref()));
        Table apart = made.table("crate");
        Table crate = made.with(new PutRelationship(
                        stands.with(Side.SECOND, stands.second().with(shared)), "share"))
                .table("crate");

        assertThat(apart.foreignKeys().get(0).columns()).containsExactly("depot_region_code", "depot_no");
        assertThat(apart.foreignKeys().get(0).wholeOrEmpty()).isTrue();
        assertThat(crate.foreignKeys().get(0).columns()).containsExactly("region", "depot_no");
        assertThat(crate.columns()).extracting(Column::name).containsExactly("crate_no", "region", "depot_no");
        assertThat(crate.foreignKeys().get(0).wholeOrEmpty())
                .as("the region must be there anyhow")
                .isFalse();
    }

    @Test
    void the_two_references_of_a_pairing_can_do_different_things() {
        DesignFixture made = design(
                "Each jar has no: whole (key).",
                "Each fair has day: date (key).",
                "Each jar is sold at any number of fairs; each fair sells any number of jars (first on delete cascade).");

        assertThat(made.table("jar_fair").foreignKeys())
                .extracting(ForeignKey::onDelete)
                .containsExactly(ReferenceAction.CASCADE, ReferenceAction.NO_ACTION);
    }

    @Test
    void what_happens_on_delete_goes_along_when_a_relationship_is_turned() {
        Relationship stands = refer(CRATES, r -> r.withActions(ReferenceAction.CASCADE, ReferenceAction.NO_ACTION))
                .design()
                .relationships()
                .get(0);
        Relationship both = stands.with(Side.SECOND, stands.second().withCardinality(Cardinality.ANY_NUMBER));
        Relationship turned = both.with(Side.FIRST, both.first().withCardinality(Cardinality.EXACTLY_ONE));

        assertThat(turned.referencedSide()).contains(Side.FIRST);
        assertThat(turned.reference().onDelete()).isEqualTo(ReferenceAction.CASCADE);
    }

    @Test
    void several_references_to_one_table_say_by_their_verbs_which_is_which() {
        DesignFixture made = design(
                "Each port has code: text 5 (key).",
                "Each trip has trip no: whole (key).",
                "Each trip starts at exactly one port; each port sees off any number of trips.",
                "Each trip is ended at exactly one port; each port greets any number of trips.",
                "Each ship has imo: whole (key).",
                "Each ship leads any number of ships; each ship is led by at most one ship.");

        assertThat(made.table("trip").columns())
                .extracting(Column::name)
                .containsExactly("trip_no", "starts_at_port_code", "ended_at_port_code");
        assertThat(made.table("ship").columns()).extracting(Column::name).containsExactly("imo", "led_by_ship_imo");
    }
}
