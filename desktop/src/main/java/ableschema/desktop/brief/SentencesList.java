package ableschema.desktop.brief;

import ableschema.core.design.Id;
import ableschema.core.design.Judgement;
import ableschema.core.design.Judgement.Verdict;
import ableschema.core.design.Notes;
import ableschema.core.edit.ChangeNotes;
import ableschema.core.finding.Step;
import ableschema.core.store.FileProblem;
import ableschema.core.words.DesignText;
import ableschema.core.words.Sentence;
import ableschema.desktop.controls.Controls;
import ableschema.desktop.controls.Fields;
import ableschema.desktop.rule.SentenceField;
import ableschema.desktop.workspace.Refresh;
import ableschema.desktop.workspace.Workspace;
import java.io.File;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import javafx.css.PseudoClass;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ListCell;
import javafx.scene.control.ListView;
import javafx.scene.control.TextArea;
import javafx.scene.control.TextField;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import javafx.stage.FileChooser;

/** All sentences of the design, to be read with those who know the business: each confirmed, or wrong with a remark. */
final class SentencesList extends VBox {

    private static final double LINE_WIDTH = 600;
    private static final PseudoClass CHOSEN = PseudoClass.getPseudoClass("chosen");

    private final Workspace workspace;
    private final ListView<Sentence> list = new ListView<>();
    private final Label count = Controls.text("", "note");

    SentencesList(Workspace workspace) {
        this.workspace = workspace;
        getStyleClass().add("bench");
        setId("sentences-list");
        Button export = Controls.button("export-sentences", "export as text", this::chooseAndExport);
        var head = new HBox(
                12,
                Controls.text("Is it so? Every sentence of the design", "bench-title"),
                count,
                Controls.space(),
                export);
        head.setAlignment(Pos.BASELINE_LEFT);
        list.setCellFactory(view -> new SentenceCell());
        list.getStyleClass().add("sentences");
        VBox.setVgrow(list, Priority.ALWAYS);
        getChildren().addAll(head, list);
        setVisible(false); // until it is asked for
        var refresh = new Refresh(
                this,
                () -> isVisible() && workspace.stepProperty().get() == Step.BRIEF,
                () -> workspace.workOut(
                        document -> DesignText.of(document.design()).sentences(), this::show));
        workspace.onMeaning(refresh::later);
        workspace.stepProperty().addListener((o, before, now) -> refresh.now());
        visibleProperty().addListener((o, before, now) -> refresh.now());
    }

    private Notes notes() {
        return workspace.design().notes();
    }

    private void show(List<Sentence> said) {
        list.getItems().setAll(said);
        long confirmed = count(said, Verdict.CONFIRMED);
        long wrong = count(said, Verdict.WRONG);
        count.setText(confirmed + " of " + said.size() + " confirmed" + (wrong == 0 ? "" : ", " + wrong + " wrong"));
    }

    private long count(List<Sentence> said, Verdict verdict) {
        return said.stream()
                .flatMap(each -> notes().judgement(each.about(), each.text()).stream())
                .filter(judgement -> judgement.verdict() == verdict)
                .count();
    }

    /** The sentences with what was said of each, for people to keep. */
    String exported() {
        var lines = new ArrayList<String>();
        for (Sentence said : DesignText.of(workspace.design()).sentences()) {
            String verdict = notes().judgement(said.about(), said.text())
                    .map(j -> j.verdict() == Verdict.CONFIRMED ? "[yes]  " : "[wrong]")
                    .orElse("[    ] ");
            String remark = notes().judgement(said.about(), said.text())
                    .map(Judgement::remark)
                    .filter(text -> !text.isEmpty())
                    .map(text -> "  — " + text)
                    .orElse("");
            lines.add(verdict + " " + said.text() + remark);
        }
        return String.join("\n", lines) + "\n";
    }

    private void chooseAndExport() {
        var chooser = new FileChooser();
        chooser.setInitialFileName("sentences.txt");
        File file = chooser.showSaveDialog(getScene().getWindow());
        if (file != null) {
            try {
                workspace.export(file.toPath(), exported());
                workspace.notices().say("wrote " + file.getName());
            } catch (FileProblem e) {
                workspace.notices().complain(String.valueOf(e.getMessage()));
            }
        }
    }

    /** One sentence with its answers. */
    private final class SentenceCell extends ListCell<Sentence> {
        @Override
        protected void updateItem(Sentence said, boolean empty) {
            super.updateItem(said, empty);
            setText(null);
            setGraphic(empty || said == null ? null : row(said));
        }

        private Node row(Sentence said) {
            Optional<Judgement> judgement = notes().judgement(said.about(), said.text());
            TextArea text = new SentenceField(workspace, said, LINE_WIDTH, Integer.MAX_VALUE);
            HBox.setHgrow(text, Priority.ALWAYS);
            text.setOnMousePressed(event -> workspace.selection().choose(said.about()));
            var row = new HBox(
                    8,
                    text,
                    verdict(said, judgement, Verdict.CONFIRMED, "yes"),
                    verdict(said, judgement, Verdict.WRONG, "wrong"));
            row.setAlignment(Pos.CENTER_LEFT);
            var all = new VBox(2, row);
            if (judgement.filter(j -> j.verdict() == Verdict.WRONG).isPresent()) {
                all.getChildren().add(remark(judgement.get()));
            }
            all.setMaxWidth(list.getWidth() - 40);
            return all;
        }

        private Node remark(Judgement judgement) {
            TextField remark = Fields.text(
                    "",
                    judgement.remark(),
                    "what is true instead?",
                    typed -> put(judgement.about(), judgement.sentence(), Verdict.WRONG, typed));
            remark.getStyleClass().add("remark");
            return remark;
        }

        private Button verdict(Sentence said, Optional<Judgement> judgement, Verdict verdict, String label) {
            boolean given = judgement.filter(j -> j.verdict() == verdict).isPresent();
            Button button = Controls.button("", label, () -> {
                if (given) {
                    workspace.apply(new ChangeNotes(
                            notes().withoutJudgement(said.about(), said.text()),
                            "take back what was said of a sentence"));
                } else {
                    put(said.about(), said.text(), verdict, "");
                }
            });
            button.getStyleClass().add("verdict");
            button.pseudoClassStateChanged(CHOSEN, given);
            return button;
        }
    }

    private void put(Id about, String sentence, Verdict verdict, String remark) {
        var judgement = new Judgement(about, sentence, verdict, remark);
        String name = verdict == Verdict.CONFIRMED ? "confirm a sentence" : "say that a sentence is wrong";
        workspace.apply(new ChangeNotes(notes().with(judgement), name));
    }
}
