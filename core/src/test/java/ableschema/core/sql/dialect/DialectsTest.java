package ableschema.core.sql.dialect;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import ableschema.core.expression.Expression;
import ableschema.core.sql.dialect.Traits.Empties;
import ableschema.core.sql.dialect.Traits.TextComparison;
import ableschema.core.types.DataType;
import ableschema.core.types.DataTypes;
import ableschema.core.types.ReferenceAction;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.FieldSource;

/** What is special about each database, said from its documentation and held against the traits. */
class DialectsTest {

    private static final Expression<String> NONE = Expression.none();

    private static Dialect named(String name) {
        return Dialects.named(name).orElseThrow();
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            textBlock =
                    """
            text 40         | varchar(40)  | varchar(40)   | varchar(40)  | varchar(40)   | nvarchar(40)     | varchar2(40 char) | varchar(40)   | varchar(40)
            text            | text         | longtext      | longtext     | text          | nvarchar(max)    | clob              | varchar       | clob
            text 20000000   | text         | longtext      | longtext     | varchar(20000000) | nvarchar(max) | clob             | varchar(20000000) | varchar(20000000)
            whole           | integer      | integer       | integer      | integer       | int              | number(10)        | integer       | integer
            whole 32767     | smallint     | smallint      | smallint     | integer       | smallint         | number(5)         | smallint      | smallint
            whole 32768     | integer      | integer       | integer      | integer       | int              | number(10)        | integer       | integer
            whole 2147483648| bigint       | bigint        | bigint       | integer       | bigint           | number(19)        | bigint        | bigint
            counted 5000000000 | bigint    | bigint        | bigint       | integer       | bigint           | number(19)        | bigint        | bigint
            decimal 6,2     | decimal(6,2) | decimal(6,2)  | decimal(6,2) | decimal(6,2)  | decimal(6,2)     | number(6,2)       | decimal(6,2)  | decimal(6,2)
            decimal 50,40   | decimal(50,40)| decimal(50,30) | decimal(50,38) | decimal(50,40) | decimal(38,38) | number(38,38)    | decimal(50,40)| decimal(50,40)
            decimal 2000,0  | decimal      | decimal(65,0) | decimal(65,0)| decimal(2000,0)| decimal(38,0)   | number(38,0)      | decimal(2000,0)| decimal(2000,0)
            yes/no          | boolean      | boolean       | boolean      | boolean       | bit              | number(1)         | boolean       | boolean
            date            | date         | date          | date         | date          | date             | date              | date          | date
            moment          | timestamp    | datetime      | datetime     | timestamp     | datetime2(0)     | timestamp(0)      | timestamp     | timestamp
            moment anywhere | timestamptz  | timestamp     | timestamp    | timestamp with time zone | datetimeoffset(0) | timestamp(0) with time zone | timestamp with time zone | timestamp with time zone
            uuid            | uuid         | char(36)      | uuid         | char(36)      | uniqueidentifier | varchar2(36 char) | uuid          | char(36)
            json            | jsonb        | json          | json         | text          | nvarchar(max)    | clob              | json          | json
            bytes 500       | bytea        | varbinary(500)| varbinary(500)| blob         | varbinary(500)   | raw(500)          | varbinary(500)| varbinary(500)
            bytes           | bytea        | longblob      | longblob     | blob          | varbinary(max)   | blob              | blob          | blob
            list (a, 'b')   | varchar(3)   | enum('a', '''b''') | enum('a', '''b''') | varchar(3) | nvarchar(3)   | varchar2(3 char)  | enum('a', '''b''') | varchar(3)
            """,
            quoteCharacter = '`')
    void a_type_has_its_name_in_each_dialect(
            String type,
            String postgresql,
            String mysql,
            String mariadb,
            String sqlite,
            String sqlserver,
            String oracle,
            String h2,
            String standard) {
        DataType read = DataTypes.parse(type.replace("'b'", "\"'b'\""));
        assertThat(Dialects.ALL.stream().map(dialect -> dialect.type(read)))
                .containsExactly(postgresql, mysql, mariadb, sqlite, sqlserver, oracle, h2, standard);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            textBlock =
                    """
            postgresql | whole 300  | 2 | -32768      | 32767
            mysql      | whole      | 4 | -2147483648 | 2147483647
            sqlserver  | whole 9999999999 | 8 | -9223372036854775808 | 9223372036854775807
            sqlite     | whole 300  | 8 | -9223372036854775808 | 9223372036854775807
            """)
    void a_whole_number_has_its_true_range(String dialect, String type, int bytes, long smallest, long largest) {
        TypeForm form = named(dialect).form(DataTypes.parse(type));

        assertThat(form.bytes()).isEqualTo(bytes);
        assertThat(form.smallest()).isEqualTo(smallest);
        assertThat(form.largest()).isEqualTo(largest);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            textBlock =
                    """
            postgresql | text 10485760 |
            postgresql | text 10485761 | at most 10485760 characters
            postgresql | decimal 1001,0 | at most 1000 digits
            mysql      | text 16383    |
            mysql      | text 16384    | at most 16383 characters
            mysql      | decimal 60,31 | at most 65 digits
            sqlserver  | bytes 8001    | at most 8000 bytes
            oracle     | decimal 39,0  | at most 38 digits
            sqlite     | text 99999999 |
            """)
    void what_is_beyond_a_limit_is_said(String dialect, String type, String said) {
        Optional<String> shortfall = named(dialect).typeShortfall(DataTypes.parse(type));

        if (said == null) {
            assertThat(shortfall).isEmpty();
        } else {
            assertThat(shortfall).get().asString().startsWith(said);
        }
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '¦',
            textBlock =
                    """
            char_length({a}) > 1               ¦ char_length(a) > 1 ¦ length(a) > 1 ¦ (len(a + N'.') - 1) > 1 ¦ length(a) > 1
            lower({a}) = upper('x')            ¦ lower(a) = upper('x') ¦ lower(a) = upper('x') ¦ lower(a) = upper(N'x') ¦ lower(a) = upper('x')
            {a} || '-' || {b} <> 'x'           ¦ concat(concat(a, '-'), b) <> 'x' ¦ a || '-' || b <> 'x' ¦ a + N'-' + b <> N'x' ¦ a || '-' || b <> 'x'
            substring({a} from 2 for 3) = 'x'  ¦ substring(a, 2, 3) = 'x' ¦ substr(a, 2, 3) = 'x' ¦ substring(a, 2, 3) = N'x' ¦ substr(a, 2, 3) = 'x'
            substring({a}, 2) = 'x'            ¦ substring(a, 2) = 'x' ¦ substr(a, 2) = 'x' ¦ substring(a, 2, len(a + N'.')) = N'x' ¦ substr(a, 2) = 'x'
            extract(year from {day}) > 2000    ¦ year(day) > 2000 ¦ cast(strftime('%Y', day) as integer) > 2000 ¦ year(day) > 2000 ¦ extract(year from day) > 2000
            extract(month from {day}) > 6      ¦ extract(month from day) > 6 ¦ extract(month from day) > 6 ¦ extract(month from day) > 6 ¦ extract(month from day) > 6
            {open} = true                      ¦ open = TRUE ¦ open = TRUE ¦ [open] = 1 ¦ open = 1
            {day} > '2027-4-1'                 ¦ day > '2027-4-1' ¦ day > '2027-4-1' ¦ day > N'2027-4-1' ¦ day > '2027-4-1'
            {day} between '2027-04-01' and '2027-05-01' ¦ day between '2027-04-01' and '2027-05-01' ¦ day between '2027-04-01' and '2027-05-01' ¦ day between '2027-04-01' and '2027-05-01' ¦ day between DATE '2027-04-01' and DATE '2027-05-01'
            {at} <= '18:00'                    ¦ at <= '18:00:00' ¦ at <= '18:00:00' ¦ at <= '18:00:00' ¦ at <= '18:00:00'
            {a} in ('x\\y', 'it''s')           ¦ a in ('x\\\\y', 'it''s') ¦ a in ('x\\y', 'it''s') ¦ a in (N'x\\y', N'it''s') ¦ a in ('x\\y', 'it''s')
            {a} = 'lower(x) || y'              ¦ a = 'lower(x) || y' ¦ a = 'lower(x) || y' ¦ a = N'lower(x) || y' ¦ a = 'lower(x) || y'
            substring(other({a}, {b}) from 2) = 'x' ¦ substring(other(a, b), 2) = 'x' ¦ substr(other(a, b), 2) = 'x' ¦ substring(other(a, b), 2, len(other(a, b) + N'.')) = N'x' ¦ substr(other(a, b), 2) = 'x'
            {open} in (true, false)            ¦ open in (TRUE, FALSE) ¦ open in (TRUE, FALSE) ¦ [open] in (1, 0) ¦ open in (1, 0)
            {day} in ('2027-04-01', '2027-05-01') ¦ day in ('2027-04-01', '2027-05-01') ¦ day in ('2027-04-01', '2027-05-01') ¦ day in ('2027-04-01', '2027-05-01') ¦ day in (DATE '2027-04-01', DATE '2027-05-01')
            {n} in (-1, 2)                     ¦ n in (-1, 2) ¦ n in (-1, 2) ¦ n in (-1, 2) ¦ n in (-1, 2)
            ({a} || 'x') = 'y'                 ¦ (concat(a, 'x')) = 'y' ¦ (a || 'x') = 'y' ¦ (a + N'x') = N'y' ¦ (a || 'x') = 'y'
            {day} <= current_date              ¦ day <= current_date ¦ day <= current_date ¦ day <= cast(sysdatetime() as date) ¦ day <= trunc(sysdate)
            {at} < current_timestamp           ¦ at < current_time ¦ at < current_time ¦ at < cast(sysdatetime() as time(0)) ¦ at < to_char(sysdate, 'HH24:MI:SS')
            {a} = 'x' and ({b} = 'y'           ¦ a = 'x' and (b = 'y') ¦ a = 'x' and (b = 'y') ¦ a = N'x' and (b = N'y') ¦ a = 'x' and (b = 'y')
            other({a}, lower({b})) = 1         ¦ other(a, lower(b)) = 1 ¦ other(a, lower(b)) = 1 ¦ other(a, lower(b)) = 1 ¦ other(a, lower(b)) = 1
            """,
            quoteCharacter = '~')
    void functions_and_literals_are_written_as_the_dialect_has_them(
            String standard, String mysql, String sqlite, String sqlserver, String oracle) {
        Map<String, DataType> types = Map.of(
                "day", DataType.Simple.DATE,
                "at", DataType.Simple.TIME,
                "open", DataType.Simple.YES_NO);
        Expression<String> expression = Expression.parse(standard, name -> name);

        assertThat(List.of(Dialects.MYSQL, Dialects.SQLITE, Dialects.SQL_SERVER, Dialects.ORACLE).stream()
                        .map(dialect -> dialect.written(
                                expression, column -> types.getOrDefault(column, new DataType.Text(20)))))
                .containsExactly(mysql, sqlite, sqlserver, oracle);
        assertThat(Dialects.POSTGRESQL.understands(expression.in("mysql"))).isFalse();
        assertThat(Dialects.MYSQL.understands(expression.in("mysql"))).isTrue();
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            quoteCharacter = '~',
            textBlock =
                    """
            {a} >= 5                      | a >= '5'
            {a} between -3 and 9999       | a between '-3' and '9999'
            {a} in (-1, 2) or {n} > -1    | a in ('-1', '2') or n > -1
            char_length({a}) > 5          | char_length(a) > 5
            {n} - 1 > 0 and {a} > {n} -2  | n - 1 > 0 and a > n -2
            """)
    void a_number_beside_a_text_is_a_text_where_nothing_makes_it_one(String standard, String postgresql) {
        Map<String, DataType> types = Map.of("a", new DataType.Text(9), "n", new DataType.Whole(9));
        Expression<String> expression = Expression.parse(standard, name -> name);

        assertThat(Dialects.POSTGRESQL.written(expression, types::get)).isEqualTo(postgresql);
        assertThat(Dialects.MYSQL.written(expression, types::get))
                .isEqualTo(standard.replace("{", "").replace("}", ""));
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            textBlock =
                    """
            time   | current_timestamp | current_time | (current_time) | cast(sysdatetime() as time(0))
            date   | current_timestamp | current_date | (current_date) | cast(sysdatetime() as date)
            moment | current_timestamp | current_timestamp | current_timestamp | sysdatetime()
            moment anywhere | current_timestamp | current_timestamp | current_timestamp | sysdatetimeoffset()
            year   | current_date      | extract(year from current_date) | (extract(year from current_date)) | year(sysdatetime())
            uuid   | new_uuid()        | gen_random_uuid() | (uuid()) | newid()
            text   | 'it''s'           | 'it''s' | ('it''s') | N'it''s'
            text 9 | 'a'               | 'a' | 'a' | N'a'
            whole  | -5                | -5 | -5 | -5
            yes/no | true              | TRUE | TRUE | 1
            whole  | current_date      | none | none | none
            time   | current_date      | none | none | none
            whole  | 'lots'            | none | none | none
            text 9 | new_uuid()        | none | none | none
            text 36 | new_uuid()       | gen_random_uuid() | (uuid()) | newid()
            text 35 | new_uuid()       | none | none | none
            decimal 4,1 | current_date | none | none | none
            text   | lower('A')        | lower('A') | (lower('A')) | lower(N'A')
            """,
            quoteCharacter = '~')
    void a_default_gives_a_value_of_its_type_or_is_left_out(
            String type, String expression, String postgresql, String mysql, String sqlserver) {
        DataType read = DataTypes.parse(type);

        assertThat(List.of(Dialects.POSTGRESQL, Dialects.MYSQL, Dialects.SQL_SERVER).stream()
                        .map(dialect -> dialect.defaultValue(Expression.text(expression), read)
                                .orElse("none")))
                .containsExactly(postgresql, mysql, sqlserver);
    }

