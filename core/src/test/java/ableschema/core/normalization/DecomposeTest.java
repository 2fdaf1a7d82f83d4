package ableschema.core.normalization;

import static ableschema.core.DesignFixture.design;
import static org.assertj.core.api.Assertions.assertThat;

import ableschema.core.DesignFixture;
import ableschema.core.design.Check;
import ableschema.core.design.ColumnRef;
import ableschema.core.design.EndRef;
import ableschema.core.design.Entity;
import ableschema.core.design.ForeignColumn;
import ableschema.core.design.IdKind;
import ableschema.core.design.IdSource;
import ableschema.core.design.Index;
import ableschema.core.design.KeyPart;
import ableschema.core.design.Pins;
import ableschema.core.design.Relationship;
import ableschema.core.design.Row;
import ableschema.core.document.Document;
import ableschema.core.document.History;
import ableschema.core.edit.ChangeBody;
import ableschema.core.edit.Edits;
import ableschema.core.expression.Expression;
import ableschema.core.rows.RowEntry;
import ableschema.core.rows.RowJudge;
import ableschema.core.rows.RowTable;
import ableschema.core.rows.RowValues;
import ableschema.core.schema.Table;
import ableschema.core.store.DocumentFile;
import ableschema.core.theory.AttributeSet;
import ableschema.core.theory.Decomposition;
import ableschema.core.theory.NormalForm;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;

class DecomposeTest {

    private static Document fieldLog() throws Exception {
        return DocumentFile.read(Path.of("../demo/field-log.able.json"));
    }

    private static Proposal proposal(Document document, String entity, NormalForm goal) {
        EntityTheory theory = EntityTheory.of(
                document.design(), document.design().entity(entity).orElseThrow());
        return Proposal.of(
                document.design(), theory, theory.analysis().decomposition(goal).orElseThrow(), IdSource.seeded(3));
    }

    private static String described(Table table) {
        return table.name() + table.columns().stream().map(c -> c.name()).toList() + " key "
                + table.primaryKey().map(Table.PrimaryKey::columns).orElse(List.of()) + " to "
                + table.foreignKeys().stream().map(f -> f.target()).toList();
    }

    @Test
    void the_field_log_becomes_four_tables_that_refer_to_each_other() throws Exception {
        Document document = fieldLog();
        Document apart = new Decompose(proposal(document, "Field log", NormalForm.THIRD)).applyTo(document);

        assertThat(apart.mapping().schema().tables().stream().map(DecomposeTest::described))
                .containsExactlyInAnyOrder(
                        "apiary[apiary, landowner] key [apiary] to []",
                        "hive[hive_code, apiary] key [hive_code] to [apiary]",
                        "keeper[keeper_no, keeper_name] key [keeper_no] to []",
                        "field_log[hive_code, visited_on, strength, honey_kg, forage_1, forage_2, keeper_no]"
                                + " key [hive_code, visited_on] to [hive, keeper]");
        assertThat(RowJudge.judge(apart.design())).isEmpty();
        assertThat(apart.mapping().undecided()).isEmpty();
    }

    @Test
    void the_rows_joined_again_are_the_rows_that_were() throws Exception {
        Document document = fieldLog();
        for (NormalForm goal : List.of(NormalForm.THIRD, NormalForm.BOYCE_CODD)) {
            Document apart = new Decompose(proposal(document, "Field log", goal)).applyTo(document);

            assertThat(joined(apart)).containsExactlyInAnyOrderElementsOf(flat(document));
        }
    }

    /** Each row as a map from attribute name to value. */
    private static List<Map<String, String>> flat(Document document) {
        Entity log = document.design().entity("Field log").orElseThrow();
        return log.body().rows().stream()
                .map(row -> log.body().attributes().stream()
                        .filter(a -> row.value(a.id()).isPresent())
                        .collect(Collectors.toMap(
                                a -> a.name(), a -> row.value(a.id()).orElse(""))))
                .toList();
    }

    /** The rows of the part that stayed, with the values of all rows they lead to. */
    private static List<Map<String, String>> joined(Document apart) {
        var values = new RowValues(apart.design());
        var joined = new ArrayList<Map<String, String>>();
        for (Row row : apart.design().entity("Field log").orElseThrow().body().rows()) {
            var cells = new HashMap<String, String>();
            gather(row, apart, values, cells);
            joined.add(cells);
        }
        return joined;
    }

