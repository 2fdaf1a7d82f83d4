package ableschema.core.review;

import static ableschema.core.DesignFixture.design;
import static ableschema.core.review.RuleFixture.found;
import static ableschema.core.review.RuleFixture.mended;
import static ableschema.core.review.RuleFixture.texts;
import static org.assertj.core.api.Assertions.assertThat;

import ableschema.core.DesignFixture;
import ableschema.core.design.Attribute;
import ableschema.core.design.IdKind;
import ableschema.core.design.Pins;
import ableschema.core.design.Unique;
import ableschema.core.document.Document;
import ableschema.core.edit.ChangeBody;
import ableschema.core.edit.ChangeEntity;
import ableschema.core.edit.Edits;
import ableschema.core.finding.Finding;
import ableschema.core.finding.Remedy;
import ableschema.core.finding.Severity;
import ableschema.core.sql.dialect.Dialects;
import ableschema.core.types.DataType;
import java.util.List;
import org.junit.jupiter.api.Test;

/** Remedies that ask, propose or move something along. */
class RemediesTest {

    @Test
    void repeated_columns_move_along_with_their_values() {
        DesignFixture rows = design("Each valve has no: whole (key), [seal 1]: text 9, [seal 2]: text 9.")
                .filled("Valve", "no,seal 1,seal 2\n1,red,blue\n2,,green\n");
        Finding finding = found(rows, "repeated-columns").get(0);
        DesignFixture split = rows.with(f -> finding.remedies().get(0).edit(f.design(), f.ids()));

        assertThat(finding.evidence()).isEqualTo("a third has no place, 1 of 4 are empty");
        assertThat(split.table("valve").columns()).extracting(c -> c.name()).containsExactly("no");
        assertThat(split.table("valve_seal").primaryKey().orElseThrow().columns())
                .containsExactly("valve_no", "place");
        assertThat(split.entity("Valve seal").body().rows())
                .extracting(row -> row.value(
                                        split.attribute("Valve seal", "place").id())
                                .orElse("") + " "
                        + row.value(split.attribute("Valve seal", "seal").id()).orElse(""))
                .containsExactly("1 red", "2 blue", "2 green");
        assertThat(split.review().of(Severity.MUST_MEND)).isEmpty();
    }

    @Test
    void a_form_below_the_third_is_told_with_its_reason_and_decomposed() {
        DesignFixture log = design("Each visit has hive: text 5 (key), day: date (key), farm: text 40.");
        DesignFixture second = log.where("visit", "hive -> farm");
        Finding finding = found(second, "below-third").get(0);
        DesignFixture apart = second.with(f -> finding.remedies().get(0).edit(f.design(), f.ids()));

        assertThat(texts(log, "below-third")).isEmpty();
        assertThat(texts(log.where("visit", "hive, day -> farm"), "below-third"))
                .isEmpty();
        assertThat(finding.text()).isEqualTo("Visit is in 1NF only.");
        assertThat(finding.evidence()).startsWith("farm hangs on hive alone, a part of the key");
        assertThat(finding.rule().counted(2)).isEqualTo("below 3NF");
        assertThat(apart.design().entities()).hasSize(2);
        assertThat(texts(apart, "below-third")).isEmpty();
    }

    @Test
    void a_type_is_proposed_from_the_rows_and_an_empty_entity_asked_for_attributes() {
        DesignFixture rows = design("Each valve has no: whole (key), fitted.", "Bolt is a thing.")
                .filled("Valve", "no,fitted\n1,2026-03-01\n2,2026-03-02\n");
        Finding untyped = found(rows, "untyped").get(0);
        DesignFixture typed = rows.with(f -> untyped.remedies().get(0).edit(f.design(), f.ids()));

        assertThat(untyped.evidence()).isEqualTo("all 2 values can be read as date");
        assertThat(typed.attribute("Valve", "fitted").type()).hasToString("date");
        assertThat(texts(rows, "no-attributes")).containsExactly("Bolt has no attributes yet.");
        assertThat(UndecidedFinder.UNTYPED.counted(1)).isEqualTo("untyped");
        assertThat(BriefFinder.QUESTION_OPEN.counted(1)).isEqualTo("question open");
        assertThat(BriefFinder.QUESTION_OPEN.counted(2)).isEqualTo("questions open");
    }

