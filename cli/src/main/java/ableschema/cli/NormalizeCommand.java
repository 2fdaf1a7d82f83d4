package ableschema.cli;

import ableschema.core.design.Design;
import ableschema.core.design.Entity;
import ableschema.core.normalization.EntityTheory;
import ableschema.core.store.DocumentFile;
import ableschema.core.store.FileProblem;
import ableschema.core.theory.Analysis;
import ableschema.core.theory.AttributeSet;
import ableschema.core.theory.Decomposition;
import ableschema.core.theory.Effort;
import ableschema.core.theory.Normalizer;
import ableschema.core.theory.Relation;
import ableschema.core.theory.RelationText;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.Callable;
import org.jspecify.annotations.Nullable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;

/** {@code able normalize}: keys, normal form and decompositions of relations. */
@Command(
        name = "normalize",
        description = "Works out keys, normal form and decompositions from dependencies.",
        mixinStandardHelpOptions = true)
final class NormalizeCommand implements Callable<Integer> {

    private static final long SAID_EVERY = 2_000_000_000L;

    @Parameters(
            arity = "1..*",
            paramLabel = "FILE",
            description = "Designs, or text files such as: R(A, B, C) and below it A, B -> C or A ->> C.")
    private List<Path> files = List.of();

    @Option(
            names = "--entity",
            paramLabel = "E",
            description = "The entity of the design; needed where it has several.")
    private @Nullable String entity;

    @Option(
            names = "--seconds",
            paramLabel = "N",
            defaultValue = "60",
            description = "How long each relation may take; what is open then is said.")
    private int seconds = 60;

    @Option(names = "--json", description = "Prints one JSON object a line.")
    private boolean json;

    @Spec
    private CommandSpec spec = CommandSpec.create();

    @Override
    public Integer call() throws FileProblem {
        // all are read first, so that one unreadable file leaves no half of an answer
        var analyses = new ArrayList<Analysis>();
        for (Path file : files) {
            analyses.add(analysis(file));
        }
        for (Analysis analysis : analyses) {
            spec.commandLine().getOut().println(json ? Json.line(json(analysis)) : text(analysis));
        }
        return Exit.DONE;
    }

    private Analysis analysis(Path file) throws FileProblem {
        return file.toString().endsWith(DocumentFile.ENDING)
                ? ofDesign(file, DocumentFile.read(file).design())
                : Normalizer.analyse(relation(file), effort());
    }

    private Analysis ofDesign(Path file, Design design) {
        List<String> names = design.entities().stream().map(Entity::name).toList();
        String all = String.join(", ", names);
        if (entity == null && names.size() != 1) {
            throw new Refusal(
                    Exit.WRONG_USE, file + " has " + names.size() + " entities; name one with --entity: " + all);
        }
        String wanted = entity == null ? names.get(0) : entity;
        Entity found = design.entity(wanted)
                .orElseThrow(() ->
                        new Refusal(Exit.WRONG_USE, file + " has no entity called '" + wanted + "'; it has " + all));
        return EntityTheory.of(design, found, effort()).analysis();
    }

    /** Tells how far it is where it takes long enough to be asked. */
    private Effort effort() {
        if (seconds < 1) {
            throw new Refusal(Exit.WRONG_USE, "--seconds is " + seconds + ", but at least 1 is needed");
        }
        long[] next = {System.nanoTime() + SAID_EVERY};
        return Effort.of(Duration.ofSeconds(seconds), said -> {
            if (System.nanoTime() - next[0] > 0) {
                next[0] = System.nanoTime() + SAID_EVERY;
                spec.commandLine().getErr().println("able: " + said + " ...");
            }
        });
    }

    private static Relation relation(Path file) throws FileProblem {
        try {
            return RelationText.read(Files.readString(file));
        } catch (IOException e) {
            throw FileProblem.reading(file, e);
        } catch (RelationText.SyntaxProblem e) {
            throw new Refusal(Exit.WRONG_USE, "cannot read " + file + ", " + e.getMessage() + "; mend that line");
        }
    }

    private static Map<String, Object> json(Analysis analysis) {
        Relation relation = analysis.relation();
        var json = new LinkedHashMap<String, Object>();
        json.put("relation", relation.name());
        json.put("attributes", relation.attributes());
        json.put("keys", analysis.keys().found().stream().map(relation::names).toList());
        json.put("primeAttributes", relation.names(analysis.keys().prime()));
        json.put("normalForm", analysis.normalForm().sign());
        json.put("complete", analysis.complete());
        json.put("open", analysis.open());
        json.put(
                "minimalCover",
                analysis.minimalCover().stream()
                        .map(d -> ordered("from", relation.names(d.from()), "to", relation.names(d.to())))
                        .toList());
        json.put(
                "decompositions",
                analysis.decompositions().stream().map(d -> json(relation, d)).toList());
        return json;
    }

    private static Map<String, @Nullable Object> json(Relation relation, Decomposition decomposition) {
        var json = new LinkedHashMap<String, @Nullable Object>();
        json.put("goal", decomposition.goal().sign());
        json.put(
                "relations",
                decomposition.parts().stream()
                        .map(part -> ordered(
                                "attributes", relation.names(part.attributes()), "key", relation.names(part.key())))
                        .toList());
        json.put("lossless", decomposition.lossless().orElse(null));
        json.put("preservesDependencies", decomposition.preservesDependencies());
        json.put("inForm", decomposition.inForm() ? true : null);
        return json;
    }

    private static Map<String, Object> ordered(String first, Object one, String second, Object other) {
        var json = new LinkedHashMap<String, Object>();
        json.put(first, one);
        json.put(second, other);
        return json;
    }

    private static String text(Analysis analysis) {
        Relation relation = analysis.relation();
        var text = new StringBuilder();
        text.append(relation.name())
                .append(" is in ")
                .append(analysis.normalForm().sign());
        text.append(", identified by ")
                .append(String.join(
                        " or by ",
                        analysis.keys().found().stream()
                                .map(key -> listed(relation, key))
                                .toList()));
        if (!analysis.keys().complete()) {
            text.append(" and more keys");
        }
        for (Decomposition each : analysis.decompositions()) {
            text.append("\n  ").append(each.goal().sign()).append(": ");
            text.append(String.join(
                    " ",
                    each.parts().stream()
                            .map(part -> listed(relation, part.attributes()))
                            .toList()));
            text.append(", ").append(each.losslessInWords());
            text.append(each.preservesDependencies() ? ", all dependencies kept" : ", not all dependencies kept");
        }
        analysis.open().forEach(each -> text.append("\n  open: ").append(each));
        return text.toString();
    }

    private static String listed(Relation relation, AttributeSet set) {
        return "(" + String.join(", ", relation.names(set)) + ")";
    }
}
