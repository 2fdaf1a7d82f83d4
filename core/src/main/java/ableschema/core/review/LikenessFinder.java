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
import java.util.Optional;
import java.util.Set;
import java.util.function.Consumer;
import java.util.stream.Collectors;

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

    private static final Set<String> WORDS =
            PAIRS.stream().flatMap(Set::stream).collect(Collectors.toUnmodifiableSet());

    @Override
    public List<Rule> rules() {
        return List.of(PAIR_UNLIKE);
    }

    @Override
    public void find(Subject subject, Entity entity, Consumer<Finding> found) {
        List<Named> named = entity.body().attributes().stream()
                .filter(each -> !(each.type() instanceof DataType.Undecided))
                .map(Named::of)
                .filter(Named::isOfPair)
                .toList();
        for (int i = 0; i < named.size(); i++) {
            for (int j = i + 1; j < named.size(); j++) {
                if (named.get(i).isPairedWith(named.get(j))) {
                    unlike(
                                    subject,
                                    entity,
                                    named.get(i).attribute(),
                                    named.get(j).attribute())
                            .ifPresent(found);
                }
            }
        }
    }

    private record Named(Attribute attribute, List<String> words) {

        static Named of(Attribute attribute) {
            return new Named(
                    attribute,
                    Arrays.asList(attribute.name().toLowerCase(Locale.ROOT).split("[ _-]+")));
        }

        /** Nearly all attributes have no such word, and need not be compared. */
        boolean isOfPair() {
            return words.stream().anyMatch(WORDS::contains);
        }

        /** Whether both names are the same but for one word, and that word is one of a pair. */
        boolean isPairedWith(Named other) {
            Optional<Set<String>> different = Optional.empty();
            for (int i = 0; i < words.size() && words.size() == other.words.size(); i++) {
                if (!words.get(i).equals(other.words.get(i))) {
                    if (different.isPresent()) {
                        return false;
                    }
                    different = Optional.of(Set.of(words.get(i), other.words.get(i)));
                }
            }
            return different.filter(PAIRS::contains).isPresent();
        }
    }

    private static Optional<Finding> unlike(Subject subject, Entity entity, Attribute one, Attribute other) {
        if (one.type().equals(other.type())) {
            return Optional.empty();
        }
        Finding finding = Finding.of(
                        PAIR_UNLIKE, new Place(entity.id(), Optional.empty(), List.of(one.ref(), other.ref())))
                .naming("entity", entity.name())
                .naming("column", one.name())
                .naming("partner", other.name())
                .stating("type", subject.design().inWords(one.type()))
                .stating("other", subject.design().inWords(other.type()));
        Finding mended = Retyping.offered(finding, subject.design(), other, one.type(), other.name());
        return Optional.of(Retyping.offered(mended, subject.design(), one, other.type(), one.name()));
    }
}
