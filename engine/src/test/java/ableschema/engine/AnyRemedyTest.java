package ableschema.engine;

import static org.assertj.core.api.Assertions.assertThat;

import ableschema.core.design.IdSource;
import ableschema.core.document.Document;
import ableschema.core.finding.Finding;
import ableschema.core.finding.Remedy;
import ableschema.core.finding.Severity;
import ableschema.core.mapping.Mapping;
import ableschema.core.review.Review;
import ableschema.core.review.Subject;
import ableschema.core.rows.DesignScript;
import ableschema.core.sql.Script;
import ableschema.core.store.DocumentFile;
import java.sql.Connection;
import java.util.HashSet;
import java.util.List;
import java.util.Random;
import java.util.Set;
import java.util.stream.Collectors;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Remedies are followed one after the other in any design: each mends what it is for, and breaks nothing else. */
class AnyRemedyTest {

    private static final int DESIGNS = 8;
    private static final int REMEDIES = 8;

    /** What becomes to be seen, and was there before: columns that have got one type now are several for one fact. */
    private static final Set<String> COMES_TO_LIGHT = Set.of("repeated-columns");

    @ParameterizedTest
    @ValueSource(longs = {1, 101, 201})
    void each_mends_its_finding_and_breaks_nothing(long first) throws Exception {
        for (long seed = first; seed < first + DESIGNS; seed++) {
            Document document = RandomDesign.of(seed);
            var random = new Random(seed);
            IdSource ids = IdSource.seeded(1_000_000 + seed);
            Review review = reviewed(Review.NONE, document, document.mapping());
            String what = "design " + seed;
            for (int i = 0; i < REMEDIES; i++) {
                List<Finding> mendable = review.open().stream()
                        .filter(each -> !each.remedies().isEmpty())
                        .toList();
                if (mendable.isEmpty()) {
                    break;
                }
                Finding finding = mendable.get(random.nextInt(mendable.size()));
                Remedy remedy =
                        finding.remedies().get(random.nextInt(finding.remedies().size()));
                what += ", " + finding.text() + " " + remedy.title();
                Set<String> before = broken(review);
                document = remedy.edit(document.design(), ids).applyTo(document);
                Mapping mapping = document.mapping();
                review = reviewed(review, document, mapping);

                assertThat(review.open()).as(what).doesNotContain(finding);
                assertThat(before).as(what).containsAll(broken(review));
                assertThat(DocumentFile.print(DocumentFile.parse(DocumentFile.print(document))))
                        .as(what)
                        .isEqualTo(DocumentFile.print(document));
                assertThatItRuns(mapping, RealEngine.SQLITE, what);
                assertThatItRuns(mapping, RealEngine.H2, what);
            }
        }
    }

    /** What is looked at again alone says the same as all looked at anew. */
    private static Review reviewed(Review before, Document document, Mapping mapping) {
        Subject subject = Subject.of(document, mapping);
        Review review = before.after(subject);
        assertThat(new HashSet<>(review.open()))
                .isEqualTo(new HashSet<>(Review.of(subject).open()));
        return review;
    }

    private static Set<String> broken(Review review) {
        return review.open().stream()
                .filter(each -> each.severity() == Severity.MUST_MEND)
                .map(each -> each.rule().id())
                .filter(rule -> !COMES_TO_LIGHT.contains(rule))
                .collect(Collectors.toSet());
    }

    private static void assertThatItRuns(Mapping mapping, RealEngine engine, String what) throws Exception {
        Script script = DesignScript.withRows(mapping, engine.dialect());
        try (Connection connection = engine.open()) {
            assertThat(ScriptRun.of(script, connection).refusal()).as(what).isEmpty();
        }
    }
}
