package ableschema.diagram.layout;

import ableschema.core.design.Entity;
import ableschema.core.design.Id;
import ableschema.core.design.Relationship;
import ableschema.core.document.Document;
import ableschema.core.document.Position;
import ableschema.core.mapping.Mapping;
import ableschema.diagram.geometry.Area;
import ableschema.diagram.picture.ContentsMaker;
import ableschema.diagram.picture.Link;
import ableschema.diagram.picture.View;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Stream;
import org.eclipse.elk.alg.layered.options.LayeredMetaDataProvider;
import org.eclipse.elk.alg.layered.options.LayeredOptions;
import org.eclipse.elk.alg.layered.options.LayeringStrategy;
import org.eclipse.elk.alg.layered.options.NodePlacementStrategy;
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

    /** How the engine lays cards in layers. */
    private record Way(LayeringStrategy layering, NodePlacementStrategy placing, double betweenLayers) {}

    private static final Way USUAL =
            new Way(LayeringStrategy.NETWORK_SIMPLEX, NodePlacementStrategy.BRANDES_KOEPF, BETWEEN_LAYERS);

    /** Which of these needs the least paper differs from district to district, so that each is tried. */
    private static final List<Way> CLOSE = List.of(
            new Way(LayeringStrategy.NETWORK_SIMPLEX, NodePlacementStrategy.BRANDES_KOEPF, 88),
            new Way(LayeringStrategy.NETWORK_SIMPLEX, NodePlacementStrategy.LINEAR_SEGMENTS, 88),
            new Way(LayeringStrategy.LONGEST_PATH, NodePlacementStrategy.LINEAR_SEGMENTS, 88),
            new Way(LayeringStrategy.MIN_WIDTH, NodePlacementStrategy.LINEAR_SEGMENTS, 88));

    /** Round a new card several lines have room with their signs. */
    private static final double AROUND_NEW = 72;

    private static final double MARGIN = 32;
    private static final double STEP = 40;
    private static final double GRID = 4;

    /** What is laid out already is shown without the engine, which takes long to be made ready. */
    private static final class Engine {
        static {
            LayoutMetaDataService.getInstance().registerLayoutMetaDataProviders(new LayeredMetaDataProvider());
        }

        static RecursiveGraphLayoutEngine ready() {
            return new RecursiveGraphLayoutEngine();
        }
    }

    private AutoLayout() {}

    /** Cards and links as the layout engine takes them. */
    public record Graph(ElkNode root, Map<Id, ElkNode> nodes) {}

    /** The graph of a document in one piece, before anything in it has a place. */
    public static Graph graphOf(Document document) {
        Mapping mapping = document.mapping();
        Sizes sizes = Sizes.of(document, mapping);
        return graph(
                USUAL,
                sizes,
                sizes.cards(),
                new ContentsMaker().of(document, mapping, View.TABLES).links());
    }

    private static Graph graph(Way way, Sizes sizes, Collection<Id> cards, List<Link> links) {
        ElkNode root = root(way);
        Map<Id, ElkNode> nodes = new LinkedHashMap<>();
        for (Id card : cards) {
            ElkNode node = ElkGraphUtil.createNode(root);
            node.setDimensions(sizes.of(card).width(), sizes.of(card).height());
            nodes.put(card, node);
        }
        for (Link link : links) {
            boolean turned = link.isOneToTheSecond();
            ElkNode first = nodes.get(link.first().card());
            ElkNode second = nodes.get(link.second().card());
            if (!link.isLoop() && first != null && second != null) {
                ElkGraphUtil.createSimpleEdge(turned ? second : first, turned ? first : second);
            }
        }
        return new Graph(root, nodes);
    }

    /** Places some cards by themselves, by the links between them. */
    static Map<Id, Position> placed(Sizes sizes, Collection<Id> cards, List<Link> links) {
        return placed(USUAL, sizes, cards, links);
    }

    /** The same on as little paper as is known how. */
    static Map<Id, Position> placedClose(Sizes sizes, Collection<Id> cards, List<Link> links) {
        return CLOSE.stream()
                .map(way -> placed(way, sizes, cards, links))
                .min(Comparator.comparingDouble(positions -> {
                    Area area = sizes.around(positions);
                    return area.width() * area.height();
                }))
                .orElseThrow(); // there are ways
    }

    private static Map<Id, Position> placed(Way way, Sizes sizes, Collection<Id> cards, List<Link> links) {
        return apart(laidOut(graph(way, sizes, cards, links)).nodes());
    }

    /** Has the engine place the nodes of a graph. */
    public static Graph laidOut(Graph graph) {
        Engine.ready().layout(graph.root(), new Stoppable());
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

    private static ElkNode root(Way way) {
        ElkNode root = ElkGraphUtil.createGraph();
        root.setProperty(CoreOptions.ALGORITHM, "org.eclipse.elk.layered");
        root.setProperty(CoreOptions.DIRECTION, Direction.RIGHT);
        root.setProperty(CoreOptions.EDGE_ROUTING, EdgeRouting.ORTHOGONAL);
        root.setProperty(CoreOptions.SPACING_NODE_NODE, BETWEEN_CARDS);
        root.setProperty(CoreOptions.SPACING_COMPONENT_COMPONENT, BETWEEN_CARDS);
        root.setProperty(CoreOptions.PADDING, new ElkPadding(MARGIN));
        root.setProperty(LayeredOptions.LAYERING_STRATEGY, way.layering());
        root.setProperty(LayeredOptions.NODE_PLACEMENT_STRATEGY, way.placing());
        root.setProperty(LayeredOptions.SPACING_NODE_NODE_BETWEEN_LAYERS, way.betweenLayers());
        root.setProperty(LayeredOptions.RANDOM_SEED, 1);
        return root;
    }

    /** Places all cards anew but these, which stay where they are; the others make room for them. */
    public static Arrangement keeping(Document document, Set<Id> kept) {
        Mapping mapping = document.mapping();
        Arrangement all = Arrangement.of(document, mapping);
        if (kept.isEmpty()) {
            return all;
        }
        Document divided = document.with(document.diagram().withDistricts(all.districts()));
        Sizes sizes = Sizes.of(divided, mapping);
        var standing = new ArrayList<Area>();
        kept.forEach(id -> document.position(id)
                .filter(at -> sizes.cards().contains(id))
                .ifPresent(at -> standing.add(sizes.at(id, at).grown(BETWEEN_CARDS / 2))));
        var placed = new LinkedHashMap<Id, Position>();
        all.positions().forEach((id, at) -> {
            if (!kept.contains(id)) {
                Position free = at;
                while (meets(sizes.at(id, free), standing)) {
                    free = new Position(free.x(), free.y() + STEP);
                }
                standing.add(sizes.at(id, free));
                placed.put(id, free);
            }
        });
        return new Arrangement(placed, all.districts());
    }

    private static boolean meets(Area area, List<Area> standing) {
        return standing.stream().anyMatch(area::meets);
    }

    /** The document with a place for each card: all are placed, if none was, else the new ones beside what they are linked to. */
    public static Document completed(Document document) {
        return completed(document, Mapping.NONE, new Measuring());
    }

    /**
     * @param before    the tables of the document, or of one much like it
     * @param measuring knows the sizes of cards of before
     */
    public static Document completed(Document document, Mapping before, Measuring measuring) {
        Map<Id, Position> known = document.diagram().positions();
        List<Id> wanting = wantingPlaces(document);
        if (known.keySet().containsAll(wanting)) {
            return document;
        }
        Mapping mapping = document.mapping(before);
        if (wanting.stream().noneMatch(known::containsKey)) {
            return Arrangement.of(document, mapping).appliedTo(document);
        }
        List<Link> links =
                new ContentsMaker().of(document, mapping, View.TABLES).links();
        return document.moved(new Filling(measuring.of(document, mapping), known, links).unplaced());
    }

    /** Entities and many-to-many relationships: all that has a card in some view. */
    private static List<Id> wantingPlaces(Document document) {
        return Stream.concat(
                        document.design().entities().stream().map(Entity::id),
                        document.design().relationships().stream()
                                .filter(Relationship::isManyToMany)
                                .map(Relationship::id))
                .toList();
    }

    /** Finds places for new cards among those that stand, which stay where they are. */
    private static final class Filling {

        private final Sizes sizes;
        private final List<Link> links;
        private final Map<Id, Area> taken = new LinkedHashMap<>();
        private final Map<Id, Position> unplaced = new LinkedHashMap<>();

        Filling(Sizes sizes, Map<Id, Position> known, List<Link> links) {
            this.sizes = sizes;
            this.links = links;
            sizes.cards().forEach(id -> {
                if (known.containsKey(id)) {
                    taken.put(id, sizes.at(id, known.get(id)));
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
            sizes.cards().stream().filter(id -> !taken.containsKey(id)).toList().forEach(this::placeAnywhere);
            return unplaced;
        }

        /** Puts a card left or right of a neighbour that stands, on its level or as near to it as there is room. */
        private boolean placeBeside(Id card, Id neighbour, boolean left) {
            Area anchor = taken.get(neighbour);
            if (anchor == null || !sizes.cards().contains(card) || taken.containsKey(card)) {
                return false;
            }
            double x = left ? anchor.x() - BETWEEN_LAYERS - sizes.of(card).width() : anchor.right() + BETWEEN_LAYERS;
            for (int step = 0; ; step++) {
                for (int sign : new int[] {1, -1}) {
                    if (tryAt(card, new Position(snapped(x), snapped(anchor.y() + sign * step * STEP)))) {
                        return true;
                    }
                }
            }
        }

        private boolean tryAt(Id card, Position place) {
            Area area = sizes.at(card, place);
            boolean free = taken.values().stream().noneMatch(area.grown(AROUND_NEW)::meets);
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
