package ableschema.core.keys;

import static ableschema.core.DesignFixture.design;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.catchThrowable;

import ableschema.core.DesignFixture;
import ableschema.core.design.IdSource;
import ableschema.core.design.KeyPart;
import ableschema.core.design.Row;
import ableschema.core.document.Document;
import ableschema.core.edit.ChangeBody;
import ableschema.core.keys.KeyCandidate.Verdict;
import ableschema.core.rows.RowEntry;
import ableschema.core.rows.RowJudge;
import ableschema.core.rows.RowTable;
import ableschema.core.schema.Table;
import ableschema.core.store.DocumentFile;
import ableschema.core.types.DataType;
import ableschema.core.words.PartNames;
import java.nio.file.Path;
import java.util.List;
import org.junit.jupiter.api.Test;

class KeyCandidatesTest {

    private static List<KeyCandidate> candidates(Document document, String entity) {
        return KeyCandidates.of(
                document.design(), document.design().entity(entity).orElseThrow(), List.of(), IdSource.seeded(4));
    }

    private static KeyCandidate named(List<KeyCandidate> candidates, String name) {
        return candidates.stream()
                .filter(c -> c.name().equals(name))
                .findFirst()
                .orElseThrow(() -> new AssertionError(name + " is not among "
                        + candidates.stream().map(KeyCandidate::name).toList()));
    }

    private static Verdict verdict(KeyCandidate candidate, String question) {
        return candidate.points().stream()
                .filter(p -> p.question().startsWith(question))
                .findFirst()
                .orElseThrow()
                .verdict();
    }

    private static DesignFixture logWith(String csv) {
        DesignFixture made = design("Each log has hive code: text 5, day: date, note: text 200 (optional).");
        var entry = new RowEntry(made.design(), made.entity("Log").id(), made.ids());
        List<Row> rows = new RowTable(entry).read(csv, false, List.of()).rows();
        return made.with(new ChangeBody(
                made.entity("Log").id(), made.entity("Log").body().withRows(rows), "fill"));
    }

    @Test
    void all_are_compared_on_the_same_points_and_the_key_now_is_marked() throws Exception {
        Document demo = DocumentFile.read(Path.of("../demo/alder-valley.able.json"));
        List<KeyCandidate> inspection = candidates(demo, "Inspection");

        assertThat(inspection).extracting(KeyCandidate::name).containsExactly("id", "hive + done at", "inspection no");
        assertThat(inspection.get(0).current()).isTrue();
        assertThat(inspection.stream()
                        .map(c -> c.points().stream()
                                .map(KeyCandidate.Point::question)
                                .toList())
                        .distinct())
                .hasSize(1);
        assertThat(verdict(named(inspection, "inspection no"), "Made in several places"))
                .isEqualTo(Verdict.BAD);
    }

    @Test
    void rows_that_clash_speak_against_a_candidate() {
        DesignFixture clashing = logWith("hive code,day\nAV-1,2027-01-01\nAV-1,2027-01-02\n");
        List<KeyPart> both =
                new PartNames(clashing.design(), clashing.entity("Log").id()).read("hive code + day");
        List<KeyPart> code =
                new PartNames(clashing.design(), clashing.entity("Log").id()).read("hive code");

        KeyCandidate pair = KeyCandidates.of(clashing.design(), clashing.entity("Log"), both, clashing.ids())
                .get(0);
        KeyCandidate alone = KeyCandidates.of(clashing.design(), clashing.entity("Log"), code, clashing.ids())
                .get(0);
        assertThat(verdict(pair, "In the 2 rows")).isEqualTo(Verdict.GOOD);
        assertThat(verdict(alone, "In the 2 rows")).isEqualTo(Verdict.BAD);
    }

    @Test
    void what_follows_from_dependencies_is_found_and_named_so() {
        DesignFixture stated =
                logWith("hive code,day\nAV-1,2027-01-01\nAV-1,2027-01-02\n").where("Log", "hive code, day -> note");
        List<KeyCandidate> found = candidates(stated.document(), "Log");

        assertThat(verdict(named(found, "hive code + day"), "Follows")).isEqualTo(Verdict.GOOD);
    }

    @Test
    void choosing_a_number_or_a_uuid_fills_the_rows_and_breaks_no_rule() {
        DesignFixture start = logWith("hive code,day\nAV-1,2027-01-01\nAV-2,2027-01-02\n");
        for (String choice : List.of("log no", "id")) {
            Document chosen =
                    named(candidates(start.document(), "Log"), choice).choice().applyTo(start.document());

            assertThat(RowJudge.judge(chosen.design())).isEmpty();
            assertThat(chosen.mapping()
                            .schema()
                            .table("log")
                            .orElseThrow()
                            .primaryKey()
                            .orElseThrow()
                            .columns())
                    .hasSize(1);
        }
    }

    @Test
    void the_old_key_stays_unique_and_what_is_in_the_new_one_becomes_mandatory() {
        DesignFixture made = design("Each hive has code: text 5 (key), ring: text 8 (optional).");
        List<KeyPart> ring = new PartNames(made.design(), made.entity("Hive").id()).read("ring");
        Document chosen = KeyCandidates.of(made.design(), made.entity("Hive"), ring, made.ids())
                .get(1)
                .choice()
                .applyTo(made.document());
        Table hive = chosen.mapping().schema().table("hive").orElseThrow();

        assertThat(hive.primaryKey().orElseThrow().columns()).containsExactly("ring");
        assertThat(hive.uniques()).extracting(Table.UniqueConstraint::columns).containsExactly(List.of("code"));
        assertThat(hive.column("ring").orElseThrow().nullable()).isFalse();
        assertThat(chosen.design()
                        .entity("Hive")
                        .orElseThrow()
                        .body()
                        .attribute("ring")
                        .orElseThrow()
                        .optional())
                .isFalse();
    }

    @Test
    void a_key_with_a_parent_is_named_by_the_parent_or_its_role() {
        DesignFixture made = design(
                "Each apiary has code: text 6 (key).",
                "Each hive has stand no: whole.",
                "Each hive stands in exactly one apiary; each apiary shelters any number of hives.");
        List<KeyPart> parts = new PartNames(made.design(), made.entity("Hive").id()).read("apiary + stand no");

        assertThat(parts.get(0)).isInstanceOf(KeyPart.WholeReference.class);
        assertThat(catchThrowable(
                        () -> new PartNames(made.design(), made.entity("Hive").id()).read("apiary + queen")))
                .hasMessage("'queen' is no attribute of Hive");
        Document chosen = KeyCandidates.of(made.design(), made.entity("Hive"), parts, made.ids())
                .get(0)
                .choice()
                .applyTo(made.document());
        assertThat(chosen.mapping()
                        .schema()
                        .table("hive")
                        .orElseThrow()
                        .primaryKey()
                        .orElseThrow()
                        .columns())
                .containsExactly("apiary_code", "stand_no");
        assertThat(chosen.mapping()
                        .schema()
                        .table("hive")
                        .orElseThrow()
                        .column("stand_no")
                        .orElseThrow()
                        .type())
                .isInstanceOf(DataType.Whole.class);
    }
}
