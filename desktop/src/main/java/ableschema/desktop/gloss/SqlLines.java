package ableschema.desktop.gloss;

import ableschema.core.design.Id;
import ableschema.core.mapping.Mapping;
import ableschema.core.mapping.Trace;
import ableschema.core.sql.Line;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Collections;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Consumer;
import java.util.function.IntFunction;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.input.MouseEvent;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;
import javafx.scene.layout.StackPane;
import javafx.scene.text.Text;
import org.fxmisc.flowless.VirtualizedScrollPane;
import org.fxmisc.richtext.StyleClassedTextArea;
import org.fxmisc.richtext.model.ReadOnlyStyledDocumentBuilder;
import org.fxmisc.richtext.model.SegmentOps;
import org.fxmisc.richtext.model.StyledDocument;
import org.fxmisc.richtext.model.StyledSegment;

/** Lines of SQL that can be copied: those of the chosen thing are marked, and a click on a line chooses its thing. */
public final class SqlLines extends StyleClassedTextArea {

    private static final String OF_CHOSEN = "of-chosen";
    /** The sign of a line whose statement was taken by a database, of one that it refused, and of one that it never saw. */
    public static final String TAKEN = "\u2713";

    public static final String REFUSED = "\u2715";
    public static final String NOT_REACHED = "\u00b7";

    private static final double SIGN_WIDTH = 16;
    private static final double NUMBER_WIDTH = 34;
    private static final String CHANGED = "changed";

    /** The styles of a line that was not given any yet. */
    private static final List<String> UNKNOWN = List.of("unknown");

    private List<List<String>> styles = new ArrayList<>();
    private List<Line> lines = List.of();
    private Trace trace = Mapping.NONE.trace();

    public SqlLines(Consumer<Id> choose) {
        setEditable(false);
        setWrapText(true);
        getStyleClass().add("sql-lines");
        addEventHandler(MouseEvent.MOUSE_CLICKED, event -> {
            int paragraph = getCurrentParagraph();
            if (getSelectedText().isEmpty() && paragraph < lines.size()) {
                trace.things(lines.get(paragraph).parts()).stream()
                        .min((a, b) -> Integer.compare(rank(a), rank(b)))
                        .ifPresent(choose);
            }
        });
    }

    /** The attribute or relationship of a line says more than the entity that all lines of its table come from. */
    private static int rank(Id id) {
        return switch (id.kind()) {
            case ATTRIBUTE -> 0;
            case RELATIONSHIP -> 1;
            case ENTITY -> 2;
            default -> 3;
        };
    }

    /**
     * Puts its number before each line, and a sign.
     *
     * @param signs what stands before the line at a place, counted from 0
     */
    public void number(IntFunction<String> signs) {
        setParagraphGraphicFactory(place -> gutter(place, signs.apply(place)));
    }

    /** Of plain texts, as there is one before each line. */
    private static Node gutter(int place, String sign) {
        Text mark = text(sign, sign.equals(REFUSED) ? "line-refused" : "line-taken");
        Text number = text(String.valueOf(place + 1), "line-number");
        var gutter =
                new HBox(beside(mark, Pos.CENTER_LEFT, SIGN_WIDTH), beside(number, Pos.CENTER_RIGHT, NUMBER_WIDTH));
        gutter.getStyleClass().add("line-gutter");
        return gutter;
    }

    private static Text text(String content, String style) {
        var text = new Text(content);
        text.getStyleClass().add(style);
        return text;
    }

    private static Node beside(Text text, Pos place, double width) {
        var pane = new StackPane(text);
        pane.setAlignment(place);
        pane.setMinWidth(width);
        return pane;
    }

    /** How many lines are marked as changed. */
    public int countChanged() {
        return (int) styles.stream().filter(each -> each.contains(CHANGED)).count();
    }

    /** Puts it between scroll bars. */
    public Region scrolled() {
        var pane = new StackPane(new VirtualizedScrollPane<>(this));
        pane.getStyleClass().add("sql-pane");
        return pane;
    }

    /**
     * Lines as they are to be shown, with their texts cut into the parts that look alike: in a long script that takes time, and can be
     * done outside of the window's thread.
     */
    public record Prepared(
            List<Line> lines,
            Trace trace,
            List<List<String>> styles,
            List<List<StyledSegment<String, Collection<String>>>> segments,
            StyledDocument<Collection<String>, String, Collection<String>> document) {

        /**
         * Prepares lines.
         *
         * @param trace  leads from the parts that lines speak of to the things of the design
         * @param chosen the thing whose lines are marked
         * @param before the texts that were there before the last edit; others are marked as changed
         */
        public static Prepared of(List<Line> lines, Trace trace, Optional<Id> chosen, Set<String> before) {
            var styles = new ArrayList<List<String>>();
            var segments = new ArrayList<List<StyledSegment<String, Collection<String>>>>();
            boolean capital = lines.stream().map(Line::text).anyMatch(SqlParts::isInCapitals);
            for (Line line : lines) {
                boolean changed = !before.isEmpty() && !before.contains(bare(line.text()));
                styles.add(SqlLines.styles(changed, isOf(chosen, line, trace)));
                segments.add(SqlLines.segments(line.text(), capital));
            }
            return new Prepared(lines, trace, styles, segments, SqlLines.document(segments, styles));
        }
    }

