package ableschema.core.sql;

import static ableschema.core.DesignFixture.design;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import ableschema.core.DesignFixture;
import ableschema.core.design.Attribute;
import ableschema.core.design.EndRef;
import ableschema.core.design.Id;
import ableschema.core.design.Index;
import ableschema.core.design.KeyPart;
import ableschema.core.design.Relationship;
import ableschema.core.design.Row;
import ableschema.core.design.Side;
import ableschema.core.document.Document;
import ableschema.core.edit.ChangeBody;
import ableschema.core.edit.ChangeEntity;
import ableschema.core.edit.Edits;
import ableschema.core.edit.PutRelationship;
import ableschema.core.expression.Expression;
import ableschema.core.rows.DesignScript;
import ableschema.core.schema.Decided;
import ableschema.core.schema.Schema;
import ableschema.core.sql.dialect.Dialect;
import ableschema.core.sql.dialect.Dialects;
import ableschema.core.store.DocumentFile;
import ableschema.core.types.DataType;
import ableschema.core.types.ReferenceAction;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;

class ScriptWriterTest {

    private static final DesignFixture HIVES = design(
            "Each apiary has code: text 6 (key), name: text 60.",
            "Each hive has hive no: counted 500 by 10 (key), set up on: date, calm: yes/no, note: text (optional).",
            "Each hive stands in exactly one apiary; each apiary shelters any number of hives.");

    static Stream<Dialect> dialects() {
        return Dialects.ALL.stream();
    }

    private static String script(DesignFixture fixture, Dialect dialect) {
        return DesignScript.definitions(fixture.document().mapping(), dialect).text();
    }

    private static String withRows(DesignFixture fixture, Dialect dialect) {
        return DesignScript.withRows(fixture.document().mapping(), dialect).text();
    }

    static Stream<Arguments> keptScripts() {
        return Dialects.ALL.stream()
                .flatMap(dialect -> Stream.of(
                        Arguments.of(dialect, "../demo/alder-valley.able.json", "alder-valley"),
                        Arguments.of(dialect, "src/test/resources/designs/every-feature.able.json", "every-feature")));
    }

    /** The kept files are there to be read; a wanted change of what is written changes them in the same commit. */
    @ParameterizedTest
    @MethodSource("keptScripts")
    void a_design_is_written_as_the_kept_script(Dialect dialect, String design, String name) throws Exception {
        Document document = DocumentFile.read(Path.of(design));
        String kept = Files.readString(Path.of("src/test/resources/sql/" + name + "-" + dialect.name() + ".sql"));

        assertThat(DesignScript.withRows(document.mapping(), dialect).text()).isEqualTo(kept);
    }

    @ParameterizedTest
    @MethodSource("dialects")
    void each_line_knows_what_it_comes_from(Dialect dialect) {
        Relationship relationship = HIVES.design().relationships().get(0);
        Attribute setUpOn = HIVES.attribute("Hive", "set up on");
        Script script = DesignScript.definitions(HIVES.document().mapping(), dialect);

        assertThat(lines(script, setUpOn.id())).first().isEqualTo("set_up_on date NOT NULL");
        assertThat(lines(script, relationship.id()))
                .contains("CONSTRAINT hive_stands_in_apiary", "FOREIGN KEY (apiary_code)", "REFERENCES apiary (code)")
                .anyMatch(line -> line.startsWith("apiary_code " + dialect.type(new DataType.Text(6))));
        assertThat(script.statements().stream().filter(Statement::isExecutable).map(Statement::text))
                .allMatch(text -> text.endsWith(";"));
    }

    private static List<String> lines(Script script, Id origin) {
        return script.lines()
                .filter(line -> HIVES.document().mapping().trace().leads(line.parts(), origin))
                .map(line -> line.text().strip().replaceAll(" +", " ").replaceFirst(",$", ""))
                .toList();
    }

