package ableschema.core.schema;

import java.math.BigInteger;
import java.util.Optional;

/**
 * The numbers that the database hands out for a column: from {@code start} by {@code step}.
 *
 * @param alone whether nobody else may give or change them
 */
public record Identity(long start, long step, boolean alone) {

    /** Numbers of which one may be given, too. */
    public Identity(long start, long step) {
        this(start, step, false);
    }

    /** The first number beyond the last in the steps from the start; empty where the start itself is beyond it. */
    public Optional<BigInteger> after(BigInteger last) {
        BigInteger first = BigInteger.valueOf(start);
        BigInteger by = BigInteger.valueOf(step);
        BigInteger beyond = last.subtract(first);
        boolean before = isRising() ? beyond.signum() < 0 : beyond.signum() > 0;
        return before
                ? Optional.empty()
                : Optional.of(first.add(beyond.divide(by).add(BigInteger.ONE).multiply(by)));
    }

    public boolean isRising() {
        return step > 0;
    }
}
