package ableschema.core.schema;

import ableschema.core.expression.Expression;
import ableschema.core.types.DataType;
import java.util.Map;

/**
 * A named type of a schema.
 *
 * @param base         what it holds; itself no named type
 * @param check        what each value must meet; the value stands as the column {@link #VALUE}
 * @param defaultValue what is taken where a column of it has no default
 */
public record DomainType(
        TableName name,
        DataType base,
        Expression<String> check,
        Expression<String> defaultValue,
        String comment,
        Map<String, String> options) {

    /** How the value that is judged is addressed in a check. */
    public static final String VALUE = "value";

    public DomainType {
        options = Map.copyOf(options);
    }

    public Part part() {
        return new Part(name, Part.Kind.DOMAIN, "");
    }
}
