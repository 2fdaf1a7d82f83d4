package ableschema.core.review;

import ableschema.core.design.ColumnRef;
import ableschema.core.design.Design;
import ableschema.core.design.Id;
import ableschema.core.design.IdKind;
import ableschema.core.design.KeyPart;
import ableschema.core.design.Relationship;
import ableschema.core.finding.Place;
import ableschema.core.mapping.Mapping;
import ableschema.core.schema.Column;
import ableschema.core.schema.ForeignKey;
import ableschema.core.schema.Table;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * Where a finding is, for people and for programs.
 *
 * @param label   the heading that it stands under, such as the entity's name
 * @param table   the name of its table; empty where it is about none
 * @param columns the names of the columns concerned; empty where it is about the whole table
 * @param row     the number of the sample row, from 1; empty where it is about none
 */
public record PlaceText(String label, Optional<String> table, List<String> columns, Optional<Integer> row) {

    public PlaceText {
        columns = List.copyOf(columns);
    }

    public static PlaceText of(Place place, Design design, Mapping mapping) {
        Id owner = owner(place, design);
        Optional<Table> table = mapping.trace()
                .tableOf(design.relationship(owner)
                        .flatMap(Relationship::referencing)
                        .orElse(owner));
        return new PlaceText(
                label(owner, design),
                table.map(each -> each.qualified().toString()),
                table.map(each -> columns(place, each, mapping)).orElse(List.of()),
                place.row().map(row -> 1 + rowIds(owner, design).indexOf(row)));
    }

    /** What the thing at a place is called. */
    public static String label(Place place, Design design) {
        return label(owner(place, design), design);
    }

    /** The entity or relationship, also where the place is one of its attributes. */
    private static Id owner(Place place, Design design) {
        return design.ownerOf(place.owner()).orElse(place.owner());
    }

    private static String label(Id owner, Design design) {
        if (owner.equals(Place.EVERYWHERE)) {
            return "All tables";
        }
        if (owner.kind() == IdKind.QUESTION) {
            return "Brief";
        }
        return design.entity(owner)
                .map(entity -> entity.name())
                .or(() -> design.relationship(owner)
                        .map(each -> each.isManyToMany() && !each.noun().isEmpty()
                                ? design.nameOf(owner)
                                : design.at(each.first()).name() + " – "
                                        + design.at(each.second()).name()))
                .or(() -> design.domain(owner).map(domain -> domain.name()))
                .orElse("Elsewhere");
    }

    private static List<String> columns(Place place, Table table, Mapping mapping) {
        var columns = new ArrayList<String>();
        for (KeyPart part : place.parts()) {
            if (part instanceof ColumnRef ref) {
                mapping.trace().column(table, ref).map(Column::name).ifPresent(columns::add);
            } else {
                table.foreignKeys().stream()
                        .filter(key -> part.through()
                                .equals(Optional.of(mapping.trace().end(table, key))))
                        .map(ForeignKey::columns)
                        .forEach(columns::addAll);
            }
        }
        return columns;
    }

    private static List<Id> rowIds(Id owner, Design design) {
        return design.body(owner).stream()
                .flatMap(body -> body.rows().stream())
                .map(row -> row.id())
                .toList();
    }
}
