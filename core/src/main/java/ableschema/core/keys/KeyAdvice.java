package ableschema.core.keys;

import static java.util.stream.Collectors.joining;

import ableschema.core.keys.KeyCandidate.Kind;
import ableschema.core.keys.KeyCandidate.Point;
import ableschema.core.keys.KeyCandidate.Verdict;
import ableschema.core.words.Sentences;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * Which of the candidates we would take, why, and what speaks against it all the same; an advice and no more.
 *
 * @param since   what decides, as it stands behind "since"
 * @param against what there is to say against it; empty for nothing
 */
public record KeyAdvice(KeyCandidate candidate, String since, String against) {

    /** What cannot be had of a key at all, whatever else speaks for it. */
    private static final List<Kind> MUST = List.of(Kind.ROWS, Kind.THERE, Kind.PLACES);

    /** How much a point weighs that speaks against a candidate. */
    private static final Map<Kind, Integer> BAD = Map.of(Kind.STAYS, 12, Kind.PRIVATE, 12);

    /** How much a point weighs that speaks neither way; what is not in the list weighs nothing. */
    private static final Map<Kind, Integer> NEUTRAL =
            Map.of(Kind.STATED, 6, Kind.PRIVATE, 5, Kind.STAYS, 1, Kind.KNOWN, 2, Kind.BYTES, 2, Kind.PLACES, 1);

    /** More than this many parts are tedious to refer to. */
    private static final int EASY_PARTS = 2;

    /** Empty where no candidate can do. */
    public static Optional<KeyAdvice> of(List<KeyCandidate> candidates) {
        return candidates.stream()
                .filter(each -> MUST.stream().noneMatch(kind -> each.point(kind).verdict() == Verdict.BAD))
                .min(Comparator.<KeyCandidate>comparingInt(KeyAdvice::cost).thenComparing(each -> !each.current()))
                .map(best -> new KeyAdvice(best, since(best, candidates), against(best)));
    }

    private static int cost(KeyCandidate candidate) {
        int cost = candidate.points().stream().mapToInt(KeyAdvice::cost).sum();
        boolean corrected = candidate.point(Kind.STAYS).answer().endsWith("corrected");
        return cost + Math.max(0, candidate.parts().size() - EASY_PARTS) + (corrected ? 4 : 0);
    }

    private static int cost(Point point) {
        return switch (point.verdict()) {
            case GOOD -> 0;
            case NEUTRAL -> NEUTRAL.getOrDefault(point.kind(), 0);
            case BAD -> BAD.getOrDefault(point.kind(), 0);
        };
    }

    private static String since(KeyCandidate best, List<KeyCandidate> all) {
        boolean clash = all.stream().anyMatch(each -> each.point(Kind.PLACES).verdict() == Verdict.BAD);
        if (best.surrogate()) {
            String made = clash
                    ? "rows are made in several places, where two would give out the same number"
                    : best.point(Kind.BYTES).verdict() == Verdict.GOOD
                            ? "it is short and never changes"
                            : "it never changes and can be made anywhere";
            return made + spoilt(best, all).map(fault -> ", while " + fault).orElse("");
        }
        var reasons = new ArrayList<String>();
        Stream.of(Kind.STATED, Kind.KNOWN, Kind.STAYS)
                .filter(kind -> best.point(kind).verdict() == Verdict.GOOD)
                .map(kind -> switch (kind) {
                    case STATED -> "it is stated to tell them apart";
                    case KNOWN -> "people know it";
                    default -> "it stays the same";
                })
                .forEach(reasons::add);
        if (best.point(Kind.ROWS).verdict() == Verdict.GOOD) {
            reasons.add("no two rows have the same");
        }
        return Sentences.listed(reasons);
    }

    /** What is wrong with the best of what people give, where none of it is taken. */
    private static Optional<String> spoilt(KeyCandidate best, List<KeyCandidate> all) {
        return all.stream()
                .filter(each -> each != best && !each.surrogate())
                .flatMap(each -> each.points().stream()
                        .filter(point -> point.verdict() == Verdict.BAD)
                        .limit(1)
                        .map(point -> point.kind() == Kind.ROWS
                                ? "of " + each.name() + " " + point.answer()
                                : point.answer()))
                .findFirst();
    }

    private static String against(KeyCandidate best) {
        return best.points().stream()
                .filter(point -> point.verdict() != Verdict.GOOD)
                .map(KeyAdvice::argument)
                .collect(joining("; "));
    }

    private static String argument(Point point) {
        boolean unsaid = point.answer().equals("not said");
        boolean children = point.answer().contains(" / ");
        return switch (point.kind()) {
            case STATED -> point.answer().equals("not stated") ? "no rule says so" : point.answer();
            case STAYS -> unsaid ? "nobody said whether it ever changes" : point.answer();
            case KNOWN ->
                unsaid
                        ? "nobody said whether people use it"
                        : point.answer().startsWith("no")
                                ? "people do not know it"
                                : "people know it as a number at most";
            case BYTES ->
                "it takes " + point.answer().replace(" / ", " bytes here and ")
                        + (children ? " in its children" : " bytes");
            case GAPS -> "it has gaps " + point.answer();
            default -> point.answer();
        };
    }
}
