package ableschema.desktop.app;

import ableschema.core.design.Entity;
import ableschema.core.design.Id;
import ableschema.core.document.Detail;
import ableschema.core.document.Diagram;
import ableschema.core.document.Notation;
import ableschema.core.edit.ChangeDiagram;
import ableschema.core.edit.ChangeDiagrams;
import ableschema.desktop.controls.Controls;
import ableschema.desktop.controls.Fields;
import ableschema.desktop.read.PartsOffer;
import ableschema.desktop.sheet.SheetView;
import ableschema.desktop.workspace.Workspace;
import ableschema.diagram.layout.AutoLayout;
import ableschema.diagram.picture.View;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import javafx.beans.binding.Bindings;
import javafx.css.PseudoClass;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.CustomMenuItem;
import javafx.scene.control.Label;
import javafx.scene.control.MenuButton;
import javafx.scene.control.MenuItem;
import javafx.scene.control.TextField;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;

/** The line above the sheet: which view, which picture, how much of it, and how its ends are drawn. */
final class SheetHeader extends FlowPane {

    private static final PseudoClass CHOSEN = PseudoClass.getPseudoClass("chosen");

    private final Workspace workspace;
    private final SheetView sheet;
    private final MenuButton pictures = new MenuButton();
    private final List<Runnable> lights = new ArrayList<>();

    SheetHeader(Workspace workspace, SheetView sheet) {
        this.workspace = workspace;
        this.sheet = sheet;
        setAlignment(Pos.CENTER_LEFT);
        getStyleClass().add("sheet-header");
        pictures.setId("pictures");
        pictures.getStyleClass().add("pictures");
        pictures.setMnemonicParsing(false);
        var shown = new HBox(6);
        var done = new HBox(6);
        shown.getChildren()
                .addAll(viewButton("Concept", View.CONCEPT), viewButton("Tables", View.TABLES), listButton(), gap());
        var drawn = new HBox(6); // what is of no use for a list
        for (Detail detail : Detail.values()) {
            drawn.getChildren().add(detailButton(detail));
        }
        drawn.getChildren().addAll(gap(), pictures);
        shown.getChildren().add(drawn);
        for (HBox each : List.of(drawn, done)) {
            each.visibleProperty().bind(workspace.listedProperty().not());
            each.managedProperty().bind(each.visibleProperty());
        }
        Button notation = button("notation", "", this::nextNotation);
        Button all = button(
                "show-all",
                "show all again",
                () -> workspace.selection().focusProperty().set(Optional.empty()));
        var zoom = new Label();
        zoom.getStyleClass().add("note");
        done.getChildren()
                .addAll(
                        all,
                        notation,
                        button("tidy", "tidy up", this::tidy),
                        button("overview-toggle", "overview", sheet::toggleOverview),
                        button("fit", "fit", sheet::fit),
                        zoom);
        for (HBox group : List.of(shown, done)) {
            group.setAlignment(Pos.CENTER_LEFT);
            group.setMinWidth(Region.USE_PREF_SIZE);
            group.getChildren().forEach(each -> ((Region) each).setMinWidth(Region.USE_PREF_SIZE));
        }
        getChildren().addAll(shown, done);
        // at both ends of one line where there is room, one below the other where there is not
        hgapProperty()
                .bind(Bindings.createDoubleBinding(
                        () -> Math.max(
                                10,
                                getWidth()
                                        - shown.getWidth()
                                        - done.getWidth()
                                        - snappedLeftInset()
                                        - snappedRightInset()
                                        - 1),
                        widthProperty(),
                        shown.widthProperty(),
                        done.widthProperty()));
        lights.add(() -> notation.setText(words(workspace.document().diagram().notation())));
        lights.add(() -> zoom.setText(Math.round(sheet.zoom() * 100) + " %"));
        lights.add(() -> {
            boolean focused = workspace.selection().focusProperty().get().isPresent();
            all.setVisible(focused);
            all.setManaged(focused);
        });
        lights.add(this::listPictures);
        workspace.documentProperty().addListener((o, before, now) -> light());
        workspace.viewProperty().addListener((o, before, now) -> light());
        workspace.listedProperty().addListener((o, before, now) -> light());
        workspace.selection().focusProperty().addListener((o, before, now) -> light());
        sheet.onZoom(this::light);
        light();
    }

    private static Region gap() {
        var gap = new Region();
        gap.setPrefWidth(8);
        return gap;
    }

    private void light() {
        lights.forEach(Runnable::run);
    }

    private Button button(String id, String label, Runnable action) {
        Button button = Controls.button(id, label, action);
        button.getStyleClass().setAll("header-button");
        return button;
    }

    private Button viewButton(String label, View view) {
        Button button = button("view-" + label.toLowerCase(Locale.ROOT), label, () -> {
            workspace.listedProperty().set(false);
            workspace.viewProperty().set(view);
        });
        lights.add(() -> button.pseudoClassStateChanged(
                CHOSEN,
                workspace.viewProperty().get() == view
                        && !workspace.listedProperty().get()));
        return button;
    }

    private Button listButton() {
        Button button =
                button("view-list", "List", () -> workspace.listedProperty().set(true));
        lights.add(() -> button.pseudoClassStateChanged(
                CHOSEN, workspace.listedProperty().get()));
        return button;
    }

