package ableschema.core.difference;

import java.util.ArrayList;
import java.util.Collections;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;

/**
 * One thing in which two states differ.
 *
 * @param place  what it is, such as {@code hive.colour}
 * @param before what is said of it in the first; empty where the first does not have it
 * @param after  what is said of it in the second; empty where the second does not have it
 */
public record Difference(String place, Optional<String> before, Optional<String> after) {

    /** The difference in words. */
    public String inWords() {
        if (before.isEmpty()) {
            return place + " is only in the second: " + after.orElse("");
        }
        return after.map(now -> place + " is " + before.get() + " in the first and " + now + " in the second")
                .orElseGet(() -> place + " is only in the first: " + before.get());
    }

    @Override
    public String toString() {
        return inWords();
    }

    /** Compares what is said of each place; where several things have one place, those that are alike go together. */
    public static List<Difference> between(Map<String, List<String>> first, Map<String, List<String>> second) {
        var places = new LinkedHashSet<>(first.keySet());
        places.addAll(second.keySet());
        return places.stream()
                .flatMap(place ->
                        of(place, first.getOrDefault(place, List.of()), second.getOrDefault(place, List.of())).stream())
                .collect(Collectors.toList());
    }

    private static List<Difference> of(String place, List<String> first, List<String> second) {
        if (first.equals(second)) {
            return List.of();
        }
        List<String> before = without(first, second);
        List<String> after = without(second, first);
        var differences = new ArrayList<Difference>();
        for (int i = 0; i < Math.max(before.size(), after.size()); i++) {
            differences.add(new Difference(place, at(before, i), at(after, i)));
        }
        return differences;
    }

    private static Optional<String> at(List<String> list, int place) {
        return place < list.size() ? Optional.of(list.get(place)) : Optional.empty();
    }

    private static List<String> without(List<String> list, List<String> taken) {
        var rest = new ArrayList<>(list);
        taken.forEach(rest::remove);
        Collections.sort(rest);
        return rest;
    }
}
