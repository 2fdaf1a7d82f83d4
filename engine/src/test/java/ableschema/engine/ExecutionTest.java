package ableschema.engine;

import static org.assertj.core.api.Assertions.assertThat;

import ableschema.core.document.Document;
import ableschema.engine.connect.DatabaseAddress;
import ableschema.engine.trial.Execution;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.sql.Statement;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** A design is carried out for real, and never over what is there without having said it. */
class ExecutionTest {

    @TempDir
    private Path folder;

    private static Document design(String existing) {
        Document said = Said.read("Each berth has no: whole (key), name: text 20.\nEach stay has no: whole (key).\n"
                + "Each stay uses exactly one berth; each berth holds any number of stays.");
        return said.with(said.rules().withChoice("script.existing", existing));
    }

    private DatabaseAddress address(RealEngine engine, Connection connection) throws Exception {
        return switch (engine) {
            case SQLITE -> made("jdbc:sqlite:" + folder.resolve("real.db"));
            case H2 -> made("jdbc:h2:" + folder.resolve("real"));
            default -> {
                String url = connection.getMetaData().getURL().replaceAll("[?&](user|password)=[^&]*", "");
                yield DatabaseAddress.of(url, engine == RealEngine.POSTGRESQL ? "postgres" : "root");
            }
        };
    }

    private static DatabaseAddress made(String url) throws Exception {
        try (Connection connection = DriverManager.getConnection(url);
                Statement statement = connection.createStatement()) {
            statement.execute("CREATE TABLE IF NOT EXISTS quay (mine int)");
        }
        return DatabaseAddress.of(url, "");
    }

    private static int count(DatabaseAddress address, String table) throws Exception {
        try (Connection connection = address.openToRead("");
                Statement statement = connection.createStatement();
                ResultSet counted = statement.executeQuery("SELECT count(*) FROM " + table)) {
            counted.next();
            return counted.getInt(1);
        }
    }

    private static void insert(DatabaseAddress address) throws Exception {
        try (Connection connection = address.openForReal("");
                Statement statement = connection.createStatement()) {
            statement.execute("INSERT INTO berth (no, name) VALUES (7, 'west')");
        }
    }

    /** A name in other letters is the same table there, and would be dropped with it. */
    @Test
    void a_table_whose_name_has_other_letter_case_is_listed_too() throws Exception {
        String url = "jdbc:sqlite:" + folder.resolve("case.db");
        try (Connection connection = DriverManager.getConnection(url);
                Statement statement = connection.createStatement()) {
            statement.execute("CREATE TABLE BERTH (no int)");
            statement.execute("INSERT INTO BERTH VALUES (1)");
        }

        Execution asking = Execution.of(design("replace"), DatabaseAddress.of(url, ""), "", false, false, done -> {});

        assertThat(asking.run()).isEmpty();
        assertThat(asking.standing()).containsExactly(new Execution.Standing("BERTH", 1));
    }

    @ParameterizedTest
    @EnumSource
    void it_stays_and_what_is_there_is_lost_only_when_that_was_said(RealEngine engine) throws Exception {
        try (Connection connection = engine.open()) {
            DatabaseAddress address = address(engine, connection);

            Execution first = Execution.of(design("stop"), address, "", false, false, done -> {});
            assertThat(first.standing()).isEmpty();
            assertThat(first.run().orElseThrow().refusal()).isEmpty();
            insert(address);

            Execution again = Execution.of(design("stop"), address, "", false, true, done -> {});
            assertThat(again.run()).as("nothing is put over what is there").isEmpty();
            assertThat(again.standing())
                    .contains(new Execution.Standing("berth", 1), new Execution.Standing("stay", 0))
                    .hasSize(2);
            assertThat(again.replaces()).isFalse();

            Execution skipping = Execution.of(design("skip"), address, "", false, false, done -> {});
            assertThat(skipping.run().orElseThrow().refusal()).isEmpty();
            assertThat(count(address, "berth")).isEqualTo(1);

            Execution asking = Execution.of(design("replace"), address, "", false, false, done -> {});
            assertThat(asking.run()).isEmpty();
            assertThat(asking.replaces()).isTrue();
            assertThat(asking.rowsStanding()).isEqualTo(1);
            assertThat(count(address, "berth")).as("it was only told").isEqualTo(1);

            Execution losing = Execution.of(design("replace"), address, "", false, true, done -> {});
            assertThat(losing.run().orElseThrow().refusal()).isEmpty();
            assertThat(count(address, "berth")).isZero();
        }
    }

    @ParameterizedTest
    @EnumSource
    void what_leans_on_what_is_replaced_is_listed(RealEngine engine) throws Exception {
        try (Connection connection = engine.open()) {
            DatabaseAddress address = address(engine, connection);
            Execution.of(design("stop"), address, "", false, false, done -> {});
            try (Connection there = address.openForReal("");
                    Statement statement = there.createStatement()) {
                statement.execute("CREATE TABLE rope (length int, no int REFERENCES berth (no))");
                statement.execute("CREATE VIEW west AS SELECT * FROM berth WHERE no > 5");
                statement.execute("CREATE VIEW long_rope AS SELECT * FROM rope WHERE length > 5");
            }

            Execution asking = Execution.of(design("replace"), address, "", false, false, done -> {});

            assertThat(asking.run()).isEmpty();
            assertThat(asking.leaning().stream().map(each -> each.replaceFirst("key \\S+ of", "key of")))
                    .containsExactly("foreign key of rope", "view west");
            assertThat(Execution.of(design("skip"), address, "", false, false, done -> {})
                            .leaning())
                    .isEmpty();
        }
    }
}
