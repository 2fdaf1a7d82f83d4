package ableschema.desktop.gloss;

import ableschema.core.design.Attribute;
import ableschema.core.design.Id;
import ableschema.core.finding.Finding;
import ableschema.core.finding.Step;
import ableschema.desktop.controls.Controls;
import ableschema.desktop.workspace.Workspace;
import java.util.List;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;

/** What there is to say about the chosen thing; each line leads to its remedy in the review. */
final class FindingLines extends VBox {

    private static final int MOST = 4;

    private final Workspace workspace;

    /** What the lines about a thing show. */
    static Object shownOf(Workspace workspace, Id owner) {
        return shownOf(workspace.review().about(owner));
    }

    /** Those about an owner that concern one of its attributes. */
    static List<Finding> about(Workspace workspace, Id owner, Attribute attribute) {
        return workspace.review().about(owner).stream()
                .filter(each -> each.place().parts().contains(attribute.ref()))
                .toList();
    }

    static Object shownOf(List<Finding> findings) {
        return findings.stream()
                .map(each -> List.of(each.severity(), each.text(), each.place().owner()))
                .toList();
    }

    FindingLines(Workspace workspace, Id owner) {
        this(workspace, owner, workspace.review().about(owner));
    }

    FindingLines(Workspace workspace, Id owner, List<Finding> findings) {
        super(4);
        this.workspace = workspace;
        setId("gloss-findings");
        findings.stream().limit(MOST).forEach(each -> getChildren().add(line(each)));
        if (findings.size() > MOST) {
            Label more = Controls.text("and " + (findings.size() - MOST) + " more in the review", "note");
            Controls.pressable(more, () -> toReview(owner));
            getChildren().add(more);
        }
    }

    private HBox line(Finding finding) {
        Label sign = Controls.sign(finding.severity());
        sign.setMinWidth(12);
        Label text = Controls.text(finding.text(), "sentence");
        text.setWrapText(true);
        text.setMinHeight(Region.USE_PREF_SIZE);
        HBox.setHgrow(text, Priority.ALWAYS);
        var line = new HBox(4, sign, text);
        line.setAccessibleText(finding.severity().label() + ": " + finding.text());
        Controls.pressable(line, () -> toReview(finding.place().owner()));
        return line;
    }

    private void toReview(Id owner) {
        workspace.selection().choose(owner);
        workspace.stepProperty().set(Step.REVIEW);
    }
}
