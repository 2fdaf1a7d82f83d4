package ableschema.core.review;

import ableschema.core.design.Entity;
import ableschema.core.edit.Edits;
import ableschema.core.finding.Finding;
import ableschema.core.finding.Place;
import ableschema.core.finding.Remedy;
import ableschema.core.finding.Rule;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Consumer;

/** Entities whose names are one to a database. */
final class TableNamesFinder implements Finder.OfWhole {

    @Override
    public List<Rule> rules() {
        return List.of();
    }

    @Override
    public void find(Subject subject, Consumer<Finding> found) {
        var rules = subject.document().rules().naming();
        Map<String, Entity> seen = new HashMap<>();
        for (Entity each : subject.design().entities()) {
            if (!each.pins().name().isEmpty()) {
                continue; // two pinned alike are told where the tables are made
            }
            String name = rules.style().of(each.name());
            Entity other = seen.putIfAbsent(subject.folded(name), each);
            if (other != null) {
                String table = subject.table(each.id()).map(t -> t.name()).orElse(name);
                found.accept(Finding.of(NameFinder.ALIKE, Place.of(each.id()))
                        .naming("table", each.name())
                        .naming("column", table)
                        .stating("one", other.name())
                        .stating("other", each.name())
                        .mendedBy(new Remedy(
                                "call the second otherwise",
                                "name",
                                table.replace('_', ' '),
                                (design, ids, given) -> new Edits(design, ids)
                                        .rename(design.entity(each.id()).orElseThrow(), given))));
            }
        }
    }
}
