package ableschema.core.review;

import ableschema.core.design.Attribute;
import ableschema.core.design.Entity;
import ableschema.core.finding.Finding;
import ableschema.core.finding.Place;
import ableschema.core.finding.Rule;
import ableschema.core.finding.Step;
import ableschema.core.types.DataType;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Consumer;

/** Attributes of one name that hold different sorts of values; each name is told once. */
final class UnlikeTypesFinder implements Finder.OfWhole {

    static final Rule UNLIKE_TYPES = Rule.advice(
            Step.DRAW,
            "same-name-unlike-types",
            "One name for different sorts of values",
            "{name} is {type} in {table}, and {other} in {before}.",
            "Who knows the one reads the other wrongly, and the two can be neither compared nor joined.");

    /** Values that can be compared with each other. */
    private enum Sort {
        TEXT,
        NUMBER,
        DAY,
        TIME,
        YES_NO,
        /** Such as what is made to tell rows apart and nothing else. */
        ANY
    }

    private record Met(Entity entity, Attribute attribute, Sort sort) {}

    @Override
    public List<Rule> rules() {
        return List.of(UNLIKE_TYPES);
    }

    @Override
    public void find(Subject subject, Consumer<Finding> found) {
        Map<String, Met> first = new HashMap<>();
        Set<String> told = new HashSet<>();
        for (Entity entity : subject.design().entities()) {
            for (Attribute attribute : entity.body().attributes()) {
                Sort sort = sort(subject.design().typeOf(attribute));
                String name = attribute.name().toLowerCase(Locale.ROOT);
                Met before = sort == Sort.ANY ? null : first.putIfAbsent(name, new Met(entity, attribute, sort));
                if (before != null && before.sort() != sort && told.add(name)) {
                    found.accept(finding(subject, new Met(entity, attribute, sort), before));
                }
            }
        }
    }

    private static Finding finding(Subject subject, Met one, Met before) {
        Finding finding = Finding.of(
                        UNLIKE_TYPES,
                        new Place(
                                one.entity().id(),
                                Optional.empty(),
                                List.of(one.attribute().ref())))
                .naming("name", one.attribute().name())
                .naming("table", one.entity().name())
                .naming("before", before.entity().name())
                .stating("type", subject.design().inWords(one.attribute().type()))
                .stating("other", subject.design().inWords(before.attribute().type()));
        Finding mended = Retyping.offered(
                finding,
                subject.design(),
                one.attribute(),
                before.attribute().type(),
                "that of " + one.entity().name());
        return Retyping.offered(
                mended,
                subject.design(),
                before.attribute(),
                one.attribute().type(),
                "that of " + before.entity().name());
    }

    private static Sort sort(DataType type) {
        return type.accept(new DataType.OtherVisitor<>() {
            @Override
            public Sort text(DataType.Text text) {
                return Sort.TEXT;
            }

            @Override
            public Sort list(DataType.OneOf list) {
                return Sort.TEXT;
            }

            @Override
            public Sort simple(DataType.Simple simple) {
                return switch (simple) {
                    case DATE, MOMENT, MOMENT_ANYWHERE -> Sort.DAY;
                    case TIME -> Sort.TIME;
                    case YES_NO -> Sort.YES_NO;
                    case REAL, YEAR -> Sort.NUMBER;
                    case UUID, JSON -> Sort.ANY;
                };
            }

            @Override
            protected Sort other(DataType other) {
                return other.isNumeric() && !(other instanceof DataType.Counted) ? Sort.NUMBER : Sort.ANY;
            }
        });
    }
}
