package ableschema.engine;

import static ableschema.engine.Said.entity;
import static ableschema.engine.Said.filled;
import static ableschema.engine.Said.number;
import static ableschema.engine.Said.read;
import static ableschema.engine.Said.run;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import ableschema.core.design.Design;
import ableschema.core.design.Entity;
import ableschema.core.design.IdSource;
import ableschema.core.design.KeyPart;
import ableschema.core.document.Document;
import ableschema.core.document.Edit;
import ableschema.core.edit.ChangeRules;
import ableschema.core.keys.KeyCandidate;
import ableschema.core.keys.KeyCandidates;
import ableschema.core.mapping.NameStyle;
import ableschema.core.mapping.NamingRules;
import ableschema.core.rows.DesignScript;
import ableschema.core.rows.RowJudge;
import java.sql.Connection;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** What is said of keys before they are chosen, held against what real engines do. */
class KeysOnRealEnginesTest {

    private static final IdSource IDS = IdSource.seeded(3);

    @ParameterizedTest
    @EnumSource
    void a_refused_row_uses_up_a_number_exactly_where_it_is_said_to(RealEngine engine) throws Exception {
        Document document = read("Each nuc has nuc no: counted (key), ring: text 8 (unique).");
        try (Connection connection = engine.open()) {
            assertThat(ScriptRun.of(DesignScript.definitions(document.mapping(), engine.dialect()), connection)
                            .refusal())
                    .isEmpty();
            run(connection, "insert into nuc (ring) values ('a')");
            assertThatThrownBy(() -> run(connection, "insert into nuc (ring) values ('a')"))
                    .isInstanceOf(SQLException.class);
            run(connection, "insert into nuc (ring) values ('b')");
            assertThat(number(connection, "select max(nuc_no) from nuc"))
                    .isEqualTo(engine.dialect().usesUpRefusedNumbers() ? 3 : 2);
        }
    }

    /** Three levels, the middle one with the reference in its key. */
    private static Document threeLevels() {
        Document named = read(
                "Each apiary has code: text 6 (key), parish: text 20, plot: whole 90.",
                "Each hive has stand no: whole.",
                "Each hive stands in exactly one apiary; each apiary shelters any number of hives.",
                "Each hive is identified by its apiary and stand no.",
                "Each visit has visit no: whole (key).",
                "Each visit is of exactly one hive; each hive gets any number of visits (on delete cascade).");
        Document apiaries = filled(named, "Apiary", "code,parish,plot\nA,North,1\nB,North,2\nC,South,1\n");
        Document hives = filled(apiaries, "Hive", "stand no,apiary\n1,A\n2,A\n1,C\n");
        return filled(hives, "Visit", "visit no,hive\n1,A / 1\n2,C / 1\n3,A / 2\n");
    }

    private static Stream<Edit> otherKeys(Design design) {
        Entity apiary = design.entity("Apiary").orElseThrow();
        List<KeyPart> parishAndPlot = List.of(
                apiary.body().attribute("parish").orElseThrow().ref(),
                apiary.body().attribute("plot").orElseThrow().ref());
        return Stream.of(
                KeyCandidates.numbered(design, apiary, IDS),
                KeyCandidates.withUuid(design, apiary, IDS),
                KeyCandidates.choosing(design, apiary, parishAndPlot, IDS));
    }

    @ParameterizedTest
    @EnumSource
    void a_changed_key_is_carried_through_all_levels_with_the_rows(RealEngine engine) throws Exception {
        Document before = threeLevels();
        assertThat(RowJudge.judge(before.design())).isEmpty();
        for (Edit choice : otherKeys(before.design()).toList()) {
            Document after = choice.applyTo(before);
            assertThat(RowJudge.judge(after.design())).as(choice.name()).isEmpty();
            try (Connection connection = engine.open()) {
                ScriptRun run = ScriptRun.of(DesignScript.withRows(after.mapping(), engine.dialect()), connection);
                assertThat(run.refusal()).as(choice.name()).isEmpty();
                assertThat(number(connection, "select count(*) from visit"))
                        .as(choice.name())
                        .isEqualTo(3);
                // what was the key stays unique
                assertThatThrownBy(() -> run(connection, "update apiary set code = 'A' where code = 'B'"))
                        .as(choice.name())
                        .isInstanceOf(SQLException.class);
                assertThat(number(
                                connection,
                                "select count(*) from hive h join apiary a on " + joined(after)
                                        + " where a.code = 'A'"))
                        .as(choice.name())
                        .isEqualTo(2);
            }
        }
    }

