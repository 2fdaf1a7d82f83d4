package ableschema.engine;

import ableschema.core.design.Attribute;
import ableschema.core.design.Body;
import ableschema.core.design.Cardinality;
import ableschema.core.design.Check;
import ableschema.core.design.ColumnRef;
import ableschema.core.design.Condition;
import ableschema.core.design.Design;
import ableschema.core.design.Domain;
import ableschema.core.design.End;
import ableschema.core.design.EndRef;
import ableschema.core.design.Entity;
import ableschema.core.design.Id;
import ableschema.core.design.IdKind;
import ableschema.core.design.IdSource;
import ableschema.core.design.Index;
import ableschema.core.design.KeyPart;
import ableschema.core.design.Lists;
import ableschema.core.design.Pins;
import ableschema.core.design.Reference;
import ableschema.core.design.Relationship;
import ableschema.core.design.Row;
import ableschema.core.design.Side;
import ableschema.core.design.SubtypeLayout;
import ableschema.core.design.Unique;
import ableschema.core.document.Document;
import ableschema.core.edit.SubtypeEdits;
import ableschema.core.expression.Expression;
import ableschema.core.expression.Filling;
import ableschema.core.sql.Script;
import ableschema.core.types.DataType;
import ableschema.core.types.DataTypes;
import ableschema.core.types.ReferenceAction;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.UUID;

/** Makes designs of all kinds of entities, relationships and types, with rows that break no rule; the same for a seed. */
final class RandomDesign {

    private static final List<String> TYPES = List.of(
            "text 40",
            "text",
            "whole",
            "whole 300",
            "whole 9000000000",
            "decimal 8,3",
            "real",
            "yes/no",
            "year",
            "date",
            "time",
            "moment",
            "moment anywhere",
            "uuid",
            "json",
            "bytes 40",
            "list (white, sage, \"a, b\")");

    private final IdSource ids;
    private final Random random;
    private final List<Entity> entities = new ArrayList<>();
    private final List<Relationship> relationships = new ArrayList<>();
    private final List<Domain> domains;

    private RandomDesign(long seed) {
        this.ids = IdSource.seeded(seed);
        this.random = new Random(seed);
        this.domains = List.of(
                Domain.named(ids.next(IdKind.DOMAIN), "amount", DataTypes.parse("whole 300"))
                        .withCheck(Expression.parse("{value} >= 0", Domain.Value::parse))
                        .withDefault(Expression.text("7")),
                Domain.named(ids.next(IdKind.DOMAIN), "wording", DataTypes.parse("text 40")));
    }

    /** Whether a script leaves out a row, or a rule that rows are held to: an index that only speeds things up holds none. */
    static boolean leavesOut(Script script) {
        return script.text().replaceAll("_index\\w*: it is left out\\.", "").contains("left out");
    }

    static Document of(long seed) {
        var made = new RandomDesign(seed);
        made.makeEntities();
        made.makeRelationships();
        Design design =
                made.weakened(Design.of(made.entities, made.relationships).withDomains(made.domains));
        return Document.EMPTY.with(made.filled(design));
    }

    private void makeEntities() {
        int count = 2 + random.nextInt(6);
        for (int i = 0; i < count; i++) {
            var attributes = new ArrayList<Attribute>();
            attributes.add(Attribute.named(ids.next(IdKind.ATTRIBUTE), "thing " + i + " no")
                    .withType(keyType()));
            for (int j = random.nextInt(6); j >= 0; j--) {
                attributes.add(field("field " + j));
            }
            attributes.addAll(computed(attributes));
            Body body = Body.EMPTY
                    .withAttributes(attributes)
                    .withKey(List.of(attributes.get(0).ref()));
            Attribute second = attributes.get(1);
            boolean telling = second.type() instanceof DataType.Text text && text.max() > 0;
            // a value that fills every row cannot tell them apart
            if (telling && !second.filling().isPresent() && random.nextInt(2) == 0) {
                body = body.withUniques(List.of(new Unique(ids.next(IdKind.UNIQUE), List.of(second.ref()), Pins.NONE)));
            }
            Entity entity = Entity.named(ids.next(IdKind.ENTITY), "Thing " + i).withBody(ruled(body, attributes));
            entities.add(random.nextInt(5) > 0 ? entity : entity.withPins(pinned(i)));
        }
    }

