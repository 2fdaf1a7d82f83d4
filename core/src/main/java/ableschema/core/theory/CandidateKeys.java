package ableschema.core.theory;

import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;

/**
 * The candidate keys of a heading, smallest first; never empty, as all attributes together form a superkey.
 *
 * @param found    the keys
 * @param complete whether the search ran to its end; a heading may have more keys than anybody can read
 */
public record CandidateKeys(List<AttributeSet> found, boolean complete) {

    private static final int MOST = 1000;

    /**
     * Starts from one key and asks each dependency whether it leads to another (Lucchesi and Osborn 1978); polynomial in
     * the number of keys.
     */
    static CandidateKeys of(AttributeSet all, List<FunctionalDependency> given, Closure closure, Effort effort) {
        var found = new ArrayList<AttributeSet>();
        var pending = new ArrayDeque<AttributeSet>();
        AttributeSet first = minimal(all, all, closure);
        found.add(first);
        pending.add(first);
        boolean stopped = false;
        while (!pending.isEmpty() && !stopped) {
            AttributeSet key = pending.poll();
            for (FunctionalDependency dependency : given) {
                if (!key.meets(dependency.to())) {
                    continue; // no other key comes of it
                }
                AttributeSet superkey =
                        dependency.from().union(key.minus(dependency.to())).intersection(all);
                if (containsNone(superkey, found)) {
                    AttributeSet another = minimal(superkey, all, closure);
                    found.add(another);
                    pending.add(another);
                }
            }
            effort.tell(found.size() + " keys found");
            stopped = found.size() >= MOST || effort.isSpent();
        }
        Collections.sort(found);
        return new CandidateKeys(found, pending.isEmpty());
    }

    private static boolean containsNone(AttributeSet superkey, List<AttributeSet> found) {
        for (AttributeSet key : found) {
            if (superkey.containsAll(key)) {
                return false;
            }
        }
        return true;
    }

    /** Leaves out of a superkey what it can do without, later attributes first. */
    static AttributeSet minimal(AttributeSet superkey, AttributeSet all, Closure closure) {
        AttributeSet key = superkey;
        int[] attributes = superkey.intersection(closure.rights().union(superkey.minus(all)))
                .places();
        for (int i = attributes.length - 1; i >= 0; i--) {
            AttributeSet smaller = key.without(attributes[i]);
            if (closure.of(smaller).containsAll(all)) {
                key = smaller;
            }
        }
        return key;
    }

    /** The attributes that are part of some key. */
    public AttributeSet prime() {
        return found.stream().reduce(AttributeSet.EMPTY, AttributeSet::union);
    }
}
