package ableschema.core.mapping;

import static ableschema.core.DesignFixture.design;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import ableschema.core.DesignFixture;
import ableschema.core.design.Attribute;
import ableschema.core.design.Cardinality;
import ableschema.core.design.Check;
import ableschema.core.design.ColumnRef;
import ableschema.core.design.Domain;
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
import ableschema.core.edit.PutDomain;
import ableschema.core.edit.PutRelationship;
import ableschema.core.expression.Expression;
import ableschema.core.rows.DesignScript;
import ableschema.core.schema.Column;
import ableschema.core.schema.ForeignKey;
import ableschema.core.schema.Part;
import ableschema.core.schema.Table;
import ableschema.core.schema.TableName;
import ableschema.core.sql.dialect.Dialects;
import ableschema.core.types.ReferenceAction;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.UnaryOperator;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

/** What is held fast: names by role, places, namespaces, options, and all that a reference owns. */
class PinsTest {

    private static final DesignFixture CRATES = design(
            "Each depot has code: text 6 (key), zip: text 5, phone: text 20 (unique).",
            "Each crate has crate no: whole (key), label: text 20, weight: decimal 6,2.",
            "Each crate stands in exactly one depot; each depot holds any number of crates.");

    private static Table table(DesignFixture made, String name) {
        return made.document().mapping().schema().table(name).orElseThrow(() -> new AssertionError("no table " + name));
    }

    private static List<String> gaps(DesignFixture made) {
        return made.document().mapping().gaps().stream().map(Gap::text).toList();
    }

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
        Table crate = table(named, "crate");

