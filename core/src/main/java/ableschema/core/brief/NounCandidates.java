package ableschema.core.brief;

import ableschema.core.design.Design;
import ableschema.core.design.EntityKind;
import ableschema.core.words.Nouns;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Finds the words of plain sentences that may be entities, in the singular and in their order, each with the kind that
 * its form suggests. Which of them are, only the designer knows.
 */
public final class NounCandidates {

    private static final Pattern WORD = Pattern.compile("\\p{L}[\\p{L}'’-]*|[.;:?!,()]");
    private static final Set<String> NO_NOUNS = Set.of(
            ("a about above after again all also although an and any are around as at away back be because been before being"
                            + " below between both but by came can cannot come comes could did do does done down during each either else"
                            + " even ever every few find first for found from gave get gets give given gives go goes got had has have he"
                            + " her here his how i if in into is it its just keep keeps kept know knows known last later least less let"
                            + " like made make makes many may me might more most much must my need needs never new next no none nor not"
                            + " now of off often old on once one only onto or other our out over own per put puts same say says see"
                            + " seen several shall she should since so some soon still such take taken takes tell tells than that the"
                            + " their them then there these they this those three through time times to together too took two under"
                            + " until up upon us use used uses using very want wants was we went were what when where which while who"
                            + " whom whose why will with within without would write writes written yes yet you your belongs belong"
                            + " stands stand called happens happen holds hold looks look shelters visits visited lives moved sold unique zero long short well possibly optional optionally")
                    .split(" "));
    private static final Set<String> PLACES = Set.of(
            "place", "site", "yard", "house", "garden", "room", "station", "field", "store", "shop", "hall", "town",
            "address");
    private static final Set<String> PERSONS =
            Set.of("person", "member", "people", "friend", "guest", "staff", "child", "parent", "woman", "man");
    private static final Set<String> EVENTS = Set.of(
            "event",
            "visit",
            "harvest",
            "sale",
            "purchase",
            "meeting",
            "course",
            "order",
            "payment",
            "treatment",
            "handover");

    private static final Set<String> MODAL = Set.of(
            "can", "cannot", "may", "must", "might", "should", "shall", "will", "would", "could", "to", "not", "also");
    private static final Set<String> JOINING =
            Set.of("and", "or", "then", "who", "which", "that", "it", "they", "he", "she", "we");
    private static final Set<String> DETERMINING = Set.of(
            "a", "an", "the", "one", "two", "three", "several", "many", "some", "any", "no", "at", "up", "more", "each",
            "every", "its", "their", "his", "her", "exactly", "only", "just");

    private static final Set<String> BEING = Set.of("is", "are", "be", "was", "were", "been", "either");
    private static final Set<String> LISTING = Set.of(",", "or", "and");
    private static final Set<String> PLACING = Set.of("from", "for", "at", "by", "on", "in", "to", "with", "until");

    private NounCandidates() {}

    /** A word that may be an entity, and the kind that its form suggests. */
    public record Candidate(String noun, EntityKind kind, boolean known) {}

    /**
     * The candidates of a text without what its sentences say is an attribute, or what somebody does: where a boat has a hull number,
     * neither that nor a number is asked for.
     */
    public static List<Candidate> of(String text, Design design, List<ToldSentences.Offer> said) {
        Set<String> entities = new HashSet<>();
        Set<String> attributes = new HashSet<>();
        Set<String> verbs = new HashSet<>();
        said.forEach(offer -> {
            verbs.addAll(offer.made().verbs());
            entities.addAll(offer.made().entities());
            attributes.addAll(offer.made().attributes());
        });
        return of(text, design, verbs).stream()
                .filter(each -> each.known() || entities.contains(each.noun()) || !isAttribute(each.noun(), attributes))
                .toList();
    }

    private static boolean isAttribute(String noun, Set<String> attributes) {
        return attributes.stream()
                .anyMatch(name -> name.equals(noun)
                        || name.endsWith(" " + noun)
                        || name.contains(" in " + noun)
                        || name.startsWith(noun + " in ")
                        || name.startsWith(noun + " of "));
    }

    /** The candidates of a text, each once; {@code known} says that the design has such an entity already. */
    public static List<Candidate> of(String text, Design design) {
        return of(text, design, Set.of());
    }

