package ableschema.desktop.app;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatCode;

import ableschema.core.document.Document;
import ableschema.desktop.sheet.Rehearsal;
import ableschema.diagram.layout.AutoLayout;
import org.junit.jupiter.api.Test;

class FirstUseTest {

    @Test
    void what_is_used_first_has_lines_and_stands_in_districts() {
        Document madeUp = AutoLayout.completed(FirstUse.madeUp(90));

        assertThat(madeUp.design().entities()).hasSize(90);
        assertThat(madeUp.design().relationships()).hasSize(89);
        assertThat(madeUp.diagram().districts()).hasSizeGreaterThan(1);
    }

    @Test
    void it_is_painted_on_any_thread() {
        assertThatCode(() -> Rehearsal.of(AutoLayout.completed(FirstUse.madeUp(3))))
                .doesNotThrowAnyException();
        assertThatCode(() -> Rehearsal.of(Document.EMPTY)).doesNotThrowAnyException();
    }
}
