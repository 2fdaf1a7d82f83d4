package ableschema.diagram.picture;

import ableschema.core.design.Id;
import ableschema.core.document.Document;
import ableschema.core.document.Notation;
import ableschema.core.document.Position;
import ableschema.diagram.geometry.Area;
import ableschema.diagram.geometry.Surroundings;
import ableschema.diagram.picture.Picture.DrawnLink;
import ableschema.diagram.picture.Picture.PlacedCard;
import ableschema.diagram.route.Route;
import ableschema.diagram.route.Router;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collection;
import java.util.Collections;
import java.util.HashMap;
import java.util.IdentityHashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;

/** Makes the picture of a document in which every card has a place; cards without one stand at the origin. */
public final class PictureMaker {

    private static final Position ORIGIN = new Position(0, 0);

    private PictureMaker() {}

    public static Picture of(Document document, View view, Notation notation) {
        return of(Contents.of(document, view), document.diagram().positions(), notation, Picture.NOTHING);
    }

    /** Makes the picture after a change; lines that the change does not touch keep their way. */
    public static Picture after(Picture before, Contents contents, Map<Id, Position> positions, Notation notation) {
        return of(contents, positions, notation, before);
    }

    public static Picture of(Contents contents, Map<Id, Position> positions, Notation notation) {
        return of(contents, positions, notation, Picture.NOTHING);
    }

    private static Picture of(Contents contents, Map<Id, Position> positions, Notation notation, Picture before) {
        var cards = new LinkedHashMap<Id, PlacedCard>();
        for (Card card : contents.cards()) {
            Position at = positions.getOrDefault(card.id(), ORIGIN);
            cards.put(card.id(), placed(card, at, before.cards().get(card.id())));
        }
        List<Link> links = contents.links().stream()
                .filter(l -> cards.containsKey(l.first().card())
                        && cards.containsKey(l.second().card()))
                .toList();
        return new Picture(cards, new Lines(cards, links, before, notation).drawn(), notation);
    }

    /** A card that has not changed keeps its size, which takes long to measure; one that has not moved either is the same. */
    private static PlacedCard placed(Card card, Position at, @Nullable PlacedCard known) {
        if (known == null || !known.card().equals(card)) {
            return new PlacedCard(card, card.at(at.x(), at.y()));
        }
        Area area = known.area();
        return area.x() == at.x() && area.y() == at.y()
                ? known
                : new PlacedCard(card, new Area(at.x(), at.y(), area.width(), area.height()));
    }

    /** Lays and draws the lines between cards; a line that no change comes near stays the same instance. */
    private static final class Lines {

        private static final double NEAR = 48;

        private final Map<Id, PlacedCard> cards;
        private final Picture before;
        private final Notation notation;
        private final List<Link> links;
        private final List<Route.Wanted> wanted;

        /** The line that each link had, in the order of the links; null for a new one. */
        private final List<@Nullable DrawnLink> drawnBefore;

        Lines(Map<Id, PlacedCard> cards, List<Link> links, Picture before, Notation notation) {
            this.cards = cards;
            this.links = links;
            this.before = before;
            this.notation = notation;
            wanted = links.stream().map(Lines::wanted).toList();
            var known = new HashMap<Route.Wanted, DrawnLink>();
            before.lines().forEach(line -> known.put(wanted(line.link()), line));
            drawnBefore = wanted.stream().<@Nullable DrawnLink>map(known::get).toList();
        }

        private static Route.Wanted wanted(Link link) {
            return new Route.Wanted(
                    link.relationship(), link.first().card(), link.second().card());
        }

        List<DrawnLink> drawn() {
            var areas = new LinkedHashMap<Id, Area>();
            cards.forEach((id, card) -> areas.put(id, card.area()));
            List<Area> changed = changedCards();
            List<Route> routes = new Router(areas).routes(wanted, changed, this::routeBefore);
            changed.addAll(leftCards());
            changed.addAll(changedLines(routes));
            return drawn(routes, kept(routes, changed), areas.values());
        }

        private @Nullable Route routeBefore(int line) {
            DrawnLink earlier = drawnBefore.get(line);
            return earlier == null ? null : earlier.route();
        }

        /** Draws what is not kept, when it is known where all ends of lines are. */
        private List<DrawnLink> drawn(List<Route> routes, DrawnLink[] kept, Collection<Area> cardAreas) {
            int[] open =
                    IntStream.range(0, kept.length).filter(i -> kept[i] == null).toArray();
            var room = new Room(
                    cardAreas, routes, Arrays.stream(open).mapToObj(routes::get).toList());
            Arrays.stream(kept).filter(Objects::nonNull).forEach(line -> LinkMarks.take(line, room));
            List<LinkMarks> marks = Arrays.stream(open)
                    .mapToObj(i -> LinkMarks.of(links.get(i), routes.get(i), notation, room))
                    .toList();
            for (int i = 0; i < open.length; i++) {
                kept[open[i]] = marks.get(i).named(notation);
            }
            return List.of(kept);
        }

        /** Where cards are that were not there. */
        private List<Area> changedCards() {
            var changed = new ArrayList<Area>();
            cards.forEach((id, card) -> {
                PlacedCard earlier = before.cards().get(id);
                if (earlier != card && (earlier == null || !earlier.area().equals(card.area()))) {
                    changed.add(card.area());
                }
            });
            return changed;
        }

        /** Where cards were that are there no longer. */
        private List<Area> leftCards() {
            var left = new ArrayList<Area>();
            before.cards().forEach((id, card) -> {
                PlacedCard now = cards.get(id);
                if (now != card && (now == null || !now.area().equals(card.area()))) {
                    left.add(card.area());
                }
            });
            return left;
        }

        /** Where lines are that were not there, or no longer are. */
        private List<Area> changedLines(List<Route> routes) {
            var changed = new ArrayList<Area>();
            for (int i = 0; i < links.size(); i++) {
                DrawnLink earlier = drawnBefore.get(i);
                if (!isSame(earlier, i, routes)) {
                    changed.add(routes.get(i).bounds().grown(NEAR));
                    if (earlier != null) {
                        changed.add(earlier.route().bounds().grown(NEAR));
                    }
                }
            }
            goneLines().forEach(line -> changed.add(line.route().bounds().grown(NEAR)));
            return changed;
        }

        private List<DrawnLink> goneLines() {
            long stayed = drawnBefore.stream().filter(Objects::nonNull).count();
            if (stayed == before.lines().size()) {
                return List.of();
            }
            Set<DrawnLink> gone = Collections.newSetFromMap(new IdentityHashMap<>());
            gone.addAll(before.lines());
            gone.removeAll(drawnBefore);
            return List.copyOf(gone);
        }

        private boolean isSame(@Nullable DrawnLink earlier, int i, List<Route> routes) {
            return earlier != null
                    && earlier.route().equals(routes.get(i))
                    && earlier.link().equals(links.get(i));
        }

        /** The lines that stay as they are; the places of the others are empty. */
        private DrawnLink[] kept(List<Route> routes, List<Area> changed) {
            var near = new Surroundings(changed, NEAR);
            var kept = new DrawnLink[links.size()];
            for (int i = 0; i < kept.length && notation == before.notation(); i++) {
                DrawnLink earlier = drawnBefore.get(i);
                boolean same =
                        isSame(earlier, i, routes) && !near.touch(routes.get(i).bounds());
                kept[i] = same ? earlier : null;
            }
            return kept;
        }
    }
}
