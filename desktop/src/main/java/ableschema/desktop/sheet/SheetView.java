package ableschema.desktop.sheet;

import ableschema.core.design.Design;
import ableschema.core.design.Id;
import ableschema.core.design.Relationship;
import ableschema.core.design.Side;
import ableschema.core.document.Detail;
import ableschema.core.document.District;
import ableschema.core.document.Document;
import ableschema.desktop.actions.Actions;
import ableschema.desktop.read.SqlImport;
import ableschema.desktop.workspace.Workspace;
import ableschema.diagram.geometry.Area;
import ableschema.diagram.geometry.Point;
import ableschema.diagram.paint.Palette;
import ableschema.diagram.paint.Raster;
import ableschema.diagram.picture.Contents;
import ableschema.diagram.picture.ContentsMaker;
import ableschema.diagram.picture.Link;
import ableschema.diagram.picture.Picture;
import ableschema.diagram.picture.Picture.DrawnDistrict;
import ableschema.diagram.picture.Picture.DrawnLink;
import ableschema.diagram.picture.Picture.PlacedCard;
import ableschema.diagram.picture.View;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Consumer;
import javafx.geometry.Point2D;
import javafx.scene.Group;
import javafx.scene.Node;
import javafx.scene.layout.Pane;
import javafx.scene.shape.Rectangle;

/** The sheet on which the picture is drawn: shows it, pans and zooms. What is done by hand is in {@link SheetGestures}. */
public final class SheetView extends Pane {

    private static final double NEAREST = 3;

    /** From farther away only a picture that is larger still is seen. */
    private static final double FARTHEST = 0.04;

    private static final double LEAST = 0.005;
    private static final double ROOM = 28;
    private static final double READABLE_ROWS = 0.45;
    private static final double READABLE_KEYS = 0.3;

    private final Workspace workspace;
    private Consumer<String> sqlReading = text -> {};
    private final Pane content = new Pane();
    private final SheetPaper paper = new SheetPaper();
    private final Paintings paintings = new Paintings();
    private final FarLines far = new FarLines();
    private final CardLayer cards = new CardLayer();
    private final WrongSigns signs = new WrongSigns(this);
    private final JoinedColumns joined = new JoinedColumns();
    private final Group over = new Group();
    private final Overview overview = new Overview(this);
    private final EmptySign empty = new EmptySign();
    private final SheetGestures gestures;
    private final LaidPictures pictures;
    private Picture picture = Picture.NOTHING;
    private Picture earlier = Picture.NOTHING;
    private Optional<Document> drawn = Optional.empty();
    private final ContentsMaker contentsMaker = new ContentsMaker();
    private Contents contents = new Contents(List.of(), List.of());
    private List<Object> contentsOf = List.of();
    private Design contentsDesign = Design.EMPTY;
    private Detail drawnDetail = Detail.EVERYTHING;
    private boolean fitted;
    private Runnable zoomed = () -> {};

    public SheetView(Workspace workspace) {
        this.workspace = workspace;
        pictures = new LaidPictures(workspace, this::draw);
        setId("sheet");
        getStyleClass().add("sheet");
        setFocusTraversable(true);
        setAccessibleText("Sheet");
        content.getChildren().addAll(far, cards, joined, signs, over);
        content.setManaged(false);
        getChildren().addAll(paper, content, empty, overview);
        paper.onRest(this::rest);
        clipToBounds();
        gestures = new SheetGestures(this, workspace);
        draw();
        follow();
        gestures.install();
    }

    private void clipToBounds() {
        var clip = new Rectangle();
        clip.widthProperty().bind(widthProperty());
        clip.heightProperty().bind(heightProperty());
        setClip(clip);
    }

    private void follow() {
        workspace.documentProperty().addListener((o, before, now) -> draw());
        workspace.viewProperty().addListener((o, before, now) -> draw());
        workspace.onReviewed(this::sign);
        workspace.onApplied(this::makeRoom);
        workspace.selection().chosenProperty().addListener((o, before, now) -> {
            light();
            bringIn();
        });
        workspace.selection().groupProperty().addListener((o, before, now) -> light());
        workspace.selection().focusProperty().addListener((o, before, now) -> {
            draw();
            fit();
        });
        workspace.darkProperty().addListener((o, before, now) -> light());
        widthProperty().addListener((o, before, now) -> sized(before.doubleValue(), getHeight()));
        heightProperty().addListener((o, before, now) -> sized(getWidth(), before.doubleValue()));
    }

