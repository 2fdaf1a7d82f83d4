package ableschema.core.edit;

import static ableschema.core.DesignFixture.design;
import static org.assertj.core.api.Assertions.assertThat;

import ableschema.core.DesignFixture;
import ableschema.core.design.Id;
import ableschema.core.design.IdKind;
import ableschema.core.design.Row;
import ableschema.core.design.Side;
import ableschema.core.design.SubtypeLayout;
import ableschema.core.document.Document;
import ableschema.core.document.Position;
import ableschema.core.finding.Finding;
import ableschema.core.finding.Remedy;
import ableschema.core.finding.Severity;
import ableschema.core.rows.DesignScript;
import ableschema.core.rows.RowJudge;
import ableschema.core.schema.Column;
import ableschema.core.schema.Table;
import ableschema.core.sql.dialect.Dialects;
import ableschema.core.store.DocumentFile;
import ableschema.core.types.ReferenceAction;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;

class AlternativesTest {

    private static final DesignFixture HIVES = design(
            "Each apiary has code: text 6 (key).",
            "Each hive has no: whole (key).",
            "Each apiary shelters any number of hives; each hive stands in exactly one apiary (called stay).");

    @Test
    void each_rule_is_shown_with_its_tables_and_changing_back_loses_nothing() {
        var relationship = HIVES.design().relationships().get(0);
        List<Alternatives.Alternative> all = new Alternatives(HIVES.document(), HIVES.ids()).of(relationship);

        assertThat(all)
                .extracting(a -> a.label() + ": "
                        + String.join(
                                ", ",
                                a.tables().stream().map(AlternativesTest::said).toList()))
                .containsExactly(
                        "one Apiary · many Hives: apiary(code), hive(no apiary_code)",
                        "many Apiaries · one Hive: apiary(code hive_no), hive(no)",
                        "one Apiary · one Hive: apiary(code), hive(no apiary_code)",
                        "many Apiaries · many Hives: apiary(code), hive(no), stay(apiary_code hive_no)");
        assertThat(all).filteredOn(Alternatives.Alternative::current).hasSize(1);
        Document many = all.get(3).edit().applyTo(HIVES.document());
        assertThat(all.get(0).edit().applyTo(many)).isEqualTo(HIVES.document());
    }

    @Test
    void a_key_that_came_from_the_other_is_missed_where_that_refers_here_instead_and_is_back_with_the_reference() {
        DesignFixture weak = HIVES.with("Each hive is identified by its apiary and no.");
        DesignFixture turned = made(weak, 1);
        assertThat(turned.review().open())
                .extracting(Finding::text)
                .contains("Hive takes its key from Apiary, but refers to none.");
        Remedy numbered =
                turned.review().of(Severity.MUST_MEND).get(0).remedies().get(0);
        DesignFixture mended = turned.with(f -> numbered.edit(f.design(), f.ids()));
        assertThat(mended.review().of(Severity.MUST_MEND)).isEmpty();
        assertThat(mended.table("hive").primaryKey().orElseThrow().columns()).containsExactly("hive_no");
        assertThat(made(turned, 0).design()).isEqualTo(weak.design());
    }

    @Test
    void a_reference_that_turns_round_and_must_be_there_then_is_not_emptied() {
        DesignFixture optional = design(
                "Each apiary has code: text 6 (key).",
                "Each hive has no: whole (key).",
                "Each apiary shelters at least one hive; each hive stands in at most one apiary (on delete set null).");
        DesignFixture turned = made(optional, 1);
        assertThat(turned.table("apiary").foreignKeys()).singleElement().satisfies(key -> assertThat(key.onDelete())
                .isEqualTo(ReferenceAction.NO_ACTION));
        assertThat(made(turned, 0).design()).isEqualTo(optional.design());
    }

    @Test
    void a_key_is_not_offered_to_the_entity_that_it_comes_from() {
        DesignFixture pair = design(
                "Each hive has code: text 6 (key).",
                "Each scale has serial no: text 9.",
                "Each hive stands on at most one scale; each scale carries at most one hive.",
                "Each scale belongs to exactly one hive; each hive owns any number of scales.",
                "Each scale is identified by its hive \"belongs to\" and serial no.");
        assertThat(new Alternatives(pair.document(), pair.ids())
                        .ofOneToOne(pair.design().relationships().get(0)))
                .extracting(Alternatives.Alternative::label)
                .contains("Hive refers to Scale", "Scale has the key of Hive")
                .doesNotContain("Hive has the key of Scale");
    }

