package ableschema.core.ddl;

import ableschema.core.expression.Expression;
import ableschema.core.expression.Filling;
import ableschema.core.expression.Token;
import ableschema.core.schema.Column;
import ableschema.core.schema.ForeignKey;
import ableschema.core.schema.Part;
import ableschema.core.schema.Table;
import ableschema.core.schema.TableName;
import ableschema.core.sql.dialect.Ability;
import ableschema.core.sql.dialect.DialectOption;
import ableschema.core.types.DataType;
import ableschema.core.types.DataType.Simple;
import ableschema.core.types.DataTypes;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Pattern;
import java.util.stream.Collectors;

/**
 * Settles what the columns of a table hold. Where a dialect holds values to a type by conditions, these tell the type; a type
 * that the dialect would write otherwise is kept as it was found.
 */
final class FoundTypes {

    /** Of each width. */
    private static final List<DataType> WHOLE = List.of(
            new DataType.Whole(Short.MAX_VALUE), new DataType.Whole(0), new DataType.Whole(DataType.Whole.LARGEST));

    /** References that lead on further, or in a circle, are left where they are. */
    private static final int MOST_STEPS = 20;

    private final Context context;
    private final Set<SqlType> untold = new HashSet<>();
    private int line = 1;

    /** Whether conditions hold a type in this dialect. */
    private final Map<DataType, Boolean> held = new HashMap<>();

    /** What holds a type as it was found, where nothing else is said of the column. */
    private final Map<SqlType, Map<String, String>> pins = new HashMap<>();

    FoundTypes(Context context) {
        this.context = context;
    }

    void settle(DraftTable draft) {
        line = draft.line;
        numberRows(draft);
        keyed(draft);
        Table table = draft.table(); // whose keys do not change by what follows
        for (int i = 0; i < draft.columns.size(); i++) {
            Column column = draft.columns.get(i);
            SqlType found = draft.types.get(column.name());
            boolean named = column.type() instanceof DataType.InDomain;
            if (found != null && !named && !found.canonical().isEmpty()) {
                draft.columns.set(i, settled(draft, table, column, found));
            }
        }
        draft.foreignKeys.replaceAll(key -> wholeOrEmpty(draft, key));
        if (!context.dialect.can(Ability.MANY_EMPTIES_IN_UNIQUE)) {
            draft.indexes.removeIf(index -> {
                boolean constraint = isUnique(draft, index);
                if (constraint) {
                    draft.uniques.add(new Table.UniqueConstraint(index.name(), index.columnNames()));
                }
                return constraint;
            });
        }
    }

    /** Where a reference of several columns cannot be asked to be whole or empty, a check without a name asks for it. */
    private ForeignKey wholeOrEmpty(DraftTable draft, ForeignKey key) {
        if (key.columns().size() < 2) {
            return key.withWholeOrEmpty(false);
        }
        List<String> optional = key.columns().stream()
                .filter(name ->
                        draft.columns.stream().anyMatch(each -> each.name().equals(name) && each.nullable()))
                .toList();
        if (optional.size() < 2) {
            return key.withWholeOrEmpty(false); // it cannot be empty in part
        }
        if (key.wholeOrEmpty()) {
            return key;
        }
        String empty = optional.stream().map(name -> "{" + name + "} is null").collect(Collectors.joining(" and "));
        String whole =
                optional.stream().map(name -> "{" + name + "} is not null").collect(Collectors.joining(" and "));
        boolean asked = draft.checks.removeIf(check -> draft.unnamedChecks.contains(check)
                && check.expression().toString().equals(empty + " or " + whole));
        return asked ? key.withWholeOrEmpty(true) : key;
    }

    /** The type identity of H2 is a number and the key. */
    private void keyed(DraftTable draft) {
        if (context.is("h2") && draft.primaryKey == null) {
            draft.columns.stream()
                    .map(Column::name)
                    .filter(name -> draft.types.containsKey(name)
                            && draft.types.get(name).text().equals(SqlType.IDENTITY.text()))
                    .findFirst()
                    .ifPresent(name -> draft.primaryKey = new Table.PrimaryKey("", List.of(name)));
        }
    }

    /** A key of the one type integer is the number of its row in SQLite, and given by it. */
    private void numberRows(DraftTable draft) {
        if (!context.is("sqlite")
                || draft.primaryKey == null
                || draft.primaryKey.columns().size() != 1
                || draft.options.containsKey("sqlite.without_rowid")) {
            return;
        }
        String name = draft.primaryKey.columns().get(0);
        SqlType type = draft.types.get(name);
        if (type != null && type.text().equalsIgnoreCase("integer")) {
            draft.change(name, column -> {
                if (column.identity().isPresent()) {
                    return column;
                }
                Column numbered = OtherReader.numbered(column, 1, 1, false);
                var options = new HashMap<>(numbered.options());
                context.option(options, Part.Kind.COLUMN, "rowid", "yes");
                return new Column(
                        numbered.name(),
                        numbered.type(),
                        numbered.nullable(),
                        numbered.filling(),
                        numbered.identity(),
                        numbered.comment(),
                        options);
            });
        }
    }

