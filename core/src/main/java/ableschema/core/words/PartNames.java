package ableschema.core.words;

import ableschema.core.design.Body;
import ableschema.core.design.Design;
import ableschema.core.design.EndRef;
import ableschema.core.design.Entity;
import ableschema.core.design.Id;
import ableschema.core.design.KeyPart;
import ableschema.core.design.Relationship;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** Reads names of attributes, and of the entities that are referred to, as the parts that they are of one owner. */
public final class PartNames {

    private final Design design;
    private final Id owner;

    /** @param owner the entity or many-to-many relationship whose parts are named */
    public PartNames(Design design, Id owner) {
        this.design = design;
        this.owner = owner;
    }

    /** Reads {@code hive + done at} or {@code hive, done at}; an {@link IllegalArgumentException} names what is unknown. */
    public List<KeyPart> read(String text) {
        var parts = new ArrayList<KeyPart>();
        for (String name : text.split("[+,]", -1)) {
            KeyPart part = part(name.strip()).orElseThrow(() -> new IllegalArgumentException(problem(name.strip())));
            if (!parts.contains(part)) {
                parts.add(part);
            }
        }
        return parts;
    }

    /** What to say of a name that names nothing here. */
    String problem(String name) {
        String called = design.entity(owner).map(Entity::name).orElse("this relationship");
        return name.isEmpty() ? "expected the name of an attribute" : "'" + name + "' is no attribute of " + called;
    }

    /** The attribute of this name, or the reference to the entity or role of this name. */
    Optional<KeyPart> part(String name) {
        return design.body(owner)
                .orElse(Body.EMPTY)
                .attribute(name)
                .<KeyPart>map(attribute -> attribute.ref())
                .or(() -> reference(name));
    }

    private Optional<KeyPart> reference(String name) {
        return design.referencesOf(owner).stream()
                .filter(end -> isCalled(end, name))
                .findFirst()
                .map(KeyPart.WholeReference::new);
    }

    private boolean isCalled(EndRef end, String name) {
        boolean role = design.relationship(end.relationship())
                .map((Relationship r) -> r.end(end.side()).role())
                .filter(name::equalsIgnoreCase)
                .isPresent();
        return role
                || design.target(end)
                        .filter(e -> e.name().equalsIgnoreCase(name))
                        .isPresent();
    }
}