    @ParameterizedTest
    @CsvSource({
        "postgresql, order, \"order\"",
        "mysql, order, `order`",
        "sqlserver, order, [order]",
        "oracle, level, \"LEVEL\"",
        "h2, value, \"VALUE\"",
        "h2, Value, \"Value\"",
        "mysql, a`b, `a``b`",
        "sqlserver, a]b, [a]]b]",
        "h2, Mixed, \"Mixed\"",
        "standard, plain_1, plain_1",
        "postgresql, az_09, az_09",
        "postgresql, a@, \"a@\"",
        "postgresql, a`, \"a`\"",
        "postgresql, _, \"_\"",
        "postgresql, 1a, \"1a\"",
        "mariadb, 🐝x, `u1f41dx`"
    })
    void names_are_quoted_by_need_in_each_manner(String dialect, String name, String quoted) {
        assertThat(named(dialect).quoted(name)).isEqualTo(quoted);
    }

    @ParameterizedTest
    @CsvSource({"postgresql, xmin, xmin_", "postgresql, XMIN, \"XMIN_\"", "sqlite, rowid, rowid_", "mysql, xmin, xmin"})
    void a_column_is_never_called_as_the_database_calls_its_own(String dialect, String name, String column) {
        assertThat(named(dialect).column(name)).isEqualTo(column);
    }

