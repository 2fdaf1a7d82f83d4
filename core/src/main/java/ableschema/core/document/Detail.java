package ableschema.core.document;

/** How much a card shows. */
public enum Detail {
    NAMES,
    KEYS,
    EVERYTHING
}
