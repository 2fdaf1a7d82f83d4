package ableschema.core.brief;

import ableschema.core.design.Design;
import ableschema.core.design.Entity;
import ableschema.core.design.EntityKind;
import ableschema.core.finding.Finding;
import ableschema.core.finding.Place;
import ableschema.core.finding.Rule;
import ableschema.core.types.DataType;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/** Asks of events when they happened, and who or what took part. */
public final class EventRules {

    private static final Set<DataType> MOMENTS = Set.of(
            DataType.Simple.DATE,
            DataType.Simple.MOMENT,
            DataType.Simple.MOMENT_ANYWHERE,
            DataType.Simple.YEAR,
            DataType.Simple.TIME);

    private EventRules() {}

    /** What is missing in the events of a design, in their order. */
    public static List<Finding> findings(Design design) {
        var findings = new ArrayList<Finding>();
        for (Entity entity : design.inScope().entities()) {
            if (!entity.kind().equals(EntityKind.EVENT)) {
                continue;
            }
            boolean moment = entity.body().attributes().stream().anyMatch(a -> MOMENTS.contains(a.type()));
            if (!moment) {
                findings.add(finding(Rule.EVENT_WITHOUT_MOMENT, entity));
            }
            if (design.relationshipsOf(entity.id()).findAny().isEmpty()) {
                findings.add(finding(Rule.EVENT_WITHOUT_PARTICIPANT, entity));
            }
        }
        return findings;
    }

    private static Finding finding(Rule rule, Entity entity) {
        return new Finding(rule, Place.of(entity.id()), Map.of("entity", entity.name()), Optional.empty());
    }
}