    @Test
    void one_of_words_is_a_text_that_has_room_for_them() {
        DesignFixture rows = design("Each fee has no: whole (key), kind (one of rescue, transport, false alarm).");
        Finding untyped = found(rows, "untyped").get(0);
        DesignFixture typed = rows.with(f -> untyped.remedies().get(0).edit(f.design(), f.ids()));

        assertThat(untyped.evidence()).endsWith(": it is one of rescue, transport, false alarm");
        assertThat(typed.attribute("Fee", "kind").type().toString()).startsWith("text ");
        assertThat(found(typed, "untyped")).isEmpty();
    }

    @Test
    void all_that_is_untyped_takes_the_type_that_its_name_suggests_in_one_step() {
        DesignFixture words = design(
                "Each fee has no: whole (key), kind (one of rescue, transport), amount, slope.",
                "Each lodger has first name (key), date of birth, number of beds.");
        List<Finding> untyped = found(words, "untyped");
        String title = untyped.get(0).remedies().get(0).title();
        DesignFixture typed =
                words.with(f -> ReviewEdits.mendAll(Document.EMPTY.with(f.design()), untyped, title, f.ids()));

        assertThat(untyped).hasSize(6);
        assertThat(untyped.get(1).evidence()).startsWith("decimal 10,2: ");
        assertThat(typed.attribute("Fee", "amount").type()).hasToString("decimal 10,2");
        assertThat(typed.attribute("Lodger", "date of birth").type()).hasToString("date");
        assertThat(texts(typed, "untyped")).containsExactly("Fee: slope has no type yet.");
    }

    @Test
    void a_secret_is_replaced_by_its_hash_and_its_values_go() {
        DesignFixture rows =
                design("Each valve has no: whole (key), pin: text 4.").filled("Valve", "no,pin\n1,1234\n");
        DesignFixture hashed = rows.with(
                f -> found(rows, "plain-secret").get(0).remedies().get(0).edit(f.design(), f.ids()));
        var pin = hashed.attribute("Valve", "pin hash");

        assertThat(pin.type()).hasToString("text 255");
        assertThat(hashed.entity("Valve").body().rows().get(0).value(pin.id())).isEmpty();
    }

    @Test
    void an_amount_takes_the_digits_that_its_values_have() {
        DesignFixture rows = design("Each valve has no: whole (key), unit price: real.")
                .filled("Valve", "no,unit price\n1,12.255\n2,3.5\n");
        DesignFixture exact = rows.with(
                f -> found(rows, "approximate-amount").get(0).remedies().get(0).edit(f.design(), f.ids()));

        assertThat(exact.attribute("Valve", "unit price").type()).hasToString("decimal 6,3");
    }

    @Test
    void another_name_is_asked_for_and_taken() {
        DesignFixture made = design("Each valve has no: whole (key), user: text 9.", "Each order has no: whole (key).");
        Finding attribute = found(made, "reserved-word").get(0);
        Finding entity = found(made, "reserved-word").get(1);
        Remedy renaming = attribute.remedies().get(0);

        assertThat(renaming.asks()).isEqualTo("name");
        assertThat(made.with(f -> renaming.edit(f.design(), f.ids())).attribute("Valve", "valve user"))
                .isNotNull();
        assertThat(made.with(f -> renaming.making().edit(f.design(), f.ids(), "owner"))
                        .attribute("Valve", "owner"))
                .isNotNull();
        assertThat(made.with(f -> entity.remedies().get(0).edit(f.design(), f.ids()))
                        .entity("Order record"))
                .isNotNull();
        assertThat(renaming).isNotEqualTo(entity.remedies().get(0)).isEqualTo(renaming);
        assertThat(renaming.hashCode()).isNotEqualTo(entity.remedies().get(0).hashCode());
    }

