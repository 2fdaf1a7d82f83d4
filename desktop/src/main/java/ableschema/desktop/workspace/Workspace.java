package ableschema.desktop.workspace;

import ableschema.core.design.Design;
import ableschema.core.design.IdSource;
import ableschema.core.document.Document;
import ableschema.core.document.Edit;
import ableschema.core.document.History;
import ableschema.core.edit.Edits;
import ableschema.core.finding.Finding;
import ableschema.core.finding.Rule;
import ableschema.core.finding.Step;
import ableschema.core.mapping.Mapping;
import ableschema.core.mapping.Trace;
import ableschema.core.review.Review;
import ableschema.core.review.Subject;
import ableschema.core.schema.Schema;
import ableschema.core.sql.dialect.Dialect;
import ableschema.core.store.DocumentFile;
import ableschema.core.store.FileProblem;
import ableschema.core.store.SafeFile;
import ableschema.desktop.workspace.Jobs.Job;
import ableschema.diagram.layout.AutoLayout;
import ableschema.diagram.layout.Measuring;
import ableschema.diagram.picture.View;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.CompletableFuture;
import java.util.function.BooleanSupplier;
import java.util.function.Consumer;
import java.util.function.Function;
import java.util.function.Supplier;
import javafx.beans.property.BooleanProperty;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.beans.property.SimpleBooleanProperty;
import javafx.beans.property.SimpleObjectProperty;

/**
 * The document that is worked on, with its history, tables and findings, and the step in view; what is chosen, said and under way
 * are things of their own. All methods are for the window's thread.
 */
public final class Workspace {

    private final IdSource ids;
    private final Jobs jobs = new Jobs();
    private final Notices notices = new Notices();
    private final Selection selection = new Selection(this::design);
    private final ReadOnlyObjectWrapper<Document> document;
    private Mapping mapping;
    private Review review;
    private boolean isReviewed = true;
    private final BooleanProperty dark = new SimpleBooleanProperty();
    private final BooleanProperty listed = new SimpleBooleanProperty();
    private final ObjectProperty<Step> step = new SimpleObjectProperty<>(Step.DRAW);
    private final ObjectProperty<View> view = new SimpleObjectProperty<>(View.CONCEPT);
    private Mapping before;
    private History history;
    private Document lastSaved;
    private Optional<Path> file = Optional.empty();
    private Runnable applied = () -> {};
    private final List<Runnable> meaningChanges = new ArrayList<>();
    private final List<Runnable> reviewed = new ArrayList<>();
    private final Measuring measuring = new Measuring();
    private Optional<Job> opening = Optional.empty();

    public Workspace(Document document, IdSource ids) {
        this.ids = ids;
        Opened opened = Opened.of(document);
        this.history = new History(opened.document());
        this.lastSaved = opened.document();
        this.document = new ReadOnlyObjectWrapper<>(opened.document());
        this.mapping = opened.mapping();
        this.before = mapping;
        this.review = opened.review().orElse(Review.NONE);
    }

    /** What is chosen in the design. */
    public Selection selection() {
        return selection;
    }

    /** What is said at the foot of the window. */
    public Notices notices() {
        return notices;
    }

    /** What is under way off the window's thread. */
    public Jobs jobs() {
        return jobs;
    }

    /** More sample rows than these are not judged on the window's thread. */
    private static final int MANY_ROWS = 4_000;

    /** Reviews what changed at once; a large design while it is being shown, and as a whole, or with many rows, in a job. */
    private void look(Document next) {
        Subject subject = Subject.of(next, mapping);
        boolean large = Opened.isLong(next);
        boolean slow = large && !review.canFollow(subject)
                || next.design().countRows() > MANY_ROWS && review.rowsToLookAt(subject) > MANY_ROWS;
        if (!slow && !large) {
            isReviewed = true;
            review = review.after(subject);
            return;
        }
        lookLater(next, subject, slow);
    }

    /** @param slow whether it takes so long that it is said */
    private void lookLater(Document next, Subject subject, boolean slow) {
        isReviewed = false;
        Review known = review;
        BooleanSupplier wanted = () ->
                next.design() == design() && next.rules().equals(document().rules());
        Consumer<Review> done = found -> {
            review = found;
            isReviewed = true;
            reviewed.forEach(Runnable::run);
        };
        Consumer<Throwable> failed =
                failure -> notices.complain("the design could not be reviewed: " + failure.getMessage());
        if (slow) {
            jobs.run("reviewing the design", progress -> known.after(subject), wanted, done, failed);
        } else {
            jobs.runUnseen(() -> known.after(subject), wanted, done, failed);
        }
    }

