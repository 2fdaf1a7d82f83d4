package ableschema.core.ddl;

import ableschema.core.sql.dialect.Dialect;
import ableschema.core.sql.dialect.Dialects;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Pattern;

/** Tells by what it says in which dialect an SQL text is written. */
final class DialectGuess {

    /** So much of a text tells enough. */
    private static final int LONGEST = 400_000;

    /** What speaks less for a dialect than this may stand anywhere. */
    private static final int LEAST = 2;

    /** What speaks for a dialect, and how much. */
    private record Sign(Dialect dialect, Pattern pattern, int weight) {}

    private static final List<Sign> SIGNS = signs();

    /** What files and folders for one database are called; the rest of these names is PostgreSQL's. */
    private static final Pattern NAMES =
            Pattern.compile("(?<![a-z])(mysql|mariadb|postgres(?:ql)?|pgsql|psql|pg|sqlite|mssql"
                    + "|sqlserver|tsql|oracle|plsql|h2)(?![a-z])");

    private static final Map<String, Dialect> BY_NAME = Map.of(
            "mysql", Dialects.MYSQL,
            "mariadb", Dialects.MARIADB,
            "sqlite", Dialects.SQLITE,
            "mssql", Dialects.SQL_SERVER,
            "sqlserver", Dialects.SQL_SERVER,
            "tsql", Dialects.SQL_SERVER,
            "oracle", Dialects.ORACLE,
            "plsql", Dialects.ORACLE,
            "h2", Dialects.H2);

    private DialectGuess() {}

    private static List<Sign> signs() {
        var signs = new ArrayList<Sign>();
        add(signs, Dialects.MYSQL, 3, "auto_increment", "engine\\s*=", "`\\w+`", "^\\s*delimiter\\s", "/\\*!\\d{5}");
        add(signs, Dialects.MYSQL, 1, "unsigned", "mediumtext", "tinyint\\(1\\)", "enum\\s*\\(", "unlock tables");
        add(signs, Dialects.MARIADB, 4, "mariadb", "/\\*m!", "current_timestamp\\(\\) on update");
        add(signs, Dialects.MARIADB, 3, "auto_increment", "engine\\s*=", "`\\w+`", "^\\s*delimiter\\s", "/\\*!\\d{5}");
        add(
                signs,
                Dialects.POSTGRESQL,
                3,
                "owner to",
                "plpgsql",
                "search_path",
                "::\\w",
                "gen_random_uuid",
                "\\bserial\\b",
                "bigserial",
                "timestamptz",
                "jsonb");
        add(
                signs,
                Dialects.POSTGRESQL,
                3,
                "^\\\\(connect|restrict|set|c)\\b",
                "from stdin",
                "pg_catalog",
                "\\bbytea\\b",
                "without oids",
                "create extension",
                "\\bfloat8\\b");
        add(
                signs,
                Dialects.POSTGRESQL,
                2,
                "character varying",
                "without time zone",
                "nextval\\(",
                "\\$\\$",
                "as enum",
                "inherits\\s*\\(",
                "\\bint8\\b",
                "\\btext\\[]",
                "\\boid\\b");
        add(
                signs,
                Dialects.POSTGRESQL,
                1,
                "create domain",
                "generated (always|by default) as identity",
                "partition of");
        add(
                signs,
                Dialects.SQL_SERVER,
                4,
                "^\\s*go\\s*$",
                "\\[dbo\\]",
                "\\bidentity\\s*\\(\\s*\\d",
                "on \\[primary\\]",
                "xact_abort",
                "\\b(n?varchar|varbinary)\\s*\\(max\\)");
        add(
                signs,
                Dialects.SQL_SERVER,
                2,
                "nvarchar",
                "uniqueidentifier",
                "datetime2",
                "getdate\\(\\)",
                "nonclustered",
                "\\[\\w+\\]\\.\\[\\w+\\]");
        add(
                signs,
                Dialects.SQL_SERVER,
                1,
                "\\bn'",
                "sp_addextendedproperty",
                "datetimeoffset",
                "\\bdatetime\\b",
                "\\bbit\\b",
                "\\bimage\\b");
        add(signs, Dialects.ORACLE, 4, "varchar2", "\\bnumber\\s*\\(", "sysdate", "systimestamp", "^\\s*/\\s*$");
        add(
                signs,
                Dialects.ORACLE,
                2,
                "\\bnumber\\b",
                "nvarchar2",
                "pctfree",
                "nologging",
                "^\\s*prompt\\b",
                "set define off");
        add(
                signs,
                Dialects.SQLITE,
                4,
                "\\bautoincrement\\b",
                "^\\s*pragma\\b",
                "without rowid",
                "sqlite_sequence",
                "strftime\\(",
                "\\binsert or (ignore|replace)\\b",
                "datetime\\(\\s*'now'");
        add(signs, Dialects.SQLITE, 2, "integer primary key");
        add(signs, Dialects.SQLITE, 1, "typeof\\(", "\\bglob\\b");
        add(
                signs,
                Dialects.H2,
                4,
                "create (cached|memory) table",
                "varchar_ignorecase",
                "\\brandom_uuid\\(\\)",
                "create user if not exists",
                "\"public\"\\.\"");
        add(signs, Dialects.H2, 3, "\\blongvar(binary|char)\\b", "\\bidentity\\s*[,)]", "create cached table");
        return List.copyOf(signs);
    }

    private static void add(List<Sign> signs, Dialect dialect, int weight, String... patterns) {
        for (String pattern : patterns) {
            signs.add(new Sign(dialect, Pattern.compile(pattern, Pattern.MULTILINE), weight));
        }
    }

    /** Where it is among others for other databases, the name of a file tells, or that of its folder. */
    private static Optional<Dialect> called(Path file) {
        for (Path name : Arrays.asList(file.getFileName(), file.toAbsolutePath().getParent())) {
            if (name != null && name.getFileName() != null) {
                var words = NAMES.matcher(name.getFileName().toString().toLowerCase(Locale.ROOT));
                if (words.find()) {
                    return Optional.of(BY_NAME.getOrDefault(words.group(1), Dialects.POSTGRESQL));
                }
            }
        }
        return Optional.empty();
    }

    /** The dialect of a text, for which the name of its file speaks as well. */
    static Dialect of(String text, Path file) {
        return of(text, called(file));
    }

    /** The dialect that most speaks for; standard SQL where nothing does. */
    static Dialect of(String text) {
        return of(text, Optional.empty());
    }

    private static Dialect of(String text, Optional<Dialect> called) {
        String start = text.substring(0, Math.min(LONGEST, text.length())).toLowerCase(Locale.ROOT);
        Dialect best = Dialects.STANDARD;
        int most = LEAST;
        for (Dialect dialect : Dialects.ALL) {
            int weight = SIGNS.stream()
                            .filter(sign -> sign.dialect() == dialect
                                    && sign.pattern().matcher(start).find())
                            .mapToInt(Sign::weight)
                            .sum()
                    + (called.filter(dialect::equals).isPresent() ? LEAST + 1 : 0);
            boolean shared = dialect == Dialects.MARIADB && weight < 4 + 3;
            if (weight > most && !shared) {
                most = weight;
                best = dialect;
            }
        }
        return best;
    }
}
