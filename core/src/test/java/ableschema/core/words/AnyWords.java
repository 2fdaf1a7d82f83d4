package ableschema.core.words;

import ableschema.core.design.Attribute;
import ableschema.core.design.Body;
import ableschema.core.design.Cardinality;
import ableschema.core.design.Check;
import ableschema.core.design.ColumnRef;
import ableschema.core.design.Condition;
import ableschema.core.design.Dependency;
import ableschema.core.design.Design;
import ableschema.core.design.Domain;
import ableschema.core.design.End;
import ableschema.core.design.EndRef;
import ableschema.core.design.Entity;
import ableschema.core.design.EntityKind;
import ableschema.core.design.IdKind;
import ableschema.core.design.IdSource;
import ableschema.core.design.Index;
import ableschema.core.design.KeyPart;
import ableschema.core.design.KeyQuestion;
import ableschema.core.design.Lists;
import ableschema.core.design.Mark;
import ableschema.core.design.Pins;
import ableschema.core.design.Relationship;
import ableschema.core.design.SubtypeLayout;
import ableschema.core.design.Unique;
import ableschema.core.design.Volume;
import ableschema.core.document.Document;
import ableschema.core.edit.SubtypeEdits;
import ableschema.core.expression.Expression;
import ableschema.core.types.DataType;
import ableschema.core.types.DataTypes;
import ableschema.core.types.ReferenceAction;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.Set;

/** Makes designs that use all that words can say, with names that are easy and names that are traps. */
public final class AnyWords {

    private static final List<String> ENTITIES = List.of(
            "Hive",
            "Hive box",
            "hive tool",
            "Keeper",
            "Keepers",
            "Apiary",
            "Bill of honey",
            "box",
            "Queen",
            "Each one",
            "A has B",
            "Say \"bee\"",
            "one",
            "Datum",
            "Sheep",
            "Swarm; or cast",
            "Æther",
            "Kind of wax");
    private static final List<String> ATTRIBUTES = List.of(
            "code",
            "stand no",
            "colour",
            "weight, kg",
            "moisture %",
            "done at",
            "is ripe",
            "(note)",
            "a \"b\"",
            "one",
            "x -> y",
            "hive",
            "keeper",
            "set up on",
            "share of honey",
            "end.",
            "key",
            "back\\slash",
            "two\nlines");
    private static final List<String> VERBS = List.of(
            "stands in",
            "shelters",
            "is headed by",
            "has",
            "has seen",
            "is",
            "",
            "is related to",
            "box keeps",
            "exactly",
            "gives; takes",
            "looked at",
            "is a kind of",
            "is identified by its",
            "\"quotes\"",
            "each",
            "number 3 of");
    private static final List<String> TEXTS = List.of(
            "", "A spot.", " spaced ", "It is a kind of box.", "12\" wide", "one -> two", "first\nsecond", "a: b; (c)");

    private final Random random;
    private final IdSource ids;
    private Design design = Design.EMPTY;

    private AnyWords(long seed) {
        this.random = new Random(seed);
        this.ids = IdSource.seeded(seed);
    }

    public static Design of(long seed) {
        var made = new AnyWords(seed);
        made.makeDomains();
        made.makeEntities();
        made.makeRelationships();
        made.makeKeys();
        return made.design;
    }

    private <T> T one(List<T> of) {
        return of.get(random.nextInt(of.size()));
    }

    private void makeDomains() {
        var names = new ArrayList<>(List.of("net weight", "Colour", "a \"b\", c", "holds", "text"));
        for (int i = random.nextInt(3); i > 0; i--) {
            DataType base = one(List.of(new DataType.Decimal(6, 2), new DataType.Text(20)));
            Domain domain = Domain.named(ids.next(IdKind.DOMAIN), names.remove(random.nextInt(names.size())), base);
            if (base.isNumeric() && random.nextBoolean()) {
                domain = domain.withCheck(Expression.parse("{value} > 5", Domain.Value::parse))
                        .withDefault(Expression.text("7"));
            }
            design = design.withDomains(Lists.plus(design.domains(), domain));
        }
    }

