package ableschema.core.words;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Set;

/**
 * What no text can be without that a pattern fits: one of a few pieces, found in the pattern itself. A sentence is held against a
 * hundred patterns, and a look for a word tells of most of them much sooner that they do not fit.
 */
final class NecessaryText {

    /** In small letters; empty where nothing is necessary. */
    private final List<String> pieces;

    private NecessaryText(Set<String> pieces) {
        this.pieces = List.copyOf(pieces);
    }

    /** @param pattern in the notation of {@link java.util.regex.Pattern}, in any letter case */
    static NecessaryText of(String pattern) {
        return new NecessaryText(new Walk(pattern.toLowerCase(Locale.ROOT)).alternatives());
    }

    /** Whether a text, in small letters, holds what is necessary. */
    boolean isIn(String small) {
        for (String each : pieces) {
            if (small.contains(each)) {
                return true;
            }
        }
        return pieces.isEmpty();
    }

    /** Walks over a pattern; what it does not know it takes for something that may be any text. */
    private static final class Walk {

        private static final String ENDS = "|)";
        private static final String OPTIONAL = "?*{";

        private final String pattern;
        private int at;

        Walk(String pattern) {
            this.pattern = pattern;
        }

        /** What is necessary for each of the alternatives, up to the end or the bracket that closes them. */
        Set<String> alternatives() {
            var all = new HashSet<String>();
            boolean free = false;
            boolean more = true;
            while (more) {
                Set<String> one = sequence();
                free |= one.isEmpty();
                all.addAll(one);
                more = at < pattern.length() && pattern.charAt(at) == '|';
                at += more ? 1 : 0;
            }
            return free ? Set.of() : all;
        }

        /** The piece, or pieces, by which a sequence is told best: the longest, and of these the fewest. */
        private Set<String> sequence() {
            var found = new ArrayList<Set<String>>();
            var run = new StringBuilder();
            while (at < pattern.length() && ENDS.indexOf(pattern.charAt(at)) < 0) {
                char c = pattern.charAt(at);
                boolean plain = Character.isLetter(c) || c == ' ' || c == '\'' || c == '-' || c == ',';
                if (plain && !isOptional(at + 1)) {
                    run.append(c);
                    at++;
                } else {
                    take(run, found);
                    other(c, found);
                }
            }
            take(run, found);
            return found.stream()
                    .filter(each -> !each.isEmpty())
                    .max(Comparator.<Set<String>>comparingInt(NecessaryText::shortest)
                            .thenComparingInt(each -> -each.size()))
                    .orElse(Set.of());
        }

        /** A group, a class of characters, or anything else, with how often it may stand there. */
        private void other(char c, List<Set<String>> found) {
            Set<String> group = Set.of();
            if (c == '(') {
                boolean looking = pattern.startsWith("(?", at) && !pattern.startsWith("(?:", at);
                at += pattern.startsWith("(?:", at) ? 3 : 1;
                Set<String> inside = alternatives();
                group = looking ? Set.of() : inside;
                at++;
            } else if (c == '[') {
                at = pattern.indexOf(']', at + 2) + 1;
            } else if (c == '\\') {
                at += pattern.startsWith("p{", at + 1) ? pattern.indexOf('}', at) + 1 - at : 2;
            } else {
                at++;
            }
            if (!isOptional(at)) {
                found.add(group);
            }
            skipTimes();
        }

        private boolean isOptional(int place) {
            return place < pattern.length() && OPTIONAL.indexOf(pattern.charAt(place)) >= 0;
        }

        private void skipTimes() {
            if (at < pattern.length() && pattern.charAt(at) == '{') {
                at = pattern.indexOf('}', at) + 1;
            }
            while (at < pattern.length() && "?*+".indexOf(pattern.charAt(at)) >= 0) {
                at++;
            }
        }

        private static void take(StringBuilder run, List<Set<String>> found) {
            String piece = run.toString().strip();
            if (!piece.isEmpty()) {
                found.add(Set.of(piece));
            }
            run.setLength(0);
        }
    }

    private static int shortest(Set<String> pieces) {
        return pieces.stream().mapToInt(String::length).min().orElse(0);
    }
}
