package ableschema.engine;

import static org.assertj.core.api.Assertions.assertThat;

import ableschema.core.design.Attribute;
import ableschema.core.design.Design;
import ableschema.core.design.Entity;
import ableschema.core.design.IdSource;
import ableschema.core.design.Relationship;
import ableschema.core.document.Document;
import ableschema.core.document.Edit;
import ableschema.core.edit.Alternatives;
import ableschema.core.finding.Severity;
import ableschema.core.holding.ListedValues;
import ableschema.core.keys.KeyCandidate;
import ableschema.core.keys.KeyCandidates;
import ableschema.core.mapping.Mapping;
import ableschema.core.review.Review;
import ableschema.core.review.Subject;
import ableschema.core.rows.DesignScript;
import ableschema.core.sql.Script;
import ableschema.core.sql.dialect.Dialect;
import ableschema.core.sql.dialect.Dialects;
import ableschema.core.store.DocumentFile;
import ableschema.core.structure.Field;
import ableschema.core.structure.Structure;
import ableschema.core.structure.StructureEdits;
import java.sql.Connection;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Keys, rules, lists and columns are chosen otherwise again and again in any design: all of it stays whole and can be run. */
class AnyChoiceTest {

    private static final int DESIGNS = 6;
    private static final int CHOICES = 8;

    private static final List<String> TYPED = List.of(
            "yes",
            "whole 100",
            "text 5",
            "text",
            "date",
            "moment",
            "uuid",
            "json",
            "decimal 5,2",
            "list (a, b)",
            "counted",
            "7",
            "-1",
            "'x'",
            "now",
            "at least 0",
            "one of a, b",
            "unique",
            "key",
            "a name",
            "x; DROP TABLE");

    private Document document = Document.EMPTY;
    private IdSource ids = IdSource.seeded(1);
    private Random random = new Random(1);

    private <T> Optional<T> any(List<T> of) {
        return of.isEmpty() ? Optional.empty() : Optional.of(of.get(random.nextInt(of.size())));
    }

    @ParameterizedTest
    @ValueSource(longs = {1, 1001, 2001})
    void whatever_is_chosen_is_kept_reviewed_and_accepted(long first) throws Exception {
        for (long seed = first; seed < first + DESIGNS; seed++) {
            document = RandomDesign.of(seed);
            random = new Random(seed);
            ids = IdSource.seeded(1_000_000 + seed);
            Review review = Review.NONE;
            var what = new ArrayList<String>(List.of("design " + seed));
            for (int i = 0; i < CHOICES; i++) {
                Optional<Edit> edit = choice();
                if (edit.isEmpty()) {
                    continue;
                }
                what.add(edit.get().name());
                document = edit.get().applyTo(document);
                assertThat(DocumentFile.print(DocumentFile.parse(DocumentFile.print(document))))
                        .as(what.toString())
                        .isEqualTo(DocumentFile.print(document));
                Mapping mapping = document.mapping();
                for (Dialect dialect : Dialects.ALL) {
                    assertThat(DesignScript.withRows(mapping, dialect).statements())
                            .isNotEmpty();
                }
                Subject subject = Subject.of(document, mapping);
                review = review.after(subject);
                assertThat(new HashSet<>(review.open()))
                        .as(what.toString())
                        .isEqualTo(new HashSet<>(Review.of(subject).open()));
                boolean whole = review.open().stream().noneMatch(each -> each.severity() == Severity.MUST_MEND);
                if (whole) {
                    assertThatItRuns(mapping, RealEngine.SQLITE, what.toString());
                    assertThatItRuns(mapping, RealEngine.H2, what.toString());
                }
            }
        }
    }

    private Optional<Edit> choice() {
        Design design = document.design();
        Optional<Entity> entity = any(design.entities());
        Optional<Relationship> relationship = any(design.relationships());
        Optional<Attribute> attribute =
                any(design.bodies().flatMap(body -> body.attributes().stream()).toList());
        return switch (random.nextInt(5)) {
            case 0 -> relationship.flatMap(each -> any(alternatives(each))).map(Alternatives.Alternative::edit);
            case 1 ->
                entity.flatMap(each -> any(new Alternatives(document, ids).ofKinds(each.id())))
                        .map(Alternatives.Alternative::edit);
            case 2 ->
                attribute.flatMap(each -> ListedValues.of(design, each)).flatMap(list -> any(list.others())
                        .filter(form -> list.whyNot(form).isEmpty())
                        .map(form -> list.as(form, ids)));
            case 3 ->
                entity.flatMap(each -> any(KeyCandidates.of(design, each, document.dialect(), List.of(), ids)))
                        .map(KeyCandidate::choice);
            default -> entity.flatMap(this::typed);
        };
    }

    private List<Alternatives.Alternative> alternatives(Relationship relationship) {
        var alternatives = new Alternatives(document, ids);
        boolean pairing = relationship.isManyToMany();
        boolean one = relationship.isOneToOne() && !relationship.isRecursive() && !relationship.isSubtype();
        return Stream.of(
                        alternatives.of(relationship),
                        pairing ? alternatives.ofPairing(relationship) : List.<Alternatives.Alternative>of(),
                        one ? alternatives.ofOneToOne(relationship) : List.<Alternatives.Alternative>of())
                .flatMap(List::stream)
                .toList();
    }

    /** Something typed into a field of the list of columns; most of it is refused. */
    private Optional<Edit> typed(Entity entity) {
        return Structure.of(document, document.mapping(), entity.id())
                .flatMap(structure -> any(structure.columns()))
                .flatMap(line -> {
                    Field field = any(List.of(Field.values())).orElseThrow();
                    String text = random.nextBoolean() ? any(TYPED).orElseThrow() : line.field(field);
                    try {
                        return Optional.of(new StructureEdits(document, entity.id(), ids)
                                .set(List.of(line.column()), field, text));
                    } catch (IllegalArgumentException e) {
                        assertThat(e.getMessage()).isNotBlank();
                        return Optional.empty();
                    }
                });
    }

    private static void assertThatItRuns(Mapping mapping, RealEngine engine, String what) throws Exception {
        Script script = DesignScript.withRows(mapping, engine.dialect());
        try (Connection connection = engine.open()) {
            assertThat(ScriptRun.of(script, connection).refusal()).as(what).isEmpty();
        }
    }
}
