package ableschema.core.keys;

import ableschema.core.design.Attribute;
import ableschema.core.design.Body;
import ableschema.core.design.ColumnRef;
import ableschema.core.design.Design;
import ableschema.core.design.Entity;
import ableschema.core.design.IdKind;
import ableschema.core.design.IdSource;
import ableschema.core.design.KeyPart;
import ableschema.core.design.Pins;
import ableschema.core.design.Row;
import ableschema.core.design.Unique;
import ableschema.core.document.Edit;
import ableschema.core.edit.ChangeBody;
import ableschema.core.edit.Edits;
import ableschema.core.expression.Expression;
import ableschema.core.keys.KeyCandidate.Point;
import ableschema.core.keys.KeyCandidate.Verdict;
import ableschema.core.mapping.Keys;
import ableschema.core.normalization.EntityTheory;
import ableschema.core.rows.RowValues;
import ableschema.core.theory.AttributeSet;
import ableschema.core.types.DataType;
import ableschema.core.words.Sentences;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.UUID;

/**
 * Finds what could be the key of an entity: its key now, its unique rules, what follows from its dependencies, what is
 * unique in its rows, and a number or a UUID made for the purpose.
 */
public final class KeyCandidates {

    private static final int MOST_NATURAL = 3;

    private final Design design;
    private final Entity entity;
    private final Body body;
    private final IdSource ids;
    private final Keys keys;
    private final RowValues values;
    private final EntityTheory theory;
    private final Sentences sentences;
    private final long children;

    private KeyCandidates(Design design, Entity entity, IdSource ids) {
        this.design = design;
        this.entity = entity;
        this.body = entity.body();
        this.ids = ids;
        this.keys = new Keys(design);
        this.values = new RowValues(design);
        this.theory = EntityTheory.of(design, entity);
        this.sentences = new Sentences(design);
        this.children = design.relationships().stream()
                .filter(r -> r.isManyToMany()
                        ? r.touches(entity.id())
                        : r.referencedSide()
                                .filter(s -> r.end(s).entity().equals(entity.id()))
                                .isPresent())
                .count();
    }

    /** @param named a candidate that the designer has named; empty for none */
    public static List<KeyCandidate> of(Design design, Entity entity, List<KeyPart> named, IdSource ids) {
        return new KeyCandidates(design, entity, ids).candidates(named);
    }

    /** Makes these parts the key; the key that was stays unique. */
    public static Edit choosing(Design design, Entity entity, List<KeyPart> parts, IdSource ids) {
        return new KeyCandidates(design, entity, ids).choose(parts);
    }

    /** Makes a number, counted by the database, the key. */
    public static Edit numbered(Design design, Entity entity, IdSource ids) {
        return new KeyCandidates(design, entity, ids).counted().choice();
    }

    /** Makes a UUID, made by the database, the key. */
    public static Edit withUuid(Design design, Entity entity, IdSource ids) {
        return new KeyCandidates(design, entity, ids).uuid().choice();
    }

    private List<KeyCandidate> candidates(List<KeyPart> named) {
        var candidates = new ArrayList<KeyCandidate>();
        for (List<KeyPart> parts : toCompare(named)) {
            candidates.add(natural(parts));
        }
        boolean hasNumber = body.attributes().stream().anyMatch(a -> a.type() instanceof DataType.Counted);
        boolean hasUuid = body.attributes().stream().anyMatch(a -> a.type() == DataType.Simple.UUID);
        if (!hasNumber) {
            candidates.add(counted());
        }
        if (!hasUuid) {
            candidates.add(uuid());
        }
        return candidates;
    }

    private Set<List<KeyPart>> toCompare(List<KeyPart> named) {
        var found = new LinkedHashSet<List<KeyPart>>();
        for (List<KeyPart> parts : List.of(body.key(), named)) {
            if (!parts.isEmpty()) {
                found.add(parts);
            }
        }
        body.uniques().forEach(unique -> found.add(unique.parts()));
        AttributeSet all = theory.analysis().relation().all();
        theory.analysis().keys().found().stream()
                .filter(key -> !key.equals(all))
                .forEach(key -> addUnlessKnown(found, theory.parts(key)));
        body.attributes().stream()
                .filter(a -> found.size() < 2)
                .filter(a -> !a.optional() && isShort(a) && clashes(List.of(a.ref())) == 0)
                .filter(a -> body.rows().size() > 1 || a.name().matches("(?i).*\\b(code|no|number|id)"))
                .forEach(a -> addUnlessKnown(found, List.of(a.ref())));
        return new LinkedHashSet<>(found.stream().limit(MOST_NATURAL).toList());
    }

