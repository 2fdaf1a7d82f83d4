package ableschema.core.store;

import ableschema.core.design.Attribute;
import ableschema.core.design.Body;
import ableschema.core.design.Cardinality;
import ableschema.core.design.Check;
import ableschema.core.design.ColumnRef;
import ableschema.core.design.Dependency;
import ableschema.core.design.Domain;
import ableschema.core.design.End;
import ableschema.core.design.EndRef;
import ableschema.core.design.Entity;
import ableschema.core.design.EntityKind;
import ableschema.core.design.ForeignColumn;
import ableschema.core.design.Id;
import ableschema.core.design.Index;
import ableschema.core.design.Mark;
import ableschema.core.design.Pins;
import ableschema.core.design.Reference;
import ableschema.core.design.ReferenceColumn;
import ableschema.core.design.Relationship;
import ableschema.core.design.Row;
import ableschema.core.design.Side;
import ableschema.core.design.SubtypeLayout;
import ableschema.core.design.Unique;
import ableschema.core.expression.Expression;
import ableschema.core.expression.Filling;
import ableschema.core.types.DataTypes;
import ableschema.core.types.ReferenceAction;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.TextNode;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.regex.Pattern;
import java.util.stream.Stream;

/** The form of entities, relationships and domains. */
final class DesignForm {

    private static final Form<ReferenceAction> ACTION = Form.choice(List.of(ReferenceAction.values()));

    /** How the address of a column begins; what is made of none, such as true, does not. */
    private static final Pattern ADDRESS = Pattern.compile("[a-z]:|\\?$");

    private final Forms forms;

    DesignForm(Forms forms) {
        this.forms = forms;
    }

    Form<Entity> entity() {
        return Form.object(entity -> new Entity(
                entity.required("id", forms.newId, Entity::id),
                entity.required("name", Form.TEXT, Entity::name),
                new EntityKind(entity.text("kind", e -> e.kind().name())),
                entity.text("definition", Entity::definition),
                entity.flag("parked", Entity::parked),
                pinned(entity, Entity::pins, pins -> body(entity, Entity::body)),
                Forms.pins(entity, Entity::pins)));
    }

    /** Pins stand before the body in a file. */
    private static <O, T> T pinned(Members<O> members, Function<O, Pins> getter, Function<Pins, T> rest) {
        return rest.apply(Forms.pins(members, getter));
    }

    Form<Relationship> relationship() {
        return Form.object(relationship -> {
            var read = new Relationship(
                    relationship.required("id", forms.newId, Relationship::id),
                    relationship.required("first", end(), Relationship::first),
                    relationship.required("second", end(), Relationship::second),
                    relationship.text("noun", Relationship::noun),
                    relationship.optional(
                            "subtype",
                            Form.choice(List.of(SubtypeLayout.values())),
                            SubtypeLayout.NONE,
                            Relationship::subtype),
                    pinned(relationship, Relationship::pins, pins -> body(relationship, Relationship::body)),
                    Forms.pins(relationship, Relationship::pins));
            return asOfEarlierFiles(relationship, read);
        });
    }

    /** In earlier files the relationship itself said what happens on delete, and what its columns are called. */
    private Relationship asOfEarlierFiles(Members<Relationship> members, Relationship read) {
        Optional<ReferenceAction> onDelete = members.earlier("onDelete", ACTION);
        Optional<ReferenceAction> onUpdate = members.earlier("onUpdate", ACTION);
        Relationship now = onDelete.isPresent() || onUpdate.isPresent()
                ? read.withActions(
                        onDelete.orElse(ReferenceAction.NO_ACTION), onUpdate.orElse(ReferenceAction.NO_ACTION))
                : read;
        for (Named column :
                members.earlier("carried", Form.list(earlierColumn())).orElse(List.of())) {
            Side side = column.of().end().side();
            End end = now.end(side);
            now = now.with(
                    side,
                    end.with(end.reference()
                            .with(ReferenceColumn.to(column.of().target())
                                    .withName(column.name())
                                    .withComment(column.comment()))));
        }
        return now;
    }

    private record Named(ForeignColumn of, String name, String comment) {}

    private Form<Named> earlierColumn() {
        return Form.object(column -> new Named(
                column.required(
                        "column",
                        Form.text(text -> {
                            if (ColumnRef.parse(text) instanceof ForeignColumn foreign) {
                                return foreign;
                            }
                            throw new IllegalArgumentException(
                                    "'" + text + "' is no column that a relationship brings");
                        }),
                        Named::of),
                column.text("name", Named::name),
                column.text("comment", Named::comment)));
    }

    private Form<End> end() {
        return Form.object(end -> new End(
                end.required("entity", forms.known, End::entity),
                end.always("verb", Form.TEXT, "", End::verb),
                end.required("number", Form.text(Cardinality::parse), End::cardinality),
                end.text("role", End::role),
                reference(end)));
    }