    private void sized(double widthBefore, double heightBefore) {
        keepInView(widthBefore, heightBefore);
        paper.resize((int) Math.ceil(getWidth()), (int) Math.ceil(getHeight()));
        overview.relocate(getWidth() - Overview.WIDTH - 12, getHeight() - Overview.HEIGHT - 12);
        look();
        fitOnce();
        sayEmpty();
    }

    /** What is chosen and was to be seen whole is so in a narrower sheet, too. */
    private void keepInView(double widthBefore, double heightBefore) {
        workspace
                .selection()
                .chosenOwner()
                .flatMap(id -> Optional.ofNullable(picture.cards().get(id)))
                .map(PlacedCard::area)
                .map(this::onSheet)
                .filter(area ->
                        area.x() >= 0 && area.y() >= 0 && area.right() <= widthBefore && area.bottom() <= heightBefore)
                .ifPresent(area -> pan(
                        Math.min(0, Math.max(-area.x(), getWidth() - ROOM - area.right())),
                        Math.min(0, Math.max(-area.y(), getHeight() - ROOM - area.bottom()))));
    }

    private void fitOnce() {
        if (!fitted && getWidth() > 200 && getHeight() > 200) {
            fitted = true;
            fit();
        }
    }

    /** What the picture shows, worked out anew only where the design or the way it is looked at has changed. */
    private Contents contents() {
        Document document = workspace.document();
        List<Object> of = List.of(
                document.rules(),
                document.diagram().part(),
                document.diagram().districts(),
                workspace.viewProperty().get(),
                workspace.selection().focusProperty().get());
        if (!of.equals(contentsOf) || contentsDesign != document.design()) {
            Contents all = contentsMaker.of(
                    document, workspace.mapping(), workspace.viewProperty().get());
            contents = workspace
                    .selection()
                    .focusProperty()
                    .get()
                    .map(id -> all.only(all.neighbours(id), document.design()))
                    .orElse(all);
            contentsOf = of;
            contentsDesign = document.design();
        }
        return contents;
    }

    private void draw() {
        boolean another = drawn.isEmpty()
                || drawn.get().design().entities().isEmpty()
                || !drawn.get().inView().equals(workspace.document().inView());
        earlier = picture;
        picture = pictures.now(contents(), picture);
        drawn = Optional.of(workspace.document());
        if (another && !picture.cards().isEmpty() && getWidth() > 200) {
            standBack(); // before anything is painted, as it takes long where all of a large design is in view
        }
        show();
        sign();
        bringIn();
    }

    /** What was made and chosen by a sentence is seen, wherever there was room for it. */
    private void bringIn() {
        workspace
                .selection()
                .chosenOwner()
                .filter(id -> !earlier.cards().isEmpty() && !earlier.cards().containsKey(id))
                .flatMap(id -> Optional.ofNullable(picture.cards().get(id)))
                .map(card -> onSheet(card.area()))
                .filter(area -> getWidth() > 200 && getHeight() > 200)
                .ifPresent(area ->
                        pan(aside(area.x(), area.right(), getWidth()), aside(area.y(), area.bottom(), getHeight())));
    }

    /** How far what lies between these has to be moved to be seen. */
    private static double aside(double from, double to, double size) {
        return from < ROOM ? ROOM - from : Math.min(0, size - ROOM - to);
    }

    private Area onSheet(Area area) {
        return new Area(
                area.x() * zoom() + content.getTranslateX(),
                area.y() * zoom() + content.getTranslateY(),
                area.width() * zoom(),
                area.height() * zoom());
    }

    /** Shows the picture in the detail that can be read at this zoom. */
    private void show() {
        drawnDetail = detail();
        cards.show(picture.cards(), drawnDetail);
        look();
        sayEmpty();
        light();
    }

    private void sign() {
        signs.show(
                workspace.design(),
                workspace.review().open().stream()
                        .filter(each -> WrongSigns.SIGNED.containsKey(each.rule()))
                        .toList());
    }

    /** Moves what a card that grew or is new would cover, in the same step of the history. */
    private void makeRoom() {
        if (workspace.selection().focusProperty().get().isEmpty()) {
            GrownCards.between(earlier, picture, workspace.document().diagram().pinned())
                    .ifPresent(workspace::amend);
        }
    }

