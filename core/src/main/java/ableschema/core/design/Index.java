package ableschema.core.design;

import java.util.List;

/** An aid to searching, asked for by the designer; the indexes that keys bring along are not listed. */
public record Index(Id id, List<Part> parts, boolean unique, Pins pins) {
    public Index {
        parts = List.copyOf(parts);
    }

    /** One column of an index and its direction. */
    public record Part(ColumnRef column, boolean descending) {}
}
