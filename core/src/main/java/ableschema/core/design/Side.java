package ableschema.core.design;

/** Which of the two ends of a relationship. */
public enum Side {
    FIRST,
    SECOND;

    public Side other() {
        return this == FIRST ? SECOND : FIRST;
    }
}
