package ableschema.desktop.read;

import ableschema.core.ddl.SqlRead;
import ableschema.core.document.Document;
import ableschema.core.reverse.Reverse;
import ableschema.core.sql.Statement;
import ableschema.desktop.controls.Controls;
import ableschema.desktop.sql.Refusals;
import ableschema.desktop.workspace.Jobs;
import ableschema.desktop.workspace.Workspace;
import ableschema.engine.ScriptRun;
import ableschema.engine.catalog.Catalog;
import ableschema.engine.catalog.CatalogRead;
import ableschema.engine.catalog.Wanted;
import ableschema.engine.connect.DatabaseAddress;
import ableschema.engine.trial.Execution;
import ableschema.engine.trial.Trial;
import java.nio.file.Path;
import java.sql.Connection;
import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import javafx.scene.control.Button;
import javafx.scene.control.CheckBox;
import javafx.scene.control.Label;
import javafx.scene.control.PasswordField;
import javafx.scene.control.TextField;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;

/** Names a database, to read it or to try the design there; the password is forgotten once it was used. */
public final class ConnectSheet extends VBox {

    private static final int WIDEST = 700;
    private static final String CARRY_OUT = "Carry it out there";
    private static final int SAMPLE_ROWS = 20;

    private static final String AT_ITS_LINE = " The step SQL marks the line, and the sheet what it is written of.";
    private static final int MOST_LISTED = 12;

    /** So many a database without sample rows is asked at most. */
    private static final int USUAL_QUESTIONS = 14;

    private final Workspace workspace;
    private final SqlImport imports;
    private final TextField url = new TextField();
    private final TextField user = new TextField();
    private final PasswordField password = new PasswordField();
    private final TextField schemas = new TextField();
    private final TextField driver = new TextField();
    private final CheckBox rows = new CheckBox("with rows: the first " + SAMPLE_ROWS
            + " of each table when it is read, the sample rows when it is carried out");
    private final Button real = Controls.button("connect-real", CARRY_OUT, this::carryOut);

    /** The design of which it was listed what it would cost, so that the next press may lose that; none of another. */
    private Optional<Document> told = Optional.empty();

    private final Label verdict = Controls.text("", "answer");
    private Runnable close = () -> {};
    private Consumer<Trial> heard = trial -> {};

    public ConnectSheet(Workspace workspace, SqlImport imports) {
        this.workspace = workspace;
        this.imports = imports;
        setId("connect");
        getStyleClass().add("find");
        setMaxSize(WIDEST, Region.USE_PREF_SIZE);
        setSpacing(8);
        field(url, "connect-url", "URL, such as jdbc:postgresql://localhost/club or jdbc:sqlite:/home/me/club.db");
        field(user, "connect-user", "user, where the database asks for one");
        field(password, "connect-password", "password; it is kept nowhere");
        field(schemas, "connect-schemas", "schemas, if not all that can be seen");
        field(driver, "connect-driver", "jar of a driver, for another database");
        rows.setId("connect-rows");
        verdict.setId("connect-verdict");
        verdict.setWrapText(true);
        var hint = Controls.text(
                "It is read without changing anything. A trial works in a schema of its own, which is taken away."
                        + " What is carried out stays; nothing that is there is touched unasked.",
                "hint");
        hint.setWrapText(true);
        url.textProperty().addListener((value, before, now) -> untold());
        var read = Controls.button("connect-read", "Read it", this::read);
        var tried = Controls.button("connect-try", "Try this design there", this::tryIt);
        getChildren()
                .addAll(
                        Controls.text("A live database", "title"),
                        url,
                        new HBox(8, user, password),
                        new HBox(8, schemas, driver),
                        rows,
                        hint,
                        new HBox(8, read, tried, real, Controls.space(), Controls.text("Escape: close", "hint")),
                        verdict);
    }

    private static void field(TextField field, String id, String prompt) {
        field.setId(id);
        field.setPromptText(prompt);
        field.setAccessibleText(prompt);
        HBox.setHgrow(field, Priority.ALWAYS);
    }

    /** Told where this is shown how it is taken away. */
    public void onClose(Runnable action) {
        close = action;
    }

    /** Told who else wants to know what a database said of the design. */
    public void onTried(Consumer<Trial> listener) {
        heard = listener;
    }

    /** Puts the hands where the typing begins. */
    public void begin() {
        url.requestFocus();
    }

    /** Something done with a database, off the window's thread. */
    private interface Asking<T> {
        T of(DatabaseAddress address, String password, Jobs.Progress progress) throws Exception;
    }

    private <T> void ask(String job, Asking<T> asking, Consumer<T> done) {
        String where = url.getText().strip();
        String who = user.getText().strip();
        String jar = driver.getText().strip();
        String secret = password.getText();
        password.clear();
        verdict.setText(job + " …");
        workspace
                .jobs()
                .run(
                        job,
                        progress -> asking.of(
                                jar.isEmpty()
                                        ? DatabaseAddress.of(where, who)
                                        : DatabaseAddress.of(where, who, Path.of(jar)),
                                secret,
                                progress),
                        () -> getScene() != null,
                        done,
                        problem -> verdict.setText(String.valueOf(problem.getMessage())
                                .lines()
                                .findFirst()
                                .orElse("it did not answer")));
    }

