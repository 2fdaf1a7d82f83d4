package ableschema.core.theory;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Random;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import net.jqwik.api.Arbitraries;
import net.jqwik.api.Arbitrary;
import net.jqwik.api.Combinators;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.Provide;
import org.junit.jupiter.api.Test;

/** Laws of the theory, held against answers found by trying everything. */
class NormalizerPropertyTest {

    private static final int WIDTH = 6;

    @Provide
    Arbitrary<Relation> relations() {
        Arbitrary<AttributeSet> left = Arbitraries.integers()
                .between(0, WIDTH - 1)
                .set()
                .ofMinSize(1)
                .ofMaxSize(3)
                .map(AttributeSet::of);
        Arbitrary<AttributeSet> right = Arbitraries.integers()
                .between(0, WIDTH - 1)
                .set()
                .ofMinSize(1)
                .ofMaxSize(2)
                .map(AttributeSet::of);
        Arbitrary<FunctionalDependency> dependency =
                Combinators.combine(left, right).as(FunctionalDependency::new);
        return dependency.list().ofMaxSize(6).map(list -> relation(list, List.of()));
    }

    @Provide
    Arbitrary<Relation> mixed() {
        Arbitrary<AttributeSet> side = Arbitraries.integers()
                .between(0, WIDTH - 2)
                .set()
                .ofMinSize(1)
                .ofMaxSize(2)
                .map(AttributeSet::of);
        Arbitrary<List<FunctionalDependency>> functional = Combinators.combine(side, side)
                .as(FunctionalDependency::new)
                .list()
                .ofMaxSize(3);
        Arbitrary<List<MultivaluedDependency>> multivalued = Combinators.combine(side, side)
                .as(MultivaluedDependency::new)
                .list()
                .ofMinSize(1)
                .ofMaxSize(2);
        return Combinators.combine(functional, multivalued).as((f, m) -> new Relation("R", names(WIDTH - 1), f, m));
    }

    private static Relation relation(List<FunctionalDependency> f, List<MultivaluedDependency> m) {
        return new Relation("R", names(WIDTH), f, m);
    }

    private static List<String> names(int width) {
        return IntStream.range(0, width)
                .mapToObj(i -> String.valueOf((char) ('A' + i)))
                .toList();
    }

    /** The same relations in every run, so that a change of the code that no law notices can be found. */
    @Test
    void a_fixed_set_of_relations_obeys_all_laws() {
        var random = new Random(11);
        for (int i = 0; i < 60; i++) {
            Relation functional = relation(dependencies(random, WIDTH, 6), List.of());
            candidate_keys_are_those_found_by_trying_all_subsets(functional);
            a_minimal_cover_says_the_same_and_no_part_of_it_can_go(functional);
            synthesis_is_lossless_preserving_and_in_third_normal_form(functional);
            bcnf_parts_are_lossless_and_in_bcnf_and_preservation_is_told_truly(functional);
            a_table_that_obeys_comes_back_when_its_parts_are_joined(functional, i);
            List<MultivaluedDependency> multivalued = dependencies(random, WIDTH - 1, 2).stream()
                    .map(each -> new MultivaluedDependency(each.from(), each.to()))
                    .toList();
            var both = new Relation("R", names(WIDTH - 1), dependencies(random, WIDTH - 1, 3), multivalued);
            with_multivalued_dependencies_the_parts_stay_lossless(both);
            what_mixed_dependencies_imply_holds_in_every_relation_built_to_satisfy_them(both);
        }
    }

