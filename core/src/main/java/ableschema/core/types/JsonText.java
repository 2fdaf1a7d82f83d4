package ableschema.core.types;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.DeserializationFeature;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.json.JsonMapper;

/** One JSON value as text. */
final class JsonText {

    private static final ObjectMapper MAPPER = JsonMapper.builder()
            .enable(DeserializationFeature.FAIL_ON_TRAILING_TOKENS)
            .enable(DeserializationFeature.USE_BIG_DECIMAL_FOR_FLOATS)
            .build();

    private JsonText() {}

    /** The same value without spaces; an {@link IllegalArgumentException} says that the text is none. */
    static String compact(String text) {
        try {
            return MAPPER.writeValueAsString(MAPPER.readTree(text));
        } catch (JsonProcessingException e) {
            throw new IllegalArgumentException("'" + text + "' is no JSON", e);
        }
    }
}
