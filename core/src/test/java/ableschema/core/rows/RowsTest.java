package ableschema.core.rows;

import static ableschema.core.DesignFixture.design;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import ableschema.core.DesignFixture;
import ableschema.core.design.Body;
import ableschema.core.design.Condition;
import ableschema.core.design.End;
import ableschema.core.design.EndRef;
import ableschema.core.design.Id;
import ableschema.core.design.IdKind;
import ableschema.core.design.Index;
import ableschema.core.design.Pins;
import ableschema.core.design.ReferenceColumn;
import ableschema.core.design.Relationship;
import ableschema.core.design.Row;
import ableschema.core.design.Side;
import ableschema.core.edit.ChangeBody;
import ableschema.core.edit.Edits;
import ableschema.core.edit.PutRelationship;
import ableschema.core.expression.Expression;
import ableschema.core.finding.Finding;
import ableschema.core.store.DocumentFile;
import ableschema.core.types.DataType;
import ableschema.core.words.ConditionText;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;

class RowsTest {

    private static final DesignFixture START = ruled(design(
            "Each apiary has code: text 6 (key), name: text 12.",
            "Each hive has hive no: counted 500 by 10 (key), strength: whole 10, set up on: date, calm: yes/no (optional).",
            "Each hive stands in at most one apiary; each apiary shelters any number of hives."));

    private static DesignFixture ruled(DesignFixture fixture) {
        return fixture.with(f -> {
            Optional<Condition> rule = ConditionText.read(f.attribute("Hive", "strength"), "between 1 and 10");
            return new Edits(f.design(), f.ids()).setCondition(f.attribute("Hive", "strength"), rule);
        });
    }

    private static List<String> judged(DesignFixture fixture) {
        return RowJudge.judge(fixture.design()).stream().map(Finding::text).toList();
    }

    private static final DesignFixture APIARIES =
            START.filled("Apiary", "code,name\nAV-01,Mill bank\nAV-02,High copse\n");

    @Test
    void good_rows_are_accepted_and_numbers_are_handed_out() {
        DesignFixture good = APIARIES.filled(
                "Hive", "apiary,strength,set up on\nMill bank,5,2027-04-01\n,7,2027-04-02\nAV-02,9,2027-05-01\n");

        assertThat(judged(good)).isEmpty();
        var hiveNo = good.attribute("Hive", "hive no").id();
        assertThat(good.entity("Hive").body().rows())
                .extracting(row -> row.value(hiveNo).orElse(""))
                .containsExactly("500", "510", "520");
    }

    @Test
    void each_kind_of_bad_row_is_told_plainly() {
        DesignFixture bad = APIARIES.filled(
                "Hive",
                "hive no,apiary,strength,set up on,calm\n"
                        + "500,AV-77,5,2027-04-01,yes\n"
                        + "500,AV-01,11,2027-02-30,perhaps\n"
                        + "501,AV-01,,2027-04-01,no\n");

        assertThat(judged(bad))
                .containsExactlyInAnyOrder(
                        "Hive, row 1: it refers to Apiary AV-77, and there is no such Apiary.",
                        "Hive, row 2: strength is 11, but it must be between 1 and 10.",
                        "Hive, row 2: set up on does not fit its type date, as '2027-02-30' is not a date such as 2027-04-12.",
                        "Hive, row 2: calm does not fit its type yes/no, as 'perhaps' is neither yes nor no.",
                        "Hive, row 3: strength is empty, but every Hive must have one.",
                        "Hive, row 2: hive no 500 is the key of row 1 already.");
    }

    @Test
    void a_rule_and_a_unique_value_are_judged() {
        DesignFixture unique =
                START.with(f -> new Edits(f.design(), f.ids()).setUnique(f.attribute("Apiary", "name"), true));
        DesignFixture bad = unique.filled("Apiary", "code,name\nAV-01,Mill bank\nAV-02,Mill bank\n");
        DesignFixture zero = APIARIES.filled("Hive", "strength,set up on\n0,2027-04-01\n");

        assertThat(judged(bad))
                .containsExactly(
                        "Apiary, row 2: name Mill bank stands in row 1 already, and no two rows may share it.");
        assertThat(judged(zero)).containsExactly("Hive, row 1: strength is 0, but it must be between 1 and 10.");
    }

