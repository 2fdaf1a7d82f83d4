package ableschema.cli;

import static ableschema.cli.Run.able;
import static ableschema.cli.Run.refused;
import static org.assertj.core.api.Assertions.assertThat;

import ableschema.core.design.Design;
import ableschema.core.store.DocumentFile;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.io.RandomAccessFile;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Each command as it is typed: data on standard output, messages on standard error, and the exit code. */
class CommandsTest {

    private static final String WORKED = "../demo/alder-valley.able.json";
    private static final String FIELD_LOG = "../demo/field-log.able.json";

    @TempDir
    private Path folder;

    @ParameterizedTest
    @ValueSource(strings = {"postgresql", "mysql", "mariadb", "sqlite", "sqlserver", "oracle", "h2", "H2", "standard"})
    void sql_goes_to_standard_output_or_to_a_file(String dialect) throws Exception {
        Run run = able("sql", WORKED, "--dialect", dialect);
        Path out = folder.resolve("out.sql");
        Run toFile = able("sql", WORKED, "--dialect", dialect, "--rows", "-o", out.toString());

        assertThat(run.exit()).isZero();
        assertThat(run.err()).isEmpty();
        assertThat(run.out()).contains("CREATE TABLE hive").doesNotContain("INSERT INTO hive");
        assertThat(toFile.exit()).isZero();
        assertThat(toFile.out()).isEmpty();
        assertThat(Files.readString(out))
                .startsWith("-- ")
                .contains(run.out().lines().findFirst().orElseThrow())
                .contains("INSERT INTO hive");
    }

    @Test
    void personal_values_are_written_only_where_they_are_asked_for() throws Exception {
        assertThat(able("sql", WORKED, "--rows").out())
                .contains("stand-ins take the place of what is personal or secret: keeper.known_as, keeper.reached_at")
                .doesNotContain("Linden", "@");
        assertThat(able("sql", WORKED, "--rows", "--personal").out())
                .contains("Linden")
                .doesNotContain("stand-ins");
    }

    @Test
    void what_is_undecided_is_listed_and_no_sql_is_written() throws Exception {
        Path open = Files.writeString(
                folder.resolve("open.able.json"),
                """
                {"version": 1, "entities": [{"id": "e:000001", "name": "Hive",
                  "attributes": [{"id": "a:000001", "name": "colour"}]}]}""");
        Path out = folder.resolve("out.sql");
        Run run = able("sql", open.toString(), "--dialect", "h2", "-o", out.toString());

        assertThat(run.exit()).isEqualTo(1);
        assertThat(run.out()).isEmpty();
        assertThat(run.err()).isEqualTo("undecided: Hive: colour has no type yet\n");
        assertThat(out).doesNotExist();
        Run partial = able("sql", open.toString(), "--dialect", "h2", "--partial", "-o", out.toString());
        assertThat(partial.exit()).isEqualTo(1);
        assertThat(partial.err()).isEqualTo(run.err());
        assertThat(Files.readString(out))
                .contains("-- The table hive is left out, as none of its columns has a type yet.");
        assertThat(able("tables", open.toString(), "--json")
                        .json()
                        .at("/tables/0/columns/0/type")
                        .asText())
                .isEqualTo("undecided");
        assertThat(able("draw", open.toString(), "-o", folder.resolve("o.svg").toString())
                        .exit())
                .isZero();
    }

    @Test
    void tables_are_printed_as_the_product_says() throws Exception {
        JsonNode tables = able("tables", WORKED, "--json").json().get("tables");
        JsonNode keeper = tables.get(3);

        assertThat(tables).hasSize(11);
        assertThat(keeper.get("name").asText()).isEqualTo("keeper");
        assertThat(keeper.get("columns").get(0).toString())
                .isEqualTo(
                        "{\"name\":\"keeper_no\",\"type\":\"integer\",\"nullable\":false,\"default\":null,\"identity\":{\"start\":101,\"step\":1}}");
        assertThat(keeper.get("primaryKey").toString())
                .isEqualTo("{\"name\":\"keeper_key\",\"columns\":[\"keeper_no\"]}");
        assertThat(keeper.get("foreignKeys").get(0).toString())
                .isEqualTo(
                        "{\"name\":\"keeper_is_mentored_by_mentor\",\"columns\":[\"mentor_no\"],\"references\":"
                                + "{\"table\":\"keeper\",\"columns\":[\"keeper_no\"]},\"onDelete\":\"no action\",\"onUpdate\":\"no action\"}");
        assertThat(tables.get(1).get("checks").get(1).get("expression").asText())
                .isEqualTo("set_up_on >= '1990-01-01'");
        assertThat(keeper.get("indexes").get(0).toString())
                .isEqualTo("{\"name\":\"keeper_mentor_no_index\",\"columns\":[\"mentor_no\"],\"unique\":false}");
    }

