package ableschema.desktop.gloss;

import ableschema.core.design.Design;
import ableschema.core.design.Entity;
import ableschema.core.design.EntityKind;
import ableschema.core.design.Id;
import ableschema.core.design.Relationship;
import ableschema.core.finding.Step;
import ableschema.core.mapping.Mapping;
import ableschema.core.mapping.PhysicalDesign;
import ableschema.core.schema.ForeignKey;
import ableschema.core.schema.Schema;
import ableschema.core.schema.Table;
import ableschema.core.sql.Line;
import ableschema.core.sql.ScriptWriter;
import ableschema.core.words.DesignText;
import ableschema.core.words.Nouns;
import ableschema.core.words.Sentence;
import ableschema.core.words.Sentences;
import ableschema.desktop.controls.Choice;
import ableschema.desktop.controls.Controls;
import ableschema.desktop.controls.Fields;
import ableschema.desktop.rule.SentenceField;
import ableschema.desktop.workspace.Refresh;
import ableschema.desktop.workspace.Workspace;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Hyperlink;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;

/** The chosen thing as words, columns and SQL, which follow each change at once. */
public final class GlossView extends VBox {

    private static final int MOST_SENTENCES = 4;
    private static final int MOST_RULES = 40;
    private static final double LINE_WIDTH = 312;
    private static final int MOST_LINES = 5;
    private static final Set<Sentence.Part> OWN = EnumSet.of(
            Sentence.Part.ATTRIBUTES, Sentence.Part.PAIRINGS, Sentence.Part.KEYS, Sentence.Part.DEPENDENCIES);

    private final Workspace workspace;
    private final VBox body = new VBox();
    private final SqlLines sql;
    private boolean allSentences;
    private final Refresh refresh;

    public GlossView(Workspace workspace) {
        this.workspace = workspace;
        this.sql = new SqlLines(workspace.selection()::choose);
        sql.setId("gloss-sql");
        setId("gloss");
        getStyleClass().add("gloss");
        body.getStyleClass().add("gloss-body");
        var scroll = new ScrollPane(body);
        scroll.setFitToWidth(true);
        scroll.setHbarPolicy(ScrollPane.ScrollBarPolicy.NEVER);
        VBox.setVgrow(scroll, Priority.ALWAYS);
        getChildren().add(scroll);
        this.refresh = new Refresh(body, () -> true, this::build);
        workspace.onMeaning(refresh::later);
        workspace.stepProperty().addListener((o, before, now) -> refresh.later());
        workspace.selection().chosenProperty().addListener((o, before, now) -> {
            allSentences = false;
            refresh.later();
        });
        refresh.now();
    }

    private void build() {
        body.getChildren().clear();
        show();
    }

    private void show() {
        Design design = workspace.design();
        Optional<Entity> entity = workspace.selection().chosenEntity();
        Optional<Relationship> relationship =
                workspace.selection().chosenOwner().flatMap(design::relationship);
        if (entity.isPresent()) {
            show(entity.get());
        } else if (relationship.isPresent()) {
            show(relationship.get());
        } else {
            showNothing();
        }
    }

    private void add(Node... nodes) {
        body.getChildren().addAll(nodes);
    }

    private void show(Entity entity) {
        add(heading(entity));
        add(Fields.paragraph(
                "definition",
                entity.definition(),
                "what counts as one of these?",
                typed -> workspace.apply(workspace.edits().define(entity, typed))));
        add(section("WORDS", ""));
        words(entity).forEach(this::add);
        if (workspace.design().relationships().stream()
                .anyMatch(r -> r.isSubtype() && r.first().entity().equals(entity.id()))) {
            add(AlternativesView.ofKinds(workspace, entity.id()));
        }
        findings(entity.id());
        tableOf(entity.id()).ifPresent(this::columnsAndSql);
        workspace.trace().tableOf(entity.id()).ifPresent(table -> names(PhysicalNames.of(workspace, entity, table)));
        add(new ReasonFields(workspace, entity.id()));
        add(new StarterFields(workspace, entity));
    }

    /** The table of an entity; of a kind that has none, that of the general entity. */
    private Optional<Table> tableOf(Id entity) {
        return workspace.trace().tableOf(PhysicalDesign.tableHolder(workspace.design(), entity));
    }

