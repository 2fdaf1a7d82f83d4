package ableschema.engine.catalog;

import java.util.List;

/**
 * What is to be read of a database.
 *
 * @param schemas those that are read; all that can be seen, if none is named
 * @param rows    how many rows of each table come along
 */
public record Wanted(List<String> schemas, int rows) {

    public static final Wanted DEFINITIONS = new Wanted(List.of(), 0);

    public Wanted {
        schemas = List.copyOf(schemas);
    }
}
