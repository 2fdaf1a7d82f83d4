package ableschema.cli;

import ableschema.core.document.Detail;
import ableschema.core.document.Document;
import ableschema.core.document.Notation;
import ableschema.core.store.DocumentFile;
import ableschema.core.store.FileProblem;
import ableschema.core.store.SafeFile;
import ableschema.diagram.export.PictureFile;
import ableschema.diagram.layout.AutoLayout;
import ableschema.diagram.picture.Picture;
import ableschema.diagram.picture.PictureMaker;
import ableschema.diagram.picture.View;
import java.nio.file.Path;
import java.util.Locale;
import java.util.concurrent.Callable;
import org.jspecify.annotations.Nullable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;

/** {@code able draw}: the picture of a design as a file. */
@Command(name = "draw", description = "Draws a design as SVG or PNG.", mixinStandardHelpOptions = true)
final class DrawCommand implements Callable<Integer> {

    @Parameters(paramLabel = "FILE", description = "The design.")
    private Path file = Path.of("");

    @Option(names = "-o", paramLabel = "OUT", required = true, description = "The picture; .svg or .png.")
    private Path out = Path.of("");

    @Option(names = "--view", paramLabel = "V", description = "concept (entities) or tables")
    private View view = View.CONCEPT;

    @Option(names = "--notation", paramLabel = "N", description = "crowsfoot, minmax or chen; else as in the design")
    private @Nullable Notation notation;

    @Override
    public Integer call() throws FileProblem {
        Document read = DocumentFile.read(file);
        Document document = read.moved(AutoLayout.forUnplaced(read));
        Notation drawn = notation == null ? document.diagram().notation() : notation;
        Picture picture = PictureMaker.of(document, view, drawn);
        SafeFile.write(out, bytes(picture));
        return Exit.DONE;
    }

    private byte[] bytes(Picture picture) {
        String name = out.toString().toLowerCase(Locale.ROOT);
        if (name.endsWith(".svg")) {
            return PictureFile.svg(picture, Detail.EVERYTHING);
        }
        if (name.endsWith(".png")) {
            return PictureFile.png(picture, Detail.EVERYTHING);
        }
        throw new Refusal(
                Exit.WRONG_USE,
                "cannot draw " + out + ": its name must end in .svg or .png, the formats that are written");
    }
}