    private static void addUnlessKnown(Set<List<KeyPart>> found, List<KeyPart> parts) {
        if (found.stream().noneMatch(known -> Set.copyOf(known).equals(Set.copyOf(parts)))) {
            found.add(parts);
        }
    }

    private static boolean isShort(Attribute attribute) {
        return attribute.type() instanceof DataType.Text text
                ? text.max() > 0 && text.max() <= 40
                : !(attribute.type() instanceof DataType.Decimal || attribute.type() == DataType.Simple.REAL);
    }

    private KeyCandidate natural(List<KeyPart> parts) {
        String name = String.join(" + ", parts.stream().map(sentences::called).toList());
        boolean follows = theory.analysis().keys().found().stream()
                .anyMatch(key -> theory.set(parts).containsAll(key));
        boolean optional = parts.stream().anyMatch(this::isOptional);
        long clashes = clashes(parts);
        boolean numbered = types(parts).stream().anyMatch(DataType.Counted.class::isInstance);
        boolean made = types(parts).contains(DataType.Simple.UUID);
        var points = List.of(
                follows
                        ? new Point("Follows from the rules", "yes", Verdict.GOOD)
                        : new Point("Follows from the rules", "not stated", Verdict.NEUTRAL),
                inRows(clashes),
                optional
                        ? new Point("Always there", "may be empty", Verdict.BAD)
                        : new Point("Always there", "yes", Verdict.GOOD),
                numbered
                        ? new Point("Made in several places", "two copies clash", Verdict.BAD)
                        : new Point("Made in several places", "yes", Verdict.GOOD),
                numbered || made
                        ? new Point("Known to people", made ? "no" : "only a number", Verdict.NEUTRAL)
                        : new Point("Known to people", "yes", Verdict.GOOD),
                bytes(types(parts)));
        String note =
                parts.size() > 1 ? parts.size() + " parts, one key" : numbered ? "counted" : made ? "made" : "given";
        return new KeyCandidate(name, note, points, parts.equals(body.key()), choose(parts));
    }

    private Point inRows(long clashes) {
        int count = body.rows().size();
        String question = "In the " + (count == 1 ? "1 row" : count + " rows");
        if (count == 0) {
            return new Point("In the sample rows", "no rows yet", Verdict.NEUTRAL);
        }
        return clashes == 0
                ? new Point(question, "no two alike", Verdict.GOOD)
                : new Point(question, clashes == 1 ? "1 row clashes" : clashes + " rows clash", Verdict.BAD);
    }

    private boolean isOptional(KeyPart part) {
        return part instanceof ColumnRef.Own own
                ? body.attribute(own.id()).filter(Attribute::optional).isPresent()
                : part.through().filter(design::isOptional).isPresent();
    }

    /** How many rows have the values of an earlier one. */
    private long clashes(List<KeyPart> parts) {
        List<ColumnRef> columns = keys.columns(entity.id(), parts);
        var seen = new LinkedHashSet<List<String>>();
        return body.rows().stream()
                .map(row -> values.values(row, columns))
                .filter(found -> found.stream().noneMatch(String::isEmpty))
                .filter(found -> !seen.add(found))
                .count();
    }

    private List<DataType> types(List<KeyPart> parts) {
        return keys.columns(entity.id(), parts).stream().map(keys::type).toList();
    }

    private Point bytes(List<DataType> types) {
        int here = types.stream().mapToInt(KeyCandidates::bytes).sum();
        String question = children == 0
                ? "Bytes a row, at most"
                : "Bytes: here / in " + children + (children == 1 ? " child" : " children");
        String answer = children == 0 ? here + "" : here + " / " + here * children;
        return new Point(question, answer, here > 24 ? Verdict.NEUTRAL : Verdict.GOOD);
    }

