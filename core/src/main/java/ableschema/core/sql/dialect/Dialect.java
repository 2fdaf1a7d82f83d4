package ableschema.core.sql.dialect;

import static java.util.stream.Collectors.joining;

import ableschema.core.carried.Carried;
import ableschema.core.expression.Expression;
import ableschema.core.schema.Column;
import ableschema.core.schema.DomainType;
import ableschema.core.schema.Identity;
import ableschema.core.schema.Part;
import ableschema.core.schema.Table;
import ableschema.core.sql.dialect.TypeForm.Kind;
import ableschema.core.types.DataType;
import ableschema.core.types.ReferenceAction;
import ableschema.core.types.TypedValue;
import java.math.BigInteger;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.Function;

/**
 * The SQL of one database over against standard SQL: its {@link Traits} are data, and the few clauses that differ in form are
 * methods that it overrides. What stands here is standard SQL.
 */
public abstract class Dialect implements Cloneable {

    private final Traits traits;
    final OwnOptions own;
    private final Map<ScriptStyle, Dialect> styled = new ConcurrentHashMap<>();
    private ScriptStyle style = ScriptStyle.USUAL;

    protected Dialect(Traits traits) {
        this.traits = traits;
        this.own = new OwnOptions(traits);
    }

    public final Traits traits() {
        return traits;
    }

    /** The name on the command line and in files, such as {@code postgresql}. */
    public final String name() {
        return traits.name();
    }

    /** The name for people, such as PostgreSQL. */
    public final String label() {
        return traits.label();
    }

    public final boolean can(Ability ability) {
        return traits.can(ability);
    }

    /** The value of an option of this dialect, by its own name, such as {@code engine} for {@code mysql.engine}. */
    public final Optional<String> option(Map<String, String> options, String name) {
        return own.value(options, name);
    }

    /** Whether an option of this dialect is said, by its own name. */
    public final boolean has(Map<String, String> options, String name) {
        return option(options, name).isPresent();
    }

    /** The choices that a house may make, by their full names such as {@code sqlite.types}, with what can be chosen; the first is usual. */
    public final Map<String, List<String>> choices() {
        var choices = new LinkedHashMap<String, List<String>>();
        ownChoices().forEach((name, values) -> choices.put(name() + "." + name, values));
        choices.putAll(ScriptStyle.choices());
        return choices;
    }

    /** What this dialect alone leaves open. */
    protected Map<String, List<String>> ownChoices() {
        return Map.of();
    }

    /** This dialect as chosen; choices of other dialects are passed over. */
    public final Dialect choosing(Map<String, String> chosen) {
        Dialect held = choosingOwn(own.of(chosen));
        ScriptStyle wanted = ScriptStyle.of(chosen);
        return wanted.equals(held.style) ? held : held.styled.computeIfAbsent(wanted, held::in);
    }

    /** @param own choices of this dialect, by their own names */
    protected Dialect choosingOwn(Map<String, String> own) {
        return this;
    }

    private Dialect in(ScriptStyle wanted) {
        try {
            var other = (Dialect) clone();
            other.style = wanted;
            return other;
        } catch (CloneNotSupportedException e) {
            throw new IllegalStateException("each dialect can be cloned", e);
        }
    }

    /** How the house wants its scripts. */
    public final ScriptStyle style() {
        return style;
    }

    // Names

    /** An identifier, between quotes where it needs them. */
    public final String quoted(String identifier) {
        boolean plain = isPlain(identifier);
        if (plain && !style.quotesAll() && !traits.reserves(identifier)) {
            return identifier;
        }
        // between quotes it is what the database makes of it without them, so that others find it without
        boolean capital = plain && traits.folding() == Traits.Folding.UPPER;
        return delimited(capital ? identifier.toUpperCase(Locale.ROOT) : spelled(identifier));
    }

    /** A name in the characters that this database takes in names. */
    public String spelled(String identifier) {
        return identifier;
    }

