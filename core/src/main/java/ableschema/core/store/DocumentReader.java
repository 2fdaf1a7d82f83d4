package ableschema.core.store;

import ableschema.core.design.Attribute;
import ableschema.core.design.Body;
import ableschema.core.design.Brief;
import ableschema.core.design.Cardinality;
import ableschema.core.design.CarriedColumn;
import ableschema.core.design.Check;
import ableschema.core.design.ColumnRef;
import ableschema.core.design.Dependency;
import ableschema.core.design.Design;
import ableschema.core.design.End;
import ableschema.core.design.EndRef;
import ableschema.core.design.Entity;
import ableschema.core.design.EntityKind;
import ableschema.core.design.Expression;
import ableschema.core.design.ForeignColumn;
import ableschema.core.design.Id;
import ableschema.core.design.Index;
import ableschema.core.design.Judgement;
import ableschema.core.design.KeyPart;
import ableschema.core.design.Notes;
import ableschema.core.design.Pins;
import ableschema.core.design.Question;
import ableschema.core.design.Relationship;
import ableschema.core.design.Row;
import ableschema.core.design.SubtypeLayout;
import ableschema.core.design.Topic;
import ableschema.core.design.Unique;
import ableschema.core.document.Detail;
import ableschema.core.document.Diagram;
import ableschema.core.document.Document;
import ableschema.core.document.HouseRules;
import ableschema.core.document.Notation;
import ableschema.core.document.Position;
import ableschema.core.document.Starter;
import ableschema.core.mapping.NameStyle;
import ableschema.core.mapping.NamingRules;
import ableschema.core.types.DataTypes;
import ableschema.core.types.ReferenceAction;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Function;

/** Reads a document from its JSON; a {@link Node.Misfit} points at what is not as the format says. */
final class DocumentReader {

    private static final List<ReferenceAction> ACTIONS = List.of(ReferenceAction.values());

    private final Set<Id> ids = new HashSet<>();
    private final List<Runnable> checksAtTheEnd = new ArrayList<>();

    private DocumentReader() {}

    static Document read(Node root) {
        return new DocumentReader().document(root);
    }

    private Document document(Node root) {
        String title = root.textOr("title", "");
        HouseRules rules = root.has("rules") ? rules(root.object("rules")) : HouseRules.USUAL;
        List<Entity> entities = root.list("entities").stream().map(this::entity).toList();
        List<Relationship> relationships =
                root.list("relationships").stream().map(this::relationship).toList();
        List<Diagram> diagrams =
                root.list("diagrams").stream().map(this::diagram).toList();
        Notes notes = root.has("notes") ? notes(root.object("notes")) : Notes.NONE;
        root.requireAllRead();
        checksAtTheEnd.forEach(Runnable::run);
        return Document.of(
                title,
                Design.of(entities, relationships).with(notes),
                diagrams.isEmpty() ? List.of(Diagram.WHOLE) : diagrams,
                rules);
    }

    private Notes notes(Node json) {
        List<Question> questions =
                json.list("questions").stream().map(this::question).toList();
        var brief = new Brief(json.textOr("purpose", ""), json.textOr("told", ""), questions);
        var reasons = new LinkedHashMap<Topic, String>();
        json.objectOrEmpty("reasons").members().forEach((topic, reason) -> {
            Topic read = attempt(json, topic, Topic::parse);
            requireKnown(reason, read.thing());
            reasons.put(read, reason.asText());
        });
        List<Judgement> judgements =
                json.list("judgements").stream().map(this::judgement).toList();
        var plurals = new LinkedHashMap<String, String>();
        json.objectOrEmpty("plurals").members().forEach((one, many) -> plurals.put(one, many.asText()));
        json.requireAllRead();
        return new Notes(brief, reasons, judgements, plurals);
    }

    private Question question(Node json) {
        var question = new Question(
                newId(json),
                json.text("text"),
                json.list("answers").stream().map(this::knownId).toList());
        json.requireAllRead();
        return question;
    }

