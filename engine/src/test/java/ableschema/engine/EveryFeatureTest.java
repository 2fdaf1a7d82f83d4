package ableschema.engine;

import static org.assertj.core.api.Assertions.assertThat;

import ableschema.core.document.Document;
import ableschema.core.rows.DesignScript;
import ableschema.core.sql.Script;
import ableschema.core.sql.dialect.Ability;
import ableschema.core.sql.dialect.Dialect;
import ableschema.core.sql.dialect.Dialects;
import ableschema.core.store.DocumentFile;
import ableschema.core.types.DataType;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.parallel.ResourceLock;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.ValueSource;

/** A design that uses everything a design can say, built on each engine, with rows that it must take and rows that it must refuse. */
@ResourceLock("the database store, which is of one name in MariaDB")
class EveryFeatureTest {

    private static final Path DESIGN = Path.of("../core/src/test/resources/designs/every-feature.able.json");
    private static final Pattern MARKED = Pattern.compile("\\[(.+?)]");

    private static Script script(Dialect dialect) throws Exception {
        Document document = DocumentFile.read(DESIGN);
        return DesignScript.withRows(document.mapping(), dialect);
    }

    private static Connection built(RealEngine engine) throws Exception {
        return built(engine, engine.dialect());
    }

    private static Connection built(RealEngine engine, Dialect dialect) throws Exception {
        Script script = script(dialect);
        assertThat(script.text()).doesNotContain("-- left out");
        Connection connection = engine.open();
        if (engine == RealEngine.MARIADB) {
            // its schemas are databases of the whole server
            execute(connection, "SET foreign_key_checks = 0");
            execute(connection, "DROP DATABASE IF EXISTS store");
            execute(connection, "DROP DATABASE IF EXISTS shop");
            execute(connection, "SET foreign_key_checks = 1");
        }
        ScriptRun run = ScriptRun.of(script, connection);
        assertThat(run.refusal()).as(script.text()).isEmpty();
        return connection;
    }

    private static void execute(Connection connection, String sql) throws SQLException {
        try (Statement statement = connection.createStatement()) {
            statement.setEscapeProcessing(false);
            statement.execute(sql);
        }
    }

    private static String text(Connection connection, String query) throws SQLException {
        try (Statement statement = connection.createStatement();
                ResultSet result = statement.executeQuery(query)) {
            assertThat(result.next()).as(query).isTrue();
            return String.valueOf(result.getString(1));
        }
    }

    /** Names in square brackets as the dialect writes them; {@code [bytes 501]} is a literal of so many bytes. */
    private static String written(String sql, RealEngine engine) {
        return MARKED.matcher(sql).replaceAll(match -> {
            String marked = match.group(1);
            String text = marked.startsWith("bytes ")
                    ? engine.dialect()
                            .literal(
                                    new DataType.Bytes(0),
                                    Optional.of("0a".repeat(Integer.parseInt(marked.substring(6)))))
                    : marked.equals("store.shelf")
                            ? engine.dialect().can(Ability.NAMESPACES) ? "store.shelf" : "shelf"
                            : engine.dialect().column(marked);
            return Matcher.quoteReplacement(text);
        });
    }

    /** Each line is a statement that one rule refuses; where an engine tells the name of the rule, it must be this one. */
    @ParameterizedTest
    @EnumSource
    void what_breaks_a_rule_is_refused_by_that_rule(RealEngine engine) throws Exception {
        try (Connection connection = built(engine)) {
            for (String line : REFUSED.lines().filter(l -> !l.isBlank()).toList()) {
                String[] parts = line.split("\\|");
                String sql = written(parts[1].strip(), engine);
                if (parts[0].strip().equals("not " + engine)) {
                    continue; // as the script says; H2 takes a text for the JSON value that is this text
                }
                try {
                    execute(connection, sql);
                } catch (SQLException e) {
                    assertThat(Refusals.isOfRule(e))
                            .as("%s: %s %s", sql, e.getSQLState(), e.getMessage())
                            .isTrue();
                    String rule = parts[0].strip();
                    if (!rule.isEmpty() && !rule.startsWith("not ") && Refusals.namesRules(engine, rule)) {
                        assertThat(e.getMessage().toLowerCase(Locale.ROOT))
                                .as(sql)
                                .contains(rule);
                    }
                    continue;
                }
                throw new AssertionError(engine + " took " + sql);
            }
        }
    }

