package ableschema.core.normalization;

import static ableschema.core.DesignFixture.design;
import static org.assertj.core.api.Assertions.assertThat;

import ableschema.core.DesignFixture;
import ableschema.core.design.Entity;
import ableschema.core.design.ForeignColumn;
import ableschema.core.design.IdSource;
import ableschema.core.design.KeyPart;
import ableschema.core.design.Row;
import ableschema.core.document.Document;
import ableschema.core.document.History;
import ableschema.core.edit.ChangeBody;
import ableschema.core.rows.RowEntry;
import ableschema.core.rows.RowJudge;
import ableschema.core.rows.RowTable;
import ableschema.core.rows.RowValues;
import ableschema.core.schema.Table;
import ableschema.core.store.DocumentFile;
import ableschema.core.theory.NormalForm;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
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
}
