package ableschema.desktop.workspace;

import ableschema.core.design.Design;
import ableschema.core.design.Entity;
import ableschema.core.design.Id;
import java.util.Collection;
import java.util.Collections;
import java.util.LinkedHashSet;
import java.util.Optional;
import java.util.Set;
import java.util.function.Supplier;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.beans.property.SimpleObjectProperty;

/** What is chosen in the design: one thing that the gloss tells of, and the cards that are chosen together with it. */
public final class Selection {

    private final Supplier<Design> design;
    private final ReadOnlyObjectWrapper<Optional<Id>> chosen = new ReadOnlyObjectWrapper<>(Optional.empty());
    private final ReadOnlyObjectWrapper<Set<Id>> group = new ReadOnlyObjectWrapper<>(Set.of());
    private final ObjectProperty<Optional<Id>> focus = new SimpleObjectProperty<>(Optional.empty());

    Selection(Supplier<Design> design) {
        this.design = design;
    }

    public ReadOnlyObjectProperty<Optional<Id>> chosenProperty() {
        return chosen.getReadOnlyProperty();
    }

    /** Chooses an entity, a relationship or an attribute, and nothing else. */
    public void choose(Id thing) {
        Optional<Id> known = Optional.of(thing).filter(design.get()::knows);
        group.set(known.map(this::owner).map(Set::of).orElse(Set.of()));
        chosen.set(known);
    }

    /** Chooses several entities and relationships together; the first of them is the one that the gloss tells of. */
    public void chooseAll(Collection<Id> things) {
        var known = new LinkedHashSet<Id>();
        things.stream().filter(design.get()::knows).map(this::owner).forEach(known::add);
        group.set(Collections.unmodifiableSet(known));
        chosen.set(known.stream().findFirst());
    }

    /** Takes one thing into what is chosen, or out of it. */
    public void toggle(Id thing) {
        var changed = new LinkedHashSet<>(group.get());
        if (!changed.remove(thing)) {
            changed.add(thing);
        }
        chooseAll(changed);
    }

    public void chooseNothing() {
        group.set(Set.of());
        chosen.set(Optional.empty());
    }

    private Id owner(Id thing) {
        return design.get().ownerOf(thing).orElse(thing);
    }

    /** The entities and relationships that are chosen together. */
    public ReadOnlyObjectProperty<Set<Id>> groupProperty() {
        return group.getReadOnlyProperty();
    }

    /** The entity of which only the neighbours are shown; empty for the whole picture. */
    public ObjectProperty<Optional<Id>> focusProperty() {
        return focus;
    }

    /** The entity or relationship that is chosen, or that the chosen attribute belongs to. */
    public Optional<Id> chosenOwner() {
        return chosen.get()
                .flatMap(id -> design.get().body(id).isPresent()
                        ? Optional.of(id)
                        : design.get().ownerOf(id));
    }

    public Optional<Entity> chosenEntity() {
        return chosenOwner().flatMap(design.get()::entity);
    }

    /** Lets go what is not in a design that is about to come in place of this one. */
    void keepOnly(Design next) {
        if (chosen.get().filter(id -> !next.knows(id)).isPresent()) {
            chosen.set(Optional.empty());
        }
        if (!group.get().stream().allMatch(next::knows)) {
            group.set(Set.of());
        }
        focus.set(focus.get().filter(next::knows));
    }
}
