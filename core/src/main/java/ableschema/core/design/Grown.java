package ableschema.core.design;

import java.util.HashMap;
import java.util.Map;
import java.util.Optional;

/**
 * A map that never changes, and of which one with a few entries more is made without copying all: thousands of edits each add
 * a little to a large design.
 */
public final class Grown<K, V> {

    /** Copying this many at each step, and all once in this many steps, is cheap at ten thousand entries. */
    private static final int MOST_ADDED = 128;

    private final Map<K, V> base;
    private final Map<K, V> added;

    private Grown(Map<K, V> base, Map<K, V> added) {
        this.base = base;
        this.added = added;
    }

    /** @param all not to be changed afterwards */
    public static <K, V> Grown<K, V> of(Map<K, V> all) {
        return new Grown<>(all, Map.of());
    }

    /** This map with more, which take the place of what has the same key. */
    public Grown<K, V> with(Map<K, V> more) {
        if (more.isEmpty()) {
            return this;
        }
        boolean few = added.size() + more.size() <= MOST_ADDED;
        Map<K, V> next = new HashMap<>(few ? added : base);
        if (!few) {
            next.putAll(added);
        }
        next.putAll(more);
        return few ? new Grown<>(base, next) : of(next);
    }

    public Optional<V> get(K key) {
        V found = added.get(key);
        return Optional.ofNullable(found == null ? base.get(key) : found);
    }

    public boolean has(K key) {
        return added.containsKey(key) || base.containsKey(key);
    }
}
