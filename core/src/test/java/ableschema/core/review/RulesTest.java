package ableschema.core.review;

import static ableschema.core.DesignFixture.design;
import static ableschema.core.review.RuleFixture.found;
import static ableschema.core.review.RuleFixture.mended;
import static ableschema.core.review.RuleFixture.said;
import static ableschema.core.review.RuleFixture.texts;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.tuple;

import ableschema.core.DesignFixture;
import ableschema.core.design.Attribute;
import ableschema.core.design.IdKind;
import ableschema.core.edit.ChangeEntity;
import ableschema.core.edit.Edits;
import ableschema.core.finding.Finding;
import ableschema.core.finding.Remedy;
import ableschema.core.finding.Rule;
import ableschema.core.finding.Severity;
import ableschema.core.types.DataType;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Each rule finds what it is for, is silent beside it, and its remedy mends what it found. */
class RulesTest {

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            quoteCharacter = '~',
            textBlock =
                    """
            no-key | Each valve has maker: text 20. | Valve has no key.
            key-circle | Each valve has no: whole (key). Each pump has no: whole. Each valve carries exactly one pump; each pump belongs to at most one valve. Each pump stems from exactly one valve; each valve leads to at most one pump. Each pump is identified by its valve and no. Each valve is identified by its pump. | Valve takes its key from Pump, which takes its key from Valve in turn.
            untyped | Each valve has no: whole (key), maker. | Valve: maker has no type yet.
            event-without-moment | Test is an event. Each test has no: whole (key). | Test is an event, but no attribute says when it happened.
            event-without-participant | Test is an event. Each test has no: whole (key). | Test is an event, but nothing says who or what took part in it.
            unrelated | Each valve has no: whole (key). Each pump has no: whole (key). Each pump feeds any number of valves; each valve is fed by exactly one pump. Each seal has no: whole (key). | Seal is related to nothing.
            reverse-unsaid | Each valve has no: whole (key). Each pump has no: whole (key). Each valve is fed by exactly one pump. | How many valves may one pump have?
            said-twice | Each valve has no: whole (key). Each pump has no: whole (key). Each pump feeds any number of valves; each valve is related to any number of pumps. Each valve is fed by exactly one pump; each pump is related to any number of valves. | “Each pump feeds any number of valves” and “Each valve is fed by exactly one pump” are two relationships.
            shortcut | Each site has no: whole (key). Each pump has no: whole (key). Each valve has no: whole (key). Each pump stands on exactly one site; each site carries any number of pumps. Each valve is fed by exactly one pump; each pump feeds any number of valves. Each valve lies on exactly one site; each site holds any number of valves. | Valve refers to Site directly, and by way of Pump too.
            same-name-unlike-types | Each valve has no: whole (key), size: whole. Each pump has code: text 4 (key), size: text 9. | size is text 9 in Pump, and whole in Valve.
            pair-unlike-types | Each stay has no: whole (key), start date: date, end date: moment. | Stay: start date is date, and end date is moment.
            pair-unlike-types | Each flow has no: whole (key), min_bar: decimal 4,1, max_bar: decimal 6,1. | Flow: min_bar is decimal 4,1, and max_bar is decimal 6,1.
            type-left-over | Each stay has no: whole (key). The domain e-mail holds text 120. | e-mail is a named type, and no attribute is of it.
            default-outside-check | Each valve has no: whole (key), size: whole (between 1 and 9; default 12). | Valve: the default of size is 12, but it must be between 1 and 9.
            empties-required | Each valve has no: whole (key). Each pump has no: whole (key). Each valve is fed by exactly one pump; each pump feeds any number of valves (on delete set null). | When Pump goes, Valve should lose its reference, but must have one.
            default-missing | Each valve has no: whole (key). Each pump has no: whole (key). Each valve is fed by at most one pump; each pump feeds any number of valves (on delete set default). | When Pump goes, Valve should refer to a default, but pump_no has none.
            repeated-columns | Each valve has no: whole (key), seal 1: text 9, seal 2: text 9, [seal 3]: text 9. | Valve: seal 1, seal 2, seal 3 repeat one fact.
            kept-as-text | Each valve has no: whole (key), is open: text 1. | Valve: is open is kept as text, and looks like yes/no.
            kept-as-text | Each valve has no: whole (key), unit price: text 20. | Valve: unit price is kept as text, and looks like decimal 10,2.
            kept-as-text | Each valve has no: whole (key), stock: text 9. | Valve: stock is kept as text, and looks like whole.
            list-in-text | Each valve has no: whole (key), part_numbers: text 200. | Valve: part_numbers holds several values in one text.
            kept-as-text | Each valve has no: whole (key), fitting date: text 10. | Valve: fitting date is kept as text, and looks like date.
            approximate-amount | Each valve has no: whole (key), unit price: real. | Valve: unit price is an amount in an approximate type.
            code-as-number | Each keeper has no: whole (key), phone: whole. | Keeper: phone is kept as a number, and looks like a code.
            unsaid-codes | Each valve has no: whole (key), state: whole (one of 1, 2, 3). | Valve: nothing says what the numbers of state stand for.
            goes-stale | Each keeper has no: whole (key), age: whole 120. | Keeper: age is another one as time goes by.
            goes-stale | Each loan has no: whole (key), days overdue: whole. | Loan: days overdue is another one as time goes by.
            runs-out | Each reading has no: counted (key), kelvin: whole. There are about 0 readings, and 300,000,000 more each year. | Reading: the numbers of no run out after 7 years.
            runs-out | Each reading has code: text 8 (key; pattern R-000), kelvin: whole. There are about 0 readings, and 300 more each year. | Reading: the numbers of code run out after 3 years.
            update-not-needed | Each pump has code: text 4 (key). Each valve has no: whole (key). Each valve is fed by exactly one pump; each pump feeds any number of valves (on update cascade). The code of each pump never changes. | Valve follows when code of Pump is changed, which never happens.
            update-needed | Each pump has code: text 4 (key). Each valve has no: whole (key). Each valve is fed by exactly one pump; each pump feeds any number of valves. The code of each pump changes. | code of Pump is said to change, and Valve would not let it.
            undeclared-reference | Each pump has no: whole (key). Each valve has code: text 4 (key), pump no: whole. | Valve: pump no looks like a reference to Pump, and is none.
            undeclared-reference | Each pump has pump id: whole (key). Each valve has code: text 4 (key), [spare_pump_id]: whole. | Valve: spare_pump_id looks like a reference to Pump, and is none.
            undeclared-reference | Each part has id: whole (key), [parent part id]: whole. | Part: parent part id looks like a reference to Part, and is none.
            approximate-amount | Each valve has no: whole (key), x: real (money). | Valve: x is an amount in an approximate type.
            plain-secret | Each valve has no: whole (key), word: text 4 (secret). | Valve: word is a secret kept as plain text.
            plain-secret | Each valve has no: whole (key), pin: text 4. | Valve: pin is a secret kept as plain text.
            reserved-word | Each valve has no: whole (key), user: text 9. | Valve: user is a word that PostgreSQL, SQL Server, Oracle, H2 and standard SQL reserve.
            left-to-application | Each valve has no: whole (key). Each pump has no: whole (key). Each pump feeds at least one valve; each valve is fed by exactly one pump. | That each pump feeds at least one valve is held by no definition.
            left-to-application | Each valve has no: whole (key). Each pump has no: whole (key). Each pump feeds between 2 and 6 valves; each valve is fed by any number of pumps. | That each pump feeds between two and six valves is held by no definition.
            left-to-application | Each valve has no: whole (key). Each pump has no: whole (key). Each pump feeds exactly one valve; each valve is fed by exactly one pump. | That each pump feeds exactly one valve is held by no definition.
            """)
    void it_finds_what_it_is_for_and_its_remedies_mend_it(String rule, String sentences, String text) {
        DesignFixture made = said(sentences);

        assertThat(texts(made, rule)).containsExactly(text);
        for (Remedy remedy : found(made, rule).get(0).remedies()) {
            DesignFixture mended = made.with(f -> remedy.edit(f.design(), f.ids()));

            assertThat(texts(mended, rule)).as(remedy.title()).isEmpty();
            assertThat(mended.review().of(Severity.MUST_MEND))
                    .as("after “%s”", remedy.title())
                    .hasSizeLessThanOrEqualTo(
                            made.review().of(Severity.MUST_MEND).size());
        }
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            quoteCharacter = '~',
            textBlock =
                    """
            no-key | Each valve has no: whole (key).
            code-as-number | Each keeper has no: whole (key), phones: whole 9, phone calls: whole.
            goes-stale | Each keeper has no: whole (key), age limit: whole.
            unsaid-codes | Each valve has no: whole (key), state: whole.
            unsaid-codes | Each valve has no: whole (key), state: whole (one of 1, 2). About state of valve: 1 = open, 2 = shut
            goes-stale | Each keeper has no: whole (key), average: whole, age: date.
            runs-out | Each reading has no: counted (key). There are about 0 readings, and 3,000 more each year.
            unrelated | Each pump has no: whole (key). Each valve has code: text 4 (key), pump no: whole.
            undeclared-reference | Each pump has no: whole (key). Each valve has code: text 4 (key), pump no: text 9.
            undeclared-reference | Each pump has no: whole (key), pump no: whole.
            undeclared-reference | Each pump has no: whole (key). Each valve has code: text 4 (key), pump no: whole. Each valve belongs to exactly one pump; each pump has any number of valves.
            unrelated | Each valve has no: whole (key).
            reverse-unsaid | Each valve has no: whole (key). Each pump has no: whole (key). Each valve is fed by exactly one pump; each pump feeds any number of valves.
            said-twice | Each valve has no: whole (key). Each pump has no: whole (key). Each pump feeds any number of valves; each valve is related to any number of pumps. Each valve is emptied by exactly one pump; each pump is related to any number of valves.
            said-twice | Each pump has no: whole (key). Each pump drives any number of pumps; each pump is related to any number of pumps. Each pump is driven by at most one pump; each pump is related to any number of pumps.
            shortcut | Each pump has no: whole (key). Each pump drives at most one pump; each pump is driven by at most one pump.
            shortcut | Each site has no: whole (key). Each valve has no: whole (key). Each valve lies on exactly one site; each site holds any number of valves. Each valve is kept on exactly one site; each site keeps any number of valves.
            pair-unlike-types | Each stay has no: whole (key), start date: date, end date: date, start note: text 9, end of line: text 30, first, last: text 9.
            type-left-over | The domain address holds text 120. Each stay has no: whole (key), mail: domain address.
            same-name-unlike-types | Each valve has id: uuid (key), size: whole 9. Each pump has id: counted (key), size: decimal 5,1.
            default-outside-check | Each valve has no: whole (key), size: whole (between 1 and 9; default 9).
            empties-required | Each valve has no: whole (key). Each pump has no: whole (key). Each valve is fed by at most one pump; each pump feeds any number of valves (on delete set null).
            repeated-columns | Each valve has no: whole (key), line 1: text 9, size 2: whole, phase 3 current: real.
            kept-as-text | Each valve has no: whole (key), update note: text 90, candidate: text 9, holiday: text 20, price list: text 9, is used for: text 90, stock code: text 9.
            list-in-text | Each valve has no: whole (key), opening hours: text 90, remarks: text 90, first names: text 40.
            approximate-amount | Each valve has no: whole (key), angle: real, unit price: decimal 8,2.
            plain-secret | Each valve has no: whole (key), password hash: text 90, spinner: text 9.
            reserved-word | Each valve has no: whole (key), maker: text 9.
            left-to-application | Each valve has no: whole (key). Each pump has no: whole (key). Each pump feeds at most one valve; each valve is fed by exactly one pump.
            names-alike | Each valve has no: whole (key), ph value: text 4, phvalue: text 4.
            """)
    void it_is_silent_where_there_is_nothing(String rule, String sentences) {
        assertThat(texts(said(sentences), rule)).isEmpty();
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '#',
            textBlock =
                    """
            Of each valve: maker contains 'x'.                       # a rule cannot be had, as maker holds whole, and only a text has parts
            Of each valve: length of maker > 2 or no > 1.            # a rule cannot be had, as maker holds whole, which is no text
            Each valve is often searched by its lower(maker).        # an index cannot be had, as maker holds whole, which is no text
            Each valve is often searched by its no where maker like 'a%'. # an index cannot be had, as maker holds whole, and only a text has parts
            The mark of each valve is computed from maker || '!'.    # the computation of mark cannot be had, as maker holds whole, which is no text
            """)
    void what_no_longer_fits_a_type_is_told_and_taken_away(String sentence, String problem) {
        DesignFixture made = design("Each valve has no: whole (key), maker: text 9, [mark]: text 20.", sentence);
        DesignFixture retyped = made.with(f -> new Edits(f.design(), f.ids())
                .changeAttribute(f.attribute("Valve", "maker").withType(new DataType.Whole(0))));

        assertThat(texts(made, "types-misfit")).isEmpty();
        assertThat(texts(retyped, "types-misfit")).singleElement().asString().contains(problem);
        Remedy remedy = found(retyped, "types-misfit").get(0).remedies().get(0);
        assertThat(texts(retyped.with(f -> remedy.edit(f.design(), f.ids())), "types-misfit"))
                .isEmpty();
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '#',
            textBlock =
                    """
            [mark]: whole.     # maker || '!'    # what is computed is a text, and mark holds whole
            [mark]: yes/no.    # no * 2          # what is computed is a number, and mark holds yes/no
            [mark]: date.      # year of made on # what is computed is a number, and mark holds date
            [mark]: text 9.    # no + 1          #
            [mark]: decimal 9,2. # no / 3        #
            [mark]: year.      # year of made on + 1 #
            """)
    void a_computation_of_another_kind_than_its_own_type_is_told(String mark, String value, String problem) {
        DesignFixture made = design(
                "Each valve has no: whole (key), maker: text 9, made on: date, " + mark,
                "The mark of each valve is computed from " + value + ".");

        assertThat(String.join("", texts(made, "types-misfit")))
                .isEqualTo(problem == null ? "" : "Valve: the computation of mark cannot be had, as " + problem + ".");
    }

    @Test
    void what_looks_like_a_key_is_told_with_its_evidence() {
        DesignFixture rows = design("Each valve has batch no: whole, maker: text 9.")
                .filled("Valve", "batch no,maker\n1,a\n2,a\n3,b\n");
        DesignFixture clashing =
                design("Each valve has batch no: whole, maker: text 9.").filled("Valve", "batch no,maker\n1,a\n1,b\n");

        assertThat(found(rows, "no-key").get(0).evidence()).isEqualTo("batch no looks like one: unique in all 3 rows");
        assertThat(found(rows, "no-key").get(0).remedies())
                .extracting(Remedy::title)
                .containsExactly("make batch no the key", "number them", "give each a UUID");
        assertThat(found(clashing, "no-key").get(0).evidence()).isEmpty();
    }

    @Test
    void two_names_that_are_one_are_told_and_never_merged() {
        DesignFixture made = design("Each tank has no: whole (key), ph: decimal 3,1.");
        DesignFixture two = made.with(f -> new Edits(f.design(), f.ids())
                .addAttribute(
                        f.entity("Tank").id(),
                        Attribute.named(f.ids().next(IdKind.ATTRIBUTE), "pH").withType(new DataType.Text(9))));
        DesignFixture tables = design("Each tank has no: whole (key).", "Each lid has no: whole (key).")
                .with(f -> new ChangeEntity(f.entity("Lid").withName("TANK"), "rename"));

        assertThat(texts(tables, "names-alike"))
                .containsExactly("TANK: Tank and TANK are one name to a database, and the second is called tank_2.");
        assertThat(texts(two, "names-alike"))
                .containsExactly("Tank: ph and pH are one name to a database, and the second is called ph_2.");
    }

    @Test
    void numbers_dates_and_lists_in_texts_are_told_by_their_values() {
        DesignFixture rows = design(
                        "Each valve has no: whole (key), filled: text 20, size: text 9, phone: text 20, tags: text 40, owner: text 40.")
                .filled(
                        "Valve",
                        """
                        no,filled,size,phone,tags,owner
                        1,2026-03-01,12,5550101,"red; old","Smith, Ann"
                        2,2026-03-02,14,5550102,"blue; new; spare","Jones, Bea"
                        3,2026-03-04,9,5550103,red,"Moss, Cal"
                        4,2026-03-05,9,5550103,red;old,"Moss, Dan"
                        5,spring,9,5550103,,"Moss, Eve"
                        """);

        assertThat(texts(rows, "kept-as-text"))
                .containsExactly(
                        "Valve: filled is kept as text, and looks like date.",
                        "Valve: size is kept as text, and looks like whole 100.");
        assertThat(found(rows, "kept-as-text").get(0).evidence()).isEqualTo("1 of 5 values hold no date: “spring”");
        assertThat(texts(rows, "list-in-text")).containsExactly("Valve: tags holds several values in one text.");
    }

    @Test
    void a_remedy_calls_a_domain_by_its_name() {
        var unlike = said(
                        "The domain span holds whole 300. Each valve has no: whole (key), size: domain span. Each pump has code: text 4"
                                + " (key), size: text 9.")
                .review()
                .all()
                .stream()
                .filter(finding -> finding.rule().id().equals("same-name-unlike-types"))
                .toList();

        assertThat(unlike.get(0).remedies())
                .extracting(remedy -> remedy.title())
                .containsExactly("make that of Pump span", "make that of Valve text 9");
    }

    @Test
    void a_type_is_offered_only_where_no_row_default_or_rule_stands_against_it() {
        String[] sentences = {
            "Each valve has no: whole (key), size: whole, seal: text 3, pin: text 9 (default 'A1').",
            "Each pump has code: text 4 (key), size: text 9, seal: whole (at least 2000), pin: whole.",
        };
        DesignFixture rows = design(sentences)
                .filled("Valve", "no,size,seal,pin\n1,4,,\n")
                .filled("Pump", "code,size,seal,pin\nA,long,,\n");

        assertThat(found(rows, "same-name-unlike-types"))
                .extracting(Finding::text, finding -> finding.remedies().stream()
                        .map(remedy -> remedy.title())
                        .toList())
                .containsExactly(
                        tuple("size is text 9 in Pump, and whole in Valve.", List.of("make that of Valve text 9")),
                        tuple("seal is whole in Pump, and text 3 in Valve.", List.of("make that of Valve whole")),
                        tuple("pin is whole in Pump, and text 9 in Valve.", List.of("make that of Pump text 9")));
    }

    @Test
    void a_row_beyond_what_was_expected_is_advice_and_no_fault() {
        DesignFixture rows = design("Each valve has no: whole (key), size: whole 500.")
                .filled("Valve", "no,size\n1,500\n2,612\n3,501\n");

        assertThat(texts(rows, "beyond-expected"))
                .containsExactly("Valve, row 2: size is 612, and the largest expected is 500.");
        assertThat(rows.review().of(Severity.MUST_MEND)).isEmpty();
    }

    @Test
    void rows_are_judged_as_the_database_would_complete_them() {
        DesignFixture rows = design("Each valve has no: counted (key), code: text 4 (unique; default AB).")
                .filled("Valve", "code\nAB\n\"\"\n");

        assertThat(texts(rows, "unique-repeated"))
                .containsExactly("Valve, row 2: code AB stands in row 1 already, and no two rows may share it.");
    }

    @Test
    void ids_are_each_of_one_rule_and_a_slip_is_led_to_the_nearest() {
        assertThat(Rules.all()).extracting(Rule::id).doesNotHaveDuplicates().hasSizeGreaterThan(30);
        assertThat(Rules.all())
                .allMatch(rule -> rule.why().endsWith(".")
                        && !rule.why().contains("{")
                        && rule.sentence().contains("{"));
        assertThat(Rules.all())
                .startsWith(Rules.FINDERS.stream()
                        .flatMap(finder -> finder.rules().stream())
                        .toArray(Rule[]::new))
                .endsWith(Refused.RULE); // which a database finds
        assertThat(Rules.nearest("nokey")).isEqualTo("no-key");
        assertThat(Rules.named("no-key")).contains(KeyFinder.NO_KEY);
        assertThat(Rules.named("key")).isEmpty();
    }
}
