package ableschema.bench;

import ableschema.core.design.Attribute;
import ableschema.core.design.Id;
import ableschema.core.design.IdSource;
import ableschema.core.document.Document;
import ableschema.core.document.Position;
import ableschema.core.edit.MoveCards;
import ableschema.desktop.app.MainWindow;
import ableschema.desktop.sheet.SheetView;
import ableschema.desktop.workspace.Workspace;
import java.util.Arrays;
import java.util.Map;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicReference;
import javafx.event.Event;
import javafx.event.EventType;
import javafx.scene.Group;
import javafx.scene.Node;
import javafx.scene.control.TextField;
import javafx.scene.image.ImageView;
import javafx.scene.image.WritableImage;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.input.MouseButton;
import javafx.scene.input.MouseEvent;
import javafx.scene.layout.Pane;
import javafx.scene.paint.Color;
import javafx.scene.shape.Rectangle;
import javafx.stage.Stage;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Level;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Param;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.Setup;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.TearDown;
import org.openjdk.jmh.annotations.Warmup;

/** One frame of the sheet with the large design, and of what it is measured against, in milliseconds. */
@BenchmarkMode(Mode.SampleTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Warmup(iterations = 3, time = 3)
@Measurement(iterations = 4, time = 4)
@Fork(1)
public class SheetBenchmark {

    /** The bases: one picture that fills the window however it is moved or scaled, and a window with next to nothing in it. */
    @State(Scope.Benchmark)
    public static class Base {
        @Param({"empty", "moved", "scaled"})
        public String what = "";

        private Frames frames;
        private int step;

        @Setup
        public void open() {
            var view = new ImageView(image());
            var root = new Pane(what.equals("empty") ? new Rectangle(40, 20, Color.GRAY) : view);
            frames = Frames.open(() -> Frames.scene(root));
            frames.each(() -> {
                step++;
                if (what.equals("empty")) {
                    root.getChildren().get(0).setTranslateX(step % 2);
                } else if (what.equals("moved")) {
                    view.setTranslateX(-16 * swing(step));
                } else {
                    view.setScaleX(1 + 0.02 * swing(step));
                    view.setScaleY(1 + 0.02 * swing(step));
                }
            });
        }

        private static WritableImage image() {
            int width = 1280 + 16 * swing(FARTHEST);
            var image = new WritableImage(width, 800);
            for (int y = 0; y < 800; y++) {
                for (int x = 0; x < width; x++) {
                    image.getPixelWriter().setArgb(x, y, 0xFF000000 | (x * y));
                }
            }
            return image;
        }

        @TearDown
        public void close() {
            frames.close();
        }
    }

    private static final int FARTHEST = 24;

    private static int swing(int step) {
        int at = step % (2 * FARTHEST);
        return at < FARTHEST ? at : 2 * FARTHEST - at;
    }

    @Benchmark
    public void base(Base base) throws InterruptedException {
        base.frames.next();
    }

    /** The sheet alone in the window, at 100 % or with the whole design in view. */
    @State(Scope.Benchmark)
    public static class Sheet {
        @Param({"100", "whole"})
        public String zoom = "";

        private Frames frames;
        private SheetView sheet;
        private int step;

        @Setup
        public void open() throws InterruptedException {
            Document document = Designs.placed();
            var made = new AtomicReference<SheetView>();
            frames = Frames.open(() -> {
                var workspace = new Workspace(document, IdSource.seeded(1));
                var view = new SheetView(workspace);
                view.setPrefSize(1280, 800);
                view.resize(1280, 800);
                made.set(view);
                return Frames.scene(new Group(view));
            });
            sheet = made.get();
            frames.each(() -> {});
            frames.once(() -> {
                sheet.fit();
                if (zoom.equals("100")) {
                    sheet.zoom(1 / sheet.zoom(), 640, 400);
                }
            });
            Thread.sleep(500);
        }

        @TearDown
        public void close() {
            frames.close();
        }
    }

    /** Pans in every frame, on and on in one direction and then back, so that new parts come into view in each. */
    @State(Scope.Benchmark)
    public static class Panning {
        @Setup
        public void begin(Sheet sheet) {
            sheet.frames.each(() -> {
                int at = sheet.step++ % 240;
                sheet.sheet.pan(at < 120 ? -16 : 16, at < 120 ? -9 : 9);
            });
        }
    }

    @Benchmark
    public void pan(Sheet sheet, Panning panning) throws InterruptedException {
        sheet.frames.next();
    }

    /** Zooms in every frame, nearer and farther again. */
    @State(Scope.Benchmark)
    public static class Zooming {
        @Setup
        public void begin(Sheet sheet) {
            sheet.frames.each(() -> {
                int at = sheet.step++ % 40;
                sheet.sheet.zoom(at < 20 ? 1.02 : 1 / 1.02, 640, 400);
            });
        }
    }

    @Benchmark
    public void zoom(Sheet sheet, Zooming zooming) throws InterruptedException {
        sheet.frames.next();
    }

    /** From a step of zooming until the sheet is sharp again; at the end every pixel is compared with a fresh painting. */
    @State(Scope.Benchmark)
    public static class Resting {
        private Sheet sheet = new Sheet();

        @Setup
        public void take(Sheet opened) {
            sheet = opened;
        }

        @TearDown(Level.Iteration)
        public void compare() {
            Frames.on(() -> {
                int[] seen = Pixels.of(sheet.sheet);
                sheet.sheet.paintAfresh();
                if (!Arrays.equals(seen, Pixels.of(sheet.sheet))) {
                    throw new IllegalStateException("the sheet at rest is not as painted afresh");
                }
            });
        }
    }

    @Benchmark
    public void sharpAfterZoom(Sheet sheet, Resting resting) throws InterruptedException {
        Frames.on(() -> sheet.sheet.zoom(sheet.step++ % 2 == 0 ? 1.1 : 1 / 1.1, 640, 400));
        do {
            sheet.frames.next();
        } while (!sheet.sheet.isSharp());
    }

    /** The whole window with the large design. */
    @State(Scope.Benchmark)
    public static class Window {
        private Frames frames;
        private Workspace workspace;
        private MainWindow window;
        private Id card;
        private int step;

        @Setup
        public void open() throws InterruptedException {
            Document document = Designs.placed();
            frames = Frames.open(() -> Frames.scene(new Pane()));
            Frames.on(() -> {
                workspace = new Workspace(document, IdSource.seeded(1));
                window = new MainWindow(new Stage(), workspace);
                window.show();
            });
            frames.hide(); // the headless screen would lay one window over the other, pixel by pixel
            frames.each(() -> {});
            card = document.design().entities().get(500).id();
            frames.once(() -> window.goTo(card));
            Thread.sleep(1000);
        }

        @TearDown
        public void close() {
            frames.close();
        }
    }

    /** A card is put in another place, with all its lines laid anew, until that is on the screen. */
    @Benchmark
    public void moveCard(Window window) throws InterruptedException {
        window.frames.once(() -> {
            Position at = window.workspace.document().position(window.card).orElseThrow();
            double by = window.step++ % 2 == 0 ? 12 : -12;
            window.workspace.apply(
                    new MoveCards(Map.of(window.card, new Position(at.x() + by, at.y() + by)), "move a card"));
        });
    }

    /** An attribute is renamed, with all that follows from its name, until that is on the screen. */
    @Benchmark
    public void rename(Window window) throws InterruptedException {
        window.frames.once(() -> {
            Attribute attribute = window.workspace
                    .design()
                    .entity(window.card)
                    .orElseThrow()
                    .body()
                    .attributes()
                    .get(2);
            String name = window.step++ % 2 == 0 ? "renamed" : "renamed again";
            window.workspace.apply(window.workspace.edits().changeAttribute(attribute.withName(name)));
        });
    }

    /** A card is carried one step, as in a drag, until that is on the screen. */
    @Benchmark
    public void carryCard(Window window) throws InterruptedException {
        window.frames.once(() -> {
            Node card = window.window.scene().lookup("#card-thing-500");
            var at = card.localToScene(30, 15);
            double by = window.step++ % 2 == 0 ? 9 : -9;
            if (window.step == 1) {
                mouse(card, MouseEvent.MOUSE_PRESSED, at.getX(), at.getY());
            }
            mouse(card, MouseEvent.MOUSE_DRAGGED, at.getX() + by, at.getY() + by);
        });
    }

    private static void mouse(Node node, EventType<MouseEvent> type, double x, double y) {
        Event.fireEvent(
                node,
                new MouseEvent(
                        type,
                        x,
                        y,
                        x,
                        y,
                        MouseButton.PRIMARY,
                        1,
                        false,
                        false,
                        false,
                        true,
                        true,
                        false,
                        false,
                        false,
                        false,
                        true,
                        null));
    }

    /** A letter is typed in the rule line, and understood, until it is on the screen. */
    @Benchmark
    public void typeLetter(Window window) throws InterruptedException {
        window.frames.once(() -> {
            var line = (TextField) window.window.scene().lookup("#rule-line");
            line.requestFocus();
            if (line.getText().length() > 40) {
                line.clear();
            }
            String letter =
                    "each thing 12 has ".substring(line.getText().length() % 18).substring(0, 1);
            Event.fireEvent(
                    line, new KeyEvent(KeyEvent.KEY_TYPED, letter, "", KeyCode.UNDEFINED, false, false, false, false));
        });
    }
}
