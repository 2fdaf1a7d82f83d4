package ableschema.core.review;

import ableschema.core.finding.Rule;
import ableschema.core.words.Spelling;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/** All rules, each listed once by what finds it; a new rule is a class and a line here. */
public final class Rules {

    /** Also shown as a sign on the sheet. */
    public static final Rule SENTENCE_WRONG = SentenceFinder.WRONG;

    /** What they find keeps definitions from being written. */
    public static final List<Rule> UNDECIDED =
            List.of(UndecidedFinder.NO_ATTRIBUTES, UndecidedFinder.UNTYPED, KeyFinder.NO_KEY, KeyFinder.CIRCLE);

    static final List<Finder> FINDERS = List.of(
            new BriefFinder(),
            new EventFinder(),
            new SentenceFinder(),
            new UndecidedFinder(),
            new RelationshipFinder(),
            new SaidTwiceFinder(),
            new RelatednessFinder(),
            new ShortcutFinder(),
            new ContentFinder(),
            new MeaningFinder(),
            new UndeclaredFinder(),
            new RepeatedFinder(),
            new UnlikeTypesFinder(),
            new LikenessFinder(),
            new LeftoverFinder(),
            new KeyFinder(),
            new ActionFinder(),
            new UpdateFinder(),
            new DefaultFinder(),
            new MisfitFinder(),
            new FormFinder(),
            new RowFinder(),
            new NameFinder(),
            new TableNamesFinder(),
            new HouseStyleFinder(),
            new IndexFinder(),
            new ApplicationFinder(),
            new GapFinder(),
            new ShortfallFinder(),
            new WholeShortfallFinder(),
            new CarriedFinder());

    private static final List<Rule> ALL = Stream.concat(
                    FINDERS.stream().flatMap(finder -> finder.rules().stream()), Stream.of(Refused.RULE))
            .toList();

    private Rules() {}

    public static List<Rule> all() {
        return ALL;
    }

    public static Optional<Rule> named(String id) {
        return ALL.stream().filter(rule -> rule.id().equals(id)).findFirst();
    }

    /** The id that a misspelt one was most likely meant to be. */
    public static String nearest(String id) {
        return ALL.stream()
                .map(Rule::id)
                .min(Comparator.comparing(each -> Spelling.distance(each, id)))
                .orElseThrow(); // there are rules
    }
}
