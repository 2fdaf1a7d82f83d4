package ableschema.core.sql.dialect;

import ableschema.core.types.DataType;
import ableschema.core.types.DataType.Simple;
import java.util.HashMap;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;

/**
 * The functions that mean the same everywhere and are called differently; each has a template for each dialect, in which
 * {@code {0}} is the first argument.
 */
public enum StandardFunction {
    NOW("current_timestamp", 0),
    /** Now, for a column that keeps the time zone. */
    NOW_ANYWHERE("current_timestamp", 0),
    TODAY("current_date", 0),
    TIME_NOW("current_time", 0),
    /** The current year, for a column of years. */
    YEAR_NOW("extract(year from current_date)", 0),
    NEW_UUID("new_uuid()", 0),
    LENGTH("char_length({0})", 1),
    LOWER("lower({0})", 1),
    UPPER("upper({0})", 1),
    SUBSTRING("substring({0} from {1} for {2})", 3),
    SUBSTRING_TO_END("substring({0} from {1})", 2),
    YEAR("extract(year from {0})", 1),
    /** Two texts joined; a template with {@code {*}} takes all at once. */
    CONCATENATION("{0} || {1}", 2);

    private static final Map<String, StandardFunction> NAMES = new HashMap<>();

    static {
        NAMES.put("current_timestamp", NOW);
        NAMES.put("localtimestamp", NOW);
        NAMES.put("now", NOW);
        NAMES.put("current_date", TODAY);
        NAMES.put("current_time", TIME_NOW);
        NAMES.put("localtime", TIME_NOW);
        NAMES.put("new_uuid", NEW_UUID);
        NAMES.put("char_length", LENGTH);
        NAMES.put("character_length", LENGTH);
        NAMES.put("length", LENGTH);
        NAMES.put("lower", LOWER);
        NAMES.put("upper", UPPER);
        NAMES.put("substring", SUBSTRING);
        NAMES.put("extract", YEAR);
    }

    private final String standard;
    private final int arguments;

    StandardFunction(String standard, int arguments) {
        this.standard = standard;
        this.arguments = arguments;
    }

    /** The function that is called so in standard SQL. */
    public static Optional<StandardFunction> called(String name) {
        return Optional.ofNullable(NAMES.get(name.toLowerCase(Locale.ROOT)));
    }

    String standard() {
        return standard;
    }

    int arguments() {
        return arguments;
    }

    /** The function that gives a value of the type where this one is asked for; empty where none does. */
    public Optional<StandardFunction> fitting(DataType type) {
        if (this == NEW_UUID) {
            boolean holds =
                    type == Simple.UUID || type instanceof DataType.Text text && (text.max() == 0 || text.max() >= 36);
            return holds ? Optional.of(this) : Optional.empty();
        }
        if (type instanceof DataType.Text) {
            return Optional.of(this);
        }
        if (!(type instanceof Simple simple)) {
            return Optional.empty();
        }
        return switch (simple) {
            case DATE -> this == TIME_NOW ? Optional.empty() : Optional.of(TODAY);
            case TIME -> this == TODAY ? Optional.empty() : Optional.of(TIME_NOW);
            case MOMENT -> this == TIME_NOW ? Optional.empty() : Optional.of(this);
            case MOMENT_ANYWHERE ->
                this == TIME_NOW ? Optional.empty() : Optional.of(this == NOW ? NOW_ANYWHERE : this);
            case YEAR -> this == TIME_NOW ? Optional.empty() : Optional.of(YEAR_NOW);
            default -> Optional.empty();
        };
    }
}
