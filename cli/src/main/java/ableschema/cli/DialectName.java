package ableschema.cli;

import ableschema.core.sql.dialect.Dialect;
import ableschema.core.sql.dialect.Dialects;
import ableschema.core.words.Spelling;
import java.util.Comparator;
import java.util.Iterator;
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

    /** The names of all dialects, for help. */
    static final class Names implements Iterable<String> {
        @Override
        public Iterator<String> iterator() {
            return Dialects.ALL.stream().map(Dialect::name).iterator();
        }
    }

    private static String problem(String name) {
        List<String> known = Dialects.ALL.stream().map(Dialect::name).toList();
        String given = name.toLowerCase(Locale.ROOT);
        String nearest = known.stream()
                .min(Comparator.comparingInt(each -> Spelling.distance(each, given)))
                .filter(each -> Spelling.distance(each, given) <= each.length() / 2)
                .map(each -> "; did you mean '" + each + "'?")
                .orElse(";");
        return "unknown dialect '" + name + "'" + nearest + " the dialects are " + String.join(", ", known);
    }
}
