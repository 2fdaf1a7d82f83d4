package ableschema.core.design;

import java.util.ArrayList;
import java.util.List;
import java.util.function.Function;

/** Changed copies of lists whose order is the designer's. */
public final class Lists {

    private Lists() {}

    public static <T> List<T> plus(List<T> list, T added) {
        var copy = new ArrayList<>(list);
        copy.add(added);
        return copy;
    }

    /** One list behind the other. */
    public static <T> List<T> concat(List<T> first, List<T> second) {
        var all = new ArrayList<T>(first);
        all.addAll(second);
        return List.copyOf(all);
    }

    /** Returns the list with the element that has the same key replaced in its place. */
    public static <T> List<T> replace(List<T> list, Function<T, ?> key, T replacement) {
        return list.stream()
                .map(each -> key.apply(each).equals(key.apply(replacement)) ? replacement : each)
                .toList();
    }

    /** Returns the list with one element moved to another place, counted after it has been taken out. */
    public static <T> List<T> moved(List<T> list, T element, int to) {
        var copy = new ArrayList<>(list);
        copy.remove(element);
        copy.add(Math.max(0, Math.min(to, copy.size())), element);
        return copy;
    }
}
