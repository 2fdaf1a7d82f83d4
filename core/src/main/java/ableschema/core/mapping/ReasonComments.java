package ableschema.core.mapping;

import ableschema.core.design.Body;
import ableschema.core.design.Design;
import ableschema.core.design.EndRef;
import ableschema.core.design.Id;
import ableschema.core.design.IdKind;
import ableschema.core.design.Notes;
import ableschema.core.design.Topic;
import ableschema.core.schema.Column;
import ableschema.core.schema.ForeignKey;
import ableschema.core.schema.Table;
import java.util.ArrayList;
import java.util.List;

/** Adds to the comments of a table and its columns why they are as they are, where that is wanted. */
final class ReasonComments {

    private final boolean wanted;
    private final Notes notes;

    ReasonComments(boolean wanted, Notes notes) {
        this.wanted = wanted;
        this.notes = notes;
    }

    /** All reasons that stand in the comments of one table; empty where none are wanted. */
    List<String> of(Id owner, Design design) {
        var found = new ArrayList<String>();
        if (wanted) {
            found.add(notes.reason(Topic.of(owner)));
            found.add(notes.reason(Topic.keyOf(owner)));
            design.body(owner)
                    .orElse(Body.EMPTY)
                    .attributes()
                    .forEach(attribute -> found.add(notes.reason(Topic.of(attribute.id()))));
            for (EndRef end : design.referencesOf(owner)) {
                found.add(notes.reason(Topic.of(end.relationship())));
            }
        }
        return found;
    }

    /** The table with the reasons: that of a relationship stands on the first column of its foreign key. */
    Table on(Table table, TableTrace trace) {
        if (!wanted) {
            return table;
        }
        Id owner = trace.owner();
        String why = joined(why(owner), labelled("Key: ", notes.reason(Topic.keyOf(owner))));
        List<Column> columns = table.columns().stream()
                .map(column -> reasoned(column, table, trace))
                .toList();
        return new Table(
                table.qualified(),
                joined(table.comment(), why),
                columns,
                table.primaryKey(),
                table.foreignKeys(),
                table.uniques(),
                table.checks(),
                table.indexes(),
                table.options());
    }

    private Column reasoned(Column column, Table table, TableTrace trace) {
        String comment = column.comment();
        Id origin = trace.column(column.name()).orElseThrow().origin(); // each column of the table is traced
        if (origin.kind() == IdKind.ATTRIBUTE) {
            comment = joined(comment, why(origin));
        }
        boolean junction = trace.owner().kind() == IdKind.RELATIONSHIP;
        for (ForeignKey key : junction ? List.<ForeignKey>of() : table.foreignKeys()) {
            EndRef end = trace.references().get(key.name());
            if (end != null && key.columns().get(0).equals(column.name())) {
                comment = joined(comment, why(end.relationship()));
            }
        }
        return comment.equals(column.comment()) ? column : column.withComment(comment);
    }

    private String why(Id thing) {
        return labelled("Why: ", notes.reason(Topic.of(thing)));
    }

    private static String labelled(String label, String reason) {
        return reason.isEmpty() ? "" : label + reason;
    }

    private static String joined(String one, String other) {
        return (one + " " + other).strip();
    }
}
