package ableschema.core.document;

import ableschema.core.design.Design;
import ableschema.core.design.Id;
import java.util.ArrayList;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * One picture of the design: how it is drawn and where its cards stand, by the id of entity or relationship.
 *
 * @param part   the entities that a part-picture shows; empty for the whole design
 * @param pinned the cards that automatic layout leaves where they are
 * @param districts what a large picture is divided into; empty for a picture in one piece
 */
public record Diagram(
        String name,
        Notation notation,
        Detail detail,
        List<Id> part,
        List<Id> pinned,
        Map<Id, Position> positions,
        List<District> districts) {

    public static final Diagram WHOLE =
            new Diagram("whole", Notation.CROWSFOOT, Detail.EVERYTHING, List.of(), List.of(), Map.of(), List.of());

    public Diagram {
        part = List.copyOf(part);
        pinned = List.copyOf(pinned);
        districts = List.copyOf(districts);
        positions = Collections.unmodifiableMap(new LinkedHashMap<>(positions));
    }

    public Optional<Position> position(Id id) {
        return Optional.ofNullable(positions.get(id));
    }

    public boolean isWhole() {
        return part.isEmpty();
    }

    /** Whether an entity, or the entities on both sides of a relationship, are among what is shown. */
    public boolean shows(Design design, Id thing) {
        return isWhole()
                || part.contains(thing)
                || design.relationship(thing)
                        .filter(r -> part.contains(r.first().entity())
                                && part.contains(r.second().entity()))
                        .isPresent();
    }

    public Diagram with(Map<Id, Position> moved) {
        var all = new LinkedHashMap<>(positions);
        all.putAll(moved);
        return new Diagram(name, notation, detail, part, pinned, all, districts);
    }

    public Diagram withName(String name) {
        return new Diagram(name, notation, detail, part, pinned, positions, districts);
    }

    public Diagram withNotation(Notation notation) {
        return new Diagram(name, notation, detail, part, pinned, positions, districts);
    }

    public Diagram withDetail(Detail detail) {
        return new Diagram(name, notation, detail, part, pinned, positions, districts);
    }

    /** Returns this picture with only these entities; with none of them it shows the whole design. */
    public Diagram withPart(List<Id> part) {
        return new Diagram(name, notation, detail, part, pinned, positions, districts);
    }

    /** Returns this picture with other cards pinned. */
    public Diagram withPinned(List<Id> pinned) {
        return new Diagram(name, notation, detail, part, pinned, positions, districts);
    }

    public Diagram withDistricts(List<District> districts) {
        return new Diagram(name, notation, detail, part, pinned, positions, districts);
    }

    /** Returns this picture with these cards in a district of their own, in the place of what they were in. */
    public Diagram joined(String name, Set<Id> cards) {
        var all = new ArrayList<District>();
        for (District each : districts) {
            List<Id> left =
                    each.cards().stream().filter(card -> !cards.contains(card)).toList();
            if (!left.isEmpty()) {
                all.add(new District(each.name(), left));
            }
        }
        all.add(new District(name, List.copyOf(cards)));
        return withDistricts(all);
    }
}
