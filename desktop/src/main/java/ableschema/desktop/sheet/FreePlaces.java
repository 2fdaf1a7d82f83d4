package ableschema.desktop.sheet;

import ableschema.diagram.geometry.Area;
import ableschema.diagram.picture.Picture;
import ableschema.diagram.picture.Picture.PlacedCard;
import java.util.List;
import java.util.function.BiFunction;
import javafx.geometry.Point2D;

/** Places in a picture where a new card has room. */
final class FreePlaces {

    /** How far from other cards a new one stands, so that its lines and their words have room; closer where that is not to be had. */
    private static final List<Double> APART = List.of(88.0, 16.0);

    private final Picture picture;

    FreePlaces(Picture picture) {
        this.picture = picture;
    }

    /**
     * A place in view if there is one, else below everything.
     *
     * @param toPicture turns a place of the sheet into one of the picture
     */
    Point2D inView(double width, double height, BiFunction<Double, Double, Point2D> toPicture) {
        for (double apart : APART) {
            for (double y = 40; y < Math.max(200, height - 120); y += 40) {
                for (double x = 40; x < Math.max(300, width - 200); x += 40) {
                    Point2D place = toPicture.apply(x, y);
                    if (isFree(place, apart)) {
                        return snapped(place);
                    }
                }
            }
        }
        return new Point2D(picture.bounds().x(), snapped(picture.bounds().bottom() + 40));
    }

    /** This place, or the nearest one where a new card covers no other; the last resort comes from the other search. */
    Point2D near(Point2D wanted, Point2D otherwise) {
        for (double distance = 0; distance < 800; distance += 20) {
            for (double angle = 0; angle < 2 * Math.PI; angle += Math.PI / 8) {
                Point2D place = wanted.add(distance * Math.cos(angle), distance * Math.sin(angle));
                if (isFree(place, APART.get(1))) {
                    return snapped(place);
                }
            }
        }
        return otherwise;
    }

    private boolean isFree(Point2D place, double apart) {
        var area = new Area(place.getX() - apart, place.getY() - apart / 2, 168 + 2 * apart, 98 + apart);
        return picture.cards().values().stream().map(PlacedCard::area).noneMatch(area::meets);
    }

    static Point2D snapped(Point2D place) {
        return new Point2D(snapped(place.getX()), snapped(place.getY()));
    }

    private static double snapped(double value) {
        return Math.round(value / 4) * 4.0;
    }
}