    private Attribute field(String name) {
        DataType type = random.nextInt(6) > 0
                ? DataTypes.parse(TYPES.get(random.nextInt(TYPES.size())))
                : new DataType.InDomain(
                        domains.get(random.nextInt(domains.size())).id().toString());
        Attribute field =
                Attribute.named(ids.next(IdKind.ATTRIBUTE), name).withType(type).withOptional(random.nextBoolean());
        boolean plain = type != DataType.Simple.JSON
                && !(type instanceof DataType.Bytes)
                && !(type instanceof DataType.InDomain);
        if (plain && random.nextInt(4) == 0) {
            String value = Expression.literal(field.type(), value(field.type(), 1));
            field = field.withDefault(Expression.text(value));
        }
        return random.nextInt(8) > 0
                ? field
                : field.withPins(Pins.NONE.withName("Own " + name).withPlace(1 + random.nextInt(4)));
    }

    /** One that is computed from a number beside it, where there is such a number. */
    private List<Attribute> computed(List<Attribute> beside) {
        return beside.stream()
                .skip(1) // servers compute nothing from a column that numbers itself
                .filter(each -> base(each.type()) instanceof DataType.Whole)
                .limit(1)
                .map(each -> Attribute.named(ids.next(IdKind.ATTRIBUTE), "one more")
                        .withType(new DataType.Whole(0))
                        .withOptional(true)
                        .withFilling(Filling.computed(
                                Expression.of(new Expression.Column<>(each.ref()), new Expression.Text<>(" + 1")))))
                .toList();
    }

    private DataType base(DataType type) {
        return domains.stream()
                .filter(each -> type.equals(new DataType.InDomain(each.id().toString())))
                .map(Domain::base)
                .findFirst()
                .orElse(type);
    }

    private static Pins pinned(int i) {
        return Pins.NONE.withName("Own thing " + i).withName(Pins.Role.KEY, "PK_" + i);
    }

    /** Adds checks and indexes that the rows made later keep to. */
    private Body ruled(Body body, List<Attribute> attributes) {
        Body ruled = body;
        for (Attribute each : attributes) {
            boolean small = each.type() instanceof DataType.Whole whole && whole.largest() < 1000;
            if (small && random.nextBoolean()) {
                var range = new Condition.Range(each.ref(), "0", "9999");
                ruled = ruled.withChecks(Lists.plus(
                        ruled.checks(), new Check(ids.next(IdKind.CHECK), range.expression(each.type()), Pins.NONE)));
            }
            boolean text = each.type() instanceof DataType.Text words && words.max() > 0;
            if (text && random.nextInt(3) == 0) {
                ruled = ruled.withIndexes(Lists.plus(ruled.indexes(), made(each, attributes)));
            }
            if (text && random.nextInt(3) == 0) {
                var looks = Expression.parse(
                        "{" + each.ref() + "} not like '%9%' or {" + each.ref() + "} like '_9_%'", ColumnRef::parse);
                ruled = ruled.withChecks(
                        Lists.plus(ruled.checks(), new Check(ids.next(IdKind.CHECK), looks, Pins.NONE)));
            }
            boolean indexed = each.type() instanceof DataType.Whole || each.type() == DataType.Simple.DATE;
            if (indexed && random.nextInt(3) == 0) {
                var parts = List.of(
                        new Index.Part(each.ref(), random.nextBoolean()),
                        new Index.Part(attributes.get(0).ref(), false));
                ruled = ruled.withIndexes(Lists.plus(
                        ruled.indexes(), new Index(ids.next(IdKind.INDEX), parts, random.nextInt(4) == 0, Pins.NONE)));
            }
        }
        return ruled;
    }

    /** An index over what is made of a text, over some rows, or both; unique now and then. */
    private Index made(Attribute text, List<Attribute> beside) {
        Expression<ColumnRef> lower = Expression.parse("lower({" + text.ref() + "})", ColumnRef::parse);
        Attribute other = beside.get(random.nextInt(beside.size()));
        String empty = random.nextBoolean() ? "is null" : "is not null";
        boolean some = random.nextBoolean();
        return new Index(
                ids.next(IdKind.INDEX),
                List.of(
                        random.nextBoolean()
                                ? new Index.Part(lower, false)
                                : new Index.Part(text.ref(), random.nextBoolean())),
                random.nextBoolean(),
                Index.Purpose.SEARCHED,
                some ? Expression.parse("{" + other.ref() + "} " + empty, ColumnRef::parse) : Expression.none(),
                Pins.NONE);
    }

