package ableschema.core.sql.dialect;

import ableschema.core.carried.Carried;
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
import java.util.UUID;
import java.util.stream.Collectors;

/** Oracle Database 19c. An empty text is an empty value here. */
final class Oracle extends Dialect {

    /** The longest text that a key takes beside others, in characters of four bytes. */
    private static final int KEYED_TEXT = 400;

    private static final String NEW_UUID = "lower(regexp_replace(rawtohex(sys_guid()),"
            + " '(.{8})(.{4})(.{4})(.{4})(.{12})', '\\1-\\2-\\3-\\4-\\5'))";

    private static final Traits TRAITS = Traits.STANDARD
            .namesIn(NameSpace.of(
                    Set.of(NameSpace.CONSTRAINTS, NameSpace.INDEXES),
                    Set.of(NameSpace.CONSTRAINTS),
                    Set.of(NameSpace.INDEXES)))
            .named("oracle", "Oracle")
            .namesUpToBytes(128)
            .keysUpTo(6398)
            .making(
                    Making.Apart.SLASH,
                    "OR REPLACE",
                    Carried.Kind.VIEW,
                    Carried.Kind.ROUTINE,
                    Carried.Kind.TRIGGER,
                    Carried.Kind.PACKAGE,
                    Carried.Kind.TYPE,
                    Carried.Kind.SYNONYM)
            .reserving(ReservedWords.ORACLE)
            .withSystemColumns("rowid", "rownum", "ora_rowscn", "level")
            .holdingEmpties(Traits.Empties.MANY_IF_ALL_EMPTY)
            .with(Kind.TEXT, TypeForm.of("varchar2({n} char)").upTo(1000))
            .with(Kind.LONG_TEXT, TypeForm.of("clob"))
            .with(Kind.SMALL, TypeForm.of("number(5)", 2))
            .with(Kind.WHOLE, TypeForm.of("number(10)", 4))
            .with(Kind.BIG, TypeForm.of("number(19)", 8))
            .with(Kind.DECIMAL, TypeForm.of("number({p},{s})").upTo(38))
            .with(Kind.REAL, TypeForm.of("binary_double", 8))
            .with(Kind.YES_NO, TypeForm.of("number(1)", 1))
            .with(Kind.YEAR, TypeForm.of("number(4)", 2))
            .with(Kind.DATE, TypeForm.of("date", 7))
            .with(Kind.TIME, TypeForm.of("varchar2(8 char)", 8))
            .with(Kind.MOMENT, TypeForm.of("timestamp(0)", 7))
            .with(Kind.MOMENT_ANYWHERE, TypeForm.of("timestamp(0) with time zone", 13))
            .with(Kind.UUID, TypeForm.of("varchar2(36 char)", 36))
            .with(Kind.JSON, TypeForm.of("clob"))
            .with(Kind.BYTES, TypeForm.of("raw({n})").upTo(2000))
            .with(Kind.LONG_BYTES, TypeForm.of("blob"))
            .with(Kind.LIST, TypeForm.of("varchar2({n} char)"))
            .calling(StandardFunction.NOW, "localtimestamp")
            .calling(StandardFunction.NOW_ANYWHERE, "systimestamp")
            .calling(StandardFunction.TODAY, "trunc(sysdate)")
            .calling(StandardFunction.TIME_NOW, "to_char(sysdate, 'HH24:MI:SS')")
            .calling(StandardFunction.YEAR_NOW, "extract(year from sysdate)")
            .calling(StandardFunction.NEW_UUID, NEW_UUID)
            .calling(StandardFunction.LENGTH, "length({0})")
            .calling(StandardFunction.SUBSTRING, "substr({0}, {1}, {2})")
            .calling(StandardFunction.SUBSTRING_TO_END, "substr({0}, {1})")
            .without(
                    Ability.DOMAINS,
                    Ability.SKIP_EXISTING,
                    Ability.DROP_EXISTING,
                    Ability.NAMESPACES,
                    Ability.NUMBER_SEVERAL,
                    Ability.NUMBERS_ALONE,
                    Ability.TRANSACTIONAL_DEFINITIONS,
                    Ability.MATCH_FULL,
                    Ability.RESTRICT,
                    Ability.CASCADE_ON_UPDATE,
                    Ability.SET_NULL_ON_UPDATE,
                    Ability.SET_DEFAULT,
                    Ability.PARTIAL_INDEXES,
                    Ability.COMPUTED_FROM_COMPUTED,
                    Ability.LONG_TEXT_IN_KEYS,
                    Ability.LONG_BYTES_IN_KEYS,
                    Ability.JSON_IN_KEYS,
                    Ability.WIDE_KEYS,
                    Ability.WIDE_UNIQUES)
            .withOptions(
                    DialectOption.rawType(),
                    DialectOption.present(),
                    DialectOption.flag(Part.Kind.COLUMN, DialectOption.ON_NULL, ""),
                    DialectOption.held(Part.Kind.CHECK, "DISABLE"),
                    DialectOption.held(Part.Kind.FOREIGN_KEY, "DISABLE"),
                    DialectOption.deferrableReference(),
                    DialectOption.deferrable(Part.Kind.UNIQUE, DialectOption.LATER),
                    DialectOption.deferrable(Part.Kind.PRIMARY_KEY, DialectOption.KEY_LATER),
                    DialectOption.ofTable("tablespace", "TABLESPACE {}"),
                    DialectOption.indexKind("bitmap"),
                    DialectOption.ofIndex("tablespace", "TABLESPACE {}"));

