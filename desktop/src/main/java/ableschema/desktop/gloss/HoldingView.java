package ableschema.desktop.gloss;

import ableschema.core.design.Attribute;
import ableschema.core.design.Id;
import ableschema.core.document.Edit;
import ableschema.core.holding.Holding;
import ableschema.core.holding.Holdings;
import ableschema.core.types.DataType;
import ableschema.core.types.ReadableCode;
import ableschema.desktop.controls.Choice;
import ableschema.desktop.controls.Controls;
import ableschema.desktop.controls.Fields;
import ableschema.desktop.workspace.Workspace;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.Supplier;
import javafx.scene.control.RadioButton;
import javafx.scene.control.ToggleGroup;
import javafx.scene.layout.VBox;

/** Asks what an attribute holds, and gives it the type that follows. */
final class HoldingView extends VBox {

    private final Workspace workspace;
    private final Id attribute;

    HoldingView(Workspace workspace, Attribute attribute) {
        super(5);
        this.workspace = workspace;
        this.attribute = attribute.id();
        setId("holding");
        Optional<Holding> now = Holdings.of(workspace.design(), attribute);
        List<Holding> offered = now.map(Holding::alike).orElse(List.of());
        var group = new ToggleGroup();
        for (Holding each : offered) {
            getChildren().add(radio(each, now.filter(each::equals).isPresent(), group));
        }
        List<Holding> rest = new ArrayList<>(Arrays.asList(Holding.values()));
        rest.removeAll(offered);
        var other = Choice.offering(
                offered.isEmpty() ? "say what it holds" : "something else", rest, Holding::label, this::say);
        other.setId("holding-other");
        getChildren().add(other);
        if (now.filter(Holding.CODE::equals).isPresent()) {
            getChildren()
                    .add(Fields.text(
                            "code-pattern", attribute.pattern(), "how codes are formed, such as H-0000", this::formed));
        }
        now.ifPresent(holding -> {
            var reason = Controls.text(holding.reason(), "note");
            reason.setWrapText(true);
            reason.setMinHeight(USE_PREF_SIZE);
            getChildren().add(reason);
        });
    }

    static Object shownOf(Workspace workspace, Attribute attribute) {
        return List.of(attribute.id(), Holdings.of(workspace.design(), attribute), attribute.pattern());
    }

    /** The length of the type follows the codes, where it is too short for them. */
    private void formed(String pattern) {
        workspace
                .design()
                .attribute(attribute)
                .ifPresent(now -> attempt(workspace, () -> {
                    int length =
                            pattern.isEmpty() ? 0 : ReadableCode.read(pattern).length();
                    boolean fits =
                            !(now.type() instanceof DataType.Text text) || text.max() == 0 || text.max() >= length;
                    Attribute changed = now.withPattern(pattern);
                    return workspace
                            .edits()
                            .changeAttribute(fits ? changed : changed.withType(new DataType.Text(length)));
                }));
    }

    private RadioButton radio(Holding holding, boolean chosen, ToggleGroup group) {
        var radio = new RadioButton(holding.label());
        radio.setId("holding-" + holding.name().toLowerCase(Locale.ROOT).replace('_', '-'));
        radio.setToggleGroup(group);
        radio.setSelected(chosen);
        radio.setOnAction(event -> say(holding));
        return radio;
    }

    private void say(Holding holding) {
        workspace
                .design()
                .attribute(attribute)
                .ifPresent(now ->
                        attempt(workspace, () -> Holdings.say(workspace.design(), workspace.ids(), now, holding)));
    }

    /** Carries out an edit, or says why it cannot be made. */
    static void attempt(Workspace workspace, Supplier<Edit> making) {
        try {
            workspace.apply(making.get());
        } catch (IllegalArgumentException e) {
            workspace.notices().complain(String.valueOf(e.getMessage()));
        }
    }
}