    @ParameterizedTest
    @MethodSource("dialects")
    void parents_come_before_children_in_whatever_order_they_were_drawn(Dialect dialect) {
        String turned = script(
                design(
                        "Each harvest is taken from exactly one hive; each hive yields any number of harvests.",
                        "Each hive stands in exactly one apiary; each apiary shelters any number of hives.",
                        "Each harvest has no: whole (key).",
                        "Each hive has no: whole (key).",
                        "Each apiary has no: whole (key)."),
                dialect);

        assertThat(turned.indexOf("CREATE TABLE apiary")).isLessThan(turned.indexOf("CREATE TABLE hive"));
        assertThat(turned.indexOf("CREATE TABLE hive")).isLessThan(turned.indexOf("CREATE TABLE harvest"));
        assertThat(turned).doesNotContain("ALTER TABLE");
    }

    @Test
    void a_circle_is_closed_afterwards_where_the_dialect_can_and_inside_where_it_cannot() {
        DesignFixture circle = design(
                "Each hive has no: whole (key).",
                "Each keeper has no: whole (key).",
                "Each hive belongs to at most one keeper; each keeper owns any number of hives.",
                "Each keeper prefers at most one hive; each hive pleases any number of keepers.");

        for (Dialect dialect : List.of(Dialects.POSTGRESQL, Dialects.H2)) {
            assertThat(script(circle, dialect)).containsOnlyOnce("ALTER TABLE").contains("ADD CONSTRAINT");
        }
        assertThat(script(circle, Dialects.SQLITE))
                .doesNotContain("ALTER TABLE")
                .contains("REFERENCES hive (\"no\")");
    }

    @Test
    void numbering_is_said_in_each_dialects_way() {
        assertThat(script(HIVES, Dialects.POSTGRESQL))
                .contains("GENERATED BY DEFAULT AS IDENTITY (START WITH 500 INCREMENT BY 10) NOT NULL");
        assertThat(script(HIVES, Dialects.SQLITE))
                .contains("NOT NULL CONSTRAINT hive_key PRIMARY KEY AUTOINCREMENT")
                .contains("INSERT INTO sqlite_sequence (name, seq) VALUES ('hive', 499);")
                .contains("-- Not in SQLite: numbering by a chosen step. hive.hive_no: it goes on by 1, not by 10.");
        DesignFixture pair = HIVES.with("Each hive has set up on: date (key), hive no: counted (key).");
        assertThat(script(pair, Dialects.SQLITE)).contains("hive.hive_no: it must be given by whoever inserts.");
    }

    @Test
    void deletions_comments_and_namespaces_are_written_where_they_can_be() {
        Relationship before = HIVES.design().relationships().get(0);
        var hive = HIVES.entity("Hive");
        DesignFixture said = HIVES.with(new PutRelationship(
                        before.withActions(ReferenceAction.CASCADE, ReferenceAction.NO_ACTION), "cascade"))
                .with(new ChangeEntity(
                        hive.withDefinition("One colony.").withPins(hive.pins().withNamespace("bees")), "describe"))
                .with(f -> new Edits(f.design(), f.ids())
                        .changeAttribute(f.attribute("Hive", "note").withComment("It's\nfree text")));

        assertThat(script(said, Dialects.POSTGRESQL))
                .contains("CREATE SCHEMA IF NOT EXISTS bees;")
                .contains("CREATE TABLE bees.hive (")
                .contains("REFERENCES apiary (code) ON DELETE CASCADE")
                .doesNotContain("ON UPDATE")
                .contains("COMMENT ON TABLE bees.hive IS 'One colony.';")
                .contains("COMMENT ON COLUMN bees.hive.note IS 'It''s\nfree text';");
        assertThat(script(said, Dialects.ORACLE)).contains(" IS 'It''s free text';");
        assertThat(script(said, Dialects.SQLITE))
                .contains("-- Not in SQLite: schemas within a database. The tables of bees stand beside the others.")
                .contains("CREATE TABLE hive (")
                .contains("-- hive: One colony.")
                .contains("  -- It's free text\n");
    }

    @ParameterizedTest
    @CsvSource({
        "postgresql, order, true",
        "postgresql, hive, false",
        "postgresql, Hive, true",
        "postgresql, year, false",
        "sqlite, index, true",
        "h2, index, false",
        "postgresql, stand no, true",
        "sqlite, 1st, true",
        "postgresql, hive_2, false",
        "h2, wäbe, true"
    })
    void names_are_quoted_only_by_need(String dialect, String name, boolean quoted) {
        assertThat(Dialects.named(dialect).orElseThrow().quoted(name)).isEqualTo(quoted ? '"' + name + '"' : name);
    }