    private Id knownId(Node json) {
        Id id = json.as(Id::parse);
        requireKnown(json, id);
        return id;
    }

    private Judgement judgement(Node json) {
        Id about = json.read("about", Id::parse);
        requireKnown(json, about);
        var judgement = new Judgement(
                about,
                json.text("sentence"),
                json.choice("verdict", List.of(Judgement.Verdict.values()), Judgement.Verdict.CONFIRMED),
                json.textOr("remark", ""));
        json.requireAllRead();
        return judgement;
    }

    private HouseRules rules(Node json) {
        var naming = new NamingRules(
                json.choice("names", List.of(NameStyle.values()), NameStyle.SNAKE),
                json.flag("plural"),
                json.flag("indexForeignKeys"));
        var rules = new HouseRules(
                naming,
                json.textOr("dialect", HouseRules.USUAL.dialect()),
                json.flag("reasonsInSql"),
                json.list("starters").stream().map(this::starter).toList());
        json.requireAllRead();
        return rules;
    }

    private Starter starter(Node json) {
        var starter = new Starter(
                json.text("name"),
                json.list("attributes").stream().map(this::attribute).toList());
        json.requireAllRead();
        return starter;
    }

    private Id newId(Node json) {
        Id id = json.read("id", Id::parse);
        if (!ids.add(id)) {
            throw json.misfit("two things have the id " + id);
        }
        return id;
    }

    private Entity entity(Node json) {
        var entity = new Entity(
                newId(json),
                json.text("name"),
                new EntityKind(json.textOr("kind", "")),
                json.textOr("definition", ""),
                json.flag("parked"),
                body(json),
                pins(json));
        json.requireAllRead();
        return entity;
    }

    private Relationship relationship(Node json) {
        var relationship = new Relationship(
                newId(json),
                end(json.object("first")),
                end(json.object("second")),
                json.textOr("noun", ""),
                json.choice("subtype", List.of(SubtypeLayout.values()), SubtypeLayout.NONE),
                body(json),
                json.choice("onDelete", ACTIONS, ReferenceAction.RESTRICT),
                json.choice("onUpdate", ACTIONS, ReferenceAction.RESTRICT),
                json.list("carried").stream().map(this::carried).toList(),
                pins(json));
        json.requireAllRead();
        return relationship;
    }

    private End end(Node json) {
        Id entity = json.read("entity", Id::parse);
        requireKnown(json, entity);
        var end = new End(
                entity, json.textOr("verb", ""), json.read("number", Cardinality::parse), json.textOr("role", ""));
        json.requireAllRead();
        return end;
    }

    private CarriedColumn carried(Node json) {
        var column = new CarriedColumn(
                json.read("column", text -> {
                    if (ColumnRef.parse(text) instanceof ForeignColumn carried) {
                        return carried;
                    }
                    throw new IllegalArgumentException("'" + text + "' is no column that a relationship brings");
                }),
                json.textOr("name", ""),
                json.textOr("comment", ""));
        json.requireAllRead();
        return column;
    }

    private Body body(Node json) {
        return new Body(
                json.list("attributes").stream().map(this::attribute).toList(),
                parts(json, "key"),
                json.list("uniques").stream().map(this::unique).toList(),
                json.list("checks").stream().map(this::check).toList(),
                json.list("indexes").stream().map(this::index).toList(),
                json.list("dependencies").stream().map(this::dependency).toList(),
                json.list("rows").stream().map(this::row).toList());
    }

    private Attribute attribute(Node json) {
        var attribute = new Attribute(
                newId(json),
                json.text("name"),
                json.readOr("type", DataTypes::parse, DataTypes.UNDECIDED),
                json.flag("optional"),
                json.readOr("default", Expression::parse, Expression.NONE),
                json.textOr("comment", ""),
                pins(json));
        json.requireAllRead();
        return attribute;
    }

    private Unique unique(Node json) {
        var unique = new Unique(newId(json), parts(json, "parts"), pins(json));
        json.requireAllRead();
        return unique;
    }

