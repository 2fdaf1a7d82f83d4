package ableschema.core.edit;

import ableschema.core.design.Entity;
import ableschema.core.document.Document;
import ableschema.core.document.Edit;

/** Replaces what an entity is; its name says what was changed. */
public record ChangeEntity(Entity entity, String name) implements Edit {
    @Override
    public Document applyTo(Document document) {
        boolean same =
                document.design().entity(entity.id()).filter(entity::equals).isPresent();
        return same ? document : document.with(document.design().with(entity));
    }
}
