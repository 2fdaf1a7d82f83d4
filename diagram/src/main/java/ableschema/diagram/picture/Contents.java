package ableschema.diagram.picture;

import ableschema.core.design.Attribute;
import ableschema.core.design.Cardinality;
import ableschema.core.design.ColumnRef;
import ableschema.core.design.Design;
import ableschema.core.design.End;
import ableschema.core.design.Entity;
import ableschema.core.design.EntityKind;
import ableschema.core.design.Id;
import ableschema.core.design.Relationship;
import ableschema.core.design.Side;
import ableschema.core.document.Document;
import ableschema.core.mapping.Mapping;
import ableschema.core.mapping.Trace;
import ableschema.core.schema.Column;
import ableschema.core.schema.Table;
import ableschema.core.sql.dialect.Dialect;
import ableschema.core.types.DataType;
import ableschema.diagram.picture.Card.Entry;
import ableschema.diagram.picture.Link.LinkEnd;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** The cards and links that a view of a document shows, before anything has a place. */
public record Contents(List<Card> cards, List<Link> links) {

    public Contents {
        cards = List.copyOf(cards);
        links = List.copyOf(links);
    }

    public static Contents of(Document document, View view) {
        Contents all = view == View.CONCEPT ? concept(document.design().inScope()) : tables(document);
        return document.diagram().isWhole()
                ? all
                : all.only(Set.copyOf(document.diagram().part()), document.design());
    }

    /** The same contents, in which what equals something in earlier ones is that instance, so that it is seen at once to be so. */
    public Contents keeping(Contents before) {
        Map<Id, Card> cardsBefore = before.cards.stream().collect(Collectors.toMap(Card::id, card -> card));
        Map<Link, Link> linksBefore = before.links.stream().collect(Collectors.toMap(link -> link, link -> link));
        return new Contents(
                cards.stream()
                        .map(card -> {
                            Card known = cardsBefore.getOrDefault(card.id(), card);
                            return known.equals(card) ? known : card;
                        })
                        .toList(),
                links.stream().map(link -> linksBefore.getOrDefault(link, link)).toList());
    }

    /** The cards that a link joins to this one, and itself. */
    public Set<Id> neighbours(Id card) {
        return Stream.concat(
                        Stream.of(card),
                        links.stream()
                                .filter(link -> link.first().card().equals(card)
                                        || link.second().card().equals(card))
                                .flatMap(link -> Stream.of(
                                        link.first().card(), link.second().card())))
                .collect(Collectors.toSet());
    }

    /** These entities, and the many-to-many between them. */
    public Contents only(Set<Id> entities, Design design) {
        List<Card> shown = cards.stream()
                .filter(card -> entities.contains(card.id())
                        || design.relationship(card.id())
                                .filter(r -> entities.contains(r.first().entity())
                                        && entities.contains(r.second().entity()))
                                .isPresent())
                .toList();
        Set<Id> ids = shown.stream().map(Card::id).collect(Collectors.toSet());
        return new Contents(
                shown,
                links.stream()
                        .filter(link -> ids.contains(link.first().card())
                                && ids.contains(link.second().card()))
                        .toList());
    }

    private static Contents concept(Design design) {
        return new Contents(
                design.entities().stream().map(e -> card(design, e)).toList(),
                design.relationships().stream().map(Contents::link).toList());
    }

    private static Card card(Design design, Entity entity) {
        var key = new ArrayList<Entry>();
        var others = new ArrayList<Entry>();
        long keyParts = entity.body().key().stream()
                .filter(ColumnRef.Own.class::isInstance)
                .count();
        for (Attribute attribute : entity.body().attributes()) {
            int part = entity.body().key().indexOf(attribute.ref());
            if (part >= 0) {
                String number = keyParts > 1 ? (part + 1) + " " : "";
                key.add(new Entry(attribute.id(), number + attribute.name(), note(design, attribute), true));
            } else {
                others.add(new Entry(
                        attribute.id(),
                        bracketed(attribute.name(), attribute.optional()),
                        note(design, attribute),
                        false));
            }
        }
        String kind = entity.kind().isSaid() ? entity.kind().name() : "";
        return new Card(entity.id(), entity.name(), kind, Ink.of(entity.kind()), design.isWeak(entity), key, others);
    }

    private static String note(Design design, Attribute attribute) {
        return attribute.type() instanceof DataType.Undecided ? "" : design.inWords(attribute.type());
    }

    private static String bracketed(String name, boolean optional) {
        return optional ? "[" + name + "]" : name;
    }

    private static Link link(Relationship r) {
        String attributes = r.body().attributes().stream()
                .map(a -> bracketed(a.name(), a.optional()))
                .collect(Collectors.joining(", "));
        String detail = !r.isManyToMany() || attributes.isEmpty()
                ? ""
                : (r.noun().isEmpty() ? "" : r.noun() + ": ") + attributes;
        return new Link(
                r.id(),
                end(r.first()),
                end(r.second()),
                r.first().verb(),
                r.second().verb(),
                detail,
                r.isSubtype());
    }

    private static LinkEnd end(End end) {
        return new LinkEnd(end.entity(), end.cardinality());
    }

    private static Contents tables(Document document) {
        Mapping mapping = document.mapping();
        Design design = mapping.physical();
        Dialect dialect = document.dialect();
        var cards = new ArrayList<Card>();
        var links = new ArrayList<Link>();
        for (Table table : mapping.schema().tables()) {
            Id owner = mapping.trace().owner(table);
            cards.add(card(design, mapping.trace(), table, dialect));
            // also where a key is still missing, so that there is no foreign key yet
            design.referencesOf(owner).forEach(end -> design.relationship(end.relationship())
                    .ifPresent(r -> links.add(link(design, owner, r, end.side()))));
        }
        return new Contents(cards, links);
    }

    private static Card card(Design design, Trace trace, Table table, Dialect dialect) {
        var key = new ArrayList<Entry>();
        var others = new ArrayList<Entry>();
        for (Column column : table.columns()) {
            boolean inKey = table.isInKey(column);
            String target = table.foreignKeyOf(column)
                    .map(f -> " ↗ " + f.target().name())
                    .orElse("");
            var entry = new Entry(
                    trace.origin(table, column),
                    bracketed(column.name(), column.nullable()),
                    dialect.type(column.type()) + target,
                    inKey);
            (inKey ? key : others).add(entry);
        }
        Id owner = trace.owner(table);
        EntityKind kind = design.entity(owner).map(Entity::kind).orElse(EntityKind.UNSAID);
        String label = trace.isJunction(table) ? "junction" : kind.name();
        return new Card(owner, table.name(), label, Ink.of(kind), false, key, others);
    }

    /** @param referred the end of the relationship that the table refers to */
    private static Link link(Design design, Id owner, Relationship relationship, Side referred) {
        End target = relationship.end(referred);
        boolean optional = design.isOptional(relationship.ref(referred));
        Cardinality children = relationship.isOneToOne()
                ? Cardinality.AT_MOST_ONE
                : relationship.end(referred.other()).cardinality();
        return new Link(
                relationship.id(),
                new LinkEnd(target.entity(), optional ? Cardinality.AT_MOST_ONE : Cardinality.EXACTLY_ONE),
                new LinkEnd(owner, children),
                target.verb(),
                relationship.end(referred.other()).verb(),
                "",
                relationship.isSubtype());
    }
}
