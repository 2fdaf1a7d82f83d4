package ableschema.core.edit;

import ableschema.core.document.Diagram;
import ableschema.core.document.Document;
import ableschema.core.document.Edit;

/** Draws the same design another way. */
public record ChangeDiagram(Diagram diagram, String name) implements Edit {
    @Override
    public Document applyTo(Document document) {
        return document.diagram().equals(diagram) ? document : document.with(diagram);
    }
}
