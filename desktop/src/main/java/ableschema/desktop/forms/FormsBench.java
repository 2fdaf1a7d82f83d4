package ableschema.desktop.forms;

import static ableschema.desktop.controls.Controls.text;

import ableschema.core.design.Attribute;
import ableschema.core.design.ColumnRef;
import ableschema.core.design.Dependency;
import ableschema.core.design.Entity;
import ableschema.core.design.KeyPart;
import ableschema.core.design.Row;
import ableschema.core.finding.Step;
import ableschema.core.normalization.Decompose;
import ableschema.core.normalization.EntityTheory;
import ableschema.core.normalization.Proposal;
import ableschema.core.normalization.Redundancy;
import ableschema.core.normalization.ViolationText;
import ableschema.core.rows.RowEntry;
import ableschema.core.theory.Analysis;
import ableschema.core.theory.Decomposition;
import ableschema.core.theory.NormalForm;
import ableschema.core.theory.Violation;
import ableschema.core.words.Sentences;
import ableschema.desktop.controls.BeforeAfterFold;
import ableschema.desktop.controls.Controls;
import ableschema.desktop.controls.Ends;
import ableschema.desktop.workspace.Outcomes;
import ableschema.desktop.workspace.Refresh;
import ableschema.desktop.workspace.Workspace;
import ableschema.diagram.text.Face;
import java.util.List;
import java.util.Optional;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Hyperlink;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.layout.ColumnConstraints;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;

/** What decides what in an entity, the normal form that this allows, what goes wrong below it, and the parts to take it into. */
public final class FormsBench extends ScrollPane {

    private static final int MOST_ROWS = 4;

    private final Workspace workspace;
    private final VBox content = new VBox();
    private final BeforeAfterFold fold = new BeforeAfterFold();
    private final Outcomes outcomes;
    private NormalForm goal = NormalForm.THIRD;
    private Optional<Proposal> proposal = Optional.empty();

    public FormsBench(Workspace workspace) {
        this.workspace = workspace;
        this.outcomes = new Outcomes(workspace);
        setId("forms-bench");
        getStyleClass().add("bench-scroll");
        content.getStyleClass().add("bench");
        setContent(content);
        setFitToWidth(true);
        workspace.onMeaning(this::forget);
        workspace.stepProperty().addListener((o, before, now) -> forget());
        Refresh refresh = Refresh.of(workspace, Step.FORMS, this, this::show);
        workspace.selection().chosenProperty().addListener((o, before, now) -> {
            forget();
            refresh.later();
        });
        widthProperty().addListener((o, before, now) -> refresh.later());
    }

    /** The names that were given to parts were for a proposal that there is no more. */
    private void forget() {
        proposal = Optional.empty();
    }

    private void show() {
        content.getChildren().clear();
        workspace
                .selection()
                .chosenEntity()
                .or(() -> workspace.design().entities().stream()
                        .filter(e -> !e.body().dependencies().isEmpty())
                        .findFirst())
                .or(() -> workspace.design().entities().stream().findFirst())
                .ifPresentOrElse(this::show, () -> content.getChildren()
                        .add(text("There is no entity yet. Draw one first.", "hint")));
    }

    private void show(Entity entity) {
        EntityTheory theory = EntityTheory.of(workspace.design(), entity);
        Analysis analysis = theory.analysis();
        content.getChildren().addAll(header(theory), Controls.sideways(new ArcsView(theory)));
        content.getChildren().add(dependencies(theory));
        if (!analysis.complete()) {
            var open = text("Not all was looked at: " + String.join("; ", analysis.open()) + ".", "hint");
            open.setId("forms-open");
            content.getChildren().add(open);
        }
        if (entity.body().dependencies().isEmpty()) {
            List<Attribute> own = entity.body().attributes();
            String first = own.size() < 2 ? "postcode" : own.get(0).name();
            String second = own.size() < 2 ? "city" : own.get(1).name();
            content.getChildren()
                    .add(wrapped(
                            "No dependency is stated. Type one below, such as: " + first + " -> " + second
                                    + "   (alike in " + first + ", alike in " + second + ")",
                            "hint"));
        }
        var redundancy = new Redundancy(theory);
        Optional<Violation> worst = analysis.violations().stream().findFirst();
        worst.ifPresent(violation -> content.getChildren().add(reason(theory, redundancy, violation)));
        if (!entity.body().rows().isEmpty() && worst.isPresent()) {
            content.getChildren().add(rows(theory, redundancy));
        }
        if (analysis.decomposition(goal).filter(d -> d.parts().size() > 1).isPresent()) {
            parts(theory, analysis.decomposition(goal).get());
        } else if (worst.isEmpty() && !entity.body().dependencies().isEmpty()) {
            content.getChildren()
                    .add(text(
                            "Nothing is said twice: " + entity.name() + " is in "
                                    + analysis.normalForm().sign() + " by what is stated.",
                            "answer"));
        }
    }

