package ableschema.core.ddl;

import ableschema.core.sql.dialect.Dialect;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.regex.Pattern;

/** The names that a database itself gives to types which a script may name otherwise. */
final class OwnTypes {

    private static final Map<String, String> POSTGRESQL = Map.of("nchar", "char", "nvarchar", "varchar");

    private static final Map<String, String> H2 = Map.ofEntries(
            Map.entry("bit", "boolean"),
            Map.entry("long", "bigint"),
            Map.entry("mediumint", "integer"),
            Map.entry("double", "double precision"),
            Map.entry("number", "decimal"),
            Map.entry("longvarbinary", "varbinary"),
            Map.entry("bytea", "varbinary"),
            Map.entry("raw", "varbinary"),
            Map.entry("image", "blob"),
            Map.entry("tinyblob", "blob"),
            Map.entry("mediumblob", "blob"),
            Map.entry("longblob", "blob"),
            Map.entry("tinytext", "varchar"),
            Map.entry("text", "varchar"),
            Map.entry("mediumtext", "varchar"),
            Map.entry("longtext", "varchar"),
            Map.entry("ntext", "varchar"),
            Map.entry("nclob", "clob"),
            Map.entry("longvarchar", "varchar"),
            Map.entry("varchar2", "varchar"),
            Map.entry("nvarchar", "varchar"),
            Map.entry("nvarchar2", "varchar"),
            Map.entry("varchar_casesensitive", "varchar"),
            Map.entry("nchar", "char"),
            Map.entry("datetime", "timestamp"),
            Map.entry("smalldatetime", "timestamp"));

    private static final Map<String, String> MYSQL = Map.of(
            "double precision", "double",
            "real", "double",
            "fixed", "decimal",
            "long", "mediumtext",
            "long varchar", "mediumtext",
            "long varbinary", "mediumblob");

    /** How many digits a whole number is shown with where nothing is said of it, without and with a sign. */
    private static final Map<String, List<String>> WIDTHS = Map.of(
            "tinyint", List.of("3", "4"),
            "smallint", List.of("5", "6"),
            "mediumint", List.of("8", "9"),
            "integer", List.of("10", "11"),
            "bigint", List.of("20", "20"),
            "year", List.of("4", "4"));

    /** A type that is named with its schema, which is not the usual one. */
    private static final Pattern OF_SCHEMA =
            Pattern.compile("(?i)(?!\"?(pg_catalog|public)\"?\\.)(\\w+|\"[^\"]+\")\\.");

    private static final Pattern LARGE = Pattern.compile("[0-9]{1,6} ?[kmgt]");

    private final boolean mysql;
    private final boolean postgresql;
    private final boolean h2;
    private final Map<SqlType, SqlType> known = new HashMap<>();

    OwnTypes(Dialect dialect) {
        this.mysql = dialect.name().equals("mysql") || dialect.name().equals("mariadb");
        this.postgresql = dialect.name().equals("postgresql");
        this.h2 = dialect.name().equals("h2");
    }

    /** A type under the name that the database has for it. */
    SqlType of(SqlType found) {
        return mysql || postgresql || h2 ? known.computeIfAbsent(found, this::named) : found;
    }

    private SqlType named(SqlType found) {
        if (postgresql && found.array().startsWith(" array")) {
            return named(SqlType.of(found.name(), found.arguments(), found.unsigned(), "[]", found.text()));
        }
        Map<String, String> names = mysql ? MYSQL : h2 ? H2 : POSTGRESQL;
        String name = names.getOrDefault(found.name(), found.name());
        List<String> arguments = found.arguments();
        if (name.equals("float") && arguments.size() < 2 && (!mysql || arguments.size() == 1)) {
            boolean single = found.has(1) && found.number(0) < 25; // the digits of two
            name = mysql ? single ? "float" : "double" : single ? "real" : "double precision";
            arguments = List.of();
        }
        if (h2 && found.name().equals("smalldatetime")) {
            arguments = List.of("0");
        }
        if (h2 && arguments.size() == 1 && LARGE.matcher(arguments.get(0)).matches()) {
            arguments = List.of(inBytes(arguments.get(0)));
        }
        if (mysql && arguments.isEmpty() && List.of("char", "binary", "bit").contains(name)) {
            arguments = List.of("1");
        } else if (mysql && arguments.size() < 2 && name.equals("decimal")) {
            arguments = List.of(arguments.isEmpty() ? "10" : arguments.get(0), "0");
        }
        return name.equals(found.name()) && arguments.equals(found.arguments())
                ? found
                : SqlType.of(name, arguments, found.unsigned(), found.array(), found.text());
    }

    /** A length as H2 prints it, which may be said in thousands of bytes and more. */
    private static String inBytes(String length) {
        int last = length.length() - 1;
        int shift = 10 * ("kmgt".indexOf(length.charAt(last)) + 1);
        return String.valueOf(Long.parseLong(length.substring(0, last).strip()) << shift);
    }

    /** The type as the database prints it, of those that have more than one way to be written. */
    String printed(SqlType type) {
        if (postgresql
                && (type.text().startsWith("\"char\"")
                        || OF_SCHEMA.matcher(type.text()).lookingAt())) {
            return type.text();
        }
        return mysql ? inMySql(type) : postgresql || h2 ? zoned(type) : type.text();
    }

    /** The digits of a time stand before the words about its zone, or behind a short name. */
    private String zoned(SqlType type) {
        String digits = type.has(1) ? "(" + type.arguments().get(0) + ")" : "";
        if (type.name().equals("time with time zone")) {
            return h2 ? "time" + digits + " with time zone" : "timetz" + digits + type.array();
        }
        if (postgresql && type.name().equals("char") && type.has(0)) {
            return "bpchar" + type.array(); // of any length, where char alone is of one
        }
        return h2 && type.name().equals("timestamptz") ? "timestamp" + digits + " with time zone" : type.canonical();
    }

    private static String inMySql(SqlType type) {
        String text = type.text().toLowerCase(Locale.ROOT);
        boolean filled = text.contains("zerofill");
        List<String> widths = WIDTHS.get(type.name());
        List<String> arguments = type.arguments();
        if (widths != null && type.has(1) && arguments.get(0).equals(widths.get(type.unsigned() ? 0 : 1))) {
            arguments = List.of();
        }
        return (type.name().equals("integer") ? "int" : type.name())
                + (arguments.isEmpty() ? "" : "(" + String.join(",", arguments) + ")")
                + (type.unsigned() ? " unsigned" : "")
                + (filled ? " zerofill" : "")
                + type.array();
    }
}
