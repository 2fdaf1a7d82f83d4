package ableschema.core.structure;

import static ableschema.core.DesignFixture.design;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.catchThrowable;

import ableschema.core.DesignFixture;
import ableschema.core.design.ColumnRef;
import ableschema.core.design.Id;
import ableschema.core.design.Index;
import ableschema.core.document.Document;
import ableschema.core.document.History;
import ableschema.core.edit.ChangeRules;
import ableschema.core.edit.Edits;
import ableschema.core.mapping.NameStyle;
import ableschema.core.mapping.NamingRules;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class StructureTest {

    private static DesignFixture berths() {
        return design(
                        "Each pier has code: text 4 (key), wardens: whole.",
                        "Each berth has number: whole 90, length m: decimal 5,1 (greater than 0), [note]: text,"
                                + " opened: date (default today), state: text 9 (unique; one of free, let).",
                        "Each berth lies at exactly one pier; each pier has any number of berths.",
                        "Each berth is identified by its pier and number.",
                        "Each stay has stay no: counted (key).",
                        "Each stay is at at most one berth; each berth serves any number of stays.",
                        "About note of berth: what the warden saw")
                .with(f -> new Edits(f.design(), f.ids())
                        .setOften(f.attribute("Berth", "opened"), Index.Purpose.SEARCHED, true));
    }

    private static Structure structure(Document document, String entity) {
        Id owner = document.design().entity(entity).orElseThrow().id();
        return Structure.of(document, document.mapping(), owner).orElseThrow();
    }

    private static List<String> lines(Document document, String entity) {
        return structure(document, entity).columns().stream()
                .map(line -> Arrays.stream(Field.values()).map(line::field).collect(Collectors.joining(" | ")))
                .toList();
    }

    private static ColumnRef column(Document document, String entity, String name) {
        return structure(document, entity).columns().stream()
                .filter(line -> line.field(Field.NAME).equals(name))
                .findFirst()
                .orElseThrow(() -> new AssertionError("no column " + name + " in " + lines(document, entity)))
                .column();
    }

    private static DesignFixture set(DesignFixture made, String entity, Field field, String typed, String... names) {
        List<ColumnRef> columns = Arrays.stream(names)
                .map(name -> column(made.document(), entity, name))
                .toList();
        return made.with(
                new StructureEdits(made.document(), made.entity(entity).id(), made.ids()).set(columns, field, typed));
    }

    @Test
    void a_line_says_all_that_is_known_of_a_column() {
        assertThat(lines(berths().document(), "Berth"))
                .containsExactly(
                        "pier_code | text 4 | yes | key 1 |  | in Pier | ",
                        "number | whole 90 | yes | key 2 |  |  | ",
                        "length m | decimal 5,1 | yes |  |  | greater than 0 | ",
                        "note | text |  |  |  |  | what the warden saw",
                        "opened | date | yes |  | today |  | ",
                        "state | text 9 | yes | unique |  | one of free, let | ");
        assertThat(lines(berths().document(), "Stay"))
                .containsExactly(
                        "stay no | counted | yes | key | counted by the database |  | ",
                        "berth_pier_code | text 4 |  |  |  | in Berth | ",
                        "berth_number | whole 90 |  |  |  | in Berth | ");
    }

    @Test
    void indexes_are_listed_with_what_they_come_from_and_what_the_dialect_makes() {
        Document berths = berths().document();
        assertThat(structure(berths, "Berth").indexes())
                .extracting(line ->
                        line.columns() + ": " + line.from() + (line.own().isPresent() ? " -" : ""))
                .containsExactly(
                        "pier_code, number: comes with the key",
                        "state: comes with what is unique",
                        "opened: asked for: often searched -");
        assertThat(structure(berths, "Stay").indexes())
                .extracting(Structure.IndexLine::from)
                .containsExactly("comes with the key", "by the house rule that foreign keys are indexed");
        Document bare = new ChangeRules(
                        berths.rules().withNaming(new NamingRules(NameStyle.SNAKE, false, false)), "no indexes")
                .applyTo(berths);
        assertThat(structure(bare, "Stay").indexes().get(1))
                .isEqualTo(new Structure.IndexLine(
                        "berth_pier_code, berth_number",
                        "none: PostgreSQL makes none for the foreign key to berth",
                        Optional.empty(),
                        false,
                        ""));
        Document mariadb = new ChangeRules(bare.rules().withDialect("mariadb"), "write for MariaDB").applyTo(bare);
        assertThat(structure(mariadb, "Stay").indexes().get(1).from()).isEqualTo("comes with the foreign key to berth");
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = ';',
            nullValues = "-",
            textBlock =
                    """
            number   ; NAME       ; no             ; no | whole 90 | yes | key 2 |  |  |
            number   ; TYPE       ; whole 900      ; number | whole 900 | yes | key 2 |  |  |
            note     ; REQUIRED   ; yes            ; note | text | yes |  |  |  | what the warden saw
            opened   ; REQUIRED   ; no             ; opened | date |  |  | today |  |
            state    ; IDENTIFIES ; -              ; state | text 9 | yes |  |  | one of free, let |
            opened   ; IDENTIFIES ; key            ; opened | date | yes | key 3 | today |  |
            number   ; IDENTIFIES ; -              ; number | whole 90 | yes |  |  |  |
            note     ; DEFAULT    ; none yet       ; note | text |  |  | none yet |  | what the warden saw
            length m ; CHECK      ; between 1 and 9 ; length m | decimal 5,1 | yes |  |  | between 1 and 9 |
            length m ; COMMENT    ; over all       ; length m | decimal 5,1 | yes |  |  | greater than 0 | over all
            pier_code ; NAME      ; pier           ; pier | text 4 | yes | key 1 |  | in Pier |
            pier_code ; COMMENT   ; where it lies  ; pier_code | text 4 | yes | key 1 |  | in Pier | where it lies
            """)
    void each_field_is_corrected_in_its_place(String name, Field field, String typed, String line) {
        DesignFixture changed = set(berths(), "Berth", field, typed == null ? "" : typed, name);

        assertThat(lines(changed.document(), "Berth").stream().map(String::strip))
                .contains(line.strip());
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            nullValues = "-",
            textBlock =
                    """
            number    | NAME       | -       | an attribute needs a name; number keeps its own
            number    | TYPE       | wholes  | wholes
            number    | REQUIRED   | no      | number is in the key, and so never empty
            note      | REQUIRED   | perhaps | 'perhaps' says neither yes nor no
            note      | IDENTIFIES | maybe   | 'maybe' is none of: key, unique, or nothing
            opened    | DEFAULT    | soon    | soon
            number    | DEFAULT    | now     | gives no value of the type whole 90
            pier_code | TYPE       | text 9  | this column refers to Pier: its type is that of the key there
            """)
    void what_cannot_be_is_refused_with_the_reason(String name, Field field, String typed, String problem) {
        assertThat(catchThrowable(() -> set(berths(), "Berth", field, typed == null ? "" : typed, name)))
                .isInstanceOf(IllegalArgumentException.class)
                .hasMessageContaining(problem);
    }

    @Test
    void many_columns_are_corrected_at_once_and_undone_at_once() {
        DesignFixture before = berths();
        var history = new History(before.document());
        history.apply(
                new StructureEdits(before.document(), before.entity("Berth").id(), before.ids())
                        .set(
                                List.of(
                                        column(before.document(), "Berth", "length m"),
                                        column(before.document(), "Berth", "opened"),
                                        column(before.document(), "Berth", "state")),
                                Field.REQUIRED,
                                "no"));

        assertThat(history.undoable()).contains("set the required of 3 columns");
        assertThat(structure(history.present(), "Berth").columns().stream()
                        .filter(line -> !line.isRequired())
                        .map(line -> line.field(Field.NAME)))
                .containsExactly("length m", "note", "opened", "state");
        history.undo();
        assertThat(history.present()).isSameAs(before.document());
        assertThat(catchThrowable(() -> set(before, "Berth", Field.NAME, "x", "opened", "state")))
                .hasMessageContaining("each column has a name of its own");
    }

    @Test
    void whether_a_parent_must_be_there_is_a_matter_of_the_reference() {
        DesignFixture required = set(berths(), "Stay", Field.REQUIRED, "yes", "berth_number");

        assertThat(required.table("stay")
                        .column("berth_pier_code")
                        .orElseThrow()
                        .nullable())
                .isFalse();
        assertThat(set(required, "Stay", Field.REQUIRED, "", "berth_pier_code")
                        .table("stay")
                        .column("berth_number")
                        .orElseThrow()
                        .nullable())
                .isTrue();
    }

    @Test
    void columns_and_indexes_are_moved_and_taken_away() {
        DesignFixture berths = berths();
        var edits = new StructureEdits(berths.document(), berths.entity("Berth").id(), berths.ids());
        Document moved = edits.move(column(berths.document(), "Berth", "note"), -1)
                .orElseThrow()
                .applyTo(berths.document());
        assertThat(lines(moved, "Berth").get(2)).startsWith("note");
        assertThat(edits.move(column(berths.document(), "Berth", "number"), -1)).isEmpty();
        assertThat(lines(
                        edits.remove(List.of(column(berths.document(), "Berth", "note")))
                                .applyTo(berths.document()),
                        "Berth"))
                .hasSize(5);
        assertThat(catchThrowable(() -> edits.remove(List.of(column(berths.document(), "Berth", "pier_code")))))
                .hasMessageContaining("goes when the relationship goes");
        Id index = structure(berths.document(), "Berth").indexes().get(2).own().orElseThrow();
        assertThat(structure(edits.removeIndex(index).applyTo(berths.document()), "Berth")
                        .indexes())
                .hasSize(2);
    }

    @Test
    void what_comes_with_a_pairing_a_key_or_kinds_is_not_made_loose() {
        DesignFixture made = design(
                "Each club has no: whole (key).",
                "Each crew has name: text 20 (key).",
                "Each club invites any number of crews; each crew is invited by any number of clubs (called invitation).",
                "Each guest is a kind of crew (in one table).");
        Id pairing = made.design().relationships().get(0).id();
        Structure invitation = Structure.of(made.document(), made.document().mapping(), pairing)
                .orElseThrow();
        var edits = new StructureEdits(made.document(), pairing, made.ids());

        assertThat(invitation.columns()).allMatch(Structure.Line::isRequired);
        List<ColumnRef> first = List.of(invitation.columns().get(0).column());
        assertThat(catchThrowable(() -> edits.set(first, Field.REQUIRED, "no")))
                .hasMessage("a pairing always has both of its ends");
        assertThat(catchThrowable(() -> set(berths(), "Berth", Field.REQUIRED, "no", "pier_code")))
                .hasMessage("this column is in the key, and so never empty");
        assertThat(catchThrowable(() -> set(made, "Crew", Field.NAME, "x", "kind")))
                .isInstanceOf(IllegalArgumentException.class);
        assertThat(lines(made.document(), "Crew").get(1)).startsWith("kind | ");
    }

    @Test
    void a_default_of_a_reference_is_a_value_of_the_type_that_it_refers_to() {
        DesignFixture text = set(berths(), "Stay", Field.DEFAULT, "A-1", "berth_pier_code");
        assertThat(text.table("stay")
                        .column("berth_pier_code")
                        .orElseThrow()
                        .defaultValue()
                        .written(each -> each))
                .isEqualTo("'A-1'");
        assertThat(catchThrowable(() -> set(berths(), "Stay", Field.DEFAULT, "first", "berth_number")))
                .isInstanceOf(IllegalArgumentException.class);
    }

    @Test
    void a_column_that_refers_to_one_of_a_domain_is_of_that_domain() {
        DesignFixture made = design(
                "The domain tag no holds text 9.",
                "Each crate has tag: domain \"tag no\" (key).",
                "Each jar has no: whole (key).",
                "Each crate holds any number of jars; each jar is in exactly one crate.");

        assertThat(lines(made.document(), "Jar"))
                .containsExactly(
                        "no | whole | yes | key |  |  | ", "crate_tag | domain tag no | yes |  |  | in Crate | ");
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            textBlock =
                    """
            DEFAULT | plenty      | default plenty | 'plenty' is not a whole number
            DEFAULT | today       | default today  | 'today' gives no value of the type whole 300
            CHECK   | at least ten | at least ten  | 'ten' is not a whole number
            CHECK   | one of 1, x | one of 1, x    | 'x' is not a whole number
            """)
    void a_domain_has_no_values_but_those_of_its_type(Field field, String typed, String flag, String problem) {
        DesignFixture made =
                design("The domain amount holds whole 300.", "Each jar has no: whole (key), honey: domain amount.");

        assertThat(catchThrowable(() -> set(made, "Jar", field, typed, "honey")))
                .hasMessageContaining(problem);
        assertThat(catchThrowable(() -> design(
                        "The domain amount holds whole 300.", "Each jar has honey: domain amount (" + flag + ").")))
                .hasMessageContaining(problem);
    }
}
