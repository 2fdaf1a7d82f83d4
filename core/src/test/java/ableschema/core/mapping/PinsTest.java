package ableschema.core.mapping;

import static ableschema.core.DesignFixture.design;
import static org.assertj.core.api.Assertions.assertThat;

import ableschema.core.DesignFixture;
import ableschema.core.design.Attribute;
import ableschema.core.design.Check;
import ableschema.core.design.ColumnRef;
import ableschema.core.design.End;
import ableschema.core.design.Entity;
import ableschema.core.design.ForeignColumn;
import ableschema.core.design.IdKind;
import ableschema.core.design.Index;
import ableschema.core.design.Lists;
import ableschema.core.design.Pins;
import ableschema.core.design.Pins.Role;
import ableschema.core.design.Reference;
import ableschema.core.design.ReferenceColumn;
import ableschema.core.design.Relationship;
import ableschema.core.design.Side;
import ableschema.core.edit.ChangeBody;
import ableschema.core.edit.ChangeEntity;
import ableschema.core.edit.Edits;
import ableschema.core.edit.PutRelationship;
import ableschema.core.expression.Expression;
import ableschema.core.schema.Column;
import ableschema.core.schema.ForeignKey;
import ableschema.core.schema.Table;
import ableschema.core.schema.TableName;
import java.util.List;
import java.util.Map;
import java.util.function.UnaryOperator;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

/** What is held fast: names by role, places, namespaces and options. */
class PinsTest {

    private static final DesignFixture CRATES = design(
            "Each depot has code: text 6 (key), zip: text 5, phone: text 20 (unique).",
            "Each crate has crate no: whole (key), label: text 20, weight: decimal 6,2.",
            "Each crate stands in exactly one depot; each depot holds any number of crates.");

    private static DesignFixture pin(DesignFixture made, String entity, UnaryOperator<Pins> pins) {
        Entity pinned = made.entity(entity);
        return made.with(new ChangeEntity(pinned.withPins(pins.apply(pinned.pins())), "pin"));
    }

    private static DesignFixture pin(DesignFixture made, String entity, String name, UnaryOperator<Pins> pins) {
        Attribute attribute = made.attribute(entity, name);
        return made.with(
                new Edits(made.design(), made.ids()).changeAttribute(attribute.withPins(pins.apply(attribute.pins()))));
    }

    private static DesignFixture refer(DesignFixture made, UnaryOperator<Reference> reference) {
        Relationship stands = made.design().relationships().get(0);
        End end = stands.second();
        return made.with(
                new PutRelationship(stands.with(Side.SECOND, end.with(reference.apply(end.reference()))), "refer"));
    }

    @Test
    void each_constraint_can_have_a_name_of_its_own() {
        DesignFixture keyed = pin(CRATES, "Crate", pins -> pins.withName(Role.KEY, "PK_CRATE"));
        DesignFixture named =
                refer(keyed, r -> r.withName(Role.ITSELF, "fkDepot").withName(Role.INDEX, "ixDepot"));
        Table crate = named.table("crate");

        assertThat(crate.primaryKey().orElseThrow().name()).isEqualTo("PK_CRATE");
        assertThat(crate.foreignKeys()).extracting(ForeignKey::name).containsExactly("fkDepot");
        assertThat(crate.indexes()).extracting(Table.TableIndex::name).containsExactly("ixDepot");
        assertThat(named.gaps()).isEmpty();
    }

    @Test
    void the_unique_constraint_of_a_one_to_one_can_have_a_name_too() {
        DesignFixture made = design(
                "Each lid has no: whole (key).",
                "Each jar has no: whole (key).",
                "Each lid closes at most one jar; each jar is closed by exactly one lid.");
        Relationship closes = made.design().relationships().get(0);
        Reference named = closes.first().reference().withName(Role.UNIQUE, "one_jar");
        Table jar = made.with(new PutRelationship(
                        closes.with(Side.FIRST, closes.first().with(named)), "name"))
                .table("jar");

        assertThat(jar.uniques()).extracting(Table.UniqueConstraint::name).containsExactly("one_jar");
    }

    @Test
    void a_long_pinned_name_is_not_shortened() {
        String name = "T".repeat(200);

        assertThat(pin(CRATES, "Crate", pins -> pins.withName(name)).table(name).name())
                .isEqualTo(name);
    }

    @Test
    void a_name_that_the_rules_give_makes_way_for_a_pinned_one() {
        DesignFixture pinned = pin(CRATES, "Crate", pins -> pins.withName("depot"));

        assertThat(pinned.table("depot").columns()).extracting(Column::name).contains("crate_no");
        assertThat(pinned.table("depot_2").columns()).extracting(Column::name).contains("zip");
        assertThat(pinned.gaps()).isEmpty();
    }

