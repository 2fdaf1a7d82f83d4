package ableschema.core.store;

import static org.assertj.core.api.Assertions.assertThat;

import ableschema.core.DesignFixture;
import ableschema.core.document.Document;
import com.networknt.schema.InputFormat;
import com.networknt.schema.JsonSchema;
import com.networknt.schema.JsonSchemaFactory;
import com.networknt.schema.SpecVersion;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** The published format and what is written hold each other. */
class FormatTest {

    private static JsonSchema format() throws Exception {
        return JsonSchemaFactory.getInstance(SpecVersion.VersionFlag.V202012)
                .getSchema(Files.readString(Path.of("../docs/format/able-1.schema.json")));
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "../demo/alder-valley.able.json",
                "../demo/field-log.able.json",
                "src/test/resources/designs/every-feature.able.json"
            })
    void a_design_is_as_the_format_says(String name) throws Exception {
        String file = Files.readString(Path.of(name));

        assertThat(format().validate(file, InputFormat.JSON)).isEmpty();
    }

    @Test
    void a_new_design_is_as_the_format_says_and_a_slip_is_not() throws Exception {
        Document document = DesignFixture.design(
                        "Each hive has code: text 6 (key), [colour]: text 20 (unique).",
                        "Each hive stands in any number of apiaries; each apiary shelters any number of hives.")
                .document();
        String file = DocumentFile.print(document);

        assertThat(format().validate(file, InputFormat.JSON)).isEmpty();
        assertThat(format().validate(file.replace("\"verb\"", "\"verbs\""), InputFormat.JSON))
                .isNotEmpty();
    }
}
