package ableschema.desktop.review;

import ableschema.core.design.Id;
import ableschema.core.review.Rules;
import ableschema.desktop.controls.Controls;
import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import javafx.application.Platform;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.control.ListCell;
import javafx.scene.control.ListView;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;

/** The findings, each a sentence and a line of evidence, under headings that the arrow keys pass over. */
final class FindingList extends ListView<Entry> {

    private final Consumer<Entry> chosen;
    private boolean refreshing;

    FindingList(Consumer<Entry> chosen) {
        this.chosen = chosen;
        setId("findings");
        getStyleClass().add("findings");
        setCellFactory(list -> new EntryCell());
        getSelectionModel().selectedIndexProperty().addListener((o, before, now) -> {
            if (!refreshing && now.intValue() >= 0) {
                chosen(before.intValue(), now.intValue());
            }
        });
    }

    private void chosen(int before, int now) {
        if (getItems().get(now) instanceof Entry.Heading) {
            int next = now < before ? now - 1 : now + 1;
            boolean there = next >= 0 && next < getItems().size();
            Platform.runLater(() -> getSelectionModel().select(there ? next : now + 1));
        } else {
            chosen.accept(getItems().get(now));
        }
    }

    /**
     * Shows other entries; what was chosen stays chosen where it is there still, else what stands in its place.
     *
     * @param about the thing of which the first finding is chosen instead, where there is one
     */
    void show(List<Entry> entries, Optional<Id> about) {
        Entry was = getSelectionModel().getSelectedItem();
        int place = Math.max(0, getSelectionModel().getSelectedIndex());
        refreshing = true;
        getItems().setAll(entries);
        int now = was == null ? -1 : indexOf(was);
        getSelectionModel().clearSelection();
        refreshing = false;
        int wanted = about.map(this::firstAbout).orElse(-1);
        if (wanted >= 0) {
            getSelectionModel().select(wanted);
            scrollTo(Math.max(0, wanted - 3));
        } else {
            select(now >= 0 ? now : place);
        }
    }

    private int indexOf(Entry entry) {
        for (int i = 0; i < getItems().size(); i++) {
            if (isSame(getItems().get(i), entry)) {
                return i;
            }
        }
        return -1;
    }

    /** A finding stays itself while the rest of what is known of it changes. */
    private static boolean isSame(Entry one, Entry other) {
        return one instanceof Entry.Open a && other instanceof Entry.Open b
                ? a.finding().rule() == b.finding().rule()
                        && a.finding().place().equals(b.finding().place())
                        && a.finding().facts().equals(b.finding().facts())
                : one.equals(other);
    }

    /** Selects the first that is no heading at this place or behind it, or else before it. */
    private void select(int place) {
        for (int i = Math.min(place, getItems().size() - 1);
                i >= 0 && i < getItems().size();
                i++) {
            if (!(getItems().get(i) instanceof Entry.Heading)) {
                getSelectionModel().select(i);
                return;
            }
        }
        for (int i = getItems().size() - 1; i >= 0; i--) {
            if (!(getItems().get(i) instanceof Entry.Heading)) {
                getSelectionModel().select(i);
                return;
            }
        }
    }

    /** The place of the first finding about a thing; -1 for none. */
    private int firstAbout(Id owner) {
        for (int i = 0; i < getItems().size(); i++) {
            if (getItems().get(i) instanceof Entry.Open open
                    && open.finding().place().owner().equals(owner)) {
                return i;
            }
        }
        return -1;
    }

    /** Goes on by some findings, passing over headings; stays where there are no more. */
    void step(int by) {
        int at = getSelectionModel().getSelectedIndex() + by;
        while (at >= 0 && at < getItems().size() && getItems().get(at) instanceof Entry.Heading) {
            at += by;
        }
        if (at >= 0 && at < getItems().size()) {
            getSelectionModel().select(at);
            scrollTo(Math.max(0, at - 3));
        }
    }

    private static final class EntryCell extends ListCell<Entry> {
        @Override
        protected void updateItem(Entry entry, boolean empty) {
            super.updateItem(entry, empty);
            setText(null);
            setGraphic(empty || entry == null ? null : node(entry));
            setPrefWidth(0); // as wide as the list, so that sentences wrap
        }

        private static Node node(Entry entry) {
            if (entry instanceof Entry.Heading heading) {
                return heading(heading);
            }
            if (entry instanceof Entry.Open open) {
                return lines(
                        Controls.sign(open.finding().severity()),
                        open.text(),
                        open.finding().evidence());
            }
            var aside = (Entry.Aside) entry;
            return aside.finding()
                    .map(each -> lines(
                            Controls.text("·", "note"),
                            each.text(),
                            aside.aside().reason()))
                    .orElseGet(() -> lines(
                            Controls.text("·", "note"),
                            Rules.named(aside.aside().rule())
                                            .map(rule -> rule.title())
                                            .orElse(aside.aside().rule()) + ": found no more",
                            aside.aside().reason()));
        }

        private static Node heading(Entry.Heading heading) {
            Label name = Controls.text(heading.label(), "finding-heading");
            name.setWrapText(true);
            name.setMinHeight(Region.USE_PREF_SIZE);
            HBox.setHgrow(name, Priority.ALWAYS);
            name.setMaxWidth(Double.MAX_VALUE);
            String count = heading.count() + (heading.count() == 1 ? " finding" : " findings");
            Label counted = Controls.text(count, "note");
            counted.setMinWidth(Region.USE_PREF_SIZE);
            var line = new HBox(8, name, counted);
            line.getStyleClass().add("section-line");
            return line;
        }

        private static Node lines(Label sign, String first, String second) {
            sign.setMinWidth(14);
            Label text = Controls.text(first, "finding-text");
            text.setWrapText(true);
            text.setMinHeight(Region.USE_PREF_SIZE);
            var lines = new VBox(1, text);
            if (!second.isEmpty()) {
                Label note = Controls.text(second, "note");
                note.setWrapText(true);
                note.setMinHeight(Region.USE_PREF_SIZE);
                lines.getChildren().add(note);
            }
            HBox.setHgrow(lines, Priority.ALWAYS);
            return new HBox(4, sign, lines);
        }
    }
}
