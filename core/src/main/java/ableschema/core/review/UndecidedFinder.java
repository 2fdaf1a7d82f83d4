package ableschema.core.review;

import ableschema.core.brief.TypeByName;
import ableschema.core.brief.TypeSuggestion;
import ableschema.core.design.Attribute;
import ableschema.core.design.Body;
import ableschema.core.design.ColumnRef;
import ableschema.core.design.Design;
import ableschema.core.design.Id;
import ableschema.core.finding.Finding;
import ableschema.core.finding.Place;
import ableschema.core.finding.Remedy;
import ableschema.core.finding.Rule;
import ableschema.core.finding.Step;
import ableschema.core.holding.ListedValues;
import ableschema.core.schema.Column;
import ableschema.core.schema.Table;
import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;

/** What is not decided yet and keeps definitions from being written. */
final class UndecidedFinder implements Finder.OfEach {

    static final Rule UNTYPED = Rule.open(
                    Step.DRAW,
                    "untyped",
                    "No type yet",
                    "{table}: {column} has no type yet.",
                    "The database must know what a column holds before it can make the table.")
            .counted("untyped");
    static final Rule NO_ATTRIBUTES = Rule.open(
                    Step.DRAW,
                    "no-attributes",
                    "No attributes yet",
                    "{table} has no attributes yet.",
                    "A table needs at least one column.")
            .counted("still bare");

    /** The same for all, whatever the type, so that all are mended at once. */
    static final String AS_NAMED = "take the type that its name and rules suggest";

    @Override
    public List<Rule> rules() {
        return List.of(UNTYPED, NO_ATTRIBUTES);
    }

    @Override
    public void find(Subject subject, Id owner, Consumer<Finding> found) {
        Optional<Table> table = subject.table(owner);
        if (table.isEmpty()) {
            return;
        }
        if (table.get().columns().isEmpty()) {
            found.accept(Finding.of(NO_ATTRIBUTES, Place.of(owner))
                    .naming("table", subject.trace().label(table.get())));
        }
        for (Column column : table.get().columns()) {
            boolean own = column.isUndecided() && subject.trace().ref(table.get(), column) instanceof ColumnRef.Own;
            if (own) {
                subject.design()
                        .attribute(subject.trace().origin(table.get(), column))
                        .ifPresent(attribute -> found.accept(untyped(subject, table.get(), attribute)));
            }
        }
    }

    private static Finding untyped(Subject subject, Table table, Attribute attribute) {
        Id owner = subject.design().ownerOf(attribute.id()).orElseThrow(); // it is an attribute of the design
        Finding finding = Finding.of(UNTYPED, new Place(owner, Optional.empty(), List.of(attribute.ref())))
                .naming("table", subject.trace().label(table))
                .naming("column", attribute.name());
        List<String> values = subject.design().body(owner).orElse(Body.EMPTY).rows().stream()
                .flatMap(row -> row.value(attribute.id()).stream())
                .toList();
        if (values.isEmpty()) {
            return likely(subject.design(), attribute)
                    .map(likely -> finding.withEvidence(likely.type() + ": " + likely.reason())
                            .mendedBy(Remedy.of(
                                    AS_NAMED, (Remedy.Alone) Retyping.making(likely.type(), attribute.id())::edit)))
                    .orElse(finding);
        }
        TypeSuggestion suggestion = TypeSuggestion.of(attribute.name(), values);
        return finding.withEvidence(suggestion.reason()).mendedBy(Retyping.to(suggestion.type(), attribute.id()));
    }

    /** Where no row has a value. */
    private static Optional<TypeSuggestion> likely(Design design, Attribute attribute) {
        Body body = design.ownerOf(attribute.id()).flatMap(design::body).orElse(Body.EMPTY);
        return ListedValues.of(design, attribute)
                .map(ListedValues::values)
                .filter(named -> !named.isEmpty())
                .map(named -> new TypeSuggestion(
                        TypeSuggestion.of(attribute.name(), named).type(), "it is one of " + String.join(", ", named)))
                .or(() -> TypeByName.of(attribute, body));
    }
}
