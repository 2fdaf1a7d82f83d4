package ableschema.desktop.sheet;

import ableschema.core.brief.Headings;
import ableschema.core.design.Attribute;
import ableschema.core.design.Body;
import ableschema.core.design.Entity;
import ableschema.core.design.Id;
import ableschema.core.design.IdKind;
import ableschema.core.document.Diagram;
import ableschema.core.document.District;
import ableschema.core.document.Position;
import ableschema.core.edit.AddEntity;
import ableschema.core.edit.ChangeDiagram;
import ableschema.core.edit.Fragment;
import ableschema.core.edit.MoveCards;
import ableschema.core.store.DocumentFile;
import ableschema.desktop.actions.Actions;
import ableschema.desktop.workspace.Workspace;
import ableschema.diagram.geometry.Area;
import ableschema.diagram.picture.Picture.PlacedCard;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import javafx.geometry.Point2D;
import javafx.scene.input.Clipboard;
import javafx.scene.input.ClipboardContent;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyCombination;
import javafx.scene.input.KeyEvent;

/** What keys do while the sheet has the focus: one table of keys, what they are called, and what they do. */
final class SheetKeys {

    private static final double STEP = 4;
    private static final double LEAP = 40;

    private final SheetView sheet;
    private final Workspace workspace;
    private final SheetEntry entry;
    private final List<Key> keys = new ArrayList<>();

    SheetKeys(SheetView sheet, Workspace workspace, SheetEntry entry) {
        this.sheet = sheet;
        this.workspace = workspace;
        this.entry = entry;
        fill();
    }

    private record Key(KeyCombination keys, String shown, String name, Runnable run) {}

    private void fill() {
        on("ENTER", "Enter", "type attributes below, or open the sentences of a relationship", this::open);
        on("F2", "F2", "rename the chosen entity, or the district of all chosen cards", this::rename);
        on("DELETE", "Delete", "delete what is chosen", this::delete);
        on("BACK_SPACE", "", "", this::delete);
        on("ESCAPE", "Escape", "choose nothing", workspace.selection()::chooseNothing);
        on("Shortcut+A", "Ctrl+A", "choose all cards", () -> workspace
                .selection()
                .chooseAll(sheet.placedCards().keySet()));
        on("Shortcut+C", "Ctrl+C", "copy the chosen entities", this::copy);
        on("Shortcut+V", "Ctrl+V", "paste entities, or a table as an entity", this::paste);
        on("Shortcut+D", "Ctrl+D", "duplicate the chosen attribute or entities", this::duplicate);
        on("Alt+UP", "Alt+Up", "move the chosen attribute up", () -> moveAttribute(-1));
        on("Alt+DOWN", "Alt+Down", "move the chosen attribute down", () -> moveAttribute(1));
        on("Alt+N", "Alt+N", "show only the neighbours of the chosen entity, or all again", this::focus);
        on("Alt+D", "Alt+D", "make the chosen cards a district of their own", this::joinDistrict);
        on("Alt+F", "Alt+F", "fix the chosen cards in their places, or let them go", this::pin);
        for (KeyCode arrow : List.of(KeyCode.LEFT, KeyCode.RIGHT, KeyCode.UP, KeyCode.DOWN)) {
            boolean first = arrow == KeyCode.LEFT;
            on(arrow.name(), first ? "Arrows" : "", "choose the next card that way", () -> step(arrow, false));
            on("Shift+" + arrow, first ? "Shift+Arrows" : "", "choose the next card too", () -> step(arrow, true));
            on(
                    "Shortcut+" + arrow,
                    first ? "Ctrl+Arrows" : "",
                    "move the chosen cards a little",
                    () -> nudge(arrow, STEP));
            on(
                    "Shortcut+Shift+" + arrow,
                    first ? "Ctrl+Shift+Arrows" : "",
                    "move the chosen cards far",
                    () -> nudge(arrow, LEAP));
        }
    }

    private void on(String keys, String shown, String name, Runnable run) {
        this.keys.add(new Key(KeyCombination.valueOf(keys), shown, name, run));
    }

    /** Adds what these keys do to the list of all actions. */
    void list(Actions actions) {
        keys.stream()
                .filter(key -> !key.shown().isEmpty())
                .forEach(key -> actions.addKnown(key.name(), key.shown(), key.run()));
    }

    void pressed(KeyEvent event) {
        if (event.getTarget() != sheet) {
            return;
        }
        keys.stream().filter(key -> key.keys().match(event)).findFirst().ifPresent(key -> {
            key.run().run();
            event.consume();
        });
    }

