package ableschema.diagram.picture;

import ableschema.core.design.Id;
import ableschema.core.document.District;
import ableschema.core.document.Notation;
import ableschema.core.document.Position;
import ableschema.diagram.geometry.Area;
import ableschema.diagram.geometry.Surroundings;
import ableschema.diagram.picture.Picture.DrawnDistrict;
import ableschema.diagram.picture.Picture.DrawnLink;
import ableschema.diagram.picture.Picture.PlacedCard;
import ableschema.diagram.route.Route;
import ableschema.diagram.route.Router;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.HashMap;
import java.util.IdentityHashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.function.IntConsumer;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/**
 * A picture of which the cards are placed and some lines still have to be laid, which takes long where they are many; a line
 * that no change comes near stays the same instance.
 */
public final class PictureDraft {

    private static final Position ORIGIN = new Position(0, 0);
    private static final double NEAR = 48;

    /** Lines between districts that are no longer than this are drawn. */
    private static final double SHORT = 160;

    private final Map<Id, PlacedCard> cards;
    private final Contents contents;
    private final Picture before;
    private final Notation notation;
    private final List<Link> links;

    /** Those between districts that are no lines. */
    private final List<Link> far;

    /** Where cards stand that stood elsewhere, or nowhere. */
    private final List<Area> changed;

    /** The line that each link had, in the order of the links; null for a new one. */
    private final List<@Nullable DrawnLink> drawnBefore;

    /** What lays the lines; empty where all stay as they are. */
    private final Optional<Router> router;

    private PictureDraft(
            Map<Id, PlacedCard> cards, Contents contents, List<Link> links, Picture before, Notation notation) {
        this.contents = contents;
        this.cards = cards;
        this.links = links;
        this.far = contents.far().stream().filter(link -> !isShort(link, cards)).toList();
        this.before = before;
        this.notation = notation;
        changed = changedCards();
        if (isLaid()) {
            drawnBefore = List.copyOf(before.lines());
            router = Optional.empty();
            return;
        }
        List<Route.Wanted> wanted = links.stream().map(PictureDraft::wanted).toList();
        var known = new HashMap<Route.Wanted, DrawnLink>();
        before.lines().forEach(line -> known.put(wanted(line.link()), line));
        drawnBefore = wanted.stream().<@Nullable DrawnLink>map(known::get).toList();
        router = Optional.of(new Router(areas(), wanted, changed, this::routeBefore));
    }

    /**
     * Begins the picture that follows another.
     *
     * @param positions of the cards; one that has none stands at the origin
     */
    public static PictureDraft of(Picture before, Contents contents, Map<Id, Position> positions, Notation notation) {
        var cards = new LinkedHashMap<Id, PlacedCard>();
        for (Card card : contents.cards()) {
            Position at = positions.getOrDefault(card.id(), ORIGIN);
            cards.put(card.id(), placed(card, at, before.cards().get(card.id())));
        }
        List<Link> links = Stream.concat(
                        contents.links().stream(), contents.far().stream().filter(link -> isShort(link, cards)))
                .filter(l -> cards.containsKey(l.first().card())
                        && cards.containsKey(l.second().card()))
                .toList();
        return new PictureDraft(cards, contents, links, before, notation);
    }

    /** Whether the cards stand so near each other that a line between their districts is as good as one within. */
    private static boolean isShort(Link link, Map<Id, PlacedCard> cards) {
        PlacedCard first = cards.get(link.first().card());
        PlacedCard second = cards.get(link.second().card());
        return first != null
                && second != null
                && first.area().grown(SHORT / 2).meets(second.area().grown(SHORT / 2));
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

    /** How many lines still have to be laid or drawn. */
    public int linesToLay() {
        return router.map(lines -> notation == before.notation() ? lines.open() : links.size())
                .orElse(0);
    }

    /** The picture with only those lines that stay as they are. */
    public Picture meanwhile() {
        if (router.isEmpty()) {
            return picture(before.lines(), notation);
        }
        var stay = new ArrayList<DrawnLink>();
        for (int i = 0; i < links.size(); i++) {
            DrawnLink earlier = drawnBefore.get(i);
            if (earlier != null && router.get().keeps(i) && earlier.link().equals(links.get(i))) {
                stay.add(earlier);
            }
        }
        return picture(stay, before.notation());
    }

    /**
     * Lays the lines and draws them.
     *
     * @param progress told how many have been laid
     * @throws java.util.concurrent.CancellationException when the thread is interrupted
     */
    public Picture finished(IntConsumer progress) {
        return picture(router.map(lines -> drawn(lines.routes(progress))).orElse(before.lines()), notation);
    }

    private Picture picture(List<DrawnLink> lines, Notation drawn) {
        List<DrawnDistrict> districts = contents.districts().stream()
                .flatMap(district -> framed(district).stream())
                .toList();
        return new Picture(cards, lines, drawn, districts, far, contents.farDrawn());
    }

    /** The frame around those cards of a district that are shown; empty where none is. */
    private Optional<DrawnDistrict> framed(District district) {
        return district.cards().stream()
                .flatMap(id -> Optional.ofNullable(cards.get(id)).stream())
                .map(PlacedCard::area)
                .reduce(Area::union)
                .map(area -> area.grown(DrawnDistrict.ROOM))
                .map(area -> new DrawnDistrict(
                        district,
                        new Area(
                                area.x(),
                                area.y() - DrawnDistrict.TITLE + DrawnDistrict.ROOM,
                                area.width(),
                                area.height() + DrawnDistrict.TITLE - DrawnDistrict.ROOM)));
    }

    /** Whether all lines can stay: no card has another place or size, and the links are the same instances. */
    private boolean isLaid() {
        boolean same = notation == before.notation()
                && changed.isEmpty()
                && cards.size() == before.cards().size()
                && links.size() == before.lines().size();
        for (int i = 0; same && i < links.size(); i++) {
            same = links.get(i) == before.lines().get(i).link();
        }
        return same;
    }

    private Map<Id, Area> areas() {
        var areas = new LinkedHashMap<Id, Area>();
        cards.forEach((id, card) -> areas.put(id, card.area()));
        return areas;
    }

    private static Route.Wanted wanted(Link link) {
        return new Route.Wanted(
                link.relationship(), link.first().card(), link.second().card());
    }

    private List<DrawnLink> drawn(List<Route> routes) {
        var touched = new ArrayList<>(changed);
        touched.addAll(leftCards());
        touched.addAll(changedLines(routes));
        return drawn(routes, kept(routes, touched));
    }

    private @Nullable Route routeBefore(int line) {
        DrawnLink earlier = drawnBefore.get(line);
        return earlier == null ? null : earlier.route();
    }

    /** Draws what is not kept, when it is known where all ends of lines are. */
    private List<DrawnLink> drawn(List<Route> routes, DrawnLink[] kept) {
        int[] open =
                IntStream.range(0, kept.length).filter(i -> kept[i] == null).toArray();
        var room = new Room(
                areas().values(),
                routes,
                Arrays.stream(open).mapToObj(routes::get).toList());
        Arrays.stream(kept).filter(Objects::nonNull).forEach(line -> LinkMarks.take(line, room));
        List<LinkMarks> marks = Arrays.stream(open)
                .mapToObj(i -> LinkMarks.of(links.get(i), routes.get(i), notation, room))
                .toList();
        for (int i = 0; i < open.length; i++) {
            kept[open[i]] = marks.get(i).named(notation);
        }
        return List.of(kept);
    }

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
