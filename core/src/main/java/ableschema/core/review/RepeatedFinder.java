package ableschema.core.review;

import static java.util.stream.Collectors.joining;

import ableschema.core.design.Attribute;
import ableschema.core.design.Body;
import ableschema.core.design.Entity;
import ableschema.core.design.FreeName;
import ableschema.core.design.Id;
import ableschema.core.design.KeyPart;
import ableschema.core.edit.SplitRepeated;
import ableschema.core.finding.Finding;
import ableschema.core.finding.Place;
import ableschema.core.finding.Remedy;
import ableschema.core.finding.Rule;
import ableschema.core.finding.Step;
import ableschema.core.types.DataType;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Numbered attributes that hold one fact several times: jar size 1, jar size 2. */
final class RepeatedFinder implements Finder.OfEach {

    static final Rule REPEATED = Rule.mustMend(
            Step.FORMS,
            "repeated-columns",
            "Several columns for one fact",
            "{entity}: {columns} repeat one fact.",
            "One more has no place, those that are fewer leave holes, and a question about one must look in every place.");

    private static final Pattern NUMBERED = Pattern.compile("(.*?\\p{L})[ _-]?(\\d{1,2})");

    @Override
    public List<Rule> rules() {
        return List.of(REPEATED);
    }

    @Override
    public void find(Subject subject, Entity entity, Consumer<Finding> found) {
        groups(entity.body()).forEach((stem, group) -> {
            if (group.size() > 1) {
                found.accept(finding(subject, entity, stem, group));
            }
        });
    }

    /** Numbered attributes of one sort by their name without the number; what is in a key tells rows apart and repeats nothing. */
    private static Map<String, List<Attribute>> groups(Body body) {
        Map<String, List<Attribute>> groups = new LinkedHashMap<>();
        for (Attribute each : body.attributes()) {
            Matcher matcher = NUMBERED.matcher(each.name());
            if (matcher.matches() && !body.key().contains(each.ref())) {
                String stem = matcher.group(1).toLowerCase(Locale.ROOT);
                List<Attribute> group = groups.computeIfAbsent(stem, any -> new ArrayList<>());
                if (group.isEmpty() || isLike(group.get(0).type(), each.type())) {
                    group.add(each);
                }
            }
        }
        return groups;
    }

    private static boolean isLike(DataType one, DataType other) {
        return one instanceof DataType.Simple || one instanceof DataType.InDomain
                ? one.equals(other)
                : one.getClass() == other.getClass();
    }

    private static Finding finding(Subject subject, Entity entity, String stem, List<Attribute> group) {
        List<Id> ids = group.stream().map(Attribute::id).toList();
        long cells = (long) entity.body().rows().size() * group.size();
        long empty = entity.body().rows().stream()
                .mapToLong(row ->
                        ids.stream().filter(id -> row.value(id).isEmpty()).count())
                .sum();
        String next = group.size() == 2 ? "a third has no place" : "one more has no place";
        Finding finding = Finding.of(
                        REPEATED,
                        new Place(
                                entity.id(),
                                Optional.empty(),
                                group.stream()
                                        .map(Attribute::ref)
                                        .<KeyPart>map(ref -> ref)
                                        .toList()))
                .naming("entity", entity.name())
                .naming("columns", group.stream().map(Attribute::name).collect(joining(", ")))
                .withEvidence(cells == 0 ? next : next + ", " + empty + " of " + cells + " are empty");
        boolean keyed = !entity.body().key().isEmpty();
        return keyed
                ? finding.mendedBy(new Remedy(
                        "give them a table of their own",
                        "name",
                        entity.name() + " " + stem,
                        (design, idSource, given) -> SplitRepeated.of(
                                design,
                                design.entity(entity.id()).orElseThrow(),
                                ids,
                                stem,
                                FreeName.of(given, name -> design.entity(name).isPresent()),
                                idSource)))
                : finding;
    }
}
