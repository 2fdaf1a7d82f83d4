package ableschema.core.edit;

import ableschema.core.design.Entity;
import ableschema.core.design.FreeName;
import ableschema.core.design.Id;
import ableschema.core.document.Diagram;
import ableschema.core.document.Document;
import ableschema.core.mapping.Mapping;
import ableschema.core.schema.Table;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;

/**
 * A large design as several part-pictures, by what its tables tell: the schemas that they stand in, else the beginnings of their
 * names, else the neighbourhoods that the picture of the whole is divided into.
 *
 * @param by    what divides them, in a word
 * @param parts the entities of each picture, by its name
 */
public record PartPictures(String by, Map<String, List<Id>> parts) {

    /** From so many entities on a design is looked at in parts. */
    public static final int FROM = 60;

    private static final int FEWEST = 3;
    private static final int FEWEST_PARTS = 2;

    public PartPictures {
        parts = new LinkedHashMap<>(parts);
    }

    /** What is proposed for a design; empty for a small one, and for one of which nothing tells the parts. */
    public static Optional<PartPictures> of(Document document, Mapping mapping) {
        if (document.design().entities().size() <= FROM) {
            return Optional.empty();
        }
        return by("schema", document, mapping, Table::namespace)
                .or(() -> by("name", document, mapping, table -> beginning(table.name())))
                .or(() -> byDistrict(document));
    }

    private static Optional<PartPictures> by(
            String what, Document document, Mapping mapping, Function<Table, String> of) {
        Map<String, List<Id>> parts = new LinkedHashMap<>();
        for (Entity each : document.design().entities()) {
            String name = mapping.trace().tableOf(each.id()).map(of).orElse("");
            if (!name.isEmpty()) {
                parts.computeIfAbsent(name, any -> new ArrayList<>()).add(each.id());
            }
        }
        int all = document.design().entities().size();
        parts.values().removeIf(part -> part.size() < FEWEST || 10 * part.size() > 8 * all);
        int told = parts.values().stream().mapToInt(List::size).sum();
        return parts.size() >= FEWEST_PARTS && 2 * told > all
                ? Optional.of(new PartPictures(what, parts))
                : Optional.empty();
    }

    private static String beginning(String table) {
        int end = table.indexOf('_', 1);
        return end < 0 ? "" : table.substring(0, end);
    }

    private static Optional<PartPictures> byDistrict(Document document) {
        Map<String, List<Id>> parts = new LinkedHashMap<>();
        document.diagrams().get(0).districts().forEach(each -> {
            List<Id> entities = each.cards().stream()
                    .filter(id -> document.design().entity(id).isPresent())
                    .toList();
            if (entities.size() >= FEWEST) {
                parts.put(
                        each.name().isEmpty() ? "around " + document.design().nameOf(entities.get(0)) : each.name(),
                        entities);
            }
        });
        return parts.size() >= FEWEST_PARTS ? Optional.of(new PartPictures("neighbourhood", parts)) : Optional.empty();
    }

    /** Adds a picture for each part, whose cards have no places yet, behind those that are there. */
    public ChangeDiagrams added(Document document) {
        var diagrams = new ArrayList<>(document.diagrams());
        Diagram first = document.diagrams().get(0);
        parts.forEach((name, part) -> {
            String free = FreeName.of(name, each -> contains(diagrams, each));
            diagrams.add(Diagram.WHOLE
                    .withName(free)
                    .withNotation(first.notation())
                    .withDetail(first.detail())
                    .withPart(part));
        });
        return new ChangeDiagrams(diagrams, document.inView(), "make " + parts.size() + " part-pictures by " + by);
    }

    private static boolean contains(List<Diagram> diagrams, String name) {
        return diagrams.stream().anyMatch(each -> each.name().equals(name));
    }
}
