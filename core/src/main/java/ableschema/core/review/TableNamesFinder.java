package ableschema.core.review;

import ableschema.core.design.Entity;
import ableschema.core.edit.Edits;
import ableschema.core.finding.Finding;
import ableschema.core.finding.Place;
import ableschema.core.finding.Remedy;
import ableschema.core.finding.Rule;
import ableschema.core.schema.Table;
import java.text.Normalizer;
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
        Map<String, Entity> seen = new HashMap<>();
        for (Entity each : subject.design().entities()) {
            if (each.pins().name().isEmpty()) { // two pinned alike are told where the tables are made
                Entity other = seen.putIfAbsent(letters(each.name()), each);
                if (other != null && name(subject, each).equals(name(subject, other))) {
                    found.accept(finding(subject, each, other));
                }
            }
        }
    }

    /** What is left of a name under every rule: names that differ here are not one anywhere. */
    private static String letters(String name) {
        var letters = new StringBuilder(name.length());
        boolean plain = true;
        for (int i = 0; i < name.length(); i++) {
            char c = Character.toLowerCase(name.charAt(i));
            plain &= c < 128;
            if (Character.isLetterOrDigit(c) || !plain) {
                letters.append(c);
            }
        }
        return plain
                ? letters.toString()
                : Normalizer.normalize(letters, Normalizer.Form.NFD).replaceAll("[^\\p{L}\\p{Nd}]", "");
    }

    private static String name(Subject subject, Entity entity) {
        return subject.folded(subject.document().rules().naming().style().of(entity.name()));
    }

    private static Finding finding(Subject subject, Entity entity, Entity other) {
        String table = subject.table(entity.id()).map(Table::name).orElse(entity.name());
        return Finding.of(NameFinder.ALIKE, Place.of(entity.id()))
                .naming("table", entity.name())
                .naming("column", table)
                .stating("one", other.name())
                .stating("other", entity.name())
                .mendedBy(new Remedy(
                        "call the second otherwise", "name", table.replace('_', ' '), (design, ids, given) -> new Edits(
                                        design, ids)
                                .rename(design.entity(entity.id()).orElseThrow(), given)));
    }
}