    private static final String REFUSED =
            """
                                   | insert into branch (code) values ('LONGER')
                                   | insert into branch (code) values (NULL)
            branch_key             | insert into branch (code) values ('N')
            branch_closes_check    | insert into branch (code, closes) values ('E', '18:00:01')
            member_name_unique     | insert into member (name) values ('Ash')
                                   | insert into member (name, born_on) values ('Yew', '2027-02-31')
                                   | insert into member (name, card) values ('Yew', 'no uuid at all')
            member_is_looked_after | insert into member (name, buddy_no) values ('Yew', 99)
            course_fee_check       | insert into course (title, fee) values ('Skep', -1)
                                   | insert into course (title, fee) values ('Skep', 'a lot')
                                   | insert into course (title, fee) values ('Skep', 1234567.5)
                                   | insert into tool ([LabelText], maker, model, serial, state) values ('X', 'Birch', 'S', 5, 'lost')
            weight                 | insert into tool ([LabelText], maker, model, serial, weight) values ('X', 'Birch', 'S', 5, -1)
            tool_lent_in_order     | insert into tool ([LabelText], maker, model, serial, lent_from, lent_until) values ('X', 'Birch', 'S', 5, '2027-02-02', '2027-02-01')
            tool_maker_check       | insert into tool ([LabelText], maker, model, serial) values ('X', 'b', 'S', 5)
            tool_maker_check       | insert into tool ([LabelText], maker, model, serial) values ('X', 'NONE', 'S', 5)
            tool_serial            | insert into tool ([LabelText], maker, model, serial) values ('X', 'Birch', 'S', 8000000001)
            not H2                 | insert into tool ([LabelText], maker, model, serial, details) values ('X', 'Birch', 'S', 5, '{bad')
                                   | insert into tool ([LabelText], maker, model, serial, photo) values ('X', 'Birch', 'S', 5, [bytes 501])
                                   | insert into tool ([LabelText], maker, model, serial, full_name) values ('X', 'Birch', 'S', 5, 'mine')
            tool_lies_on_shelf     | insert into tool ([LabelText], maker, model, serial, shelf_row_letter, shelf_no) values ('X', 'Birch', 'S', 5, 'Q', 9)
            not MARIADB            | insert into tool ([LabelText], maker, model, serial, shelf_row_letter, shelf_no) values ('X', 'Birch', 'S', 5, 'Q', NULL)
            not MARIADB            | insert into tool ([LabelText], maker, model, serial, shelf_row_letter, shelf_no) values ('X', 'Birch', 'S', 5, NULL, 9)
            desk_is_run_by_clerk   | insert into desk (desk_no, branch_code, clerk_no) values (5, 'N', 9)
            desk_                  | insert into desk (desk_no, branch_code, clerk_no) values (5, 'Z', 1)
            fk_repair_tool         | insert into repair (repair_no, cost, tool_serial) values (5, 1, 77)
            fk_repair_tool         | delete from tool where serial = 8000000001
            enrolment_of_course    | delete from course where title = 'Queens'
                                   | insert into enrolment (member_no, course_title, [from]) values (1, 'Queens', '2027-03-01')
            enrolment_member_no    | insert into enrolment (member_no, course_title, [from]) values (1, 'Queens', '2027-04-01')
            living_thing_kind_check| insert into living_thing (name, kind) values ('Ink cap', 'Mushroom')
            height_cm_check        | insert into living_thing (name, kind, latin_name, variety, member_no) values ('Lime', 'Plant', 'T', 'c', 1)
            member_no_check        | insert into living_thing (name, kind, latin_name, variety, height_cm) values ('Lime', 'Plant', 'T', 'c', 1)
            trunk_cm_check         | insert into living_thing (name, kind, latin_name, variety, height_cm, member_no) values ('Lime', 'Tree', 'T', 'c', 1, 1)
            height_cm_check        | insert into living_thing (name, kind, latin_name, variety, height_cm, member_no) values ('Lime', 'Plant', 'T', 'c', 5000, 1)
            latin_name_variety     | insert into living_thing (name, kind, latin_name, variety, height_cm, member_no) values ('Lime', 'Plant', 'Tilia', 'cordata', 1, 1)
                                   | insert into badge (colour) values ('red')
                                   | insert into badge (ticket_no, colour) values (NULL, 'red')
            badge_is_ticket        | insert into badge (ticket_no, colour) values (1, 'red')
                                   | insert into ticket (ticket_no) values (NULL)
            reading_taken_on_code  | insert into reading (code, [xmin], taken_on, seen_by) values ('R1', 1, '1989-12-31', 1)
            reading_taken_on_code  | insert into reading (code, [xmin], taken_on, seen_by) values ('X1', 1, '1999-12-31', 1)
            """;

