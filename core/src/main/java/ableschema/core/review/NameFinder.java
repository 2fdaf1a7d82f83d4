package ableschema.core.review;

import ableschema.core.design.Attribute;
import ableschema.core.design.Body;
import ableschema.core.design.ColumnRef;
import ableschema.core.design.Design;
import ableschema.core.design.Entity;
import ableschema.core.design.Id;
import ableschema.core.design.KeyPart;
import ableschema.core.edit.ChangeEntity;
import ableschema.core.edit.Edits;
import ableschema.core.finding.Finding;
import ableschema.core.finding.Place;
import ableschema.core.finding.Remedy;
import ableschema.core.finding.Rule;
import ableschema.core.finding.Step;
import ableschema.core.mapping.NamingRules;
import ableschema.core.schema.Column;
import ableschema.core.schema.Table;
import ableschema.core.sql.dialect.Dialect;
import ableschema.core.sql.dialect.Dialects;
import ableschema.core.words.Sentences;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.stream.Stream;

/** Names of tables and columns that the chosen dialect takes for words of its own, cuts, or holds alike. */
final class NameFinder implements Finder.OfEach {

    static final Rule RESERVED = Rule.advice(
            Step.SQL,
            "reserved-word",
            "Word that the database reserves",
            "{table}: {name} is a word that {dialects} {reserve}.",
            "It must be quoted wherever it is written, by everybody and every program, with its exact letter case.");
    static final Rule TOO_LONG = Rule.mustMend(
            Step.SQL,
            "name-too-long",
            "Name too long",
            "{table}: {name} has {length} characters, and {dialect} takes {longest}.",
            "The name is refused, or cut without a word, so that two come to be the same.");
    static final Rule ALIKE = Rule.mustMend(
            Step.DRAW,
            "names-alike",
            "Two names that are one to a database",
            "{table}: {one} and {other} are one name to a database, and the second is called {column}.",
            "Most databases do not tell letter case apart in names; who reads or writes one of the two gets the other.");

    @Override
    public List<Rule> rules() {
        return List.of(RESERVED, TOO_LONG, ALIKE);
    }

    @Override
    public void find(Subject subject, Id owner, Consumer<Finding> found) {
        Optional<Table> table = subject.table(owner);
        table.ifPresent(each -> {
            names(subject, owner, each).forEach(name -> judge(subject, each, name, found));
            constraints(each)
                    .filter(name -> subject.dialect().traits().isTooLong(name))
                    .forEach(name -> found.accept(tooLong(subject, each, new Named(name, Place.of(owner)))));
            alike(subject, owner, each, found);
        });
    }

    /** A name, and what is called so. */
    private record Named(String name, Place place) {}

    private static List<Named> names(Subject subject, Id owner, Table table) {
        var names = new ArrayList<Named>();
        names.add(new Named(table.name(), Place.of(owner)));
        for (Column column : table.columns()) {
            KeyPart part = subject.trace().ref(table, column);
            // the name of a foreign key column is made of those that it refers to
            if (part.through().isEmpty()) {
                names.add(new Named(column.name(), new Place(owner, Optional.empty(), List.of(part))));
            }
        }
        return names;
    }

    private static Stream<String> constraints(Table table) {
        return Stream.of(
                        table.primaryKey().stream().map(Table.PrimaryKey::name),
                        table.foreignKeys().stream().map(key -> key.name()),
                        table.uniques().stream().map(Table.UniqueConstraint::name),
                        table.checks().stream().map(Table.CheckConstraint::name),
                        table.indexes().stream().map(Table.TableIndex::name))
                .flatMap(each -> each);
    }

    private static void judge(Subject subject, Table table, Named named, Consumer<Finding> found) {
        Dialect dialect = subject.dialect();
        if (dialect.reserves(named.name())) {
            found.accept(reserved(subject, table, named));
        }
        if (dialect.traits().isTooLong(named.name())) {
            found.accept(tooLong(subject, table, named));
        }
    }

