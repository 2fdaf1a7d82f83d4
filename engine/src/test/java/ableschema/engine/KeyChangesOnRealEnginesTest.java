package ableschema.engine;

import static org.assertj.core.api.Assertions.assertThat;

import ableschema.core.design.Id;
import ableschema.core.design.Row;
import ableschema.core.document.Document;
import ableschema.core.mapping.Mapping;
import ableschema.core.rows.DesignScript;
import ableschema.core.rows.KeyChange;
import java.sql.Connection;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** What another key is said to come to, over three levels, held against what engines do. */
class KeyChangesOnRealEnginesTest {

    private static Document harbour() {
        Document made = Said.read(
                "Each pier has code: text 4 (key).",
                "Each berth has number: whole.",
                "Each berth is identified by its pier and number.",
                "Each stay has no: whole (key).",
                "Each fee has no: whole (key).",
                "Each note has no: whole (key).",
                "Each lamp has no: whole (key).",
                "Each berth lies at exactly one pier; each pier has any number of berths (on update cascade).",
                "Each stay is at exactly one berth; each berth serves any number of stays (on update cascade).",
                "Each fee is for exactly one stay; each stay brings any number of fees (on update cascade).",
                "Each note is of at most one pier; each pier has any number of notes (on update set null).",
                "Each lamp lights exactly one berth; each berth needs any number of lamps.");
        made = Said.filled(made, "Pier", "code\nA\nB\nC\n");
        made = Said.filled(made, "Berth", "pier,number\nA,1\nA,2\nB,1\n");
        made = Said.filled(made, "Stay", "no,berth\n1,A / 1\n2,B / 1\n3,A / 2\n");
        made = Said.filled(made, "Fee", "no,stay\n1,1\n");
        made = Said.filled(made, "Note", "no,pier\n1,A\n2,B\n");
        return Said.filled(made, "Lamp", "no,berth\n1,B / 1\n");
    }

    private static int count(Map<Id, Set<Id>> rows, Document document, String entity) {
        return rows.getOrDefault(Said.entity(document, entity).id(), Set.of()).size();
    }

    @ParameterizedTest
    @EnumSource
    void another_key_comes_to_the_rows_that_it_is_said_to(RealEngine engine) throws Exception {
        Document document = harbour();
        Mapping mapping = document.mapping();
        List<Row> piers = Said.entity(document, "Pier").body().rows();
        int refused = 0;
        for (int i = 0; i < piers.size(); i++) {
            KeyChange said = KeyChange.of(
                    mapping, Said.entity(document, "Pier").id(), piers.get(i).id());
            String code = List.of("A", "B", "C").get(i);
            try (Connection connection = engine.open()) {
                assertThat(ScriptRun.of(DesignScript.withRows(mapping, engine.dialect()), connection)
                                .refusal())
                        .isEmpty();
                boolean taken = Said.isTaken(connection, "UPDATE pier SET code = 'Z' WHERE code = '" + code + "'");
                assertThat(taken).as("%s %s", engine, code).isEqualTo(!said.isRefused());
                refused += taken ? 0 : 1;
                if (taken) {
                    assertThat(Said.number(connection, "SELECT count(*) FROM berth WHERE pier_code = 'Z'"))
                            .isEqualTo(count(said.changed(), document, "Berth"));
                    assertThat(Said.number(connection, "SELECT count(*) FROM stay WHERE berth_pier_code = 'Z'"))
                            .isEqualTo(count(said.changed(), document, "Stay"));
                    assertThat(Said.number(connection, "SELECT count(*) FROM note WHERE pier_code IS NULL"))
                            .isEqualTo(count(said.emptied(), document, "Note"));
                }
            }
        }
        assertThat(refused).isEqualTo(1);
    }
}
