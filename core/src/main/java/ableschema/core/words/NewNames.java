package ableschema.core.words;

import ableschema.core.design.Attribute;
import ableschema.core.design.Design;
import ableschema.core.design.Entity;
import ableschema.core.design.Relationship;
import java.util.List;
import java.util.Optional;
import java.util.regex.Pattern;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/** Finds, among the names and verbs that a free sentence would make, one that is a piece of the sentence and no name. */
final class NewNames {

    private static final String BEGINNINGS =
            "against|among|around|behind|below|beneath|beside|beyond|despite|except|into|onto|toward|towards|through|throughout|underneath|upon|via|and|or|but|two|three|four|most|many|several|every|each|its|their|this|these|such|either|both|not|never|no|only|all|some|any|if|when|while|until|unless|because|so|than|for|in|on|at|by|with|without"
                    + "|how|why|what|where|whether|who|which|whose|from|to|of|about|per|during|before|after|an?|the|as|be|been|is|are|has|have|can|may|must|it|they|there";
    private static final String WITHIN =
            "and|or|but|between|who|which|whose|that|each|every|if|when|because|so|than|is|are|has|have|can|may|must|once|twice|an?|the|our|like"
                    + "|how|why|what|where|whether|gets|goes|comes|such|never|always|within|also|together|too|still|already|often|sometimes|usually|(?:at|of at) (?:least|most)|exactly|up to";

    /** Verbs that go with several, and begin another clause. */
    private static final String BASES =
            "do|have|are|come|contain|consist|belong|hold|make|take|give|go|work|carry|get|bring|include|own|run|stand|lie";

    /** In the name of an entity; an attribute may be called "address line 2". */
    private static final Pattern ENTITY = Pattern.compile(
            "(?:" + BEGINNINGS + "|contain|consist|belong|include) .*|[^\\p{L}\\p{N}\"].*|.* (?:" + WITHIN
                    + "|by|about|up|against|without|during|among|through|\\d+) .*|.* (?:" + WITHIN
                    + "|by|for|with|in|on|at|from|to|of|about|\\d+)|\\d+ .*",
            Pattern.CASE_INSENSITIVE);

    private static final Pattern ATTRIBUTE = Pattern.compile(
            "(?:" + BEGINNINGS + ") .*|.* (?:" + WITHIN
                    + "|it|they|he|she|we|was|were|did|does|one|two|three|four|five|six|seven|eight|nine|ten|several|many|multiple|certain|various|specific|particular|other|some|all|optional|unique|default|mandatory) .*|.* of form(?: .*)?|.* (?:"
                    + WITHIN
                    + "|it|them|him|her|later|earlier|ago|for|of|with)|\\d+ .*|.* \\d+ .*|(?:numbered|lettered) .*|(?:whole|entire) \\p{L}+",
            Pattern.CASE_INSENSITIVE);

    /** What is said of a name and is none: "a licence number, unique and secret". */
    private static final Pattern TOLD = Pattern.compile(
            "(?:certain|same|unique|mandatory|required|corresponding|respective|different|various|following|default|named) .*"
                    + "|.* (?:additionally|respectively|directly|currently|regularly|automatically|possibly|optionally|immediately|separately|individually)"
                    + "|unique|secret|optional|required|mandatory|personal|it|they|them|one|none|others?|same|all|any|both",
            Pattern.CASE_INSENSITIVE);

    private static final Pattern ROLE = Pattern.compile(
            "(?:" + BEGINNINGS + "|contain|consist|belong|include) .*|.* (?:" + WITHIN
                    + ") .*|\\p{L}+[^su\\W]s \\p{L}.*",
            Pattern.CASE_INSENSITIVE);

    /** One end of a period or a way. */
    private static final Pattern END = Pattern.compile(
            "(?:from|to|until) (?:date|day|time|year|month|place|city|station|page)", Pattern.CASE_INSENSITIVE);

    private static final int MOST_WORDS = 4;

    private NewNames() {}

    /** @param said the sentence; a name that stands in it between quotes is meant */
    static Optional<String> implausible(Design before, Design after, String said) {
        List<Entity> were = before.entities();
        List<Entity> are = after.entities();
        for (int i = 0; i < are.size(); i++) {
            Entity now = are.get(i);
            boolean same = i < were.size() && were.get(i) == now; // what a sentence does not touch stays what it was
            Optional<String> odd =
                    same ? Optional.empty() : odd(before, now).filter(name -> !said.contains("\"" + name + "\""));
            if (odd.isPresent()) {
                return odd;
            }
        }
        return oddRule(before, after).filter(piece -> !said.contains("\"" + piece + "\""));
    }

    /** A verb goes with one, as in "each hive stands in", and holds no other noun with its article. */
    private static final Pattern VERB = Pattern.compile(
            "(?!(?!(?:is|was|gets) )\\p{L}+ (?:" + BASES
                    + ")(?: |$))(?!.* (?:an?|the|each|every|any|and|or|one|two|who|which|that|must|may|can) |.* (?:hows?|why|where|when|what|whether)(?: |$)|.* (?:by|for|of|without|after|before|while) \\p{L}+ing(?: |$))(?:\\p{L}+s|was|had)(?: [\\p{L}\\d'’-]+){0,5}",
            Pattern.CASE_INSENSITIVE);

    /** What would be a verb or a role, and is none. */
    private static Optional<String> oddRule(Design before, Design after) {
        List<Relationship> were = before.relationships();
        List<Relationship> are = after.relationships();
        return IntStream.range(0, are.size())
                .filter(i -> i >= were.size() || were.get(i) != are.get(i)) // what a sentence does not touch stays
                .mapToObj(are::get)
                .filter(each -> !each.isSubtype()
                        && before.relationship(each.id())
                                .filter(known -> known == each)
                                .isEmpty())
                .flatMap(each -> Stream.concat(
                        Stream.of(each.first().verb(), each.second().verb())
                                .filter(verb ->
                                        !verb.isEmpty() && !VERB.matcher(verb).matches()),
                        Stream.of(each.first().role(), each.second().role())
                                .filter(role -> ROLE.matcher(role).matches())))
                .findFirst();
    }

    /** An entity has a name of few words; "each wine tasted" and "an allergy of patients" speak of the wines and patients that are known. */
    private static boolean isTold(Design before, String name) {
        int last = name.lastIndexOf(' ');
        int of = name.indexOf(" of ");
        Nouns nouns = Nouns.of(before);
        return name.split(" ").length > MOST_WORDS
                || name.indexOf(',') >= 0
                || last > 0
                        && name.endsWith("ed")
                        && nouns.entity(name.substring(0, last)).isPresent()
                || of > 0 && isSeveral(nouns, name.substring(of + " of ".length()));
    }

    private static boolean isSeveral(Nouns nouns, String noun) {
        return nouns.entity(noun)
                .filter(known -> !known.name().equalsIgnoreCase(noun))
                .isPresent();
    }

    private static Optional<String> odd(Design before, Entity now) {
        Stream<String> entity = before.entity(now.id()).isPresent() ? Stream.empty() : Stream.of(now.name());
        Stream<String> attributes = now.body().attributes().stream()
                .filter(attribute -> before.attribute(attribute.id()).isEmpty())
                .map(Attribute::name)
                .filter(name -> !END.matcher(name).matches());
        return Stream.concat(
                        entity.filter(name -> isTold(before, name)
                                || ENTITY.matcher(name).matches()
                                || TOLD.matcher(name).matches()),
                        attributes.filter(name -> ATTRIBUTE.matcher(name).matches()
                                || TOLD.matcher(name).matches()))
                .findFirst();
    }
}
