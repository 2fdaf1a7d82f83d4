package ableschema.core.reverse;

import static org.assertj.core.api.Assertions.assertThat;

import ableschema.core.ddl.SqlRead;
import ableschema.core.ddl.SqlReader;
import ableschema.core.ddl.SqlSource;
import ableschema.core.difference.Difference;
import ableschema.core.rows.DesignScript;
import ableschema.core.schema.Schema;
import ableschema.core.sql.dialect.Dialect;
import ableschema.core.sql.dialect.Dialects;
import ableschema.core.store.DocumentFile;
import ableschema.core.words.DesignReader;
import ableschema.core.words.DesignText;
import java.nio.file.Path;
import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.junit.jupiter.params.provider.ValueSource;

/** What is read from SQL becomes a design whose own SQL is the same again. */
class RoundTripTest {

    static Stream<Path> scripts() {
        return Stream.concat(SqlSource.dumps(), SqlSource.written());
    }

    static Stream<Path> dumps() {
        return SqlSource.dumps();
    }

    private static SqlRead read(Path file) {
        return SqlReader.read(SqlSource.text(file), SqlSource.dialect(file));
    }

    private static Reversed reversed(Path file) {
        SqlRead read = read(file);
        return Reverse.of(read.schema(), "read", read.dialect().name());
    }

    @ParameterizedTest
    @MethodSource("scripts")
    void the_tables_of_the_design_are_those_that_were_read(Path file) {
        assertThat(reversed(file).differences()).isEmpty();
    }

    @ParameterizedTest
    @MethodSource("scripts")
    void its_sql_is_read_as_the_same_again(Path file) {
        Dialect dialect = SqlSource.dialect(file);
        Reversed first = reversed(file);
        Schema found = read(file).schema();
        Schema before = Completed.by(first.document().mapping().schema(), new Found(found), found);
        SqlRead again = SqlReader.read(
                DesignScript.definitions(first.document().mapping(), dialect).text(), dialect);

        assertThat(again.skipped()).isEmpty();
        assertThat(before.differences(
                        Completed.by(first.document().mapping().schema(), new Found(again.schema()), again.schema())))
                .filteredOn(RoundTripTest::counts)
                .isEmpty();
    }

    /** What people should know of a thing is a comment of the script where the database keeps none. */
    private static boolean counts(Difference difference) {
        return !difference.toString().contains(" comment ");
    }

    @ParameterizedTest
    @MethodSource("scripts")
    void reading_twice_gives_the_same_file(Path file) {
        String once = DocumentFile.print(reversed(file).document());

        assertThat(DocumentFile.print(reversed(file).document())).isEqualTo(once);
        assertThat(DocumentFile.print(DocumentFile.parse(once))).isEqualTo(once);
        assertThat(DocumentFile.parse(once).mapping().schema())
                .as("nothing of the tables is lost on the way through the file")
                .isEqualTo(reversed(file).document().mapping().schema());
    }

    @ParameterizedTest
    @MethodSource("dumps")
    void the_design_can_be_said_in_words(Path file) {
        var design = reversed(file).document().design();
        DesignReader.Result result = DesignReader.read(DesignText.of(design).text(), true);

        assertThat(result.problems()).isEmpty();
        assertThat(result.document().design().entities()).hasSameSizeAs(design.entities());
        assertThat(result.document().design().relationships()).hasSameSizeAs(design.relationships());
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "create table a (id int primary key); create table b (x int, constraint f1 foreign key (x) references a,"
                        + " constraint f2 foreign key (x) references a on delete cascade);",
                "create table a (x int, y int, constraint u1 unique (x, y), constraint u2 unique (y, x), unique (x));",
                "create table a (id int primary key, p int not null references a, q int unique references a);",
                "create table a (x int, y int, primary key (x, y)); create table b (p int, q int, foreign key (q, p) references a (y, x));",
                "create table a (id int primary key, b_id int); create table b (id int primary key, a_id int not null references a);"
                        + " alter table a add foreign key (b_id) references b;",
                "create table a (id int primary key); create table b (id int primary key references a); create table c (id int"
                        + " primary key references b);",
                "create table a (code text unique, id int primary key); create table b (code text references a (code));",
                "create table p (id int primary key); create table q (id int primary key); create table pq (p_id int references p,"
                        + " q_id int references q, since date, primary key (p_id, q_id, since));",
                "create table a (id int primary key); create table b (a_id int references a, a_id2 int references a, primary key (a_id, a_id2));",
                "create table a (x int, y int, primary key (x, y)); create table b (x int, y int, z int, primary key (x, z),"
                        + " foreign key (x, y) references a);"
            })
    void shapes_of_keys_and_references_come_back_as_they_were(String sql) {
        SqlRead read = SqlReader.read(sql, Dialects.POSTGRESQL);
        Reversed first = Reverse.of(read, "read");
        SqlRead again = SqlReader.read(
                DesignScript.definitions(first.document().mapping(), Dialects.POSTGRESQL)
                        .text(),
                Dialects.POSTGRESQL);

        assertThat(read.skipped()).isEmpty();
        assertThat(first.differences()).isEmpty();
        assertThat(read.counts()).isEqualTo(again.counts());
    }
}
