package ableschema.core.document;

import static ableschema.core.DesignFixture.design;
import static org.assertj.core.api.Assertions.assertThat;

import ableschema.core.DesignFixture;
import ableschema.core.design.Relationship;
import ableschema.core.design.Topic;
import ableschema.core.edit.Edits;
import ableschema.core.schema.Table;
import ableschema.core.sql.ScriptWriter;
import ableschema.core.sql.dialect.Dialects;
import org.junit.jupiter.api.Test;

class ReasonCommentsTest {

    private static DesignFixture because(DesignFixture made, int relationship, String reason) {
        Relationship why = made.design().relationships().get(relationship);
        return made.with(each -> new Edits(each.design(), each.ids()).setReason(Topic.of(why.id()), reason));
    }

    @Test
    void why_a_relationship_is_so_stands_with_its_foreign_key_or_its_own_table() {
        DesignFixture made = design(
                "Each apiary has county: text 20, site: text 20.",
                "Each apiary is identified by its county and site.",
                "Each hive stands in exactly one apiary; each apiary shelters any number of hives.",
                "Each apiary offers any number of plants; each plant grows at any number of apiaries (called forage).");
        DesignFixture reasoned = because(because(made, 0, "Hives are not lent."), 1, "For the honey's label.");
        Document told = reasoned.document().with(reasoned.document().rules().withReasonsInSql(true));

        Table hive = told.mapping().schema().table("hive").orElseThrow();
        assertThat(hive.columns())
                .extracting(each -> each.name() + ": " + each.comment())
                .contains("apiary_county: Why: Hives are not lent.", "apiary_site: ");
        assertThat(told.mapping().schema().table("forage").orElseThrow().comment())
                .isEqualTo("Why: For the honey's label.");
        assertThat(reasoned.document()
                        .mapping()
                        .schema()
                        .table("forage")
                        .orElseThrow()
                        .comment())
                .isEmpty();
        assertThat(ScriptWriter.of(
                                told.mapping().schema().table("forage").orElseThrow(),
                                told.mapping().schema(),
                                Dialects.POSTGRESQL)
                        .toString())
                .contains("Why: For the honey''s label.");
    }
}
