package ableschema.core.ddl;

import ableschema.core.sql.dialect.Dialect;
import ableschema.core.sql.dialect.Dialects;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
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
                "\\bbytea\\b");
        add(
                signs,
                Dialects.POSTGRESQL,
                2,
                "character varying",
                "without time zone",
                "nextval\\(",
                "\\$\\$",
                "as enum",
                "inherits\\s*\\(");
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
                "xact_abort");
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
        add(signs, Dialects.SQL_SERVER, 1, "\\bn'", "sp_addextendedproperty", "datetimeoffset");
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
                "strftime\\(");
        add(signs, Dialects.SQLITE, 1, "integer primary key", "typeof\\(", "\\bglob\\b");
        add(
                signs,
                Dialects.H2,
                4,
                "create (cached|memory) table",
                "\\brandom_uuid\\(\\)",
                "create user if not exists",
                "\"public\"\\.\"");
        return List.copyOf(signs);
    }

    private static void add(List<Sign> signs, Dialect dialect, int weight, String... patterns) {
        for (String pattern : patterns) {
            signs.add(new Sign(dialect, Pattern.compile(pattern, Pattern.MULTILINE), weight));
        }
    }

    /** The dialect that most speaks for; standard SQL where nothing does. */
    static Dialect of(String text) {
        String start = text.substring(0, Math.min(LONGEST, text.length())).toLowerCase(Locale.ROOT);
        Dialect best = Dialects.STANDARD;
        int most = LEAST;
        for (Dialect dialect : Dialects.ALL) {
            int weight = SIGNS.stream()
                    .filter(sign -> sign.dialect() == dialect
                            && sign.pattern().matcher(start).find())
                    .mapToInt(Sign::weight)
                    .sum();
            boolean shared = dialect == Dialects.MARIADB && weight < 4 + 3;
            if (weight > most && !shared) {
                most = weight;
                best = dialect;
            }
        }
        return best;
    }
}
