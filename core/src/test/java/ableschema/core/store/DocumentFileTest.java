package ableschema.core.store;

import static ableschema.core.DesignFixture.design;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.catchThrowable;

import ableschema.core.DesignFixture;
import ableschema.core.design.Attribute;
import ableschema.core.design.Body;
import ableschema.core.design.Reference;
import ableschema.core.design.ReferenceColumn;
import ableschema.core.design.Relationship;
import ableschema.core.design.Side;
import ableschema.core.document.Document;
import ableschema.core.document.Position;
import ableschema.core.document.Starter;
import ableschema.core.edit.ChangeRules;
import ableschema.core.edit.Edits;
import ableschema.core.edit.PutRelationship;
import ableschema.core.edit.Remove;
import ableschema.core.types.ReferenceAction;
import java.io.RandomAccessFile;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class DocumentFileTest {

    @TempDir
    private Path folder;

    private String refusal(Path file) {
        Throwable thrown = catchThrowable(() -> DocumentFile.read(file));
        assertThat(thrown).isInstanceOf(FileProblem.class);
        assertThat(thrown.getMessage()).doesNotContain("\n").contains(file.toString());
        return thrown.getMessage();
    }

    private Path file(String content) throws Exception {
        return Files.writeString(folder.resolve("d.able.json"), content);
    }

    @Test
    void a_starter_is_kept_with_a_design_and_has_nothing_to_do_with_what_it_was_taken_from() {
        DesignFixture made = design(
                "The domain stamp holds date.",
                "Each jar has code: text 6 (key; personal), filled on: domain stamp, honey: whole, sugar: whole (optional).",
                "The sugar of each jar is computed from honey + 1.");
        Starter starter = Starter.of("stamps", made.entity("Jar").body().attributes(), made.design(), made.ids());
        Document kept = new ChangeRules(made.document().rules().with(starter), "keep").applyTo(made.document());
        Document without = new Remove(
                        List.of(
                                made.entity("Jar").id(),
                                made.design().domains().get(0).id()),
                        "remove")
                .applyTo(kept);

        for (Document each : List.of(kept, without)) {
            assertThat(DocumentFile.parse(DocumentFile.print(each))).isEqualTo(each);
        }
        List<Attribute> given = starter.attributesFor(Body.EMPTY, made.ids());
        assertThat(given)
                .extracting(a -> a.name() + " " + a.type() + " " + a.marks() + " "
                        + a.filling().isComputed())
                .containsExactly(
                        "code text 6 [personal] false",
                        "filled on date [] false",
                        "honey whole [] false",
                        "sugar whole [] false");
        assertThat(starter.attributesFor(made.entity("Jar").body(), made.ids())).isEmpty();
    }

    @Test
    void a_file_whose_starter_has_the_ids_of_what_it_was_taken_from_is_opened() {
        DesignFixture made = design("Each jar has code: text 6 (key).");
        var starter = new Starter("jars", made.entity("Jar").body().attributes());
        Document kept = new ChangeRules(made.document().rules().with(starter), "keep").applyTo(made.document());

        assertThat(DocumentFile.parse(DocumentFile.print(kept))).isEqualTo(kept);
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "../demo/alder-valley.able.json",
                "../demo/field-log.able.json",
                "src/test/resources/designs/every-feature.able.json"
            })
    void a_document_read_and_written_again_is_the_same(String demo) throws Exception {
        Document document = DocumentFile.read(Path.of(demo));
        Path copy = folder.resolve("copy.able.json");
        DocumentFile.write(copy, document);

        assertThat(DocumentFile.read(copy)).isEqualTo(document);
        assertThat(Files.readString(copy)).isEqualTo(Files.readString(Path.of(demo)));
    }

    /** Before, the relationship said what happens on delete and what its columns are called, and ids had six signs. */
    @Test
    void a_file_of_before_is_read_and_written_in_todays_form() throws Exception {
        Path file = file(
                """
                {"version": 1, "entities": [
                  {"id": "e:000001", "name": "Depot", "attributes": [{"id": "a:000001", "name": "code", "type": "text 4"}], "key": ["a:000001"]},
                  {"id": "e:000002", "name": "Crate"}],
                 "relationships": [{"id": "r:000001",
                  "first": {"entity": "e:000002", "verb": "stands in", "number": "0..n"},
                  "second": {"entity": "e:000001", "verb": "holds", "number": "0..1"},
                  "onDelete": "set-null", "onUpdate": "cascade",
                  "carried": [{"column": "r:000001.2/a:000001", "name": "place", "comment": "where it stands"}]}],
                 "diagrams": []}
                """);
        Document document = DocumentFile.read(file);
        Reference reference = document.design().relationships().get(0).second().reference();

        assertThat(reference.onDelete()).isEqualTo(ReferenceAction.SET_NULL);
        assertThat(reference.onUpdate()).isEqualTo(ReferenceAction.CASCADE);
        assertThat(reference.columns())
                .extracting(column -> column.pins().name())
                .containsExactly("place");
        assertThat(DocumentFile.print(document))
                .contains("\"number\": \"0..1\", \"onDelete\": \"set-null\", \"onUpdate\": \"cascade\"")
                .doesNotContain("carried");
        DocumentFile.write(file, document);
        assertThat(DocumentFile.read(file)).isEqualTo(document);
    }

    @Test
    void one_changed_attribute_changes_one_line() {
        var before = design("Each apiary has code: text 6 (key), name: text 60.", "Each hive has no: whole (key).");
        var after = before.with("Each apiary has name: text 80.");

        List<String> one = DocumentFile.print(before.document()).lines().toList();
        List<String> other = DocumentFile.print(after.document()).lines().toList();
        assertThat(one).hasSameSizeAs(other);
        assertThat(one.stream().filter(line -> !other.contains(line))).hasSize(1);
    }

    /** Else the file could not be opened again. */
    @Test
    void what_is_said_of_a_column_that_refers_goes_with_what_it_refers_to() {
        var before = design(
                "Each apiary has code: text 6 (key), name: text 60.",
                "Each hive stands in exactly one apiary; each apiary shelters any number of hives.");
        Relationship stands = before.design().relationships().get(0);
        Reference named = stands.second()
                .reference()
                .with(ReferenceColumn.to(before.attribute("Apiary", "code").ref())
                        .withName("at"));
        var said = before.with(
                new PutRelationship(stands.with(Side.SECOND, stands.second().with(named)), "call it at"));
        var left = said.with(new Edits(said.design(), said.ids())
                .remove(List.of(said.attribute("Apiary", "code").id())));

        String printed = DocumentFile.print(left.document());
        assertThat(DocumentFile.print(said.document())).contains("\"at\"");
        assertThat(DocumentFile.print(DocumentFile.parse(printed))).isEqualTo(printed);
    }

    @Test
    void a_moved_card_leaves_the_design_the_same_instance() {
        Document document = design("Each hive has no: whole (key).").document();
        Document moved =
                document.moved(Map.of(document.design().entities().get(0).id(), new Position(8, 12)));

        assertThat(moved.design()).isSameAs(document.design());
        assertThat(DocumentFile.print(moved)).contains("[8, 12]");
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            textBlock =
                    """
            {"version": 1,\\n "entities": [\\n {"id": "e:000001", "name": "A", "colour": 1}]}   | line 3 | 'colour' is not part of the format here
            {"version": 1,\\n "entities": [{"id": "e:1", "name": "A"}]}                          | line 2 | 'e:1' is no id
            {"version": 1,\\n\\n "entities": {}}                                                 | line 3 | must be a list
            {"version": 1,\\n "entities": [{"id": "e:000001"}]}                                  | line 2 | 'name' is missing
            {"version": 1, "entities": [{"id": "e:000001", "name": "A",\\n "attributes": [{"id": "a:000001", "name": "b", "type": "txt"}]}]} | line 2 | 'txt' is no type
            {"version": 1, "entities": [{"id": "e:000001", "name": "A"},\\n {"id": "e:000001", "name": "B"}]} | line 2 | two things have the id e:000001
            {"version": 1, "entities": [{"id": "e:000001", "name": "A",\\n "key": ["a:zzzzzz"]}]} | line 2 | refers to a:zzzzzz, which is not in this file
            {"version": 1, "relationships": [\\n {"id": "r:000001", "first": {"entity": "e:000009", "number": "0..1"}, "second": {"entity": "e:000009", "number": "0..1"}}]} | line 2 | refers to e:000009
            {"version": 1,\\n "rules": {"dialect": "dbase"}} | line 2 | 'dbase' is no dialect; there are postgresql
            {"version": 1,\\n "rules": {"choices": {"sqlite.types": "maybe"}}} | line 2 | 'maybe' is none of checks, strict, loose
            {"version": 1, "entities": [\\n {"id": "e:000001", "name": "A", "options": {"postgresql.engine": "x"}}]} | line 2 | 'engine' is no option of PostgreSQL
            {"version": 1, "entities": [\\n {"id": "e:000001", "name": "A", "options": {"engine": "x"}}]} | line 2 | names no dialect
            {"version": 1, "entities": [\\n {"id": "e:000001", "name": "A", "options": {"mysql.engine": "x; DROP TABLE y"}}]} | line 2 | no value of the option
            {"version": 1, "entities": [{"id": "e:000001", "name": "A", "attributes": [\\n {"id": "a:000001", "name": "b", "place": -1}]}]} | line 2 | counted from 1
            {"version": 1, "entities": [{"id": "e:000001", "name": "A", "attributes": [\\n {"id": "a:000001", "name": "b", "default": "1", "computed": "2"}]}]} | line 2 | not both
            {"version": 1, "entities": [{"id": "e:000001", "name": "A", "attributes": [\\n {"id": "a:000001", "name": "b", "type": "domain t:000001"}]}]} | line 2 | refers to t:000001
            {"version": 1, "domains": [\\n {"id": "t:000001", "name": "d", "type": "domain t:000001"}]} | line 2 | must hold a type
            {"version": 1, "domains": [\\n {"id": "t:000001", "name": "d", "type": "text 4", "check": "{worth} > 1"}]} | line 2 | speaks of {value} only
            {"version": 1, "entities": [{"id": "e:000001", "name": "A"}], "relationships": [\\n {"id": "r:000001", "first": {"entity": "e:000001", "number": "0..1", "targetKey": "u:000001"}, "second": {"entity": "e:000001", "number": "0..1"}}]} | line 2 | refers to u:000001
            {"version": 1, "entities": [{"id": "e:000001", "name": "A"}], "relationships": [\\n {"id": "r:000001", "first": {"entity": "e:000001", "number": "0..1", "onDelete": "explode"}, "second": {"entity": "e:000001", "number": "0..1"}}]} | line 2 | 'explode' is none of no-action
            {"version": 1,\\n "entities": [                                                      | line 2 | it is not JSON
            {"version": "one"}                                                                   | line 1 | no Able Schema design
            []                                                                                   | line 1 | expected an object
            {"version": 1, "version": 1}                                                         | line 1 | Duplicate field
            {"version": 1} {}                                                                    | line 1 | it is not JSON
            """)
    void a_damaged_file_is_refused_with_line_and_reason(String content, String line, String reason) throws Exception {
        assertThat(refusal(file(content.replace("\\n", "\n")))).contains(line).contains(reason);
    }

    @Test
    void a_file_of_a_newer_version_names_the_version_it_needs() throws Exception {
        assertThat(refusal(file("{\"version\": 7}")))
                .contains("format version 7")
                .contains("newer Able Schema");
    }

    @Test
    void what_is_no_file_of_ours_is_refused_in_words() throws Exception {
        assertThat(refusal(folder.resolve("gone.able.json"))).contains("there is no such file");
        assertThat(refusal(folder.resolve("no/where.able.json")))
                .contains("the folder")
                .contains("does not exist");
        assertThat(refusal(folder)).contains("it is a folder");
        assertThat(refusal(file("  \n"))).contains("it is empty");
        Path binary = folder.resolve("b.able.json");
        Files.write(binary, new byte[] {(byte) 0xff, (byte) 0xfe, 0, 1});
        assertThat(refusal(binary)).contains("not text in UTF-8");
        Path huge = folder.resolve("huge.able.json");
        try (var file = new RandomAccessFile(huge.toFile(), "rw")) {
            file.setLength(50L * 1024 * 1024);
        }
        assertThat(refusal(huge)).contains("50 MB").contains("32 MB");
    }

    @Test
    void a_document_cut_off_anywhere_is_refused_or_read_but_never_breaks_the_reader() throws Exception {
        String whole = Files.readString(Path.of("../demo/field-log.able.json"));
        for (int length = 0; length < whole.length(); length += 97) {
            Path cut = file(whole.substring(0, length));
            assertThat(catchThrowable(() -> DocumentFile.read(cut))).isInstanceOf(FileProblem.class);
        }
    }

    @Test
    void a_failed_write_leaves_the_old_file() throws Exception {
        Document document = design("Each hive has no: whole (key).").document();
        Throwable onFolder = catchThrowable(() -> DocumentFile.write(folder, document));
        assertThat(onFolder).isInstanceOf(FileProblem.class).hasMessageContaining("it is a folder");
        Throwable nowhere = catchThrowable(() -> DocumentFile.write(folder.resolve("no/x.able.json"), document));
        assertThat(nowhere).isInstanceOf(FileProblem.class).hasMessageContaining("does not exist");
        assertThat(Arrays.asList(folder.toFile().list())).isEmpty();
    }
}
