package ableschema.desktop.controls;

import java.util.HashMap;
import java.util.Map;
import java.util.function.DoubleUnaryOperator;
import javafx.geometry.HPos;
import javafx.geometry.Orientation;
import javafx.geometry.VPos;
import javafx.scene.Node;
import javafx.scene.layout.Region;

/**
 * Keeps the heights of what stands in it until that has to be laid out anew: a column asks each of its parts several times,
 * and breaking text into lines takes long.
 */
final class Kept extends Region {

    private final Node node;
    private final Map<Double, Double> least = new HashMap<>();
    private final Map<Double, Double> preferred = new HashMap<>();

    Kept(Node node) {
        this.node = node;
        getChildren().add(node);
    }

    Node node() {
        return node;
    }

    @Override
    public void requestLayout() {
        // asked for before the constructor has run, too
        if (least != null) {
            least.clear();
            preferred.clear();
        }
        super.requestLayout();
    }

    private static double kept(Map<Double, Double> known, double width, DoubleUnaryOperator measured) {
        Double height = known.get(width);
        if (height == null) {
            height = measured.applyAsDouble(width);
            known.put(width, height);
        }
        return height;
    }

    @Override
    public Orientation getContentBias() {
        return node.getContentBias();
    }

    @Override
    protected double computeMinWidth(double height) {
        return node.minWidth(height);
    }

    @Override
    protected double computePrefWidth(double height) {
        return node.prefWidth(height);
    }

    @Override
    protected double computeMinHeight(double width) {
        return kept(least, width, node::minHeight);
    }

    @Override
    protected double computePrefHeight(double width) {
        return kept(preferred, width, node::prefHeight);
    }

    @Override
    protected void layoutChildren() {
        layoutInArea(node, 0, 0, getWidth(), getHeight(), 0, HPos.LEFT, VPos.TOP);
    }
}
