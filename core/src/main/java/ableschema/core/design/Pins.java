package ableschema.core.design;

import static java.util.Objects.requireNonNull;

import java.util.Collections;
import java.util.Map;
import java.util.TreeMap;

/**
 * What is held fast against the naming rules: a physical name, a namespace, and options per dialect, such as the
 * collation of one column. Empty texts mean not pinned.
 */
public record Pins(String name, String namespace, Map<String, String> options) {

    public static final Pins NONE = new Pins("", "", Map.of());

    public Pins {
        requireNonNull(name, "name");
        requireNonNull(namespace, "namespace");
        options = Collections.unmodifiableMap(new TreeMap<>(options));
    }

    public Pins withName(String name) {
        return new Pins(name, namespace, options);
    }

    public Pins withNamespace(String namespace) {
        return new Pins(name, namespace, options);
    }

    /** The pinned name, or else the one the rules give. */
    public String nameOr(String derived) {
        return name.isEmpty() ? derived : name;
    }
}
