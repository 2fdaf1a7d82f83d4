package ableschema.core.design;

/** Whether a relationship makes its second entity a kind of its first, and in which tables the kinds are then kept. */
public enum SubtypeLayout {
    /** An ordinary relationship. */
    NONE,
    /** A kind of its own table, which shares the key of the general one. */
    OWN_TABLE,
    /** The general table holds what all kinds have; columns of other kinds stay empty. */
    ONE_TABLE
}
