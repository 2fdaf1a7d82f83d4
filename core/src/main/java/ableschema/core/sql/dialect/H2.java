package ableschema.core.sql.dialect;

import ableschema.core.carried.Carried;
import ableschema.core.schema.Column;
import ableschema.core.schema.Table;
import ableschema.core.sql.dialect.TypeForm.Kind;
import ableschema.core.types.DataType;
import java.util.Optional;

/** H2 2.3. */
final class H2 extends Dialect {

    private static final Traits TRAITS = Traits.STANDARD
            .named("h2", "H2")
            .namesUpTo(256)
            .granting("{rights}SCHEMA {schema}")
            .making(Making.Apart.NOTHING, "OR REPLACE", Carried.Kind.VIEW)
            .reserving(ReservedWords.H2)
            .withSystemColumns("_rowid_")
            .with(Kind.TEXT, TypeForm.of("varchar({n})").upTo(1_000_000_000))
            // varchar also without a limit, since H2 has no index, and so no key, over a clob
            .with(Kind.LONG_TEXT, TypeForm.of("varchar"))
            .with(Kind.DECIMAL, TypeForm.of("decimal({p},{s})").upTo(100_000))
            .decimalScaleUpTo(100_000)
            .with(Kind.UUID, TypeForm.of("uuid", 16))
            .with(Kind.BYTES, TypeForm.of("varbinary({n})").upTo(1_000_000_000))
            .with(Kind.LIST, TypeForm.of("enum({values})", 4))
            .calling(StandardFunction.NEW_UUID, "random_uuid()")
            .without(
                    Ability.MATCH_FULL,
                    Ability.DEFERRED_CONSTRAINTS,
                    Ability.REFERENCES_TO_USUAL_SCHEMA,
                    Ability.LONG_BYTES_IN_KEYS,
                    Ability.COMPUTED_FROM_COMPUTED,
                    Ability.TRANSACTIONAL_DEFINITIONS,
                    Ability.NUMBER_SEVERAL,
                    Ability.PARTIAL_INDEXES,
                    Ability.MADE_INDEXES)
            .withOptions(DialectOption.rawType());

    H2() {
        super(TRAITS);
    }

    /** There is no index over a blob; a varbinary holds up to 1,048,576 bytes. */
    @Override
    public String columnType(Table table, Column column, DataType base) {
        return Keyed.unlimited(kind(base), table, column, base)
                .map(kind -> kind == Kind.LONG_BYTES ? "varbinary" : "varchar")
                .orElseGet(() -> super.columnType(table, column, base));
    }

    @Override
    public boolean indexesForeignKeys() {
        return true;
    }

    @Override
    public String unlessThere(String sql) {
        return sql.replaceFirst("^CREATE DOMAIN ", "CREATE DOMAIN IF NOT EXISTS ");
    }

    @Override
    public String namespace(String name) {
        return "CREATE SCHEMA IF NOT EXISTS " + quoted(name);
    }

    @Override
    public Optional<String> entering(String schema) {
        return Optional.of("SET SCHEMA " + (schema.isEmpty() ? "PUBLIC" : quoted(schema)));
    }

    @Override
    public String begin() {
        return "BEGIN";
    }

    @Override
    protected String typed(DataType type, String canonical) {
        return type == DataType.Simple.JSON ? "JSON " + text(canonical) : super.typed(type, canonical);
    }
}