    private static int bytes(DataType type) {
        if (type instanceof DataType.Text text) {
            return text.max() == 0 ? 64 : text.max();
        }
        if (type instanceof DataType.Whole whole) {
            return whole.largest() == 0 || whole.largest() > Short.MAX_VALUE ? 4 : 2;
        }
        return type == DataType.Simple.UUID
                ? 16
                : type == DataType.Simple.YEAR ? 2 : type instanceof DataType.Decimal d ? d.precision() / 2 + 1 : 8;
    }

    /** Chooses these parts; the key that was stays unique, as others may rely on it. */
    private Edit choose(List<KeyPart> parts) {
        Edit chosen = new Edits(design, ids).chooseKey(entity.id(), parts);
        return new ChangeBody(entity.id(), keepingOldKey(required(body, parts).withKey(parts)), chosen.name());
    }

    /** A part of a key is never empty. */
    private static Body required(Body body, List<KeyPart> key) {
        return body.withAttributes(body.attributes().stream()
                .map(a -> key.contains(a.ref()) ? a.withOptional(false) : a)
                .toList());
    }

    private Body keepingOldKey(Body changed) {
        List<Unique> uniques = new ArrayList<>(changed.uniques());
        uniques.removeIf(unique -> unique.parts().equals(changed.key()));
        boolean widened = changed.key().containsAll(body.key());
        if (!body.key().isEmpty()
                && !widened
                && uniques.stream().noneMatch(u -> u.parts().equals(body.key()))) {
            uniques.add(new Unique(ids.next(IdKind.UNIQUE), body.key(), Pins.NONE));
        }
        return changed.withUniques(uniques);
    }

    private KeyCandidate counted() {
        String name = free(entity.name().toLowerCase(Locale.ROOT) + " no");
        var attribute = Attribute.named(ids.next(IdKind.ATTRIBUTE), name).withType(new DataType.Counted(1, 1));
        var rows = new ArrayList<Row>();
        for (Row row : body.rows()) {
            rows.add(row.with(attribute.id(), Integer.toString(rows.size() + 1)));
        }
        return made(
                attribute,
                "counted 1, 2, 3 …",
                rows,
                new Point("Made in several places", "two copies clash", Verdict.BAD),
                new Point("Known to people", "only a number", Verdict.NEUTRAL));
    }

    private KeyCandidate uuid() {
        var attribute = Attribute.named(ids.next(IdKind.ATTRIBUTE), free("id"))
                .withType(DataType.Simple.UUID)
                .withDefault(Expression.of(new Expression.Text<>("new_uuid()")));
        List<Row> rows = body.rows().stream()
                .map(row -> row.with(
                        attribute.id(),
                        UUID.nameUUIDFromBytes(row.id().toString().getBytes(StandardCharsets.UTF_8))
                                .toString()))
                .toList();
        return made(
                attribute,
                "UUID, made by the database",
                rows,
                new Point("Made in several places", "yes", Verdict.GOOD),
                new Point("Known to people", "no: a code beside it", Verdict.NEUTRAL));
    }

    /** A candidate that does not exist yet: an attribute made to be the key. */
    private KeyCandidate made(Attribute attribute, String note, List<Row> rows, Point inSeveralPlaces, Point known) {
        var points = List.of(
                new Point("Follows from the rules", "by making it", Verdict.GOOD),
                inRows(0),
                new Point("Always there", "yes", Verdict.GOOD),
                inSeveralPlaces,
                known,
                bytes(List.of(attribute.type().asReferenced())));
        return new KeyCandidate(attribute.name(), note, points, false, make(attribute, rows));
    }

    private String free(String wanted) {
        String free = wanted;
        for (int number = 2; body.attribute(free).isPresent(); number++) {
            free = wanted + " " + number;
        }
        return free;
    }

    private Edit make(Attribute attribute, List<Row> rows) {
        var attributes = new ArrayList<Attribute>();
        attributes.add(attribute);
        attributes.addAll(body.attributes());
        Body changed = body.withAttributes(attributes).withRows(rows).withKey(List.of(attribute.ref()));
        return new ChangeBody(
                entity.id(), keepingOldKey(changed), "make " + attribute.name() + " the key of " + entity.name());
    }
}
