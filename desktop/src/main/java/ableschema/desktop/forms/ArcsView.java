package ableschema.desktop.forms;

import ableschema.core.design.Dependency;
import ableschema.core.normalization.EntityTheory;
import ableschema.core.theory.AttributeSet;
import ableschema.core.theory.Violation;
import ableschema.desktop.marks.FxFonts;
import ableschema.desktop.marks.FxMarks;
import ableschema.diagram.picture.Ink;
import ableschema.diagram.text.Face;
import java.util.ArrayList;
import java.util.List;
import javafx.scene.layout.Pane;
import javafx.scene.shape.CubicCurve;
import javafx.scene.shape.Line;
import javafx.scene.shape.Polygon;
import javafx.scene.shape.Polyline;
import javafx.scene.shape.Rectangle;
import javafx.scene.text.Text;

/**
 * The attributes in one row, with the stated dependencies drawn on them: those of a single determinant as arcs above,
 * joint ones as a bracket below. Those that break a normal form are in rust.
 */
final class ArcsView extends Pane {

    private static final double BOX = 28;
    private static final double GAP = 5;
    private static final double PADDING = 7;
    private static final double SIZE = 12;
    private static final double TALLEST = 84;

    private final EntityTheory theory;
    private final List<Double> centres = new ArrayList<>();
    private double top;

    ArcsView(EntityTheory theory) {
        this.theory = theory;
        setId("arcs");
        List<Dependency> all = theory.entity().body().dependencies();
        List<Dependency> single = all.stream().filter(d -> d.from().size() == 1).toList();
        List<Dependency> joint = all.stream().filter(d -> d.from().size() != 1).toList();
        top = single.isEmpty() ? 8 : TALLEST;
        boxes();
        single.forEach(this::arcs);
        for (int i = 0; i < joint.size(); i++) {
            bracket(joint.get(i), i);
        }
        double height = top + BOX + 6 + joint.size() * 22;
        setMinHeight(height);
        setPrefHeight(height);
    }

    private void boxes() {
        List<String> names = theory.analysis().relation().attributes();
        AttributeSet key = theory.set(theory.entity().body().key());
        double x = 0;
        for (int i = 0; i < names.size(); i++) {
            double own = Face.REGULAR.width(names.get(i), SIZE) + 2 * PADDING;
            var box = new Rectangle(x, top, own, BOX);
            box.setArcWidth(10);
            box.setArcHeight(10);
            boolean inKey = key.contains(i);
            box.setFill(inKey ? FxMarks.colour(Ink.PINE).deriveColor(0, 1, 1, 0.08) : FxMarks.colour(Ink.LINEN));
            box.setStroke(FxMarks.colour(inKey ? Ink.PINE : Ink.HAIRLINE));
            var text = new Text(x + PADDING, top + 18, names.get(i));
            text.setFont(FxFonts.of(Face.REGULAR, SIZE));
            text.setFill(FxMarks.colour(Ink.INK));
            text.setUnderline(inKey);
            getChildren().addAll(box, text);
            centres.add(x + own / 2);
            x += own + GAP;
        }
        setMinWidth(x);
    }

    private boolean breaks(Dependency dependency) {
        AttributeSet from = theory.set(dependency.from());
        return theory.analysis().violations().stream().map(Violation::from).anyMatch(from::equals);
    }

    private void arcs(Dependency dependency) {
        Ink ink = breaks(dependency) ? Ink.RUST : Ink.PINE;
        int from = theory.set(dependency.from()).stream().findFirst().orElse(0);
        theory.set(dependency.to()).stream().filter(to -> to != from).forEach(to -> arc(from, to, ink));
    }

    private void arc(int from, int to, Ink ink) {
        double start = centres.get(from);
        double end = centres.get(to);
        double height = Math.min(TALLEST - 8, 26 + Math.abs(end - start) * 0.28);
        var curve = new CubicCurve(start, top, start, top - height, end, top - height, end, top - 3);
        curve.setFill(null);
        curve.setStroke(FxMarks.colour(ink));
        curve.setStrokeWidth(1.5);
        var tip = new Polygon(end - 4, top - 8, end + 4, top - 8, end, top - 1);
        tip.setFill(FxMarks.colour(ink));
        getChildren().addAll(curve, tip);
    }

    private void bracket(Dependency dependency, int level) {
        Ink ink = breaks(dependency) ? Ink.RUST : Ink.PINE;
        AttributeSet from = theory.set(dependency.from());
        AttributeSet to = theory.set(dependency.to()).minus(from);
        double y = top + BOX + 12 + level * 22;
        double[] ends = from.union(to).stream().mapToDouble(centres::get).toArray();
        if (ends.length == 0) {
            return;
        }
        var line = new Polyline(ends[0], y, ends[ends.length - 1], y);
        line.setStroke(FxMarks.colour(ink));
        line.setStrokeWidth(1.5);
        getChildren().add(line);
        from.stream().forEach(a -> stem(centres.get(a), y, ink, 3));
        to.stream().forEach(a -> stem(centres.get(a), y, ink, 1.5));
    }

    /** Determinants hang on thick stems, what they decide on thin ones. */
    private void stem(double x, double y, Ink ink, double thickness) {
        var stem = new Line(x, top + BOX + 3, x, y);
        stem.setStroke(FxMarks.colour(ink));
        stem.setStrokeWidth(thickness);
        getChildren().add(stem);
    }
}
