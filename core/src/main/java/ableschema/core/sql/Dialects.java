package ableschema.core.sql;

import static ableschema.core.sql.Dialect.Ability.ADD_CONSTRAINTS;
import static ableschema.core.sql.Dialect.Ability.DESCRIPTIONS;
import static ableschema.core.sql.Dialect.Ability.NAMESPACES;
import static ableschema.core.sql.Dialect.Ability.RESTART_IDENTITY;
import static ableschema.core.sql.Dialect.Ability.TEXT_LENGTHS;

import ableschema.core.types.DataType;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/** The one list of dialects: menus, lookups and tests all go over it. */
public final class Dialects {

    public static final Dialect POSTGRESQL = new Dialect(
            "postgresql",
            "PostgreSQL",
            TypeNames.STANDARD
                    .withLongText("text")
                    .with(DataType.Simple.MOMENT_ANYWHERE, "timestamptz")
                    .with(DataType.Simple.UUID, "uuid"),
            ReservedWords.POSTGRESQL,
            Set.of(ADD_CONSTRAINTS, DESCRIPTIONS, NAMESPACES, TEXT_LENGTHS, RESTART_IDENTITY),
            Map.of("new_uuid()", "gen_random_uuid()"));

    public static final Dialect SQLITE = new Sqlite();

    public static final Dialect H2 = new Dialect(
            "h2",
            "H2",
            // varchar also without a limit, since H2 has no index, and so no key, over a clob
            TypeNames.STANDARD.withLongText("varchar").with(DataType.Simple.UUID, "uuid"),
            ReservedWords.H2,
            Set.of(ADD_CONSTRAINTS, DESCRIPTIONS, NAMESPACES, TEXT_LENGTHS, RESTART_IDENTITY),
            Map.of("new_uuid()", "random_uuid()"));

    /** Those that scripts are written for. */
    public static final List<Dialect> ALL = List.of(POSTGRESQL, SQLITE, H2);

    /** The types of ISO/IEC 9075, for tables that are shown without a dialect. */
    public static final Dialect STANDARD =
            new Dialect("standard", "standard SQL", TypeNames.STANDARD, ReservedWords.POSTGRESQL, Set.of(), Map.of());

    private Dialects() {}

    /** Finds a dialect by its name, whatever its letter case. */
    public static Optional<Dialect> named(String name) {
        return ALL.stream()
                .filter(d -> d.name().equals(name.toLowerCase(Locale.ROOT)))
                .findFirst();
    }

    /** SQLite numbers only the one column of a primary key, and takes all constraints with the table. */
    private static final class Sqlite extends Dialect {

        /** Version 4 of RFC 9562, from random bytes; a default that is no constant stands in brackets. */
        private static final String NEW_UUID = "(lower(hex(randomblob(4)) || '-' || hex(randomblob(2)) || '-4'"
                + " || substr(hex(randomblob(2)), 2) || '-' || substr('89ab', abs(random() % 4) + 1, 1)"
                + " || substr(hex(randomblob(2)), 2) || '-' || hex(randomblob(6))))";

        Sqlite() {
            super(
                    "sqlite",
                    "SQLite",
                    // INTEGER throughout, since only that word makes a column the row's own number
                    TypeNames.STANDARD
                            .withLongText("text")
                            .withWhole(new TypeNames.Whole("integer", "integer", "integer"))
                            .with(DataType.Simple.YEAR, "integer"),
                    ReservedWords.SQLITE,
                    Set.of(),
                    Map.of("new_uuid()", NEW_UUID));
        }

        @Override
        String identity(DataType.Counted counted) {
            return "PRIMARY KEY AUTOINCREMENT";
        }

        @Override
        boolean declaresKeyWithIdentity() {
            return true;
        }

        @Override
        List<String> settings() {
            return List.of("PRAGMA foreign_keys = ON");
        }
    }
}
