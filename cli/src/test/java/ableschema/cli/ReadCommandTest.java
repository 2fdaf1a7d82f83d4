package ableschema.cli;

import static ableschema.cli.Run.able;
import static ableschema.cli.Run.refused;
import static org.assertj.core.api.Assertions.assertThat;

import ableschema.core.store.DocumentFile;
import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.Statement;
import java.util.List;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** {@code able read}: existing SQL becomes a design, and nothing of it is lost in silence. */
class ReadCommandTest {

    private static final String SQL =
            """
            CREATE TABLE vat (vat_no integer PRIMARY KEY, litres decimal(6,1) CHECK (litres > 0), caf\u00e9 text);
            CREATE TABLE brew (vat_no integer NOT NULL REFERENCES vat, begun date NOT NULL, PRIMARY KEY (vat_no, begun));
            CREATE INDEX brew_begun ON brew (begun);
            CREATE VIEW big AS SELECT * FROM vat WHERE litres > 100;
            INSERT INTO vat VALUES (1, 200.0, 'x');
            """;

    @TempDir
    private Path folder;

    private Path sql;
    private String out = "";

    @BeforeEach
    void write() throws Exception {
        sql = Files.writeString(folder.resolve("cellar.sql"), SQL);
        out = folder.resolve("cellar.able.json").toString();
    }

    @Test
    void a_design_is_written_and_what_is_no_part_of_it_is_said() throws Exception {
        Run run = able("read", sql.toString(), "--dialect", "postgresql", "-o", out);

        assertThat(run.exit()).as(run.err()).isZero();
        assertThat(run.out()).isEmpty();
        assertThat(run.err().lines())
                .containsExactly(
                        "line 5: left out, as a row is not read: INSERT INTO vat VALUES (1, 200.0, 'x')",
                        "read as PostgreSQL: 2 tables, 5 columns, 1 foreign key; 1 other statement carried along; 1 part left out");
        var design = DocumentFile.read(Path.of(out));
        assertThat(design.title()).isEqualTo("cellar");
        assertThat(able("tables", out, "--json").json().get("tables")).hasSize(2);
        assertThat(able("words", out).out()).contains("Each vat consists of any number of brews");
        assertThat(able("review", out).exit()).isZero();
    }

    @Test
    void the_counts_are_json_and_the_design_goes_to_its_file() throws Exception {
        Run run = able("read", sql.toString(), "--json", "-o", out);

        assertThat(run.json().get("tables").asInt()).isEqualTo(2);
        assertThat(run.json().get("primaryKeys").asInt()).isEqualTo(2);
        assertThat(run.json().get("checks").asInt()).isEqualTo(1);
        assertThat(run.json().get("indexes").asInt()).isEqualTo(1);
        assertThat(run.json().get("skipped").get(0).get("line").asInt()).isEqualTo(5);
        assertThat(run.json().get("carried").get(0).asText()).isEqualTo("view big");
        assertThat(Path.of(out)).exists();
    }

    @Test
    void a_design_is_not_written_over_unless_that_is_said() throws Exception {
        able("read", sql.toString(), "-o", out);
        String before = Files.readString(Path.of(out));
        Files.writeString(sql, "CREATE TABLE a (b int);");

        refused(able("read", sql.toString(), "-o", out), "it is a design", "--replace");
        refused(able("read", sql.toString(), "-o", sql.toString()), "cellar.sql");
        assertThat(Files.readString(Path.of(out))).isEqualTo(before);
        assertThat(able("read", sql.toString(), "-o", out, "--replace").exit()).isZero();
        assertThat(Files.readString(Path.of(out))).isNotEqualTo(before);
    }

    @Test
    void other_encodings_are_read() throws Exception {
        for (Charset charset : List.of(StandardCharsets.UTF_16, Charset.forName("windows-1252"))) {
            Files.write(sql, SQL.getBytes(charset));

            assertThat(able("read", sql.toString(), "-o", out, "--replace").exit())
                    .isZero();
            assertThat(Files.readString(Path.of(out))).contains("caf\u00e9");
        }
    }

    @Test
    void what_is_no_sql_is_refused_with_the_reason() throws Exception {
        Files.write(sql, new byte[] {(byte) 0x89, 'P', 'N', 'G', 13, 10, 26, 10, 0, 0, 0, 13});
        refused(able("read", sql.toString(), "-o", out), "cellar.sql", "no text");
        Files.write(sql, new byte[] {0x1F, (byte) 0x8B, 8, 0});
        refused(able("read", sql.toString(), "-o", out), "packed", "unpack");
        Files.writeString(sql, "Dear all,\nthe schema comes tomorrow.\n");
        refused(able("read", sql.toString(), "-o", out), "makes no table", "line 1");
        Files.writeString(sql, "");
        refused(able("read", sql.toString(), "-o", out), "makes no table");
        refused(able("read", folder.toString(), "-o", out), "folder");
        refused(able("read", folder.resolve("none.sql").toString(), "-o", out), "none.sql");
        refused(able("read", sql.toString(), "--dialect", "postgres", "-o", out), "did you mean 'postgresql'");
        assertThat(Path.of(out)).doesNotExist();
    }