    @Test
    void who_gives_the_shared_key_back_and_has_no_other_gets_a_number() {
        DesignFixture pair = design(
                        "Each hive has code: text 6 (key).",
                        "Each scale has model: text 20.",
                        "Each hive stands on at most one scale; each scale carries exactly one hive.",
                        "Each scale is identified by its hive.")
                .filled("Hive", "code\nA\nB\n")
                .filled("Scale", "hive,model\nA,X\nB,Y\n");
        DesignFixture made = pair.with(new Alternatives(pair.document(), pair.ids())
                .ofOneToOne(pair.design().relationships().get(0)).stream()
                        .filter(way -> way.label().equals("Scale refers to Hive"))
                        .findFirst()
                        .orElseThrow()
                        .edit());
        assertThat(made.table("scale").primaryKey().orElseThrow().columns()).containsExactly("scale_no");
        assertThat(made.review().of(Severity.MUST_MEND)).isEmpty();
    }

    private static final DesignFixture STANDING =
            HIVES.filled("Apiary", "code\nN\nS\nW\n").filled("Hive", "no,apiary\n1,N\n2,S\n3,S\n");

    private static DesignFixture made(DesignFixture fixture, int alternative) {
        var relationship = fixture.design().relationships().get(0);
        return fixture.with(new Alternatives(fixture.document(), fixture.ids())
                .of(relationship)
                .get(alternative)
                .edit());
    }

    private static String inserted(DesignFixture made, String table) {
        return DesignScript.withRows(made.document().mapping(), Dialects.SQLITE)
                .executable()
                .map(each -> each.executable().replaceAll("\\s+", " "))
                .filter(each -> each.startsWith("INSERT INTO " + table + " "))
                .collect(Collectors.joining(" "));
    }

    @Test
    void rows_that_were_linked_are_linked_in_the_other_form_and_changing_back_loses_nothing() {
        DesignFixture many = made(STANDING, 3);
        assertThat(inserted(many, "stay")).contains("('N', 1)", "('S', 2)", "('S', 3)");
        assertThat(made(many, 0).design()).isEqualTo(STANDING.design());
    }

    @Test
    void a_row_that_has_several_is_left_open_and_keeps_them_for_changing_back() {
        DesignFixture turned = made(STANDING, 1);

        assertThat(inserted(turned, "apiary")).contains("('N', 1)", "('S', NULL)");
        assertThat(made(turned, 0).design()).isEqualTo(STANDING.design());
    }

    @Test
    void pairs_that_say_more_than_that_two_belong_together_are_kept() {
        DesignFixture told = paired(SEEN, "1 A 2027-04-01", "2 B 2027-04-01");
        DesignFixture one = made(told, 0);

        assertThat(inserted(one, "hive")).contains("('A', 1)", "('B', 2)");
        assertThat(inserted(made(one, 3), "watch")).isEqualTo(inserted(told, "watch"));
    }

    private static String said(Table table) {
        return table.name() + "("
                + String.join(" ", table.columns().stream().map(Column::name).toList()) + ")";
    }

    private static final DesignFixture KINDS = design(
            "Each colony has code: text 6 (key), set up on: date.",
            "Each nuc has frames: whole 10.",
            "Each swarm has [taken at]: text 40.",
            "A nuc is a kind of colony.",
            "A swarm is a kind of colony.",
            "Each keeper has no: whole (key).",
            "Each swarm was caught by exactly one keeper; each keeper caught any number of swarms.");

    @Test
    void kinds_have_a_table_each_or_lie_in_one_with_what_is_mandatory_checked() {
        Id colony = KINDS.entity("Colony").id();
        List<Alternatives.Alternative> both = new Alternatives(KINDS.document(), KINDS.ids()).ofKinds(colony);

        assertThat(both.get(0).tables())
                .extracting(AlternativesTest::said)
                .containsExactly(
                        "colony(code set_up_on)", "nuc(colony_code frames)", "swarm(colony_code taken_at keeper_no)");
        assertThat(both.get(1).tables())
                .extracting(AlternativesTest::said)
                .containsExactly("colony(code set_up_on kind frames taken_at keeper_no)");
        Document one = both.get(1).edit().applyTo(KINDS.document());
        String sql = DesignScript.definitions(one.mapping(), Dialects.POSTGRESQL)
                .text()
                .replaceAll("\\s+", " ");
        assertThat(sql)
                .contains("kind <> 'Nuc' or frames is not null")
                .contains("kind in ('Colony', 'Nuc', 'Swarm')")
                .contains("FOREIGN KEY (keeper_no) REFERENCES keeper");
        assertThat(both.get(0).edit().applyTo(one)).isEqualTo(KINDS.document());
        assertThat(one.design().relationships().get(0).subtype()).isEqualTo(SubtypeLayout.ONE_TABLE);
    }

