package ableschema.core.store;

import ableschema.core.design.Attribute;
import ableschema.core.design.Body;
import ableschema.core.design.Design;
import ableschema.core.design.End;
import ableschema.core.design.Entity;
import ableschema.core.design.Id;
import ableschema.core.design.Judgement;
import ableschema.core.design.KeyPart;
import ableschema.core.design.Notes;
import ableschema.core.design.Pins;
import ableschema.core.design.Relationship;
import ableschema.core.design.Row;
import ableschema.core.document.Diagram;
import ableschema.core.document.Document;
import ableschema.core.document.HouseRules;
import ableschema.core.types.ReferenceAction;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.List;
import java.util.Locale;
import java.util.function.Function;

/** Turns a document into its JSON. What is empty or usual is left out. */
final class DocumentWriter {

    private static final JsonNodeFactory JSON = JsonNodeFactory.instance;

    private DocumentWriter() {}

    static ObjectNode json(Document document) {
        ObjectNode json = JSON.objectNode().put("version", DocumentFile.VERSION);
        text(json, "title", document.title());
        json.set("rules", rules(document.rules()));
        if (!document.design().notes().equals(Notes.NONE)) {
            json.set("notes", notes(document.design()));
        }
        json.set("entities", array(document.design().entities(), DocumentWriter::entity));
        json.set("relationships", array(document.design().relationships(), DocumentWriter::relationship));
        json.set("diagrams", array(document.diagrams(), each -> diagram(each, document.design())));
        return json;
    }

    private static ObjectNode rules(HouseRules rules) {
        ObjectNode json = JSON.objectNode()
                .put("names", word(rules.naming().style()))
                .put("plural", rules.naming().plural())
                .put("indexForeignKeys", rules.naming().indexForeignKeys())
                .put("dialect", rules.dialect());
        if (rules.reasonsInSql()) {
            json.put("reasonsInSql", true);
        }
        list(json, "starters", rules.starters(), starter -> {
            ObjectNode each = JSON.objectNode().put("name", starter.name());
            list(each, "attributes", starter.attributes(), DocumentWriter::attribute);
            return each;
        });
        return json;
    }

    private static ObjectNode notes(Design design) {
        Notes notes = design.notes();
        ObjectNode json = JSON.objectNode();
        text(json, "purpose", notes.brief().purpose());
        text(json, "told", notes.brief().told());
        list(json, "questions", notes.brief().questions(), question -> {
            ObjectNode each =
                    JSON.objectNode().put("id", question.id().toString()).put("text", question.text());
            List<Id> answers = question.answers().stream()
                    .filter(id -> design.attribute(id).isPresent())
                    .toList();
            list(each, "answers", answers, id -> JSON.textNode(id.toString()));
            return each;
        });
        ObjectNode reasons = JSON.objectNode();
        notes.reasons().forEach((topic, reason) -> {
            if (design.knows(topic.thing())) {
                reasons.put(topic.toString(), reason);
            }
        });
        object(json, "reasons", reasons);
        List<Judgement> judgements = notes.judgements().stream()
                .filter(judgement -> design.knows(judgement.about()))
                .toList();
        list(json, "judgements", judgements, judgement -> {
            ObjectNode each = JSON.objectNode()
                    .put("about", judgement.about().toString())
                    .put("sentence", judgement.sentence())
                    .put("verdict", word(judgement.verdict()));
            text(each, "remark", judgement.remark());
            return each;
        });
        ObjectNode plurals = JSON.objectNode();
        notes.plurals().forEach(plurals::put);
        object(json, "plurals", plurals);
        return json;
    }

    private static ObjectNode entity(Entity entity) {
        ObjectNode json = JSON.objectNode().put("id", entity.id().toString()).put("name", entity.name());
        text(json, "kind", entity.kind().name());
        text(json, "definition", entity.definition());
        if (entity.parked()) {
            json.put("parked", true);
        }
        pins(json, entity.pins());
        body(json, entity.body());
        return json;
    }

    private static ObjectNode relationship(Relationship relationship) {
        ObjectNode json = JSON.objectNode().put("id", relationship.id().toString());
        json.set("first", end(relationship.first()));
        json.set("second", end(relationship.second()));
        text(json, "noun", relationship.noun());
        if (relationship.isSubtype()) {
            json.put("subtype", word(relationship.subtype()));
        }
        action(json, "onDelete", relationship.onDelete());
        action(json, "onUpdate", relationship.onUpdate());
        pins(json, relationship.pins());
        body(json, relationship.body());
        list(json, "carried", relationship.carried(), carried -> {
            ObjectNode column = JSON.objectNode().put("column", carried.column().toString());
            text(column, "name", carried.name());
            text(column, "comment", carried.comment());
            return column;
        });
        return json;
    }

