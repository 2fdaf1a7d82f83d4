package ableschema.desktop.keys;

import static ableschema.desktop.controls.Controls.text;

import ableschema.core.keys.KeyCandidate;
import ableschema.core.keys.KeyCandidate.Point;
import ableschema.core.keys.KeyCandidate.Verdict;
import ableschema.desktop.controls.Controls;
import java.util.List;
import java.util.Optional;
import java.util.function.BiConsumer;
import java.util.function.Consumer;
import javafx.css.PseudoClass;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.ColumnConstraints;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;

/** Candidate keys side by side: a column each, a line for each question; what only a designer knows is answered in its cell. */
final class CandidateTable extends GridPane {

    private static final PseudoClass CHOSEN = PseudoClass.getPseudoClass("chosen");

    private final Consumer<KeyCandidate> pick;
    private final BiConsumer<KeyCandidate, Point> answer;

    /**
     * @param advised the one that is lifted out; empty for none
     * @param answer  told when a point that asks something is pressed
     */
    CandidateTable(
            List<KeyCandidate> candidates,
            KeyCandidate shown,
            Optional<KeyCandidate> advised,
            Consumer<KeyCandidate> pick,
            BiConsumer<KeyCandidate, Point> answer) {
        this.pick = pick;
        this.answer = answer;
        getStyleClass().add("candidates");
        getColumnConstraints().add(column());
        for (int c = 0; c < candidates.size(); c++) {
            KeyCandidate candidate = candidates.get(c);
            getColumnConstraints().add(column());
            boolean lit = candidate == shown;
            add(head(candidate, lit, advised.filter(candidate::equals).isPresent()), c + 1, 0);
            for (int p = 0; p < candidate.points().size(); p++) {
                Point point = candidate.points().get(p);
                if (c == 0) {
                    add(cell(text(point.question(), "note"), false), 0, p + 1);
                }
                add(answerOf(candidate, point, lit), c + 1, p + 1);
            }
        }
    }

    /** As wide as what stands in it, which is never cut; what does not fit beside the others is scrolled to. */
    private static ColumnConstraints column() {
        var column = new ColumnConstraints();
        column.setMinWidth(Region.USE_PREF_SIZE);
        column.setHgrow(Priority.ALWAYS);
        return column;
    }

    private Node head(KeyCandidate candidate, boolean lit, boolean advised) {
        var name = text(candidate.name(), "candidate-name");
        name.setUnderline(true);
        String now = candidate.current() ? " · the key now" : "";
        var box = new VBox(2, name, text(candidate.note() + now, "note"));
        if (advised) {
            box.getChildren().add(text("our advice", "advised"));
        }
        box.getStyleClass().add("candidate-head");
        box.setMaxWidth(Double.MAX_VALUE);
        box.pseudoClassStateChanged(CHOSEN, lit);
        box.setId("candidate-" + plain(candidate));
        Controls.pressable(box, () -> pick.accept(candidate));
        return box;
    }

    private static String plain(KeyCandidate candidate) {
        return candidate.name().replaceAll("[^\\p{L}\\p{Nd}]+", "-");
    }

    private Node answerOf(KeyCandidate candidate, Point point, boolean lit) {
        String sign = point.verdict() == Verdict.GOOD ? "✓" : point.verdict() == Verdict.BAD ? "✕" : "–";
        String style = point.verdict() == Verdict.GOOD ? "holds" : point.verdict() == Verdict.BAD ? "fails" : "neither";
        var words = text(point.answer(), point.verdict() == Verdict.BAD ? "fails" : "answer");
        var box = new HBox(6, text(sign, style), words);
        box.setAlignment(Pos.CENTER_LEFT);
        Node cell = cell(box, lit);
        point.asks()
                .ifPresentOrElse(
                        question -> {
                            box.getStyleClass().add("asked");
                            box.setId("answer-" + point.kind() + "-" + plain(candidate));
                            box.setAccessibleText(candidate.name() + ": " + question.text() + " " + point.answer());
                            Tooltip.install(box, new Tooltip(question.text() + " Press to answer: yes, no, not said."));
                            Controls.pressable(box, () -> answer.accept(candidate, point));
                        },
                        () -> cell.setOnMouseClicked(event -> pick.accept(candidate)));
        return cell;
    }

    private static Node cell(Node inside, boolean lit) {
        var box = new HBox(inside);
        box.setAlignment(Pos.CENTER_LEFT);
        box.getStyleClass().add("candidate-cell");
        box.setMaxWidth(Double.MAX_VALUE);
        box.pseudoClassStateChanged(CHOSEN, lit);
        return box;
    }
}
