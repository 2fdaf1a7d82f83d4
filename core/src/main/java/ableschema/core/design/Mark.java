package ableschema.core.design;

import java.util.List;
import java.util.Locale;
import java.util.Optional;

/** What a designer says of an attribute's values that their type does not tell. */
public enum Mark {
    /** An amount of money, whose sums must be exact. */
    MONEY,
    /** A measured amount. */
    MEASURED,
    /** Digits or letters by which something is called, and with which nobody reckons. */
    CODE,
    /** The address of something elsewhere. */
    LINK,
    /** It says something about a person that not everybody may see. */
    PERSONAL,
    /** Nobody may read it. */
    SECRET;

    /** The mark that is called so in words and files. */
    public static Optional<Mark> named(String text) {
        return List.of(values()).stream()
                .filter(mark -> mark.toString().equals(text))
                .findFirst();
    }

    @Override
    public String toString() {
        return name().toLowerCase(Locale.ROOT);
    }
}
