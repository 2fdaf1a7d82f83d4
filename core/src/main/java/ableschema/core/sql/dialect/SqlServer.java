package ableschema.core.sql.dialect;

import ableschema.core.carried.Carried;
import ableschema.core.expression.Expression;
import ableschema.core.expression.Token;
import ableschema.core.schema.Column;
import ableschema.core.schema.Identity;
import ableschema.core.schema.Part;
import ableschema.core.schema.Table;
import ableschema.core.sql.dialect.TypeForm.Kind;
import ableschema.core.types.DataType;
import ableschema.core.types.DataType.Simple;
import java.math.BigInteger;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/** SQL Server 2022. */
final class SqlServer extends Dialect {

    /** The longest text that a key takes: 900 bytes of two-byte characters. */
    private static final int KEYED_TEXT = 450;

    private static final Traits TRAITS = Traits.STANDARD
            .namesIn(NameSpace.of(
                    Set.of(NameSpace.RELATIONS, NameSpace.TABLE), Set.of(NameSpace.RELATIONS), Set.of(NameSpace.TABLE)))
            .named("sqlserver", "SQL Server")
            .quoting('[', ']')
            .folding(Traits.Folding.AS_WRITTEN)
            .namesUpTo(128)
            .granting("{rights}SCHEMA::{schema}")
            .making(Making.Apart.GO, "OR ALTER", Carried.Kind.VIEW, Carried.Kind.ROUTINE, Carried.Kind.TRIGGER)
            .reserving(ReservedWords.SQL_SERVER)
            .comparing(Traits.TextComparison.NO_CASE)
            .holdingEmpties(Traits.Empties.ONE)
            .with(Kind.TEXT, TypeForm.of("nvarchar({n})").upTo(4000))
            .with(Kind.LONG_TEXT, TypeForm.of("nvarchar(max)"))
            .with(Kind.WHOLE, TypeForm.of("int", 4))
            .with(Kind.DECIMAL, TypeForm.of("decimal({p},{s})").upTo(38))
            .with(Kind.REAL, TypeForm.of("float", 8))
            .with(Kind.YES_NO, TypeForm.of("bit", 1))
            .with(Kind.DATE, TypeForm.of("date", 3))
            .with(Kind.TIME, TypeForm.of("time(0)", 3))
            .with(Kind.MOMENT, TypeForm.of("datetime2(0)", 6))
            .with(Kind.MOMENT_ANYWHERE, TypeForm.of("datetimeoffset(0)", 8))
            .with(Kind.UUID, TypeForm.of("uniqueidentifier", 16))
            .with(Kind.JSON, TypeForm.of("nvarchar(max)"))
            .with(Kind.BYTES, TypeForm.of("varbinary({n})").upTo(8000))
            .with(Kind.LONG_BYTES, TypeForm.of("varbinary(max)"))
            .with(Kind.LIST, TypeForm.of("nvarchar({n})").upTo(4000))
            .calling(StandardFunction.NOW, "sysdatetime()")
            .calling(StandardFunction.NOW_ANYWHERE, "sysdatetimeoffset()")
            .calling(StandardFunction.TODAY, "cast(sysdatetime() as date)")
            .calling(StandardFunction.TIME_NOW, "cast(sysdatetime() as time(0))")
            .calling(StandardFunction.YEAR_NOW, "year(sysdatetime())")
            .calling(StandardFunction.NEW_UUID, "newid()")
            // len leaves spaces at the end out of the count
            .calling(StandardFunction.LENGTH, "(len({0} + N'.') - 1)")
            .calling(StandardFunction.SUBSTRING, "substring({0}, {1}, {2})")
            .calling(StandardFunction.SUBSTRING_TO_END, "substring({0}, {1}, len({0} + N'.'))")
            .calling(StandardFunction.YEAR, "year({0})")
            .calling(StandardFunction.CONCATENATION, "{0} + {1}")
            .without(
                    Ability.DOMAINS,
                    Ability.NUMBER_SEVERAL,
                    Ability.DEFERRED_CONSTRAINTS,
                    Ability.SKIP_EXISTING,
                    Ability.MATCH_FULL,
                    Ability.RESTRICT,
                    Ability.SEVERAL_CASCADES,
                    Ability.MANY_EMPTIES_IN_UNIQUE,
                    Ability.MADE_INDEXES,
                    Ability.SET_NULL_OF_REQUIRED,
                    Ability.COMPUTED_FROM_COMPUTED,
                    Ability.LONG_TEXT_IN_KEYS,
                    Ability.LONG_BYTES_IN_KEYS,
                    Ability.JSON_IN_KEYS)
            .withOptions(
                    DialectOption.rawType(),
                    DialectOption.present(),
                    DialectOption.defaultName(),
                    DialectOption.include(Part.Kind.INDEX),
                    DialectOption.empties(Part.Kind.UNIQUE),
                    DialectOption.empties(Part.Kind.INDEX),
                    DialectOption.virtual(),
                    DialectOption.keyOrder(),
                    DialectOption.ofTable("filegroup", "ON [{}]"),
                    DialectOption.indexKind("clustered"),
                    DialectOption.ofColumn("collation", "COLLATE {}"),
                    DialectOption.flag(Part.Kind.COLUMN, "sparse", "SPARSE"),
                    DialectOption.flag(Part.Kind.COLUMN, "rowguidcol", "ROWGUIDCOL"));