    private static void gather(Row row, Document apart, RowValues values, Map<String, String> cells) {
        row.values()
                .forEach((id, value) ->
                        cells.put(apart.design().attribute(id).orElseThrow().name(), value));
        row.references().keySet().forEach(end -> values.parent(row, end)
                .ifPresent(parent -> gather(parent, apart, values, cells)));
    }

    @Test
    void it_is_one_step_that_can_be_undone() throws Exception {
        Document document = fieldLog();
        var history = new History(document);
        history.apply(new Decompose(proposal(document, "Field log", NormalForm.THIRD)));

        assertThat(history.undoable().orElseThrow())
                .isEqualTo("decompose Field log into Hive, Apiary, Keeper, Field log");
        history.undo();
        assertThat(history.present()).isSameAs(document);
    }

    @Test
    void what_the_entity_was_related_to_stays_related_to_the_right_part() {
        DesignFixture made = design(
                        "Each visit has visit no: whole (key), hive code: text 5, colour: text 9.",
                        "Each keeper has no: whole (key).",
                        "Each visit is made by exactly one keeper; each keeper makes any number of visits.",
                        "Each photo has photo no: whole (key).",
                        "Each photo is taken at exactly one visit; each visit shows any number of photos.")
                .where("Visit", "hive code -> colour", "hive code -> keeper");
        Document apart = new Decompose(proposal(made.document(), "Visit", NormalForm.THIRD)).applyTo(made.document());

        assertThat(apart.mapping().schema().tables().stream().map(DecomposeTest::described))
                .contains(
                        "hive[hive_code, colour, keeper_no] key [hive_code] to [keeper]",
                        "visit[visit_no, hive_code] key [visit_no] to [hive]",
                        "photo[photo_no, visit_no] key [photo_no] to [visit]");
    }

    @Test
    void contradicting_rows_are_kept_and_found_rather_than_lost() {
        DesignFixture made = design("Each log has day: date (key), hive code: text 5, colour: text 9.")
                .where("Log", "hive code -> colour");
        var entry = new RowEntry(made.design(), made.entity("Log").id(), made.ids());
        List<Row> rows = new RowTable(entry)
                .read("day,hive code,colour\n2027-01-01,AV-1,white\n2027-01-02,AV-1,sage\n", false, List.of())
                .rows();
        DesignFixture filled = made.with(new ChangeBody(
                made.entity("Log").id(), made.entity("Log").body().withRows(rows), "fill"));
        Document apart = new Decompose(proposal(filled.document(), "Log", NormalForm.THIRD)).applyTo(filled.document());

        assertThat(apart.design().entity("Hive").orElseThrow().body().rows()).hasSize(2);
        assertThat(RowJudge.judge(apart.design()).get(0).text()).contains("is the key of row 1 already");
    }

    @Test
    void redundant_cells_and_the_reason_are_told_with_the_designers_names() throws Exception {
        Document document = fieldLog();
        EntityTheory theory = EntityTheory.of(
                document.design(), document.design().entity("Field log").orElseThrow());
        var redundancy = new Redundancy(theory);
        var worst = theory.analysis().violations().get(0);

        assertThat(theory.analysis().normalForm()).isEqualTo(NormalForm.FIRST);
        assertThat(new ViolationText(theory, redundancy).why(worst))
                .startsWith("apiary and landowner hang on hive code alone, a part of the key");
        assertThat(new ViolationText(theory, redundancy).consequence(worst)).contains("must be written 4 times");
        // 28 rows: 7 hives leave 21 apiaries and 25 landowners (3 apiaries) said again, 4 keepers leave 24 names
        assertThat(redundancy.count()).isEqualTo(21 + 25 + 24);
    }

    @Test
    void a_key_part_that_is_half_of_a_parents_key_stays_one_column() {
        DesignFixture made = design("Each r has a: whole, b: whole, c: whole, d: whole, e: whole.")
                .where("R", "a, b -> c, d, e", "b, c -> e");
        Document apart = new Decompose(proposal(made.document(), "R", NormalForm.THIRD)).applyTo(made.document());

        Table kept = apart.mapping().schema().tables().stream()
                .filter(t -> t.foreignKeys().size() == 1)
                .findFirst()
                .orElseThrow();
        assertThat(kept.primaryKey().orElseThrow().columns()).hasSize(2);
        assertThat(apart.design().entities().stream()
                        .flatMap(e -> e.body().key().stream())
                        .filter(ForeignColumn.class::isInstance)
                        .map(KeyPart.class::cast))
                .hasSize(1);
    }

