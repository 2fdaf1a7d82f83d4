package ableschema.core.ddl;

import ableschema.core.ddl.Tokens.Kind;
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

/**
 * Reads the definition of a column:
 *
 * <pre>
 * column = NAME type { [CONSTRAINT NAME] clause }
 * clause = [NOT] NULL | DEFAULT value | PRIMARY KEY | UNIQUE | CHECK "(" condition ")" | REFERENCES … | GENERATED … | AS "(" value ")"
 *        | IDENTITY | AUTO_INCREMENT | COLLATE NAME | COMMENT 'text' | ON UPDATE value | …
 * </pre>
 */
final class ColumnReader {

    static final String DEFAULT_NAME = "the names of defaults are not kept, here and in what follows";

    /** What gives a whole number, whatever it is made of. */
    private static final Pattern NUMBERED =
            Pattern.compile("(?:extract\\(year from|char_length\\()[^()]*\\)", Pattern.CASE_INSENSITIVE);

    static final String CONFLICT = "what becomes of a row that conflicts is not kept";

    private final Context context;
    private final DraftTable table;
    private final ConstraintReader constraints;
    private final Cursor at;

    private String name = "";
    private SqlType type = SqlType.NONE;
    private DataType held = new DataType.Undecided();
    private boolean nullable = true;
    private Filling<String> filling = Filling.nothing();
    private Optional<Identity> identity = Optional.empty();
    private String comment = "";
    private final Map<String, String> options = new HashMap<>();

    ColumnReader(Context context, DraftTable table, Cursor at) {
        this(context, table, new ConstraintReader(context, table), at);
    }

    /** @param constraints reads those of the table */
    ColumnReader(Context context, DraftTable table, ConstraintReader constraints, Cursor at) {
        this.context = context;
        this.table = table;
        this.constraints = constraints;
        this.at = at;
    }

    /** Reads a definition; the table has a column of that name already, whose place it takes. */
    Column read() {
        String called = at.name();
        name = table.column(called).orElse(called);
        if (at.isAny("generated", "as")) {
            type = SqlType.NONE; // computed, of the type of its expression
        } else if (context.is("h2") && at.accept("identity")) {
            type = SqlType.IDENTITY;
            number(1, 1, false);
            nullable = false;
        } else if (!at.atEnd() || !context.types.isFree()) {
            type = context.types.read(at);
        }
        if (context.isMySql()) {
            ofMySql();
        }
        held = type.name().isEmpty() && !context.types.isFree() ? new DataType.Undecided() : context.meaning(type);
        if (held instanceof DataType.Counted counted) {
            number(counted.start(), counted.step(), false);
            nullable = false;
            context.option(options, Part.Kind.COLUMN, DialectOption.SERIAL, "yes");
        }
        if (context.is("sqlite") && type.name().isEmpty()) {
            context.option(options, Part.Kind.COLUMN, DialectOption.UNTYPED, "yes");
        }
        table.types.put(name, type);
        while (!at.atEnd()) {
            String constraint = at.accept("constraint") && !startsClause() ? at.name() : "";
            clause(constraint);
        }
        return column();
    }

    /** A type of MySQL that says more than what is held. */
    private void ofMySql() {
        if (type.name().equals("serial")) {
            type = SqlType.of("bigint", List.of(), true, "", "bigint unsigned");
            number(1, 1, false);
            nullable = false;
            constraints.unique("", List.of(name), Map.of());
        } else if (type.has(1)
                && type.array().isEmpty()
                && Set.of("text", "blob").contains(type.name())) {
            String smallest = smallest(type.name(), type.number(0));
            type = SqlType.of(smallest, List.of(), false, "", smallest);
        } else if (type.name().equals("nchar") || type.name().equals("nvarchar")) {
            type = SqlType.of(type.name().substring(1), type.arguments(), false, "", type.text());
            charset("utf8");
        }
    }

    /** The smallest of four types that is long enough is taken; a character needs up to four bytes. */
    private static String smallest(String name, long length) {
        long bytes = name.equals("text") ? Math.min(length, Integer.MAX_VALUE) * 4 : length;
        return (bytes < 1 << 8 ? "tiny" : bytes < 1 << 16 ? "" : bytes < 1 << 24 ? "medium" : "long") + name;
    }

