package ableschema.core.fuzz;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;

/** Texts and trees that were good, with a few places in them that are not. */
final class Mangled {

    private static final List<String> BITS = List.of(
            "",
            " ",
            "\"",
            "\"\"",
            "'",
            "(",
            ")",
            "[",
            "]",
            "{",
            "}",
            ",",
            ";",
            ":",
            ".",
            "..",
            "->",
            "->>",
            "\n",
            "\r\n",
            "\t",
            "\uFEFF",
            "\u0000",
            "\uD83D\uDC1D",
            "\uD800",
            "é",
            "ß",
            "İ",
            "-1",
            "0",
            "1e9",
            "99999999999999999999",
            "2147483648",
            "null",
            "true",
            "each",
            "Each ",
            " exactly one ",
            " and ",
            " or ",
            " is ",
            " has ",
            " no two ",
            "key",
            "#",
            "--",
            "/*",
            "$$",
            "\\",
            "%",
            "of the",
            "at least",
            "between 5 and 2",
            "a kind of",
            " together with ",
            "identified by");

    private final Random random;

    Mangled(long seed) {
        this.random = new Random(seed);
    }

    /** A text with one to four places changed: something cut out, doubled, moved or put in. */
    String text(String good) {
        var text = new StringBuilder(good);
        for (int i = random.nextInt(4); i >= 0; i--) {
            int at = text.isEmpty() ? 0 : random.nextInt(text.length());
            int end = Math.min(text.length(), at + 1 + random.nextInt(12));
            switch (random.nextInt(4)) {
                case 0 -> text.delete(at, end);
                case 1 -> text.insert(at, text.substring(at, end));
                case 2 -> text.insert(at, bit());
                default -> text.replace(at, end, bit());
            }
        }
        return text.toString();
    }

    private String bit() {
        return BITS.get(random.nextInt(BITS.size()));
    }

    <T> T one(List<T> list) {
        return list.get(random.nextInt(list.size()));
    }

    /** A tree with one to three values changed: left out, emptied, another of the same tree, or something else altogether. */
    String tree(JsonNode good) {
        JsonNode tree = good.deepCopy();
        for (int i = random.nextInt(3); i >= 0; i--) {
            List<JsonNode> inner = inner(tree, new ArrayList<>());
            JsonNode place = one(inner);
            JsonNode other = random.nextBoolean() ? junk() : one(inner).deepCopy();
            change(place, other);
        }
        return tree.toString();
    }

    private void change(JsonNode place, JsonNode other) {
        if (place instanceof ObjectNode object && !object.isEmpty()) {
            List<String> names = new ArrayList<>();
            object.fieldNames().forEachRemaining(names::add);
            String name = one(names);
            switch (random.nextInt(4)) {
                case 0 -> object.remove(name);
                case 1 -> object.set(bit(), object.get(name));
                case 2 -> object.set(name, object.get(one(names)).deepCopy());
                default ->
                    object.set(
                            name,
                            object.get(name).isTextual()
                                    ? object.textNode(text(object.get(name).asText()))
                                    : other);
            }
        } else if (place instanceof ArrayNode array && !array.isEmpty()) {
            int at = random.nextInt(array.size());
            switch (random.nextInt(4)) {
                case 0 -> array.remove(at);
                case 1 ->
                    array.insert(at, array.get(random.nextInt(array.size())).deepCopy());
                case 2 -> array.add(other);
                default -> array.set(at, other);
            }
        }
    }

    private JsonNode junk() {
        var mapper = new ObjectMapper().getNodeFactory();
        return switch (random.nextInt(8)) {
            case 0 -> mapper.nullNode();
            case 1 -> mapper.numberNode(random.nextLong());
            case 2 -> mapper.numberNode(-1);
            case 3 -> mapper.textNode(bit());
            case 4 -> mapper.booleanNode(random.nextBoolean());
            case 5 -> mapper.arrayNode();
            case 6 -> mapper.objectNode();
            default -> mapper.numberNode(1.5e300);
        };
    }

    private static List<JsonNode> inner(JsonNode node, List<JsonNode> all) {
        if (node.isContainerNode()) {
            all.add(node);
            node.forEach(each -> inner(each, all));
        }
        return all;
    }
}
