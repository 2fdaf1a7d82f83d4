package ableschema.core.sql;

import static java.util.stream.Collectors.joining;

import ableschema.core.expression.Expression;
import ableschema.core.schema.Column;
import ableschema.core.schema.DomainType;
import ableschema.core.schema.ForeignKey;
import ableschema.core.schema.Identity;
import ableschema.core.schema.Part;
import ableschema.core.schema.Part.Kind;
import ableschema.core.schema.Schema;
import ableschema.core.schema.Table;
import ableschema.core.sql.dialect.Ability;
import ableschema.core.sql.dialect.Dialect;
import ableschema.core.sql.dialect.DialectOption;
import ableschema.core.sql.dialect.SearchIndexes;
import ableschema.core.sql.dialect.Shortfall;
import ableschema.core.sql.dialect.Traits.Empties;
import ableschema.core.types.DataType;
import ableschema.core.types.ReferenceAction;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;

/** What a dialect cannot say of one table, and what stands instead. */
final class TableShortfalls {

    private final Dialect dialect;
    private final Schema schema;
    private final Table table;
    private final KeyRoom room;

    TableShortfalls(Dialect dialect, Schema schema, Table table) {
        this.room = new KeyRoom(dialect, schema, table);
        this.dialect = dialect;
        this.schema = schema;
        this.table = table;
    }

    /** Whether the database hands out the values of this column. */
    boolean isNumbered(Column column) {
        if (column.identity().isEmpty() || !dialect.numbers(table, column)) {
            return false;
        }
        return dialect.can(Ability.NUMBER_SEVERAL)
                || table.columns().stream()
                                .filter(each -> each.identity().isPresent() && dialect.numbers(table, each))
                                .findFirst()
                                .orElse(column)
                        == column;
    }

    /** The default of a column as it stands behind DEFAULT: its own, or that of a domain that has no name here. */
    Optional<String> filled(Column column) {
        DataType base = schema.resolved(column.type());
        Expression<String> own = column.defaultValue();
        Optional<Expression<String>> inherited = dialect.can(Ability.DOMAINS)
                ? Optional.empty()
                : schema.domain(column.type()).map(DomainType::defaultValue);
        Expression<String> expression = own.isPresent() ? own : inherited.orElse(own);
        return expression.isPresent() && dialect.understands(expression)
                ? dialect.defaultValue(expression, base).map(usual -> called(column, expression, usual))
                : Optional.empty();
    }

    /** The present moment as it was found, where it is still the default. */
    private String called(Column column, Expression<String> expression, String usual) {
        boolean now = expression.isStandard() && expression.toString().startsWith("current_");
        String value =
                now ? dialect.option(column.options(), DialectOption.DEFAULT).orElse(usual) : usual;
        return dialect.has(column.options(), DialectOption.ON_NULL) ? "ON NULL " + value : value;
    }

    /** Whether a check can stand here: it speaks of no column that the database changes by a foreign key. */
    boolean canCheck(Expression<String> check) {
        return !speaksOfNumbered(check) && canCheckReferences(check);
    }

    /** Whether a column can be computed here: it speaks of none that the database numbers. */
    boolean canCompute(Column column) {
        boolean virtual = dialect.can(Ability.COMPUTED_FROM_NUMBERED)
                && (dialect.can(Ability.CHECK_NUMBERED) || !isInSomeKey(column.name()));
        return virtual || !isFromNumbered(column);
    }

    private boolean isInSomeKey(String column) {
        return Stream.of(
                        table.primaryKey().stream().flatMap(key -> key.columns().stream()),
                        table.uniques().stream().flatMap(unique -> unique.columns().stream()),
                        table.foreignKeys().stream().flatMap(key -> key.columns().stream()),
                        table.indexes().stream().flatMap(Table.TableIndex::mentioned))
                .flatMap(names -> names)
                .anyMatch(column::equals);
    }

    /** Whether a column is computed from one that the database numbers. */
    boolean isFromNumbered(Column column) {
        return column.filling().isComputed()
                && column.filling()
                        .expression()
                        .columns()
                        .flatMap(name -> table.column(name).stream())
                        .anyMatch(this::isNumbered);
    }

    private boolean speaksOfNumbered(Expression<String> check) {
        return !dialect.can(Ability.CHECK_NUMBERED)
                && check.columns().flatMap(name -> table.column(name).stream()).anyMatch(this::isNumbered);
    }

    private boolean canCheckReferences(Expression<String> check) {
        return dialect.can(Ability.CHECK_CHANGED_REFERENCES)
                || table.foreignKeys().stream()
                        .filter(ReferenceClauses::changes)
                        .noneMatch(key -> check.columns().anyMatch(key.columns()::contains));
    }

