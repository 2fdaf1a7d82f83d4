package ableschema.core.review;

import ableschema.core.finding.Finding;
import ableschema.core.finding.Rule;
import ableschema.core.sql.Shortfalls;
import java.util.List;
import java.util.function.Consumer;

/** What the chosen dialect cannot say of the schema as a whole. */
final class WholeShortfallFinder implements Finder.OfWhole {

    @Override
    public List<Rule> rules() {
        return List.of();
    }

    @Override
    public void find(Subject subject, Consumer<Finding> found) {
        Shortfalls.ofWhole(subject.schema(), subject.dialect())
                .forEach(each -> found.accept(ShortfallFinder.finding(subject.mapping(), each)));
    }
}