    @ParameterizedTest
    @EnumSource
    void what_breaks_no_rule_is_taken(RealEngine engine) throws Exception {
        try (Connection connection = built(engine)) {
            for (String line : TAKEN.lines().filter(l -> !l.isBlank()).toList()) {
                execute(connection, written(line.strip(), engine));
            }
            assertThat(text(connection, "select full_name from tool where serial = 8000000001"))
                    .isEqualTo("BIRCH S1");
            assertThat(text(connection, "select tool_serial from repair where repair_no = 1"))
                    .as("a changed serial is followed")
                    .isEqualTo("8000000001");
            assertThat(text(connection, "select count(*) from enrolment where member_no = 2"))
                    .as("what a member learns goes with the member")
                    .isEqualTo("0");
            assertThat(text(connection, "select member_no from member where name = 'Oak'"))
                    .isEqualTo("3");
            assertThat(text(connection, "select card from member where name = 'Oak'"))
                    .hasSize(36);
            assertThat(text(connection, "select state from tool where serial = 5"))
                    .isEqualTo("good");
            assertThat(text(
                            connection,
                            "select count(*) from tool where shelf_no is null and shelf_row_letter is not null"))
                    .as("a shelf that goes leaves the tool whole or without")
                    .isEqualTo("0");
        }
    }

    private static final String TAKEN =
            """
            insert into branch (code) values ('E')
            insert into branch (code, closes) values ('W', '18:00:00')
            insert into member (name) values ('Oak')
            insert into tool ([LabelText], maker, model, serial) values ('X', 'Birch', 'S', 5)
            insert into tool ([LabelText], maker, model, serial, photo, shelf_row_letter, shelf_no) values ('X', 'Birch', 'S', 6, [bytes 500], 'A', 2)
            insert into living_thing (name, kind) values ('Wasp', 'Living thing')
            insert into living_thing (name, kind) values ('Hornet', 'Living thing')
            insert into enrolment (member_no, course_title, [from]) values (2, 'Wax', '2027-04-01')
            update living_thing set member_no = 1 where member_no = 2
            delete from member where member_no = 2
            update tool set serial = 9 where serial = 8000000001
            update tool set serial = 8000000001 where serial = 9
            insert into ticket (ticket_no) values (1)
            insert into badge (ticket_no, colour) values (1, 'red')
            insert into reading (code, [xmin], taken_on, seen_by) values ('R1', 1, '1999-12-31', 1)
            delete from [store.shelf] where shelf_no = 2
            """;

    @ParameterizedTest
    @CsvSource({
        "POSTGRESQL, tool_no, tool, 520",
        "H2, tool_no, tool, 520",
        "MARIADB, tool_no, tool, 511",
        "SQLITE, tool_no, tool, 511"
    })
    void numbering_goes_on_from_its_start_in_its_steps(RealEngine engine, String column, String table, String next)
            throws Exception {
        try (Connection connection = built(engine)) {
            execute(
                    connection,
                    written(
                            "insert into tool ([LabelText], maker, model, serial) values ('X', 'Birch', 'S', 5)",
                            engine));
            assertThat(text(connection, "select max(" + column + ") from " + table))
                    .isEqualTo(next);
        }
    }

    @ParameterizedTest
    @EnumSource(names = {"POSTGRESQL", "H2", "SQLITE"})
    void a_row_gets_its_default_reference_where_the_database_can(RealEngine engine) throws Exception {
        try (Connection connection = built(engine)) {
            execute(connection, "insert into loan (taken_by_member_no, settled_by) values (1, 2)");
            execute(connection, "update living_thing set member_no = 1 where member_no = 2");
            execute(connection, "delete from member where member_no = 2");
            assertThat(text(connection, "select settled_by from loan")).isEqualTo("1");
        }
    }

    @ParameterizedTest
    @EnumSource(names = {"POSTGRESQL", "SQLITE"})
    void rows_that_must_refer_to_each_other_go_in_together(RealEngine engine) throws Exception {
        try (Connection connection = built(engine)) {
            connection.setAutoCommit(false);
            execute(connection, "insert into ledger (ledger_no, cash_box_box_no) values (5000000001, -4)");
            execute(connection, "insert into cash_box (box_no, countdown, ledger_no) values (-4, 1, 5000000001)");
            connection.commit();
            connection.setAutoCommit(true);
            assertThat(text(connection, "select count(*) from ledger")).isEqualTo("1");
        }
    }

    /** What the tables of SQLite hold is a choice of the house. */
    @ParameterizedTest
    @ValueSource(strings = {"checks", "strict", "loose"})
    void sqlite_holds_types_as_chosen(String choice) throws Exception {
        Dialect chosen = Dialects.SQLITE.choosing(Map.of("sqlite.types", choice));
        try (Connection connection = built(RealEngine.SQLITE, chosen)) {
            boolean refused = false;
            try {
                execute(connection, "insert into course (title, fee) values ('Skep', 'a lot')");
            } catch (SQLException e) {
                refused = true;
            }
            assertThat(refused).isEqualTo(!choice.equals("loose"));
            assertThat(script(chosen).text().contains(") STRICT;")).isEqualTo(choice.equals("strict"));
            assertThat(script(chosen).text().contains("any value goes into any column"))
                    .isEqualTo(choice.equals("loose"));
        }
    }
}
