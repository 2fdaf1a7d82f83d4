package ableschema.bench;

import ableschema.core.document.Document;
import ableschema.core.document.Notation;
import ableschema.core.store.DocumentFile;
import ableschema.core.store.FileProblem;
import ableschema.diagram.layout.Arrangement;
import ableschema.diagram.layout.AutoLayout;
import ableschema.diagram.picture.Picture;
import ableschema.diagram.picture.PictureMaker;
import ableschema.diagram.picture.View;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.concurrent.TimeUnit;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Level;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.Setup;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;

/** What is worked out once for the large design: reading its file, its picture, its layout; in milliseconds. */
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@State(Scope.Benchmark)
@Warmup(iterations = 2, time = 5)
@Measurement(iterations = 3, time = 5)
@Fork(1)
public class DesignBenchmark {

    private Path file;
    private Document large;

    @Setup
    public void write() throws IOException, FileProblem {
        large = Designs.large();
        file = Files.createTempFile("large", ".able.json");
        DocumentFile.write(file, Arrangement.of(large).appliedTo(large));
        file.toFile().deleteOnExit();
    }

    /** The base of reading: its JSON alone. */
    @Benchmark
    public JsonNode parseJson() throws IOException {
        return new ObjectMapper().readTree(file.toFile());
    }

    @Benchmark
    public Picture fileToPicture() throws FileProblem {
        return PictureMaker.of(DocumentFile.read(file), View.CONCEPT, Notation.CROWSFOOT);
    }

    @Benchmark
    public Object layout() {
        return Arrangement.of(large);
    }

    /** The base of the layout: the layout engine alone, on the same graph. */
    @Benchmark
    public Object layoutEngineAlone(Graph graph) {
        return AutoLayout.laidOut(graph.graph);
    }

    /** The graph that is laid out, made before each run. */
    @State(Scope.Thread)
    public static class Graph {
        private AutoLayout.Graph graph = AutoLayout.graphOf(Document.EMPTY);

        @Setup(Level.Invocation)
        public void make() {
            graph = AutoLayout.graphOf(Designs.large());
        }
    }
}