    @Test
    void names_are_measured_as_the_database_measures_them() {
        String umlauts = "ä".repeat(40);

        assertThat(Dialects.POSTGRESQL.traits().isTooLong(umlauts))
                .as("80 bytes")
                .isTrue();
        assertThat(Dialects.MYSQL.traits().isTooLong(umlauts))
                .as("40 characters")
                .isFalse();
        assertThat(Dialects.MYSQL.traits().isTooLong("a".repeat(65))).isTrue();
        assertThat(Dialects.SQLITE.traits().isTooLong("a".repeat(5000))).isFalse();
        assertThat(Dialects.POSTGRESQL.traits().isTooLong("a".repeat(63))).isFalse();
    }

    @Test
    void empties_and_texts_count_as_each_database_counts_them() {
        assertThat(Dialects.POSTGRESQL.traits().empties()).isEqualTo(Empties.MANY);
        assertThat(Dialects.SQL_SERVER.traits().empties()).isEqualTo(Empties.ONE);
        assertThat(Dialects.ORACLE.traits().empties()).isEqualTo(Empties.MANY_IF_ALL_EMPTY);
        assertThat(Dialects.MYSQL.traits().comparison()).isEqualTo(TextComparison.NO_CASE_NO_ACCENTS);
        assertThat(Dialects.SQL_SERVER.traits().comparison()).isEqualTo(TextComparison.NO_CASE);
        assertThat(Dialects.H2.traits().comparison()).isEqualTo(TextComparison.EXACT);
        assertThat(Dialects.H2.traits().folding()).isEqualTo(Traits.Folding.UPPER);
        assertThat(Dialects.POSTGRESQL.traits().folding()).isEqualTo(Traits.Folding.LOWER);
    }

