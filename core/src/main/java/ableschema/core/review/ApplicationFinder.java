package ableschema.core.review;

import ableschema.core.design.Cardinality;
import ableschema.core.design.KeyPart;
import ableschema.core.design.Relationship;
import ableschema.core.design.Side;
import ableschema.core.finding.Finding;
import ableschema.core.finding.Place;
import ableschema.core.finding.Rule;
import ableschema.core.finding.Step;
import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;

/** Numbers of a relationship that no definition can hold: at least one, between n and m, one on both sides. */
final class ApplicationFinder implements Finder.OfEach {

    static final Rule LEFT_TO_APPLICATION = Rule.advice(
            Step.SQL,
            "left-to-application",
            "Left to the application",
            "That each {sentence} is held by no definition.",
            "A foreign key holds that the row referred to is there, and a unique constraint that there is no second; how many"
                    + " rows refer to one is to be held by whoever writes them.");

    @Override
    public List<Rule> rules() {
        return List.of(LEFT_TO_APPLICATION);
    }

    @Override
    public void find(Subject subject, Relationship relationship, Consumer<Finding> found) {
        if (relationship.isSubtype()) {
            return;
        }
        Optional<Side> referenced = relationship.referencedSide();
        for (Side counted : Side.values()) {
            Cardinality cardinality = relationship.end(counted).cardinality();
            boolean isReferenced = referenced.filter(counted::equals).isPresent();
            boolean limited = cardinality.isMany() && cardinality.max() != Cardinality.MANY;
            if (!isReferenced && (cardinality.isMandatory() || limited)) {
                found.accept(Finding.of(
                                LEFT_TO_APPLICATION,
                                new Place(
                                        relationship.id(),
                                        Optional.empty(),
                                        List.of(new KeyPart.WholeReference(relationship.ref(counted)))))
                        .naming("sentence", subject.sentences().reading(relationship, counted.other()))
                        .stating("number", cardinality.toString()));
            }
        }
    }
}
