package ableschema.core.store;

import ableschema.core.carried.Carried;
import ableschema.core.design.Brief;
import ableschema.core.design.ColumnRef;
import ableschema.core.design.Design;
import ableschema.core.design.Domain;
import ableschema.core.design.Entity;
import ableschema.core.design.Id;
import ableschema.core.design.Judgement;
import ableschema.core.design.Kept;
import ableschema.core.design.KeyAnswer;
import ableschema.core.design.KeyQuestion;
import ableschema.core.design.Notes;
import ableschema.core.design.Question;
import ableschema.core.design.Relationship;
import ableschema.core.design.SetAside;
import ableschema.core.design.Topic;
import ableschema.core.design.Volume;
import ableschema.core.document.Detail;
import ableschema.core.document.Diagram;
import ableschema.core.document.District;
import ableschema.core.document.Document;
import ableschema.core.document.HouseRules;
import ableschema.core.document.Notation;
import ableschema.core.document.Position;
import ableschema.core.document.Starter;
import ableschema.core.mapping.NamePatterns;
import ableschema.core.mapping.NameStyle;
import ableschema.core.mapping.NamingRules;
import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** The form of a whole document. What is empty or usual is left out. */
final class DocumentForm {

    private final Forms forms;
    private final DesignForm design;

    private DocumentForm(Design written) {
        this.forms = new Forms(written);
        this.design = new DesignForm(forms);
    }

    static ObjectNode write(Document document) {
        return (ObjectNode) new DocumentForm(document.design()).document().write(document);
    }

    /** Reads a document; a {@link Node.Misfit} points at what is not as the format says. */
    static Document read(Node root) {
        var form = new DocumentForm(Design.EMPTY);
        return form.document().read(root);
    }

    private Form<Document> document() {
        return Form.object(document -> {
            document.always("version", Form.NUMBER, DocumentFile.VERSION, d -> DocumentFile.VERSION);
            String title = document.text("title", Document::title);
            HouseRules rules = document.always("rules", rules(), HouseRules.USUAL, Document::rules);
            Notes notes = document.optional(
                    "notes", notes(), Notes.NONE, d -> d.design().notes());
            List<Domain> domains =
                    document.list("domains", design.domain(), d -> d.design().domains());
            List<Entity> entities = document.always("entities", Form.list(design.entity()), List.of(), d -> d.design()
                    .entities());
            List<Relationship> relationships =
                    document.always("relationships", Form.list(design.relationship()), List.of(), d -> d.design()
                            .relationships());
            List<Diagram> diagrams = document.always("diagrams", Form.list(diagram()), List.of(), Document::diagrams);
            if (document.given().isPresent()) {
                return document.given().get(); // a design is not made anew to be written
            }
            forms.check();
            return Document.of(
                    title,
                    Design.of(entities, relationships).withDomains(domains).with(notes),
                    diagrams.isEmpty() ? List.of(Diagram.WHOLE) : diagrams,
                    rules);
        });
    }

    private Form<HouseRules> rules() {
        return Form.object(rules -> new HouseRules(
                new NamingRules(
                        rules.always("names", Form.choice(List.of(NameStyle.values())), NameStyle.SNAKE, r -> r.naming()
                                .style()),
                        rules.always("plural", Form.FLAG, false, r -> r.naming().plural()),
                        rules.always("indexForeignKeys", Form.FLAG, false, r -> r.naming()
                                .indexForeignKeys()),
                        rules.optional("constraintNames", patterns(), NamePatterns.USUAL, r -> r.naming()
                                .patterns()),
                        rules.flag("namesRepeat", r -> r.naming().namesRepeat()),
                        rules.optional("mostIndexes", Form.NUMBER, NamingRules.USUAL_INDEXES, r -> r.naming()
                                .mostIndexes()),
                        rules.text("tablePrefix", r -> r.naming().prefix())),
                rules.always("dialect", Forms.DIALECT, HouseRules.USUAL.dialect(), HouseRules::dialect),
                rules.optional("choices", Forms.CHOICES, Map.of(), HouseRules::choices),
                rules.flag("reasonsInSql", HouseRules::reasonsInSql),
                rules.flag("farLines", HouseRules::farLines),
                rules.list("starters", starter(), HouseRules::starters)));
    }

