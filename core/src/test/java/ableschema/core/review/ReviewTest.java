package ableschema.core.review;

import static ableschema.core.DesignFixture.design;
import static org.assertj.core.api.Assertions.assertThat;

import ableschema.core.DesignFixture;
import ableschema.core.design.Lists;
import ableschema.core.design.SetAside;
import ableschema.core.document.Document;
import ableschema.core.document.Edit;
import ableschema.core.edit.ChangeNotes;
import ableschema.core.edit.Edits;
import ableschema.core.finding.Finding;
import ableschema.core.finding.Severity;
import ableschema.core.finding.Step;
import ableschema.core.mapping.Mapping;
import ableschema.core.sql.dialect.Dialects;
import ableschema.core.store.DocumentFile;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.function.Function;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Findings follow a design through its changes, and stay away where they were set aside. */
class ReviewTest {

    private static final DesignFixture PUMPS = design(
            "Each pump has no: whole (key), pin: text 4.",
            "Each valve has no: whole (key), size: whole (between 1 and 9; default 12).",
            "Each pump feeds any number of valves; each valve is fed by exactly one pump.",
            "Each seal has no: whole (key), price: real.",
            "Each seal fits exactly one valve; each valve takes any number of seals.");

    private static List<String> texts(List<Finding> findings) {
        return findings.stream().map(Finding::text).toList();
    }

    /** Changes of many sorts, so that what is kept from before is held against what is found afresh. */
    private static List<Function<DesignFixture, DesignFixture>> changes() {
        return List.of(
                made -> made.with("Each valve has date: text 10."),
                made -> made.with("Each seal has price: decimal 8,2."),
                made -> made.with(f -> new Edits(f.design(), f.ids()).rename(f.entity("Pump"), "Engine")),
                made -> made.with("Each engine feeds at least one valve; each valve is fed by exactly one engine."),
                made -> made.filled("Engine", "no,pin\n1,1234\n1,99999\n"),
                made -> made.filled("Valve", "no,size,engine\n1,3,1\n2,12,7\n"),
                made -> made.with("Each engine has no: text 4 (key)."),
                made -> made.with(
                        "Each valve sits beside any number of seals; each seal sits beside any number of valves."),
                made -> made.with("Each cap has no: whole (key).", "Each cap shuts exactly one valve."),
                made -> made.with(f -> f.review().open().stream()
                        .filter(each -> each.rule() == RelationshipFinder.REVERSE_UNSAID)
                        .findFirst()
                        .orElseThrow()
                        .remedies()
                        .get(0)
                        .edit(f.design(), f.ids())),
                made -> made.writtenFor(Dialects.SQLITE),
                made -> made.with("Each seal has no: counted 5 by 3 (key)."),
                made -> made.with(f -> new Edits(f.design(), f.ids()).setParked(f.entity("Engine"), true)),
                made -> made.with(f -> new Edits(f.design(), f.ids()).setParked(f.entity("Engine"), false)),
                made -> made.with(
                        "The domain bore holds whole (between 1 and 9).", "Each valve has size: domain bore."),
                made -> made.with("The domain bore holds whole (between 1 and 20)."),
                made -> made.writtenFor(Dialects.MYSQL),
                made -> made.with(f -> new Edits(f.design(), f.ids())
                        .remove(List.of(f.entity("Seal").id()))));
    }

    @Test
    void what_is_kept_through_changes_is_what_is_found_afresh() {
        DesignFixture made = PUMPS;
        Mapping mapping = made.document().mapping();
        Review review = Review.of(Subject.of(made.document(), mapping));
        var seen = new ArrayList<String>();
        for (Function<DesignFixture, DesignFixture> change : changes()) {
            made = change.apply(made);
            mapping = made.document().mapping(mapping);
            review = review.after(Subject.of(made.document(), mapping));

            assertThat(review.all()).isEqualTo(made.review().all());
            seen.addAll(texts(review.all()));
        }
        assertThat(seen).as("the changes change much").hasSizeGreaterThan(60);
    }

