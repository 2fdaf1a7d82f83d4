package ableschema.core.review;

import static ableschema.core.DesignFixture.design;
import static org.assertj.core.api.Assertions.assertThat;

import ableschema.core.DesignFixture;
import ableschema.core.brief.BriefEdits;
import ableschema.core.design.Judgement;
import ableschema.core.design.Judgement.Verdict;
import ableschema.core.design.Lists;
import ableschema.core.design.Question;
import ableschema.core.design.SetAside;
import ableschema.core.difference.LineDifference;
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
import ableschema.core.words.Sentences;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
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
                made -> made.with(f -> new Edits(f.design(), f.ids()).rename(f.entity("Cap"), "Lid")),
                made -> made.with(f -> new Edits(f.design(), f.ids()).rename(f.entity("Valve"), "Tap")),
                made -> made.with(f -> new Edits(f.design(), f.ids()).rename(f.entity("Tap"), "Valve")),
                made -> made.with(f -> f.review().open().stream()
                        .filter(each -> each.rule() == RelationshipFinder.REVERSE_UNSAID)
                        .findFirst()
                        .orElseThrow()
                        .remedies()
                        .get(0)
                        .edit(f.design(), f.ids())),
                made -> made.with(
                        "Each seal fits at most one valve; each valve takes any number of seals (on delete set null)."),
                made -> made.with(
                        "Each seal fits exactly one valve; each valve takes any number of seals (on delete set null)."),
                made -> made.with(f -> new Edits(f.design(), f.ids())
                        .remove(List.of(f.entity("Lid").id()))),
                made -> made.writtenFor(Dialects.SQLITE),
                made -> made.with("Each seal has no: counted 5 by 3 (key)."),
                made -> made.with(f -> new Edits(f.design(), f.ids()).setParked(f.entity("Engine"), true)),
                made -> made.with(f -> new Edits(f.design(), f.ids()).setParked(f.entity("Engine"), false)),
                made -> made.with(
                        "The domain bore holds whole (between 1 and 9).", "Each valve has size: domain bore."),
                made -> made.with("The domain bore holds whole (between 1 and 20)."),
                made -> made.writtenFor(Dialects.MYSQL),
                made -> made.with(
                        "Each gate is a kind of valve (in one table).",
                        "Each gate has width: whole 9.",
                        "Each gate is moved by at most one engine; each engine moves any number of gates."),
                made -> made.filled("Gate", "valve,width,engine\n1,3,1\n2,x,7\n"),
                made -> made.filled("Engine", "no,pin\n7,1\n8,2\n"),
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
    void what_shows_in_rows_far_away_is_found_there_when_it_changes() {
        DesignFixture made = design(
                        "Each site has code: text 4 (key).",
                        "Each pump has no: whole.",
                        "Each pump stands on exactly one site; each site carries any number of pumps.",
                        "Each pump is identified by its site and no.",
                        "Each valve has no: whole.",
                        "Each valve is fed by exactly one pump; each pump feeds any number of valves.",
                        "Each valve is identified by its pump and no.")
                .filled("Site", "code\nN\nS\n")
                .filled("Pump", "site,no\nN,1\nS,1\n")
                .filled("Valve", "pump,no\nN / 1,7\nS / 1,7\n");
        Mapping mapping = made.document().mapping();
        Review before = Review.of(Subject.of(made.document(), mapping));
        var site = made.entity("Site");
        Document same = made.with(new Edits(made.design(), made.ids())
                        .setRows(
                                site.id(),
                                site.body().rows().stream()
                                        .map(row -> row.with(
                                                made.attribute("Site", "code").id(), "N"))
                                        .toList(),
                                "call both alike"))
                .document();
        Review after = before.after(Subject.of(same, same.mapping(mapping)));

        assertThat(before.of(Step.ROWS)).isEmpty();
        assertThat(after.all()).isEqualTo(DesignFixture.of(same).review().all());
        assertThat(after.of(Step.ROWS))
                .extracting(each -> each.place().owner())
                .contains(made.entity("Valve").id());
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

    @Test
    void places_are_called_as_people_call_them() {
        DesignFixture made = PUMPS.with(
                "Each seal sits beside any number of pumps; each pump sits beside any number of seals (called seating).");
        List<Finding> unsaid = design(
                        "Each pump has no: whole (key).",
                        "Each valve has no: whole (key).",
                        "Each valve is fed by exactly one pump.")
                .review()
                .of(Severity.OPEN);

        assertThat(made.writtenFor(Dialects.MYSQL).review().open())
                .extracting(each -> PlaceText.of(
                                each.place(), made.design(), made.document().mapping())
                        .label())
                .contains("Pump", "Valve", "Seal", "All tables");
        assertThat(unsaid).hasSize(1);
        DesignFixture fed = design(
                "Each pump has no: whole (key).",
                "Each valve has no: whole (key).",
                "Each valve is fed by exactly one pump.");
        Finding finding = fed.review().of(Severity.OPEN).get(0);
        PlaceText place =
                PlaceText.of(finding.place(), fed.design(), fed.document().mapping());
        assertThat(place.label()).isEqualTo("Valve – Pump");
        assertThat(place.table()).contains("valve");
        assertThat(place.row()).isEmpty();
    }

    @Test
    void several_are_mended_as_one_edit_and_what_one_mends_for_another_is_not_mended_twice() {
        DesignFixture made = design(
                "Each pump has maker: text 9.", "Each valve has maker: text 9.", "Each seal has code: text 4 (key).");
        List<Finding> keyless = made.review().of(Step.KEYS);
        Edit all = ReviewEdits.mendAll(made.document(), keyless, "number them", made.ids());
        DesignFixture mended = made.with(all);

        assertThat(all.name()).isEqualTo("mend 2 findings: number them");
        assertThat(mended.review().of(Step.KEYS)).isEmpty();
        assertThat(ReviewEdits.mendAll(mended.document(), keyless, "number them", made.ids())
                        .applyTo(mended.document()))
                .isEqualTo(mended.document());
        assertThat(ReviewEdits.mendAll(made.document(), keyless, "no such remedy", made.ids())
                        .applyTo(made.document()))
                .isEqualTo(made.document());
    }

    @Test
    void what_was_set_aside_is_taken_back_alone() {
        List<Finding> open = PUMPS.review().open();
        DesignFixture two = PUMPS.with(f -> ReviewEdits.setAside(f.design(), open.get(0), "so be it"))
                .with(f -> ReviewEdits.setAside(f.design(), open.get(1), "that too"));
        SetAside first = two.design().notes().setAside().get(0);
        DesignFixture one = two.with(f -> ReviewEdits.takeBack(f.design(), first));

        assertThat(two.review().open()).hasSize(open.size() - 2);
        assertThat(one.review().aside().values()).extracting(SetAside::reason).containsExactly("that too");
        assertThat(first.rule()).isEqualTo(open.get(0).rule().id());
    }

    @Test
    void what_an_edit_would_do_is_seen_before_it_is_done() {
        DesignFixture made = design("Each valve has no: whole (key), [seal 1]: text 9, [seal 2]: text 9.")
                .filled("Valve", "no,seal 1,seal 2\n1,red,blue\n2,,green\n");
        Finding repeated = made.review().of(Step.FORMS).get(0);
        Outcome outcome = Outcome.of(
                repeated.remedies().get(0).edit(made.design(), made.ids()),
                made.document(),
                made.document().mapping());
        Outcome gone = Outcome.of(
                new Edits(made.design(), made.ids())
                        .remove(List.of(made.entity("Valve").id())),
                made.document(),
                made.document().mapping());

        assertThat(outcome.tables()).extracting(Outcome.Changed::label).containsExactly("Valve", "Valve seal");
        assertThat(outcome.tables().get(0).before()).isPresent();
        assertThat(outcome.tables().get(0).after()).isPresent();
        assertThat(outcome.tables().get(1).before()).isEmpty();
        assertThat(outcome.moved()).isEqualTo("3 rows come to Valve seal");
        assertThat(outcome.sql())
                .contains(new LineDifference(LineDifference.Kind.GOES, "  seal_1 varchar(9),"))
                .contains(new LineDifference(LineDifference.Kind.COMES, "CREATE TABLE valve_seal ("))
                .contains(new LineDifference(LineDifference.Kind.STAYS, "CREATE TABLE valve ("));
        assertThat(gone.moved()).isEqualTo("2 rows go from Valve");
        assertThat(gone.tables().get(0).after()).isEmpty();
    }

    @Test
    void terms_are_told_with_the_designers_own_names() {
        Terms terms = new Terms(PUMPS.document().mapping(), Optional.of(PUMPS.table("seal")));
        Terms bare = new Terms(Mapping.NONE, Optional.empty());

        assertThat(terms.in("A foreign key, and keys: no monkeys."))
                .extracting(Terms.Piece::text)
                .containsExactly("A ", "foreign key", ", and ", "keys", ": no monkeys.");
        assertThat(terms.in("index")).hasSize(1);
        assertThat(terms.meaning("foreign keys"))
                .startsWith("A foreign key is")
                .endsWith("What stands in seal.valve_no must stand in valve.no.");
        assertThat(terms.meaning("keys")).endsWith("No two rows of seal have the same no.");
        assertThat(terms.meaning("third normal form")).contains("every fact is said once");
        assertThat(terms.meaning("unique constraint")).contains("no two rows");
        assertThat(terms.meaning("index")).endsWith("all rows of seal with a certain valve_no, it is looked up there.");
        assertThat(List.of("check", "default", "set null", "candidate key", "UUID"))
                .allMatch(term -> terms.meaning(term).split("\\. ").length == 2);
        assertThat(bare.meaning("foreign key")).endsWith("No table here has one yet.");
        assertThat(bare.meaning("key")).endsWith("No table here has one yet.");
        assertThat(bare.meaning("index")).endsWith("Each key brings one along.");
    }

    @Test
    void open_questions_and_sentences_said_to_be_wrong_are_findings_too() {
        var feeds = PUMPS.design().relationships().get(0);
        String sentence = new Sentences(PUMPS.design()).of(feeds);
        DesignFixture asked = PUMPS.with(f -> new BriefEdits(f.design(), f.ids()).ask("Which pumps feed most?"))
                .with(f -> new ChangeNotes(
                        f.design().notes().with(new Judgement(feeds.id(), sentence, Verdict.WRONG, "two pumps may")),
                        "judge"));
        Question question = asked.design().notes().brief().questions().get(0);
        DesignFixture answered = asked.with(f -> new BriefEdits(f.design(), f.ids())
                        .setAnswer(question, f.attribute("Pump", "no").id(), true))
                .with(f -> new Edits(f.design(), f.ids()).rename(f.entity("Valve"), "Tap"));

        assertThat(texts(asked.review().of(Step.BRIEF)))
                .containsExactly("“Which pumps feed most?” is not answered yet.");
        assertThat(asked.review().of(Step.BRIEF).get(0).evidence()).isEqualTo("no attribute is named for it");
        assertThat(asked.review().open())
                .filteredOn(each -> each.rule() == Rules.SENTENCE_WRONG)
                .extracting(Finding::evidence)
                .containsExactly("two pumps may");
        assertThat(answered.review().of(Step.BRIEF)).isEmpty();
        assertThat(answered.review().open())
                .as("it reads otherwise now")
                .noneMatch(each -> each.rule() == Rules.SENTENCE_WRONG);
    }
}