    private Node header(EntityTheory theory) {
        Entity entity = theory.entity();
        var sentences = new Sentences(workspace.design());
        var title = text(entity.name(), "bench-title");
        List<String> keys = theory.analysis().keys().found().stream()
                .limit(2)
                .map(key -> String.join(" + ", theory.analysis().relation().names(key)))
                .toList();
        var note = text(
                entity.body().rows().size() + " rows · " + theory.items().size() + " attributes · "
                        + (entity.body().dependencies().isEmpty()
                                        && entity.body().key().isEmpty()
                                ? "no key yet"
                                : "identified by " + Sentences.listed(keys)),
                "note");
        note.setId("forms-keys");
        var header = new Ends(said(title, note), ladder(theory.analysis()));
        header.setAccessibleText(sentences.key(entity));
        return header;
    }

    private static Label wrapped(String said, String style) {
        Label label = text(said, style);
        label.setWrapText(true);
        return label;
    }

    /** A title in full, and beside it what is to be known first, in as many lines as that takes. */
    private static HBox said(Label title, Label note) {
        title.setMinWidth(Region.USE_PREF_SIZE);
        note.setWrapText(true);
        var said = new HBox(12, title, note);
        said.setAlignment(Pos.BASELINE_LEFT);
        return said;
    }

    private Node ladder(Analysis analysis) {
        var ladder = new HBox(6);
        for (NormalForm form : List.of(NormalForm.FIRST, NormalForm.SECOND, NormalForm.THIRD, NormalForm.BOYCE_CODD)) {
            boolean reached = form.compareTo(analysis.normalForm()) <= 0;
            boolean fails = !reached && form.ordinal() == analysis.normalForm().ordinal() + 1;
            var rung = text((reached ? "✓ " : fails ? "✕ " : "") + form.sign(), "rung");
            rung.setId("rung-" + form.sign());
            rung.getStyleClass().add(reached ? "rung-holds" : fails ? "rung-fails" : "rung-open");
            ladder.getChildren().add(rung);
        }
        return ladder;
    }

    private Node dependencies(EntityTheory theory) {
        var flow = new FlowPane(16, 2);
        for (Dependency each : theory.entity().body().dependencies()) {
            var words = text(
                    theory.listed(theory.set(each.from())) + " → " + theory.listed(theory.set(each.to())),
                    "dependency");
            words.setMaxWidth(520);
            var remove = new Hyperlink("✕");
            remove.setAccessibleText("take back");
            remove.setOnAction(event -> workspace.apply(
                    workspace.edits().removeDependency(theory.entity().id(), each)));
            var line = new HBox(2, words, remove);
            line.setAlignment(Pos.CENTER_LEFT);
            flow.getChildren().add(line);
        }
        return flow;
    }

    private static Node reason(EntityTheory theory, Redundancy redundancy, Violation violation) {
        var reason = new ViolationText(theory, redundancy);
        var form = text(violation.form().sign() + " fails:", "fails");
        var why = text(reason.why(violation), "answer");
        why.setId("forms-reason");
        why.setWrapText(true);
        var first = new HBox(6, form, why);
        HBox.setHgrow(why, Priority.ALWAYS);
        form.setMinWidth(Region.USE_PREF_SIZE);
        var box = new VBox(2, first);
        String consequence = reason.consequence(violation);
        if (!consequence.isEmpty()) {
            var second = text(consequence, "answer");
            second.setWrapText(true);
            box.getChildren().add(second);
        }
        return box;
    }