    @Test
    void what_is_copied_is_pasted_with_ids_of_its_own_beside_what_is_there() throws Exception {
        Document demo = DocumentFile.read(Path.of("../demo/alder-valley.able.json"));
        Set<Id> copied = Set.of(
                demo.design().entity("Apiary").orElseThrow().id(),
                demo.design().entity("Hive").orElseThrow().id());
        Document fragment = Fragment.of(demo, copied);
        String renewed = Fragment.withNewIds(DocumentFile.print(fragment), HIVES.ids());
        Document twice = Fragment.paste(DocumentFile.parse(renewed), demo).applyTo(demo);
        Document elsewhere =
                Fragment.paste(DocumentFile.parse(renewed), Document.EMPTY).applyTo(Document.EMPTY);

        assertThat(twice.design().entities()).hasSize(11);
        assertThat(twice.design().entity("Hive 2")).isPresent();
        assertThat(twice.design().relationships()).hasSize(11);
        assertThat(elsewhere.design().sameMeaning(fragment.design())).isEmpty();
        assertThat(elsewhere.mapping().schema().table("hive").orElseThrow().columns())
                .hasSize(5);
    }

    @Test
    void a_part_picture_keeps_its_own_places_and_undo_returns_to_it() {
        Document start = HIVES.document().moved(Map.of(HIVES.entity("Hive").id(), new Position(10, 10)));
        Id hive = HIVES.entity("Hive").id();
        Document part = ChangeDiagrams.add(start, "hives", List.of(hive)).applyTo(start);
        Document moved = new MoveCards(Map.of(hive, new Position(200, 0)), "move Hive").applyTo(part);

        assertThat(part.diagram().name()).isEqualTo("hives");
        assertThat(moved.viewing("whole").position(hive)).contains(new Position(10, 10));
        assertThat(moved.position(hive)).contains(new Position(200, 0));
        assertThat(moved.design()).isSameAs(start.design());
        assertThat(ChangeDiagrams.remove(moved).applyTo(moved).diagrams()).hasSize(1);
    }

    private static final DesignFixture SEEN = design(
                    "Each keeper has no: whole (key).",
                    "Each hive has code: text 6 (key).",
                    "Each keeper watches any number of hives; each hive is watched by any number of keepers (called watch).",
                    "Each watch has day: date, [note]: text 40.")
            .filled("Keeper", "no\n1\n2\n")
            .filled("Hive", "code\nA\nB\n");

    private static DesignFixture paired(DesignFixture fixture, String... pairs) {
        var pairing = fixture.design().relationships().get(0);
        Id day = pairing.body().attribute("day").orElseThrow().id();
        var rows = new ArrayList<Row>();
        for (String pair : pairs) {
            String[] cells = pair.split(" ");
            rows.add(Row.empty(fixture.ids().next(IdKind.ROW))
                    .with(pairing.ref(Side.FIRST), Optional.of(Row.Reference.to(row(fixture, "Keeper", cells[0]))))
                    .with(pairing.ref(Side.SECOND), Optional.of(Row.Reference.to(row(fixture, "Hive", cells[1]))))
                    .with(day, cells[2]));
        }
        return fixture.with(f -> new Edits(f.design(), f.ids()).setRows(pairing.id(), rows, "pair"));
    }

    private static Row row(DesignFixture fixture, String entity, String key) {
        return fixture.entity(entity).body().rows().stream()
                .filter(each -> each.values().containsValue(key))
                .findFirst()
                .orElseThrow();
    }

    private static List<Alternatives.Alternative> ofPairing(DesignFixture fixture) {
        return new Alternatives(fixture.document(), fixture.ids())
                .ofPairing(fixture.design().relationships().get(0));
    }

