package ableschema.desktop.route;

import ableschema.core.brief.Answer;
import ableschema.core.brief.EventRules;
import ableschema.core.design.ColumnRef;
import ableschema.core.design.Entity;
import ableschema.core.design.Question;
import ableschema.core.normalization.EntityTheory;
import ableschema.core.theory.NormalForm;
import ableschema.desktop.workspace.Step;
import ableschema.desktop.workspace.Workspace;
import java.util.EnumMap;
import java.util.HashMap;
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
    private Map<Entity, NormalForm> formsKnown = new HashMap<>();

    public RouteView(Workspace workspace) {
        this.workspace = workspace;
        getStyleClass().add("route");
        var name = new Label("Able Schema");
        name.getStyleClass().add("product");
        file.getStyleClass().add("note");
        file.setId("file-name");
        getChildren().addAll(name, file);
        for (Step step : Step.values()) {
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
        workspace.onMeaning(this::count);
        workspace.documentProperty().addListener((o, before, now) -> nameFile());
        workspace.stepProperty().addListener((o, before, now) -> light());
        workspace.noticeProperty().addListener((o, before, now) -> nameFile());
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
        String name = workspace
                .file()
                .map(path -> path.getFileName().toString().replace(".able.json", ""))
                .orElseGet(() -> workspace.document().title().isEmpty()
                        ? "not saved yet"
                        : workspace.document().title());
        file.setText(workspace.isSaved() ? name : name + " ·");
    }

    private void count() {
        nameFile();
        countBrief();
        int entities = workspace.design().entities().size();
        int untyped = (int) workspace.schema().tables().stream()
                .flatMap(t -> t.columns().stream()
                        .filter(c -> c.isUndecided() && workspace.trace().ref(t, c) instanceof ColumnRef.Own))
                .count();
        say(Step.DRAW, untyped, untyped > 0 ? untyped + " untyped" : plural(entities, "entity", "entities"));
        int keyless = (int) workspace.design().entities().stream()
                .filter(e -> e.body().key().isEmpty())
                .count();
        say(Step.KEYS, keyless, keyless > 0 ? keyless + " to choose" : "all chosen");
        int below = belowThird();
        say(Step.FORMS, below, below > 0 ? below + " below 3NF" : "none below 3NF");
        int undecided = workspace.mapping().undecided().size();
        say(
                Step.SQL,
                undecided,
                undecided > 0 ? undecided + " undecided" : workspace.dialect().label());
    }

    /** Questions that nothing answers, and events that lack their moment or who took part. */
    private void countBrief() {
        List<Question> questions = workspace.design().notes().brief().questions();
        int open = (int) questions.stream()
                .filter(question -> !Answer.of(question, workspace.mapping(), workspace.dialect())
                        .isJoined())
                .count();
        int asked = EventRules.findings(workspace.design()).size();
        String text = open > 0
                ? plural(open, "question open", "questions open")
                : asked > 0
                        ? plural(asked, "event asked", "events asked")
                        : plural(questions.size(), "question", "questions");
        say(Step.BRIEF, open + asked, text);
    }

    private void say(Step step, int open, String text) {
        StepButton button = buttons.get(step);
        if (button != null) {
            button.say(open, text);
        }
    }

    private static String plural(int count, String one, String many) {
        return count + " " + (count == 1 ? one : many);
    }

    /** Entities without stated dependencies are left out; forms are worked out again only for entities that changed. */
    private int belowThird() {
        var forms = new HashMap<Entity, NormalForm>();
        for (Entity entity : workspace.design().entities()) {
            if (!entity.body().dependencies().isEmpty()) {
                NormalForm known = formsKnown.get(entity);
                forms.put(
                        entity,
                        known != null
                                ? known
                                : EntityTheory.of(workspace.design(), entity)
                                        .analysis()
                                        .normalForm());
            }
        }
        formsKnown = forms;
        return (int) forms.values().stream()
                .filter(form -> form.compareTo(NormalForm.THIRD) < 0)
                .count();
    }
}
