package ableschema.core.mapping;

import static ableschema.core.DesignFixture.design;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import ableschema.core.DesignFixture;
import ableschema.core.design.Relationship;
import ableschema.core.design.Side;
import ableschema.core.schema.Column;
import ableschema.core.schema.Part;
import ableschema.core.schema.Table;
import java.util.List;
import org.junit.jupiter.api.Test;

/** Where the parts of a schema come from. */
class TraceTest {

    private static final DesignFixture CRATES = design(
            "Each depot has code: text 6 (key), zip: text 5, phone: text 20 (unique).",
            "Each crate has crate no: whole (key), label: text 20, weight: decimal 6,2.",
            "Each crate stands in exactly one depot; each depot holds any number of crates.");

    @Test
    void the_trace_leads_from_each_part_to_its_thing() {
        Mapping mapping = CRATES.document().mapping();
        Trace trace = mapping.trace();
        Table crate = CRATES.table("crate");
        Column depot = crate.column("depot_code").orElseThrow();
        Relationship stands = CRATES.design().relationships().get(0);

        assertThat(trace.label(crate)).isEqualTo("Crate");
        assertThat(trace.isJunction(crate)).isFalse();
        assertThat(trace.origin(crate, depot)).isEqualTo(stands.id());
        assertThat(trace.column(crate, trace.ref(crate, depot))).contains(depot);
        assertThat(trace.column(CRATES.table("depot"), trace.ref(crate, depot))).isEmpty();
        assertThat(trace.ref(crate, depot).through()).contains(stands.ref(Side.SECOND));
        assertThat(trace.end(crate, crate.foreignKeys().get(0))).isEqualTo(stands.ref(Side.SECOND));
        assertThat(trace.things(List.of(
                        crate.part(Part.Kind.INDEX, crate.indexes().get(0).name()))))
                .contains(CRATES.entity("Crate").id());
        assertThat(trace.leads(
                        List.of(crate.part(Part.Kind.COLUMN, "label")),
                        CRATES.attribute("Crate", "label").id()))
                .isTrue();
        assertThat(trace.leads(
                        List.of(crate.part(Part.Kind.COLUMN, "label")),
                        CRATES.entity("Crate").id()))
                .isFalse();
        assertThatThrownBy(() ->
                        trace.end(CRATES.table("depot"), crate.foreignKeys().get(0)))
                .hasMessageContaining("no trace of the foreign key crate_stands_in_depot of depot");
        assertThatThrownBy(() -> trace.column(CRATES.table("depot"), depot))
                .hasMessageContaining("no trace of the column depot_code of depot");
    }
}
