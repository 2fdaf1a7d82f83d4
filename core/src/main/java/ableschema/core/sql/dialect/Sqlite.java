package ableschema.core.sql.dialect;

import ableschema.core.schema.Column;
import ableschema.core.schema.Identity;
import ableschema.core.schema.Part;
import ableschema.core.schema.Table;
import ableschema.core.sql.dialect.TypeForm.Kind;
import ableschema.core.types.DataType;
import ableschema.core.types.DataType.Simple;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Pattern;

/**
 * SQLite 3.50. It numbers only the one column of a primary key, takes all constraints with the table, and puts any value into
 * a column unless a check or a strict table holds it.
 */
final class Sqlite extends Dialect {

    /** A column with how its texts are compared. */
    private static final Pattern COMPARED = Pattern.compile("(?:\\w+|\"(?:[^\"]|\"\")+\") collate \\w+");

    private static final String TYPES = "types";

    /** Version 4 of RFC 9562, from random bytes. */
    private static final String NEW_UUID = "(lower(hex(randomblob(4)) || '-' || hex(randomblob(2)) || '-4'"
            + " || substr(hex(randomblob(2)), 2) || '-' || substr('89ab', abs(random() % 4) + 1, 1)"
            + " || substr(hex(randomblob(2)), 2) || '-' || hex(randomblob(6))))";

    private static final Traits TRAITS = Traits.STANDARD
            .namesIn(NameSpace.of(Set.of(), Set.of(), Set.of(NameSpace.RELATIONS)))
            .named("sqlite", "SQLite")
            .folding(Traits.Folding.AS_WRITTEN)
            .namesUpTo(0)
            .reserving(ReservedWords.SQLITE)
            .withSystemColumns("rowid", "oid", "_rowid_")
            .with(Kind.LONG_TEXT, TypeForm.of("text"))
            // integer throughout, as only that word makes a column the row's own number; all widths are alike
            .with(Kind.SMALL, TypeForm.of("integer", 8))
            .with(Kind.WHOLE, TypeForm.of("integer", 8))
            .with(Kind.BIG, TypeForm.of("integer", 8))
            .with(Kind.YEAR, TypeForm.of("integer", 8))
            .with(Kind.JSON, TypeForm.of("text"))
            .with(Kind.BYTES, TypeForm.of("blob"))
            .calling(StandardFunction.NEW_UUID, NEW_UUID)
            .calling(StandardFunction.NOW_ANYWHERE, "(strftime('%Y-%m-%d %H:%M:%S+00:00', 'now'))")
            .calling(StandardFunction.YEAR_NOW, "(cast(strftime('%Y', 'now') as integer))")
            .calling(StandardFunction.LENGTH, "length({0})")
            .calling(StandardFunction.SUBSTRING, "substr({0}, {1}, {2})")
            .calling(StandardFunction.SUBSTRING_TO_END, "substr({0}, {1})")
            .calling(StandardFunction.YEAR, "cast(strftime('%Y', {0}) as integer)")
            .without(
                    Ability.ADD_CONSTRAINTS,
                    Ability.EXACT_DECIMALS,
                    Ability.COMPUTED_KEYS,
                    Ability.DESCRIPTIONS,
                    Ability.NAMESPACES,
                    Ability.USERS,
                    Ability.NUMBER_ANY_COLUMN,
                    Ability.NUMBER_SEVERAL,
                    Ability.NUMBERS_ALONE,
                    Ability.NUMBERING_STEP,
                    Ability.RESTART_NUMBERING,
                    Ability.MATCH_FULL,
                    Ability.DOMAINS)
            .withOptions(
                    DialectOption.rawType(),
                    DialectOption.virtual(),
                    DialectOption.keyOrder(),
                    DialectOption.deferrableReference(),
                    DialectOption.conflict(Part.Kind.UNIQUE, DialectOption.CONFLICT),
                    DialectOption.conflict(Part.Kind.PRIMARY_KEY, DialectOption.KEY_CONFLICT),
                    DialectOption.ofColumn("collation", "COLLATE {}"),
                    DialectOption.flag(Part.Kind.COLUMN, DialectOption.UNTYPED, ""),
                    DialectOption.flag(Part.Kind.COLUMN, "rowid", ""),
                    DialectOption.flag(Part.Kind.TABLE, "strict", "STRICT"),
                    DialectOption.flag(Part.Kind.TABLE, "without_rowid", "WITHOUT ROWID"));

    /** How values are held to the types of their columns. */
    private enum Holding {
        CHECKS,
        STRICT,
        LOOSE
    }

    /** The other ways, each once, so that what is written in one can be told from the other by its instance. */
    private static final class Held {
        static final Sqlite STRICT = new Sqlite(Holding.STRICT);
        static final Sqlite LOOSE = new Sqlite(Holding.LOOSE);
    }

    private final Holding types;

    Sqlite() {
        this(Holding.CHECKS);
    }

    private Sqlite(Holding types) {
        super(types == Holding.LOOSE ? TRAITS.without(Ability.HELD_TYPES, Ability.TEXT_LENGTHS) : TRAITS);
        this.types = types;
    }

    /** Its checks refuse what would be rounded; without them it keeps all places. */
    @Override
    public boolean roundsDecimals() {
        return false;
    }

