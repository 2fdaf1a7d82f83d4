package ableschema.engine.trial;

import ableschema.core.carried.Carried;
import ableschema.core.carried.Carried.Kind;
import ableschema.core.ddl.CarriedText;
import ableschema.core.ddl.SqlReader;
import ableschema.core.design.Design;
import ableschema.core.design.Kept;
import ableschema.core.sql.dialect.Dialect;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * Which of the statements that are carried along a trial can carry out, so that it touches nothing outside its own schemas: what holds
 * for the whole database, names a schema, or is not certainly a single statement, is left out.
 */
final class TriedAlong {

    private static final Set<Kind> OF_THE_DATABASE =
            Set.of(Kind.EXTENSION, Kind.EVENT, Kind.RIGHT, Kind.OTHER, Kind.SYNONYM, Kind.DESCRIPTION);

    private final Dialect dialect;
    private final Set<String> namespaces;

    TriedAlong(Design design, Dialect dialect) {
        this.dialect = dialect;
        this.namespaces = Stream.concat(
                        design.entities().stream().map(each -> each.pins().namespace()),
                        design.relationships().stream().map(each -> each.pins().namespace()))
                .filter(each -> !each.isEmpty())
                .map(each -> CarriedText.key(each, dialect))
                .collect(Collectors.toSet());
    }

    /** The design with what can be tried. */
    Design in(Design design) {
        List<Kept> tried = design.notes().kept().stream()
                .filter(each -> isTried(each.statement()))
                .toList();
        return design.with(design.notes().withKept(tried));
    }

    /** What of those that would be written is not tried. */
    List<Carried> leftOut(Design design) {
        return design.notes().kept().stream()
                .map(Kept::statement)
                .filter(each -> dialect.writes(each) && !isTried(each))
                .toList();
    }

    private boolean isTried(Carried each) {
        return !OF_THE_DATABASE.contains(each.kind())
                && each.within().isEmpty()
                && !each.name().contains(".")
                && CarriedText.names(each.sql(), dialect).stream().noneMatch(namespaces::contains)
                && isSingle(each);
    }

    private boolean isSingle(Carried each) {
        var read = SqlReader.read(each.sql(), dialect);
        return read.skipped().isEmpty()
                && read.schema().tables().isEmpty()
                && read.schema().carried().size() == 1
                && read.schema().carried().get(0).sql().equals(each.sql());
    }
}