    /** More attributes than are tried in all subsets: what is said to be proved is so, and the rest is named as open. */
    @Test
    void of_wide_relations_nothing_is_claimed_that_is_not_so() {
        var random = new Random(5);
        int proved = 0;
        for (int i = 0; i < 12; i++) {
            var wide = new Relation("R", names(17), dependencies(random, 17, 14), List.of());
            Analysis analysis = Normalizer.analyse(wide);
            Decomposition parts = analysis.decomposition(NormalForm.BOYCE_CODD).orElseThrow();
            assertThat(analysis.complete()).isEqualTo(parts.inForm());
            assertNoneContained(parts);
            assertKeysAreKeys(wide, parts);
            if (parts.inForm()) {
                proved++;
                parts.parts().forEach(part -> Subsets.of(part.attributes())
                        .map(left -> slowClosure(left, wide.functional()).intersection(part.attributes()))
                        .forEach(all -> assertThat(all.equals(part.attributes()) || isClosedTrivially(all, wide, part))
                                .isTrue()));
            }
        }
        assertThat(proved).isPositive();
    }

    /** Whether nothing within a part determines what it does not hold itself. */
    private static boolean isClosedTrivially(AttributeSet closed, Relation relation, Decomposition.Part part) {
        return closed.stream().allMatch(a -> !slowClosure(closed.without(a), relation.functional())
                .intersection(part.attributes())
                .contains(a));
    }

    private static List<FunctionalDependency> dependencies(Random random, int width, int most) {
        return Stream.generate(() -> new FunctionalDependency(some(random, width, 3), some(random, width, 2)))
                .limit(random.nextInt(most + 1))
                .toList();
    }

    private static AttributeSet some(Random random, int width, int most) {
        return AttributeSet.of(
                random.ints(1 + random.nextInt(most), 0, width).distinct().toArray());
    }

    /** The closure by going over all dependencies until nothing more follows. */
    private static AttributeSet slowClosure(AttributeSet start, List<FunctionalDependency> given) {
        AttributeSet closure = start;
        AttributeSet before;
        do {
            before = closure;
            for (FunctionalDependency each : given) {
                closure = closure.containsAll(each.from()) ? closure.union(each.to()) : closure;
            }
        } while (!closure.equals(before));
        return closure;
    }

    private static Set<AttributeSet> slowKeys(Relation relation, List<FunctionalDependency> given) {
        var keys = new HashSet<AttributeSet>();
        Subsets.of(relation.all()).sorted().forEach(set -> {
            boolean superkey = slowClosure(set, given).containsAll(relation.all());
            if (superkey && keys.stream().noneMatch(set::containsAll)) {
                keys.add(set);
            }
        });
        return keys;
    }

    @Property(tries = 300)
    void candidate_keys_are_those_found_by_trying_all_subsets(@ForAll("relations") Relation relation) {
        Analysis analysis = Normalizer.analyse(relation);

        assertThat(Set.copyOf(analysis.keys().found())).isEqualTo(slowKeys(relation, relation.functional()));
    }

    @Property(tries = 300)
    void a_minimal_cover_says_the_same_and_no_part_of_it_can_go(@ForAll("relations") Relation relation) {
        List<FunctionalDependency> cover = Normalizer.analyse(relation).minimalCover();

        Subsets.of(relation.all())
                .forEach(set -> assertThat(slowClosure(set, cover)).isEqualTo(slowClosure(set, relation.functional())));
        for (FunctionalDependency each : cover) {
            assertThat(each.to().size()).isEqualTo(1);
            var others = new ArrayList<>(cover);
            others.remove(each);
            assertThat(slowClosure(each.from(), others).containsAll(each.to())).isFalse();
            each.from().stream().forEach(a -> assertThat(
                            slowClosure(each.from().without(a), cover).containsAll(each.to()))
                    .isFalse());
        }
    }

    @Property(tries = 300)
    void synthesis_is_lossless_preserving_and_in_third_normal_form(@ForAll("relations") Relation relation) {
        Decomposition third =
                Normalizer.analyse(relation).decomposition(NormalForm.THIRD).orElseThrow();

        assertThat(third.lossless()).contains(true);
        assertThat(third.preservesDependencies()).isTrue();
        assertThat(slowlyPreserved(relation, third)).isTrue();
        third.parts().forEach(part -> assertThat(form(relation, part.attributes()))
                .isGreaterThanOrEqualTo(NormalForm.THIRD));
        assertNoneContained(third);
        assertKeysAreKeys(relation, third);
    }

