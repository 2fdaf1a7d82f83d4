package ableschema.engine;

import java.util.List;
import java.util.Random;

/** Types, values and rules in the many spellings that an engine takes. */
final class SpokenTypes {

    /** @param kind n number, t text, d date, m moment, b truth, x other */
    record Spoken(String text, char kind) {}

    private static final String POSTGRESQL =
            "n:smallint int2 integer int int4 bigint int8 numeric numeric(9) numeric(12,2) decimal(8,3) dec(5) real float4"
                    + " double_precision float8 float(20)|t:text varchar varchar(40) character_varying(30) char(5) char character(7)"
                    + " bpchar name|d:date|m:timestamp timestamptz timestamp(3) timestamp_with_time_zone"
                    + " timestamp_without_time_zone timestamp(0)_with_time_zone|b:boolean bool|x:uuid json jsonb xml inet cidr macaddr tsvector"
                    + " int4range point integer[] text[] varchar(10)[] bit(3) varbit(5) bit_varying oid interval interval_day_to_second time"
                    + " time(0) timetz time_with_time_zone bytea";
    private static final String MARIADB =
            "n:tinyint tinyint(4) smallint_unsigned mediumint int(11) int integer int_unsigned int(5)_zerofill bigint bigint(20)_unsigned"
                    + " decimal decimal(6,2) numeric(5) dec(7,1) fixed(4,1) float double double_precision real float(7,2) int8 int2 middleint"
                    + "|t:varchar(40) varchar(20)_character_set_latin1 char(3) char text tinytext mediumtext longtext text(100)"
                    + " national_varchar(10) nchar(5) varchar(10)_collate_utf8mb4_bin character_varying(9) long_varchar enum('a','b','it''s')"
                    + " set('x','y')|d:date|m:datetime datetime(3) timestamp timestamp_null timestamp(6)|b:tinyint(1) boolean bool"
                    + "|x:time time(2) year year(4) bit bit(8) blob tinyblob binary(16) varbinary(20) json uuid inet6 long_varbinary";
    private static final String SQLITE =
            "n:integer int bigint numeric decimal(8,2) real double float tinyint unsigned_big_int number(10) int2 double_precision"
                    + "|t:text varchar(20) character(20) nvarchar(100) clob native_character(70) string|d:date|m:datetime timestamp"
                    + "|b:boolean bool|x:blob any";
    private static final String H2 =
            "n:int integer smallint tinyint bigint numeric(9) numeric(12,2) decimal(8,3) dec(5) real double_precision float float(20)"
                    + " decfloat decfloat(10) number(8,2) int4 int8 mediumint signed|t:varchar varchar(40) character_varying(30) char(5) char"
                    + " varchar_ignorecase varchar_ignorecase(20) nvarchar2(9) enum('a','b')|d:date"
                    + "|m:timestamp timestamp(3) timestamp_with_time_zone datetime timestamp(0)_with_time_zone smalldatetime"
                    + "|b:boolean bool bit|x:time time(3) time_with_time_zone uuid json binary(16) varbinary(20) blob blob(5000) geometry"
                    + " integer_array varchar(10)_array[5] interval_day interval_year_to_month java_object";

    private final Random random;
    private final RealEngine engine;
    private final List<String> kinds;

    SpokenTypes(Random random, RealEngine engine) {
        this.random = random;
        this.engine = engine;
        String all =
                switch (engine) {
                    case POSTGRESQL -> POSTGRESQL;
                    case MARIADB -> MARIADB;
                    case SQLITE -> SQLITE;
                    case H2 -> H2;
                };
        this.kinds = List.of(all.split("\\|"));
    }

    private String one(String... choices) {
        return choices[random.nextInt(choices.length)];
    }

    Spoken any() {
        return spoken(kinds.get(Math.min(random.nextInt(kinds.size() + 3), 7) % kinds.size()));
    }

    /** One of the same kind as a column has; a number for what numbers itself. */
    Spoken of(char kind) {
        return spoken(kinds.stream()
                .filter(each -> each.charAt(0) == kind)
                .findFirst()
                .orElseThrow());
    }

    private Spoken spoken(String kind) {
        String text = one(kind.substring(2).split(" ")).replace('_', ' ').replace("utf8mb4 bin", "utf8mb4_bin");
        text = text.replace("varchar ignorecase", "varchar_ignorecase").replace("java object", "java_object");
        return new Spoken(
                random.nextInt(3) == 0 && !text.contains("'") && !text.contains("\"")
                        ? text.toUpperCase(java.util.Locale.ROOT)
                        : text,
                kind.charAt(0));
    }

    String value(char kind) {
        return switch (kind) {
            case 'n' ->
                one(
                        "0",
                        "1",
                        "-1",
                        "+2",
                        "10.50",
                        "'5'",
                        "(3)",
                        "1e3",
                        engine == RealEngine.H2 ? "7" : "2 * 3",
                        "NULL");
            case 't' -> one("''", "'x'", "'it''s'", "'a;b'", "'-- no'", "'ä€'", "NULL", "'/* x */'", "'100%'");
            case 'd' ->
                one(
                        "'2020-02-29'",
                        "CURRENT_DATE",
                        "DATE '2020-01-01'",
                        engine == RealEngine.POSTGRESQL ? "now()" : "NULL",
                        "NULL");
            case 'm' ->
                one(
                        "CURRENT_TIMESTAMP",
                        engine == RealEngine.POSTGRESQL
                                ? one("localtimestamp", "current_timestamp(3)", "transaction_timestamp()")
                                : "'2020-02-29 10:00:00'",
                        engine == RealEngine.SQLITE ? "(datetime('now'))" : "now()",
                        "NULL");
            case 'b' -> one("true", "FALSE", "0", "NULL");
            default -> "NULL";
        };
    }

    String rule(String name, char kind) {
        return switch (kind) {
            case 'n' ->
                one(
                        name + " > 0",
                        name + " between 1 and 10",
                        name + ">=0 and " + name + "<100",
                        name + " IN (1,2,3)",
                        "(" + name + " <> 5) OR " + name + " IS NULL",
                        "NOT (" + name + " = 3)",
                        engine == RealEngine.POSTGRESQL ? name + " * 2 > 0" : name + " % 2 = 0",
                        "abs(" + name + ") < 1000");
            case 't' ->
                one(
                        "length(" + name + ") > 2",
                        engine == RealEngine.H2
                                ? name + " <> 'x'"
                                : name + " <> ''", // which H2 prints as what it does not read
                        name + " in ('a','b')",
                        name + " like 'A%'",
                        "upper(" + name + ") = " + name,
                        "trim(" + name + ") != 'y'",
                        name + " NOT LIKE '%x'");
            case 'd' -> one(name + " > '2000-01-01'", name + " >= DATE '2000-01-01'", name + " is not null");
            default -> name + " is not null";
        };
    }

    String computed(String name, char kind) {
        return switch (kind) {
            case 'n' -> one(name + " * 2", name + "+1", "coalesce(" + name + ", 0)", "-" + name);
            case 't' ->
                one(
                        "upper(" + name + ")",
                        engine == RealEngine.MARIADB ? "lower(" + name + ")" : name + " || 'x'",
                        "concat(" + name + ", 'x')",
                        "length(" + name + ")");
            default -> "coalesce(" + name + ", " + name + ")";
        };
    }
}
