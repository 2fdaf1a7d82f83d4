package ableschema.diagram.text;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

class FaceTest {

    @ParameterizedTest
    @EnumSource
    void every_shipped_font_loads_and_measures(Face face) {
        assertThat(face.font(13).getSize2D()).isEqualTo(13f);
        assertThat(face.width("hive", 26)).isCloseTo(2 * face.width("hive", 13), within(0.01));
        assertThat(face.width("", 13)).isZero();
        assertThat(face.width("apiary hive", 13)).isGreaterThan(face.width("hive", 13));
    }

    @Test
    void letters_of_the_fixed_width_font_are_equally_wide() {
        assertThat(Face.MONO.width("iiii", 11)).isCloseTo(Face.MONO.width("WWWW", 11), within(0.01));
    }

    @Test
    void what_a_font_lacks_still_has_a_width() {
        assertThat(Face.REGULAR.width("🐝🐝", 13)).isGreaterThan(20);
        assertThat(Face.REGULAR.width("خلية", 13)).isGreaterThan(10);
    }

    @Test
    void a_text_too_long_is_shortened_to_what_fits_and_keeps_its_beginning() {
        String name = "a very long name of an attribute that no card could hold";
        String fitting = Face.REGULAR.fitting(name, 13, 120);

        assertThat(Face.REGULAR.width(fitting, 13)).isLessThanOrEqualTo(120).isGreaterThan(100);
        assertThat(fitting).endsWith("…").startsWith("a very long");
        assertThat(Face.REGULAR.fitting("hive", 13, 120)).isEqualTo("hive");
        assertThat(Face.REGULAR.fitting("🐝🐝🐝🐝🐝🐝🐝🐝🐝🐝", 13, 60))
                .doesNotContain("\uFFFD")
                .endsWith("…");
        assertThat(Face.REGULAR.fitting("hive", 13, 1)).isEqualTo("…");
    }
}