    private Node heading(Entity entity) {
        var name = new Label(entity.name());
        name.getStyleClass().add("title");
        Choice kind = Choice.of(
                entity.kind(),
                EntityKind.USUAL,
                EntityKind::toString,
                chosen -> workspace.apply(workspace.edits().setKind(entity, chosen)));
        kind.setId("entity-kind");
        String label = entity.parked() ? "take back" : "set aside";
        Button park = Controls.button(
                "park", label, () -> workspace.apply(workspace.edits().setParked(entity, !entity.parked())));
        park.getStyleClass().setAll("header-button");
        return baseline(name, kind, Controls.space(), park);
    }

    private static HBox baseline(Node... nodes) {
        var line = new HBox(10, nodes);
        line.setAlignment(Pos.BASELINE_LEFT);
        return line;
    }

    private List<Node> words(Entity entity) {
        var nodes = new ArrayList<Node>();
        var sentences = new Sentences(workspace.design());
        List<Relationship> relationships =
                workspace.design().relationshipsOf(entity.id()).toList();
        int shown = allSentences ? relationships.size() : Math.min(MOST_SENTENCES, relationships.size());
        for (Relationship each : relationships.subList(0, shown)) {
            nodes.add(sentence(sentences.of(each), each.id()));
        }
        if (shown < relationships.size()) {
            var more = new Hyperlink("+ " + (relationships.size() - shown) + " more");
            more.setOnAction(event -> {
                allSentences = true;
                refresh.now();
            });
            nodes.add(more);
        }
        if (entity.body().key().isEmpty()) {
            nodes.add(hint("Nothing tells one from another yet: see Keys."));
        }
        nodes.addAll(ownSentences(entity.id()));
        if (relationships.isEmpty()) {
            nodes.add(hint("Type below, for example: Each " + Nouns.inSentence(entity.name())
                    + " stands in exactly one apiary."));
        }
        return nodes;
    }

    /** What is known of the thing itself, to be reworded in place. */
    private List<Node> ownSentences(Id owner) {
        return DesignText.about(workspace.design(), owner).stream()
                .filter(said -> OWN.contains(said.part()))
                .<Node>map(said -> SentenceField.of(workspace, said, LINE_WIDTH, MOST_LINES))
                .toList();
    }

    private Node sentence(String text, Id thing) {
        var label = new Label(text);
        label.setWrapText(true);
        label.setMinHeight(Region.USE_PREF_SIZE);
        label.getStyleClass().add("sentence");
        Controls.pressable(label, () -> workspace.selection().choose(thing));
        return label;
    }

    private static Node hint(String text) {
        var label = new Label(text);
        label.setWrapText(true);
        label.setMinHeight(Region.USE_PREF_SIZE);
        label.getStyleClass().add("hint");
        return label;
    }

    private Node section(String title, String right) {
        var name = new Label(title);
        name.getStyleClass().add("section");
        var note = new Label(right);
        note.getStyleClass().add("note");
        var space = Controls.space();
        var line = new HBox(name, space, note);
        line.getStyleClass().add("section-line");
        return line;
    }

    private void columnsAndSql(Table table) {
        add(section("COLUMNS", "table " + table.name()));
        if (table.columns().isEmpty()) {
            add(hint("No attributes yet: press Enter on the card, or type: Each "
                    + workspace.trace().label(table) + " has name: text 40."));
        } else {
            add(new ColumnList(workspace, table));
        }
        workspace
                .selection()
                .chosenProperty()
                .get()
                .flatMap(workspace.design()::attribute)
                .ifPresent(attribute -> add(new AttributeEditor(workspace, attribute)));
        add(section("SQL", workspace.dialect().label()));
        showSql(table);
        var references = new ReferenceList(workspace, table);
        if (!references.isEmpty()) {
            add(section("REFERENCES", "from here → and to here ←"), references);
        }
    }

