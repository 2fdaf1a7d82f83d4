package ableschema.engine.catalog;

import java.sql.SQLException;

/** What PostgreSQL keeps beside tables, in five queries; what it does not write itself is only named. */
record PostgreSqlBeside(Asking asking) {

    private String ours() {
        return PostgreSqlDefinitions.ours(asking);
    }

    private static String withoutExtensions(String catalogue, String object) {
        return PostgreSqlDefinitions.withoutExtensions(catalogue, object);
    }

    /** What tables may need: extensions, and sequences from which columns may draw. */
    void early(StringBuilder sql) throws SQLException {
        lines(
                sql,
                "SELECT 1 AS kind, 'CREATE EXTENSION IF NOT EXISTS ' || quote_ident(extname) AS line FROM pg_extension"
                        + " WHERE extname <> 'plpgsql'"
                        + " UNION ALL SELECT 2, 'CREATE SEQUENCE ' || quote_ident(n.nspname) || '.' || quote_ident(c.relname)"
                        + " || CASE WHEN s.seqtypid = 20 THEN '' ELSE ' AS ' || format_type(s.seqtypid, NULL) END"
                        + " || ' START WITH ' || s.seqstart || ' INCREMENT BY ' || s.seqincrement"
                        + " || CASE WHEN s.seqmin = 1 THEN '' ELSE ' MINVALUE ' || s.seqmin END"
                        + " || CASE WHEN s.seqmax = CASE s.seqtypid WHEN 21 THEN 32767 WHEN 23 THEN 2147483647"
                        + "  ELSE 9223372036854775807 END THEN '' ELSE ' MAXVALUE ' || s.seqmax END"
                        + " || CASE WHEN s.seqcache = 1 THEN '' ELSE ' CACHE ' || s.seqcache END"
                        + " || CASE WHEN s.seqcycle THEN ' CYCLE' ELSE '' END"
                        + " FROM pg_sequence s JOIN pg_class c ON c.oid = s.seqrelid JOIN pg_namespace n ON n.oid = c.relnamespace"
                        + " WHERE NOT EXISTS (SELECT 1 FROM pg_depend o WHERE o.objid = c.oid AND o.deptype = 'i') AND"
                        + ours()
                        + withoutExtensions("pg_class", "c.oid")
                        + " UNION ALL SELECT 3, 'CREATE TYPE ' || quote_ident(n.nspname) || '.' || quote_ident(c.relname) || ' AS ('"
                        + " || string_agg(quote_ident(a.attname) || ' ' || format_type(a.atttypid, a.atttypmod), ', ' ORDER BY a.attnum)"
                        + " || ')' FROM pg_class c JOIN pg_namespace n ON n.oid = c.relnamespace"
                        + " JOIN pg_attribute a ON a.attrelid = c.oid AND a.attnum > 0 AND NOT a.attisdropped"
                        + " WHERE c.relkind = 'c' AND" + ours() + withoutExtensions("pg_class", "c.oid")
                        + " GROUP BY n.nspname, c.relname ORDER BY 1, 2");
    }

