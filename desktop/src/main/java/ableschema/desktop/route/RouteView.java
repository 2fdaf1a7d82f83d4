package ableschema.desktop.route;

import ableschema.core.finding.Finding;
import ableschema.core.finding.Severity;
import ableschema.core.finding.Step;
import ableschema.core.review.Review;
import ableschema.desktop.workspace.Workspace;
import java.util.Collection;
import java.util.EnumMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import javafx.css.PseudoClass;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;

/** The steps of the work, each with what is still open in it. */
public final class RouteView extends VBox {

    private static final PseudoClass CHOSEN = PseudoClass.getPseudoClass("chosen");
    private static final PseudoClass OPEN = PseudoClass.getPseudoClass("open");

    private final Workspace workspace;
    private final Label file = new Label();
    private final Map<Step, StepButton> buttons = new EnumMap<>(Step.class);

    /** @param steps those that there is a place for in the window */
    public RouteView(Workspace workspace, Collection<Step> steps) {
        this.workspace = workspace;
        getStyleClass().add("route");
        var name = new Label("Able Schema");
        name.getStyleClass().add("product");
        file.getStyleClass().add("note");
        file.setId("file-name");
        getChildren().addAll(name, file);
        for (Step step : steps) {
            var button = new StepButton(step);
            buttons.put(step, button);
            getChildren().add(button);
        }
        var space = new Region();
        VBox.setVgrow(space, Priority.ALWAYS);
        getChildren().add(space);
        for (String hint :
                new String[] {"Ctrl+K  find or do", "F1  all shortcuts", "Ctrl+L  rule line", "Ctrl+S  save"}) {
            var label = new Label(hint);
            label.getStyleClass().add("note");
            getChildren().add(label);
        }
        workspace.onMeaning(() -> {
            if (workspace.isReviewed()) {
                count();
            } else {
                nameFile(); // the counts come with the findings
            }
        });
        workspace.onReviewed(this::count);
        workspace.documentProperty().addListener((o, before, now) -> nameFile());
        workspace.stepProperty().addListener((o, before, now) -> light());
        workspace.notices().noticeProperty().addListener((o, before, now) -> nameFile());
        count();
        light();
    }

    private final class StepButton extends Button {
        private final Label sign = new Label();
        private final Label note = new Label();

        StepButton(Step step) {
            setId("step-" + step.label().toLowerCase(Locale.ROOT).replace(' ', '-'));
            setAccessibleText(step.label());
            getStyleClass().setAll("step");
            sign.getStyleClass().add("step-sign");
            note.getStyleClass().add("note");
            var label = new Label(step.label());
            label.getStyleClass().add("step-label");
            var box = new HBox(8, sign, new VBox(label, note));
            box.setAlignment(Pos.CENTER_LEFT);
            setGraphic(box);
            setMaxWidth(Double.MAX_VALUE);
            setAlignment(Pos.CENTER_LEFT);
            setOnAction(event -> workspace.stepProperty().set(step));
        }

        void say(int open, String text) {
            sign.setText(open == 0 ? "" : Integer.toString(open));
            pseudoClassStateChanged(OPEN, open > 0);
            note.setText(text);
        }
    }

    private void light() {
        buttons.forEach((step, button) ->
                button.pseudoClassStateChanged(CHOSEN, workspace.stepProperty().get() == step));
    }

    private void nameFile() {
        file.setText(workspace.isSaved() ? workspace.called() : workspace.called() + " ·");
    }

    private void count() {
        nameFile();
        Review review = workspace.review();
        int undecided = workspace.mapping().undecided().size();
        buttons.forEach((step, button) -> {
            List<Finding> open = step == Step.REVIEW ? review.of(Severity.MUST_MEND) : open(review, step);
            String words = step == Step.REVIEW ? open.size() + " to mend" : counted(open);
            if (step == Step.SQL && undecided > 0) {
                button.say(undecided, undecided + " undecided");
            } else {
                button.say(open.size(), open.isEmpty() ? calm(step) : words);
            }
        });
    }

    /** What is left to do in a step; advice is no work, but for normal forms, which are nothing else. */
    private static List<Finding> open(Review review, Step step) {
        return review.of(step).stream()
                .filter(each -> each.severity() != Severity.ADVICE || step == Step.FORMS)
                .toList();
    }

    /** What a step says of itself where nothing is open in it. */
    private String calm(Step step) {
        return switch (step) {
            case BRIEF -> plural(workspace.design().notes().brief().questions().size(), "question", "questions");
            case DRAW -> plural(workspace.design().entities().size(), "entity", "entities");
            case KEYS -> "all chosen";
            case FORMS -> "none below 3NF";
            case REVIEW -> "nothing to mend";
            case ROWS -> plural(rows(), "row", "rows");
            case SQL -> workspace.dialect().label();
            case CHANGES -> "nothing to compare";
        };
    }

    private int rows() {
        return workspace.design().entities().stream()
                .mapToInt(each -> each.body().rows().size())
                .sum();
    }

    /** "3 to choose" where all are of one sort; of several sorts "5 to look at". */
    private static String counted(List<Finding> open) {
        List<String> words = open.stream()
                .map(each -> each.rule().counted(open.size()))
                .distinct()
                .toList();
        return open.size() + " " + (words.size() == 1 ? words.get(0) : "to look at");
    }

    private static String plural(int count, String one, String many) {
        return count + " " + (count == 1 ? one : many);
    }
}
