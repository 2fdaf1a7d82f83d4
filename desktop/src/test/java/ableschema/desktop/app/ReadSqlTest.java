package ableschema.desktop.app;

import static org.assertj.core.api.Assertions.assertThat;

import ableschema.core.document.Diagram;
import ableschema.core.edit.ChangeRules;
import ableschema.core.finding.Step;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.Statement;
import java.util.List;
import java.util.concurrent.TimeUnit;
import javafx.scene.control.Label;
import javafx.scene.input.Clipboard;
import javafx.scene.input.ClipboardContent;
import javafx.scene.input.KeyCode;
import javafx.stage.Stage;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.testfx.api.FxRobot;
import org.testfx.framework.junit5.Start;
import org.testfx.util.WaitForAsyncUtils;

/** Existing SQL is dropped on the window or pasted onto the sheet. */
class ReadSqlTest extends WindowFixture {

    private static final String SQL =
            """
            CREATE TABLE vats (vat_no integer PRIMARY KEY, litres decimal(6,1) CHECK (litres > 0));
            CREATE TABLE brews (vat_no integer NOT NULL REFERENCES vats, begun date NOT NULL, PRIMARY KEY (vat_no, begun));
            CREATE ROLE brewer;
            CREATE VIEW big AS SELECT * FROM vats WHERE litres > 100;
            INSERT INTO vats VALUES (1, 200.0), (2, 50.5);
            INSERT INTO brews VALUES (2, '2027-03-01');
            """;

    @TempDir
    private Path folder;

    @Start
    void start(Stage stage) {
        open(stage);
    }

    private void drop(FxRobot robot, String text) throws Exception {
        Path file = Files.writeString(folder.resolve("cellar.sql"), text);
        robot.interact(() -> window.drop(file));
        idle();
    }

    private void idle() throws Exception {
        WaitForAsyncUtils.waitFor(20, TimeUnit.SECONDS, () -> workspace.jobs().isIdle());
        WaitForAsyncUtils.waitForFxEvents();
    }

    private void paste(FxRobot robot, String text) throws Exception {
        robot.interact(() -> {
            var content = new ClipboardContent();
            content.putString(text);
            Clipboard.getSystemClipboard().setContent(content);
        });
        click(robot, "#sheet");
        robot.press(KeyCode.CONTROL).type(KeyCode.V).release(KeyCode.CONTROL);
        idle();
    }

    @Test
    void a_file_that_is_dropped_becomes_a_design_with_rows_and_what_was_left_out_is_shown(FxRobot robot)
            throws Exception {
        drop(robot, SQL);

        assertThat(workspace.design().entities())
                .extracting(each -> each.name())
                .containsExactly("Vat", "Brew");
        assertThat(workspace.design().countRows()).isEqualTo(3);
        assertThat(entity("Brew").body().rows().get(0).references()).hasSize(1);
        assertThat(robot.lookup("#read-summary .title").queryLabeled().getText())
                .contains("2 tables, 4 columns, 1 foreign key");
        assertThat(robot.lookup("#left-out").queryListView().getItems())
                .singleElement()
                .asString()
                .contains("line 3", "a role is not part of a design");
        assertThat(robot.lookup("#read-summary .answer").queryAllAs(Label.class))
                .extracting(Label::getText)
                .anyMatch(text -> text.contains("written back as it stands: view big."));
        assertThat(workspace.isSaved()).as("it stands in no file yet").isFalse();

        robot.type(KeyCode.ESCAPE);
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(robot.lookup("#read-summary").tryQuery()).isEmpty();
    }

    @Test
    void the_review_is_one_step_away(FxRobot robot) throws Exception {
        drop(robot, "CREATE TABLE note (text varchar(20));");
        robot.interact(() -> robot.lookup("#review-read").queryButton().fire());
        WaitForAsyncUtils.waitForFxEvents();

        assertThat(workspace.stepProperty().get()).isEqualTo(Step.REVIEW);
        assertThat(workspace.review().open()).isNotEmpty();
    }