    private static boolean isPlain(String identifier) {
        if (identifier.isEmpty() || Character.isDigit(identifier.charAt(0))) {
            return false;
        }
        for (int i = 0; i < identifier.length(); i++) {
            char c = identifier.charAt(i);
            if (!(c >= 'a' && c <= 'z' || c >= '0' && c <= '9' || c == '_' && !(i == 0 && identifier.length() == 1))) {
                return false;
            }
        }
        return true;
    }

    /** An identifier between quotes. */
    protected String delimited(String identifier) {
        String closing = String.valueOf(traits.closingQuote());
        return traits.openingQuote() + identifier.replace(closing, closing + closing) + closing;
    }

    /** The name of a column, quoted; one that the database has itself gets an underscore behind it. */
    public final String column(String name) {
        return quoted(traits.isSystemColumn(name) ? name + "_" : name);
    }

    /** Columns in brackets. */
    public final String listed(List<String> columns) {
        var text = new StringBuilder("(");
        for (String column : columns) {
            text.append(text.length() > 1 ? ", " : "").append(column(column));
        }
        return text.append(')').toString();
    }

    public final boolean reserves(String word) {
        return traits.reserves(word);
    }

    // Types

    /** The name of a type, as a column of it is defined; {@code undecided} for nothing said, a domain by its name. */
    public final String type(DataType type) {
        return type.accept(new TypeWriter(this));
    }

    /** The kind of type that values of a type are kept as here. */
    final Kind kind(DataType type) {
        return type.accept(new TypeKinds(traits));
    }

    /** How this dialect keeps values of a type; its bytes, range and limit. */
    public final TypeForm form(DataType type) {
        return traits.type(kind(type));
    }

    /** What a type says that this dialect cannot keep, in words; empty where it keeps all of it. */
    public final Optional<String> typeShortfall(DataType type) {
        return type.accept(new TypeLimits(this));
    }

    /** Whether each foreign key gets an index by itself, where none leads with its columns. */
    public boolean indexesForeignKeys() {
        return false;
    }

    /** Whether a number with more decimal places than its type has is rounded, and not refused. */
    public boolean roundsDecimals() {
        return true;
    }

    /** Whether a row that is refused uses up the number that it was to get, so that the next one leaves a gap. */
    public boolean usesUpRefusedNumbers() {
        return true;
    }

    /** The type of a column for people: as it was found, where that is held fast, else as it is written for its type. */
    public final String shownType(Column column) {
        return option(column.options(), DialectOption.TYPE).orElseGet(() -> type(column.type()));
    }

    /** The type of a column as it was found, which may be none; empty where it follows from what the column holds. */
    public Optional<String> foundType(Column column) {
        return option(column.options(), DialectOption.TYPE);
    }

    /** The type of a column as its table is defined: as it was found, or as its keys ask for. */
    public final String definedType(Table table, Column column, DataType base) {
        return foundType(column).orElseGet(() -> columnType(table, column, base));
    }

    /** The type of a column in its table, which may depend on the keys that it is in. */
    public String columnType(Table table, Column column, DataType base) {
        return type(column.type());
    }

    /**
     * Conditions that hold the values of a column to its type where the type itself does not.
     *
     * @param column   the name of the column, quoted
     * @param nullable whether it may be empty, which each condition then lets pass
     */
    public List<String> holding(DataType base, String column, boolean nullable) {
        if (base instanceof DataType.OneOf list
                && !traits.type(Kind.LIST).pattern().contains("{values}")) {
            return List.of(
                    column + " IN (" + list.values().stream().map(this::text).collect(joining(", ")) + ")");
        }
        return List.of();
    }

    /** Conditions that hold what is computed to the type of its column, in which it is as it comes out. */
    public List<String> holdingComputed(DataType base, String column) {
        return base instanceof DataType.OneOf ? holding(base, column, true) : List.of();
    }

    // Values

    /** A value as a literal; an empty Optional gives NULL. A value that does not fit its type stands as a text. */
    public final String literal(DataType type, Optional<String> value) {
        if (value.isEmpty()) {
            return "NULL";
        }
        TypedValue read = TypedValue.of(type, value.get());
        return read.fits() ? typed(type, read.canonical()) : text(value.get());
    }