    private void sayEmpty() {
        empty.show(picture.cards().isEmpty(), workspace.design().entities().isEmpty());
        requestLayout();
    }

    @Override
    protected void layoutChildren() {
        super.layoutChildren();
        empty.centre(getWidth(), getHeight());
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
        Set<Id> chosen = chosenCards();
        var near = new HashSet<Id>();
        chosen.forEach(id -> near.addAll(neighbours(id)));
        cards.light(chosen, Set.copyOf(workspace.document().diagram().pinned()));
        paper.show(paintings.of(picture, detail(), new Paintings.Light(chosen, near, cards.lifted()), palette()));
        far.show(picture, chosen);
        join();
        overview.show(picture);
        overview.frame(toPicture(0, 0), toPicture(getWidth(), getHeight()));
    }

    private Set<Id> chosenCards() {
        return workspace.selection().chosenOwner().isEmpty()
                ? Set.of()
                : workspace.selection().groupProperty().get();
    }

    /** Marks what the chosen relationship joins, where tables are drawn. */
    private void join() {
        Optional<Id> relationship = workspace
                .selection()
                .chosenOwner()
                .filter(id -> workspace.viewProperty().get() == View.TABLES)
                .filter(id -> workspace.design().relationship(id).isPresent());
        relationship.ifPresentOrElse(
                id -> joined.show(id, workspace.schema(), workspace.trace(), picture, detail()), joined::showNothing);
    }

    private static boolean touches(DrawnLink link, Id id) {
        return link.link().first().card().equals(id)
                || link.link().second().card().equals(id);
    }

    private Palette palette() {
        return workspace.darkProperty().get() ? Palette.DARK : Palette.LIGHT;
    }

    /** Takes cards off the paper, to be carried. */
    void lift(Set<Id> ids) {
        cards.lift(ids);
        light();
    }

    /** Puts all cards back on the paper. */
    void putDown() {
        cards.putDown();
        light();
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
        for (Link link : picture.far()) {
            if (link.relationship().equals(chosen)
                    || link.first().card().equals(chosen)
                    || link.second().card().equals(chosen)) {
                near.add(link.first().card());
                near.add(link.second().card());
            }
        }
        return near;
    }

    /** What lies at a place of the picture. */
    Optional<Id> at(Point2D place) {
        return picture.at(new Point(place.getX(), place.getY()), 6 / zoom());
    }

    /** The district whose name stands at a place of the picture. */
    Optional<District> districtTitledAt(Point2D place) {
        var point = new Point(place.getX(), place.getY());
        return picture.districts().stream()
                .filter(each -> each.title().contains(point))
                .map(DrawnDistrict::district)
                .findFirst();
    }

    /** Where the name of a district stands, if it is shown. */
    Optional<Point2D> titleOf(District district) {
        return picture.districts().stream()
                .filter(each -> each.district().equals(district))
                .findFirst()
                .map(each -> new Point2D(each.area().x(), each.area().y()));
    }

    Optional<CardNode> card(Id id) {
        return cards.card(id);
    }

    /** The cards with their places, in view or not. */
    Map<Id, PlacedCard> placedCards() {
        return picture.cards();
    }

    /** The middle of a relationship's line, where its sentences open. */
    Optional<Point2D> middleOf(Relationship relationship) {
        return picture.lines().stream()
                .filter(line -> line.link().relationship().equals(relationship.id()))
                .findFirst()
                .map(line -> line.points().get(line.points().size() / 2))
                .map(point -> new Point2D(point.x(), point.y()));
    }

