package ableschema.core.document;

import ableschema.core.design.Lists;
import ableschema.core.mapping.NamingRules;
import ableschema.core.sql.dialect.ScriptStyle;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;

/**
 * What this house does by habit: how names are made, the dialect that it writes for, and sets of attributes to begin
 * with.
 *
 * @param choices      what a dialect leaves open, such as {@code sqlite.types} = {@code strict}
 * @param reasonsInSql whether the reasons of choices go into the comments of the script
 * @param farLines     whether lines that leave their district are drawn beside being named on the cards at both ends
 */
public record HouseRules(
        NamingRules naming,
        String dialect,
        Map<String, String> choices,
        boolean reasonsInSql,
        boolean farLines,
        List<Starter> starters) {

    public static final HouseRules USUAL =
            new HouseRules(NamingRules.USUAL, "postgresql", Map.of(), false, false, List.of());

    public HouseRules {
        choices = Map.copyOf(choices);
        starters = List.copyOf(starters);
    }

    public HouseRules withNaming(NamingRules naming) {
        return new HouseRules(naming, dialect, choices, reasonsInSql, farLines, starters);
    }

    public HouseRules withDialect(String dialect) {
        return new HouseRules(naming, dialect, choices, reasonsInSql, farLines, starters);
    }

    /** Returns these rules with one choice made. */
    public HouseRules withChoice(String choice, String value) {
        var changed = new TreeMap<>(choices);
        changed.put(choice, value);
        return new HouseRules(naming, dialect, changed, reasonsInSql, farLines, starters);
    }

    /** What was chosen but for the place where a script acts and who gets rights there, for one that is only tried. */
    public Map<String, String> choicesForTrial() {
        var rest = new TreeMap<>(choices);
        rest.remove(ScriptStyle.SCHEMA);
        rest.remove(ScriptStyle.USER);
        return rest;
    }

    public HouseRules withReasonsInSql(boolean reasonsInSql) {
        return new HouseRules(naming, dialect, choices, reasonsInSql, farLines, starters);
    }

    public HouseRules withFarLines(boolean drawn) {
        return new HouseRules(naming, dialect, choices, reasonsInSql, drawn, starters);
    }

    public HouseRules without(Starter starter) {
        return new HouseRules(
                naming,
                dialect,
                choices,
                reasonsInSql,
                farLines,
                starters.stream().filter(each -> !each.equals(starter)).toList());
    }

    /** Returns these rules with a starter, in place of one of the same name. */
    public HouseRules with(Starter starter) {
        boolean known = starters.stream().anyMatch(s -> s.name().equals(starter.name()));
        return new HouseRules(
                naming,
                dialect,
                choices,
                reasonsInSql,
                farLines,
                known ? Lists.replace(starters, Starter::name, starter) : Lists.plus(starters, starter));
    }
}
