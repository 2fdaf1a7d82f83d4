package ableschema.core.edit;

import ableschema.core.design.FreeName;
import ableschema.core.design.Id;
import ableschema.core.design.Lists;
import ableschema.core.document.Diagram;
import ableschema.core.document.Document;
import ableschema.core.document.Edit;
import java.util.LinkedHashSet;
import java.util.List;

/** Adds, renames or takes away pictures of the design; its name says which. */
public record ChangeDiagrams(List<Diagram> diagrams, String inView, String name) implements Edit {

    public ChangeDiagrams {
        diagrams = List.copyOf(diagrams);
    }

    /** Adds a part-picture of these entities, at the places where they stand in the picture in view, and shows it. */
    public static Edit add(Document document, String name, List<Id> part) {
        String free = free(document, name);
        Diagram made = document.diagram().withName(free).withPart(part);
        return new ChangeDiagrams(Lists.plus(document.diagrams(), made), free, "make the part-picture " + free);
    }

    /** Gives the picture in view another name, or the next free one like it. */
    public static Edit rename(Document document, String name) {
        Diagram before = document.diagram();
        String free = name.equals(before.name()) ? name : free(document, name);
        List<Diagram> diagrams = document.diagrams().stream()
                .map(each -> each == before ? each.withName(free) : each)
                .toList();
        return new ChangeDiagrams(diagrams, free, "rename the part-picture " + before.name() + " to " + free);
    }

    private static String free(Document document, String name) {
        return FreeName.of(name, each -> document.diagram(each).isPresent());
    }

    /** Shows more entities in a part-picture. */
    public static Edit show(Document document, Diagram picture, List<Id> entities) {
        var part = new LinkedHashSet<>(picture.part());
        part.addAll(entities);
        return withPart(document, picture, List.copyOf(part), "show more in " + picture.name());
    }

    /** Leaves entities out of the part-picture in view, but for the last of them; they stay in the design. */
    public static Edit hide(Document document, List<Id> entities) {
        Diagram picture = document.diagram();
        List<Id> before = picture.part();
        List<Id> rest = before.stream().filter(id -> !entities.contains(id)).toList();
        return withPart(document, picture, rest.isEmpty() ? before : rest, "show less in " + picture.name());
    }

    private static Edit withPart(Document document, Diagram picture, List<Id> part, String name) {
        return new ChangeDiagrams(
                Lists.replace(document.diagrams(), Diagram::name, picture.withPart(part)),
                document.diagram().name(),
                name);
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
        boolean same = document.diagrams().equals(diagrams);
        return (same ? document : document.withDiagrams(diagrams)).viewing(inView);
    }
}
