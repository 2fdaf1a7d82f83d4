package ableschema.core.design;

import static java.util.Objects.requireNonNull;

/**
 * A kind of thing that the database keeps facts about, such as a hive.
 *
 * @param definition what counts as one of these; empty where nothing is said
 * @param parked     whether it is set aside as out of scope for now
 */
public record Entity(Id id, String name, EntityKind kind, String definition, boolean parked, Body body, Pins pins) {

    public Entity {
        requireNonNull(id, "id");
        requireNonNull(name, "name");
        requireNonNull(body, "body");
    }

    public static Entity named(Id id, String name) {
        return new Entity(id, name, EntityKind.UNSAID, "", false, Body.EMPTY, Pins.NONE);
    }

    public Entity withName(String name) {
        return new Entity(id, name, kind, definition, parked, body, pins);
    }

    public Entity withKind(EntityKind kind) {
        return new Entity(id, name, kind, definition, parked, body, pins);
    }

    public Entity withDefinition(String definition) {
        return new Entity(id, name, kind, definition, parked, body, pins);
    }

    public Entity withParked(boolean parked) {
        return new Entity(id, name, kind, definition, parked, body, pins);
    }

    public Entity withBody(Body body) {
        return body == this.body ? this : new Entity(id, name, kind, definition, parked, body, pins);
    }

    public Entity withPins(Pins pins) {
        return new Entity(id, name, kind, definition, parked, body, pins);
    }
}
