package ableschema.core.design;

/** How many there may be, lowest and highest, such as {@code 0..n}; {@link #MANY} as highest means without limit. */
public record Cardinality(int min, int max) {

    public static final int MANY = Integer.MAX_VALUE;
    public static final Cardinality EXACTLY_ONE = new Cardinality(1, 1);
    public static final Cardinality AT_MOST_ONE = new Cardinality(0, 1);
    public static final Cardinality AT_LEAST_ONE = new Cardinality(1, MANY);
    public static final Cardinality ANY_NUMBER = new Cardinality(0, MANY);

    public Cardinality {
        if (min < 0 || max < 1 || min > max) {
            throw new IllegalArgumentException(
                    "a cardinality runs from 0 or more up to 1 or more, not from " + min + " to " + max);
        }
    }

    public boolean isMany() {
        return max > 1;
    }

    public boolean isMandatory() {
        return min > 0;
    }

    /** Reads {@code 0..n} and the like. */
    public static Cardinality parse(String text) {
        int dots = text.indexOf("..");
        try {
            String high = text.substring(dots + 2);
            return new Cardinality(
                    Integer.parseInt(text.substring(0, dots)), high.equals("n") ? MANY : Integer.parseInt(high));
        } catch (IndexOutOfBoundsException | NumberFormatException e) {
            throw new IllegalArgumentException("'" + text + "' is no cardinality, as in 0..n or 1..1", e);
        }
    }

    @Override
    public String toString() {
        return min + ".." + (max == MANY ? "n" : max);
    }
}
