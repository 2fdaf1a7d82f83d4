package ableschema.core.sql.dialect;

import ableschema.core.schema.Table;
import java.util.Map;
import java.util.Set;

/**
 * Indexes that lead to what is within a value, such as the words of a text, the members of an array or the places in a box: an index
 * over whole values is none in their place.
 */
public final class SearchIndexes {

    private static final String METHOD = ".method";
    private static final String KIND = "." + DialectOption.KIND;

    private static final Set<String> METHODS = Set.of("gin", "gist", "spgist", "rum", "bloom", "hnsw", "ivfflat");
    private static final Set<String> KINDS = Set.of("fulltext", "spatial");

    private SearchIndexes() {}

    /** Whether an index is one that a dialect does not have. */
    public static boolean isMissing(Table.TableIndex index, Dialect dialect) {
        return is(index)
                && dialect.indexKind(index).isEmpty()
                && dialect.indexMethod(index).isEmpty();
    }

    static boolean is(Table.TableIndex index) {
        return !index.options().isEmpty() && index.options().entrySet().stream().anyMatch(SearchIndexes::says);
    }

    private static boolean says(Map.Entry<String, String> option) {
        return option.getKey().endsWith(METHOD) && METHODS.contains(option.getValue())
                || option.getKey().endsWith(KIND) && KINDS.contains(option.getValue());
    }
}
