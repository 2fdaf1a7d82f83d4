package ableschema.core.mapping;

import ableschema.core.design.Entity;
import ableschema.core.design.Plural;

/**
 * How physical names are made from the design's names, and which indexes come along. They change the form of a name and
 * never add words to it.
 *
 * @param plural           whether tables are named in the plural
 * @param patterns         what constraints and indexes are called
 * @param indexForeignKeys whether a foreign key that no key serves gets an index
 */
public record NamingRules(NameStyle style, boolean plural, boolean indexForeignKeys, NamePatterns patterns) {

    public static final NamingRules USUAL = new NamingRules(NameStyle.SNAKE, false, true, NamePatterns.USUAL);

    public NamingRules(NameStyle style, boolean plural, boolean indexForeignKeys) {
        this(style, plural, indexForeignKeys, NamePatterns.USUAL);
    }

    public NamingRules withStyle(NameStyle style) {
        return new NamingRules(style, plural, indexForeignKeys, patterns);
    }

    public NamingRules withPlural(boolean plural) {
        return new NamingRules(style, plural, indexForeignKeys, patterns);
    }

    public NamingRules withIndexForeignKeys(boolean indexForeignKeys) {
        return new NamingRules(style, plural, indexForeignKeys, patterns);
    }

    public NamingRules with(NamePatterns patterns) {
        return new NamingRules(style, plural, indexForeignKeys, patterns);
    }

    String table(Entity entity, Plural plurals) {
        return table(entity.name(), plurals);
    }

    String table(String phrase, Plural plurals) {
        return style.of(plural ? plurals.of(phrase) : phrase);
    }
}