    @Test
    void a_script_that_is_cut_is_refused_with_the_line_where_it_breaks() throws Exception {
        Files.writeString(sql, SQL.substring(0, SQL.indexOf("begun date")));
        refused(able("read", sql.toString(), "-o", out), "in the middle of a statement, begun in line 2");
        Files.writeString(sql, SQL.substring(0, SQL.indexOf("x');") + 1));
        refused(able("read", sql.toString(), "-o", out), "in the middle of a text between quotes, begun in line 5");
    }

    @Test
    void what_is_said_of_a_database_is_refused_of_a_file() throws Exception {
        refused(able("read", sql.toString(), "--schema", "x", "-o", out), "--url names");
        refused(able("read", sql.toString(), "--user", "x", "-o", out), "--url names");
        refused(
                able("read", "--url", "jdbc:sqlite:" + made(), "--schema", "x", "-o", out),
                "it has no schemas to choose from");
        refused(
                able(
                        "read",
                        "--url",
                        "jdbc:none:x",
                        "--driver",
                        folder.resolve("none.jar").toString(),
                        "-o",
                        out),
                "there is no driver at");
        assertThat(Path.of(out)).doesNotExist();
    }

    private Path made() throws Exception {
        Path file = folder.resolve("made.db");
        try (Connection connection = DriverManager.getConnection("jdbc:sqlite:" + file);
                Statement statement = connection.createStatement()) {
            statement.execute("CREATE TABLE vat (vat_no integer PRIMARY KEY)");
        }
        return file;
    }

    @Test
    void a_live_database_is_read_by_its_url() throws Exception {
        String url = "jdbc:sqlite:" + folder.resolve("club.db");
        try (Connection connection = DriverManager.getConnection(url);
                Statement statement = connection.createStatement()) {
            statement.executeUpdate(SQL);
        }
        Run run = able("read", "--url", url, "--json", "-o", out);

        assertThat(run.exit()).as(run.err()).isZero();
        assertThat(run.json().get("tables").asInt()).isEqualTo(2);
        assertThat(run.json().get("carried").get(0).asText()).contains("view");
        assertThat(able("words", out).out()).contains("Each vat consists of any number of brews");
        refused(
                able("read", "--url", "jdbc:sqlite:" + folder.resolve("none.db"), "-o", out),
                "none.db",
                "cannot be opened");
        refused(able("read", "--url", "jdbc:paper:x", "-o", out), "no driver");
        refused(able("read", sql.toString(), "--url", url, "-o", out), "either a file of SQL, or --url");
        refused(able("read", "-o", out), "either a file of SQL, or --url");
        refused(able("read", "--url", "jdbc:h2:mem:empty", "-o", out), "no table");
    }

    @Test
    void a_design_is_carried_out_for_real_and_over_nothing_that_is_there() throws Exception {
        String url = "jdbc:h2:" + folder.resolve("real");
        DriverManager.getConnection(url).close();
        able("read", sql.toString(), "--rows", "5", "-o", out);
        Run first = able("try", out, "--url", url, "--for-real", "--rows");
        Run again = able("try", out, "--url", url, "--for-real", "--lose");
        Run asJson = able("try", out, "--url", url, "--for-real", "--json");

        assertThat(first.exit()).as(first.err()).isZero();
        assertThat(first.err()).contains("carried out: ");
        assertThat(again.exit()).isEqualTo(1);
        assertThat(again.out()).contains("there already: ").containsPattern("[0-9]+ rows?");
        assertThat(again.err()).contains("nothing was done: what is listed is there already");
        assertThat(asJson.json().get("carriedOut").asBoolean()).isFalse();
        assertThat(asJson.json().get("there")).isNotEmpty();
        refused(able("try", out, "--url", url, "--lose"), "--for-real");
    }

    @Test
    void a_design_is_tried_on_a_database_and_nothing_stays_there() throws Exception {
        String url = "jdbc:h2:" + folder.resolve("trial");
        DriverManager.getConnection(url).close();
        able("read", sql.toString(), "--rows", "5", "-o", out);
        Run tried = able("try", out, "--url", url);
        Run asJson = able("try", out, "--url", url, "--json");

        assertThat(tried.exit()).as(tried.err()).isZero();
        assertThat(tried.out()).contains("statements accepted").contains("what it then had is what was written");
        assertThat(asJson.json().get("refused").isNull()).isTrue();
        assertThat(asJson.json().get("differences")).isEmpty();
        assertThat(asJson.json().get("accepted").asInt()).isGreaterThan(3);
        refused(able("try", out, "--url", "jdbc:h2:" + folder.resolve("none")), "cannot be opened");
        refused(able("try", out, "--url", "jdbc:h2:mem:x;password=secret"), "ABLE_PASSWORD");
        refused(able("try", out), "--url");
        try (Connection connection = DriverManager.getConnection(url)) {
            assertThat(connection.getMetaData().getSchemas(null, "ABLE%").next())
                    .isFalse();
        }
    }
}
