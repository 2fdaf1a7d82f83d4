package ableschema.engine.catalog;

import static java.util.stream.Collectors.joining;

import java.sql.Connection;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.List;

/** The definitions that PostgreSQL keeps, in eleven queries. */
record PostgreSqlDefinitions(Asking asking) implements Definitions {

    /** What belongs to the schemas that are wanted, in a query that calls their catalogue n. */
    static String ours(Asking asking) {
        List<String> schemas = asking.wanted().schemas();
        String chosen = schemas.stream()
                .map(each -> "'" + each.replace("'", "''") + "'")
                .collect(joining(", "));
        return " n.nspname NOT LIKE 'pg\\_%' AND n.nspname <> 'information_schema'"
                + (schemas.isEmpty() ? "" : " AND n.nspname IN (" + chosen + ")");
    }

    private String ours() {
        return ours(asking);
    }

    /** What belongs to an extension came with it. */
    static String withoutExtensions(String catalogue, String object) {
        return " AND NOT EXISTS (SELECT 1 FROM pg_depend x WHERE x.classid = '" + catalogue
                + "'::regclass AND x.objid = " + object + " AND x.deptype = 'e')";
    }

    @Override
    public String sql() throws SQLException {
        Connection connection = asking.connection();
        boolean auto = connection.getAutoCommit();
        connection.setAutoCommit(false);
        try (Statement statement = connection.createStatement()) {
            statement.execute("SET TRANSACTION READ ONLY");
            statement.execute("SET LOCAL search_path = pg_catalog"); // so that each name is written with its schema
            var sql = new StringBuilder();
            var beside = new PostgreSqlBeside(asking);
            beside.early(sql);
            lists(sql);
            domains(sql);
            tables(sql);
            constraints(sql);
            indexes(sql);
            beside.late(sql);
            return sql.toString();
        } finally {
            connection.rollback();
            connection.setAutoCommit(auto);
        }
    }

    private void lists(StringBuilder sql) throws SQLException {
        try (Rows rows = asking.rows("SELECT quote_ident(n.nspname) || '.' || quote_ident(t.typname) AS name,"
                + " string_agg(quote_literal(e.enumlabel), ', ' ORDER BY e.enumsortorder) AS labels,"
                + " quote_literal(obj_description(t.oid, 'pg_type')) AS comment"
                + " FROM pg_type t JOIN pg_namespace n ON n.oid = t.typnamespace JOIN pg_enum e ON e.enumtypid = t.oid"
                + " WHERE" + ours() + withoutExtensions("pg_type", "t.oid")
                + " GROUP BY n.nspname, t.typname, t.oid ORDER BY 1")) {
            while (rows.next()) {
                sql.append("CREATE TYPE " + rows.text("name") + " AS ENUM (" + rows.text("labels") + ");\n");
                comment(sql, "TYPE " + rows.text("name"), rows);
            }
        }
    }

    private void domains(StringBuilder sql) throws SQLException {
        try (Rows rows = asking.rows("SELECT quote_ident(n.nspname) || '.' || quote_ident(t.typname) AS name,"
                + " format_type(t.typbasetype, t.typtypmod) AS base, t.typdefault AS filled, t.typnotnull AS never,"
                + " (SELECT quote_ident(l.collname) FROM pg_collation l JOIN pg_type b ON b.oid = t.typbasetype"
                + "  WHERE l.oid = t.typcollation AND t.typcollation <> b.typcollation) AS collation,"
                + " (SELECT string_agg('CONSTRAINT ' || quote_ident(c.conname) || ' ' || pg_get_constraintdef(c.oid), ' ' ORDER BY c.conname) FROM pg_constraint c"
                + "  WHERE c.contypid = t.oid AND c.contype = 'c') AS checks,"
                + " quote_literal(obj_description(t.oid, 'pg_type')) AS comment"
                + " FROM pg_type t JOIN pg_namespace n ON n.oid = t.typnamespace WHERE t.typtype = 'd' AND"
                + ours()
                + withoutExtensions("pg_type", "t.oid") + " ORDER BY 1")) {
            while (rows.next()) {
                sql.append("CREATE DOMAIN " + rows.text("name") + " AS " + rows.text("base")
                        + (rows.isNull("collation") ? "" : " COLLATE " + rows.text("collation"))
                        + (rows.isNull("filled") ? "" : " DEFAULT " + rows.text("filled"))
                        + (rows.flag("never") ? " NOT NULL" : "") + " " + rows.text("checks") + ";\n");
                comment(sql, "DOMAIN " + rows.text("name"), rows);
            }
        }
    }

    static void comment(StringBuilder sql, String on, Rows rows) throws SQLException {
        if (!rows.isNull("comment")) {
            sql.append("COMMENT ON " + on + " IS " + rows.text("comment") + ";\n");
        }
    }

    private void tables(StringBuilder sql) throws SQLException {
        var comments = new StringBuilder();
        String table = "";
        String end = "";
        try (Rows rows = asking.rows(columns())) {
            while (rows.next()) {
                String name = rows.text("name");
                boolean first = !name.equals(table);
                if (first) {
                    sql.append(end).append("CREATE TABLE " + name + " (\n  ");
                    end = "\n)" + (rows.isNull("parts") ? "" : " PARTITION BY " + rows.text("parts"))
                            + (rows.isNull("storage") ? "" : " WITH (" + rows.text("storage") + ")") + ";\n";
                    comment(comments, "TABLE " + name, rows);
                    table = name;
                } else if (!rows.isNull("column_name")) {
                    sql.append(",\n  ");
                }
                if (!rows.isNull("column_name")) {
                    sql.append(column(rows));
                    if (!rows.isNull("column_comment")) {
                        comments.append("COMMENT ON COLUMN " + name + "." + rows.text("column_name") + " IS "
                                + rows.text("column_comment") + ";\n");
                    }
                }
            }
        }
        sql.append(end).append(comments);
    }

