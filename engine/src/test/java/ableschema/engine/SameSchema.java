package ableschema.engine;

import ableschema.core.difference.Difference;
import ableschema.core.schema.Schema;
import ableschema.core.schema.Table;
import java.util.List;

/** In what a schema read from a script and the one of an engine that carried it out differ. */
final class SameSchema {

    private SameSchema() {}

    /** But for the names of what was given none, and the ends of lines in descriptions. */
    static List<String> differences(Schema one, Schema other) {
        return nameless(one).differences(nameless(other)).stream()
                .filter(each -> !onOneLine(each.before().orElse(""))
                        .equals(onOneLine(each.after().orElse(""))))
                .map(Difference::toString)
                .toList();
    }

    private static String onOneLine(String text) {
        return text.replaceAll("\\s+", " ");
    }

    private static Schema nameless(Schema schema) {
        return new Schema(
                schema.domains(),
                schema.tables().stream()
                        .map(table -> new Table(
                                table.qualified(),
                                table.comment(),
                                table.columns(),
                                table.primaryKey().map(key -> new Table.PrimaryKey("", key.columns())),
                                table.foreignKeys().stream()
                                        .map(key -> key.named(""))
                                        .toList(),
                                table.uniques().stream()
                                        .map(each -> new Table.UniqueConstraint("", each.columns(), each.options()))
                                        .toList(),
                                table.checks().stream()
                                        .map(each -> new Table.CheckConstraint("", each.expression()))
                                        .toList(),
                                table.indexes(),
                                table.options()))
                        .toList());
    }
}