    /** What the fields for it say. */
    private Wanted wanted() {
        List<String> chosen = Stream.of(schemas.getText().split(","))
                .map(String::strip)
                .filter(each -> !each.isEmpty())
                .toList();
        return new Wanted(chosen, rows.isSelected() ? SAMPLE_ROWS : 0);
    }

    private void read() {
        Wanted wanted = wanted();
        ask(
                "reading the database",
                (address, secret, progress) -> {
                    try (Connection connection = address.openToRead(secret)) {
                        CatalogRead found = Catalog.read(
                                connection, wanted, asked -> progress.done(asked, Math.max(asked, USUAL_QUESTIONS)));
                        SqlRead read = found.read();
                        return new SqlImport.Result(read, Reverse.of(read, title(), found.sizes()), "the database");
                    }
                },
                result -> {
                    if (result.read().schema().tables().isEmpty()) {
                        verdict.setText("There is no table in it that can be seen; name another database in the URL.");
                    } else {
                        close.run();
                        imports.opened(result);
                    }
                });
    }

    private String title() {
        String name = url.getText().strip().replaceFirst("[?;].*$", "").replaceAll("^.*[/:]", "");
        int point = name.indexOf('.');
        return point > 0 ? name.substring(0, point) : name;
    }

    private void tryIt() {
        Document document = workspace.document();
        ask(
                "trying the design",
                (address, secret, progress) -> Trial.of(document, address, secret, done -> progress.done(done, done)),
                trial -> {
                    verdict.setText(said(trial) + (trial.run().refusal().isPresent() ? AT_ITS_LINE : ""));
                    if (document == workspace.document()) {
                        note(trial.refused(), trial.script().dialect().label(), trial.run());
                        heard.accept(trial);
                    }
                });
    }

    private void untold() {
        told = Optional.empty();
        real.setText(CARRY_OUT);
    }

    private void carryOut() {
        Document document = workspace.document();
        boolean withRows = rows.isSelected();
        boolean losing = told.filter(each -> each == document).isPresent();
        untold();
        List<String> undecided = workspace.mapping().undecided();
        if (!undecided.isEmpty()) {
            verdict.setText("Nothing was done, as " + undecided.get(0) + " is undecided"
                    + (undecided.size() == 1 ? "." : ", and " + (undecided.size() - 1) + " more."));
            return;
        }
        ask(
                "carrying the design out",
                (address, secret, progress) ->
                        Execution.of(document, address, secret, withRows, losing, done -> progress.done(done, done)),
                execution -> carriedOut(execution, document));
    }

    private void carriedOut(Execution execution, Document document) {
        if (execution.run().isPresent()) {
            ScriptRun run = execution.run().get();
            if (document == workspace.document()) {
                note(run.refusal().map(ScriptRun.Refusal::statement), "the database", run);
            }
            verdict.setText(run.refusal()
                    .map(refusal ->
                            "Refused: " + refusal.reason().lines().findFirst().orElse(""))
                    .orElseGet(() -> "Carried out: " + run.accepted() + " statements."));
            return;
        }
        List<Execution.Standing> there = execution.standing();
        boolean replaced = execution.replaces();
        told = replaced ? Optional.of(document) : Optional.empty();
        verdict.setText("Nothing was done."
                + listed(
                        " There already: ",
                        there.stream()
                                .map(each -> each.table() + " (" + (each.rows() == 1 ? "1 row" : each.rows() + " rows")
                                        + ")")
                                .toList())
                + listed(" Goes with it, or is made anew: ", execution.leaning())
                + (replaced
                        ? " The next press loses all that."
                        : " Choose in the script's style whether what exists is skipped or replaced."));
        if (replaced) {
            String what = there.isEmpty() ? "what is listed" : there.size() == 1 ? "1 table" : there.size() + " tables";
            real.setText("Lose " + what + " and carry it out");
        }
    }

    private static String listed(String before, List<String> labels) {
        return labels.isEmpty()
                ? ""
                : before
                        + labels.stream().limit(MOST_LISTED).collect(Collectors.joining(", "))
                        + (labels.size() > MOST_LISTED ? ", and " + (labels.size() - MOST_LISTED) + " more." : ".");
    }

    /** A refusal stands at its line, and on the sheet at the thing that the statement is written of. */
    private void note(Optional<Statement> refused, String database, ScriptRun run) {
        Refusals.note(
                workspace,
                refused,
                database,
                run.refusal().map(ScriptRun.Refusal::reason).orElse(""));
    }

    private static String said(Trial trial) {
        String label = trial.script().dialect().label();
        return trial.run()
                .refusal()
                .map(refusal -> label + " refuses line " + trial.refusedLine().orElse(0) + " of the script: "
                        + refusal.reason().lines().findFirst().orElse(""))
                .orElseGet(() -> label + " took all " + trial.run().accepted() + " statements, rows included; "
                        + (trial.differences().isEmpty()
                                ? "what it then had is what was written."
                                : "otherwise than written: "
                                        + trial.differences().get(0).inWords()
                                        + (trial.differences().size() == 1
                                                ? ""
                                                : ", and "
                                                        + (trial.differences().size() - 1) + " more")));
    }
}
