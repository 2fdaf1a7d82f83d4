package ableschema.diagram.route;

import ableschema.diagram.geometry.Point;
import java.util.ArrayDeque;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.PriorityQueue;
import org.jspecify.annotations.Nullable;

/** The cheapest path on a grid between two of its points (A*, Hart, Nilsson and Raphael 1968), where bends cost. */
final class Search {

    private static final double BEND_COST = 40;

    private final Grid grid;
    private final Point from;
    private final Point to;
    private final double[] best;
    private final PriorityQueue<Step> open = new PriorityQueue<>(Comparator.comparingDouble(Step::estimate));

    /** A grid point reached in a direction. */
    private record Step(int x, int y, boolean flat, double cost, double estimate, @Nullable Step before) {}

    Search(Grid grid, Point from, Point to) {
        this.grid = grid;
        this.from = from;
        this.to = to;
        this.best = new double[grid.width() * grid.height() * 2];
        Arrays.fill(best, Double.MAX_VALUE);
    }

    /** The points of a path and what it costs; infinite where it goes straight through cards. */
    record Found(List<Point> points, double cost) {
        /** Whether it goes through no card along no other line and over no end. */
        boolean isClear() {
            double length = 0;
            for (int i = 1; i < points.size(); i++) {
                length += Math.abs(points.get(i).x() - points.get(i - 1).x())
                        + Math.abs(points.get(i).y() - points.get(i - 1).y());
            }
            return cost - length < Grid.END_CROSSING_COST;
        }
    }

    /** Returns the cheapest path; straight through everything where there is no way around. */
    Found path(boolean startsFlat) {
        push(grid.column(from.x()), grid.row(from.y()), startsFlat, 0, null);
        int column = grid.column(to.x());
        int row = grid.row(to.y());
        while (!open.isEmpty()) {
            Step step = open.poll();
            if (step.x() == column && step.y() == row) {
                return new Found(points(step), step.cost());
            }
            if (step.cost() <= best[key(step.x(), step.y(), step.flat())]) {
                move(step, step.x() - 1, step.y(), true);
                move(step, step.x() + 1, step.y(), true);
                move(step, step.x(), step.y() - 1, false);
                move(step, step.x(), step.y() + 1, false);
            }
        }
        return new Found(List.of(from, new Point(to.x(), from.y()), to), Double.POSITIVE_INFINITY);
    }

    private void move(Step step, int x, int y, boolean flat) {
        if (x >= 0 && y >= 0 && x < grid.width() && y < grid.height()) {
            double bend = flat == step.flat() ? 0 : BEND_COST;
            push(x, y, flat, step.cost() + bend + grid.cost(step.x(), step.y(), x, y), step);
        }
    }

    private void push(int x, int y, boolean flat, double cost, @Nullable Step before) {
        int key = key(x, y, flat);
        if (cost < best[key]) {
            best[key] = cost;
            Point point = grid.point(x, y);
            double left = Math.abs(point.x() - to.x()) + Math.abs(point.y() - to.y());
            open.add(new Step(x, y, flat, cost, cost + left, before));
        }
    }

    private int key(int x, int y, boolean flat) {
        return (x * grid.height() + y) * 2 + (flat ? 1 : 0);
    }

    private List<Point> points(Step end) {
        var points = new ArrayDeque<Point>();
        for (Step step = end; step != null; step = step.before()) {
            points.addFirst(grid.point(step.x(), step.y()));
        }
        return List.copyOf(points);
    }
}