    /** A literal of a value in its one form. */
    protected String typed(DataType type, String canonical) {
        if (type == DataType.Simple.YES_NO) {
            return truth(canonical.equals("yes"));
        }
        if (type instanceof DataType.Bytes) {
            return bytes(canonical);
        }
        return type.isNumeric() ? canonical : text(canonical);
    }

    /** A text literal. */
    public String text(String text) {
        return "'" + text.replace("'", "''") + "'";
    }

    protected String truth(boolean yes) {
        return yes ? "TRUE" : "FALSE";
    }

    /** @param digits in pairs, such as {@code 0aff} */
    protected String bytes(String digits) {
        return "X'" + digits + "'";
    }

    // Expressions

    /**
     * An expression with its functions and literals as this database has them.
     *
     * @param type the type of a column, domains resolved
     */
    public final String written(Expression<String> expression, Function<String, DataType> type) {
        return expression.isStandard()
                ? new Translation(this, type, this::column).of(expression)
                : expression.written(this::column);
    }

    /** Whether an expression can be written here: standard SQL, or this dialect's own. */
    public final boolean understands(Expression<String> expression) {
        return expression.isStandard() || expression.dialect().equals(name()) || traits.isUnderstood(expression);
    }

    /** Whether a statement that is carried along is written in this dialect. */
    public boolean writes(Carried carried) {
        return carried.dialect().equals(name());
    }

    /** Whether a call may stand behind DEFAULT without brackets. */
    protected boolean takesCallsAsDefaults() {
        return true;
    }

    /** A default as it stands behind DEFAULT; empty where it is no value of the column's type. */
    public final Optional<String> defaultValue(Expression<String> expression, DataType base) {
        if (!expression.isStandard()) {
            return Optional.of(Defaults.bracketed(expression.written(this::column), takesCallsAsDefaults()));
        }
        Optional<StandardFunction> function = Defaults.function(expression);
        if (function.isPresent()) {
            return function.get()
                    .fitting(base)
                    .map(fitting -> computedDefault(traits.template(fitting), fitting, base));
        }
        Optional<String> literal = Defaults.literal(expression);
        if (literal.isPresent()) {
            return TypedValue.of(base, literal.get()).fits()
                    ? Optional.of(constantDefault(literal(base, literal), base))
                    : Optional.empty();
        }
        return Optional.of(Defaults.bracketed(
                computedDefault(written(expression, column -> base), StandardFunction.CONCATENATION, base),
                takesCallsAsDefaults()));
    }

    protected String constantDefault(String literal, DataType base) {
        return literal;
    }

    /** @param function what is called; another computation counts as a concatenation */
    protected String computedDefault(String sql, StandardFunction function, DataType base) {
        return sql;
    }

    /** The comparison with a pattern of standard SQL, letter case held wherever the database can. */
    protected String like(String pattern) {
        return "LIKE " + text(pattern);
    }

    // Clauses

    /** The clause that has a column numbered by the database. */
    public String identity(Identity identity, TypeForm form) {
        var options = new ArrayList<String>();
        if (identity.start() != 1) {
            options.add("START WITH " + identity.start());
        }
        if (identity.step() != 1) {
            options.add("INCREMENT BY " + identity.step());
        }
        if (identity.isRising() && identity.start() < 1) {
            options.add("MINVALUE " + identity.start());
        }
        if (!identity.isRising() && identity.start() > -1) {
            options.add("MAXVALUE " + identity.start());
        }
        boolean alone = identity.alone() && can(Ability.NUMBERS_ALONE);
        return "GENERATED " + (alone ? "ALWAYS" : "BY DEFAULT") + " AS IDENTITY"
                + (options.isEmpty() ? "" : " (" + String.join(" ", options) + ")");
    }

    /** The same for a column that may say more of it. */
    public String identity(Column column, Identity identity, TypeForm form) {
        return identity(identity, form);
    }