    @Test
    void a_reference_that_must_be_there_and_one_that_is_one_to_one_are_judged() {
        DesignFixture hoods = design(
                        "Each stand has code: text 4 (key), title: text 20.",
                        "Each hood has no: whole (key).",
                        "Each hood covers exactly one stand; each stand has at most one hood.",
                        "Each hood is lent to at most one stand; each stand borrows any number of hoods.")
                .filled("Stand", "code,title\nA,Old ash\nB,Mill bank\n");
        DesignFixture bad = hoods.with(f -> {
            var rows = new RowTable(new RowEntry(f.design(), f.entity("Hood").id(), f.ids()))
                    .read("no,covers\n1,\n2,\n3,\n", false, List.of())
                    .rows();
            List<Row> stands = f.entity("Stand").body().rows();
            var covers = f.design().relationships().get(0);
            var end = covers.ref(covers.referencedSides().iterator().next());
            return new ChangeBody(
                    f.entity("Hood").id(),
                    f.entity("Hood")
                            .body()
                            .withRows(List.of(
                                    rows.get(0).with(end, Optional.of(Row.Reference.to(stands.get(1)))),
                                    rows.get(1).with(end, Optional.of(Row.Reference.to(stands.get(1)))),
                                    rows.get(2))),
                    "fill");
        });

        assertThat(judged(bad))
                .containsExactly(
                        "Hood, row 3: Stand is empty, but every Hood must have one.",
                        "Hood, row 2: Stand code B stands in row 1 already, and no two rows may share it.");
        assertThat(RowJudge.judge(bad.design()))
                .extracting(finding -> finding.place().row())
                .containsExactly(
                        Optional.of(bad.entity("Hood").body().rows().get(2).id()),
                        Optional.of(bad.entity("Hood").body().rows().get(1).id()));
    }

    @Test
    void a_column_that_is_part_of_two_references_has_one_value() throws Exception {
        DesignFixture feature =
                DesignFixture.of(DocumentFile.read(Path.of("src/test/resources/designs/every-feature.able.json")));
        List<Row> clerks = feature.entity("Clerk").body().rows();
        List<Row> desks = feature.entity("Desk").body().rows();
        var toClerk = desks.get(0).references().entrySet().stream()
                .filter(each -> each.getValue().equals(Row.Reference.to(clerks.get(0))))
                .map(Map.Entry::getKey)
                .findFirst()
                .orElseThrow();
        DesignFixture crossed = feature.with(f -> new ChangeBody(
                f.entity("Desk").id(),
                f.entity("Desk")
                        .body()
                        .withRows(List.of(
                                desks.get(0).with(toClerk, Optional.of(Row.Reference.to(clerks.get(1)))),
                                desks.get(1))),
                "cross"));

        assertThat(judged(feature)).noneMatch(text -> text.startsWith("Desk"));
        assertThat(judged(crossed))
                .filteredOn(text -> text.startsWith("Desk"))
                .containsExactly("Desk, row 1: it refers to Clerk N, and there is no such Clerk.");
    }

    @Test
    void a_row_is_called_by_its_name_and_key() {
        DesignFixture two = START.filled("Apiary", "code,name\nAV-01,Mill bank\nAV-02,\n,High copse\n,\n");
        var values = new RowValues(two.design());

        assertThat(two.entity("Apiary").body().rows())
                .extracting(row -> values.name(two.entity("Apiary"), row))
                .startsWith("Mill bank · AV-01", "AV-02", "High copse");
        assertThat(values.name(two.entity("Apiary"), Row.empty(Id.derived(IdKind.ROW, "x"))))
                .isEqualTo("row without values");
    }

    @Test
    void a_parent_is_picked_by_what_its_row_is_called() {
        DesignFixture good = APIARIES.filled("Hive", "apiary,strength,set up on\nhigh copse,5,2027-04-01\n");
        var entry = new RowEntry(good.design(), good.entity("Hive").id(), good.ids());
        Row hive = good.entity("Hive").body().rows().get(0);
        var apiary = entry.columns().get(entry.columns().size() - 1);

        assertThat(entry.heading(apiary)).isEqualTo("Apiary");
        assertThat(entry.shown(hive, apiary)).isEqualTo("High copse · AV-02");
    }

