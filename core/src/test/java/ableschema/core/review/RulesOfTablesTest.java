package ableschema.core.review;

import static ableschema.core.DesignFixture.design;
import static ableschema.core.review.RuleFixture.found;
import static ableschema.core.review.RuleFixture.mended;
import static ableschema.core.review.RuleFixture.texts;
import static org.assertj.core.api.Assertions.assertThat;

import ableschema.core.DesignFixture;
import ableschema.core.ddl.SqlReader;
import ableschema.core.design.Check;
import ableschema.core.design.ColumnRef;
import ableschema.core.design.IdKind;
import ableschema.core.design.IdSource;
import ableschema.core.design.Index;
import ableschema.core.design.Lists;
import ableschema.core.design.Pins;
import ableschema.core.design.Reference;
import ableschema.core.design.ReferenceColumn;
import ableschema.core.design.Relationship;
import ableschema.core.design.Side;
import ableschema.core.document.Document;
import ableschema.core.edit.ChangeBody;
import ableschema.core.edit.ChangeEntity;
import ableschema.core.edit.ChangeRules;
import ableschema.core.edit.Edits;
import ableschema.core.edit.PutRelationship;
import ableschema.core.expression.Expression;
import ableschema.core.finding.Finding;
import ableschema.core.finding.Place;
import ableschema.core.mapping.NamingRules;
import ableschema.core.reverse.Reverse;
import ableschema.core.sql.dialect.Dialects;
import ableschema.core.types.ReferenceAction;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

/** What rules say of keys, indexes, names and dialects, which depends on the tables. */
class RulesOfTablesTest {

    private static DesignFixture indexed(DesignFixture made, String... columns) {
        List<Index.Part> parts = Stream.of(columns)
                .map(name -> new Index.Part(made.attribute("Valve", name).ref(), false))
                .toList();
        var body = made.entity("Valve").body();
        var index = new Index(made.ids().next(IdKind.INDEX), parts, false, Pins.NONE);
        return made.with(new ChangeBody(
                made.entity("Valve").id(), body.withIndexes(Lists.plus(body.indexes(), index)), "index"));
    }

    @Test
    void an_index_that_leads_another_or_a_key_is_needless() {
        DesignFixture made = design("Each valve has no: whole (key), size: whole, maker: text 9.");

        assertThat(texts(indexed(made, "no"), "index-needless"))
                .containsExactly("Valve: the index valve_no_index leads nowhere that valve_key does not.");
        assertThat(texts(indexed(indexed(made, "size"), "size", "maker"), "index-needless"))
                .containsExactly(
                        "Valve: the index valve_size_index leads nowhere that valve_size_maker_index does not.");
        assertThat(texts(indexed(indexed(made, "size"), "maker", "size"), "index-needless"))
                .isEmpty();
        DesignFixture twice = indexed(indexed(made, "size"), "size");
        assertThat(found(twice, "index-needless")).hasSize(1);
        DesignFixture mended = twice.with(
                f -> found(twice, "index-needless").get(0).remedies().get(0).edit(f.design(), f.ids()));
        assertThat(mended.table("valve").indexes()).hasSize(1);
    }

    @Test
    void an_index_over_some_rows_makes_none_over_all_needless() {
        String valve = "Each valve has no: whole (key), size: whole, maker: text 9.";
        String some = "Each valve is often searched by its size where maker = 'Orr'.";
        String all = "Each valve is often searched by its size, maker.";

        assertThat(texts(design(valve, some, "Each valve is often searched by its size."), "index-needless"))
                .containsExactly("Valve: the index valve_size_index leads nowhere that valve_size_index_2 does not.");
        assertThat(texts(design(valve, some.replace("'Orr'", "'Abe'"), some), "index-needless"))
                .isEmpty();
        assertThat(texts(design(valve, all, "Each valve is often searched by its lower(maker)."), "index-needless"))
                .isEmpty();
    }

    @Test
    void more_indexes_than_the_house_admits_are_spoken_of() {
        DesignFixture made = design(
                "Each valve has no: whole (key), size: whole, maker: text 9.",
                "Each valve is often searched by its size.",
                "Each valve is often sorted by its maker.");
        var two = made.document().rules().naming().withMostIndexes(2);

        assertThat(texts(made, "index-many")).isEmpty();
        assertThat(texts(made.with(new ChangeRules(made.document().rules().withNaming(two), "two")), "index-many"))
                .containsExactly("Valve has 3 indexes; the house rules admit 2.");
        assertThat(texts(
                        made.with(new ChangeRules(made.document().rules().withNaming(two.withMostIndexes(0)), "any")),
                        "index-many"))
                .isEmpty();
    }

