package ableschema.desktop.controls;

import java.util.List;
import java.util.function.Consumer;
import java.util.function.Function;
import javafx.scene.control.MenuButton;
import javafx.scene.control.MenuItem;

/** A word in a sentence that can be exchanged for others. */
public final class Choice extends MenuButton {

    private Choice(String current) {
        super(current);
        getStyleClass().add("choice");
        setMnemonicParsing(false);
    }

    public static <T> Choice of(T current, List<T> others, Function<T, String> words, Consumer<T> chosen) {
        return offering(words.apply(current), others, words, chosen);
    }

    /** A choice of which nothing is chosen yet. */
    public static <T> Choice offering(String label, List<T> others, Function<T, String> words, Consumer<T> chosen) {
        var choice = new Choice(label);
        for (T each : others) {
            var item = new MenuItem(words.apply(each));
            item.setMnemonicParsing(false);
            item.setOnAction(event -> chosen.accept(each));
            choice.getItems().add(item);
        }
        return choice;
    }
}