    /** What is known of the column where its definition goes on in a way that is not understood. */
    Column soFar(String called) {
        name = name.isEmpty() ? called : name;
        return column();
    }

    private boolean startsClause() {
        return at.isAny("not", "null", "default", "primary", "unique", "check", "references");
    }

    private Column column() {
        DataType kept = identity.isPresent() ? numbered() : held;
        context.precise(options, filling, type);
        return new Column(name, kept, nullable, filling, identity, comment, options);
    }

    /** A number that the database gives is a whole one of the width that was found. */
    private DataType numbered() {
        boolean big = type.canonical().contains("bigint")
                || type.name().equals("bigserial")
                || held instanceof DataType.Whole whole && whole.largest() > Integer.MAX_VALUE
                || held instanceof DataType.Counted given && given.last() > Integer.MAX_VALUE;
        return new DataType.Whole(big ? DataType.Whole.LARGEST : 0);
    }

    private void number(long start, long step, boolean alone) {
        identity = Optional.of(new Identity(start, step == 0 ? 1 : step, alone));
    }

    private void clause(String constraint) {
        if (at.accept("not", "null")) {
            nullable = false;
            if (!constraint.isEmpty() && context.is("oracle")) { // elsewhere the name is lost in the database, too
                context.draft.skipAll(
                        at.tokens().line(at.at() - 1),
                        constraint,
                        "the names of rules that a column is never empty are not kept, here and in what follows");
            }
            skipStates();
        } else if (at.accept("null")) {
            skipStates();
        } else if (at.accept("default")) {
            defaultValue();
            if (!constraint.isEmpty()
                    && !context.option(options, Part.Kind.COLUMN, DialectOption.DEFAULT_NAME, constraint)) {
                context.draft.skipAll(at.tokens().line(at.at() - 1), constraint, DEFAULT_NAME);
            }
        } else if (at.accept("primary", "key")) {
            primaryKey(constraint);
        } else if (at.accept("unique")) {
            at.accept("key");
            boolean known = context.isMySql()
                    && constraint.isEmpty()
                    && table.uniques.stream().anyMatch(each -> each.columns().equals(List.of(name)));
            var options = new HashMap<String, String>();
            if (at.is("nulls")) {
                new IndexReader(context, table).empties(at, Part.Kind.UNIQUE, options);
            }
            constraints.later(at, options, Part.Kind.UNIQUE);
            constraints.conflict(at, options, Part.Kind.UNIQUE);
            if (!known) {
                constraints.unique(constraint, List.of(name), options);
            }
            skipStates();
        } else if (at.is("check") && constraint.isEmpty() && isJson()) {
            type = SqlType.of("json", List.of(), false, "", "json");
            held = DataType.Simple.JSON;
            options.remove(context.dialect.name() + ".collation");
            table.types.put(name, type);
            at.skip();
            at.inside();
        } else if (at.is("check")) {
            constraints.check(constraint, at);
            if (constraint.isEmpty()) {
                context.option(options, Part.Kind.COLUMN, DialectOption.CHECK_BESIDE, "yes");
            }
            table.checksOfColumns.put(table.checks.get(table.checks.size() - 1), name);
            skipStates();
        } else if (at.is("references") || at.accept("foreign", "key")) {
            constraints.reference(constraint, List.of(name), at);
        } else if (at.accept("generated")) {
            generated();
        } else if (at.accept("as")) {
            at.accept("identity");
            computed();
        } else if (at.accept("identity")) {
            identity();
        } else if (at.acceptAny("auto_increment", "autoincrement")) {
            number(1, 1, false);
            nullable = false;
        } else {
            rest();
        }
    }

    /** What MariaDB makes of a column of json, and a dump of it has: a longtext with a check. */
    private boolean isJson() {
        return context.isMySql()
                && type.name().equals("longtext")
                && at.tokens().is(at.at() + 2, "json_valid")
                && at.tokens().is(at.at() + 3, '(')
                && context.names.same(at.tokens().unquoted(at.at() + 4), name)
                && at.tokens().is(at.at() + 5, ')')
                && at.tokens().is(at.at() + 6, ')');
    }