    @Test
    void whether_a_pair_may_recur_gives_the_key_and_rows_are_judged_by_it() {
        DesignFixture twice = paired(SEEN, "1 A 2027-04-01", "1 A 2027-04-02", "2 A 2027-04-01");
        List<Alternatives.Alternative> ways = ofPairing(twice);

        assertThat(ways)
                .extracting(way -> way.label() + ": " + said(way.tables().get(0)))
                .containsExactly(
                        "the same two once: watch(keeper_no hive_code day note)",
                        "once for each day: watch(keeper_no hive_code day note)",
                        "as often as there is reason to, each with a number: watch(no day note keeper_no hive_code)");
        assertThat(ways.get(0).current()).isTrue();
        assertThat(RowJudge.judge(twice.design())).as("once").isNotEmpty();
        for (var way : ways.subList(1, 3)) {
            DesignFixture made = twice.with(way.edit());
            assertThat(RowJudge.judge(made.design())).as(way.label()).isEmpty();
            assertThat(DesignScript.withRows(made.document().mapping(), Dialects.POSTGRESQL)
                            .text())
                    .as(way.label())
                    .contains("2027-04-02");
        }
        DesignFixture same = paired(SEEN, "1 A 2027-04-01", "1 A 2027-04-01");
        assertThat(RowJudge.judge(same.with(ofPairing(same).get(1).edit()).design()))
                .as("each day")
                .isNotEmpty();
        assertThat(RowJudge.judge(same.with(ofPairing(same).get(2).edit()).design()))
                .as("numbered")
                .isEmpty();
    }

    @Test
    void a_pair_that_lasts_begins_and_ends_later() {
        DesignFixture plain = design(
                "Each keeper has no: whole (key).",
                "Each hive has code: text 6 (key).",
                "Each keeper watches any number of hives; each hive is watched by any number of keepers (called watch).");
        DesignFixture lasting = plain.with(ofPairing(plain).get(1).edit());

        assertThat(lasting.table("watch").primaryKey().orElseThrow().columns())
                .containsExactly("keeper_no", "hive_code", "from");
        assertThat(lasting.table("watch").checks().get(0).expression().toString())
                .isEqualTo("{until} > {from}");
    }

    @Test
    void a_one_to_one_refers_from_either_side_or_shares_a_key_and_rows_go_along() {
        DesignFixture pair = design(
                        "Each hive has code: text 6 (key).",
                        "Each scale has serial no: text 9 (key), model: text 20.",
                        "Each hive stands on at most one scale; each scale carries exactly one hive.")
                .filled("Hive", "code\nA\nB\n")
                .filled("Scale", "serial no,model,hive\nS1,X,A\nS2,Y,B\n");
        List<Alternatives.Alternative> ways = new Alternatives(pair.document(), pair.ids())
                .ofOneToOne(pair.design().relationships().get(0));

        assertThat(ways).filteredOn(Alternatives.Alternative::current).hasSize(1);
        assertThat(ways).extracting(Alternatives.Alternative::label).contains("all in Hive");
        for (var way : ways) {
            DesignFixture made = pair.with(way.edit());
            if (made.design().relationships().isEmpty()) {
                continue; // put into one, which MergeOneToOneTest looks at
            }
            assertThat(RowJudge.judge(made.design())).as(way.label()).isEmpty();
            String sql = DesignScript.withRows(made.document().mapping(), Dialects.POSTGRESQL)
                    .text();
            assertThat(sql).as(way.label()).contains("'S2'").contains("'B'");
            List<Alternatives.Alternative> again = new Alternatives(made.document(), made.ids())
                    .ofOneToOne(made.design().relationships().get(0));
            assertThat(again)
                    .filteredOn(Alternatives.Alternative::current)
                    .extracting(Alternatives.Alternative::label)
                    .containsExactly(way.label());
        }
        DesignFixture shared = pair.with(ways.stream()
                .filter(way -> way.label().equals("Scale has the key of Hive"))
                .findFirst()
                .orElseThrow()
                .edit());
        assertThat(shared.table("scale").primaryKey().orElseThrow().columns()).containsExactly("hive_code");
        assertThat(shared.table("scale").uniques()).singleElement().satisfies(unique -> assertThat(unique.columns())
                .containsExactly("serial_no"));
    }
}
