package ableschema.core.ddl;

import ableschema.core.expression.Expression;
import ableschema.core.expression.Filling;
import ableschema.core.schema.Column;
import ableschema.core.schema.DomainType;
import ableschema.core.schema.Part;
import ableschema.core.schema.TableName;
import ableschema.core.sql.dialect.Dialect;
import ableschema.core.sql.dialect.DialectOption;
import ableschema.core.sql.dialect.StandardFunction;
import ableschema.core.types.DataType;
import ableschema.core.types.DataTypes;
import ableschema.core.types.TypedValue;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.regex.Pattern;

/** What all readers of one script have in common: its dialect, and what was made so far. */
final class Context {

    private static final Pattern NUMBER = Pattern.compile("-?\\d{1,30}\\.\\d{1,30}");

    /** What is wrong with a statement that is cut, or goes on with something else, behind DEFAULT. */
    static final String NO_DEFAULT = "a default without a value";

    private static final int MOST_KNOWN = 2000;

    /** What is given behind DEFAULT, and to what: the same comes again and again. */
    private record Given(String text, DataType base) {}

    /** Other names for what the dialect calls the present moment. */
    private static final Map<String, Set<String>> NOW = Map.of(
            "postgresql", Set.of("current_timestamp", "now()", "transaction_timestamp()", "localtimestamp"),
            "mysql", Set.of("current_timestamp", "current_timestamp()", "now()", "localtime", "localtimestamp"),
            "mariadb", Set.of("current_timestamp", "current_timestamp()", "now()", "localtime", "localtimestamp"),
            "h2", Set.of("current_timestamp", "now()", "localtimestamp", "current_timestamp()"),
            "sqlserver", Set.of("current_timestamp", "getdate()", "sysdatetime()", "sysdatetimeoffset()"),
            "oracle", Set.of("current_timestamp", "localtimestamp", "sysdate", "systimestamp"));

    /** How many digits of a second the present moment has. */
    private static final Pattern DIGITS = Pattern.compile("(?<=current_timestamp|localtimestamp|now)\\([0-9]\\)$");

    final Dialect dialect;
    final Names names;
    final Draft draft;
    final TypeMeaning types;
    final ExpressionReader expressions;
    final DefaultNames defaults;

    /** Whether the dialect keeps how the present moment is called. */
    private final boolean callsNow;

    private final Map<String, Boolean> takenOptions = new HashMap<>();
    private final Map<Given, Expression<String>> givenDefaults = new HashMap<>();
    private final Map<StandardFunction, Expression<String>> functions = new EnumMap<>(StandardFunction.class);

    Context(Dialect dialect) {
        this.dialect = dialect;
        this.names = new Names(dialect);
        this.draft = new Draft(names, isMySql());
        this.types = new TypeMeaning(dialect);
        this.expressions = new ExpressionReader(dialect);
        this.defaults = new DefaultNames(dialect, names);
        this.callsNow = dialect.traits().options().stream()
                .anyMatch(each -> each.of() == Part.Kind.COLUMN && each.name().equals(DialectOption.DEFAULT));
        for (StandardFunction each : StandardFunction.values()) {
            functions.put(each, expression(dialect.traits().template(each), any -> Optional.empty()));
        }
    }

    boolean is(String dialect) {
        return this.dialect.name().equals(dialect);
    }

    boolean isSqlServer() {
        return is("sqlserver");
    }

    boolean isMySql() {
        return is("mysql") || is("mariadb");
    }

    /** What a type holds: a named type, if the script has made one of that name. */
    DataType meaning(SqlType type) {
        DomainType domain = draft.domains.get(names.key(type.name()));
        return domain == null || !type.array().isEmpty()
                ? types.of(type)
                : new DataType.InDomain(domain.name().toString());
    }

    /** What a type holds in the end. */
    DataType base(DataType type) {
        return type instanceof DataType.InDomain in
                ? draft.domains.values().stream()
                        .filter(each -> each.name().toString().equals(in.domain()))
                        .map(DomainType::base)
                        .findFirst()
                        .orElse(DataTypes.UNDECIDED)
                : type;
    }