    private void primaryKey(String constraint) {
        at.accept("asc");
        boolean descending = at.accept("desc");
        if (descending && context.is("sqlite") && type.text().equalsIgnoreCase("integer")) {
            tell("that a key is not the number of its row is not kept");
        }
        nullable = context.is("sqlite") && nullable && !type.name().equals("integer");
        at.acceptAny("clustered", "nonclustered");
        if (at.is('(') && context.isSqlServer()) { // one of the table, though no comma stands before it
            constraints.primaryKey(constraint, ConstraintReader.columns(at));
        } else {
            constraints.primaryKey(constraint, List.of(name));
        }
        constraints.later(at, table.options, Part.Kind.PRIMARY_KEY);
        skipStates();
        if (at.acceptAny("autoincrement", "auto_increment")) {
            number(1, 1, false);
        }
    }

    private void identity() {
        long start = 1;
        long step = 1;
        if (at.is('(')) {
            Cursor inside = at.inside();
            start = inside.number();
            step = inside.accept(',') ? inside.number() : 1;
        }
        number(start, step, false);
        nullable = false;
        if (at.accept("not", "for")) {
            at.expect("replication");
        }
    }

    private void generated() {
        boolean alone = at.accept("always");
        if (!alone) {
            at.accept("by");
            at.accept("default");
            if (at.accept("on", "null")) {
                context.option(options, Part.Kind.COLUMN, DialectOption.ON_NULL, "yes");
            }
        }
        at.expect("as");
        if (at.accept("row")) { // when the row was so, which the database keeps by itself
            at.skip();
            context.draft.skip(
                    at.tokens().line(at.at() - 1), at.text(), "how the database keeps former rows is not kept");
        } else if (at.accept("identity")) {
            Sequence sequence = Sequence.read(at.is('(') ? at.inside() : at.upTo(ClauseEnds.ofOptions(at)));
            number(sequence.start(), sequence.step(), alone);
            nullable = false;
        } else {
            computed();
        }
    }

    private void computed() {
        Cursor of = at.is('(') && !ClauseEnds.goesOn(at, at.closing(at.at()) + 1)
                ? at.inside()
                : at.upTo(ClauseEnds.ofComputed(at));
        if (of.atEnd()) {
            throw new Unread("what is computed is missing");
        }
        Expression<String> value = context.is("sqlite") && held instanceof DataType.Decimal decimal
                ? unrounded(of, decimal.scale())
                : context.expressions.read(of, table);
        filling = Filling.computed(value);
        if (type.name().isEmpty()) {
            held = ofSources(value);
            if (context.isSqlServer() && held instanceof DataType.Decimal) { // not cast, as it was not
                context.option(options, Part.Kind.COLUMN, DialectOption.TYPE, context.dialect.type(held));
            }
        }
        if (!at.acceptAny("persisted", "stored", "persistent")) {
            at.accept("virtual");
            context.option(options, Part.Kind.COLUMN, DialectOption.VIRTUAL, "yes");
        }
    }

    /** A decimal is rounded to its digits where a design is written, unless its type is kept as it was found. */
    private Expression<String> unrounded(Cursor of, int scale) {
        var call = new Cursor(of.tokens(), context.names, of.at(), of.end());
        boolean rounds = call.accept("round") && call.is('(') && call.closing(call.at()) == call.end() - 1;
        List<Cursor> parts = rounds ? call.inside().parts() : List.of();
        if (parts.size() == 2 && parts.get(1).text().equals(String.valueOf(scale))) {
            return context.expressions.read(parts.get(0), table);
        }
        context.option(options, Part.Kind.COLUMN, DialectOption.TYPE, type.text());
        return context.expressions.read(of, table);
    }

    /** What is computed without a type is taken to hold what it is computed from: a text where one is among it. */
    private DataType ofSources(Expression<String> value) {
        if (NUMBERED.matcher(value.toString()).matches()) {
            return new DataType.Whole(0);
        }
        List<DataType> types = value.columns()
                .flatMap(source ->
                        table.columns.stream().filter(each -> each.name().equals(source)))
                .map(Column::type)
                .filter(each -> !(each instanceof DataType.Undecided))
                .toList();
        return types.stream()
                .filter(each -> each instanceof DataType.Text)
                .findFirst()
                .or(() -> types.stream().findFirst())
                .map(each -> each instanceof DataType.Text ? new DataType.Text(0) : each)
                .orElse(new DataType.Text(0));
    }

