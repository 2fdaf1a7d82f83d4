package ableschema.core.theory;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.catchThrowable;

import java.time.Duration;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class NormalizerTest {

    /** A relation of one-letter attributes, with dependencies such as {@code AB->C, C->>D}. */
    static Relation relation(String heading, String dependencies) {
        String lines = Arrays.stream(dependencies.split(","))
                .map(String::strip)
                .filter(d -> !d.isEmpty())
                .map(d -> {
                    String[] sides = d.split("->>?", 2);
                    return spread(sides[0]) + (d.contains("->>") ? " ->> " : " -> ") + spread(sides[1]);
                })
                .collect(Collectors.joining("\n"));
        try {
            return RelationText.read("R(" + spread(heading) + ")\n" + lines);
        } catch (RelationText.SyntaxProblem e) {
            throw new IllegalArgumentException(e);
        }
    }

    private static String spread(String letters) {
        return String.join(", ", letters.strip().split(""));
    }

    private static String named(Relation relation, AttributeSet set) {
        return String.join("", relation.names(set));
    }

    private static String keys(Analysis analysis) {
        return analysis.keys().found().stream()
                .map(key -> named(analysis.relation(), key))
                .collect(Collectors.joining(" "));
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            textBlock =
                    """
            ABC   | A->B, B->C             | A          | 2NF
            ABC   | A->B, A->C             | A          | BCNF
            ABC   | AB->C, C->B            | AB AC      | 3NF
            ABCD  | A->B, B->A, AB->CD     | A B        | BCNF
            ABCD  | AB->C, A->D            | AB         | 1NF
            ABCDE | A->BC, CD->E, B->D, E->A | A E BC CD | 3NF
            ABCD  | AB->C, C->D, D->A      | AB BC BD   | 3NF
            ABC   | A->>B                  | ABC        | BCNF
            ABC   | A->B, A->>C            | AC         | 1NF
            ABCD  | A->B, A->C, A->D       | A          | BCNF
            AB    |                        | AB         | BCNF
            """)
    void keys_and_normal_forms_are_those_of_the_textbooks(String heading, String given, String keys, String form) {
        Analysis analysis = Normalizer.analyse(relation(heading, given == null ? "" : given));

        assertThat(keys(analysis)).isEqualTo(keys);
        assertThat(analysis.normalForm().sign()).isEqualTo(form);
    }

    @Test
    void a_multivalued_and_a_functional_dependency_together_imply_more_than_each_alone() {
        // coalescence: A ->> BC and D -> B, with D outside BC, give A -> B
        Analysis analysis = Normalizer.analyse(relation("ABCD", "A->>BC, D->B"));

        var implied = new Closure(Implied.cover(analysis.relation(), Effort.unlimited()));
        assertThat(implied.of(AttributeSet.of(0))).isEqualTo(AttributeSet.of(0, 1));
    }

    @Test
    void four_nf_is_named_only_where_a_multivalued_dependency_is_stated_and_holds() {
        assertThat(Normalizer.analyse(relation("ABC", "A->BC, A->>B")).normalForm())
                .isEqualTo(NormalForm.FOURTH);
        assertThat(Normalizer.analyse(relation("ABC", "A->BC")).normalForm()).isEqualTo(NormalForm.BOYCE_CODD);
    }

    @Test
    void a_minimal_cover_has_nothing_to_spare() {
        Analysis analysis = Normalizer.analyse(relation("ABC", "A->BC, B->C, A->B, AB->C"));

        assertThat(analysis.minimalCover())
                .containsExactlyInAnyOrder(
                        new FunctionalDependency(AttributeSet.of(0), AttributeSet.of(1)),
                        new FunctionalDependency(AttributeSet.of(1), AttributeSet.of(2)));
    }

    @Test
    void bcnf_says_when_it_cannot_keep_a_dependency() {
        Analysis analysis = Normalizer.analyse(relation("SJT", "SJ->T, T->J"));

        Decomposition third = analysis.decomposition(NormalForm.THIRD).orElseThrow();
        Decomposition boyceCodd = analysis.decomposition(NormalForm.BOYCE_CODD).orElseThrow();
        assertThat(third.parts()).hasSize(1);
        assertThat(third.preservesDependencies()).isTrue();
        assertThat(boyceCodd.parts()).hasSize(2);
        assertThat(boyceCodd.lossless()).contains(true);
        assertThat(boyceCodd.preservesDependencies()).isFalse();
    }

    @Test
    void a_relation_is_not_taken_apart_into_a_form_that_it_is_in() {
        Analysis analysis = Normalizer.analyse(relation("ABC", "A->B, B->A"));

        assertThat(analysis.normalForm()).isEqualTo(NormalForm.THIRD);
        assertThat(parts(analysis, NormalForm.THIRD)).containsExactly("ABC");
        assertThat(parts(analysis, NormalForm.BOYCE_CODD)).containsExactlyInAnyOrder("AB", "AC");
    }

    @Test
    void what_hangs_on_sets_that_determine_each_other_stands_in_one_part() {
        Analysis analysis = Normalizer.analyse(relation("ABCDE", "A->B, B->A, A->C, B->D"));

        assertThat(parts(analysis, NormalForm.THIRD)).containsExactlyInAnyOrder("ABCD", "AE");
    }

    private static List<String> parts(Analysis analysis, NormalForm goal) {
        return analysis.decomposition(goal).orElseThrow().parts().stream()
                .map(part -> named(analysis.relation(), part.attributes()))
                .toList();
    }

    @Test
    void the_cover_of_mixed_dependencies_holds_what_follows_from_both() {
        assertThat(Normalizer.analyse(relation("ABCD", "A->>BC, D->B")).minimalCover())
                .contains(new FunctionalDependency(AttributeSet.of(0), AttributeSet.of(1)));
    }

    @Test
    void what_was_cut_off_or_not_proved_is_said() throws Exception {
        Relation pairs = relation(
                "ABCDEFGHIJKLMNOPQRST",
                "A->B,B->A,C->D,D->C,E->F,F->E,G->H,H->G,I->J,J->I,K->L,L->K,"
                        + "M->N,N->M,O->P,P->O,Q->R,R->Q,S->T,T->S");
        Analysis cut = Normalizer.analyse(pairs); // 1,024 keys, of which nobody reads all

        assertThat(cut.complete()).isFalse();
        assertThat(cut.open()).anyMatch(said -> said.startsWith("there may be more keys than the 1000"));
        assertThat(Normalizer.analyse(relation("ABC", "A->B")).complete()).isTrue();

        Relation free = relation("ABCDEFGHIJKLMNO", "");
        List<MultivaluedDependency> each = IntStream.range(0, 14)
                .mapToObj(a -> new MultivaluedDependency(AttributeSet.EMPTY, AttributeSet.of(a)))
                .toList();
        List<AttributeSet> halves =
                List.of(AttributeSet.of(0, 1, 2, 3, 4, 5, 6), AttributeSet.of(7, 8, 9, 10, 11, 12, 13, 14));
        var independent = new Relation("R", free.attributes(), List.of(), each);
        assertThat(Chase.isLossless(independent, List.of(), halves, Effort.unlimited()))
                .isNotEqualTo(Optional.of(false));
    }

    @Test
    void a_time_limit_ends_the_work_and_is_named() {
        Relation wide =
                relation("ABCDEFGHIJKLMNOPQRSTUVWXYZ", "A->B,B->C,C->D,DE->F,GH->I,I->J,JK->L,LM->N,NO->P,P->Q");
        Analysis stopped = Normalizer.analyse(wide, Effort.of(Duration.ZERO, said -> {}));

        assertThat(stopped.complete()).isFalse();
        assertThat(stopped.open()).contains("the time was over before all was looked at");
        assertThat(stopped.decomposition(NormalForm.THIRD).orElseThrow().lossless())
                .isNotEqualTo(Optional.of(false));
    }

    @Test
    void what_multivalued_dependencies_of_a_wide_heading_imply_is_sought_from_the_stated_sides_and_this_is_said() {
        // sixteen named attributes, more than are tried in all subsets; A ->> BC and D -> B give A -> B as before
        Analysis wide = Normalizer.analyse(relation("ABCDEFGHIJKLMNOP", "A->>BC, D->B, E->FGHIJKLMNOP"));

        assertThat(wide.minimalCover()).contains(new FunctionalDependency(AttributeSet.of(0), AttributeSet.of(1)));
        assertThat(wide.complete()).isFalse();
        assertThat(wide.open())
                .containsOnlyOnce(
                        "what follows from multivalued dependencies was looked for from the stated left sides only")
                .noneMatch(said -> said.startsWith("not every part"));
    }

    @Test
    void what_is_known_of_joining_is_said_in_words() {
        Decomposition proved = Normalizer.analyse(relation("ABC", "A->B"))
                .decomposition(NormalForm.THIRD)
                .orElseThrow();
        var lossy = new Decomposition(NormalForm.THIRD, proved.parts(), true, Optional.of(false), true);
        var open = new Decomposition(NormalForm.THIRD, proved.parts(), true, Optional.empty(), true);

        assertThat(List.of(proved, lossy, open).stream()
                        .map(each -> each.isProvedLossless() + ": " + each.losslessInWords()))
                .containsExactly(
                        "true: nothing lost when joined",
                        "false: rows are lost or made up when joined",
                        "false: not proved whether something is lost when joined");
    }

    @Test
    void how_far_the_work_is_can_be_heard() {
        var heard = new ArrayList<String>();
        Normalizer.analyse(relation("ABC", "A->B"), Effort.of(Duration.ofMinutes(1), heard::add));

        assertThat(heard).contains("taking apart into 3NF", "taking apart into BCNF", "taking apart into 4NF");
        assertThat(heard.get(0)).contains("keys");
    }

    @Test
    void four_nf_separates_independent_facts() {
        Analysis analysis = Normalizer.analyse(relation("CTB", "C->>T"));

        Decomposition fourth = analysis.decomposition(NormalForm.FOURTH).orElseThrow();
        assertThat(fourth.parts().stream()
                        .map(part -> named(analysis.relation(), part.attributes()))
                        .toList())
                .containsExactlyInAnyOrder("CT", "CB");
        assertThat(fourth.lossless()).contains(true);
    }

    @Test
    void losing_the_link_between_parts_is_noticed() {
        Relation relation = relation("ABC", "A->B");

        List<AttributeSet> apart = List.of(AttributeSet.of(0, 1), AttributeSet.of(1, 2));
        assertThat(Chase.isLossless(relation, relation.functional(), apart, Effort.unlimited()))
                .contains(false);
        List<AttributeSet> joined = List.of(AttributeSet.of(0, 1), AttributeSet.of(0, 2));
        assertThat(Chase.isLossless(relation, relation.functional(), joined, Effort.unlimited()))
                .contains(true);
    }

    @Test
    void a_wide_heading_is_worked_out_too() {
        String heading = "ABCDEFGHIJKLMNOPQRSTUVWXYZ";
        Analysis analysis = Normalizer.analyse(relation(heading, "A->BCDEFGHIJKLM, M->NOPQ, Q->RSTUVWXYZ"));

        assertThat(keys(analysis)).isEqualTo("A");
        assertThat(analysis.decomposition(NormalForm.BOYCE_CODD).orElseThrow().parts())
                .hasSize(3);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            textBlock =
                    """
            R(A, B);A => B      | line 2
            R(A, B);A -> D      | line 2: 'D' is not in the heading
            R(A, A)             | attribute A stands twice
            # nothing           | expected a heading
            R(A, B);A ->        | '' is not in the heading
            """)
    void faulty_text_is_refused_with_its_line(String text, String problem) {
        assertThat(catchThrowable(() -> RelationText.read(text.replace(";", "\n"))))
                .isInstanceOf(RelationText.SyntaxProblem.class)
                .hasMessageContaining(problem);
    }
}
