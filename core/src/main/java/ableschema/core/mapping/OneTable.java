package ableschema.core.mapping;

import static java.util.stream.Collectors.joining;

import ableschema.core.design.Attribute;
import ableschema.core.design.Body;
import ableschema.core.design.Cardinality;
import ableschema.core.design.Check;
import ableschema.core.design.ColumnRef;
import ableschema.core.design.Condition;
import ableschema.core.design.Design;
import ableschema.core.design.End;
import ableschema.core.design.EndRef;
import ableschema.core.design.Entity;
import ableschema.core.design.ForeignColumn;
import ableschema.core.design.Id;
import ableschema.core.design.IdKind;
import ableschema.core.design.KeyPart;
import ableschema.core.design.Lists;
import ableschema.core.design.Pins;
import ableschema.core.design.Relationship;
import ableschema.core.design.Side;
import ableschema.core.design.SubtypeLayout;
import ableschema.core.design.Unique;
import ableschema.core.expression.Expression;
import ableschema.core.mapping.Gap.Kind;
import ableschema.core.types.DataType;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;

/**
 * Lays kinds into the entity that they are kinds of, nested ones too: their attributes become optional ones of the general
 * entity, one column says of which kind a row is, and what was mandatory for a kind is checked for its rows and those of the
 * kinds of it. A kind of two entities lies in the first one's table and refers to the other.
 */
final class OneTable {

    private static final String DISCRIMINATOR = "kind";

    private final Design given;
    /** By kind, the relationship that lays it into its general entity. */
    private final Map<Id, Relationship> up = new LinkedHashMap<>();

    private final List<Gap> gaps = new ArrayList<>();
    private Design built;

    OneTable(Design design) {
        this.given = design;
        this.built = design;
        PhysicalDesign.sharing(design).forEach(this::lay);
    }

    private void lay(Relationship kind) {
        Id special = kind.second().entity();
        if (up.containsKey(special) || rootOf(kind.first().entity()).equals(special)) {
            gaps.add(new Gap(
                    Kind.KIND_OF_TWO,
                    kind.id(),
                    rootOf(special),
                    given.at(kind.second()).name() + " is a kind of two: its rows lie with the first, and refer to "
                            + given.at(kind.first()).name()));
        } else {
            up.put(special, kind);
        }
    }

    /** The entity in whose table the rows of this one lie. */
    Id rootOf(Id entity) {
        Id root = entity;
        while (up.containsKey(root)) {
            root = up.get(root).first().entity();
        }
        return root;
    }

    List<Gap> gaps() {
        return gaps;
    }

    /** The design with all kinds laid in; the same instance where there are none. */
    Design design() {
        if (up.isEmpty()) {
            return given;
        }
        var merged = new LinkedHashMap<Id, Body>();
        Map<Id, List<Id>> kinds = new LinkedHashMap<>();
        for (Entity entity : given.entities()) {
            if (up.containsKey(entity.id())) {
                kinds.computeIfAbsent(rootOf(entity.id()), root -> new ArrayList<>())
                        .add(entity.id());
            }
        }
        var rows = new KindRows(given, up, this::rootOf, this::discriminatorId);
        kinds.forEach((root, of) -> merged.put(root, merged(root, outermostFirst(of), rows)));
        List<Entity> entities = given.entities().stream()
                .filter(e -> !up.containsKey(e.id()))
                .map(e -> e.withBody(merged.containsKey(e.id()) ? merged.get(e.id()) : readdressed(e.body(), rows)))
                .toList();
        Set<Id> gone = new HashSet<>();
        up.values().forEach(r -> gone.add(r.id()));
        List<Relationship> relationships = given.relationships().stream()
                .filter(r -> !gone.contains(r.id()))
                .map(r -> moved(r).withBody(readdressed(r.body(), rows)))
                .toList();
        built = Design.of(entities, relationships).withDomains(given.domains()).with(given.notes());
        return withMandatoryReferences(kinds);
    }

    private List<Id> outermostFirst(List<Id> kinds) {
        var sorted = new ArrayList<>(kinds);
        sorted.sort((a, b) -> Integer.compare(depth(a), depth(b)));
        return sorted;
    }

    private int depth(Id kind) {
        int depth = 0;
        for (Id at = kind; up.containsKey(at); at = up.get(at).first().entity()) {
            depth++;
        }
        return depth;
    }

    private Entity entity(Id id) {
        return given.entity(id).orElseThrow(); // kinds and their general entities are in the design
    }

    private Id discriminatorId(Id root) {
        return Id.derived(IdKind.ATTRIBUTE, "kind of " + root);
    }

