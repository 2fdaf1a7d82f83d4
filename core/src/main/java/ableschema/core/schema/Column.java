package ableschema.core.schema;

import static java.util.Objects.requireNonNull;

import ableschema.core.expression.Expression;
import ableschema.core.expression.Filling;
import ableschema.core.types.DataType;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;

/**
 * One column of a table.
 *
 * @param filling  what is taken where nothing is given; columns in it stand by their names
 * @param identity the numbering, where the database hands out the values
 * @param options  such as {@code mysql.collation}, by dialect and option
 */
public record Column(
        String name,
        DataType type,
        boolean nullable,
        Filling<String> filling,
        Optional<Identity> identity,
        String comment,
        Map<String, String> options) {

    public Column {
        requireNonNull(name, "name");
        requireNonNull(type, "type");
        options = Map.copyOf(options);
    }

    /** A column of which nothing else has been said. */
    public static Column of(String name, DataType type) {
        return new Column(name, type, true, Filling.nothing(), Optional.empty(), "", Map.of());
    }

    public Column withType(DataType type) {
        return new Column(name, type, nullable, filling, identity, comment, options);
    }

    public Column withOptions(Map<String, String> options) {
        return new Column(name, type, nullable, filling, identity, comment, options);
    }

    /** The same with an option said of it. */
    public Column withOption(String option, String value) {
        var more = new HashMap<>(options);
        more.put(option, value);
        return withOptions(more);
    }

    /** The same without an option that is said of it, if it is. */
    public Column withoutOption(String option) {
        if (!options.containsKey(option)) {
            return this;
        }
        var others = new HashMap<>(options);
        others.remove(option);
        return withOptions(others);
    }

    public Column withNullable(boolean nullable) {
        return new Column(name, type, nullable, filling, identity, comment, options);
    }

    public Column withFilling(Filling<String> filling) {
        return new Column(name, type, nullable, filling, identity, comment, options);
    }

    /** The same without numbers of its own. */
    public Column unnumbered() {
        return new Column(name, type, nullable, filling, Optional.empty(), comment, options);
    }

    public Column withIdentity(Identity identity) {
        return new Column(name, type, nullable, filling, Optional.of(identity), comment, options);
    }

    public Column withComment(String comment) {
        return new Column(name, type, nullable, filling, identity, comment, options);
    }

    public Expression<String> defaultValue() {
        return filling.defaultValue();
    }

    public boolean isUndecided() {
        return type instanceof DataType.Undecided;
    }
}
