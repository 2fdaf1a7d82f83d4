package ableschema.core.structure;

import ableschema.core.design.Attribute;
import ableschema.core.design.Body;
import ableschema.core.design.Cardinality;
import ableschema.core.design.ColumnRef;
import ableschema.core.design.Condition;
import ableschema.core.design.Design;
import ableschema.core.design.End;
import ableschema.core.design.ForeignColumn;
import ableschema.core.design.Id;
import ableschema.core.design.IdKind;
import ableschema.core.design.IdSource;
import ableschema.core.design.KeyPart;
import ableschema.core.design.Lists;
import ableschema.core.design.ReferenceColumn;
import ableschema.core.design.Relationship;
import ableschema.core.design.Side;
import ableschema.core.document.Document;
import ableschema.core.document.Edit;
import ableschema.core.edit.ChangeBody;
import ableschema.core.edit.Compound;
import ableschema.core.edit.Edits;
import ableschema.core.expression.Expression;
import ableschema.core.expression.Filling;
import ableschema.core.mapping.Keys;
import ableschema.core.words.CheckText;
import ableschema.core.words.ConditionText;
import ableschema.core.words.DomainWords;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;

/** Corrects what the list of a table's columns says, by what was typed into it. */
public final class StructureEdits {

    private static final Set<String> YES = Set.of("yes", "y", "true", "required", "●", "x", "not null");
    private static final Set<String> NO = Set.of("", "no", "n", "false", "optional", "○", "null");

    private final Document document;
    private final Id owner;
    private final IdSource ids;

    public StructureEdits(Document document, Id owner, IdSource ids) {
        this.document = document;
        this.owner = owner;
        this.ids = ids;
    }

    /**
     * Says the same of one or several columns, in one step.
     *
     * @throws IllegalArgumentException with what is wrong and what can be typed, and then nothing is changed
     */
    public Edit set(List<ColumnRef> columns, Field field, String typed) {
        String text = typed.strip();
        if (field == Field.NAME && columns.size() > 1) {
            throw new IllegalArgumentException("each column has a name of its own; choose one to rename it");
        }
        var edits = new ArrayList<Edit>();
        Document before = document;
        for (ColumnRef column : columns) {
            Edit edit = set(before, column, field, text);
            edits.add(edit);
            before = edit.applyTo(before);
        }
        return edits.size() == 1
                ? edits.get(0)
                : new Compound(
                        "set the " + field.label().replaceAll(" · .*", "") + " of " + edits.size() + " columns", edits);
    }

    private Edit set(Document before, ColumnRef column, Field field, String text) {
        Design design = before.design();
        if (column instanceof ColumnRef.Own own) {
            Attribute attribute = design.attribute(own.id())
                    .orElseThrow(() -> new IllegalArgumentException(
                            "this column tells the kinds apart that share the table, and is changed with them"));
            return new AttributeFields(design, ids).set(attribute, field, text);
        }
        if (column instanceof ForeignColumn foreign) {
            return set(design, foreign, field, text);
        }
        throw new IllegalArgumentException("this column comes with the kinds of an entity and is changed there");
    }

    /** Of a column that comes with a reference: its own name, default and comment, and whether there must be a parent. */
    private Edit set(Design design, ForeignColumn foreign, Field field, String text) {
        Relationship relationship = design.relationship(foreign.end().relationship())
                .orElseThrow(() -> new IllegalArgumentException("this column is gone"));
        Side side = foreign.end().side();
        End end = relationship.end(side);
        ReferenceColumn column = end.reference().column(foreign.target()).orElse(ReferenceColumn.to(foreign.target()));
        ReferenceColumn changed =
                switch (field) {
                    case NAME -> column.withName(text);
                    case COMMENT -> column.withComment(text);
                    case DEFAULT -> column.withDefault(AttributeFields.defaultOf(standIn(design, foreign), text));
                    case REQUIRED -> column;
                    case TYPE, CHECK, IDENTIFIES ->
                        throw new IllegalArgumentException(
                                "this column refers to " + design.at(end).name() + ": its " + field.label()
                                        + " is that of the key there, and is changed there");
                };
        if (field == Field.REQUIRED) {
            requireLoose(design, relationship, foreign, yes(text));
            return new Edits(design, ids).changeRelationship(relationship.with(side, required(end, yes(text))));
        }
        return new Edits(design, ids)
                .changeRelationship(
                        relationship.with(side, end.with(end.reference().with(changed))));
    }

    /** A reference of a pairing, or of a key, is never empty. */
    private void requireLoose(Design design, Relationship relationship, ForeignColumn foreign, boolean required) {
        boolean inKey = design.body(owner).stream()
                .flatMap(body -> body.key().stream())
                .anyMatch(part -> part.through().filter(foreign.end()::equals).isPresent());
        if (!required && (relationship.isManyToMany() || inKey)) {
            throw new IllegalArgumentException(
                    relationship.isManyToMany()
                            ? "a pairing always has both of its ends"
                            : "this column is in the key, and so never empty");
        }
    }

    private static End required(End end, boolean required) {
        Cardinality now = end.cardinality();
        return end.withCardinality(new Cardinality(required ? Math.max(1, now.min()) : 0, now.max()));
    }

    /** An attribute of the type that a column of a reference has, by which what is typed for it is read. */
    private Attribute standIn(Design design, ForeignColumn foreign) {
        return Attribute.named(ids.next(IdKind.ATTRIBUTE), "this column").withType(new Keys(design).type(foreign));
    }

