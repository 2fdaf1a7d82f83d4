package ableschema.core.ddl;

import ableschema.core.ddl.Tokens.Kind;
import ableschema.core.sql.dialect.Dialect;
import ableschema.core.sql.dialect.Traits.Folding;
import java.util.Locale;
import java.util.Map;

/**
 * Names as a database keeps them. What it folds to capitals stands here in small letters, as its scripts are written: so a name
 * means the same with and without quotes.
 */
final class Names {

    /** The schema that a table stands in where none is named. */
    private static final Map<String, String> USUAL =
            Map.of("postgresql", "public", "h2", "public", "sqlserver", "dbo", "sqlite", "main");

    private final Dialect dialect;
    private final Folding folding;
    private final String usual;

    Names(Dialect dialect) {
        this.dialect = dialect;
        this.folding = dialect.traits().folding();
        this.usual = USUAL.getOrDefault(dialect.name(), "");
    }

    /** The name that a token is. */
    String of(Tokens tokens, int token) {
        String name = tokens.unquoted(token);
        if (tokens.kind(token) == Kind.WORD) {
            return folding == Folding.AS_WRITTEN ? name : name.toLowerCase(Locale.ROOT);
        }
        return folding == Folding.UPPER && name.equals(name.toUpperCase(Locale.ROOT))
                ? name.toLowerCase(Locale.ROOT)
                : name;
    }

    /** A column as it stands in SQL. */
    String inSql(String column) {
        return dialect.column(column);
    }

    /** What is the same for names that mean the same. */
    String key(String name) {
        return folding == Folding.AS_WRITTEN ? name.toLowerCase(Locale.ROOT) : name;
    }

    boolean same(String one, String other) {
        return folding == Folding.AS_WRITTEN ? one.equalsIgnoreCase(other) : one.equals(other);
    }

    /** The schema of that name; empty for the usual one. */
    String namespace(String name) {
        return name.equalsIgnoreCase(usual) ? "" : name;
    }
}
