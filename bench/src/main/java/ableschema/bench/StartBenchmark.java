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

/**
 * From the command to the window that shows a design, as whole processes; the base is a window with a single word, started as any
 * is, and once more with the class data that the application has for its start.
 */
@BenchmarkMode(Mode.SingleShotTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Warmup(iterations = 2)
@Measurement(iterations = 9)
@Fork(1)
public class StartBenchmark {

    private static final Path HOME = Path.of(System.getProperty("able.home"));

    @Benchmark
    public int base() throws IOException, InterruptedException {
        return oneWord(List.of());
    }

    @Benchmark
    public int baseWithClassData() throws IOException, InterruptedException {
        return oneWord(List.of("-Xlog:disable", "-XX:SharedArchiveFile=" + HOME.resolve("cli/target/app/window.jsa")));
    }

    @Benchmark
    public int application() throws IOException, InterruptedException {
        var able = new ProcessBuilder(
                HOME.resolve("able").toString(),
                HOME.resolve("demo/alder-valley.able.json").toString());
        able.environment().remove("DISPLAY");
        able.environment().remove("WAYLAND_DISPLAY");
        able.environment().put("ABLE_JAVA_OPTIONS", "-Dable.close-when-seen=true");
        return ended(able);
    }

    /** With the options of this process, and the application's libraries before its own, as the class data wants them. */
    private static int oneWord(List<String> options) throws IOException, InterruptedException {
        var command = new ArrayList<String>();
        command.add(Path.of(System.getProperty("java.home"), "bin", "java").toString());
        ManagementFactory.getRuntimeMXBean().getInputArguments().stream()
                .filter(option -> !option.contains("jmh"))
                .forEach(command::add);
        command.addAll(options);
        String classes = HOME.resolve("cli/target/app/lib/*") + ":" + HOME.resolve("bench/target/classes");
        command.addAll(List.of("-cp", classes, WordWindow.class.getName()));
        return ended(new ProcessBuilder(command));
    }

    private static int ended(ProcessBuilder process) throws IOException, InterruptedException {
        int exit = process.redirectErrorStream(true)
                .redirectOutput(ProcessBuilder.Redirect.DISCARD)
                .start()
                .waitFor();
        if (exit != 0) {
            throw new IOException("the window did not start: exit code " + exit);
        }
        return exit;
    }
}
