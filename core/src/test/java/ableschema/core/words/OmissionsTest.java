package ableschema.core.words;

import static ableschema.core.DesignFixture.design;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.entry;

import ableschema.core.DesignFixture;
import ableschema.core.ddl.SqlReader;
import ableschema.core.design.Brief;
import ableschema.core.design.Design;
import ableschema.core.design.Id;
import ableschema.core.design.IdKind;
import ableschema.core.design.Judgement;
import ableschema.core.design.Notes;
import ableschema.core.design.Question;
import ableschema.core.design.Relationship;
import ableschema.core.design.SetAside;
import ableschema.core.design.Side;
import ableschema.core.design.Topic;
import ableschema.core.document.Document;
import ableschema.core.reverse.Reverse;
import ableschema.core.sql.dialect.Dialects;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import org.junit.jupiter.api.Test;

/** What the words leave out is counted, thing by thing. */
class OmissionsTest {

    private static Document read(String script) {
        return Reverse.of(SqlReader.read(script, Dialects.POSTGRESQL), "ships").document();
    }

    private static Map<String, Integer> notSaid(String script) {
        return DesignText.of(read(script).design()).notSaid();
    }

    /** What a script adds to what is not said of a table of its own: the names that it gives are held fast. */
    private static Map<String, Integer> added(String script) {
        var counts = new TreeMap<>(notSaid("create table berth (id int primary key, code text); " + script));
        notSaid("create table berth (id int primary key, code text);")
                .forEach((sort, number) -> counts.merge(sort, -number, Integer::sum));
        List.of("pinned name", "place of a column", "option of a database").forEach(counts::remove);
        counts.values().removeIf(number -> number == 0);
        return counts;
    }

    @Test
    void what_only_a_database_can_say_is_counted() {
        assertThat(added("create domain depth as int default 3 check (value % 7 = 3);"))
                .containsOnly(entry("domain rule", 1));
        assertThat(added("create domain depth as int default (3 # 2) check (value > 3);"))
                .containsOnly(entry("domain default", 1));
        assertThat(added("create domain depth as int; comment on domain depth is 'below the keel';"))
                .containsOnly(entry("domain note", 1));
        assertThat(added("alter table berth add rank int default (3 # 2);")).containsOnly(entry("default", 1));
        assertThat(added("alter table berth add twice int generated always as (id # 2) stored;"))
                .containsOnly(entry("computation", 1));
        assertThat(added("alter table berth add check (id # 3 = 1); alter table berth add check (id # 3 = 2);"))
                .containsOnly(entry("rule", 2));
        assertThat(added("alter table berth add check (id > 1); create index on berth (code);"))
                .isEmpty();
        assertThat(added("create index on berth ((id # 3)); create index on berth using gin (to_tsvector('x', code));"))
                .containsOnly(entry("index", 2));
        assertThat(added("create function f() returns int language sql as 'select 1';"))
                .containsOnly(entry("carried statement", 1));
        assertThat(added("create table ship (id int primary key, berth_id int references berth);"))
                .isEmpty();
        assertThat(added("alter table berth add unique (code);"
                        + " create table ship (id int primary key, berth text references berth (code));"
                        + " comment on column ship.berth is 'where it lies';"))
                .containsOnly(entry("reference by another key", 1), entry("column note", 1));
    }

    @Test
    void a_name_that_is_held_fast_is_counted_wherever_it_stands() {
        String plain = "create table berth (id int primary key, code text); create table ship"
                + " (id int primary key, berth_id int references berth, name varchar(30) not null);";
        int usual = pinned(plain);
        assertThat(pinned("create domain \"Deep One\" as int; " + plain)).isEqualTo(usual + 1);
        assertThat(pinned(plain.replace("table ship", "table \"The Ships\""))).isGreaterThan(usual);
        assertThat(pinned(plain.replace("name varchar", "\"The Name\" varchar")))
                .isEqualTo(usual + 1);
        assertThat(pinned(plain + "alter table ship add constraint \"odd One\" check (id > 3);"))
                .isEqualTo(usual + 1);
        assertThat(pinned(plain + "alter table ship add constraint \"only One\" unique (name, berth_id);"))
                .isEqualTo(usual + 1);
        assertThat(pinned(plain + "create index \"By Name\" on ship (name);")).isEqualTo(usual + 1);
    }

    @Test
    void what_a_database_was_told_beside_is_counted() {
        assertThat(notSaid("create table berth (id int primary key) with (fillfactor = 70);"))
                .containsEntry("option of a database", 1);
        assertThat(notSaid("create table docks.berth (id int primary key, code varchar(3) not null);"))
                .isEqualTo(Map.of("pinned name", 1));
    }

    private static int pinned(String script) {
        return notSaid(script).getOrDefault("pinned name", 0);
    }

    @Test
    void what_people_have_noted_is_counted() {
        DesignFixture ships = design("Each ship lies at exactly one berth.", "Each ship has code: text 3.")
                .filled("ship", "code\nA\nB");
        Design design = ships.design();
        assertThat(DesignText.of(design).notSaid()).containsOnly(entry("row", 2));

        Id ship = ships.entity("ship").id();
        var brief = new Brief("to find ships", "A ship lies at a berth.", List.of())
                .with(new Question(ships.ids().next(IdKind.QUESTION), "Which?", List.of()));
        Notes notes = design.notes()
                .with(brief)
                .withReason(Topic.of(ship), "they asked")
                .with(new Judgement(ship, "Each ship lies at exactly one berth.", Judgement.Verdict.WRONG, ""))
                .withSetAside(List.of(new SetAside("keyless", ship, List.of(), Map.of(), "so be it")));
        assertThat(DesignText.of(design.with(notes)).notSaid())
                .containsOnly(
                        entry("row", 2),
                        entry("purpose", 1),
                        entry("told text", 1),
                        entry("question", 1),
                        entry("reason", 1),
                        entry("judgement", 1),
                        entry("set-aside finding", 1));
        assertThat(DesignText.of(design.with(notes)).omissions().orElseThrow())
                .startsWith("not said in words: 2 rows, ")
                .contains("1 question");
    }

    @Test
    void a_relationship_that_would_be_taken_for_another_is_counted_and_no_key_said_through_it() {
        DesignFixture ships = design(
                "Each ship lies at exactly one berth.",
                "Each ship is built at exactly one berth.",
                "Each ship has no.");
        Relationship second = ships.design().relationships().get(1);
        Design alike =
                ships.design().with(second.with(Side.FIRST, second.first().withVerb("lies at")));
        assertThat(DesignText.of(ships.design()).notSaid()).isEmpty();
        assertThat(DesignText.of(alike).notSaid()).containsOnly(entry("relationship", 1));
        assertThat(DesignText.of(ships.design()
                                .with(second.with(Side.SECOND, second.second().withVerb("is for"))))
                        .notSaid())
                .isEmpty();
    }
}