    private Button detailButton(Detail detail) {
        String label = detail.name().toLowerCase(Locale.ROOT);
        Button button = button("detail-" + label, label, () -> setDetail(detail));
        lights.add(() -> button.pseudoClassStateChanged(
                CHOSEN, workspace.document().diagram().detail() == detail));
        return button;
    }

    /** Draws the cards of the picture in view with this much on them. */
    void setDetail(Detail detail) {
        workspace.apply(new ChangeDiagram(
                workspace.document().diagram().withDetail(detail),
                "show " + detail.name().toLowerCase(Locale.ROOT)));
    }

    private void listPictures() {
        Diagram shown = workspace.document().diagram();
        pictures.setText(shown.isWhole() ? "whole picture" : shown.name());
        pictures.getItems().clear();
        for (Diagram each : workspace.document().diagrams()) {
            item(each.name(), () -> {
                workspace.viewPicture(each.name());
                sheet.fit();
            });
        }
        item("+ part-picture of what is chosen", this::addPart);
        item("+ part-pictures of all, by schema, name or neighbourhood", new PartsOffer(workspace)::make);
        for (Diagram each : workspace.document().diagrams()) {
            if (!each.isWhole() && each != shown) {
                item("show what is chosen in " + each.name() + " too", () -> showIn(each, chosen()));
            }
        }
        if (!shown.isWhole()) {
            pictures.getItems().add(nameOf(shown));
            item("+ the neighbours of what is chosen", this::showNeighbours);
            item("leave what is chosen out of this picture", this::showLess);
            item("take this part-picture away", () -> workspace.apply(ChangeDiagrams.remove(workspace.document())));
        }
    }

    /** The name of a part-picture, typed in the menu itself. */
    private MenuItem nameOf(Diagram shown) {
        TextField name = Fields.text("picture-name", shown.name(), "name of this picture", typed -> {
            if (!typed.isEmpty()) {
                workspace.apply(ChangeDiagrams.rename(workspace.document(), typed));
            }
            pictures.hide();
        });
        var line = new HBox(6, Controls.text("called", "note"), name);
        line.setAlignment(Pos.CENTER_LEFT);
        return new CustomMenuItem(line, false);
    }

    /** The chosen entities; with none there is a message. */
    private List<Id> chosen() {
        Set<Id> group = workspace.selection().groupProperty().get();
        List<Id> entities = workspace.design().entities().stream()
                .map(Entity::id)
                .filter(group::contains)
                .toList();
        if (entities.isEmpty()) {
            workspace.notices().complain("choose the entities first: Shift and drag, or Ctrl and click");
        }
        return entities;
    }

    private void showIn(Diagram picture, List<Id> entities) {
        if (!entities.isEmpty()) {
            workspace.apply(ChangeDiagrams.show(workspace.document(), picture, entities));
        }
    }

    private void showNeighbours() {
        List<Id> chosen = chosen();
        List<Id> neighbours = workspace.design().relationships().stream()
                .filter(r -> chosen.stream().anyMatch(r::touches))
                .flatMap(r -> Stream.of(r.first().entity(), r.second().entity()))
                .toList();
        showIn(workspace.document().diagram(), neighbours);
    }

    private void showLess() {
        List<Id> entities = chosen();
        if (!entities.isEmpty()) {
            workspace.apply(ChangeDiagrams.hide(workspace.document(), entities));
        }
    }

    private void item(String label, Runnable action) {
        var item = new MenuItem(label);
        item.setMnemonicParsing(false);
        item.setOnAction(event -> action.run());
        pictures.getItems().add(item);
    }

    /** Makes a part-picture of the chosen entities, with a place for each of its own. */
    void addPart() {
        List<Id> entities = chosen();
        if (!entities.isEmpty()) {
            String name = "around " + workspace.design().nameOf(entities.get(0));
            workspace.apply(ChangeDiagrams.add(workspace.document(), name, entities));
            sheet.fit();
        }
    }

    private static String words(Notation notation) {
        return switch (notation) {
            case CROWSFOOT -> "crow's foot";
            case MINMAX -> "min..max";
            case CHEN -> "Chen";
        };
    }

    void nextNotation() {
        Notation[] all = Notation.values();
        Notation next = all[(workspace.document().diagram().notation().ordinal() + 1) % all.length];
        workspace.apply(new ChangeDiagram(
                workspace.document().diagram().withNotation(next), "draw the ends as " + words(next)));
    }

    /** Places all cards anew but the pinned ones; while several are chosen, those stay where they are too. */
    void tidy() {
        var document = workspace.document();
        Set<Id> group = workspace.selection().groupProperty().get();
        Set<Id> kept = new HashSet<>(document.diagram().pinned());
        if (group.size() > 1) {
            kept.addAll(group);
        }
        workspace
                .jobs()
                .run(
                        "placing the cards",
                        progress -> AutoLayout.keeping(document, kept),
                        () -> workspace.design() == document.design(),
                        arranged -> {
                            workspace.apply(new ChangeDiagram(
                                    workspace
                                            .document()
                                            .diagram()
                                            .with(arranged.positions())
                                            .withDistricts(arranged.districts()),
                                    "tidy up"));
                            sheet.fit();
                        },
                        failure ->
                                workspace.notices().complain("the cards could not be placed: " + failure.getMessage()));
    }
}