    private void showSql(Table table) {
        List<Line> lines = lines(workspace.schema(), table);
        Id owner = workspace.trace().owner(table);
        Mapping before = workspace.mappingBefore();
        Set<String> known = before.trace()
                .tableOf(owner)
                .map(earlier -> SqlLines.texts(lines(before.schema(), earlier)))
                .orElse(Set.of());
        sql.show(
                lines,
                workspace.trace(),
                workspace.selection().chosenProperty().get().filter(id -> !id.equals(owner)),
                known);
        var pane = sql.scrolled();
        pane.setPrefHeight(Math.min(420, 24 + lines.size() * 16.5));
        pane.setMinHeight(120);
        add(pane);
    }

    private List<Line> lines(Schema schema, Table table) {
        return ScriptWriter.of(table, schema, workspace.dialect()).stream()
                .flatMap(statement -> statement.lines().stream())
                .toList();
    }

    private void show(Relationship relationship) {
        var first = new Label(workspace.design().at(relationship.first()).name() + " – "
                + workspace.design().at(relationship.second()).name());
        first.getStyleClass().add("title");
        var kind = new Label("relationship");
        kind.getStyleClass().add("note");
        add(baseline(first, kind), section("WORDS", ""));
        add(new SentenceEditor(workspace, relationship.id()), new RelationshipEditor(workspace, relationship));
        ownSentences(relationship.id()).forEach(this::add);
        findings(relationship.id());
        add(joined(relationship), AlternativesView.of(workspace, relationship));
        add(new ReasonFields(workspace, relationship.id()));
        Id table = relationship.referencing().orElse(relationship.id());
        workspace.trace().tableOf(table).ifPresent(this::columnsAndSql);
        names(PhysicalNames.of(workspace, relationship));
    }

    /** What there is to say about the thing, where the review does not say it already. */
    private void findings(Id owner) {
        var findings = new FindingLines(workspace, owner);
        if (!findings.isEmpty() && workspace.stepProperty().get() != Step.REVIEW) {
            add(section("FINDINGS", "press for a remedy"), findings);
        }
    }

    private void names(PhysicalNames names) {
        if (!names.isEmpty()) {
            add(section("NAMES IN THE DATABASE", "empty: by the rules"), names);
        }
    }

    /** Exactly which columns the relationship joins, in words: "hive.apiary_code = apiary.code". */
    private Node joined(Relationship relationship) {
        var lines = new VBox(2);
        lines.setId("joined-columns");
        for (Table table : workspace.schema().tables()) {
            for (ForeignKey key : table.foreignKeys()) {
                if (workspace.trace().end(table, key).relationship().equals(relationship.id())) {
                    for (String joined : key.pairs(table.name())) {
                        Label pair = Controls.text(joined, "type-note");
                        pair.setWrapText(true);
                        pair.setMinHeight(Region.USE_PREF_SIZE);
                        lines.getChildren().add(pair);
                    }
                }
            }
        }
        return lines;
    }

    private void showNothing() {
        Design design = workspace.design();
        var title = new Label(
                workspace.document().title().isEmpty()
                        ? "New design"
                        : workspace.document().title());
        title.getStyleClass().add("title");
        add(title);
        if (design.entities().isEmpty()) {
            add(
                    section("HOW TO BEGIN", ""),
                    hint(
                            "Click on the sheet and type a name, such as Apiary. Enter leads to its attributes, Escape ends."),
                    hint(
                            "Or type a rule in the line below: Each hive stands in exactly one apiary; each apiary shelters"
                                    + " any number of hives."),
                    hint("Then drag from the edge of one card to another to relate them."));
            return;
        }
        add(section("WORDS", design.relationships().size() + " rules"));
        var sentences = new Sentences(design);
        design.relationships().stream().limit(MOST_RULES).forEach(each -> add(sentence(sentences.of(each), each.id())));
        if (design.relationships().size() > MOST_RULES) {
            add(hint(
                    "and " + (design.relationships().size() - MOST_RULES) + " more: choose an entity to read its own"));
        }
        List<String> undecided = workspace.mapping().undecided();
        add(section("UNDECIDED", undecided.isEmpty() ? "nothing" : undecided.size() + ""));
        undecided.stream().limit(30).forEach(each -> add(hint(each)));
        if (undecided.isEmpty()) {
            add(hint("Every attribute has a type and every reference a key: the SQL can be written."));
        }
    }
}
