package ableschema.desktop.brief;

import ableschema.core.brief.ToldSentences;
import ableschema.core.brief.ToldSentences.Offer;
import ableschema.core.brief.ToldSentences.Reading;
import ableschema.core.design.Design;
import ableschema.core.words.SpokenLine;
import ableschema.core.words.Understanding;
import ableschema.desktop.controls.Controls;
import ableschema.desktop.workspace.Workspace;
import java.util.List;
import java.util.Optional;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;

/** The sentences that were told and say something of the design, each with what it would be kept as, to be taken up one by one. */
final class ToldList extends VBox {

    private final Workspace workspace;
    private String shownText = "";
    private Design shownDesign = Design.EMPTY;
    private List<Offer> offers = List.of();
    private final ToldSentences.Known known = new ToldSentences.Known();

    private final Runnable keep;

    /** @param keep keeps the text that was told, before a sentence of it is taken up */
    ToldList(Workspace workspace, Runnable keep) {
        super(6);
        this.workspace = workspace;
        this.keep = keep;
        setId("told-sentences");
    }

    List<Offer> offers() {
        return offers;
    }

    void show(String text) {
        if (text.equals(shownText) && workspace.design() == shownDesign) {
            return;
        }
        shownText = text;
        shownDesign = workspace.design();
        List<Offer> now = ToldSentences.of(text, shownDesign, known);
        int same = 0;
        while (same < Math.min(now.size(), offers.size()) && now.get(same) == offers.get(same)) {
            same++;
        }
        offers = now;
        // while a text is typed at its end, what stands before stays as it is
        getChildren().remove(same == 0 ? 0 : same + 1, getChildren().size());
        if (same == 0 && !now.isEmpty()) {
            getChildren().add(Controls.text("What these sentences say", "bench-title"));
        }
        for (int i = same; i < now.size(); i++) {
            getChildren().add(lines("told-" + (i + 1), now.get(i)));
        }
    }

    private Node lines(String id, Offer offer) {
        var lines = new VBox(6);
        for (int j = 0; j < offer.readings().size(); j++) {
            Reading reading = offer.readings().get(j);
            String beside = j == 0 ? reading.gist() : "or, if that is meant";
            lines.getChildren().add(line(id + (j == 0 ? "" : "-or-" + j), reading, "take", beside));
        }
        offer.reverse().ifPresent(reverse -> lines.getChildren()
                .add(line(id + "-several", reverse.ifYes(), "yes", reverse.question())));
        return lines;
    }

    private Node line(String id, Reading reading, String label, String beside) {
        var words = new Label(String.join(" ", reading.sentences()));
        words.setWrapText(true);
        words.getStyleClass().add("sentence");
        var note = new Label(beside);
        note.setWrapText(true);
        note.getStyleClass().add("note");
        var text = new VBox(1, words, note);
        text.setMinHeight(Region.USE_PREF_SIZE);
        HBox.setHgrow(text, Priority.ALWAYS);
        Button take = Controls.button(id, label, () -> take(reading.sentences()));
        take.setMinWidth(54);
        var line = new HBox(10, take, text);
        line.setAlignment(Pos.TOP_LEFT);
        return line;
    }

    /** Takes the sentences up as one step. */
    private void take(List<String> sentences) {
        keep.run();
        Understanding heard = new SpokenLine(workspace.design(), Optional.empty(), workspace.ids()).readAll(sentences);
        if (heard instanceof Understanding.Understood understood) {
            workspace.apply(understood.edit());
        } else if (heard instanceof Understanding.NotUnderstood not) {
            workspace.notices().complain(not.problem());
        }
    }
}
