package ableschema.core.theory;

import java.util.stream.LongStream;
import java.util.stream.Stream;

/** The subsets of a small set. */
final class Subsets {

    private Subsets() {}

    /** All subsets, the empty one first; asks for fewer than 31 attributes. */
    static Stream<AttributeSet> of(AttributeSet set) {
        int[] attributes = set.stream().toArray();
        if (attributes.length > 30) {
            throw new IllegalArgumentException("a set of " + attributes.length + " attributes has too many subsets");
        }
        return LongStream.range(0, 1L << attributes.length).mapToObj(mask -> chosen(attributes, mask));
    }

    private static AttributeSet chosen(int[] attributes, long mask) {
        int[] chosen = new int[Long.bitCount(mask)];
        int next = 0;
        for (int i = 0; i < attributes.length; i++) {
            if ((mask >> i & 1) == 1) {
                chosen[next++] = attributes[i];
            }
        }
        return AttributeSet.of(chosen);
    }
}
