package ableschema.desktop.review;

import static java.util.stream.Collectors.groupingBy;
import static java.util.stream.Collectors.toList;

import ableschema.core.design.Id;
import ableschema.core.finding.Finding;
import ableschema.core.finding.Severity;
import ableschema.core.finding.Step;
import ableschema.core.review.PlaceText;
import ableschema.core.review.Review;
import ableschema.desktop.controls.Choice;
import ableschema.desktop.controls.Controls;
import ableschema.desktop.workspace.Refresh;
import ableschema.desktop.workspace.Workspace;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Stream;
import javafx.application.Platform;
import javafx.css.PseudoClass;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;

/** What speaks against the design: the findings at the left, the chosen one with its remedy at the right. */
public final class ReviewBench extends VBox {

    private static final PseudoClass CHOSEN = PseudoClass.getPseudoClass("chosen");
    private static final String EVERYTHING = "everything";
    private static final double LIST_WIDTH = 310;

    private final Workspace workspace;
    private final Label summary = Controls.text("", "note");
    private final HBox filters = new HBox(12);
    private final FindingList list;
    private final FindingView finding;
    private boolean byRule;
    private boolean asideShown;
    private boolean here;
    private Optional<Severity> severity = Optional.empty();
    private Optional<Step> step = Optional.empty();

    public ReviewBench(Workspace workspace) {
        this.workspace = workspace;
        setId("review-bench");
        getStyleClass().addAll("bench", "bench-scroll");
        this.list = new FindingList(this::choose);
        this.finding = new FindingView(workspace, this::next);
        summary.setId("review-summary");
        filters.setAlignment(Pos.CENTER_LEFT);
        list.prefWidthProperty().bind(widthProperty().map(width -> Math.min(LIST_WIDTH, width.doubleValue() * 0.4)));
        list.setMinWidth(Region.USE_PREF_SIZE);
        list.addEventFilter(KeyEvent.KEY_PRESSED, event -> {
            if (event.getCode() == KeyCode.ENTER) {
                finding.mend();
                event.consume();
            }
        });
        HBox.setHgrow(finding, Priority.ALWAYS);
        finding.setMinWidth(0);
        var parts = new HBox(16, list, finding);
        VBox.setVgrow(parts, Priority.ALWAYS);
        getChildren().addAll(header(), summary, filters, parts);
        Refresh.of(workspace, Step.REVIEW, this, this::show);
        workspace.stepProperty().addListener((o, before, now) -> here = now == Step.REVIEW);
    }

    private void next() {
        list.step(1);
    }

    private Node header() {
        var line = new HBox(
                10,
                Controls.text("What speaks against this design?", "bench-title"),
                Controls.space(),
                order("by place", false),
                order("by rule", true));
        line.setAlignment(Pos.CENTER_LEFT);
        return line;
    }

    private Button order(String label, boolean rules) {
        Button button = Controls.button(label.replace(' ', '-'), label, () -> {
            byRule = rules;
            show();
        });
        button.getStyleClass().setAll("header-button");
        return button;
    }

    private void show() {
        Review review = workspace.review();
        Optional<Id> chosen = here ? Optional.empty() : workspace.selection().chosenOwner();
        if (!here) {
            here = true;
            Platform.runLater(list::requestFocus); // the bench is made visible after this
        }
        for (String id : List.of("#by-place", "#by-rule")) {
            lookup(id).pseudoClassStateChanged(CHOSEN, id.equals("#by-rule") == byRule);
        }
        summary.setText(summary(review));
        showFilters(review);
        List<Finding> shown = review.open().stream()
                .filter(each -> severity.filter(one -> one != each.severity()).isEmpty())
                .filter(each -> step.filter(one -> one != each.step()).isEmpty())
                .toList();
        var entries = new ArrayList<Entry>(entries(shown));
        if (asideShown) {
            entries.addAll(aside(review));
        }
        list.show(entries, chosen); // whoever comes here from a thing begins with what is said about it
        if (entries.isEmpty()) {
            finding.showNothing(
                    review.open().isEmpty()
                            ? "Nothing speaks against this design."
                            : "Nothing of this sort: show everything above.");
        }
    }

    private static String summary(Review review) {
        var parts = Stream.of(Severity.values())
                .filter(each -> !review.of(each).isEmpty())
                .map(each -> review.of(each).size() + " " + each.label())
                .collect(toList());
        if (!review.aside().isEmpty()) {
            parts.add(review.aside().size() + " set aside, each with its reason");
        }
        return parts.isEmpty() ? "nothing was found" : String.join(" · ", parts);
    }

    private void showFilters(Review review) {
        var severities = new ArrayList<String>(List.of(EVERYTHING));
        Stream.of(Severity.values()).map(Severity::label).forEach(severities::add);
        Choice bySeverity =
                Choice.of(severity.map(Severity::label).orElse(EVERYTHING), severities, word -> word, word -> {
                    severity = Stream.of(Severity.values())
                            .filter(each -> each.label().equals(word))
                            .findFirst();
                    show();
                });
        bySeverity.setId("filter-severity");
        var steps = new ArrayList<String>(List.of("all steps"));
        review.open().stream().map(each -> each.step().label()).distinct().forEach(steps::add);
        Choice byStep = Choice.of(step.map(Step::label).orElse("all steps"), steps, word -> word, word -> {
            step = Stream.of(Step.values())
                    .filter(each -> each.label().equals(word))
                    .findFirst();
            show();
        });
        byStep.setId("filter-step");
        filters.getChildren().setAll(Controls.text("show", "note"), bySeverity, Controls.text("of", "note"), byStep);
        int kept = review.aside().size() + review.lost().size();
        if (kept > 0) {
            Button button =
                    Controls.button("show-aside", kept + " set aside: " + (asideShown ? "hide" : "show"), () -> {
                        asideShown = !asideShown;
                        show();
                    });
            button.getStyleClass().setAll("header-button");
            filters.getChildren().add(button);
        }
    }

    private List<Entry> entries(List<Finding> shown) {
        Function<Finding, String> heading =
                byRule ? each -> each.rule().title() : each -> PlaceText.label(each.place(), workspace.design());
        Map<String, List<Finding>> groups = shown.stream().collect(groupingBy(heading, LinkedHashMap::new, toList()));
        var entries = new ArrayList<Entry>();
        groups.forEach((label, of) -> {
            entries.add(new Entry.Heading(label, of.size()));
            of.forEach(each -> entries.add(new Entry.Open(each, without(label + ": ", each.text()))));
        });
        return entries;
    }

    private static String without(String beginning, String text) {
        return text.startsWith(beginning) ? text.substring(beginning.length()) : text;
    }

    private static List<Entry> aside(Review review) {
        var entries = new ArrayList<Entry>();
        entries.add(new Entry.Heading(
                "Set aside", review.aside().size() + review.lost().size()));
        review.aside().forEach((each, aside) -> entries.add(new Entry.Aside(aside, Optional.of(each))));
        review.lost().forEach(each -> entries.add(new Entry.Aside(each, Optional.empty())));
        return entries;
    }

    private void choose(Entry entry) {
        if (entry instanceof Entry.Open open) {
            finding.show(open.finding());
            workspace.selection().choose(open.finding().place().owner());
        } else if (entry instanceof Entry.Aside aside) {
            finding.show(aside);
        }
    }
}
