package ableschema.core.review;

import static java.util.stream.Collectors.joining;

import ableschema.core.carried.Carried;
import ableschema.core.ddl.CarriedText;
import ableschema.core.design.Design;
import ableschema.core.design.Kept;
import ableschema.core.design.Kept.Use;
import ableschema.core.document.Edit;
import ableschema.core.edit.ChangeNotes;
import ableschema.core.finding.Finding;
import ableschema.core.finding.Place;
import ableschema.core.finding.Remedy;
import ableschema.core.finding.Rule;
import ableschema.core.finding.Step;
import ableschema.core.mapping.Mapping;
import ableschema.core.schema.Table;
import ableschema.core.sql.dialect.Dialect;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;

/** Statements carried along that speak of tables and columns by names which these do not have any more. */
final class CarriedFinder implements Finder.OfWhole {

    static final Rule CARRIED_OUTDATED = Rule.mustMend(
            Step.SQL,
            "carried-outdated",
            "View or routine that speaks of what is not there",
            "The {statement} speaks of {names}.",
            "It is carried along as it was found, and the database refuses it, or fails later, where it names what is not there.");

    @Override
    public List<Rule> rules() {
        return List.of(CARRIED_OUTDATED);
    }

    @Override
    public void find(Subject subject, Consumer<Finding> found) {
        for (Kept each : subject.design().notes().kept()) {
            if (subject.dialect().writes(each.statement())) {
                List<Use> outdated = each.uses().stream()
                        .filter(use -> !name(subject.mapping(), use).equals(Optional.of(use.name())))
                        .toList();
                if (!outdated.isEmpty()) {
                    found.accept(finding(subject, each, outdated));
                }
            }
        }
    }

    /** What a use is called now; empty where it is gone. */
    private static Optional<String> name(Mapping mapping, Use use) {
        Optional<Table> table = mapping.trace().tableOf(use.owner());
        return use.column().isEmpty()
                ? table.map(Table::name)
                : table.flatMap(
                        its -> mapping.trace().of(its).columnOf(use.column().get()));
    }

    private static Finding finding(Subject subject, Kept kept, List<Use> outdated) {
        String names = outdated.stream()
                .map(use -> use.name()
                        + name(subject.mapping(), use)
                                .map(now -> ", which is called " + now + " now")
                                .orElse(", which is gone"))
                .distinct()
                .collect(joining("; and of "));
        Place place = outdated.stream()
                .map(Use::owner)
                .filter(subject.design()::knows)
                .findFirst()
                .map(Place::of)
                .orElse(Place.of(Place.EVERYWHERE));
        Finding finding = Finding.of(CARRIED_OUTDATED, place)
                .naming("statement", kept.statement().label())
                .stating("names", names);
        Optional<Kept> renewed = renewed(subject.mapping(), subject.dialect(), kept, outdated);
        if (renewed.isPresent()) {
            finding = finding.mendedBy(Remedy.of(
                    "put the present names in", (design, ids, given) -> changed(design, kept, renewed.get())));
        }
        return finding.mendedBy(Remedy.of("carry it along no more", (design, ids, given) -> without(design, kept)));
    }

    /** The statement with the present names; empty where one is gone, or may mean something else in it. */
    private static Optional<Kept> renewed(Mapping mapping, Dialect dialect, Kept kept, List<Use> outdated) {
        Carried statement = kept.statement();
        String name = statement.name();
        String sql = statement.sql();
        for (Use use : outdated) {
            Optional<String> now = name(mapping, use);
            boolean once = kept.uses().stream()
                            .filter(other ->
                                    CarriedText.key(other.name(), dialect).equals(CarriedText.key(use.name(), dialect)))
                            .count()
                    == 1;
            if (now.isEmpty() || !once) {
                return Optional.empty();
            }
            sql = CarriedText.renamed(sql, use.name(), now.get(), dialect);
            name = CarriedText.renamed(name, use.name(), now.get(), dialect);
        }
        var uses = new ArrayList<Use>();
        kept.uses()
                .forEach(use -> uses.add(
                        new Use(use.owner(), use.column(), name(mapping, use).orElse(use.name()))));
        return Optional.of(new Kept(statement.renamed(name, sql), uses));
    }

    private static Edit changed(Design design, Kept kept, Kept renewed) {
        List<Kept> all = design.notes().kept().stream()
                .map(each -> each.equals(kept) ? renewed : each)
                .toList();
        return new ChangeNotes(
                design.notes().withKept(all),
                "Put the present names in the " + kept.statement().label());
    }

    private static Edit without(Design design, Kept kept) {
        List<Kept> rest = design.notes().kept().stream()
                .filter(each -> !each.equals(kept))
                .toList();
        return new ChangeNotes(
                design.notes().withKept(rest), "Carry the " + kept.statement().label() + " along no more");
    }
}
