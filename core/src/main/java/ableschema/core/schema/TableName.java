package ableschema.core.schema;

import static java.util.Objects.requireNonNull;

/**
 * The full name of a table: two tables of one name in two namespaces are two tables.
 *
 * @param namespace the database schema that it stands in; empty for the usual one
 */
public record TableName(String namespace, String name) {

    public TableName {
        requireNonNull(namespace, "namespace");
        requireNonNull(name, "name");
    }

    /** A table in the usual namespace. */
    public static TableName of(String name) {
        return new TableName("", name);
    }

    @Override
    public String toString() {
        return namespace.isEmpty() ? name : namespace + "." + name;
    }
}
