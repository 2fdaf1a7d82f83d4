package ableschema.core.design;

import static java.util.Objects.requireNonNull;

/**
 * One end of a relationship.
 *
 * @param entity      the entity at this end
 * @param verb        what this end's entity does to the other's, as in "apiary <em>shelters</em> hive"
 * @param cardinality how many of this end's entity one instance of the other end's entity has
 * @param role        what this end's entity is in the relationship, such as "mentor"; empty for nothing special
 * @param reference   how this end is referred to, where it is
 */
public record End(Id entity, String verb, Cardinality cardinality, String role, Reference reference) {

    public End {
        requireNonNull(entity, "entity");
        requireNonNull(cardinality, "cardinality");
        requireNonNull(reference, "reference");
    }

    public End(Id entity, String verb, Cardinality cardinality, String role) {
        this(entity, verb, cardinality, role, Reference.USUAL);
    }

    public End withEntity(Id entity) {
        return new End(entity, verb, cardinality, role, reference);
    }

    public End withVerb(String verb) {
        return new End(entity, verb, cardinality, role, reference);
    }

    public End withCardinality(Cardinality cardinality) {
        return new End(entity, verb, cardinality, role, reference);
    }

    public End withRole(String role) {
        return new End(entity, verb, cardinality, role, reference);
    }

    public End with(Reference reference) {
        return new End(entity, verb, cardinality, role, reference);
    }
}
