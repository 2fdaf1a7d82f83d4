package ableschema.core.document;

/** How the ends of a relationship are drawn. */
public enum Notation {
    CROWSFOOT,
    MINMAX,
    CHEN
}
