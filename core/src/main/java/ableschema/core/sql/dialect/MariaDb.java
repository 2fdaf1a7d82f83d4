package ableschema.core.sql.dialect;

import ableschema.core.carried.Carried;
import ableschema.core.schema.Part;
import ableschema.core.sql.dialect.TypeForm.Kind;
import ableschema.core.types.DataType;
import ableschema.core.types.DataType.Simple;

/** MariaDB 11.4. */
final class MariaDb extends MySqlFamily {

    private static final Traits TRAITS = MySqlFamily.TRAITS
            .namesIn(NameSpace.OF_MARIADB)
            .named("mariadb", "MariaDB")
            .making(
                    Making.Apart.DELIMITER,
                    "OR REPLACE",
                    Carried.Kind.VIEW,
                    Carried.Kind.ROUTINE,
                    Carried.Kind.TRIGGER,
                    Carried.Kind.EVENT)
            .reserving(ReservedWords.MARIADB)
            .relatedTo(
                    "mysql",
                    "utf8mb4_(?:.*_)?0900_.*|vector.*|ndb.*|federated",
                    "->|\\b(?:regexp_like|uuid_to_bin|bin_to_uuid|is_uuid|member\\s+of|any_value|grouping|st_latitude|st_longitude"
                            + "|st_transform|json_storage\\w*|json_schema_validation_report|json_pretty)\\b")
            .withSystemColumns("row_start", "row_end")
            .decimalScaleUpTo(38)
            .comparing(Traits.TextComparison.NO_CASE_NO_ACCENTS_BY_LETTER)
            .with(Kind.UUID, TypeForm.of("uuid", 16))
            .without(Ability.MADE_INDEXES, Ability.COMPUTED_KEYS)
            .withOption(DialectOption.flag(Part.Kind.TABLE, DialectOption.VERSIONING, "WITH SYSTEM VERSIONING"))
            .withOption(DialectOption.flag(Part.Kind.COLUMN, DialectOption.CHECK_BESIDE, ""))
            .withOption(DialectOption.flag(Part.Kind.INDEX, DialectOption.INVISIBLE, "IGNORED"));

    MariaDb() {
        super(TRAITS);
    }

    @Override
    public boolean takesComputedNotNull() {
        return false;
    }

    @Override
    protected String computedDefault(String sql, StandardFunction function, DataType base) {
        boolean moment = base == Simple.MOMENT || base == Simple.MOMENT_ANYWHERE;
        return moment && sql.equals("current_timestamp") ? sql : "(" + sql + ")";
    }
}
