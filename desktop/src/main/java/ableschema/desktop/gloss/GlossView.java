package ableschema.desktop.gloss;

import ableschema.core.design.Attribute;
import ableschema.core.design.Design;
import ableschema.core.design.Entity;
import ableschema.core.design.EntityKind;
import ableschema.core.design.Id;
import ableschema.core.design.Relationship;
import ableschema.core.finding.Finding;
import ableschema.core.finding.Step;
import ableschema.core.holding.Fullness;
import ableschema.core.mapping.Mapping;
import ableschema.core.mapping.PhysicalDesign;
import ableschema.core.schema.ForeignKey;
import ableschema.core.schema.Schema;
import ableschema.core.schema.Table;
import ableschema.core.sql.Line;
import ableschema.core.sql.ScriptWriter;
import ableschema.core.types.DataType;
import ableschema.core.words.DesignText;
import ableschema.core.words.Nouns;
import ableschema.core.words.Sentence;
import ableschema.core.words.Sentences;
import ableschema.desktop.controls.Choice;
import ableschema.desktop.controls.Controls;
import ableschema.desktop.controls.Fields;
import ableschema.desktop.controls.Late;
import ableschema.desktop.controls.Parts;
import ableschema.desktop.rule.SentenceField;
import ableschema.desktop.workspace.Refresh;
import ableschema.desktop.workspace.Workspace;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
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
            Sentence.Part.ATTRIBUTES,
            Sentence.Part.PAIRINGS,
            Sentence.Part.KEYS,
            Sentence.Part.CHECKS,
            Sentence.Part.DEPENDENCIES);

    private final Workspace workspace;
    private final VBox body = new VBox();
    private final Parts parts = new Parts(body);
    private final ColumnList columns;
    private final Late<SqlLines> sql;
    private final Late<Region> sqlPane;
    private boolean allSentences;
    private List<Finding> shownFindings = List.of();
    private final Refresh refresh;

    public GlossView(Workspace workspace) {
        this.workspace = workspace;
        this.sql = new Late<>(() -> {
            var lines = new SqlLines(workspace.selection()::choose);
            lines.setId("gloss-sql");
            return lines;
        });
        this.sqlPane = new Late<>(() -> {
            Region pane = sql.get().scrolled();
            pane.setMinHeight(120);
            return pane;
        });
        this.columns = new ColumnList(workspace);
        setId("gloss");
        getStyleClass().add("gloss");
        body.getStyleClass().add("gloss-body");
        var scroll = new ScrollPane(body);
        scroll.setFitToWidth(true);
        scroll.setHbarPolicy(ScrollPane.ScrollBarPolicy.NEVER);
        scroll.setPrefHeight(0); // it takes what is there, and so is not measured
        VBox.setVgrow(scroll, Priority.ALWAYS);
        getChildren().add(scroll);
        this.refresh = new Refresh(body, () -> true, this::build);
        workspace.onMeaning(refresh::later);
        workspace.onReviewed(this::reviewed);
        workspace.stepProperty().addListener((o, before, now) -> refresh.later());
        workspace.selection().chosenProperty().addListener((o, before, now) -> {
            allSentences = false;
            scroll.setVvalue(0);
            refresh.later();
        });
        refresh.now();
    }

    /** The findings of a change have come when it is shown; where they are those that are shown, nothing is built. */
    private void reviewed() {
        if (!shownFindings.equals(findingsOfChosen())) {
            refresh.later();
        }
    }

    private List<Finding> findingsOfChosen() {
        return workspace
                .selection()
                .chosenOwner()
                .map(owner -> workspace.review().about(owner))
                .orElse(List.of());
    }

    private void build() {
        shownFindings = findingsOfChosen();
        Design design = workspace.design();
        Optional<Entity> entity = workspace.selection().chosenEntity();
        Optional<Relationship> relationship =
                workspace.selection().chosenOwner().flatMap(design::relationship);
        Optional<Attribute> attribute =
                workspace.selection().chosenProperty().get().flatMap(design::attribute);
        if (attribute.isPresent()) {
            show(attribute.get());
        } else if (entity.isPresent()) {
            show(entity.get());
        } else if (relationship.isPresent()) {
            show(relationship.get());
        } else {
            showNothing();
        }
        parts.show();
    }

    /** Adds what depends on no more than a text. */
    private void add(String name, String text, Function<String, Node> made) {
        parts.add(name, text, () -> made.apply(text));
    }

    private void section(String title, String right) {
        parts.add("section " + title, right, () -> heading(title, right));
    }

    private void hint(String text) {
        add("hint " + text, text, GlossView::hintLabel);
    }

    private void show(Entity entity) {
        Id id = entity.id();
        parts.add(
                "heading",
                List.of(id, entity.name(), entity.kind(), entity.parked()),
                () -> heading(id, entity.name(), entity.kind(), entity.parked()));
        parts.add(
                "definition",
                List.of(id, entity.definition()),
                () -> Fields.paragraph(
                        "definition",
                        entity.definition(),
                        "what counts as one of these?",
                        typed -> workspace.apply(workspace.edits().define(entity(id), typed))));
        section("WORDS", "");
        words(entity);
        if (workspace
                .design()
                .relationshipsOf(id)
                .anyMatch(r -> r.isSubtype() && r.first().entity().equals(id))) {
            parts.addAnew(AlternativesView.ofKinds(workspace, id));
        }
        findings(id);
        tableOf(id).ifPresent(this::columnsAndSql);
        workspace.trace().tableOf(id).ifPresent(table -> {
            section("NAMES IN THE DATABASE", "empty: by the rules");
            parts.add("names", PhysicalNames.shownOf(entity, table), () -> PhysicalNames.of(workspace, entity, table));
        });
        reasons(id);
        parts.add("starters", StarterFields.shownOf(workspace, entity), () -> new StarterFields(workspace, entity));
    }

    /** All of one attribute: what it holds, how full its column is, and what it could be otherwise. */
    private void show(Attribute attribute) {
        Id owner = workspace.design().ownerOf(attribute.id()).orElseThrow(); // it is chosen in the design
        parts.add(
                "attribute heading",
                List.of(attribute.id(), attribute.name(), workspace.design().nameOf(owner)),
                () -> heading(attribute, owner));
        parts.add(
                "attribute",
                AttributeEditor.shownOf(workspace, attribute),
                () -> new AttributeEditor(workspace, attribute));
        section("WHAT DOES IT HOLD?", "");
        parts.add("holding", HoldingView.shownOf(workspace, attribute), () -> new HoldingView(workspace, attribute));
        if (!(workspace.design().typeOf(attribute) instanceof DataType.Undecided)) {
            Fullness full = FullnessView.of(workspace, attribute);
            section("HOW FULL IT IS", FullnessView.column(workspace, full));
            parts.add(
                    "fullness",
                    FullnessView.shownOf(workspace, attribute, full),
                    () -> new FullnessView(workspace, attribute, full));
        }
        OtherwiseLines.of(workspace, attribute).ifPresent(lines -> {
            section("IF IT WERE OTHERWISE", "rows go along");
            parts.addAnew(lines);
        });
        List<Finding> concerning = FindingLines.about(workspace, owner, attribute);
        if (!concerning.isEmpty() && workspace.stepProperty().get() != Step.REVIEW) {
            section("FINDINGS", "press for a remedy");
            parts.add(
                    "findings", FindingLines.shownOf(concerning), () -> new FindingLines(workspace, owner, concerning));
        }
        tableOf(owner).ifPresent(table -> {
            section("SQL", workspace.dialect().label());
            showSql(table);
        });
        reasons(owner);
    }

    private Node heading(Attribute attribute, Id owner) {
        Label of = Controls.text("of " + workspace.design().nameOf(owner), "note");
        of.setId("attribute-owner");
        Controls.pressable(of, () -> workspace.selection().choose(owner));
        return baseline(wrapped(Controls.text(attribute.name(), "title")), of);
    }

    private void reasons(Id owner) {
        parts.add("reasons", ReasonFields.shownOf(workspace, owner), () -> new ReasonFields(workspace, owner));
    }

    /** The entity as it is now, which may have changed since its fields were made. */
    private Entity entity(Id id) {
        return workspace.design().entity(id).orElseThrow(); // fields of what is gone are shown no more
    }

    /** The table of an entity; of a kind that has none, that of the general entity. */
    private Optional<Table> tableOf(Id entity) {
        return workspace.trace().tableOf(PhysicalDesign.tableHolder(workspace.design(), entity));
    }

    private Node heading(Id id, String called, EntityKind its, boolean parked) {
        var name = new Label(called);
        name.getStyleClass().add("title");
        Choice kind = Choice.of(
                its,
                EntityKind.USUAL,
                EntityKind::toString,
                chosen -> workspace.apply(workspace.edits().setKind(entity(id), chosen)));
        kind.setId("entity-kind");
        Button park = Controls.button(
                "park",
                parked ? "take back" : "set aside",
                () -> workspace.apply(workspace.edits().setParked(entity(id), !parked)));
        park.getStyleClass().setAll("header-button");
        for (Region beside : List.of(kind, park)) {
            beside.setMinWidth(Region.USE_PREF_SIZE); // a long name is wrapped, and nothing cut
        }
        return baseline(wrapped(name), kind, Controls.space(), park);
    }

    private static Label wrapped(Label label) {
        label.setWrapText(true);
        label.setMinHeight(Region.USE_PREF_SIZE);
        return label;
    }

    private static HBox baseline(Node... nodes) {
        var line = new HBox(10, nodes);
        line.setAlignment(Pos.BASELINE_LEFT);
        return line;
    }

    private void words(Entity entity) {
        var sentences = new Sentences(workspace.design());
        List<Relationship> relationships =
                workspace.design().relationshipsOf(entity.id()).toList();
        int shown = allSentences ? relationships.size() : Math.min(MOST_SENTENCES, relationships.size());
        for (Relationship each : relationships.subList(0, shown)) {
            sentence(sentences.of(each), each.id());
        }
        if (shown < relationships.size()) {
            add("more sentences", "+ " + (relationships.size() - shown) + " more", this::allSentencesLink);
        }
        if (entity.body().key().isEmpty()) {
            hint("Nothing tells one from another yet: see Keys.");
        }
        ownSentences(entity.id());
        if (relationships.isEmpty()) {
            String other = workspace.design().entities().stream()
                    .filter(each -> !each.id().equals(entity.id()))
                    .findFirst()
                    .map(Entity::name)
                    .orElse("place");
            hint("Type below, for example: Each " + Nouns.inSentence(entity.name()) + " belongs to exactly one "
                    + Nouns.inSentence(other) + ".");
        }
    }

    private Node allSentencesLink(String text) {
        var more = new Hyperlink(text);
        more.setOnAction(event -> {
            allSentences = true;
            refresh.now();
        });
        return more;
    }

    /** What is known of the thing itself, to be reworded in place. */
    private void ownSentences(Id owner) {
        List<Sentence> own = DesignText.about(workspace.design(), owner).stream()
                .filter(said -> OWN.contains(said.part()))
                .toList();
        for (int i = 0; i < own.size(); i++) {
            Sentence said = own.get(i);
            parts.add(
                    "own sentence " + i,
                    said,
                    () -> new SentenceField(workspace, said, LINE_WIDTH, MOST_LINES),
                    SentenceField.class,
                    field -> field.say(said));
        }
    }

    private void sentence(String text, Id thing) {
        parts.add("sentence " + thing, text, () -> sentenceLabel(text, thing));
    }

    private Node sentenceLabel(String text, Id thing) {
        var label = new Label(text);
        label.setWrapText(true);
        label.setMinHeight(Region.USE_PREF_SIZE);
        label.getStyleClass().add("sentence");
        Controls.pressable(label, () -> workspace.selection().choose(thing));
        return label;
    }

    private static Node hintLabel(String text) {
        var label = new Label(text);
        label.setWrapText(true);
        label.setMinHeight(Region.USE_PREF_SIZE);
        label.getStyleClass().add("hint");
        return label;
    }

    private static Node heading(String title, String right) {
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
        section("COLUMNS", "table " + table.name());
        if (table.columns().isEmpty()) {
            hint("No attributes yet: press Enter on the card, or type: Each "
                    + Nouns.inSentence(workspace.trace().label(table)) + " has name: text 40.");
        } else {
            columns.show(table);
            parts.add("columns", "", () -> columns);
        }
        section("SQL", workspace.dialect().label());
        showSql(table);
        List<ReferenceList.Reference> references = ReferenceList.of(workspace, table);
        if (!references.isEmpty()) {
            section("REFERENCES", "from here → and to here ←");
            parts.add("references", references, () -> new ReferenceList(workspace, references));
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
        sql.get()
                .show(SqlLines.Prepared.of(
                        lines,
                        workspace.trace(),
                        workspace.selection().chosenProperty().get().filter(id -> !id.equals(owner)),
                        known));
        sqlPane.get().setPrefHeight(Math.min(420, 24 + lines.size() * 16.5));
        parts.add("sql", "", sqlPane::get);
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
        parts.addAnew(baseline(first, kind));
        section("WORDS", "");
        parts.addAnew(new SentenceEditor(workspace, relationship.id()));
        parts.addAnew(new RelationshipEditor(workspace, relationship));
        ownSentences(relationship.id());
        findings(relationship.id());
        parts.addAnew(joined(relationship));
        OtherwiseLines.of(workspace, relationship).ifPresent(parts::addAnew);
        if (!relationship.isSubtype()) {
            parts.addAnew(AlternativesView.of(workspace, relationship));
        }
        AlternativesView.ofTables(workspace, relationship).ifPresent(parts::addAnew);
        reasons(relationship.id());
        Id table = relationship.referencing().orElse(relationship.id());
        workspace.trace().tableOf(table).ifPresent(this::columnsAndSql);
        var names = PhysicalNames.of(workspace, relationship);
        if (!names.isEmpty()) {
            section("NAMES IN THE DATABASE", "empty: by the rules");
            parts.addAnew(names);
        }
    }

    /** What there is to say about the thing, where the review does not say it already. */
    private void findings(Id owner) {
        if (workspace.stepProperty().get() != Step.REVIEW
                && !workspace.review().about(owner).isEmpty()) {
            section("FINDINGS", "press for a remedy");
            parts.add("findings", FindingLines.shownOf(workspace, owner), () -> new FindingLines(workspace, owner));
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
        String called = workspace.document().title();
        add("title", called.isEmpty() ? "New design" : called, text -> Controls.text(text, "title"));
        if (design.entities().isEmpty()) {
            section("HOW TO BEGIN", "");
            hint("Click on the sheet and type a name, such as Apiary. Enter leads to its attributes, Escape ends.");
            hint("Or type a rule in the line below: Each hive stands in exactly one apiary; each apiary shelters"
                    + " any number of hives.");
            hint("Then drag from the edge of one card to another to relate them.");
            return;
        }
        int rules = design.relationships().size();
        section("WORDS", rules + (rules == 1 ? " rule" : " rules"));
        var sentences = new Sentences(design);
        design.relationships().stream().limit(MOST_RULES).forEach(each -> sentence(sentences.of(each), each.id()));
        if (design.relationships().size() > MOST_RULES) {
            hint("and " + (design.relationships().size() - MOST_RULES) + " more: choose an entity to read its own");
        }
        List<String> undecided = workspace.mapping().undecided();
        section("UNDECIDED", undecided.isEmpty() ? "nothing" : undecided.size() + "");
        undecided.stream().limit(30).distinct().forEach(this::hint);
        if (undecided.isEmpty()) {
            hint("Every attribute has a type and every reference a key: the SQL can be written.");
        }
    }
}
