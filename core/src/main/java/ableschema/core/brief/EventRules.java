package ableschema.core.brief;

import ableschema.core.design.Design;
import ableschema.core.design.Entity;
import ableschema.core.design.EntityKind;
import ableschema.core.finding.Finding;
import ableschema.core.finding.Place;
import ableschema.core.finding.Rule;
import ableschema.core.finding.Step;
import ableschema.core.types.DataType;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;

/** Asks of events when they happened, and who or what took part. */
public final class EventRules {

    private static final Set<DataType> MOMENTS = Set.of(
            DataType.Simple.DATE,
            DataType.Simple.MOMENT,
            DataType.Simple.MOMENT_ANYWHERE,
            DataType.Simple.YEAR,
            DataType.Simple.TIME);

    public static final Rule WITHOUT_MOMENT = Rule.open(
                    Step.BRIEF,
                    "event-without-moment",
                    "Event without a moment",
                    "{entity} is an event, but no attribute says when it happened.",
                    "An event happens at some time; without it, events cannot be put in order or told apart.")
            .counted("event asked|events asked");
    public static final Rule WITHOUT_PARTICIPANT = Rule.open(
                    Step.BRIEF,
                    "event-without-participant",
                    "Event without a participant",
                    "{entity} is an event, but nothing says who or what took part in it.",
                    "An event happens to someone or something; without it, nobody can ask what happened to whom.")
            .counted("event asked|events asked");

    private EventRules() {}

    /** What is missing in an entity that is an event; nothing for any other. */
    public static List<Finding> findings(Design design, Entity entity) {
        var findings = new ArrayList<Finding>();
        if (!entity.kind().equals(EntityKind.EVENT)) {
            return findings;
        }
        boolean moment = entity.body().attributes().stream().anyMatch(a -> MOMENTS.contains(design.typeOf(a)));
        if (!moment) {
            findings.add(finding(WITHOUT_MOMENT, entity));
        }
        if (design.relationshipsOf(entity.id()).findAny().isEmpty()) {
            findings.add(finding(WITHOUT_PARTICIPANT, entity));
        }
        return findings;
    }

    private static Finding finding(Rule rule, Entity entity) {
        return Finding.of(rule, Place.of(entity.id())).naming("entity", entity.name());
    }
}