    private Reference reference(Members<End> end) {
        return new Reference(
                end.optional("onDelete", ACTION, ReferenceAction.NO_ACTION, e -> e.reference()
                        .onDelete()),
                end.optional("onUpdate", ACTION, ReferenceAction.NO_ACTION, e -> e.reference()
                        .onUpdate()),
                end.optional(
                        "targetKey",
                        optional(forms.known),
                        Optional.empty(),
                        e -> forms.isThere(e.reference()) ? e.reference().targetKey() : Optional.empty()),
                end.list("columns", referenceColumn(), e -> e.reference().columns().stream()
                        .filter(column -> isThere(column.target()))
                        .toList()),
                Forms.referencePins(end, e -> e.reference().pins()));
    }

    private static <T> Form<Optional<T>> optional(Form<T> form) {
        return Form.of(value -> form.write(value.orElseThrow()), json -> Optional.of(form.read(json)));
    }

    private Form<ReferenceColumn> referenceColumn() {
        return Form.object(column -> new ReferenceColumn(
                column.required("to", forms.column, ReferenceColumn::target),
                column.optional("default", forms.expression, Expression.none(), ReferenceColumn::defaultValue),
                column.optional("sameAs", optional(forms.column), Optional.empty(), this::sameAs),
                column.text("comment", ReferenceColumn::comment),
                Forms.pins(column, ReferenceColumn::pins)));
    }

    private Optional<ColumnRef> sameAs(ReferenceColumn column) {
        return column.sameAs().filter(this::isThere);
    }

    /** Whether a column that something else speaks of has not been taken away since. */
    private boolean isThere(ColumnRef column) {
        Optional<Id> by = column.through().map(EndRef::relationship).or(column::attribute);
        return by.isEmpty() || forms.written().knows(by.get());
    }

    private <O> Body body(Members<O> of, Function<O, Body> getter) {
        return new Body(
                of.list("attributes", attribute(), o -> getter.apply(o).attributes()),
                of.list("key", forms.part, o -> getter.apply(o).key()),
                of.list("uniques", unique(), o -> getter.apply(o).uniques()),
                of.list("checks", check(), o -> getter.apply(o).checks()),
                of.list("indexes", index(), o -> getter.apply(o).indexes()),
                of.list("dependencies", dependency(), o -> getter.apply(o).dependencies()),
                of.list("refused", dependency(), o -> getter.apply(o).refused()),
                of.list("rows", row(), o -> getter.apply(o).rows()));
    }

    /** An attribute of a starter, which is none of the design; in older files it has the id of the one that it was taken from. */
    Form<Attribute> starting() {
        return attribute(Form.text(Id::parse));
    }

    private Form<Attribute> attribute() {
        return attribute(forms.newId);
    }

    private Form<Attribute> attribute(Form<Id> id) {
        return Form.object(attribute -> new Attribute(
                attribute.required("id", id, Attribute::id),
                attribute.required("name", Form.TEXT, Attribute::name),
                attribute.always("type", forms.type, DataTypes.UNDECIDED, Attribute::type),
                attribute.flag("optional", Attribute::optional),
                filling(attribute),
                attribute.text("comment", Attribute::comment),
                Set.copyOf(attribute.list("marks", mark(), a -> List.copyOf(a.marks()))),
                attribute.text("pattern", Attribute::pattern),
                Forms.pins(attribute, Attribute::pins)));
    }

    private static Form<Mark> mark() {
        return Form.choice(List.of(Mark.values()));
    }

    private Filling<ColumnRef> filling(Members<Attribute> attribute) {
        Expression<ColumnRef> byDefault =
                attribute.optional("default", forms.expression, Expression.none(), a -> a.defaultValue()
                        .in(""));
        Expression<ColumnRef> computed = attribute.optional(
                "computed",
                forms.expression,
                Expression.none(),
                a -> a.filling().isComputed() ? a.filling().expression().in("") : Expression.none());
        String dialect = attribute.optional(
                "dialect", Forms.DIALECT, "", a -> a.filling().expression().dialect());
        if (computed.isPresent() && byDefault.isPresent()) {
            throw new IllegalArgumentException("an attribute has a default or is computed, not both");
        }
        return computed.isPresent() ? Filling.computed(computed.in(dialect)) : Filling.byDefault(byDefault.in(dialect));
    }

    private Form<Unique> unique() {
        return Form.object(unique -> new Unique(
                unique.required("id", forms.newId, Unique::id),
                unique.required("parts", Form.list(forms.part), Unique::parts),
                Forms.pins(unique, Unique::pins)));
    }

    private Form<Check> check() {
        return Form.object(check -> new Check(
                check.required("id", forms.newId, Check::id),
                check.required("expression", forms.expression, c -> c.expression()
                                .in(""))
                        .in(check.optional("dialect", Forms.DIALECT, "", c -> c.expression()
                                .dialect())),
                Forms.pins(check, Check::pins)));
    }

