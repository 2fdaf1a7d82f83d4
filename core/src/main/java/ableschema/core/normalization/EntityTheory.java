package ableschema.core.normalization;

import ableschema.core.design.ColumnRef;
import ableschema.core.design.Dependency;
import ableschema.core.design.Design;
import ableschema.core.design.EndRef;
import ableschema.core.design.Entity;
import ableschema.core.design.FreeName;
import ableschema.core.design.KeyPart;
import ableschema.core.theory.Analysis;
import ableschema.core.theory.AttributeSet;
import ableschema.core.theory.Effort;
import ableschema.core.theory.FunctionalDependency;
import ableschema.core.theory.MultivaluedDependency;
import ableschema.core.theory.Normalizer;
import ableschema.core.theory.Relation;
import ableschema.core.words.Sentences;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;

/**
 * An entity seen as a relation: its attributes and references in order, with the dependencies that are stated and those
 * that its key and unique rules state.
 */
public final class EntityTheory {

    /** As long as somebody waits for an answer while drawing. */
    private static final Duration BRIEF = Duration.ofSeconds(1);

    private final Entity entity;
    private final List<KeyPart> items;
    private final Analysis analysis;

    private EntityTheory(Entity entity, List<KeyPart> items, Analysis analysis) {
        this.entity = entity;
        this.items = items;
        this.analysis = analysis;
    }

    /** Within a second, which only hundreds of dependencies need. */
    public static EntityTheory of(Design design, Entity entity) {
        return of(design, entity, Effort.of(BRIEF, said -> {}));
    }

    /** @param effort what is not done within it is named among what is open in the analysis */
    public static EntityTheory of(Design design, Entity entity, Effort effort) {
        List<KeyPart> items = items(design, entity);
        var sentences = new Sentences(design);
        var names = new ArrayList<String>();
        for (KeyPart item : items) {
            names.add(unlike(sentences.called(item), names));
        }
        var functional = new ArrayList<FunctionalDependency>();
        var multivalued = new ArrayList<MultivaluedDependency>();
        for (Dependency each : entity.body().dependencies()) {
            AttributeSet from = set(items, each.from());
            AttributeSet to = set(items, each.to());
            if (each.multivalued()) {
                multivalued.add(new MultivaluedDependency(from, to));
            } else {
                functional.add(new FunctionalDependency(from, to));
            }
        }
        AttributeSet all = set(items, items);
        if (!entity.body().key().isEmpty()) {
            functional.add(new FunctionalDependency(set(items, entity.body().key()), all));
        }
        entity.body().uniques().stream()
                .filter(unique -> unique.parts().stream().noneMatch(part -> isOptional(design, entity, part)))
                .forEach(unique -> functional.add(new FunctionalDependency(set(items, unique.parts()), all)));
        return new EntityTheory(
                entity, items, Normalizer.analyse(new Relation(entity.name(), names, functional, multivalued), effort));
    }

    private static List<KeyPart> items(Design design, Entity entity) {
        var items = new ArrayList<KeyPart>();
        List<EndRef> references = design.referencesOf(entity.id());
        entity.body().key().forEach(part -> {
            if (part.through().isPresent() && references.contains(part.through().get())) {
                items.add(new KeyPart.WholeReference(part.through().get()));
            }
        });
        entity.body().attributes().forEach(attribute -> items.add(attribute.ref()));
        references.forEach(end -> {
            var whole = new KeyPart.WholeReference(end);
            if (!items.contains(whole)) {
                items.add(whole);
            }
        });
        return items;
    }

    private static String unlike(String name, List<String> taken) {
        return FreeName.of(name, taken::contains);
    }

    private static boolean isOptional(Design design, Entity entity, KeyPart part) {
        return part instanceof ColumnRef.Own own
                ? entity.body().attribute(own.id()).filter(a -> a.optional()).isPresent()
                : part.through().filter(design::isOptional).isPresent();
    }

    private static AttributeSet set(List<KeyPart> items, List<KeyPart> parts) {
        return AttributeSet.of(parts.stream()
                .map(part ->
                        part.through().<KeyPart>map(KeyPart.WholeReference::new).orElse(part))
                .map(items::indexOf)
                .filter(place -> place >= 0)
                .toList());
    }

    public Entity entity() {
        return entity;
    }

    /** Attributes and references, in the order of the relation's heading. */
    public List<KeyPart> items() {
        return items;
    }

    public Analysis analysis() {
        return analysis;
    }

    /** The set of these parts. */
    public AttributeSet set(List<KeyPart> parts) {
        return set(items, parts);
    }

    /** The parts in a set. */
    public List<KeyPart> parts(AttributeSet set) {
        return set.stream().mapToObj(items::get).toList();
    }

    /** The names of a set as a sentence lists them. */
    public String listed(AttributeSet set) {
        return Sentences.listed(analysis.relation().names(set));
    }

    public String name(KeyPart item) {
        return analysis.relation().attributes().get(items.indexOf(item));
    }
}