    /**
     * Works out what a part of the window shows of the document as it is now; of a large design off the window's thread.
     *
     * @param shown given the result, at once or later; not at all where the document has moved on
     */
    public <T> void workOut(Function<Document, T> work, Consumer<T> shown) {
        Document now = document();
        if (!Opened.isLong(now)) {
            shown.accept(work.apply(now));
            return;
        }
        jobs.runUnseen(
                () -> work.apply(now),
                () -> document() == now,
                shown,
                failure -> notices.complain("this could not be worked out: " + failure.getMessage()));
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

    /** Whether the findings are those of the design as it is now; else they are on their way. */
    public boolean isReviewed() {
        return isReviewed;
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
        Document edited = edit.applyTo(document());
        Mapping derived = edited.mapping(mapping); // once for the places of new cards and for all else
        history.apply(edit.name(), AutoLayout.completed(edited, derived, measuring));
        notices.clear();
        show(derived);
        applied.run();
    }

    /** Has something done after each edit that was carried out and is shown, such as amending it; undoing is none. */
    public void onApplied(Runnable action) {
        applied = action;
    }

    /** Carries out an edit as part of the one before, so that both are undone together. */
    public void amend(Edit edit) {
        history.amend(edit);
        show();
    }

    public void undo() {
        history.undoable().ifPresent(name -> notices.say("undone: " + name));
        history.undo();
        show();
    }

    public void redo() {
        history.redoable().ifPresent(name -> notices.say("done again: " + name));
        history.redo();
        show();
    }

    /** What the design is called: its file without the ending, or its title. */
    public String called() {
        return file().map(path -> path.getFileName().toString().replace(DocumentFile.ENDING, ""))
                .orElseGet(() -> document().title().isEmpty()
                        ? "not saved yet"
                        : document().title());
    }

    public Optional<String> undoable() {
        return history.undoable();
    }

    public Optional<String> redoable() {
        return history.redoable();
    }

    private void show() {
        show(mapping);
    }

    /** @param derived the tables of the document, or of one much like it */
    private void show(Mapping derived) {
        Document next = history.present();
        Document current = document.get();
        boolean meaning = next.design() != current.design()
                || next.rules() != current.rules() && !next.rules().equals(current.rules())
                || !next.title().equals(current.title());
        if (meaning) {
            before = mapping;
            mapping = next.mapping(derived);
            look(next);
        }
        selection.keepOnly(next.design());
        document.set(next);
        if (meaning) {
            meaningChanges.forEach(Runnable::run);
        }
    }

    /** Has something done after each change of the design or the house rules; a moved card is none. */
    public void onMeaning(Runnable action) {
        meaningChanges.add(action);
    }

    /** Has something done where the findings of a change come when it is shown already. */
    public void onReviewed(Runnable action) {
        reviewed.add(action);
    }

    /** Takes up what was found by no finder, or that nothing was; it holds until the next change. */
    public void found(Rule rule, Optional<Finding> finding) {
        review = review.with(rule, finding);
        reviewed.forEach(Runnable::run);
    }

    /** Puts another document in place, with a history of its own; a large one when it is ready to be shown. */
    public void open(Document another, Optional<Path> from) {
        open(another, from, () -> {});
    }

    /** @param then done when the other document is in place */
    public void open(Document another, Optional<Path> from, Runnable then) {
        if (Opened.isLong(another)) {
            openLater(() -> Opened.of(another), from, then);
        } else {
            opening.ifPresent(Job::stop);
            open(Opened.of(another), from, then);
        }
    }

    /** Puts a document in place that is being made ready elsewhere. */
    public void open(CompletableFuture<Opened> another, Optional<Path> from, Runnable then) {
        if (another.isDone()) {
            open(another.join(), from, then);
        } else {
            openLater(another::join, from, then);
        }
    }

    private void openLater(Supplier<Opened> another, Optional<Path> from, Runnable then) {
        opening.ifPresent(Job::stop);
        Document left = document();
        opening = Optional.of(jobs.run(
                "opening the design",
                progress -> another.get(),
                () -> true,
                opened -> {
                    if (document() == left) {
                        open(opened, from, then);
                    } else {
                        notices.complain("this design was changed while the other was being opened; it stays open");
                    }
                },
                failure -> notices.complain("the design could not be opened: " + failure.getMessage())));
    }

    private void open(Opened opened, Optional<Path> from, Runnable then) {
        history = new History(opened.document());
        lastSaved = opened.document();
        file = from;
        selection.chooseNothing();
        selection.focusProperty().set(Optional.empty());
        mapping = opened.mapping();
        before = mapping;
        review = opened.review().orElse(Review.NONE);
        isReviewed = opened.review().isPresent();
        document.set(opened.document());
        meaningChanges.forEach(Runnable::run);
        then.run();
        if (!isReviewed) {
            lookLater(document(), Subject.of(document(), mapping), false);
        }
    }

    /** Marks what is open as something that stands in no file yet. */
    public void keepNothingSaved() {
        lastSaved = Document.EMPTY;
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
        notices.say("saved as " + in.getFileName());
    }

    public boolean isSaved() {
        return lastSaved.isKeptAs(document());
    }

    /** Shows another picture of the design, with a place for each of its cards; that is no step in the history. */
    public void viewPicture(String name) {
        Document next = history.present().viewing(name);
        history.replacePresent(AutoLayout.completed(next, mapping, measuring));
        selection.focusProperty().set(Optional.empty());
        show();
    }

    /** Whether the window is drawn in the dark set of colours. */
    public BooleanProperty darkProperty() {
        return dark;
    }

    public ObjectProperty<Step> stepProperty() {
        return step;
    }

    /** Whether the chosen table is read as a list in the place of the drawing. */
    public BooleanProperty listedProperty() {
        return listed;
    }

    public ObjectProperty<View> viewProperty() {
        return view;
    }
}