    private DataType keyType() {
        return switch (random.nextInt(4)) {
            case 0 -> new DataType.Counted(1 + random.nextInt(100), 1 + random.nextInt(3));
            case 1 -> new DataType.Whole(0);
            case 2 -> DataType.Simple.UUID;
            default -> new DataType.Text(20);
        };
    }

    private void makeRelationships() {
        for (int i = random.nextInt(3 + entities.size()); i >= 0; i--) {
            End first = new End(entity().id(), "relates to", cardinality(), random.nextInt(4) == 0 ? "part" + i : "");
            End second = new End(entity().id(), "is related to", cardinality(), "");
            var relationship = Relationship.between(ids.next(IdKind.RELATIONSHIP), first, second);
            if (relationship.isManyToMany() && random.nextBoolean()) {
                relationship = relationship.withNoun("pairing " + i);
            }
            relationships.add(acting(relationship, i));
        }
        makeKinds();
    }

    private Relationship acting(Relationship relationship, int i) {
        Relationship acting = relationship;
        for (Side side : relationship.referencedSides()) {
            boolean optional = !relationship.isManyToMany()
                    && !relationship.end(side).cardinality().isMandatory();
            List<ReferenceAction> all = List.of(
                    ReferenceAction.NO_ACTION,
                    ReferenceAction.RESTRICT,
                    ReferenceAction.CASCADE,
                    ReferenceAction.SET_NULL);
            ReferenceAction onDelete = all.get(random.nextInt(optional ? 4 : 3));
            boolean named = random.nextInt(5) == 0;
            Reference reference = Reference.USUAL
                    .withActions(onDelete, ReferenceAction.NO_ACTION)
                    .withTargetKey(alternateKey(acting.end(side).entity()));
            acting = acting.with(
                    side,
                    acting.end(side).with(named ? reference.withName(Pins.Role.ITSELF, "FK " + i + side) : reference));
        }
        return acting;
    }

    /** Now and then a unique rule of the entity, to be referred to in place of its key. */
    private Optional<Id> alternateKey(Id entity) {
        return random.nextBoolean()
                ? Optional.empty()
                : entities.stream()
                        .filter(each -> each.id().equals(entity))
                        .flatMap(each -> each.body().uniques().stream())
                        .map(Unique::id)
                        .findFirst();
    }

    /** Sometimes makes the last entity a kind of the first, in a table of its own or in that of the first. */
    private void makeKinds() {
        int last = entities.size() - 1;
        Entity kind = entities.get(last);
        boolean alone = relationships.stream().noneMatch(r -> r.touches(kind.id()));
        if (alone && random.nextInt(3) > 0) {
            Entity general = entities.get(0);
            var relationship = Relationship.between(
                            ids.next(IdKind.RELATIONSHIP),
                            new End(general.id(), SubtypeEdits.MAY_BE, Cardinality.EXACTLY_ONE, ""),
                            new End(kind.id(), SubtypeEdits.IS, Cardinality.AT_MOST_ONE, ""))
                    .withSubtype(random.nextBoolean() ? SubtypeLayout.ONE_TABLE : SubtypeLayout.OWN_TABLE);
            entities.set(
                    last,
                    kind.withBody(kind.body()
                            .without(kind.body().attributes().get(0).id())
                            .withKey(List.of(new KeyPart.WholeReference(relationship.ref(Side.FIRST))))));
            relationships.add(relationship);
        }
    }

    private Entity entity() {
        return entities.get(random.nextInt(entities.size()));
    }

    private Cardinality cardinality() {
        List<Cardinality> all = List.of(
                Cardinality.EXACTLY_ONE, Cardinality.AT_MOST_ONE, Cardinality.AT_LEAST_ONE, Cardinality.ANY_NUMBER);
        return all.get(random.nextInt(all.size()));
    }