    @Test
    void pasted_cells_without_a_heading_stand_in_the_order_of_the_grid() {
        var entry = new RowEntry(START.design(), START.entity("Apiary").id(), START.ids());
        RowTable.Reading reading =
                new RowTable(entry).read("AV-05\tQuarry edge\r\nAV-06\t\"two\nlines\"\r\n", true, List.of());

        assertThat(reading.rows()).hasSize(2);
        assertThat(reading.rows().get(0).values()).containsValues("AV-05", "Quarry edge");
    }

    @Test
    void cells_pasted_over_others_fill_from_there_and_new_rows_follow() {
        DesignFixture f = design("Each berth has no: counted (key), name: text 20, depth: decimal 4,1.");
        Id berth = f.entity("Berth").id();
        var table = new RowTable(new RowEntry(f.design(), berth, f.ids()));
        List<Row> first = table.read("name\tdepth\nNorth\t4.5\nEast\t5\n", true, List.of())
                .rows();

        RowTable.Filling filled = table.fill("Mole\t3\t9\n\nSouth\t6", first, 1, 1);

        assertThat(filled.all()).hasSize(4);
        assertThat(filled.all().stream().map(row -> texts(f, row)))
                .containsExactly("1 North 4.5", "2 Mole 3", "3", "4 South 6");
        assertThat(filled.left()).isEqualTo(1);
        assertThat(filled.all().get(1).id()).isEqualTo(first.get(1).id());
        assertThat(table.hasHeading("Depth\tname\n1\tx", true)).isTrue();
        assertThat(table.hasHeading("Depth\tNorth", true)).isFalse();
    }

    private static String texts(DesignFixture f, Row row) {
        return f.entity("Berth").body().attributes().stream()
                .flatMap(each -> row.value(each.id()).stream())
                .filter(text -> !text.isEmpty())
                .collect(Collectors.joining(" "));
    }

    @Test
    void numbers_go_on_behind_those_that_a_file_gives() {
        DesignFixture f = design("Each berth has no: counted (key), name: text 20.");
        Id berth = f.entity("Berth").id();
        List<Row> rows = new RowTable(new RowEntry(f.design(), berth, f.ids()))
                .read("no,name\n7,North\n,East\n3,South\n,West\n", false, List.of())
                .rows();

        assertThat(rows.stream().map(row -> texts(f, row))).containsExactly("7 North", "8 East", "3 South", "9 West");
    }

    @Test
    void badly_quoted_text_is_refused_with_its_line() {
        DesignFixture f = design("Each berth has no: counted (key), name: text 20.");
        var table = new RowTable(new RowEntry(f.design(), f.entity("Berth").id(), f.ids()));

        for (String bad : List.of("no,name\n1,North\n2,\"East\" quay\n3,x\n", "no,name\n1,North\n2,\"East\n3,x\n")) {
            assertThatThrownBy(() -> table.read(bad, false, List.of()))
                    .isInstanceOf(IllegalArgumentException.class)
                    .hasMessageStartingWith("line 3 is badly quoted");
        }
    }

    @Test
    void headings_that_name_nothing_are_reported() {
        var entry = new RowEntry(START.design(), START.entity("Apiary").id(), START.ids());

        assertThat(new RowTable(entry)
                        .read("Code;Owner\nAV-05;Wren farm\n", false, List.of())
                        .unknown())
                .containsExactly("Owner");
    }

    @Test
    void a_change_of_type_keeps_what_was_typed() {
        DesignFixture changed = APIARIES.with(f -> new Edits(f.design(), f.ids())
                .changeAttribute(f.attribute("Apiary", "name").withType(DataType.Simple.DATE)));
        DesignFixture back = changed.with("Each apiary has name: text 12.");

        assertThat(judged(changed)).hasSize(2);
        assertThat(judged(back)).isEmpty();
    }

