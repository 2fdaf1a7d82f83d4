package ableschema.desktop.workspace;

import ableschema.core.design.Design;
import ableschema.core.design.Entity;
import ableschema.core.design.Id;
import ableschema.core.design.IdSource;
import ableschema.core.document.Document;
import ableschema.core.document.Edit;
import ableschema.core.document.History;
import ableschema.core.document.Position;
import ableschema.core.edit.Compound;
import ableschema.core.edit.Edits;
import ableschema.core.edit.MoveCards;
import ableschema.core.finding.Step;
import ableschema.core.mapping.Mapping;
import ableschema.core.mapping.Trace;
import ableschema.core.review.Review;
import ableschema.core.review.Subject;
import ableschema.core.schema.Schema;
import ableschema.core.sql.dialect.Dialect;
import ableschema.core.store.FileProblem;
import ableschema.core.store.SafeFile;
import ableschema.diagram.layout.AutoLayout;
import ableschema.diagram.picture.View;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Collections;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import javafx.beans.property.BooleanProperty;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.beans.property.SimpleBooleanProperty;
import javafx.beans.property.SimpleObjectProperty;

/** The document that is worked on, what is chosen in it, and the step in view. All methods are for the window's thread. */
public final class Workspace {

    private static final int MANY_CARDS = 60;

    private final IdSource ids;
    private final Background background = new Background();
    private final ReadOnlyObjectWrapper<Document> document;
    private Mapping mapping;
    private Review review;
    private final ObjectProperty<Optional<Id>> chosen = new SimpleObjectProperty<>(Optional.empty());
    private final ReadOnlyObjectWrapper<Set<Id>> group = new ReadOnlyObjectWrapper<>(Set.of());
    private final BooleanProperty dark = new SimpleBooleanProperty();
    private final ObjectProperty<Optional<Id>> focus = new SimpleObjectProperty<>(Optional.empty());
    private final ObjectProperty<Step> step = new SimpleObjectProperty<>(Step.DRAW);
    private final ObjectProperty<View> view = new SimpleObjectProperty<>(View.CONCEPT);
    private final ObjectProperty<Notice> notice = new SimpleObjectProperty<>(Notice.NONE);
    private Mapping before;
    private History history;
    private Document lastSaved;
    private Optional<Path> file = Optional.empty();
    private final List<Runnable> meaningChanges = new ArrayList<>();
    private Runnable placedWell = () -> {};

    public Workspace(Document document, IdSource ids) {
        this.ids = ids;
        Document placed = placed(document);
        this.history = new History(placed);
        this.lastSaved = placed;
        this.document = new ReadOnlyObjectWrapper<>(placed);
        this.mapping = placed.mapping(Mapping.NONE);
        this.before = mapping;
        this.review = Review.of(Subject.of(placed, mapping));
    }

    /** Something said to the designer at the foot of the window. */
    public record Notice(String text, boolean problem) {
        public static final Notice NONE = new Notice("", false);
    }

    /** Places what has no place; where that takes long, in rows at first and well when that has been worked out. */
    private Document placed(Document document) {
        boolean many = AutoLayout.wantingPlaces(document).size() > MANY_CARDS;
        if (many && document.diagram().positions().isEmpty()) {
            placeWell(document);
            return document.moved(AutoLayout.inRows(document));
        }
        Map<Id, Position> unplaced = AutoLayout.forUnplaced(document);
        return unplaced.isEmpty() ? document : document.moved(unplaced);
    }

    private void placeWell(Document document) {
        background.run(
                "placing the cards",
                () -> AutoLayout.of(document),
                positions -> {
                    if (document.design() == design()) {
                        apply(new MoveCards(positions, "place the cards"));
                        placedWell.run();
                    }
                },
                failure -> complain("the cards could not be placed: " + failure.getMessage()));
    }

    /** Has something done each time when all cards of a large design have been placed in the background. */
    public void onPlacedWell(Runnable action) {
        placedWell = action;
    }

    public Background background() {
        return background;
    }

    public IdSource ids() {
        return ids;
    }

    public ReadOnlyObjectProperty<Document> documentProperty() {
        return document.getReadOnlyProperty();
    }

    public Document document() {
        return document.get();
    }

    public Design design() {
        return document.get().design();
    }

    /** The tables of the design as it is now, with their trace. */
    public Mapping mapping() {
        return mapping;
    }

    public Schema schema() {
        return mapping.schema();
    }

    /** Leads from the parts of the tables to the things of the design, and back. */
    public Trace trace() {
        return mapping.trace();
    }

    /** All that there is to say about the document. */
    public Review review() {
        return review;
    }

    /** The tables before the last edit, to show what it changed. */
    public Mapping mappingBefore() {
        return before;
    }

    public Dialect dialect() {
        return document().dialect();
    }

    public Edits edits() {
        return new Edits(design(), ids);
    }

    /** Carries out an edit; cards that it makes and gives no place are placed along with it. */
    public void apply(Edit edit) {
        Document next = edit.applyTo(document());
        Map<Id, Position> unplaced = AutoLayout.forUnplaced(next);
        history.apply(
                unplaced.isEmpty()
                        ? edit
                        : new Compound(edit.name(), List.of(edit, new MoveCards(unplaced, edit.name()))));
        notice.set(Notice.NONE);
        show();
    }

