package ableschema.core.structure;

import static java.util.stream.Collectors.joining;

import ableschema.core.design.Attribute;
import ableschema.core.design.Body;
import ableschema.core.design.Check;
import ableschema.core.design.ColumnRef;
import ableschema.core.design.Condition;
import ableschema.core.design.Design;
import ableschema.core.design.Entity;
import ableschema.core.design.ForeignColumn;
import ableschema.core.design.Id;
import ableschema.core.design.Index;
import ableschema.core.design.ReferenceColumn;
import ableschema.core.design.Volume;
import ableschema.core.document.Document;
import ableschema.core.expression.Expression;
import ableschema.core.mapping.Mapping;
import ableschema.core.rows.RowJudge;
import ableschema.core.rows.RowValues;
import ableschema.core.schema.Column;
import ableschema.core.schema.ForeignKey;
import ableschema.core.schema.Table;
import ableschema.core.sql.dialect.Dialect;
import ableschema.core.types.DataType;
import ableschema.core.words.CheckText;
import ableschema.core.words.ConditionText;
import ableschema.core.words.DomainWords;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * The columns and indexes of one table.
 *
 * @param table   its name
 * @param columns in the order of the table
 * @param indexes those that come by themselves first
 * @param checks  rules that stand at no single column
 */
public record Structure(Id owner, String table, List<Line> columns, List<IndexLine> indexes, List<CheckLine> checks) {

    public Structure {
        columns = List.copyOf(columns);
        indexes = List.copyOf(indexes);
        checks = List.copyOf(checks);
    }

    /**
     * One column.
     *
     * @param foreign whether it comes with a reference, so that its type is that of what it refers to
     * @param fields  what each field says; empty texts where nothing is said
     */
    public record Line(ColumnRef column, boolean foreign, Map<Field, String> fields) {
        public Line {
            fields = Map.copyOf(fields);
        }

        public String field(Field field) {
            return fields.getOrDefault(field, "");
        }

        public boolean isRequired() {
            return field(Field.REQUIRED).equals(YES);
        }
    }

    /**
     * One index.
     *
     * @param columns  as people read them, a falling one with an arrow
     * @param from     what it comes from
     * @param own      the index of the design, which can be taken away; empty for one that comes with something else
     * @param exists   whether the database has one there: a foreign key without an index is listed too
     * @param space    what it takes for the rows that are expected, as in "about 4.2 MB"; empty where that is not known
     */
    public record IndexLine(String columns, String from, Optional<Id> own, boolean exists, String space) {}

    /**
     * One rule over several columns, or one that is more than a comparison.
     *
     * @param text   the rule with the columns by their names
     * @param broken how many sample rows break it; empty where there are too many to look at each time
     */
    public record CheckLine(Id check, String text, Optional<Long> broken) {}

    /** More sample rows than these are not looked at each time the list is shown. */
    private static final int MANY_ROWS = 2_000;

    static final String YES = "yes";

    /** Empty where the owner has no table. */
    public static Optional<Structure> of(Document document, Mapping mapping, Id owner) {
        return mapping.trace().tableOf(owner).map(table -> new Maker(document, mapping, owner, table).structure());
    }

    /** The work for one table. */
    private static final class Maker {
        private final Design design;
        private final Dialect dialect;
        private final Mapping mapping;
        private final Id owner;
        private final Table table;
        private final IndexCost cost;

        Maker(Document document, Mapping mapping, Id owner, Table table) {
            this.design = document.design();
            this.dialect = document.dialect();
            this.mapping = mapping;
            this.owner = owner;
            this.table = table;
            Volume expected = design.notes().volume(owner).orElse(Volume.NONE);
            this.cost = new IndexCost(mapping.schema(), dialect, table, expected);
        }

        Structure structure() {
            return new Structure(
                    owner,
                    table.name(),
                    table.columns().stream().map(this::line).toList(),
                    indexes(),
                    checks());
        }

