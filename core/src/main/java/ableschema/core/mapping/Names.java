package ableschema.core.mapping;

import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.Iterator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.zip.CRC32;

/**
 * Keeps the physical names of one space apart, whatever their letter case. A name that the rules give is at most 63 bytes of
 * UTF-8, the least that the dialects take, so that names are the same everywhere, and gives way to names that are pinned; a
 * pinned name stands as it is.
 */
final class Names {

    private static final int LONGEST = 63;

    private final boolean repeating;
    private final Set<String> taken = new HashSet<>();
    private final Set<String> reserved = new HashSet<>();
    private final List<Given> given = new ArrayList<>();
    private Optional<Iterator<Given>> earlier = Optional.empty();
    private boolean strayed;

    Names() {
        this(false);
    }

    /** @param repeating whether one name may be pinned more than once, since the things are of different kinds */
    Names(boolean repeating) {
        this.repeating = repeating;
    }

    /** What was wanted, whether it was pinned, and the name that was given for it. */
    record Given(String wanted, boolean pinned, String name) {
        /** Whether a pinned name could not be had. */
        boolean isRefused() {
            return pinned && !name.equals(wanted);
        }
    }

    /** Gives the names of before, as long as the same are wanted in the same order. */
    static Names again(List<Given> before) {
        var names = new Names();
        names.earlier = Optional.of(before.iterator());
        return names;
    }

    /** Whether something else was wanted than before, so that the names given are none. */
    boolean strayed() {
        return strayed || earlier.filter(Iterator::hasNext).isPresent();
    }

    private String again(String wanted, boolean pinned, Iterator<Given> before) {
        Given next = before.hasNext() ? before.next() : new Given("", pinned, "");
        strayed |= !next.wanted().equals(wanted) || next.pinned() != pinned;
        given.add(next);
        return next.name();
    }

    /** Holds a pinned name free for the one that will ask for it; an empty one holds nothing. */
    void reserve(String pinned) {
        if (!pinned.isEmpty()) {
            reserved.add(key(pinned));
        }
    }

    /** All that was given since this was last asked. */
    List<Given> givenSince() {
        List<Given> since = List.copyOf(given);
        given.clear();
        return since;
    }

    /** Gives the same names again; says whether they were all still free. */
    boolean giveAgain(List<Given> names) {
        return names.stream()
                .allMatch(each -> (each.pinned() ? pinned(each.wanted()) : free(each.wanted())).equals(each.name()));
    }

    /** The pinned name, if there is one, else the wanted one as {@link #free} gives it. */
    String pinnedOr(String pinned, String wanted) {
        return pinned.isEmpty() ? free(wanted) : pinned(pinned);
    }

    private String pinned(String wanted) {
        if (earlier.isPresent()) {
            return again(wanted, true, earlier.get());
        }
        String name = wanted;
        for (int number = 2; !taken.add(key(name)) && !repeating; number++) {
            name = wanted + "_" + number;
        }
        given.add(new Given(wanted, true, name));
        return name;
    }

    /** Returns the name, shortened if it is too long and numbered if it is taken. */
    String free(String wanted) {
        if (earlier.isPresent()) {
            return again(wanted, false, earlier.get());
        }
        String name = fitting(wanted.isEmpty() ? "unnamed" : wanted, LONGEST);
        String free = name;
        String key = key(free);
        for (int number = 2; reserved.contains(key) || !taken.add(key); number++) {
            String ending = "_" + number;
            free = cut(name, LONGEST - ending.length()) + ending;
            key = key(free);
        }
        given.add(new Given(wanted, false, free));
        return free;
    }

    private static String key(String name) {
        return name.toLowerCase(Locale.ROOT);
    }

    /** A long name keeps its beginning and gets a mark of the whole, so that two long names stay two. */
    private static String fitting(String name, int longest) {
        if (name.length() * 3 <= longest || bytes(name) <= longest) {
            return name;
        }
        var whole = new CRC32();
        whole.update(name.getBytes(StandardCharsets.UTF_8));
        String mark = "_" + Long.toString(whole.getValue(), 36);
        return cut(name, longest - mark.length()) + mark;
    }

    private static String cut(String name, int longest) {
        var kept = new StringBuilder();
        int used = 0;
        for (int at = 0; at < name.length(); at = name.offsetByCodePoints(at, 1)) {
            String character = name.substring(at, name.offsetByCodePoints(at, 1));
            used += bytes(character);
            if (used > longest) {
                break;
            }
            kept.append(character);
        }
        return kept.toString();
    }

    private static int bytes(String text) {
        return text.getBytes(StandardCharsets.UTF_8).length;
    }
}
