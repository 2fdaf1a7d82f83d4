package ableschema.core.keys;

import static ableschema.core.DesignFixture.design;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.catchThrowable;

import ableschema.core.DesignFixture;
import ableschema.core.design.Id;
import ableschema.core.design.IdSource;
import ableschema.core.design.KeyPart;
import ableschema.core.design.KeyQuestion;
import ableschema.core.design.Row;
import ableschema.core.design.Unique;
import ableschema.core.document.Document;
import ableschema.core.edit.ChangeBody;
import ableschema.core.edit.ChangeNotes;
import ableschema.core.edit.Edits;
import ableschema.core.keys.KeyCandidate.Kind;
import ableschema.core.keys.KeyCandidate.Verdict;
import ableschema.core.rows.RowEntry;
import ableschema.core.rows.RowJudge;
import ableschema.core.rows.RowTable;
import ableschema.core.schema.Table;
import ableschema.core.sql.dialect.Dialects;
import ableschema.core.store.DocumentFile;
import ableschema.core.types.DataType;
import ableschema.core.words.PartNames;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

class KeyCandidatesTest {

    private static List<KeyCandidate> candidates(Document document, String entity) {
        return KeyCandidates.of(
                document.design(),
                document.design().entity(entity).orElseThrow(),
                Dialects.POSTGRESQL,
                List.of(),
                IdSource.seeded(4));
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
    void a_key_that_comes_from_here_in_turn_is_none() {
        DesignFixture circle = design(
                "Each hive has code: text 6.",
                "Each scale has model: text 20.",
                "Each hive stands on exactly one scale; each scale carries at most one hive.",
                "Each scale belongs to exactly one hive; each hive owns at most one scale.",
                "Each hive is identified by its scale.",
                "Each scale is identified by its hive.");
        List<KeyCandidate> candidates = candidates(circle.document(), "Hive");

        assertThat(named(candidates, "scale").point(KeyCandidate.Kind.THERE).answer())
                .isEqualTo("scale takes its key from here");
        assertThat(KeyAdvice.of(candidates).orElseThrow().candidate().name()).isEqualTo("hive no");
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
                .isEqualTo(Verdict.BAD); // they are noted offline
    }

    @Test
    void rows_that_clash_speak_against_a_candidate() {
        DesignFixture clashing = logWith("hive code,day\nAV-1,2027-01-01\nAV-1,2027-01-02\n");
        List<KeyPart> both =
                new PartNames(clashing.design(), clashing.entity("Log").id()).read("hive code + day");
        List<KeyPart> code =
                new PartNames(clashing.design(), clashing.entity("Log").id()).read("hive code");

        KeyCandidate pair = KeyCandidates.of(
                        clashing.design(), clashing.entity("Log"), Dialects.POSTGRESQL, both, clashing.ids())
                .get(0);
        KeyCandidate alone = KeyCandidates.of(
                        clashing.design(), clashing.entity("Log"), Dialects.POSTGRESQL, code, clashing.ids())
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
        Document chosen = KeyCandidates.of(made.design(), made.entity("Hive"), Dialects.POSTGRESQL, ring, made.ids())
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
        Document chosen = KeyCandidates.of(made.design(), made.entity("Hive"), Dialects.POSTGRESQL, parts, made.ids())
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

    private static List<String> table(List<KeyCandidate> candidates) {
        return candidates.stream()
                .map(each -> each.name() + " (" + each.note() + (each.current() ? ", now" : "") + ")"
                        + each.points().stream()
                                .map(p -> " | " + p.answer() + sign(p.verdict()))
                                .collect(Collectors.joining()))
                .toList();
    }

    private static String sign(Verdict verdict) {
        return switch (verdict) {
            case GOOD -> " +";
            case NEUTRAL -> " ·";
            case BAD -> " -";
        };
    }

    @Test
    void each_kind_of_candidate_answers_for_itself() {
        DesignFixture made = design(
                "Each shed has name: text, shed no: counted (key), tag: uuid, opened: year, area: whole 500, slots: whole 70000,"
                        + " door: text 6, wall: text 50, size: decimal 7,2, weight: real, code: text 4 (optional).",
                "Each tool has name: text 12 (key).",
                "Each tool lies in at most one shed; each shed holds any number of tools.");
        DesignFixture filled = made.filled(
                "Shed",
                "tag,opened,area,slots,door,wall,size,weight\n"
                        + "00000000-0000-4000-8000-000000000001,2020,1,10,N,a,1.5,1\n"
                        + "00000000-0000-4000-8000-000000000002,2020,2,20,S,b,2.5,2\n"
                        + "00000000-0000-4000-8000-000000000003,2021,2,30,W,c,3.5,3\n");

        assertThat(table(candidates(filled.document(), "Shed")))
                .containsExactly(
                        "shed no (counted, now) | yes + | no two alike + | yes + | two copies would clash · | never changed +"
                                + " | yes + | only a number · | 4 / 4 + | after a refused row ·",
                        "tag (made) | not stated · | no two alike + | yes + | yes + | never changed + | yes +"
                                + " | no: a code beside it · | 16 / 16 · | none to notice +");
        assertThat(Stream.of("opened", "slots", "door + opened", "wall", "size", "code", "name", "shed no + door")
                        .map(parts -> new PartNames(
                                        filled.design(), filled.entity("Shed").id())
                                .read(parts))
                        .map(parts -> table(KeyCandidates.of(
                                        filled.design(),
                                        filled.entity("Shed"),
                                        Dialects.POSTGRESQL,
                                        parts,
                                        filled.ids()))
                                .get(1)))
                .containsExactly(
                        "opened (given) | not stated · | 2 rows clash - | yes + | yes + | not said · | yes + | not said · | 2 / 2 + | none to notice +",
                        "slots (given) | not stated · | no two alike + | yes + | yes + | not said · | yes + | not said · | 4 / 4 + | none to notice +",
                        "door + opened (2 parts, one key) | not stated · | no two alike + | yes + | yes + | not said · | yes + | not said · | 8 / 8 + | none to notice +",
                        "wall (given) | not stated · | no two alike + | yes + | yes + | not said · | yes + | not said · | 50 / 50 · | none to notice +",
                        "size (given) | not stated · | no two alike + | yes + | yes + | not said · | yes + | not said · | 4 / 4 + | none to notice +",
                        "code (given) | not stated · | empty in all · | code may be empty - | yes + | not said · | yes + | yes + | 4 / 4 + | none to notice +",
                        "name (given) | not stated · | empty in all · | yes + | yes + | name may be corrected · | yes + | yes + | 255 / 255 · | none to notice +",
                        "shed no + door (2 parts, one key) | yes, but shed no alone does · | no two alike + | yes + | two copies would clash · | never changed + | yes + | only a number · | 10 / 10 · | after a refused row ·");
        assertThat(table(candidates(made.document(), "Tool")))
                .containsExactly(
                        "name (given, now) | yes + | no rows yet · | yes + | yes + | name may be corrected · | yes + | yes + | 12 · | none to notice +",
                        "tool no (counted 1, 2, 3 …) | by making it + | no two alike + | yes + | two copies would clash ·"
                                + " | never changed + | yes + | only a number · | 4 + | after a refused row ·",
                        "id (UUID, made by the database) | by making it + | no two alike + | yes + | yes +"
                                + " | never changed + | yes + | no: a code beside it · | 16 · | none to notice +");
    }

    @Test
    void bytes_and_gaps_are_those_of_the_dialect() {
        DesignFixture made = design("Each shed has area: whole 500 (key).");
        assertThat(Stream.of(Dialects.POSTGRESQL, Dialects.SQLITE, Dialects.MARIADB)
                        .map(dialect ->
                                KeyCandidates.of(made.design(), made.entity("Shed"), dialect, List.of(), made.ids()))
                        .map(found -> found.stream()
                                .map(each -> each.name() + " "
                                        + each.point(Kind.BYTES).answer() + " "
                                        + each.point(Kind.GAPS).verdict())
                                .toList()))
                .containsExactly(
                        List.of("area 2 GOOD", "shed no 4 NEUTRAL", "id 16 GOOD"),
                        List.of("area 8 GOOD", "shed no 8 GOOD", "id 36 GOOD"),
                        List.of("area 2 GOOD", "shed no 4 NEUTRAL", "id 16 GOOD"));
    }

    private static DesignFixture answered(DesignFixture made, Id about, KeyQuestion question, boolean yes) {
        return made.with(
                new ChangeNotes(made.design().notes().withAnswer(about, question, Optional.of(yes)), "answer"));
    }

    private static String advice(DesignFixture made, String entity) {
        KeyAdvice advice = KeyAdvice.of(candidates(made.document(), entity)).orElseThrow();
        return advice.candidate().name() + ", since " + advice.since() + " (" + advice.against() + ")";
    }

    @Test
    void what_is_answered_decides_what_is_advised() {
        DesignFixture made = design(
                        "Each member has member code: text 6, e-mail: text 60, name: text 40.",
                        "No two members share their member code.",
                        "No two members share their e-mail.")
                .filled("Member", "member code,e-mail,name\nA-1,a@x.org,Ada\nA-2,b@x.org,Ben\n");
        Id member = made.entity("Member").id();
        Id code = made.attribute("Member", "member code").id();
        Id mail = made.attribute("Member", "e-mail").id();

        assertThat(advice(made, "Member"))
                .isEqualTo(
                        "member code, since it is stated to tell them apart, people know it and no two rows have the same"
                                + " (nobody said whether it ever changes)");
        DesignFixture changing = answered(made, code, KeyQuestion.CHANGES, true);
        assertThat(advice(changing, "Member"))
                .isEqualTo(
                        "member no, since it is short and never changes, while member code changes ("
                                + "two copies would clash; people know it as a number at most; it has gaps after a refused row)");
        DesignFixture offline = answered(changing, member, KeyQuestion.SEVERAL_PLACES, true);
        assertThat(advice(offline, "Member"))
                .startsWith("id, since rows are made in several places, where two would give out the same number");
        assertThat(candidates(offline.document(), "Member"))
                .filteredOn(each -> each.name().equals("member no"))
                .extracting(each -> each.point(Kind.PLACES).verdict())
                .containsExactly(Verdict.BAD);
        DesignFixture stays =
                answered(answered(made, mail, KeyQuestion.CHANGES, false), mail, KeyQuestion.PRIVATE, true);
        KeyCandidate byMail = named(candidates(stays.document(), "Member"), "e-mail");
        assertThat(byMail.point(Kind.STAYS).answer()).isEqualTo("yes");
        assertThat(byMail.point(Kind.PRIVATE).answer()).isEqualTo("e-mail is private");
        assertThat(byMail.point(Kind.PRIVATE).asks()).contains(KeyQuestion.PRIVATE);
        assertThat(named(candidates(made.document(), "Member"), "e-mail")
                        .point(Kind.PRIVATE)
                        .answer())
                .isEqualTo("e-mail looks private");
        DesignFixture unused = answered(made, code, KeyQuestion.KNOWN, false);
        assertThat(named(candidates(unused.document(), "Member"), "member code")
                        .point(Kind.KNOWN)
                        .answer())
                .isEqualTo("no");
        assertThat(made.with(new ChangeNotes(
                                offline.design()
                                        .notes()
                                        .withAnswer(member, KeyQuestion.SEVERAL_PLACES, Optional.empty()),
                                "take back"))
                        .design()
                        .notes()
                        .answers())
                .hasSize(1);
    }

    @Test
    void rows_that_clash_are_named_with_their_values() {
        DesignFixture clashing =
                logWith("hive code,day\nAV-1,2027-01-01\nAV-2,2027-01-01\nAV-1,2027-01-02\n,2027-01-03\n,2027-01-04\n");
        List<KeyPart> code =
                new PartNames(clashing.design(), clashing.entity("Log").id()).read("hive code");
        KeyCandidate alone = KeyCandidates.of(
                        clashing.design(), clashing.entity("Log"), Dialects.POSTGRESQL, code, clashing.ids())
                .get(0);

        assertThat(alone.clashes()).containsExactly(new KeyCandidate.Clash(List.of("AV-1"), List.of(1, 3)));
    }

    @Test
    void all_that_follows_from_another_key_is_listed_over_every_level() {
        DesignFixture made = design(
                        "Each apiary has code: text 6 (key), no: whole.",
                        "Each hive has stand no: whole.",
                        "Each hive stands in exactly one apiary; each apiary shelters any number of hives.",
                        "Each hive is identified by its apiary and stand no.",
                        "Each visit has visit no: whole (key).",
                        "Each visit is of exactly one hive; each hive gets any number of visits.",
                        "Each photo has photo no: whole (key).",
                        "Each photo shows exactly one visit; each visit has any number of photos.")
                .filled("Apiary", "code,no\nA,1\nB,2\n");
        List<KeyPart> no = List.of(made.attribute("Apiary", "no").ref());
        List<KeyReach> reaches = KeyReach.of(
                KeyCandidates.choosing(made.design(), made.entity("Apiary"), no, made.ids()),
                made.document(),
                made.document().mapping(),
                made.entity("Apiary").id());

        assertThat(reaches)
                .containsExactly(
                        new KeyReach(0, "apiary", List.of("key code → no", "unique code comes"), 2),
                        new KeyReach(
                                1,
                                "hive",
                                List.of(
                                        "key apiary_code, stand_no → apiary_no, stand_no",
                                        "foreign key apiary_code to apiary → apiary_no to apiary"),
                                0),
                        new KeyReach(
                                2,
                                "visit",
                                List.of(
                                        "foreign key hive_apiary_code, hive_stand_no to hive → hive_apiary_no, hive_stand_no to hive",
                                        "index hive_apiary_code, hive_stand_no → hive_apiary_no, hive_stand_no"),
                                0));
    }

    @Test
    void an_index_and_a_unique_rule_over_a_reference_follow_the_key_over_every_level() {
        DesignFixture made = design(
                "Each apiary has code: text 6 (key), no: whole.",
                "Each hive has stand no: whole, place: whole.",
                "Each hive stands in exactly one apiary; each apiary shelters any number of hives.",
                "Each hive is identified by its apiary and stand no.",
                "Each hive is often searched by its apiary and place.",
                "Each visit has visit no: whole (key), day: date.",
                "Each visit is of exactly one hive; each hive gets any number of visits.",
                "Each visit is often searched by its hive and day falling.");
        DesignFixture columns = made.with(f -> new Edits(f.design(), f.ids())
                .addUnique(
                        f.entity("Visit").id(),
                        f.entity("Visit").body().indexes().get(0).parts().stream()
                                .<KeyPart>map(part -> part.column().orElseThrow())
                                .toList()));
        DesignFixture chosen = columns.with(f -> KeyCandidates.choosing(
                f.design(),
                f.entity("Apiary"),
                List.of(f.attribute("Apiary", "no").ref()),
                f.ids()));

        assertThat(chosen.table("hive").indexes())
                .extracting(index -> index.columnNames())
                .containsExactly(List.of("apiary_no", "place"));
        assertThat(chosen.table("visit").indexes())
                .extracting(index -> index.columnNames())
                .contains(List.of("hive_apiary_no", "hive_stand_no", "day"));
        assertThat(chosen.table("visit").uniques())
                .extracting(unique -> unique.columns())
                .containsExactly(List.of("hive_apiary_no", "hive_stand_no", "day"));
    }

    @Test
    void a_computation_that_a_key_takes_along_is_told_beforehand() {
        DesignFixture made = design(
                "Each cell has no: whole (key), code: text 9.",
                "Each frame has place: whole (key), next: whole.",
                "Each frame is in exactly one cell; each cell has any number of frames.",
                "The next of each frame is computed from cell no + 1.");
        List<KeyReach> reaches = KeyReach.of(
                KeyCandidates.choosing(
                        made.design(),
                        made.entity("Cell"),
                        List.of(made.attribute("Cell", "code").ref()),
                        made.ids()),
                made.document(),
                made.document().mapping(),
                made.entity("Cell").id());

        assertThat(reaches.get(1).changes()).contains("computation of next, cell_no + 1 goes");
    }

    @Test
    void what_looks_like_a_key_is_proposed_where_no_key_is_stated() {
        DesignFixture bare = design("Each crate has label no: text 8, maker: text 30, story: text 4000, at: date.");
        DesignFixture filled = bare.filled("Crate", "label no,maker,story,at\nA,m,s,2027-01-01\nB,n,t,2027-01-01\n");

        assertThat(candidates(bare.document(), "Crate"))
                .extracting(KeyCandidate::name)
                .containsExactly("label no", "crate no", "id");
        assertThat(candidates(filled.document(), "Crate"))
                .extracting(KeyCandidate::name)
                .containsExactly("label no", "maker", "crate no", "id");
        DesignFixture taken = design("Each crate has crate no: text 8 (optional), id: text 9 (optional).");
        assertThat(candidates(taken.document(), "Crate"))
                .extracting(KeyCandidate::name)
                .containsExactly("crate no 2", "id 2");
    }

    @Test
    void a_number_or_a_uuid_asked_for_becomes_the_key_and_old_rows_get_theirs() {
        DesignFixture made = design("Each crate has label: text 8 (key).").filled("Crate", "label\nA\nB\n");

        DesignFixture numbered = made.with(KeyCandidates.numbered(made.design(), made.entity("Crate"), made.ids()));
        assertThat(numbered.entity("Crate").body().key())
                .containsExactly(numbered.attribute("Crate", "crate no").ref());
        assertThat(numbered.entity("Crate").body().rows())
                .extracting(row ->
                        row.value(numbered.attribute("Crate", "crate no").id()).orElse(""))
                .containsExactly("1", "2");
        assertThat(numbered.entity("Crate").body().uniques()).hasSize(1);
        DesignFixture withUuid = made.with(KeyCandidates.withUuid(made.design(), made.entity("Crate"), made.ids()));
        assertThat(withUuid.attribute("Crate", "id").type()).isEqualTo(DataType.Simple.UUID);
        List<KeyPart> label = List.of(made.attribute("Crate", "label").ref());
        DesignFixture back =
                numbered.with(KeyCandidates.choosing(numbered.design(), numbered.entity("Crate"), label, made.ids()));
        assertThat(back.entity("Crate").body().key()).isEqualTo(label);
        assertThat(back.entity("Crate").body().uniques())
                .extracting(Unique::parts)
                .containsExactly(List.of(back.attribute("Crate", "crate no").ref()));
    }
}
