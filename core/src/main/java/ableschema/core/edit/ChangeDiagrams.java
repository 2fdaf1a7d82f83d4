package ableschema.core.edit;

import ableschema.core.design.Id;
import ableschema.core.design.Lists;
import ableschema.core.document.Diagram;
import ableschema.core.document.Document;
import ableschema.core.document.Edit;
import java.util.List;

/** Adds, renames or takes away pictures of the design; its name says which. */
public record ChangeDiagrams(List<Diagram> diagrams, String inView, String name) implements Edit {

    public ChangeDiagrams {
        diagrams = List.copyOf(diagrams);
    }

    /** Adds a part-picture of these entities, at the places where they stand in the picture in view, and shows it. */
    public static Edit add(Document document, String name, List<Id> part) {
        String free = name;
        for (int i = 2; document.diagram(free).isPresent(); i++) {
            free = name + " " + i;
        }
        Diagram made = document.diagram().withName(free).withPart(part);
        return new ChangeDiagrams(Lists.plus(document.diagrams(), made), free, "make the part-picture " + free);
    }

    /** Takes the part-picture in view away; the entities stay in the design. */
    public static Edit remove(Document document) {
        List<Diagram> rest = document.diagrams().stream()
                .filter(d -> d != document.diagram())
                .toList();
        return new ChangeDiagrams(
                rest,
                rest.get(0).name(),
                "take away the part-picture " + document.diagram().name());
    }

    @Override
    public Document applyTo(Document document) {
        return document.withDiagrams(diagrams).viewing(inView);
    }
}
