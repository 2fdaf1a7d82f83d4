package ableschema.core.design;

/**
 * How many rows of something are expected.
 *
 * @param first    how many there are to begin with
 * @param eachYear how many more there are after each year
 */
public record Volume(long first, long eachYear) {

    public static final Volume NONE = new Volume(0, 0);

    public Volume {
        if (first < 0 || eachYear < 0) {
            throw new IllegalArgumentException("there cannot be fewer rows than none");
        }
    }

    /** How many there are after some years; {@link Long#MAX_VALUE} for more than that. */
    public long after(long years) {
        double many = first + (double) eachYear * years;
        return many > Long.MAX_VALUE ? Long.MAX_VALUE : first + eachYear * years;
    }
}
