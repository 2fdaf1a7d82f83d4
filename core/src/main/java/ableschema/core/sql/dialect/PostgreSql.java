package ableschema.core.sql.dialect;

import static java.util.stream.Collectors.joining;

import ableschema.core.carried.Carried;
import ableschema.core.schema.Column;
import ableschema.core.schema.DomainType;
import ableschema.core.schema.Identity;
import ableschema.core.schema.Part;
import ableschema.core.schema.Table;
import ableschema.core.sql.dialect.TypeForm.Kind;
import ableschema.core.types.DataType;
import java.math.BigInteger;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** PostgreSQL 17. */
final class PostgreSql extends Dialect {

    private static final Pattern COMPARED = Pattern.compile(
            "(.+?)((?: collate \"(?:[^\"]|\"\")+\")?(?: \\w+_ops)?(?:(?: desc)? nulls (?:first|last))?)");
    private static final Pattern COLUMN = Pattern.compile("\\w+|\"(?:[^\"]|\"\")+\"");

    /** Types whose columns draw their numbers from a sequence of their own. */
    private static final Map<String, String> SERIALS =
            Map.of("smallint", "smallserial", "integer", "serial", "bigint", "bigserial");

    private static final Traits TRAITS = Traits.STANDARD
            .namesIn(NameSpace.of(
                    Set.of(NameSpace.RELATIONS, NameSpace.TABLE), Set.of(NameSpace.TABLE), Set.of(NameSpace.RELATIONS)))
            .named("postgresql", "PostgreSQL")
            .folding(Traits.Folding.LOWER)
            .without(Ability.NUMBERS_BESIDE_TEXTS, Ability.COMPUTED_FROM_COMPUTED)
            .namesUpToBytes(63)
            .reserving(ReservedWords.POSTGRESQL)
            .withSystemColumns("tableoid", "xmin", "cmin", "xmax", "cmax", "ctid")
            .with(Kind.TEXT, TypeForm.of("varchar({n})").upTo(10_485_760))
            .with(Kind.LONG_TEXT, TypeForm.of("text"))
            // numeric without digits keeps any number of them
            .with(
                    Kind.DECIMAL,
                    TypeForm.of("decimal({p},{s})", TypeLimits.UNBOUNDED).upTo(1000))
            .decimalScaleUpTo(1000)
            .with(Kind.DATE, TypeForm.of("date", 4))
            .with(Kind.TIME, TypeForm.of("time", 8))
            .with(Kind.MOMENT, TypeForm.of("timestamp", 8))
            .with(Kind.MOMENT_ANYWHERE, TypeForm.of("timestamptz", 8))
            .with(Kind.UUID, TypeForm.of("uuid", 16))
            .with(Kind.JSON, TypeForm.of("jsonb"))
            .with(Kind.BYTES, TypeForm.of("bytea"))
            .with(Kind.LONG_BYTES, TypeForm.of("bytea"))
            .calling(StandardFunction.NEW_UUID, "gen_random_uuid()")
            .granting("GRANT USAGE ON SCHEMA {schema}", "{rights}ALL TABLES IN SCHEMA {schema}")
            .making(
                    Making.Apart.NOTHING,
                    "OR REPLACE",
                    Carried.Kind.VIEW,
                    Carried.Kind.ROUTINE,
                    Carried.Kind.TRIGGER,
                    Carried.Kind.RULE)
            .withOptions(
                    DialectOption.rawType(),
                    DialectOption.present(),
                    DialectOption.include(Part.Kind.INDEX),
                    DialectOption.include(Part.Kind.UNIQUE),
                    DialectOption.held(Part.Kind.CHECK, "NO INHERIT"),
                    DialectOption.deferrableReference(),
                    DialectOption.deferrable(Part.Kind.UNIQUE, DialectOption.LATER),
                    DialectOption.deferrable(Part.Kind.PRIMARY_KEY, DialectOption.KEY_LATER),
                    DialectOption.keyInclude(),
                    DialectOption.empties(Part.Kind.UNIQUE),
                    DialectOption.empties(Part.Kind.INDEX),
                    DialectOption.rawBase(),
                    DialectOption.flag(Part.Kind.COLUMN, DialectOption.SERIAL, ""),
                    DialectOption.sequence(),
                    DialectOption.flag(Part.Kind.COLUMN, DialectOption.OWNED, ""),
                    DialectOption.partition(),
                    DialectOption.storage(Part.Kind.TABLE),
                    DialectOption.storage(Part.Kind.INDEX),
                    DialectOption.ofTable("tablespace", "TABLESPACE {}"),
                    DialectOption.ofColumn("collation", "COLLATE \"{}\""),
                    DialectOption.ofIndex("method", "USING {}"),
                    DialectOption.constraint(),
                    DialectOption.flag(Part.Kind.DOMAIN, DialectOption.NOT_NULL, ""),
                    new DialectOption(Part.Kind.DOMAIN, DialectOption.COLLATION, "", Pattern.compile("[\\w.@-]+")),
                    DialectOption.flag(Part.Kind.DOMAIN, "enum", ""));

    PostgreSql() {
        super(TRAITS);
    }

    @Override
    public String begin() {
        return "BEGIN";
    }

