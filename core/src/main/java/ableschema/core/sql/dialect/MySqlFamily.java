package ableschema.core.sql.dialect;

import ableschema.core.carried.Carried;
import ableschema.core.expression.Expression;
import ableschema.core.schema.Column;
import ableschema.core.schema.Identity;
import ableschema.core.schema.Part;
import ableschema.core.schema.Table;
import ableschema.core.sql.dialect.TypeForm.Kind;
import ableschema.core.types.DataType;
import ableschema.core.types.DataType.Simple;
import ableschema.core.types.TypedValue;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Pattern;

/** What MySQL and MariaDB have in common, as both come from one line of databases. */
abstract class MySqlFamily extends Dialect {

    /** The longest text that a key takes: 3,072 bytes of four-byte characters. */
    private static final Pattern BEGINNING = Pattern.compile("(?:\\w+|`(?:[^`]|``)+`)\\([0-9]+\\)");

    static final Traits TRAITS = Traits.STANDARD
            .namesIn(NameSpace.OF_MYSQL)
            .granting("{rights}{schema}.*")
            .making(Making.Apart.DELIMITER, "OR REPLACE", Carried.Kind.VIEW)
            .quoting('`', '`')
            .folding(Traits.Folding.AS_WRITTEN)
            .namesUpTo(64)
            .keysUpTo(KeyBytes.MOST)
            .comparing(Traits.TextComparison.NO_CASE_NO_ACCENTS)
            .with(Kind.TEXT, TypeForm.of("varchar({n})").upTo(16_383))
            .with(Kind.LONG_TEXT, TypeForm.of("longtext"))
            .with(Kind.DECIMAL, TypeForm.of("decimal({p},{s})").upTo(65))
            .decimalScaleUpTo(30)
            .with(Kind.REAL, TypeForm.of("double", 8))
            .with(Kind.DATE, TypeForm.of("date", 3))
            .with(Kind.TIME, TypeForm.of("time", 3))
            .with(Kind.MOMENT, TypeForm.of("datetime", 5))
            .with(
                    Kind.MOMENT_ANYWHERE,
                    TypeForm.of("timestamp", 4).between("1970-01-01 00:00:01", "2038-01-19 03:14:07"))
            .with(Kind.BYTES, TypeForm.of("varbinary({n})").upTo(65_532))
            .with(Kind.LONG_BYTES, TypeForm.of("longblob"))
            .with(Kind.LIST, TypeForm.of("enum({values})", 2))
            .calling(StandardFunction.NEW_UUID, "uuid()")
            .calling(StandardFunction.SUBSTRING, "substring({0}, {1}, {2})")
            .calling(StandardFunction.SUBSTRING_TO_END, "substring({0}, {1})")
            .calling(StandardFunction.YEAR, "year({0})")
            .calling(StandardFunction.CONCATENATION, "concat({0}, {1})")
            .without(
                    Ability.DOMAINS,
                    Ability.NUMBER_SEVERAL,
                    Ability.NUMBER_UNINDEXED,
                    Ability.NUMBERS_ALONE,
                    Ability.NUMBERING_STEP,
                    // it goes on behind the largest number by itself
                    Ability.RESTART_NUMBERING,
                    Ability.DEFERRED_CONSTRAINTS,
                    Ability.TRANSACTIONAL_DEFINITIONS,
                    Ability.MATCH_FULL,
                    Ability.CHECK_CHANGED_REFERENCES,
                    Ability.SET_DEFAULT,
                    Ability.SET_NULL_OF_REQUIRED,
                    Ability.CHECK_NUMBERED,
                    Ability.LONG_TEXT_IN_KEYS,
                    Ability.REFERENCES_TO_USUAL_SCHEMA,
                    Ability.REFERENCES_BY_ANY_ENGINE,
                    Ability.LONG_BYTES_IN_KEYS,
                    Ability.JSON_IN_KEYS,
                    Ability.WIDE_KEYS,
                    Ability.PARTIAL_INDEXES,
                    Ability.TIME_ZONES)
            .withOptions(
                    DialectOption.rawType(),
                    DialectOption.present(),
                    DialectOption.virtual(),
                    DialectOption.keyLength(),
                    DialectOption.keyOrder(),
                    DialectOption.partition(),
                    DialectOption.ofTable("engine", "ENGINE={}"),
                    DialectOption.ofTable("charset", "DEFAULT CHARSET={}"),
                    DialectOption.ofTable("collation", "COLLATE={}"),
                    DialectOption.ofTable("row_format", "ROW_FORMAT={}"),
                    DialectOption.setting("avg_row_length"),
                    DialectOption.setting("checksum"),
                    DialectOption.setting("max_rows"),
                    DialectOption.setting("min_rows"),
                    DialectOption.setting("pack_keys"),
                    DialectOption.setting("key_block_size"),
                    DialectOption.setting("stats_persistent"),
                    DialectOption.setting("stats_auto_recalc"),
                    DialectOption.setting("stats_sample_pages"),
                    DialectOption.setting("delay_key_write"),
                    DialectOption.setting("page_checksum"),
                    DialectOption.setting("transactional"),
                    DialectOption.ofColumn("collation", "COLLATE {}"),
                    DialectOption.flag(Part.Kind.COLUMN, DialectOption.INVISIBLE, "INVISIBLE"),
                    new DialectOption(
                            Part.Kind.COLUMN,
                            "on_update",
                            "ON UPDATE {}",
                            Pattern.compile("(?i)current_timestamp(\\([0-6]\\))?")),
                    DialectOption.indexKind("fulltext", "spatial"),
                    DialectOption.ofIndex("method", "USING {}"),
                    DialectOption.ofIndex("parser", "WITH PARSER {}"));

