package ableschema.core.review;

import ableschema.core.design.Entity;
import ableschema.core.design.Id;
import ableschema.core.design.Lists;
import ableschema.core.finding.Finding;
import ableschema.core.finding.Place;
import ableschema.core.finding.Rule;
import ableschema.core.finding.Step;
import java.util.List;
import java.util.Set;
import java.util.function.Consumer;
import java.util.stream.Stream;

/** Entities that nothing relates to the others, and relationships that follow from two others. */
final class RelatednessFinder implements Finder.OfWhole {

    static final Rule UNRELATED = Rule.advice(
            Step.DRAW,
            "unrelated",
            "Related to nothing",
            "{entity} is related to nothing.",
            "What is related to nothing can be asked nothing together with the rest; mostly a relationship was forgotten.");

    @Override
    public List<Rule> rules() {
        return List.of(UNRELATED);
    }

    @Override
    public List<Object> looksAt(Subject subject) {
        List<Object> related = List.of(subject.design().relationships());
        return unrelated(subject).findAny().isEmpty()
                ? related
                : Lists.plus(
                        related, subject.design().entities()); // a column of theirs may come to look like a reference
    }

    @Override
    public void find(Subject subject, Consumer<Finding> found) {
        if (unrelated(subject).findAny().isPresent()) {
            Set<Id> suspected = UndeclaredFinder.suspected(subject);
            unrelated(subject)
                    .filter(each -> !suspected.contains(each.id()))
                    .forEach(each -> found.accept(
                            Finding.of(UNRELATED, Place.of(each.id())).naming("entity", each.name())));
        }
    }

    private static Stream<Entity> unrelated(Subject subject) {
        List<Entity> entities = subject.design().entities();
        return entities.stream()
                .filter(each -> entities.size() > 1
                        && subject.design().relationshipsOf(each.id()).findAny().isEmpty());
    }
}
