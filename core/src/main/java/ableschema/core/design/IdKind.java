package ableschema.core.design;

/** What an {@link Id} stands for; its letter opens the id's text, such as {@code e:k3f9q2} for an entity. */
public enum IdKind {
    ENTITY('e'),
    ATTRIBUTE('a'),
    RELATIONSHIP('r'),
    UNIQUE('u'),
    CHECK('c'),
    INDEX('i'),
    DEPENDENCY('d'),
    ROW('w'),
    QUESTION('q'),
    DOMAIN('t');

    private final char letter;

    IdKind(char letter) {
        this.letter = letter;
    }

    char letter() {
        return letter;
    }

    static IdKind of(char letter) {
        for (IdKind kind : values()) {
            if (kind.letter == letter) {
                return kind;
            }
        }
        throw new IllegalArgumentException("no kind of id begins with '" + letter + "'");
    }
}