    @Test
    void quotes_within_names_and_texts_are_doubled() {
        assertThat(Dialects.POSTGRESQL.quoted("a\"b")).isEqualTo("\"a\"\"b\"");
        assertThat(Dialects.POSTGRESQL.text("it's; --")).isEqualTo("'it''s; --'");
    }

    @Test
    void functions_are_called_as_the_dialect_calls_them_but_texts_stay() {
        DesignFixture made = HIVES.with(f -> new Edits(f.design(), f.ids())
                        .changeAttribute(f.attribute("Apiary", "name")
                                .withDefault(Expression.of(new Expression.Text<>("'new_uuid()'")))))
                .with("Each apiary has id: uuid.")
                .with(f -> new Edits(f.design(), f.ids())
                        .changeAttribute(f.attribute("Apiary", "id")
                                .withDefault(Expression.of(new Expression.Text<>("new_uuid()")))));

        assertThat(script(made, Dialects.POSTGRESQL))
                .contains("DEFAULT gen_random_uuid()")
                .contains("DEFAULT 'new_uuid()'");
        assertThat(script(made, Dialects.H2)).contains("DEFAULT random_uuid()").contains("DEFAULT 'new_uuid()'");
        assertThat(script(made, Dialects.SQLITE))
                .contains("DEFAULT (lower(hex(randomblob(4))")
                .contains("DEFAULT 'new_uuid()'");
    }

    @Test
    void rows_name_their_columns_and_numbering_goes_on_behind_them() {
        DesignFixture rows = HIVES.filled("Apiary", "code,name\nAV-01,O'Hara's bank\n")
                .filled("Hive", "hive no,apiary,set up on,calm\n500,AV-01,2027-04-01,yes\n520,AV-01,2027-04-02,no\n");

        assertThat(withRows(rows, Dialects.POSTGRESQL))
                .contains("INSERT INTO apiary (code, name)\n  VALUES ('AV-01', 'O''Hara''s bank');")
                .contains("INSERT INTO hive (hive_no, set_up_on, calm, note, apiary_code)\n"
                        + "  VALUES (500, '2027-04-01', TRUE, NULL, 'AV-01');")
                .contains("ALTER TABLE hive ALTER COLUMN hive_no RESTART WITH 530;");
        assertThat(withRows(rows, Dialects.SQLITE)).doesNotContain("RESTART");
    }

    @Test
    void a_row_that_breaks_a_rule_and_those_that_refer_to_it_become_comments() {
        DesignFixture rows = HIVES.filled("Apiary", "code,name\nAV-01-TOO-LONG,x\nAV-02,y\n")
                .filled("Hive", "apiary,set up on,calm\nAV-01-TOO-LONG,2027-04-01,yes\nAV-02,2027-04-02,no\n");
        String script = withRows(rows, Dialects.H2);

        assertThat(script).contains("-- left out: Apiary, row 1: code does not fit its type text 6");
        assertThat(script).contains("-- left out: a row of hive refers to a row that is left out");
        assertThat(script.lines().filter(line -> line.startsWith("INSERT"))).hasSize(2);
    }

    @Test
    void an_undecided_schema_is_not_written_but_its_tables_are_shown() {
        DesignFixture open = design("Each hive has colour.");

        assertThatThrownBy(() -> ScriptWriter.definitions(open.schema(), List.of(), Dialects.H2))
                .hasMessageContaining("not decided in hive");
        assertThat(open.document().mapping().undecided()).containsExactly("Hive: colour has no type yet");
        Schema schema = open.document().mapping().schema();
        assertThat(ScriptWriter.of(schema.tables().get(0), schema, Dialects.H2)
                        .get(0)
                        .text())
                .contains("colour undecided");
    }

