package ableschema.core.ddl;

import static org.assertj.core.api.Assertions.assertThat;

import ableschema.core.sql.dialect.Dialects;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** Scripts in the manner of real dumps are read as the text beside each says. */
class DumpsTest {

    static Stream<Path> dumps() {
        return SqlSource.dumps();
    }

    /** The kept texts are there to be read; a wanted change of what is read changes them in the same commit. */
    @ParameterizedTest
    @MethodSource("dumps")
    void a_dump_is_read_as_the_kept_text_says(Path file) throws Exception {
        SqlRead read = SqlReader.read(SqlSource.text(file), SqlSource.dialect(file));
        Path kept = Path.of(file.toString().replace(".sql", ".txt"));
        var said = Stream.of(
                        Stream.of(read.counts().toString()),
                        SqlSource.said(read.schema()).stream(),
                        read.skipped().stream()
                                .map(each -> "line " + each.line() + " left out, as " + each.reason() + ": "
                                        + each.statement()))
                .flatMap(lines -> lines)
                .flatMap(String::lines)
                .toList();

        assertThat(said).isEqualTo(Files.readString(kept).lines().toList());
        assertThat(read.cut()).isEmpty();
    }

    @ParameterizedTest
    @MethodSource("dumps")
    void the_dialect_is_told_by_the_text(Path file) {
        boolean kin = file.getFileName().toString().startsWith("mariadb"); // it says nothing that the other does not
        assertThat(DialectGuess.of(SqlSource.text(file))).isEqualTo(kin ? Dialects.MYSQL : SqlSource.dialect(file));
    }

    /** A text that could be of any dialect is of the one that its file or folder is called after; one that says more is not. */
    @Test
    void the_name_of_the_file_speaks_as_well() {
        String plain = "create table berth (id integer primary key, name varchar(20));";
        String own = "CREATE TABLE `berth` (id int AUTO_INCREMENT PRIMARY KEY) ENGINE=InnoDB;";

        assertThat(DialectGuess.of(plain, Path.of("/scripts/sqlite/create.sql")))
                .isEqualTo(Dialects.SQLITE);
        assertThat(DialectGuess.of(plain, Path.of("harbour.mssql.create.sql"))).isEqualTo(Dialects.SQL_SERVER);
        assertThat(DialectGuess.of(plain, Path.of("/h2/create_pg.sql"))).isEqualTo(Dialects.POSTGRESQL);
        assertThat(DialectGuess.of(plain, Path.of("/scripts/upgrade.sql"))).isEqualTo(Dialects.STANDARD);
        assertThat(DialectGuess.of(own, Path.of("/postgresql/create.sql"))).isEqualTo(Dialects.MYSQL);
    }

    @ParameterizedTest
    @MethodSource("dumps")
    void a_dump_that_is_cut_anywhere_is_read_up_to_there(Path file) {
        String text = SqlSource.text(file);
        int most = SqlReader.read(text, SqlSource.dialect(file)).counts().tables();
        int cut = 0;
        for (int length = 1; length < text.length(); length += 97) {
            SqlRead read = SqlReader.read(text.substring(0, length), SqlSource.dialect(file));
            cut += read.cut().isPresent() ? 1 : 0;
            assertThat(read.counts().tables())
                    .isLessThanOrEqualTo(most + 1); // one that is dropped later is still there
        }
        assertThat(cut).as("cuts in the middle of something").isPositive();
    }

    @Test
    void there_are_a_dozen() {
        assertThat(SqlSource.dumps()).hasSizeGreaterThanOrEqualTo(12);
        assertThat(SqlSource.dumps().map(SqlSource::dialect).distinct().toList())
                .containsAll(List.copyOf(Dialects.ALL));
    }
}
