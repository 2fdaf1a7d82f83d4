package ableschema.diagram.text;

import java.awt.Font;
import java.awt.FontFormatException;
import java.awt.font.FontRenderContext;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.Map;
import java.util.Objects;
import java.util.concurrent.ConcurrentHashMap;

/** A font that ships with the program. */
public enum Face {
    REGULAR("Inter", "inter/Inter-Regular.otf", "normal", "normal"),
    SEMIBOLD("Inter", "inter/Inter-SemiBold.otf", "600", "normal"),
    ITALIC("Inter", "inter/Inter-Italic.otf", "normal", "italic"),
    MONO("JetBrains Mono", "jetbrains_mono/JetBrainsMono-Regular.ttf", "normal", "normal");

    private static final String FOLDER = "/com/formdev/flatlaf/fonts/";
    private static final FontRenderContext CONTEXT = new FontRenderContext(null, true, true);
    private static final int MOST_KNOWN = 50_000;

    private final String family;
    private final String file;
    private final String weight;
    private final String style;
    private final Map<String, Measured> known = new ConcurrentHashMap<>();
    private final Map<Double, Font> sizes = new ConcurrentHashMap<>();
    private final Font font;

    /**
     * What is known of a text, as it takes long to find out.
     *
     * @param width in a size of 1
     * @param whole whether the font has all its letters
     */
    private record Measured(double width, boolean whole) {}

    Face(String family, String file, String weight, String style) {
        this.family = family;
        this.file = file;
        this.weight = weight;
        this.style = style;
        this.font = load();
    }

    private Font load() {
        try (InputStream in = open()) {
            return Font.createFont(Font.TRUETYPE_FONT, in).deriveFont(1f);
        } catch (FontFormatException e) {
            throw new IllegalStateException("the shipped font " + file + " is damaged", e);
        } catch (IOException e) {
            throw new UncheckedIOException("while reading the shipped font " + file, e);
        }
    }

    /** The font's file; the caller closes it. */
    public InputStream open() {
        return Objects.requireNonNull(Face.class.getResourceAsStream(path()), file);
    }

    /** Where the font's file stands on the class path. */
    public String path() {
        return FOLDER + file;
    }

    public String family() {
        return family;
    }

    /** As in CSS and SVG. */
    public String weight() {
        return weight;
    }

    /** As in CSS and SVG. */
    public String style() {
        return style;
    }

    public Font font(double size) {
        return sizes.computeIfAbsent(size, each -> font.deriveFont(each.floatValue()));
    }

    /** The width of a text in pixels; what the font lacks counts as the width of a wide letter. */
    public double width(String text, double size) {
        return known(text).width() * size;
    }

    /** Whether the font has all letters of a text. */
    public boolean hasAllOf(String text) {
        return known(text).whole();
    }

    private Measured known(String text) {
        if (known.size() > MOST_KNOWN) {
            known.clear();
        }
        return known.computeIfAbsent(text, this::measured);
    }

    private Measured measured(String text) {
        if (text.isEmpty()) {
            return new Measured(0, true);
        }
        if (font.canDisplayUpTo(text) < 0) {
            return new Measured(measuredWhole(text), true);
        }
        double width = text.codePoints()
                .mapToDouble(c -> font.canDisplay(c) ? measuredWhole(Character.toString(c)) : 1.3)
                .sum();
        return new Measured(width, false);
    }

    private double measuredWhole(String text) {
        return font.deriveFont(100f).getStringBounds(text, CONTEXT).getWidth() / 100;
    }

    /** Shortens a text with an ellipsis until it is no wider than {@code most}. */
    public String fitting(String text, double size, double most) {
        if (width(text, size) <= most) {
            return text;
        }
        int low = 0;
        int high = text.codePointCount(0, text.length());
        while (low < high) {
            int middle = (low + high + 1) / 2;
            boolean fits = width(start(text, middle) + "…", size) <= most;
            low = fits ? middle : low;
            high = fits ? high : middle - 1;
        }
        return start(text, low).stripTrailing() + "…";
    }

    private static String start(String text, int codePoints) {
        return text.substring(0, text.offsetByCodePoints(0, codePoints));
    }
}
