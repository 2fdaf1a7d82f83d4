package ableschema.core.edit;

import ableschema.core.design.Design;
import ableschema.core.design.Domain;
import ableschema.core.design.Entity;
import ableschema.core.design.Id;
import ableschema.core.design.Relationship;
import ableschema.core.document.Document;
import ableschema.core.document.Edit;
import ableschema.core.document.Position;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;

/** Adds many things at once, with their places, or replaces those of the same ids; it makes one new design. */
public record PutAll(
        List<Domain> domains,
        List<Entity> entities,
        List<Relationship> relationships,
        Map<Id, Position> places,
        String name)
        implements Edit {

    public PutAll {
        domains = List.copyOf(domains);
        entities = List.copyOf(entities);
        relationships = List.copyOf(relationships);
        places = Map.copyOf(places);
    }

    @Override
    public Document applyTo(Document document) {
        Design design = document.design();
        var all = new ArrayList<>(design.domains());
        domains.stream().filter(each -> design.domain(each.id()).isEmpty()).forEach(all::add);
        Document changed = document.with(design.withDomains(all).withAll(entities, relationships));
        return places.isEmpty() ? changed : changed.moved(places);
    }
}
