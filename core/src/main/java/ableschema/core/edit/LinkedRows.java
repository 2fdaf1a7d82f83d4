package ableschema.core.edit;

import ableschema.core.design.Body;
import ableschema.core.design.Design;
import ableschema.core.design.EndRef;
import ableschema.core.design.Id;
import ableschema.core.design.IdKind;
import ableschema.core.design.Relationship;
import ableschema.core.design.Row;
import ableschema.core.design.Side;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * Keeps sample rows linked when the other table comes to refer, or a table of pairs: what was linked is linked in the new form too.
 * Where the new form has no place for all of it, what is determined is linked, and the rows keep what they said in the old one, so
 * that nothing is lost in changing back.
 */
final class LinkedRows {

    private final Relationship before;
    private final Relationship after;
    private final List<Link> links;

    /** A row of the first end that is linked with one of the second. */
    private record Link(Row.Reference first, Row.Reference second) {
        Row.Reference at(Side side) {
            return side == Side.FIRST ? first : second;
        }
    }

    private LinkedRows(Design design, Relationship before, Relationship after) {
        this.before = before;
        this.after = after;
        this.links = before.referencedSide()
                .map(side -> referring(rowsAt(design, side.other()), side))
                .orElseGet(this::paired);
    }

    /** A design in which one relationship takes the place of another with the same id. */
    static Design replaced(Design design, Relationship before, Relationship after) {
        Design changed = design.with(after);
        boolean same = before.referencedSide().equals(after.referencedSide());
        boolean others = !before.first().entity().equals(after.first().entity())
                || !before.second().entity().equals(after.second().entity());
        if (same || others || before.isSubtype() || after.isSubtype()) {
            return changed;
        }
        var rows = new LinkedRows(design, before, after);
        return rows.links.isEmpty() ? changed : rows.linked(changed);
    }

    private List<Row> rowsAt(Design design, Side side) {
        return design.body(before.end(side).entity()).map(Body::rows).orElse(List.of());
    }

    private List<Link> referring(List<Row> rows, Side referred) {
        var found = new ArrayList<Link>();
        for (Row row : rows) {
            row.reference(before.ref(referred)).ifPresent(to -> {
                Row.Reference own = Row.Reference.to(row);
                found.add(referred == Side.FIRST ? new Link(to, own) : new Link(own, to));
            });
        }
        return found;
    }

    private List<Link> paired() {
        var found = new ArrayList<Link>();
        for (Row row : before.body().rows()) {
            Optional<Row.Reference> first = row.reference(before.ref(Side.FIRST));
            Optional<Row.Reference> second = row.reference(before.ref(Side.SECOND));
            if (first.isPresent() && second.isPresent()) {
                found.add(new Link(first.get(), second.get()));
            }
        }
        return found;
    }

    private Design linked(Design design) {
        Optional<Side> referred = after.referencedSide();
        return referred.isPresent() ? referring(design, referred.get()) : paired(design);
    }

    /** Pairs that were entered before are what is meant. */
    private Design paired(Design design) {
        if (!after.body().rows().isEmpty()) {
            return design;
        }
        var rows = new ArrayList<Row>();
        for (Link link : links) {
            rows.add(Row.empty(Id.derived(IdKind.ROW, after.id() + " " + link))
                    .with(after.ref(Side.FIRST), Optional.of(link.first()))
                    .with(after.ref(Side.SECOND), Optional.of(link.second())));
        }
        return withoutOld(design.withBody(after.id(), after.body().withRows(rows)));
    }

    private Design referring(Design design, Side referred) {
        EndRef end = after.ref(referred);
        Map<Row.Reference, List<Link>> byHolder = new HashMap<>();
        links.forEach(link -> byHolder.computeIfAbsent(link.at(referred.other()), any -> new ArrayList<>())
                .add(link));
        List<Row> holders = rowsAt(design, referred.other());
        var linked = new ArrayList<Row>();
        int carried = 0;
        for (Row row : holders) {
            List<Link> own = byHolder.getOrDefault(Row.Reference.to(row), List.of());
            boolean one = own.size() == 1;
            carried += one ? 1 : 0;
            linked.add(one ? row.with(end, Optional.of(own.get(0).at(referred))) : row);
        }
        Id holder = after.end(referred.other()).entity();
        Design changed = withRows(design, holder, linked);
        boolean told = before.isManyToMany()
                && before.body().rows().stream().anyMatch(row -> !row.values().isEmpty());
        return carried == links.size() && !told ? withoutOld(changed) : changed;
    }

    /** What is said in the new form is not said in the old one too, where it could come to say something else. */
    private Design withoutOld(Design design) {
        Optional<Side> referred = before.referencedSide();
        if (referred.isEmpty()) {
            return design.withBody(after.id(), after.body().withRows(List.of()));
        }
        EndRef end = before.ref(referred.get());
        List<Row> rows = rowsAt(design, referred.get().other()).stream()
                .map(row -> row.with(end, Optional.empty()))
                .toList();
        return withRows(design, before.end(referred.get().other()).entity(), rows);
    }

    private static Design withRows(Design design, Id entity, List<Row> rows) {
        return design.body(entity)
                .map(body -> design.withBody(entity, body.withRows(rows)))
                .orElse(design);
    }
}
