package ableschema.desktop.controls;

import ableschema.core.difference.LineDifference;
import ableschema.core.difference.LineDifference.Kind;
import ableschema.core.review.Outcome;
import ableschema.core.schema.Column;
import ableschema.core.schema.Table;
import ableschema.core.sql.dialect.Dialect;
import java.util.List;
import java.util.Optional;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;

/** What an edit would do, before it is applied: the tables as they are beside the tables as they would be, and the lines of SQL. */
public final class BeforeAfter extends VBox {

    private static final int MOST_TABLES = 4;
    private static final int MOST_COLUMNS = 6;
    private static final int MOST_LINES = 40;
    private static final double GAP = 16;
    /** Narrower than this, what comes after stands below. */
    private static final double BESIDE = 360;
    /** How many unchanged lines stand around the changed ones. */
    private static final int AROUND = 1;

    public BeforeAfter(Outcome outcome, Dialect dialect) {
        super(10);
        setId("before-after");
        if (outcome.tables().isEmpty()) {
            getChildren().add(Controls.text("The tables stay as they are.", "note"));
            return;
        }
        var before = side("Before", "before-title");
        var after = side("After", "after-title");
        List<Outcome.Changed> shown =
                outcome.tables().stream().limit(MOST_TABLES).toList();
        for (Outcome.Changed each : shown) {
            each.before()
                    .ifPresent(table -> before.getChildren().add(card(each, table, each.after(), "goes", dialect)));
            each.after()
                    .ifPresent(table -> after.getChildren().add(card(each, table, each.before(), "comes", dialect)));
        }
        setMinWidth(0); // it follows the width that there is
        var sides = new FlowPane(GAP, 8, before, after);
        for (VBox side : List.of(before, after)) {
            side.prefWidthProperty()
                    .bind(widthProperty()
                            .map(width -> width.doubleValue() < BESIDE
                                    ? width.doubleValue()
                                    : Math.floor((width.doubleValue() - GAP) / 2) - 1));
        }
        getChildren().add(sides);
        if (outcome.tables().size() > MOST_TABLES) {
            getChildren().add(Controls.text("and " + (outcome.tables().size() - MOST_TABLES) + " more tables", "note"));
        }
        if (!outcome.moved().isEmpty()) {
            Label moved = Controls.text(outcome.moved() + ".", "note");
            moved.setId("moved-along");
            moved.setWrapText(true);
            getChildren().add(moved);
        }
        getChildren().add(sql(outcome.sql()));
    }

    private static VBox side(String title, String style) {
        var side = new VBox(6, Controls.text(title, style));
        return side;
    }

    private static Node card(
            Outcome.Changed changed, Table table, Optional<Table> other, String mark, Dialect dialect) {
        var card = new VBox(1);
        card.getStyleClass().add("part-card");
        Label name = Controls.text(table.name(), "part-name");
        name.setAccessibleText(changed.label());
        card.getChildren().add(name);
        // what changed is what the card is there for, and stands first where not all has room
        List<Column> columns = table.columns().stream()
                .sorted((a, b) -> Boolean.compare(!differs(a, table, other), !differs(b, table, other)))
                .limit(MOST_COLUMNS)
                .toList();
        List<Column> inOrder =
                table.columns().stream().filter(columns::contains).toList();
        inOrder.forEach(
                column -> card.getChildren().add(row(column, table, differs(column, table, other), mark, dialect)));
        if (inOrder.size() < table.columns().size()) {
            card.getChildren()
                    .add(Controls.text("and " + (table.columns().size() - inOrder.size()) + " that stay", "note"));
        }
        return card;
    }

    private static boolean differs(Column column, Table table, Optional<Table> other) {
        return other.flatMap(each -> each.column(column.name()))
                .filter(column::equals)
                .filter(each -> other.get().isInKey(each) == table.isInKey(column))
                .isEmpty();
    }

    private static Node row(Column column, Table table, boolean differs, String mark, Dialect dialect) {
        Label name = Controls.text(column.nullable() ? "[" + column.name() + "]" : column.name(), "column-name");
        name.getStyleClass().setAll("label", table.isInKey(column) ? "key-name" : "column-name");
        name.setMinWidth(Region.USE_PREF_SIZE);
        Label type = Controls.text(dialect.shownType(column), "type");
        type.setMinWidth(Region.USE_PREF_SIZE);
        var row = new FlowPane(8, 0, new HBox(name), type); // a long type stands below its name, rather than being cut
        row.getStyleClass().add("change-row");
        if (differs) {
            row.getStyleClass().add(mark);
        }
        return row;
    }

    private static Node sql(List<LineDifference> lines) {
        var box = new VBox();
        box.getStyleClass().add("sql-pane");
        box.setId("sql-change");
        int shown = 0;
        boolean skipped = false;
        for (int i = 0; i < lines.size() && shown < MOST_LINES; i++) {
            if (isNear(lines, i)) {
                box.getChildren().add(line(lines.get(i)));
                shown++;
                skipped = false;
            } else if (!skipped) {
                box.getChildren().add(Controls.text("  …", "change-line"));
                skipped = true;
            }
        }
        if (shown == MOST_LINES) {
            box.getChildren().add(Controls.text("  … and more", "change-line"));
        }
        return box;
    }

    private static boolean isNear(List<LineDifference> lines, int at) {
        for (int i = Math.max(0, at - AROUND); i <= Math.min(lines.size() - 1, at + AROUND); i++) {
            if (lines.get(i).kind() != Kind.STAYS) {
                return true;
            }
        }
        return false;
    }

    private static Label line(LineDifference difference) {
        String sign =
                switch (difference.kind()) {
                    case GOES -> "- ";
                    case COMES -> "+ ";
                    case STAYS -> "  ";
                };
        Label line = Controls.text(sign + difference.line(), "change-line");
        line.setMaxWidth(Double.MAX_VALUE);
        line.setMinWidth(0);
        switch (difference.kind()) {
            case GOES -> line.getStyleClass().add("goes");
            case COMES -> line.getStyleClass().add("comes");
            case STAYS -> line.getStyleClass().add("stays");
        }
        return line;
    }
}