    @ParameterizedTest
    @CsvSource({
        "postgresql, RESTRICT, RESTRICT, RESTRICT", "oracle, RESTRICT, NO_ACTION, NO_ACTION",
        "oracle, CASCADE, CASCADE, NO_ACTION", "oracle, SET_NULL, SET_NULL, NO_ACTION",
        "mysql, SET_DEFAULT, NO_ACTION, NO_ACTION", "mysql, CASCADE, CASCADE, CASCADE",
        "sqlserver, SET_DEFAULT, SET_DEFAULT, SET_DEFAULT", "sqlserver, RESTRICT, NO_ACTION, NO_ACTION"
    })
    void an_action_that_is_missing_gives_way(
            String dialect, ReferenceAction wanted, ReferenceAction deleting, ReferenceAction updating) {
        assertThat(named(dialect).deleting(wanted)).isEqualTo(deleting);
        assertThat(named(dialect).updating(wanted)).isEqualTo(updating);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            textBlock =
                    """
            postgresql | bytes | 0AFF | '\\x0aff'
            sqlserver  | bytes | 0aff | 0x0aff
            oracle     | bytes | 0aff | hextoraw('0aff')
            mysql      | moment anywhere | 2027-04-12 00:30+02:00 | '2027-04-11 22:30:00'
            oracle     | moment anywhere | 2027-04-12 09:30+02:00 | TIMESTAMP '2027-04-12 09:30:00 +02:00'
            oracle     | date  | 2027-04-12 | DATE '2027-04-12'
            standard   | time  | 9:30 | '9:30'
            standard   | time  | 09:30 | TIME '09:30:00'
            h2         | json  | {"a": 1} | JSON '{"a":1}'
            sqlserver  | yes/no | yes | 1
            mysql      | text  | a\\b | 'a\\\\b'
            postgresql | text  | a\\b | 'a\\b'
            postgresql | whole | 007 | 7
            """,
            quoteCharacter = '~')
    void a_value_is_written_as_a_literal_of_its_type(String dialect, String type, String value, String literal) {
        assertThat(named(dialect).literal(DataTypes.parse(type), Optional.of(value)))
                .isEqualTo(literal);
        assertThat(named(dialect).literal(DataTypes.parse(type), Optional.empty()))
                .isEqualTo("NULL");
    }

