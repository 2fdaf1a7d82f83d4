package ableschema.core.mapping;

import ableschema.core.design.Id;

/**
 * Something that the design says and its tables do not have.
 *
 * @param thing the part of the design that says it
 * @param owner the entity or relationship whose table lacks it
 */
public record Gap(Kind kind, Id thing, Id owner, String text) {

    /** What is missing. */
    public enum Kind {
        /** A pinned name is taken already. */
        PINNED_NAME,
        /** A part of the key refers to an entity that is set aside, so that there is no key. */
        KEY_PART_ASIDE,
        /** A rule speaks of a column that is not there. */
        RULE_WITHOUT_COLUMN,
        /** A foreign key leads to a table of several kinds, and any kind would do. */
        REFERENCE_TO_KIND,
        /** A kind of two kinds lies in the table of the first only. */
        KIND_OF_TWO,
        /** A default of a kind fills rows of other kinds too. */
        DEFAULT_OF_KIND
    }
}