    /** Makes some references part of their holder's key, only towards earlier entities so that keys do not run in circles. */
    private Design weakened(Design design) {
        Design weak = design;
        for (Relationship each : relationships) {
            Optional<Side> referred = each.referencedSide();
            if (referred.isEmpty() || each.isRecursive() || each.isSubtype() || random.nextInt(3) > 0) {
                continue;
            }
            Entity holder = weak.at(each.end(referred.get().other()));
            Entity parent = weak.at(each.end(referred.get()));
            boolean counted = holder.body().key().stream()
                    .anyMatch(part -> part instanceof ColumnRef.Own own
                            && holder.body().attribute(own.id()).orElseThrow().type() instanceof DataType.Counted);
            if (place(parent) < place(holder)
                    && !counted
                    && each.end(referred.get()).cardinality().isMandatory()) {
                var key = new ArrayList<KeyPart>(holder.body().key());
                key.add(0, new KeyPart.WholeReference(each.ref(referred.get())));
                weak = weak.withBody(holder.id(), holder.body().withKey(key));
            }
        }
        return weak;
    }

    private int place(Entity entity) {
        return entities.stream().map(Entity::id).toList().indexOf(entity.id());
    }

    /** Three rows for each entity, the n-th of which refers to the n-th of each parent, and so for each pairing. */
    private Design filled(Design design) {
        Design filled = design;
        for (Entity entity : design.entities()) {
            filled = filled.withBody(
                    entity.id(), filled.body(entity.id()).orElseThrow().withRows(rows(entity.body())));
        }
        for (Relationship each : relationships) {
            if (each.isManyToMany()) {
                filled = filled.withBody(each.id(), each.body().withRows(rows(each.body())));
            }
        }
        for (Entity entity : design.entities()) {
            filled = referring(filled, entity.id());
        }
        for (Relationship each : relationships) {
            filled = each.isManyToMany() ? referring(filled, each.id()) : filled;
        }
        return filled;
    }

    private Design referring(Design design, Id owner) {
        Body body = design.body(owner).orElseThrow();
        var rows = new ArrayList<Row>();
        for (int i = 0; i < body.rows().size(); i++) {
            Row row = body.rows().get(i);
            for (EndRef end : design.referencesOf(owner)) {
                Row parent = design.target(end).orElseThrow().body().rows().get(i);
                row = row.with(end, Optional.of(Row.Reference.to(parent)));
            }
            rows.add(row);
        }
        return design.withBody(owner, body.withRows(rows));
    }

    private List<Row> rows(Body body) {
        var rows = new ArrayList<Row>();
        for (int i = 0; i < 3; i++) {
            Row row = Row.empty(ids.next(IdKind.ROW));
            for (Attribute attribute : body.attributes()) {
                boolean inKey = body.key().contains((KeyPart) new ColumnRef.Own(attribute.id()));
                boolean told = inKey || body.isUnique(attribute); // others may refer to the row by it
                boolean given = told || !attribute.optional() || random.nextBoolean();
                if (given && !attribute.filling().isComputed()) {
                    row = row.with(attribute.id(), value(base(attribute.type()), i));
                }
            }
            rows.add(row);
        }
        return rows;
    }

    private String value(DataType type, int i) {
        return type.accept(new DataType.Visitor<>() {
            @Override
            public String undecided() {
                return "value " + i;
            }

            @Override
            public String text(DataType.Text text) {
                return "it's; \"" + i + "\" \\ 🐝";
            }

            @Override
            public String whole(DataType.Whole whole) {
                return Integer.toString(i + 1);
            }

            @Override
            public String counted(DataType.Counted counted) {
                return Long.toString(counted.start() + i * counted.step());
            }

            @Override
            public String decimal(DataType.Decimal decimal) {
                return i + ".5";
            }

            @Override
            public String list(DataType.OneOf list) {
                return list.values().get(i % list.values().size());
            }

            @Override
            public String bytes(DataType.Bytes bytes) {
                return "0aff0" + i;
            }

            @Override
            public String domain(DataType.InDomain domain) {
                throw new IllegalStateException("resolved before");
            }

            @Override
            public String simple(DataType.Simple simple) {
                return switch (simple) {
                    case REAL -> "0.2" + i;
                    case YES_NO -> i == 0 ? "yes" : "no";
                    case YEAR -> "202" + i;
                    case DATE -> "2027-04-1" + i;
                    case TIME -> "09:3" + i;
                    case MOMENT -> "2027-04-12 09:3" + i;
                    case MOMENT_ANYWHERE -> "2027-04-12 09:3" + i + "+02:00";
                    case UUID -> "5f2c1f6e-8a34-4c52-9d57-0b6b1a2c3d4" + i;
                    case JSON -> "{\"no\": " + i + "}";
                };
            }
        });
    }
}
