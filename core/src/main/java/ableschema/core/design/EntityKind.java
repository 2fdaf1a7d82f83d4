package ableschema.core.design;

import java.util.List;

/** What sort of thing an entity is: one of the usual four, one that the designer names, or not yet said. */
public record EntityKind(String name) {

    public static final EntityKind UNSAID = new EntityKind("");
    public static final EntityKind PERSON = new EntityKind("person");
    public static final EntityKind EVENT = new EntityKind("event");
    public static final EntityKind PLACE = new EntityKind("place");
    public static final EntityKind THING = new EntityKind("thing");
    public static final List<EntityKind> USUAL = List.of(PERSON, EVENT, PLACE, THING);

    public boolean isSaid() {
        return !name.isEmpty();
    }

    @Override
    public String toString() {
        return isSaid() ? name : "not yet said";
    }
}
