package ableschema.core.store;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.BooleanNode;
import com.fasterxml.jackson.databind.node.IntNode;
import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import com.fasterxml.jackson.databind.node.LongNode;
import com.fasterxml.jackson.databind.node.TextNode;
import java.util.List;
import java.util.Locale;
import java.util.function.BiConsumer;
import java.util.function.Function;

/** The form that values of one type have in a file, declared once for reading and writing. */
interface Form<T> {

    JsonNode write(T value);

    /** A {@link Node.Misfit} points at what is not of this form. */
    T read(Node json);

    Form<String> TEXT = of(TextNode::valueOf, Node::asText);

    Form<Boolean> FLAG = of(BooleanNode::valueOf, Node::asFlag);

    Form<Integer> NUMBER = of(IntNode::valueOf, Node::asWhole);

    Form<Long> LARGE_NUMBER = of(LongNode::valueOf, Node::asLargeWhole);

    static <T> Form<T> of(Function<T, JsonNode> writing, Function<Node, T> reading) {
        return new Form<>() {
            @Override
            public JsonNode write(T value) {
                return writing.apply(value);
            }

            @Override
            public T read(Node json) {
                return reading.apply(json);
            }
        };
    }

    /** Something that has a text form; the function throws an {@link IllegalArgumentException} for a text that is none. */
    static <T> Form<T> text(Function<String, T> parsing) {
        return of(value -> TextNode.valueOf(value.toString()), json -> json.as(parsing));
    }

    /** One of several, by its name in small letters, such as {@code set-null}. */
    static <E extends Enum<E>> Form<E> choice(List<E> choices) {
        return of(
                choice -> TextNode.valueOf(word(choice)),
                json -> json.as(text -> choices.stream()
                        .filter(choice -> word(choice).equals(text))
                        .findFirst()
                        .orElseThrow(() -> new IllegalArgumentException("'" + text + "' is none of "
                                + String.join(
                                        ", ", choices.stream().map(Form::word).toList())))));
    }

    private static String word(Enum<?> choice) {
        return choice.name().toLowerCase(Locale.ROOT).replace('_', '-');
    }

    static <T> Form<List<T>> list(Form<T> element) {
        return of(
                list -> {
                    ArrayNode array = JsonNodeFactory.instance.arrayNode();
                    list.forEach(each -> array.add(element.write(each)));
                    return array;
                },
                json -> json.asList().stream().map(element::read).toList());
    }

    /**
     * An object with members.
     *
     * @param members declares each member, by which it makes the value that was read
     */
    static <T> Form<T> object(Function<Members<T>, T> members) {
        return of(
                value -> {
                    var writing = new Members.Writing<>(value);
                    members.apply(writing);
                    return writing.json();
                },
                json -> {
                    json.requireObject();
                    T value = json.attempt(() -> members.apply(new Members.Reading<>(json)));
                    json.requireAllRead();
                    return value;
                });
    }

    /** The same with a check of what was read, which throws a {@link Node.Misfit}. */
    default Form<T> checked(BiConsumer<Node, T> check) {
        return of(this::write, json -> {
            T value = read(json);
            check.accept(json, value);
            return value;
        });
    }
}
