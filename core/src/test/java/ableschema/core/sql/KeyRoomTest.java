package ableschema.core.sql;

import static org.assertj.core.api.Assertions.assertThat;

import ableschema.core.ddl.SqlReader;
import ableschema.core.document.Document;
import ableschema.core.reverse.Reverse;
import ableschema.core.rows.DesignScript;
import ableschema.core.sql.dialect.Dialects;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What is too wide for a key or an index is shortened where that changes nothing that is held, and told. */
class KeyRoomTest {

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            textBlock =
                    """
            mysql     | create table t (a varchar(2000)); create index x on t (a)                         | CREATE INDEX x ON t (a(768))                  | it may take 8,000 bytes, and there is room for 3,072: it is over the first 768 of a
            mariadb   | create table t (a varchar(2000), b int, c varchar(900)); create index x on t (b, a, c desc) | CREATE INDEX x ON t (b, a(383), c(383) DESC) | it is over the first 383 of a and 383 of c
            mysql     | create table t (a varchar(500), b varchar(700)); create index x on t (a, b)       | CREATE INDEX x ON t (a(384), b(384))          | it is over the first 384 of a and 384 of b
            mysql     | create table t (a varchar(60), b varchar(900)); create index x on t (a, b)        | CREATE INDEX x ON t (a, b(384))               | it is over the first 384 of b
            mysql     | create table t (a varchar(900) unique, b int)                                     | a varchar(900), b integer );                  | it may take 3,600 bytes, and there is room for 3,072: it is left out, and left to the application
            mariadb   | create table t (a varchar(900) unique, b int)                                     | UNIQUE (a)                                    | ''
            mysql     | create table t (a varchar(900) primary key)                                       | PRIMARY KEY (a)                               | the table is refused
            oracle    | create table t (a varchar(900), b varchar(900), unique (a, b))                    | b varchar2(900 char) );                       | it may take 7,200 bytes, and there is room for 6,398
            sqlserver | create table t (a bytea primary key)                                              | a varbinary(900) NOT NULL                     | bytes without a limit in keys and indexes
            oracle    | create table t (a bytea primary key, b bytea)                                     | a raw(2000) NOT NULL, b blob                  | bytes without a limit in keys and indexes
            h2        | create table t (a bytea primary key, b bytea)                                     | a varbinary NOT NULL, b blob                  | bytes without a limit in keys and indexes
            mysql     | create table t (a bytea, b text, unique (a, b))                                   | a varbinary(1536), b varchar(384),            | bytes without a limit in keys and indexes
            """)
    void what_has_no_room_is_shortened_or_left_out(String dialect, String sql, String expected, String told) {
        assertThat(script("postgresql", sql, dialect)).contains(expected).contains(told);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            textBlock =
                    """
            create table t (a varchar(1000), primary key (a)) charset=latin1         | PRIMARY KEY (a)
            create table t (a varchar(1000) collate latin1_bin, unique key u (a))     | UNIQUE (a)
            create table t (a varchar(1000), key x (a)) charset=utf8mb3               | CREATE INDEX x ON t (a)
            create table t (a varchar(1000), key x (a(300)))                          | CREATE INDEX x ON t (a(300))
            create table t (a varchar(1000), fulltext key x (a))                      | CREATE FULLTEXT INDEX x ON t (a)
            """)
    void what_fits_stays_as_it_was_found(String sql, String expected) {
        assertThat(script("mysql", sql, "mysql")).contains(expected).doesNotContain("room for");
    }

    private static String script(String from, String sql, String dialect) {
        Document document = Reverse.of(SqlReader.read(sql, Dialects.named(from).orElseThrow()), "found")
                .document();
        return DesignScript.definitions(
                        document.mapping(), Dialects.named(dialect).orElseThrow())
                .text()
                .replaceAll("[ \n]+", " ");
    }
}