    private DataType type() {
        return design.domains().isEmpty() || random.nextInt(5) > 0
                ? DataTypes.parse(one(DataTypes.NOTATIONS))
                : new DataType.InDomain(one(design.domains()).id().toString());
    }

    private void makeEntities() {
        var names = new ArrayList<>(ENTITIES);
        for (int i = 2 + random.nextInt(5); i > 0; i--) {
            String name = names.remove(random.nextInt(names.size()));
            Entity entity = Entity.named(ids.next(IdKind.ENTITY), name)
                    .withKind(new EntityKind(one(List.of("", "person", "place", "entity", "odd Kind", "kind of tool"))))
                    .withDefinition(one(TEXTS))
                    .withParked(random.nextInt(8) == 0)
                    .withBody(attributes());
            design = design.with(entity);
        }
        if (random.nextInt(3) == 0) {
            design = design.with(design.notes().withPlural("datum", "data").withPlural("hive", "hives of bees"));
        }
        for (Entity each : design.entities()) {
            if (random.nextInt(5) == 0) {
                design = design.with(design.notes()
                        .withAnswer(each.id(), KeyQuestion.SEVERAL_PLACES, Optional.of(random.nextBoolean())));
            }
            for (Attribute attribute : each.body().attributes()) {
                if (random.nextInt(6) == 0) {
                    KeyQuestion question = one(List.of(KeyQuestion.CHANGES, KeyQuestion.KNOWN, KeyQuestion.PRIVATE));
                    design = design.with(
                            design.notes().withAnswer(attribute.id(), question, Optional.of(random.nextBoolean())));
                }
            }
            if (random.nextInt(4) == 0) {
                var volume = new Volume(random.nextInt(3_000), random.nextInt(2) * 1_234_567L);
                design = design.with(design.notes().withVolume(each.id(), volume));
            }
        }
    }

    private Body attributes() {
        Body body = Body.EMPTY;
        var names = new ArrayList<>(ATTRIBUTES);
        for (int i = random.nextInt(6); i > 0; i--) {
            Attribute attribute = Attribute.named(
                            ids.next(IdKind.ATTRIBUTE), names.remove(random.nextInt(names.size())))
                    .withType(type())
                    .withOptional(random.nextBoolean())
                    .withMarks(random.nextInt(4) == 0 ? EnumSet.of(one(List.of(Mark.values()))) : Set.of())
                    .withPattern(random.nextInt(8) == 0 ? one(List.of("H-0000", "a, (b) 00", "AV-yyyy-0; x")) : "")
                    .withComment(random.nextInt(3) == 0 ? one(TEXTS) : "");
            body = ruled(body.with(withDefault(attribute)), attribute);
        }
        List<KeyPart> all = new ArrayList<>(
                body.attributes().stream().map(a -> (KeyPart) a.ref()).toList());
        if (all.size() > 1) {
            body = body.withDependencies(List.of(new Dependency(
                    ids.next(IdKind.DEPENDENCY), all.subList(0, 1), all.subList(1, all.size()), random.nextBoolean())));
            body = acrossColumns(body);
            if (random.nextBoolean()) {
                List<Index.Part> parts = body.attributes().stream()
                        .limit(2)
                        .map(each -> new Index.Part(each.ref(), random.nextBoolean()))
                        .toList();
                var only = random.nextBoolean()
                        ? Expression.<ColumnRef>none()
                        : Expression.of(
                                new Expression.Column<>(one(body.attributes()).ref()),
                                new Expression.Text<ColumnRef>(" is null"));
                body = body.withIndexes(List.of(new Index(
                        ids.next(IdKind.INDEX),
                        parts,
                        random.nextBoolean(),
                        one(List.of(Index.Purpose.values())),
                        only,
                        Pins.NONE)));
            }
            body = body.withUniques(
                    List.of(new Unique(ids.next(IdKind.UNIQUE), all.subList(0, 1 + random.nextInt(2)), Pins.NONE)));
        }
        return body;
    }

