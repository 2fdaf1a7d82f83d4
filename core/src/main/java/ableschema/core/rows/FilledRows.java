package ableschema.core.rows;

import ableschema.core.design.Attribute;
import ableschema.core.design.Body;
import ableschema.core.design.ColumnRef;
import ableschema.core.design.Design;
import ableschema.core.design.EndRef;
import ableschema.core.design.Entity;
import ableschema.core.design.Id;
import ableschema.core.design.Reference;
import ableschema.core.design.Relationship;
import ableschema.core.design.Row;
import ableschema.core.expression.Expression;
import ableschema.core.mapping.Keys;
import ableschema.core.schema.Identity;
import ableschema.core.types.DataType;
import java.math.BigInteger;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;

/**
 * Gives sample rows what the database would fill in by itself where it can be known beforehand: numbers, constant defaults, and
 * new uuids, so that rows which refer to them can be written.
 */
public final class FilledRows {

    private FilledRows() {}

    public static Design of(Design design) {
        List<Entity> entities = design.entities().stream()
                .map(e -> e.withBody(referring(design, e.id(), filled(design, e.body()))))
                .toList();
        List<Relationship> relationships = design.relationships().stream()
                .map(r -> r.withBody(referring(design, r.id(), filled(design, r.body()))))
                .toList();
        return design.withAll(entities, relationships);
    }

    private static Body filled(Design design, Body body) {
        List<Row> rows = body.rows();
        if (rows.isEmpty()) {
            return body;
        }
        for (Attribute attribute : body.attributes()) {
            if (attribute.type() instanceof DataType.Counted counted) {
                rows = numbered(rows, attribute, new Identity(counted.start(), counted.step()));
            } else {
                rows = rows.stream()
                        .map(row -> row.value(attribute.id()).isPresent()
                                ? row
                                : filling(design, attribute, row)
                                        .map(value -> row.with(attribute.id(), value))
                                        .orElse(row))
                        .toList();
            }
        }
        return body.withRows(rows);
    }

    /** A reference that is given nowhere, and all of whose columns have a constant default, leads where the default says. */
    private static Body referring(Design design, Id owner, Body body) {
        List<Row> rows = body.rows();
        for (EndRef end : rows.isEmpty() ? List.<EndRef>of() : design.referencesOf(owner)) {
            Optional<Row.Reference> to = byDefault(design, end);
            if (to.isPresent()) {
                rows = rows.stream()
                        .map(row -> row.reference(end).isPresent() ? row : row.with(end, to))
                        .toList();
            }
        }
        return body.withRows(rows);
    }

    private static Optional<Row.Reference> byDefault(Design design, EndRef end) {
        Reference reference = design.relationship(end.relationship())
                .map(r -> r.end(end.side()).reference())
                .orElse(Reference.USUAL);
        if (reference.columns().stream().noneMatch(each -> each.defaultValue().isPresent())) {
            return Optional.empty(); // so it is for nearly all
        }
        var keys = new Keys(design);
        List<ColumnRef> key = keys.referencedBy(end);
        List<String> values = key.stream()
                .flatMap(column -> reference
                        .column(column)
                        .flatMap(each -> each.defaultValue().literal())
                        .stream())
                .toList();
        if (key.isEmpty() || values.size() < key.size()) {
            return Optional.empty();
        }
        var known = new RowValues(design);
        return Optional.of(design.target(end).map(Entity::body).stream()
                .flatMap(body -> body.rows().stream())
                .filter(row -> known.values(row, key).equals(values))
                .findFirst()
                .map(Row.Reference::to)
                .orElseGet(() -> new Row.RawKey(values)));
    }

    private static Optional<String> filling(Design design, Attribute attribute, Row row) {
        Optional<String> own = attribute.defaultValue().literal();
        if (own.isPresent()) {
            return own;
        }
        if (isNewUuid(attribute.defaultValue())) {
            return Optional.of(
                    UUID.nameUUIDFromBytes((row.id() + " " + attribute.id()).getBytes(StandardCharsets.UTF_8))
                            .toString());
        }
        return attribute.filling().isPresent()
                ? Optional.empty()
                : design.domain(attribute.type())
                        .flatMap(domain -> domain.defaultValue().literal());
    }

    private static boolean isNewUuid(Expression<ColumnRef> expression) {
        return expression.toString().strip().equalsIgnoreCase("new_uuid()");
    }

    /** Rows without a number get the next ones, in their order. */
    private static List<Row> numbered(List<Row> rows, Attribute attribute, Identity identity) {
        Optional<BigInteger> furthest = rows.stream()
                .flatMap(row -> row.value(attribute.id()).stream())
                .filter(text -> text.strip().matches("-?\\d{1,18}"))
                .map(text -> new BigInteger(text.strip()))
                .reduce((a, b) -> identity.isRising() ? a.max(b) : a.min(b));
        BigInteger next = furthest.flatMap(identity::after).orElse(BigInteger.valueOf(identity.start()));
        var numbered = new ArrayList<Row>();
        for (Row row : rows) {
            if (row.value(attribute.id()).isPresent()) {
                numbered.add(row);
            } else {
                numbered.add(row.with(attribute.id(), next.toString()));
                next = next.add(BigInteger.valueOf(identity.step()));
            }
        }
        return numbered;
    }
}