    private static Form<NamePatterns> patterns() {
        NamePatterns usual = NamePatterns.USUAL;
        return Form.object(names -> new NamePatterns(
                names.optional("key", Form.TEXT, usual.key(), NamePatterns::key),
                names.optional("reference", Form.TEXT, usual.reference(), NamePatterns::reference),
                names.optional("unique", Form.TEXT, usual.unique(), NamePatterns::unique),
                names.optional("check", Form.TEXT, usual.check(), NamePatterns::check),
                names.optional("index", Form.TEXT, usual.index(), NamePatterns::index)));
    }

    private Form<Starter> starter() {
        return Form.object(starter -> new Starter(
                starter.required("name", Form.TEXT, Starter::name),
                starter.list("attributes", design.starting(), Starter::attributes)));
    }

    private Form<Notes> notes() {
        return Form.object(notes -> {
            var brief = new Brief(
                    notes.text("purpose", n -> n.brief().purpose()),
                    notes.text("told", n -> n.brief().told()),
                    notes.list("questions", question(), n -> n.brief().questions()));
            Map<Topic, String> reasons = notes.optional("reasons", reasons(), Map.of(), this::reasons);
            List<Judgement> judgements = notes.list("judgements", judgement(), n -> n.judgements().stream()
                    .filter(judgement -> forms.written().knows(judgement.about()))
                    .toList());
            Map<String, String> plurals = notes.optional(
                    "plurals",
                    Form.object(plural -> plural.others(Form.TEXT, List.of(), each -> each)),
                    Map.of(),
                    Notes::plurals);
            List<SetAside> setAside = notes.list("setAside", setAside(), Notes::setAside);
            List<KeyAnswer> answers = notes.list("keyAnswers", answer(), n -> n.answers().stream()
                    .filter(answer -> forms.written().knows(answer.about()))
                    .toList());
            Map<Id, Volume> volumes = notes.optional("volumes", volumes(), Map.of(), this::volumes);
            List<Kept> kept = notes.list("carried", kept(), Notes::kept);
            return new Notes(brief, reasons, judgements, plurals, setAside, answers, volumes, kept);
        });
    }

    private Map<Topic, String> reasons(Notes notes) {
        var known = new LinkedHashMap<Topic, String>();
        notes.reasons().forEach((topic, reason) -> {
            if (forms.written().knows(topic.thing())) {
                known.put(topic, reason);
            }
        });
        return known;
    }

    private Map<Id, Volume> volumes(Notes notes) {
        var known = new LinkedHashMap<Id, Volume>();
        notes.volumes().forEach((of, volume) -> {
            if (forms.written().knows(of)) {
                known.put(of, volume);
            }
        });
        return known;
    }

    private Form<Map<Id, Volume>> volumes() {
        Form<Volume> volume = Form.object(each -> new Volume(
                each.optional("first", Form.LARGE_NUMBER, 0L, Volume::first),
                each.optional("eachYear", Form.LARGE_NUMBER, 0L, Volume::eachYear)));
        return Form.of(
                volumes -> {
                    ObjectNode json = JsonNodeFactory.instance.objectNode();
                    volumes.forEach((of, each) -> json.set(of.toString(), volume.write(each)));
                    return json;
                },
                json -> {
                    var volumes = new LinkedHashMap<Id, Volume>();
                    json.members().forEach((of, each) -> {
                        Id known = Forms.attempt(json, of, Id::parse);
                        forms.requireKnown(each, known);
                        volumes.put(known, volume.read(each));
                    });
                    return volumes;
                });
    }

    private Form<Map<Topic, String>> reasons() {
        return Form.of(
                reasons -> {
                    ObjectNode json = JsonNodeFactory.instance.objectNode();
                    reasons.forEach((topic, reason) -> json.put(topic.toString(), reason));
                    return json;
                },
                json -> {
                    var reasons = new LinkedHashMap<Topic, String>();
                    json.members().forEach((topic, reason) -> {
                        Topic read = Forms.attempt(json, topic, Topic::parse);
                        forms.requireKnown(reason, read.thing());
                        reasons.put(read, reason.asText());
                    });
                    return reasons;
                });
    }

    private Form<Question> question() {
        return Form.object(question -> new Question(
                question.required("id", forms.newId, Question::id),
                question.required("text", Form.TEXT, Question::text),
                question.list("answers", forms.known, q -> q.answers().stream()
                        .filter(id -> forms.written().attribute(id).isPresent())
                        .toList())));
    }

