package ableschema.desktop.workspace;

import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;

/** What is said to the designer at the foot of the window. */
public final class Notices {

    private final ReadOnlyObjectWrapper<Notice> notice = new ReadOnlyObjectWrapper<>(Notice.NONE);

    Notices() {}

    /** One thing said; a problem says what went wrong, where, why and what can be done. */
    public record Notice(String text, boolean problem) {
        public static final Notice NONE = new Notice("", false);
    }

    public ReadOnlyObjectProperty<Notice> noticeProperty() {
        return notice.getReadOnlyProperty();
    }

    public void say(String text) {
        notice.set(new Notice(text, false));
    }

    /** Says what went wrong, where, why and what can be done. */
    public void complain(String problem) {
        notice.set(new Notice(problem, true));
    }

    void clear() {
        notice.set(Notice.NONE);
    }
}
