package ableschema.core.edit;

import ableschema.core.design.Design;
import ableschema.core.design.Id;
import ableschema.core.document.Document;
import ableschema.core.document.Edit;
import java.util.List;

/** Takes entities, relationships and attributes out, with all that hangs on them. */
public record Remove(List<Id> things, String name) implements Edit {
    @Override
    public Document applyTo(Document document) {
        Design rest = document.design();
        for (Id thing : things) {
            rest = without(rest, thing);
        }
        return document.with(rest);
    }

    private static Design without(Design design, Id thing) {
        if (design.entity(thing).isPresent()) {
            return design.withoutEntity(thing);
        }
        if (design.relationship(thing).isPresent()) {
            return design.withoutRelationship(thing);
        }
        return design.ownerOf(thing)
                .flatMap(owner -> design.body(owner).map(body -> design.withBody(owner, body.without(thing))))
                .orElse(design);
    }
}
