package ableschema.core.finding;

import ableschema.core.document.Edit;
import java.util.Collections;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** One thing that there is to say about a design: its rule, place and facts, and a remedy where one exists. */
public record Finding(Rule rule, Place place, Map<String, String> facts, Optional<Edit> remedy) {

    private static final Pattern FACT = Pattern.compile("\\{(\\w+)}");

    public Finding {
        facts = Collections.unmodifiableMap(new TreeMap<>(facts));
    }

    public Severity severity() {
        return rule.severity();
    }

    /** The finding in a sentence. */
    public String text() {
        return FACT.matcher(rule.sentence())
                .replaceAll(match -> Matcher.quoteReplacement(facts.getOrDefault(match.group(1), "?")));
    }
}
