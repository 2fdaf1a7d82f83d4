package ableschema.core.edit;

import ableschema.core.document.Document;
import ableschema.core.document.Edit;
import java.util.List;

/** Compound edits that are one step in the history. */
public record Compound(String name, List<Edit> edits) implements Edit {
    public Compound {
        edits = List.copyOf(edits);
    }

    @Override
    public Document applyTo(Document document) {
        Document changed = document;
        for (Edit edit : edits) {
            changed = edit.applyTo(changed);
        }
        return changed;
    }
}
