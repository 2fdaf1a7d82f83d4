package ableschema.engine;

import static org.assertj.core.api.Assertions.assertThat;

import ableschema.core.design.Attribute;
import ableschema.core.design.Design;
import ableschema.core.design.Entity;
import ableschema.core.design.IdSource;
import ableschema.core.design.Index;
import ableschema.core.design.Relationship;
import ableschema.core.document.Document;
import ableschema.core.document.Edit;
import ableschema.core.edit.Alternatives;
import ableschema.core.finding.Finding;
import ableschema.core.holding.Declared;
import ableschema.core.holding.Holding;
import ableschema.core.holding.Holdings;
import ableschema.core.holding.ListedValues;
import ableschema.core.holding.LookedUp;
import ableschema.core.rows.DesignScript;
import ableschema.core.rows.FilledRows;
import ableschema.core.rows.RowJudge;
import ableschema.core.store.DocumentFile;
import java.sql.Connection;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.TreeMap;
import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** Whatever is turned into something else, in any design: no row is worse, and engines take the tables and the rows. */
class ConversionsTest {

    private static final IdSource IDS = IdSource.seeded(6);
    private static final int DESIGNS = 36;
    private static final int DESIGNS_ON_A_SERVER = 8;

    /** All that keeps the rows as good as they were: what is referred to becomes a list, a list a table, and so on. */
    private static List<Edit> conversions(Document document) {
        Design design = document.design();
        var edits = new ArrayList<Edit>();
        for (Entity entity : design.entities()) {
            for (Attribute attribute : entity.body().attributes()) {
                ListedValues.of(design, attribute)
                        .ifPresent(listed -> listed.others().forEach(form -> edits.add(listed.as(form, IDS))));
                for (Entity to : design.entities()) {
                    Declared.of(design, attribute, to)
                            .filter(declared -> declared.orphans().isEmpty()
                                    && !attribute.defaultValue().isPresent())
                            .ifPresent(declared -> edits.add(declared.edit(IDS)));
                }
            }
        }
        var alternatives = new Alternatives(document, IDS);
        for (Relationship each : design.relationships()) {
            LookedUp.of(design, each).ifPresent(looked -> edits.add(looked.asList(IDS)));
            if (each.isManyToMany()) {
                var ways = alternatives.ofPairing(each);
                edits.add(ways.get(ways.size() - 1).edit());
            }
        }
        return edits;
    }

    @ParameterizedTest
    @EnumSource
    void what_is_converted_is_no_worse_and_is_taken(RealEngine engine) throws Exception {
        int tried = 0;
        var kinds = new TreeMap<String, Integer>();
        for (long seed = 1; seed <= (engine.isServer() ? DESIGNS_ON_A_SERVER : DESIGNS); seed++) {
            Document before = RandomDesign.of(seed);
            List<Finding> faults = RowJudge.judge(FilledRows.of(before.design()));
            List<Edit> edits = conversions(before);
            if (edits.isEmpty() || !faults.isEmpty() || !isTaken(before, engine)) {
                continue;
            }
            Edit edit = edits.get(new Random(seed).nextInt(edits.size()));
            Document after = edit.applyTo(before);
            String what = "design " + seed + ": " + edit.name();
            kinds.merge(edit.name().replaceAll(" .*", ""), 1, Integer::sum);
            assertThat(RowJudge.judge(FilledRows.of(after.design())))
                    .as(what)
                    .extracting(Finding::text)
                    .isEmpty();
            assertThat(DocumentFile.parse(DocumentFile.print(after)).design().sameMeaning(after.design()))
                    .as(what)
                    .isEmpty();
            try (Connection connection = engine.open()) {
                ScriptRun run =
                        ScriptRun.of(DesignScript.withRowsAsEntered(after.mapping(), engine.dialect()), connection);
                assertThat(run.refusal().map(ScriptRun.Refusal::reason))
                        .as(what)
                        .isEmpty();
            }
            tried++;
        }
        assertThat(tried).as(kinds.toString()).isGreaterThan(engine.isServer() ? 3 : 25);
    }

    private static boolean isTaken(Document document, RealEngine engine) throws Exception {
        try (Connection connection = engine.open()) {
            return ScriptRun.of(DesignScript.withRowsAsEntered(document.mapping(), engine.dialect()), connection)
                    .refusal()
                    .isEmpty();
        }
    }

    @ParameterizedTest
    @EnumSource(names = "H2")
    void whatever_an_attribute_is_said_to_hold_the_definitions_are_taken(RealEngine engine) throws Exception {
        for (long seed = 1; seed <= DESIGNS; seed++) {
            Document before = RandomDesign.of(seed);
            var random = new Random(seed);
            List<Attribute> attributes = before.design().entities().stream()
                    .flatMap(each -> each.body().attributes().stream())
                    .toList();
            if (attributes.isEmpty() || !isTaken(before, engine)) {
                continue;
            }
            Attribute attribute = attributes.get(random.nextInt(attributes.size()));
            Holding holding = Holding.values()[random.nextInt(Holding.values().length)];
            Document after;
            try {
                after = Holdings.say(before.design(), IDS, attribute, holding).applyTo(before);
            } catch (IllegalArgumentException e) {
                assertThat(e).hasMessageMatching("(?s).{20,}");
                continue;
            }
            Attribute now = after.design().attribute(attribute.id()).orElse(attribute);
            boolean bare = now.defaultValue().isPresent() || now.filling().isComputed() || isUsed(after, now);
            if (!bare) {
                assertThat(isTaken(after, engine))
                        .as("design " + seed + ": " + attribute.name() + " as " + holding)
                        .isTrue();
            }
        }
    }

    /** A rule, a key or an index over it may not go with its new type, which is said by findings of their own. */
    private static boolean isUsed(Document document, Attribute attribute) {
        return document.design().entities().stream().map(Entity::body).anyMatch(body -> Stream.of(
                        body.checks().stream()
                                .flatMap(check -> check.expression().columns()),
                        body.attributes().stream()
                                .filter(each -> each.filling().isComputed())
                                .flatMap(each -> each.filling().expression().columns()),
                        body.key().stream(),
                        body.uniques().stream().flatMap(unique -> unique.parts().stream()),
                        body.indexes().stream().flatMap(Index::columns))
                .flatMap(each -> each)
                .anyMatch(attribute.ref()::equals));
    }
}
