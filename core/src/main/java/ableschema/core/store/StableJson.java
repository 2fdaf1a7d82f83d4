package ableschema.core.store;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.TextNode;
import java.util.Iterator;
import java.util.Map;
import java.util.Set;

/** Prints the JSON of a document: large things over many lines, each small thing on one, so that differences read well. */
final class StableJson {

    private static final Set<String> LARGE = Set.of("entities", "relationships", "diagrams");
    private static final Set<String> LISTS = Set.of(
            "attributes",
            "uniques",
            "checks",
            "indexes",
            "dependencies",
            "refused",
            "domains",
            "rows",
            "questions",
            "judgements",
            "setAside",
            "keyAnswers",
            "starters",
            "entities",
            "relationships",
            "diagrams");

    private static final Set<String> OBJECTS = Set.of("positions", "notes", "reasons", "plurals");

    private final StringBuilder out = new StringBuilder();

    private StableJson() {}

    static String print(JsonNode root) {
        var printer = new StableJson();
        printer.object(root, 0);
        return printer.out.append('\n').toString();
    }

    private void object(JsonNode object, int depth) {
        out.append('{');
        for (Iterator<Map.Entry<String, JsonNode>> members = object.fields(); members.hasNext(); ) {
            Map.Entry<String, JsonNode> member = members.next();
            newLine(depth + 1);
            string(member.getKey());
            out.append(": ");
            member(member.getKey(), member.getValue(), depth + 1);
            out.append(members.hasNext() ? "," : "");
        }
        newLine(depth);
        out.append('}');
    }

    private void member(String name, JsonNode value, int depth) {
        if (LISTS.contains(name) && value.isArray()) {
            list(value, LARGE.contains(name), depth);
        } else if (OBJECTS.contains(name) && value.isObject()) {
            object(value, depth);
        } else {
            inline(value);
        }
    }

    private void list(JsonNode list, boolean large, int depth) {
        out.append('[');
        for (Iterator<JsonNode> elements = list.elements(); elements.hasNext(); ) {
            JsonNode element = elements.next();
            newLine(depth + 1);
            if (large) {
                object(element, depth + 1);
            } else {
                inline(element);
            }
            out.append(elements.hasNext() ? "," : "");
        }
        newLine(depth);
        out.append(']');
    }

    private void inline(JsonNode value) {
        if (value.isObject()) {
            out.append('{');
            for (Iterator<Map.Entry<String, JsonNode>> members = value.fields(); members.hasNext(); ) {
                Map.Entry<String, JsonNode> member = members.next();
                string(member.getKey());
                out.append(": ");
                inline(member.getValue());
                out.append(members.hasNext() ? ", " : "");
            }
            out.append('}');
        } else if (value.isArray()) {
            out.append('[');
            for (Iterator<JsonNode> elements = value.elements(); elements.hasNext(); ) {
                inline(elements.next());
                out.append(elements.hasNext() ? ", " : "");
            }
            out.append(']');
        } else {
            out.append(value); // Jackson escapes texts
        }
    }

    private void string(String text) {
        out.append(TextNode.valueOf(text));
    }

    private void newLine(int depth) {
        out.append('\n').append("  ".repeat(depth));
    }
}