    private Check check(Node json) {
        var check = new Check(newId(json), json.read("expression", Expression::parse), pins(json));
        check.expression().columns().forEach(column -> requireKnown(json, column));
        json.requireAllRead();
        return check;
    }

    private Index index(Node json) {
        List<Index.Part> parts = json.list("parts").stream()
                .map(part -> {
                    Index.Part read = part.as(text ->
                            new Index.Part(ColumnRef.parse(text.replaceFirst(" desc$", "")), text.endsWith(" desc")));
                    requireKnown(part, read.column());
                    return read;
                })
                .toList();
        var index = new Index(newId(json), parts, json.flag("unique"), pins(json));
        json.requireAllRead();
        return index;
    }

    private Dependency dependency(Node json) {
        var dependency = new Dependency(newId(json), parts(json, "from"), parts(json, "to"));
        json.requireAllRead();
        return dependency;
    }

    private List<KeyPart> parts(Node json, String name) {
        return json.list(name).stream()
                .map(part -> {
                    KeyPart read = part.as(KeyPart::parse);
                    requireKnown(part, read);
                    return read;
                })
                .toList();
    }

    private Row row(Node json) {
        Id id = newId(json);
        var values = new LinkedHashMap<Id, String>();
        var references = new LinkedHashMap<EndRef, Row.Reference>();
        json.members().forEach((name, value) -> {
            if (name.startsWith("r:")) {
                EndRef end = attempt(json, name, EndRef::parse);
                requireKnown(value, end.relationship());
                references.put(end, reference(value));
            } else if (!name.equals("id")) {
                Id attribute = attempt(value, name, Id::parse);
                requireKnown(value, attribute);
                values.put(attribute, value.asText());
            }
        });
        return new Row(id, values, references);
    }

    private static <T> T attempt(Node json, String text, Function<String, T> reading) {
        try {
            return reading.apply(text);
        } catch (IllegalArgumentException e) {
            throw json.misfit(String.valueOf(e.getMessage()));
        }
    }

    private static Row.Reference reference(Node json) {
        return json.isList()
                ? new Row.RawKey(json.elements().stream().map(Node::asText).toList())
                : new Row.ToRow(json.as(Id::parse));
    }

    private Diagram diagram(Node json) {
        Map<Id, Position> positions = new LinkedHashMap<>();
        json.object("positions").members().forEach((id, at) -> positions.put(attempt(at, id, Id::parse), position(at)));
        var diagram = new Diagram(
                json.text("name"),
                json.choice("notation", List.of(Notation.values()), Notation.CROWSFOOT),
                json.choice("detail", List.of(Detail.values()), Detail.EVERYTHING),
                json.list("part").stream().map(this::knownId).toList(),
                json.list("pinned").stream().map(this::knownId).toList(),
                positions);
        json.requireAllRead();
        return diagram;
    }

    private static Position position(Node json) {
        List<Node> numbers = json.elements();
        if (!json.isList() || numbers.size() != 2) {
            throw json.misfit("a position is two numbers in square brackets");
        }
        return new Position(numbers.get(0).asNumber(), numbers.get(1).asNumber());
    }

    private static Pins pins(Node json) {
        Map<String, String> options = new LinkedHashMap<>();
        if (json.has("options")) {
            json.object("options").members().forEach((name, value) -> options.put(name, value.asText()));
        }
        return new Pins(json.textOr("physicalName", ""), json.textOr("namespace", ""), options);
    }

    private void requireKnown(Node place, Id id) {
        checksAtTheEnd.add(() -> {
            if (!ids.contains(id)) {
                throw place.misfit("it refers to " + id + ", which is not in this file");
            }
        });
    }

    private void requireKnown(Node place, KeyPart part) {
        part.through().ifPresent(end -> requireKnown(place, end.relationship()));
        if (part instanceof ColumnRef.Own own) {
            requireKnown(place, own.id());
        }
    }
}
