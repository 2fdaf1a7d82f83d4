package ableschema.core.ddl;

import static org.assertj.core.api.Assertions.assertThat;

import ableschema.core.schema.Column;
import ableschema.core.sql.dialect.Dialect;
import ableschema.core.sql.dialect.Dialects;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What single statements say, in the ways in which each database has them, and what becomes of those that say something else. */
class SqlReaderTest {

    private static Dialect dialect(String name) {
        return Dialects.named(name.strip()).orElseThrow();
    }

    private static SqlRead read(String dialect, String sql) {
        return SqlReader.read(sql, dialect(dialect));
    }

    private static List<String> said(String dialect, String sql) {
        return SqlSource.said(read(dialect, sql).schema());
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '#',
            quoteCharacter = '~',
            textBlock =
                    """
            postgresql # create table t (a int default -1);                              # t.a: column 1 whole default -1
            postgresql # create table t (a int default '7'::integer);                    # t.a: column 1 whole default 7
            postgresql # create table t (a text default 'it''s'::text);                  # t.a: column 1 text default 'it''s'
            postgresql # create table t (a boolean default 't');                         # t.a: column 1 yes/no default true
            postgresql # create table t (a timestamptz default timezone('utc', now()));  # t.a: column 1 moment anywhere default timezone('utc', now()) in postgresql
            postgresql # create table t (a varchar(9) default null);                     # t.a: column 1 text 9
            postgresql # create table t (a smallserial);                                 # t.a: column 1 whole not null numbered from 1 by 1 options {postgresql.serial=yes, postgresql.type=smallint}
            postgresql # create sequence s start 5 increment 2; create table t (a int default nextval('s')); # t.a: column 1 whole numbered from 5 by 2 options {postgresql.sequence=s}
            postgresql # create table t (a int, check (((a > 0) and (a < 9))));          # t check t_a_check: {a} > 0 and {a} < 9
            postgresql # create table t (a int, b int, check (not (a > b)));             # t check t_check: not ({a} > {b})
            postgresql # create table t (a int, b int, check ((a + b) * 2 > 3));         # t check t_check: ({a} + {b}) * 2 > 3
            postgresql # create table t (a text, check (a ~* '^x'));                     # t check t_a_check: {a} ~* '^x' in postgresql
            mysql      # create table t (a int default '0');                             # t.a: column 1 whole default 0
            mysql      # create table t (a bit(1) default b'1');                         # t.a: column 1 yes/no default true options {mysql.type=bit(1)}
            mysql      # create table t (a varchar(9) default "it's");                   # t.a: column 1 text 9 default 'it''s'
            mysql      # create table t (a varchar(9) default 'a\\'b');                  # t.a: column 1 text 9 default 'a''b'
            mysql      # create table t (a datetime default current_timestamp());        # t.a: column 1 moment default current_timestamp
            mysql      # create table t (a int, b int, check (a || b));                  # t check t_chk_1: {a} || {b} in mysql
            mysql      # create table t (a text, check (lcase(a) = concat(a, 'x')));     # t check t_chk_1: lower({a}) = {a} || 'x'
            mysql      # create table t (a int primary key) comment 'x' engine=myisam;   # table t: there comment x options {mysql.engine=myisam}
            sqlserver  # create table t ([a] bit default ((1)));                         # t.a: column 1 yes/no default true
            sqlserver  # create table t (a varchar(max) default N'x');                   # t.a: column 1 text default 'x' options {sqlserver.type=varchar(max)}
            sqlserver  # create table t (a int, index i nonclustered (a desc));          # t index i: a descending
            sqlserver  # create table t (a int constraint k primary key clustered with fillfactor = 80 on [fg]); # t primary key: k [a]
            sqlserver  # create table t (a time(3), b as (a) persisted not null);        # t.b: column 2 time not null computed {a}
            oracle     # create table t (a number(10), b date default sysdate);          # t.a: column 1 whole
            oracle     # create table t (a number(8,2) default 0);                       # t.a: column 1 decimal 8,2 default 0.00
            oracle     # create table t (a varchar2(9 char) default q'{it's}');          # t.a: column 1 text 9 default 'it''s'
            oracle     # create table "T" ("A" number(1)); alter table t modify (a not null); # t.a: column 1 yes/no not null options {oracle.type=number(1)}
            sqlite     # create table t (a integer primary key);                         # t.a: column 1 whole not null numbered from 1 by 1 options {sqlite.rowid=yes}
            sqlite     # create table t ("a b" unsigned big int);                        # t.a b: column 1 whole options {sqlite.type=unsigned big int}
            sqlite     # create table t (a text check (length(a) <= 9));                 # t.a: column 1 text
            sqlite     # create table t (a varchar(9) check (length(a) <= 9));           # t.a: column 1 text 9
            h2         # create table t (U&"caf\\00e9" int);                             # t.caf\u00e9: column 1 whole
            standard   # create table t (a date default date '2027-01-02');              # t.a: column 1 date default '2027-01-02'
            standard   # create table t (a int) /* a -- b ; */ ; -- c                    # t.a: column 1 whole
            """)
    void a_statement_is_read_as_what_the_database_makes_of_it(String dialect, String sql, String said) {
        assertThat(said(dialect, sql)).contains(said);
        assertThat(read(dialect, sql).skipped()).isEmpty();
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '#',
            quoteCharacter = '~',
            textBlock =
                    """
            postgresql # create temp table t (a int)                      # a table that lasts as long as the session is not part of a design
            postgresql # create table t as select 1                       # its columns follow from something else than a list of them
            postgresql # create table t (a int, a text)                   # there is a column a already
            postgresql # create table t (a int, primary key (b))          # there is no column b in t
            postgresql # create table t (a int references u)              # it refers to u, which is not among the tables
            postgresql # create table t (a int blah)                      # nothing is known of what stands before 'blah'
            postgresql # alter table u add a int                          # there is no table u
            postgresql # create temp view v as select 1                   # a view that lasts as long as the session is not part of a design
            postgresql # create role keeper login password 'x'            # a role is not part of a design
            mysql      # grant all on t to me identified by 'x'           # a right with a password is not kept
            postgresql # frobnicate the database                          # no statement that is read
            mysql      # drop index i on t                                # there is no table t
            sqlite     # create virtual table t using fts5(a)             # a table whose rows are kept elsewhere
            """)
    void what_is_not_understood_is_listed_with_its_reason(String dialect, String sql, String reason) {
        List<Skipped> skipped =
                read(dialect, "\n\n" + sql + ";\ncreate table other (x int);").skipped();

        assertThat(skipped).singleElement().satisfies(each -> {
            assertThat(each.reason()).isEqualTo(reason);
            assertThat(each.line()).isEqualTo(3);
            assertThat(each.statement()).as("passwords are not repeated").doesNotContain("'x'");
        });
        assertThat(said(dialect, sql + ";\ncreate table other (x int);")).contains("table other: there");
    }

