package ableschema.core.review;

import ableschema.core.design.Cardinality;
import ableschema.core.design.Design;
import ableschema.core.design.End;
import ableschema.core.design.Judgement;
import ableschema.core.design.Judgement.Verdict;
import ableschema.core.design.Relationship;
import ableschema.core.design.Side;
import ableschema.core.edit.ChangeNotes;
import ableschema.core.edit.Compound;
import ableschema.core.edit.PutRelationship;
import ableschema.core.finding.Finding;
import ableschema.core.finding.Place;
import ableschema.core.finding.Remedy;
import ableschema.core.finding.Rule;
import ableschema.core.finding.Step;
import ableschema.core.words.Nouns;
import ableschema.core.words.Sentences;
import java.util.List;
import java.util.function.Consumer;

/** Relationships of which only one direction has been said. */
final class RelationshipFinder implements Finder.OfEach {

    static final Rule REVERSE_UNSAID = Rule.open(
                    Step.DRAW,
                    "reverse-unsaid",
                    "Only one direction was said",
                    "How many {many} may one {one} have?",
                    "One direction says little of the other: if it may have only one, or must have one, the tables"
                            + " differ.")
            .counted("direction unsaid|directions unsaid");

    @Override
    public List<Rule> rules() {
        return List.of(REVERSE_UNSAID);
    }

    @Override
    public void find(Subject subject, Relationship relationship, Consumer<Finding> found) {
        if (relationship.isManyToMany() || relationship.isSubtype()) {
            return;
        }
        Side referenced = relationship.referencedSide().orElse(Side.FIRST);
        if (!relationship.end(referenced).verb().isEmpty()) {
            return;
        }
        Design design = subject.design();
        String sentence = subject.sentences().of(relationship);
        boolean confirmed = subject.judgementsOf(relationship.id()).stream()
                .anyMatch(each ->
                        each.verdict() == Verdict.CONFIRMED && each.sentence().equals(sentence));
        if (confirmed) {
            return;
        }
        Nouns nouns = subject.nouns();
        found.accept(Finding.of(REVERSE_UNSAID, Place.of(relationship.id()))
                .naming("one", nouns.one(design.at(relationship.end(referenced))))
                .naming("many", nouns.many(design.at(relationship.end(referenced.other()))))
                .withEvidence("“" + sentence + "” is taken for now")
                .mendedBy(Remedy.of("any number, as it says", (now, ids, given) -> confirmed(now, relationship)))
                .mendedBy(atMostOne(relationship, referenced.other())));
    }

    private static ChangeNotes confirmed(Design now, Relationship relationship) {
        Relationship current = now.relationship(relationship.id()).orElseThrow();
        var judgement = new Judgement(current.id(), new Sentences(now).of(current), Verdict.CONFIRMED, "");
        return new ChangeNotes(now.notes().with(judgement), "confirm a sentence");
    }

    private static Remedy atMostOne(Relationship relationship, Side side) {
        return Remedy.of("at most one", (now, ids, given) -> {
            Relationship current = now.relationship(relationship.id()).orElseThrow();
            End end = current.end(side);
            Relationship changed = current.with(side, end.withCardinality(Cardinality.AT_MOST_ONE));
            return new Compound(
                    "say the other direction",
                    List.of(
                            new PutRelationship(changed, "say the other direction"),
                            confirmed(now.with(changed), changed)));
        });
    }
}
