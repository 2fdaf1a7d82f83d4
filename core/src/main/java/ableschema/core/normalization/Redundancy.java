package ableschema.core.normalization;

import ableschema.core.design.ColumnRef;
import ableschema.core.design.Id;
import ableschema.core.design.KeyPart;
import ableschema.core.design.Row;
import ableschema.core.theory.AttributeSet;
import ableschema.core.theory.Violation;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;

/**
 * Which cells of an entity's sample rows say again what another row has said, because of the dependencies that break its
 * normal form.
 */
public final class Redundancy {

    private final EntityTheory theory;
    private final Set<Cell> cells = new HashSet<>();

    /** One value of one row. */
    public record Cell(Id row, KeyPart item) {}

    public Redundancy(EntityTheory theory) {
        this.theory = theory;
        for (Violation violation : theory.analysis().violations()) {
            mark(violation);
        }
    }

    private void mark(Violation violation) {
        var seen = new HashSet<List<String>>();
        for (Row row : rows()) {
            List<String> determinant = values(theory, row, violation.from());
            if (determinant.stream().noneMatch(String::isEmpty) && !seen.add(determinant)) {
                theory.parts(violation.to()).stream()
                        .filter(item -> !value(row, item).isEmpty())
                        .forEach(item -> cells.add(new Cell(row.id(), item)));
            }
        }
    }

    private List<Row> rows() {
        return theory.entity().body().rows();
    }

    public boolean isRedundant(Row row, KeyPart item) {
        return cells.contains(new Cell(row.id(), item));
    }

    public int count() {
        return cells.size();
    }

    /** The determinant value that most rows repeat, and how many rows that are. */
    public record Repeated(String value, int times) {}

    /** The worst case of a violation in the rows; nothing is repeated where it counts 1 or none. */
    public Repeated mostRepeated(Violation violation) {
        Map<List<String>, Integer> counts = new HashMap<>();
        var most = new Repeated("", 0);
        for (Row row : rows()) {
            List<String> value = values(theory, row, violation.from());
            int count = counts.merge(value, 1, Integer::sum);
            if (count > most.times() && value.stream().noneMatch(String::isEmpty)) {
                most = new Repeated(String.join(", ", value), count);
            }
        }
        return most;
    }

    static List<String> values(EntityTheory theory, Row row, AttributeSet set) {
        return theory.parts(set).stream().map(item -> value(row, item)).toList();
    }

    /** What stands in a cell, as a text by which cells can be compared; empty for nothing. */
    static String value(Row row, KeyPart item) {
        return item instanceof ColumnRef.Own own
                ? row.value(own.id()).orElse("")
                : item.through().flatMap(row::reference).map(Object::toString).orElse("");
    }
}
