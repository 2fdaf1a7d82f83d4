package ableschema.core.theory;

import java.util.HashSet;
import java.util.List;

/**
 * A relation's heading with the dependencies stated of it, whose sets count attributes by their place in the heading.
 *
 * @param attributes the names of the attributes, in their order
 */
public record Relation(
        String name,
        List<String> attributes,
        List<FunctionalDependency> functional,
        List<MultivaluedDependency> multivalued) {

    /** Checks the heading; an {@link IllegalArgumentException} names an attribute that stands twice. */
    public Relation {
        attributes = List.copyOf(attributes);
        functional = List.copyOf(functional);
        multivalued = List.copyOf(multivalued);
        var seen = new HashSet<String>();
        for (String attribute : attributes) {
            if (!seen.add(attribute)) {
                throw new IllegalArgumentException("attribute " + attribute + " stands twice in " + name);
            }
        }
    }

    public AttributeSet all() {
        return AttributeSet.first(attributes.size());
    }

    /** The names of the attributes in a set, in the order of the heading. */
    public List<String> names(AttributeSet set) {
        return set.stream().mapToObj(attributes::get).toList();
    }

    /** The attributes that some dependency names; all others determine nothing and hang on nothing but the whole. */
    AttributeSet named() {
        AttributeSet named = AttributeSet.EMPTY;
        for (FunctionalDependency each : functional) {
            named = named.union(each.from()).union(each.to());
        }
        for (MultivaluedDependency each : multivalued) {
            named = named.union(each.from()).union(each.to());
        }
        return named;
    }
}
