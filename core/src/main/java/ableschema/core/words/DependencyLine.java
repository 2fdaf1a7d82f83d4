package ableschema.core.words;

import ableschema.core.design.Design;
import ableschema.core.design.Id;
import ableschema.core.design.IdSource;
import ableschema.core.design.KeyPart;
import ableschema.core.edit.Edits;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** Reads {@code hive code, visited on -> keeper no} for the chosen entity. */
final class DependencyLine {

    private final Design design;
    private final Optional<Id> chosen;
    private final IdSource ids;

    DependencyLine(Design design, Optional<Id> chosen, IdSource ids) {
        this.design = design;
        this.chosen = chosen;
        this.ids = ids;
    }

    Understanding read(String text) {
        Id owner = chosen.filter(id -> design.entity(id).isPresent())
                .orElseThrow(() -> new Misunderstanding(
                        0, text.length(), "choose the entity first whose attributes decide each other"));
        int arrow = text.indexOf("->");
        String stripped = text.stripTrailing();
        int end = stripped.endsWith(".") ? stripped.length() - 1 : stripped.length();
        List<KeyPart> from = parts(owner, text, 0, arrow);
        List<KeyPart> to = parts(owner, text, arrow + 2, end);
        return new Understanding.Understood(
                new Edits(design, ids).addDependency(owner, from, to),
                text.substring(0, arrow).strip() + " decides "
                        + text.substring(arrow + 2, end).strip(),
                Optional.of(owner));
    }

    /** names = NAME { "," NAME } */
    private List<KeyPart> parts(Id owner, String text, int start, int end) {
        var parts = new ArrayList<KeyPart>();
        int at = start;
        while (at <= end) {
            int comma = text.indexOf(',', at);
            int stop = comma < 0 || comma > end ? end : comma;
            parts.add(part(owner, text, at, stop));
            at = stop + 1;
        }
        return parts;
    }

    private KeyPart part(Id owner, String text, int start, int end) {
        String name = text.substring(start, Math.max(start, end)).strip();
        if (name.isEmpty()) {
            throw new Misunderstanding(start, Math.min(text.length(), start + 1), "expected the name of an attribute");
        }
        var names = new PartNames(design, owner);
        return names.part(name).orElseThrow(() -> {
            int at = text.indexOf(name, start);
            return new Misunderstanding(at, at + name.length(), names.problem(name));
        });
    }
}
