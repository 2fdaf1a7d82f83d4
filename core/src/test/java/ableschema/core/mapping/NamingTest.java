package ableschema.core.mapping;

import static ableschema.core.DesignFixture.design;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import ableschema.core.DesignFixture;
import ableschema.core.design.ForeignColumn;
import ableschema.core.design.Reference;
import ableschema.core.design.ReferenceColumn;
import ableschema.core.design.Relationship;
import ableschema.core.design.Side;
import ableschema.core.document.Document;
import ableschema.core.document.HouseRules;
import ableschema.core.edit.PutRelationship;
import ableschema.core.schema.Column;
import ableschema.core.schema.ForeignKey;
import ableschema.core.schema.Schema;
import ableschema.core.schema.Table;
import ableschema.core.store.DocumentFile;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class NamingTest {

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            textBlock =
                    """
            set up on       | set_up_on   | setUpOn    | SetUpOn | set up on
            Forage plant    | forage_plant | foragePlant | ForagePlant | Forage plant
            moisture %      | moisture    | moisture   | Moisture | moisture %
            weight (kg)     | weight_kg   | weightKg   | WeightKg | weight (kg)
            Größe           | größe       | größe      | Größe | Größe
            %%%             | %%%         | %%%        | %%% | %%%
            HIVE            | hive        | hive       | Hive | HIVE
            a-b.c/d         | a_b_c_d     | aBCD       | ABCD | a-b.c/d
            """)
    void a_style_changes_the_form_of_a_name_and_adds_no_words(
            String name, String snake, String camel, String pascal, String asWritten) {
        assertThat(NameStyle.SNAKE.of(name)).isEqualTo(snake);
        assertThat(NameStyle.CAMEL.of(name)).isEqualTo(camel);
        assertThat(NameStyle.PASCAL.of(name)).isEqualTo(pascal);
        assertThat(NameStyle.AS_WRITTEN.of(name)).isEqualTo(asWritten);
    }

    @ParameterizedTest
    @CsvSource({"Hive, hives", "Apiary, apiaries", "Forage plant, forage_plants", "Batch, batches", "Child, children"})
    void tables_may_be_named_in_the_plural(String entity, String table) {
        DesignFixture made = design("Each thing has no: whole (key).");
        var renamed = made.design().with(made.entity("Thing").withName(entity));

        assertThat(Mapping.of(renamed, new NamingRules(NameStyle.SNAKE, true, true))
                        .schema()
                        .tables()
                        .get(0)
                        .name())
                .isEqualTo(table);
    }

    @Test
    void names_alike_but_for_letter_case_are_numbered() {
        var names = new Names();

        assertThat(List.of(names.free("hive"), names.free("Hive"), names.free("HIVE"), names.free("queen")))
                .containsExactly("hive", "Hive_2", "HIVE_3", "queen");
    }

    @ParameterizedTest
    @ValueSource(strings = {"x", "ä", "🐝"})
    void long_names_are_shortened_to_what_every_dialect_takes_without_cutting_a_letter(String letter) {
        var names = new Names();
        List<String> given = IntStream.range(0, 20)
                .mapToObj(i -> names.free(letter.repeat(100) + (i < 10 ? "" : i)))
                .toList();

        assertThat(given).doesNotHaveDuplicates();
        for (String name : given) {
            byte[] bytes = name.getBytes(StandardCharsets.UTF_8);
            assertThat(bytes.length).isLessThanOrEqualTo(63);
            assertThat(new String(bytes, StandardCharsets.UTF_8))
                    .isEqualTo(name)
                    .startsWith(letter);
        }
    }

    @Test
    void a_name_of_exactly_63_bytes_stays() {
        assertThat(new Names().free("y".repeat(63))).isEqualTo("y".repeat(63));
        assertThat(new Names().free("y".repeat(64))).hasSize(63).doesNotEndWith("yyy");
    }

    @Test
    void constraints_tables_and_indexes_never_share_a_name() {
        DesignFixture made = design(
                "Each hive has code: text 6 (key).",
                "Each hive key has code: text 6 (key).",
                "Each hive has ring: text 8 (unique), \"ring!\": text 8 (unique).");
        Schema schema = made.document().mapping().schema();
        List<String> names = schema.tables().stream()
                .flatMap(t -> Stream.concat(
                        Stream.of(t.name()),
                        Stream.concat(
                                t.primaryKey().stream().map(Table.PrimaryKey::name),
                                t.uniques().stream().map(Table.UniqueConstraint::name))))
                .toList();

        assertThat(names).doesNotHaveDuplicates().contains("hive_key", "hive_key_2");
    }

    @Test
    void a_foreign_key_column_keeps_a_name_and_a_note_of_its_own() {
        DesignFixture made = design(
                "Each apiary has code: text 6 (key).",
                "Each hive has no: whole (key).",
                "Each hive stands in exactly one apiary; each apiary shelters any number of hives.");
        Relationship stands = made.design().relationships().get(0);
        var column = new ForeignColumn(
                stands.ref(Side.SECOND), made.attribute("Apiary", "code").ref());
        DesignFixture named = made.with(new PutRelationship(
                stands.with(
                        Side.SECOND,
                        stands.second()
                                .with(Reference.USUAL.with(ReferenceColumn.to(column.target())
                                        .withName("standplace")
                                        .withComment("where it stands")))),
                "name"));
        Table hive = named.document().mapping().schema().table("hive").orElseThrow();

        assertThat(hive.column("standplace").orElseThrow().comment()).isEqualTo("where it stands");
        assertThat(hive.foreignKeys().get(0).columns()).containsExactly("standplace");
    }

    @Test
    void two_relationships_to_one_entity_give_two_columns() {
        DesignFixture made = design(
                "Each keeper has keeper no: whole (key).",
                "Each visit has no: whole (key).",
                "Each visit is made by exactly one keeper; each keeper makes any number of visits.",
                "Each visit is checked by at most one keeper; each keeper checks any number of visits.");
        Table visit = made.document().mapping().schema().table("visit").orElseThrow();

        assertThat(visit.columns())
                .extracting(Column::name)
                .containsExactly("no", "made_by_keeper_no", "checked_by_keeper_no");
        assertThat(visit.foreignKeys())
                .extracting(ForeignKey::name)
                .containsExactly("visit_is_made_by_keeper", "visit_is_checked_by_keeper");
        Relationship checks = made.design().relationships().get(1);
        DesignFixture withRole = made.with(
                new PutRelationship(checks.with(Side.SECOND, checks.second().withRole("checker")), "name the role"));
        assertThat(withRole.document()
                        .mapping()
                        .schema()
                        .table("visit")
                        .orElseThrow()
                        .columns())
                .extracting(Column::name)
                .containsExactly("no", "keeper_no", "checker_no");
    }

    @Test
    void indexes_on_foreign_keys_can_be_left_out() {
        DesignFixture made = design(
                "Each apiary has code: text 6 (key).",
                "Each hive has no: whole (key).",
                "Each hive stands in exactly one apiary; each apiary shelters any number of hives.");

        assertThat(Mapping.of(made.design(), new NamingRules(NameStyle.SNAKE, false, false))
                        .schema()
                        .table("hive")
                        .orElseThrow()
                        .indexes())
                .isEmpty();
    }

    private static final DesignFixture STANDS = design(
            "Each apiary has code: text 6 (key), name: text 20 (unique).",
            "Each hive has no: whole (key), strength: whole (between 1 and 10).",
            "Each hive stands in exactly one apiary; each apiary shelters any number of hives.",
            "Each hive is often searched by its strength.");

    private static Schema named(NamePatterns patterns) {
        return Mapping.of(STANDS.design(), NamingRules.USUAL.with(patterns)).schema();
    }

    @Test
    void constraints_and_indexes_are_called_by_the_patterns_of_the_house() {
        Schema schema = named(new NamePatterns(
                "pk {table}",
                "fk {table} to {target}",
                "uq {table} {columns}",
                "ck {table} {columns}",
                "ix {columns} of {table}"));
        Table apiary = schema.table("apiary").orElseThrow();
        Table hive = schema.table("hive").orElseThrow();

        assertThat(apiary.primaryKey().orElseThrow().name()).isEqualTo("pk_apiary");
        assertThat(apiary.uniques().get(0).name()).isEqualTo("uq_apiary_name");
        assertThat(hive.foreignKeys().get(0).name()).isEqualTo("fk_hive_to_apiary");
        assertThat(hive.checks().get(0).name()).isEqualTo("ck_hive_strength");
        assertThat(hive.indexes())
                .extracting(each -> each.name())
                .containsExactly("ix_strength_of_hive", "ix_apiary_code_of_hive");
    }

    @Test
    void patterns_that_give_one_name_twice_give_two_names() {
        Schema schema = named(new NamePatterns("{table}", "{table}", "{table}", "{table}", "{table}"));

        assertThat(Stream.of(
                                schema.table("hive")
                                        .orElseThrow()
                                        .primaryKey()
                                        .orElseThrow()
                                        .name(),
                                schema.table("hive")
                                        .orElseThrow()
                                        .foreignKeys()
                                        .get(0)
                                        .name(),
                                schema.table("hive")
                                        .orElseThrow()
                                        .checks()
                                        .get(0)
                                        .name())
                        .distinct())
                .hasSize(3);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            textBlock =
                    """
            key of it            | must hold {table}
            {table} {column} key | {column}
            {table} {target}     | stands for nothing
            """)
    void a_pattern_that_cannot_serve_is_refused(String pattern, String why) {
        assertThatThrownBy(() -> NamePatterns.USUAL.withKey(pattern)).hasMessageContaining(why);
    }

    @Test
    void the_file_keeps_them() throws Exception {
        HouseRules rules =
                HouseRules.USUAL.withNaming(NamingRules.USUAL.with(NamePatterns.USUAL.withKey("pk {table}")));
        Document kept = STANDS.document().with(rules);

        assertThat(DocumentFile.parse(DocumentFile.print(kept)).rules()).isEqualTo(rules);
    }
}
