package ableschema.core.document;

import ableschema.core.design.Lists;
import ableschema.core.mapping.NamingRules;
import java.util.List;

/**
 * What this house does by habit: how names are made, the dialect that it writes for, and sets of attributes to begin
 * with.
 *
 * @param reasonsInSql whether the reasons of choices go into the comments of the script
 */
public record HouseRules(NamingRules naming, String dialect, boolean reasonsInSql, List<Starter> starters) {

    public static final HouseRules USUAL = new HouseRules(NamingRules.USUAL, "postgresql", false, List.of());

    public HouseRules {
        starters = List.copyOf(starters);
    }

    public HouseRules withNaming(NamingRules naming) {
        return new HouseRules(naming, dialect, reasonsInSql, starters);
    }

    public HouseRules withDialect(String dialect) {
        return new HouseRules(naming, dialect, reasonsInSql, starters);
    }

    public HouseRules withReasonsInSql(boolean reasonsInSql) {
        return new HouseRules(naming, dialect, reasonsInSql, starters);
    }

    public HouseRules without(Starter starter) {
        return new HouseRules(
                naming,
                dialect,
                reasonsInSql,
                starters.stream().filter(each -> !each.equals(starter)).toList());
    }

    /** Returns these rules with a starter, in place of one of the same name. */
    public HouseRules with(Starter starter) {
        boolean known = starters.stream().anyMatch(s -> s.name().equals(starter.name()));
        return new HouseRules(
                naming,
                dialect,
                reasonsInSql,
                known ? Lists.replace(starters, Starter::name, starter) : Lists.plus(starters, starter));
    }
}