    MySqlFamily(Traits traits) {
        super(traits);
    }

    @Override
    public boolean indexesForeignKeys() {
        return true;
    }

    @Override
    public boolean indexes(Expression<String> value) {
        return super.indexes(value)
                || understands(value)
                        && BEGINNING.matcher(value.written(this::column)).matches();
    }

    /** The beginning of a text, as in {@code name(10)}, is no expression. */
    @Override
    public String indexed(String expression) {
        return BEGINNING.matcher(expression).matches() ? expression : super.indexed(expression);
    }

    @Override
    public int bytesOfCharacter(Table table, Column column) {
        String set = option(column.options(), DialectOption.COLLATION)
                .or(() -> option(table.options(), "charset"))
                .or(() -> option(table.options(), DialectOption.COLLATION))
                .orElse("utf8mb4");
        return set.matches("(?i)(?:latin|ascii|cp|koi8|greek|hebrew|binary|mac|armscii|swe7|dec8|hp8|tis620).*")
                ? 1
                : set.matches("(?i)utf8(?!mb4).*") ? 3 : super.bytesOfCharacter(table, column);
    }

    @Override
    public String columnType(Table table, Column column, DataType base) {
        return Keyed.unlimited(kind(base), table, column, base)
                .map(kind -> kind == Kind.LONG_TEXT
                        ? "varchar(" + KeyBytes.charactersIn(table, column) + ")"
                        : "varbinary(" + KeyBytes.bytesIn(table, column) + ")")
                .orElseGet(() -> super.columnType(table, column, base));
    }

    /** Characters beyond U+FFFF, which names cannot have, stand by their numbers. */
    @Override
    public String spelled(String identifier) {
        var spelled = new StringBuilder();
        identifier.codePoints().forEach(c -> {
            if (Character.isSupplementaryCodePoint(c)) {
                spelled.append('u').append(Integer.toHexString(c));
            } else {
                spelled.appendCodePoint(c);
            }
        });
        return spelled.toString();
    }

    @Override
    public String text(String text) {
        return super.text(text.replace("\\", "\\\\"));
    }

    /** A moment is kept as that of Greenwich. */
    @Override
    protected String typed(DataType type, String canonical) {
        return type == Simple.MOMENT_ANYWHERE
                ? text(TypedValue.of(type, canonical).comparable(type))
                : super.typed(type, canonical);
    }

    @Override
    public String identity(Identity identity, TypeForm form) {
        return "AUTO_INCREMENT";
    }

    @Override
    public String computed(String type, String expression, DataType base, boolean stored) {
        return super.computed(type, expression, base, stored) + (stored ? " STORED" : " VIRTUAL");
    }

    /** What is numbered must lead a key or an index, and only one column of a table can be. */
    @Override
    public boolean numbers(Table table, Column column) {
        List<String> first = List.of(column.name());
        return table.primaryKey()
                        .filter(key -> key.columns().subList(0, 1).equals(first))
                        .isPresent()
                || table.uniques().stream()
                        .anyMatch(unique -> unique.columns().subList(0, 1).equals(first))
                || table.indexes().stream()
                        .anyMatch(index -> index.columnNames().stream().limit(1).anyMatch(column.name()::equals));
    }

    @Override
    public boolean describesInside() {
        return true;
    }

    @Override
    public String tableEnd(Table table) {
        Optional<Identity> identity = table.columns().stream()
                .flatMap(column -> column.identity().stream())
                .findFirst();
        String start = identity.filter(i -> i.start() > 1)
                .map(i -> " AUTO_INCREMENT=" + i.start())
                .orElse("");
        String comment = table.comment().isEmpty() ? "" : " COMMENT=" + text(table.comment());
        return super.tableEnd(table) + start + comment + own.partition(table.options());
    }

    @Override
    public String columnEnd(Column column) {
        String comment = column.comment().isEmpty() ? "" : " COMMENT " + text(column.comment());
        boolean computed =
                column.filling().isComputed(); // whose collation belongs to the type, before what is computed
        return super.columnEnd(computed ? column.withoutOption(name() + ".collation") : column) + comment;
    }

    @Override
    public String numberedType(Column column, String type) {
        String collation = column.options().getOrDefault(name() + ".collation", "");
        boolean computed = column.filling().isComputed() && !collation.isEmpty();
        return super.numberedType(column, type) + (computed ? " COLLATE " + collation : "");
    }

    @Override
    public String namespace(String name) {
        return "CREATE SCHEMA IF NOT EXISTS " + quoted(name) + " DEFAULT CHARACTER SET utf8mb4";
    }

    /** It is called PRIMARY, whatever it is called. */
    @Override
    public String keyBeside(String name) {
        return "PRIMARY KEY";
    }

    @Override
    public Optional<String> entering(String schema) {
        return schema.isEmpty() ? Optional.empty() : Optional.of("USE " + quoted(schema));
    }

    /** The two understand each other's. */
    @Override
    public boolean writes(Carried carried) {
        return carried.dialect().equals("mysql") || carried.dialect().equals("mariadb");
    }

    @Override
    public Optional<String> dropTable(String name) {
        return Optional.of("DROP TABLE IF EXISTS " + name);
    }

    @Override
    public Optional<Map.Entry<String, String>> aroundDrops() {
        return Optional.of(Map.entry("SET FOREIGN_KEY_CHECKS = 0", "SET FOREIGN_KEY_CHECKS = 1"));
    }

    @Override
    public List<String> settings() {
        return List.of("SET time_zone = '+00:00'");
    }

    @Override
    protected boolean takesCallsAsDefaults() {
        return false;
    }
}
