package ableschema.core.store;

import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;

/**
 * The members of one object, each declared by one call that either writes it or reads it.
 *
 * @param <O> what the object stands for
 */
abstract class Members<O> {

    /** The object that is written; empty where one is read. */
    Optional<O> given() {
        return Optional.empty();
    }

    /** A member that is always there. */
    abstract <T> T required(String name, Form<T> form, Function<O, T> getter);

    /** A member that is always written, and where it is not there means the usual. */
    abstract <T> T always(String name, Form<T> form, T usual, Function<O, T> getter);

    /** A member that is left out where it is as usual. */
    abstract <T> T optional(String name, Form<T> form, T usual, Function<O, T> getter);

    /** A member of earlier files, which is read and not written. */
    abstract <T> Optional<T> earlier(String name, Form<T> form);

    /** Members that are named by what they are about. */
    abstract <T> Map<String, T> others(Form<T> form, List<String> declared, Function<O, Map<String, T>> getter);

    final <T> List<T> list(String name, Form<T> form, Function<O, List<T>> getter) {
        return optional(name, Form.list(form), List.of(), getter);
    }

    final String text(String name, Function<O, String> getter) {
        return optional(name, Form.TEXT, "", getter);
    }

    final boolean flag(String name, Function<O, Boolean> getter) {
        return optional(name, Form.FLAG, false, getter);
    }

    /** Declares members by which an object is read. */
    static final class Reading<O> extends Members<O> {
        private final Node json;

        Reading(Node json) {
            this.json = json;
        }

        @Override
        <T> T required(String name, Form<T> form, Function<O, T> getter) {
            return form.read(json.child(name).orElseThrow(() -> json.misfit("'" + name + "' is missing")));
        }

        @Override
        <T> T always(String name, Form<T> form, T usual, Function<O, T> getter) {
            return optional(name, form, usual, getter);
        }

        @Override
        <T> T optional(String name, Form<T> form, T usual, Function<O, T> getter) {
            return json.child(name).map(form::read).orElse(usual);
        }

        @Override
        <T> Optional<T> earlier(String name, Form<T> form) {
            return json.child(name).map(form::read);
        }

        @Override
        <T> Map<String, T> others(Form<T> form, List<String> declared, Function<O, Map<String, T>> getter) {
            var others = new LinkedHashMap<String, T>();
            json.members().forEach((name, node) -> {
                if (!declared.contains(name)) {
                    others.put(name, form.read(node));
                }
            });
            return others;
        }
    }

    /** Declares members by which an object is written. */
    static final class Writing<O> extends Members<O> {
        private final O object;
        private final ObjectNode json = JsonNodeFactory.instance.objectNode();

        Writing(O object) {
            this.object = object;
        }

        ObjectNode json() {
            return json;
        }

        @Override
        Optional<O> given() {
            return Optional.of(object);
        }

        @Override
        <T> T required(String name, Form<T> form, Function<O, T> getter) {
            T value = getter.apply(object);
            json.set(name, form.write(value));
            return value;
        }

        @Override
        <T> T always(String name, Form<T> form, T usual, Function<O, T> getter) {
            return required(name, form, getter);
        }

        @Override
        <T> T optional(String name, Form<T> form, T usual, Function<O, T> getter) {
            T value = getter.apply(object);
            if (!value.equals(usual)) {
                json.set(name, form.write(value));
            }
            return value;
        }

        @Override
        <T> Optional<T> earlier(String name, Form<T> form) {
            return Optional.empty();
        }

        @Override
        <T> Map<String, T> others(Form<T> form, List<String> declared, Function<O, Map<String, T>> getter) {
            Map<String, T> others = getter.apply(object);
            others.forEach((name, value) -> json.set(name, form.write(value)));
            return others;
        }
    }
}