    @Override
    public boolean usesUpRefusedNumbers() {
        return false;
    }

    @Override
    protected Map<String, List<String>> ownChoices() {
        return Map.of(TYPES, List.of("checks", "strict", "loose"));
    }

    @Override
    protected Dialect choosingOwn(Map<String, String> own) {
        return switch (own.getOrDefault(TYPES, "checks")) {
            case "strict" -> Held.STRICT;
            case "loose" -> Held.LOOSE;
            default -> this;
        };
    }

    /** A key that is called integer numbers itself, which is meant only where it is counted. */
    @Override
    public String columnType(Table table, Column column, DataType base) {
        boolean whole = base instanceof DataType.Whole || base == Simple.YEAR;
        if (whole && table.isKey(column) && column.identity().isEmpty()) {
            return "int";
        }
        boolean strict = types == Holding.STRICT || has(table.options(), "strict");
        return strict ? strictType(base) : super.columnType(table, column, base);
    }

    private static String strictType(DataType base) {
        if (base instanceof DataType.Whole || base == Simple.YEAR || base == Simple.YES_NO) {
            return "integer";
        }
        if (base instanceof DataType.Decimal) {
            return "any"; // a real would not keep all digits
        }
        return base == Simple.REAL ? "real" : base instanceof DataType.Bytes ? "blob" : "text";
    }

    @Override
    public String tableEnd(Table table) {
        boolean strict = types == Holding.STRICT || has(table.options(), "strict");
        boolean withoutRowid = has(table.options(), "without_rowid");
        var ends = new ArrayList<String>();
        if (strict) {
            ends.add("STRICT");
        }
        if (withoutRowid) {
            ends.add("WITHOUT ROWID");
        }
        return ends.isEmpty() ? "" : " " + String.join(", ", ends);
    }

    @Override
    public List<String> holding(DataType base, String column, boolean nullable) {
        return types == Holding.LOOSE
                ? super.holding(base, column, nullable)
                : base.accept(new SqliteChecks(this, column, nullable));
    }

    @Override
    public List<String> holdingComputed(DataType base, String column) {
        return types == Holding.LOOSE
                ? super.holdingComputed(base, column)
                : new SqliteChecks(this, column, true).ofComputed(base);
    }

    List<String> usualHolding(DataType base, String column) {
        return super.holding(base, column, true);
    }

    @Override
    protected String bytes(String digits) {
        return "x'" + digits + "'";
    }

    @Override
    public String identity(Identity identity, TypeForm form) {
        return "PRIMARY KEY AUTOINCREMENT";
    }

    /** The number of the row itself may be given again once it is free. */
    @Override
    public String identity(Column column, Identity identity, TypeForm form) {
        return has(column.options(), "rowid") ? "PRIMARY KEY" : identity(identity, form);
    }

    @Override
    public boolean numbers(Table table, Column column) {
        return table.isKey(column);
    }

    /** The sequence table holds the last number that was given. */
    @Override
    public Optional<String> startNumbering(Table table, String name, Identity identity) {
        return identity.start() == 1
                ? Optional.empty()
                : Optional.of("INSERT INTO sqlite_sequence (name, seq) VALUES (" + text(table.name()) + ", "
                        + (identity.start() - 1) + ")");
    }

    @Override
    public boolean declaresKeyWithIdentity() {
        return true;
    }

    @Override
    public Optional<String> foundType(Column column) {
        return has(column.options(), DialectOption.UNTYPED) ? Optional.of("") : super.foundType(column);
    }

    @Override
    public String computed(String type, String expression, DataType base, boolean stored) {
        // others round to the digits of the column by themselves
        String rounded = base instanceof DataType.Decimal decimal
                ? "round(" + expression + ", " + decimal.scale() + ")"
                : expression;
        return super.computed(type, rounded, base, stored) + (stored ? " STORED" : " VIRTUAL");
    }

    /** LIKE does not look at letter case here, and GLOB does. */
    @Override
    protected String like(String pattern) {
        var glob = new StringBuilder();
        pattern.chars()
                .forEach(sign -> glob.append(
                        switch (sign) {
                            case '%' -> "*";
                            case '_' -> "?";
                            case '*', '?', '[' -> "[" + (char) sign + "]";
                            default -> String.valueOf((char) sign);
                        }));
        return "GLOB " + text(glob.toString());
    }

    /** A default that is no constant stands in brackets. */
    @Override
    protected String computedDefault(String sql, StandardFunction function, DataType base) {
        boolean bare = sql.startsWith("(") || sql.startsWith("current_");
        return bare ? sql : "(" + sql + ")";
    }

    @Override
    public Optional<String> dropTable(String name) {
        return Optional.of("DROP TABLE IF EXISTS " + name);
    }

    @Override
    public List<String> settings() {
        return List.of("PRAGMA foreign_keys = ON");
    }

    @Override
    public String begin() {
        return "BEGIN";
    }

    @Override
    protected boolean takesCallsAsDefaults() {
        return false;
    }

    /** How a part is compared stands behind it, outside its brackets. */
    @Override
    public String indexed(String expression) {
        return COMPARED.matcher(expression).matches() ? expression : super.indexed(expression);
    }
}