    @Test
    void what_is_no_sql_changes_nothing_and_is_said(FxRobot robot) throws Exception {
        drawTwo(robot);
        var before = workspace.document();
        drop(robot, "Dear all, the tables come tomorrow.");
        assertThat(workspace.notices().noticeProperty().get().problem()).isTrue();
        assertThat(workspace.notices().noticeProperty().get().text()).contains("cellar.sql", "makes no table");
        drop(robot, SQL.substring(0, 150));
        assertThat(workspace.notices().noticeProperty().get().text()).contains("in the middle of", "line 2");

        assertThat(workspace.document()).isSameAs(before);
    }

    @Test
    void sql_that_is_pasted_beside_other_entities_is_one_step_that_is_undone(FxRobot robot) throws Exception {
        drawTwo(robot);
        var tables = workspace.mapping().schema().tables().size();
        paste(robot, SQL);

        assertThat(workspace.design().entities()).hasSize(4);
        assertThat(workspace.mapping().schema().table("vats")).isPresent();
        assertThat(workspace.mapping().schema().table("brews").orElseThrow().foreignKeys())
                .hasSize(1);
        double right =
                workspace.document().position(entity("Hive").id()).orElseThrow().x();
        assertThat(workspace
                        .document()
                        .position(entity("Vat").id())
                        .orElseThrow()
                        .x())
                .isGreaterThan(right);
        robot.type(KeyCode.ESCAPE);
        robot.press(KeyCode.CONTROL).type(KeyCode.Z).release(KeyCode.CONTROL);
        WaitForAsyncUtils.waitForFxEvents();

        assertThat(workspace.mapping().schema().tables()).hasSize(tables);
    }

    @Test
    void a_live_database_is_read_and_a_design_is_tried_there_by_keys(FxRobot robot) throws Exception {
        String url = "jdbc:h2:" + folder.resolve("club");
        try (Connection connection = DriverManager.getConnection(url);
                Statement statement = connection.createStatement()) {
            statement.execute("CREATE TABLE vat (vat_no int PRIMARY KEY)");
        }
        drawTwo(robot);
        robot.press(KeyCode.CONTROL, KeyCode.SHIFT).type(KeyCode.L).release(KeyCode.SHIFT, KeyCode.CONTROL);
        WaitForAsyncUtils.waitForFxEvents();
        type(robot, url);
        robot.interact(() -> robot.lookup("#connect-try").queryButton().fire());
        idle();
        assertThat(text(robot, "#connect-verdict")).contains("H2 took all", "what it then had is what was written");

        robot.interact(workspace::undo);
        robot.interact(() -> {
            while (!workspace.design().entities().isEmpty()) {
                workspace.undo();
            }
            robot.lookup("#connect-read").queryButton().fire();
        });
        idle();
        assertThat(workspace.design().entities())
                .extracting(each -> each.name())
                .containsExactly("Vat");
        assertThat(robot.lookup("#connect").tryQuery()).isEmpty();
        assertThat(robot.lookup("#read-summary").tryQuery()).isPresent();
    }

