package ableschema.core.words;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.regex.Pattern;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class NecessaryTextTest {

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            quoteCharacter = '`',
            value = {
                "`(.+?) (?:is|are) (?:the|its) (?:primary )?key` | `code is its key` | `code is its name`",
                "`(.+?) (?:is optional|may be (?:unknown|empty))` | `it may be empty` | `it can be full`",
                "`(?:an? )?(.+?) (last|take)s? (\\d{1,3})` | `a walk takes 20` | `a walk ends`",
                "`if (?:an? )?x(?: too)?` | `if x` | `when a y`",
                "`(?!no )(.+?)(?: too| as well)+ (?:has|have) ids?` | `it too has id` | `some id of it`",
                "`[)\\]x] of (.+)` | `] of it` | `] for it`",
                "`\\p{L}+ab?c` | `xac` | `xyz`"
            })
    void what_a_pattern_cannot_be_without_is_in_all_that_it_fits(String pattern, String fits, String fitsNot) {
        NecessaryText necessary = NecessaryText.of(pattern);

        assertThat(fits).matches(Pattern.compile(pattern));
        assertThat(necessary.isIn(fits)).as(fits).isTrue();
        assertThat(necessary.isIn(fitsNot)).as(fitsNot).isFalse();
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            quoteCharacter = '`',
            value = {"`(.+?) ?(?:x|y?)` | `z`", "`(?:abc)?.*` | `z`", "`(?:ab){0,2}` | ``", "`(?=ab).+|z` | `z`"})
    void nothing_is_necessary_where_all_may_be_left_out(String pattern, String fits) {
        assertThat(fits).matches(Pattern.compile(pattern));
        assertThat(NecessaryText.of(pattern).isIn(fits)).isTrue();
    }
}
