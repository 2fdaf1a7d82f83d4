package ableschema.core.document;

import ableschema.core.design.Attribute;
import ableschema.core.design.Design;
import ableschema.core.design.Entity;
import ableschema.core.design.Notes;
import ableschema.core.design.Topic;
import java.util.List;

/** A design whose definitions and comments also say why things are as they are, for the comments of the script. */
final class Reasoned {

    private Reasoned() {}

    static Design of(Design design) {
        Notes notes = design.notes();
        Design reasoned = design;
        for (Entity entity : design.entities()) {
            String why = joined(
                    labelled("Why: ", notes.reason(Topic.of(entity.id()))),
                    labelled("Key: ", notes.reason(Topic.keyOf(entity.id()))));
            List<Attribute> attributes = entity.body().attributes().stream()
                    .map(a -> a.withComment(joined(a.comment(), labelled("Why: ", notes.reason(Topic.of(a.id()))))))
                    .toList();
            reasoned = reasoned.with(entity.withDefinition(joined(entity.definition(), why))
                    .withBody(entity.body().withAttributes(attributes)));
        }
        return reasoned;
    }

    private static String labelled(String label, String reason) {
        return reason.isEmpty() ? "" : label + reason;
    }

    private static String joined(String one, String other) {
        return (one + " " + other).strip();
    }
}
