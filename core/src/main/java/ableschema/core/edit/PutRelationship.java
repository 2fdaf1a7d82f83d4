package ableschema.core.edit;

import ableschema.core.design.Relationship;
import ableschema.core.document.Document;
import ableschema.core.document.Edit;

/** Adds a relationship, or replaces the one with the same id; its name says which. */
public record PutRelationship(Relationship relationship, String name) implements Edit {
    @Override
    public Document applyTo(Document document) {
        boolean same = document.design()
                .relationship(relationship.id())
                .filter(relationship::equals)
                .isPresent();
        return same ? document : document.with(document.design().with(relationship));
    }
}