    private static Finding reserved(Subject subject, Table table, Named named) {
        List<String> dialects = Stream.concat(
                        Stream.of(subject.dialect().label()),
                        Dialects.ALL.stream()
                                .filter(each -> each.reserves(named.name()))
                                .map(Dialect::label)
                                .filter(label -> !label.equals(subject.dialect().label())))
                .toList();
        Finding finding = Finding.of(RESERVED, named.place())
                .naming("table", subject.trace().label(table))
                .naming("dialects", Sentences.listed(dialects))
                .naming("reserve", dialects.size() == 1 ? "reserves" : "reserve")
                .stating("name", named.name());
        return renaming(subject, named.place()).map(finding::mendedBy).orElse(finding);
    }

    private static Finding tooLong(Subject subject, Table table, Named named) {
        return Finding.of(TOO_LONG, named.place())
                .naming("table", subject.trace().label(table))
                .stating("name", named.name())
                .stating("length", String.valueOf(named.name().length()))
                .stating("dialect", subject.dialect().label())
                .stating("longest", String.valueOf(subject.dialect().traits().longestName()));
    }

    /** Gives an attribute, an entity or a pairing another name; one that was pinned is released. */
    static Optional<Remedy> renaming(Subject subject, Place place) {
        Design design = subject.design();
        String owner = design.nameOf(place.owner());
        Optional<Id> attribute = place.parts().stream()
                .flatMap(part -> part instanceof ColumnRef.Own own ? Stream.of(own.id()) : Stream.empty())
                .findFirst();
        if (attribute.isPresent()) {
            return design.attribute(attribute.get())
                    .map(each -> owner.toLowerCase(Locale.ROOT) + " " + each.name())
                    .map(proposal -> renaming(proposal, (now, ids, given) -> {
                        Attribute renamed =
                                now.attribute(attribute.get()).orElseThrow().withName(given);
                        return new Edits(now, ids)
                                .changeAttribute(renamed.withPins(renamed.pins().withName("")));
                    }));
        }
        return Optional.of(renaming(owner + " record", (now, ids, given) -> now.relationship(place.owner())
                .map(each -> new Edits(now, ids)
                        .changeRelationship(
                                each.withNoun(given).withPins(each.pins().withName(""))))
                .orElseGet(() -> {
                    Entity entity = now.entity(place.owner()).orElseThrow();
                    return new ChangeEntity(
                            entity.withName(given).withPins(entity.pins().withName("")),
                            "rename " + entity.name() + " to " + given);
                })));
    }

    private static Remedy renaming(String proposal, Remedy.Making making) {
        return new Remedy("call it otherwise", "name", proposal, making);
    }

    private static void alike(Subject subject, Id owner, Table table, Consumer<Finding> found) {
        Body body = subject.design().body(owner).orElse(Body.EMPTY);
        NamingRules rules = subject.document().rules().naming();
        Map<String, Attribute> seen = new HashMap<>();
        for (Attribute each : body.attributes()) {
            String name = each.pins().name().isEmpty()
                    ? rules.style().of(each.name())
                    : each.pins().name();
            Attribute other = seen.putIfAbsent(subject.folded(name), each);
            if (other != null) {
                String column = subject.trace()
                        .column(table, each.ref())
                        .map(Column::name)
                        .orElse(name);
                found.accept(Finding.of(ALIKE, new Place(owner, Optional.empty(), List.of(each.ref())))
                        .naming("table", subject.trace().label(table))
                        .naming("column", column)
                        .stating("one", other.name())
                        .stating("other", each.name())
                        .mendedBy(new Remedy(
                                "call the second otherwise",
                                "name",
                                column.replace('_', ' '),
                                (design, ids, given) -> new Edits(design, ids)
                                        .changeAttribute(design.attribute(each.id())
                                                .orElseThrow()
                                                .withName(given)))));
            }
        }
    }
}