        assertThat(crate.primaryKey().orElseThrow().name()).isEqualTo("PK_CRATE");
        assertThat(crate.foreignKeys()).extracting(ForeignKey::name).containsExactly("fkDepot");
        assertThat(crate.indexes()).extracting(Table.TableIndex::name).containsExactly("ixDepot");
        assertThat(gaps(named)).isEmpty();
    }

    @Test
    void the_unique_constraint_of_a_one_to_one_can_have_a_name_too() {
        DesignFixture made = design(
                "Each lid has no: whole (key).",
                "Each jar has no: whole (key).",
                "Each lid closes at most one jar; each jar is closed by exactly one lid.");
        Relationship closes = made.design().relationships().get(0);
        Reference named = closes.first().reference().withName(Role.UNIQUE, "one_jar");
        Table jar = table(
                made.with(new PutRelationship(
                        closes.with(Side.FIRST, closes.first().with(named)), "name")),
                "jar");

        assertThat(jar.uniques()).extracting(Table.UniqueConstraint::name).containsExactly("one_jar");
    }

    @Test
    void a_long_pinned_name_is_not_shortened() {
        String name = "T".repeat(200);

        assertThat(table(pin(CRATES, "Crate", pins -> pins.withName(name)), name)
                        .name())
                .isEqualTo(name);
    }

    @Test
    void a_name_that_the_rules_give_makes_way_for_a_pinned_one() {
        DesignFixture pinned = pin(CRATES, "Crate", pins -> pins.withName("depot"));

        assertThat(table(pinned, "depot").columns()).extracting(Column::name).contains("crate_no");
        assertThat(table(pinned, "depot_2").columns()).extracting(Column::name).contains("zip");
        assertThat(gaps(pinned)).isEmpty();
    }

    @Test
    void a_name_pinned_twice_is_told_and_not_numbered_in_silence() {
        DesignFixture twice =
                pin(pin(CRATES, "Crate", pins -> pins.withName("stock")), "Depot", pins -> pins.withName("Stock"));

        assertThat(gaps(twice)).hasSize(1).first().asString().contains("pinned for another table too");
        DesignFixture columns = pin(
                pin(CRATES, "Crate", "label", pins -> pins.withName("text")),
                "Crate",
                "weight",
                pins -> pins.withName("text"));
        assertThat(gaps(columns)).hasSize(1).first().asString().contains("text is pinned twice in Crate");
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

        assertThat(table(column, "crate").columns())
                .extracting(Column::name)
                .contains("label", "label_2")
                .doesNotContain("weight");
        assertThat(table(foreign, "crate").columns()).extracting(Column::name).contains("weight", "weight_2");
        assertThat(table(key, "depot").uniques())
                .extracting(Table.UniqueConstraint::name)
                .containsExactly("depot_phone_unique_2");
        assertThat(table(reference, "crate").primaryKey().orElseThrow().name()).isEqualTo("crate_key_2");
        assertThat(Stream.of(column, foreign, key, reference).flatMap(each -> gaps(each).stream()))
                .isEmpty();
    }

    private static Domain pinned(Domain domain, Pins pins) {
        return new Domain(
                domain.id(),
                domain.name(),
                domain.base(),
                domain.check(),
                domain.defaultValue(),
                domain.comment(),
                pins);
    }

    private static DesignFixture domains(Pins first, Pins second) {
        DesignFixture made = design(
                "The domain Zip holds text 5.",
                "The domain Crate holds text 9.",
                "Each crate has code: domain Crate (key), [zip]: domain Zip.");
        List<Domain> all = made.design().domains();
        return made.with(new PutDomain(pinned(all.get(0), first), "pin"))
                .with(new PutDomain(pinned(all.get(1), second), "pin"));
    }

    private static List<String> domainNames(DesignFixture made) {
        return made.document().mapping().schema().domains().stream()
                .map(domain -> domain.name().toString())
                .toList();
    }

    @Test
    void domains_make_way_for_tables_and_for_pinned_names_and_say_so() {
        assertThat(domainNames(domains(Pins.NONE, Pins.NONE))).containsExactly("zip", "crate_2");
        assertThat(domainNames(domains(Pins.NONE, Pins.NONE.withName("zip")))).containsExactly("zip_2", "zip");
        assertThat(domainNames(domains(Pins.NONE, Pins.NONE.withNamespace("shop"))))
                .containsExactly("zip", "shop.crate");
        DesignFixture twice = domains(Pins.NONE.withName("d"), Pins.NONE.withName("D"));

        assertThat(domainNames(twice)).containsExactly("d", "D_2");
        assertThat(gaps(twice))
                .containsExactly("the name D is pinned for another domain too, so that this one is called D_2");
        assertThat(DesignScript.definitions(twice.document().mapping(), Dialects.POSTGRESQL)
                        .text())
                .contains(
                        "-- The name D is pinned for another domain too, so that this one is called D_2.\nCREATE DOMAIN");
        assertThat(twice.document()
                        .mapping()
                        .trace()
                        .things(List.of(twice.document()
                                .mapping()
                                .schema()
                                .domains()
                                .get(1)
                                .part())))
                .containsExactly(twice.design().domains().get(1).id());
        assertThat(table(twice, "crate").columns())
                .extracting(c -> c.type().toString())
                .containsExactly("domain D_2", "domain d");
    }

    @Test
    void a_domain_that_changes_makes_only_the_tables_anew_that_have_it() {
        DesignFixture made = design(
                "The domain Zip holds text 5.",
                "Each depot has code: domain Zip (key).",
                "Each crate has no: whole (key).",
                "Each label has no: whole (key).",
                "Each crate stands in exactly one depot; each depot holds any number of crates.");
        DesignFixture changed = made.with("The domain Zip holds text 7.");
        DesignFixture renamed = changed.with(
                new PutDomain(pinned(changed.design().domains().get(0), Pins.NONE.withName("post_code")), "pin"));
        Mapping first = made.document().mapping();
        Mapping second = first.after(changed.design(), NamingRules.USUAL, false);
        Mapping third = second.after(renamed.design(), NamingRules.USUAL, false);

        assertThat(second.schema().domains().get(0).base()).hasToString("text 7");
        assertThat(third.schema().table("label").orElseThrow())
                .isSameAs(second.schema().table("label").orElseThrow())
                .isSameAs(first.schema().table("label").orElseThrow());
        assertThat(third.schema().table("depot").orElseThrow().columns().get(0).type())
                .hasToString("domain post_code");
        assertThat(third.schema()
                        .table("crate")
                        .orElseThrow()
                        .column("depot_code")
                        .orElseThrow()
                        .type())
                .as("what refers is held by what it refers to")
                .hasToString("text 7");
    }

    @Test
    void the_trace_leads_from_each_part_to_its_thing() {
        Mapping mapping = CRATES.document().mapping();
        Trace trace = mapping.trace();
        Table crate = table(CRATES, "crate");
        Column depot = crate.column("depot_code").orElseThrow();
        Relationship stands = CRATES.design().relationships().get(0);

        assertThat(trace.label(crate)).isEqualTo("Crate");
        assertThat(trace.isJunction(crate)).isFalse();
        assertThat(trace.origin(crate, depot)).isEqualTo(stands.id());
        assertThat(trace.column(crate, trace.ref(crate, depot))).contains(depot);
        assertThat(trace.column(table(CRATES, "depot"), trace.ref(crate, depot)))
                .isEmpty();
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
                        trace.end(table(CRATES, "depot"), crate.foreignKeys().get(0)))
                .hasMessageContaining("no trace of the foreign key crate_stands_in_depot of depot");
        assertThatThrownBy(() -> trace.column(table(CRATES, "depot"), depot))
                .hasMessageContaining("no trace of the column depot_code of depot");
    }

    @Test
    void a_column_stands_at_the_place_that_is_pinned() {
        DesignFixture moved = pin(CRATES, "Crate", "weight", pins -> pins.withPlace(1));

        assertThat(table(moved, "crate").columns())
                .extracting(Column::name)
                .containsExactly("weight", "crate_no", "label", "depot_code");
        DesignFixture last = pin(CRATES, "Crate", "crate no", pins -> pins.withPlace(99));
        assertThat(table(last, "crate").columns())
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
        assertThat(gaps(apart)).isEmpty();
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
        Table crate = table(indexed, "crate");

        assertThat(crate.options()).containsExactly(Map.entry("mysql.engine", "InnoDB"));
        assertThat(crate.column("label").orElseThrow().options()).containsExactly(Map.entry("mysql.type", "tinytext"));
        assertThat(crate.indexes().get(0).options()).containsExactly(Map.entry("postgresql.method", "btree"));
        assertThat(crate.indexes().get(0).unique()).isTrue();
        assertThat(crate.indexes().get(0).columns()).containsExactly(new Table.IndexedColumn("weight", true));
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
        Table crate = table(called, "crate");
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
        Table apart = table(made, "crate");
        Table crate = table(
                made.with(new PutRelationship(
                        stands.with(Side.SECOND, stands.second().with(shared)), "share")),
                "crate");

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

        assertThat(table(made, "jar_fair").foreignKeys())
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

        assertThat(table(made, "trip").columns())
                .extracting(Column::name)
                .containsExactly("trip_no", "starts_at_port_code", "ended_at_port_code");
        assertThat(table(made, "ship").columns()).extracting(Column::name).containsExactly("imo", "led_by_ship_imo");
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

        assertThat(table(made, "crate").checks()).isEmpty();
        assertThat(gaps(made)).hasSize(1).first().asString().contains("speaks of a column that is not in this table");
    }
}
