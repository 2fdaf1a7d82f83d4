package ableschema.cli;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.SerializationFeature;
import java.util.LinkedHashMap;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/** Prints values as JSON, in the order in which they were put together. */
final class Json {

    private static final ObjectMapper MAPPER = new ObjectMapper();

    private Json() {}

    /** An object with its members in this order: a name, its value, a name, and so on. */
    static Map<String, @Nullable Object> ordered(@Nullable Object... namesAndValues) {
        var map = new LinkedHashMap<String, @Nullable Object>();
        for (int i = 0; i < namesAndValues.length; i += 2) {
            map.put(String.valueOf(namesAndValues[i]), namesAndValues[i + 1]);
        }
        return map;
    }

    /** One line. */
    static String line(Object value) {
        return print(value, MAPPER);
    }

    /** Many lines, for people too. */
    static String pretty(Object value) {
        return print(value, new ObjectMapper().enable(SerializationFeature.INDENT_OUTPUT));
    }

    private static String print(Object value, ObjectMapper mapper) {
        try {
            return mapper.writeValueAsString(value);
        } catch (JsonProcessingException e) {
            throw new IllegalStateException("maps and lists can always be printed", e);
        }
    }
}
