package ableschema.core.document;

import ableschema.core.schema.NamingRules;

/** What this house does by habit: how names are made, and the dialect that it writes for. */
public record HouseRules(NamingRules naming, String dialect) {
    public static final HouseRules USUAL = new HouseRules(NamingRules.USUAL, "postgresql");
}
