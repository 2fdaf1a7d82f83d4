package ableschema.core.ddl;

import ableschema.core.carried.Carried;
import ableschema.core.schema.TableName;
import ableschema.core.sql.dialect.Dialect;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * What is said of a table that a design has no place for: how its rows are kept, whose rows they are too, what its indexes are for. It
 * follows the table and its parts, and is said again behind the tables.
 */
final class Settings {

    /** What a setting is of. */
    enum Of {
        TABLE,
        COLUMN,
        INDEX,
        CONSTRAINT
    }

    /** @param name the column, index or constraint that it is of; empty for the table itself */
    private record Setting(Of of, String name, String about, String words) {
        Setting renamed(String to) {
            return new Setting(of, to, about, words);
        }
    }

    /** By what they are about, as a later one takes the place of an earlier. */
    private final Map<String, Setting> said = new LinkedHashMap<>();

    private final List<DraftTable> parents = new ArrayList<>();

    /** @param within the part that it is a part of; empty for the table itself */
    private record Kept(TableName name, Optional<TableName> within, String words) {}

    /** The parts in which the rows are kept. */
    private final List<Kept> parts = new ArrayList<>();

    /**
     * Notes a setting.
     *
     * @param about what it is about, besides its name
     * @param words what stands behind the name in the statement
     */
    void say(Of of, String name, String about, String words) {
        said.put(of + " " + name + " " + about, new Setting(of, name, about, words));
    }

    /** Forgets what was said of the table itself. */
    void unsay(String about) {
        said.remove(Of.TABLE + "  " + about);
    }

    /** The rows of the table are rows of this one, too; an {@link Unread} says that it is its own. */
    void inherit(DraftTable parent) {
        if (parent.settings == this) {
            throw new Unread(parent.name + " cannot inherit from itself");
        }
        parents.add(parent);
    }

    void disinherit(DraftTable parent) {
        parents.remove(parent);
    }

    void addPart(TableName name, Optional<TableName> within, String words) {
        parts.add(new Kept(name, within, words));
    }

    /** Takes over the parts of a table that became a part. */
    void takeParts(DraftTable part) {
        for (Kept each : part.settings.parts) {
            parts.add(new Kept(each.name(), Optional.of(each.within().orElse(part.name)), each.words()));
        }
    }

    void renameColumn(String column, String to) {
        said.replaceAll(
                (about, each) -> each.of() == Of.COLUMN && each.name().equals(column) ? each.renamed(to) : each);
    }

    /** Follows the other name of an index or a constraint. */
    void renameNamed(String name, String to) {
        said.replaceAll((about, each) ->
                each.of().compareTo(Of.COLUMN) > 0 && each.name().equals(name) ? each.renamed(to) : each);
    }

    /** Their statements for the table as it ended up, of what is still there. */
    List<Carried> statements(DraftTable table, Context context) {
        var statements = new ArrayList<Carried>();
        for (DraftTable parent : parents) {
            if (context.draft.table(parent.name).filter(each -> each == parent).isPresent()) {
                statements.add(carried(
                        "rows of " + table.name + " in " + parent.name,
                        "ALTER TABLE " + name(table, context.dialect) + " INHERIT " + name(parent, context.dialect),
                        context));
            }
        }
        for (Kept each : parts) {
            String whole = each.within()
                    .map(name -> name(name, context.dialect))
                    .orElseGet(() -> name(table, context.dialect));
            statements.add(carried(
                    "part " + each.name() + " of " + table.name,
                    "CREATE TABLE " + name(each.name(), context.dialect) + " PARTITION OF " + whole + " "
                            + each.words(),
                    context));
        }
        said.forEach((about, each) -> {
            if (isThere(each, table)) {
                String of = each.name().isEmpty() ? table.name.toString() : table.name + "." + each.name();
                statements.add(carried(each.about() + " of " + of, sql(each, table, context.dialect), context));
            }
        });
        return statements;
    }

    private static Carried carried(String name, String sql, Context context) {
        return new Carried(Carried.Kind.OTHER, name, context.dialect.name(), "", false, sql);
    }

    private static boolean isThere(Setting setting, DraftTable table) {
        return switch (setting.of()) {
            case TABLE -> true;
            case COLUMN -> table.column(setting.name()).isPresent();
            case INDEX, CONSTRAINT -> table.hasNamed(setting.name());
        };
    }

    private static String sql(Setting setting, DraftTable table, Dialect dialect) {
        String on = name(table, dialect);
        String name = dialect.quoted(setting.name());
        return switch (setting.of()) {
            case TABLE -> "ALTER TABLE " + on + " " + setting.words();
            case COLUMN -> "ALTER TABLE " + on + " ALTER COLUMN " + name + " " + setting.words();
            case INDEX -> "COMMENT ON INDEX " + namespace(table.name, dialect) + name + " IS " + setting.words();
            case CONSTRAINT -> "COMMENT ON CONSTRAINT " + name + " ON " + on + " IS " + setting.words();
        };
    }

    static String name(DraftTable table, Dialect dialect) {
        return name(table.name, dialect);
    }

    private static String name(TableName name, Dialect dialect) {
        return namespace(name, dialect) + dialect.quoted(name.name());
    }

    private static String namespace(TableName name, Dialect dialect) {
        return name.namespace().isEmpty() ? "" : dialect.quoted(name.namespace()) + ".";
    }
}
