package ableschema.core.edit;

import ableschema.core.design.Entity;
import ableschema.core.document.Document;
import ableschema.core.document.Edit;
import ableschema.core.document.Position;
import java.util.Map;
import java.util.Optional;

/** Adds an entity, at a place on the sheet if one is given. */
public record AddEntity(Entity entity, Optional<Position> at) implements Edit {
    @Override
    public String name() {
        return "add " + entity.name();
    }

    @Override
    public Document applyTo(Document document) {
        Document added = document.with(document.design().with(entity));
        return at.map(position -> added.moved(Map.of(entity.id(), position))).orElse(added);
    }
}