    @Test
    void names_of_constraints_are_measured_too_and_alike_names_are_changed() {
        String name = "k".repeat(70);
        DesignFixture made = design("Each tank has no: whole (key), ph: whole.", "Each lid has no: whole (key).");
        DesignFixture key = made.with(
                f -> new ChangeEntity(f.entity("Tank").withPins(Pins.NONE.withName(Pins.Role.KEY, name)), "pin"));
        DesignFixture unique = made.with(f -> {
            var body = f.entity("Tank").body();
            var rule = new Unique(
                    f.ids().next(IdKind.UNIQUE),
                    List.of(f.attribute("Tank", "ph").ref()),
                    Pins.NONE.withName(name));
            return new ChangeBody(f.entity("Tank").id(), body.withUniques(List.of(rule)), "unique");
        });
        DesignFixture two = made.with(f -> new Edits(f.design(), f.ids())
                .addAttribute(
                        f.entity("Tank").id(),
                        Attribute.named(f.ids().next(IdKind.ATTRIBUTE), "PH").withType(new DataType.Text(9))));
        DesignFixture tables = made.with(f -> new ChangeEntity(f.entity("Lid").withName("Tänk"), "rename"));

        assertThat(texts(key, "name-too-long")).hasSize(1);
        assertThat(texts(unique, "name-too-long")).hasSize(1);
        assertThat(mended(two, "names-alike").attribute("Tank", "ph 2")).isNotNull();
        assertThat(texts(tables, "names-alike"))
                .as("PostgreSQL tells them apart")
                .isEmpty();
        assertThat(texts(tables.writtenFor(Dialects.MYSQL), "names-alike")).hasSize(1);
        assertThat(texts(made.with(f -> new ChangeEntity(f.entity("Lid").withName("Tank-s"), "rename")), "names-alike"))
                .isEmpty();
        DesignFixture same = made.with(f -> new ChangeEntity(f.entity("Lid").withName("TANK"), "rename"));
        assertThat(mended(same, "names-alike").entity("tank 2")).isNotNull();
    }

    @Test
    void keys_that_are_proposed_are_made() {
        DesignFixture made = design("Each valve has maker: text 9, serial: text 9 (unique).");
        List<Remedy> remedies = found(made, "no-key").get(0).remedies();

        assertThat(found(made, "no-key").get(0).evidence()).isEqualTo("serial looks like one: it is unique");
        assertThat(made.with(f -> remedies.get(0).edit(f.design(), f.ids()))
                        .table("valve")
                        .primaryKey()
                        .orElseThrow()
                        .columns())
                .containsExactly("serial");
        assertThat(made.with(f -> remedies.get(1).edit(f.design(), f.ids())).attribute("Valve", "valve no"))
                .isNotNull();
        assertThat(made.with(f -> remedies.get(2).edit(f.design(), f.ids())).attribute("Valve", "id"))
                .isNotNull();
        DesignFixture code = design("Each valve has valve code: text 9.");
        assertThat(found(code, "no-key").get(0).evidence()).isEqualTo("valve code looks like one: so it is called");
    }

    @Test
    void a_list_of_two_is_a_list_where_it_is_cut_as_one() {
        DesignFixture half = design("Each valve has no: whole (key), tags: text 40.")
                .filled("Valve", "no,tags\n1,red;old\n2,blue;new and shiny\n3,green\n4,blue\n");
        DesignFixture fewer = design("Each valve has no: whole (key), tags: text 40.")
                .filled("Valve", "no,tags\n1,red;old\n2,blue;new\n3,green\n4,blue\n5,white\n");

        assertThat(found(half, "list-in-text").get(0).evidence()).isEqualTo("as in “blue;new and shiny”");
        assertThat(texts(fewer, "list-in-text")).isEmpty();
    }
}