    private void defaultValue() {
        if (at.accept("on", "null")) {
            flag(DialectOption.ON_NULL, "that a default stands for an empty value that is given is not kept");
        }
        int start = at.at();
        int end = ClauseEnds.ofValue(at);
        Cursor value = at.upTo(end);
        Optional<Identity> sequence = context.isNumbered(held) ? sequence(start, end) : Optional.empty();
        if (sequence.isPresent()) {
            number(sequence.get().start(), sequence.get().step(), false);
            return;
        }
        if (options.containsKey("sqlite." + DialectOption.UNTYPED)
                && at.tokens().kind(start) != Kind.STRING
                && !value.text().equalsIgnoreCase("null")) {
            filling = Filling.byDefault( // a number stays one, where a text would be made of it
                    context.expressions.read(value, any -> Optional.empty()).in(context.dialect.name()));
            return;
        }
        boolean quoted = context.is("sqlite") && end == start + 1 && at.tokens().kind(start) == Kind.NAME;
        String said = value.text();
        filling = Filling.byDefault(
                quoted // which there is a text where it is the name of nothing
                        ? context.defaultValue(
                                Expression.text(context.dialect.text(at.tokens().unquoted(start))), context.base(held))
                        : context.defaultValue(value, context.base(held)));
        context.called(options, said, filling.defaultValue(), context.base(held));
    }

    /** The numbers of a sequence that a default draws from. */
    private Optional<Identity> sequence(int start, int end) {
        Tokens tokens = at.tokens();
        for (int i = start; i < end; i++) {
            boolean draws = tokens.is(i, "nextval") || tokens.is(i, "next") && tokens.is(i + 1, "value");
            if (draws) {
                String called = tokens.is(i, "nextval") ? drawnFrom(i, end) : lastName(i, end);
                return Optional.of(new Drawing(context).from(called, table, name, options));
            }
            if (tokens.is(i, '.') && i + 1 < end && tokens.unquoted(i + 1).equalsIgnoreCase("nextval")) {
                return Optional.of(context.draft.drawn(Sequence.ownKey(tokens.unquoted(i - 1))));
            }
        }
        return Optional.empty();
    }

    /** The name between the brackets of a call of nextval, which may be cast; else the one before it. */
    private String drawnFrom(int call, int end) {
        int name = call + 1;
        while (name < end && at.tokens().is(name, '(')) {
            name++;
        }
        return name < end && at.tokens().kind(name) == Kind.STRING ? at.tokens().string(name) : beforeDot(call);
    }

    /** The last name of a stretch, behind which only brackets close. */
    private String lastName(int start, int end) {
        int last = end - 1;
        while (last > start && at.tokens().kind(last) == Kind.SYMBOL) {
            last--;
        }
        return at.tokens().unquoted(last);
    }

    private String beforeDot(int token) {
        return token >= 2 ? at.tokens().unquoted(token - 2) : "";
    }

    /** How a constraint is kept, which says nothing of what holds. */
    private void skipStates() {
        while (!at.atEnd()) {
            if (at.accept("on", "conflict")) {
                tell(CONFLICT);
                at.skip();
            } else if (at.accept("disable")) {
                tell(ConstraintReader.NOT_ENFORCED);
            } else if (at.accept("novalidate")) {
                tell(ConstraintReader.NOT_VALID);
            } else if (at.acceptAny(
                    "enable", "clustered", "nonclustered", "validate", "rely", "deferrable", "enforced")) {
                continue;
            } else if (at.accept("not", "enforced")) {
                context.draft.skip(at.tokens().line(at.at() - 1), name, ConstraintReader.NOT_ENFORCED);
            } else if (at.accept("not", "deferrable")) {
                continue;
            } else if (at.accept("initially")) {
                at.skip();
            } else if (at.accept("using", "index")) {
                skipIndexOptions();
            } else if (at.is("with") && at.at() + 2 < at.end() && at.tokens().is(at.at() + 2, '=')) {
                at.skipTo(Math.min(at.end(), at.at() + 4)); // WITH FILLFACTOR = 80
            } else if (at.is("with") && !at.is("with", "values")) {
                at.skip();
                at.inside();
            } else if (at.is("on") && at.at() + 1 < at.end() && at.tokens().kind(at.at() + 1) == Kind.NAME) {
                at.skip();
                at.skip();
            } else {
                return;
            }
        }
    }

