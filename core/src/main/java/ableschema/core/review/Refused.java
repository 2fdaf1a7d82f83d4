package ableschema.core.review;

import ableschema.core.design.Id;
import ableschema.core.finding.Finding;
import ableschema.core.finding.Place;
import ableschema.core.finding.Rule;
import ableschema.core.finding.Step;

/** What a database said of a design that was carried out there; no rule finds it, and it holds for the design as it was. */
public final class Refused {

    public static final Rule RULE = Rule.mustMend(
            Step.SQL,
            "refused",
            "Refused by a database",
            "{database} refused what is written of it.",
            "What a database refuses is not there, nor is what comes behind it.");

    private Refused() {}

    /**
     * A refusal.
     *
     * @param owner  the entity or relationship of which the refused statement is written; {@link Place#EVERYWHERE} for none
     * @param reason what the database said
     */
    public static Finding of(Id owner, String database, String reason) {
        return Finding.of(RULE, Place.of(owner))
                .naming("database", database)
                .stating("reason", reason)
                .withEvidence(reason.lines().findFirst().orElse(""));
    }
}