    /** Where a unique constraint takes one empty value only, an index over the rows that hold values stands for it. */
    static boolean isUnique(DraftTable draft, Table.TableIndex index) {
        List<String> columns = index.columnNames();
        Set<String> said = new HashSet<>(List.of(index.only().toString().split(" and ")));
        Set<String> wanted = draft.columns.stream()
                .filter(column -> column.nullable() && columns.contains(column.name()))
                .map(column -> holdsValue(column.name()))
                .collect(Collectors.toSet());
        return index.unique()
                && index.options().isEmpty() // of what it takes along a constraint knows nothing
                && columns.size() == index.columns().size()
                && !wanted.isEmpty()
                && said.containsAll(wanted)
                && columns.stream()
                        .map(FoundTypes::holdsValue)
                        .collect(Collectors.toSet())
                        .containsAll(said);
    }

    private static String holdsValue(String column) {
        return "{" + column + "} is not null";
    }

    /** A column that refers is of the type that it refers to; another type is kept as it was found. */
    void align(DraftTable draft, Draft all) {
        for (ForeignKey key : draft.foreignKeys) {
            for (int i = 0; i < key.columns().size(); i++) {
                String name = key.columns().get(i);
                root(all, key.target(), key.targetColumns().get(i), MOST_STEPS)
                        .ifPresent(column -> align(draft, name, column.type()));
            }
        }
    }

    /** The column in which references that lead on end, in whatever order their tables stand. */
    private static Optional<Column> root(Draft all, TableName table, String name, int steps) {
        Optional<DraftTable> target = all.table(table);
        Optional<Column> column = target.flatMap(each ->
                each.columns.stream().filter(one -> one.name().equals(name)).findFirst());
        Optional<ForeignKey> on = target.flatMap(each -> each.foreignKeys.stream()
                .filter(key -> key.columns().contains(name))
                .findFirst());
        return on.isEmpty() || steps == 0
                ? column
                : root(
                                all,
                                on.get().target(),
                                on.get().targetColumns().get(on.get().columns().indexOf(name)),
                                steps - 1)
                        .or(() -> column);
    }

    private void align(DraftTable draft, String name, DataType type) {
        SqlType found = draft.types.get(name);
        draft.change(name, column -> {
            if (column.type().equals(type) || type instanceof DataType.InDomain || found == null) {
                return column;
            }
            Column changed = with(column, type);
            Table table = draft.table();
            return isUsual(table, changed, found) ? changed : kept(changed, found);
        });
    }

    private Column settled(DraftTable draft, Table table, Column column, SqlType found) {
        boolean numbered = column.identity().isPresent();
        if (!numbered && !draft.checks.isEmpty()) {
            List<Table.CheckConstraint> unnamed = unnamed(draft, column);
            if (!unnamed.isEmpty()) {
                for (DataType candidate : candidates(column, unnamed)) {
                    List<Table.CheckConstraint> holding = holding(draft, column, candidate, unnamed);
                    if (!holding.isEmpty() && isUsual(table, with(column, candidate), found)) {
                        draft.checks.removeAll(holding);
                        return with(column, candidate);
                    }
                }
            }
        }
        boolean isHeld = column.filling().isComputed() && column.type() instanceof DataType.Whole
                ? !context.dialect.holdingComputed(column.type(), column.name()).isEmpty()
                : !numbered
                        && !column.filling().isComputed()
                        && held.computeIfAbsent(column.type(), type -> !context.dialect
                                .holding(type, column.name(), column.nullable())
                                .isEmpty());
        return !isHeld && isUsual(table, column, found) ? column : kept(column, found);
    }

    /** The checks of one column that were given no name, as those are that hold it to its type. */
    private List<Table.CheckConstraint> unnamed(DraftTable draft, Column column) {
        var unnamed = new ArrayList<Table.CheckConstraint>(0);
        for (Table.CheckConstraint check : draft.checks) {
            boolean nameless = draft.unnamedChecks.contains(check) || isNamedByDatabase(draft, column, check);
            if (nameless && check.expression().columns().allMatch(column.name()::equals)) {
                unnamed.add(check);
            }
        }
        return unnamed;
    }

