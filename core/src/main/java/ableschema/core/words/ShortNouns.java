package ableschema.core.words;

import ableschema.core.design.Entity;
import ableschema.core.words.Phrasing.ReadAs;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** Nouns that are cut short: where tide gauges were spoken of, it is asked whether "a gauge" is one of them. */
final class ShortNouns {

    private static final Pattern SUBJECT = Pattern.compile("(?:Each|Of each|No two) (.+?)(?: has | is | share |:).*");

    /** "Has a name and a flag" tells that a thing stands for itself. */
    private static final Pattern DESCRIBED =
            Pattern.compile(".* (?:has|have) .*(?:,| and ).*", Pattern.CASE_INSENSITIVE);

    private final SaidNouns said;
    private final RelationPhrasings relations;

    ShortNouns(SaidNouns said, RelationPhrasings relations) {
        this.said = said;
        this.relations = relations;
    }

    /** A reading as it is, and with the nouns in full; an insurance company need not be the company that was meant. */
    Phrasing inFull(Phrasing phrasing) {
        if (phrasing instanceof Phrasing.Either either) {
            return new Phrasing.Either(either.readings().stream()
                    .map(this::inFull)
                    .flatMap(each ->
                            each instanceof Phrasing.Either two ? two.readings().stream() : Stream.of((ReadAs) each))
                    .toList());
        }
        return phrasing instanceof ReadAs as ? inFull(as) : phrasing;
    }

    private Phrasing inFull(ReadAs as) {
        if (as.sentences().stream().anyMatch(each -> each.contains(" is a kind of "))) {
            return as;
        }
        List<String> full = as.sentences().stream().map(this::inFull).toList();
        if (full.equals(as.sentences())) {
            return as;
        }
        return isSaidInFull(as)
                ? new ReadAs(full.stream().distinct().toList())
                : new Phrasing.Either(List.of(as, new ReadAs(full)));
    }

    /** "Spare parts are sold by suppliers, and a part is sold by several" speaks of one thing. */
    private boolean isSaidInFull(ReadAs as) {
        Set<String> nouns =
                as.sentences().stream().flatMap(each -> nouns(each).stream()).collect(Collectors.toSet());
        return nouns.stream().flatMap(noun -> said.inFull(noun).stream()).allMatch(entity -> nouns.stream()
                .anyMatch(noun -> said.entity(noun).filter(entity::equals).isPresent()));
    }

    private String inFull(String sentence) {
        String full = sentence;
        for (String noun : nouns(sentence)) {
            Optional<Entity> entity = said.inFull(noun);
            if (entity.isPresent()) {
                String one = said.one(noun);
                String many = said.many(noun);
                if (!many.equals(one)) { // "luggage" is both, and stands behind "each"
                    full = replaced(full, many, said.nouns().many(entity.get()));
                }
                full = replaced(full, one, said.nouns().one(entity.get()));
            }
        }
        return full;
    }

    /** At the beginning of a sentence or of its other side, and at their ends. */
    private static String replaced(String sentence, String noun, String full) {
        String quoted = Pattern.quote(noun);
        return Pattern.compile(
                        "(?<=^(?:Each|Of each|No two) |; each )" + quoted + "(?=[ :])|(?<= )" + quoted + "(?=[.;])",
                        Pattern.CASE_INSENSITIVE)
                .matcher(sentence)
                .replaceAll(Matcher.quoteReplacement(full));
    }

    /** A number behind a colon or a bracket is of a type or a bound. */
    private static boolean tellsHowMany(String masked) {
        return Quantity.find(masked, 0)
                .filter(found ->
                        masked.substring(0, found.start()).chars().noneMatch(sign -> sign == ':' || sign == '('))
                .isPresent();
    }

    /** What stands before and behind the verb of a sentence of the grammar, where entities stand. */
    private Set<String> nouns(String sentence) {
        var nouns = new LinkedHashSet<String>();
        Matcher subject = SUBJECT.matcher(sentence);
        if (subject.matches()) {
            nouns.add(subject.group(1));
        }
        if (tellsHowMany(Quoted.masked(sentence))) {
            for (String half : sentence.split("; e")) {
                relations.clause(half.replaceFirst("\\.$", "")).ifPresent(clause -> {
                    nouns.add(clause.subject());
                    nouns.add(clause.object());
                });
            }
        }
        return nouns;
    }

    /**
     * What the sentences of a text tell something of, without what is short for something that was spoken of before; a thing that
     * is described as the longer one is stands for itself.
     *
     * @param subjects what each sentence tells something of, in the order of the text
     */
    static Set<String> withoutShort(List<Map.Entry<String, String>> subjects) {
        Set<String> described = subjects.stream()
                .filter(each -> DESCRIBED.matcher(each.getValue()).matches())
                .map(Map.Entry::getKey)
                .collect(Collectors.toSet());
        var longer = new HashMap<String, List<String>>(); // those before, by what they end in
        var without = new HashSet<String>();
        for (String noun : subjects.stream().map(Map.Entry::getKey).distinct().toList()) {
            List<String> all = longer.getOrDefault(noun, List.of());
            boolean isShort = all.size() == 1 && !(described.contains(noun) && described.contains(all.get(0)));
            if (!isShort) {
                without.add(noun);
            }
            for (int space = noun.indexOf(' '); space >= 0; space = noun.indexOf(' ', space + 1)) {
                longer.computeIfAbsent(noun.substring(space + 1), tail -> new ArrayList<>())
                        .add(noun);
            }
        }
        return without;
    }
}
