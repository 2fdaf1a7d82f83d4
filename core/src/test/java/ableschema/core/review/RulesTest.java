package ableschema.core.review;

import static ableschema.core.DesignFixture.design;
import static org.assertj.core.api.Assertions.assertThat;

import ableschema.core.DesignFixture;
import ableschema.core.design.Attribute;
import ableschema.core.design.Check;
import ableschema.core.design.ColumnRef;
import ableschema.core.design.IdKind;
import ableschema.core.design.Index;
import ableschema.core.design.Lists;
import ableschema.core.design.Pins;
import ableschema.core.design.Reference;
import ableschema.core.design.ReferenceColumn;
import ableschema.core.design.Relationship;
import ableschema.core.design.Side;
import ableschema.core.design.Unique;
import ableschema.core.edit.ChangeBody;
import ableschema.core.edit.ChangeEntity;
import ableschema.core.edit.ChangeRules;
import ableschema.core.edit.Edits;
import ableschema.core.edit.PutRelationship;
import ableschema.core.expression.Expression;
import ableschema.core.finding.Finding;
import ableschema.core.finding.Place;
import ableschema.core.finding.Remedy;
import ableschema.core.finding.Rule;
import ableschema.core.finding.Severity;
import ableschema.core.mapping.NamingRules;
import ableschema.core.sql.dialect.Dialects;
import ableschema.core.types.DataType;
import ableschema.core.types.ReferenceAction;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Each rule finds what it is for, is silent beside it, and its remedy mends what it found. */
class RulesTest {

    private static DesignFixture said(String sentences) {
        return design(sentences.split("(?<=\\.) +(?=[A-Z])"));
    }

    private static List<Finding> found(DesignFixture made, String rule) {
        return made.review().open().stream()
                .filter(each -> each.rule().id().equals(rule))
                .toList();
    }

