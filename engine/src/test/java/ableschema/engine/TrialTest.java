package ableschema.engine;

import static org.assertj.core.api.Assertions.assertThat;

import ableschema.core.carried.Carried;
import ableschema.core.ddl.SqlReader;
import ableschema.core.design.Body;
import ableschema.core.design.Check;
import ableschema.core.design.Kept;
import ableschema.core.document.Document;
import ableschema.core.expression.Expression;
import ableschema.core.mapping.NameStyle;
import ableschema.core.reverse.Reverse;
import ableschema.core.sql.dialect.Dialects;
import ableschema.core.store.DocumentFile;
import ableschema.engine.catalog.Catalog;
import ableschema.engine.connect.DatabaseAddress;
import ableschema.engine.trial.Trial;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** A design is tried on a real database, which afterwards has nothing that it did not have before. */
class TrialTest {

    @TempDir
    private Path folder;

    private static Document read(String file) throws Exception {
        return DocumentFile.read(Path.of(file));
    }

    private DatabaseAddress address(RealEngine engine, Connection connection) throws Exception {
        if (engine == RealEngine.SQLITE || engine == RealEngine.H2) {
            String url = engine == RealEngine.SQLITE
                    ? "jdbc:sqlite:" + folder.resolve("try.db")
                    : "jdbc:h2:" + folder.resolve("try");
            try (Connection made = DriverManager.getConnection(url);
                    Statement statement = made.createStatement()) {
                statement.execute("CREATE TABLE IF NOT EXISTS hive (mine int)");
            }
            return DatabaseAddress.of(url, "");
        }
        String url = connection.getMetaData().getURL().replaceAll("[?&](user|password)=[^&]*", "");
        return DatabaseAddress.of(url, engine == RealEngine.POSTGRESQL ? "postgres" : "root");
    }

    private static List<String> schemas(Connection connection) throws SQLException {
        var schemas = new ArrayList<String>();
        for (ResultSet found : List.of(
                connection.getMetaData().getSchemas(), connection.getMetaData().getCatalogs())) {
            while (found.next()) {
                schemas.add(found.getString(1));
            }
        }
        return schemas;
    }

    @ParameterizedTest
    @EnumSource
    void what_a_database_has_of_the_example_is_what_was_written_and_it_is_taken_away(RealEngine engine)
            throws Exception {
        for (String file : List.of("../demo/alder-valley.able.json", "../demo/field-log.able.json")) {
            try (Connection connection = engine.open()) {
                DatabaseAddress address = address(engine, connection);
                var counted = new ArrayList<Integer>();
                Trial trial = Trial.of(read(file), address, "", counted::add);

                assertThat(trial.run().refusal()).isEmpty();
                assertThat(trial.differences()).isEmpty();
                assertThat(counted).hasSizeGreaterThan(20).isSorted();
                try (Connection after = address.openToRead("")) {
                    assertThat(schemas(after))
                            .noneMatch(each -> each.toLowerCase(Locale.ROOT).contains("able_trial"));
                    assertThat(Catalog.read(after).schema().tables())
                            .as("what was there stays, and nothing comes to it")
                            .hasSizeLessThanOrEqualTo(1);
                }
            }
        }
    }

    @ParameterizedTest
    @EnumSource(names = {"POSTGRESQL", "H2", "MARIADB"})
    void a_statement_that_is_refused_is_told_by_its_line_and_all_is_taken_away(RealEngine engine) throws Exception {
        Document document = Said.read("Each stay has no: whole (key), fee: decimal 8,2.\nOf each stay: fee > 0.");
        document = document.with(
                document.design().with(document.design().entities().get(0).withBody(wrong(document))));
        try (Connection connection = engine.open()) {
            DatabaseAddress address = address(engine, connection);
            Trial trial = Trial.of(document, address, "", done -> {});

            assertThat(trial.run().refusal()).isPresent();
            int line = trial.refusedLine().orElseThrow();
            assertThat(trial.script().text().lines().skip(line - 1L).findFirst().orElse(""))
                    .startsWith("CREATE TABLE stay");
            try (Connection after = address.openToRead("")) {
                assertThat(schemas(after))
                        .noneMatch(each -> each.toLowerCase(Locale.ROOT).contains("able_trial"));
            }
        }
    }

