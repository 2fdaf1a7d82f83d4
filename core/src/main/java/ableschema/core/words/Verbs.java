package ableschema.core.words;

import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** Tells whether two verbs say the same thing from its two sides: "writes" and "is written by", "has" and "belongs to". */
public final class Verbs {

    private static final Pattern PASSIVE =
            Pattern.compile("(?:is|are) (\\p{L}+)((?: \\p{L}+)?) (?:by|(?<=(?:rented|hired|leased) )to)");
    private static final Pattern ACTIVE = Pattern.compile("(\\p{L}+)((?: \\p{L}+)?)");

    private static final Set<String> WHOLE = Set.of(
            "has",
            "owns",
            "contains",
            "consists of",
            "includes",
            "comprises",
            "holds",
            "is made up of",
            "is split into",
            "is divided into");

    private static final Set<String> PART = Set.of(
            "belongs to", "is part of", "is in", "is of", "lies in", "is member of", "is a member of", "is a part of");

    /** What is in a place is what the place has. */
    private static final Set<String> PLACED =
            Set.of("stands in", "is located in", "is situated in", "is kept in", "is stored in", "hangs in");

    private static final Set<String> EMPLOYED =
            Set.of("works in", "works at", "works for", "is employed in", "is employed at");

    /** Participles that are not formed by adding an ending. */
    private static final Map<String, String> UNRULY = Stream.of(
                    ("bind:bound break:broken breed:bred bring:brought build:built burn:burnt buy:bought catch:caught"
                                    + " choose:chosen deal:dealt dig:dug do:done draw:drawn drive:driven eat:eaten feed:fed find:found"
                                    + " fly:flown freeze:frozen give:given grind:ground grow:grown hang:hung hear:heard hew:hewn"
                                    + " hide:hidden hold:held keep:kept know:known lay:laid lead:led learn:learnt leave:left lend:lent"
                                    + " lose:lost make:made meet:met mow:mown oversee:overseen pay:paid ride:ridden saw:sawn say:said"
                                    + " see:seen seek:sought sell:sold send:sent sew:sewn shoot:shot show:shown sing:sung sow:sown"
                                    + " speak:spoken spend:spent spin:spun steal:stolen sweep:swept take:taken teach:taught tear:torn"
                                    + " tell:told throw:thrown undertake:undertaken wear:worn weave:woven win:won wind:wound"
                                    + " withdraw:withdrawn write:written")
                            .split(" "))
            .map(each -> each.split(":"))
            .collect(Collectors.toUnmodifiableMap(each -> each[0], each -> each[1]));

    /** These are the same in all forms. */
    private static final Set<String> UNCHANGED =
            Set.of("read", "run", "put", "set", "cut", "let", "cast", "hit", "shut", "split", "spread");

    private Verbs() {}

    /** Whether one verb says from one side what the other says from the other; letter case does not count. */
    public static boolean areInverse(String one, String other) {
        String first = one.toLowerCase(Locale.ROOT);
        String second = other.toLowerCase(Locale.ROOT);
        return isInverse(first, second) || isInverse(second, first);
    }

    private static boolean isInverse(String active, String passive) {
        boolean holds = WHOLE.contains(active);
        if (holds && PART.contains(passive)
                || holds && !active.equals("owns") && PLACED.contains(passive)
                || active.equals("employs") && EMPLOYED.contains(passive)) {
            return true;
        }
        Matcher said = ACTIVE.matcher(active);
        Matcher suffered = PASSIVE.matcher(passive);
        return said.matches()
                && suffered.matches()
                && said.group(2).equals(suffered.group(2))
                && isParticiple(suffered.group(1), base(said.group(1)));
    }

    /** "Carries" is carry, and "teaches" teach. */
    private static String base(String thirdPerson) {
        if (thirdPerson.endsWith("ies")) {
            return thirdPerson.substring(0, thirdPerson.length() - 3) + "y";
        }
        boolean hissing = thirdPerson.matches(".*(?:x|ch|sh|ss|zz|o)es");
        return thirdPerson.endsWith("s")
                ? thirdPerson.substring(0, thirdPerson.length() - (hissing ? 2 : 1))
                : thirdPerson;
    }

    private static boolean isParticiple(String word, String base) {
        String unruly = UNCHANGED.contains(base) ? base : UNRULY.get(base);
        if (word.equals(unruly)) {
            return true; // "learned" is as good as "learnt"
        }
        String last = base.substring(base.length() - 1);
        return word.equals(base + "ed")
                || base.endsWith("e") && word.equals(base + "d")
                || base.endsWith("y") && word.equals(base.substring(0, base.length() - 1) + "ied")
                || word.equals(base + last + "ed");
    }
}
