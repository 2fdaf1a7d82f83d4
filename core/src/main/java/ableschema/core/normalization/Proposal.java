package ableschema.core.normalization;

import ableschema.core.design.Body;
import ableschema.core.design.ColumnRef;
import ableschema.core.design.Design;
import ableschema.core.design.Entity;
import ableschema.core.design.FreeName;
import ableschema.core.design.Id;
import ableschema.core.design.IdKind;
import ableschema.core.design.IdSource;
import ableschema.core.design.KeyPart;
import ableschema.core.design.Row;
import ableschema.core.theory.AttributeSet;
import ableschema.core.theory.Decomposition;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.stream.Stream;

/**
 * The parts that an entity would become, with names that can be changed before they are made.
 *
 * @param decomposition what is known of it as a whole
 */
public record Proposal(EntityTheory theory, Decomposition decomposition, List<Part> parts) {

    public Proposal {
        parts = List.copyOf(parts);
    }

    /**
     * One part.
     *
     * @param id   that of the entity taken apart for the part that stays in its place, else a new one
     * @param rows how many different rows it would have
     */
    public record Part(Id id, String name, AttributeSet attributes, AttributeSet key, int rows) {
        public Part withName(String name) {
            return new Part(id, name, attributes, key, rows);
        }
    }

    /** Proposes names for the parts of a decomposition; the part that holds the entity's key keeps its name and id. */
    public static Proposal of(Design design, EntityTheory theory, Decomposition decomposition, IdSource ids) {
        Entity entity = theory.entity();
        AttributeSet key = theory.set(entity.body().key());
        int kept = keptPart(decomposition, key);
        var taken = new HashSet<String>();
        design.entities().forEach(e -> taken.add(e.name().toLowerCase(Locale.ROOT)));
        var parts = new ArrayList<Part>();
        for (int i = 0; i < decomposition.parts().size(); i++) {
            Decomposition.Part part = decomposition.parts().get(i);
            boolean stays = i == kept;
            AttributeSet partKey = stays && !key.isEmpty() && part.attributes().containsAll(key) ? key : part.key();
            parts.add(new Part(
                    stays ? entity.id() : ids.next(IdKind.ENTITY),
                    stays ? entity.name() : free(named(theory, part.key()), taken),
                    part.attributes(),
                    partKey,
                    different(theory, part.attributes())));
        }
        return new Proposal(theory, decomposition, parts);
    }

    private static int keptPart(Decomposition decomposition, AttributeSet key) {
        List<Decomposition.Part> parts = decomposition.parts();
        for (int i = parts.size() - 1; i >= 0; i--) {
            if (!key.isEmpty() && parts.get(i).attributes().containsAll(key)) {
                return i;
            }
        }
        return parts.size() - 1;
    }

    /** A determinant's name without the word that marks it as a code: "hive" for "hive code". */
    private static String named(EntityTheory theory, AttributeSet key) {
        String names = String.join(" ", theory.analysis().relation().names(key));
        String bare = names.replaceFirst("(?i)[ _](code|no|nr|number|id|key|name)$", "");
        String name = bare.isBlank() ? "part" : bare;
        int first = name.offsetByCodePoints(0, 1);
        return name.substring(0, first).toUpperCase(Locale.ROOT) + name.substring(first);
    }

    private static String free(String name, Set<String> taken) {
        return FreeName.of(name, each -> !taken.add(each.toLowerCase(Locale.ROOT)));
    }

    private static int different(EntityTheory theory, AttributeSet attributes) {
        return (int) theory.entity().body().rows().stream()
                .map(row -> Redundancy.values(theory, row, attributes))
                .filter(values -> values.stream().anyMatch(value -> !value.isEmpty()))
                .distinct()
                .count();
    }

    /** Returns the proposal with another name for one part. */
    public Proposal renamed(Id part, String name) {
        return new Proposal(
                theory,
                decomposition,
                parts.stream()
                        .map(p -> p.id().equals(part) ? p.withName(name) : p)
                        .toList());
    }

    /** How many cells the parts would hold, over against those of the rows as they are. */
    public int cells() {
        return parts.stream().mapToInt(p -> p.rows() * p.attributes().size()).sum();
    }

    public int cellsNow() {
        List<Row> rows = theory.entity().body().rows();
        return rows.size() * theory.items().size();
    }

    /** The references that a part would hold: to parts whose whole key is among its attributes, the widest keys first. */
    public List<Part> references(Part part) {
        var references = new ArrayList<Part>();
        AttributeSet free = part.attributes();
        List<Part> candidates = parts.stream()
                .filter(other -> other != part
                        && !other.key().isEmpty()
                        && part.attributes().containsAll(other.key()))
                .filter(other -> !other.key().equals(part.key()) || parts.indexOf(other) < parts.indexOf(part))
                .sorted((a, b) -> b.key().size() - a.key().size())
                .toList();
        for (Part other : candidates) {
            if (free.containsAll(other.key())) {
                references.add(other);
                free = free.minus(other.key());
            }
        }
        return references;
    }

    /** The rules of the entity that no part holds all columns of, and which go with it; in a few words each. */
    public List<String> unheld() {
        Body body = theory.entity().body();
        var unheld = new ArrayList<String>();
        body.uniques().stream()
                .filter(each -> isSpread(theory.set(each.parts())))
                .forEach(each -> unheld.add(theory.listed(theory.set(each.parts()))
                        + (each.parts().size() == 1 ? " is" : " are") + " unique"));
        body.checks().stream()
                .map(each -> own(each.expression().columns()))
                .filter(this::isSpread)
                .forEach(columns -> unheld.add("a check on " + theory.listed(columns)));
        body.indexes().stream()
                .map(each -> own(each.columns()))
                .filter(this::isSpread)
                .forEach(columns -> unheld.add("an index on " + theory.listed(columns)));
        return unheld;
    }

    private AttributeSet own(Stream<ColumnRef> columns) {
        return theory.set(columns.filter(theory.items()::contains)
                .map(KeyPart.class::cast)
                .distinct()
                .toList());
    }

    private boolean isSpread(AttributeSet columns) {
        return parts.stream().noneMatch(part -> part.attributes().containsAll(columns));
    }
}
