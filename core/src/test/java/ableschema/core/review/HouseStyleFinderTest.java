package ableschema.core.review;

import static org.assertj.core.api.Assertions.assertThat;

import ableschema.core.ddl.SqlReader;
import ableschema.core.design.IdSource;
import ableschema.core.document.Document;
import ableschema.core.finding.Finding;
import ableschema.core.mapping.NameStyle;
import ableschema.core.mapping.NamingRules;
import ableschema.core.reverse.Reverse;
import ableschema.core.sql.dialect.Dialects;
import java.util.List;
import java.util.Set;
import org.junit.jupiter.api.Test;

class HouseStyleFinderTest {

    private static final Set<String> OURS = Set.of("name-departs", "table-number", "target-hidden", "bare-name");

    private static final String LEGACY =
            """
            create table boat (boat_id int primary key, hull_no int, "ownerName" text, made_by text);
            create table berths (berth_id int primary key, boat_id int references boat, depth_cm int);
            create table pier_log (log_id int primary key, ref_1 int references boat, max int, at_day date);
            create table crew_member (crew_id int primary key, first_name text, news text);
            """;

    private static Document read(String sql) {
        return Reverse.of(SqlReader.read(sql, Dialects.POSTGRESQL), "x").document();
    }

    private static List<Finding> found(Document document) {
        return Review.of(Subject.of(document, document.mapping())).open().stream()
                .filter(each -> OURS.contains(each.rule().id()))
                .toList();
    }

    @Test
    void what_departs_hides_or_says_too_little_is_found_once() {
        assertThat(found(read(LEGACY)))
                .extracting(Finding::text)
                .containsExactlyInAnyOrder(
                        "Boat: by the rules of the house ownerName would be owner_name.",
                        "The table berths would be berth by the rules of the house.",
                        "Pier log: ref_1 refers to boat and does not say so.",
                        "Pier log: max does not say of what.");
    }

    @Test
    void each_is_corrected_and_nothing_is_left() {
        Document document = read(LEGACY);
        var ids = IdSource.seeded(1);
        for (Finding each : found(document)) {
            if (!each.remedies().isEmpty()) {
                document = each.remedies().get(0).edit(document.design(), ids).applyTo(document);
            }
        }

        assertThat(found(document)).extracting(each -> each.rule().id()).containsExactly("target-hidden");
        assertThat(document.mapping().schema().table("berth")).isPresent();
        assertThat(document.mapping().schema().table("boat").orElseThrow().column("owner_name"))
                .isPresent();
    }

    @Test
    void an_abbreviation_in_capitals_is_no_departure_where_capitals_join_the_words() {
        Document document = read(
                """
                create table "BoatOwner" ("BoatOwnerID" int primary key, "ID" int, "FullName" text, "CODE" text);
                create table "Pier" ("PierID" int primary key, "OpenedOn" date, old_code text);
                """);

        assertThat(document.rules().naming().style()).isEqualTo(NameStyle.PASCAL);
        assertThat(found(document))
                .extracting(Finding::text)
                .containsExactlyInAnyOrder(
                        "Boat owner: by the rules of the house CODE would be Code.",
                        "Pier: by the rules of the house old_code would be OldCode.");
    }

    @Test
    void signs_alone_have_no_style_and_two_names_do_not_become_one() {
        Document document =
                read("create table boat (boat_id int primary key, \"%%\" int, \"oldCode\" int, old_code int);");

        List<Finding> found = found(document);
        assertThat(found).extracting(Finding::text).noneMatch(text -> text.contains("%%"));
        Document mended = found.get(0)
                .remedies()
                .get(0)
                .edit(document.design(), IdSource.seeded(1))
                .applyTo(document);
        assertThat(mended.mapping().schema().table("boat").orElseThrow().columns())
                .extracting(column -> column.name())
                .doesNotHaveDuplicates()
                .hasSize(4);
    }

    @Test
    void a_word_that_only_ends_like_a_plural_is_none() {
        String tables = "create table lens (lens_id int primary key); create table series (series_id int primary key);"
                + " create table berths (berth_id int primary key); create table pier (pier_id int primary key);"
                + " create table boat (boat_id int primary key);";

        assertThat(found(read(tables)))
                .extracting(Finding::text)
                .containsExactly("The table berths would be berth by the rules of the house.");
    }

    @Test
    void another_house_finds_other_departures() {
        Document document = read(LEGACY);
        NamingRules plural = document.rules().naming().withPlural(true).withPrefix("t_");

        assertThat(found(document.with(document.rules().withNaming(plural))))
                .extracting(Finding::text)
                .contains("Boat: by the rules of the house ownerName would be owner_name.");
    }

    @Test
    void a_design_of_ones_own_follows_its_rules() {
        assertThat(
                        found(
                                read(
                                        "create table boat (boat_id int primary key, price int); create table news (news_id int primary key);")))
                .isEmpty();
    }

    @Test
    void columns_of_one_table_are_one_finding() {
        var columns = new StringBuilder();
        for (int i = 0; i < 6; i++) {
            columns.append(", \"partNo" + i + "\" int");
        }
        Document document =
                read("create table pier (pier_id int primary key, log_no int, dep_no int, in_no int, at_no int,"
                        + " of_no int, up_no int, by_no int" + columns + ");");

        assertThat(found(document))
                .extracting(Finding::text)
                .containsExactly("Pier: by the rules of the house partNo0 would be part_no0, partNo1 would be part_no1,"
                        + " partNo2 would be part_no2, partNo3 would be part_no3 and 2 more otherwise.");
        Document mended = found(document)
                .get(0)
                .remedies()
                .get(0)
                .edit(document.design(), IdSource.seeded(1))
                .applyTo(document);
        assertThat(found(mended)).isEmpty();
    }
}
