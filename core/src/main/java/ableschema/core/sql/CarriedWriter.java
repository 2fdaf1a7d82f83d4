package ableschema.core.sql;

import static java.util.stream.Collectors.joining;

import ableschema.core.carried.Carried;
import ableschema.core.carried.Carried.Kind;
import ableschema.core.schema.Part;
import ableschema.core.sql.dialect.Ability;
import ableschema.core.sql.dialect.Dialect;
import ableschema.core.sql.dialect.Dialects;
import ableschema.core.sql.dialect.Making;
import ableschema.core.sql.dialect.ScriptStyle.Existing;
import ableschema.core.sql.dialect.Shortfall;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.function.Predicate;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Writes back the statements that are carried along, if they are written in the dialect of the script. */
final class CarriedWriter {

    private static final int MOST_NAMED = 8;
    private static final String DELIMITER = "//";

    /** What a statement makes, in its own words. */
    private static final Pattern MADE = Pattern.compile(
            "(?is)create\\b(?!\\s+or\\s+(?:replace|alter))(?!.{0,60}?\\bif\\s+not\\s+exists).*?\\b(materialized\\s+view|view|trigger"
                    + "|function|aggregate|procedure|alias|package|event|rule|policy|synonym|sequence)\\b");

    /** What is made with a table, and can be made unless it is there. */
    private static final Pattern OF_TABLES = Pattern.compile("(?i)create\\s+(table|statistics)\\s+(?!if\\s)");

    private static final Pattern INHERITING = Pattern.compile("(?is)alter\\s+table\\s.*\\sinherit\\s.*");

    private final Dialect dialect;

    CarriedWriter(Dialect dialect) {
        this.dialect = dialect;
    }

    static List<Shortfall> shortfalls(List<Carried> carried, Dialect dialect) {
        List<Carried> foreign =
                carried.stream().filter(each -> !dialect.writes(each)).toList();
        return foreign.stream()
                .map(Carried::dialect)
                .distinct()
                .map(from -> new Shortfall(
                        dialect.label(),
                        Ability.FOREIGN_STATEMENTS,
                        Part.WHOLE,
                        "left out, as written for "
                                + Dialects.named(from).map(Dialect::label).orElse(from) + ": "
                                + labels(foreign.stream()
                                        .filter(each -> each.dialect().equals(from))
                                        .toList())))
                .toList();
    }

    private static String labels(List<Carried> carried) {
        String first = carried.stream().limit(MOST_NAMED).map(Carried::label).collect(joining(", "));
        return carried.size() <= MOST_NAMED ? first : first + " and " + (carried.size() - MOST_NAMED) + " more";
    }

    /** The statements of those that stand at one place of the script. */
    List<Statement> statements(List<Carried> carried, Predicate<Carried> here) {
        var statements = new ArrayList<Statement>();
        String usual = dialect.style().schema();
        String within = usual;
        for (Carried each : carried) {
            if (here.test(each) && dialect.writes(each)) {
                String wanted = each.within().isEmpty() ? usual : each.within();
                if (!wanted.equals(within)) {
                    enter(wanted, statements);
                    within = wanted;
                }
                write(each, statements);
            }
        }
        if (!within.equals(usual)) {
            enter(usual, statements);
        }
        return statements;
    }

    /** From here on names without a schema are in this one. */
    private void enter(String schema, List<Statement> to) {
        dialect.entering(schema)
                .ifPresent(sql -> to.add(new SqlWriter().line(sql).closed(Statement.Kind.SETTING)));
    }

    private void write(Carried each, List<Statement> to) {
        String sql = dialect.style().existing() == Existing.STOP ? each.sql() : again(each, to);
        Making.Apart apart = dialect.traits().making().apart();
        boolean said = each.kind() == Kind.RIGHT || each.kind() == Kind.DESCRIPTION;
        boolean whole = sql.endsWith(";");
        switch (said ? Making.Apart.NOTHING : apart) {
            case DELIMITER -> {
                if (sql.indexOf(';') < 0) {
                    to.add(statement(sql, ";"));
                } else {
                    to.add(client("DELIMITER " + DELIMITER));
                    to.add(statement(sql, DELIMITER));
                    to.add(client("DELIMITER ;"));
                }
            }
            case GO -> {
                to.add(client("GO"));
                to.add(statement(sql, "")); // GO ends it
                to.add(client("GO"));
            }
            case SLASH -> {
                to.add(statement(sql, whole ? "" : ";"));
                if (whole) {
                    to.add(client("/"));
                }
            }
            case NOTHING -> to.add(statement(sql, ";"));
        }
    }

    /** The statement for a place where it may have been carried out before; what must go first is added. */
    private String again(Carried each, List<Statement> to) {
        if (each.kind() == Kind.OTHER) {
            return dialect.style().existing() == Existing.SKIP ? saidAgain(each.sql()) : each.sql();
        }
        Matcher made = MADE.matcher(each.sql());
        if (!made.lookingAt()) {
            return each.sql();
        }
        String word = made.group(1).toUpperCase(Locale.ROOT);
        Making making = dialect.traits().making();
        if (each.kind() == Kind.SEQUENCE) { // it would begin anew
            return dialect.can(Ability.SKIP_EXISTING)
                    ? each.sql().substring(0, made.end(1)) + " IF NOT EXISTS"
                            + each.sql().substring(made.end(1))
                    : each.sql();
        }
        if (making.kinds().contains(each.kind()) && !word.startsWith("MATERIALIZED")) {
            return "CREATE " + making.anew() + each.sql().substring("create".length());
        }
        if (dialect.can(Ability.DROP_EXISTING)) {
            String name = each.name().replaceFirst("\\(.*| on .*", "");
            String on = each.kind() == Kind.POLICY
                    ? " ON " + name(each.name().substring(each.name().indexOf(" on ") + 4))
                    : "";
            to.add(statement("DROP " + word + " IF EXISTS " + name(name) + on, ";"));
        }
        return each.sql();
    }

    /** What is said of tables, for a place where it may have been said before. */
    private String saidAgain(String sql) {
        Matcher made = OF_TABLES.matcher(sql);
        if (made.lookingAt()) {
            return made.group() + "IF NOT EXISTS " + sql.substring(made.end());
        }
        return INHERITING.matcher(sql).matches() ? dialect.unlessThere(sql) : sql;
    }

    /** A name with its schema, quoted where it must be. */
    private String name(String qualified) {
        int point = qualified.indexOf('.');
        return point < 0
                ? dialect.quoted(qualified)
                : dialect.quoted(qualified.substring(0, point)) + "." + dialect.quoted(qualified.substring(point + 1));
    }

    private static Statement statement(String sql, String end) {
        List<Line> lines = new ArrayList<>(
                sql.lines().map(line -> new Line(line, List.of())).toList());
        Line last = lines.get(lines.size() - 1);
        lines.set(lines.size() - 1, new Line(last.text() + end, last.parts()));
        return new Statement(Statement.Kind.CARRIED, List.of(), List.copyOf(lines), end);
    }

    private static Statement client(String command) {
        return new Statement(Statement.Kind.CLIENT, List.of(), List.of(new Line(command, List.of())), "");
    }
}