    private static final List<Dialect> ALL = Dialects.ALL;

    @ParameterizedTest
    @FieldSource("ALL")
    void each_dialect_is_found_by_its_name_and_takes_its_own_options(Dialect dialect) {
        assertThat(Dialects.named(dialect.name().toUpperCase(Locale.ROOT))).contains(dialect);
        dialect.traits()
                .options()
                .forEach(option -> Dialects.requireOption(
                        dialect.name() + "." + option.name(),
                        Stream.of(
                                        "x",
                                        "yes",
                                        "simple",
                                        "fulltext",
                                        "bitmap",
                                        "clustered",
                                        "current_timestamp(3)",
                                        "12",
                                        "fillfactor=70",
                                        "desc",
                                        "INITIALLY DEFERRED",
                                        "INITIALLY IMMEDIATE",
                                        "NO INHERIT",
                                        "NOT ENFORCED",
                                        "DISABLE",
                                        "IGNORE",
                                        "one")
                                .filter(option::takes)
                                .findFirst()
                                .orElseThrow()));
        Map<String, String> options = Map.of("other.engine", "x", dialect.name() + ".type", "y");
        assertThat(dialect.option(options, "type")).contains("y");
        assertThat(dialect.has(options, "engine")).isFalse();
        assertThat(dialect.understands(NONE)).isTrue();
    }