    @Test
    void tables_tell_marks_patterns_and_the_rows_that_are_expected() throws Exception {
        Path words = folder.resolve("jars.txt");
        Files.writeString(
                words,
                "Each jar has code: text 6 (key; pattern J-0000; code), paid: decimal 8,2 (money; personal).\n"
                        + "There are about 20 jars, and 3,000 more each year.\n");
        Path design = folder.resolve("jars.able.json");
        assertThat(able("words", "--from", words.toString(), "-o", design.toString())
                        .exit())
                .isZero();
        JsonNode jar = able("tables", design.toString(), "--json").json().at("/tables/0");

        assertThat(jar.at("/columns/0/pattern").asText()).isEqualTo("J-0000");
        assertThat(jar.at("/columns/1/marks")).hasToString("[\"money\",\"personal\"]");
        assertThat(jar.at("/expected/eachYear").asLong()).isEqualTo(3000);
    }

    @Test
    void tables_name_types_of_the_standard_or_of_a_dialect() throws Exception {
        String standard = able("tables", WORKED, "--json").out();
        String postgresql =
                able("tables", WORKED, "--json", "--dialect", "postgresql").out();

        assertThat(standard).contains("\"char(36)\"").contains("\"clob\"");
        assertThat(postgresql).contains("\"uuid\"").contains("\"text\"");
    }

    @Test
    void normalize_prints_one_object_a_line_in_the_order_of_the_files() throws Exception {
        Path text = Files.writeString(folder.resolve("r.txt"), "# a textbook case\n\nR(S, J, T)\nS, J -> T\nT -> J\n");
        Run run = able("normalize", FIELD_LOG, text.toString(), "--json");
        List<String> lines = run.out().lines().toList();
        JsonNode textbook = new ObjectMapper().readTree(lines.get(1));

        assertThat(run.exit()).isZero();
        assertThat(lines).hasSize(2);
        assertThat(new ObjectMapper().readTree(lines.get(0)).get("normalForm").asText())
                .isEqualTo("1NF");
        assertThat(textbook.get("keys").toString()).isEqualTo("[[\"S\",\"J\"],[\"S\",\"T\"]]");
        assertThat(textbook.get("primeAttributes").toString()).isEqualTo("[\"S\",\"J\",\"T\"]");
        assertThat(textbook.get("normalForm").asText()).isEqualTo("3NF");
        assertThat(textbook.at("/minimalCover/0").toString()).isEqualTo("{\"from\":[\"S\",\"J\"],\"to\":[\"T\"]}");
        assertThat(textbook.at("/decompositions/1").toString())
                .isEqualTo(
                        "{\"goal\":\"BCNF\",\"relations\":[{\"attributes\":[\"J\",\"T\"],\"key\":[\"T\"]},"
                                + "{\"attributes\":[\"S\",\"T\"],\"key\":[\"S\",\"T\"]}],\"lossless\":true,\"preservesDependencies\":false,\"inForm\":true}");
        assertThat(textbook.get("complete").asBoolean()).isTrue();
        assertThat(textbook.get("open").isEmpty()).isTrue();
        refused(able("normalize", text.toString(), "--seconds", "0"), "--seconds is 0", "at least 1");
    }