    /** Carries out an edit as part of the one before, so that both are undone together. */
    public void amend(Edit edit) {
        history.amend(edit);
        show();
    }

    public void undo() {
        history.undoable().ifPresent(name -> notice.set(new Notice("undone: " + name, false)));
        history.undo();
        show();
    }

    public void redo() {
        history.redoable().ifPresent(name -> notice.set(new Notice("done again: " + name, false)));
        history.redo();
        show();
    }

    public Optional<String> undoable() {
        return history.undoable();
    }

    public Optional<String> redoable() {
        return history.redoable();
    }

    private void show() {
        Document next = history.present();
        Document current = document.get();
        boolean meaning = next.design() != current.design()
                || !next.rules().equals(current.rules())
                || !next.title().equals(current.title());
        if (meaning) {
            before = mapping;
            mapping = next.mapping(mapping);
            review = review.after(Subject.of(next, mapping));
        }
        if (chosen.get().filter(id -> !next.design().knows(id)).isPresent()) {
            chosen.set(Optional.empty());
        }
        if (!group.get().stream().allMatch(next.design()::knows)) {
            group.set(Set.of());
        }
        focus.set(focus.get().filter(next.design()::knows));
        document.set(next);
        if (meaning) {
            meaningChanges.forEach(Runnable::run);
        }
    }

    /** Has something done after each change of the design or the house rules; a moved card is none. */
    public void onMeaning(Runnable action) {
        meaningChanges.add(action);
    }

    /** Puts another document in place, with a history of its own. */
    public void open(Document opened, Optional<Path> from) {
        Document placed = placed(opened);
        history = new History(placed);
        lastSaved = placed;
        file = from;
        chooseNothing();
        focus.set(Optional.empty());
        show();
        before = mapping;
        document.set(placed);
    }

    public Optional<Path> file() {
        return file;
    }

    /** Writes what was made from the document, whose own file is never replaced by it. */
    public void export(Path target, String text) throws FileProblem {
        SafeFile.writeFrom(file.orElse(Path.of("")), target, text);
    }

    /** Notes that the document as it is now stands in this file. */
    public void saved(Path in) {
        file = Optional.of(in);
        lastSaved = document();
        notice.set(new Notice("saved as " + in.getFileName(), false));
    }

    public boolean isSaved() {
        return lastSaved.isKeptAs(document());
    }

    /** Shows another picture of the design, with a place for each of its cards; that is no step in the history. */
    public void viewPicture(String name) {
        Document next = history.present().viewing(name);
        Map<Id, Position> unplaced = AutoLayout.forUnplaced(next);
        history.replacePresent(unplaced.isEmpty() ? next : next.moved(unplaced));
        focus.set(Optional.empty());
        show();
    }

    public ObjectProperty<Optional<Id>> chosenProperty() {
        return chosen;
    }

    /** Chooses an entity, a relationship or an attribute, and nothing else. */
    public void choose(Id thing) {
        Optional<Id> known = Optional.of(thing).filter(id -> design().knows(id));
        group.set(known.map(this::owner).map(Set::of).orElse(Set.of()));
        chosen.set(known);
    }

    /** Chooses several entities and relationships together; the first of them is the one that the gloss tells of. */
    public void chooseAll(Collection<Id> things) {
        var known = new LinkedHashSet<Id>();
        things.stream().filter(design()::knows).map(this::owner).forEach(known::add);
        group.set(Collections.unmodifiableSet(known));
        chosen.set(known.stream().findFirst());
    }

    /** Takes one thing into what is chosen, or out of it. */
    public void toggle(Id thing) {
        var changed = new LinkedHashSet<>(group.get());
        if (!changed.remove(thing)) {
            changed.add(thing);
        }
        chooseAll(changed);
    }

    private Id owner(Id thing) {
        return design().ownerOf(thing).orElse(thing);
    }

    /** The entities and relationships that are chosen together. */
    public ReadOnlyObjectProperty<Set<Id>> groupProperty() {
        return group.getReadOnlyProperty();
    }

    /** The entity of which only the neighbours are shown; empty for the whole picture. */
    public ObjectProperty<Optional<Id>> focusProperty() {
        return focus;
    }

    public void chooseNothing() {
        group.set(Set.of());
        chosen.set(Optional.empty());
    }

    /** The entity or relationship that is chosen, or that the chosen attribute belongs to. */
    public Optional<Id> chosenOwner() {
        return chosen.get().flatMap(id -> design().body(id).isPresent() ? Optional.of(id) : design().ownerOf(id));
    }

    public Optional<Entity> chosenEntity() {
        return chosenOwner().flatMap(design()::entity);
    }

    /** Whether the window is drawn in the dark set of colours. */
    public BooleanProperty darkProperty() {
        return dark;
    }

    public ObjectProperty<Step> stepProperty() {
        return step;
    }

    public ObjectProperty<View> viewProperty() {
        return view;
    }

    public ObjectProperty<Notice> noticeProperty() {
        return notice;
    }

    /** Says something at the foot of the window. */
    public void say(String text) {
        notice.set(new Notice(text, false));
    }

    /** Says what went wrong, where, why and what can be done. */
    public void complain(String problem) {
        notice.set(new Notice(problem, true));
    }
}
