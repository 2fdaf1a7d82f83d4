package ableschema.core.words;

import ableschema.core.words.Phrasing.ReadAs;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.Function;
import java.util.regex.Pattern;

/** Forms that a whole sentence may have, tried in their order, each with what a sentence of that form comes to. */
abstract class SentenceForms {

    /** Patterns are made once, as each sentence of a text is read with nouns of its own. */
    private static final Map<String, Words> COMPILED = new ConcurrentHashMap<>();

    private static final Pattern SENTENCE = Pattern.compile(
            " (?:has|have|is|are|that|which|who|can|may|must) |;(?![^(]*\\)| so | ?\\p{L}+ (?:by|as) )",
            Pattern.CASE_INSENSITIVE);

    private static final Pattern DEFINITION =
            Pattern.compile(" (?:(?:an?|the) .*|\\p{L}+(?: \\p{L}+)? (?:who|that|which) .*)", Pattern.CASE_INSENSITIVE);

    private static final Pattern AUXILIARY = Pattern.compile(
            " +(?:is|are|was|were|has|have|can|may|must)(?: not)?(?: (?:be|to be|come|lie|always|never))* +",
            Pattern.CASE_INSENSITIVE);

    /** Filled when a sentence is first held against them: most sentences of the grammar never are. */
    private final List<Form> forms = new ArrayList<>();

    private final Words words;

    /** @param words alternatives of which each form has one, so that most sentences need not be held against any */
    SentenceForms(String words) {
        this.words = COMPILED.computeIfAbsent("\\b(?:" + words + ")\\b", Words::of);
    }

    /** Adds all forms, by {@link #form}, in the order in which they are tried. */
    abstract void fill();

    private record Form(Words words, Function<Cut, Optional<Phrasing>> reading) {}

    private record Words(Pattern pattern, NecessaryText necessary) {

        static Words of(String pattern) {
            return new Words(
                    Pattern.compile(pattern + "\\s*\\.?", Pattern.CASE_INSENSITIVE), NecessaryText.of(pattern));
        }

        /** @param small the sentence in small letters, which are made once for all forms */
        Optional<Cut> cut(String sentence, String small) {
            return necessary.isIn(small) ? Cut.of(pattern, sentence) : Optional.empty();
        }
    }

    final Optional<Phrasing> of(String sentence) {
        if (!words.pattern().matcher(sentence).find()) {
            return Optional.empty();
        }
        if (forms.isEmpty()) {
            fill();
        }
        String small = sentence.toLowerCase(Locale.ROOT);
        for (Form form : forms) {
            Optional<Phrasing> found = form.words()
                    .cut(sentence, small)
                    .filter(SentenceForms::isOfPlainParts)
                    .flatMap(form.reading());
            if (found.isPresent()) {
                return found;
            }
        }
        return Optional.empty();
    }

    /** @param pattern of the whole sentence but its full stop, in any letter case */
    final void form(String pattern, Function<Cut, Optional<Phrasing>> reading) {
        forms.add(new Form(COMPILED.computeIfAbsent(pattern, Words::of), reading));
    }

    /** Whether no part holds another sentence. */
    private static boolean isOfPlainParts(Cut cut) {
        for (int i = 1; i <= cut.matcher().groupCount(); i++) {
            String part = " " + Quoted.masked(cut.group(i)) + " ";
            boolean auxiliary = AUXILIARY.matcher(part).matches();
            boolean definition = i == 2 && DEFINITION.matcher(part).matches();
            if (!auxiliary && !definition && SENTENCE.matcher(part).find()) {
                return false;
            }
        }
        return true;
    }

    static Optional<Phrasing> readAs(String... sentences) {
        return Optional.of(ReadAs.of(sentences));
    }

    static Optional<Phrasing> refused(String problem) {
        return Optional.of(new Phrasing.Refused(problem));
    }
}
