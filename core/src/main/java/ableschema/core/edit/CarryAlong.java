package ableschema.core.edit;

import ableschema.core.design.Kept;
import ableschema.core.document.Document;
import ableschema.core.document.Edit;
import java.util.ArrayList;
import java.util.List;

/** Adds statements that the design carries along, behind those that it has. */
public record CarryAlong(List<Kept> kept, String name) implements Edit {

    public CarryAlong {
        kept = List.copyOf(kept);
    }

    @Override
    public Document applyTo(Document document) {
        if (kept.isEmpty()) {
            return document;
        }
        var all = new ArrayList<>(document.design().notes().kept());
        all.addAll(kept);
        return document.with(document.design().with(document.design().notes().withKept(all)));
    }
}
