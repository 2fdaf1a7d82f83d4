package ableschema.desktop.sheet;

import ableschema.core.design.Id;
import ableschema.core.design.Relationship;
import ableschema.core.document.Detail;
import ableschema.core.document.Document;
import ableschema.core.document.Notation;
import ableschema.desktop.marks.FxMarks;
import ableschema.desktop.workspace.Workspace;
import ableschema.diagram.geometry.Area;
import ableschema.diagram.geometry.Point;
import ableschema.diagram.picture.Mark;
import ableschema.diagram.picture.Picture;
import ableschema.diagram.picture.Picture.DrawnLink;
import ableschema.diagram.picture.Picture.PlacedCard;
import ableschema.diagram.picture.PictureMaker;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import javafx.geometry.Point2D;
import javafx.scene.Group;
import javafx.scene.Node;
import javafx.scene.layout.Pane;
import javafx.scene.shape.Rectangle;

/** The sheet on which the picture is drawn: shows it, pans and zooms. What is done by hand is in {@link SheetGestures}. */
public final class SheetView extends Pane {

    private static final double NEAREST = 3;
    private static final double FARTHEST = 0.04;
    private static final double ROOM = 28;
    private static final double READABLE_ROWS = 0.45;
    private static final double READABLE_KEYS = 0.3;
    private static final double FADED = 0.4;
    private static final int MANY_CARDS = 120;

    private final Workspace workspace;
    private final Pane content = new Pane();
    private final Group lines = new Group();
    private final Group words = new Group();
    private final Group cards = new Group();
    private final Group over = new Group();
    private final Map<Id, CardNode> nodes = new LinkedHashMap<>();
    private Picture picture;
    private Optional<Document> drawn = Optional.empty();
    private boolean fitted;
    private Runnable zoomed = () -> {};

    public SheetView(Workspace workspace) {
        this.workspace = workspace;
        this.picture =
                PictureMaker.of(workspace.document(), workspace.viewProperty().get(), Notation.CROWSFOOT);
        setId("sheet");
        getStyleClass().add("sheet");
        setFocusTraversable(true);
        setAccessibleText("Sheet");
        content.getChildren().addAll(lines, words, cards, over);
        content.setManaged(false);
        getChildren().add(content);
        clipToBounds();
        draw();
        follow();
        new SheetGestures(this, workspace).install();
    }

    private void clipToBounds() {
        var clip = new Rectangle();
        clip.widthProperty().bind(widthProperty());
        clip.heightProperty().bind(heightProperty());
        setClip(clip);
    }

    private void follow() {
        workspace.documentProperty().addListener((o, before, now) -> draw());
        workspace.onPlacedWell(this::fit);
        workspace.viewProperty().addListener((o, before, now) -> draw());
        workspace.chosenProperty().addListener((o, before, now) -> light());
        widthProperty().addListener((o, before, now) -> fitOnce());
        heightProperty().addListener((o, before, now) -> fitOnce());
    }

    private void fitOnce() {
        if (!fitted && getWidth() > 200 && getHeight() > 200) {
            fitted = true;
            fit();
        }
    }

    private Picture picture() {
        Document document = workspace.document();
        return PictureMaker.after(
                picture,
                document,
                workspace.viewProperty().get(),
                document.diagram().notation());
    }

    private void draw() {
        boolean another = drawn.isEmpty() || drawn.get().design().entities().isEmpty();
        picture = picture();
        drawn = Optional.of(workspace.document());
        Detail detail = detail();
        var gone = new HashSet<>(nodes.keySet());
        picture.cards().forEach((id, card) -> {
            gone.remove(id);
            show(id, card, detail);
        });
        gone.forEach(id -> cards.getChildren().remove(nodes.remove(id)));
        light();
        if (another && !picture.cards().isEmpty() && getWidth() > 200) {
            fit();
        }
    }

    /** Makes a card's node anew only where the card itself has changed. */
    private void show(Id id, PlacedCard card, Detail detail) {
        CardNode known = nodes.get(id);
        boolean same = known != null
                && known.placed().card().equals(card.card())
                && known.placed().area().equals(card.area())
                && known.detail() == detail;
        if (!same) {
            var node = new CardNode(card, detail);
            // many cards move faster as pictures of themselves; few are sharper drawn anew
            node.setCache(picture.cards().size() > MANY_CARDS);
            cards.getChildren().remove(known);
            cards.getChildren().add(node);
            nodes.put(id, node);
        }
    }

    /** Less detail where it could not be read. */
    private Detail detail() {
        double zoom = zoom();
        Detail wanted = workspace.document().diagram().detail();
        if (zoom < READABLE_KEYS) {
            return Detail.NAMES;
        }
        return zoom < READABLE_ROWS && wanted == Detail.EVERYTHING ? Detail.KEYS : wanted;
    }

    /** Lights what is chosen; its neighbours stay, the rest fades. */
    private void light() {
        Optional<Id> chosen = workspace.chosenOwner();
        Set<Id> near = chosen.map(this::neighbours).orElse(Set.of());
        nodes.forEach((id, node) -> {
            node.setChosen(chosen.filter(id::equals).isPresent());
            node.setOpacity(chosen.isEmpty() || near.contains(id) ? 1 : FADED);
        });
        lines.getChildren().clear();
        words.getChildren().clear();
        for (DrawnLink link : picture.lines()) {
            boolean lit = chosen.filter(id -> id.equals(link.link().relationship()) || touches(link, id))
                    .isPresent();
            var under = new Group();
            var over = new Group();
            var marks = new FxMarks(
                    chosen.filter(link.link().relationship()::equals).isPresent());
            double opacity = chosen.isEmpty() || lit ? 1 : FADED;
            for (Mark mark : link.marks()) {
                Node node = marks.node(mark);
                // the paper behind a word never fades, else the line would show through it
                node.setOpacity(mark instanceof Mark.Box ? 1 : opacity);
                (mark.isOverLines() ? over : under).getChildren().add(node);
            }
            lines.getChildren().add(under);
            words.getChildren().add(over);
        }
    }

