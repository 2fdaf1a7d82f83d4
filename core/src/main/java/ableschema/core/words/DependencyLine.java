package ableschema.core.words;

import ableschema.core.design.Design;
import ableschema.core.design.Id;
import ableschema.core.design.IdSource;
import ableschema.core.design.KeyPart;
import ableschema.core.edit.Edits;
import java.util.List;
import java.util.Optional;

/** Reads {@code hive code, visited on -> keeper no} for the chosen entity, or {@code Hive: ...} for the one it names. */
final class DependencyLine {

    private final Design design;
    private final Optional<Id> chosen;
    private final IdSource ids;

    DependencyLine(Design design, Optional<Id> chosen, IdSource ids) {
        this.design = design;
        this.chosen = chosen;
        this.ids = ids;
    }

    /** line = [ NOUN ":" ] names ( "->" | "->>" ) names [ "." ] */
    Understanding read(String text) {
        String masked = Quoted.masked(text);
        int colon = masked.indexOf(':');
        Id owner = colon < 0
                ? chosen.filter(id -> design.entity(id).isPresent())
                        .orElseThrow(() -> new Misunderstanding(
                                0, text.length(), "choose the entity first whose attributes decide each other"))
                : new Owners(design, Nouns.of(design))
                        .owner(text.substring(0, colon).strip())
                        .orElseThrow(() -> new Misunderstanding(
                                0, colon, "there is no entity called " + text.substring(0, colon) + " yet"));
        int arrow = masked.indexOf("->");
        boolean multivalued = masked.startsWith("->>", arrow);
        int behind = arrow + (multivalued ? 3 : 2);
        String stripped = text.stripTrailing();
        int end = stripped.endsWith(".") ? stripped.length() - 1 : stripped.length();
        var names = new PartNames(design, owner);
        List<KeyPart> from = names.read(text, colon + 1, arrow);
        List<KeyPart> to = names.read(text, behind, end);
        return new Understanding.Understood(
                new Edits(design, ids).addDependency(owner, from, to, multivalued),
                text.substring(colon + 1, arrow).strip()
                        + (multivalued ? " decides which all " : " decides ")
                        + text.substring(behind, end).strip(),
                Optional.of(owner));
    }
}
