package ableschema.desktop.workspace;

import static org.assertj.core.api.Assertions.assertThat;

import ableschema.core.design.Attribute;
import ableschema.core.design.Body;
import ableschema.core.design.Cardinality;
import ableschema.core.design.Design;
import ableschema.core.design.End;
import ableschema.core.design.Entity;
import ableschema.core.design.IdKind;
import ableschema.core.design.IdSource;
import ableschema.core.design.Relationship;
import ableschema.core.design.Row;
import ableschema.core.document.Document;
import ableschema.core.document.Position;
import ableschema.core.edit.AddEntity;
import ableschema.core.edit.ChangeBody;
import ableschema.core.edit.ChangeRules;
import ableschema.core.edit.MoveCards;
import ableschema.core.finding.Step;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicInteger;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.testfx.api.FxToolkit;
import org.testfx.util.WaitForAsyncUtils;

class WorkspaceTest {

    private final IdSource ids = IdSource.seeded(1);
    private final Workspace workspace = new Workspace(Document.EMPTY, ids);

    @BeforeAll
    static void startToolkit() throws Exception {
        FxToolkit.registerPrimaryStage();
    }

    private Entity add(String name) {
        Entity entity = Entity.named(ids.next(IdKind.ENTITY), name);
        workspace.apply(new AddEntity(entity, Optional.empty()));
        return entity;
    }

    private Relationship relate(Entity one, Entity many) {
        var relationship = Relationship.between(
                ids.next(IdKind.RELATIONSHIP),
                new End(one.id(), "has", Cardinality.EXACTLY_ONE, ""),
                new End(many.id(), "belongs to", Cardinality.ANY_NUMBER, ""));
        workspace.apply(workspace.edits().addRelationship(relationship));
        return relationship;
    }

    @Test
    void a_new_entity_gets_a_place_in_the_same_step() {
        Entity hive = add("Hive");
        assertThat(workspace.document().position(hive.id())).isPresent();
        workspace.undo();
        assertThat(workspace.design().entities()).isEmpty();
        assertThat(workspace.undoable()).isEmpty();
        assertThat(workspace.redoable()).contains("add Hive");
    }

    @Test
    void what_is_chosen_is_forgotten_when_it_is_gone() {
        Entity hive = add("Hive");
        Attribute colour = Attribute.named(ids.next(IdKind.ATTRIBUTE), "colour");
        workspace.apply(workspace.edits().addAttribute(hive.id(), colour));
        workspace.selection().choose(colour.id());
        assertThat(workspace.selection().chosenEntity()).map(Entity::name).contains("Hive");
        workspace.apply(workspace.edits().remove(List.of(colour.id())));
        assertThat(workspace.selection().chosenProperty().get()).isEmpty();
        workspace.selection().choose(colour.id());
        assertThat(workspace.selection().chosenProperty().get()).isEmpty();
    }

    @Test
    void the_schema_before_the_last_edit_is_kept_to_show_what_changed() {
        Entity hive = add("Hive");
        workspace.apply(
                workspace.edits().addAttribute(hive.id(), Attribute.named(ids.next(IdKind.ATTRIBUTE), "colour")));

        assertThat(workspace.schema().tables().get(0).columns()).hasSize(1);
        assertThat(workspace.mappingBefore().schema().tables().get(0).columns()).isEmpty();
        var schema = workspace.schema();
        workspace.apply(new MoveCards(Map.of(hive.id(), new Position(4, 8)), "move Hive"));
        assertThat(workspace.schema())
                .as("a moved card leaves the tables alone")
                .isSameAs(schema);
    }

    @Test
    void saved_and_changed_are_told_apart() {
        assertThat(workspace.isSaved()).isTrue();
        add("Hive");
        assertThat(workspace.isSaved()).isFalse();
        workspace.saved(Path.of("mine.able.json"));
        assertThat(workspace.isSaved()).isTrue();
        add("Queen");
        workspace.undo();
        assertThat(workspace.isSaved()).as("undone to what was saved").isTrue();
        assertThat(workspace.file()).contains(Path.of("mine.able.json"));
    }

