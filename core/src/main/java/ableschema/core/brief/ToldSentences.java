package ableschema.core.brief;

import ableschema.core.design.Attribute;
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
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
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
     * @param made     what is there when the likeliest has been taken up, by its names
     */
    public record Offer(String told, List<Reading> readings, Optional<Reverse> reverse, Made made) {
        public Offer {
            readings = List.copyOf(readings);
        }
    }

    /**
     * Names in small letters.
     *
     * @param verbs the words of all that one entity has to do with another
     */
    public record Made(Set<String> entities, Set<String> attributes, Set<String> verbs) {
        static Made of(Design design) {
            return new Made(
                    design.entities().stream()
                            .map(Entity::name)
                            .map(ToldSentences::small)
                            .collect(Collectors.toSet()),
                    design.entities().stream()
                            .flatMap(entity -> entity.body().attributes().stream())
                            .map(Attribute::name)
                            .map(ToldSentences::small)
                            .collect(Collectors.toSet()),
                    design.relationships().stream()
                            .flatMap(each -> Stream.of(each.first(), each.second()))
                            .flatMap(end -> Stream.of(small(end.verb()).split(" ")))
                            .collect(Collectors.toSet()));
        }
    }

    private static String small(String name) {
        return name.toLowerCase(Locale.ROOT);
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
        return of(text, design, new Known());
    }

    /** What was offered for the sentences of an earlier text, which are not read again while they would be read as the same. */
    public static final class Known {

        /** What was typed on the way to a sentence is known too; that much is kept. */
        private static final int MOST = 2_000;

        private Design design = Design.EMPTY;
        private Set<String> subjects = Set.of();
        private final Map<String, Optional<Offer>> offers = new HashMap<>();

        private void keepFor(Design design, Set<String> subjects) {
            if (this.design != design || !this.subjects.equals(subjects) || offers.size() > MOST) {
                offers.clear();
            }
            this.design = design;
            this.subjects = subjects;
        }
    }

    /** @param known what an earlier text came to; takes up what this one does */
    public static List<Offer> of(String text, Design design, Known known) {
        known.keepFor(design, SpokenLine.subjects(text));
        return Arrays.stream(END.split(text))
                .map(String::strip)
                .filter(sentence -> !sentence.isEmpty())
                .flatMap(sentence ->
                        known.offers.computeIfAbsent(sentence, each -> offer(each, design, known.subjects)).stream())
                .toList();
    }

    private static Optional<Offer> offer(String told, Design design, Set<String> subjects) {
        SpokenLine.Heard heard =
                SpokenLine.of(subjects, design, IdSource.seeded(1)).read(told);
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
        return Optional.of(new Offer(
                told, readings, heard.others().isEmpty() ? reverse(design, after) : Optional.empty(), Made.of(after)));
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
