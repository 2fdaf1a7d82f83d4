package ableschema.desktop.sheet;

import ableschema.diagram.geometry.Area;
import ableschema.diagram.picture.Picture;
import ableschema.diagram.picture.Picture.PlacedCard;
import javafx.geometry.Point2D;
import javafx.scene.canvas.Canvas;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.input.MouseEvent;
import javafx.scene.layout.Pane;
import javafx.scene.paint.Color;
import javafx.scene.shape.Rectangle;

/** The whole picture in small, with a frame around what the sheet shows; a press brings that place into view. */
final class Overview extends Pane {

    static final double WIDTH = 190;
    static final double HEIGHT = 140;
    private static final double MARGIN = 8;

    private final Canvas canvas = new Canvas(WIDTH, HEIGHT);
    private final Rectangle frame = new Rectangle();
    private Area bounds = new Area(0, 0, 1, 1);
    private double scale = 1;

    Overview(SheetView sheet) {
        setId("overview");
        getStyleClass().add("overview");
        setVisible(false);
        setManaged(false);
        resize(WIDTH, HEIGHT);
        frame.getStyleClass().add("overview-frame");
        frame.setMouseTransparent(true);
        getChildren().addAll(canvas, frame);
        addEventHandler(MouseEvent.ANY, event -> {
            if (event.isPrimaryButtonDown()) {
                sheet.lookAt(new Point2D(
                        bounds.x() + (event.getX() - MARGIN) / scale, bounds.y() + (event.getY() - MARGIN) / scale));
            }
            event.consume();
        });
    }

    /** Draws the cards of a picture, if it is to be seen. */
    void show(Picture picture) {
        if (!isVisible()) {
            return;
        }
        bounds = picture.bounds();
        scale = Math.min(
                (WIDTH - 2 * MARGIN) / Math.max(1, bounds.width()),
                (HEIGHT - 2 * MARGIN) / Math.max(1, bounds.height()));
        GraphicsContext graphics = canvas.getGraphicsContext2D();
        graphics.clearRect(0, 0, WIDTH, HEIGHT);
        for (PlacedCard card : picture.cards().values()) {
            graphics.setFill(Color.web(card.card().ink().hex()));
            Area area = card.area();
            graphics.fillRect(
                    MARGIN + (area.x() - bounds.x()) * scale,
                    MARGIN + (area.y() - bounds.y()) * scale,
                    Math.max(2, area.width() * scale),
                    Math.max(2, area.height() * scale));
        }
    }

    /** Frames what the sheet shows between two corners. */
    void frame(Point2D corner, Point2D opposite) {
        double left = Math.max(0, MARGIN + (corner.getX() - bounds.x()) * scale);
        double top = Math.max(0, MARGIN + (corner.getY() - bounds.y()) * scale);
        frame.setX(left);
        frame.setY(top);
        frame.setWidth(Math.max(0, Math.min(WIDTH, MARGIN + (opposite.getX() - bounds.x()) * scale) - left));
        frame.setHeight(Math.max(0, Math.min(HEIGHT, MARGIN + (opposite.getY() - bounds.y()) * scale) - top));
    }
}