    @Test
    void an_entity_of_a_design_is_named_where_there_are_several() {
        refused(able("normalize", WORKED), "9 entities", "--entity", "Apiary, Hive");
        refused(able("normalize", WORKED, "--entity", "Hvie"), "no entity called 'Hvie'");
        assertThat(able("normalize", WORKED, "--entity", "hive").out()).startsWith("Hive is in BCNF");
    }

    @ParameterizedTest
    @CsvSource({"concept, crowsfoot, svg", "tables, minmax, svg", "concept, chen, png"})
    void pictures_are_drawn_in_each_view_and_notation(String view, String notation, String ending) throws Exception {
        Path out = folder.resolve("p." + ending);
        Run run = able("draw", WORKED, "-o", out.toString(), "--view", view, "--notation", notation);

        assertThat(run.exit()).as(run.err()).isZero();
        byte[] bytes = Files.readAllBytes(out);
        assertThat(new String(bytes, 0, 5, StandardCharsets.ISO_8859_1))
                .isEqualTo(ending.equals("svg") ? "<?xml" : "\u0089PNG\r");
        assertThat(bytes.length).isGreaterThan(10_000);
    }

    @Test
    void an_output_never_replaces_what_it_was_made_from() throws Exception {
        Path design = Files.copy(Path.of(WORKED), folder.resolve("mine.svg"));
        Path link = Files.createSymbolicLink(folder.resolve("link.svg"), design);
        Path text = Files.writeString(folder.resolve("said.txt"), "Each hive has colour: text 9 (key).");

        for (Path out : List.of(design, link)) {
            String file = design.toString();
            refused(able("sql", file, "--dialect", "h2", "-o", out.toString()), out.toString(), "was made from it");
            refused(able("draw", file, "-o", out.toString()), "was made from it");
            refused(able("tables", file, "-o", out.toString()), "was made from it");
            refused(able("words", file, "-o", out.toString()), "was made from it");
            refused(able("review", file, "-o", out.toString()), "was made from it");
        }
        refused(able("words", "--from", text.toString(), "-o", text.toString()), "was made from it");
        assertThat(design).hasSameBinaryContentAs(Path.of(WORKED));
        assertThat(text).hasContent("Each hive has colour: text 9 (key).");
    }

    @Test
    void wrong_use_is_told_in_one_line() {
        refused(able("sql", WORKED, "--dialect", "postgre"), "unknown dialect 'postgre'", "did you mean 'postgresql'?");
        refused(able("sql", WORKED, "--dialect", "db"), "the dialects are postgresql, mysql, mariadb, sqlite");
        refused(able("sql"), "FILE");
        refused(able("draw", WORKED, "-o", "x.gif"), "x.gif", ".svg, .png or .pdf");
        refused(able("draw", WORKED, "-o", "x.svg", "--notation", "arrows"), "arrows");
        refused(able("sqll", WORKED), "sqll");
        refused(able("sql", WORKED, "--dialect", "h2", "--row"), "--row");
    }

    @Test
    void unreadable_input_is_told_in_one_line_and_nothing_is_overwritten() throws Exception {
        Path damaged = Files.writeString(folder.resolve("d.able.json"), "{\"version\": 1,\n\"entities\": [}");
        Path newer = Files.writeString(folder.resolve("n.able.json"), "{\"version\": 2}");
        Path empty = Files.writeString(folder.resolve("e.able.json"), "");
        Path huge = folder.resolve("h.able.json");
        try (var file = new RandomAccessFile(huge.toFile(), "rw")) {
            file.setLength(50L * 1024 * 1024);
        }
        Path sentences = Files.writeString(folder.resolve("said.txt"), "Each hive stands in exactly one apiary.");
        Path kept = Files.writeString(folder.resolve("kept.sql"), "mine");

        for (String command : List.of("sql", "tables", "draw", "normalize", "review")) {
            refused(on(command, folder.resolve("gone.able.json"), kept), "gone.able.json", "there is no such file");
            refused(on(command, damaged, kept), "line 2", "not JSON");
            refused(on(command, newer, kept), "format version 2", "newer");
            refused(on(command, empty, kept), "it is empty");
            refused(on(command, huge, kept), "50 MB");
        }
        refused(able("tables", sentences.toString()), "said.txt", "it is no design", "able words --from");
        refused(able("tables", folder.toString()), "it is a folder");
        refused(able("sql", WORKED, "--dialect", "h2", "-o", folder.toString()), "cannot write", "it is a folder");
        refused(able("sql", WORKED, "--dialect", "h2", "-o", folder + "/no/x.sql"), "cannot write", "does not exist");
        refused(able(damaged.toString()), "line 2");
        assertThat(kept).hasContent("mine");
    }