    private static List<String> texts(DesignFixture made, String rule) {
        return found(made, rule).stream().map(Finding::text).toList();
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            quoteCharacter = '~',
            textBlock =
                    """
            no-key | Each valve has maker: text 20. | Valve has no key.
            untyped | Each valve has no: whole (key), maker. | Valve: maker has no type yet.
            event-without-moment | Test is an event. Each test has no: whole (key). | Test is an event, but no attribute says when it happened.
            event-without-participant | Test is an event. Each test has no: whole (key). | Test is an event, but nothing says who or what took part in it.
            unrelated | Each valve has no: whole (key). Each pump has no: whole (key). Each pump feeds any number of valves; each valve is fed by exactly one pump. Each seal has no: whole (key). | Seal is related to nothing.
            reverse-unsaid | Each valve has no: whole (key). Each pump has no: whole (key). Each valve is fed by exactly one pump. | How many valves may one pump have?
            shortcut | Each site has no: whole (key). Each pump has no: whole (key). Each valve has no: whole (key). Each pump stands on exactly one site; each site carries any number of pumps. Each valve is fed by exactly one pump; each pump feeds any number of valves. Each valve lies on exactly one site; each site holds any number of valves. | Valve refers to Site directly, and by way of Pump too.
            same-name-unlike-types | Each valve has no: whole (key), size: whole. Each pump has code: text 4 (key), size: text 9. | size is text 9 in Pump, and whole in Valve.
            default-outside-check | Each valve has no: whole (key), size: whole (between 1 and 9; default 12). | Valve: the default of size is 12, but it must be between 1 and 9.
            empties-required | Each valve has no: whole (key). Each pump has no: whole (key). Each valve is fed by exactly one pump; each pump feeds any number of valves (on delete set null). | When Pump goes, Valve should lose its reference, but must have one.
            default-missing | Each valve has no: whole (key). Each pump has no: whole (key). Each valve is fed by at most one pump; each pump feeds any number of valves (on delete set default). | When Pump goes, Valve should refer to a default, but pump_no has none.
            repeated-columns | Each valve has no: whole (key), seal 1: text 9, seal 2: text 9, [seal 3]: text 9. | Valve: seal 1, seal 2, seal 3 repeat one fact.
            kept-as-text | Each valve has no: whole (key), fitting date: text 10. | Valve: fitting date is kept as text, and looks like date.
            approximate-amount | Each valve has no: whole (key), unit price: real. | Valve: unit price is an amount in an approximate type.
            plain-secret | Each valve has no: whole (key), pin: text 4. | Valve: pin is a secret kept as plain text.
            reserved-word | Each valve has no: whole (key), user: text 9. | Valve: user is a word that PostgreSQL, SQL Server, Oracle, H2 and standard SQL reserve.
            left-to-application | Each valve has no: whole (key). Each pump has no: whole (key). Each pump feeds at least one valve; each valve is fed by exactly one pump. | That each pump feeds at least one valve is held by no definition.
            left-to-application | Each valve has no: whole (key). Each pump has no: whole (key). Each pump feeds between 2 and 6 valves; each valve is fed by any number of pumps. | That each pump feeds between two and six valves is held by no definition.
            left-to-application | Each valve has no: whole (key). Each pump has no: whole (key). Each pump feeds exactly one valve; each valve is fed by exactly one pump. | That each pump feeds exactly one valve is held by no definition.
            """)
    void it_finds_what_it_is_for_and_its_remedies_mend_it(String rule, String sentences, String text) {
        DesignFixture made = said(sentences);

        assertThat(texts(made, rule)).containsExactly(text);
        for (Remedy remedy : found(made, rule).get(0).remedies()) {
            DesignFixture mended = made.with(f -> remedy.edit(f.design(), f.ids()));

            assertThat(texts(mended, rule)).as(remedy.title()).isEmpty();
            assertThat(mended.review().of(Severity.MUST_MEND))
                    .as("after “%s”", remedy.title())
                    .hasSizeLessThanOrEqualTo(
                            made.review().of(Severity.MUST_MEND).size());
        }
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            quoteCharacter = '~',
            textBlock =
                    """
            no-key | Each valve has no: whole (key).
            unrelated | Each valve has no: whole (key).
            reverse-unsaid | Each valve has no: whole (key). Each pump has no: whole (key). Each valve is fed by exactly one pump; each pump feeds any number of valves.
            shortcut | Each pump has no: whole (key). Each pump drives at most one pump; each pump is driven by at most one pump.
            shortcut | Each site has no: whole (key). Each valve has no: whole (key). Each valve lies on exactly one site; each site holds any number of valves. Each valve is kept on exactly one site; each site keeps any number of valves.
            same-name-unlike-types | Each valve has id: uuid (key), size: whole 9. Each pump has id: counted (key), size: decimal 5,1.
            default-outside-check | Each valve has no: whole (key), size: whole (between 1 and 9; default 9).
            empties-required | Each valve has no: whole (key). Each pump has no: whole (key). Each valve is fed by at most one pump; each pump feeds any number of valves (on delete set null).
            repeated-columns | Each valve has no: whole (key), line 1: text 9, size 2: whole, phase 3 current: real.
            kept-as-text | Each valve has no: whole (key), update note: text 90, candidate: text 9, holiday: text 20.
            approximate-amount | Each valve has no: whole (key), angle: real, unit price: decimal 8,2.
            plain-secret | Each valve has no: whole (key), password hash: text 90, spinner: text 9.
            reserved-word | Each valve has no: whole (key), maker: text 9.
            left-to-application | Each valve has no: whole (key). Each pump has no: whole (key). Each pump feeds at most one valve; each valve is fed by exactly one pump.
            names-alike | Each valve has no: whole (key), ph value: text 4, phvalue: text 4.
            """)
    void it_is_silent_where_there_is_nothing(String rule, String sentences) {
        assertThat(texts(said(sentences), rule)).isEmpty();
    }

    @Test
    void what_looks_like_a_key_is_told_with_its_evidence() {
        DesignFixture rows = design("Each valve has batch no: whole, maker: text 9.")
                .filled("Valve", "batch no,maker\n1,a\n2,a\n3,b\n");
        DesignFixture clashing =
                design("Each valve has batch no: whole, maker: text 9.").filled("Valve", "batch no,maker\n1,a\n1,b\n");

        assertThat(found(rows, "no-key").get(0).evidence()).isEqualTo("batch no looks like one: unique in all 3 rows");
        assertThat(found(rows, "no-key").get(0).remedies())
                .extracting(Remedy::title)
                .containsExactly("make batch no the key", "number them", "give each a UUID");
        assertThat(found(clashing, "no-key").get(0).evidence()).isEmpty();
    }