        private Line line(Column column) {
            ColumnRef ref = mapping.trace().ref(table, column);
            Optional<Attribute> own =
                    ref instanceof ColumnRef.Own attribute ? design.attribute(attribute.id()) : Optional.empty();
            var fields = new EnumMap<Field, String>(Field.class);
            fields.put(Field.NAME, own.map(Attribute::name).orElse(column.name()));
            fields.put(Field.TYPE, own.map(this::type).orElseGet(() -> foreignType(column, ref)));
            fields.put(Field.REQUIRED, column.nullable() ? "" : YES);
            fields.put(Field.IDENTIFIES, identifies(column));
            fields.put(Field.DEFAULT, filled(own, column, ref));
            fields.put(Field.CHECK, own.flatMap(this::check).orElseGet(() -> oneOf(column)));
            fields.put(Field.COMMENT, own.map(Attribute::comment).orElseGet(() -> comment(ref)));
            return new Line(ref, own.isEmpty(), fields);
        }

        private String type(Attribute attribute) {
            return attribute.type() instanceof DataType.Undecided ? "" : new DomainWords(design).type(attribute.type());
        }

        /** A column of a reference is of the domain that the column is of which it refers to. */
        private String foreignType(Column column, ColumnRef ref) {
            DataType type = ref.attribute()
                    .flatMap(design::attribute)
                    .map(Attribute::type)
                    .map(DataType::asReferenced)
                    .orElse(column.type());
            return column.isUndecided() ? "" : new DomainWords(design).type(type);
        }

        /** "key 1", "alt a 2": which part of which key; a lone part has no number. */
        private String identifies(Column column) {
            var said = new ArrayList<String>();
            table.primaryKey()
                    .ifPresent(key -> part("key", key.columns(), column).ifPresent(said::add));
            for (int i = 0; i < table.uniques().size(); i++) {
                String name = table.uniques().size() == 1 ? "unique" : "unique " + (char) ('a' + i % 26);
                part(name, table.uniques().get(i).columns(), column).ifPresent(said::add);
            }
            return String.join(", ", said);
        }

        private static Optional<String> part(String key, List<String> columns, Column column) {
            int at = columns.indexOf(column.name());
            return at < 0 ? Optional.empty() : Optional.of(columns.size() == 1 ? key : key + " " + (at + 1));
        }

        private String filled(Optional<Attribute> own, Column column, ColumnRef ref) {
            if (column.identity().isPresent()) {
                return "counted by the database";
            }
            if (own.filter(each -> each.filling().isComputed()).isPresent()) {
                return "= "
                        + new CheckText(design, owner)
                                .saidComputed(own.get())
                                .orElseGet(() -> written(own.get().filling().expression()));
            }
            return own.map(each -> ConditionText.defaultInWords(each.defaultValue()))
                    .orElseGet(() -> reference(ref)
                            .map(each -> ConditionText.defaultInWords(each.defaultValue()))
                            .orElse(""));
        }

        private Optional<String> check(Attribute attribute) {
            return design.body(owner).stream()
                    .flatMap(body -> body.checks().stream())
                    .flatMap(check -> Condition.read(check.expression()).stream())
                    .filter(rule -> rule.column().equals(attribute.ref()))
                    .map(Condition::inWords)
                    .findFirst();
        }

        private String oneOf(Column column) {
            return table.foreignKeyOf(column)
                    .flatMap(key -> design.target(mapping.trace().end(table, key)))
                    .map(Entity::name)
                    .map(name -> "in " + name)
                    .orElse("");
        }

        private String comment(ColumnRef ref) {
            return reference(ref).map(ReferenceColumn::comment).orElse("");
        }

        private Optional<ReferenceColumn> reference(ColumnRef ref) {
            return ref instanceof ForeignColumn foreign
                    ? design.relationship(foreign.end().relationship())
                            .map(r -> r.end(foreign.end().side()).reference())
                            .flatMap(reference -> reference.column(foreign.target()))
                    : Optional.empty();
        }

