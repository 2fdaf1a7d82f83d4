package ableschema.core.words;

import ableschema.core.words.Phrasing.ReadAs;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.Function;
import java.util.regex.Pattern;

/** Forms that a whole sentence may have, tried in their order, each with what a sentence of that form comes to. */
abstract class SentenceForms {

    /** Patterns are made once, as each sentence of a text is read with nouns of its own. */
    private static final Map<String, Pattern> COMPILED = new ConcurrentHashMap<>();

    private static final Pattern SENTENCE =
            Pattern.compile(" (?:has|have|is|are|that|which|who|can|may|must) ", Pattern.CASE_INSENSITIVE);

    private static final Pattern DEFINITION =
            Pattern.compile(" (?:(?:an?|the) .*|\\p{L}+(?: \\p{L}+)? (?:who|that|which) .*)", Pattern.CASE_INSENSITIVE);

    private static final Pattern AUXILIARY = Pattern.compile(
            " +(?:is|are|was|were|has|have|can|may|must)(?: not)?(?: (?:be|to be|come|lie|always|never))* +",
            Pattern.CASE_INSENSITIVE);

    /** Filled when a sentence is first held against them: most sentences of the grammar never are. */
    private final List<Form> forms = new ArrayList<>();

    private final Pattern words;

    /** @param words alternatives of which each form has one, so that most sentences need not be held against any */
    SentenceForms(String words) {
        this.words = COMPILED.computeIfAbsent(
                words, each -> Pattern.compile("\\b(?:" + each + ")\\b", Pattern.CASE_INSENSITIVE));
    }

    /** Adds all forms, by {@link #form}, in the order in which they are tried. */
    abstract void fill();

    private record Form(Pattern pattern, Function<Cut, Optional<Phrasing>> reading) {}

    final Optional<Phrasing> of(String sentence) {
        if (!words.matcher(sentence).find()) {
            return Optional.empty();
        }
        if (forms.isEmpty()) {
            fill();
        }
        for (Form form : forms) {
            Optional<Phrasing> found = Cut.of(form.pattern(), sentence)
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
        forms.add(new Form(COMPILED.computeIfAbsent(pattern, SentenceForms::compiled), reading));
    }

    private static Pattern compiled(String pattern) {
        return Pattern.compile(pattern + "\\s*\\.?", Pattern.CASE_INSENSITIVE);
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
