package ableschema.engine;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.catchThrowable;

import ableschema.core.design.Design;
import ableschema.core.design.Entity;
import ableschema.core.design.Id;
import ableschema.core.design.IdKind;
import ableschema.core.design.IdSource;
import ableschema.core.design.Row;
import ableschema.core.mapping.Mapping;
import ableschema.core.mapping.NamingRules;
import ableschema.core.rows.DesignScript;
import ableschema.core.sql.Script;
import ableschema.core.types.DataType;
import ableschema.core.words.DesignReader;
import java.sql.Connection;
import java.sql.SQLException;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** Rows whose keys an engine may hold alike: those that are inserted it takes, those that are left out it refuses. */
class AlikeValuesTest {

    /** By type, values next to their neighbours. */
    private static final Map<String, List<String>> VALUES = Map.of(
            "text 12",
            List.of(
                    "a",
                    "A",
                    "\u00e4",
                    "ae",
                    "\u00e6",
                    "a ",
                    "a  b",
                    "a\u00a0",
                    "ss",
                    "\u00df",
                    "s",
                    "\u0131",
                    "i",
                    "\u0130",
                    "o",
                    "\u00f8",
                    "l",
                    "\u0142",
                    "fi",
                    "\ufb01",
                    "1",
                    "\u2460",
                    "\ud83d\ude00",
                    "\ud83d\ude01",
                    "a\u200b",
                    "e\u0301",
                    "\u00e9",
                    "x\\",
                    "x\\\\",
                    "'",
                    "''",
                    "\u0434",
                    "\u0414",
                    "\u65e5",
                    "\u672c",
                    "-",
                    "_"),
            "decimal 6,2",
            List.of("1.5", "1.50", "01.5", "+1.5", "-0", "0", "0.00", "1.05"),
            "whole",
            List.of("7", "07", "+7", "-7", "2147483647"),
            "date",
            List.of("2028-02-29", "2028-03-01", "0001-01-01", "9999-12-31"),
            "time",
            List.of("08:30", "08:30:00", "23:59:59"),
            "moment",
            List.of("2027-04-01 08:30", "2027-04-01T08:30", "2027-04-01 08:30:00", "2027-04-01 08:31"),
            "moment anywhere",
            List.of(
                    "2027-04-01 10:00+02:00",
                    "2027-04-01T08:00Z",
                    "2027-04-01 08:00+00:00",
                    "2027-04-01 08:01Z",
                    "2050-01-01 00:00Z",
                    "1969-12-31 23:00Z"),
            "uuid",
            List.of(
                    "00000000-0000-4000-8000-00000000000a",
                    "00000000-0000-4000-8000-00000000000A",
                    "00000000-0000-4000-8000-00000000000b"));

    private static Mapping mapping(String type, List<String> values) {
        DesignReader.Result read = DesignReader.read("Each valve has code: " + type + " (key), no: whole.\n");
        assertThat(read.problems()).isEmpty();
        Design design = read.document().design();
        Entity valve = design.entity("Valve").orElseThrow();
        IdSource ids = IdSource.seeded(3);
        Id code = valve.body().attribute("code").orElseThrow().id();
        Id no = valve.body().attribute("no").orElseThrow().id();
        var rows = new ArrayList<Row>();
        for (String value : values) {
            rows.add(Row.empty(ids.next(IdKind.ROW)).with(code, value).with(no, String.valueOf(rows.size())));
        }
        return Mapping.of(design.withBody(valve.id(), valve.body().withRows(rows)), NamingRules.USUAL);
    }

    /** SQLite has no such type: it keeps the text, in which the same moment can stand in two ways. */
    private static boolean keepsAsWritten(RealEngine engine, String type) {
        return engine == RealEngine.SQLITE && type.equals("moment anywhere");
    }

    @ParameterizedTest
    @EnumSource
    void what_is_inserted_is_taken_and_what_is_left_out_would_be_refused(RealEngine engine) throws Exception {
        try (Connection connection = engine.open();
                var statement = connection.createStatement()) {
            for (Map.Entry<String, List<String>> each : VALUES.entrySet()) {
                judge(engine, connection, each.getKey(), each.getValue());
                statement.execute("DROP TABLE valve");
            }
        }
    }

    private static void judge(RealEngine engine, Connection connection, String type, List<String> values)
            throws SQLException {
        Mapping mapping = mapping(type, values);
        Script script = DesignScript.withRowsAsEntered(mapping, engine.dialect());
        String text = script.text();
        assertThat(ScriptRun.of(script, connection).refusal()).as(type).isEmpty();
        DataType code = mapping.schema().tables().get(0).columns().get(0).type();
        int leftOut = 0;
        for (int i = 0; i < values.size(); i++) {
            boolean inserted = text.contains(", " + i + ");");
            leftOut += inserted ? 0 : 1;
            if (!inserted && !keepsAsWritten(engine, type)) {
                String row = "INSERT INTO valve (code, no) VALUES ("
                        + engine.dialect().literal(code, Optional.of(values.get(i))) + ", -1)";
                assertThat(catchThrowable(() -> execute(connection, row)))
                        .as(row + " was left out of\n" + text)
                        .isInstanceOf(SQLException.class);
            }
        }
        assertThat(text.lines().filter(line -> line.startsWith("-- left out"))).hasSize(leftOut);
    }

    private static void execute(Connection connection, String sql) throws SQLException {
        try (var statement = connection.createStatement()) {
            statement.execute(sql);
        }
    }
}