    void late(StringBuilder sql) throws SQLException {
        settings(sql);
        routines(sql);
        views(sql);
        lines(
                sql,
                "SELECT 0 AS kind, 'ALTER SEQUENCE ' || quote_ident(m.nspname) || '.' || quote_ident(s.relname) || ' OWNED BY '"
                        + " || " + TABLE + " || '.' || quote_ident(a.attname) AS line"
                        + " FROM pg_depend o JOIN pg_class s ON s.oid = o.objid AND s.relkind = 'S'"
                        + " JOIN pg_namespace m ON m.oid = s.relnamespace JOIN pg_class c ON c.oid = o.refobjid"
                        + " JOIN pg_namespace n ON n.oid = c.relnamespace"
                        + " JOIN pg_attribute a ON a.attrelid = c.oid AND a.attnum = o.refobjsubid"
                        + " WHERE o.classid = 'pg_class'::regclass AND o.refclassid = 'pg_class'::regclass"
                        + " AND o.deptype = 'a' AND NOT c.relispartition AND" + ours()
                        + withoutExtensions("pg_class", "c.oid")
                        + " UNION ALL SELECT 0, pg_get_indexdef(i.indexrelid) FROM pg_index i JOIN pg_class c ON c.oid = i.indrelid"
                        + " JOIN pg_namespace n ON n.oid = c.relnamespace WHERE c.relkind = 'm' AND" + ours()
                        + withoutExtensions("pg_class", "c.oid")
                        + " UNION ALL SELECT 1, pg_get_triggerdef(g.oid)"
                        + " FROM pg_trigger g JOIN pg_class c ON c.oid = g.tgrelid JOIN pg_namespace n ON n.oid = c.relnamespace"
                        + " WHERE NOT g.tgisinternal AND" + ours()
                        + " UNION ALL SELECT 2, rtrim(pg_get_ruledef(r.oid), ';')"
                        + " FROM pg_rewrite r JOIN pg_class c ON c.oid = r.ev_class JOIN pg_namespace n ON n.oid = c.relnamespace"
                        + " WHERE r.rulename <> '_RETURN' AND" + ours()
                        + " UNION ALL SELECT 3, 'CREATE POLICY ' || quote_ident(p.polname) || ' ON ' || " + TABLE
                        + " || CASE WHEN p.polpermissive THEN '' ELSE ' AS RESTRICTIVE' END || ' FOR '"
                        + " || CASE p.polcmd WHEN 'r' THEN 'SELECT' WHEN 'a' THEN 'INSERT' WHEN 'w' THEN 'UPDATE'"
                        + "  WHEN 'd' THEN 'DELETE' ELSE 'ALL' END || ' TO ' || (SELECT string_agg(CASE WHEN r.role = 0"
                        + "  THEN 'public' ELSE quote_ident(pg_get_userbyid(r.role)) END, ', ') FROM unnest(p.polroles) r(role))"
                        + " || coalesce(' USING (' || pg_get_expr(p.polqual, p.polrelid) || ')', '')"
                        + " || coalesce(' WITH CHECK (' || pg_get_expr(p.polwithcheck, p.polrelid) || ')', '')"
                        + " FROM pg_policy p JOIN pg_class c ON c.oid = p.polrelid JOIN pg_namespace n ON n.oid = c.relnamespace"
                        + " WHERE" + ours()
                        + " UNION ALL SELECT 4, 'FOREIGN TABLE ' || quote_ident(n.nspname) || '.' || quote_ident(c.relname)"
                        + " FROM pg_class c JOIN pg_namespace n ON n.oid = c.relnamespace WHERE c.relkind = 'f' AND"
                        + ours()
                        + withoutExtensions("pg_class", "c.oid") + " ORDER BY 1, 2");
    }

    /** A table with its schema. */
    private static final String TABLE = "quote_ident(n.nspname) || '.' || quote_ident(c.relname)";

    private static final String OF_TABLE = " FROM pg_class c JOIN pg_namespace n ON n.oid = c.relnamespace";

