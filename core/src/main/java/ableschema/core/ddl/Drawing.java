package ableschema.core.ddl;

import ableschema.core.carried.Carried;
import ableschema.core.schema.Identity;
import ableschema.core.schema.Part;
import ableschema.core.sql.dialect.DialectOption;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Pattern;

/**
 * How a column draws its numbers from a sequence: of its own, which then is nothing but its numbering, or of one that stays beside the
 * tables, as others may draw from it too.
 */
final class Drawing {

    /** What serial does not say of its sequence. */
    private static final Pattern SPECIAL = Pattern.compile(
            "(?is).*(?<!no )\\bcycle\\b.*|.*\\b(?:minvalue|maxvalue)\\s+-?[0-9].*|.*\\bcache\\s+(?!1\\b)[0-9].*");

    private final Context context;

    Drawing(Context context) {
        this.context = context;
    }

    /**
     * The numbers that a column draws; the options of the column then say how it draws them.
     *
     * @param sequence as it is called in SQL, perhaps with its schema
     */
    Identity from(String sequence, DraftTable table, String column, Map<String, String> options) {
        String key = Sequence.key(sequence);
        Optional<Carried> made = Optional.ofNullable(context.draft.undrawn.get(key));
        Identity numbers = context.draft.numbers(key);
        boolean usual = context.defaults.isSequenceOf(table, column, sequence)
                && numbers.equals(new Identity(1, 1))
                && made.filter(each -> SPECIAL.matcher(each.sql()).matches()).isEmpty();
        options.keySet()
                .removeIf(option ->
                        option.endsWith("." + DialectOption.SERIAL) || option.endsWith("." + DialectOption.SEQUENCE));
        if (usual) {
            context.option(options, Part.Kind.COLUMN, DialectOption.SERIAL, "yes");
        } else if (made.isPresent()
                && context.option(options, Part.Kind.COLUMN, DialectOption.SEQUENCE, name(sequence))) {
            return numbers; // which stays where it is
        }
        return context.draft.drawn(key);
    }

    /** Without the schema in which everything stands anyhow. */
    private String name(String sequence) {
        int point = sequence.indexOf('.');
        boolean here = point > 0
                && context.names
                        .namespace(sequence.substring(0, point).replace("\"", ""))
                        .isEmpty();
        return here ? sequence.substring(point + 1) : sequence;
    }
}
