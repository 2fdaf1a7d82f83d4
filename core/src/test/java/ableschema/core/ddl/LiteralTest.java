package ableschema.core.ddl;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;

/** Texts with signs that a backslash stands before, each as the engine has it. */
class LiteralTest {

    @Test
    void postgresql_has_characters_by_their_numbers() {
        assertThat(Literal.escapedWithNumbers("E'a\\x41\\101\\u00e9\\U0001F41D\\tb\\f\\'\\\\x'"))
                .isEqualTo("aAAé🐝\tb\f'\\x");
        assertThat(Literal.escapedWithNumbers("E'\\xc3\\xa9 \\303\\251\\ud83d\\udc1d'"))
                .isEqualTo("é é🐝");
        assertThat(Literal.escapedWithNumbers("E'\\x4 \\u12 \\U0041 \\q \\'"))
                .as("what is no number is the sign itself")
                .isEqualTo("\u0004 u12 U0041 q \\");
    }

    @Test
    void mysql_has_few_and_knows_no_numbers() {
        assertThat(Literal.escaped("'a\\x41\\n\\r\\0\\b\\f\\''")).isEqualTo("ax41\n\r\0\bf'");
        assertThat(Literal.escaped("'it''s'")).isEqualTo("it's");
    }
}
