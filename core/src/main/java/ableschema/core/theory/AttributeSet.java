package ableschema.core.theory;

import java.util.BitSet;
import java.util.Collection;
import java.util.stream.IntStream;

/** A set of attributes, each by its place in the relation's heading. Immutable. */
public final class AttributeSet implements Comparable<AttributeSet> {

    public static final AttributeSet EMPTY = new AttributeSet(new BitSet());

    private final BitSet bits;

    private AttributeSet(BitSet bits) {
        this.bits = bits;
    }

    public static AttributeSet of(int... attributes) {
        var bits = new BitSet();
        for (int attribute : attributes) {
            bits.set(attribute);
        }
        return new AttributeSet(bits);
    }

    public static AttributeSet of(Collection<Integer> attributes) {
        return of(attributes.stream().mapToInt(Integer::intValue).toArray());
    }

    /** The first {@code count} attributes. */
    static AttributeSet first(int count) {
        var bits = new BitSet();
        bits.set(0, count);
        return new AttributeSet(bits);
    }

    public AttributeSet union(AttributeSet other) {
        BitSet union = copy();
        union.or(other.bits);
        return new AttributeSet(union);
    }

    public AttributeSet minus(AttributeSet other) {
        BitSet rest = copy();
        rest.andNot(other.bits);
        return new AttributeSet(rest);
    }

    public AttributeSet without(int attribute) {
        return minus(of(attribute));
    }

    public AttributeSet intersection(AttributeSet other) {
        BitSet both = copy();
        both.and(other.bits);
        return new AttributeSet(both);
    }

    public boolean contains(int attribute) {
        return bits.get(attribute);
    }

    public boolean containsAll(AttributeSet other) {
        return other.minus(this).isEmpty();
    }

    public boolean meets(AttributeSet other) {
        return bits.intersects(other.bits);
    }

    public boolean isEmpty() {
        return bits.isEmpty();
    }

    public int size() {
        return bits.cardinality();
    }

    /** The attributes in the order of the heading. */
    public IntStream stream() {
        return bits.stream();
    }

    private BitSet copy() {
        return (BitSet) bits.clone();
    }

    /** Smaller sets first, then those with the earlier attributes. */
    @Override
    public int compareTo(AttributeSet other) {
        int bySize = Integer.compare(size(), other.size());
        if (bySize != 0) {
            return bySize;
        }
        BitSet difference = copy();
        difference.xor(other.bits);
        int first = difference.nextSetBit(0);
        return first < 0 ? 0 : contains(first) ? -1 : 1;
    }

    @Override
    public boolean equals(Object other) {
        return other instanceof AttributeSet set && bits.equals(set.bits);
    }

    @Override
    public int hashCode() {
        return bits.hashCode();
    }

    @Override
    public String toString() {
        return bits.toString();
    }
}
