package ableschema.engine;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import ableschema.core.carried.Carried;
import ableschema.core.design.Volume;
import ableschema.core.reverse.Reverse;
import ableschema.core.rows.DesignScript;
import ableschema.core.rows.RowJudge;
import ableschema.core.schema.Schema;
import ableschema.core.schema.Table;
import ableschema.core.store.DocumentFile;
import ableschema.engine.catalog.Catalog;
import ableschema.engine.catalog.CatalogRead;
import ableschema.engine.catalog.Wanted;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.Statement;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.CancellationException;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** A live database is read with its rows, by schema, and can be stopped. */
class LiveDatabaseTest {

    private static void fill(RealEngine engine, Connection connection) throws Exception {
        var demo = DocumentFile.read(Path.of("../demo/alder-valley.able.json"));
        assertThat(ScriptRun.of(DesignScript.withRowsAsEntered(demo.mapping(), engine.dialect()), connection)
                        .refusal())
                .isEmpty();
    }

    @ParameterizedTest
    @EnumSource(RealEngine.class)
    void rows_come_along_as_they_are_typed_and_break_no_rule(RealEngine engine) throws Exception {
        try (Connection connection = engine.open()) {
            fill(engine, connection);
            CatalogRead found = Catalog.read(connection, new Wanted(List.of(), 1000), asked -> {});
            var design =
                    Reverse.of(found.read(), "live", found.sizes()).document().design();

            assertThat(design.countRows()).isEqualTo(151);
            assertThat(RowJudge.judge(design)).isEmpty();
        }
    }

    @Test
    void characters_of_four_bytes_come_whole_from_a_live_mariadb() throws Exception {
        try (Connection connection = RealEngine.MARIADB.open();
                Statement statement = connection.createStatement()) {
            statement.execute("CREATE TABLE tally (n int PRIMARY KEY, sign text DEFAULT '🐝' CHECK (sign <> '🐻'))");
            statement.execute("CREATE VIEW bees AS SELECT n FROM tally WHERE sign = '🐝'");
            statement.execute("CREATE TRIGGER mark BEFORE INSERT ON tally FOR EACH ROW SET NEW.sign = '🐝'");

            Schema schema = Catalog.read(connection).schema();

            assertThat(schema.tables().toString()).contains("🐝", "🐻");
            assertThat(schema.carried()).extracting(Carried::sql).hasSize(2).allSatisfy(sql -> assertThat(sql)
                    .contains("🐝"));
        }
    }

    @Test
    void what_goes_with_a_column_or_a_view_comes_from_a_live_postgresql() throws Exception {
        try (Connection connection = RealEngine.POSTGRESQL.open();
                Statement statement = connection.createStatement()) {
            statement.execute("CREATE TABLE tally (n serial PRIMARY KEY); ALTER TABLE tally RENAME TO counts;"
                    + " CREATE MATERIALIZED VIEW few AS SELECT n FROM counts; CREATE INDEX few_n ON few (n);");
            var found = Reverse.of(Catalog.read(connection), "live");

            assertThat(DesignScript.definitions(found.document().mapping(), RealEngine.POSTGRESQL.dialect())
                            .text())
                    .contains("ALTER SEQUENCE tally_n_seq OWNED BY counts.n;", "CREATE INDEX few_n ON");
        }
    }

    @ParameterizedTest
    @EnumSource(RealEngine.class)
    void a_few_rows_of_each_table_are_its_first_by_key(RealEngine engine) throws Exception {
        try (Connection connection = engine.open();
                Statement statement = connection.createStatement()) {
            statement.execute("CREATE TABLE tally (n int PRIMARY KEY)");
            statement.execute("INSERT INTO tally VALUES (7), (3), (5)");
            CatalogRead found = Catalog.read(connection, new Wanted(List.of(), 2), asked -> {});

            assertThat(found.read().rows().get(0).rows())
                    .extracting(row -> row.get("n"))
                    .containsExactly("3", "5");
        }
    }

    @ParameterizedTest
    @EnumSource(names = {"POSTGRESQL", "MARIADB", "H2"})
    void how_many_rows_there_are_becomes_what_is_expected(RealEngine engine) throws Exception {
        try (Connection connection = engine.open();
                Statement statement = connection.createStatement()) {
            statement.execute("CREATE TABLE tally (n int PRIMARY KEY)");
            for (int i = 0; i < 40; i++) {
                statement.execute("INSERT INTO tally VALUES (" + i + ")");
            }
            statement.execute(engine == RealEngine.MARIADB ? "ANALYZE TABLE tally" : "ANALYZE");
            CatalogRead found = Catalog.read(connection, Wanted.DEFINITIONS, asked -> {});
            var design =
                    Reverse.of(found.read(), "live", found.sizes()).document().design();

            assertThat(design.notes().volume(design.entities().get(0).id())).contains(new Volume(40, 0));
        }
    }

    @ParameterizedTest
    @EnumSource(names = {"POSTGRESQL", "H2"})
    void only_the_schemas_that_are_named_are_read(RealEngine engine) throws Exception {
        try (Connection connection = engine.open();
                Statement statement = connection.createStatement()) {
            statement.execute("CREATE SCHEMA yard");
            statement.execute("CREATE TABLE yard.pier (n int PRIMARY KEY)");
            statement.execute("CREATE TABLE boat (n int PRIMARY KEY, pier int REFERENCES yard.pier)");
            CatalogRead yard = Catalog.read(connection, new Wanted(List.of("yard"), 0), asked -> {});
            CatalogRead usual = Catalog.read(connection, new Wanted(List.of("public"), 0), asked -> {});

            assertThat(yard.read().schema().tables()).extracting(Table::name).containsExactly("pier");
            assertThat(usual.read().schema().tables()).extracting(Table::name).containsExactly("boat");
            assertThat(usual.read().skipped())
                    .as("a reference to what is not read is told")
                    .isNotEmpty();
        }
    }

    @ParameterizedTest
    @EnumSource(RealEngine.class)
    void it_tells_how_far_it_is_and_stops_between_two_questions(RealEngine engine) throws Exception {
        try (Connection connection = engine.open();
                Statement statement = connection.createStatement()) {
            statement.execute("CREATE TABLE tally (n int PRIMARY KEY)");
            var asked = new ArrayList<Integer>();
            Catalog.read(connection, Wanted.DEFINITIONS, asked::add);
            assertThat(asked).isNotEmpty().isSorted();

            Thread.currentThread().interrupt();
            assertThatThrownBy(() -> Catalog.read(connection, Wanted.DEFINITIONS, any -> {}))
                    .isInstanceOf(CancellationException.class);
            assertThat(Thread.interrupted()).isTrue();
            assertThat(Catalog.read(connection).schema().tables())
                    .as("the connection is as it was")
                    .hasSize(1);
        }
    }
}