    private static String joined(Document document) {
        return document.mapping().schema().table("hive").orElseThrow().foreignKeys().stream()
                .flatMap(key -> Stream.iterate(0, i -> i < key.columns().size(), i -> i + 1)
                        .map(i -> "h." + key.columns().get(i) + " = a."
                                + key.targetColumns().get(i)))
                .reduce((a, b) -> a + " and " + b)
                .orElseThrow();
    }

    @ParameterizedTest
    @EnumSource
    void rows_that_a_candidate_does_not_tell_apart_are_refused_by_the_engine(RealEngine engine) throws Exception {
        Document document = filled(
                read("Each log has log no: whole (key), hive code: text 5, seen: date."),
                "Log",
                "log no,hive code,seen\n1,A,2027-01-01\n2,A,2027-01-02\n3,B,2027-01-01\n");
        Entity log = entity(document, "Log");
        for (String parts : List.of("hive code", "seen", "hive code+seen")) {
            List<KeyPart> named = Stream.of(parts.split("\\+"))
                    .map(name ->
                            (KeyPart) log.body().attribute(name).orElseThrow().ref())
                    .toList();
            KeyCandidate candidate = KeyCandidates.of(document.design(), log, engine.dialect(), named, IDS).stream()
                    .filter(each -> each.parts().equals(named))
                    .findFirst()
                    .orElseThrow();
            Document chosen = candidate.choice().applyTo(document);
            try (Connection connection = engine.open()) {
                assertThat(ScriptRun.of(DesignScript.definitions(chosen.mapping(), engine.dialect()), connection)
                                .refusal())
                        .isEmpty();
                boolean refused = false;
                for (String row : List.of("1, 'A', '2027-01-01'", "2, 'A', '2027-01-02'", "3, 'B', '2027-01-01'")) {
                    try {
                        run(connection, "insert into log (log_no, hive_code, seen) values (" + row + ")");
                    } catch (SQLException e) {
                        refused = true;
                    }
                }
                assertThat(refused).as(parts).isEqualTo(!candidate.clashes().isEmpty());
            }
        }
    }

    @ParameterizedTest
    @EnumSource
    void a_foreign_key_is_indexed_by_itself_exactly_where_it_is_said_to(RealEngine engine) throws Exception {
        Document document = read(
                "Each apiary has code: text 6 (key).",
                "Each hive has hive no: whole (key).",
                "Each hive stands in exactly one apiary; each apiary shelters any number of hives.");
        NamingRules bare = new NamingRules(NameStyle.SNAKE, false, false);
        Document unindexed = new ChangeRules(document.rules().withNaming(bare), "no indexes").applyTo(document);
        try (Connection connection = engine.open()) {
            assertThat(ScriptRun.of(DesignScript.definitions(unindexed.mapping(), engine.dialect()), connection)
                            .refusal())
                    .isEmpty();
            boolean indexed = false;
            String table = engine == RealEngine.H2 ? "HIVE" : "hive";
            try (ResultSet indexes = connection.getMetaData().getIndexInfo(null, null, table, false, false)) {
                while (indexes.next()) {
                    indexed |= "apiary_code".equalsIgnoreCase(indexes.getString("COLUMN_NAME"));
                }
            }
            assertThat(indexed).isEqualTo(engine.dialect().indexesForeignKeys());
        }
    }
}