    private static Run on(String command, Path file, Path kept) {
        return switch (command) {
            case "sql" -> able("sql", file.toString(), "--dialect", "h2", "-o", kept.toString());
            case "draw" ->
                able(
                        "draw",
                        file.toString(),
                        "-o",
                        kept.resolveSibling("kept.svg").toString());
            default -> able(command, file.toString());
        };
    }

    @Test
    void faulty_relation_text_is_told_with_its_line() throws Exception {
        Path text = Files.writeString(folder.resolve("r.txt"), "R(A, B)\nA => B\n");

        refused(able("normalize", text.toString(), "--json"), "r.txt", "line 2", "'->'");
    }

    @Test
    void help_and_version_are_there() {
        assertThat(able("--version").out()).startsWith("Able Schema");
        assertThat(able("--help").out()).contains("sql", "normalize", "Exit codes");
        assertThat(able("sql", "--help").exit()).isZero();
    }

    @Test
    void words_say_the_demo_and_make_it_again() throws Exception {
        Run said = able("words", WORKED);
        Path text = Files.writeString(folder.resolve("said.txt"), said.out());
        Path again = folder.resolve("again.able.json");
        Run read = able("words", "--from", text.toString(), "-o", again.toString());

        assertThat(said.exit()).isZero();
        assertThat(said.err()).startsWith("not said in words: ").contains(" rows");
        assertThat(read.exit()).as(read.err()).isZero();
        Design before = DocumentFile.read(Path.of(WORKED)).design();
        assertThat(DocumentFile.read(again).design().sameMeaning(before))
                .allMatch(difference -> difference.place().matches("purpose|question.*|.* row.*"));
    }

    @Test
    void what_was_understood_of_words_is_written_where_that_is_asked_for() throws Exception {
        Path text = Files.writeString(folder.resolve("some.txt"), "Each shelf has code (key).\nWhat is a shelf?\n");
        Path out = folder.resolve("some.able.json");

        Run run = able("words", "--from", text.toString(), "-o", out.toString(), "--partial");

        assertThat(run.exit()).isEqualTo(1);
        assertThat(run.err()).startsWith("line 2, column 1: ");
        assertThat(able("words", out.toString()).out()).contains("Each shelf has code (key).");
    }

    @Test
    void words_that_are_not_understood_write_nothing() throws Exception {
        Path text = Files.writeString(
                folder.resolve("slip.txt"), "Each hive stands in exctly one apiary.\nWhat is a hive?\n");
        Path out = Files.writeString(folder.resolve("kept.able.json"), "before");

        Run run = able("words", "--from", text.toString(), "-o", out.toString());
        assertThat(run.exit()).isEqualTo(2);
        assertThat(run.out()).isEmpty();
        assertThat(run.err().lines().toList())
                .satisfiesExactly(
                        first -> assertThat(first)
                                .startsWith("line 1, column 21: ")
                                .contains("\"exactly\""),
                        second -> assertThat(second).startsWith("line 2, column 1: "),
                        last -> assertThat(last)
                                .contains("slip.txt", "2 sentences were not understood", "nothing was written"));
        assertThat(Files.readString(out)).isEqualTo("before");
        refused(able("words"), "name either a design to say, or --from");
        refused(able("words", WORKED, "--from", text.toString()), "either");
    }

