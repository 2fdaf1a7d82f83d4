package ableschema.core.design;

import org.atteo.evo.inflector.English;

/** The plural of English phrases. */
public final class Plural {

    private Plural() {}

    /** Returns the phrase with its last word in the plural: "forage plants". */
    public static String of(String phrase) {
        int space = phrase.lastIndexOf(' ') + 1;
        String last = phrase.substring(space);
        return last.isEmpty() ? phrase : phrase.substring(0, space) + English.plural(last);
    }
}
