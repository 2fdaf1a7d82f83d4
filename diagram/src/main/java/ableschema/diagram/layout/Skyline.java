package ableschema.diagram.layout;

import ableschema.diagram.geometry.Point;
import java.util.ArrayList;
import java.util.List;

/** Packs rectangles onto paper of a given width, each as far up as it goes: the skyline heuristic, as used for cutting stock. */
final class Skyline {

    private final double width;
    private final List<Step> steps = new ArrayList<>();

    /** From {@code x} up to the next step, everything above {@code y} is taken. */
    private record Step(double x, double y) {}

    Skyline(double width) {
        this.width = width;
        steps.add(new Step(0, 0));
    }

    /** Finds room for a rectangle, which is taken then; returns its upper left corner. */
    Point place(double wide, double high) {
        double bestX = 0;
        double bestY = Double.MAX_VALUE;
        for (Step step : steps) {
            if (step.x() == 0 || step.x() + wide <= width) {
                double y = lowest(step.x(), step.x() + wide);
                if (y < bestY) {
                    bestX = step.x();
                    bestY = y;
                }
            }
        }
        take(bestX, bestX + wide, bestY + high);
        return new Point(bestX, bestY);
    }

    /** Down to where the paper is taken somewhere between two places. */
    private double lowest(double from, double to) {
        double lowest = 0;
        for (int i = 0; i < steps.size(); i++) {
            if (steps.get(i).x() < to && endOf(i) > from) {
                lowest = Math.max(lowest, steps.get(i).y());
            }
        }
        return lowest;
    }

    private double endOf(int step) {
        return step + 1 < steps.size() ? steps.get(step + 1).x() : Double.MAX_VALUE;
    }

    private void take(double from, double to, double y) {
        var next = new ArrayList<Step>();
        double after = 0;
        for (int i = 0; i < steps.size(); i++) {
            Step step = steps.get(i);
            if (step.x() < from) {
                next.add(step);
            }
            if (step.x() <= to && endOf(i) > to) {
                after = step.y();
            }
        }
        next.add(new Step(from, y));
        next.add(new Step(to, after));
        steps.stream().filter(step -> step.x() > to).forEach(next::add);
        steps.clear();
        steps.addAll(next);
    }
}