    /** What the condition of an index may not hold here. */
    private static final Set<String> NOT_IN_FILTERS = Set.of("or", "not", "between", "(");

    SqlServer() {
        super(TRAITS);
    }

    /** Comparisons of one column with a value, joined by AND; no function, no column with another. */
    @Override
    public boolean takesIndexOver(Expression<String> condition) {
        List<Token<String>> tokens = Token.of(condition).stream()
                .filter(token -> token.kind() != Token.Kind.SPACE)
                .toList();
        for (int i = 0; i < tokens.size(); i++) {
            Token<String> token = tokens.get(i);
            boolean isNotNull = token.is("not") && i > 0 && tokens.get(i - 1).is("is");
            boolean inList = token.is("(") && i > 0 && tokens.get(i - 1).is("in");
            boolean secondColumn = token.kind() == Token.Kind.COLUMN
                    && i > 0
                    && !tokens.get(i - 1).is("and");
            if (secondColumn || NOT_IN_FILTERS.stream().anyMatch(token::is) && !isNotNull && !inList) {
                return false;
            }
        }
        return super.takesIndexOver(condition);
    }

    @Override
    public String columnType(Table table, Column column, DataType base) {
        return Keyed.unlimited(kind(base), table, column, base)
                .map(kind -> kind == Kind.LONG_TEXT ? "nvarchar(" + KEYED_TEXT + ")" : "varbinary(900)")
                .orElseGet(() -> super.columnType(table, column, base));
    }

    @Override
    public String text(String text) {
        return "N" + super.text(text);
    }

    @Override
    protected String typed(DataType type, String canonical) {
        boolean plain = type == Simple.DATE || type == Simple.TIME || type == Simple.MOMENT || type == Simple.UUID;
        return plain ? super.text(canonical) : super.typed(type, canonical);
    }

    @Override
    protected String truth(boolean yes) {
        return yes ? "1" : "0";
    }

    @Override
    protected String bytes(String digits) {
        return "0x" + digits;
    }

    @Override
    public List<String> holding(DataType base, String column, boolean nullable) {
        return base == Simple.JSON ? List.of("ISJSON(" + column + ") = 1") : super.holding(base, column, nullable);
    }

    @Override
    public String identity(Identity identity, TypeForm form) {
        return "IDENTITY(" + identity.start() + ", " + identity.step() + ")";
    }

    @Override
    public String computed(String type, String expression, DataType base, boolean stored) {
        // the column has the type of the expression; a text is not cast, as that would cut it in silence
        String typed = base instanceof DataType.Decimal ? "CAST(" + expression + " AS " + type + ")" : expression;
        return "AS (" + typed + ")" + (stored ? " PERSISTED" : "");
    }

    /** A schema is made in a batch of its own, which EXEC gives it. */
    @Override
    public String namespace(String name) {
        return "IF SCHEMA_ID(" + text(name) + ") IS NULL EXEC(" + text("CREATE SCHEMA " + delimited(name)) + ")";
    }

    @Override
    public String description(Table table, Optional<Column> column, String name, String text) {
        String own = table.namespace().isEmpty() ? style().schema() : table.namespace();
        String namespace = own.isEmpty() ? "dbo" : own;
        String levels = "@level0type = N'SCHEMA', @level0name = " + text(namespace) + ", @level1type = N'TABLE',"
                + " @level1name = " + text(table.name())
                + column.map(each -> ", @level2type = N'COLUMN', @level2name = " + text(each.name()))
                        .orElse("");
        return "EXEC sp_addextendedproperty @name = N'MS_Description', @value = " + text(text) + ", " + levels;
    }

    @Override
    public String begin() {
        return "BEGIN TRANSACTION";
    }

    /** A statement that fails takes the whole transaction back. */
    @Override
    public List<String> settings() {
        return List.of("SET XACT_ABORT ON");
    }

    @Override
    public Optional<String> dropReference(String table, String name) {
        return Optional.of("IF OBJECT_ID(" + text(name) + ", N'F') IS NOT NULL ALTER TABLE " + table
                + " DROP CONSTRAINT " + quoted(name));
    }

    @Override
    public Optional<String> dropTable(String name) {
        return Optional.of("DROP TABLE IF EXISTS " + name);
    }

    @Override
    public String restart(Column column, String table, BigInteger next, long step) {
        BigInteger last = next.subtract(BigInteger.valueOf(step));
        return "DBCC CHECKIDENT (" + super.text(table) + ", RESEED, " + last + ")";
    }

    /** It refuses a given number anyway, until the setting says otherwise. */
    @Override
    public String givingNumbers() {
        return "";
    }

    @Override
    public Optional<String> beforeGivenNumbers(String table) {
        return Optional.of("SET IDENTITY_INSERT " + table + " ON");
    }

    @Override
    public Optional<String> afterGivenNumbers(String table) {
        return Optional.of("SET IDENTITY_INSERT " + table + " OFF");
    }
}
