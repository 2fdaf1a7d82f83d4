package ableschema.core.review;

import ableschema.core.brief.EventRules;
import ableschema.core.design.Entity;
import ableschema.core.finding.Finding;
import ableschema.core.finding.Rule;
import java.util.List;
import java.util.function.Consumer;

/** Events that lack their moment, or who took part. */
final class EventFinder implements Finder.OfEach {

    @Override
    public List<Rule> rules() {
        return List.of(EventRules.WITHOUT_MOMENT, EventRules.WITHOUT_PARTICIPANT);
    }

    @Override
    public void find(Subject subject, Entity entity, Consumer<Finding> found) {
        EventRules.findings(subject.design(), entity).forEach(found);
    }
}
