package ableschema.core.review;

import static java.util.stream.Collectors.joining;

import ableschema.core.design.Attribute;
import ableschema.core.design.ColumnRef;
import ableschema.core.design.Design;
import ableschema.core.design.EndRef;
import ableschema.core.design.Entity;
import ableschema.core.design.ForeignColumn;
import ableschema.core.design.Id;
import ableschema.core.design.KeyPart;
import ableschema.core.finding.Finding;
import ableschema.core.finding.Place;
import ableschema.core.finding.Remedy;
import ableschema.core.finding.Rule;
import ableschema.core.finding.Step;
import ableschema.core.keys.KeyCandidates;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.regex.Pattern;

/** Entities without a key, with what looks like one. */
final class KeyFinder implements Finder.OfEach {

    static final Rule NO_KEY = Rule.mustMend(
                    Step.KEYS,
                    "no-key",
                    "No key",
                    "{entity} has no key.",
                    "Without a key the database cannot tell two rows apart: one can be entered twice, none can be referred"
                            + " to, and none can be changed alone.")
            .counted("to choose");

    static final Rule CIRCLE = Rule.mustMend(
                    Step.KEYS,
                    "key-circle",
                    "Keys in a circle",
                    "{entity} takes its key from {target}, which takes its key from {entity} in turn.",
                    "Where each takes its key from the other neither has one, and no table can be made of either.")
            .counted("in a circle");
    static final Rule PART_ELSEWHERE = Rule.mustMend(
                    Step.KEYS,
                    "key-part-elsewhere",
                    "Part of a key elsewhere",
                    "{entity} takes its key from {target}, but refers to none.",
                    "The table of the other refers to this one, so that there is nothing here by which that part of the key"
                            + " could be told.")
            .counted("elsewhere");

    private static final int MOST = 2;
    private static final Pattern IDENTIFIER =
            Pattern.compile("(?:^|.* )(?:code|no|number|id|key|reference|isbn|ean|iban)", Pattern.CASE_INSENSITIVE);

    @Override
    public List<Rule> rules() {
        return List.of(NO_KEY, CIRCLE, PART_ELSEWHERE);
    }

    @Override
    public void find(Subject subject, Entity entity, Consumer<Finding> found) {
        if (!entity.body().key().isEmpty()) {
            findLed(subject, entity, found);
            return;
        }
        List<Attribute> alike = entity.body().attributes().stream()
                .filter(each -> !each.filling().isComputed() && looksLikeKey(entity, each))
                .limit(MOST)
                .toList();
        Finding finding = Finding.of(NO_KEY, Place.of(entity.id()))
                .naming("entity", entity.name())
                .withEvidence(alike.stream()
                        .map(each -> each.name() + " looks like one: " + evidence(entity, each))
                        .collect(joining("; ")));
        for (Attribute each : alike) {
            finding = finding.mendedBy(choosing(entity.id(), each));
        }
        found.accept(mendedByMaking(entity.id(), finding));
    }

    private static Finding mendedByMaking(Id entity, Finding finding) {
        return finding.mendedBy(Remedy.of(
                        "number them",
                        (design, ids, given) -> KeyCandidates.numbered(
                                design, design.entity(entity).orElseThrow(), ids)))
                .mendedBy(Remedy.of(
                        "give each a UUID",
                        (design, ids, given) -> KeyCandidates.withUuid(
                                design, design.entity(entity).orElseThrow(), ids)));
    }

    /** Parts of a key that lead through relationships, and come to nothing. */
    private static void findLed(Subject subject, Entity entity, Consumer<Finding> found) {
        Design design = subject.design();
        List<EndRef> references = design.referencesOf(entity.id());
        for (KeyPart part : entity.body().key()) {
            Optional<EndRef> end = part.through();
            Optional<Entity> target = end.flatMap(design::target);
            if (target.isEmpty()) {
                continue;
            }
            boolean elsewhere = !references.contains(end.get());
            if (elsewhere || isCut(subject, entity, end.get())) {
                Finding finding = Finding.of(
                                elsewhere ? PART_ELSEWHERE : CIRCLE,
                                new Place(entity.id(), Optional.empty(), List.of(part)))
                        .naming("entity", entity.name())
                        .naming("target", target.get().name());
                found.accept(mendedByMaking(entity.id(), finding));
            }
        }
    }

    /** Whether a column stands for a key that there is none of because its parts lead back here. */
    private static boolean isCut(Subject subject, Entity entity, EndRef end) {
        boolean keyed = subject.design()
                .target(end)
                .filter(target -> !target.body().key().isEmpty())
                .isPresent();
        return keyed
                && subject.table(entity.id())
                        .filter(table -> table.columns().stream().anyMatch(column -> subject.trace()
                                .ref(table, column)
                                .equals(new ForeignColumn(end, new ColumnRef.Keyless()))))
                        .isPresent();
    }

    private static Remedy choosing(Id entity, Attribute attribute) {
        return Remedy.of(
                "make " + attribute.name() + " the key",
                (design, ids, given) -> KeyCandidates.choosing(
                        design, design.entity(entity).orElseThrow(), List.of(attribute.ref()), ids));
    }

    private static boolean looksLikeKey(Entity entity, Attribute attribute) {
        boolean named = IDENTIFIER.matcher(attribute.name().replace('_', ' ')).matches();
        return (named || entity.body().isUnique(attribute)) && clashes(entity, attribute) == 0;
    }

    private static String evidence(Entity entity, Attribute attribute) {
        int rows = entity.body().rows().size();
        return rows > 1
                ? "unique in all " + rows + " rows"
                : entity.body().isUnique(attribute) ? "it is unique" : "so it is called";
    }

    /** How many rows are empty there or say what an earlier one has said. */
    private static long clashes(Entity entity, Attribute attribute) {
        var seen = new HashSet<String>();
        return entity.body().rows().stream()
                .map(row -> row.value(attribute.id()).orElse(""))
                .filter(value -> value.isEmpty() || !seen.add(value))
                .count();
    }
}
