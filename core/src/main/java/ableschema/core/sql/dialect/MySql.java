package ableschema.core.sql.dialect;

import ableschema.core.schema.Part;
import ableschema.core.sql.dialect.TypeForm.Kind;
import ableschema.core.types.DataType;
import ableschema.core.types.DataType.Simple;
import java.util.Optional;

/** MySQL 8.4. */
final class MySql extends MySqlFamily {

    private static final Traits TRAITS = MySqlFamily.TRAITS
            .named("mysql", "MySQL")
            .reserving(ReservedWords.MYSQL)
            .relatedTo(
                    "mariadb",
                    "(?:.*_)?uca1400_.*|.*_nopad_.*|uuid|inet[46]|xmltype|vector.*|aria|rocksdb|tokudb|columnstore|spider|connect|s3"
                            + "|page_checksum|transactional",
                    "\\b(?:nvl2?|to_char|to_number|to_date|add_months|chr|natural_sort_key|sformat|crc32c|kdf|sys_guid|uuid_v[47]"
                            + "|nextval|lastval|(?:next|previous)\\s+value|vec_\\w+"
                            + "|json_(?:detailed|compact|loose|exists|query|equals|normalize|array_intersect|object_\\w+))\\b")
            .with(Kind.UUID, TypeForm.of("char(36)", 36))
            .without(Ability.WIDE_UNIQUES, Ability.COMPUTED_FROM_NUMBERED)
            .withOption(DialectOption.reference("SRID {}"))
            .withOption(DialectOption.held(Part.Kind.CHECK, "NOT ENFORCED"))
            .withOption(DialectOption.flag(Part.Kind.INDEX, DialectOption.INVISIBLE, "INVISIBLE"));

    MySql() {
        super(TRAITS);
    }

    /** A text, a document or bytes without a limit have a default only as an expression. */
    @Override
    protected String constantDefault(String literal, DataType base) {
        Kind kind = kind(base);
        boolean expression = kind == Kind.LONG_TEXT || kind == Kind.LONG_BYTES || kind == Kind.JSON;
        return expression ? "(" + literal + ")" : literal;
    }

    /** Only tables are passed over here. */
    @Override
    public Optional<String> indexIfMissing() {
        return Optional.empty();
    }

    @Override
    protected String computedDefault(String sql, StandardFunction function, DataType base) {
        boolean moment = base == Simple.MOMENT || base == Simple.MOMENT_ANYWHERE;
        return moment && sql.equals("current_timestamp") ? sql : "(" + sql + ")";
    }
}