    /** @param verbs words that are known to say what somebody does */
    private static List<Candidate> of(String text, Design design, Set<String> verbs) {
        var nouns = Nouns.of(design);
        List<String> words = words(text);
        Map<String, Candidate> found = new LinkedHashMap<>();
        Set<String> alone = new HashSet<>();
        Set<String> onlyBefore = new HashSet<>();
        String before = "";
        boolean saysHow = false;
        for (int i = 0; i < words.size(); i++) {
            String small = words.get(i).toLowerCase(Locale.ROOT);
            saysHow = isHow(words, i, saysHow);
            boolean may = mayBeNoun(small) && !saysHow && !isVerb(words, i) && !verbs.contains(small);
            if (may) {
                String noun = nouns.singulars(small).get(0);
                found.putIfAbsent(noun, new Candidate(noun, kind(noun), nouns.knows(noun)));
                if (isPairOfNouns(before, small)) {
                    String pair = before + " " + noun;
                    found.putIfAbsent(pair, new Candidate(pair, kind(noun), nouns.knows(pair)));
                    onlyBefore.add(before);
                }
                boolean leads = i + 1 < words.size()
                        && isPairOfNouns(small, words.get(i + 1).toLowerCase(Locale.ROOT))
                        && mayBeNoun(words.get(i + 1).toLowerCase(Locale.ROOT))
                        && !verbs.contains(words.get(i + 1).toLowerCase(Locale.ROOT))
                        && !isVerb(words, i + 1);
                if (!leads) {
                    alone.add(noun);
                }
            }
            before = may ? small : "";
        }
        // what stands only before another noun, as "due" in "due date", is no thing of its own
        onlyBefore.stream()
                .filter(word -> !alone.contains(word) && !nouns.knows(word))
                .forEach(found::remove);
        return List.copyOf(found.values());
    }

    /** Whether a word says how something is, as "open", "paid" and "overdue" in "is open, paid or overdue". */
    private static boolean isHow(List<String> words, int at, boolean before) {
        String word = words.get(at).toLowerCase(Locale.ROOT);
        String last = at == 0 ? "" : words.get(at - 1).toLowerCase(Locale.ROOT);
        boolean goesOn =
                before && (word.equals(",") || word.equals("or") || word.equals("and") || LISTING.contains(last));
        boolean compared = at + 1 < words.size() && words.get(at + 1).equalsIgnoreCase("than");
        return goesOn || compared || BEING.contains(last) && !DETERMINING.contains(word) && !word.matches("[.;:?!,()]");
    }

    /** Whether a word says what somebody does: behind "may", or behind a noun and before how many, or which, of another. */
    private static boolean isVerb(List<String> words, int at) {
        String before = at == 0 ? "" : words.get(at - 1).toLowerCase(Locale.ROOT);
        String after = at + 1 == words.size() ? "" : words.get(at + 1).toLowerCase(Locale.ROOT);
        boolean subject = at == 1 || at > 1 && words.get(at - 2).matches("[.;:?!]");
        boolean several = subject
                && before.endsWith("s")
                && !word(words, at).endsWith("s")
                && (mayBeNoun(after) || PLACING.contains(after));
        boolean one =
                word(words, at).endsWith("s") && mayBeNoun(before) && !before.endsWith("s") && PLACING.contains(after);
        return several
                || one
                || MODAL.contains(before)
                || (mayBeNoun(before) || JOINING.contains(before)) && DETERMINING.contains(after);
    }

    private static String word(List<String> words, int at) {
        return words.get(at).toLowerCase(Locale.ROOT);
    }

    private static List<String> words(String text) {
        var words = new ArrayList<String>();
        Matcher matcher = WORD.matcher(text);
        while (matcher.find()) {
            words.add(matcher.group());
        }
        return words;
    }

    private static boolean mayBeNoun(String word) {
        return word.length() > 2
                && Character.isLetter(word.charAt(0))
                && !NO_NOUNS.contains(word)
                && !word.endsWith("ly")
                && !word.endsWith("ous")
                && !word.matches(".*n['’]t")
                && !(word.endsWith("ed") && word.length() > 4);
    }

    private static boolean isPairOfNouns(String before, String word) {
        return !before.isEmpty() && !before.endsWith("s") && !word.equals(before);
    }

    private static EntityKind kind(String noun) {
        if (PERSONS.contains(noun) || noun.matches(".*(?:[^dt]er|[^aeiou]or|ist|ian)") && !PLACES.contains(noun)) {
            return EntityKind.PERSON;
        }
        if (PLACES.contains(noun) || noun.matches(".+(?:yard|brary|[a-z]iary|nary|ery|orium|arium)")) {
            return EntityKind.PLACE;
        }
        return EVENTS.contains(noun) || noun.matches(".*(?:tion|sion|ing)") ? EntityKind.EVENT : EntityKind.THING;
    }
}
