package ableschema.core.sql.dialect;

import ableschema.core.schema.Part.Kind;
import java.util.EnumMap;
import java.util.Map;
import java.util.Set;

/** Among which others a database lets a name stand once only. */
public enum NameSpace {
    /** The constraints and indexes of one table. */
    TABLE,
    /** The tables of a schema, with whatever is called among them. */
    RELATIONS,
    /** The constraints of a schema. */
    CONSTRAINTS,
    /** The indexes of a schema. */
    INDEXES,
    /** The foreign keys of a schema. */
    REFERENCES,
    /** The checks of a schema. */
    CHECKS;

    /** Of the standard: constraints, and indexes, of a schema have one name each. */
    static final Map<Kind, Set<NameSpace>> USUAL = of(Set.of(CONSTRAINTS), Set.of(CONSTRAINTS), Set.of(INDEXES));

    /** An index has its name within its table, as what is unique has; a primary key has none. */
    static final Map<Kind, Set<NameSpace>> OF_MYSQL = ofMySql(Set.of(CHECKS));

    static final Map<Kind, Set<NameSpace>> OF_MARIADB = ofMySql(Set.of());

    private static Map<Kind, Set<NameSpace>> ofMySql(Set<NameSpace> checks) {
        Map<Kind, Set<NameSpace>> spaces = of(Set.of(TABLE), Set.of(REFERENCES), Set.of(TABLE));
        spaces.put(Kind.PRIMARY_KEY, Set.of());
        spaces.put(Kind.CHECK, checks);
        return spaces;
    }

    /**
     * @param keys        those of primary keys and of what is unique
     * @param constraints those of foreign keys and checks
     */
    static Map<Kind, Set<NameSpace>> of(Set<NameSpace> keys, Set<NameSpace> constraints, Set<NameSpace> indexes) {
        var spaces = new EnumMap<Kind, Set<NameSpace>>(Kind.class);
        spaces.put(Kind.PRIMARY_KEY, keys);
        spaces.put(Kind.UNIQUE, keys);
        spaces.put(Kind.FOREIGN_KEY, constraints);
        spaces.put(Kind.CHECK, constraints);
        spaces.put(Kind.INDEX, indexes);
        return spaces;
    }
}