    private Node rows(EntityTheory theory, Redundancy redundancy) {
        Entity entity = theory.entity();
        var entry = new RowEntry(workspace.design(), entity.id(), workspace.ids());
        var grid = new GridPane();
        grid.getStyleClass().add("said-twice");
        List<KeyPart> items = theory.items();
        double total = items.stream()
                .mapToDouble(item -> width(entry, entity, item, theory))
                .sum();
        for (int c = 0; c < items.size(); c++) {
            var share = new ColumnConstraints();
            share.setPercentWidth(100 * width(entry, entity, items.get(c), theory) / total);
            grid.getColumnConstraints().add(share);
            grid.add(text(theory.name(items.get(c)), "said-heading"), c, 0);
        }
        List<Row> rows = entity.body().rows();
        // rows that say something again are more telling than the first ones
        List<Row> telling = rows.stream()
                .sorted((a, b) -> Long.compare(said(redundancy, items, b), said(redundancy, items, a)))
                .limit(MOST_ROWS)
                .sorted((a, b) -> Integer.compare(rows.indexOf(a), rows.indexOf(b)))
                .toList();
        for (int r = 0; r < telling.size(); r++) {
            for (int c = 0; c < items.size(); c++) {
                var cell = text(shown(entry, telling.get(r), items.get(c)), "said-cell");
                cell.setMaxWidth(Double.MAX_VALUE);
                if (redundancy.isRedundant(telling.get(r), items.get(c))) {
                    cell.getStyleClass().add("said-again");
                }
                grid.add(cell, c, r + 1);
            }
        }
        int cells = rows.size() * items.size();
        var note = text(
                (rows.size() > telling.size() ? rows.size() - telling.size() + " more rows · " : "")
                        + "hatched: said by another row already, " + redundancy.count() + " of " + cells + " cells",
                "note");
        note.setId("forms-redundant");
        return new VBox(4, grid, note);
    }

    /** What a column needs: the wider of its heading and of what stands in it, within reason. */
    private static double width(RowEntry entry, Entity entity, KeyPart item, EntityTheory theory) {
        double widest = entity.body().rows().stream()
                .mapToDouble(row -> Face.REGULAR.width(shown(entry, row, item), 12))
                .max()
                .orElse(0);
        return Math.min(160, Math.max(widest, Face.REGULAR.width(theory.name(item), 11))) + 14;
    }

    private static long said(Redundancy redundancy, List<KeyPart> items, Row row) {
        return items.stream().filter(item -> redundancy.isRedundant(row, item)).count();
    }

    private static String shown(RowEntry entry, Row row, KeyPart item) {
        String shown = entry.shown(row, item);
        return shown.isEmpty() ? "—" : item instanceof ColumnRef ? shown : "↗ " + shown;
    }

    private void parts(EntityTheory theory, Decomposition decomposition) {
        Proposal shown = proposal.filter(p -> p.theory().entity().equals(theory.entity())
                        && p.decomposition().equals(decomposition))
                .orElseGet(() -> Proposal.of(workspace.design(), theory, decomposition, workspace.ids()));
        proposal = Optional.of(shown);
        String kept = decomposition.preservesDependencies()
                ? "all dependencies kept"
                : "not every dependency can be held within one part";
        var title = text("In " + decomposition.goal().sign(), "candidate-name");
        var note = text(
                decomposition.losslessInWords() + " · " + kept
                        + (shown.cellsNow() > 0 ? " · " + shown.cellsNow() + " cells become " + shown.cells() : ""),
                "note");
        note.setId("forms-proof");
        var goals = new HBox(10, goalLink(NormalForm.THIRD), goalLink(NormalForm.BOYCE_CODD));
        var header = new Ends(said(title, note), goals);
        var cards = new FlowPane(14, 12);
        cards.setId("parts");
        shown.parts().forEach(part -> cards.getChildren().add(new PartCard(shown, part, name -> {
            proposal = Optional.of(shown.renamed(part.id(), name));
            show();
        })));
        var apply = new Button("Decompose it ↵");
        apply.setId("decompose");
        apply.getStyleClass().add("main-action");
        apply.setDefaultButton(true);
        apply.setOnAction(event -> proposal.ifPresent(wanted -> {
            workspace.apply(new Decompose(wanted));
            workspace.selection().choose(theory.entity().id());
        }));
        var between = Controls.space();
        var foot = new HBox(fold.handle(), between, apply);
        foot.setAlignment(Pos.CENTER_LEFT);
        fold.show(show -> outcomes.of(new Decompose(shown), show), workspace.dialect());
        content.getChildren().addAll(header, cards);
        if (!shown.unheld().isEmpty()) {
            var lost = text("Held by no part, and gone with it: " + Sentences.listed(shown.unheld()) + ".", "fails");
            lost.setId("forms-unheld");
            lost.setWrapText(true);
            content.getChildren().add(lost);
        }
        content.getChildren().addAll(foot, fold);
    }

    private Node goalLink(NormalForm form) {
        var link = new Hyperlink(form.sign());
        link.setId("goal-" + form.sign());
        link.setDisable(form == goal);
        link.setOnAction(event -> {
            goal = form;
            forget();
            show();
        });
        return link;
    }
}
