package ableschema.core.edit;

import static ableschema.core.DesignFixture.design;
import static org.assertj.core.api.Assertions.assertThat;

import ableschema.core.DesignFixture;
import ableschema.core.design.Design;
import ableschema.core.design.Side;
import ableschema.core.rows.DesignScript;
import ableschema.core.rows.RowJudge;
import ableschema.core.sql.dialect.Dialects;
import ableschema.core.words.DesignText;
import java.util.Optional;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Two entities that are one-to-one, in one. */
class MergeOneToOneTest {

    private static final String BETWEEN = "Each scale carries exactly one hive; each hive stands on at most one scale.";

    private static DesignFixture pair(String between) {
        return design(
                        "Each hive has code: text 6 (key), model: text 20.",
                        "Each scale has serial no: text 9 (key), model: text 20 (unique), kilos: whole (at least 1).",
                        between,
                        "Each reading has no: whole (key).",
                        "Each reading is taken from exactly one scale; each scale gives any number of readings (on delete"
                                + " cascade).",
                        "Each maker has name: text 20 (key).",
                        "Each scale comes from exactly one maker; each maker builds any number of scales.",
                        "Each scale is often searched by its kilos falling.",
                        "Of each scale: kilos < 900 or model <> 'X'.")
                .filled("Hive", "code,model\nA,old\nB,new\nC,new\n")
                .filled("Maker", "name\nOrr\n")
                .filled("Scale", "serial no,model,kilos,hive,maker\nS1,X,50,A,Orr\nS2,Y,60,B,Orr\n")
                .filled("Reading", "no,scale\n1,S1\n2,S2\n3,S2\n");
    }

    private static Optional<MergeOneToOne> into(DesignFixture made, Side keeper) {
        return MergeOneToOne.of(made.design(), made.design().relationships().get(0), keeper);
    }

    private static DesignFixture merged() {
        DesignFixture made = pair(BETWEEN);
        Side hive = made.design()
                        .at(made.design().relationships().get(0).first())
                        .name()
                        .equals("Hive")
                ? Side.FIRST
                : Side.SECOND;
        assertThat(into(made, hive.other())).isEmpty();
        return made.with(into(made, hive).orElseThrow());
    }

    @Test
    void the_one_that_stays_has_all_that_the_other_had() {
        DesignFixture merged = merged();

        assertThat(DesignText.of(merged.design()).text())
                .contains(
                        "Each hive has code: text 6 (key), model: text 20, [serial no]: text 9 (unique), [scale model]:"
                                + " text 20 (unique), [kilos]: whole (at least 1).")
                .contains("Each hive comes from at most one maker")
                .contains("Each hive is often searched by its kilos falling.")
                .contains("Of each hive: kilos < 900 or scale model <> 'X'.")
                .contains("Each reading is taken from exactly one hive")
                .doesNotContain("scale carries");
    }

    private static DesignFixture pinned(DesignFixture made, String entity) {
        var model = made.attribute(entity, "model");
        return made.with(f -> new Edits(f.design(), f.ids())
                .changeAttribute(model.withPins(model.pins().withName("MODEL_TX"))));
    }

    @Test
    void a_column_name_that_is_pinned_in_both_is_kept_by_the_one_that_stays() {
        DesignFixture both = pinned(pinned(pair(BETWEEN), "Hive"), "Scale");
        DesignFixture one = both.with(Stream.of(Side.values())
                .flatMap(side -> into(both, side).stream())
                .findFirst()
                .orElseThrow());

        assertThat(one.table("hive").columns())
                .extracting(column -> column.name())
                .contains("MODEL_TX", "scale_model");
    }

    @Test
    void rows_go_together_and_who_referred_to_the_other_still_refers_to_its_key() {
        DesignFixture merged = merged();
        String sql = DesignScript.withRows(merged.document().mapping(), Dialects.POSTGRESQL)
                .text();

        assertThat(RowJudge.judge(merged.design())).isEmpty();
        assertThat(sql).contains("('A', 'old', 'S1', 'X', 50, 'Orr')").contains("VALUES (3, 'S2')");
        assertThat(merged.table("reading").foreignKeys())
                .singleElement()
                .satisfies(key -> assertThat(key.targetColumns()).containsExactly("serial_no"));
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "Each scale carries at most one hive; each hive stands on at most one scale.",
                "Each scale carries exactly one hive; each hive stands on any number of scales."
            })
    void it_is_not_offered_where_one_may_be_without_the_other_or_have_several(String between) {
        DesignFixture made = pair(between);

        assertThat(into(made, Side.FIRST)).isEmpty();
        assertThat(into(made, Side.SECOND)).isEmpty();
    }

    @Test
    void a_row_that_would_be_lost_keeps_them_apart() {
        DesignFixture made = pair(BETWEEN).filled("Scale", "serial no,model,kilos,hive,maker\nS1,X,50,,Orr\n");

        assertThat(into(made, Side.FIRST)).isEmpty();
        assertThat(into(made, Side.SECOND)).isEmpty();
    }

    @Test
    void the_key_of_the_other_that_it_shares_is_that_of_the_one_that_stays() {
        DesignFixture made = design(
                        "Each hive has code: text 6 (key).",
                        "Each scale has kilos: whole.",
                        BETWEEN,
                        "Each reading has no: whole.",
                        "Each reading is of exactly one scale; each scale gives any number of readings.",
                        "Each scale is identified by its hive.",
                        "Each reading is identified by its scale, no.")
                .filled("Hive", "code\nA\nB\n")
                .filled("Scale", "hive,kilos\nB,5\n")
                .filled("Reading", "scale,no\nB,1\n");
        Design before = made.design();
        Side hive = before.at(before.relationships().get(0).first()).name().equals("Hive") ? Side.FIRST : Side.SECOND;
        DesignFixture merged = made.with(into(made, hive).orElseThrow());

        assertThat(RowJudge.judge(merged.design())).isEmpty();
        assertThat(merged.table("reading").primaryKey().orElseThrow().columns()).containsExactly("hive_code", "no");
        assertThat(DesignScript.withRows(merged.document().mapping(), Dialects.POSTGRESQL)
                        .text())
                .contains("VALUES ('B', 1)");
    }
}