    private static boolean touches(DrawnLink link, Id id) {
        return link.link().first().card().equals(id)
                || link.link().second().card().equals(id);
    }

    private Set<Id> neighbours(Id chosen) {
        var near = new HashSet<Id>();
        near.add(chosen);
        for (DrawnLink link : picture.lines()) {
            if (touches(link, chosen) || link.link().relationship().equals(chosen)) {
                near.add(link.link().first().card());
                near.add(link.link().second().card());
            }
        }
        return near;
    }

    /** What lies at a place of the picture. */
    Optional<Id> at(Point2D place) {
        return picture.at(new Point(place.getX(), place.getY()), 6 / zoom());
    }

    Optional<CardNode> card(Id id) {
        return Optional.ofNullable(nodes.get(id));
    }

    Map<Id, CardNode> cardNodes() {
        return nodes;
    }

    /** The middle of a relationship's line, where its sentences open. */
    Optional<Point2D> middleOf(Relationship relationship) {
        return picture.lines().stream()
                .filter(line -> line.link().relationship().equals(relationship.id()))
                .findFirst()
                .map(line -> line.points().get(line.points().size() / 2))
                .map(point -> new Point2D(point.x(), point.y()));
    }

    /** Shows a node over the picture, at places of the picture. */
    void addOver(Node node) {
        over.getChildren().add(node);
    }

    /** The place nearest to a wanted one where a node of this size can be seen whole. */
    Point2D inView(Point2D wanted, double width, double height) {
        Point2D least = toPicture(8, 8);
        Point2D most = toPicture(getWidth() - 8, getHeight() - 8).subtract(width, height);
        return new Point2D(
                Math.max(least.getX(), Math.min(most.getX(), wanted.getX())),
                Math.max(least.getY(), Math.min(most.getY(), wanted.getY())));
    }

    void removeOver(Node node) {
        over.getChildren().remove(node);
    }

    /** A place of this control as a place of the picture. */
    Point2D toPicture(double x, double y) {
        return new Point2D((x - content.getTranslateX()) / zoom(), (y - content.getTranslateY()) / zoom());
    }

    /** A place in the picture where a new card has room, in view if there is some. */
    Point2D freePlace() {
        for (double y = 40; y < Math.max(200, getHeight() - 120); y += 40) {
            for (double x = 40; x < Math.max(300, getWidth() - 200); x += 40) {
                Point2D place = toPicture(x, y);
                if (isFree(place)) {
                    return snapped(place);
                }
            }
        }
        return new Point2D(picture.bounds().x(), snapped(picture.bounds().bottom() + 40));
    }

    /** This place, or the nearest one where a new card covers no other. */
    Point2D freePlaceNear(Point2D wanted) {
        for (double distance = 0; distance < 800; distance += 20) {
            for (double angle = 0; angle < 2 * Math.PI; angle += Math.PI / 8) {
                Point2D place = wanted.add(distance * Math.cos(angle), distance * Math.sin(angle));
                if (isFree(place)) {
                    return snapped(place);
                }
            }
        }
        return freePlace();
    }

    private boolean isFree(Point2D place) {
        var area = new Area(place.getX() - 16, place.getY() - 16, 200, 130);
        return picture.cards().values().stream().map(PlacedCard::area).noneMatch(area::meets);
    }

    static Point2D snapped(Point2D place) {
        return new Point2D(snapped(place.getX()), snapped(place.getY()));
    }

    private static double snapped(double value) {
        return Math.round(value / 4) * 4.0;
    }

    public double zoom() {
        return content.getScaleX();
    }

    void pan(double dx, double dy) {
        content.setTranslateX(Math.rint(content.getTranslateX() + dx));
        content.setTranslateY(Math.rint(content.getTranslateY() + dy));
    }

    /** Zooms by a factor, keeping the picture where the pointer is. */
    void zoom(double factor, double x, double y) {
        Point2D kept = toPicture(x, y);
        setZoom(zoom() * factor);
        content.setTranslateX(Math.rint(x - kept.getX() * zoom()));
        content.setTranslateY(Math.rint(y - kept.getY() * zoom()));
    }

    private void setZoom(double wanted) {
        Detail before = detail();
        double zoom = Math.max(FARTHEST, Math.min(NEAREST, wanted));
        content.setScaleX(zoom);
        content.setScaleY(zoom);
        if (detail() != before) {
            draw();
        }
        zoomed.run();
    }

    /** Has something done after each change of the zoom. */
    public void onZoom(Runnable action) {
        zoomed = action;
    }

    public void zoomIn() {
        zoom(1.25, getWidth() / 2, getHeight() / 2);
    }

    public void zoomOut() {
        zoom(0.8, getWidth() / 2, getHeight() / 2);
    }

    /** Brings the whole picture into view, but no larger than it is. */
    public void fit() {
        Area bounds = picture.bounds();
        if (bounds.width() == 0 || getWidth() == 0) {
            return;
        }
        double zoom = Math.min(
                1, Math.min((getWidth() - 2 * ROOM) / bounds.width(), (getHeight() - 2 * ROOM) / bounds.height()));
        setZoom(zoom);
        content.setTranslateX(Math.rint((getWidth() - bounds.width() * zoom()) / 2 - bounds.x() * zoom()));
        content.setTranslateY(Math.rint((getHeight() - bounds.height() * zoom()) / 2 - bounds.y() * zoom()));
    }
}
