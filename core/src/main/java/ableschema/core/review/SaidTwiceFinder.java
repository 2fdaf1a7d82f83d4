package ableschema.core.review;

import ableschema.core.design.Body;
import ableschema.core.design.Relationship;
import ableschema.core.design.Side;
import ableschema.core.document.Edit;
import ableschema.core.edit.Compound;
import ableschema.core.edit.Edits;
import ableschema.core.edit.PutRelationship;
import ableschema.core.finding.Finding;
import ableschema.core.finding.Place;
import ableschema.core.finding.Remedy;
import ableschema.core.finding.Rule;
import ableschema.core.finding.Step;
import ableschema.core.words.Verbs;
import java.util.List;
import java.util.function.Consumer;

/** Relationships that say from one side what another says from the other, as "writes" and "is written by" do. */
final class SaidTwiceFinder implements Finder.OfEach {

    static final Rule SAID_TWICE = Rule.advice(
            Step.DRAW,
            "said-twice",
            "Said twice, once from each side",
            "“{one}” and “{other}” are two relationships.",
            "Where both mean the same they are one, read from both sides: as two they make columns or tables of their own"
                    + " each, which can come to say otherwise.");

    private static final String MADE_ONE = "make one of two relationships";

    @Override
    public List<Rule> rules() {
        return List.of(SAID_TWICE);
    }

    @Override
    public void find(Subject subject, Relationship relationship, Consumer<Finding> found) {
        subject.design()
                .relationshipsOf(relationship.first().entity())
                .dropWhile(earlier -> !earlier.id().equals(relationship.id())) // found at the first of the two
                .filter(other -> isOtherSide(relationship, other))
                .findFirst()
                .ifPresent(other -> found.accept(finding(subject, relationship, other)));
    }

    /** Whether the second says of both entities, the other way round, what the first says, and neither says more than one side. */
    private static boolean isOtherSide(Relationship one, Relationship other) {
        return one.first().entity().equals(other.second().entity())
                && one.second().entity().equals(other.first().entity())
                && !one.first().entity().equals(one.second().entity())
                && one.second().verb().isEmpty()
                && other.second().verb().isEmpty()
                && !one.isSubtype()
                && !other.isSubtype()
                && Verbs.areInverse(one.first().verb(), other.first().verb());
    }

    private static Finding finding(Subject subject, Relationship one, Relationship other) {
        Finding finding = Finding.of(SAID_TWICE, Place.of(one.id()))
                .naming("one", forth(subject, one))
                .naming("other", forth(subject, other))
                .stating("other", other.id().toString());
        boolean bare = other.body().equals(Body.EMPTY);
        return bare
                ? finding.mendedBy(Remedy.of("make them one", (design, ids, given) -> {
                    Relationship kept = design.relationship(one.id()).orElseThrow();
                    Relationship gone = design.relationship(other.id()).orElseThrow();
                    return together(kept, gone, new Edits(design, ids));
                }))
                : finding;
    }

    /** The one clause that was said of it. */
    private static String forth(Subject subject, Relationship relationship) {
        String both = subject.sentences().of(relationship);
        return both.substring(0, both.indexOf(';') < 0 ? both.length() : both.indexOf(';'));
    }

    private static Edit together(Relationship kept, Relationship gone, Edits edits) {
        Relationship both = kept.with(
                        Side.SECOND, kept.second().withVerb(gone.first().verb()))
                .with(Side.FIRST, kept.first().withCardinality(gone.second().cardinality()));
        return new Compound(MADE_ONE, List.of(edits.remove(List.of(gone.id())), new PutRelationship(both, MADE_ONE)));
    }
}
