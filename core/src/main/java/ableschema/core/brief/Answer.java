package ableschema.core.brief;

import ableschema.core.design.ColumnRef;
import ableschema.core.design.Id;
import ableschema.core.design.Question;
import ableschema.core.mapping.Mapping;
import ableschema.core.mapping.Trace;
import ableschema.core.schema.Column;
import ableschema.core.schema.ForeignKey;
import ableschema.core.schema.Schema;
import ableschema.core.schema.Table;
import ableschema.core.sql.dialect.Ability;
import ableschema.core.sql.dialect.Dialect;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * How the tables answer a question: the SELECT over the attributes that were named for it, joined along foreign keys.
 * Starting from the table of the first attribute, the nearest further table is reached by the shortest way again and
 * again, so that few tables are joined; of ways equally short the one along earlier tables counts.
 *
 * @param select  the statement; empty while nothing answers the question
 * @param apart   the tables, by what people call them, that no relationship joins to the first
 */
public record Answer(String select, List<String> apart) {

    public Answer {
        apart = List.copyOf(apart);
    }

    /** Nothing has been named that answers the question. */
    public boolean isOpen() {
        return select.isEmpty();
    }

    public boolean isJoined() {
        return !isOpen() && apart.isEmpty();
    }

    /** Answers a question as far as its attributes are columns of the schema. */
    public static Answer of(Question question, Mapping mapping, Dialect dialect) {
        var columns = new ArrayList<Wanted>();
        for (Id answer : question.answers()) {
            mapping.physical().ownerOf(answer).flatMap(mapping.trace()::tableOf).ifPresent(table -> mapping.trace()
                    .column(table, new ColumnRef.Own(answer))
                    .ifPresent(column -> columns.add(new Wanted(table, column))));
        }
        return columns.isEmpty() ? new Answer("", List.of()) : new Joining(mapping, dialect).answer(columns);
    }

    /** A column that is asked for. */
    private record Wanted(Table table, Column column) {}

    /** A step from a table that is joined to another. */
    private record Step(Table from, Table to, ForeignKey key, boolean up) {
        /** Whether rows of the table that is joined may be missing. */
        boolean mayBeMissing() {
            return !up
                    || key.columns().stream()
                            .anyMatch(name ->
                                    from.column(name).filter(Column::nullable).isPresent());
        }
    }

    /** Finds the joins of one question. */
    private static final class Joining {
        private final Trace trace;
        private final Schema schema;
        private final Dialect dialect;
        private final Set<Table> joined = new LinkedHashSet<>();
        private final List<Step> steps = new ArrayList<>();

        Joining(Mapping mapping, Dialect dialect) {
            this.trace = mapping.trace();
            this.schema = mapping.schema();
            this.dialect = dialect;
        }

        Answer answer(List<Wanted> columns) {
            var wanted = new LinkedHashSet<Table>();
            columns.forEach(column -> wanted.add(column.table()));
            Table first = wanted.iterator().next();
            joined.add(first);
            wanted.remove(first);
            for (Optional<List<Step>> way = nearest(wanted); way.isPresent(); way = nearest(wanted)) {
                steps.addAll(way.get());
                way.get().forEach(step -> joined.add(step.to()));
                wanted.removeAll(joined);
            }
            return new Answer(
                    select(columns, first), wanted.stream().map(trace::label).toList());
        }

        /** The steps to the wanted table that is nearest to those joined (breadth-first). */
        private Optional<List<Step>> nearest(Set<Table> wanted) {
            var reached = new HashMap<Table, Optional<Step>>();
            var open = new ArrayDeque<>(joined);
            joined.forEach(table -> reached.put(table, Optional.empty()));
            while (!open.isEmpty()) {
                Table table = open.poll();
                if (wanted.contains(table)) {
                    return Optional.of(wayTo(table, reached));
                }
                for (Step step : steps(table)) {
                    if (reached.putIfAbsent(step.to(), Optional.of(step)) == null) {
                        open.add(step.to());
                    }
                }
            }
            return Optional.empty();
        }

        private static List<Step> wayTo(Table table, Map<Table, Optional<Step>> reached) {
            var way = new ArrayDeque<Step>();
            Optional<Step> step = reached.getOrDefault(table, Optional.empty());
            while (step.isPresent()) {
                way.addFirst(step.get());
                step = reached.getOrDefault(step.get().from(), Optional.empty());
            }
            return List.copyOf(way);
        }

        private List<Step> steps(Table table) {
            var steps = new ArrayList<Step>();
            for (ForeignKey key : table.foreignKeys()) {
                schema.table(key.target())
                        .filter(to -> to != table)
                        .ifPresent(to -> steps.add(new Step(table, to, key, true)));
            }
            for (Table other : schema.tables()) {
                for (ForeignKey key : other.foreignKeys()) {
                    if (other != table && key.target().equals(table.qualified())) {
                        steps.add(new Step(table, other, key, false));
                    }
                }
            }
            return steps;
        }

        private String select(List<Wanted> columns, Table first) {
            var sql = new StringBuilder("SELECT ");
            var outer = new LinkedHashSet<Table>();
            columns.forEach(column -> {
                if (joined.contains(column.table())) {
                    sql.append(sql.length() > 7 ? ", " : "")
                            .append(name(column.table(), column.column().name()));
                }
            });
            sql.append("\nFROM ").append(qualified(first));
            for (Step step : steps) {
                boolean left = step.mayBeMissing() || outer.contains(step.from());
                if (left) {
                    outer.add(step.to());
                }
                sql.append(left ? "\nLEFT JOIN " : "\nJOIN ")
                        .append(qualified(step.to()))
                        .append(" ON ")
                        .append(condition(step));
            }
            return sql.append(';').toString();
        }

        private String condition(Step step) {
            Table child = step.up() ? step.from() : step.to();
            Table parent = step.up() ? step.to() : step.from();
            var parts = new ArrayList<String>();
            for (int i = 0; i < step.key().columns().size(); i++) {
                parts.add(name(child, step.key().columns().get(i)) + " = "
                        + name(parent, step.key().targetColumns().get(i)));
            }
            return String.join(" AND ", parts);
        }

        private String name(Table table, String column) {
            return qualified(table) + "." + dialect.column(column);
        }

        private String qualified(Table table) {
            boolean plain = table.namespace().isEmpty() || !dialect.can(Ability.NAMESPACES);
            return plain
                    ? dialect.quoted(table.name())
                    : dialect.quoted(table.namespace()) + "." + dialect.quoted(table.name());
        }
    }
}
