package ableschema.core.edit;

import ableschema.core.design.Body;
import ableschema.core.design.Design;
import ableschema.core.design.Domain;
import ableschema.core.design.Entity;
import ableschema.core.design.Id;
import ableschema.core.design.Relationship;
import ableschema.core.document.Document;
import ableschema.core.document.Edit;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Set;

/** Takes entities, relationships and attributes out, with all that hangs on them, and domains that no attribute is of. */
public record Remove(List<Id> things, String name) implements Edit {
    @Override
    public Document applyTo(Document document) {
        Design design = document.design();
        Design rest = design.without(Set.copyOf(things));
        var bodies = new LinkedHashMap<Id, Body>();
        for (Id thing : things) {
            rest.ownerOf(thing)
                    .ifPresent(owner -> bodies.merge(
                            owner, rest.body(owner).orElseThrow().without(thing), (body, one) -> body.without(thing)));
        }
        List<Entity> entities = bodies.keySet().stream()
                .flatMap(owner -> rest.entity(owner).stream())
                .map(e -> e.withBody(bodies.getOrDefault(e.id(), e.body())))
                .toList();
        List<Relationship> relationships = bodies.keySet().stream()
                .flatMap(owner -> rest.relationship(owner).stream())
                .map(r -> r.withBody(bodies.getOrDefault(r.id(), r.body())))
                .toList();
        return document.with(withoutDomains(rest.withAll(entities, relationships)));
    }

    private Design withoutDomains(Design design) {
        List<Domain> kept = design.domains().stream()
                .filter(domain -> !things.contains(domain.id()) || design.isUsed(domain))
                .toList();
        return kept.size() == design.domains().size() ? design : design.withDomains(kept);
    }
}
