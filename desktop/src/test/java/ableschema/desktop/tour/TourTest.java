package ableschema.desktop.tour;

import static org.assertj.core.api.Assertions.assertThat;

import ableschema.core.design.Entity;
import ableschema.core.design.IdSource;
import ableschema.core.document.Document;
import ableschema.core.store.DocumentFile;
import ableschema.desktop.app.MainWindow;
import ableschema.desktop.workspace.Workspace;
import java.awt.image.BufferedImage;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.HashSet;
import java.util.List;
import javafx.stage.Stage;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.api.io.TempDir;
import org.testfx.framework.junit5.ApplicationExtension;
import org.testfx.framework.junit5.Start;

@ExtendWith(ApplicationExtension.class)
class TourTest {

    private Workspace workspace = new Workspace(Document.EMPTY, IdSource.seeded(2));
    private MainWindow window;

    @Start
    void start(Stage stage) {
        workspace = new Workspace(Document.EMPTY, IdSource.seeded(2));
        window = new MainWindow(stage, workspace);
        window.show();
    }

    @Test
    void the_demo_runs_to_its_end_and_leaves_a_picture_of_each_stage(@TempDir Path folder) throws Exception {
        Document worked = DocumentFile.read(Path.of("../demo/alder-valley.able.json"));
        Document fieldLog = DocumentFile.read(Path.of("../demo/field-log.able.json"));
        Tour.Left left = new Tour(workspace, window, folder).run(worked, fieldLog, Path.of("../demo/inherited.sql"));

        assertThat(left.takenApart().design().entities())
                .extracting(Entity::name)
                .containsExactly("Hive", "Apiary", "Keeper", "Field log");
        assertThat(left.mended().mapping().schema().tables()).hasSize(25);
        assertThat(left.mended().design().relationships())
                .as("references that were not declared are")
                .hasSizeGreaterThan(10);
        List<Path> pictures;
        try (var files = Files.list(folder)) {
            pictures = files.sorted().toList();
        }
        assertThat(pictures).hasSize(20);
        for (Path picture : pictures) {
            BufferedImage image = ImageIO.read(picture.toFile());
            assertThat(image.getWidth()).isEqualTo(1280);
            assertThat(image.getHeight()).isEqualTo(800);
            assertThat(coloursIn(image)).as(picture.toString()).isGreaterThan(40);
        }
    }

    /** An empty or broken window has few colours. */
    private static int coloursIn(BufferedImage image) {
        var colours = new HashSet<Integer>();
        for (int y = 0; y < image.getHeight(); y += 3) {
            for (int x = 0; x < image.getWidth(); x += 3) {
                colours.add(image.getRGB(x, y));
            }
        }
        return colours.size();
    }
}
