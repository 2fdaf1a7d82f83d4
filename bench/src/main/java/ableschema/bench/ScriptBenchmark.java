package ableschema.bench;

import ableschema.core.document.Document;
import ableschema.core.mapping.Mapping;
import ableschema.core.rows.DesignScript;
import ableschema.core.sql.Script;
import ableschema.core.sql.dialect.Dialects;
import ableschema.engine.BuiltInEngine;
import ableschema.engine.ScriptRun;
import java.sql.Connection;
import java.sql.SQLException;
import java.util.concurrent.TimeUnit;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.Setup;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;

/** The script of 2,000 tables with some 24,000 columns: deriving the tables, writing the text, and, as the base, running it. */
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@State(Scope.Benchmark)
@Warmup(iterations = 3, time = 3)
@Measurement(iterations = 5, time = 3)
@Fork(1)
public class ScriptBenchmark {

    private Document document = Document.EMPTY;
    private Mapping mapping = Mapping.NONE;
    private Script script = DesignScript.definitions(Mapping.NONE, Dialects.SQLITE);

    @Setup
    public void make() {
        document = Designs.manyTables();
        mapping = document.mapping();
        script = DesignScript.definitions(mapping, Dialects.SQLITE);
    }

    @Benchmark
    public Mapping derive() {
        return document.mapping();
    }

    /** The text of the script, from the tables. */
    @Benchmark
    public String write() {
        return DesignScript.definitions(mapping, Dialects.SQLITE).text();
    }

    /** One attribute renamed, and the tables that follow. */
    @Benchmark
    public Mapping deriveAfterEdit() {
        var entity = document.design().entities().get(1000);
        var attribute = entity.body().attributes().get(3);
        Document changed = document.with(
                document.design().with(entity.withBody(entity.body().replacing(attribute.withName("renamed")))));
        return changed.mapping(mapping);
    }

    /** The base: SQLite in memory runs it. */
    @Benchmark
    public ScriptRun run() throws SQLException {
        try (Connection connection = BuiltInEngine.SQLITE.open()) {
            ScriptRun run = ScriptRun.of(script, connection);
            if (run.refusal().isPresent()) {
                throw new IllegalStateException("SQLite refused " + run.refusal());
            }
            return run;
        }
    }
}