    private static final DesignFixture FED = design(
            "Each valve has no: whole (key), pump: text 9.",
            "Each pump has no: whole (key).",
            "Each valve is fed by at most one pump; each pump feeds any number of valves.");

    @Test
    void a_foreign_key_wants_an_index_and_the_type_of_its_target() {
        var naming = FED.document().rules().naming();
        DesignFixture bare = FED.with(new ChangeRules(
                FED.document().rules().withNaming(new NamingRules(naming.style(), false, false)), "no indexes"));
        Relationship fed = FED.design().relationships().get(0);
        Side side = fed.referencedSide().orElseThrow();
        Reference shared = fed.reference()
                .with(ReferenceColumn.to(FED.attribute("Pump", "no").ref())
                        .withSameAs(FED.attribute("Valve", "pump").ref()));
        DesignFixture unlike =
                FED.with(new PutRelationship(fed.with(side, fed.end(side).with(shared)), "share"));

        assertThat(texts(FED, "foreign-key-unindexed")).isEmpty();
        assertThat(texts(FED, "foreign-key-type")).isEmpty();
        assertThat(texts(bare, "foreign-key-unindexed"))
                .containsExactly("Valve: nothing indexes pump_no, by which it refers to pump.");
        assertThat(texts(bare.writtenFor(Dialects.MYSQL), "foreign-key-unindexed"))
                .as("it makes the index by itself")
                .isEmpty();
        DesignFixture mended = bare.with(f ->
                found(bare, "foreign-key-unindexed").get(0).remedies().get(0).edit(f.design(), f.ids()));
        assertThat(texts(mended, "foreign-key-unindexed")).isEmpty();
        DesignFixture ruled = bare.with(f ->
                found(bare, "foreign-key-unindexed").get(0).remedies().get(1).edit(f.design(), f.ids()));
        assertThat(texts(ruled, "foreign-key-unindexed")).isEmpty();
        assertThat(ruled.document().rules().naming().indexForeignKeys()).isTrue();
        assertThat(texts(unlike, "foreign-key-type"))
                .containsExactly("Valve: pump is varchar(9), and refers to pump.no, which is integer.");
    }

    @Test
    void what_is_not_in_a_dialect_is_found_at_its_thing() {
        DesignFixture made = design(
                "Each valve has no: counted 100 by -10 (key).",
                "Each seal has no: whole (key), size: whole (at least 1).",
                "Each valve needs at least one seal; each seal fits exactly one valve.");
        List<Finding> sqlite = found(made.writtenFor(Dialects.SQLITE), "not-in-dialect");
        DesignFixture unique = design("Each valve has no: whole (key), serial: text 9 (optional; unique).");

        assertThat(sqlite)
                .extracting(Finding::text)
                .anyMatch(text -> text.startsWith("Not in SQLite: ") && text.contains("valve.no"))
                .allMatch(text -> text.endsWith(".") && !text.endsWith(".."));
        assertThat(sqlite)
                .filteredOn(finding -> finding.text().contains("valve.no"))
                .extracting(Finding::place)
                .extracting(Place::owner)
                .contains(made.attribute("Valve", "no").id());
        assertThat(found(unique.writtenFor(Dialects.SQL_SERVER), "not-in-dialect"))
                .filteredOn(finding -> finding.text().contains("_unique"))
                .extracting(Finding::place)
                .containsExactly(Place.of(unique.entity("Valve").id()));
        assertThat(found(made, "not-in-dialect")).noneMatch(each -> each.text().contains("valve.no"));
    }

