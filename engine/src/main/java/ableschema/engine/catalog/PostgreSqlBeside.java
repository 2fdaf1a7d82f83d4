package ableschema.engine.catalog;

import java.sql.SQLException;

/** What PostgreSQL keeps beside tables, in four queries; what it does not write itself is only named. */
record PostgreSqlBeside(Asking asking) {

    private String ours() {
        return PostgreSqlDefinitions.ours(asking);
    }

    private static String withoutExtensions(String catalogue, String object) {
        return PostgreSqlDefinitions.withoutExtensions(catalogue, object);
    }

    /** What tables may need: extensions, and sequences that belong to no column. */
    void early(StringBuilder sql) throws SQLException {
        lines(
                sql,
                "SELECT 1 AS kind, 'CREATE EXTENSION IF NOT EXISTS ' || quote_ident(extname) AS line FROM pg_extension"
                        + " WHERE extname <> 'plpgsql'"
                        + " UNION ALL SELECT 2, 'CREATE SEQUENCE ' || quote_ident(n.nspname) || '.' || quote_ident(c.relname)"
                        + " || ' START WITH ' || s.seqstart || ' INCREMENT BY ' || s.seqincrement"
                        + " || CASE WHEN s.seqmin = 1 THEN '' ELSE ' MINVALUE ' || s.seqmin END"
                        + " || CASE WHEN s.seqmax = 9223372036854775807 THEN '' ELSE ' MAXVALUE ' || s.seqmax END"
                        + " || CASE WHEN s.seqcycle THEN ' CYCLE' ELSE '' END"
                        + " FROM pg_sequence s JOIN pg_class c ON c.oid = s.seqrelid JOIN pg_namespace n ON n.oid = c.relnamespace"
                        + " WHERE NOT EXISTS (SELECT 1 FROM pg_depend o JOIN pg_attribute a ON a.attrelid = o.refobjid"
                        + "  AND a.attnum = o.refobjsubid AND a.atttypid IN (20, 21, 23)" // whole numbers, which it
                        // numbers
                        + "  WHERE o.objid = c.oid AND o.deptype IN ('a', 'i')) AND" + ours()
                        + withoutExtensions("pg_class", "c.oid")
                        + " UNION ALL SELECT 3, 'CREATE TYPE ' || quote_ident(n.nspname) || '.' || quote_ident(c.relname) || ' AS ('"
                        + " || string_agg(quote_ident(a.attname) || ' ' || format_type(a.atttypid, a.atttypmod), ', ' ORDER BY a.attnum)"
                        + " || ')' FROM pg_class c JOIN pg_namespace n ON n.oid = c.relnamespace"
                        + " JOIN pg_attribute a ON a.attrelid = c.oid AND a.attnum > 0 AND NOT a.attisdropped"
                        + " WHERE c.relkind = 'c' AND" + ours() + withoutExtensions("pg_class", "c.oid")
                        + " GROUP BY n.nspname, c.relname ORDER BY 1, 2");
    }

    void late(StringBuilder sql) throws SQLException {
        routines(sql);
        views(sql);
        lines(
                sql,
                "SELECT 1 AS kind, pg_get_triggerdef(g.oid) AS line"
                        + " FROM pg_trigger g JOIN pg_class c ON c.oid = g.tgrelid JOIN pg_namespace n ON n.oid = c.relnamespace"
                        + " WHERE NOT g.tgisinternal AND" + ours()
                        + " UNION ALL SELECT 2, rtrim(pg_get_ruledef(r.oid), ';')"
                        + " FROM pg_rewrite r JOIN pg_class c ON c.oid = r.ev_class JOIN pg_namespace n ON n.oid = c.relnamespace"
                        + " WHERE r.rulename <> '_RETURN' AND" + ours()
                        + " UNION ALL SELECT 3, 'POLICY ' || quote_ident(p.polname) || ' ON ' || quote_ident(c.relname)"
                        + " FROM pg_policy p JOIN pg_class c ON c.oid = p.polrelid"
                        + " UNION ALL SELECT 4, 'FOREIGN TABLE ' || quote_ident(n.nspname) || '.' || quote_ident(c.relname)"
                        + " FROM pg_class c JOIN pg_namespace n ON n.oid = c.relnamespace WHERE c.relkind = 'f' AND"
                        + ours()
                        + withoutExtensions("pg_class", "c.oid") + " ORDER BY 1, 2");
    }