    @Test
    void opening_another_document_starts_a_history_of_its_own() {
        relate(add("Apiary"), add("Hive"));
        workspace.selection().choose(workspace.design().entities().get(0).id());
        workspace.open(Document.EMPTY.withTitle("Another"), Optional.empty());

        assertThat(workspace.undoable()).isEmpty();
        assertThat(workspace.selection().chosenProperty().get()).isEmpty();
        assertThat(workspace.isSaved()).isTrue();
        assertThat(workspace.document().title()).isEqualTo("Another");
    }

    @Test
    void a_large_design_without_places_is_opened_when_it_is_placed_and_reviewed() throws Exception {
        var entities = new ArrayList<Entity>();
        var relationships = new ArrayList<Relationship>();
        for (int i = 0; i < 80; i++) {
            entities.add(Entity.named(ids.next(IdKind.ENTITY), "Hive " + i));
            if (i > 0) {
                relationships.add(Relationship.between(
                        ids.next(IdKind.RELATIONSHIP),
                        new End(entities.get(i / 2).id(), "has", Cardinality.EXACTLY_ONE, ""),
                        new End(entities.get(i).id(), "is of", Cardinality.ANY_NUMBER, "")));
            }
        }
        Document large = Document.EMPTY.with(Design.of(entities, relationships));
        openAndWait(large);

        assertThat(workspace.undoable()).as("opening is no step").isEmpty();
        assertThat(workspace.isSaved()).isTrue();
        var places = workspace.document().diagram().positions();
        assertThat(places).hasSize(80);
        assertThat(workspace.document().diagram().districts())
                .hasSizeBetween(5, 12)
                .allSatisfy(district -> relationships.stream()
                        .filter(r -> district.cards().contains(r.first().entity())
                                && district.cards().contains(r.second().entity()))
                        .forEach(r -> assertThat(places.get(r.first().entity()).x())
                                .isLessThan(places.get(r.second().entity()).x())));
        assertThat(workspace.review().of(Step.KEYS)).hasSize(80);
        WaitForAsyncUtils.asyncFx(() -> {
                    workspace.apply(workspace.edits().rename(entities.get(0), "Skep"));
                    assertThat(workspace.isReviewed())
                            .as("shown before it is reviewed")
                            .isFalse();
                })
                .get();
        WaitForAsyncUtils.waitFor(30, TimeUnit.SECONDS, workspace.jobs()::isIdle);
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(workspace.isReviewed()).isTrue();
        assertThat(workspace.review().of(Step.KEYS).get(0).text()).isEqualTo("Skep has no key.");
    }

    @Test
    void a_design_is_shown_at_the_start_before_it_is_reviewed_and_an_edit_meanwhile_is_reviewed_as_well()
            throws Exception {
        Entity hive = Entity.named(ids.next(IdKind.ENTITY), "Hive");
        Opened seen = Opened.toBeSeen(Document.EMPTY.with(Design.of(List.of(hive), List.of())));
        WaitForAsyncUtils.asyncFx(() -> {
                    workspace.open(CompletableFuture.completedFuture(seen), Optional.empty(), () -> {});
                    assertThat(workspace.isReviewed()).isFalse();
                    workspace.apply(workspace.edits().rename(hive, "Skep"));
                })
                .get();
        WaitForAsyncUtils.waitFor(30, TimeUnit.SECONDS, workspace.jobs()::isIdle);
        WaitForAsyncUtils.waitForFxEvents();

        assertThat(workspace.isReviewed()).isTrue();
        assertThat(workspace.review().of(Step.KEYS).get(0).text()).isEqualTo("Skep has no key.");
    }

    private void openAndWait(Document document) throws Exception {
        WaitForAsyncUtils.asyncFx(() -> workspace.open(document, Optional.empty()))
                .get();
        WaitForAsyncUtils.waitFor(
                30, TimeUnit.SECONDS, () -> workspace.jobs().running().isEmpty());
        WaitForAsyncUtils.waitForFxEvents();
    }

    @Test
    void a_design_that_is_changed_while_another_is_being_opened_stays() throws Exception {
        var entities = new ArrayList<Entity>();
        for (int i = 0; i < 300; i++) {
            entities.add(Entity.named(ids.next(IdKind.ENTITY), "Hive " + i));
        }
        Document large = Document.EMPTY.with(Design.of(entities, List.of()));
        WaitForAsyncUtils.asyncFx(() -> {
                    workspace.open(large, Optional.empty());
                    add("Queen");
                })
                .get();
        WaitForAsyncUtils.waitFor(
                30, TimeUnit.SECONDS, () -> workspace.jobs().running().isEmpty());
        WaitForAsyncUtils.waitForFxEvents();

        assertThat(workspace.design().entities()).extracting(Entity::name).containsExactly("Queen");
        assertThat(workspace.notices().noticeProperty().get().toString()).contains("it stays open");
    }

