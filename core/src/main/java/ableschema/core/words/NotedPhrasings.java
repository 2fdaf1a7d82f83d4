package ableschema.core.words;

import ableschema.core.words.Phrasing.ReadAs;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/** Cardinalities as designers note them: "author 1:n book", "books and authors are many-to-many". */
final class NotedPhrasings extends SentenceForms {

    private static final String NOUN = "(?:(?:an?|the|each|every|all) )?(\\p{L}+(?: \\p{L}+)?)";
    private static final String MANY = "(1|one|n|m|\\*|many|0 ?\\.\\. ?1|[01] ?\\.\\. ?[nm*])";
    private static final String RATIO = MANY + "(?: ?[:/-] ?| to |-to-)" + MANY;
    private static final String RELATION = "(?: (?:relationship|relation|association))?";

    private final SaidNouns said;

    NotedPhrasings(SaidNouns said) {
        super("1|one|n|m|many");
        this.said = said;
    }

    @Override
    void fill() {
        // two words that are not known may be a noun and a verb: "a team has 1-n players"
        form(
                NOUN + " " + RATIO + " " + NOUN,
                m -> m.group(1).indexOf(' ') < 0 || said.isEntity(m.group(1))
                        ? noted(m, 1, 2, 3, 4)
                        : Optional.empty());
        form(
                NOUN + " (?:and|<->|<=>|-|↔) " + NOUN + " ?(?:is|are|have|:)(?: in)?(?: an?)? " + RATIO + RELATION,
                m -> noted(m, 1, 3, 4, 2));
        form(
                "(?:there is |there's )?an? " + RATIO + RELATION + " (?:between|from|of) " + NOUN + " (?:and|to) "
                        + NOUN,
                m -> noted(m, 3, 1, 2, 4));
        form(
                "(?:the )?(?:relationship|relation|association) (?:between|from|of) " + NOUN + " (?:and|to) " + NOUN
                        + " (?:is|must be|should be)(?: an?)? " + RATIO + RELATION,
                m -> noted(m, 1, 3, 4, 2));
    }

    private Optional<Phrasing> noted(Cut cut, int first, int ofFirst, int ofSecond, int second) {
        String one = said.one(cut.group(first));
        String other = said.one(cut.group(second));
        String here = cut.group(ofFirst).toLowerCase(Locale.ROOT);
        String there = cut.group(ofSecond).toLowerCase(Locale.ROOT);
        String back = isMany(here) ? "; each " + other + " has " : "; each " + other + " belongs to ";
        String exactly = "Each " + one + " has " + many(there, other) + back + many(here, one) + ".";
        boolean oneToOne = isOne(here) && isOne(there);
        return oneToOne
                ? Optional.of(new Phrasing.Either(List.of(
                        ReadAs.of(exactly), ReadAs.of(exactly.replaceFirst("has exactly one", "has at most one")))))
                : readAs(exactly);
    }

    private static boolean isOne(String noted) {
        return noted.equals("1") || noted.equals("one");
    }

    private static boolean isMany(String noted) {
        return !isOne(noted) && !noted.endsWith("1");
    }

    private String many(String noted, String noun) {
        if (isOne(noted)) {
            return "exactly one " + noun;
        }
        if (!isMany(noted)) {
            return "at most one " + noun;
        }
        return noted.startsWith("1") ? "at least one " + noun : "any number of " + said.many(noun);
    }
}
