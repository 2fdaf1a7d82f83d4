package ableschema.core.sql.dialect;

import static java.util.stream.Collectors.groupingBy;

import ableschema.core.schema.Part;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * The options of one dialect among those of all, each by its own name: {@code mysql.engine} as {@code engine}. What is said in a
 * related dialect holds where nothing is said in this one.
 */
final class OwnOptions {

    private final String prefix;
    private final Traits traits;

    /** Those that are a clause of their own, in the order in which they are written. */
    private final Map<Part.Kind, List<DialectOption>> clauses;

    OwnOptions(Traits traits) {
        this.prefix = traits.name() + ".";
        this.traits = traits;
        this.clauses = traits.options().stream()
                .filter(option -> !option.name().equals(DialectOption.TYPE)
                        && !option.form().isEmpty())
                .sorted(Comparator.comparing(DialectOption::name))
                .collect(groupingBy(DialectOption::of));
    }

    Map<String, String> of(Map<String, String> options) {
        var own = new HashMap<String, String>();
        options.forEach((option, value) -> {
            if (option.startsWith(prefix)) {
                own.put(option.substring(prefix.length()), value);
            }
        });
        return own;
    }

    Optional<String> value(Map<String, String> options, String option) {
        if (options.isEmpty()) {
            return Optional.empty();
        }
        String own = options.get(prefix + option);
        return own == null ? traits.relative().flatMap(relative -> said(relative, options, option)) : Optional.of(own);
    }

    private Optional<String> said(Traits.Relative relative, Map<String, String> options, String option) {
        return Optional.ofNullable(options.get(relative.name() + "." + option))
                .filter(value -> !relative.missing().matcher(value).matches()
                        && !relative.missing().matcher(option).matches()
                        && traits.options().stream()
                                .anyMatch(each -> each.name().equals(option) && each.takes(value)));
    }

    /** How a table is cut into parts, with a space before; empty where it is not. */
    String partition(Map<String, String> options) {
        return value(options, DialectOption.PARTITION)
                .map(said -> " PARTITION BY " + said)
                .orElse("");
    }

    /** What stands of them behind the definition of a part, with a space before each. */
    String clauses(Part.Kind of, Map<String, String> options) {
        if (options.isEmpty()) {
            return "";
        }
        var text = new StringBuilder();
        for (DialectOption option : clauses.getOrDefault(of, List.of())) {
            value(options, option.name()).ifPresent(value -> text.append(' ').append(option.clause(value)));
        }
        return text.toString();
    }
}