    @Test
    void a_row_without_the_alternate_key_cannot_be_referred_to_where_that_is_a_must() {
        DesignFixture made = design(
                "Each depot has code: text 6 (key), [phone]: text 20 (unique).",
                "Each crate has no: whole (key).",
                "Each crate stands in exactly one depot; each depot holds any number of crates.");
        Relationship stands = made.design().relationships().get(0);
        End depot = stands.second();
        Id phone = made.entity("Depot").body().uniques().get(0).id();
        DesignFixture referring = made.with(new PutRelationship(
                stands.with(Side.SECOND, depot.with(depot.reference().withTargetKey(Optional.of(phone)))), "phone"));
        DesignFixture rows = referring.filled("Depot", "code,phone\nN,112\nS,\n");
        List<Row> depots = rows.entity("Depot").body().rows();
        DesignFixture full = rows.filled("Crate", "no\n1\n2\n").with(f -> {
            Body crates = f.entity("Crate").body();
            List<Row> referred = List.of(
                    crates.rows().get(0).with(stands.ref(Side.SECOND), Optional.of(Row.Reference.to(depots.get(0)))),
                    crates.rows().get(1).with(stands.ref(Side.SECOND), Optional.of(Row.Reference.to(depots.get(1)))));
            return new ChangeBody(f.entity("Crate").id(), crates.withRows(referred), "refer");
        });

        assertThat(judged(full)).containsExactly("Crate, row 2: Depot phone is empty, but every Crate must have one.");
    }

    @Test
    void a_unique_index_is_held_like_a_unique_rule_and_a_plain_one_holds_nothing() {
        DesignFixture rows = design("Each crate has no: whole (key), [mark]: text 9.")
                .filled("Crate", "no,mark\n1,a\n2,a\n3,\n4,\n");
        for (boolean unique : List.of(true, false)) {
            DesignFixture indexed = rows.with(f -> {
                var part = new Index.Part(f.attribute("Crate", "mark").ref(), false);
                var index = new Index(f.ids().next(IdKind.INDEX), List.of(part), unique, Pins.NONE);
                return new ChangeBody(
                        f.entity("Crate").id(), f.entity("Crate").body().withIndexes(List.of(index)), "index");
            });
            assertThat(judged(indexed)).hasSize(unique ? 1 : 0);
        }
    }

    @Test
    void a_reference_with_a_default_leads_there_and_is_judged_there() {
        DesignFixture hives = design(
                        "Each apiary has code: text 6 (key).",
                        "Each hive has no: whole (key).",
                        "Each hive stands in at most one apiary; each apiary shelters any number of hives.")
                .filled("Apiary", "code\nA\n")
                .filled("Hive", "no,apiary\n1,A\n2,\n");
        DesignFixture home = byDefault(hives, "'A'");
        DesignFixture nowhere = byDefault(hives, "'Z'");
        EndRef end = hives.design().referencesOf(hives.entity("Hive").id()).get(0);

        assertThat(FilledRows.of(home.design())
                        .entity("Hive")
                        .orElseThrow()
                        .body()
                        .rows()
                        .get(1)
                        .reference(end))
                .contains(Row.Reference.to(home.entity("Apiary").body().rows().get(0)));
        assertThat(RowJudge.judge(FilledRows.of(home.design()))).isEmpty();
        assertThat(RowJudge.judge(FilledRows.of(nowhere.design()))).hasSize(1);
    }

    private static DesignFixture byDefault(DesignFixture hives, String literal) {
        Relationship stands = hives.design().relationships().get(0);
        Side side = stands.referencedSide().orElseThrow();
        End end = stands.end(side);
        var code = hives.attribute("Apiary", "code").ref();
        return hives.with(new PutRelationship(
                stands.with(
                        side,
                        end.with(end.reference().with(ReferenceColumn.to(code).withDefault(Expression.text(literal))))),
                "default"));
    }

    @Test
    void a_new_row_has_the_next_code_of_the_pattern() {
        DesignFixture made = design(
                "Each lid has code: text 9 (key; pattern L-000), [batch]: text 11 (pattern \"B-yyyy-00\"), name: text 9.");
        var entry = new RowEntry(made.design(), made.entity("Lid").id(), made.ids());
        assertThat(entry.newRow(List.of()).values().values()).containsExactly("L-001");

        DesignFixture filled = made.filled("Lid", "code,batch,name\nL-009,B-2026-41,a\nother,,b\nL-003,B-2027-07,c\n");
        var rows = filled.entity("Lid").body().rows();
        assertThat(entry.newRow(rows).values().values()).containsExactly("L-010", "B-2027-08");
        DesignFixture full = made.filled("Lid", "code,batch,name\nL-999,,a\n");
        assertThat(entry.newRow(full.entity("Lid").body().rows()).values()).isEmpty();
    }
}