    private static ObjectNode end(End end) {
        ObjectNode json = JSON.objectNode()
                .put("entity", end.entity().toString())
                .put("verb", end.verb())
                .put("number", end.cardinality().toString());
        text(json, "role", end.role());
        return json;
    }

    private static void body(ObjectNode json, Body body) {
        list(json, "attributes", body.attributes(), DocumentWriter::attribute);
        if (!body.key().isEmpty()) {
            json.set("key", parts(body.key()));
        }
        list(json, "uniques", body.uniques(), unique -> {
            ObjectNode each = JSON.objectNode().put("id", unique.id().toString());
            each.set("parts", parts(unique.parts()));
            return pins(each, unique.pins());
        });
        list(
                json,
                "checks",
                body.checks(),
                check -> pins(
                        JSON.objectNode()
                                .put("id", check.id().toString())
                                .put("expression", check.expression().toString()),
                        check.pins()));
        list(json, "indexes", body.indexes(), index -> {
            ObjectNode each = JSON.objectNode().put("id", index.id().toString());
            each.set("parts", array(index.parts(), part -> {
                String down = part.descending() ? " desc" : "";
                return JSON.textNode(part.column() + down);
            }));
            if (index.unique()) {
                each.put("unique", true);
            }
            return pins(each, index.pins());
        });
        list(json, "dependencies", body.dependencies(), dependency -> {
            ObjectNode each = JSON.objectNode().put("id", dependency.id().toString());
            each.set("from", parts(dependency.from()));
            each.set("to", parts(dependency.to()));
            return each;
        });
        list(json, "rows", body.rows(), DocumentWriter::row);
    }

    private static ObjectNode attribute(Attribute attribute) {
        ObjectNode json = JSON.objectNode()
                .put("id", attribute.id().toString())
                .put("name", attribute.name())
                .put("type", attribute.type().toString());
        if (attribute.optional()) {
            json.put("optional", true);
        }
        text(json, "default", attribute.defaultValue().toString());
        text(json, "comment", attribute.comment());
        return pins(json, attribute.pins());
    }

    private static ObjectNode row(Row row) {
        ObjectNode json = JSON.objectNode().put("id", row.id().toString());
        row.references().forEach((end, reference) -> {
            if (reference instanceof Row.ToRow to) {
                json.put(end.toString(), to.row().toString());
            } else if (reference instanceof Row.RawKey raw) {
                json.set(end.toString(), array(raw.values(), JSON::textNode));
            }
        });
        row.values().forEach((attribute, value) -> json.put(attribute.toString(), value));
        return json;
    }

    private static ObjectNode diagram(Diagram diagram, Design design) {
        ObjectNode json = JSON.objectNode()
                .put("name", diagram.name())
                .put("notation", word(diagram.notation()))
                .put("detail", word(diagram.detail()));
        List<Id> part = diagram.part().stream().filter(design::knows).toList();
        list(json, "part", part, id -> JSON.textNode(id.toString()));
        List<Id> pinned = diagram.pinned().stream().filter(design::knows).toList();
        list(json, "pinned", pinned, id -> JSON.textNode(id.toString()));
        ObjectNode positions = JSON.objectNode();
        diagram.positions()
                .forEach((id, at) -> positions.set(
                        id.toString(), JSON.arrayNode().add(Math.round(at.x())).add(Math.round(at.y()))));
        json.set("positions", positions);
        return json;
    }

    private static ObjectNode pins(ObjectNode json, Pins pins) {
        text(json, "physicalName", pins.name());
        text(json, "namespace", pins.namespace());
        if (!pins.options().isEmpty()) {
            ObjectNode options = JSON.objectNode();
            pins.options().forEach(options::put);
            json.set("options", options);
        }
        return json;
    }

    private static ArrayNode parts(List<KeyPart> parts) {
        return array(parts, part -> JSON.textNode(part.toString()));
    }

    private static void action(ObjectNode json, String name, ReferenceAction action) {
        if (action != ReferenceAction.RESTRICT) {
            json.put(name, word(action));
        }
    }

    private static void object(ObjectNode json, String name, ObjectNode object) {
        if (!object.isEmpty()) {
            json.set(name, object);
        }
    }

    private static void text(ObjectNode json, String name, String text) {
        if (!text.isEmpty()) {
            json.put(name, text);
        }
    }

    private static <T> void list(ObjectNode json, String name, List<T> list, Function<T, ? extends JsonNode> each) {
        if (!list.isEmpty()) {
            json.set(name, array(list, each));
        }
    }

    private static <T> ArrayNode array(List<T> list, Function<T, ? extends JsonNode> each) {
        ArrayNode array = JSON.arrayNode();
        list.forEach(element -> array.add(each.apply(element)));
        return array;
    }

    /** The word for a choice, such as {@code set-null}. */
    static String word(Enum<?> choice) {
        return choice.name().toLowerCase(Locale.ROOT).replace('_', '-');
    }
}