    private void rename() {
        Set<Id> group = workspace.selection().groupProperty().get();
        Optional<District> whole = workspace.document().diagram().districts().stream()
                .filter(district ->
                        group.size() > 1 && Set.copyOf(district.cards()).equals(group))
                .findFirst();
        whole.ifPresentOrElse(
                entry::rename, () -> workspace.selection().chosenEntity().ifPresent(entry::rename));
    }

    /** Draws the chosen cards as a district of their own: lines to other districts are named on the cards instead. */
    private void joinDistrict() {
        Set<Id> group = workspace.selection().groupProperty().get();
        if (group.isEmpty()) {
            workspace.notices().complain("choose the cards that are to be a district of their own first");
            return;
        }
        String name = workspace.design().nameOf(group.iterator().next());
        workspace.apply(new ChangeDiagram(
                workspace.document().diagram().joined(name, group), "make a district of " + group.size() + " cards"));
    }

    private void open() {
        Optional<Entity> entity = workspace.selection().chosenEntity();
        entity.ifPresent(entry::addAttributes);
        if (entity.isEmpty()) {
            workspace
                    .selection()
                    .chosenOwner()
                    .flatMap(workspace.design()::relationship)
                    .ifPresent(entry::openSentences);
        }
    }

    private void delete() {
        Set<Id> group = workspace.selection().groupProperty().get();
        List<Id> gone = group.size() > 1
                ? List.copyOf(group)
                : workspace.selection().chosenProperty().get().map(List::of).orElse(List.of());
        if (!gone.isEmpty()) {
            workspace.apply(workspace.edits().remove(gone));
        }
    }

    /** Pins what is chosen, so that tidying up leaves it; if all of it is pinned already, lets it go. */
    private void pin() {
        Set<Id> group = workspace.selection().groupProperty().get();
        Diagram diagram = workspace.document().diagram();
        var pinned = new LinkedHashSet<>(diagram.pinned());
        boolean all = pinned.containsAll(group);
        if (all) {
            pinned.removeAll(group);
        } else {
            pinned.addAll(group);
        }
        workspace.apply(new ChangeDiagram(
                diagram.withPinned(List.copyOf(pinned)), (all ? "let go " : "fix ") + group.size() + " cards"));
    }

    private void focus() {
        Optional<Id> now = workspace.selection().focusProperty().get();
        workspace
                .selection()
                .focusProperty()
                .set(
                        now.isPresent()
                                ? Optional.empty()
                                : workspace.selection().chosenEntity().map(Entity::id));
    }

    private Optional<Attribute> chosenAttribute() {
        return workspace.selection().chosenProperty().get().flatMap(workspace.design()::attribute);
    }

    /** Moves the chosen attribute up or down among its fellows. */
    private void moveAttribute(int by) {
        chosenAttribute().ifPresent(attribute -> {
            List<Attribute> all = fellows(attribute);
            workspace.apply(workspace.edits().moveAttribute(attribute, all.indexOf(attribute) + by));
        });
    }

    private List<Attribute> fellows(Attribute attribute) {
        return workspace
                .design()
                .ownerOf(attribute.id())
                .flatMap(workspace.design()::body)
                .map(Body::attributes)
                .orElse(List.of());
    }

    private void copy() {
        Set<Id> group = workspace.selection().groupProperty().get();
        if (!group.isEmpty()) {
            var content = new ClipboardContent();
            content.putString(DocumentFile.print(Fragment.of(workspace.document(), group)));
            Clipboard.getSystemClipboard().setContent(content);
            workspace.notices().say("copied " + group.size() + (group.size() == 1 ? " entity" : " entities"));
        }
    }

    private void paste() {
        paste(String.valueOf(Clipboard.getSystemClipboard().getString()));
    }

    /** Pastes entities that were copied here or in another design, or makes an entity of headings with rows. */
    void paste(String text) {
        if (text.stripLeading().startsWith("{")) {
            pasteFragment(text);
        } else if (sheet.takesSql(text)) {
            return;
        } else {
            pasteTable(text);
        }
    }

    private void pasteFragment(String text) {
        try {
            var fragment = DocumentFile.parse(Fragment.withNewIds(text, workspace.ids()));
            workspace.apply(Fragment.paste(fragment, workspace.document()));
            workspace
                    .selection()
                    .chooseAll(fragment.design().entities().stream()
                            .map(Entity::id)
                            .toList());
        } catch (IllegalArgumentException e) {
            workspace.notices().complain("what was copied cannot be pasted here: " + e.getMessage());
        }
    }