    @Test
    void names_that_cannot_be_had_are_told() {
        DesignFixture made = design("Each valve has no: whole (key).", "Each seal has no: whole (key).");
        String name = "v".repeat(70);
        DesignFixture longer =
                made.with(f -> new ChangeEntity(f.entity("Valve").withPins(Pins.NONE.withName(name)), "pin"));
        DesignFixture twice =
                longer.with(f -> new ChangeEntity(f.entity("Seal").withPins(Pins.NONE.withName(name)), "pin"));

        assertThat(texts(longer, "name-too-long"))
                .containsExactly("Valve: " + name + " has 70 characters, and PostgreSQL takes 63.");
        assertThat(texts(longer.writtenFor(Dialects.SQLITE), "name-too-long")).isEmpty();
        assertThat(texts(longer, "not-in-dialect")).as("said once").isEmpty();
        assertThat(texts(twice, "pinned-name-taken")).hasSize(1);
        assertThat(texts(longer, "pinned-name-taken")).isEmpty();
    }

    @Test
    void a_check_of_a_domain_is_the_columns_own() {
        DesignFixture made = design(
                "The domain bore holds whole (between 1 and 9).", "Each valve has no: whole (key), size: domain bore.");
        DesignFixture wrong = made.with(f -> new Edits(f.design(), f.ids())
                .changeAttribute(f.attribute("Valve", "size").withDefault(Expression.text("12"))));
        DesignFixture two = made.with(f -> {
            var both = Expression.<ColumnRef>of(
                    new Expression.Column<>(f.attribute("Valve", "no").ref()),
                    new Expression.Text<>(" > "),
                    new Expression.Column<>(f.attribute("Valve", "size").ref()));
            var body = f.entity("Valve")
                    .body()
                    .withChecks(List.of(new Check(f.ids().next(IdKind.CHECK), both, Pins.NONE)));
            return new ChangeBody(f.entity("Valve").id(), body, "check");
        });

        assertThat(texts(wrong, "default-outside-check"))
                .hasSize(1)
                .first()
                .asString()
                .contains("default of size is 12");
        assertThat(texts(two, "default-outside-check")).isEmpty();
    }

    @Test
    void what_a_set_aside_entity_leaves_open_is_told_at_the_key() {
        DesignFixture made = design(
                "Each site has code: text 4 (key).",
                "Each valve has no: whole.",
                "Each valve lies on exactly one site; each site holds any number of valves.",
                "Each valve is identified by its site and no.");
        DesignFixture aside = made.with(f -> new Edits(f.design(), f.ids()).setParked(f.entity("Site"), true));

        assertThat(texts(made, "key-part-aside")).isEmpty();
        assertThat(texts(aside, "key-part-aside")).hasSize(1);
        assertThat(texts(aside, "no-key")).as("said once").isEmpty();
    }

    @Test
    void an_action_belongs_to_each_reference_of_a_pairing() {
        DesignFixture made = design(
                "Each valve has no: whole (key).",
                "Each pump has no: whole (key).",
                "Each valve fits any number of pumps; each pump takes any number of valves.");
        Relationship fits = made.design().relationships().get(0);
        DesignFixture empties = made.with(new PutRelationship(
                fits.with(
                        Side.FIRST,
                        fits.first()
                                .with(Reference.USUAL.withActions(
                                        ReferenceAction.SET_NULL, ReferenceAction.NO_ACTION))),
                "act"));

        assertThat(texts(empties, "empties-required"))
                .containsExactly("When Valve goes, Valve Pump should lose its reference, but must have one.");
    }

    @Test
    void references_of_one_table_are_one_finding_and_indexed_together() {
        var read = Reverse.of(
                SqlReader.read(
                        "create table pump (no int primary key); create table site (no int primary key);"
                                + " create table valve (no int primary key, pump int references pump, site int references site,"
                                + " spare int references pump);",
                        Dialects.POSTGRESQL),
                "x");
        Document document = read.document();
        List<Finding> found = unindexed(document);

        assertThat(found)
                .extracting(Finding::text)
                .containsExactly("Valve: nothing indexes pump, site and spare, by which it refers to pump and site.");
        Document mended = found.get(0)
                .remedies()
                .get(0)
                .edit(document.design(), IdSource.seeded(1))
                .applyTo(document);
        assertThat(unindexed(mended)).isEmpty();
        assertThat(mended.mapping().schema().table("valve").orElseThrow().indexes())
                .hasSize(3);
    }

    private static List<Finding> unindexed(Document document) {
        return Review.of(Subject.of(document, document.mapping())).open().stream()
                .filter(each -> each.rule().id().equals("foreign-key-unindexed"))
                .toList();
    }
}