    @Override
    public Optional<String> entering(String schema) {
        return Optional.of(
                schema.isEmpty() ? "RESET search_path" : "SET search_path TO " + quoted(schema) + ", public");
    }

    @Override
    public List<String> beforeRoutines() {
        return List.of("SET LOCAL check_function_bodies = false");
    }

    @Override
    public String namespace(String name) {
        return "CREATE SCHEMA IF NOT EXISTS " + quoted(name);
    }

    @Override
    public String unlessThere(String sql) {
        return "DO $do$ BEGIN " + sql + "; EXCEPTION WHEN duplicate_object OR duplicate_table THEN NULL; END $do$";
    }

    @Override
    public String dropDomain(DomainType domain, String name) {
        boolean enumeration = has(domain.options(), "enum");
        return enumeration ? "DROP TYPE IF EXISTS " + name + " CASCADE" : super.dropDomain(domain, name);
    }

    /** A list may be kept as a type of its own kind. */
    @Override
    public String domain(DomainType domain, String name) {
        return domain.base() instanceof DataType.OneOf list && has(domain.options(), "enum")
                ? "CREATE TYPE " + name + " AS ENUM ("
                        + list.values().stream().map(this::text).collect(joining(", ")) + ")"
                : super.domain(domain, name);
    }

    @Override
    public String computed(String type, String expression, DataType base, boolean stored) {
        return super.computed(type, expression, base, stored) + " STORED";
    }

    @Override
    protected String bytes(String digits) {
        return "'\\x" + digits + "'";
    }

    @Override
    public List<String> holding(DataType base, String column, boolean nullable) {
        return base instanceof DataType.Bytes bytes && bytes.max() > 0
                ? List.of("octet_length(" + column + ") <= " + bytes.max())
                : super.holding(base, column, nullable);
    }

    /** The method stands before the columns here. */
    @Override
    public String indexMethod(Table.TableIndex index) {
        return option(index.options(), "method")
                .map(method -> " USING " + method)
                .orElse("");
    }

    /** Whether a column draws its numbers from a sequence of its own, and not as the standard says it. */
    private boolean isSerial(Column column) {
        return has(column.options(), DialectOption.SERIAL)
                && column.identity()
                        .filter(each -> each.start() == 1 && each.step() == 1 && !each.alone())
                        .isPresent();
    }

    /** The sequence, which is not its own, from which a column draws its numbers. */
    private Optional<String> drawn(Column column) {
        return option(column.options(), DialectOption.SEQUENCE)
                .filter(any -> column.identity().isPresent());
    }

    @Override
    public Optional<String> ofNumbered(String table, Column column) {
        if (isSerial(column) && column.nullable()) { // serial says that it is never empty
            return Optional.of("ALTER TABLE " + table + " ALTER COLUMN " + column(column.name()) + " DROP NOT NULL");
        }
        return drawn(column)
                .filter(sequence -> has(column.options(), DialectOption.OWNED))
                .map(sequence -> "ALTER SEQUENCE " + sequence + " OWNED BY " + table + "." + column(column.name()));
    }

    @Override
    public String numberedType(Column column, String type) {
        return isSerial(column) ? SERIALS.getOrDefault(type, "serial") : type;
    }

    @Override
    public String identity(Column column, Identity identity, TypeForm form) {
        return isSerial(column)
                ? ""
                : drawn(column)
                        .map(sequence -> "DEFAULT nextval(" + text(sequence) + ")")
                        .orElseGet(() -> super.identity(column, identity, form));
    }

    @Override
    public String restart(Column column, String table, BigInteger next, long step) {
        String sequence = isSerial(column)
                ? "pg_get_serial_sequence(" + text(table) + ", " + text(column.name()) + ")"
                : drawn(column).map(this::text).orElse("");
        return sequence.isEmpty()
                ? super.restart(column, table, next, step)
                : "SELECT setval(" + sequence + ", " + next + ", false)";
    }

    @Override
    public String tableEnd(Table table) {
        return own.partition(table.options()) + super.tableEnd(table);
    }

    @Override
    public String unique(Table.UniqueConstraint unique) {
        String told = super.unique(unique);
        return has(unique.options(), DialectOption.EMPTIES)
                ? told.replaceFirst("^UNIQUE ", "UNIQUE NULLS NOT DISTINCT ")
                : told;
    }

    private String including(Map<String, String> options) {
        return option(options, DialectOption.INCLUDE)
                .map(included -> " INCLUDE (" + included + ")")
                .orElse("");
    }

    @Override
    public String indexEnd(Table.TableIndex index) {
        return including(index.options())
                + (has(index.options(), DialectOption.EMPTIES) ? " NULLS NOT DISTINCT" : "")
                + option(index.options(), DialectOption.STORAGE)
                        .map(stored -> " WITH (" + stored + ")")
                        .orElse("");
    }

    /** How a part is compared stands behind it, outside its brackets. */
    @Override
    public String indexed(String expression) {
        Matcher compared = COMPARED.matcher(expression);
        if (!compared.matches() || compared.group(2).isEmpty()) {
            return super.indexed(expression);
        }
        String value = compared.group(1);
        boolean column = COLUMN.matcher(value).matches();
        return (column ? value : super.indexed(value)) + compared.group(2);
    }
}
