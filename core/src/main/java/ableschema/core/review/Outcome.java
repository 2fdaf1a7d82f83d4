package ableschema.core.review;

import ableschema.core.design.Design;
import ableschema.core.design.Entity;
import ableschema.core.design.Id;
import ableschema.core.design.Relationship;
import ableschema.core.difference.LineDifference;
import ableschema.core.document.Document;
import ableschema.core.document.Edit;
import ableschema.core.mapping.Mapping;
import ableschema.core.schema.Schema;
import ableschema.core.schema.Table;
import ableschema.core.sql.ScriptWriter;
import ableschema.core.sql.dialect.Dialect;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/**
 * What an edit would do, seen before it is applied.
 *
 * @param tables the tables that it changes, makes or takes away
 * @param sql    their definitions, line by line
 * @param moved  what moves along, in words; empty where nothing does
 */
public record Outcome(List<Changed> tables, List<LineDifference> sql, String moved) {

    public Outcome {
        tables = List.copyOf(tables);
        sql = List.copyOf(sql);
    }

    /** A table before and after; empty where it is not there. */
    public record Changed(String label, Optional<Table> before, Optional<Table> after) {}

    /** @param mapping the tables of the document */
    public static Outcome of(Edit edit, Document document, Mapping mapping) {
        Document next = edit.applyTo(document);
        Mapping after = next.mapping(mapping);
        List<Changed> changed = changed(mapping, after);
        List<String> lines = new ArrayList<>();
        List<String> linesAfter = new ArrayList<>();
        Dialect dialect = document.dialect();
        for (Changed each : changed) {
            each.before().ifPresent(table -> lines.addAll(lines(table, mapping.schema(), dialect)));
            each.after().ifPresent(table -> linesAfter.addAll(lines(table, after.schema(), next.dialect())));
        }
        return new Outcome(changed, LineDifference.between(lines, linesAfter), moved(document.design(), next.design()));
    }

    private static List<Changed> changed(Mapping before, Mapping after) {
        var changed = new ArrayList<Changed>();
        for (Table table : before.schema().tables()) {
            Id owner = before.trace().owner(table);
            Optional<Table> now = after.trace().tableOf(owner);
            if (now.filter(table::equals).isEmpty()) {
                changed.add(new Changed(before.trace().label(table), Optional.of(table), now));
            }
        }
        for (Table table : after.schema().tables()) {
            if (before.trace().tableOf(after.trace().owner(table)).isEmpty()) {
                changed.add(new Changed(after.trace().label(table), Optional.empty(), Optional.of(table)));
            }
        }
        return changed;
    }

    private static List<String> lines(Table table, Schema schema, Dialect dialect) {
        return ScriptWriter.of(table, schema, dialect).stream()
                .flatMap(statement -> statement.lines().stream())
                .map(line -> line.text().replaceAll("(?<=\\S) +", " "))
                .toList();
    }

    /** How many rows come to stand where there were none, or go. */
    private static String moved(Design before, Design after) {
        var said = new ArrayList<String>();
        for (Id owner : owners(before, after)) {
            int were = rows(before, owner);
            int are = rows(after, owner);
            if (were != are) {
                int by = Math.abs(are - were);
                String name = after.nameOf(owner).isEmpty() ? before.nameOf(owner) : after.nameOf(owner);
                said.add(by + (by == 1 ? " row" : " rows") + (are > were ? " come to " : " go from ") + name);
            }
        }
        return String.join(", ", said);
    }

    private static Set<Id> owners(Design before, Design after) {
        var owners = new LinkedHashSet<Id>();
        for (Design each : List.of(before, after)) {
            each.entities().stream().map(Entity::id).forEach(owners::add);
            each.relationships().stream().map(Relationship::id).forEach(owners::add);
        }
        return owners;
    }

    private static int rows(Design design, Id owner) {
        return design.body(owner).map(body -> body.rows().size()).orElse(0);
    }
}