    @Test
    void two_names_that_are_one_are_told_and_never_merged() {
        DesignFixture made = design("Each tank has no: whole (key), ph: decimal 3,1.");
        DesignFixture two = made.with(f -> new Edits(f.design(), f.ids())
                .addAttribute(
                        f.entity("Tank").id(),
                        Attribute.named(f.ids().next(IdKind.ATTRIBUTE), "pH").withType(new DataType.Text(9))));
        DesignFixture tables = design("Each tank has no: whole (key).", "Each lid has no: whole (key).")
                .with(f -> new ChangeEntity(f.entity("Lid").withName("TANK"), "rename"));

        assertThat(texts(tables, "names-alike"))
                .containsExactly("TANK: Tank and TANK are one name to a database, and the second is called tank_2.");
        assertThat(texts(two, "names-alike"))
                .containsExactly("Tank: ph and pH are one name to a database, and the second is called ph_2.");
    }

    @Test
    void numbers_dates_and_lists_in_texts_are_told_by_their_values() {
        DesignFixture rows = design(
                        "Each valve has no: whole (key), filled: text 20, size: text 9, phone: text 20, tags: text 40, owner: text 40.")
                .filled(
                        "Valve",
                        """
                        no,filled,size,phone,tags,owner
                        1,2026-03-01,12,5550101,"red; old","Smith, Ann"
                        2,2026-03-02,14,5550102,"blue; new; spare","Jones, Bea"
                        3,2026-03-04,9,5550103,red,"Moss, Cal"
                        4,2026-03-05,9,5550103,red;old,"Moss, Dan"
                        5,spring,9,5550103,,"Moss, Eve"
                        """);

        assertThat(texts(rows, "kept-as-text"))
                .containsExactly(
                        "Valve: filled is kept as text, and looks like date.",
                        "Valve: size is kept as text, and looks like whole 100.");
        assertThat(found(rows, "kept-as-text").get(0).evidence()).isEqualTo("1 of 5 values hold no date: “spring”");
        assertThat(texts(rows, "list-in-text")).containsExactly("Valve: tags holds several values in one text.");
    }

    @Test
    void repeated_columns_move_along_with_their_values() {
        DesignFixture rows = design("Each valve has no: whole (key), [seal 1]: text 9, [seal 2]: text 9.")
                .filled("Valve", "no,seal 1,seal 2\n1,red,blue\n2,,green\n");
        Finding finding = found(rows, "repeated-columns").get(0);
        DesignFixture split = rows.with(f -> finding.remedies().get(0).edit(f.design(), f.ids()));

        assertThat(finding.evidence()).isEqualTo("a third has no place, 1 of 4 are empty");
        assertThat(split.table("valve").columns()).extracting(c -> c.name()).containsExactly("no");
        assertThat(split.table("valve_seal").primaryKey().orElseThrow().columns())
                .containsExactly("valve_no", "place");
        assertThat(split.entity("Valve seal").body().rows())
                .extracting(row -> row.value(
                                        split.attribute("Valve seal", "place").id())
                                .orElse("") + " "
                        + row.value(split.attribute("Valve seal", "seal").id()).orElse(""))
                .containsExactly("1 red", "2 blue", "2 green");
        assertThat(split.review().of(Severity.MUST_MEND)).isEmpty();
    }

    @Test
    void a_row_beyond_what_was_expected_is_advice_and_no_fault() {
        DesignFixture rows = design("Each valve has no: whole (key), size: whole 500.")
                .filled("Valve", "no,size\n1,500\n2,612\n3,501\n");

        assertThat(texts(rows, "beyond-expected"))
                .containsExactly("Valve, row 2: size is 612, and the largest expected is 500.");
        assertThat(rows.review().of(Severity.MUST_MEND)).isEmpty();
    }

