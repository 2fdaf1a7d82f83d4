package ableschema.core.document;

import ableschema.core.design.Attribute;
import ableschema.core.design.Design;
import ableschema.core.design.Entity;
import ableschema.core.design.Id;
import ableschema.core.design.IdKind;
import ableschema.core.design.Notes;
import ableschema.core.design.Topic;
import ableschema.core.schema.Column;
import ableschema.core.schema.Schema;
import ableschema.core.schema.Table;
import java.util.List;

/** A design whose definitions and comments also say why things are as they are, for the comments of the script. */
final class ReasonComments {

    private ReasonComments() {}

    static Design of(Design design) {
        Notes notes = design.notes();
        Design reasoned = design;
        for (Entity entity : design.entities()) {
            String why = joined(why(entity.id(), notes), labelled("Key: ", notes.reason(Topic.keyOf(entity.id()))));
            List<Attribute> attributes = entity.body().attributes().stream()
                    .map(a -> a.withComment(joined(a.comment(), why(a.id(), notes))))
                    .toList();
            reasoned = reasoned.with(entity.withDefinition(joined(entity.definition(), why))
                    .withBody(entity.body().withAttributes(attributes)));
        }
        return reasoned;
    }

    /**
     * Adds why relationships are as they are: to the table of a many-to-many, else to the first column of the foreign key.
     */
    static Schema of(Schema schema, Notes notes) {
        return new Schema(schema.tables().stream()
                .map(table -> {
                    boolean pairing = table.origin().kind() == IdKind.RELATIONSHIP;
                    String why = pairing ? why(table.origin(), notes) : "";
                    List<Column> columns = table.columns().stream()
                            .map(column -> pairing ? column : reasoned(column, table, notes))
                            .toList();
                    return table.withComments(joined(table.comment(), why), columns);
                })
                .toList());
    }

    private static Column reasoned(Column column, Table table, Notes notes) {
        return table.foreignKeys().stream()
                .filter(key -> key.columns().get(0).equals(column.name()))
                .findFirst()
                .map(key -> column.withComment(
                        joined(column.comment(), why(key.origin().relationship(), notes))))
                .orElse(column);
    }

    private static String why(Id thing, Notes notes) {
        return labelled("Why: ", notes.reason(Topic.of(thing)));
    }

    private static String labelled(String label, String reason) {
        return reason.isEmpty() ? "" : label + reason;
    }

    private static String joined(String one, String other) {
        return (one + " " + other).strip();
    }
}
