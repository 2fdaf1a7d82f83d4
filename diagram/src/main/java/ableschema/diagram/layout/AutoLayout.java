package ableschema.diagram.layout;

import ableschema.core.design.Entity;
import ableschema.core.design.Id;
import ableschema.core.design.Relationship;
import ableschema.core.document.Document;
import ableschema.core.document.Position;
import ableschema.diagram.geometry.Area;
import ableschema.diagram.picture.Card;
import ableschema.diagram.picture.Contents;
import ableschema.diagram.picture.Link;
import ableschema.diagram.picture.View;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Stream;
import org.eclipse.elk.alg.layered.options.LayeredMetaDataProvider;
import org.eclipse.elk.alg.layered.options.LayeredOptions;
import org.eclipse.elk.core.RecursiveGraphLayoutEngine;
import org.eclipse.elk.core.data.LayoutMetaDataService;
import org.eclipse.elk.core.math.ElkPadding;
import org.eclipse.elk.core.options.CoreOptions;
import org.eclipse.elk.core.options.Direction;
import org.eclipse.elk.core.options.EdgeRouting;
import org.eclipse.elk.core.util.BasicProgressMonitor;
import org.eclipse.elk.graph.ElkNode;
import org.eclipse.elk.graph.util.ElkGraphUtil;

/** Places cards so that the one side stands left of its many side. */
public final class AutoLayout {

    private static final double BETWEEN_CARDS = 48;
    private static final double BETWEEN_LAYERS = 112;
    private static final double MARGIN = 32;
    private static final double STEP = 40;
    private static final double GRID = 4;

    static {
        LayoutMetaDataService.getInstance().registerLayoutMetaDataProviders(new LayeredMetaDataProvider());
    }

    private AutoLayout() {}

    /**
     * Places all cards anew. Both views share the places, so that each card gets the room that it needs in the larger of
     * the two, and junction tables have theirs between what they join.
     */
    public static Map<Id, Position> of(Document document) {
        return apart(laidOut(graphOf(document)).nodes());
    }

    /** Cards and links as the layout engine takes them. */
    public record Graph(ElkNode root, Map<Id, ElkNode> nodes) {}

    /** The graph of a document, before anything in it has a place. */
    public static Graph graphOf(Document document) {
        Map<Id, Size> sizes = sizes(document);
        ElkNode root = graph();
        Map<Id, ElkNode> nodes = new LinkedHashMap<>();
        sizes.forEach((id, size) -> {
            ElkNode node = ElkGraphUtil.createNode(root);
            node.setDimensions(size.width(), size.height());
            nodes.put(id, node);
        });
        for (Link link : Contents.of(document, View.TABLES).links()) {
            boolean turned = link.isOneToTheSecond();
            ElkNode first = nodes.get(link.first().card());
            ElkNode second = nodes.get(link.second().card());
            if (!link.isLoop() && first != null && second != null) {
                ElkGraphUtil.createSimpleEdge(turned ? second : first, turned ? first : second);
            }
        }
        return new Graph(root, nodes);
    }

    /** Has the engine place the nodes of a graph. */
    public static Graph laidOut(Graph graph) {
        new RecursiveGraphLayoutEngine().layout(graph.root(), new Stoppable());
        return graph;
    }

    /** Has the engine stop at its next step when the thread is interrupted. */
    private static final class Stoppable extends BasicProgressMonitor {
        @Override
        public boolean isCanceled() {
            return Thread.currentThread().isInterrupted();
        }

        @Override
        protected BasicProgressMonitor doSubTask(float work, int maxHierarchyLevels) {
            return new Stoppable();
        }
    }

    /** Moves cards down that stand closer below others than lines need; the engine packs some of them tighter than asked. */
    private static Map<Id, Position> apart(Map<Id, ElkNode> nodes) {
        var placed = new ArrayList<Area>();
        var positions = new LinkedHashMap<Id, Position>();
        List<Map.Entry<Id, ElkNode>> downwards = nodes.entrySet().stream()
                .sorted(Comparator.comparingDouble(e -> e.getValue().getY()))
                .toList();
        for (Map.Entry<Id, ElkNode> each : downwards) {
            ElkNode node = each.getValue();
            Area area = new Area(snapped(node.getX()), snapped(node.getY()), node.getWidth(), node.getHeight());
            for (Area above : placed) {
                boolean below = area.x() < above.right() && above.x() < area.right();
                if (below && area.y() < above.bottom() + BETWEEN_CARDS) {
                    area = new Area(area.x(), snapped(above.bottom() + BETWEEN_CARDS), area.width(), area.height());
                }
            }
            placed.add(area);
            positions.put(each.getKey(), new Position(area.x(), area.y()));
        }
        return positions;
    }

    /** The room that a card needs, whichever view is shown. */
    private record Size(double width, double height) {
        Area at(Position position) {
            return new Area(position.x(), position.y(), width, height);
        }
    }

    private static Map<Id, Size> sizes(Document document) {
        var sizes = new LinkedHashMap<Id, Size>();
        for (View view : View.values()) {
            for (Card card : Contents.of(document, view).cards()) {
                sizes.merge(
                        card.id(),
                        new Size(card.width(), card.height()),
                        (a, b) -> new Size(Math.max(a.width(), b.width()), Math.max(a.height(), b.height())));
            }
        }
        return sizes;
    }

