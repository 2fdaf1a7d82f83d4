package ableschema.core.words;

import ableschema.core.design.Id;

/**
 * One sentence of a design.
 *
 * @param about the entity or relationship that it says something of
 * @param thing what exactly it says: a unique, a dependency, the attribute of a comment, or the same as {@code about}
 */
public record Sentence(Id about, Id thing, Part part, String text) {

    /** What a sentence is there for, in the order in which a design is said. */
    public enum Part {
        DOMAINS("What named types hold"),
        ENTITIES("What there is"),
        KINDS("What is a kind of what"),
        ATTRIBUTES("What is known of each"),
        RELATIONSHIPS("How they are related"),
        PAIRINGS("What is known of each pairing"),
        KEYS("What tells one from another"),
        CHECKS("What must hold of each"),
        COMPUTED("What is computed"),
        DEPENDENCIES("What decides what"),
        ANSWERS("What is said of keys"),
        INDEXES("What they are searched by"),
        COMMENTS("What to know of them"),
        VOLUMES("How many there are");

        private final String title;

        Part(String title) {
            this.title = title;
        }

        public String title() {
            return title;
        }
    }
}
