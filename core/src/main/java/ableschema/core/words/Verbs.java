package ableschema.core.words;

import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

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

    /** Participles that are not formed by adding an ending. */
    private static final Map<String, String> UNRULY = Map.ofEntries(
            Map.entry("bring", "brought"),
            Map.entry("build", "built"),
            Map.entry("buy", "bought"),
            Map.entry("catch", "caught"),
            Map.entry("choose", "chosen"),
            Map.entry("do", "done"),
            Map.entry("draw", "drawn"),
            Map.entry("drive", "driven"),
            Map.entry("feed", "fed"),
            Map.entry("find", "found"),
            Map.entry("fly", "flown"),
            Map.entry("give", "given"),
            Map.entry("grow", "grown"),
            Map.entry("hold", "held"),
            Map.entry("keep", "kept"),
            Map.entry("know", "known"),
            Map.entry("lead", "led"),
            Map.entry("lend", "lent"),
            Map.entry("make", "made"),
            Map.entry("pay", "paid"),
            Map.entry("ride", "ridden"),
            Map.entry("see", "seen"),
            Map.entry("sell", "sold"),
            Map.entry("send", "sent"),
            Map.entry("show", "shown"),
            Map.entry("sing", "sung"),
            Map.entry("speak", "spoken"),
            Map.entry("take", "taken"),
            Map.entry("teach", "taught"),
            Map.entry("wear", "worn"),
            Map.entry("win", "won"),
            Map.entry("write", "written"));

    /** These are the same in all forms. */
    private static final Set<String> UNCHANGED = Set.of("read", "run", "put", "set", "cut", "let");

    private Verbs() {}

    /** Whether one verb says from one side what the other says from the other; letter case does not count. */
    public static boolean areInverse(String one, String other) {
        String first = one.toLowerCase(Locale.ROOT);
        String second = other.toLowerCase(Locale.ROOT);
        return isInverse(first, second) || isInverse(second, first);
    }

    private static boolean isInverse(String active, String passive) {
        if (WHOLE.contains(active) && PART.contains(passive)) {
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
        if (unruly != null) {
            return word.equals(unruly);
        }
        String last = base.substring(base.length() - 1);
        return word.equals(base + "ed")
                || base.endsWith("e") && word.equals(base + "d")
                || base.endsWith("y") && word.equals(base.substring(0, base.length() - 1) + "ied")
                || word.equals(base + last + "ed");
    }
}