    private static DesignFixture apart(DesignFixture made, String entity, NormalForm goal) {
        return DesignFixture.of(new Decompose(proposal(made.document(), entity, goal)).applyTo(made.document()));
    }

    @Test
    void rules_go_with_the_part_that_holds_all_that_they_speak_of() {
        DesignFixture made = design(
                        "Each visit has visit no: whole (key), day: date, hive code: text 5,"
                                + " colour: text 9 (one of white, sage), serial: text 12, strength: whole (at least 1).",
                        "No two visits share their hive code and day.",
                        "No two visits share their strength, day and serial.")
                .where("Visit", "hive code -> colour", "visit no ->> day");
        DesignFixture searched = made.with(f -> new Edits(f.design(), f.ids())
                        .setOften(f.attribute("Visit", "colour"), Index.Purpose.SEARCHED, true))
                .with(f -> new Edits(f.design(), f.ids())
                        .setOften(f.attribute("Visit", "strength"), Index.Purpose.SEARCHED, true));
        DesignFixture after = apart(searched, "Visit", NormalForm.THIRD);

        assertThat(after.schema().tables().stream().map(DecomposeTest::rules))
                .containsExactlyInAnyOrder(
                        "hive uniques [] checks 1 indexes [colour]",
                        "visit uniques [[hive_code, day], [strength, day, serial]] checks 1 indexes [strength]");
        assertThat(after.entity("Hive").body().dependencies()).hasSize(1);
        assertThat(after.entity("Visit").body().dependencies()).hasSize(1);
        assertThat(proposal(searched.document(), "Visit", NormalForm.THIRD).unheld())
                .isEmpty();
    }

    @Test
    void rules_that_no_part_can_hold_are_named_beforehand() {
        DesignFixture made = design(
                        "Each visit has visit no: whole (key), hive code: text 5, colour: text 9, strength: whole.",
                        "No two visits share their colour and strength.")
                .where("Visit", "visit no -> hive code, strength", "hive code -> colour");
        Entity visit = made.entity("Visit");
        var both = Expression.<ColumnRef>of(
                new Expression.Column<>(made.attribute("Visit", "colour").ref()),
                new Expression.Text<>(" > "),
                new Expression.Column<>(made.attribute("Visit", "strength").ref()));
        var index = new Index(
                made.ids().next(IdKind.INDEX),
                List.of(
                        new Index.Part(made.attribute("Visit", "colour").ref(), false),
                        new Index.Part(made.attribute("Visit", "visit no").ref(), false)),
                false,
                Pins.NONE);
        DesignFixture ruled = made.with(new ChangeBody(
                visit.id(),
                visit.body()
                        .withChecks(List.of(new Check(made.ids().next(IdKind.CHECK), both, Pins.NONE)))
                        .withIndexes(List.of(index)),
                "rule"));

        EntityTheory theory = EntityTheory.of(ruled.design(), ruled.entity("Visit"));
        AttributeSet hive = theory.set(List.of(
                ruled.attribute("Visit", "hive code").ref(),
                ruled.attribute("Visit", "colour").ref()));
        AttributeSet rest = theory.analysis().relation().all().without(2);
        var parts = new Decomposition(
                NormalForm.THIRD,
                List.of(
                        new Decomposition.Part(hive, AttributeSet.of(1)),
                        new Decomposition.Part(rest, AttributeSet.of(0))),
                true,
                Optional.of(true),
                true);
        assertThat(Proposal.of(ruled.design(), theory, parts, IdSource.seeded(3))
                        .unheld())
                .containsExactly(
                        "colour and strength are unique",
                        "a check on colour and strength",
                        "an index on visit no and colour");
    }

    private static String rules(Table table) {
        return table.name() + " uniques "
                + table.uniques().stream().map(Table.UniqueConstraint::columns).toList()
                + " checks " + table.checks().size() + " indexes "
                + table.indexes().stream()
                        .flatMap(i -> i.columnNames().stream())
                        .sorted()
                        .toList();
    }

