package ableschema.core.store;

import com.fasterxml.jackson.databind.JsonNode;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.function.Supplier;
import java.util.stream.IntStream;

/** A piece of JSON that knows its place in the file, and which of its members have been read. */
final class Node {

    private final JsonNode json;
    private final String pointer;
    private final Set<String> read = new HashSet<>();

    Node(JsonNode json, String pointer) {
        this.json = json;
        this.pointer = pointer;
    }

    /** The content is not what the format says; the place is a JSON pointer. */
    static final class Misfit extends RuntimeException {
        private static final long serialVersionUID = 1L;
        private final String pointer;

        Misfit(String pointer, String message) {
            super(message);
            this.pointer = pointer;
        }

        String pointer() {
            return pointer;
        }
    }

    Misfit misfit(String message) {
        return new Misfit(pointer, message);
    }

    private Node member(String name) {
        if (!json.isObject()) {
            throw misfit("expected an object in braces but found " + found());
        }
        read.add(name);
        return new Node(json.path(name), pointer + "/" + name.replace("~", "~0").replace("/", "~1"));
    }

    /** The member of that name, if there is one; it counts as read. */
    Optional<Node> child(String name) {
        return json.has(name) ? Optional.of(member(name)) : Optional.empty();
    }

    /** The version that the file says it has. */
    int version() {
        Node version = member("version");
        if (!version.json.isIntegralNumber() || !version.json.canConvertToInt() || version.json.asInt() < 1) {
            throw misfit("'version' must be a whole number from 1, so this is no Able Schema design");
        }
        return version.json.asInt();
    }

    /** The name of this member in its object. */
    String name() {
        return pointer.substring(pointer.lastIndexOf('/') + 1)
                .replace("~1", "/")
                .replace("~0", "~");
    }

    void requireObject() {
        if (!json.isObject()) {
            throw misfit("expected an object in braces but found " + found());
        }
    }

    boolean asFlag() {
        if (!json.isBoolean()) {
            throw misfit("'" + name() + "' must be true or false, not " + found());
        }
        return json.asBoolean();
    }

    int asWhole() {
        if (!json.isIntegralNumber() || !json.canConvertToInt()) {
            throw misfit("'" + name() + "' must be a whole number, not " + found());
        }
        return json.asInt();
    }

    long asLargeWhole() {
        if (!json.isIntegralNumber() || !json.canConvertToLong()) {
            throw misfit("'" + name() + "' must be a whole number, not " + found());
        }
        return json.asLong();
    }

    List<Node> asList() {
        if (!json.isArray()) {
            throw misfit("'" + name() + "' must be a list in square brackets, not " + found());
        }
        return elements();
    }

    List<Node> elements() {
        return IntStream.range(0, json.size())
                .mapToObj(i -> new Node(json.get(i), pointer + "/" + i))
                .toList();
    }

    boolean isList() {
        return json.isArray();
    }

    /** All members by name. */
    Map<String, Node> members() {
        var members = new LinkedHashMap<String, Node>();
        json.fieldNames().forEachRemaining(name -> members.put(name, member(name)));
        return members;
    }

    String asText() {
        if (!json.isTextual()) {
            throw misfit("expected a text in quotes but found " + found());
        }
        return json.asText();
    }

    double asNumber() {
        if (!json.isNumber()) {
            throw misfit("expected a number but found " + found());
        }
        return json.asDouble();
    }

    <T> T as(Function<String, T> reading) {
        String text = asText();
        return attempt(() -> reading.apply(text));
    }

    /** Reads something; an {@link IllegalArgumentException} that says why it cannot be is a misfit of this place. */
    <T> T attempt(Supplier<T> reading) {
        try {
            return reading.get();
        } catch (IllegalArgumentException e) {
            throw misfit(String.valueOf(e.getMessage()));
        }
    }

    /** Refuses members that nobody has asked for, so that a slip of the pen is not lost at the next save. */
    void requireAllRead() {
        json.fieldNames().forEachRemaining(name -> {
            if (!read.contains(name)) {
                throw member(name).misfit("'" + name + "' is not part of the format here");
            }
        });
    }

    private String found() {
        String text = json.toString();
        return json.isMissingNode() ? "nothing" : text.length() <= 40 ? text : text.substring(0, 40) + "…";
    }
}