    @Test
    void what_is_decided_is_written_and_what_is_not_is_said_at_its_place() {
        DesignFixture open = design(
                "Each hive has code: text 6 (key), colour, size: whole (at least 1).",
                "Each frame has no (key), depth: whole.",
                "Each frame hangs in exactly one hive; each hive holds any number of frames.",
                "Each peg has no: whole (key).",
                "Each peg holds exactly one frame; each frame is held by any number of pegs.",
                "Each smoker has maker.");
        String script = script(open, Dialects.POSTGRESQL);

        assertThat(script)
                .contains("-- The table smoker is left out, as none of its columns has a type yet.")
                .contains(
                        "-- The column colour is left out, as it has no type yet.\nCREATE TABLE hive (\n  code varchar(6)")
                .contains(
                        "-- The column no is left out, as it has no type yet.\n-- The primary key frame_key is left out with it.")
                .contains("-- The foreign key peg_holds_frame is left out")
                .contains("CONSTRAINT frame_hangs_in_hive\n    FOREIGN KEY (hive_code)")
                .doesNotContain("REFERENCES frame", "undecided");
        Schema decided = HIVES.schema();
        assertThat(Decided.of(decided).schema()).isSameAs(decided);
    }

    @Test
    void every_reference_of_a_one_to_one_is_unique_once() {
        DesignFixture made = design(
                "Each queen has ring: text 8 (key).",
                "Each hive has code: text 6 (key).",
                "Each queen heads at most one hive; each hive is headed by exactly one queen.");
        Relationship heads = made.design().relationships().get(0);
        DesignFixture keyed = made.with(f -> new Edits(f.design(), f.ids())
                .chooseKey(f.entity("Hive").id(), List.of(new KeyPart.WholeReference(heads.ref(Side.FIRST)))));

        assertThat(script(made, Dialects.POSTGRESQL)).containsOnlyOnce("UNIQUE (queen_ring)");
        assertThat(script(keyed, Dialects.POSTGRESQL))
                .contains("PRIMARY KEY (queen_ring)")
                .doesNotContain("UNIQUE");
    }

    @Test
    void values_are_held_to_their_types_in_the_way_that_is_chosen() {
        DesignFixture all = design("Each hive has no: whole (key), made: year, calm: yes/no, weight: decimal 6,2,"
                + " angle: real, photo: bytes 40, code: text 6, seen: date.");
        String strict = script(all, Dialects.SQLITE.choosing(Map.of("sqlite.types", "strict")));
        String loose = script(all, Dialects.SQLITE.choosing(Map.of("sqlite.types", "loose")));

        assertThat(strict.lines().map(line -> line.strip().replaceAll(" +", " ")))
                .contains(
                        "\"no\" int NOT NULL",
                        "made integer NOT NULL",
                        "calm integer NOT NULL",
                        "weight any NOT NULL",
                        "angle real NOT NULL",
                        "photo blob NOT NULL",
                        "code text NOT NULL",
                        "seen text NOT NULL",
                        ") STRICT;");
        assertThat(loose).doesNotContain("CHECK", "STRICT").contains("-- Not in SQLite");
        assertThat(script(all, Dialects.SQLITE)).contains("CHECK (typeof(made) = 'integer'");
    }

    @Test
    void only_a_column_that_leads_a_key_or_an_index_numbers_itself_where_the_database_wants_that() {
        DesignFixture made = design("Each hive has code: text 6 (key), ticket: counted.");
        DesignFixture unique = design("Each hive has code: text 6 (key), ticket: counted (unique).");
        DesignFixture searched = made.with(f ->
                new Edits(f.design(), f.ids()).setOften(f.attribute("Hive", "ticket"), Index.Purpose.SEARCHED, true));

        assertThat(script(made, Dialects.MYSQL))
                .doesNotContain("AUTO_INCREMENT")
                .contains("hive.ticket: it must be given by whoever inserts.");
        assertThat(script(unique, Dialects.MYSQL)).contains("AUTO_INCREMENT").doesNotContain("it must be given");
        assertThat(script(searched, Dialects.MYSQL)).contains("AUTO_INCREMENT");
        assertThat(script(made, Dialects.POSTGRESQL)).contains("ticket integer    GENERATED BY DEFAULT AS IDENTITY");
    }

    @Test
    void only_one_column_of_a_table_numbers_itself_where_the_database_has_it_so() {
        DesignFixture two = design("Each hive has hive no: counted (key), ticket: counted (unique).");

        assertThat(script(two, Dialects.MYSQL))
                .containsOnlyOnce("AUTO_INCREMENT")
                .contains("-- Not in MySQL: more than one numbered column in a table.")
                .contains("hive.ticket: it must be given by whoever inserts.");
        assertThat(script(two, Dialects.POSTGRESQL)).doesNotContain("more than one numbered");
    }

