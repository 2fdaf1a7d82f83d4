package ableschema.core.design;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;

/** Where each thing of a design is found by its id, and what refers to what. */
record Directory(
        Grown<Id, Integer> placeOfEntity,
        Grown<Id, Relationship> relationship,
        Grown<Id, Id> ownerOfAttribute,
        Grown<Id, List<EndRef>> references,
        Grown<Id, List<Relationship>> touching) {

    private static final Directory NOTHING = new Directory(
            Grown.of(Map.of()), Grown.of(Map.of()), Grown.of(Map.of()), Grown.of(Map.of()), Grown.of(Map.of()));

    /** An {@link IllegalArgumentException} names a relationship whose end is no entity. */
    static Directory of(Design design) {
        Map<Id, Id> owners = new HashMap<>();
        Stream.concat(
                        design.entities().stream().map(each -> Map.entry(each.id(), each.body())),
                        design.relationships().stream().map(each -> Map.entry(each.id(), each.body())))
                .forEach(each ->
                        each.getValue().attributes().forEach(attribute -> owners.put(attribute.id(), each.getKey())));
        return NOTHING.with(new Growth(design.entities(), design.relationships(), owners, List.of(), List.of()), 0);
    }

    /** @param entities how many there were */
    Directory with(Growth growth, int entities) {
        Map<Id, Integer> places = new HashMap<>();
        growth.entities().forEach(each -> places.put(each.id(), entities + places.size()));
        Map<Id, Relationship> relationships = new HashMap<>();
        Map<Id, List<EndRef>> refer = new HashMap<>();
        Map<Id, List<Relationship>> touch = new HashMap<>();
        for (Relationship each : growth.relationships()) {
            relationships.put(each.id(), each);
            more(refer, references, each.referencing().orElse(each.id())).addAll(references(each));
            more(touch, touching, each.first().entity()).add(each);
            if (!each.isRecursive()) {
                more(touch, touching, each.second().entity()).add(each);
            }
        }
        var next = new Directory(
                placeOfEntity.with(places),
                relationship.with(relationships),
                ownerOfAttribute.with(growth.ownerOfAttribute()),
                references.with(refer),
                touching.with(touch));
        growth.relationships().forEach(next::requireEnds);
        return next;
    }

    /** The list that takes the place of the one that is known. */
    private static <T> List<T> more(Map<Id, List<T>> more, Grown<Id, List<T>> known, Id id) {
        return more.computeIfAbsent(id, each -> new ArrayList<>(known.get(id).orElse(List.of())));
    }

    private static List<EndRef> references(Relationship each) {
        Optional<Side> referenced = each.referencedSide();
        return referenced
                .map(side -> List.of(each.ref(side)))
                .orElseGet(() -> List.of(each.ref(Side.FIRST), each.ref(Side.SECOND)));
    }

    private void requireEnds(Relationship relationship) {
        Stream.of(relationship.first(), relationship.second()).forEach(end -> {
            if (!placeOfEntity.has(end.entity())) {
                throw new IllegalArgumentException("relationship " + relationship.id() + " refers to entity "
                        + end.entity() + ", which is not in the design");
            }
        });
    }
}
