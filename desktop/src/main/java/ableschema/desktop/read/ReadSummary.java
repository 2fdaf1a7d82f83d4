package ableschema.desktop.read;

import static java.util.stream.Collectors.joining;

import ableschema.core.carried.Carried;
import ableschema.core.ddl.Skipped;
import ableschema.core.ddl.SqlRead;
import ableschema.core.difference.Difference;
import ableschema.core.finding.Finding;
import ableschema.core.finding.Severity;
import ableschema.core.finding.Step;
import ableschema.core.reverse.Reversed;
import ableschema.desktop.controls.Controls;
import ableschema.desktop.workspace.Workspace;
import java.util.ArrayList;
import java.util.List;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.control.ListCell;
import javafx.scene.control.ListView;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;

/** What was read from SQL, and what was left out of it, part by part with line and reason. */
public final class ReadSummary extends VBox {

    private static final int ROW = 44;
    private static final int MOST_NAMED = 6;
    private static final int MOST_ROWS = 9;

    private final Workspace workspace;
    private Runnable close = () -> {};

    ReadSummary(SqlRead read, Reversed reversed, Workspace workspace) {
        this.workspace = workspace;
        setId("read-summary");
        getStyleClass().add("find");
        setMaxSize(820, Region.USE_PREF_SIZE);
        setSpacing(8);
        SqlRead.Counts counts = read.counts();
        getChildren()
                .add(Controls.text(
                        "Read as " + read.dialect().label() + ": " + of(counts.tables(), "table") + ", "
                                + of(counts.columns(), "column") + ", " + of(counts.foreignKeys(), "foreign key"),
                        "title"));
        getChildren().add(wrapped(becomes(reversed, read)));
        List<Left> left = left(read, reversed);
        getChildren()
                .add(Controls.text(
                        left.isEmpty() ? "Nothing was left out." : "Left out: " + of(left.size(), "part"), "subtitle"));
        if (!left.isEmpty()) {
            getChildren().add(list(left));
        }
        getChildren().add(feet());
    }

    /** Told where this is shown how it is taken away. */
    public void onClose(Runnable action) {
        close = action;
    }

    private static String of(int count, String what) {
        return count + " " + what + (count == 1 ? "" : "s");
    }

    private static Label wrapped(String text) {
        Label label = Controls.text(text, "answer");
        label.setWrapText(true);
        return label;
    }

    private String becomes(Reversed reversed, SqlRead read) {
        var design = reversed.document().design();
        long pairs = design.relationships().stream()
                .filter(each -> each.isManyToMany())
                .count();
        int rows = read.rows().stream().mapToInt(each -> each.rows().size()).sum();
        List<Finding> findings = workspace.isReviewed() ? workspace.review().open() : List.of();
        long toMend = findings.stream()
                .filter(each -> each.rule().severity() == Severity.MUST_MEND)
                .count();
        return of(design.entities().size(), "entit")
                        .replaceFirst("entits?$", design.entities().size() == 1 ? "entity" : "entities")
                + " and " + of(design.relationships().size(), "relationship")
                + (pairs == 0 ? "" : ", " + pairs + " of them many-to-many")
                + (rows == 0 ? "" : ", with " + of(rows, "sample row"))
                + ". Names, types and options that the rules would not give are held fast, so that the same tables are written again."
                + carried(read)
                + (findings.isEmpty()
                        ? ""
                        : " The review has " + of(findings.size(), "thing") + " to say, "
                                + (toMend == 0 ? "none" : String.valueOf(toMend)) + " of which must be mended.");
    }

    private static String carried(SqlRead read) {
        List<Carried> carried = read.schema().carried();
        String first = carried.stream().limit(MOST_NAMED).map(Carried::label).collect(joining(", "));
        return carried.isEmpty()
                ? ""
                : " Carried along and written back as it stands: " + first
                        + (carried.size() > MOST_NAMED ? " and " + (carried.size() - MOST_NAMED) + " more." : ".");
    }

    /** One part that is not in the design. */
    private record Left(String where, String reason, String text) {}

    private static List<Left> left(SqlRead read, Reversed reversed) {
        var left = new ArrayList<Left>();
        for (Skipped each : read.skipped()) {
            left.add(new Left("line " + each.line(), each.reason(), each.statement()));
        }
        for (Difference each : reversed.differences()) {
            left.add(new Left("otherwise", each.place(), each.inWords()));
        }
        return left;
    }

    private static ListView<Left> list(List<Left> left) {
        var list = new ListView<Left>();
        list.setId("left-out");
        list.getItems().setAll(left);
        list.setFixedCellSize(ROW);
        list.setPrefHeight(ROW * Math.min(MOST_ROWS, left.size()) + 4.0);
        list.setCellFactory(view -> new ListCell<>() {
            @Override
            protected void updateItem(Left item, boolean empty) {
                super.updateItem(item, empty);
                setText(null);
                setGraphic(empty ? null : row(item));
                prefWidthProperty().bind(view.widthProperty().subtract(24));
            }
        });
        return list;
    }

    private static Node row(Left item) {
        Label where = Controls.text(item.where(), "hint");
        where.setMinWidth(70);
        Label text = Controls.text(item.text(), "code");
        var words = new VBox(Controls.text(item.reason(), "answer"), text);
        var row = new HBox(8, where, words);
        row.setAccessibleText(item.where() + ": " + item.reason() + ": " + item.text());
        return row;
    }

    private HBox feet() {
        var review = Controls.button("review-read", "Review it", () -> {
            close.run();
            workspace.stepProperty().set(Step.REVIEW);
        });
        var done = Controls.button("close-read", "Look at it", () -> close.run());
        done.setDefaultButton(true);
        var feet = new HBox(8, done, review);
        var offer = new PartsOffer(workspace);
        offer.said().ifPresent(said -> feet.getChildren().add(Controls.button("make-parts", said, () -> {
            close.run();
            offer.make();
        })));
        feet.getChildren().addAll(Controls.space(), Controls.text("Escape: close", "hint"));
        return feet;
    }
}
