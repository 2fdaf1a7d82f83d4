package ableschema.cli;

import ableschema.core.store.DocumentFile;
import ableschema.core.store.FileProblem;
import ableschema.core.words.Spelling;
import java.io.OutputStreamWriter;
import java.io.PrintStream;
import java.io.PrintWriter;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.Callable;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.slf4j.LoggerFactory;
import picocli.CommandLine;
import picocli.CommandLine.Command;
import picocli.CommandLine.IVersionProvider;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;
import picocli.CommandLine.UnmatchedArgumentException;

/** The entry point: opens the window, or carries out one command. */
@Command(
        name = "able",
        description = "Draws the design of a database, normalises it, and writes its SQL.",
        mixinStandardHelpOptions = true,
        versionProvider = Able.Version.class,
        exitCodeListHeading = "%nExit codes:%n",
        exitCodeList = {"0:done", "1:the design has errors, or a judge said no", "2:wrong use or unreadable input"},
        subcommands = {
            DemoCommand.class,
            SqlCommand.class,
            TablesCommand.class,
            TryCommand.class,
            NormalizeCommand.class,
            ReadCommand.class,
            ReviewCommand.class,
            RulesCommand.class,
            WordsCommand.class,
            DrawCommand.class
        })
public final class Able implements Callable<Integer> {

    @Parameters(arity = "0..1", paramLabel = "FILE", description = "The design to open; without it, the demo.")
    private @Nullable Path file;

    @Spec
    private CommandSpec spec = CommandSpec.create();

    public static void main(String[] arguments) {
        System.exit(run(System.out, System.err, arguments));
    }

    /** Carries out one command line and returns its exit code. */
    static int run(PrintStream out, PrintStream err, String... arguments) {
        PrintWriter data = writer(out);
        PrintWriter messages = writer(err);
        if (opensWindow(arguments)) {
            return window(Stream.of(arguments).map(Path::of).findFirst(), messages);
        }
        var commandLine = new CommandLine(new Able()).setOut(data).setErr(messages);
        commandLine.setCaseInsensitiveEnumValuesAllowed(true);
        commandLine.setParameterExceptionHandler((e, args) -> wrongUse(e, messages));
        commandLine.setExecutionExceptionHandler((e, command, result) -> failed(e, messages));
        int exit = commandLine.execute(arguments);
        data.flush();
        if (out.checkError()) {
            messages.println("able: cannot write standard output: it is closed, or there is no room left");
            exit = Exit.WRONG_USE;
        }
        messages.flush();
        return exit;
    }

    /** Without options there is nothing to parse, and the window is there sooner. */
    private static boolean opensWindow(String... arguments) {
        return arguments.length == 0
                || arguments.length == 1 && arguments[0].endsWith(DocumentFile.ENDING) && !arguments[0].startsWith("-");
    }

    private static int window(Optional<Path> file, PrintWriter messages) {
        try {
            return Window.open(file);
        } catch (FileProblem | RuntimeException e) {
            return failed(e, messages);
        }
    }

    private static PrintWriter writer(PrintStream stream) {
        return new PrintWriter(new OutputStreamWriter(stream, StandardCharsets.UTF_8), true);
    }

    private static int wrongUse(CommandLine.ParameterException e, PrintWriter messages) {
        if (e instanceof UnmatchedArgumentException && e.getCommandLine().getCommand() instanceof Able) {
            messages.println("able: " + unknownCommand(e.getCommandLine()) + " (see able --help)");
            return Exit.WRONG_USE;
        }
        String message = String.valueOf(e.getMessage());
        List<String> meant = e instanceof UnmatchedArgumentException unmatched ? unmatched.getSuggestions() : List.of();
        String hint = meant.isEmpty() ? "" : "; did you mean '" + meant.get(0).trim() + "'?";
        String name = e.getCommandLine().getCommandSpec().qualifiedName();
        messages.println("able: " + oneLine(message) + hint + " (see " + name + " --help)");
        return Exit.WRONG_USE;
    }

    /** More than a file stands where only a file can: its first word was meant as a command. */
    private static String unknownCommand(CommandLine line) {
        String word = line.getParseResult().originalArgs().get(0);
        return line.getSubcommands().keySet().stream()
                .min(Comparator.comparingInt(each -> Spelling.distance(each, word)))
                .filter(each -> Spelling.distance(each, word) <= 2)
                .map(each -> "unknown command '" + word + "'; did you mean '" + each + "'?")
                .orElse("unknown command or option '" + word + "'; the commands are "
                        + String.join(", ", line.getSubcommands().keySet()));
    }

    private static int failed(Exception e, PrintWriter messages) {
        if (e instanceof FileProblem) {
            messages.println("able: " + e.getMessage());
            return Exit.WRONG_USE;
        }
        if (e instanceof Refusal refusal) {
            messages.println("able: " + refusal.getMessage());
            return refusal.exitCode();
        }
        LoggerFactory.getLogger(Able.class).error("a command failed", e);
        messages.println("able: this should not have happened: " + oneLine(String.valueOf(e)) + "; details stand in "
                + Path.of(System.getProperty("java.io.tmpdir", "."), "able-schema.log"));
        return Exit.WRONG_USE;
    }

    private static String oneLine(String text) {
        return text.replaceAll("\\s*\\R\\s*", " ");
    }

    @Override
    public Integer call() throws FileProblem {
        if (file != null && file.toString().equals("help")) {
            spec.commandLine().usage(spec.commandLine().getOut());
            return Exit.DONE;
        }
        return Window.open(Optional.ofNullable(file));
    }

    /** Knows the version from the manifest of the jar. */
    static final class Version implements IVersionProvider {
        @Override
        public String[] getVersion() {
            String version = Able.class.getPackage().getImplementationVersion();
            return new String[] {"Able Schema " + (version == null ? "(not packaged)" : version)};
        }
    }
}