    /** What is there is listed first; the button then says what the next press loses, and a server's word stands at the script's lines. */
    @Test
    void a_design_is_carried_out_there_and_nothing_is_lost_unasked(FxRobot robot) throws Exception {
        String url = "jdbc:h2:" + folder.resolve("real");
        try (Connection connection = DriverManager.getConnection(url);
                Statement statement = connection.createStatement()) {
            statement.execute("CREATE TABLE hive (code int)");
            statement.execute("INSERT INTO hive VALUES (1)");
        }
        drawTwo(robot);
        robot.interact(() -> workspace.apply(new ChangeRules(
                workspace.document().rules().withDialect("h2").withChoice("script.existing", "replace"), "replace")));
        robot.press(KeyCode.CONTROL, KeyCode.SHIFT).type(KeyCode.L).release(KeyCode.SHIFT, KeyCode.CONTROL);
        WaitForAsyncUtils.waitForFxEvents();
        type(robot, url);
        fire(robot, "#connect-real");
        assertThat(text(robot, "#connect-verdict")).contains("Nothing was done", "hive (1 row)");
        assertThat(robot.lookup("#connect-real").queryButton().getText()).isEqualTo("Lose 1 table and carry it out");
        fire(robot, "#connect-real");
        assertThat(text(robot, "#connect-verdict")).contains("Carried out: ");
        assertThat(robot.lookup("#connect-real").queryButton().getText()).isEqualTo("Carry it out there");
        try (Connection connection = DriverManager.getConnection(url)) {
            assertThat(connection
                            .getMetaData()
                            .getTables(null, null, "APIARY", null)
                            .next())
                    .isTrue();
        }

        fire(robot, "#connect-try");
        robot.type(KeyCode.ESCAPE);
        robot.interact(() -> workspace.stepProperty().set(Step.SQL));
        idle();
        assertThat(text(robot, "#sql-verdict")).contains("H2 accepted all");
        robot.interact(() -> workspace.undo());
        idle();
        assertThat(text(robot, "#sql-verdict")).as("of another script").isEmpty();
    }

    private void fire(FxRobot robot, String button) throws Exception {
        robot.interact(() -> robot.lookup(button).queryButton().fire());
        idle();
    }

    @Test
    void a_database_that_cannot_be_reached_is_said_in_one_line_without_the_password(FxRobot robot) throws Exception {
        robot.press(KeyCode.CONTROL, KeyCode.SHIFT).type(KeyCode.L).release(KeyCode.SHIFT, KeyCode.CONTROL);
        WaitForAsyncUtils.waitForFxEvents();
        type(robot, "jdbc:postgresql://localhost:1/club");
        robot.interact(() -> {
            robot.lookup("#connect-password").queryTextInputControl().setText("secret");
            robot.lookup("#connect-read").queryButton().fire();
        });
        idle();

        assertThat(text(robot, "#connect-verdict"))
                .contains("localhost:1", "does not answer")
                .doesNotContain("secret");
        assertThat(robot.lookup("#connect-password").queryTextInputControl().getText())
                .isEmpty();
        assertThat(workspace.design().entities()).isEmpty();
    }

    @Test
    void a_large_database_is_looked_at_in_parts_by_schema(FxRobot robot) throws Exception {
        var sql = new StringBuilder();
        for (int i = 0; i < 66; i++) {
            String schema = List.of("sales", "store", "staff").get(i % 3);
            String before = i < 3 ? "" : ", before_id int references " + schema + ".thing" + (i - 3);
            sql.append("create table " + schema + ".thing" + i + " (id int primary key" + before + ");\n");
        }
        drop(robot, sql.toString());
        WaitForAsyncUtils.waitFor(20, TimeUnit.SECONDS, () -> robot.lookup("#make-parts")
                .tryQuery()
                .isPresent());
        idle(); // the review of so many tables ends after they are shown, and may move what is below it
        assertThat(robot.lookup("#make-parts").queryButton().getText()).isEqualTo("Make 3 part-pictures by schema");
        click(robot, "#make-parts");
        WaitForAsyncUtils.waitFor(
                20, TimeUnit.SECONDS, () -> workspace.document().diagrams().size() > 1);

        assertThat(workspace.document().diagrams())
                .extracting(Diagram::name)
                .containsExactly("whole", "sales", "store", "staff");
        assertThat(workspace.document().diagrams().get(1).positions()).hasSize(22);
        assertThat(workspace.document().inView()).isEqualTo("whole");
        robot.push(KeyCode.CONTROL, KeyCode.Z);
        idle();
        assertThat(workspace.document().diagrams()).hasSize(1);
    }
}
