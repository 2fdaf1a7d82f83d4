package ableschema.core.rows;

import static ableschema.core.DesignFixture.design;
import static org.assertj.core.api.Assertions.assertThat;

import ableschema.core.DesignFixture;
import ableschema.core.ddl.SqlReader;
import ableschema.core.design.Id;
import ableschema.core.reverse.Reverse;
import ableschema.core.sql.dialect.Dialects;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.junit.jupiter.api.Test;

/** What another key of a row comes to: it goes on only where the changed columns are themselves referred to. */
class KeyChangeTest {

    private static DesignFixture piers() {
        return design(
                        "Each pier has code: text 4 (key).",
                        "Each berth has number: whole.",
                        "Each stay has no: whole (key).",
                        "Each fee has no: whole (key).",
                        "Each note has no: whole (key).",
                        "Each lamp has no: whole (key).",
                        "Each berth lies at exactly one pier; each pier has any number of berths (on update cascade).",
                        "Each berth is identified by its pier and number.",
                        "Each stay is at exactly one berth; each berth serves any number of stays (on update cascade).",
                        "Each fee is for exactly one stay; each stay brings any number of fees (on update cascade).",
                        "Each note is on at most one berth; each berth has any number of notes (on update set null).",
                        "Each lamp lights exactly one berth; each berth needs any number of lamps.")
                .filled("Pier", "code\nA\nB\nC\n")
                .filled("Berth", "pier,number\nA,1\nA,2\nB,1\n")
                .filled("Stay", "no,berth\n1,A / 1\n2,B / 1\n")
                .filled("Fee", "no,stay\n1,1\n")
                .filled("Note", "no,berth\n1,A / 2\n")
                .filled("Lamp", "no,berth\n1,B / 1\n");
    }

    private static Id id(DesignFixture made, String entity) {
        return made.entity(entity).id();
    }

    private static Id row(DesignFixture made, String entity, int place) {
        return made.entity(entity).body().rows().get(place).id();
    }

    @Test
    void it_goes_on_as_far_as_the_changed_columns_are_referred_to() {
        DesignFixture piers = piers();

        assertThat(KeyChange.reach(piers.document().mapping(), id(piers, "Pier")))
                .extracting(reach -> reach.level() + " " + piers.design().nameOf(reach.owner()) + " " + reach.does())
                .containsExactly("1 Berth CASCADE", "2 Stay CASCADE", "2 Note SET_NULL", "2 Lamp NO_ACTION");
        assertThat(KeyChange.reach(piers.document().mapping(), id(piers, "Fee")))
                .isEmpty();
    }

    @Test
    void rows_change_along_lose_it_or_hold_it_back() {
        DesignFixture piers = piers();
        KeyChange ofA = KeyChange.of(piers.document().mapping(), id(piers, "Pier"), row(piers, "Pier", 0));

        assertThat(ofA.isRefused()).isFalse();
        assertThat(ofA.changed())
                .isEqualTo(Map.of(
                        id(piers, "Berth"), Set.of(row(piers, "Berth", 0), row(piers, "Berth", 1)),
                        id(piers, "Stay"), Set.of(row(piers, "Stay", 0))));
        assertThat(ofA.emptied()).isEqualTo(Map.of(id(piers, "Note"), Set.of(row(piers, "Note", 0))));

        KeyChange ofB = KeyChange.of(piers.document().mapping(), id(piers, "Pier"), row(piers, "Pier", 1));
        assertThat(ofB.refusing()).isEqualTo(Map.of(id(piers, "Lamp"), Set.of(row(piers, "Lamp", 0))));
    }

    @Test
    void it_is_said_level_by_level_and_on_the_rows() {
        DesignFixture piers = piers();
        var said = new ReachText(piers.design(), piers.document().mapping());

        assertThat(said.changing(id(piers, "Pier")))
                .isEqualTo(List.of(
                        "at once: berths change too",
                        "2 levels down: stays change too; notes stay without it; lamps hold it back"));
        assertThat(said.changingRows(id(piers, "Pier")))
                .isEqualTo(
                        "of 3 sample rows 2 could get another key, and with them 2 berths and 1 stay; 1 is held back by"
                                + " 1 lamp");
    }

    @Test
    void a_reference_that_is_reached_on_two_ways_takes_on_what_comes_on_either() {
        var document = Reverse.of(
                        SqlReader.read(
                                """
                                create table pier (a int, b int, primary key (a, b), unique (a));
                                create table berth (no int primary key, a int not null, b int not null, c int not null,
                                  unique (a, c), foreign key (a, b) references pier (a, b) on update cascade,
                                  foreign key (c) references pier (a) on update cascade);
                                create table stay (no int primary key, a int not null, c int not null unique,
                                  foreign key (a, c) references berth (a, c) on update cascade);
                                create table fee (no int primary key, c int not null references stay (c) on update cascade);
                                """,
                                Dialects.POSTGRESQL),
                        "x")
                .document();
        Id pier = document.design().entities().stream()
                .filter(each -> each.name().equals("Pier"))
                .findFirst()
                .orElseThrow()
                .id();

        assertThat(KeyChange.reach(document.mapping(), pier))
                .extracting(reach -> reach.level() + " " + document.design().nameOf(reach.owner()))
                .containsExactly("1 Berth", "2 Stay", "3 Fee");
    }
}
