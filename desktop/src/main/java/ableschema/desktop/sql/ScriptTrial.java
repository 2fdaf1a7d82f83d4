package ableschema.desktop.sql;

import ableschema.core.sql.Script;
import ableschema.core.sql.Statement;
import ableschema.desktop.gloss.SqlLines;
import ableschema.desktop.workspace.Workspace;
import ableschema.engine.BuiltInEngine;
import ableschema.engine.ScriptRun;
import ableschema.engine.ScriptRun.Fate;
import ableschema.engine.trial.Trial;
import java.sql.Connection;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import java.util.function.BooleanSupplier;
import java.util.function.Consumer;

/** Puts a script to a database that is built in, as a job, and knows what became of each statement. */
final class ScriptTrial {

    private final Workspace workspace;
    private final Consumer<String> verdict;

    /** What became of the statements, by the line that each begins in. */
    private final Map<Integer, Fate> fates = new HashMap<>();

    /** The script that they are of, and what was said of the whole. */
    private Optional<Script> of = Optional.empty();

    private String said = "";

    /** @param verdict told what the database said, in a sentence */
    ScriptTrial(Workspace workspace, Consumer<String> verdict) {
        this.workspace = workspace;
        this.verdict = verdict;
    }

    /** Forgets what was said of a script that is another one now; what is left to say. */
    String saidOf(Script shown) {
        if (of.filter(each -> each.statements().equals(shown.statements())).isEmpty()) {
            fates.clear();
            of = Optional.empty();
            said = "";
        }
        return said;
    }

    private void say(Script script, String words) {
        of = Optional.of(script);
        said = words;
        verdict.accept(words);
    }

    /**
     * Tries a script where its database is built in; else says where it can be tried.
     *
     * @param wanted whether it is still the script of which one wants to know
     * @param done   told the line, from 1, of the statement that was refused; empty where none was
     */
    void of(Script script, BooleanSupplier wanted, Consumer<Optional<Integer>> done) {
        Optional<BuiltInEngine> engine = BuiltInEngine.ALL.stream()
                .filter(each -> each.dialect().name().equals(script.dialect().name()))
                .findFirst();
        if (engine.isEmpty()) {
            verdict.accept(
                    script.dialect().label()
                            + " runs as a server of its own: Ctrl+Shift+L tries the design there. H2 and SQLite can be tried here.");
            return;
        }
        Script tried = withoutRights(script);
        long all = tried.executable().count();
        workspace
                .jobs()
                .run(
                        "trying the script on " + script.dialect().label(),
                        progress -> {
                            try (Connection connection = engine.get().open()) {
                                return ScriptRun.of(tried, connection, count -> {
                                    if (count % 10 == 0) {
                                        progress.done(count, all);
                                    }
                                });
                            }
                        },
                        wanted::getAsBoolean,
                        run -> done.accept(noted(script, run)),
                        failure -> verdict.accept("the trial could not start: " + failure.getMessage()));
    }

    /** There is no such user in a database that has just been made. */
    private static Script withoutRights(Script script) {
        return new Script(
                script.dialect(),
                script.statements().stream()
                        .filter(each -> each.kind() != Statement.Kind.RIGHTS)
                        .toList(),
                script.shortfalls());
    }

    private Optional<Integer> noted(Script script, ScriptRun run) {
        say(script, said(script, run));
        Refusals.note(
                workspace,
                run.refusal().map(ScriptRun.Refusal::statement),
                script.dialect().label(),
                run.refusal().map(ScriptRun.Refusal::reason).orElse(""));
        fates.clear();
        Map<Statement, Integer> lines = script.firstLines();
        run.outcomes().forEach(each -> fates.put(lines.getOrDefault(each.statement(), 0), each.fate()));
        return run.refusal().map(refusal -> lines.getOrDefault(refusal.statement(), 1));
    }

    private static String said(Script script, ScriptRun run) {
        return run.refusal()
                .map(refusal -> script.dialect().label() + " refused «"
                        + refusal.statement().lines().get(0).text() + "»: " + refusal.reason()
                        + (run.accepted() == 0 ? " Nothing of it stays." : " What came before it stays."))
                .orElse(script.dialect().label() + " accepted all " + run.accepted() + " statements.");
    }

    /** Takes up what a server said of a script, and of another that has its statements. */
    void heard(Trial trial, Script shown) {
        fates.clear();
        fates.putAll(trial.fates(shown));
        String label = trial.script().dialect().label();
        say(
                shown,
                trial.run()
                        .refusal()
                        .map(refusal -> label + " refused: " + refusal.reason())
                        .orElse(label + " accepted all " + trial.run().accepted() + " statements, rows included."));
    }

    /** What became of the statement that begins in a line, counted from 0, as a sign; empty where none does. */
    String sign(int line) {
        Fate fate = fates.get(line + 1);
        return fate == null
                ? ""
                : switch (fate) {
                    case REFUSED -> SqlLines.REFUSED;
                    case NOT_RUN -> SqlLines.NOT_REACHED;
                    default -> SqlLines.TAKEN;
                };
    }
}
