package ableschema.engine;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import ableschema.core.design.IdSource;
import ableschema.core.document.Document;
import ableschema.core.edit.Alternatives;
import ableschema.core.rows.DesignScript;
import java.sql.Connection;
import java.sql.SQLException;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** A one-to-one put into one table: the rows go in, what referred to the one that went is still held. */
class MergeOnRealEnginesTest {

    private static Document merged() {
        Document made = Said.read(
                "Each hive has code: text 6 (key).",
                "Each scale has serial no: text 9 (key), kilos: whole (at least 1).",
                "Each scale carries exactly one hive; each hive stands on at most one scale.",
                "Each reading has no: whole (key).",
                "Each reading is taken from exactly one scale; each scale gives any number of readings.");
        made = Said.filled(made, "Hive", "code\nA\nB\nC\nD\n");
        made = Said.filled(made, "Scale", "serial no,kilos,hive\nS1,50,A\nS2,60,B\n");
        made = Said.filled(made, "Reading", "no,scale\n1,S1\n2,S2\n3,S2\n");
        return new Alternatives(made, IdSource.seeded(5))
                .ofOneToOne(made.design().relationships().get(0)).stream()
                        .filter(way -> way.label().equals("all in Hive"))
                        .findFirst()
                        .orElseThrow()
                        .edit()
                        .applyTo(made);
    }

    @ParameterizedTest
    @EnumSource
    void one_table_holds_what_two_held(RealEngine engine) throws Exception {
        Document document = merged();
        try (Connection connection = engine.open()) {
            if (engine == RealEngine.SQLITE) {
                Said.run(connection, "PRAGMA foreign_keys = ON");
            }
            var run = ScriptRun.of(DesignScript.withRows(document.mapping(), engine.dialect()), connection);
            assertThat(run.refusal()).isEmpty();
            assertThat(Said.number(connection, "SELECT count(*) FROM hive WHERE serial_no IS NULL"))
                    .isEqualTo(2);
            assertThat(Said.number(
                            connection,
                            "SELECT sum(kilos) FROM hive JOIN reading ON reading.hive_serial_no = hive.serial_no"))
                    .isEqualTo(170);
            Said.run(connection, "INSERT INTO hive (code) VALUES ('E')");
            refused(connection, "INSERT INTO hive (code, serial_no) VALUES ('F', 'S1')");
            refused(connection, "INSERT INTO hive (code, kilos) VALUES ('G', 0)");
            refused(connection, "INSERT INTO reading (no, hive_serial_no) VALUES (9, 'S9')");
            refused(connection, "UPDATE hive SET serial_no = NULL WHERE code = 'A'");
        }
    }

    private static void refused(Connection connection, String sql) {
        assertThatThrownBy(() -> Said.run(connection, sql)).as(sql).isInstanceOf(SQLException.class);
    }
}
