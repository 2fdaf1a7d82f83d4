package ableschema.desktop.marks;

import ableschema.diagram.text.Face;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import javafx.scene.text.Font;

/** The shipped fonts as JavaFX fonts. */
public final class FxFonts {

    private static final Map<Key, Font> KNOWN = new ConcurrentHashMap<>();

    private FxFonts() {}

    private record Key(Face face, double size) {}

    /** Makes the families known by name, for style sheets. */
    public static void register() {
        for (Face face : Face.values()) {
            of(face, 13);
        }
    }

    public static Font of(Face face, double size) {
        return KNOWN.computeIfAbsent(new Key(face, size), FxFonts::load);
    }

    private static Font load(Key key) {
        try (InputStream in = key.face().open()) {
            return Font.loadFont(in, key.size());
        } catch (IOException e) {
            throw new UncheckedIOException(
                    "while reading the shipped font " + key.face().path(), e);
        }
    }
}
