package ableschema.core.document;

import ableschema.core.design.Design;
import ableschema.core.design.Id;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * One picture of the design: how it is drawn and where its cards stand, by the id of entity or relationship.
 *
 * @param part   the entities that a part-picture shows; empty for the whole design
 * @param pinned the cards that automatic layout leaves where they are
 */
public record Diagram(
        String name, Notation notation, Detail detail, List<Id> part, List<Id> pinned, Map<Id, Position> positions) {

    public static final Diagram WHOLE =
            new Diagram("whole", Notation.CROWSFOOT, Detail.EVERYTHING, List.of(), List.of(), Map.of());

    public Diagram {
        part = List.copyOf(part);
        pinned = List.copyOf(pinned);
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
        return new Diagram(name, notation, detail, part, pinned, all);
    }

    public Diagram withName(String name) {
        return new Diagram(name, notation, detail, part, pinned, positions);
    }

    public Diagram withNotation(Notation notation) {
        return new Diagram(name, notation, detail, part, pinned, positions);
    }

    public Diagram withDetail(Detail detail) {
        return new Diagram(name, notation, detail, part, pinned, positions);
    }

    /** Returns this picture with only these entities; with none of them it shows the whole design. */
    public Diagram withPart(List<Id> part) {
        return new Diagram(name, notation, detail, part, pinned, positions);
    }

    /** Returns this picture with other cards pinned. */
    public Diagram withPinned(List<Id> pinned) {
        return new Diagram(name, notation, detail, part, pinned, positions);
    }
}
