package ableschema.core.edit;

import ableschema.core.design.Body;
import ableschema.core.design.Id;
import ableschema.core.document.Document;
import ableschema.core.document.Edit;

/** Replaces the attributes, keys, rules or rows of an entity or relationship; its name says what was changed. */
public record ChangeBody(Id owner, Body body, String name) implements Edit {
    @Override
    public Document applyTo(Document document) {
        boolean same = document.design().body(owner).filter(body::equals).isPresent();
        return same ? document : document.with(document.design().withBody(owner, body));
    }
}
