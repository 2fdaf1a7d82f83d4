package ableschema.core.review;

import ableschema.core.design.Id;
import ableschema.core.finding.Finding;
import ableschema.core.finding.Place;
import ableschema.core.finding.Rule;
import ableschema.core.finding.Step;
import ableschema.core.mapping.Mapping;
import ableschema.core.schema.Part;
import ableschema.core.sql.Shortfalls;
import ableschema.core.sql.dialect.Ability;
import ableschema.core.sql.dialect.Shortfall;
import java.util.Comparator;
import java.util.List;
import java.util.function.Consumer;

/** What the chosen dialect cannot say of a table, and what stands instead; each is a comment in the script too. */
final class ShortfallFinder implements Finder.OfEach {

    static final Rule NOT_IN_DIALECT = Rule.advice(
                    Step.SQL,
                    "not-in-dialect",
                    "Not in the dialect",
                    "Not in {dialect}: {ability}. {remedy}.",
                    "What the database cannot hold is written as the nearest that it can, and said, so that nobody relies"
                            + " on more.")
            .counted("not in the dialect");

    @Override
    public List<Rule> rules() {
        return List.of(NOT_IN_DIALECT);
    }

    @Override
    public void find(Subject subject, Id owner, Consumer<Finding> found) {
        subject.table(owner).ifPresent(table -> Shortfalls.of(table, subject.schema(), subject.dialect()).stream()
                .filter(each -> each.ability() != Ability.LONG_NAMES) // a rule of its own says it
                .forEach(each -> found.accept(finding(subject.mapping(), each))));
    }

    static Finding finding(Mapping mapping, Shortfall shortfall) {
        return Finding.of(NOT_IN_DIALECT, Place.of(thing(mapping, shortfall.place())))
                .stating("dialect", shortfall.dialect())
                .stating("ability", shortfall.ability().words())
                .stating("remedy", shortfall.remedy());
    }

    /** The narrowest thing that people can choose and a part comes from; {@link Place#EVERYWHERE} for the whole schema. */
    private static Id thing(Mapping mapping, Part part) {
        return mapping.trace().things(List.of(part, new Part(part.table(), Part.Kind.TABLE, ""))).stream()
                .filter(mapping.physical()::knows)
                .min(Comparator.comparing((Id id) -> id.kind()).reversed())
                .orElse(Place.EVERYWHERE);
    }
}