    /** Shows lines. */
    public void show(Prepared shown) {
        List<String> texts = shown.lines().stream().map(Line::text).toList();
        List<String> known = lines.stream().map(Line::text).toList();
        lines = shown.lines();
        trace = shown.trace();
        if (!known.equals(texts)) {
            replaceChanged(known, texts, shown);
        }
        for (int i = 0; i < shown.styles().size(); i++) {
            style(i, shown.styles().get(i));
        }
    }

    private static boolean isOf(Optional<Id> chosen, Line line, Trace trace) {
        return chosen.filter(thing -> trace.leads(line.parts(), thing)).isPresent();
    }

    private static List<String> styles(boolean changed, boolean ofChosen) {
        if (changed) {
            return ofChosen ? List.of(CHANGED, OF_CHOSEN) : List.of(CHANGED);
        }
        return ofChosen ? List.of(OF_CHOSEN) : List.of();
    }

    /** Gives a line its styles where it has others; which it has is known here, as asking the text would take long. */
    private void style(int line, List<String> wanted) {
        if (!wanted.equals(styles.get(line))) {
            styles.set(line, wanted);
            setParagraphStyle(line, wanted);
        }
    }

    /** Puts other texts in place; the lines before and behind those that differ stay, and so does what is in view. */
    private void replaceChanged(List<String> before, List<String> texts, Prepared shown) {
        int known = before.size();
        int same = Math.min(known, texts.size());
        int first = 0;
        while (first < same && before.get(first).equals(texts.get(first))) {
            first++;
        }
        int behind = 0;
        while (behind < same - first && before.get(known - 1 - behind).equals(texts.get(texts.size() - 1 - behind))) {
            behind++;
        }
        int last = known - behind - 1;
        int lastNow = texts.size() - behind - 1;
        if (first == 0) {
            replace(0, getLength(), shown.document());
            styles = new ArrayList<>(shown.styles());
            moveTo(0);
            requestFollowCaret();
        } else if (first <= last && first <= lastNow) {
            replace(
                    getAbsolutePosition(first, 0),
                    getAbsolutePosition(last, getParagraphLength(last)),
                    document(
                            shown.segments().subList(first, lastNow + 1),
                            shown.styles().subList(first, lastNow + 1)));
            putStyles(first, behind, shown.styles().subList(first, lastNow + 1));
        } else if (first <= last) {
            deleteText(first - 1, getParagraphLength(first - 1), last, getParagraphLength(last));
            putStyles(first, behind, List.of());
        } else if (first <= lastNow) {
            var more = new ArrayList<>(List.of(segments("", true))); // the end of the line before
            more.addAll(shown.segments().subList(first, lastNow + 1));
            int end = getAbsolutePosition(first - 1, getParagraphLength(first - 1));
            insert(end, document(more, Collections.nCopies(more.size(), UNKNOWN)));
            putStyles(first, behind, Collections.nCopies(lastNow + 1 - first, UNKNOWN));
            styles.set(first - 1, UNKNOWN);
        }
    }

    /** Lines with their styles, which go in together: a change for each line would have each laid out. */
    private static StyledDocument<Collection<String>, String, Collection<String>> document(
            List<List<StyledSegment<String, Collection<String>>>> lines, List<List<String>> wanted) {
        var builder = new ReadOnlyStyledDocumentBuilder<Collection<String>, String, Collection<String>>(
                SegmentOps.styledTextOps(), List.of());
        for (int i = 0; i < lines.size(); i++) {
            builder.addParagraph(lines.get(i), wanted.get(i));
        }
        return lines.isEmpty() ? builder.addParagraph("", List.of(), List.of()).build() : builder.build();
    }

    private static List<StyledSegment<String, Collection<String>>> segments(String line, boolean capital) {
        return SqlParts.of(line, capital).stream()
                .map(part -> new StyledSegment<String, Collection<String>>(
                        part.text(), part.style().isEmpty() ? List.of() : List.of(part.style())))
                .toList();
    }

    private void putStyles(int first, int behind, List<List<String>> between) {
        var now = new ArrayList<>(styles.subList(0, first));
        now.addAll(between);
        now.addAll(styles.subList(styles.size() - behind, styles.size()));
        styles = now;
    }

    /** Marks the lines of another thing; returns the place of the first, or -1 where it has none. */
    public int mark(Optional<Id> chosen) {
        int first = -1;
        for (int i = 0; i < lines.size(); i++) {
            boolean its = isOf(chosen, lines.get(i), trace);
            style(i, styles(styles.get(i).contains(CHANGED), its));
            first = its && first < 0 ? i : first;
        }
        return first;
    }

    /** The texts of lines, to compare later ones with; a comma more or less is no change. */
    public static Set<String> texts(List<Line> lines) {
        var texts = new HashSet<String>();
        lines.forEach(line -> texts.add(bare(line.text())));
        return texts;
    }

    private static String bare(String text) {
        return text.strip().replaceFirst(",$", "").replaceAll(" +", " ");
    }
}
