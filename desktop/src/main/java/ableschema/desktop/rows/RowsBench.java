package ableschema.desktop.rows;

import ableschema.core.design.Design;
import ableschema.core.design.Id;
import ableschema.core.design.Relationship;
import ableschema.core.finding.Severity;
import ableschema.core.finding.Step;
import ableschema.desktop.controls.Controls;
import ableschema.desktop.workspace.Refresh;
import ableschema.desktop.workspace.Workspace;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import javafx.application.Platform;
import javafx.scene.control.ListCell;
import javafx.scene.control.ListView;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Pane;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;

/** All that can have sample rows, with how many each has and how many of them break a rule, beside the rows of the chosen one. */
public final class RowsBench extends HBox {

    private final Workspace workspace;
    private final RowsGrid grid;
    private final ListView<Holder> holders = new ListView<>();
    private final VBox place = new VBox();
    private boolean refreshing;

    /** Something with sample rows: an entity or a many-to-many. */
    private record Holder(Id id, String name, int rows, long broken) {}

    /**
     * @param grid  the rows, which stand here while this step is in view
     * @param sheet where they stand otherwise: below the sheet
     */
    public RowsBench(Workspace workspace, RowsGrid grid, Pane sheet) {
        this.workspace = workspace;
        this.grid = grid;
        setId("rows-bench");
        holders.setId("row-holders");
        holders.getStyleClass().addAll("findings", "row-holders");
        holders.setFixedCellSize(32);
        holders.setCellFactory(list -> new HolderCell());
        holders.setPlaceholder(Controls.text("There is no entity yet.", "hint"));
        holders.getSelectionModel().selectedItemProperty().addListener((o, before, now) -> {
            if (now != null && !refreshing) {
                workspace.selection().choose(now.id());
            }
        });
        HBox.setHgrow(place, Priority.ALWAYS);
        getChildren().addAll(holders, place);
        Refresh refresh = Refresh.of(workspace, Step.ROWS, this, this::show);
        workspace.selection().chosenProperty().addListener((o, before, now) -> refresh.later());
        if (workspace.stepProperty().get() == Step.ROWS) {
            move(place, true);
        }
        workspace.stepProperty().addListener((o, before, now) -> {
            if (now == Step.ROWS) {
                move(place, true);
            } else if (before == Step.ROWS) {
                move(sheet, false);
            }
        });
    }

    private void move(Pane to, boolean filling) {
        to.getChildren().add(grid); // which takes it away from where it was
        VBox.setVgrow(grid, filling ? Priority.ALWAYS : Priority.NEVER);
        grid.setFilling(filling);
    }

    private void show() {
        List<Holder> now = all(workspace.design()).toList();
        refreshing = true;
        if (!now.equals(holders.getItems())) {
            holders.getItems().setAll(now);
        }
        holders.getSelectionModel().clearSelection();
        workspace.selection().chosenOwner().flatMap(id -> at(now, id)).ifPresent(holder -> {
            holders.getSelectionModel().select(holder);
            Platform.runLater(() -> bringIntoView(now.indexOf(holder)));
        });
        refreshing = false;
        if (holders.getSelectionModel().isEmpty() && !now.isEmpty()) {
            // rows that break a rule are what one comes here for, then rows at all
            holders.getSelectionModel()
                    .select(now.stream()
                            .filter(each -> each.broken() > 0)
                            .findFirst()
                            .or(() ->
                                    now.stream().filter(each -> each.rows() > 0).findFirst())
                            .orElse(now.get(0)));
        }
    }

    /** A list that has no height yet would come to stand elsewhere. */
    private void bringIntoView(int place) {
        applyCss();
        layout();
        holders.layout();
        holders.scrollTo(Math.max(0, place - 4));
    }

    private static Optional<Holder> at(List<Holder> holders, Id id) {
        return holders.stream().filter(each -> each.id().equals(id)).findFirst();
    }

    private Stream<Holder> all(Design design) {
        return Stream.concat(
                design.entities().stream()
                        .sorted((a, b) -> a.name().compareToIgnoreCase(b.name()))
                        .map(each -> holder(each.id(), each.body().rows().size())),
                design.relationships().stream()
                        .filter(Relationship::isManyToMany)
                        .map(each -> holder(each.id(), each.body().rows().size())));
    }

    private Holder holder(Id id, int rows) {
        long broken = rows == 0
                ? 0
                : workspace.review().about(id).stream()
                        .filter(each -> each.step() == Step.ROWS && each.severity() == Severity.MUST_MEND)
                        .flatMap(each -> each.place().row().stream())
                        .distinct()
                        .count();
        return new Holder(id, workspace.design().nameOf(id), rows, broken);
    }

    private static final class HolderCell extends ListCell<Holder> {
        @Override
        protected void updateItem(Holder holder, boolean empty) {
            super.updateItem(holder, empty);
            setText(null);
            setGraphic(empty || holder == null ? null : line(holder));
            setPrefWidth(0); // as wide as the list
        }

        private static HBox line(Holder holder) {
            var name = Controls.text(holder.name(), "finding-text");
            name.setMinWidth(0);
            var count = Controls.text(
                    holder.rows() == 0 ? "none" : holder.rows() + (holder.rows() == 1 ? " row" : " rows"), "note");
            count.setMinWidth(USE_PREF_SIZE);
            var line = new HBox(8, name, Controls.space(), count);
            if (holder.broken() > 0) {
                var broken = Controls.text(holder.broken() + " ✕", "fails");
                broken.setAccessibleText(holder.broken() + " break a rule");
                broken.setMinWidth(USE_PREF_SIZE);
                line.getChildren().add(broken);
            }
            return line;
        }
    }
}