    /** Whether a column of a type can be numbered by the database; another draws from a sequence of its own. */
    boolean isNumbered(DataType type) {
        boolean named = type instanceof DataType.InDomain;
        return is("postgresql")
                ? type instanceof DataType.Whole || type instanceof DataType.Counted
                : !named && !(type instanceof DataType.Text);
    }

    /** What stands behind DEFAULT, which is something, in the one form that it has for a type. */
    Expression<String> defaultValue(Cursor value, DataType base) {
        if (value.atEnd()) {
            throw new Unread(NO_DEFAULT);
        }
        var given = new Given(value.text(), base);
        Expression<String> known = givenDefaults.get(given);
        if (known == null) {
            known = defaultValue(expressions.read(value, any -> Optional.empty()), base);
            if (givenDefaults.size() < MOST_KNOWN) {
                givenDefaults.put(given, known);
            }
        }
        return known;
    }

    /** The present moment has as many digits as its type has, where the database gives them so. */
    void precise(Map<String, String> options, Filling<String> filling, SqlType type) {
        boolean now = is("mariadb")
                && type.number(0) > 0
                && (type.name().equals("datetime") || type.name().equals("timestamp"))
                && filling.defaultValue().toString().equals("current_timestamp");
        if (now) {
            option(options, Part.Kind.COLUMN, DialectOption.DEFAULT, "current_timestamp(" + type.number(0) + ")");
        }
    }

    /** A default in the one form that it has for a type; no expression where it is empty. */
    Expression<String> defaultValue(Expression<String> found, DataType base) {
        if (!found.isPresent()) {
            return found;
        }
        Optional<String> plain = Literal.power(found.written(name -> name)).or(() -> found.in("")
                .literal()
                .map(given -> base == DataType.Simple.YES_NO ? Literal.truth(given) : given));
        if (base instanceof DataType.Whole) {
            plain = plain.map(given -> given.matches("-?\\d+\\.0+") ? given.replaceFirst("\\..*", "") : given);
        }
        if (plain.filter(given -> TypedValue.of(base, given).fits()).isPresent() && !(base instanceof DataType.Bytes)) {
            return literal(base, plain.get());
        }
        String text = found.written(name -> name).toLowerCase(Locale.ROOT);
        if (text.equals("null")) {
            return Expression.none();
        }
        if (base instanceof DataType.Bytes && (text.equals("'\\x'") || text.equals("x''"))) {
            return Expression.text("''"); // bytes by their numbers, of which there are none
        }
        if (is("postgresql") && text.equals("'now'")) {
            return Expression.text(
                    standard(base == DataType.Simple.DATE ? StandardFunction.TODAY : StandardFunction.NOW));
        }
        Optional<StandardFunction> function = function(text, base);
        if (function.isPresent()) {
            return Expression.text(standard(function.get()));
        }
        Optional<String> value = plain.or(() -> bit(text));
        if (isMySql() && base instanceof DataType.Whole && text.matches("0x[0-9a-f]{1,15}")) {
            return literal(base, String.valueOf(Long.parseLong(text.substring(2), 16)));
        }
        if (isMySql() && value.isPresent() && NUMBER.matcher(value.get()).matches()) {
            int digits = base instanceof DataType.Decimal decimal ? decimal.scale() : 0;
            boolean counted = base instanceof DataType.Decimal || base instanceof DataType.Whole;
            value = counted
                    ? Optional.of(new BigDecimal(value.get())
                            .setScale(digits, RoundingMode.HALF_UP)
                            .toPlainString())
                    : value;
        }
        boolean fits = value.filter(given -> TypedValue.of(base, given).fits()).isPresent();
        if (fits && !(base instanceof DataType.Bytes)) {
            return literal(base, value.orElse(""));
        }
        boolean unfit = value.isPresent() && !(base instanceof DataType.Bytes || base instanceof DataType.Undecided);
        return unfit ? found.in(dialect.name()) : found;
    }

    private static Expression<String> literal(DataType base, String value) {
        return Expression.text(
                Expression.literal(base, TypedValue.of(base, value).canonical()));
    }

