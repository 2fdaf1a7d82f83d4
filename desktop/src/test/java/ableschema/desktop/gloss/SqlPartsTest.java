package ableschema.desktop.gloss;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.stream.Collectors;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class SqlPartsTest {

    /** The parts between bars, each behind the first letter of its look. */
    private static String said(String line) {
        return SqlParts.of(line, SqlParts.isInCapitals(line)).stream()
                .map(part -> part.style().replaceFirst("sql-(.).*", "$1:") + part.text())
                .collect(Collectors.joining("|"));
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = ';',
            quoteCharacter = '~',
            textBlock =
                    """
            CREATE TABLE hive (                       ; w:CREATE TABLE| hive (
            create table "create" (                   ; w:create table| "create" (
            ALTER TABLE a ADD x int NOT NULL,         ; w:ALTER TABLE| a |w:ADD| x int |w:NOT NULL|,
            INSERT INTO `TABLE` VALUES ('it''s NOT')  ; w:INSERT INTO| `TABLE` |w:VALUES| (|t:'it''s NOT'|)
            SET x = 1 -- NOT NULL 'here'              ; w:SET| x = 1 |c:-- NOT NULL 'here'
            CREATE INDEX key_of ON "a b" (key)        ; w:CREATE INDEX| key_of |w:ON| "a b" (key)
            """)
    void words_texts_and_comments_look_otherwise_than_names(String line, String parts) {
        assertThat(said(line)).isEqualTo(parts);
    }

    @ParameterizedTest
    @CsvSource({"''", "'   '", "')'", "'name text'"})
    void what_has_none_of_them_is_one_part(String line) {
        assertThat(said(line)).isEqualTo(line);
    }
}