    @Property(tries = 300)
    void bcnf_parts_are_lossless_and_in_bcnf_and_preservation_is_told_truly(@ForAll("relations") Relation relation) {
        Decomposition parts = Normalizer.analyse(relation)
                .decomposition(NormalForm.BOYCE_CODD)
                .orElseThrow();

        assertThat(parts.lossless()).contains(true);
        assertThat(parts.preservesDependencies()).isEqualTo(slowlyPreserved(relation, parts));
        parts.parts()
                .forEach(part -> assertThat(form(relation, part.attributes())).isEqualTo(NormalForm.BOYCE_CODD));
        assertNoneContained(parts);
    }

    @Property(tries = 300)
    void a_table_that_obeys_comes_back_when_its_parts_are_joined(
            @ForAll("relations") Relation relation, @ForAll long seed) {
        Set<List<Integer>> rows = obeying(relation, new Random(seed));
        List<List<Integer>> all = tuples(relation.attributes().size());
        for (Decomposition each : Normalizer.analyse(relation).decompositions()) {
            Set<List<Integer>> joined = all.stream()
                    .filter(tuple -> each.parts().stream()
                            .allMatch(part -> rows.stream().anyMatch(row -> agree(row, tuple, part.attributes()))))
                    .collect(Collectors.toSet());
            assertThat(joined).isEqualTo(rows);
        }
    }

    /** Rows of small numbers, each taken up if it breaks no dependency with those before it. */
    private static Set<List<Integer>> obeying(Relation relation, Random random) {
        Set<List<Integer>> rows = new HashSet<>();
        for (int i = 0; i < 30; i++) {
            List<Integer> row = Stream.generate(() -> random.nextInt(3))
                    .limit(relation.attributes().size())
                    .toList();
            boolean obeys = relation.functional().stream().allMatch(d -> rows.stream()
                    .allMatch(other -> !agree(row, other, d.from()) || agree(row, other, d.to())));
            if (obeys) {
                rows.add(row);
            }
        }
        return rows;
    }

    private static boolean agree(List<Integer> one, List<Integer> other, AttributeSet on) {
        return on.stream().allMatch(a -> one.get(a).equals(other.get(a)));
    }

    private static List<List<Integer>> tuples(int width) {
        List<List<Integer>> tuples = List.of(List.of());
        for (int i = 0; i < width; i++) {
            tuples = tuples.stream()
                    .flatMap(tuple -> IntStream.range(0, 3)
                            .mapToObj(value -> Stream.concat(tuple.stream(), Stream.of(value))
                                    .toList()))
                    .toList();
        }
        return tuples;
    }

    @Property(tries = 200)
    void with_multivalued_dependencies_the_parts_stay_lossless(@ForAll("mixed") Relation relation) {
        for (Decomposition parts : Normalizer.analyse(relation).decompositions()) {
            assertThat(parts.lossless()).contains(true);
            assertNoneContained(parts);
        }
    }

    @Property(tries = 200)
    void what_mixed_dependencies_imply_holds_in_every_relation_built_to_satisfy_them(
            @ForAll("mixed") Relation relation) {
        var closure = new Closure(Implied.cover(relation, Effort.unlimited()));
        Subsets.of(relation.all()).forEach(left -> {
            Set<List<Integer>> rows = smallestModel(relation, left);
            AttributeSet equal = relation.all().stream()
                    .filter(a -> rows.stream().map(row -> row.get(a)).distinct().count() == 1)
                    .boxed()
                    .collect(Collectors.collectingAndThen(Collectors.toList(), AttributeSet::of));
            assertThat(closure.of(left))
                    .as("closure of %s in %s", left, relation)
                    .isEqualTo(equal);
        });
    }

