package ableschema.desktop.controls;

import java.util.Optional;
import java.util.function.Supplier;
import javafx.scene.Node;
import javafx.scene.layout.StackPane;

/** Something that is made when it is first asked for, so that the window stands without waiting for it. */
public final class Late<T> {

    private final Supplier<T> making;
    private Optional<T> made = Optional.empty();

    public Late(Supplier<T> making) {
        this.making = making;
    }

    public T get() {
        if (made.isEmpty()) {
            made = Optional.of(making.get());
        }
        return made.get();
    }

    /** A place whose content is made when the place is first seen; hidden until then. */
    public static Node shown(Supplier<? extends Node> content) {
        var place = new StackPane();
        place.setVisible(false);
        place.visibleProperty().addListener((o, before, now) -> {
            if (now && place.getChildren().isEmpty()) {
                Node made = content.get();
                made.visibleProperty().bind(place.visibleProperty());
                place.getChildren().add(made);
            }
        });
        return place;
    }
}
