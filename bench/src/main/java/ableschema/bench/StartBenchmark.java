package ableschema.bench;

import java.io.IOException;
import java.lang.management.ManagementFactory;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.TimeUnit;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Warmup;

/** From the command to the window that shows a design, as whole processes; the base is a window with a single word. */
@BenchmarkMode(Mode.SingleShotTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Warmup(iterations = 2)
@Measurement(iterations = 7)
@Fork(1)
public class StartBenchmark {

    private static final Path DEMO = Path.of("demo/alder-valley.able.json");

    @Benchmark
    public int base() throws IOException, InterruptedException {
        return started(List.of());
    }

    @Benchmark
    public int application() throws IOException, InterruptedException {
        return started(List.of(DEMO.toString()));
    }

    /** With the options and the classes of this process. */
    private static int started(List<String> arguments) throws IOException, InterruptedException {
        var command = new ArrayList<String>();
        command.add(Path.of(System.getProperty("java.home"), "bin", "java").toString());
        ManagementFactory.getRuntimeMXBean().getInputArguments().stream()
                .filter(option -> !option.contains("jmh"))
                .forEach(command::add);
        command.addAll(List.of("-cp", System.getProperty("java.class.path"), StartedWindow.class.getName()));
        command.addAll(arguments);
        int exit = new ProcessBuilder(command)
                .redirectErrorStream(true)
                .redirectOutput(ProcessBuilder.Redirect.DISCARD)
                .start()
                .waitFor();
        if (exit != 0) {
            throw new IOException("the window did not start: exit code " + exit);
        }
        return exit;
    }
}
