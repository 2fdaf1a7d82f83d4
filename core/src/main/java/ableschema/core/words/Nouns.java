package ableschema.core.words;

import ableschema.core.design.Design;
import ableschema.core.design.Entity;
import ableschema.core.design.Plural;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/** Entities as nouns in sentences: one hive, many hives. */
public final class Nouns {

    private Nouns() {}

    /** The name as it stands within a sentence. */
    public static String inSentence(String name) {
        boolean capitalisedWord = name.length() > 1
                && Character.isUpperCase(name.charAt(0))
                && name.substring(1).equals(name.substring(1).toLowerCase(Locale.ROOT));
        return capitalisedWord ? name.toLowerCase(Locale.ROOT) : name;
    }

    /** The name of a new entity that a sentence speaks of: "Hive" for "hive". */
    static String asName(String noun) {
        int first = noun.offsetByCodePoints(0, 1);
        return noun.substring(0, first).toUpperCase(Locale.ROOT) + noun.substring(first);
    }

    /** The entity that a noun means, in the singular or plural, whatever its letter case. */
    static Optional<Entity> entity(Design design, String noun) {
        return design.entities().stream().filter(e -> means(noun, e.name())).findFirst();
    }

    /** The entity whose name a text begins with; of several the one with the longest name. */
    static Optional<Entity> leading(Design design, String text) {
        return design.entities().stream()
                .filter(e -> leadingLength(text, e.name()) > 0)
                .max(Comparator.comparingInt(e -> e.name().length()));
    }

    /** How many characters of the text say this name; 0 if it begins otherwise. */
    static int leadingLength(String text, String name) {
        for (String form : new String[] {Plural.of(name), name}) {
            boolean begins = text.regionMatches(true, 0, form, 0, form.length());
            if (begins && (text.length() == form.length() || !Character.isLetterOrDigit(text.charAt(form.length())))) {
                return form.length();
            }
        }
        return 0;
    }

    static boolean means(String noun, String name) {
        return noun.equalsIgnoreCase(name) || noun.equalsIgnoreCase(Plural.of(name));
    }

    /** The singulars that a plural may come from, the likeliest first; the noun itself where it is no plural. */
    static List<String> singulars(String noun) {
        var singulars = new ArrayList<String>();
        String lower = noun.toLowerCase(Locale.ROOT);
        if (lower.endsWith("ies")) {
            singulars.add(noun.substring(0, noun.length() - 3) + "y");
        }
        for (String ending : List.of("es", "s")) {
            if (lower.endsWith(ending)) {
                singulars.add(noun.substring(0, noun.length() - ending.length()));
            }
        }
        singulars.removeIf(
                singular -> singular.isBlank() || !Plural.of(singular).equalsIgnoreCase(noun));
        singulars.add(noun);
        return singulars;
    }
}