    @Test
    void rows_of_tables_that_refer_to_each_other_are_joined_when_all_are_there() {
        DesignFixture circle = design(
                "Each hive has no: whole (key).",
                "Each keeper has name: text 9 (key).",
                "Each hive belongs to at most one keeper; each keeper owns any number of hives.",
                "Each keeper prefers at most one hive; each hive pleases any number of keepers.");
        DesignFixture rows = circle.filled("Hive", "no\n1\n2\n").filled("Keeper", "name,hive\nAda,1\nBea,\n");
        EndRef keeper = rows.design().relationships().get(0).ref(Side.SECOND);
        List<Row> hives = rows.entity("Hive").body().rows();
        Row ada = rows.entity("Keeper").body().rows().get(0);
        List<Row> owned = List.of(hives.get(0).with(keeper, Optional.of(Row.Reference.to(ada))), hives.get(1));
        DesignFixture joined = rows.with(new ChangeBody(
                rows.entity("Hive").id(), rows.entity("Hive").body().withRows(owned), "own"));
        String script = withRows(joined, Dialects.POSTGRESQL);

        assertThat(script.lines().filter(line -> line.startsWith("INSERT"))).hasSize(4);
        assertThat(script)
                .doesNotContain("left out")
                .containsOnlyOnce("UPDATE ")
                .contains("UPDATE hive SET keeper_name = 'Ada'\n  WHERE no = 1;");
    }

    /** An UPDATE without a condition would set all rows. */
    @Test
    void a_row_without_a_key_is_not_set_afterwards() {
        DesignFixture circle = design(
                "Each hive has no: whole (unique).",
                "Each keeper has name: text 9 (key).",
                "Each hive belongs to at most one keeper; each keeper owns any number of hives.",
                "Each keeper prefers at most one hive; each hive pleases any number of keepers.");
        Relationship prefers = circle.design().relationships().get(1);
        Id unique = circle.entity("Hive").body().uniques().get(0).id();
        DesignFixture keyless = circle.with(new PutRelationship(
                prefers.with(
                        Side.SECOND,
                        prefers.second().with(prefers.second().reference().withTargetKey(Optional.of(unique)))),
                "refer"));
        DesignFixture rows = keyless.filled("Hive", "no\n1\n").filled("Keeper", "name,hive\nAda,1\n");
        EndRef keeper = rows.design().relationships().get(0).ref(Side.SECOND);
        Row ada = rows.entity("Keeper").body().rows().get(0);
        Row owned = rows.entity("Hive").body().rows().get(0).with(keeper, Optional.of(Row.Reference.to(ada)));
        DesignFixture joined = rows.with(new ChangeBody(
                rows.entity("Hive").id(), rows.entity("Hive").body().withRows(List.of(owned)), "own"));

        assertThat(withRows(joined, Dialects.POSTGRESQL))
                .contains("left out: a row of hive refers to a row that comes later, and has no key")
                .doesNotContain("UPDATE ");
    }

    @Test
    void long_and_strange_names_are_said_where_the_database_cannot_have_them() {
        String name = "b".repeat(70);
        DesignFixture pinned = HIVES.with(f -> new ChangeEntity(
                f.entity("Hive").withPins(f.entity("Hive").pins().withName(name)), "pin"));
        DesignFixture strange = HIVES.with(f -> new ChangeEntity(
                f.entity("Hive").withPins(f.entity("Hive").pins().withName("🐝")), "pin"));

        assertThat(script(pinned, Dialects.POSTGRESQL))
                .contains("-- Not in PostgreSQL: names of any length. " + name
                        + ": the name is longer than 63, and will be refused or cut.");
        assertThat(script(pinned, Dialects.SQLITE)).doesNotContain("longer than");
        assertThat(script(strange, Dialects.MYSQL)).contains("it is called `u1f41d`");
        assertThat(script(strange, Dialects.POSTGRESQL)).doesNotContain("it is called");
    }
}
