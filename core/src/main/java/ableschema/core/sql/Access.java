package ableschema.core.sql;

import ableschema.core.schema.Schema;
import ableschema.core.schema.Table;
import ableschema.core.sql.dialect.Ability;
import ableschema.core.sql.dialect.Dialect;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;

/** Who may work with the tables: a user of the house's choice, who is named and whose password is nobody's business here. */
final class Access {

    private static final String RIGHTS = "GRANT SELECT, INSERT, UPDATE, DELETE ON ";

    private final Dialect dialect;
    private final String user;

    Access(Dialect dialect) {
        this.dialect = dialect;
        this.user = dialect.can(Ability.USERS) ? dialect.style().user() : "";
    }

    /** What is said before the first statement. */
    List<Statement> told() {
        return user.isEmpty()
                ? List.of()
                : List.of(
                        SqlWriter.comment(
                                "The user " + user
                                        + " gets rights at the end. Where there is none yet, make one first, with a password that stands in no script."));
    }

    /** The rights of the user in the schemas of the script, or on each table where none is named. */
    List<Statement> rights(Schema schema, Set<String> namespaces, TableNames names) {
        var rights = new ArrayList<String>();
        if (user.isEmpty()) {
            return List.of();
        }
        List<String> ofSchema = dialect.traits().access();
        boolean everywhere =
                schema.tables().stream().allMatch(table -> !namespace(table).isEmpty());
        if (everywhere && !ofSchema.isEmpty()) {
            for (String namespace : namespaces) {
                for (String template : ofSchema) {
                    rights.add(template.replace("{rights}", RIGHTS).replace("{schema}", dialect.quoted(namespace)));
                }
            }
        } else {
            for (Table table : schema.tables()) {
                rights.add(RIGHTS + names.of(table.qualified()));
            }
        }
        return rights.stream()
                .map(each -> new SqlWriter()
                        .line(each + " TO " + dialect.quoted(user))
                        .closed(Statement.Kind.RIGHTS))
                .toList();
    }

    private String namespace(Table table) {
        return table.namespace().isEmpty() ? dialect.style().schema() : table.namespace();
    }
}
