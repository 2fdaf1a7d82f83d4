package ableschema.engine;

import static org.assertj.core.api.Assertions.assertThat;
import static org.junit.jupiter.api.Assumptions.assumeTrue;

import ableschema.core.ddl.SqlReader;
import ableschema.core.document.Document;
import ableschema.core.reverse.Reverse;
import ableschema.core.rows.DesignScript;
import ableschema.core.schema.Schema;
import ableschema.core.store.DocumentFile;
import ableschema.engine.catalog.Catalog;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.SQLException;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** A database that is written, dumped, read and written again has the same dump, read from its text and from its catalogue. */
class DumpedAgainTest {

    private static final int DESIGNS = 4;

    private static Map<String, Document> designs() throws Exception {
        var designs = new LinkedHashMap<String, Document>();
        designs.put("demo", DocumentFile.read(Path.of("../demo/alder-valley.able.json")));
        designs.put(
                "every feature",
                DocumentFile.read(Path.of("../core/src/test/resources/designs/every-feature.able.json")));
        for (long seed = 1; seed <= DESIGNS; seed++) {
            designs.put("design " + seed, RandomDesign.of(seed));
        }
        return designs;
    }

    @ParameterizedTest
    @EnumSource
    void what_is_written_again_has_the_same_dump(DumpTool tool) throws Exception {
        for (Map.Entry<String, Document> design : designs().entrySet()) {
            boolean several = design.getValue().mapping().schema().tables().stream()
                    .anyMatch(table -> !table.qualified().namespace().isEmpty());
            if (several && tool == DumpTool.MARIADB_DUMP) {
                continue; // a namespace is a database of its own there, of which a dump has one
            }
            try (Connection connection = tool.engine().open()) {
                Optional<String> missing = tool.missing(connection);
                assumeTrue(missing.isEmpty(), () -> tool + " cannot be run: " + missing.orElseThrow());
                write(design.getValue(), connection, tool.engine());
                String dump = tool.dump(connection);

                Schema read = SqlReader.read(dump, tool.engine().dialect()).schema();
                assertThat(again(read, tool)).as(design.getKey()).isEqualTo(lines(dump));
                assertThat(again(Catalog.read(connection).schema(), tool))
                        .as("%s, from its catalogue", design.getKey())
                        .isEqualTo(lines(dump));
            }
        }
    }

    /** Without regard to the order in which the keys and rules of a table stand. */
    private static List<String> lines(String dump) {
        return dump.lines().map(line -> line.replaceFirst(",$", "")).sorted().toList();
    }

    private static List<String> again(Schema schema, DumpTool tool) throws Exception {
        Document found =
                Reverse.of(schema, "found", tool.engine().dialect().name()).document();
        try (Connection other = tool.engine().open()) {
            write(found, other, tool.engine());
            return lines(tool.dump(other));
        }
    }

    private static void write(Document document, Connection connection, RealEngine engine) throws SQLException {
        ScriptRun run = ScriptRun.of(DesignScript.definitions(document.mapping(), engine.dialect()), connection);
        assertThat(run.refusal()).isEmpty();
    }
}
