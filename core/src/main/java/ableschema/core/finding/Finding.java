package ableschema.core.finding;

import static java.util.Objects.requireNonNull;

import ableschema.core.design.Lists;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * One thing that there is to say about a design: its rule, its place, and what was found there.
 *
 * @param names    what things are called, for the sentence only
 * @param facts    what was found; while these stay the same it is the same finding
 * @param evidence one more line, such as "unique in all 32 rows"; empty for none
 * @param remedies ways to mend it, the advised one first
 */
public record Finding(
        Rule rule,
        Place place,
        Map<String, String> names,
        Map<String, String> facts,
        String evidence,
        List<Remedy> remedies) {

    private static final Pattern WORD = Pattern.compile("\\{(\\w+)}");

    public Finding {
        requireNonNull(evidence, "evidence");
        names = Collections.unmodifiableMap(new TreeMap<>(names));
        facts = Collections.unmodifiableMap(new TreeMap<>(facts));
        remedies = List.copyOf(remedies);
    }

    public static Finding of(Rule rule, Place place) {
        return new Finding(rule, place, Map.of(), Map.of(), "", List.of());
    }

    /** Returns this finding with what something is called. */
    public Finding naming(String word, String name) {
        return new Finding(rule, place, with(names, word, name), facts, evidence, remedies);
    }

    /** Returns this finding with something that was found. */
    public Finding stating(String word, String fact) {
        return new Finding(rule, place, names, with(facts, word, fact), evidence, remedies);
    }

    public Finding withEvidence(String evidence) {
        return new Finding(rule, place, names, facts, evidence, remedies);
    }

    /** Returns this finding with one more way to mend it. */
    public Finding mendedBy(Remedy remedy) {
        return new Finding(rule, place, names, facts, evidence, Lists.plus(remedies, remedy));
    }

    private static Map<String, String> with(Map<String, String> map, String key, String value) {
        var changed = new TreeMap<>(map);
        changed.put(key, value);
        return changed;
    }

    public Severity severity() {
        return rule.severity();
    }

    public Step step() {
        return rule.step();
    }

    /** The finding in a sentence. */
    public String text() {
        return WORD.matcher(rule.sentence())
                .replaceAll(match -> Matcher.quoteReplacement(
                        names.getOrDefault(match.group(1), facts.getOrDefault(match.group(1), "?"))));
    }
}
