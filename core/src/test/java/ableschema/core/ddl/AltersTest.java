package ableschema.core.ddl;

import static org.assertj.core.api.Assertions.assertThat;

import ableschema.core.reverse.Reverse;
import ableschema.core.rows.DesignScript;
import ableschema.core.schema.Table;
import ableschema.core.sql.dialect.Dialects;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What later statements make of a table, and the spellings that an engine takes for one another. */
class AltersTest {

    private static List<Table> tables(String dialect, String sql) {
        SqlRead read = SqlReader.read(sql, Dialects.named(dialect).orElseThrow());
        assertThat(read.skipped()).isEmpty();
        return read.schema().tables();
    }

    /** Each as the engine had it when both were tried. */
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            quoteCharacter = '~',
            textBlock =
                    """
            postgresql | create table a (id serial); alter table a alter id drop default | create table a (id integer not null)
            postgresql | create table a (id smallserial); alter table a alter id set default 5 | create table a (id smallint not null default 5)
            postgresql | create table a (id serial); alter table a alter id type bigint; alter table a alter id drop default | create table a (id bigint not null)
            postgresql | create table a (id serial); alter table a rename to b | create sequence a_id_seq; create table b (id integer not null default nextval('a_id_seq')); alter sequence a_id_seq owned by b.id
            postgresql | create table a (id serial); alter table a rename id to no | create sequence a_id_seq; create table a (no integer not null default nextval('a_id_seq')); alter sequence a_id_seq owned by a.no
            postgresql | create table a ("no. 1" serial); alter table a rename to b | create sequence "a_no. 1_seq"; create table b ("no. 1" integer not null default nextval('"a_no. 1_seq"')); alter sequence "a_no. 1_seq" owned by b."no. 1"
            postgresql | create table a (id serial); alter table a alter id type varchar(9) | create table a (id varchar(9) not null default nextval('a_id_seq'))
            postgresql | create table a (x int, n int, d int generated always as (n + 1) stored unique); alter table a drop n cascade | create table a (x int)
            postgresql | create table a (n int default 5); alter table a alter n type numeric(6,2) | create table a (n numeric(6,2) default 5.00)
            postgresql | create table a (n int default 1e3) | create table a (n int default 1000)
            postgresql | create table a (c char, d character) | create table a (c char(1), d character(1))
            postgresql | create table a (c text check (trim(both from c) <> '')) | create table a (c text check (trim(c) <> ''))
            postgresql | create table a (n int check ((n % 2) = 0)) | create table a (n int check (n % 2 = 0))
            mariadb | create table a (b int check (b > 1)); alter table a modify b bigint | create table a (b bigint)
            mariadb | create table a (b int check (b > 1)); alter table a change b c bigint check (c > 2) | create table a (c bigint check (c > 2))
            mariadb | create table a (b int, c int, index i (b, c)); alter table a drop column b | create table a (c int, index i (c))
            mariadb | create table a (b int, check (not (b = 3))) | create table a (b int, check (b <> 3))
            mariadb | create table a (b int, check (b % 2 = 0), check (mod(b, 3) = 0)) | create table a (b int, check (b mod 2 = 0), check (b mod 3 = 0))
            mariadb | create table a (b int, c int, check (b + c % 2 = 0)) | create table a (b int, c int, check (b + mod(c, 2) = 0))
            mariadb | create table a (b varchar(9), check (length(b) > 2)) | create table a (b varchar(9), check (octet_length(b) > 2))
            mariadb | create table a (b text(60), c text(100), d blob(100), e long varbinary) | create table a (b tinytext, c text, d tinyblob, e mediumblob)
            mariadb | create table a (b datetime(3) default now()) | create table a (b datetime(3) default current_timestamp(3))
            mariadb | create table a (b decimal(5,0) default 10.50, c int default 2.4) | create table a (b decimal(5,0) default 11, c int default 2)
            mariadb | create table a (b int, unique key u (b desc)) | create table a (b int); create unique index u on a (b desc)
            mariadb | create table a (b int as (1 + 1)); alter table a alter b set default 3 | create table a (b int as (1 + 1))
            mariadb | create table a (b int auto_increment primary key); alter table a alter b set default 3 | create table a (b int auto_increment primary key)
            mysql | create table a (b int, c int, index i (b), index k (c)); alter table a alter index i invisible | create table a (b int, c int, key i (b) invisible, key k (c) visible)
            mariadb | create table a (`b c` longtext character set utf8mb4 collate utf8mb4_bin not null check (json_valid(`b c`)) comment 'x') | create table a (`b c` json not null comment 'x')
            mariadb | /*M!999999\\- enable the sandbox mode */ /*!40101 set names utf8 */; create table a (b int /*!50606 invisible */) | create table a (b int invisible)
            mariadb | create table a (b longtext, check (json_valid(b))) | create table a (b longtext, check (json_valid(b)))
            postgresql | create sequence s; alter table s owner to x; create view v as select 1; alter table only v owner to x; create table a (b int) | create sequence s; create view v as select 1; create table a (b int)
            mariadb | create table a (b int, index i (b)); alter table a alter index i ignored | create table a (b int, key i (b) ignored)
            mariadb | create table a (b int, index i (b) ignored); alter table a alter index i not ignored | create table a (b int, key i (b))
            h2 | create table a (b int not null default 5); alter table a alter column b bigint | create table a (b bigint not null)
            h2 | create table a (b uuid default random_uuid() selectivity 50 not null) | create table a (b uuid default random_uuid() not null)
            h2 | create table a (b smalldatetime) | create table a (b timestamp(0))
            h2 | create table a (b numeric(6,1), check (b <> 5.0 and b < 1E+2)) | create table a (b numeric(6,1), check (b <> 5 and b < 100))
            h2 | create table a (b int default + 2) | create table a (b int default 2)
            """)
    void a_script_is_read_as_another(String dialect, String script, String other) {
        assertThat(tables(dialect, script)).isEqualTo(tables(dialect, other));
    }

    @Test
    void a_remainder_of_a_product_is_not_that_of_a_factor() {
        List<Table> tables = tables("mariadb", "create table a (b int, c int, check (b * c % 2 = 0))");

        assertThat(tables.get(0).checks())
                .extracting(check -> check.expression().toString())
                .containsExactly("{b} * {c} % 2 = 0");
    }

    @ParameterizedTest
    @CsvSource({"mariadb, other", "mysql, other", "postgresql, id"})
    void where_no_columns_are_said_a_reference_leads_to(String dialect, String column) {
        List<Table> tables = tables(
                dialect,
                "create table p (id int primary key, other int unique);"
                        + " create table c (other int, foreign key (other) references p)");

        assertThat(tables.get(1).foreignKeys()).singleElement().satisfies(key -> assertThat(key.targetColumns())
                .containsExactly(column));
    }

    /** What its design writes is what was found. */
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            quoteCharacter = '~',
            textBlock =
                    """
            postgresql | create table a (id int primary key, c bpchar) | c  bpchar
            postgresql | create table a (id serial primary key); alter table a rename to b | ALTER SEQUENCE a_id_seq OWNED BY b.id;
            postgresql | create sequence s; create table a (n int primary key); alter sequence s owned by a.n; alter table a alter n set default nextval('s') | ALTER SEQUENCE s OWNED BY a.n;
            postgresql | create sequence s; create table a (n int primary key default nextval('s'), m int); alter sequence s owned by a.n | ALTER SEQUENCE s OWNED BY a.n;
            mariadb | create table a (x varchar(9) primary key, y varchar(9) collate latin1_bin as (x) virtual) | y varchar(9) COLLATE latin1_bin GENERATED ALWAYS AS (x) VIRTUAL
            sqlite | create table a (t text primary key check (t like 'A%')) | CHECK (t like 'A%')
            sqlite | create table a (t text primary key check (t glob 'A*' and t not glob '[B]*')) | CHECK (t glob 'A*' and t not glob '[B]*')
            sqlite | create table a (n int primary key, d decimal(8,2) as (n * 2) stored) | d decimal(8,2) GENERATED ALWAYS AS (n * 2) STORED
            sqlite | create table a (n int primary key, d decimal(8,2) as (round(n * 2, 2)) stored) | d decimal(8,2) GENERATED ALWAYS AS (round(n * 2, 2)) STORED
            """)
    void a_design_writes_what_was_found(String dialect, String script, String line) {
        SqlRead read = SqlReader.read(script, Dialects.named(dialect).orElseThrow());
        var document = Reverse.of(read, "found").document();

        assertThat(DesignScript.definitions(document.mapping(), read.dialect()).text())
                .contains(line);
    }

    /** A pattern that LIKE has too is one of all databases. */
    @Test
    void what_looks_at_letter_case_is_like_elsewhere() {
        SqlRead read = SqlReader.read(
                "create table a (t text primary key check (t glob 'A?b*'))",
                Dialects.named("sqlite").orElseThrow());

        assertThat(read.schema().tables().get(0).checks())
                .extracting(check -> check.expression().toString())
                .containsExactly("{t} like 'A_b%'");
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            quoteCharacter = '~',
            textBlock =
                    """
            h2 | create table a (id int primary key, b int references a (id) deferrable) | that it may be checked at the end of a transaction is not kept
            postgresql | create table a (b int); alter table a add constraint c check (b > 1) not valid | that rows from before need not meet it is not kept
            postgresql | create table a (b int primary key, c int); alter table a add constraint f foreign key (c) references a not valid | that rows from before need not meet it is not kept
            mysql | create table a (b int, index i (b) comment 'why') | what is said of an index is not kept
            mysql | create table a (b int); create index i on a (b) comment 'why' | what is said of an index is not kept
            mysql | create table a (b int, unique key u (b) invisible) | that no query uses an index is not kept
            sqlite | create table a (b int not null on conflict replace default 5) | what becomes of a row that conflicts is not kept
            oracle | create table a (b number constraint n not null) | the names of rules that a column is never empty are not kept, here and in what follows
            postgresql | create table a (b int constraint n check (b > 1) not enforced) | that a constraint holds nothing is not kept
            postgresql | create table a (b int primary key, c int references a (b) not enforced) | that a constraint holds nothing is not kept
            oracle | create table a (b number); create index i on a (b) reverse | that an index keeps its values from back to front is not kept
            postgresql | create table a (b int constraint d default 5, c int constraint e default 6) | the names of defaults are not kept, here and in what follows
            sqlite | create table a (b integer primary key desc) | that a key is not the number of its row is not kept
            h2 | create table a (b timestamp default now() on update now()) | what a column takes whenever its row is changed is not kept
            sqlserver | create table a (b int); create index i on a (b); alter index i on a disable | that no query uses an index is not kept
            oracle | create table a (b int); create index i on a (b); alter index i unusable | that no query uses an index is not kept
            postgresql | create table a (b int); create index i on a (b) invisible | that no query uses an index is not kept
            """)
    void what_cannot_be_kept_of_a_key_or_an_index_is_told(String dialect, String sql, String lost) {
        assertThat(SqlReader.read(sql, Dialects.named(dialect).orElseThrow()).skipped())
                .extracting(Skipped::reason)
                .containsExactly(lost);
    }

    @Test
    void a_unique_index_that_takes_columns_along_stays_one() {
        Table table = tables(
                        "sqlserver",
                        "create table a (b int, c int); create unique index i on a (b) include (c) where b is not null")
                .get(0);

        assertThat(table.uniques()).isEmpty();
        assertThat(table.indexes().get(0).options()).containsEntry("sqlserver.include", "c");
    }

    @Test
    void a_comment_keeps_its_tabs_in_the_script_of_its_design() {
        SqlRead read = SqlReader.read(
                "create table a (b int primary key); comment on column a.b is E' x\\ty\\001'", Dialects.POSTGRESQL);

        assertThat(DesignScript.definitions(Reverse.of(read, "found").document().mapping(), Dialects.POSTGRESQL)
                        .text())
                .contains("COMMENT ON COLUMN a.b IS ' x\ty ';");
    }

    @Test
    void a_comment_of_several_lines_keeps_them() {
        SqlRead read = SqlReader.read(
                "create table a (b int); comment on table a is 'one\n''two'''; comment on column a.b is E'x\\ny'",
                Dialects.POSTGRESQL);

        assertThat(DesignScript.definitions(Reverse.of(read, "again").document().mapping(), Dialects.POSTGRESQL)
                        .text())
                .contains("COMMENT ON TABLE a IS 'one\n''two''';", "COMMENT ON COLUMN a.b IS 'x\ny';");
    }
}
