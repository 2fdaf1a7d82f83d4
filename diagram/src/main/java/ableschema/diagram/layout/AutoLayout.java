package ableschema.diagram.layout;

import ableschema.core.design.Id;
import ableschema.core.document.Document;
import ableschema.core.document.Position;
import ableschema.diagram.geometry.Area;
import ableschema.diagram.picture.Card;
import ableschema.diagram.picture.Contents;
import ableschema.diagram.picture.Link;
import ableschema.diagram.picture.View;
import java.util.LinkedHashMap;
import java.util.Map;
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
    private static final double GRID = 4;

    static {
        LayoutMetaDataService.getInstance().registerLayoutMetaDataProviders(new LayeredMetaDataProvider());
    }

    private AutoLayout() {}

    /** Places all cards anew. */
    public static Map<Id, Position> of(Contents contents) {
        ElkNode root = graph();
        Map<Id, ElkNode> nodes = new LinkedHashMap<>();
        for (Card card : contents.cards()) {
            ElkNode node = ElkGraphUtil.createNode(root);
            node.setDimensions(card.width(), card.height());
            nodes.put(card.id(), node);
        }
        for (Link link : contents.links()) {
            boolean turned = link.isOneToTheSecond();
            ElkNode first = nodes.get(link.first().card());
            ElkNode second = nodes.get(link.second().card());
            if (!link.isLoop() && first != null && second != null) {
                ElkGraphUtil.createSimpleEdge(turned ? second : first, turned ? first : second);
            }
        }
        new RecursiveGraphLayoutEngine().layout(root, new BasicProgressMonitor());
        var positions = new LinkedHashMap<Id, Position>();
        nodes.forEach((id, node) -> positions.put(id, new Position(snapped(node.getX()), snapped(node.getY()))));
        return positions;
    }

    private static ElkNode graph() {
        ElkNode root = ElkGraphUtil.createGraph();
        root.setProperty(CoreOptions.ALGORITHM, "org.eclipse.elk.layered");
        root.setProperty(CoreOptions.DIRECTION, Direction.RIGHT);
        root.setProperty(CoreOptions.EDGE_ROUTING, EdgeRouting.ORTHOGONAL);
        root.setProperty(CoreOptions.SPACING_NODE_NODE, BETWEEN_CARDS);
        root.setProperty(CoreOptions.PADDING, new ElkPadding(MARGIN));
        root.setProperty(LayeredOptions.SPACING_NODE_NODE_BETWEEN_LAYERS, BETWEEN_LAYERS);
        root.setProperty(LayeredOptions.RANDOM_SEED, 1);
        return root;
    }

    /** Places only the cards that have no place yet: all, if none has, else beside and below what stands. */
    public static Map<Id, Position> forUnplaced(Document document, View view) {
        Contents contents = Contents.of(document, view);
        Map<Id, Position> known = document.diagram().positions();
        var unplaced = new LinkedHashMap<Id, Position>();
        if (contents.cards().stream().noneMatch(card -> known.containsKey(card.id()))) {
            return of(contents);
        }
        for (Card card : contents.cards()) {
            if (!known.containsKey(card.id())) {
                unplaced.put(card.id(), freePlace(card, contents, known, unplaced));
            }
        }
        return unplaced;
    }

    /** Goes along rows and down columns of a coarse grid until the card meets no other. */
    private static Position freePlace(
            Card card, Contents contents, Map<Id, Position> known, Map<Id, Position> unplaced) {
        for (int step = 0; ; step++) {
            for (int column = 0; column <= step; column++) {
                Area place = card.at(MARGIN + column * 260, MARGIN + (step - column) * 120);
                boolean free = contents.cards().stream()
                        .filter(other -> known.containsKey(other.id()) || unplaced.containsKey(other.id()))
                        .map(other -> {
                            Position at =
                                    unplaced.containsKey(other.id()) ? unplaced.get(other.id()) : known.get(other.id());
                            return other.at(at.x(), at.y());
                        })
                        .noneMatch(place.grown(24)::meets);
                if (free) {
                    return new Position(place.x(), place.y());
                }
            }
        }
    }

    private static double snapped(double value) {
        return Math.round(value / GRID) * GRID;
    }
}
