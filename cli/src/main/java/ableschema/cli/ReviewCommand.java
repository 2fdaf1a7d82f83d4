package ableschema.cli;

import static java.util.stream.Collectors.groupingBy;
import static java.util.stream.Collectors.toList;

import ableschema.core.document.Document;
import ableschema.core.finding.Finding;
import ableschema.core.finding.Remedy;
import ableschema.core.finding.Severity;
import ableschema.core.mapping.Mapping;
import ableschema.core.review.PlaceText;
import ableschema.core.review.Review;
import ableschema.core.review.Rules;
import ableschema.core.review.Subject;
import ableschema.core.sql.dialect.Dialect;
import ableschema.core.store.DocumentFile;
import ableschema.core.store.FileProblem;
import java.nio.file.Path;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.Callable;
import org.jspecify.annotations.Nullable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;

/** {@code able review}: all that there is to say about a design. */
@Command(
        name = "review",
        description = "Says what speaks against a design, place by place; exit code 1 where something must be mended.",
        mixinStandardHelpOptions = true)
final class ReviewCommand implements Callable<Integer> {

    @Parameters(paramLabel = "FILE", description = "The design.")
    private Path file = Path.of("");

    @Option(
            names = "--dialect",
            paramLabel = "D",
            converter = DialectName.class,
            description = "one of ${COMPLETION-CANDIDATES}; without it, the one that the design is written for",
            completionCandidates = DialectName.Names.class)
    private @Nullable Dialect dialect;

    @Option(names = "--rule", paramLabel = "RULE", description = "Only findings of this rule, such as no-key.")
    private @Nullable String rule;

    @Option(names = "--json", description = "Prints JSON.")
    private boolean json;

    @Mixin
    private Output output = new Output();

    @Override
    public Integer call() throws FileProblem {
        requireRule();
        Document read = DocumentFile.read(file);
        Document document = dialect == null ? read : read.with(read.rules().withDialect(dialect.name()));
        Mapping mapping = document.mapping();
        Review review = Review.of(Subject.of(document, mapping));
        List<Finding> findings = review.all().stream()
                .filter(each -> rule == null || each.rule().id().equals(rule))
                .toList();
        output.write(
                file,
                json
                        ? Json.pretty(Map.of(
                                        "findings",
                                        findings.stream()
                                                .map(each -> json(each, review, document, mapping))
                                                .toList()))
                                + "\n"
                        : text(findings, review, document, mapping));
        boolean mend = findings.stream()
                .anyMatch(each ->
                        each.severity() == Severity.MUST_MEND && !review.aside().containsKey(each));
        return mend ? Exit.ERRORS : Exit.DONE;
    }

    private void requireRule() {
        if (rule != null && Rules.named(rule).isEmpty()) {
            throw new Refusal(
                    Exit.WRONG_USE, "there is no rule '" + rule + "'; did you mean '" + Rules.nearest(rule) + "'?");
        }
    }

    private static String text(List<Finding> findings, Review review, Document document, Mapping mapping) {
        var text = new StringBuilder();
        Map<String, List<Finding>> groups = findings.stream()
                .filter(each -> !review.aside().containsKey(each))
                .collect(groupingBy(
                        each -> PlaceText.of(each.place(), document.design(), mapping)
                                .label(),
                        LinkedHashMap::new,
                        toList()));
        groups.forEach((label, of) -> {
            text.append(text.isEmpty() ? "" : "\n").append(label).append('\n');
            of.forEach(each -> text.append(line(each)));
        });
        int aside =
                findings.size() - groups.values().stream().mapToInt(List::size).sum();
        if (aside > 0) {
            text.append(text.isEmpty() ? "" : "\n").append(aside).append(" set aside, each with its reason\n");
        }
        return text.isEmpty() ? "Nothing speaks against this design.\n" : text.toString();
    }

    private static String line(Finding finding) {
        return "  " + finding.severity().id() + "  " + finding.rule().id() + "  " + finding.text()
                + (finding.evidence().isEmpty() ? "" : " (" + finding.evidence() + ")") + "\n";
    }

    private static Object json(Finding finding, Review review, Document document, Mapping mapping) {
        PlaceText place = PlaceText.of(finding.place(), document.design(), mapping);
        return Json.ordered(
                "rule",
                finding.rule().id(),
                "severity",
                finding.severity().id(),
                "step",
                finding.step().label(),
                "place",
                Json.ordered(
                        "table",
                        place.table().orElse(null),
                        "columns",
                        place.columns(),
                        "row",
                        place.row().orElse(null)),
                "text",
                finding.text(),
                "why",
                finding.rule().why(),
                "remedy",
                finding.remedies().stream().findFirst().map(Remedy::title).orElse(null),
                "setAside",
                Optional.ofNullable(review.aside().get(finding))
                        .map(aside -> aside.reason())
                        .orElse(null));
    }
}
