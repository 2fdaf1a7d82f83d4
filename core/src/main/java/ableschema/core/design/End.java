package ableschema.core.design;

import static java.util.Objects.requireNonNull;

/**
 * One end of a relationship.
 *
 * @param entity      the entity at this end
 * @param verb        what this end's entity does to the other's, as in "apiary <em>shelters</em> hive"
 * @param cardinality how many of this end's entity one instance of the other end's entity has
 * @param role        what this end's entity is in the relationship, such as "mentor"; empty for nothing special
 */
public record End(Id entity, String verb, Cardinality cardinality, String role) {

    public End {
        requireNonNull(entity, "entity");
        requireNonNull(cardinality, "cardinality");
    }

    public End withEntity(Id entity) {
        return new End(entity, verb, cardinality, role);
    }

    public End withVerb(String verb) {
        return new End(entity, verb, cardinality, role);
    }

    public End withCardinality(Cardinality cardinality) {
        return new End(entity, verb, cardinality, role);
    }

    public End withRole(String role) {
        return new End(entity, verb, cardinality, role);
    }
}
