package ableschema.desktop.gloss;

import ableschema.core.design.Id;
import ableschema.core.mapping.Mapping;
import ableschema.core.mapping.Trace;
import ableschema.core.sql.Line;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Consumer;
import javafx.scene.input.MouseEvent;
import javafx.scene.layout.Region;
import javafx.scene.layout.StackPane;
import org.fxmisc.flowless.VirtualizedScrollPane;
import org.fxmisc.richtext.StyleClassedTextArea;

/** Lines of SQL that can be copied: those of the chosen thing are marked, and a click on a line chooses its thing. */
public final class SqlLines extends StyleClassedTextArea {

    private static final String OF_CHOSEN = "of-chosen";
    private static final String CHANGED = "changed";

    private final Map<Integer, List<String>> styled = new HashMap<>();
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

    /** Puts it between scroll bars. */
    public Region scrolled() {
        var pane = new StackPane(new VirtualizedScrollPane<>(this));
        pane.getStyleClass().add("sql-pane");
        return pane;
    }

    /**
     * Shows lines.
     *
     * @param traced leads from the parts that lines speak of to the things of the design
     * @param chosen the thing whose lines are marked
     * @param before the texts that were there before the last edit; others are marked as changed
     */
    public void show(List<Line> shown, Trace traced, Optional<Id> chosen, Set<String> before) {
        List.copyOf(styled.keySet()).forEach(line -> style(line, List.of()));
        replaceChanged(
                lines.stream().map(Line::text).toList(),
                shown.stream().map(Line::text).toList());
        lines = shown;
        trace = traced;
        for (int i = 0; i < shown.size() && !before.isEmpty(); i++) {
            if (!before.contains(bare(shown.get(i).text()))) {
                style(i, List.of(CHANGED));
            }
        }
        mark(chosen);
    }

    /** Gives a line other styles; which lines have any is known here, as asking each would take long. */
    private void style(int line, List<String> styles) {
        if (styles.isEmpty()) {
            styled.remove(line);
        } else {
            styled.put(line, styles);
        }
        setParagraphStyle(line, styles);
    }

    /** Puts other texts in place; the lines before and behind those that differ stay, and so does what is in view. */
    private void replaceChanged(List<String> before, List<String> texts) {
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
            replaceText(String.join("\n", texts));
            moveTo(0);
            requestFollowCaret();
        } else if (first <= last && first <= lastNow) {
            replaceText(first, 0, last, getParagraphLength(last), String.join("\n", texts.subList(first, lastNow + 1)));
        } else if (first <= last) {
            deleteText(first - 1, getParagraphLength(first - 1), last, getParagraphLength(last));
        } else if (first <= lastNow) {
            insertText(
                    first - 1,
                    getParagraphLength(first - 1),
                    "\n" + String.join("\n", texts.subList(first, lastNow + 1)));
        }
    }

    /** Marks the lines of another thing; returns the place of the first, or -1 where it has none. */
    public int mark(Optional<Id> chosen) {
        int first = -1;
        for (int i = 0; i < lines.size(); i++) {
            Line line = lines.get(i);
            boolean its =
                    chosen.filter(thing -> trace.leads(line.parts(), thing)).isPresent();
            List<String> styles = styled.getOrDefault(i, List.of());
            if (its != styles.contains(OF_CHOSEN)) {
                var changed = new ArrayList<>(styles);
                changed.remove(OF_CHOSEN);
                if (its) {
                    changed.add(OF_CHOSEN);
                }
                style(i, changed);
            }
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
