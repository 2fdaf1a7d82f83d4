package ableschema.core.mapping;

import ableschema.core.design.Attribute;
import ableschema.core.design.Body;
import ableschema.core.design.ColumnRef;
import ableschema.core.design.Design;
import ableschema.core.design.EndRef;
import ableschema.core.design.Entity;
import ableschema.core.design.ForeignColumn;
import ableschema.core.design.Id;
import ableschema.core.design.KeyPart;
import ableschema.core.types.DataType;
import ableschema.core.types.DataTypes;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Stream;

/**
 * Takes the parts of keys down to columns, through all relationships that bring them. Where entities are keyed by each
 * other in a circle, the circle is cut by a column without a key.
 */
public final class Keys {

    private final Design design;
    private final Map<Id, List<ColumnRef>> known = new HashMap<>();
    private final Set<Id> underWay = new HashSet<>();

    public Keys(Design design) {
        this.design = design;
    }

    /** The columns of the primary key of an entity or many-to-many, in order; empty where it has none. */
    public List<ColumnRef> of(Id owner) {
        List<ColumnRef> found = known.get(owner);
        if (found != null) {
            return found;
        }
        if (!underWay.add(owner)) {
            return List.of();
        }
        List<ColumnRef> columns = columns(owner, parts(owner));
        underWay.remove(owner);
        known.put(owner, columns);
        return columns;
    }

    private List<KeyPart> parts(Id owner) {
        Body body = design.body(owner).orElse(Body.EMPTY);
        if (design.entity(owner).isPresent()) {
            return body.key();
        }
        var parts = new ArrayList<KeyPart>();
        design.referencesOf(owner).forEach(end -> parts.add(new KeyPart.WholeReference(end)));
        parts.addAll(body.key());
        return parts;
    }

    /** The columns that parts stand for; parts that are not of this owner give none. */
    public List<ColumnRef> columns(Id owner, List<? extends KeyPart> parts) {
        List<EndRef> references = design.referencesOf(owner);
        var columns = new LinkedHashSet<ColumnRef>();
        for (KeyPart part : parts) {
            if (part.through().filter(end -> !references.contains(end)).isEmpty()) {
                columns.addAll(expanded(part));
            }
        }
        return List.copyOf(columns);
    }

    private List<ColumnRef> expanded(KeyPart part) {
        return part instanceof KeyPart.WholeReference whole ? referring(whole.end()) : List.of((ColumnRef) part);
    }

    /** The columns with which a holder refers to the entity at this end. */
    public List<ColumnRef> referring(EndRef end) {
        List<ColumnRef> key = design.target(end).map(Entity::id).map(this::of).orElse(List.of());
        Stream<ColumnRef> targets = key.isEmpty() ? Stream.of(new ColumnRef.Keyless()) : key.stream();
        return targets.<ColumnRef>map(target -> new ForeignColumn(end, target)).toList();
    }

    /** The type of a column, taken from the attribute that it goes back to. */
    public DataType type(ColumnRef column) {
        DataType type = column.attribute()
                .flatMap(design::attribute)
                .map(Attribute::type)
                .orElse(DataTypes.UNDECIDED);
        return column instanceof ColumnRef.Own ? type : type.asReferenced();
    }
}
