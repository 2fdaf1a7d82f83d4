package ableschema.core.review;

import ableschema.core.design.Attribute;
import ableschema.core.design.Body;
import ableschema.core.design.Id;
import ableschema.core.design.Row;
import ableschema.core.finding.Finding;
import ableschema.core.finding.Place;
import ableschema.core.finding.Rule;
import ableschema.core.rows.RowJudge;
import ableschema.core.rows.RowRules;
import ableschema.core.types.DataType;
import java.math.BigDecimal;
import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;

/** Sample rows that a database would refuse, and those beyond what was expected. */
final class RowFinder implements Finder.OfEach {

    @Override
    public List<Rule> rules() {
        return RowRules.ALL;
    }

    @Override
    public void find(Subject subject, Id owner, Consumer<Finding> found) {
        Body body = subject.design().body(owner).orElse(Body.EMPTY);
        if (body.rows().isEmpty()) {
            return;
        }
        RowJudge.judge(subject.filled(), owner, subject.values()).forEach(found);
        for (Attribute attribute : body.attributes()) {
            if (attribute.type() instanceof DataType.Whole whole && whole.largest() > 0) {
                beyond(subject, owner, body, attribute, whole.largest()).ifPresent(found);
            }
        }
    }

    /** The row with the largest value beyond what was expected. */
    private static Optional<Finding> beyond(Subject subject, Id owner, Body body, Attribute attribute, long largest) {
        Optional<Row> most = body.rows().stream()
                .filter(row -> number(row, attribute) > largest)
                .max((one, other) -> Double.compare(number(one, attribute), number(other, attribute)));
        return most.map(row -> {
            String value = row.value(attribute.id()).orElse("").strip();
            return Finding.of(
                            RowRules.BEYOND_EXPECTED, new Place(owner, Optional.of(row.id()), List.of(attribute.ref())))
                    .naming("table", subject.design().nameOf(owner))
                    .naming("row", String.valueOf(body.rows().indexOf(row) + 1))
                    .naming("column", attribute.name())
                    .stating("value", value)
                    .stating("largest", String.valueOf(largest))
                    .mendedBy(Retyping.to(new DataType.Whole(new BigDecimal(value).longValue()), attribute.id()));
        });
    }

    private static double number(Row row, Attribute attribute) {
        String value = row.value(attribute.id()).orElse("").strip();
        return value.matches("\\d{1,18}") ? Double.parseDouble(value) : Double.NEGATIVE_INFINITY;
    }
}