    private Form<KeyAnswer> answer() {
        return Form.object(answer -> new KeyAnswer(
                answer.required("about", forms.known, KeyAnswer::about),
                answer.required("question", Form.choice(List.of(KeyQuestion.values())), KeyAnswer::question),
                answer.required("yes", Form.FLAG, KeyAnswer::yes)));
    }

    private Form<Judgement> judgement() {
        return Form.object(judgement -> new Judgement(
                judgement.required("about", forms.known, Judgement::about),
                judgement.required("sentence", Form.TEXT, Judgement::sentence),
                judgement.always(
                        "verdict",
                        Form.choice(List.of(Judgement.Verdict.values())),
                        Judgement.Verdict.CONFIRMED,
                        Judgement::verdict),
                judgement.text("remark", Judgement::remark)));
    }

    /** What it was about may be gone, and is kept until the designer drops it. */
    private static Form<SetAside> setAside() {
        return Form.object(aside -> new SetAside(
                aside.required("rule", Form.TEXT, SetAside::rule),
                aside.required("about", Form.text(Id::parse), SetAside::owner),
                aside.list("parts", Form.TEXT, SetAside::parts),
                aside.optional(
                        "facts",
                        Form.object(facts -> facts.others(Form.TEXT, List.of(), each -> each)),
                        Map.of(),
                        SetAside::facts),
                aside.required("because", Form.TEXT, SetAside::reason)));
    }

    /** What it speaks of may be gone, which is then found. */
    private static Form<Kept> kept() {
        return Form.object(kept -> new Kept(
                new Carried(
                        kept.required("kind", Form.choice(List.of(Carried.Kind.values())), k -> k.statement()
                                .kind()),
                        kept.text("name", k -> k.statement().name()),
                        kept.required(
                                "dialect", Forms.DIALECT, k -> k.statement().dialect()),
                        kept.text("within", k -> k.statement().within()),
                        kept.flag("early", k -> k.statement().early()),
                        kept.required("sql", Form.TEXT, k -> k.statement().sql())),
                kept.list("uses", use(), Kept::uses)));
    }

    private static Form<Kept.Use> use() {
        return Form.object(use -> new Kept.Use(
                use.required("of", Form.text(Id::parse), Kept.Use::owner),
                Optional.of(use.text(
                                "column",
                                u -> u.column().map(ColumnRef::toString).orElse("")))
                        .filter(ref -> !ref.isEmpty())
                        .map(ColumnRef::parse),
                use.required("name", Form.TEXT, Kept.Use::name)));
    }

    private Form<District> district() {
        return Form.object(district -> new District(
                district.text("name", District::name), district.list("cards", forms.known, District::cards)));
    }

    private Form<Diagram> diagram() {
        return Form.object(diagram -> new Diagram(
                diagram.required("name", Form.TEXT, Diagram::name),
                diagram.always(
                        "notation", Form.choice(List.of(Notation.values())), Notation.CROWSFOOT, Diagram::notation),
                diagram.always("detail", Form.choice(List.of(Detail.values())), Detail.EVERYTHING, Diagram::detail),
                diagram.list("part", forms.known, d -> knownOf(d.part())),
                diagram.list("pinned", forms.known, d -> knownOf(d.pinned())),
                diagram.required("positions", positions(), Diagram::positions),
                diagram.list("districts", district(), d -> d.districts().stream()
                        .map(each -> new District(each.name(), knownOf(each.cards())))
                        .filter(each -> !each.cards().isEmpty())
                        .toList())));
    }

    private List<Id> knownOf(List<Id> ids) {
        return ids.stream().filter(forms.written()::knows).toList();
    }

    private static Form<Map<Id, Position>> positions() {
        return Form.of(
                positions -> {
                    ObjectNode json = JsonNodeFactory.instance.objectNode();
                    positions.forEach((id, at) -> json.set(
                            id.toString(),
                            JsonNodeFactory.instance
                                    .arrayNode()
                                    .add(Math.round(at.x()))
                                    .add(Math.round(at.y()))));
                    return json;
                },
                json -> {
                    json.requireObject();
                    Map<Id, Position> positions = new LinkedHashMap<>();
                    json.members().forEach((id, at) -> positions.put(Forms.attempt(at, id, Id::parse), position(at)));
                    return positions;
                });
    }

    private static Position position(Node json) {
        List<Node> numbers = json.elements();
        if (!json.isList() || numbers.size() != 2) {
            throw json.misfit("a position is two numbers in square brackets");
        }
        return new Position(numbers.get(0).asNumber(), numbers.get(1).asNumber());
    }
}
