package ableschema.core.design;

import java.util.function.Predicate;

/** A name that nothing is called yet: where it is taken, it gets a number. */
public final class FreeName {

    private FreeName() {}

    /** The name itself, or the first of "name 2", "name 3", … that is not taken. */
    public static String of(String name, Predicate<String> taken) {
        String free = name;
        for (int i = 2; taken.test(free); i++) {
            free = name + " " + i;
        }
        return free;
    }
}