    /** The end of a relationship's line that is nearer to a place. */
    Side nearerEnd(Relationship relationship, Point2D place) {
        return picture.lines().stream()
                .filter(line -> line.link().relationship().equals(relationship.id()))
                .findFirst()
                .filter(line -> {
                    Point first = line.points().get(0);
                    Point last = line.points().get(line.points().size() - 1);
                    return place.distance(last.x(), last.y()) < place.distance(first.x(), first.y());
                })
                .map(line -> Side.SECOND)
                .orElse(Side.FIRST);
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

    /** Adds what the keys of the sheet do to the list of all actions. */
    public void list(Actions actions) {
        gestures.keys().list(actions);
    }

    /** Has SQL that is pasted put in as what it makes. */
    public void onSql(Consumer<String> reading) {
        sqlReading = reading;
    }

    /** Reads a text that makes tables; false where it makes none. */
    boolean takesSql(String text) {
        boolean taken = SqlImport.isSql(text);
        if (taken) {
            sqlReading.accept(text);
        }
        return taken;
    }

    /** Pastes entities or a table, as with the keys. */
    public void paste(String text) {
        gestures.keys().paste(text);
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
        return new FreePlaces(picture).inView(getWidth(), getHeight(), this::toPicture);
    }

    /** This place, or the nearest one where a new card covers no other. */
    Point2D freePlaceNear(Point2D wanted) {
        return new FreePlaces(picture).near(wanted, freePlace());
    }

    public double zoom() {
        return content.getScaleX();
    }

    /** Moves the paper by whole pixels. */
    public void pan(double dx, double dy) {
        place(content.getTranslateX() + dx, content.getTranslateY() + dy);
    }

    private void place(double x, double y) {
        stand(x, y);
        overview.frame(toPicture(0, 0), toPicture(getWidth(), getHeight()));
        look();
    }

    private void stand(double x, double y) {
        content.setTranslateX(Math.rint(x));
        content.setTranslateY(Math.rint(y));
        paper.moveTo(stand());
    }

    private void look() {
        Point2D corner = toPicture(0, 0);
        cards.look(new Area(corner.getX(), corner.getY(), getWidth() / zoom(), getHeight() / zoom()));
    }

    private Raster.Stand stand() {
        Point2D corner = toPicture(0, 0);
        return new Raster.Stand(corner.getX(), corner.getY(), zoom());
    }

    /** Zooms by a factor, keeping the picture where the pointer is; it is painted anew when the zoom rests. */
    public void zoom(double factor, double x, double y) {
        Point2D kept = toPicture(x, y);
        setZoom(zoom() * factor);
        place(x - kept.getX() * zoom(), y - kept.getY() * zoom());
    }

    private void setZoom(double wanted) {
        double zoom = Math.max(Math.min(FARTHEST, whole()), Math.min(NEAREST, wanted));
        content.setScaleX(zoom);
        content.setScaleY(zoom);
        zoomed.run();
    }

    /** The zoom at which the whole picture is in view. */
    private double whole() {
        Area bounds = picture.bounds();
        return Math.max(
                LEAST, Math.min((getWidth() - 2 * ROOM) / bounds.width(), (getHeight() - 2 * ROOM) / bounds.height()));
    }

    /** Whether the sheet is painted for this zoom, and not only scaled. */
    public boolean isSharp() {
        return paper.isSharp();
    }

    /** Paints everything in view anew, as it should look after all that was shifted and scaled. */
    public void paintAfresh() {
        rest();
        paper.repaint();
        paper.finish();
    }

    private void rest() {
        if (detail() != drawnDetail) {
            show();
        }
        if (paper.isScaled()) {
            paper.repaint();
        }
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
        if (picture.bounds().width() > 0 && getWidth() > 0) {
            standBack();
            overview.frame(toPicture(0, 0), toPicture(getWidth(), getHeight()));
            look();
            rest();
        }
    }

    private void standBack() {
        Area bounds = picture.bounds();
        setZoom(Math.min(1, whole()));
        stand(
                (getWidth() - bounds.width() * zoom()) / 2 - bounds.x() * zoom(),
                (getHeight() - bounds.height() * zoom()) / 2 - bounds.y() * zoom());
    }

    /** Brings a thing into the middle of the sheet, near enough to be read. */
    public void centre(Id thing) {
        Id owner = workspace.design().ownerOf(thing).orElse(thing);
        Optional<Point2D> middle = card(owner)
                .map(node -> new Point2D(
                        node.getLayoutX() + node.getPrefWidth() / 2, node.getLayoutY() + node.getPrefHeight() / 2))
                .or(() -> workspace.design().relationship(owner).flatMap(this::middleOf));
        middle.ifPresent(at -> {
            setZoom(Math.max(zoom(), READABLE_ROWS * 1.6));
            place(getWidth() / 2 - at.getX() * zoom(), getHeight() / 2 - at.getY() * zoom());
            rest();
        });
    }

    /** Brings a place of the picture into the middle. */
    void lookAt(Point2D place) {
        place(getWidth() / 2 - place.getX() * zoom(), getHeight() / 2 - place.getY() * zoom());
    }

    /** Shows or hides the overview of the whole picture. */
    public void toggleOverview() {
        overview.setVisible(!overview.isVisible());
        overview.show(picture);
    }
}