    @Test
    void rows_are_judged_as_the_database_would_complete_them() {
        DesignFixture rows = design("Each valve has no: counted (key), code: text 4 (unique; default AB).")
                .filled("Valve", "code\nAB\n\"\"\n");

        assertThat(texts(rows, "unique-repeated"))
                .containsExactly("Valve, row 2: code AB stands in row 1 already, and no two rows may share it.");
    }

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
                .containsExactly("Valve: nothing indexes pump_no, which refer to pump.");
        DesignFixture mended = bare.with(f ->
                found(bare, "foreign-key-unindexed").get(0).remedies().get(0).edit(f.design(), f.ids()));
        assertThat(texts(mended, "foreign-key-unindexed")).isEmpty();
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
    void ids_are_each_of_one_rule_and_a_slip_is_led_to_the_nearest() {
        assertThat(Rules.all()).extracting(Rule::id).doesNotHaveDuplicates().hasSizeGreaterThan(30);
        assertThat(Rules.all())
                .allMatch(rule -> rule.why().endsWith(".") && rule.sentence().contains("{"));
        assertThat(Rules.FINDERS.stream().flatMap(finder -> finder.rules().stream()))
                .containsExactlyElementsOf(Rules.all());
        assertThat(Rules.nearest("nokey")).isEqualTo("no-key");
        assertThat(Rules.named("no-key")).contains(KeyFinder.NO_KEY);
        assertThat(Rules.named("key")).isEmpty();
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
    void a_form_below_the_third_is_told_with_its_reason_and_decomposed() {
        DesignFixture log = design("Each visit has hive: text 5 (key), day: date (key), farm: text 40.");
        DesignFixture second = log.where("visit", "hive -> farm");
        Finding finding = found(second, "below-third").get(0);
        DesignFixture apart = second.with(f -> finding.remedies().get(0).edit(f.design(), f.ids()));

        assertThat(texts(log, "below-third")).isEmpty();
        assertThat(texts(log.where("visit", "hive, day -> farm"), "below-third"))
                .isEmpty();
        assertThat(finding.text()).isEqualTo("Visit is in 1NF only.");
        assertThat(finding.evidence()).startsWith("farm hangs on hive alone, a part of the key");
        assertThat(finding.rule().counted(2)).isEqualTo("below 3NF");
        assertThat(apart.design().entities()).hasSize(2);
        assertThat(texts(apart, "below-third")).isEmpty();
    }

    @Test
    void a_type_is_proposed_from_the_rows_and_an_empty_entity_asked_for_attributes() {
        DesignFixture rows = design("Each valve has no: whole (key), fitted.", "Bolt is a thing.")
                .filled("Valve", "no,fitted\n1,2026-03-01\n2,2026-03-02\n");
        Finding untyped = found(rows, "untyped").get(0);
        DesignFixture typed = rows.with(f -> untyped.remedies().get(0).edit(f.design(), f.ids()));

        assertThat(untyped.evidence()).isEqualTo("all 2 values can be read as date");
        assertThat(typed.attribute("Valve", "fitted").type()).hasToString("date");
        assertThat(texts(rows, "no-attributes")).containsExactly("Bolt has no attributes yet.");
        assertThat(UndecidedFinder.UNTYPED.counted(1)).isEqualTo("untyped");
        assertThat(BriefFinder.QUESTION_OPEN.counted(1)).isEqualTo("question open");
        assertThat(BriefFinder.QUESTION_OPEN.counted(2)).isEqualTo("questions open");
    }

    @Test
    void a_secret_is_replaced_by_its_hash_and_its_values_go() {
        DesignFixture rows =
                design("Each valve has no: whole (key), pin: text 4.").filled("Valve", "no,pin\n1,1234\n");
        DesignFixture hashed = rows.with(
                f -> found(rows, "plain-secret").get(0).remedies().get(0).edit(f.design(), f.ids()));
        var pin = hashed.attribute("Valve", "pin hash");

        assertThat(pin.type()).hasToString("text 255");
        assertThat(hashed.entity("Valve").body().rows().get(0).value(pin.id())).isEmpty();
    }

    @Test
    void an_amount_takes_the_digits_that_its_values_have() {
        DesignFixture rows = design("Each valve has no: whole (key), unit price: real.")
                .filled("Valve", "no,unit price\n1,12.255\n2,3.5\n");
        DesignFixture exact = rows.with(
                f -> found(rows, "approximate-amount").get(0).remedies().get(0).edit(f.design(), f.ids()));

        assertThat(exact.attribute("Valve", "unit price").type()).hasToString("decimal 6,3");
    }

    @Test
    void another_name_is_asked_for_and_taken() {
        DesignFixture made = design("Each valve has no: whole (key), user: text 9.", "Each order has no: whole (key).");
        Finding attribute = found(made, "reserved-word").get(0);
        Finding entity = found(made, "reserved-word").get(1);
        Remedy renaming = attribute.remedies().get(0);

        assertThat(renaming.asks()).isEqualTo("name");
        assertThat(made.with(f -> renaming.edit(f.design(), f.ids())).attribute("Valve", "valve user"))
                .isNotNull();
        assertThat(made.with(f -> renaming.making().edit(f.design(), f.ids(), "owner"))
                        .attribute("Valve", "owner"))
                .isNotNull();
        assertThat(made.with(f -> entity.remedies().get(0).edit(f.design(), f.ids()))
                        .entity("Order record"))
                .isNotNull();
        assertThat(renaming).isNotEqualTo(entity.remedies().get(0)).isEqualTo(renaming);
        assertThat(renaming.hashCode()).isNotEqualTo(entity.remedies().get(0).hashCode());
    }

    @Test
    void names_of_constraints_are_measured_too_and_alike_names_are_changed() {
        String name = "k".repeat(70);
        DesignFixture made = design("Each tank has no: whole (key), ph: whole.", "Each lid has no: whole (key).");
        DesignFixture key = made.with(
                f -> new ChangeEntity(f.entity("Tank").withPins(Pins.NONE.withName(Pins.Role.KEY, name)), "pin"));
        DesignFixture unique = made.with(f -> {
            var body = f.entity("Tank").body();
            var rule = new Unique(
                    f.ids().next(IdKind.UNIQUE),
                    List.of(f.attribute("Tank", "ph").ref()),
                    Pins.NONE.withName(name));
            return new ChangeBody(f.entity("Tank").id(), body.withUniques(List.of(rule)), "unique");
        });
        DesignFixture two = made.with(f -> new Edits(f.design(), f.ids())
                .addAttribute(
                        f.entity("Tank").id(),
                        Attribute.named(f.ids().next(IdKind.ATTRIBUTE), "PH").withType(new DataType.Text(9))));
        DesignFixture tables = made.with(f -> new ChangeEntity(f.entity("Lid").withName("Tänk"), "rename"));

        assertThat(texts(key, "name-too-long")).hasSize(1);
        assertThat(texts(unique, "name-too-long")).hasSize(1);
        assertThat(mended(two, "names-alike").attribute("Tank", "ph 2")).isNotNull();
        assertThat(texts(tables, "names-alike"))
                .as("PostgreSQL tells them apart")
                .isEmpty();
        assertThat(texts(tables.writtenFor(Dialects.MYSQL), "names-alike")).hasSize(1);
        assertThat(texts(made.with(f -> new ChangeEntity(f.entity("Lid").withName("Tank-s"), "rename")), "names-alike"))
                .isEmpty();
        DesignFixture same = made.with(f -> new ChangeEntity(f.entity("Lid").withName("TANK"), "rename"));
        assertThat(mended(same, "names-alike").entity("tank 2")).isNotNull();
    }

    private static DesignFixture mended(DesignFixture made, String rule) {
        return made.with(f -> found(made, rule).get(0).remedies().get(0).edit(f.design(), f.ids()));
    }

    @Test
    void keys_that_are_proposed_are_made() {
        DesignFixture made = design("Each valve has maker: text 9, serial: text 9 (unique).");
        List<Remedy> remedies = found(made, "no-key").get(0).remedies();

        assertThat(found(made, "no-key").get(0).evidence()).isEqualTo("serial looks like one: it is unique");
        assertThat(made.with(f -> remedies.get(0).edit(f.design(), f.ids()))
                        .table("valve")
                        .primaryKey()
                        .orElseThrow()
                        .columns())
                .containsExactly("serial");
        assertThat(made.with(f -> remedies.get(1).edit(f.design(), f.ids())).attribute("Valve", "valve no"))
                .isNotNull();
        assertThat(made.with(f -> remedies.get(2).edit(f.design(), f.ids())).attribute("Valve", "id"))
                .isNotNull();
        DesignFixture code = design("Each valve has valve code: text 9.");
        assertThat(found(code, "no-key").get(0).evidence()).isEqualTo("valve code looks like one: so it is called");
    }

    @Test
    void a_list_of_two_is_a_list_where_it_is_cut_as_one() {
        DesignFixture half = design("Each valve has no: whole (key), tags: text 40.")
                .filled("Valve", "no,tags\n1,red;old\n2,blue;new and shiny\n3,green\n4,blue\n");
        DesignFixture fewer = design("Each valve has no: whole (key), tags: text 40.")
                .filled("Valve", "no,tags\n1,red;old\n2,blue;new\n3,green\n4,blue\n5,white\n");

        assertThat(found(half, "list-in-text").get(0).evidence()).isEqualTo("as in “blue;new and shiny”");
        assertThat(texts(fewer, "list-in-text")).isEmpty();
    }
}