    static boolean yes(String text) {
        String small = text.toLowerCase(Locale.ROOT);
        if (YES.contains(small) || NO.contains(small)) {
            return YES.contains(small);
        }
        throw new IllegalArgumentException("'" + text + "' says neither yes nor no; type yes, no, or nothing");
    }

    /** Takes away columns of the owner's own; those that come with references go with the relationship. */
    public Edit remove(List<ColumnRef> columns) {
        List<Id> gone = columns.stream()
                .filter(ColumnRef.Own.class::isInstance)
                .map(column -> ((ColumnRef.Own) column).id())
                .toList();
        if (gone.size() < columns.size()) {
            throw new IllegalArgumentException(
                    "a column that comes with a reference goes when the relationship goes; choose that to delete it");
        }
        return new Edits(document.design(), ids).remove(gone);
    }

    /** Puts a column of the owner's own before or behind its neighbour; empty where it stands at the end already. */
    public Optional<Edit> move(ColumnRef column, int by) {
        List<Attribute> attributes =
                document.design().body(owner).map(Body::attributes).orElse(List.of());
        for (int i = 0; i < attributes.size(); i++) {
            Attribute attribute = attributes.get(i);
            int to = i + by;
            if (attribute.ref().equals(column)) {
                return to < 0 || to >= attributes.size()
                        ? Optional.empty()
                        : Optional.of(new Edits(document.design(), ids).moveAttribute(attribute, to));
            }
        }
        return Optional.empty();
    }

    /** Takes a rule of the design away. */
    public Edit removeCheck(Id check) {
        Body body = document.design().body(owner).orElse(Body.EMPTY);
        return new ChangeBody(owner, body.withoutCheck(check), "take a rule away");
    }

    /** Takes an index of the design away. */
    public Edit removeIndex(Id index) {
        Body body = document.design().body(owner).orElse(Body.EMPTY);
        return new ChangeBody(owner, body.withoutIndex(index), "take an index away");
    }

    /** What can be said of an attribute. */
    static final class AttributeFields {
        private final Design design;
        private final IdSource ids;

        AttributeFields(Design design, IdSource ids) {
            this.design = design;
            this.ids = ids;
        }

        Edit set(Attribute attribute, Field field, String text) {
            return switch (field) {
                case NAME -> change(attribute.withName(named(attribute, text)));
                case TYPE -> change(attribute.withType(new DomainWords(design).read(text)));
                case REQUIRED -> change(attribute.withOptional(!required(attribute, yes(text))));
                case IDENTIFIES -> identifies(attribute, text.toLowerCase(Locale.ROOT));
                case DEFAULT -> change(attribute.withFilling(filling(attribute, text)));
                case CHECK -> condition(attribute, text);
                case COMMENT -> change(attribute.withComment(text));
            };
        }

        private Edit change(Attribute changed) {
            return new Edits(design, ids).changeAttribute(changed);
        }

        private static String named(Attribute attribute, String text) {
            if (text.isEmpty()) {
                throw new IllegalArgumentException("an attribute needs a name; " + attribute.name() + " keeps its own");
            }
            return text;
        }

        private Body body(Attribute attribute) {
            return design.ownerOf(attribute.id()).flatMap(design::body).orElse(Body.EMPTY);
        }

        private boolean required(Attribute attribute, boolean yes) {
            if (!yes && body(attribute).key().contains(attribute.ref())) {
                throw new IllegalArgumentException(attribute.name() + " is in the key, and so never empty");
            }
            return yes;
        }

        private Edit identifies(Attribute attribute, String text) {
            Id owner = design.ownerOf(attribute.id()).orElseThrow();
            var edits = new Edits(design, ids);
            return switch (text.replaceAll("[ ]*[0-9]+$", "")) {
                case "key" -> edits.chooseKey(owner, Lists.plus(without(attribute), attribute.ref()));
                case "unique" -> edits.setUnique(attribute, true);
                case "" ->
                    body(attribute).key().contains(attribute.ref())
                            ? edits.chooseKey(owner, without(attribute))
                            : edits.setUnique(attribute, false);
                default -> throw new IllegalArgumentException("'" + text + "' is none of: key, unique, or nothing");
            };
        }

        private List<KeyPart> without(Attribute attribute) {
            return body(attribute).key().stream()
                    .filter(part -> !part.equals(attribute.ref()))
                    .toList();
        }

        /** Behind an equals sign stands what the database computes, anything else is a default. */
        private Filling<ColumnRef> filling(Attribute attribute, String text) {
            if (!text.startsWith("=")) {
                defaultOf(plain(attribute), text); // refuses what the type has not
                return Filling.byDefault(defaultOf(attribute, text));
            }
            Id owner = design.ownerOf(attribute.id()).orElseThrow();
            return Filling.computed(new CheckText(design, owner)
                    .computed(attribute, text.substring(1).strip()));
        }

        /** With the type that its domain holds, by which what is said of its values is judged. */
        private Attribute plain(Attribute attribute) {
            return attribute.withType(design.typeOf(attribute));
        }

        private static Expression<ColumnRef> defaultOf(Attribute attribute, String text) {
            if (text.isEmpty()) {
                return Expression.none();
            }
            if (!ConditionText.isFunction(text)) {
                return ConditionText.plainDefault(attribute, text);
            }
            ConditionText.requireFitting(attribute, text);
            return ConditionText.function(text);
        }

        private Edit condition(Attribute attribute, String text) {
            ConditionText.read(plain(attribute), text); // refuses what the type has not
            Optional<Condition> rule = ConditionText.read(attribute, text);
            return new Edits(design, ids).setCondition(attribute, rule);
        }
    }
}
