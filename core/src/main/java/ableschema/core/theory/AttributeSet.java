package ableschema.core.theory;

import java.util.Arrays;
import java.util.Collection;
import java.util.stream.IntStream;

/** A set of attributes, each by its place in the relation's heading. Immutable. */
public final class AttributeSet implements Comparable<AttributeSet> {

    public static final AttributeSet EMPTY = new AttributeSet(new long[0]);

    /** A bit for each attribute; the last word is not 0, so that equal sets have equal words. */
    private final long[] words;

    private AttributeSet(long[] words) {
        int length = words.length;
        while (length > 0 && words[length - 1] == 0) {
            length--;
        }
        this.words = length == words.length ? words : Arrays.copyOf(words, length);
    }

    public static AttributeSet of(int... attributes) {
        int most = -1;
        for (int attribute : attributes) {
            most = Math.max(most, attribute);
        }
        var words = new long[(most >> 6) + 1];
        for (int attribute : attributes) {
            words[attribute >> 6] |= 1L << attribute;
        }
        return new AttributeSet(words);
    }

    public static AttributeSet of(Collection<Integer> attributes) {
        return of(attributes.stream().mapToInt(Integer::intValue).toArray());
    }

    /** The first {@code count} attributes. */
    static AttributeSet first(int count) {
        return of(IntStream.range(0, count).toArray());
    }

    public AttributeSet union(AttributeSet other) {
        AttributeSet longer = words.length >= other.words.length ? this : other;
        AttributeSet shorter = longer == this ? other : this;
        long[] union = longer.words.clone();
        for (int i = 0; i < shorter.words.length; i++) {
            union[i] |= shorter.words[i];
        }
        return new AttributeSet(union);
    }

    public AttributeSet minus(AttributeSet other) {
        long[] rest = words.clone();
        for (int i = 0; i < Math.min(rest.length, other.words.length); i++) {
            rest[i] &= ~other.words[i];
        }
        return new AttributeSet(rest);
    }

    public AttributeSet without(int attribute) {
        if (!contains(attribute)) {
            return this;
        }
        long[] rest = words.clone();
        rest[attribute >> 6] &= ~(1L << attribute);
        return new AttributeSet(rest);
    }

    public AttributeSet intersection(AttributeSet other) {
        var both = new long[Math.min(words.length, other.words.length)];
        for (int i = 0; i < both.length; i++) {
            both[i] = words[i] & other.words[i];
        }
        return new AttributeSet(both);
    }

    public boolean contains(int attribute) {
        return attribute >> 6 < words.length && (words[attribute >> 6] & 1L << attribute) != 0;
    }

    public boolean containsAll(AttributeSet other) {
        boolean all = other.words.length <= words.length;
        for (int i = 0; all && i < other.words.length; i++) {
            all = (other.words[i] & ~words[i]) == 0;
        }
        return all;
    }

    public boolean meets(AttributeSet other) {
        boolean meets = false;
        for (int i = 0; !meets && i < Math.min(words.length, other.words.length); i++) {
            meets = (words[i] & other.words[i]) != 0;
        }
        return meets;
    }

    public boolean isEmpty() {
        return words.length == 0;
    }

    public int size() {
        int size = 0;
        for (long word : words) {
            size += Long.bitCount(word);
        }
        return size;
    }

    /** The attributes in the order of the heading. */
    public IntStream stream() {
        return Arrays.stream(places());
    }

    /** The same as an array, which the caller may change. */
    int[] places() {
        var places = new int[size()];
        int next = 0;
        for (int i = 0; i < words.length; i++) {
            for (long rest = words[i]; rest != 0; rest &= rest - 1) {
                places[next++] = (i << 6) + Long.numberOfTrailingZeros(rest);
            }
        }
        return places;
    }

    /** Smaller sets first, then those with the earlier attributes. */
    @Override
    public int compareTo(AttributeSet other) {
        int bySize = Integer.compare(size(), other.size());
        if (bySize != 0) {
            return bySize;
        }
        int[] one = places();
        int[] two = other.places();
        int first = Arrays.mismatch(one, two);
        return first < 0 ? 0 : Integer.compare(one[first], two[first]);
    }

    @Override
    public boolean equals(Object other) {
        return other instanceof AttributeSet set && Arrays.equals(words, set.words);
    }

    @Override
    public int hashCode() {
        return Arrays.hashCode(words);
    }

    @Override
    public String toString() {
        return Arrays.toString(places()).replace('[', '{').replace(']', '}');
    }
}