    @Test
    void a_review_says_place_by_place_what_speaks_against_a_design() throws Exception {
        String log = "../demo/field-log.able.json";
        Run run = able("review", log);
        JsonNode findings = able("review", log, "--json").json().get("findings");
        Run one = able("review", log, "--rule", "below-third");

        assertThat(run.exit()).isEqualTo(1);
        assertThat(run.err()).isEmpty();
        assertThat(run.out().lines().toList())
                .startsWith("Field log")
                .anyMatch(
                        line -> line.startsWith("  must-mend  repeated-columns  Field log: forage 1, forage 2 repeat"));
        assertThat(findings).hasSize(3);
        JsonNode repeated = findings.get(0);
        assertThat(repeated.get("rule").asText()).isEqualTo("repeated-columns");
        assertThat(repeated.get("severity").asText()).isEqualTo("must-mend");
        assertThat(repeated.get("step").asText()).isEqualTo("Normal forms");
        assertThat(repeated.at("/place/table").asText()).isEqualTo("field_log");
        assertThat(repeated.at("/place/columns/1").asText()).isEqualTo("forage_2");
        assertThat(repeated.at("/place/row").isNull()).isTrue();
        assertThat(repeated.get("remedy").asText()).isEqualTo("give them a table of their own");
        assertThat(repeated.get("setAside").isNull()).isTrue();
        assertThat(one.exit()).as("nothing of this rule must be mended").isZero();
        assertThat(one.out().lines()).hasSize(2);
    }

    @Test
    void a_review_follows_the_dialect_and_a_good_design_has_little_to_say() {
        assertThat(able("review", WORKED).out().lines()).hasSize(2);
        Run oracle = able("review", WORKED, "--dialect", "oracle");
        assertThat(oracle.exit()).isZero();
        assertThat(oracle.out()).contains("All tables").contains("Not in Oracle");
        refused(able("review", WORKED, "--rule", "nokey"), "there is no rule 'nokey'", "did you mean 'no-key'?");
        refused(able("review", WORKED, "--dialect", "orcle"), "did you mean 'oracle'?");
        refused(able("review", "no-such.able.json"), "no-such.able.json");
    }

    @Test
    void what_is_set_aside_does_not_count() throws Exception {
        Path file = Files.writeString(
                folder.resolve("aside.able.json"),
                """
                {"version": 1, "entities": [{"id": "e:000001", "name": "Hive",
                  "attributes": [{"id": "a:000001", "name": "colour", "type": "text 9"}]}],
                 "notes": {"setAside": [{"rule": "no-key", "about": "e:000001", "because": "it is a heap"}]}}""");
        Run run = able("review", file.toString());

        assertThat(run.exit()).isZero();
        assertThat(run.out()).isEqualTo("1 set aside, each with its reason\n");
        assertThat(able("review", file.toString(), "--json")
                        .json()
                        .at("/findings/0/setAside")
                        .asText())
                .isEqualTo("it is a heap");
    }

    @Test
    void house_rules_go_from_one_design_to_another() throws Exception {
        Path house = folder.resolve("house.able.json");
        Path other = folder.resolve("other.able.json");
        Files.writeString(
                house,
                Files.readString(Path.of(WORKED))
                        .replaceFirst("\"rules\": \\{", "\"rules\": {\"choices\": {\"script.keys\": \"beside\"}, "));
        Path rules = folder.resolve("rules.json");

        assertThat(able("rules", house.toString(), "-o", rules.toString()).exit())
                .isZero();
        assertThat(Files.readString(rules)).contains("script.keys").doesNotContain("Hive");
        assertThat(able("sql", FIELD_LOG, "--rules", rules.toString(), "--partial", "--dialect", "postgresql")
                        .exit())
                .isLessThan(2);
        assertThat(able("sql", WORKED, "--rules", rules.toString()).out())
                .contains("CONSTRAINT apiary_key PRIMARY KEY");
        assertThat(able("sql", WORKED).out()).doesNotContain("CONSTRAINT apiary_key PRIMARY KEY");
        assertThat(able("rules", WORKED, "--rules", rules.toString(), "-o", other.toString())
                        .exit())
                .isZero();
        assertThat(able("sql", other.toString()).out()).contains("CONSTRAINT apiary_key PRIMARY KEY");
        refused(able("rules", WORKED, "-o", other.toString()), "it is a design", "--replace");
        refused(able("rules", WORKED, "--rules", folder.resolve("none.json").toString()), "none.json");
    }
}