    private Attribute discriminator(Entity root, List<Id> kinds) {
        boolean taken = Stream.concat(Stream.of(root.id()), kinds.stream())
                .anyMatch(id -> entity(id).body().attribute(DISCRIMINATOR).isPresent());
        int longest = Stream.concat(Stream.of(root.id()), kinds.stream())
                .mapToInt(id ->
                        entity(id).name().codePointCount(0, entity(id).name().length()))
                .max()
                .orElse(1);
        return Attribute.named(discriminatorId(root.id()), taken ? DISCRIMINATOR + " of " + root.name() : DISCRIMINATOR)
                .withType(new DataType.Text(longest));
    }

    private Body merged(Id rootId, List<Id> kinds, KindRows rows) {
        Entity root = entity(rootId);
        Attribute says = discriminator(root, kinds);
        Body body = readdressed(root.body(), rows);
        var attributes = new ArrayList<>(body.attributes());
        attributes.add(says);
        var uniques = new ArrayList<>(body.uniques());
        var checks = new ArrayList<>(body.checks());
        var indexes = new ArrayList<>(body.indexes());
        checks.add(kindsCheck(root, kinds, says));
        for (Id id : kinds) {
            Entity special = entity(id);
            Body own = readdressed(special.body(), rows);
            for (Attribute attribute : own.attributes()) {
                attributes.add(ofKind(attribute, special, attributes, rootId));
                if (!attribute.optional() && !attribute.filling().isComputed()) {
                    checks.add(mandatory(
                            Id.derived(IdKind.CHECK, "mandatory " + attribute.id()),
                            says,
                            namesOf(id, kinds),
                            List.of(attribute.ref())));
                }
            }
            uniques.addAll(own.uniques());
            alternateKey(special, own, body).ifPresent(uniques::add);
            checks.addAll(own.checks());
            indexes.addAll(own.indexes());
        }
        return body.withAttributes(attributes)
                .withUniques(uniques)
                .withIndexes(indexes)
                .withChecks(checks)
                .withRows(rows.of(rootId));
    }

    private Attribute ofKind(Attribute attribute, Entity special, List<Attribute> beside, Id root) {
        boolean taken = beside.stream().anyMatch(a -> a.name().equalsIgnoreCase(attribute.name()));
        if (attribute.defaultValue().isPresent()) {
            gaps.add(new Gap(
                    Kind.DEFAULT_OF_KIND,
                    attribute.id(),
                    root,
                    "the default of " + attribute.name() + " of " + special.name()
                            + " fills it in rows of other kinds too, where nothing is given"));
        }
        Attribute optional = attribute.withOptional(true);
        return taken ? optional.withName(special.name() + " " + attribute.name()) : optional;
    }

    /** A key of the kind's own stays unique; one that holds all of the general key says nothing beyond it. */
    private static Optional<Unique> alternateKey(Entity special, Body own, Body general) {
        boolean says = !own.key().isEmpty() && !own.key().containsAll(general.key())
                || general.key().isEmpty() && !own.key().isEmpty();
        return says
                ? Optional.of(new Unique(Id.derived(IdKind.UNIQUE, "key of " + special.id()), own.key(), Pins.NONE))
                : Optional.empty();
    }

    private Check kindsCheck(Entity root, List<Id> kinds, Attribute says) {
        var names = new ArrayList<>(List.of(root.name()));
        kinds.forEach(id -> names.add(entity(id).name()));
        var oneOf = new Condition.OneOf(says.ref(), names);
        return new Check(Id.derived(IdKind.CHECK, "kinds of " + root.id()), oneOf.expression(says.type()), Pins.NONE);
    }

    /** The names of a kind and of all kinds of it. */
    private List<String> namesOf(Id kind, List<Id> kinds) {
        return kinds.stream()
                .filter(each -> isWithin(each, kind))
                .map(each -> entity(each).name())
                .toList();
    }

    private boolean isWithin(Id kind, Id general) {
        Id at = kind;
        while (!at.equals(general) && up.containsKey(at)) {
            at = up.get(at).first().entity();
        }
        return at.equals(general);
    }

    /** A row of these kinds must have what they must have. */
    private static Check mandatory(Id id, Attribute says, List<String> kinds, List<ColumnRef> columns) {
        String names = kinds.stream()
                .map(name -> Expression.literal(says.type(), name))
                .collect(joining(", "));
        var pieces = new ArrayList<Expression.Piece<ColumnRef>>();
        pieces.add(new Expression.Column<>(says.ref()));
        pieces.add(new Expression.Text<>(kinds.size() == 1 ? " <> " + names : " not in (" + names + ")"));
        String before = columns.size() == 1 ? " or " : " or (";
        for (ColumnRef column : columns) {
            pieces.add(new Expression.Text<>(before));
            pieces.add(new Expression.Column<>(column));
            pieces.add(new Expression.Text<>(" is not null"));
            before = " and ";
        }
        if (columns.size() > 1) {
            pieces.add(new Expression.Text<>(")"));
        }
        return new Check(id, new Expression<>(pieces, ""), Pins.NONE);
    }

