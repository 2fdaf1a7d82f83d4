package ableschema.core.edit;

import ableschema.core.design.Attribute;
import ableschema.core.design.Body;
import ableschema.core.design.Cardinality;
import ableschema.core.design.Check;
import ableschema.core.design.ColumnRef;
import ableschema.core.design.Design;
import ableschema.core.design.End;
import ableschema.core.design.EndRef;
import ableschema.core.design.Entity;
import ableschema.core.design.ForeignColumn;
import ableschema.core.design.FreeName;
import ableschema.core.design.IdKind;
import ableschema.core.design.IdSource;
import ableschema.core.design.KeyPart;
import ableschema.core.design.Pins;
import ableschema.core.design.Relationship;
import ableschema.core.design.Row;
import ableschema.core.design.Side;
import ableschema.core.document.Edit;
import ableschema.core.expression.Expression;
import ableschema.core.mapping.Readdressing;
import ableschema.core.types.DataType;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;

/** What tells the pairings of a many-to-many apart: whether the same two may be paired again, and by what it is seen. */
final class PairingKeys {

    private final Design design;
    private final Relationship pairing;
    private final IdSource ids;

    /** @param pairing a many-to-many relationship */
    PairingKeys(Design design, Relationship pairing, IdSource ids) {
        this.design = design;
        this.pairing = pairing;
        this.ids = ids;
    }

    List<Way> ways() {
        Body body = pairing.body();
        List<Way> ways = new ArrayList<>();
        ways.add(keyed("the same two once", List.of()));
        for (Attribute each : body.attributes()) {
            if (tellsApart(each)) {
                ways.add(keyed("once for each " + each.name(), List.of(each.ref())));
            }
        }
        if (body.attributes().stream().noneMatch(PairingKeys::isMoment)) {
            ways.add(new Way("again from a moment on", lasting(), false));
        }
        ways.add(new Way("as often as there is reason to, each with a number", numbered(), false));
        return ways;
    }

    /** Amounts that happen to be equal tell nothing. */
    private static boolean tellsApart(Attribute attribute) {
        boolean amount = attribute.type() instanceof DataType.Decimal
                || attribute.type() instanceof DataType.Counted
                || attribute.type() == DataType.Simple.REAL;
        return !attribute.optional() && !attribute.filling().isComputed() && !amount;
    }

    private static boolean isMoment(Attribute attribute) {
        return attribute.type() == DataType.Simple.DATE
                || attribute.type() == DataType.Simple.MOMENT
                || attribute.type() == DataType.Simple.MOMENT_ANYWHERE;
    }

    private Way keyed(String label, List<KeyPart> key) {
        return new Way(
                label,
                new ChangeBody(pairing.id(), pairing.body().withKey(key), "pair " + label),
                pairing.body().key().equals(key));
    }

    /** From when, and until when, which is later. */
    private Edit lasting() {
        Attribute from =
                Attribute.named(ids.next(IdKind.ATTRIBUTE), free("from")).withType(DataType.Simple.MOMENT);
        Attribute until = Attribute.named(ids.next(IdKind.ATTRIBUTE), free("until"))
                .withType(DataType.Simple.MOMENT)
                .withOptional(true);
        Expression<ColumnRef> later = Expression.of(
                new Expression.Column<>(until.ref()),
                new Expression.Text<>(" > "),
                new Expression.Column<>(from.ref()));
        Body body = pairing.body();
        var checks = new ArrayList<>(body.checks());
        checks.add(new Check(ids.next(IdKind.CHECK), later, Pins.NONE));
        return new ChangeBody(
                pairing.id(),
                body.with(from).with(until).withKey(List.of(from.ref())).withChecks(checks),
                "pair again from a moment on");
    }

    private String free(String name) {
        return pairing.body().attribute(name).isPresent() ? name + " moment" : name;
    }

    /** An entity in its place, which refers to both; its rows keep their pairs and are numbered. */
    private Edit numbered() {
        String title = "give each pairing a number of its own";
        Entity entity = Entity.named(ids.next(IdKind.ENTITY), name());
        Relationship first = toSide(Side.FIRST, entity);
        Relationship second = toSide(Side.SECOND, entity);
        Map<EndRef, EndRef> ends = Map.of(
                pairing.ref(Side.FIRST), first.ref(Side.FIRST),
                pairing.ref(Side.SECOND), second.ref(Side.FIRST));
        Attribute number =
                Attribute.named(ids.next(IdKind.ATTRIBUTE), numberName()).withType(new DataType.Counted(1, 1));
        Body moved = new Readdressing(part -> List.of(part(part, ends)), column -> (ColumnRef) part(column, ends))
                .of(pairing.body());
        List<Row> rows = new ArrayList<>();
        for (Row row : pairing.body().rows()) {
            rows.add(row(row, ends).with(number.id(), String.valueOf(rows.size() + 1)));
        }
        Body body = moved.withAttributes(Stream.concat(Stream.of(number), moved.attributes().stream())
                        .toList())
                .withKey(List.of(number.ref()))
                .withRows(rows);
        return new Compound(
                title,
                List.of(
                        new Remove(List.of(pairing.id()), title),
                        new AddEntity(entity.withBody(body), Optional.empty()),
                        new PutRelationship(first, title),
                        new PutRelationship(second, title)));
    }

    private String numberName() {
        return pairing.body().attribute("no").isPresent() ? "own no" : "no";
    }

    private String name() {
        String name = pairing.noun().isEmpty()
                ? design.at(pairing.first()).name() + " "
                        + cased(design.at(pairing.second()).name(), false)
                : cased(pairing.noun(), true);
        return FreeName.of(name, each -> design.entity(each).isPresent());
    }

    /** With the first letter large or small; what is written large throughout stays so. */
    private static String cased(String name, boolean large) {
        int second = name.offsetByCodePoints(0, 1);
        String first = name.substring(0, second);
        boolean allLarge = name.length() > 1 && name.equals(name.toUpperCase(Locale.ROOT));
        return allLarge
                ? name
                : (large ? first.toUpperCase(Locale.ROOT) : first.toLowerCase(Locale.ROOT)) + name.substring(second);
    }

    /** One to many: what was at this side of the pairing, and the entity in its place. */
    private Relationship toSide(Side side, Entity entity) {
        End end = pairing.end(side);
        int least = pairing.end(side.other()).cardinality().min();
        return Relationship.between(
                ids.next(IdKind.RELATIONSHIP),
                new End(end.entity(), "has", Cardinality.EXACTLY_ONE, end.role()).with(end.reference()),
                new End(entity.id(), "is of", new Cardinality(least, Cardinality.MANY), ""));
    }

    private static KeyPart part(KeyPart part, Map<EndRef, EndRef> ends) {
        Optional<EndRef> moved = part.through().map(ends::get);
        if (moved.isEmpty()) {
            return part;
        }
        return part instanceof ForeignColumn column
                ? new ForeignColumn(moved.get(), column.target())
                : new KeyPart.WholeReference(moved.get());
    }

    private static Row row(Row row, Map<EndRef, EndRef> ends) {
        Row changed = row;
        for (Map.Entry<EndRef, EndRef> each : ends.entrySet()) {
            Optional<Row.Reference> to = changed.reference(each.getKey());
            changed = changed.with(each.getKey(), Optional.empty()).with(each.getValue(), to);
        }
        return changed;
    }
}