    @Test
    void only_what_changed_is_looked_at_anew() {
        Mapping mapping = PUMPS.document().mapping();
        Review before = Review.of(Subject.of(PUMPS.document(), mapping));
        Document changed = PUMPS.with("Each seal has colour: text 9.").document();
        Review after = before.after(Subject.of(changed, changed.mapping(mapping)));

        assertThat(after.about(PUMPS.entity("Pump").id()).get(0))
                .isSameAs(before.about(PUMPS.entity("Pump").id()).get(0));
        assertThat(after.about(PUMPS.entity("Seal").id()).get(0))
                .isNotSameAs(before.about(PUMPS.entity("Seal").id()).get(0));
    }

    @Test
    void findings_are_told_by_step_and_severity_in_the_order_of_the_design() {
        Review review = PUMPS.review();

        assertThat(texts(review.of(Step.DRAW)))
                .containsExactly(
                        "Pump: pin is a secret kept as plain text.",
                        "Valve: the default of size is 12, but it must be between 1 and 9.",
                        "Seal: price is an amount in an approximate type.");
        assertThat(texts(review.of(Severity.MUST_MEND)))
                .containsExactly("Valve: the default of size is 12, but it must be between 1 and 9.");
        assertThat(review.of(Step.KEYS)).isEmpty();
    }

    private static Edit aside(DesignFixture made, Finding finding, String reason) {
        var notes = made.design().notes();
        return new ChangeNotes(
                notes.withSetAside(Lists.plus(notes.setAside(), Aside.of(finding, reason))), "set aside");
    }

    @Test
    void what_is_set_aside_stays_away_while_the_same_is_found(@TempDir Path folder) throws Exception {
        Finding size = PUMPS.review().of(Severity.MUST_MEND).get(0);
        DesignFixture aside = PUMPS.with(made -> aside(made, size, "twelve is the old norm"));
        DesignFixture renamed = aside.with(f -> new Edits(f.design(), f.ids()).rename(f.entity("Valve"), "Tap"));
        DesignFixture other = aside.with("Each valve has size: whole (between 1 and 9; default 13).");
        DesignFixture gone = aside.with("Each valve has size: whole (between 1 and 9; default 3).");
        Path file = folder.resolve("pumps.able.json");
        DocumentFile.write(file, aside.document());

        assertThat(aside.review().of(Severity.MUST_MEND)).isEmpty();
        assertThat(aside.review().aside().values())
                .extracting(SetAside::reason)
                .containsExactly("twelve is the old norm");
        assertThat(aside.review().lost()).isEmpty();
        assertThat(renamed.review().of(Severity.MUST_MEND))
                .as("a name is no fact")
                .isEmpty();
        assertThat(other.review().of(Severity.MUST_MEND)).hasSize(1);
        assertThat(gone.review().lost()).hasSize(1);
        assertThat(DocumentFile.read(file)).isEqualTo(aside.document());
        assertThat(DesignFixture.of(DocumentFile.read(file)).review().aside()).hasSize(1);
    }

    @Test
    void what_was_set_aside_of_a_rule_or_thing_that_is_gone_is_kept_and_listed(@TempDir Path folder) throws Exception {
        Finding pin = PUMPS.review().of(Step.DRAW).get(0);
        SetAside unknown = new SetAside("no-such-rule", PUMPS.entity("Pump").id(), List.of(), pin.facts(), "why not");
        DesignFixture made = PUMPS.with(f -> aside(f, pin, "it is no secret"))
                .with(f -> new ChangeNotes(
                        f.design()
                                .notes()
                                .withSetAside(Lists.plus(f.design().notes().setAside(), unknown)),
                        "set aside"))
                .with(f -> new Edits(f.design(), f.ids())
                        .remove(List.of(f.entity("Pump").id())));
        Path file = folder.resolve("pumps.able.json");
        DocumentFile.write(file, made.document());
        DesignFixture read = DesignFixture.of(DocumentFile.read(file));

        assertThat(read.review().lost()).extracting(SetAside::rule).containsExactly("plain-secret", "no-such-rule");
    }

    @Test
    void a_place_is_told_by_names_that_people_and_the_database_know() {
        DesignFixture rows = PUMPS.filled("Pump", "no,pin\n1,1\n1,2\n");
        Finding repeated = rows.review().of(Step.ROWS).get(0);
        PlaceText place =
                PlaceText.of(repeated.place(), rows.design(), rows.document().mapping());

        assertThat(place.label()).isEqualTo("Pump");
        assertThat(place.table()).contains("pump");
        assertThat(place.columns()).containsExactly("no");
        assertThat(place.row()).contains(2);
    }
}
