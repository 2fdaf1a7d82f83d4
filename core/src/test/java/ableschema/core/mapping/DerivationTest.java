package ableschema.core.mapping;

import static ableschema.core.DesignFixture.design;
import static org.assertj.core.api.Assertions.assertThat;

import ableschema.core.DesignFixture;
import ableschema.core.design.Attribute;
import ableschema.core.design.Design;
import ableschema.core.design.Entity;
import ableschema.core.design.IdSource;
import ableschema.core.design.Index;
import ableschema.core.design.Relationship;
import ableschema.core.document.Document;
import ableschema.core.edit.Edits;
import ableschema.core.expression.Expression;
import ableschema.core.schema.Identity;
import ableschema.core.schema.Table;
import ableschema.core.types.DataTypes;
import ableschema.core.words.AnyWords;
import java.util.ArrayList;
import java.util.List;
import java.util.function.UnaryOperator;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.LongRange;
import org.junit.jupiter.api.Test;

/** Tables derived after a change are those of a fresh derivation, and what has not changed is not made anew. */
class DerivationTest {

    private static final NamingRules RULES = NamingRules.USUAL;

    @Property(tries = 150)
    void after_any_edits_the_tables_are_those_of_a_fresh_derivation(
            @ForAll @LongRange(min = 0, max = 1_000_000) long seed) {
        Document document = Document.EMPTY.with(AnyWords.of(seed));
        Mapping mapping = Mapping.NONE.after(document.design(), RULES, false);
        for (UnaryOperator<Document> edit : edits(document.design(), seed)) {
            document = edit.apply(document);
            mapping = mapping.after(document.design(), RULES, false);

            assertThat(mapping.schema())
                    .isEqualTo(Mapping.of(document.design(), RULES).schema());
        }
    }

    /** Renames, keys taken and given, things set aside, deleted and taken back. */
    private static List<UnaryOperator<Document>> edits(Design design, long seed) {
        var edits = new ArrayList<UnaryOperator<Document>>();
        for (Entity entity : design.entities()) {
            edits.add(document -> new Edits(document.design(), IdSource.seeded(seed))
                    .rename(document.design().entity(entity.id()).orElseThrow(), "thing")
                    .applyTo(document));
            for (Attribute attribute : entity.body().attributes()) {
                edits.add(changing(attribute, "renamed", seed));
                edits.add(document -> new Edits(document.design(), IdSource.seeded(seed))
                        .chooseKey(entity.id(), List.of(attribute.ref()))
                        .applyTo(document));
                edits.add(changing(attribute, "renamed again", seed));
                edits.add(document -> new Edits(
                                document.design(),
                                IdSource.seeded(attribute.id().hashCode()))
                        .setOften(attributeNow(document, attribute), Index.Purpose.SEARCHED, true)
                        .applyTo(document));
                edits.add(changing(attribute, "renamed", seed));
            }
            edits.add(document -> new Edits(document.design(), IdSource.seeded(seed))
                    .setParked(document.design().entity(entity.id()).orElseThrow(), seed % 2 == 0)
                    .applyTo(document));
        }
        for (Relationship each : design.relationships()) {
            edits.add(document -> new Edits(document.design(), IdSource.seeded(seed))
                    .remove(List.of(each.id()))
                    .applyTo(document));
        }
        edits.add(document -> document.with(design));
        return edits;
    }

    private static UnaryOperator<Document> changing(Attribute attribute, String name, long seed) {
        return document -> new Edits(document.design(), IdSource.seeded(seed))
                .changeAttribute(attributeNow(document, attribute)
                        .withName(name)
                        .withOptional(!attribute.optional())
                        .withType(DataTypes.parse("date"))
                        .withDefault(Expression.none()))
                .applyTo(document);
    }

    private static Attribute attributeNow(Document document, Attribute attribute) {
        return document.design().attribute(attribute.id()).orElseThrow();
    }

    @Test
    void a_table_is_made_anew_only_with_what_it_refers_to() {
        DesignFixture before = design(
                "Each apiary has code: text 6 (key), name.",
                "Each hive stands in exactly one apiary; each apiary shelters any number of hives.",
                "Each hive is identified by its apiary.",
                "Each visit is of exactly one hive; each hive sees any number of visits.",
                "Each keeper has name: text 40 (key).");
        Mapping mapping = Mapping.NONE.after(before.design(), RULES, false);
        Mapping named =
                mapping.after(before.with("Each keeper has badge: text 9.").design(), RULES, false);
        Mapping keyed =
                mapping.after(before.with("Each apiary has code: text 8.").design(), RULES, false);

        assertThat(kept(mapping, named)).containsExactly("apiary", "hive", "visit");
        assertThat(kept(mapping, keyed)).containsExactly("keeper");
        assertThat(keyed.schema().table("visit").orElseThrow().columns())
                .extracting(each -> each.type().toString())
                .containsExactly("text 8");
    }

    @Test
    void an_answer_by_which_numbers_are_the_databases_alone_makes_its_table_anew_and_no_other() {
        DesignFixture before = design(
                "Each apiary has no: counted (key).",
                "Each hive has no: counted (key).",
                "Each hive stands in exactly one apiary; each apiary shelters any number of hives.",
                "Each keeper has no: counted (key).");
        Mapping mapping = Mapping.NONE.after(before.design(), RULES, false);
        Mapping answered =
                mapping.after(before.with("The no of each hive never changes.").design(), RULES, false);

        assertThat(kept(mapping, answered)).containsExactly("apiary", "keeper");
        assertThat(answered.schema()
                        .table("hive")
                        .orElseThrow()
                        .columns()
                        .get(0)
                        .identity())
                .contains(new Identity(1, 1, true));
    }

    private static List<String> kept(Mapping before, Mapping after) {
        return after.schema().tables().stream()
                .filter(table -> before.schema().tables().stream().anyMatch(each -> each == table))
                .map(Table::name)
                .toList();
    }

    @Test
    void a_name_that_becomes_free_is_given_to_the_next() {
        DesignFixture before = design("Each hive has code (key).", "Each nuc has code (key).")
                .with(made -> new Edits(made.design(), made.ids()).rename(made.entity("Nuc"), "Hive!"));
        DesignFixture after = before.with(made -> new Edits(made.design(), made.ids())
                .remove(List.of(made.design().entities().get(0).id())));
        Mapping mapping = Mapping.NONE.after(before.design(), RULES, false);

        assertThat(mapping.after(after.design(), RULES, false).schema())
                .isEqualTo(Mapping.of(after.design(), RULES).schema());
    }
}
