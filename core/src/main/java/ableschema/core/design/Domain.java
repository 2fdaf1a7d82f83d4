package ableschema.core.design;

import ableschema.core.expression.Expression;
import ableschema.core.types.DataType;

/**
 * A type with a name of its own, which several attributes share: what it holds is said once.
 *
 * @param base         what it holds; itself in no domain
 * @param check        what each value must meet; no expression for nothing
 * @param defaultValue what is taken where an attribute of it is given nothing and has no default itself
 */
public record Domain(
        Id id,
        String name,
        DataType base,
        Expression<Value> check,
        Expression<Value> defaultValue,
        String comment,
        Pins pins) {

    /** The value that is judged, as it stands in a check of a domain: {@code {value}}. */
    public enum Value {
        VALUE;

        /** Reads {@code value}; an {@link IllegalArgumentException} says what else was found. */
        public static Value parse(String text) {
            if (!text.equals(VALUE.toString())) {
                throw new IllegalArgumentException("a domain's check speaks of {value} only, not of {" + text + "}");
            }
            return VALUE;
        }

        @Override
        public String toString() {
            return "value";
        }
    }

    public Domain {
        if (base instanceof DataType.InDomain) {
            throw new IllegalArgumentException("the domain '" + name + "' must hold a type, not another domain");
        }
    }

    /** A domain of which only the type has been said. */
    public static Domain named(Id id, String name, DataType base) {
        return new Domain(id, name, base, Expression.none(), Expression.none(), "", Pins.NONE);
    }

    public Domain withName(String name) {
        return new Domain(id, name, base, check, defaultValue, comment, pins);
    }

    public Domain withBase(DataType base) {
        return new Domain(id, name, base, check, defaultValue, comment, pins);
    }

    public Domain withCheck(Expression<Value> check) {
        return new Domain(id, name, base, check, defaultValue, comment, pins);
    }

    public Domain withDefault(Expression<Value> defaultValue) {
        return new Domain(id, name, base, check, defaultValue, comment, pins);
    }

    public Domain withPins(Pins pins) {
        return new Domain(id, name, base, check, defaultValue, comment, pins);
    }
}
