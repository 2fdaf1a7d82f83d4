package ableschema.core.edit;

import ableschema.core.design.Design;
import ableschema.core.design.Relationship;
import ableschema.core.document.Document;
import ableschema.core.document.Edit;
import java.util.Optional;

/** Adds a relationship, or replaces the one with the same id; its name says which. */
public record PutRelationship(Relationship relationship, String name) implements Edit {
    @Override
    public Document applyTo(Document document) {
        Design design = document.design();
        Optional<Relationship> before = design.relationship(relationship.id());
        if (before.filter(relationship::equals).isPresent()) {
            return document;
        }
        return document.with(before.map(known -> LinkedRows.replaced(design, known, relationship))
                .orElseGet(() -> design.with(relationship)));
    }
}