    private static ElkNode graph() {
        ElkNode root = ElkGraphUtil.createGraph();
        root.setProperty(CoreOptions.ALGORITHM, "org.eclipse.elk.layered");
        root.setProperty(CoreOptions.DIRECTION, Direction.RIGHT);
        root.setProperty(CoreOptions.EDGE_ROUTING, EdgeRouting.ORTHOGONAL);
        root.setProperty(CoreOptions.SPACING_NODE_NODE, BETWEEN_CARDS);
        root.setProperty(CoreOptions.SPACING_COMPONENT_COMPONENT, BETWEEN_CARDS);
        root.setProperty(CoreOptions.PADDING, new ElkPadding(MARGIN));
        root.setProperty(LayeredOptions.SPACING_NODE_NODE_BETWEEN_LAYERS, BETWEEN_LAYERS);
        root.setProperty(LayeredOptions.RANDOM_SEED, 1);
        return root;
    }

    /** Places all cards anew but these, which stay where they are; the others make room for them. */
    public static Map<Id, Position> keeping(Document document, Set<Id> kept) {
        Map<Id, Position> all = of(document);
        if (kept.isEmpty()) {
            return all;
        }
        Map<Id, Size> sizes = sizes(document);
        var standing = new ArrayList<Area>();
        kept.forEach(id -> document.position(id)
                .filter(at -> sizes.containsKey(id))
                .ifPresent(at -> standing.add(sizes.get(id).at(at).grown(BETWEEN_CARDS / 2))));
        var placed = new LinkedHashMap<Id, Position>();
        all.forEach((id, at) -> {
            if (!kept.contains(id)) {
                Position free = at;
                Size size = sizes.getOrDefault(id, new Size(0, 0));
                while (meets(size.at(free), standing)) {
                    free = new Position(free.x(), free.y() + STEP);
                }
                standing.add(size.at(free));
                placed.put(id, free);
            }
        });
        return placed;
    }

    private static boolean meets(Area area, List<Area> standing) {
        return standing.stream().anyMatch(area::meets);
    }

    /** Places only the cards that have no place yet: all, if none has, else beside what they are linked to. */
    public static Map<Id, Position> forUnplaced(Document document) {
        Map<Id, Position> known = document.diagram().positions();
        if (known.keySet().containsAll(wantingPlaces(document))) {
            return Map.of();
        }
        Map<Id, Size> sizes = sizes(document);
        if (sizes.keySet().stream().noneMatch(known::containsKey)) {
            return of(document);
        }
        return new Filling(sizes, known, Contents.of(document, View.TABLES).links()).unplaced();
    }

    /** Entities and many-to-many relationships: all that has a card in some view. */
    public static List<Id> wantingPlaces(Document document) {
        return Stream.concat(
                        document.design().entities().stream().map(Entity::id),
                        document.design().relationships().stream()
                                .filter(Relationship::isManyToMany)
                                .map(Relationship::id))
                .toList();
    }

    /** Places all cards in rows, at once and without looking at what is linked, until they are placed well. */
    public static Map<Id, Position> inRows(Document document) {
        var positions = new LinkedHashMap<Id, Position>();
        List<Id> cards = wantingPlaces(document);
        int columns = (int) Math.ceil(Math.sqrt(cards.size()));
        for (int i = 0; i < cards.size(); i++) {
            positions.put(cards.get(i), new Position(MARGIN + i % columns * 360, MARGIN + i / columns * 320));
        }
        return positions;
    }

    /** Finds places for new cards among those that stand, which stay where they are. */
    private static final class Filling {

        private final Map<Id, Size> sizes;
        private final List<Link> links;
        private final Map<Id, Area> taken = new LinkedHashMap<>();
        private final Map<Id, Position> unplaced = new LinkedHashMap<>();

        Filling(Map<Id, Size> sizes, Map<Id, Position> known, List<Link> links) {
            this.sizes = sizes;
            this.links = links;
            sizes.forEach((id, size) -> {
                if (known.containsKey(id)) {
                    taken.put(id, size.at(known.get(id)));
                }
            });
        }

        Map<Id, Position> unplaced() {
            boolean more = true;
            while (more) {
                more = false;
                for (Link link : links) {
                    Id one = link.isOneToTheSecond()
                            ? link.second().card()
                            : link.first().card();
                    Id many = link.isOneToTheSecond()
                            ? link.first().card()
                            : link.second().card();
                    more |= placeBeside(one, many, true) || placeBeside(many, one, false);
                }
            }
            sizes.keySet().stream()
                    .filter(id -> !taken.containsKey(id))
                    .toList()
                    .forEach(this::placeAnywhere);
            return unplaced;
        }

        /** Puts a card left or right of a neighbour that stands, on its level or as near to it as there is room. */
        private boolean placeBeside(Id card, Id neighbour, boolean left) {
            Area anchor = taken.get(neighbour);
            Size size = sizes.get(card);
            if (anchor == null || size == null || taken.containsKey(card)) {
                return false;
            }
            double x = left ? anchor.x() - BETWEEN_LAYERS - size.width() : anchor.right() + BETWEEN_LAYERS;
            for (int step = 0; ; step++) {
                for (int sign : new int[] {1, -1}) {
                    if (tryAt(card, new Position(snapped(x), snapped(anchor.y() + sign * step * STEP)))) {
                        return true;
                    }
                }
            }
        }

        private boolean tryAt(Id card, Position place) {
            Area area = sizes.get(card).at(place);
            boolean free = taken.values().stream().noneMatch(area.grown(BETWEEN_CARDS / 2)::meets);
            if (free) {
                taken.put(card, area);
                unplaced.put(card, place);
            }
            return free;
        }

        /** Goes along the diagonals of a coarse grid until the card has room. */
        private void placeAnywhere(Id card) {
            for (int step = 0; ; step++) {
                for (int column = 0; column <= step; column++) {
                    if (tryAt(card, new Position(MARGIN + column * 280, MARGIN + (step - column) * 120))) {
                        return;
                    }
                }
            }
        }
    }

    private static double snapped(double value) {
        return Math.round(value / GRID) * GRID;
    }
}