    @Test
    void a_name_pinned_twice_is_told_and_not_numbered_in_silence() {
        DesignFixture twice =
                pin(pin(CRATES, "Crate", pins -> pins.withName("stock")), "Depot", pins -> pins.withName("Stock"));

        assertThat(twice.gaps()).hasSize(1).first().asString().contains("pinned for another table too");
        DesignFixture columns = pin(
                pin(CRATES, "Crate", "label", pins -> pins.withName("text")),
                "Crate",
                "weight",
                pins -> pins.withName("text"));
        assertThat(columns.gaps()).hasSize(1).first().asString().contains("text is pinned twice in Crate");
        assertThat(columns.document().mapping().remarks())
                .extracting(remark -> remark.place().table())
                .containsExactly(TableName.of("crate"));
    }

    @Test
    void columns_and_constraints_make_way_for_names_that_are_pinned_further_on() {
        DesignFixture column = pin(CRATES, "Crate", "weight", pins -> pins.withName("label"));
        DesignFixture foreign = refer(
                CRATES,
                r -> r.with(ReferenceColumn.to(CRATES.attribute("Depot", "code").ref())
                        .withName("weight")));
        DesignFixture key = pin(CRATES, "Crate", pins -> pins.withName(Role.KEY, "depot_phone_unique"));
        DesignFixture reference = refer(CRATES, r -> r.withName(Role.ITSELF, "crate_key"));

        assertThat(column.table("crate").columns())
                .extracting(Column::name)
                .contains("label", "label_2")
                .doesNotContain("weight");
        assertThat(foreign.table("crate").columns()).extracting(Column::name).contains("weight", "weight_2");
        assertThat(key.table("depot").uniques())
                .extracting(Table.UniqueConstraint::name)
                .containsExactly("depot_phone_unique_2");
        assertThat(reference.table("crate").primaryKey().orElseThrow().name()).isEqualTo("crate_key_2");
        assertThat(Stream.of(column, foreign, key, reference).flatMap(each -> each.gaps().stream()))
                .isEmpty();
    }

    @Test
    void a_column_stands_at_the_place_that_is_pinned() {
        DesignFixture moved = pin(CRATES, "Crate", "weight", pins -> pins.withPlace(1));

        assertThat(moved.table("crate").columns())
                .extracting(Column::name)
                .containsExactly("weight", "crate_no", "label", "depot_code");
        DesignFixture last = pin(CRATES, "Crate", "crate no", pins -> pins.withPlace(99));
        assertThat(last.table("crate").columns())
                .extracting(Column::name)
                .containsExactly("label", "weight", "depot_code", "crate_no");
    }

    @Test
    void two_tables_of_one_name_in_two_namespaces_are_two() {
        DesignFixture apart = pin(
                pin(CRATES, "Crate", pins -> pins.withName("stock").withNamespace("north")),
                "Depot",
                pins -> pins.withName("stock").withNamespace("south"));

        assertThat(apart.document().mapping().schema().tables())
                .extracting(each -> each.qualified().toString())
                .containsExactly("south.stock", "north.stock");
        assertThat(apart.gaps()).isEmpty();
        assertThat(apart.document()
                        .mapping()
                        .schema()
                        .table(new TableName("north", "stock"))
                        .orElseThrow()
                        .foreignKeys())
                .extracting(ForeignKey::target)
                .containsExactly(new TableName("south", "stock"));
    }

    @Test
    void options_reach_table_column_and_index() {
        DesignFixture optioned = pin(
                pin(CRATES, "Crate", pins -> pins.withOption("mysql.engine", "InnoDB")),
                "Crate",
                "label",
                pins -> pins.withOption("mysql.type", "tinytext"));
        Index index = new Index(
                optioned.ids().next(IdKind.INDEX),
                List.of(new Index.Part(optioned.attribute("Crate", "weight").ref(), true)),
                true,
                Pins.NONE.withOption("postgresql.method", "btree"));
        DesignFixture indexed = optioned.with(new ChangeBody(
                optioned.entity("Crate").id(), optioned.entity("Crate").body().withIndexes(List.of(index)), "index"));
        Table crate = indexed.table("crate");

        assertThat(crate.options()).containsExactly(Map.entry("mysql.engine", "InnoDB"));
        assertThat(crate.column("label").orElseThrow().options()).containsExactly(Map.entry("mysql.type", "tinytext"));
        assertThat(crate.indexes().get(0).options()).containsExactly(Map.entry("postgresql.method", "btree"));
        assertThat(crate.indexes().get(0).unique()).isTrue();
        assertThat(crate.indexes().get(0).columns()).containsExactly(new Table.IndexedColumn("weight", true));
    }

    @Test
    void a_rule_over_a_column_that_is_gone_is_left_out_and_told() {
        DesignFixture made = CRATES.with(f -> {
            var gone = new ForeignColumn(f.design().relationships().get(0).ref(Side.FIRST), new ColumnRef.Keyless());
            Entity crate = f.entity("Crate");
            var check = new Check(
                    f.ids().next(IdKind.CHECK),
                    Expression.of(new Expression.Column<>(gone), new Expression.Text<>(" > 1")),
                    Pins.NONE);
            return new ChangeBody(
                    crate.id(), crate.body().withChecks(Lists.plus(crate.body().checks(), check)), "check");
        });

        assertThat(made.table("crate").checks()).isEmpty();
        assertThat(made.gaps()).hasSize(1).first().asString().contains("speaks of a column that is not in this table");
    }
}
