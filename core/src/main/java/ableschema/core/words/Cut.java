package ableschema.core.words;

import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** A sentence cut by a pattern, to which what stands between quotes is blotted out; the parts have their quotes again. */
record Cut(String text, Matcher matcher) {

    /** Empty where the whole sentence is not of this form. */
    static Optional<Cut> of(Pattern pattern, String text) {
        Matcher matcher = pattern.matcher(Quoted.masked(text));
        return matcher.matches() ? Optional.of(new Cut(text, matcher)) : Optional.empty();
    }

    String group(int group) {
        return matcher.start(group) < 0 ? "" : text.substring(matcher.start(group), matcher.end(group));
    }
}