    /** What is said of tables, their columns, indexes and constraints, besides what defines them. */
    private void settings(StringBuilder sql) throws SQLException {
        String ours = " AND c.relkind IN ('r', 'p') AND NOT c.relispartition AND" + ours()
                + withoutExtensions("pg_class", "c.oid");
        String column = " || ' ALTER COLUMN ' || quote_ident(a.attname) || ' SET ";
        String ofColumn =
                OF_TABLE + " JOIN pg_attribute a ON a.attrelid = c.oid AND a.attnum > 0 AND NOT a.attisdropped";
        lines(
                sql,
                "SELECT 1 AS kind, c.relname::text, i.inhseqno AS place, 'ALTER TABLE ' || " + TABLE
                        + " || ' INHERIT ' || i.inhparent::regclass AS line" + OF_TABLE
                        + " JOIN pg_inherits i ON i.inhrelid = c.oid WHERE true" + ours
                        + " UNION ALL SELECT 2, to_char(c.oid::bigint, '0000000000'), 0, 'CREATE TABLE ' || " + TABLE
                        + " || ' PARTITION OF ' || i.inhparent::regclass"
                        + " || ' ' || pg_get_expr(c.relpartbound, c.oid) || coalesce(' PARTITION BY ' || pg_get_partkeydef(c.oid), '')"
                        + OF_TABLE + " JOIN pg_inherits i ON i.inhrelid = c.oid WHERE c.relispartition AND" + ours()
                        + " UNION ALL SELECT 3, c.relname, 0, 'ALTER TABLE ' || " + TABLE + " || ' SET UNLOGGED'"
                        + OF_TABLE
                        + " WHERE c.relpersistence = 'u'" + ours
                        + " UNION ALL SELECT 4, c.relname, 0, 'ALTER TABLE ' || " + TABLE + " || ' REPLICA IDENTITY '"
                        + " || CASE c.relreplident WHEN 'f' THEN 'FULL' WHEN 'n' THEN 'NOTHING' ELSE 'USING INDEX '"
                        + "  || (SELECT quote_ident(x.relname) FROM pg_index i JOIN pg_class x ON x.oid = i.indexrelid"
                        + "   WHERE i.indrelid = c.oid AND i.indisreplident) END" + OF_TABLE
                        + " WHERE c.relreplident IN ('f', 'n', 'i')" + ours
                        + " UNION ALL SELECT 5, c.relname, 0, 'ALTER TABLE ' || " + TABLE
                        + " || ' CLUSTER ON ' || quote_ident(x.relname)"
                        + OF_TABLE + " JOIN pg_index i ON i.indrelid = c.oid AND i.indisclustered"
                        + " JOIN pg_class x ON x.oid = i.indexrelid WHERE true" + ours
                        + " UNION ALL SELECT 6, c.relname, 0, 'ALTER TABLE ' || " + TABLE
                        + " || ' ENABLE ROW LEVEL SECURITY'" + OF_TABLE
                        + " WHERE c.relrowsecurity" + ours
                        + " UNION ALL SELECT 7, c.relname, a.attnum, 'ALTER TABLE ' || " + TABLE + column
                        + "STATISTICS ' || a.attstattarget"
                        + ofColumn + " WHERE a.attstattarget >= 0" + ours
                        + " UNION ALL SELECT 8, c.relname, a.attnum, 'ALTER TABLE ' || " + TABLE + column + "STORAGE '"
                        + " || CASE a.attstorage WHEN 'p' THEN 'PLAIN' WHEN 'e' THEN 'EXTERNAL' WHEN 'm' THEN 'MAIN' ELSE 'EXTENDED' END"
                        + ofColumn + " JOIN pg_type t ON t.oid = a.atttypid AND t.typstorage <> a.attstorage WHERE true"
                        + ours
                        + " UNION ALL SELECT 9, x.relname, 0, 'COMMENT ON INDEX ' || quote_ident(n.nspname) || '.' || quote_ident(x.relname)"
                        + " || ' IS ' || quote_literal(d.description)" + OF_TABLE
                        + " JOIN pg_index i ON i.indrelid = c.oid"
                        + " JOIN pg_class x ON x.oid = i.indexrelid JOIN pg_description d ON d.objoid = x.oid"
                        + "  AND d.classoid = 'pg_class'::regclass WHERE true" + ours
                        + " UNION ALL SELECT 10, k.conname, 0, 'COMMENT ON CONSTRAINT ' || quote_ident(k.conname) || ' ON ' || "
                        + TABLE
                        + " || ' IS ' || quote_literal(d.description)" + OF_TABLE
                        + " JOIN pg_constraint k ON k.conrelid = c.oid"
                        + " JOIN pg_description d ON d.objoid = k.oid AND d.classoid = 'pg_constraint'::regclass WHERE true"
                        + ours
                        + " UNION ALL SELECT 11, s.stxname, 0, pg_get_statisticsobjdef(s.oid)" + OF_TABLE
                        + " JOIN pg_statistic_ext s ON s.stxrelid = c.oid WHERE true" + ours + " ORDER BY 1, 2, 3");
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