    /** Whether a check has the name that the database gives to one without. */
    private boolean isNamedByDatabase(DraftTable draft, Column column, Table.CheckConstraint check) {
        String given = context.is("postgresql")
                ? draft.name.name() + "_" + column.name() + "_check"
                : context.isMySql() ? draft.name.name() + "_chk_" : "";
        return !given.isEmpty() && check.name().startsWith(given);
    }

    private boolean isUsual(Table table, Column column, SqlType found) {
        return context.types.isUsual(counted(found), context.dialect.columnType(table, column, column.type()));
    }

    /** A serial is a whole number of some size, and its numbering. */
    private static SqlType counted(SqlType found) {
        return switch (found.name()) {
            case "serial" -> SqlType.of("integer", List.of(), false, "", "integer");
            case "smallserial" -> SqlType.of("smallint", List.of(), false, "", "smallint");
            case "bigserial" -> SqlType.of("bigint", List.of(), false, "", "bigint");
            default -> found;
        };
    }

    private Column kept(Column column, SqlType found) {
        Map<String, String> options = column.options().isEmpty()
                ? pins.computeIfAbsent(found, type -> Map.copyOf(options(Map.of(), type)))
                : options(column.options(), found);
        return column.withOptions(options);
    }

    /** Some databases have several names for one type, and print the longest. */
    private String pinned(SqlType found) {
        String text = context.types.printed(counted(found));
        String owner = context.draft.owner;
        String own = owner.isEmpty() ? text : text.replaceFirst("(?i)^\"?" + Pattern.quote(owner) + "\"?\\.", "");
        return context.isSqlServer()
                ? own.replaceAll("\\[(\\w+)]", "$1") // quoted as some tools do with all names
                : own;
    }

    private Map<String, String> options(Map<String, String> others, SqlType found) {
        var options = new HashMap<>(others);
        if (!context.option(options, Part.Kind.COLUMN, DialectOption.TYPE, pinned(found)) && untold.add(found)) {
            context.draft.skip(line, found.text(), "the type is not kept as it is written");
        }
        return options;
    }

    private Column with(Column column, DataType type) {
        return new Column(
                column.name(),
                type,
                column.nullable(),
                column.filling().isPresent() && !column.filling().isComputed()
                        ? Filling.byDefault(
                                context.defaultValue(column.filling().expression(), type))
                        : column.filling(),
                column.identity(),
                column.comment(),
                column.options());
    }

    /** The conditions that hold a column to a type, all of which must be there; none where they are not. */
    private List<Table.CheckConstraint> holding(
            DraftTable draft, Column column, DataType type, List<Table.CheckConstraint> unnamed) {
        var holding = new ArrayList<Table.CheckConstraint>();
        String name = context.dialect.column(column.name());
        List<String> conditions = column.filling().isComputed()
                ? context.dialect.holdingComputed(type, name)
                : context.dialect.holding(type, name, column.nullable());
        for (String condition : conditions) {
            Expression<String> wanted = context.expression(condition, draft::column);
            Optional<Table.CheckConstraint> there = unnamed.stream()
                    .filter(check -> check.expression().equals(wanted))
                    .findFirst();
            if (there.isEmpty()) {
                return List.of();
            }
            holding.add(there.get());
        }
        return holding;
    }

    private static List<DataType> candidates(Column column, List<Table.CheckConstraint> checks) {
        var candidates = new LinkedHashSet<DataType>();
        candidates.add(column.type());
        candidates.addAll(List.of(Simple.values()));
        if (column.type() instanceof DataType.Whole) {
            candidates.addAll(WHOLE);
        }
        for (Table.CheckConstraint check : checks) {
            list(check.expression()).ifPresent(candidates::add);
            number(check.expression()).ifPresent(most -> candidates.add(new DataType.Bytes(most)));
        }
        candidates.remove(DataTypes.UNDECIDED);
        return List.copyOf(candidates);
    }

    /** The values of {@code column in ('a', 'b')}. */
    private static Optional<DataType> list(Expression<String> condition) {
        var values = new LinkedHashSet<String>();
        boolean in = false;
        for (Token<String> token : Token.of(condition)) {
            in |= token.is("in");
            if (token.kind() == Token.Kind.STRING && !token.value().isEmpty()) {
                values.add(token.value());
            }
        }
        return in && !values.isEmpty() ? Optional.of(new DataType.OneOf(List.copyOf(values))) : Optional.empty();
    }

    private static Optional<Long> number(Expression<String> condition) {
        List<Token<String>> tokens = Token.of(condition);
        Token<String> last = tokens.get(tokens.size() - 1);
        return last.kind() == Token.Kind.NUMBER && last.text().matches("[0-9]{1,9}")
                ? Optional.of(Long.parseLong(last.text()))
                : Optional.empty();
    }
}
