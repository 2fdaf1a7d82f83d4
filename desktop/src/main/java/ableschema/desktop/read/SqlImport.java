package ableschema.desktop.read;

import ableschema.core.ddl.SqlRead;
import ableschema.core.ddl.SqlReader;
import ableschema.core.document.Document;
import ableschema.core.document.Position;
import ableschema.core.edit.Fragment;
import ableschema.core.reverse.Reverse;
import ableschema.core.reverse.Reversed;
import ableschema.core.sql.dialect.Dialect;
import ableschema.core.store.DocumentFile;
import ableschema.core.store.FileProblem;
import ableschema.core.store.SqlFile;
import ableschema.desktop.workspace.Jobs;
import ableschema.desktop.workspace.Workspace;
import ableschema.diagram.layout.AutoLayout;
import java.nio.file.Path;
import java.util.Collection;
import java.util.HashMap;
import java.util.Optional;
import java.util.concurrent.Callable;
import java.util.function.BooleanSupplier;
import java.util.function.Consumer;
import java.util.function.Function;
import java.util.regex.Pattern;

/** Reads SQL off the window's thread and opens the design that it gives, or puts it beside what is there. */
public final class SqlImport {

    /** Enough to see what a column holds, and few enough to be looked at. */
    private static final int ROWS = 20;

    /** Wider than any card. */
    private static final double ASIDE = 420;

    private static final Pattern DEFINITIONS = Pattern.compile("(?is)\\bcreate\\s+(?:\\w+\\s+){0,3}table\\b");

    private final Workspace workspace;
    private final BooleanSupplier mayLeave;
    private final Consumer<ReadSummary> show;

    /**
     * @param mayLeave  asks what becomes of changes that are not saved
     * @param show      shows what was read
     */
    public SqlImport(Workspace workspace, BooleanSupplier mayLeave, Consumer<ReadSummary> show) {
        this.workspace = workspace;
        this.mayLeave = mayLeave;
        this.show = show;
    }

    /** Whether a text makes tables, so that it is read as SQL. */
    public static boolean isSql(String text) {
        return DEFINITIONS.matcher(text).find();
    }

    /** Opens the design of a file of SQL; says why where there is none, and then nothing changes. */
    public void open(Path file) {
        String name = String.valueOf(file.getFileName());
        int point = name.indexOf('.');
        String title = point > 0 ? name.substring(0, point) : name;
        read(name, title, () -> SqlFile.read(file), sql -> SqlReader.dialectOf(sql, file), this::opened);
    }

    /** Puts the tables of a text beside what is there, as one step that can be undone; into an empty design they are opened. */
    public void paste(String text) {
        boolean empty = workspace.design().entities().isEmpty();
        read("what was pasted", "pasted", () -> text, SqlReader::dialectOf, empty ? this::opened : this::put);
    }

    /** A design that was read, and from what. */
    record Result(SqlRead read, Reversed reversed, String name) {}

    private void read(
            String name,
            String title,
            Callable<String> text,
            Function<String, Dialect> dialect,
            Consumer<Result> done) {
        Document into = workspace.document();
        boolean beside = !into.design().entities().isEmpty();
        Jobs.Work<Result> work = progress -> {
            String sql = text.call();
            SqlRead read = SqlReader.read(sql, dialect.apply(sql), ROWS);
            Reversed reversed = beside && title.equals("pasted")
                    ? Reverse.under(into.rules(), read, title)
                    : Reverse.of(read, title);
            return new Result(read, reversed, name);
        };
        workspace.jobs().run("reading " + name, work, () -> true, result -> check(result, done), this::failed);
    }

    private void failed(Throwable problem) {
        boolean known = problem instanceof FileProblem;
        workspace
                .notices()
                .complain(
                        known
                                ? String.valueOf(problem.getMessage())
                                : "the SQL could not be read: " + problem.getMessage());
    }

    private void check(Result result, Consumer<Result> done) {
        SqlRead read = result.read();
        String from = "cannot read " + result.name() + ": ";
        if (read.cut().isPresent()) {
            SqlRead.Cut cut = read.cut().get();
            workspace
                    .notices()
                    .complain(from + "it ends in the middle of " + cut.what() + ", begun in line " + cut.line()
                            + "; take the whole of it");
        } else if (read.schema().tables().isEmpty()) {
            workspace
                    .notices()
                    .complain(from + "it makes no table, read as "
                            + read.dialect().label() + "; it takes CREATE TABLE statements");
        } else {
            done.accept(result);
        }
    }

    void opened(Result result) {
        if (mayLeave.getAsBoolean()) {
            workspace.open(result.reversed().document(), Optional.empty(), () -> {
                workspace.keepNothingSaved();
                tell(result);
            });
        }
    }

    private void put(Result result) {
        Document fragment = DocumentFile.parse(Fragment.withNewIds(
                DocumentFile.print(AutoLayout.completed(result.reversed().document())), workspace.ids()));
        workspace.apply(Fragment.paste(shifted(fragment), workspace.document()));
        tell(result);
    }

    /** To the right of all that is there. */
    private Document shifted(Document fragment) {
        Collection<Position> there = workspace.document().diagram().positions().values();
        Collection<Position> coming = fragment.diagram().positions().values();
        double right = there.stream().mapToDouble(Position::x).max().orElse(0) + ASIDE;
        double dx = right - coming.stream().mapToDouble(Position::x).min().orElse(0);
        double dy = there.stream().mapToDouble(Position::y).min().orElse(0)
                - coming.stream().mapToDouble(Position::y).min().orElse(0);
        var places = new HashMap<>(fragment.diagram().positions());
        places.replaceAll((id, at) -> new Position(at.x() + dx, at.y() + dy));
        return fragment.moved(places);
    }

    private void tell(Result result) {
        workspace
                .notices()
                .say("read " + result.name() + " as " + result.read().dialect().label());
        show.accept(new ReadSummary(result.read(), result.reversed(), workspace));
    }
}