    @Test
    void a_choice_that_is_not_there_is_refused_with_what_there_is() {
        Dialects.requireChoice("sqlite.types", "strict");
        assertThatThrownBy(() -> Dialects.requireChoice("sqlite.types", "firm"))
                .hasMessage("'firm' is none of checks, strict, loose, which 'sqlite.types' can be");
        assertThatThrownBy(() -> Dialects.requireChoice("mysql.types", "strict"))
                .hasMessage("no dialect has a choice 'mysql.types'");
        assertThatThrownBy(() -> Dialects.requireOption("engine", "x"))
                .hasMessageContaining("names no dialect")
                .hasMessageContaining("postgresql, mysql, mariadb");
        assertThat(Dialects.H2.choosing(Map.of("sqlite.types", "strict"))).isSameAs(Dialects.H2);
        assertThat(Dialects.SQLITE.choosing(Map.of())).isSameAs(Dialects.SQLITE);
    }

    @Test
    void a_moment_is_within_what_its_type_holds_or_not() {
        TypeForm anywhere = Dialects.MYSQL.form(DataType.Simple.MOMENT_ANYWHERE);

        assertThat(anywhere.isUnlimited()).isFalse();
        assertThat(anywhere.holds("2038-01-19 03:14:07")).isTrue();
        assertThat(anywhere.holds("2038-01-19 03:14:08")).isFalse();
        assertThat(anywhere.holds("1970-01-01 00:00:00")).isFalse();
        assertThat(Dialects.POSTGRESQL.form(DataType.Simple.MOMENT_ANYWHERE).holds("2038-01-19 03:14:08"))
                .isTrue();
    }

    @Test
    void a_domain_is_called_by_its_name_with_its_namespace() {
        assertThat(Dialects.POSTGRESQL.type(new DataType.InDomain("zip"))).isEqualTo("zip");
        assertThat(Dialects.POSTGRESQL.type(new DataType.InDomain("shop.order")))
                .isEqualTo("shop.\"order\"");
        assertThat(Dialects.POSTGRESQL.reserves("Order")).isTrue();
        assertThat(Dialects.POSTGRESQL.reserves("hive")).isFalse();
    }

    @Test
    void an_option_of_another_dialect_is_refused() {
        assertThatThrownBy(() -> Dialects.requireOption("postgresql.engine", "InnoDB"))
                .hasMessage(
                        "'engine' is no option of PostgreSQL; its options are collation, constraint, default, deferrable, deferred, empties, enum, held, include, key_include, key_later, later, match, method, not_null, owned_sequence, partition, sequence, serial, storage, tablespace, type");
        assertThatThrownBy(() -> Dialects.requireOption("mysql.engine", "a; b")).hasMessageContaining("no value");
        Dialects.requireOption("mysql.type", "enum('a','b''c')");
        Dialects.requireOption("postgresql.type", "timestamp(3) with time zone");
        Dialects.requireOption("mysql.type", "int(10) unsigned");
        assertThatThrownBy(() -> Dialects.requireOption("mysql.type", "int); drop table x"))
                .hasMessageContaining("no value");
    }
}
