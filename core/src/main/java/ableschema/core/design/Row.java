package ableschema.core.design;

import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * A sample row. Values are kept as the text that was typed, so that a change of type loses nothing; a value that is not
 * there is empty.
 *
 * @param values     by attribute
 * @param references by the end of the relationship that is referred to
 */
public record Row(Id id, Map<Id, String> values, Map<EndRef, Reference> references) {

    public Row {
        values = Collections.unmodifiableMap(new LinkedHashMap<>(values));
        references = Collections.unmodifiableMap(new LinkedHashMap<>(references));
    }

    public static Row empty(Id id) {
        return new Row(id, Map.of(), Map.of());
    }

    public Optional<String> value(Id attribute) {
        return Optional.ofNullable(values.get(attribute));
    }

    public Optional<Reference> reference(EndRef end) {
        return Optional.ofNullable(references.get(end));
    }

    /** Returns this row with the value; an empty text takes the value away. */
    public Row with(Id attribute, String value) {
        if (value.equals(values.getOrDefault(attribute, ""))) {
            return this;
        }
        var changed = new LinkedHashMap<>(values);
        if (value.isEmpty()) {
            changed.remove(attribute);
        } else {
            changed.put(attribute, value);
        }
        return new Row(id, changed, references);
    }

    public Row with(EndRef end, Optional<Reference> reference) {
        if (reference.equals(reference(end))) {
            return this;
        }
        var changed = new LinkedHashMap<>(references);
        reference.ifPresentOrElse(to -> changed.put(end, to), () -> changed.remove(end));
        return new Row(id, values, changed);
    }

    /** What a row says of its parent. */
    public sealed interface Reference {
        static Reference to(Row row) {
            return new ToRow(row.id());
        }
    }

    /** The parent is a sample row. */
    public record ToRow(Id row) implements Reference {}

    /** No such row exists; these are the key values that were given, part by part. */
    public record RawKey(List<String> values) implements Reference {
        public RawKey {
            values = List.copyOf(values);
        }
    }
}