    /** The type of a numbered column, where the type alone says that it is numbered. */
    public String numberedType(Column column, String type) {
        return type;
    }

    /** What an INSERT says behind its columns where it gives a number that only the database gives; empty where a setting says it. */
    public String givingNumbers() {
        return " OVERRIDING SYSTEM VALUE";
    }

    /** Whether this column of a table can be numbered at all. */
    public boolean numbers(Table table, Column column) {
        return true;
    }

    /** A statement that has the numbering of a new table begin at its start, where the definition does not say it. */
    public Optional<String> startNumbering(Table table, String name, Identity identity) {
        return Optional.empty();
    }

    /** Whether an identity column is declared together with the primary key that it alone makes up. */
    public boolean declaresKeyWithIdentity() {
        return false;
    }

    /**
     * A computed column, behind its name.
     *
     * @param base what it holds, without a domain
     */
    public String computed(String type, String expression, DataType base, boolean stored) {
        return type + " GENERATED ALWAYS AS (" + expression + ")";
    }

    /** Whether a computed column can be said to be never empty. */
    public boolean takesComputedNotNull() {
        return true;
    }

    /** What stands behind the closing bracket of a table. */
    public String tableEnd(Table table) {
        return own.clauses(Part.Kind.TABLE, table.options());
    }

    /** What stands at the end of a column's definition. */
    public String columnEnd(Column column) {
        return own.clauses(Part.Kind.COLUMN, column.options());
    }

    /** What a constraint says of columns of which no two rows hold the same values. */
    public String unique(Table.UniqueConstraint unique) {
        return "UNIQUE " + listed(unique.columns()) + own.clauses(Part.Kind.UNIQUE, unique.options());
    }

    /** What stands behind the columns of a primary key. */
    public String keyEnd(Table table) {
        return own.clauses(Part.Kind.PRIMARY_KEY, table.options());
    }

    /** How many bytes a character of a text takes at most. */
    public int bytesOfCharacter(Table table, Column column) {
        return 4;
    }

    /** What this dialect alone says of a check or a foreign key, behind it. */
    public final String ruleEnd(Part.Kind of, Map<String, String> options) {
        return own.clauses(of, options);
    }

    /** What stands behind the columns of an index. */
    public String indexEnd(Table.TableIndex index) {
        return own.clauses(Part.Kind.INDEX, index.options());
    }

    /** What is made of columns, as it stands among the parts of an index. */
    public String indexed(String expression) {
        return "(" + expression + ")";
    }

    /** Whether an index can be over a column, or what is made of some. */
    public boolean indexes(Expression<String> value) {
        return value.asColumn().isPresent() || can(Ability.MADE_INDEXES) && understands(value);
    }

    /** Whether an index can be over the rows for which a condition holds. */
    public boolean takesIndexOver(Expression<String> condition) {
        return can(Ability.PARTIAL_INDEXES) && understands(condition);
    }

    /** What stands before INDEX, as in {@code FULLTEXT }; empty for nothing. */
    public String indexKind(Table.TableIndex index) {
        return option(index.options(), DialectOption.KIND)
                .map(kind -> kind.toUpperCase(Locale.ROOT) + " ")
                .orElse("");
    }

    /** What stands between ON and the columns of an index, as in {@code USING gin}. */
    public String indexMethod(Table.TableIndex index) {
        return "";
    }

    /** Whether descriptions of tables and columns stand in the definition of the table. */
    public boolean describesInside() {
        return false;
    }

    /** A statement that describes a table, or one of its columns. */
    public String description(Table table, Optional<Column> column, String name, String text) {
        return column.map(each -> "COMMENT ON COLUMN " + name + "." + column(each.name()))
                        .orElse("COMMENT ON TABLE " + name)
                + " IS " + text(text);
    }

    /** What more is said of a numbered column once its table is there, as a statement of its own. */
    public Optional<String> ofNumbered(String table, Column column) {
        return Optional.empty();
    }

