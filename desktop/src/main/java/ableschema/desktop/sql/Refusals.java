package ableschema.desktop.sql;

import ableschema.core.design.Id;
import ableschema.core.design.IdKind;
import ableschema.core.finding.Place;
import ableschema.core.review.Refused;
import ableschema.core.sql.Statement;
import ableschema.desktop.workspace.Workspace;
import java.util.Optional;
import java.util.Set;

/** Takes what a database refused to the thing that the refused statement is written of, so that it stands on the sheet too. */
public final class Refusals {

    private Refusals() {}

    /**
     * Takes up what became of a script.
     *
     * @param refused  the statement that was refused, if one was
     * @param database what it is called, such as PostgreSQL
     */
    public static void note(Workspace workspace, Optional<Statement> refused, String database, String reason) {
        workspace.found(
                Refused.RULE,
                refused.map(statement ->
                        Refused.of(owner(workspace.trace().things(statement.defines())), database, reason)));
    }

    private static Id owner(Set<Id> things) {
        return things.stream()
                .filter(each -> each.kind() == IdKind.ENTITY)
                .findFirst()
                .or(() -> things.stream()
                        .filter(each -> each.kind() == IdKind.RELATIONSHIP)
                        .findFirst())
                .orElse(Place.EVERYWHERE);
    }
}
