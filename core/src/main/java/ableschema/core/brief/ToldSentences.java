package ableschema.core.brief;

import ableschema.core.design.Cardinality;
import ableschema.core.design.Design;
import ableschema.core.design.End;
import ableschema.core.design.Entity;
import ableschema.core.design.IdSource;
import ableschema.core.design.Relationship;
import ableschema.core.design.Side;
import ableschema.core.document.Document;
import ableschema.core.words.Nouns;
import ableschema.core.words.Sentences;
import ableschema.core.words.SpokenLine;
import ableschema.core.words.Understanding;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.regex.Pattern;
import java.util.stream.Stream;

/** Finds among plain sentences those that say something of a design, and what each would be kept as; the rest stays a text. */
public final class ToldSentences {

    private static final Pattern END = Pattern.compile("(?<=[.!?])\\s+|\\R+");

    private ToldSentences() {}

    /**
     * What a sentence may be kept as.
     *
     * @param told     as it was told
     * @param readings the likeliest first; never empty
     * @param reverse  for a sentence that gives somebody only one of something: whether it may be several
     */
    public record Offer(String told, List<Reading> readings, Optional<Reverse> reverse) {
        public Offer {
            readings = List.copyOf(readings);
        }
    }

    /**
     * One reading.
     *
     * @param sentences canonical ones
     * @param gist      what it would make, in a few words
     */
    public record Reading(List<String> sentences, String gist) {
        public Reading {
            sentences = List.copyOf(sentences);
        }
    }

    /** A question that is easily forgotten, and what the sentence would be if the answer is yes. */
    public record Reverse(String question, Reading ifYes) {}

    /** The sentences of a text that would change the design if they were taken up, in their order. */
    public static List<Offer> of(String text, Design design) {
        var offers = new ArrayList<Offer>();
        for (String sentence : END.split(text)) {
            if (!sentence.isBlank()) {
                offer(sentence.strip(), design).ifPresent(offers::add);
            }
        }
        return offers;
    }

    private static Optional<Offer> offer(String told, Design design) {
        SpokenLine.Heard heard = line(design).read(told);
        if (!(heard.understanding() instanceof Understanding.Understood understood)) {
            return Optional.empty();
        }
        Design after = understood.edit().applyTo(Document.EMPTY.with(design)).design();
        if (things(after) <= things(design)) {
            return Optional.empty(); // it is said already, or was decided otherwise since
        }
        List<String> first = heard.readAs().isEmpty() ? List.of(told) : heard.readAs();
        var readings = new ArrayList<Reading>();
        readings.add(new Reading(first, understood.gist()));
        heard.others().forEach(other -> readings.add(new Reading(List.of(other), "")));
        return Optional.of(
                new Offer(told, readings, heard.others().isEmpty() ? reverse(design, after) : Optional.empty()));
    }

    private static long things(Design design) {
        return design.entities().size()
                + design.relationships().size()
                + Stream.concat(
                                design.entities().stream().map(Entity::body),
                                design.relationships().stream().map(Relationship::body))
                        .mapToLong(body -> body.attributes().size()
                                + body.key().size()
                                + body.uniques().size()
                                + body.checks().size()
                                + body.dependencies().size())
                        .sum();
    }

    private static SpokenLine line(Design design) {
        return new SpokenLine(design, Optional.empty(), IdSource.seeded(1));
    }

    /** Asks of a relationship that was added whether what there is one of may be several. */
    private static Optional<Reverse> reverse(Design before, Design after) {
        List<Relationship> added = after.relationships().stream()
                .filter(each -> before.relationship(each.id()).isEmpty())
                .toList();
        if (added.size() != 1 || added.get(0).isSubtype() || added.get(0).isManyToMany()) {
            return Optional.empty();
        }
        Relationship made = added.get(0);
        Side one = made.referencedSide().orElse(Side.SECOND);
        End end = made.end(one);
        Relationship several = made.with(
                one,
                end.withCardinality(end.cardinality().min() > 0 ? Cardinality.AT_LEAST_ONE : Cardinality.ANY_NUMBER));
        Nouns nouns = Nouns.of(after);
        String question =
                "Several " + nouns.many(after.at(end)) + " for one " + nouns.one(after.at(made.end(one.other()))) + "?";
        String sentence = new Sentences(after.with(several)).of(several);
        return Optional.of(new Reverse(question, new Reading(List.of(sentence), "")));
    }
}
