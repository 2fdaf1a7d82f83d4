package ableschema.bench;

import ableschema.core.ddl.SqlRead;
import ableschema.core.ddl.SqlReader;
import ableschema.core.document.Document;
import ableschema.core.mapping.Mapping;
import ableschema.core.reverse.Reverse;
import ableschema.core.rows.DesignScript;
import ableschema.core.sql.dialect.Dialects;
import ableschema.engine.BuiltInEngine;
import java.sql.Connection;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.concurrent.TimeUnit;
import net.sf.jsqlparser.JSQLParserException;
import net.sf.jsqlparser.parser.CCJSqlParserUtil;
import net.sf.jsqlparser.statement.Statements;
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

/**
 * 5,000 tables with 12 columns, two foreign keys and an index each: reading the script and writing it, and, as bases, what SQLite in memory
 * needs to run it and what a general grammar of SQL needs to read it.
 */
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@State(Scope.Benchmark)
@Warmup(iterations = 3, time = 3)
@Measurement(iterations = 5, time = 3)
@Fork(1)
public class ReadBenchmark {

    private static final int TABLES = 5_000;
    private static final int GROUP = 12;
    private static final int HUBS = 20;

    private String text = "";
    private Mapping mapping = Mapping.NONE;

    @Setup
    public void make() {
        text = script();
        Document document =
                Reverse.of(SqlReader.read(text, Dialects.SQLITE), "many").document();
        mapping = document.mapping();
    }

    /** Groups of a dozen, each table referring to the one before it in its group and to one of a few hubs. */
    private static String script() {
        var sql = new StringBuilder();
        for (int i = 0; i < TABLES; i++) {
            String name = "part_" + i;
            sql.append("CREATE TABLE ").append(name).append(" (\n  id integer NOT NULL,\n");
            for (int column = 1; column <= 9; column++) {
                String type =
                        column % 3 == 0 ? "decimal(10,2) DEFAULT 0" : column % 3 == 1 ? "varchar(40) NOT NULL" : "date";
                sql.append("  attribute_")
                        .append(column)
                        .append(' ')
                        .append(type)
                        .append(",\n");
            }
            int before = i % GROUP == 0 ? Math.max(0, i - GROUP) : i - 1;
            sql.append("  before_id integer,\n  hub_id integer NOT NULL,\n");
            sql.append("  CONSTRAINT ").append(name).append("_key PRIMARY KEY (id),\n");
            sql.append("  CONSTRAINT ").append(name).append("_before FOREIGN KEY (before_id) REFERENCES part_");
            sql.append(before).append(" (id) ON DELETE SET NULL,\n");
            sql.append("  CONSTRAINT ").append(name).append("_hub FOREIGN KEY (hub_id) REFERENCES part_");
            sql.append(i % HUBS).append(" (id),\n");
            sql.append("  CONSTRAINT ").append(name).append("_amount CHECK (attribute_3 >= 0)\n);\n");
            sql.append("CREATE INDEX ")
                    .append(name)
                    .append("_hub_index ON ")
                    .append(name)
                    .append(" (hub_id);\n");
        }
        return sql.toString();
    }

    @Benchmark
    public SqlRead read() {
        return SqlReader.read(text, Dialects.SQLITE);
    }

    @Benchmark
    public Document readAndReverse() {
        return Reverse.of(SqlReader.read(text, Dialects.SQLITE), "many").document();
    }

    @Benchmark
    public String write() {
        return DesignScript.definitions(mapping, Dialects.SQLITE).text();
    }

    /** The base of both. */
    @Benchmark
    public int runInSqlite() throws SQLException {
        try (Connection connection = BuiltInEngine.SQLITE.open();
                Statement statement = connection.createStatement()) {
            return statement.executeUpdate(text);
        }
    }

    /** The base of reading alone. */
    @Benchmark
    public Statements readWithGrammar() throws JSQLParserException {
        return CCJSqlParserUtil.parseStatements(text);
    }
}
