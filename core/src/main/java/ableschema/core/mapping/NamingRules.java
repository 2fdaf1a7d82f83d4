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
 * @param namesRepeat      whether constraints and indexes of two tables may have one name, as in some databases they may
 * @param prefix           what stands before the name of each table, such as {@code t_}; empty for nothing
 * @param mostIndexes      more indexes of one table than these are spoken of; 0 for any number
 */
public record NamingRules(
        NameStyle style,
        boolean plural,
        boolean indexForeignKeys,
        NamePatterns patterns,
        boolean namesRepeat,
        int mostIndexes,
        String prefix) {

    /** Each row that is written is written into all of them. */
    public static final int USUAL_INDEXES = 8;

    public static final NamingRules USUAL = new NamingRules(NameStyle.SNAKE, false, true);

    public NamingRules {
        if (mostIndexes < 0) {
            throw new IllegalArgumentException("a table cannot have fewer indexes than none");
        }
        if (!prefix.matches("[\\p{L}\\p{Nd}_]{0,20}")) {
            throw new IllegalArgumentException(
                    "before tables stand at most 20 letters, digits and underscores, not '" + prefix + "'");
        }
    }

    public NamingRules(NameStyle style, boolean plural, boolean indexForeignKeys) {
        this(style, plural, indexForeignKeys, NamePatterns.USUAL, false, USUAL_INDEXES, "");
    }

    public NamingRules withStyle(NameStyle style) {
        return new NamingRules(style, plural, indexForeignKeys, patterns, namesRepeat, mostIndexes, prefix);
    }

    public NamingRules withPlural(boolean plural) {
        return new NamingRules(style, plural, indexForeignKeys, patterns, namesRepeat, mostIndexes, prefix);
    }

    public NamingRules withIndexForeignKeys(boolean indexForeignKeys) {
        return new NamingRules(style, plural, indexForeignKeys, patterns, namesRepeat, mostIndexes, prefix);
    }

    public NamingRules with(NamePatterns patterns) {
        return new NamingRules(style, plural, indexForeignKeys, patterns, namesRepeat, mostIndexes, prefix);
    }

    public NamingRules withNamesRepeat(boolean namesRepeat) {
        return new NamingRules(style, plural, indexForeignKeys, patterns, namesRepeat, mostIndexes, prefix);
    }

    public NamingRules withMostIndexes(int mostIndexes) {
        return new NamingRules(style, plural, indexForeignKeys, patterns, namesRepeat, mostIndexes, prefix);
    }

    public NamingRules withPrefix(String prefix) {
        return new NamingRules(style, plural, indexForeignKeys, patterns, namesRepeat, mostIndexes, prefix);
    }

    String table(Entity entity, Plural plurals) {
        return table(entity.name(), plurals);
    }

    String table(String phrase, Plural plurals) {
        String name = style.of(plural ? plurals.of(phrase) : phrase);
        boolean joined = style.joinsByCapitals() && !prefix.isEmpty() && !prefix.endsWith("_") && !name.isEmpty();
        return prefix + (joined ? Character.toUpperCase(name.charAt(0)) + name.substring(1) : name);
    }
}
