package ableschema.core.design;

import static java.util.Objects.requireNonNull;

import java.util.Collections;
import java.util.Map;
import java.util.TreeMap;

/**
 * What is held fast against the rules: names by the role that they have, a namespace, a place among the columns, and
 * options of single dialects.
 *
 * @param names     physical names; what is not there follows the naming rules
 * @param namespace the database schema that a table stands in; empty for the usual one
 * @param place     the place of a column in its table, from 1; 0 where the rules give it
 * @param options   such as {@code mysql.engine} = {@code InnoDB}, by dialect and option
 */
public record Pins(Map<Role, String> names, String namespace, int place, Map<String, String> options) {

    /** What a pinned name names. */
    public enum Role {
        /** The thing itself: a table, a column, a constraint, an index. */
        ITSELF,
        /** The primary key of a table. */
        KEY,
        /** The unique constraint that makes a reference one of at most one. */
        UNIQUE,
        /** The index that comes along with a reference. */
        INDEX
    }

    /** The option that holds what is said of the table of a pairing, which has no definition of its own. */
    public static final String COMMENT = "standard.comment";

    public static final Pins NONE = new Pins(Map.of(), "", 0, Map.of());

    public Pins {
        names = sorted(names);
        requireNonNull(namespace, "namespace");
        options = sorted(options);
        if (place < 0) {
            throw new IllegalArgumentException("a place among the columns is counted from 1, not " + place);
        }
    }

    /** Most have one entry or none, which need no order, and there are pins of everything. */
    private static <K extends Comparable<? super K>> Map<K, String> sorted(Map<K, String> given) {
        return given.size() < 2 ? Map.copyOf(given) : Collections.unmodifiableMap(new TreeMap<>(given));
    }

    /** The pinned name of the thing itself; empty where it has none. */
    public String name() {
        return name(Role.ITSELF);
    }

    /** The pinned name in a role; empty where there is none. */
    public String name(Role role) {
        return names.getOrDefault(role, "");
    }

    public Pins withName(String name) {
        return withName(Role.ITSELF, name);
    }

    /** Returns these pins with a name in a role; an empty one releases it. */
    public Pins withName(Role role, String name) {
        var changed = new TreeMap<>(names);
        if (name.isEmpty()) {
            changed.remove(role);
        } else {
            changed.put(role, name);
        }
        return new Pins(changed, namespace, place, options);
    }

    public Pins withNamespace(String namespace) {
        return new Pins(names, namespace, place, options);
    }

    public Pins withPlace(int place) {
        return new Pins(names, namespace, place, options);
    }

    /** Returns these pins with an option such as {@code mysql.engine}; an empty value takes it away. */
    public Pins withOption(String option, String value) {
        var changed = new TreeMap<>(options);
        if (value.isEmpty()) {
            changed.remove(option);
        } else {
            changed.put(option, value);
        }
        return new Pins(names, namespace, place, changed);
    }

    /** Returns these pins with more options, which stand in place of those of the same name. */
    public Pins withOptions(Map<String, String> more) {
        if (more.isEmpty()) {
            return this;
        }
        var changed = new TreeMap<>(options);
        changed.putAll(more);
        return new Pins(names, namespace, place, changed);
    }

    /** Returns these pins without what only one thing can have: names, and the place among the columns. */
    public Pins forCopy() {
        return new Pins(Map.of(), namespace, 0, options);
    }
}
