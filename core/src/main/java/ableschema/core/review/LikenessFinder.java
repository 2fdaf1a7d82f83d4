package ableschema.core.review;

import ableschema.core.design.Attribute;
import ableschema.core.design.Entity;
import ableschema.core.finding.Finding;
import ableschema.core.finding.Place;
import ableschema.core.finding.Rule;
import ableschema.core.finding.Step;
import ableschema.core.types.DataType;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Consumer;

/** Two attributes that go together, as a start and an end do, of which only one was changed. */
final class LikenessFinder implements Finder.OfEach {

    static final Rule PAIR_UNLIKE = Rule.advice(
            Step.DRAW,
            "pair-unlike-types",
            "Two of a pair, kept unlike",
            "{entity}: {column} is {type}, and {partner} is {other}.",
            "What is allowed in the one is refused or cut in the other; mostly one was changed, and the other forgotten.");

    private static final Set<Set<String>> PAIRS = Set.of(
            Set.of("start", "end"),
            Set.of("starts", "ends"),
            Set.of("started", "ended"),
            Set.of("begin", "end"),
            Set.of("begins", "ends"),
            Set.of("from", "to"),
            Set.of("from", "until"),
            Set.of("since", "until"),
            Set.of("first", "last"),
            Set.of("opened", "closed"),
            Set.of("opens", "closes"),
            Set.of("min", "max"),
            Set.of("minimum", "maximum"),
            Set.of("lowest", "highest"),
            Set.of("least", "most"),
            Set.of("lower", "upper"),
            Set.of("left", "right"),
            Set.of("old", "new"),
            Set.of("before", "after"),
            Set.of("arrived", "departed"),
            Set.of("arrival", "departure"),
            Set.of("home", "away"));

    @Override
    public List<Rule> rules() {
        return List.of(PAIR_UNLIKE);
    }

    @Override
    public void find(Subject subject, Entity entity, Consumer<Finding> found) {
        List<Attribute> attributes = entity.body().attributes();
        for (int i = 0; i < attributes.size(); i++) {
            for (int j = i + 1; j < attributes.size(); j++) {
                unlike(subject, entity, attributes.get(i), attributes.get(j)).ifPresent(found);
            }
        }
    }

    private static Optional<Finding> unlike(Subject subject, Entity entity, Attribute one, Attribute other) {
        boolean decided = !(one.type() instanceof DataType.Undecided) && !(other.type() instanceof DataType.Undecided);
        if (!decided || one.type().equals(other.type()) || !isPair(one.name(), other.name())) {
            return Optional.empty();
        }
        return Optional.of(
                Finding.of(PAIR_UNLIKE, new Place(entity.id(), Optional.empty(), List.of(one.ref(), other.ref())))
                        .naming("entity", entity.name())
                        .naming("column", one.name())
                        .naming("partner", other.name())
                        .stating("type", subject.design().inWords(one.type()))
                        .stating("other", subject.design().inWords(other.type()))
                        .mendedBy(UndecidedFinder.retyped(other.id(), one.type()))
                        .mendedBy(UndecidedFinder.retyped(one.id(), other.type())));
    }

    /** Whether two names are the same but for one word, and that word is one of a pair. */
    private static boolean isPair(String one, String other) {
        List<String> words = words(one);
        List<String> others = words(other);
        if (words.size() != others.size()) {
            return false;
        }
        Map.Entry<String, String> different = null;
        for (int i = 0; i < words.size(); i++) {
            if (!words.get(i).equals(others.get(i))) {
                if (different != null) {
                    return false;
                }
                different = Map.entry(words.get(i), others.get(i));
            }
        }
        return different != null
                && !different.getKey().equals(different.getValue())
                && PAIRS.contains(Set.of(different.getKey(), different.getValue()));
    }

    private static List<String> words(String name) {
        return Arrays.asList(name.toLowerCase(Locale.ROOT).split("[ _-]+"));
    }
}
