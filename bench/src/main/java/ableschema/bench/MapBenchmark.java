package ableschema.bench;

import ableschema.core.document.Document;
import ableschema.core.document.Notation;
import ableschema.core.mapping.Mapping;
import ableschema.diagram.LargeDesign;
import ableschema.diagram.layout.Arrangement;
import ableschema.diagram.layout.AutoLayout;
import ableschema.diagram.picture.Picture;
import ableschema.diagram.picture.PictureMaker;
import ableschema.diagram.picture.View;
import java.util.concurrent.TimeUnit;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Param;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.Setup;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;

/** Large designs in the shape of real ones, and with hubs but no groups: the map of districts, and its lines, against the layout engine alone. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Warmup(iterations = 2, time = 2)
@Measurement(iterations = 3, time = 2)
@Fork(1)
public class MapBenchmark {

    @Param({"grouped", "ungrouped"})
    public String kind = "";

    @Param({"100", "300", "1000", "2000"})
    public int entities;

    private Document document = Document.EMPTY;
    private Document placed = Document.EMPTY;
    private Mapping mapping = Mapping.NONE;

    @Setup
    public void make() {
        document = kind.equals("grouped") ? LargeDesign.grouped(7, entities, 8) : LargeDesign.ungrouped(7, entities, 8);
        mapping = document.mapping();
        placed = Arrangement.of(document, mapping).appliedTo(document);
    }

    /** The base: all tables derived, as {@code able tables} does. */
    @Benchmark
    public Mapping tables() {
        return document.mapping();
    }

    @Benchmark
    public Arrangement layout() {
        return Arrangement.of(document, mapping);
    }

    /** All lines laid and drawn. */
    @Benchmark
    public Picture picture() {
        return PictureMaker.of(placed, View.CONCEPT, Notation.CROWSFOOT);
    }

    /** The layout engine alone on the whole, without a line drawn. */
    @Benchmark
    public Object layoutEngineAlone() {
        return AutoLayout.laidOut(AutoLayout.graphOf(document));
    }
}
