package ableschema.core.design;

import java.util.List;

/** Parts whose values no two rows share: an alternate key, kept unique. */
public record Unique(Id id, List<KeyPart> parts, Pins pins) {
    public Unique {
        parts = List.copyOf(parts);
    }
}