    Oracle() {
        super(TRAITS);
    }

    @Override
    public String columnType(Table table, Column column, DataType base) {
        return Keyed.unlimited(kind(base), table, column, base)
                .map(kind -> kind == Kind.LONG_TEXT ? "varchar2(" + KEYED_TEXT + " char)" : "raw(2000)")
                .orElseGet(() -> super.columnType(table, column, base));
    }

    @Override
    protected String typed(DataType type, String canonical) {
        if (type == Simple.DATE) {
            return "DATE " + text(canonical);
        }
        if (type == Simple.MOMENT) {
            return "TIMESTAMP " + text(canonical);
        }
        return type == Simple.MOMENT_ANYWHERE
                ? "TIMESTAMP " + text(canonical.replaceFirst("(?=[+-]\\d\\d:\\d\\d$)", " "))
                : super.typed(type, canonical);
    }

    @Override
    protected String truth(boolean yes) {
        return yes ? "1" : "0";
    }

    @Override
    protected String bytes(String digits) {
        return "hextoraw('" + digits + "')";
    }

    @Override
    public List<String> holding(DataType base, String column, boolean nullable) {
        if (!(base instanceof Simple simple)) {
            return super.holding(base, column, nullable);
        }
        return switch (simple) {
            case YES_NO -> List.of(column + " IN (0, 1)");
            case DATE -> List.of(column + " = trunc(" + column + ")");
            case TIME -> List.of("regexp_like(" + column + ", '^([01][0-9]|2[0-3])(:[0-5][0-9]){2}$')");
            case UUID -> List.of("regexp_like(" + column + ", '^[0-9a-f]{8}(-[0-9a-f]{4}){3}-[0-9a-f]{12}$')");
            case JSON -> List.of(column + " IS JSON");
            default -> List.of();
        };
    }

    @Override
    public String identity(Column column, Identity identity, TypeForm form) {
        String numbered = super.identity(column, identity, form);
        return has(column.options(), DialectOption.ON_NULL)
                ? numbered.replaceFirst("BY DEFAULT AS", "BY DEFAULT ON NULL AS")
                : numbered;
    }

    @Override
    public String computed(String type, String expression, DataType base, boolean stored) {
        return super.computed(type, expression, base, stored) + " VIRTUAL";
    }

    @Override
    public String begin() {
        return "SET TRANSACTION READ WRITE";
    }

    @Override
    public String restart(Column column, String table, BigInteger next, long step) {
        return "ALTER TABLE " + table + " MODIFY " + column(column.name())
                + " GENERATED BY DEFAULT AS IDENTITY (START WITH " + next + ")";
    }

    /** To the usual client an empty line, or a slash on a line of its own, ends a statement wherever it stands. */
    @Override
    public String description(Table table, Optional<Column> column, String name, String text) {
        return super.description(table, column, name, text.lines().collect(Collectors.joining(" ")));
    }
}
