package ableschema.core.ddl;

import ableschema.core.carried.Carried;
import ableschema.core.expression.Expression;
import ableschema.core.expression.Filling;
import ableschema.core.schema.Column;
import ableschema.core.schema.Identity;
import ableschema.core.schema.Part;
import ableschema.core.sql.dialect.DialectOption;
import ableschema.core.types.DataType;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Pattern;
import java.util.stream.Collectors;

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
        Optional<Carried> made = Optional.ofNullable(context.draft.sequencesMade.get(key));
        Identity numbers = context.draft.numbers(key);
        boolean usual = context.defaults.isSequenceOf(table, column, sequence)
                && numbers.equals(new Identity(1, 1))
                && made.filter(each -> SPECIAL.matcher(each.sql()).matches()).isEmpty();
        options.remove(option(DialectOption.SERIAL));
        options.remove(option(DialectOption.SEQUENCE));
        options.remove(option(DialectOption.OWNED));
        if (usual) {
            context.option(options, Part.Kind.COLUMN, DialectOption.SERIAL, "yes");
        } else if (made.isPresent()
                && context.option(options, Part.Kind.COLUMN, DialectOption.SEQUENCE, name(sequence))) {
            if (context.draft.owners.getOrDefault(key, "").equals(owner(table, column))) {
                context.option(options, Part.Kind.COLUMN, DialectOption.OWNED, "yes");
            }
            return numbers; // which stays where it is
        }
        return context.draft.drawn(key);
    }

    /** The column that owns a sequence from now on, be it before or after it draws from it. */
    Column owning(DraftTable table, Column column, String key) {
        context.draft.owners.put(key, owner(table, column.name()));
        String drawn = column.options().getOrDefault(option(DialectOption.SEQUENCE), "");
        return Sequence.key(drawn).equals(key) ? column.withOption(option(DialectOption.OWNED), "yes") : column;
    }

    private static String owner(DraftTable table, String column) {
        return table.name + "." + column;
    }

    /** The column that draws its numbers from a sequence from now on. */
    Column drawn(DraftTable table, Column column, String sequence) {
        var options = new HashMap<>(column.options());
        Identity numbers = from(sequence, table, column.name(), options);
        return OtherReader.numbered(column, numbers.start(), numbers.step(), false)
                .withNullable(column.nullable()) // a default alone leaves that as it is
                .withOptions(options);
    }

    /** The column that draws from no sequence any more; one that numbers itself goes on. */
    Column released(DraftTable table, Column column) {
        boolean drawing = column.options().containsKey(option(DialectOption.SERIAL))
                || column.options().containsKey(option(DialectOption.SEQUENCE));
        if (!drawing) {
            return column.withoutOption(option(DialectOption.DEFAULT));
        }
        SqlType found = table.types.getOrDefault(column.name(), SqlType.NONE);
        String serial = found.name();
        String whole = serial.startsWith("big") ? "bigint" : serial.startsWith("small") ? "smallint" : "integer";
        return context.typed(
                table,
                without(column.unnumbered()),
                table.isDrawing(column.name()) ? SqlType.of(whole, List.of(), false, "", whole) : found);
    }

    /** The column with another type; one that no number of a sequence goes into as it is only has it by default. */
    Column typed(DraftTable table, Column column, SqlType type) {
        String sequence = column.options().getOrDefault(option(DialectOption.SEQUENCE), "");
        boolean drawing = column.options().containsKey(option(DialectOption.SERIAL)) || !sequence.isEmpty();
        Column typed = context.typed(table, column, type);
        if (!drawing || context.isNumbered(typed.type())) {
            boolean big = typed.type() instanceof DataType.Whole whole && whole.largest() > Integer.MAX_VALUE;
            return typed.identity().isPresent()
                    ? typed.withType(new DataType.Whole(big ? DataType.Whole.LARGEST : 0))
                    : typed;
        }
        String called = sequence.isEmpty() ? own(table, column.name()) : sequence;
        context.draft.undrawn.putIfAbsent(Sequence.key(called), made(called)); // of which nothing else speaks
        String call = "nextval('" + called.replace("'", "''") + "')";
        return without(typed.unnumbered())
                .withFilling(Filling.byDefault(Expression.<String>text(call).in(context.dialect.name())));
    }

    /** A sequence keeps its name where that of its column, or of the table, becomes another. */
    Column keepName(DraftTable table, Column column) {
        if (context.is("postgresql") && column.options().containsKey(option(DialectOption.SERIAL))) {
            String own = own(table, column.name());
            context.draft.undrawn.putIfAbsent(Sequence.key(own), made(own));
            return elsewhere(column, table).withOption(option(DialectOption.OWNED), "yes");
        }
        return elsewhere(column, table);
    }

    /** A column that is taken over from another table draws from the sequence of that one. */
    Column elsewhere(Column column, DraftTable from) {
        String serial = option(DialectOption.SERIAL);
        return column.options().containsKey(serial)
                ? column.withoutOption(serial).withOption(option(DialectOption.SEQUENCE), own(from, column.name()))
                : column;
    }

    /** A column that draws from none. */
    Column without(Column column) {
        return column.withoutOption(option(DialectOption.SERIAL))
                .withoutOption(option(DialectOption.SEQUENCE))
                .withoutOption(option(DialectOption.OWNED));
    }

    /** A sequence that serial makes, from which other columns draw as well, stands beside the tables. */
    void share() {
        if (!context.is("postgresql")) {
            return;
        }
        Set<String> named = context.draft.tables().stream()
                .flatMap(table -> table.columns.stream())
                .flatMap(column -> Optional.ofNullable(column.options().get(option(DialectOption.SEQUENCE))).stream())
                .map(Sequence::key)
                .collect(Collectors.toSet());
        for (DraftTable table : context.draft.tables()) {
            table.columns.replaceAll(column -> shared(column, table, named));
        }
    }

    private Column shared(Column column, DraftTable table, Set<String> named) {
        String serial = option(DialectOption.SERIAL);
        String own = named.isEmpty() || !column.options().containsKey(serial) ? "" : own(table, column.name());
        if (!named.contains(Sequence.key(own))) {
            return column;
        }
        context.draft.undrawn.put(Sequence.key(own), made(own));
        return column.withoutOption(serial)
                .withOption(option(DialectOption.SEQUENCE), own)
                .withOption(option(DialectOption.OWNED), "yes");
    }

    private Carried made(String sequence) {
        return context.draft.sequencesMade.getOrDefault(
                Sequence.key(sequence),
                new Carried(
                        Carried.Kind.SEQUENCE,
                        sequence,
                        context.dialect.name(),
                        "",
                        true,
                        "CREATE SEQUENCE " + sequence));
    }

    private String option(String name) {
        return context.dialect.name() + "." + name;
    }

    private String own(DraftTable table, String column) {
        String namespace = table.name.namespace();
        return (namespace.isEmpty() ? "" : context.dialect.quoted(namespace) + ".")
                + context.dialect.quoted(context.defaults.sequence(table, column));
    }

    /** Without the schema in which everything stands anyhow, and in small letters where no quotes hold them. */
    private String name(String sequence) {
        String folded = sequence.indexOf('"') < 0 ? sequence.toLowerCase(Locale.ROOT) : sequence;
        return withoutUsual(folded);
    }

    private String withoutUsual(String sequence) {
        int point = sequence.indexOf('.');
        boolean here = point > 0
                && context.names
                        .namespace(sequence.substring(0, point).replace("\"", ""))
                        .isEmpty();
        return here ? sequence.substring(point + 1) : sequence;
    }
}