    @Test
    void what_is_changed_renamed_or_dropped_later_counts_as_it_ends_up() {
        String sql =
                """
                create table a (id int primary key, x int, y int);
                create table b (a_id int references a, z int);
                alter table a rename column id to no;
                alter table a rename to c;
                alter table c drop column x, alter column y type bigint, add constraint positive check (y > 0);
                alter table b rename constraint b_a_id_fkey to of_c;
                create table gone (q int); drop table gone;
                """;

        assertThat(said("postgresql", sql))
                .contains(
                        "b foreign key of_c: [a_id] to c [no] on delete NO ACTION on update NO ACTION",
                        "c check positive: {y} > 0",
                        "c.y: column 2 whole 999999999999999999")
                .noneMatch(each -> each.contains("gone") || each.startsWith("a"));
    }

    @Test
    void names_are_compared_as_each_database_does() {
        String sql = "create table Orders (Id int primary key); create table \"orders\" (x int references ORDERS(ID));";

        assertThat(read("postgresql", sql).schema().tables()).hasSize(1); // without quotes it is the same name
        assertThat(said("standard", sql)).anyMatch(each -> each.startsWith("table orders"));
        assertThat(read("sqlserver", "create table T (A int primary key); create table U (B int references t(a));")
                        .schema()
                        .tables()
                        .get(1)
                        .foreignKeys())
                .singleElement()
                .satisfies(key -> assertThat(key.targetColumns()).containsExactly("A"));
    }

    @Test
    void bodies_end_where_they_end_and_hide_no_table() {
        String sql =
                """
                CREATE TRIGGER a BEFORE INSERT ON t BEGIN SELECT CASE WHEN 1 THEN 2 END; DELETE FROM t; END;
                CREATE TABLE one (x int);
                CREATE TRIGGER b BEFORE INSERT ON t BEGIN DELETE FROM t;
                CREATE TABLE two (x int);
                """;

        assertThat(said("sqlite", sql)).contains("table one: there", "table two: there");
    }

    @Test
    void a_domain_cut_behind_its_default_is_listed_and_the_rest_is_read() {
        SqlRead read = read("postgresql", "create domain d as decimal(6,2) default;\ncreate table u (y int);");

        assertThat(read.skipped()).singleElement().satisfies(each -> assertThat(each.line())
                .isEqualTo(1));
        assertThat(read.schema().tables()).hasSize(1);
    }

    @Test
    void a_column_without_the_value_of_its_default_is_listed_and_the_rest_is_read() {
        SqlRead read = read(
                "postgresql",
                """
                create table t (x int default, y int default not null, z int);
                alter table t alter column z set default;
                create table u (y int);""");

        assertThat(read.skipped()).hasSize(3).allSatisfy(each -> assertThat(each.reason())
                .contains("a default without a value"));
        assertThat(read.schema().tables()).hasSize(2);
        assertThat(read.schema().tables().get(0).columns())
                .extracting(Column::name)
                .containsExactly("x", "y", "z");
    }
}