    /** Whether a primary key can be one here; else what it is over can be unique. */
    boolean canBeKey(Table.PrimaryKey key) {
        return dialect.can(Ability.COMPUTED_KEYS)
                || key.columns().stream()
                        .flatMap(name -> table.column(name).stream())
                        .noneMatch(column -> column.filling().isComputed());
    }

    /** All of them, in the order of the table's parts. */
    List<Shortfall> found(List<ForeignKey> undeferred) {
        var found = new ArrayList<Shortfall>();
        name(table.part(), table.name(), found);
        for (Column column : table.columns()) {
            find(column, found);
        }
        table.primaryKey()
                .filter(key -> !canBeKey(key))
                .ifPresent(key -> add(
                        found,
                        Ability.COMPUTED_KEYS,
                        table.part(Kind.PRIMARY_KEY, key.name()),
                        "it is unique, and no primary key"));
        table.primaryKey().ifPresent(key -> room.beyond(key.columns())
                .ifPresent(why -> add(
                        found,
                        Ability.WIDE_KEYS,
                        table.part(Kind.PRIMARY_KEY, key.name()),
                        why + ": the table is refused")));
        for (Table.UniqueConstraint unique : table.uniques()) {
            Part part = table.part(Kind.UNIQUE, unique.name());
            name(part, unique.name(), found);
            if (!canBeUnique(unique.columns())) {
                Optional<String> wide = room.beyond(unique.columns());
                add(
                        found,
                        wide.isPresent() ? Ability.WIDE_UNIQUES : Ability.JSON_IN_KEYS,
                        part,
                        wide.map(why -> why + ": ").orElse("") + "it is left out, and left to the application");
                continue;
            }
            findEmpties(part, unique.columns(), unique.options(), found);
        }
        for (Table.CheckConstraint check : table.checks()) {
            name(table.part(Kind.CHECK, check.name()), check.name(), found);
            find(check, found);
        }
        for (ForeignKey key : table.foreignKeys()) {
            name(table.part(Kind.FOREIGN_KEY, key.name()), key.name(), found);
            find(key, undeferred.contains(key), found);
        }
        for (Table.TableIndex index : table.indexes()) {
            Part part = table.part(Kind.INDEX, index.name());
            name(part, index.name(), found);
            find(index, part, found);
        }
        return found;
    }

    /** Whether an index can stand here: one that is unique only as it is, another also where it is over more rows. */
    boolean canIndex(Table.TableIndex index) {
        boolean made = index.columns().stream().map(Table.IndexedColumn::value).allMatch(dialect::indexes);
        boolean some = !index.only().isPresent() || dialect.takesIndexOver(index.only());
        if (SearchIndexes.isMissing(index, dialect) || speaksOfJson(index)) {
            return false;
        }
        boolean fits = whyTooWide(index).isEmpty() || !beginnings(index).isEmpty();
        return made && (some || !index.unique()) && fits;
    }

    /** How much of its texts an index is over that is too wide otherwise, by their names; what is unique is so as a whole. */
    Map<String, Long> beginnings(Table.TableIndex index) {
        return index.unique() || whyTooWide(index).isEmpty() ? Map.of() : room.beginnings(index.columnNames());
    }

    private boolean speaksOfJson(Table.TableIndex index) {
        return !dialect.can(Ability.JSON_IN_KEYS) && index.isPlain() && anyJson(index.columnNames());
    }

    private boolean anyJson(List<String> columns) {
        return columns.stream()
                .flatMap(name -> table.column(name).stream())
                .anyMatch(column -> schema.resolved(column.type()) == DataType.Simple.JSON);
    }

    private Optional<String> whyTooWide(Table.TableIndex index) {
        boolean anyWidth = !index.isPlain()
                || dialect.has(index.options(), DialectOption.KIND)
                || index.unique() && dialect.can(Ability.WIDE_UNIQUES);
        return anyWidth ? Optional.empty() : room.beyond(index.columnNames());
    }

    /** Whether what is unique can be so here: it is not wider than the database lets it be, and is over no document. */
    boolean canBeUnique(List<String> columns) {
        boolean json = !dialect.can(Ability.JSON_IN_KEYS) && anyJson(columns);
        return !json
                && (dialect.can(Ability.WIDE_UNIQUES) || room.beyond(columns).isEmpty());
    }