    private void lines(StringBuilder sql, String query) throws SQLException {
        try (Rows rows = asking.rows(query)) {
            while (rows.next()) {
                sql.append(rows.text("line")).append(";\n");
            }
        }
    }

    /** The definition of a plain aggregate, which the database does not print by itself. */
    private static final String AGGREGATE =
            "'CREATE AGGREGATE ' || quote_ident(n.nspname) || '.' || quote_ident(p.proname)"
                    + " || '(' || coalesce(nullif(pg_get_function_identity_arguments(p.oid), ''), '*') || ') (SFUNC = '"
                    + " || a.aggtransfn || ', STYPE = ' || format_type(a.aggtranstype, NULL)"
                    + " || CASE WHEN a.aggfinalfn = 0 THEN '' ELSE ', FINALFUNC = ' || a.aggfinalfn END"
                    + " || CASE WHEN a.agginitval IS NULL THEN '' ELSE ', INITCOND = ' || quote_literal(a.agginitval) END || ')'";

    private void routines(StringBuilder sql) throws SQLException {
        try (Rows rows = asking.rows("SELECT CASE WHEN p.prokind IN ('f', 'p') THEN pg_get_functiondef(p.oid)"
                + " WHEN a.aggkind = 'n' THEN " + AGGREGATE
                + " ELSE 'AGGREGATE ' || quote_ident(n.nspname) || '.' || quote_ident(p.proname) END AS definition,"
                + " CASE p.prokind WHEN 'p' THEN 'PROCEDURE ' WHEN 'a' THEN 'AGGREGATE ' ELSE 'FUNCTION ' END"
                + " || quote_ident(n.nspname) || '.' || quote_ident(p.proname)"
                + " || '(' || pg_get_function_identity_arguments(p.oid) || ')' AS name,"
                + " quote_literal(obj_description(p.oid, 'pg_proc')) AS comment"
                + " FROM pg_proc p JOIN pg_namespace n ON n.oid = p.pronamespace"
                + " LEFT JOIN pg_aggregate a ON a.aggfnoid = p.oid WHERE" + ours()
                + withoutExtensions("pg_proc", "p.oid") + " ORDER BY p.oid")) {
            while (rows.next()) {
                sql.append(rows.text("definition").strip()).append(";\n");
                PostgreSqlDefinitions.comment(sql, rows.text("name"), rows);
            }
        }
    }

    /** In the order in which they were made. */
    private void views(StringBuilder sql) throws SQLException {
        try (Rows rows = asking.rows("SELECT CASE c.relkind WHEN 'v' THEN 'VIEW ' ELSE 'MATERIALIZED VIEW ' END"
                + " || quote_ident(n.nspname) || '.' || quote_ident(c.relname) AS name,"
                + " CASE WHEN c.reloptions IS NULL THEN '' ELSE ' WITH (' || array_to_string(c.reloptions, ', ') || ')' END"
                + " AS options, rtrim(pg_get_viewdef(c.oid), ';') AS definition,"
                + " quote_literal(obj_description(c.oid, 'pg_class')) AS comment"
                + " FROM pg_class c JOIN pg_namespace n ON n.oid = c.relnamespace WHERE c.relkind IN ('v', 'm') AND"
                + ours() + withoutExtensions("pg_class", "c.oid") + " ORDER BY c.oid")) {
            while (rows.next()) {
                sql.append("CREATE " + rows.text("name") + rows.text("options") + " AS\n" + rows.text("definition")
                        + ";\n");
                PostgreSqlDefinitions.comment(sql, rows.text("name"), rows);
            }
        }
    }
}
