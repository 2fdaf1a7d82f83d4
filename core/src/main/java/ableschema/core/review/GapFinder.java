package ableschema.core.review;

import ableschema.core.finding.Finding;
import ableschema.core.finding.Place;
import ableschema.core.finding.Rule;
import ableschema.core.finding.Step;
import ableschema.core.mapping.Gap;
import java.util.List;
import java.util.function.Consumer;

/** What the design says and its tables do not have, as the mapping tells it. */
final class GapFinder implements Finder.OfWhole {

    static final Rule PINNED_NAME_TAKEN = Rule.mustMend(
            Step.SQL,
            "pinned-name-taken",
            "Name that was asked for is taken",
            "{text}.",
            "Whoever relies on the name finds something else under it.");
    static final Rule KEY_PART_ASIDE = Rule.mustMend(
            Step.KEYS,
            "key-part-aside",
            "Part of the key is set aside",
            "{text}.",
            "A key without one of its parts no longer tells rows apart, so that the table has none at all.");
    static final Rule RULE_WITHOUT_COLUMN = Rule.mustMend(
            Step.SQL,
            "rule-without-column",
            "Rule over a column that is not there",
            "{text}.",
            "The rule is held by nothing.");
    static final Rule NOT_IN_TABLES = Rule.advice(
            Step.SQL,
            "not-in-tables",
            "Not in the tables",
            "{text}.",
            "Kinds that share a table share its columns and its key; what is said of one kind alone is held by a check, or"
                    + " left to the application.");

    @Override
    public List<Rule> rules() {
        return List.of(PINNED_NAME_TAKEN, KEY_PART_ASIDE, RULE_WITHOUT_COLUMN, NOT_IN_TABLES);
    }

    @Override
    public void find(Subject subject, Consumer<Finding> found) {
        for (Gap gap : subject.mapping().gaps()) {
            String text =
                    Character.toUpperCase(gap.text().charAt(0)) + gap.text().substring(1);
            found.accept(Finding.of(rule(gap.kind()), Place.of(gap.thing())).stating("text", text));
        }
    }

    private static Rule rule(Gap.Kind kind) {
        return switch (kind) {
            case PINNED_NAME -> PINNED_NAME_TAKEN;
            case KEY_PART_ASIDE -> KEY_PART_ASIDE;
            case RULE_WITHOUT_COLUMN -> RULE_WITHOUT_COLUMN;
            case REFERENCE_TO_KIND, KIND_OF_TWO, DEFAULT_OF_KIND -> NOT_IN_TABLES;
        };
    }
}