    private void find(Table.TableIndex index, Part part, List<Shortfall> found) {
        boolean plain = index.columns().stream().map(Table.IndexedColumn::value).allMatch(dialect::indexes);
        String leftOut =
                index.unique() ? "it is left out, and that it is unique is left to the application" : "it is left out";
        Optional<String> tooWide = whyTooWide(index);
        if (SearchIndexes.isMissing(index, dialect)) {
            add(found, Ability.SEARCH_INDEXES, part, leftOut);
        } else if (speaksOfJson(index)) {
            add(found, Ability.JSON_IN_KEYS, part, leftOut);
        } else if (tooWide.isPresent()) {
            String begun = beginnings(index).entrySet().stream()
                    .map(each -> each.getValue() + " of " + each.getKey())
                    .sorted()
                    .collect(joining(" and "));
            add(
                    found,
                    Ability.WIDE_KEYS,
                    part,
                    tooWide.get() + ": " + (begun.isEmpty() ? leftOut : "it is over the first " + begun));
        } else if (!plain && !dialect.can(Ability.MADE_INDEXES)) {
            add(found, Ability.MADE_INDEXES, part, leftOut);
        } else if (!index.only().isPresent() || dialect.takesIndexOver(index.only())) {
            index.columns().forEach(column -> find(column.value(), part, leftOut, found));
        } else {
            add(found, Ability.PARTIAL_INDEXES, part, index.unique() ? leftOut : "it is over all rows");
        }
        if (index.unique() && canIndex(index) && index.isPlain()) {
            findEmpties(part, index.columnNames(), index.options(), found);
        }
    }

    private void add(List<Shortfall> found, Ability ability, Part place, String instead) {
        found.add(new Shortfall(dialect.label(), ability, place, instead));
    }

    private void name(Part part, String name, List<Shortfall> found) {
        if (!dialect.spelled(name).equals(name)) {
            add(found, Ability.ALL_CHARACTERS, part, "it is called " + dialect.quoted(name));
        }
        if (dialect.traits().isTooLong(name)) {
            add(
                    found,
                    Ability.LONG_NAMES,
                    part,
                    "the name is longer than " + dialect.traits().longestName() + ", and will be refused or cut");
        }
    }

    private void find(Column column, List<Shortfall> found) {
        Part part = table.part(Kind.COLUMN, column.name());
        name(part, column.name(), found);
        if (dialect.traits().isSystemColumn(column.name())) {
            add(found, Ability.SYSTEM_COLUMN_NAMES, part, "it is called " + dialect.column(column.name()));
        }
        column.identity().ifPresent(identity -> find(column, identity, part, found));
        DataType base = schema.resolved(column.type());
        if (dialect.has(column.options(), DialectOption.TYPE)) {
            return;
        }
        dialect.typeShortfall(base).ifPresent(instead -> add(found, Ability.SIZE, part, instead));
        if (base == DataType.Simple.MOMENT_ANYWHERE && !dialect.can(Ability.TIME_ZONES)) {
            add(found, Ability.TIME_ZONES, part, "the moment is kept, and shown in the zone of whoever asks");
        }
        String kept = dialect.columnType(table, schema.resolved(column), base);
        boolean longText = base instanceof DataType.Text && !dialect.can(Ability.LONG_TEXT_IN_KEYS);
        boolean longBytes = base instanceof DataType.Bytes && !dialect.can(Ability.LONG_BYTES_IN_KEYS);
        if ((longText || longBytes) && !kept.equals(dialect.type(base))) {
            Ability missing = longText ? Ability.LONG_TEXT_IN_KEYS : Ability.LONG_BYTES_IN_KEYS;
            add(found, missing, part, "it is " + kept);
        }
        find(column.filling().expression(), part, "nothing fills it", found);
        if (!canCompute(column)) {
            add(found, Ability.COMPUTED_FROM_NUMBERED, part, "nothing fills it");
        }
        if (column.defaultValue().isPresent()
                && dialect.understands(column.defaultValue())
                && filled(column).isEmpty()) {
            add(found, Ability.UNFIT_DEFAULTS, part, "the default " + column.defaultValue() + " is left out");
        }
    }

    private void find(Expression<String> expression, Part part, String instead, List<Shortfall> found) {
        if (!dialect.understands(expression)) {
            add(
                    found,
                    Ability.FOREIGN_EXPRESSIONS,
                    part,
                    instead + ", as this is written for " + expression.dialect() + ": " + expression);
        }
    }

