package ableschema.diagram.picture;

/** The two ways to look at a design. */
public enum View {
    /** Entities and relationships, many-to-many as such. */
    CONCEPT,
    /** Tables with foreign keys and junction tables. */
    TABLES
}