    private void skipIndexOptions() {
        if (at.accept("tablespace")) {
            at.name();
        } else if (at.is('(')) {
            at.inside();
        }
    }

    private void rest() {
        if (at.accept("collate")) {
            at.accept('=');
            collation(at.lastName());
        } else if (at.accept("comment")) {
            at.accept('=');
            comment = at.string();
        } else if (at.accept("character", "set") || at.accept("charset")) {
            at.accept('=');
            charset(at.name());
        } else if (at.accept("selectivity")) {
            at.skip(); // how a planner of queries takes it
        } else if (at.accept("on", "update")) {
            onUpdate();
        } else if (at.accept("key")) {
            constraints.primaryKey("", List.of(name));
            nullable = false;
        } else if (context.isMySql() && at.accept("binary")) {
            String own = options.getOrDefault(context.dialect.name() + ".collation", "");
            collation(own.isEmpty() ? Collations.BINARY : own.replaceAll("_.*", "") + Collations.BINARY);
        } else if (at.acceptAny(
                "binary",
                "ascii",
                "unicode",
                "visible",
                "virtual",
                "stored",
                "persisted",
                "enable",
                "disable",
                "first",
                "deferrable",
                "enforced")) {
            return; // how it is kept, and not what
        } else if (at.acceptAny("sparse", "rowguidcol")) {
            flag(at.tokens().text(at.at() - 1).toLowerCase(Locale.ROOT), "how the database keeps a column is not kept");
        } else if (context.is("mysql") && at.accept("srid")) {
            context.option(
                    options,
                    Part.Kind.COLUMN,
                    DialectOption.REFERENCE,
                    at.tokens().text(at.at()));
            at.skip();
        } else if (at.acceptAny("invisible", "hidden")) {
            flag(DialectOption.INVISIBLE, "that a column is shown only where it is named is not kept");
        } else if (at.acceptAny("after", "before", "storage", "compression", "encode", "column_format", "filestream")) {
            at.skip();
        } else if (at.accept("with", "values") || at.accept("not", "deferrable") || at.accept("not", "enforced")) {
            return;
        } else if (at.accept("initially")) {
            at.skip();
        } else {
            throw new Unread("nothing is known of what stands" + at.here());
        }
    }

    /** @param otherwise what is told where the dialect does not keep it */
    private void flag(String option, String otherwise) {
        if (!context.option(options, Part.Kind.COLUMN, option, "yes")) {
            context.draft.skip(at.tokens().line(at.at() - 1), name, otherwise);
        }
    }

    private void collation(String found) {
        context.option(options, Part.Kind.COLUMN, "collation", context.isMySql() ? Collations.present(found) : found);
    }

    /** A character set stands for its usual collation, where none is given and that is known. */
    private void charset(String found) {
        String usual = context.isMySql() ? Collations.usual(context, found) : "";
        if (usual.isEmpty()) {
            type = type.with("character set " + found);
            table.types.put(name, type);
        } else {
            String option = context.dialect.name() + ".collation";
            options.computeIfAbsent(option, none -> usual);
        }
    }

    private void onUpdate() {
        at.skip();
        String digits = at.is('(') ? at.inside().text() : "";
        boolean kept = context.option(
                options,
                Part.Kind.COLUMN,
                "on_update",
                "current_timestamp" + (digits.isEmpty() ? "" : "(" + digits + ")"));
        if (!kept) {
            tell("what a column takes whenever its row is changed is not kept");
        }
    }

    private void tell(String lost) {
        context.draft.skip(at.tokens().line(at.at() - 1), name, lost);
    }
}
