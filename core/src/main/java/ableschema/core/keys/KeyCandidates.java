package ableschema.core.keys;

import ableschema.core.design.Attribute;
import ableschema.core.design.Body;
import ableschema.core.design.Design;
import ableschema.core.design.Entity;
import ableschema.core.design.IdKind;
import ableschema.core.design.IdSource;
import ableschema.core.design.KeyPart;
import ableschema.core.design.Pins;
import ableschema.core.design.Unique;
import ableschema.core.document.Edit;
import ableschema.core.edit.ChangeBody;
import ableschema.core.edit.ChangeKey;
import ableschema.core.edit.Edits;
import ableschema.core.edit.MadeKey;
import ableschema.core.keys.KeyCandidate.Clash;
import ableschema.core.normalization.EntityTheory;
import ableschema.core.sql.dialect.Dialect;
import ableschema.core.sql.dialect.Dialects;
import ableschema.core.theory.AttributeSet;
import ableschema.core.types.DataType;
import ableschema.core.words.Sentences;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;

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
    private final EntityTheory theory;
    private final Sentences sentences;
    private final KeyPoints points;

    private KeyCandidates(Design design, Entity entity, Dialect dialect, IdSource ids) {
        this.design = design;
        this.entity = entity;
        this.body = entity.body();
        this.ids = ids;
        this.theory = EntityTheory.of(design, entity);
        this.sentences = new Sentences(design);
        this.points = new KeyPoints(design, entity, dialect, theory);
    }

    /**
     * @param dialect in which keys take so many bytes
     * @param named   a candidate that the designer has named; empty for none
     */
    public static List<KeyCandidate> of(
            Design design, Entity entity, Dialect dialect, List<KeyPart> named, IdSource ids) {
        return new KeyCandidates(design, entity, dialect, ids).candidates(named);
    }

    /** Makes these parts the key; the key that was stays unique. */
    public static Edit choosing(Design design, Entity entity, List<KeyPart> parts, IdSource ids) {
        return new KeyCandidates(design, entity, Dialects.STANDARD, ids).choose(parts);
    }

    /** Makes a number, counted by the database, the key. */
    public static Edit numbered(Design design, Entity entity, IdSource ids) {
        return new KeyCandidates(design, entity, Dialects.STANDARD, ids)
                .counted()
                .choice();
    }

    /** Makes a UUID, made by the database, the key. */
    public static Edit withUuid(Design design, Entity entity, IdSource ids) {
        return new KeyCandidates(design, entity, Dialects.STANDARD, ids).uuid().choice();
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
                .filter(a -> !a.optional()
                        && isShort(a)
                        && points.clashes(List.of(a.ref())).isEmpty())
                .filter(a -> body.rows().size() > 1 || KeyPoints.isCode(a.name()))
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
        List<DataType> types = points.types(parts);
        boolean numbered = types.stream().anyMatch(DataType.Counted.class::isInstance);
        boolean made = types.contains(DataType.Simple.UUID);
        String note =
                parts.size() > 1 ? parts.size() + " parts, one key" : numbered ? "counted" : made ? "made" : "given";
        List<Clash> clashes = points.clashes(parts);
        return new KeyCandidate(
                name,
                note,
                numbered || made,
                parts,
                points.of(parts, clashes),
                clashes,
                parts.equals(body.key()),
                choose(parts));
    }

    /** Chooses these parts; the key that was stays unique, as others may rely on it. */
    private Edit choose(List<KeyPart> parts) {
        Edit chosen = new Edits(design, ids).chooseKey(entity.id(), parts);
        Body changed = keepingOldKey(required(body, parts).withKey(parts));
        return new ChangeKey(new ChangeBody(entity.id(), changed, chosen.name()));
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
        boolean here = body.key().stream()
                .flatMap(part -> part.through().stream())
                .allMatch(design.referencesOf(entity.id())::contains);
        if (!body.key().isEmpty()
                && here
                && !widened
                && uniques.stream().noneMatch(u -> u.parts().equals(body.key()))) {
            uniques.add(new Unique(ids.next(IdKind.UNIQUE), body.key(), Pins.NONE));
        }
        return changed.withUniques(uniques);
    }

    private KeyCandidate counted() {
        return made(MadeKey.counted(entity.name(), body, ids), "counted 1, 2, 3 …");
    }

    private KeyCandidate uuid() {
        return made(MadeKey.uuid(body, ids), "UUID, made by the database");
    }

    /** A candidate that does not exist yet: an attribute made to be the key. */
    private KeyCandidate made(MadeKey key, String note) {
        String name = key.attribute().name();
        Edit edit = new ChangeBody(
                entity.id(), keepingOldKey(key.in(body)), "make " + name + " the key of " + entity.name());
        return new KeyCandidate(
                name,
                note,
                true,
                List.of(),
                points.ofMade(key.attribute().type()),
                List.of(),
                false,
                new ChangeKey(edit));
    }
}
