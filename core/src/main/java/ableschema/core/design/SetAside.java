package ableschema.core.design;

import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;

/**
 * A finding that the designer will not hear of again, as long as the same is found.
 *
 * @param rule   the id of its rule
 * @param owner  the entity or relationship that it is about
 * @param parts  the row and the attributes and references concerned, by their ids
 * @param facts  what was found
 * @param reason why it is as it should be
 */
public record SetAside(String rule, Id owner, List<String> parts, Map<String, String> facts, String reason) {
    public SetAside {
        parts = List.copyOf(parts);
        facts = Collections.unmodifiableMap(new TreeMap<>(facts));
    }
}
