package ableschema.core.document;

import java.util.ArrayDeque;
import java.util.Deque;
import java.util.Optional;

/** The document as it is now, with all that can be undone and redone, each by the name of its edit. */
public final class History {

    private final Deque<Done> done = new ArrayDeque<>();
    private final Deque<Done> undone = new ArrayDeque<>();
    private Document present;

    public History(Document present) {
        this.present = present;
    }

    /** The document on the other side of an edit. */
    private record Done(String name, Document document) {}

    public Document present() {
        return present;
    }

    /** Carries out an edit; one that changes nothing leaves no trace. */
    public void apply(Edit edit) {
        apply(edit.name(), edit.applyTo(present));
    }

    /** Goes on to what an edit of this name has made of the present document; the same document leaves no trace. */
    public void apply(String name, Document next) {
        if (next != present) {
            done.push(new Done(name, present));
            undone.clear();
            present = next;
        }
    }

    /** Carries out an edit as part of the one before; undo takes both back. */
    public void amend(Edit edit) {
        present = edit.applyTo(present);
        undone.clear();
    }

    /** Looks at the present document another way, which is nothing that could be undone. */
    public void replacePresent(Document another) {
        present = another;
    }

    /** The name of what {@link #undo} would take back. */
    public Optional<String> undoable() {
        return Optional.ofNullable(done.peek()).map(Done::name);
    }

    /** The name of what {@link #redo} would do again. */
    public Optional<String> redoable() {
        return Optional.ofNullable(undone.peek()).map(Done::name);
    }

    public void undo() {
        step(done, undone);
    }

    public void redo() {
        step(undone, done);
    }

    private void step(Deque<Done> from, Deque<Done> to) {
        if (!from.isEmpty()) {
            Done step = from.pop();
            to.push(new Done(step.name(), present));
            present = step.document();
        }
    }
}