    private void pasteTable(String text) {
        try {
            Entity entity = Headings.of(text).entity("New entity", workspace.ids());
            Point2D at = sheet.freePlace();
            workspace.apply(new AddEntity(entity, Optional.of(new Position(at.getX(), at.getY()))));
            workspace.selection().choose(entity.id());
            entry.rename(entity);
        } catch (IllegalArgumentException e) {
            workspace.notices().complain(String.valueOf(e.getMessage()));
        }
    }

    /** An attribute is duplicated beside itself, entities with what relates them. */
    private void duplicate() {
        Optional<Attribute> attribute = chosenAttribute();
        if (attribute.isPresent()) {
            duplicate(attribute.get());
        } else if (!workspace.selection().groupProperty().get().isEmpty()) {
            pasteFragment(DocumentFile.print(Fragment.of(
                    workspace.document(), workspace.selection().groupProperty().get())));
        }
    }

    private void duplicate(Attribute attribute) {
        workspace.design().ownerOf(attribute.id()).ifPresent(owner -> {
            List<Attribute> all = fellows(attribute);
            String name = attribute.name();
            for (int i = 2; isTaken(all, name); i++) {
                name = attribute.name() + " " + i;
            }
            Attribute copy = Attribute.named(workspace.ids().next(IdKind.ATTRIBUTE), name)
                    .withType(attribute.type())
                    .withOptional(attribute.optional())
                    .withDefault(attribute.defaultValue());
            var changed = new ArrayList<>(all);
            changed.add(all.indexOf(attribute) + 1, copy);
            workspace.apply(workspace.edits().setAttributes(owner, changed, "duplicate " + attribute.name()));
            workspace.selection().choose(copy.id());
        });
    }

    private static boolean isTaken(List<Attribute> all, String name) {
        return all.stream().anyMatch(a -> a.name().equalsIgnoreCase(name));
    }

    private void nudge(KeyCode arrow, double by) {
        Map<Id, Position> moved = new LinkedHashMap<>();
        for (Id id : workspace.selection().groupProperty().get()) {
            workspace
                    .document()
                    .position(id)
                    .ifPresent(at -> moved.put(id, new Position(at.x() + dx(arrow) * by, at.y() + dy(arrow) * by)));
        }
        if (!moved.isEmpty()) {
            workspace.apply(new MoveCards(moved, "move " + moved.size() + (moved.size() == 1 ? " card" : " cards")));
        }
    }

    private static double dx(KeyCode arrow) {
        return arrow == KeyCode.LEFT ? -1 : arrow == KeyCode.RIGHT ? 1 : 0;
    }

    private static double dy(KeyCode arrow) {
        return arrow == KeyCode.UP ? -1 : arrow == KeyCode.DOWN ? 1 : 0;
    }

    /** Chooses the next card in the direction of an arrow key, or the first if none is chosen. */
    private void step(KeyCode arrow, boolean too) {
        Optional<Area> from = workspace
                .selection()
                .chosenOwner()
                .flatMap(id -> Optional.ofNullable(sheet.placedCards().get(id)))
                .map(PlacedCard::area);
        double dx = dx(arrow);
        double dy = dy(arrow);
        Set<Id> group = workspace.selection().groupProperty().get();
        sheet.placedCards().values().stream()
                .filter(card -> from.isEmpty() || ahead(from.get(), card.area(), dx, dy) > 0)
                .filter(card -> !too || !group.contains(card.card().id()))
                .min((a, b) -> from.isEmpty()
                        ? 0
                        : Double.compare(cost(from.get(), a.area(), dx, dy), cost(from.get(), b.area(), dx, dy)))
                .map(card -> card.card().id())
                .ifPresent(next -> {
                    if (too) {
                        workspace.selection().toggle(next);
                    } else {
                        workspace.selection().choose(next);
                    }
                });
    }

    private static double ahead(Area from, Area to, double dx, double dy) {
        return (to.x() - from.x()) * dx + (to.y() - from.y()) * dy;
    }

    private static double cost(Area from, Area to, double dx, double dy) {
        double aside = Math.abs((to.x() - from.x()) * dy) + Math.abs((to.y() - from.y()) * dx);
        return ahead(from, to, dx, dy) + 2 * aside;
    }
}
