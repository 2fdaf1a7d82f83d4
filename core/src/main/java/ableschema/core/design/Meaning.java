package ableschema.core.design;

import static java.util.stream.Collectors.joining;

import ableschema.core.difference.Difference;
import ableschema.core.expression.Expression;
import ableschema.core.types.DataType;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;

/**
 * All that a design says, as lines in which things stand by name instead of by id; two designs mean the same if they
 * say the same lines.
 */
final class Meaning {

    private final Design design;
    private final Map<String, List<String>> places = new TreeMap<>();

    private Meaning(Design design) {
        this.design = design;
    }

    static List<Difference> differences(Design one, Design other) {
        return Difference.between(new Meaning(one).said(), new Meaning(other).said());
    }

    private Map<String, List<String>> said() {
        design.domains().forEach(this::say);
        design.entities().forEach(this::say);
        design.relationships().forEach(this::say);
        Brief brief = design.notes().brief();
        say("purpose", brief.purpose());
        brief.questions()
                .forEach(question -> say(
                        "question " + question.text(),
                        "answered by "
                                + question.answers().stream()
                                        .map(id -> named((KeyPart) new ColumnRef.Own(id)))
                                        .collect(joining(", "))));
        design.notes()
                .answers()
                .forEach(answer -> say(
                        design.attribute(answer.about())
                                .map(Attribute::name)
                                .orElseGet(() -> design.nameOf(answer.about())),
                        "answered " + answer.question() + " " + answer.yes()));
        design.notes()
                .volumes()
                .forEach((of, volume) ->
                        say(design.nameOf(of), "rows expected " + volume.first() + ", each year " + volume.eachYear()));
        places.values().forEach(Collections::sort);
        return places;
    }

    private void say(String place, String text) {
        places.computeIfAbsent(place, p -> new ArrayList<>()).add(text);
    }

    private void say(Entity entity) {
        String name = entity.name();
        say(
                name,
                "entity " + entity.kind() + ": " + entity.definition() + (entity.parked() ? " parked" : "")
                        + pins(entity.pins()));
        say(name, entity.body());
    }

    private void say(Relationship relationship) {
        String name = named(relationship);
        say(
                name,
                "relationship noun " + relationship.noun()
                        + (relationship.isSubtype() ? " kinds " + relationship.subtype() : "")
                        + pins(relationship.pins()));
        for (Side side : relationship.referencedSides()) {
            say(name + ", " + side + " side", relationship.end(side).reference());
        }
        say(name, relationship.body());
    }

    private void say(String name, Reference reference) {
        say(
                name,
                "on delete " + reference.onDelete() + " on update " + reference.onUpdate()
                        + reference
                                .targetKey()
                                .map(unique -> " to " + named(unique))
                                .orElse("")
                        + pins(reference.pins()));
        reference.columns().stream()
                .filter(c -> !c.equals(ReferenceColumn.to(c.target())))
                .forEach(c -> say(
                        name + ", column " + named(c.target()),
                        "default " + named(c.defaultValue())
                                + c.sameAs()
                                        .map(other -> " same as " + named(other))
                                        .orElse("") + " comment "
                                + c.comment() + pins(c.pins())));
    }

    private String named(Id unique) {
        return design.entities().stream()
                .flatMap(e -> e.body().uniques().stream())
                .filter(u -> u.id().equals(unique))
                .map(u -> named(u.parts()))
                .findFirst()
                .orElse("?");
    }

    private void say(Domain domain) {
        say(
                "domain " + domain.name(),
                domain.base() + " check " + domain.check().dialect() + domain.check() + " default "
                        + domain.defaultValue() + " comment " + domain.comment() + pins(domain.pins()));
    }

    private String named(DataType type) {
        return design.domain(type).map(d -> "domain " + d.name()).orElse(type.toString());
    }

    private void say(String owner, Body body) {
        int place = 0;
        for (Attribute a : body.attributes()) {
            say(
                    owner + "." + a.name(),
                    "attribute " + ++place + " " + named(a.type()) + (a.optional() ? " optional" : "") + " "
                            + a.filling().kind() + " "
                            + a.filling().expression().dialect()
                            + named(a.filling().expression()) + " comment " + a.comment()
                            + (a.marks().isEmpty() ? "" : " marked " + a.marks())
                            + (a.pattern().isEmpty() ? "" : " pattern " + a.pattern()) + pins(a.pins()));
        }
        say(owner + ", key", named(body.key()));
        body.uniques().forEach(u -> say(owner + ", unique " + named(u.parts()), "there" + pins(u.pins())));
        body.checks()
                .forEach(c -> say(
                        owner + ", check " + named(c.expression()),
                        "in " + c.expression().dialect() + pins(c.pins())));
        body.indexes()
                .forEach(i -> say(
                        owner + ", index "
                                + i.parts().stream()
                                        .map(p -> named(p.value()) + (p.descending() ? " down" : ""))
                                        .collect(joining(", ")),
                        (i.unique() ? "unique" : "there") + ", often " + i.purpose()
                                + (i.only().isPresent() ? " where " + named(i.only()) : "") + pins(i.pins())));
        body.dependencies().forEach(d -> say(owner + ", dependency", named(d)));
        body.refused().forEach(d -> say(owner + ", refused dependency", named(d)));
        body.rows().forEach(row -> say(owner + ", row", named(row)));
    }

    private String named(Dependency d) {
        return named(d.from()) + (d.multivalued() ? " ->> " : " -> ") + named(d.to());
    }

    private static String pins(Pins pins) {
        return pins.equals(Pins.NONE) ? "" : " pinned " + pins;
    }

    private String named(Relationship r) {
        return half(r.first()) + " / " + half(r.second());
    }

    private String half(End end) {
        return end.cardinality() + " " + design.at(end).name() + " " + end.verb() + " as " + end.role();
    }

    private String named(List<? extends KeyPart> parts) {
        return parts.stream().map(this::named).collect(joining(", "));
    }

    private String named(KeyPart part) {
        if (part instanceof ColumnRef.Own own) {
            return design.attribute(own.id()).map(Attribute::name).orElse("?");
        }
        String through = part.through()
                .map(end -> end.side() + " of "
                        + design.relationship(end.relationship())
                                .map(this::named)
                                .orElse("?"))
                .orElse("?");
        return part instanceof ForeignColumn column ? "(" + through + ")." + named(column.target()) : through;
    }

    private String named(Expression<ColumnRef> expression) {
        return expression.written(this::named);
    }

    private String named(Row row) {
        var cells = new TreeMap<String, String>();
        row.values().forEach((id, value) -> cells.put(named((KeyPart) new ColumnRef.Own(id)), value));
        row.references().forEach((end, to) -> cells.put(named((KeyPart) new KeyPart.WholeReference(end)), named(to)));
        return cells.toString();
    }

    private String named(Row.Reference reference) {
        return reference instanceof Row.ToRow to ? "row " + keyOf(to.row()) : reference.toString();
    }

    private String keyOf(Id row) {
        for (Entity entity : design.entities()) {
            for (Row each : entity.body().rows()) {
                if (each.id().equals(row)) {
                    return entity.name() + each.values().values();
                }
            }
        }
        return "gone";
    }
}