    /** A rule over two columns of one kind, where there are two. */
    private Body acrossColumns(Body body) {
        List<Attribute> numbers = body.attributes().stream()
                .filter(each -> each.type().isNumeric())
                .toList();
        if (numbers.size() < 2) {
            return body;
        }
        String[] rules = {
            "{1} > {2}",
            "{1} <= {2} or {2} is null",
            "not ({1} = 5) or ({2} between 1 and 10 and {1} in (1, 2))",
            "{1} + {2} * 2 < 100"
        };
        String rule = rules[random.nextInt(rules.length)];
        Expression<ColumnRef> expression = Expression.parse(
                rule, place -> numbers.get(Integer.parseInt(place) - 1).ref());
        return body.withChecks(Lists.plus(body.checks(), new Check(ids.next(IdKind.CHECK), expression, Pins.NONE)));
    }

    private Attribute withDefault(Attribute attribute) {
        String value = attribute.type() instanceof DataType.Text ? one(List.of("white", "today", "a, b", "(x)")) : "";
        if (attribute.type() == DataType.Simple.DATE) {
            return attribute.withDefault(ConditionText.function("today"));
        }
        return value.isEmpty() || random.nextBoolean()
                ? attribute
                : attribute.withDefault(
                        Expression.of(new Expression.Text<>(Expression.literal(attribute.type(), value))));
    }

    private Body ruled(Body body, Attribute attribute) {
        if (random.nextBoolean()) {
            return body;
        }
        Condition condition;
        if (attribute.type() instanceof DataType.Text) {
            condition = new Condition.OneOf(attribute.ref(), List.of("white", "sage; mint", "a or b", "c, d", "(e)"));
        } else if (attribute.type().isNumeric()) {
            condition = random.nextBoolean()
                    ? new Condition.Comparison(attribute.ref(), one(List.of(Condition.Operator.values())), "5")
                    : new Condition.Range(attribute.ref(), "1", "10");
        } else {
            return body;
        }
        var checks = new ArrayList<>(body.checks());
        checks.add(new Check(ids.next(IdKind.CHECK), condition.expression(attribute.type()), Pins.NONE));
        return body.withChecks(checks);
    }

    private void makeRelationships() {
        for (int i = random.nextInt(6); i > 0; i--) {
            End first = end();
            End second = end();
            Relationship made = Relationship.between(ids.next(IdKind.RELATIONSHIP), first, second)
                    .withActions(one(List.of(ReferenceAction.values())), one(List.of(ReferenceAction.values())));
            if (made.isManyToMany()) {
                made = made.withNoun(one(List.of("", "pairing " + i, "application", "a; b")))
                        .withBody(attributes());
            }
            design = design.with(made);
        }
        Entity special = one(design.entities());
        Entity general = one(design.entities());
        if (random.nextBoolean() && !special.equals(general)) {
            var edit = new SubtypeEdits(design, ids)
                    .makeKindOf(special, general, one(List.of(SubtypeLayout.OWN_TABLE, SubtypeLayout.ONE_TABLE)));
            design = edit.applyTo(Document.EMPTY.with(design)).design();
        }
    }

    private End end() {
        var cardinality = one(List.of(
                Cardinality.EXACTLY_ONE,
                Cardinality.AT_MOST_ONE,
                Cardinality.AT_LEAST_ONE,
                Cardinality.ANY_NUMBER,
                new Cardinality(2, 14)));
        return new End(
                one(design.entities()).id(), one(VERBS), cardinality, one(List.of("", "", "mentor", "the (other)")));
    }

    private void makeKeys() {
        for (Entity entity : design.entities()) {
            Body body = design.entity(entity.id()).orElseThrow().body();
            var parts = new ArrayList<KeyPart>();
            body.attributes().forEach(a -> parts.add(a.ref()));
            for (EndRef end : design.referencesOf(entity.id())) {
                parts.add(random.nextInt(parts.size() + 1), new KeyPart.WholeReference(end));
            }
            if (body.key().isEmpty() && !parts.isEmpty()) {
                design = design.withBody(
                        entity.id(), body.withKey(parts.subList(0, 1 + random.nextInt(Math.min(3, parts.size())))));
            }
        }
    }
}
