package ableschema.diagram.layout;

import ableschema.core.design.Id;
import ableschema.core.design.IdKind;
import ableschema.core.document.District;
import ableschema.core.document.Document;
import ableschema.core.document.Position;
import ableschema.core.mapping.Mapping;
import ableschema.diagram.geometry.Area;
import ableschema.diagram.geometry.Point;
import ableschema.diagram.picture.ContentsMaker;
import ableschema.diagram.picture.Link;
import ableschema.diagram.picture.Picture.DrawnDistrict;
import ableschema.diagram.picture.View;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * Where all cards of a picture go: of a few in one piece, of many as a map of districts, each laid out by itself and packed
 * beside the others in the form of the window.
 */
public record Arrangement(Map<Id, Position> positions, List<District> districts) {

    /** So many stay in one piece whatever its form. */
    private static final int FEW = 30;

    private static final int MOST_IN_ONE_PIECE = 60;
    /** A piece of more cards than a few is no narrower, and no flatter, than can be read on one screen. */
    private static final double NARROWEST = 0.5;

    private static final double FLATTEST = 3;

    /** Widths by heights that suit the window, of which one may leave less paper over than another. */
    private static final List<Double> FORMS = List.of(1.2, 1.3, 1.4, 1.5, 1.6, 1.7);

    private static final double NARROW = 1.05;
    private static final double WIDE = 1.95;

    private static final List<Comparator<Block>> ORDERS = List.of(
            Comparator.comparingDouble(block -> -block.area().height()),
            Comparator.comparingDouble(
                    block -> -block.area().width() * block.area().height()),
            Comparator.comparingDouble(block -> -block.area().width()));

    private static final double BETWEEN = 24;

    public static Arrangement of(Document document) {
        return of(document, document.mapping());
    }

    /** @param mapping the tables of the document */
    public static Arrangement of(Document document, Mapping mapping) {
        Document whole = document.with(document.diagram().withDistricts(List.of()));
        Sizes sizes = Sizes.of(whole, mapping);
        List<Link> links = new ContentsMaker().of(whole, mapping, View.TABLES).links();
        long entities = sizes.cards().stream()
                .filter(card -> card.kind() == IdKind.ENTITY)
                .count();
        if (entities <= MOST_IN_ONE_PIECE) {
            Map<Id, Position> placed = AutoLayout.placed(sizes, sizes.cards(), links);
            if (entities <= FEW || isReadable(sizes.around(placed))) {
                return new Arrangement(placed, List.of());
            }
        }
        List<District> districts = Districts.of(List.copyOf(sizes.cards()), links).stream()
                .map(cards -> new District(nameOf(cards, links, whole), cards))
                .toList();
        Document divided = document.with(document.diagram().withDistricts(districts));
        return new Arrangement(packed(districts, Sizes.of(divided, mapping), links), districts);
    }

    private static boolean isReadable(Area area) {
        double form = area.width() / area.height();
        return form >= NARROWEST && form <= FLATTEST;
    }

    /** A document with its cards placed in this way. */
    public Document appliedTo(Document document) {
        return document.with(document.diagram().with(positions).withDistricts(districts));
    }

    /** A district is called after the card to which most links within it lead. */
    private static String nameOf(List<Id> cards, List<Link> links, Document document) {
        var ends = new HashMap<Id, Integer>();
        for (Link link : links) {
            if (cards.contains(link.first().card())
                    && cards.contains(link.second().card())) {
                ends.merge(link.first().card(), 1, Integer::sum);
                ends.merge(link.second().card(), 1, Integer::sum);
            }
        }
        Id middle = cards.stream()
                .filter(card -> document.design().entity(card).isPresent())
                .max(Comparator.comparingInt(card -> ends.getOrDefault(card, 0)))
                .orElse(cards.get(0));
        return document.design().nameOf(middle);
    }

    private record Block(Map<Id, Position> positions, Area area) {}

    /** Of several forms and orders the one that needs the least paper. */
    private static Map<Id, Position> packed(List<District> districts, Sizes sizes, List<Link> links) {
        List<Block> blocks = districts.stream()
                .map(district -> block(district, sizes, links))
                .toList();
        return FORMS.stream()
                .flatMap(form -> ORDERS.stream()
                        .map(order -> packed(blocks.stream().sorted(order).toList(), form)))
                .min(Comparator.comparingDouble(Packed::paper))
                .orElseThrow() // there are forms and orders
                .positions();
    }

    private record Packed(Map<Id, Position> positions, double width, double height) {

        /** What is too wide or too high for the window is no gain. */
        double paper() {
            double form = width / height;
            return width * height * (form >= NARROW && form <= WIDE ? 1 : 2);
        }
    }

    private static Packed packed(List<Block> blocks, double form) {
        double all = blocks.stream()
                .mapToDouble(block ->
                        (block.area().width() + BETWEEN) * (block.area().height() + BETWEEN))
                .sum();
        double widest =
                blocks.stream().mapToDouble(block -> block.area().width()).max().orElse(0);
        var skyline = new Skyline(Math.max(widest, Math.sqrt(all * form)) + BETWEEN);
        var positions = new LinkedHashMap<Id, Position>();
        double right = 1;
        double bottom = 1;
        for (Block block : blocks) {
            Area area = block.area();
            Point corner = skyline.place(area.width() + BETWEEN, area.height() + BETWEEN);
            double dx = Math.rint(corner.x() - area.x());
            double dy = Math.rint(corner.y() - area.y());
            block.positions().forEach((id, at) -> positions.put(id, new Position(at.x() + dx, at.y() + dy)));
            right = Math.max(right, corner.x() + area.width());
            bottom = Math.max(bottom, corner.y() + area.height());
        }
        return new Packed(positions, right, bottom);
    }

    private static Block block(District district, Sizes sizes, List<Link> links) {
        Map<Id, Position> positions = AutoLayout.placedClose(sizes, district.cards(), links);
        Area area = sizes.around(positions);
        double room = DrawnDistrict.ROOM;
        return new Block(
                positions,
                new Area(
                        area.x() - room,
                        area.y() - DrawnDistrict.TITLE,
                        area.width() + 2 * room,
                        area.height() + DrawnDistrict.TITLE + room));
    }
}