    /** Two rows alike in {@code left} only, closed under the dependencies: an attribute follows if it became equal. */
    private static Set<List<Integer>> smallestModel(Relation relation, AttributeSet left) {
        int width = relation.attributes().size();
        Set<List<Integer>> rows = new HashSet<>();
        rows.add(IntStream.range(0, width).map(a -> 0).boxed().toList());
        rows.add(IntStream.range(0, width)
                .map(a -> left.contains(a) ? 0 : 1)
                .boxed()
                .toList());
        boolean changed = true;
        while (changed) {
            Set<List<Integer>> next = exchanged(relation, equated(relation, rows));
            changed = !next.equals(rows);
            rows = next;
        }
        return rows;
    }

    private static Set<List<Integer>> equated(Relation relation, Set<List<Integer>> rows) {
        for (FunctionalDependency each : relation.functional()) {
            for (List<Integer> one : rows) {
                for (List<Integer> other : rows) {
                    boolean alike =
                            each.from().stream().allMatch(a -> one.get(a).equals(other.get(a)));
                    int differing = each.to().stream()
                            .filter(a -> !one.get(a).equals(other.get(a)))
                            .findFirst()
                            .orElse(-1);
                    if (alike && differing >= 0) {
                        var equal = new HashSet<List<Integer>>();
                        rows.forEach(row -> {
                            var copy = new ArrayList<>(row);
                            copy.set(differing, 0);
                            equal.add(copy);
                        });
                        return equated(relation, equal);
                    }
                }
            }
        }
        return rows;
    }

    private static Set<List<Integer>> exchanged(Relation relation, Set<List<Integer>> rows) {
        var all = new HashSet<>(rows);
        for (MultivaluedDependency each : relation.multivalued()) {
            for (List<Integer> one : rows) {
                for (List<Integer> other : rows) {
                    if (each.from().stream().allMatch(a -> one.get(a).equals(other.get(a)))) {
                        var mixed = new ArrayList<>(one);
                        each.to().stream().forEach(a -> mixed.set(a, other.get(a)));
                        all.add(mixed);
                    }
                }
            }
        }
        return all;
    }

    /** The normal form of a part, from all dependencies that follow within it. */
    private static NormalForm form(Relation relation, AttributeSet part) {
        int[] places = part.stream().toArray();
        var projected = new ArrayList<FunctionalDependency>();
        Subsets.of(part).forEach(left -> {
            AttributeSet right = slowClosure(left, relation.functional()).intersection(part);
            projected.add(new FunctionalDependency(renumbered(left, places), renumbered(right, places)));
        });
        return Normalizer.analyse(new Relation("part", names(places.length), projected, List.of()))
                .normalForm();
    }

    private static AttributeSet renumbered(AttributeSet set, int[] places) {
        return AttributeSet.of(IntStream.range(0, places.length)
                .filter(i -> set.contains(places[i]))
                .toArray());
    }

    private static boolean slowlyPreserved(Relation relation, Decomposition decomposition) {
        var held = new ArrayList<FunctionalDependency>();
        decomposition.parts().forEach(part -> Subsets.of(part.attributes())
                .forEach(left -> held.add(new FunctionalDependency(
                        left, slowClosure(left, relation.functional()).intersection(part.attributes())))));
        return relation.functional().stream()
                .allMatch(each -> slowClosure(each.from(), held).containsAll(each.to()));
    }

    private static void assertNoneContained(Decomposition decomposition) {
        for (Decomposition.Part one : decomposition.parts()) {
            assertThat(decomposition.parts().stream()
                            .filter(other -> other.attributes().containsAll(one.attributes())))
                    .hasSize(1);
        }
    }

    private static void assertKeysAreKeys(Relation relation, Decomposition decomposition) {
        for (Decomposition.Part part : decomposition.parts()) {
            assertThat(slowClosure(part.key(), relation.functional()).containsAll(part.attributes()))
                    .isTrue();
        }
    }
}