    /** Checks that rows of a kind refer to what the kind must refer to. */
    private Design withMandatoryReferences(Map<Id, List<Id>> kinds) {
        var keys = new Keys(built);
        var changed = new LinkedHashMap<Id, Body>();
        for (Relationship before : given.relationships()) {
            Optional<Id> kind = before.referencing().filter(up::containsKey);
            Optional<Relationship> now = built.relationship(before.id());
            if (kind.isEmpty() || now.isEmpty() || before.referencedSide().isEmpty()) {
                continue;
            }
            Side side = before.referencedSide().get();
            if (before.end(side).cardinality().isMandatory()) {
                Id root = rootOf(kind.get());
                Attribute says = built.attribute(discriminatorId(root)).orElseThrow(); // each merged root has it
                List<ColumnRef> columns = keys.referring(before.ref(side)).stream()
                        .map(keys::resolved)
                        .toList();
                Check check = mandatory(
                        Id.derived(IdKind.CHECK, "mandatory " + before.id()),
                        says,
                        namesOf(kind.get(), kinds.getOrDefault(root, List.of())),
                        columns);
                Body body = changed.getOrDefault(root, built.body(root).orElse(Body.EMPTY));
                changed.put(root, body.withChecks(Lists.plus(body.checks(), check)));
            }
        }
        return built.withAll(
                changed.keySet().stream()
                        .flatMap(id -> built.entity(id).stream())
                        .map(e -> e.withBody(changed.getOrDefault(e.id(), e.body())))
                        .toList(),
                List.of());
    }

    private Relationship moved(Relationship relationship) {
        Relationship moved = relationship;
        Optional<Side> referenced = relationship.referencedSide();
        for (Side side : Side.values()) {
            End end = moved.end(side);
            if (up.containsKey(end.entity())) {
                moved = moved.with(side, end.withEntity(rootOf(end.entity())));
                if (referenced.filter(side.other()::equals).isPresent()) {
                    // rows of other kinds refer to nothing
                    End target = moved.end(side.other());
                    moved = moved.with(
                            side.other(),
                            target.withCardinality(
                                    new Cardinality(0, target.cardinality().max())));
                }
                if (referenced.isEmpty() || referenced.get() == side) {
                    referenceToKind(relationship, side);
                }
            }
        }
        return moved.isSubtype() && up.containsKey(relationship.second().entity())
                ? moved.withSubtype(SubtypeLayout.NONE)
                : moved;
    }

    private void referenceToKind(Relationship relationship, Side side) {
        Entity special = given.at(relationship.end(side));
        Id holder = relationship.referencing().map(this::rootOf).orElse(relationship.id());
        gaps.add(new Gap(
                Kind.REFERENCE_TO_KIND,
                relationship.id(),
                holder,
                given.nameOf(holder) + " refers to "
                        + entity(rootOf(special.id())).name() + ": that the row is of kind " + special.name()
                        + " is left to the application"));
    }

    private Body readdressed(Body body, KindRows rows) {
        return new Readdressing(this::part, this::column).of(body).withRows(rows.rereferred(body.rows()));
    }

    /** What stands for a key part: the general key where it was the reference that makes a kind. */
    private List<KeyPart> part(KeyPart part) {
        if (part instanceof KeyPart.WholeReference whole) {
            return general(whole.end())
                    .map(general -> general.body().key().stream()
                            .flatMap(each -> part(each).stream())
                            .toList())
                    .orElse(List.of(part));
        }
        return List.of(column((ColumnRef) part));
    }

    private ColumnRef column(ColumnRef column) {
        if (column instanceof ForeignColumn foreign) {
            ColumnRef target = column(foreign.target());
            if (general(foreign.end()).isPresent()) {
                return target;
            }
            return target == foreign.target() ? column : new ForeignColumn(foreign.end(), target);
        }
        return column;
    }

    /** The general entity where this is the end by which a kind refers to it. */
    private Optional<Entity> general(EndRef end) {
        return given.relationship(end.relationship())
                .filter(r -> end.side() == Side.FIRST && up.get(r.second().entity()) == r)
                .map(r -> given.at(r.first()));
    }
}