    @Test
    void another_dialect_has_a_large_design_reviewed_as_a_job() throws Exception {
        var entities = new ArrayList<Entity>();
        for (int i = 0; i < 80; i++) {
            entities.add(Entity.named(ids.next(IdKind.ENTITY), "Hive " + i));
        }
        openAndWait(Document.EMPTY.with(Design.of(entities, List.of())));
        var changes = new AtomicInteger();
        WaitForAsyncUtils.asyncFx(() -> {
                    workspace.onMeaning(changes::incrementAndGet);
                    workspace.onReviewed(changes::incrementAndGet);
                    workspace.apply(
                            new ChangeRules(workspace.document().rules().withDialect("mysql"), "write for MySQL"));
                    assertThat(workspace.jobs().running())
                            .extracting(Jobs.Job::name)
                            .containsExactly("reviewing the design");
                })
                .get();
        WaitForAsyncUtils.waitFor(
                30, TimeUnit.SECONDS, () -> workspace.jobs().running().isEmpty());
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(changes).hasValue(2);
        assertThat(workspace.review().of(Step.KEYS)).hasSize(80);
    }

    @Test
    void many_rows_are_judged_while_the_window_goes_on_and_the_last_state_counts() throws Exception {
        WaitForAsyncUtils.asyncFx(() -> {
                    Entity hive = add("Hive");
                    var code = Attribute.named(ids.next(IdKind.ATTRIBUTE), "code");
                    var rows = new ArrayList<Row>();
                    for (int i = 0; i < 6_000; i++) {
                        rows.add(Row.empty(ids.next(IdKind.ROW)).with(code.id(), "H" + i / 2));
                    }
                    Body filled = Body.EMPTY.withAttributes(List.of(code)).withRows(rows);
                    workspace.apply(new ChangeBody(hive.id(), filled, "fill"));
                    workspace.apply(new ChangeBody(hive.id(), filled.withKey(List.of(code.ref())), "choose the key"));
                    assertThat(workspace.jobs().running())
                            .extracting(Jobs.Job::name)
                            .contains("reviewing the design");
                    assertThat(workspace.review().of(Step.ROWS)).isEmpty();
                })
                .get();
        WaitForAsyncUtils.waitFor(
                30, TimeUnit.SECONDS, () -> workspace.jobs().running().isEmpty());
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(workspace.review().of(Step.ROWS)).hasSizeGreaterThanOrEqualTo(3_000);
    }

    @Test
    void jobs_run_side_by_side_are_stopped_alone_and_what_fails_is_told() throws Exception {
        var told = new ArrayList<String>();
        Jobs jobs = workspace.jobs();
        var go = new CountDownLatch(1);
        WaitForAsyncUtils.asyncFx(() -> {
                    Jobs.Job waiting = jobs.run(
                            "waiting",
                            progress -> {
                                new CountDownLatch(1).await();
                                return "too late";
                            },
                            () -> true,
                            told::add,
                            failure -> told.add("failed"));
                    jobs.run(
                            "failing",
                            progress -> {
                                go.await();
                                progress.done(3, 20);
                                throw new IllegalStateException("no bees");
                            },
                            () -> true,
                            result -> told.add("done"),
                            failure -> told.add(failure.getMessage()));
                    jobs.run("outdated", progress -> "old", () -> false, told::add, failure -> told.add("failed"));
                    assertThat(jobs.running()).extracting(Jobs.Job::name).contains("waiting", "failing");
                    waiting.stop();
                    assertThat(jobs.running())
                            .extracting(Jobs.Job::name)
                            .contains("failing")
                            .doesNotContain("waiting");
                })
                .get();
        go.countDown();
        WaitForAsyncUtils.waitFor(10, TimeUnit.SECONDS, () -> jobs.running().isEmpty());
        assertThat(told).as("what comes too late is dropped").containsExactly("no bees");
    }
}
