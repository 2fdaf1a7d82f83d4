package ableschema.core.document;

import ableschema.core.design.Attribute;
import java.util.List;

/** A set of attributes that new entities of this house often begin with, such as made on and changed on. */
public record Starter(String name, List<Attribute> attributes) {
    public Starter {
        attributes = List.copyOf(attributes);
    }
}
