package ableschema.core.design;

import java.util.List;

/** An aid to searching, asked for by the designer; the indexes that keys bring along are not listed. */
public record Index(Id id, List<Part> parts, boolean unique, Pins pins) {
    public Index {
        parts = List.copyOf(parts);
    }

    /** Whether this is an index on one attribute and nothing else. */
    public boolean isOnlyOn(Attribute attribute) {
        return !unique && parts.size() == 1 && parts.get(0).column().equals(attribute.ref());
    }

    /** One column of an index and its direction. */
    public record Part(ColumnRef column, boolean descending) {}
}
