package ableschema.core.document;

import ableschema.core.design.Id;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;

/** One picture of the design: how it is drawn and where its cards stand, by the id of entity or relationship. */
public record Diagram(String name, Notation notation, Detail detail, Map<Id, Position> positions) {

    public static final Diagram WHOLE = new Diagram("whole", Notation.CROWSFOOT, Detail.EVERYTHING, Map.of());

    public Diagram {
        positions = Collections.unmodifiableMap(new LinkedHashMap<>(positions));
    }

    public Optional<Position> position(Id id) {
        return Optional.ofNullable(positions.get(id));
    }

    public Diagram with(Map<Id, Position> moved) {
        var all = new LinkedHashMap<>(positions);
        all.putAll(moved);
        return new Diagram(name, notation, detail, all);
    }

    public Diagram withNotation(Notation notation) {
        return new Diagram(name, notation, detail, positions);
    }
}
