package ableschema.core.sql.dialect;

import ableschema.core.design.Pins;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;

/** The one list of dialects: menus, lookups and tests all go over it. */
public final class Dialects {

    public static final Dialect POSTGRESQL = new PostgreSql();
    public static final Dialect MYSQL = new MySql();
    public static final Dialect MARIADB = new MariaDb();
    public static final Dialect SQLITE = new Sqlite();
    public static final Dialect SQL_SERVER = new SqlServer();
    public static final Dialect ORACLE = new Oracle();
    public static final Dialect H2 = new H2();
    public static final Dialect STANDARD = new StandardSql();

    /** Those that scripts are written for. */
    public static final List<Dialect> ALL =
            List.of(POSTGRESQL, MYSQL, MARIADB, SQLITE, SQL_SERVER, ORACLE, H2, STANDARD);

    private Dialects() {}

    /** Finds a dialect by its name, whatever its letter case. */
    public static Optional<Dialect> named(String name) {
        return ALL.stream()
                .filter(d -> d.name().equals(name.toLowerCase(Locale.ROOT)))
                .findFirst();
    }

    /**
     * Makes sure that an option such as {@code mysql.engine} is one that its dialect has; an {@link
     * IllegalArgumentException} says what is wrong with it.
     */
    public static void requireOption(String option, String value) {
        if (option.equals(Pins.COMMENT)) {
            return; // which is of no dialect
        }
        int point = option.indexOf('.');
        Dialect dialect = named(point < 0 ? "" : option.substring(0, point))
                .orElseThrow(() -> new IllegalArgumentException("the option '" + option
                        + "' names no dialect: it is written as in mysql.engine, with one of " + names()));
        List<DialectOption> same = dialect.traits().options().stream()
                .filter(each -> each.name().equals(option.substring(point + 1)))
                .toList();
        if (same.isEmpty()) {
            throw new IllegalArgumentException("'" + option.substring(point + 1) + "' is no option of " + dialect
                    + "; its options are "
                    + String.join(
                            ", ",
                            dialect.traits().options().stream()
                                    .map(DialectOption::name)
                                    .distinct()
                                    .sorted()
                                    .toList()));
        }
        if (same.stream().noneMatch(each -> each.takes(value))) {
            throw new IllegalArgumentException("'" + value + "' is no value of the option '" + option + "'");
        }
    }

    /** Makes sure that a choice such as {@code sqlite.types} is there; an {@link IllegalArgumentException} says if not. */
    public static void requireChoice(String choice, String value) {
        for (Dialect dialect : ALL) {
            for (Map.Entry<String, List<String>> each : dialect.choices().entrySet()) {
                if (choice.equals(each.getKey())) {
                    if (each.getValue().isEmpty()) {
                        if (!ScriptStyle.isName(value)) {
                            throw new IllegalArgumentException(
                                    "'" + value + "' is no name, which '" + choice + "' takes");
                        }
                    } else if (!each.getValue().contains(value)) {
                        throw new IllegalArgumentException("'" + value + "' is none of "
                                + String.join(", ", each.getValue()) + ", which '" + choice + "' can be");
                    }
                    return;
                }
            }
        }
        throw new IllegalArgumentException("no dialect has a choice '" + choice + "'");
    }

    /** The names of all dialects, as they are written in commands and files. */
    public static String names() {
        return String.join(", ", ALL.stream().map(Dialect::name).toList());
    }
}