    private Form<Index> index() {
        return Form.object(index -> {
            Id id = index.required("id", forms.newId, Index::id);
            List<Index.Part> parts = index.required("parts", Form.list(indexPart()), Index::parts);
            boolean unique = index.flag("unique", Index::unique);
            Index.Purpose purpose = index.optional(
                    "purpose", Form.choice(List.of(Index.Purpose.values())), Index.Purpose.SEARCHED, Index::purpose);
            Expression<ColumnRef> only = index.optional("only", forms.expression, Expression.none(), each -> each.only()
                    .in(""));
            String dialect = index.optional("dialect", Forms.DIALECT, "", DesignForm::dialectOf);
            return new Index(
                    id,
                    parts.stream()
                            .map(part -> part.column().isPresent()
                                    ? part
                                    : new Index.Part(part.value().in(dialect), part.descending()))
                            .toList(),
                    unique,
                    purpose,
                    only.isPresent() ? only.in(dialect) : only,
                    Forms.pins(index, Index::pins));
        });
    }

    /** The dialect that what an index is made of is written in; all of it is written in one. */
    private static String dialectOf(Index index) {
        return Stream.concat(index.parts().stream().map(Index.Part::value), Stream.of(index.only()))
                .map(Expression::dialect)
                .filter(each -> !each.isEmpty())
                .findFirst()
                .orElse("");
    }

    /** A column by its address, or an expression in which columns stand between braces; {@code desc} behind it where it falls. */
    private Form<Index.Part> indexPart() {
        return Form.of(
                each -> TextNode.valueOf(each.column()
                                .map(ColumnRef::toString)
                                .orElseGet(() -> each.value().in("").toString())
                        + (each.descending() ? " desc" : "")),
                json -> {
                    Index.Part read = json.as(text -> {
                        String value = text.replaceFirst(" desc$", "");
                        boolean falls = text.endsWith(" desc");
                        return ADDRESS.matcher(value).lookingAt()
                                ? new Index.Part(ColumnRef.parse(value), falls)
                                : new Index.Part(Expression.parse(value, ColumnRef::parse), falls);
                    });
                    read.value().columns().forEach(column -> forms.requireKnown(json, column));
                    return read;
                });
    }

    private Form<Dependency> dependency() {
        return Form.object(dependency -> new Dependency(
                dependency.required("id", forms.newId, Dependency::id),
                dependency.required("from", Form.list(forms.part), Dependency::from),
                dependency.required("to", Form.list(forms.part), Dependency::to),
                dependency.flag("multivalued", Dependency::multivalued)));
    }

    /** Values by attribute, and parents by the end that is referred to. */
    private Form<Row> row() {
        return Form.object(row -> {
            Id id = row.required("id", forms.newId, Row::id);
            var values = new LinkedHashMap<Id, String>();
            var references = new LinkedHashMap<EndRef, Row.Reference>();
            row.others(cell(), List.of("id"), DesignForm::cells).forEach((name, cell) -> {
                if (cell.reference().isPresent()) {
                    references.put(EndRef.parse(name), cell.reference().get());
                } else {
                    values.put(Id.parse(name), cell.value());
                }
            });
            return new Row(id, values, references);
        });
    }

    /** What stands in one cell of a row, with its name: a value, or a parent. */
    private record Cell(String name, String value, Optional<Row.Reference> reference) {}

    private static Map<String, Cell> cells(Row row) {
        var cells = new LinkedHashMap<String, Cell>();
        row.references().forEach((end, to) -> cells.put(end.toString(), new Cell(end.toString(), "", Optional.of(to))));
        row.values().forEach((id, value) -> cells.put(id.toString(), new Cell(id.toString(), value, Optional.empty())));
        return cells;
    }

    private Form<Cell> cell() {
        return Form.of(DesignForm::written, json -> {
            String name = json.name();
            if (name.startsWith("r:")) {
                forms.requireKnown(json, Forms.attempt(json, name, EndRef::parse));
                return new Cell(name, "", Optional.of(reference(json)));
            }
            forms.requireKnown(json, Forms.attempt(json, name, Id::parse));
            return new Cell(name, json.asText(), Optional.empty());
        });
    }

    private static JsonNode written(Cell cell) {
        Row.Reference reference = cell.reference().orElse(null);
        if (reference instanceof Row.RawKey raw) {
            return Form.list(Form.TEXT).write(raw.values());
        }
        return TextNode.valueOf(reference instanceof Row.ToRow to ? to.row().toString() : cell.value());
    }

    private static Row.Reference reference(Node json) {
        return json.isList()
                ? new Row.RawKey(json.elements().stream().map(Node::asText).toList())
                : new Row.ToRow(json.as(Id::parse));
    }

    Form<Domain> domain() {
        Form<Expression<Domain.Value>> expression = Form.text(text -> Expression.parse(text, Domain.Value::parse));
        return Form.object(domain -> new Domain(
                domain.required("id", forms.newId, Domain::id),
                domain.required("name", Form.TEXT, Domain::name),
                domain.required("type", forms.type, Domain::base),
                domain.optional("check", expression, Expression.none(), d -> d.check()
                                .in(""))
                        .in(domain.optional(
                                "dialect", Forms.DIALECT, "", d -> d.check().dialect())),
                domain.optional("default", expression, Expression.none(), Domain::defaultValue),
                domain.text("comment", Domain::comment),
                Forms.pins(domain, Domain::pins)));
    }
}