    private static Optional<String> bit(String text) {
        return text.matches("b'[01]'") ? Optional.of(text.substring(2, 3)) : Optional.empty();
    }

    private static String standard(StandardFunction function) {
        return switch (function) {
            case NOW, NOW_ANYWHERE -> "current_timestamp";
            case TODAY, YEAR_NOW -> "current_date";
            case TIME_NOW -> "current_time";
            default -> "new_uuid()";
        };
    }

    /** The function that is written so for a column of a type, whatever its spaces. */
    private Optional<StandardFunction> function(String text, DataType base) {
        boolean cut = callsNow; // a date is taken from a moment
        Set<String> names = NOW.getOrDefault(dialect.name(), Set.of());
        String plain = text.replace(" ", "");
        String given = cut ? DIGITS.matcher(plain).replaceFirst(plain.startsWith("now") ? "()" : "") : plain;
        for (StandardFunction each : List.of(
                StandardFunction.NOW,
                StandardFunction.NOW_ANYWHERE,
                StandardFunction.TODAY,
                StandardFunction.TIME_NOW,
                StandardFunction.NEW_UUID,
                StandardFunction.YEAR_NOW)) {
            boolean fitting = each.fitting(base).filter(each::equals).isPresent();
            boolean same = functions
                    .getOrDefault(each, Expression.none())
                    .written(name -> name)
                    .equalsIgnoreCase(text);
            boolean now = (each == StandardFunction.NOW
                            || each == StandardFunction.NOW_ANYWHERE
                            || cut && each == StandardFunction.TODAY)
                    && names.contains(given);
            if (fitting && (same || now)) {
                return Optional.of(each);
            }
        }
        return Optional.empty();
    }

    /** Notes how the present moment is called, where the dialect would call it otherwise. */
    void called(Map<String, String> options, String found, Expression<String> filled, DataType base) {
        boolean now = callsNow
                && filled.isPresent()
                && filled.isStandard()
                && filled.toString().startsWith("current_");
        String given = now ? found.toLowerCase(Locale.ROOT).replace(" ", "") : "";
        while (given.startsWith("(") && given.endsWith(")")) {
            given = given.substring(1, given.length() - 1);
        }
        String usual = now ? dialect.defaultValue(filled, base).orElse("") : "";
        options.remove(dialect.name() + "." + DialectOption.DEFAULT);
        if (isMySql()) { // which calls it so whatever was said, with its digits
            given = given.matches(".*\\([1-6]\\)") && is("mysql")
                    ? given.replaceFirst("^\\w+", "current_timestamp")
                    : usual;
        }
        if (!usual.isEmpty() && !usual.equalsIgnoreCase(given)) {
            option(options, Part.Kind.COLUMN, DialectOption.DEFAULT, given);
        }
    }

    /** Notes an option of a part where the dialect has it; false where it does not, or takes no such value. */
    boolean option(Map<String, String> options, Part.Kind of, String name, String value) {
        boolean found = takenOptions.computeIfAbsent(
                of + name + "=" + value, // the same few are asked for again and again
                key -> dialect.traits().options().stream()
                        .anyMatch(each -> each.of() == of && each.name().equals(name) && each.takes(value)));
        if (found) {
            options.put(dialect.name() + "." + name, value);
        }
        return found;
    }

    /** Reads an expression out of a text that holds nothing else. */
    Expression<String> expression(String sql, Function<String, Optional<String>> column) {
        Lexis lexis = Lexis.of(dialect);
        var tokens = new Tokens(sql, lexis);
        new Lexer(sql, lexis).next(tokens);
        return expressions.read(new Cursor(tokens, names, 0, tokens.count()), column);
    }

    DraftTable table(TableName name) {
        return draft.requireTable(name);
    }

    /** A column with another type, as it was found. */
    Column typed(DraftTable table, Column column, SqlType type) {
        table.types.put(column.name(), type);
        Column typed = column.withType(meaning(type));
        Expression<String> preset = column.filling().defaultValue();
        return preset.isPresent()
                ? typed.withFilling(Filling.byDefault(defaultValue(preset, base(typed.type()))))
                : typed;
    }
}
