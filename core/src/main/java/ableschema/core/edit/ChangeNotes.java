package ableschema.core.edit;

import ableschema.core.design.Notes;
import ableschema.core.document.Document;
import ableschema.core.document.Edit;

/** Replaces what is kept beside the design; its name says what was changed. */
public record ChangeNotes(Notes notes, String name) implements Edit {
    @Override
    public Document applyTo(Document document) {
        return document.with(document.design().with(notes));
    }
}
