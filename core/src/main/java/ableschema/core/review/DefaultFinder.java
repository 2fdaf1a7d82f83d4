package ableschema.core.review;

import ableschema.core.design.Attribute;
import ableschema.core.design.Body;
import ableschema.core.design.Check;
import ableschema.core.design.ColumnRef;
import ableschema.core.design.Condition;
import ableschema.core.design.Id;
import ableschema.core.edit.Edits;
import ableschema.core.expression.Evaluation;
import ableschema.core.expression.Evaluation.Truth;
import ableschema.core.expression.Expression;
import ableschema.core.finding.Finding;
import ableschema.core.finding.Place;
import ableschema.core.finding.Remedy;
import ableschema.core.finding.Rule;
import ableschema.core.finding.Step;
import ableschema.core.types.DataType;
import ableschema.core.types.TypedValue;
import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;

/** Defaults that the column's own check would refuse. */
final class DefaultFinder implements Finder.OfEach {

    static final Rule OUTSIDE_CHECK = Rule.mustMend(
            Step.DRAW,
            "default-outside-check",
            "Default that its own check refuses",
            "{table}: the default of {column} is {value}, but it must be {rule}.",
            "Every row that leaves the column out is refused.");

    @Override
    public List<Rule> rules() {
        return List.of(OUTSIDE_CHECK);
    }

    @Override
    public void find(Subject subject, Id owner, Consumer<Finding> found) {
        Body body = subject.design().body(owner).orElse(Body.EMPTY);
        for (Attribute attribute : body.attributes()) {
            attribute.defaultValue().literal().ifPresent(value -> {
                DataType type = subject.design().typeOf(attribute);
                for (Check check : body.checks()) {
                    boolean alone = check.expression().columns().allMatch(attribute.ref()::equals);
                    if (alone && refuses(check.expression(), type, value)) {
                        found.accept(finding(subject, owner, attribute, value, said(check)));
                    }
                }
                subject.design()
                        .domain(attribute.type())
                        .filter(domain -> domain.check().isPresent() && refuses(domain.check(), type, value))
                        .ifPresent(domain -> found.accept(finding(
                                subject,
                                owner,
                                attribute,
                                value,
                                "so that " + domain.check().written(any -> domain.name()))));
            });
        }
    }

    private static <R> boolean refuses(Expression<R> check, DataType type, String value) {
        TypedValue typed = TypedValue.of(type, value);
        var operand = new Evaluation.Operand(Optional.of(typed.canonical()), type);
        return typed.fits() && Evaluation.of(check, any -> operand).equals(Optional.of(Truth.FALSE));
    }

    private static String said(Check check) {
        return Condition.read(check.expression())
                .map(Condition::inWords)
                .orElseGet(() -> "so that " + check.expression());
    }

    private static Finding finding(Subject subject, Id owner, Attribute attribute, String value, String rule) {
        return Finding.of(OUTSIDE_CHECK, new Place(owner, Optional.empty(), List.of(attribute.ref())))
                .naming("table", subject.design().nameOf(owner))
                .naming("column", attribute.name())
                .stating("value", value)
                .stating("rule", rule)
                .mendedBy(Remedy.of("take the default away", (design, ids, given) -> {
                    Attribute now = design.attribute(attribute.id()).orElseThrow();
                    return new Edits(design, ids).changeAttribute(now.withDefault(Expression.<ColumnRef>none()));
                }));
    }
}