        private List<CheckLine> checks() {
            Body body = design.body(owner).orElse(Body.EMPTY);
            List<Check> wider = body.checks().stream()
                    .filter(check -> !isInColumn(body, check))
                    .toList();
            if (wider.isEmpty()) {
                return List.of(); // so it is for most tables, and then no rows need to be read
            }
            var text = new CheckText(design, owner);
            var values = new RowValues(design);
            boolean few = body.rows().size() <= MANY_ROWS;
            return wider.stream()
                    .map(check -> new CheckLine(
                            check.id(),
                            text.said(check.expression()).orElseGet(() -> written(check)),
                            few ? Optional.of(RowJudge.breaking(design, owner, check, values)) : Optional.empty()))
                    .toList();
        }

        /** Whether it stands in the field of its column: the first that is a comparison there. */
        private static boolean isInColumn(Body body, Check check) {
            return Condition.read(check.expression())
                    .filter(rule -> body.checks().stream()
                            .filter(each -> Condition.read(each.expression())
                                    .filter(other -> other.column().equals(rule.column()))
                                    .isPresent())
                            .findFirst()
                            .filter(check::equals)
                            .isPresent())
                    .isPresent();
        }

        private String written(Check check) {
            return written(check.expression());
        }

        private String written(Expression<ColumnRef> expression) {
            String dialect = expression.dialect();
            return expression.written(column -> mapping.trace()
                            .column(table, column)
                            .map(Column::name)
                            .orElse("?"))
                    + (dialect.isEmpty() ? "" : " (in " + dialect + " alone)");
        }

        private List<IndexLine> indexes() {
            var lines = new ArrayList<IndexLine>();
            var leading = new ArrayList<List<String>>();
            table.primaryKey().ifPresent(key -> {
                lines.add(itself(key.columns(), "comes with the key"));
                leading.add(key.columns());
            });
            table.uniques().forEach(unique -> {
                lines.add(itself(unique.columns(), "comes with what is unique"));
                leading.add(unique.columns());
            });
            table.indexes().stream()
                    .filter(index -> !index.only().isPresent())
                    .forEach(index -> leading.add(index.columnNames()));
            for (ForeignKey key : table.foreignKeys()) {
                if (leading.stream().noneMatch(columns -> leads(columns, key.columns()))) {
                    lines.add(
                            dialect.indexesForeignKeys()
                                    ? itself(key.columns(), "comes with the foreign key to " + key.target())
                                    : none(key));
                }
            }
            Map<String, Id> rules = mapping.trace().of(table).rules();
            for (Table.TableIndex index : table.indexes()) {
                Optional<Index> own = ownIndex(rules.get(index.name()));
                lines.add(new IndexLine(
                        columns(index),
                        own.map(Maker::asked).orElse("by the house rule that foreign keys are indexed"),
                        own.map(Index::id),
                        true,
                        cost.of(index.columns().stream()
                                .flatMap(part -> part.value().columns())
                                .toList())));
            }
            return lines;
        }

        private IndexLine itself(List<String> columns, String from) {
            return new IndexLine(String.join(", ", columns), from, Optional.empty(), true, cost.of(columns));
        }

        private IndexLine none(ForeignKey key) {
            String why = "none: " + dialect.label() + " makes none for the foreign key to " + key.target();
            return new IndexLine(String.join(", ", key.columns()), why, Optional.empty(), false, "");
        }

        /** @param id of what asks for an index; null for nothing */
        private Optional<Index> ownIndex(Id id) {
            return design.body(owner).map(Body::indexes).orElse(List.of()).stream()
                    .filter(index -> index.id().equals(id))
                    .findFirst();
        }

        private static String asked(Index index) {
            return index.unique() ? "asked for, unique" : "asked for: often " + index.purpose();
        }

        private static String columns(Table.TableIndex index) {
            String columns = index.columns().stream()
                    .map(each -> each.value().written(name -> name) + (each.descending() ? " ↓" : ""))
                    .collect(joining(", "));
            return index.only().isPresent() ? columns + " where " + index.only().written(name -> name) : columns;
        }

        private static boolean leads(List<String> columns, List<String> wanted) {
            return columns.size() >= wanted.size()
                    && columns.subList(0, wanted.size()).containsAll(wanted);
        }
    }
}
