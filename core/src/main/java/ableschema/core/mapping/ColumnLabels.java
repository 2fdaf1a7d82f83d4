package ableschema.core.mapping;

import ableschema.core.design.Attribute;
import ableschema.core.design.ColumnRef;
import ableschema.core.design.Design;
import ableschema.core.design.End;
import ableschema.core.design.ForeignColumn;
import ableschema.core.design.Id;
import ableschema.core.design.Relationship;
import ableschema.core.design.Side;
import java.util.Locale;
import java.util.regex.Pattern;

/**
 * What foreign key columns are called, for people: the role or the name of what is referred to, then the name of its column,
 * as in "apiary code". Where several references lead to one entity, or to the entity itself, the verb says which is meant:
 * "checked by keeper no".
 */
final class ColumnLabels {

    private static final Pattern AUXILIARY =
            Pattern.compile("(?:is|are|was|were|has been|have been) (?=\\S)", Pattern.CASE_INSENSITIVE);

    private final Design design;

    ColumnLabels(Design design) {
        this.design = design;
    }

    String of(Relationship relationship, ForeignColumn ref) {
        End end = relationship.end(ref.end().side());
        String target = design.at(end).name();
        String column = targetLabel(ref.target());
        String start = target.toLowerCase(Locale.ROOT) + " ";
        boolean repeats = (column + " ").toLowerCase(Locale.ROOT).startsWith(start);
        column = repeats ? column.substring(Math.min(column.length(), start.length())) : column;
        return (role(relationship, end, target) + " " + column).strip();
    }

    private String targetLabel(ColumnRef target) {
        if (target instanceof ForeignColumn foreign) {
            return design.relationship(foreign.end().relationship())
                    .map(r -> of(r, foreign))
                    .orElse("");
        }
        return target.attribute()
                .flatMap(design::attribute)
                .map(Attribute::name)
                .orElse("");
    }

    private String role(Relationship relationship, End end, String target) {
        if (!end.role().isEmpty()) {
            return end.role();
        }
        if (relationship.isManyToMany()) {
            boolean second = relationship.isRecursive() && relationship.second() == end;
            return second ? "other " + target : target;
        }
        String verb = relationship
                .end(relationship.first() == end ? Side.SECOND : Side.FIRST)
                .verb();
        boolean needed = relationship.isRecursive() || isOneOfSeveral(relationship, end);
        return needed && !verb.isEmpty() ? AUXILIARY.matcher(verb).replaceFirst("") + " " + target : target;
    }

    /** Whether the same table refers to the same entity without a role once more. */
    private boolean isOneOfSeveral(Relationship relationship, End end) {
        Id holder = relationship.referencing().orElse(relationship.id());
        return design.referencesOf(holder).stream()
                        .flatMap(each -> design.relationship(each.relationship()).stream()
                                .map(r -> r.end(each.side())))
                        .filter(each -> each.entity().equals(end.entity())
                                && each.role().isEmpty())
                        .count()
                > 1;
    }
}
