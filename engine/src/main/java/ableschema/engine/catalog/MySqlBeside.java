package ableschema.engine.catalog;

import static ableschema.engine.catalog.MySqlDefinitions.HERE;
import static ableschema.engine.catalog.MySqlDefinitions.quoted;

import java.sql.SQLException;
import java.util.HashMap;
import java.util.Map;

/** What MySQL and MariaDB keep beside tables, in six queries. Who made it is not kept, as there may be no such user elsewhere. */
record MySqlBeside(Asking asking, MySqlDefinitions definitions) {

    private static final String END = "//\n";

    void write(StringBuilder sql) throws SQLException {
        sequences(sql);
        sql.append("DELIMITER //\n");
        routines(sql);
        views(sql);
        triggers(sql);
        events(sql);
        sql.append("DELIMITER ;\n");
    }

    /** Whose numbers stand in no catalogue, so that they are only named. */
    private void sequences(StringBuilder sql) throws SQLException {
        try (Rows rows = asking.rows("SELECT table_name AS name FROM information_schema.tables WHERE table_schema"
                + HERE + " AND table_type = 'SEQUENCE' ORDER BY 1")) {
            while (rows.next()) {
                sql.append("SEQUENCE " + quoted(rows.text("name")) + ";\n");
            }
        }
    }

    private void views(StringBuilder sql) throws SQLException {
        try (Rows rows = asking.rows(
                "SELECT table_name AS name, view_definition AS definition, check_option AS checked, security_type AS security,"
                        + " table_schema AS here FROM information_schema.views WHERE table_schema" + HERE
                        + " ORDER BY 1")) {
            while (rows.next()) {
                String checked = rows.text("checked");
                String view = "CREATE " + security(rows) + "VIEW " + quoted(rows.text("name")) + " AS "
                        + rows.text("definition")
                        + (checked.equals("NONE") ? "" : " WITH " + checked + " CHECK OPTION");
                sql.append(
                        definitions.whole("VIEW", rows.text("name"), view).replace(quoted(rows.text("here")) + ".", "")
                                + END);
            }
        }
    }

    private static String security(Rows rows) throws SQLException {
        return rows.text("security").equals("INVOKER") ? "SQL SECURITY INVOKER " : "";
    }

    private void triggers(StringBuilder sql) throws SQLException {
        try (Rows rows = asking.rows(
                "SELECT trigger_name AS name, action_timing AS timing, event_manipulation AS event, event_object_table AS target,"
                        + " action_statement AS action FROM information_schema.triggers WHERE trigger_schema" + HERE
                        + " ORDER BY event_object_table, action_timing, event_manipulation, action_order")) {
            while (rows.next()) {
                String trigger = "CREATE TRIGGER " + quoted(rows.text("name")) + " " + rows.text("timing") + " "
                        + rows.text("event") + " ON " + quoted(rows.text("target")) + " FOR EACH ROW "
                        + rows.text("action");
                sql.append(definitions.whole("TRIGGER", rows.text("name"), trigger) + END);
            }
        }
    }

    private void routines(StringBuilder sql) throws SQLException {
        Map<String, String> parameters = parameters();
        try (Rows rows = asking.rows(
                "SELECT routine_type AS kind, routine_name AS name, dtd_identifier AS type, is_deterministic AS fixed,"
                        + " sql_data_access AS access, security_type AS security, routine_comment AS comment,"
                        + " routine_definition AS body FROM information_schema.routines WHERE routine_schema" + HERE
                        + " ORDER BY routine_name, routine_type")) {
            while (rows.next()) {
                if (rows.isNull("body")) { // who may not see it
                    sql.append(rows.text("kind") + " " + quoted(rows.text("name")) + END);
                    continue;
                }
                String given = parameters.getOrDefault(rows.text("kind") + " " + rows.text("name"), "");
                String routine = "CREATE " + rows.text("kind") + " " + quoted(rows.text("name")) + "(" + given + ")"
                        + (rows.text("type").isEmpty() ? "" : " RETURNS " + rows.text("type"))
                        + (rows.text("fixed").equals("YES") ? " DETERMINISTIC" : "")
                        + (rows.text("access").equals("CONTAINS SQL") ? "" : " " + rows.text("access"))
                        + (rows.text("security").equals("INVOKER") ? " SQL SECURITY INVOKER" : "")
                        + (rows.text("comment").isEmpty() ? "" : " COMMENT " + definitions.text(rows.text("comment")))
                        + "\n" + rows.text("body");
                sql.append(definitions.whole(rows.text("kind"), rows.text("name"), routine) + END);
            }
        }
    }

    private Map<String, String> parameters() throws SQLException {
        var found = new HashMap<String, String>();
        try (Rows rows = asking.rows(
                "SELECT routine_type AS kind, specific_name AS name, parameter_mode AS mode, parameter_name AS parameter,"
                        + " dtd_identifier AS type FROM information_schema.parameters WHERE specific_schema" + HERE
                        + " AND ordinal_position > 0 ORDER BY specific_name, ordinal_position")) {
            while (rows.next()) {
                String mode = rows.text("kind").equals("PROCEDURE") ? rows.text("mode") + " " : "";
                String each = mode + quoted(rows.text("parameter")) + " " + rows.text("type");
                found.merge(rows.text("kind") + " " + rows.text("name"), each, (before, more) -> before + ", " + more);
            }
        }
        return found;
    }

    private void events(StringBuilder sql) throws SQLException {
        try (Rows rows = asking.rows(
                "SELECT event_name AS name, event_type AS kind, execute_at AS once, interval_value AS every, interval_field AS field,"
                        + " starts AS first, ends AS last, on_completion AS completed, status AS status, event_definition AS body"
                        + " FROM information_schema.events WHERE event_schema" + HERE + " ORDER BY 1")) {
            while (rows.next()) {
                String schedule = rows.text("kind").equals("RECURRING")
                        ? "EVERY '" + rows.text("every").replace("'", "") + "' " + rows.text("field")
                                + (rows.isNull("first") ? "" : " STARTS '" + rows.text("first") + "'")
                                + (rows.isNull("last") ? "" : " ENDS '" + rows.text("last") + "'")
                        : "AT '" + rows.text("once") + "'";
                String event = "CREATE EVENT " + quoted(rows.text("name")) + " ON SCHEDULE " + schedule
                        + (rows.text("completed").equals("PRESERVE") ? " ON COMPLETION PRESERVE" : "")
                        + (rows.text("status").equals("ENABLED") ? "" : " DISABLE") + " DO " + rows.text("body");
                sql.append(definitions.whole("EVENT", rows.text("name"), event) + END);
            }
        }
    }
}
