package ableschema.core.ddl;

import ableschema.core.expression.Expression;
import ableschema.core.schema.Table;
import ableschema.core.sql.dialect.Dialect;
import java.nio.charset.StandardCharsets;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** What a database calls a constraint that is given no name; empty where that cannot be foretold. */
final class DefaultNames {

    private static final int LONGEST = 63;
    private static final Pattern MADE_UP = Pattern.compile("(?i)constraint_[0-9a-f]+(_[0-9]+)?");

    private final boolean postgresql;
    private final boolean mysql;
    private final boolean mariadb;
    private final boolean h2;
    private static final Pattern CALL = Pattern.compile("(\\w+)\\(");

    /** A column with how it is compared. */
    private static final Pattern COMPARED = Pattern.compile("\\{([^}]*)} \\w+");

    private final Names names;

    DefaultNames(Dialect dialect, Names names) {
        this.postgresql = dialect.name().equals("postgresql");
        this.mariadb = dialect.name().equals("mariadb");
        this.mysql = dialect.name().equals("mysql") || mariadb;
        this.h2 = dialect.name().equals("h2");
        this.names = names;
    }

    /** The name that was given; empty where it is one that H2 makes up, which may be another the next time. */
    private String wanted(String given) {
        return h2 && MADE_UP.matcher(given).matches() ? "" : given;
    }

    String primaryKey(DraftTable table, String name) {
        String given = wanted(name);
        if (mysql) {
            return ""; // whatever is given, it is called PRIMARY
        }
        return given.isEmpty() && postgresql ? free(table, table.name.name(), "", "pkey") : given;
    }

    String unique(DraftTable table, List<String> columns, String name) {
        String given = wanted(name);
        if (!given.isEmpty()) {
            return given;
        }
        if (mysql) {
            return numbered(table, columns.get(0));
        }
        return postgresql ? free(table, table.name.name(), String.join("_", columns), "key") : "";
    }

    String foreignKey(DraftTable table, List<String> columns, String name) {
        String given = wanted(name);
        if (!given.isEmpty()) {
            return given;
        }
        if (mysql) {
            return counted(table, "_ibfk_");
        }
        return postgresql ? free(table, table.name.name(), String.join("_", columns), "fkey") : "";
    }

    /** @param columns those that the check speaks of */
    String check(DraftTable table, List<String> columns, String name) {
        String given = wanted(name);
        if (!given.isEmpty() || mysql && !mariadb) {
            return given.isEmpty() ? counted(table, "_chk_") : given;
        }
        return postgresql ? free(table, table.name.name(), columns.size() == 1 ? columns.get(0) : "", "check") : "";
    }

    String index(DraftTable table, List<String> columns, String given) {
        if (!given.isEmpty() || columns.isEmpty()) {
            return given;
        }
        if (mysql) {
            return numbered(table, columns.get(0));
        }
        return postgresql ? free(table, table.name.name(), String.join("_", columns), "idx") : "";
    }

    /** Whether a sequence is called as the database calls the one from which a column draws its numbers. */
    boolean isSequenceOf(DraftTable table, String column, String sequence) {
        return Sequence.key(sequence).equals(Sequence.ownKey(sequence(table, column)));
    }

    /** What the database calls the sequence that serial makes for a column. */
    String sequence(DraftTable table, String column) {
        return made(table.name.name(), column, "seq");
    }

    /** What an index is called that was given no name; what is made of columns is called by its function. */
    String indexOf(DraftTable table, List<Table.IndexedColumn> parts, String given) {
        List<String> columns = parts.stream()
                .map(part -> part.value().asColumn().orElseGet(() -> called(part.value())))
                .toList();
        return postgresql
                ? index(table, columns, given)
                : index(
                        table,
                        parts.stream()
                                .flatMap(part -> part.value().columns())
                                .distinct()
                                .toList(),
                        given);
    }

    private static String called(Expression<String> value) {
        String text = value.written(name -> "{" + name + "}");
        Matcher call = CALL.matcher(text);
        Matcher column = COMPARED.matcher(text);
        return call.lookingAt() ? call.group(1) : column.matches() ? column.group(1) : "expr";
    }

    private Set<String> used(DraftTable table) {
        var used = new HashSet<String>();
        if (table.primaryKey != null) {
            used.add(table.primaryKey.name());
        }
        table.foreignKeys.forEach(key -> used.add(names.key(key.name())));
        table.uniques.forEach(unique -> used.add(names.key(unique.name())));
        table.checks.forEach(check -> used.add(names.key(check.name())));
        table.indexes.forEach(index -> used.add(names.key(index.name())));
        return used;
    }

    private String counted(DraftTable table, String between) {
        Set<String> used = used(table);
        int number = 1;
        while (used.contains(names.key(table.name.name() + between + number))) {
            number++;
        }
        return table.name.name() + between + number;
    }

    private String numbered(DraftTable table, String name) {
        Set<String> used = used(table);
        String found = name;
        for (int number = 2; used.contains(names.key(found)); number++) {
            found = name + "_" + number;
        }
        return found;
    }

    /** As PostgreSQL makes names (makeObjectName): what is too long is cut from the longer of its parts. */
    private String free(DraftTable table, String first, String second, String label) {
        Set<String> used = used(table);
        String name = made(first, second, label);
        for (int number = 1; used.contains(name); number++) {
            name = made(first, second, label + number);
        }
        return name;
    }

    private static String made(String first, String second, String label) {
        String one = first;
        String two = second;
        int room = LONGEST - label.length() - (second.isEmpty() ? 1 : 2);
        while (bytes(one) + bytes(two) > room && !(one.isEmpty() && two.isEmpty())) {
            if (bytes(one) > bytes(two)) {
                one = one.substring(0, one.length() - 1);
            } else {
                two = two.substring(0, two.length() - 1);
            }
        }
        return one + (second.isEmpty() ? "" : "_" + two) + "_" + label;
    }

    private static int bytes(String text) {
        return text.getBytes(StandardCharsets.UTF_8).length;
    }
}
