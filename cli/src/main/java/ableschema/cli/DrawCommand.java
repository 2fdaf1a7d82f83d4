package ableschema.cli;

import ableschema.core.document.Detail;
import ableschema.core.document.Diagram;
import ableschema.core.document.Document;
import ableschema.core.document.Notation;
import ableschema.core.store.DocumentFile;
import ableschema.core.store.FileProblem;
import ableschema.core.store.SafeFile;
import ableschema.diagram.export.PictureFile;
import ableschema.diagram.export.Print;
import ableschema.diagram.layout.AutoLayout;
import ableschema.diagram.picture.Picture;
import ableschema.diagram.picture.PictureMaker;
import ableschema.diagram.picture.View;
import java.nio.file.Path;
import java.util.List;
import java.util.concurrent.Callable;
import org.jspecify.annotations.Nullable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;

/** {@code able draw}: the picture of a design as a file. */
@Command(name = "draw", description = "Draws a design as SVG, PNG or PDF.", mixinStandardHelpOptions = true)
final class DrawCommand implements Callable<Integer> {

    @Parameters(paramLabel = "FILE", description = "The design.")
    private Path file = Path.of("");

    @Option(names = "-o", paramLabel = "OUT", required = true, description = "The picture; .svg, .png or .pdf.")
    private Path out = Path.of("");

    @Option(names = "--view", paramLabel = "V", description = "concept (entities) or tables")
    private View view = View.CONCEPT;

    @Option(names = "--notation", paramLabel = "N", description = "crowsfoot, minmax or chen; else as in the design")
    private @Nullable Notation notation;

    @Option(names = "--detail", paramLabel = "L", description = "names, keys or everything; else as in the design")
    private @Nullable Detail detail;

    @Option(names = "--picture", paramLabel = "NAME", description = "The part-picture to draw; else the whole design.")
    private @Nullable String part;

    @Option(names = "--sentences", description = "Adds the sentences of what is drawn under the picture.")
    private boolean sentences;

    @Override
    public Integer call() throws FileProblem {
        Document document = viewed(DocumentFile.read(file));
        Diagram diagram = document.diagram();
        Document placed = AutoLayout.completed(document);
        Picture picture = PictureMaker.of(placed, view, notation == null ? diagram.notation() : notation);
        Print print = Print.of(document, picture, detail == null ? diagram.detail() : detail);
        byte[] bytes = PictureFile.named(out, sentences ? print.withSentences(document.design()) : print)
                .orElseThrow(() -> new Refusal(
                        Exit.WRONG_USE,
                        "cannot draw " + out
                                + ": its name must end in .svg, .png or .pdf, the formats that are written"));
        SafeFile.writeFrom(file, out, bytes);
        return Exit.DONE;
    }

    private Document viewed(Document document) {
        if (part == null) {
            return document;
        }
        if (document.diagram(part).isEmpty()) {
            List<String> names = document.diagrams().stream().map(Diagram::name).toList();
            throw new Refusal(
                    Exit.WRONG_USE, file + " has no picture called '" + part + "'; it has " + String.join(", ", names));
        }
        return document.viewing(part);
    }
}