    @Test
    void what_may_be_empty_stays_so_and_rows_without_it_refer_to_nothing() {
        DesignFixture made = design("Each visit has visit no: whole (key), hive code: text 5 (optional),"
                        + " colour: text 9 (optional).")
                .where("Visit", "hive code -> colour")
                .filled("Visit", "visit no,hive code,colour\n1,AV-1,white\n2,,\n3,AV-1,white\n");
        Proposal proposal = proposal(made.document(), "Visit", NormalForm.THIRD);
        DesignFixture after = DesignFixture.of(new Decompose(proposal).applyTo(made.document()));

        assertThat(after.table("visit").column("hive_code").orElseThrow().nullable())
                .isTrue();
        assertThat(after.table("hive").column("hive_code").orElseThrow().nullable())
                .isFalse();
        assertThat(after.table("hive").column("colour").orElseThrow().nullable())
                .isTrue();
        assertThat(after.entity("Hive").body().rows()).hasSize(1);
        assertThat(after.entity("Visit").body().rows())
                .extracting(row -> row.references().size())
                .containsExactly(1, 0, 1);
        assertThat(RowJudge.judge(after.design())).isEmpty();
        // three rows of three are one hive with two and three visits with two
        assertThat(proposal.cellsNow()).isEqualTo(9);
        assertThat(proposal.cells()).isEqualTo(8);
    }

    @Test
    void a_reference_in_two_parts_becomes_two_and_both_keep_their_rows() {
        DesignFixture made = design(
                        "Each keeper has no: whole (key).",
                        "Each visit has day: date, hive code: text 5, colour: text 9, mood: text 9.",
                        "Each visit is made by exactly one keeper; each keeper makes any number of visits.",
                        "Each visit is identified by its keeper, day and hive code.")
                .filled("Keeper", "no\n7\n8\n")
                .where("Visit", "keeper, day -> mood", "hive code -> colour")
                .filled(
                        "Visit",
                        "day,hive code,colour,mood,keeper\n2027-01-01,A,white,glad,7\n2027-01-01,B,sage,glad,7\n"
                                + "2027-01-02,A,white,tired,8\n");
        DesignFixture after = apart(made, "Visit", NormalForm.THIRD);

        assertThat(after.schema().tables().stream().map(DecomposeTest::described))
                .contains(
                        "hive[hive_code, colour] key [hive_code] to []",
                        "visit[keeper_day_keeper_no, keeper_day_day, hive_code]"
                                + " key [keeper_day_keeper_no, keeper_day_day, hive_code] to [keeper_day, hive]",
                        "keeper_day[keeper_no, day, mood] key [keeper_no, day] to [keeper]");
        assertThat(RowJudge.judge(after.design())).isEmpty();
        assertThat(after.entity("Visit").body().rows()).hasSize(3);
    }

    @Test
    void rows_that_become_one_take_with_them_what_referred_to_each() {
        DesignFixture made = design(
                        "Each visit has hive code: text 5, colour: text 9.",
                        "Each photo has photo no: whole (key).",
                        "Each photo is taken at exactly one visit; each visit shows any number of photos.")
                .where("Visit", "hive code -> colour")
                .filled("Visit", "hive code,colour\nA,white\nB,sage\nA,white\n")
                .filled("Photo", "photo no\n1\n2\n");
        List<Row> visits = made.entity("Visit").body().rows();
        Relationship taking = made.design().relationships().get(0);
        EndRef visit = taking.ref(taking.referencedSide().orElseThrow());
        List<Row> photos = made.entity("Photo").body().rows();
        DesignFixture taken = made.with(new ChangeBody(
                made.entity("Photo").id(),
                made.entity("Photo")
                        .body()
                        .withRows(List.of(
                                photos.get(0)
                                        .with(
                                                visit,
                                                Optional.of(new Row.ToRow(
                                                        visits.get(2).id()))),
                                photos.get(1)
                                        .with(
                                                visit,
                                                Optional.of(new Row.ToRow(
                                                        visits.get(1).id()))))),
                "take"));
        EntityTheory theory = EntityTheory.of(taken.design(), taken.entity("Visit"));
        Decomposition asIs = new Decomposition(
                NormalForm.THIRD,
                List.of(new Decomposition.Part(
                        theory.analysis().relation().all(),
                        theory.analysis().relation().all())),
                true,
                Optional.of(true),
                true);
        DesignFixture after = DesignFixture.of(
                new Decompose(Proposal.of(taken.design(), theory, asIs, IdSource.seeded(3))).applyTo(taken.document()));

        assertThat(after.entity("Visit").body().rows())
                .extracting(Row::id)
                .containsExactly(visits.get(0).id(), visits.get(1).id());
        assertThat(after.entity("Photo").body().rows())
                .extracting(row -> row.reference(visit).orElseThrow())
                .containsExactly(
                        new Row.ToRow(visits.get(0).id()),
                        new Row.ToRow(visits.get(1).id()));
    }
}
