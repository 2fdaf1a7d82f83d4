package ableschema.cli;

import ableschema.core.sql.Dialect;
import ableschema.core.sql.Dialects;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import picocli.CommandLine.ITypeConverter;
import picocli.CommandLine.TypeConversionException;

/** Reads a dialect's name, and proposes the nearest where there is none of that name. */
final class DialectName implements ITypeConverter<Dialect> {

    @Override
    public Dialect convert(String name) {
        return Dialects.named(name).orElseThrow(() -> new TypeConversionException(problem(name)));
    }

    private static String problem(String name) {
        List<String> known = Dialects.ALL.stream().map(Dialect::name).toList();
        String given = name.toLowerCase(Locale.ROOT);
        String nearest = known.stream()
                .filter(each -> each.startsWith(given.substring(0, Math.min(2, given.length()))))
                .min(Comparator.comparingInt(each -> Math.abs(each.length() - given.length())))
                .map(each -> "; did you mean '" + each + "'?")
                .orElse("");
        return "unknown dialect '" + name + "'" + nearest + " The dialects are " + String.join(", ", known);
    }
}
