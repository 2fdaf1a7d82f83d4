package ableschema.diagram.picture;

import static org.assertj.core.api.Assertions.assertThat;

import ableschema.core.document.Document;
import ableschema.core.document.Notation;
import ableschema.core.store.DocumentFile;
import ableschema.diagram.LargeDesign;
import ableschema.diagram.layout.Arrangement;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

class FaultsTest {

    @ParameterizedTest
    @EnumSource(Notation.class)
    void the_demo_has_none(Notation notation) throws Exception {
        Document demo = DocumentFile.read(Path.of("../demo/alder-valley.able.json"));

        for (View view : View.values()) {
            assertThat(Faults.in(PictureMaker.of(demo, view, notation)))
                    .as(view.name())
                    .isEmpty();
        }
    }

    @Test
    void sixteen_designs_of_sixty_entities_have_none_and_hardly_a_verb_finds_no_place() {
        int lines = 0;
        int unnamed = 0;
        for (long seed = 0; seed < 16; seed++) {
            Document document = LargeDesign.of(seed, 60, 6, 80);
            Document placed = Arrangement.of(document).appliedTo(document);
            for (View view : View.values()) {
                for (Notation notation : Notation.values()) {
                    Picture picture = PictureMaker.of(placed, view, notation);
                    lines += picture.lines().size();
                    unnamed += (int) Faults.unnamed(picture);
                    assertThat(Faults.in(picture))
                            .as(seed + " " + view + " " + notation)
                            .isEmpty();
                }
            }
        }
        assertThat(lines).isGreaterThan(6_400);
        assertThat(unnamed).isLessThan(lines / 100);
    }
}
