package ableschema.core.fuzz;

import static org.assertj.core.api.Assertions.assertThat;

import ableschema.core.ddl.SqlRead;
import ableschema.core.ddl.SqlReader;
import ableschema.core.ddl.SqlSource;
import ableschema.core.document.Document;
import ableschema.core.reverse.Reverse;
import ableschema.core.sql.dialect.Dialect;
import ableschema.core.sql.dialect.Dialects;
import ableschema.core.store.DocumentFile;
import java.time.Duration;
import java.util.List;
import java.util.Random;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

/**
 * Any text is read without an exception and without an end of time: random characters, and scripts that are cut, spliced and
 * mutated. {@code -Dable.fuzz=100} reads 1,000,000.
 */
class SqlFuzzTest {

    private static final int USUAL = 5_000;
    private static final Duration LONGEST = Duration.ofSeconds(2);
    private static final String SIGNS = "'\"`[](){};,.:-/*#$@\\\n\r\t abcnN019E=<>|\u00e9\u0000\uD83D";

    private static final List<String> WORDS = List.of(
            "create table",
            "primary key",
            "references",
            "default",
            "check (",
            "constraint",
            "alter table",
            "add",
            "drop",
            "unique",
            "not null",
            "generated always as",
            "identity",
            "comment",
            "on delete",
            "like",
            "partition of",
            "inherits (",
            "delimiter //",
            "$$",
            "/*!",
            "*/",
            "--",
            "GO\n",
            "\n/\n",
            "copy a from stdin;\n",
            "begin",
            "end",
            "case",
            "function",
            "foreign key",
            "(",
            ")");

    private final Random random = new Random(17);
    private final List<String> scripts = Stream.concat(SqlSource.dumps(), SqlSource.written())
            .map(SqlSource::text)
            .toList();

    private String script() {
        return scripts.get(random.nextInt(scripts.size()));
    }

    private String stretch(int longest) {
        String text = script();
        int start = random.nextInt(text.length());
        return text.substring(start, Math.min(text.length(), start + random.nextInt(longest)));
    }

    private String noise() {
        var noise = new StringBuilder();
        for (int i = random.nextInt(200); i > 0; i--) {
            noise.append(random.nextInt(4) == 0 ? WORDS.get(random.nextInt(WORDS.size())) + " " : sign());
        }
        return noise.toString();
    }

    private String sign() {
        return String.valueOf(SIGNS.charAt(random.nextInt(SIGNS.length())));
    }

    private String mutated(String text) {
        var mutated = new StringBuilder(text);
        for (int i = 1 + random.nextInt(6); i > 0 && mutated.length() > 1; i--) {
            int at = random.nextInt(mutated.length());
            switch (random.nextInt(4)) {
                case 0 -> mutated.deleteCharAt(at);
                case 1 -> mutated.insert(at, sign());
                case 2 -> mutated.insert(at, WORDS.get(random.nextInt(WORDS.size())));
                default -> mutated.replace(at, Math.min(mutated.length(), at + random.nextInt(40)), "");
            }
        }
        return mutated.toString();
    }

    private String input() {
        return switch (random.nextInt(5)) {
            case 0 -> noise();
            case 1 -> stretch(3000);
            case 2 -> stretch(800) + stretch(800) + stretch(800);
            case 3 -> mutated(stretch(1500));
            default -> mutated(script());
        };
    }

    @Test
    void any_text_is_read() {
        long inputs = USUAL * Math.max(1, Long.getLong("able.fuzz", 1));
        long tables = 0;
        for (long i = 0; i < inputs; i++) {
            String text = input();
            Dialect dialect = Dialects.ALL.get(random.nextInt(Dialects.ALL.size()));
            long start = Worked.nanos();
            SqlRead read = read(text, dialect, i);
            if (i % 10 == 0) {
                String file = DocumentFile.print(
                        Reverse.of(read.schema(), "fuzz", dialect.name()).document());
                assertThat(DocumentFile.print(reopened(file, i, text)))
                        .as("input %s saved and opened", i)
                        .isEqualTo(file);
            }
            assertThat(Duration.ofNanos(Worked.nanos() - start))
                    .as("input %s", i)
                    .isLessThan(LONGEST);
            long lines = 1 + text.chars().filter(c -> c == '\n' || c == '\r').count();
            assertThat(read.skipped())
                    .allSatisfy(each -> assertThat((long) each.line()).isBetween(1L, lines));
            tables += read.counts().tables();
        }
        assertThat(tables).as("tables that were read all the same").isGreaterThan(inputs / 4);
    }

    private static Document reopened(String file, long input, String text) {
        try {
            return DocumentFile.parse(file);
        } catch (IllegalArgumentException e) {
            throw new AssertionError("input " + input + " cannot be opened again: " + text, e);
        }
    }

    private static SqlRead read(String text, Dialect dialect, long input) {
        try {
            return input % 7 == 0 ? SqlReader.read(text) : SqlReader.read(text, dialect);
        } catch (RuntimeException e) {
            throw new AssertionError("input " + input + " in " + dialect.name() + ": " + text, e);
        }
    }

    @Test
    void what_is_long_is_read_in_time() {
        List<String> texts = List.of(
                "(".repeat(200_000),
                "create table a (x int check (" + "(".repeat(50_000) + "x > 1" + ")".repeat(50_000) + "));",
                "create table a (" + "x".repeat(300_000) + " int);",
                "create table a (" + "c int,".repeat(3_000) + " d int);",
                "create trigger t begin ".repeat(20_000),
                "create table a (x int default " + "1 + ".repeat(40_000) + "1);",
                "/*".repeat(200_000),
                "$a$".repeat(100_001),
                "'".repeat(200_001),
                "insert into a values (1);\n".repeat(30_000),
                ";".repeat(300_000));
        for (Dialect dialect : Dialects.ALL) {
            for (String text : texts) {
                long start = Worked.nanos();
                SqlReader.read(text, dialect);
                assertThat(Duration.ofNanos(Worked.nanos() - start))
                        .as("%s %s", dialect.name(), text.substring(0, 40))
                        .isLessThan(LONGEST);
            }
        }
    }
}