    /** A statement that makes a schema where there is none. */
    public String namespace(String name) {
        return "CREATE SCHEMA " + quoted(name);
    }

    /** What stands before the name of a table that is made only where there is none; empty where that cannot be said. */
    public Optional<String> tableIfMissing() {
        return can(Ability.SKIP_EXISTING) ? Optional.of("IF NOT EXISTS ") : Optional.empty();
    }

    /** The same for an index. */
    public Optional<String> indexIfMissing() {
        return tableIfMissing();
    }

    /** A statement that drops a table if it is there, whatever refers to it; empty where that cannot be said. */
    public Optional<String> dropTable(String name) {
        return can(Ability.DROP_EXISTING) ? Optional.of("DROP TABLE IF EXISTS " + name + " CASCADE") : Optional.empty();
    }

    /** A statement that takes away a foreign key if it is there, where a table cannot be dropped with it; empty where it can. */
    public Optional<String> dropReference(String table, String name) {
        return Optional.empty();
    }

    /** A statement that drops a named type if it is there. */
    public String dropDomain(DomainType domain, String name) {
        return "DROP DOMAIN IF EXISTS " + name + " CASCADE";
    }

    /** What must stand before tables are dropped that refer to each other, and behind that. */
    public Optional<Map.Entry<String, String>> aroundDrops() {
        return Optional.empty();
    }

    /** A statement that names a type. */
    public String domain(DomainType domain, String name) {
        return new DomainWriter(this, domain).create(name);
    }

    /** The primary key as it stands beside its one column. */
    public String keyBeside(String name) {
        return "CONSTRAINT " + quoted(name) + " PRIMARY KEY";
    }

    /** A statement that makes something which has no words of its own for being made only where there is none. */
    public String unlessThere(String sql) {
        return sql;
    }

    /** What stands in place of an action on delete that this database does not have. */
    public final ReferenceAction deleting(ReferenceAction wanted) {
        boolean missing = wanted == ReferenceAction.RESTRICT && !can(Ability.RESTRICT)
                || wanted == ReferenceAction.SET_DEFAULT && !can(Ability.SET_DEFAULT);
        return missing ? ReferenceAction.NO_ACTION : wanted;
    }

    /** What stands in place of an action on update that this database does not have. */
    public final ReferenceAction updating(ReferenceAction wanted) {
        boolean missing = wanted == ReferenceAction.CASCADE && !can(Ability.CASCADE_ON_UPDATE)
                || wanted == ReferenceAction.SET_NULL && !can(Ability.SET_NULL_ON_UPDATE)
                || wanted == ReferenceAction.SET_DEFAULT
                        && !(can(Ability.SET_DEFAULT) && can(Ability.SET_NULL_ON_UPDATE));
        return missing ? ReferenceAction.NO_ACTION : deleting(wanted);
    }

    // Scripts

    /** Statements that a script begins with, before its transaction. */
    public List<String> settings() {
        return List.of();
    }

    /** A statement behind which names without a schema are in this one, or in the usual one; empty where there is none such. */
    public Optional<String> entering(String schema) {
        return Optional.empty();
    }

    /** What must be said before routines are made of which the tables are not there yet. */
    public List<String> beforeRoutines() {
        return List.of();
    }

    /** The statements that open and close a transaction. */
    public String begin() {
        return "START TRANSACTION";
    }

    public String commit() {
        return "COMMIT";
    }

    /** The statement after which the numbering of a column goes on with {@code next}; the name of the table is quoted already. */
    public String restart(Column column, String table, BigInteger next, long step) {
        return "ALTER TABLE " + table + " ALTER COLUMN " + column(column.name()) + " RESTART WITH " + next;
    }

    /** Statements around the rows of a table whose numbers are given. */
    public Optional<String> beforeGivenNumbers(String table) {
        return Optional.empty();
    }

    public Optional<String> afterGivenNumbers(String table) {
        return Optional.empty();
    }

    @Override
    public final String toString() {
        return label();
    }
}
