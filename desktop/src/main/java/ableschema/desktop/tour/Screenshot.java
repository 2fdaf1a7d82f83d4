package ableschema.desktop.tour;

import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import javafx.scene.image.Image;
import javax.imageio.ImageIO;

/** Pictures of the window as PNG. */
final class Screenshot {

    private Screenshot() {}

    static byte[] png(Image image) {
        int width = (int) image.getWidth();
        int height = (int) image.getHeight();
        var picture = new BufferedImage(width, height, BufferedImage.TYPE_INT_RGB);
        for (int y = 0; y < height; y++) {
            for (int x = 0; x < width; x++) {
                picture.setRGB(x, y, image.getPixelReader().getArgb(x, y));
            }
        }
        var bytes = new ByteArrayOutputStream();
        try {
            ImageIO.write(picture, "png", bytes);
        } catch (IOException e) {
            throw new UncheckedIOException("while writing PNG to memory", e);
        }
        return bytes.toByteArray();
    }
}
