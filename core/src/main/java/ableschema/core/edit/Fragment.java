package ableschema.core.edit;

import ableschema.core.design.Design;
import ableschema.core.design.Entity;
import ableschema.core.design.FreeName;
import ableschema.core.design.Id;
import ableschema.core.design.IdSource;
import ableschema.core.design.Notes;
import ableschema.core.document.Document;
import ableschema.core.document.Edit;
import ableschema.core.document.Position;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;

/**
 * Entities taken out of a design, with the relationships among them and their places, to be put into this or another
 * design. It is a document itself, so that it can be written as text.
 */
public final class Fragment {

    private static final Pattern ID = Pattern.compile("[eaurcidwt]:[0-9a-hjkmnp-tv-z]{6,16}");
    private static final Pattern DECLARED = Pattern.compile("\"(" + ID + ")\"");
    private static final double ASIDE = 32;

    private Fragment() {}

    /** A document of only these entities. */
    public static Document of(Document document, Set<Id> entities) {
        Design all = document.design().with(Notes.NONE);
        Design design = all.without(all.entities().stream()
                .map(Entity::id)
                .filter(id -> !entities.contains(id))
                .collect(Collectors.toSet()));
        var positions = new LinkedHashMap<Id, Position>();
        for (Id id : entities) {
            document.position(id).ifPresent(at -> positions.put(id, at));
        }
        return Document.EMPTY.with(design).moved(positions);
    }

    /** Returns the text of a document in which every id is a new one, the same for the same. */
    public static String withNewIds(String printed, IdSource ids) {
        Map<String, String> renewed = new HashMap<>();
        Matcher declared = DECLARED.matcher(printed);
        while (declared.find()) {
            renewed.computeIfAbsent(
                    declared.group(1), old -> ids.next(Id.parse(old).kind()).toString());
        }
        // what only looks like an id, such as the middle of "note:harvest", is left as it is
        return ID.matcher(printed)
                .replaceAll(id -> Matcher.quoteReplacement(renewed.getOrDefault(id.group(), id.group())));
    }

    /** Puts a fragment with ids of its own beside what is there; a name that is taken gets a number. */
    public static Edit paste(Document fragment, Document into) {
        var pasted = new ArrayList<Entity>();
        Map<Id, Position> places = new LinkedHashMap<>();
        var taken = new ArrayList<String>();
        into.design().entities().forEach(e -> taken.add(e.name()));
        List<Entity> entities = fragment.design().entities();
        for (Entity entity : entities) {
            String free = FreeName.of(entity.name(), name -> taken.stream().anyMatch(name::equalsIgnoreCase));
            taken.add(free);
            pasted.add(entity.withName(free));
            fragment.position(entity.id())
                    .ifPresent(at -> places.put(entity.id(), new Position(at.x() + ASIDE, at.y() + ASIDE)));
        }
        String first = entities.isEmpty() ? "nothing" : entities.get(0).name();
        String edit = "paste " + first + (entities.size() > 1 ? " and " + (entities.size() - 1) + " more" : "");
        var put = new PutAll(
                fragment.design().domains(), pasted, fragment.design().relationships(), places, edit);
        return new Compound(
                edit, List.of(put, new CarryAlong(fragment.design().notes().kept(), edit)));
    }
}
