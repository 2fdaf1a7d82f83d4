package ableschema.core.design;

import static ableschema.core.DesignFixture.design;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import ableschema.core.DesignFixture;
import ableschema.core.difference.Difference;
import ableschema.core.edit.Edits;
import ableschema.core.edit.Remove;
import ableschema.core.expression.Expression;
import ableschema.core.types.DataTypes;
import ableschema.core.words.ConditionText;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class DesignTest {

    private static final String[] HIVES = {
        "Each apiary has code: text 6 (key), name: text 60.",
        "Each hive has stand no: whole 500 (key), colour: text 20 (unique).",
        "Each hive stands in exactly one apiary; each apiary shelters any number of hives."
    };

    @Test
    void designs_said_twice_mean_the_same_whatever_their_ids() {
        assertThat(design(HIVES).design()).isNotEqualTo(design(HIVES).design());
        assertThat(design(HIVES).design().sameMeaning(design(HIVES).design())).isEmpty();
    }

    @Test
    void what_differs_is_said_in_the_designers_names() {
        List<Difference> differences = design(HIVES)
                .design()
                .sameMeaning(
                        design(HIVES).with("Each hive has colour: text 30.").design());

        assertThat(differences).hasSize(1);
        assertThat(differences.get(0).place()).isEqualTo("Hive.colour");
        assertThat(differences.get(0).before()).get().asString().startsWith("attribute 2 text 20");
        assertThat(differences.get(0).inWords()).contains("text 20").contains("text 30");
    }

    @Test
    void an_order_of_attributes_a_verb_and_a_row_are_part_of_the_meaning() {
        DesignFixture start = design(HIVES);
        DesignFixture moved =
                start.with(f -> new Edits(f.design(), f.ids()).moveAttribute(f.attribute("Hive", "colour"), 0));
        DesignFixture filled = start.with(f -> new Edits(f.design(), f.ids())
                .setRows(f.entity("Apiary").id(), List.of(Row.empty(f.ids().next(IdKind.ROW))), "add"));

        assertThat(start.design().sameMeaning(moved.design())).isNotEmpty();
        assertThat(start.design().sameMeaning(filled.design())).isNotEmpty();
    }

    @Test
    void deleting_an_attribute_takes_it_out_of_keys_rules_and_rows() {
        DesignFixture start = design(HIVES).with(f -> new Edits(f.design(), f.ids())
                .setCondition(
                        f.attribute("Hive", "stand no"), ConditionText.read(f.attribute("Hive", "stand no"), "> 0")));
        Id standNo = start.attribute("Hive", "stand no").id();
        DesignFixture filled = start.with(f -> new Edits(f.design(), f.ids())
                .setRows(
                        f.entity("Hive").id(),
                        List.of(Row.empty(f.ids().next(IdKind.ROW)).with(standNo, "1")),
                        "add"));
        Body left = filled.with(new Remove(List.of(standNo), "delete"))
                .entity("Hive")
                .body();

        assertThat(left.attributes()).extracting(Attribute::name).containsExactly("colour");
        assertThat(left.key()).isEmpty();
        assertThat(left.checks()).isEmpty();
        assertThat(left.rows().get(0).values()).isEmpty();
    }

    @Test
    void deleting_an_entity_takes_its_relationships_along_and_out_of_keys_elsewhere() {
        DesignFixture weak = design(HIVES).with(f -> new Edits(f.design(), f.ids())
                .setIdentifying(f.design().relationships().get(0), true));
        assertThat(weak.design().isWeak(weak.entity("Hive"))).isTrue();
        DesignFixture left = weak.with(new Remove(List.of(weak.entity("Apiary").id()), "delete"));

        assertThat(left.design().relationships()).isEmpty();
        assertThat(left.entity("Hive").body().key()).hasSize(1);
        assertThat(left.design().isWeak(left.entity("Hive"))).isFalse();
    }

    @Test
    void a_change_that_changes_nothing_gives_the_same_document() {
        DesignFixture start = design(HIVES);
        var edits = new Edits(start.design(), start.ids());

        assertThat(edits.rename(start.entity("Hive"), "Hive").applyTo(start.document()))
                .isSameAs(start.document());
        assertThat(edits.changeAttribute(start.attribute("Hive", "colour")).applyTo(start.document()))
                .isSameAs(start.document());
        assertThat(edits.changeRelationship(start.design().relationships().get(0))
                        .applyTo(start.document()))
                .isSameAs(start.document());
    }

    @Test
    void edits_read_well_in_a_history() {
        DesignFixture start = design(HIVES);
        var edits = new Edits(start.design(), start.ids());
        Attribute colour = start.attribute("Hive", "colour");

        assertThat(List.of(
                        edits.rename(start.entity("Hive"), "Colony").name(),
                        edits.changeAttribute(colour.withName("paint")).name(),
                        edits.setUnique(colour, false).name(),
                        edits.setOften(colour, Index.Purpose.SEARCHED, true).name(),
                        edits.setCondition(colour, ConditionText.read(colour, "one of white, sage"))
                                .name(),
                        edits.chooseKey(start.entity("Hive").id(), List.of(colour.ref()))
                                .name(),
                        edits.remove(List.of(colour.id())).name(),
                        edits.addDependency(start.entity("Hive").id(), List.of(colour.ref()), List.of(colour.ref()))
                                .name()))
                .containsExactly(
                        "rename Hive to Colony",
                        "rename colour to paint",
                        "let colour repeat",
                        "index colour",
                        "colour must be one of white, sage",
                        "make colour the key of Hive",
                        "delete colour",
                        "say that colour decides colour");
    }

    @Test
    void two_things_of_one_id_and_an_end_without_entity_are_refused() {
        Entity hive = Entity.named(Id.parse("e:000001"), "Hive");
        var end = new End(Id.parse("e:000009"), "", Cardinality.ANY_NUMBER, "");

        assertThatThrownBy(() -> Design.of(List.of(hive, hive), List.of()))
                .hasMessageContaining("two things have the id e:000001");
        assertThatThrownBy(
                        () -> Design.of(List.of(hive), List.of(Relationship.between(Id.parse("r:000001"), end, end))))
                .hasMessageContaining("refers to entity e:000009, which is not in the design");
    }

    @ParameterizedTest
    @ValueSource(
            strings = {"a:k3f9q2", "r:k3f9q2.1", "r:k3f9q2.2/a:0000zz", "r:k3f9q2.1/r:k3f9q3.2/a:0000zz", "r:k3f9q2.1/?"
            })
    void addresses_are_read_as_they_are_written(String text) {
        assertThat(KeyPart.parse(text)).hasToString(text);
    }

    @ParameterizedTest
    @ValueSource(strings = {"", "a", "a:", "a:k3f9q", "x:k3f9q2", "a:K3F9Q2", "r:k3f9q2.3", "r:k3f9q2.1/", "a:k3f9ql"})
    void what_is_no_address_is_named(String text) {
        assertThatThrownBy(() -> KeyPart.parse(text)).isInstanceOf(IllegalArgumentException.class);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            textBlock =
                    """
            text 40           | text 40
            TEXT  40          | text 40
            long text         | text
            whole 500         | whole 500
            counted           | counted
            counted 500 by 10 | counted 500 by 10
            counted by 2      | counted 1 by 2
            decimal 6, 2      | decimal 6,2
            Moment Anywhere   | moment anywhere
            yes/no            | yes/no
            ''                | undecided
            """)
    void types_are_read_and_written_in_short(String text, String written) {
        assertThat(DataTypes.parse(text)).hasToString(written);
        assertThat(DataTypes.parse(written)).isEqualTo(DataTypes.parse(text));
    }

    @ParameterizedTest
    @ValueSource(
            strings = {"txt", "text -1", "decimal 2,6", "decimal 0,0", "counted 1 by 0", "whole 1.5", "text 9999999999"
            })
    void what_is_no_type_is_refused(String text) {
        assertThatThrownBy(() -> DataTypes.parse(text)).isInstanceOf(IllegalArgumentException.class);
    }

    @Test
    void ids_are_the_same_for_the_same_source_and_text() {
        assertThat(Id.derived(IdKind.ENTITY, "hive")).isEqualTo(Id.derived(IdKind.ENTITY, "hive"));
        assertThat(Id.derived(IdKind.ENTITY, "hive")).isNotEqualTo(Id.derived(IdKind.ENTITY, "queen"));
        assertThat(IdSource.seeded(3).next(IdKind.ROW))
                .isEqualTo(IdSource.seeded(3).next(IdKind.ROW));
        assertThat(Id.parse(IdSource.random().next(IdKind.CHECK).toString()).kind())
                .isEqualTo(IdKind.CHECK);
    }

    @Test
    void expressions_keep_columns_and_braces_apart() {
        Expression<ColumnRef> expression = Expression.parse("{a:k3f9q2} in ('{{', '}}') and 1 < 2", ColumnRef::parse);

        assertThat(expression.columns()).containsExactly(ColumnRef.parse("a:k3f9q2"));
        assertThat(expression.written(ref -> "colour")).isEqualTo("colour in ('{', '}') and 1 < 2");
        assertThat(Expression.parse(expression.toString(), ColumnRef::parse).written(ref -> "x"))
                .isEqualTo(expression.written(ref -> "x"));
        assertThatThrownBy(() -> Expression.parse("{a:k3f9q2", ColumnRef::parse))
                .hasMessageContaining("a brace stands alone");
        assertThatThrownBy(() -> Expression.parse("{colour} > 1", ColumnRef::parse))
                .hasMessageContaining("'colour' is no id");
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            textBlock =
                    """
            whole    | between 1 and 10      | {a:000001} between 1 and 10    | 10         | 11
            whole    | greater than 0        | {a:000001} > 0                 | 1          | 0
            whole    | <= 5                  | {a:000001} <= 5                | 5          | 6
            whole    | other than 3          | {a:000001} <> 3                | 2          | 3
            decimal 6,2 | at least 0.5       | {a:000001} >= 0.5              | 0.50       | 0.49
            text 20  | one of it's, white    | {a:000001} in ('it''s', 'white') | it's     | sage
            date     | at least 1990-01-01   | {a:000001} >= '1990-01-01'     | 2027-01-01 | 1989-12-31
            yes/no   | equal to yes          | {a:000001} = true              | yes        | no
            """)
    void rules_become_standard_sql_and_are_found_in_it_again(
            String type, String words, String sql, String good, String bad) {
        var attribute = Attribute.named(Id.parse("a:000001"), "x").withType(DataTypes.parse(type));
        Condition condition = ConditionText.read(attribute, words).orElseThrow();
        Expression<ColumnRef> expression = condition.expression(attribute.type());

        assertThat(expression).hasToString(sql);
        Condition found =
                Condition.read(Expression.parse(sql, ColumnRef::parse)).orElseThrow();
        assertThat(found.holdsFor(attribute.type(), good)).isTrue();
        assertThat(found.holdsFor(attribute.type(), bad)).isFalse();
        assertThat(ConditionText.read(attribute, found.inWords()))
                .map(c -> c.expression(attribute.type()))
                .isEqualTo(Optional.of(expression));
    }

    @ParameterizedTest
    @ValueSource(strings = {"between 1 and x", "roughly 5", "one of 1.5"})
    void a_rule_that_can_never_hold_is_refused(String words) {
        var attribute = Attribute.named(Id.parse("a:000001"), "x").withType(DataTypes.parse("whole"));

        assertThatThrownBy(() -> ConditionText.read(attribute, words)).isInstanceOf(IllegalArgumentException.class);
    }

    @Test
    void an_id_is_used_once_in_memory_too() {
        DesignFixture start = design(HIVES);
        Entity hive = start.entity("Hive");
        Attribute colour = start.attribute("Hive", "colour");
        Entity apiary = start.entity("Apiary");

        assertThatThrownBy(
                        () -> start.design().with(apiary.withBody(apiary.body().with(colour))))
                .isInstanceOf(IllegalArgumentException.class)
                .hasMessage("two things have the id " + colour.id());
        Row row = Row.empty(start.ids().next(IdKind.ROW));
        Design filled = start.design().with(hive.withBody(hive.body().withRows(List.of(row))));
        assertThatThrownBy(() -> filled.with(apiary.withBody(apiary.body().withRows(List.of(row)))))
                .hasMessage("two things have the id " + row.id());
        assertThatThrownBy(() -> start.design().with(hive.withBody(hive.body().withRows(List.of(row, row)))))
                .hasMessage("two things have the id " + row.id());
        assertThat(filled.with(hive.withBody(hive.body().withRows(List.of(row))))
                        .entities())
                .as("a thing that stays is no second use")
                .hasSameSizeAs(start.design().entities());
    }

    @Test
    void a_million_ids_do_not_meet() {
        IdSource source = IdSource.seeded(1);
        var seen = new HashSet<Id>();
        for (int i = 0; i < 1_000_000; i++) {
            assertThat(seen.add(source.next(IdKind.ROW))).isTrue();
        }
        assertThat(Id.parse("a:k3f9q2").code())
                .as("ids of earlier files are read")
                .isEqualTo("k3f9q2");
    }

    @Test
    void what_is_removed_together_leaves_everything_that_stayed_the_same_instance() {
        DesignFixture start = design(HIVES).with("Each lid has no: whole (key).", "Each jar has no: whole (key).");
        Design rest = start.design()
                .without(Set.of(start.entity("Hive").id(), start.entity("Lid").id()));

        assertThat(rest.entity("Jar").orElseThrow()).isSameAs(start.entity("Jar"));
        assertThat(rest.entity("Apiary").orElseThrow()).isSameAs(start.entity("Apiary"));
        assertThat(rest.entities()).hasSize(2);
        assertThat(start.design().without(Set.of())).isSameAs(start.design());
    }
}
