package ableschema.core.holding;

import ableschema.core.design.Attribute;
import ableschema.core.design.Design;
import ableschema.core.design.Volume;
import ableschema.core.sql.dialect.Dialect;
import ableschema.core.types.DataType;
import java.util.List;
import java.util.Optional;

/**
 * How much of what a column can hold is used, in one dialect.
 *
 * @param column what the dialect calls the type
 * @param bytes  how many bytes a value takes; 0 where that depends on the value
 * @param low    the least that it holds; empty where there is no least
 * @param high   the most that it holds; empty where there is no most
 * @param seen   what the sample rows have, such as "2 to 9 in 24 rows"; empty where they have nothing
 * @param share  how much of the room the largest sample takes, from 0 to 1; empty where that has no meaning
 * @param said   what else there is to know, a sentence each
 */
public record Fullness(
        String column, int bytes, String low, String high, String seen, Optional<Double> share, List<String> said) {

    /** After so many years nobody plans. */
    private static final long FAR = 1000;

    public Fullness {
        said = List.copyOf(said);
    }

    /** @param thisYear from which years are counted */
    public static Fullness of(Design design, Attribute attribute, Dialect dialect, int thisYear) {
        DataType type = design.typeOf(attribute);
        var measured = new Measured(design, attribute, dialect, thisYear);
        return type.accept(measured);
    }

    /**
     * After how many years numbers that are handed out run out, where the expected rows are known and it is within a thousand.
     */
    public static Optional<Long> yearsLeft(Design design, Attribute attribute, Dialect dialect) {
        return design.typeOf(attribute) instanceof DataType.Counted counted
                ? design.ownerOf(attribute.id())
                        .flatMap(owner -> design.notes().volume(owner))
                        .flatMap(volume -> yearsLeft(volume, room(counted, dialect)))
                : Optional.empty();
    }

    /** How many numbers can be handed out. */
    static long room(DataType.Counted counted, Dialect dialect) {
        var form = dialect.form(counted);
        long last = counted.step() > 0 ? form.largest() : form.smallest();
        double room = ((double) last - counted.start()) / counted.step() + 1;
        return room >= Long.MAX_VALUE ? Long.MAX_VALUE : Math.max(0, (long) room);
    }

    private static Optional<Long> yearsLeft(Volume volume, long room) {
        if (volume.first() > room) {
            return Optional.of(0L);
        }
        if (volume.eachYear() == 0) {
            return Optional.empty();
        }
        long years = (room - volume.first()) / volume.eachYear();
        return years > FAR ? Optional.empty() : Optional.of(years);
    }
}