    /** With a check that no database takes. */
    private static Body wrong(Document document) {
        var body = document.design().entities().get(0).body();
        var check = body.checks().get(0);
        return body.withChecks(
                List.of(new Check(check.id(), Expression.text("no_such_function(1) > 0"), check.pins())));
    }

    @ParameterizedTest
    @EnumSource
    void names_that_would_end_a_statement_are_read_back_as_they_were_written(RealEngine engine) throws Exception {
        for (NameStyle style : List.of(NameStyle.SNAKE, NameStyle.AS_WRITTEN)) {
            try (Connection connection = engine.open()) {
                Trial trial = Trial.of(HostileNamesTest.hostile(style), address(engine, connection), "", done -> {});

                assertThat(trial.run().refusal()).isEmpty();
                assertThat(trial.differences())
                        .filteredOn(each -> !(engine == RealEngine.MARIADB
                                && each.toString().contains("🐝"))) // its catalogue has no such signs
                        .isEmpty();
            }
        }
    }

    @Test
    void the_file_of_sqlite_is_not_touched() throws Exception {
        DatabaseAddress address = address(RealEngine.SQLITE, null);
        long before = folder.resolve("try.db").toFile().lastModified();
        long length = folder.resolve("try.db").toFile().length();
        Trial.of(read("../demo/alder-valley.able.json"), address, "", done -> {});

        assertThat(folder.resolve("try.db").toFile().lastModified()).isEqualTo(before);
        assertThat(folder.resolve("try.db").toFile().length()).isEqualTo(length);
    }

    @ParameterizedTest
    @EnumSource
    void what_is_carried_along_is_tried_in_the_scratch_schema_alone(RealEngine engine) throws Exception {
        String sql = Files.readString(Path.of(
                        "../core/src/test/resources/carried", engine.dialect().name() + ".sql"))
                + "GRANT SELECT ON pier TO harbour;\n";
        Document document =
                Reverse.of(SqlReader.read(sql, engine.dialect()), "harbour").document();
        try (Connection connection = engine.open()) {
            DatabaseAddress address = address(engine, connection);
            Trial trial = Trial.of(document, address, "", done -> {});

            assertThat(trial.run().refusal()).isEmpty();
            assertThat(trial.leftOut()).extracting(Carried::label).contains("right");
            try (Connection after = address.openToRead("")) {
                assertThat(Catalog.read(after).schema().carried()).isEmpty();
                assertThat(schemas(after))
                        .noneMatch(each -> each.toLowerCase(Locale.ROOT).contains("able_trial"));
            }
        }
    }

    @Test
    void what_is_more_than_one_statement_is_not_tried() throws Exception {
        Document document = Reverse.of(
                        SqlReader.read(
                                "create table pier (x int); create view v as select x from pier;", Dialects.POSTGRESQL),
                        "x")
                .document();
        var kept = document.design().notes().kept().get(0);
        var two = new Kept(kept.statement().withSql("create view v as select 1; drop table mine"), List.of());
        Document harmful =
                document.with(document.design().with(document.design().notes().withKept(List.of(two))));
        try (Connection connection = RealEngine.POSTGRESQL.open();
                Statement statement = connection.createStatement()) {
            statement.execute("create table mine (x int)");
            Trial trial = Trial.of(harmful, address(RealEngine.POSTGRESQL, connection), "", done -> {});

            assertThat(trial.leftOut()).hasSize(1);
            assertThat(Catalog.read(connection).schema().table("mine")).isPresent();
        }
    }
}