    private void find(Column column, Identity identity, Part part, List<Shortfall> found) {
        if (!isNumbered(column)) {
            boolean second = dialect.numbers(table, column);
            add(
                    found,
                    second
                            ? Ability.NUMBER_SEVERAL
                            : dialect.can(Ability.NUMBER_UNINDEXED)
                                    ? Ability.NUMBER_ANY_COLUMN
                                    : Ability.NUMBER_UNINDEXED,
                    part,
                    "it must be given by whoever inserts");
            return;
        }
        if (identity.start() != 1 && !dialect.can(Ability.NUMBERING_START)
                || identity.start() < 1 && !dialect.can(Ability.NUMBERING_STEP)) {
            add(found, Ability.NUMBERING_START, part, "it begins at 1, not at " + identity.start());
        }
        if (identity.alone() && !dialect.can(Ability.NUMBERS_ALONE)) {
            add(found, Ability.NUMBERS_ALONE, part, "a number that somebody types is taken, and may be changed");
        }
        if (identity.step() != 1 && !dialect.can(Ability.NUMBERING_STEP)) {
            add(found, Ability.NUMBERING_STEP, part, "it goes on by 1, not by " + identity.step());
        }
    }

    /** Whether what is unique is to be written as an index over the rows that are not empty in it. */
    boolean isFiltered(List<String> unique, Map<String, String> options) {
        return !dialect.can(Ability.MANY_EMPTIES_IN_UNIQUE)
                && !isAsFound(options)
                && anyOptional(unique)
                && !isReferredTo(unique);
    }

    /** Whether it is meant that no more than one row is empty in it. */
    private boolean isAsFound(Map<String, String> options) {
        return dialect.has(options, DialectOption.EMPTIES);
    }

    private boolean anyOptional(List<String> columns) {
        return columns.stream()
                .anyMatch(name -> table.column(name).filter(Column::nullable).isPresent());
    }

    private boolean isReferredTo(List<String> unique) {
        return schema.referencesTo(table).anyMatch(key -> key.targetColumns().equals(unique));
    }

    private void findEmpties(Part part, List<String> unique, Map<String, String> options, List<Shortfall> found) {
        if (!anyOptional(unique) || isAsFound(options)) {
            return;
        }
        if (!dialect.can(Ability.MANY_EMPTIES_IN_UNIQUE)) {
            add(
                    found,
                    Ability.MANY_EMPTIES_IN_UNIQUE,
                    part,
                    isReferredTo(unique)
                            ? "only one row may be empty in it, as a foreign key refers to it"
                            : "a unique index over the rows that are not empty in it stands for it");
        } else if (unique.size() > 1 && dialect.traits().empties() == Empties.MANY_IF_ALL_EMPTY) {
            add(
                    found,
                    Ability.MANY_EMPTIES_IN_UNIQUE,
                    part,
                    "rows that are empty in one of its columns count as alike where the others are");
        }
    }

    private void find(Table.CheckConstraint check, List<Shortfall> found) {
        Part part = table.part(Kind.CHECK, check.name());
        find(check.expression(), part, "it is left out", found);
        if (!canCheck(check.expression())) {
            add(
                    found,
                    speaksOfNumbered(check.expression()) ? Ability.CHECK_NUMBERED : Ability.CHECK_CHANGED_REFERENCES,
                    part,
                    "it is left to the application");
        }
    }

    private void find(ForeignKey key, boolean undeferred, List<Shortfall> found) {
        Part part = table.part(Kind.FOREIGN_KEY, key.name());
        ReferenceAction deleting = dialect.deleting(key.onDelete());
        if (deleting != key.onDelete()) {
            add(found, ability(key.onDelete(), false), part, "on delete it is " + deleting.sql());
        }
        ReferenceAction updating = dialect.updating(key.onUpdate());
        if (updating != key.onUpdate()) {
            add(found, ability(key.onUpdate(), true), part, "on update it is " + updating.sql());
        }
        if (key.wholeOrEmpty() && !dialect.can(Ability.CHECK_CHANGED_REFERENCES) && ReferenceClauses.changes(key)) {
            add(found, Ability.CHECK_CHANGED_REFERENCES, part, "that it is whole or empty is left to the application");
        }
        if (!ReferenceClauses.allowed(key, table, dialect).equals(key)) {
            add(found, Ability.SET_NULL_OF_REQUIRED, part, "it is " + ReferenceAction.NO_ACTION.sql());
        }
        if (undeferred) {
            found.add(undeferred(table, key, dialect));
        }
    }

    static Shortfall undeferred(Table table, ForeignKey key, Dialect dialect) {
        return new Shortfall(
                dialect.label(),
                Ability.DEFERRED_CONSTRAINTS,
                table.part(Kind.FOREIGN_KEY, key.name()),
                "rows that must refer to each other in a circle go in only while it is not there");
    }

    private static Ability ability(ReferenceAction action, boolean onUpdate) {
        return switch (action) {
            case RESTRICT -> Ability.RESTRICT;
            case SET_DEFAULT -> Ability.SET_DEFAULT;
            case SET_NULL -> Ability.SET_NULL_ON_UPDATE;
            default -> onUpdate ? Ability.CASCADE_ON_UPDATE : Ability.ADD_CONSTRAINTS;
        };
    }
}
