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
import ableschema.core.document.District;
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
import java.util.EnumMap;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Supplier;
import java.util.stream.Collectors;

/** Makes the contents of one document after another; what comes from the same entity, relationship or table is the same instance again. */
public final class ContentsMaker {

    private List<Object> common = List.of();
    private final Known<Card> cards = new Known<>();
    private final Map<Side, Known<Link>> links = new EnumMap<>(Side.class);

    private final Map<Card, Card> leading = new IdentityHashMap<>();
    private Optional<Divided> divided = Optional.empty();

    /** What was made from which instance, as long as it is asked for. */
    private static final class Known<T> {
        private Map<Object, T> before = new IdentityHashMap<>();
        private Map<Object, T> now = new IdentityHashMap<>();

        T of(Object source, Supplier<T> made) {
            T known = before.get(source);
            T found = known == null ? made.get() : known;
            now.put(source, found);
            return found;
        }

        void begin(boolean afresh) {
            before = afresh ? new IdentityHashMap<>() : now;
            now = new IdentityHashMap<>();
        }
    }

    /** @param mapping the tables of the document */
    public Contents of(Document document, Mapping mapping, View view) {
        List<Object> looked = List.of(
                view,
                document.dialect().name(),
                document.rules().choices(),
                document.design().domains());
        boolean afresh = !looked.equals(common);
        common = looked;
        cards.begin(afresh);
        links.values().forEach(each -> each.begin(afresh));
        Contents pieces = view == View.CONCEPT ? concept(document.design().inScope()) : tables(document, mapping);
        List<District> districts = document.diagram().districts();
        if (!districts.isEmpty()
                && !divided.filter(known -> known.fits(pieces, districts)).isPresent()) {
            divided = Optional.of(new Divided(pieces, districts));
        }
        Contents all = districts.isEmpty()
                ? pieces
                : divided.orElseThrow()
                        .contents(pieces.cards(), leading, document.rules().farLines());
        return document.diagram().isWhole()
                ? all
                : all.only(Set.copyOf(document.diagram().part()), document.design());
    }

    private Known<Link> links(Side side) {
        return links.computeIfAbsent(side, each -> new Known<>());
    }

    private Contents concept(Design design) {
        return new Contents(
                design.entities().stream()
                        .map(e -> cards.of(e, () -> card(design, e)))
                        .toList(),
                design.relationships().stream()
                        .map(r -> links(Side.FIRST).of(r, () -> link(r)))
                        .toList());
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

    private Contents tables(Document document, Mapping mapping) {
        Design design = mapping.physical();
        Dialect dialect = document.dialect();
        var tables = new ArrayList<Card>();
        var joining = new ArrayList<Link>();
        for (Table table : mapping.schema().tables()) {
            Id owner = mapping.trace().owner(table);
            tables.add(cards.of(table, () -> card(design, mapping.trace(), table, dialect)));
            // also where a key is still missing, so that there is no foreign key yet
            design.referencesOf(owner).forEach(end -> design.relationship(end.relationship())
                    .ifPresent(r -> joining.add(links(end.side()).of(r, () -> link(design, owner, r, end.side())))));
        }
        return new Contents(tables, joining);
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
                    dialect.shownType(column) + target,
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