    private String columns() {
        return "SELECT quote_ident(n.nspname) || '.' || quote_ident(c.relname) AS name,"
                + " quote_literal(e.description) AS comment, quote_ident(a.attname) AS column_name,"
                + " format_type(a.atttypid, a.atttypmod) AS type, a.attnotnull AS never, a.attidentity AS identity,"
                + " a.attgenerated AS generated, pg_get_expr(d.adbin, d.adrelid) AS filled,"
                + " quote_literal(f.description) AS column_comment, s.seqstart, s.seqincrement,"
                + " quote_ident(l.collname) AS collation, array_to_string(c.reloptions, ', ') AS storage,"
                + " pg_get_partkeydef(c.oid) AS parts"
                + " FROM pg_class c JOIN pg_namespace n ON n.oid = c.relnamespace"
                + " LEFT JOIN pg_attribute a ON a.attrelid = c.oid AND a.attnum > 0 AND NOT a.attisdropped"
                + " LEFT JOIN pg_type t ON t.oid = a.atttypid"
                + " LEFT JOIN pg_collation l ON l.oid = a.attcollation AND a.attcollation <> t.typcollation"
                + " LEFT JOIN pg_attrdef d ON d.adrelid = c.oid AND d.adnum = a.attnum"
                + " LEFT JOIN (SELECT * FROM pg_description WHERE classoid = 'pg_class'::regclass AND objsubid = 0) e"
                + "  ON e.objoid = c.oid"
                + " LEFT JOIN (SELECT * FROM pg_description WHERE classoid = 'pg_class'::regclass AND objsubid > 0) f"
                + "  ON f.objoid = c.oid AND f.objsubid = a.attnum"
                + " LEFT JOIN (SELECT o.refobjid, o.refobjsubid, q.seqstart, q.seqincrement FROM pg_sequence q JOIN pg_depend o"
                + "  ON o.objid = q.seqrelid AND o.classid = 'pg_class'::regclass AND o.refclassid = 'pg_class'::regclass"
                + "  AND o.deptype = 'i') s ON s.refobjid = c.oid AND s.refobjsubid = a.attnum"
                + " WHERE c.relkind IN ('r', 'p') AND NOT c.relispartition AND" + ours()
                + withoutExtensions("pg_class", "c.oid") + " ORDER BY n.nspname, c.relname, a.attnum";
    }

    private static String column(Rows rows) throws SQLException {
        String type = rows.text("type");
        String head = rows.text("column_name") + " " + type
                + (rows.isNull("collation") ? "" : " COLLATE " + rows.text("collation"));
        String never = rows.flag("never") ? " NOT NULL" : "";
        String numbers = "(START WITH " + rows.text("seqstart") + " INCREMENT BY " + rows.text("seqincrement") + ")";
        if (!rows.text("identity").isBlank()) {
            boolean alone = rows.text("identity").equals("a");
            return head + " GENERATED " + (alone ? "ALWAYS" : "BY DEFAULT") + " AS IDENTITY " + numbers;
        }
        if (!rows.text("generated").isBlank()) {
            return head + " GENERATED ALWAYS AS (" + rows.text("filled") + ") STORED" + never;
        }
        return head + (rows.isNull("filled") ? "" : " DEFAULT " + rows.text("filled")) + never;
    }

    /** Foreign keys come last, as they refer to the keys of the others. */
    private void constraints(StringBuilder sql) throws SQLException {
        try (Rows rows = asking.rows(
                "SELECT quote_ident(n.nspname) || '.' || quote_ident(c.relname) AS name, quote_ident(k.conname) AS constraint_name,"
                        + " pg_get_constraintdef(k.oid) AS definition"
                        + " FROM pg_constraint k JOIN pg_class c ON c.oid = k.conrelid JOIN pg_namespace n ON n.oid = c.relnamespace"
                        + " WHERE k.contype IN ('p', 'u', 'c', 'f', 'x') AND c.relkind IN ('r', 'p') AND NOT c.relispartition AND"
                        + ours() + withoutExtensions("pg_class", "c.oid")
                        + " ORDER BY k.contype = 'f', n.nspname, c.relname, k.contype <> 'p', k.conname")) {
            while (rows.next()) {
                sql.append("ALTER TABLE " + rows.text("name") + " ADD CONSTRAINT " + rows.text("constraint_name") + " "
                        + rows.text("definition") + ";\n");
            }
        }
    }

    private void indexes(StringBuilder sql) throws SQLException {
        try (Rows rows = asking.rows(
                "SELECT pg_get_indexdef(i.indexrelid) AS definition FROM pg_index i JOIN pg_class c ON c.oid = i.indrelid"
                        + " JOIN pg_namespace n ON n.oid = c.relnamespace"
                        + " WHERE NOT EXISTS (SELECT 1 FROM pg_constraint k WHERE k.conindid = i.indexrelid AND k.contype IN ('p', 'u', 'x'))"
                        + " AND c.relkind IN ('r', 'p') AND NOT c.relispartition AND" + ours()
                        + withoutExtensions("pg_class", "c.oid") + " ORDER BY 1")) {
            while (rows.next()) {
                sql.append(rows.text("definition")).append(";\n");
            }
        }
    }
}
