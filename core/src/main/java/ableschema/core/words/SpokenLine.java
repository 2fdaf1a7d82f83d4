package ableschema.core.words;

import ableschema.core.design.Design;
import ableschema.core.design.Id;
import ableschema.core.design.IdSource;
import ableschema.core.document.Document;
import ableschema.core.document.Edit;
import ableschema.core.edit.Compound;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** Reads a line as people say it: the canonical sentences that it comes to, and what they do. */
public final class SpokenLine {

    private final Design design;
    private final Optional<Id> chosen;
    private final IdSource ids;
    private final Set<String> expected;
    private final boolean last;
    private final Predicate<String> meant;

    /** @param chosen the entity that a dependency is about, which does not name it */
    public SpokenLine(Design design, Optional<Id> chosen, IdSource ids) {
        this(design, chosen, ids, Set.of(), true, Misspelling.standsIn(design));
    }

    /** A line of a text, whose other sentences make what they tell something of an entity in this one too. */
    public static SpokenLine of(Set<String> subjects, Design design, IdSource ids) {
        return new SpokenLine(design, Optional.empty(), ids, subjects, false, word -> true);
    }

    /** What the sentences of a text tell something of, in the singular and in small letters. */
    public static Set<String> subjects(String text) {
        var phrasings = new Phrasings(Design.EMPTY);
        return ShortNouns.withoutShort(text.lines()
                .flatMap(line -> SentencesOfLine.of(line).stream())
                .flatMap(sentence -> SentencesOfLine.ofSubjects(sentence.text()).stream())
                .flatMap(sentence ->
                        phrasings.subject(sentence.text()).map(noun -> Map.entry(noun, sentence.text())).stream())
                .toList());
    }

    /**
     * @param expected entities that are not there yet and that another sentence speaks of, in small letters
     * @param last     whether no other sentence will make what this one speaks of
     * @param meant    whether a word, in small letters, is no slip of the fingers
     */
    SpokenLine(
            Design design,
            Optional<Id> chosen,
            IdSource ids,
            Set<String> expected,
            boolean last,
            Predicate<String> meant) {
        this.meant = meant;
        this.expected = expected;
        this.last = last;
        this.design = design;
        this.chosen = chosen;
        this.ids = ids;
    }

    /**
     * What was heard.
     *
     * @param readAs the canonical sentences, where the line is none; empty where it is one or is not understood
     * @param others the other likely readings, each of one or more sentences
     */
    public record Heard(Understanding understanding, List<String> readAs, List<String> others) {
        public Heard {
            readAs = List.copyOf(readAs);
            others = List.copyOf(others);
        }
    }

    /** Reads a line of one sentence or several; never throws, as what is wrong with it is in the answer. */
    public Heard read(String text) {
        List<SentencesOfLine.Found> sentences = SentencesOfLine.of(text);
        return sentences.size() < 2 ? readSentence(text) : readEach(sentences);
    }

    /** Each sentence is read in the design that those before it make; they are carried out as one step. */
    private Heard readEach(List<SentencesOfLine.Found> sentences) {
        Document document = Document.EMPTY.with(design);
        List<List<String>> readings = List.of(List.of());
        var understood = new ArrayList<Understanding.Understood>();
        boolean asSaid = true;
        for (SentencesOfLine.Found each : sentences) {
            Heard heard =
                    new SpokenLine(document.design(), chosen, ids, expected, last, meant).readSentence(each.text());
            if (heard.understanding() instanceof Understanding.NotUnderstood not) {
                return new Heard(
                        new Understanding.NotUnderstood(
                                each.offset() + not.start(), each.offset() + not.end(), not.problem()),
                        List.of(),
                        List.of());
            }
            if (heard.understanding() instanceof Understanding.Understood one) {
                document = one.edit().applyTo(document);
                understood.add(one);
            }
            asSaid = asSaid && heard.readAs().isEmpty();
            String first = heard.readAs().isEmpty() ? withStop(each.text().strip()) : String.join(" ", heard.readAs());
            List<String> ways =
                    Stream.concat(Stream.of(first), heard.others().stream()).toList();
            readings = goingOn(readings, ways);
        }
        Understanding.Understood last = understood.get(understood.size() - 1);
        var all = new Understanding.Understood(
                new Compound(
                        last.edit().name(),
                        understood.stream().map(Understanding.Understood::edit).toList()),
                understood.stream().map(Understanding.Understood::gist).collect(Collectors.joining("; ")),
                last.subject());
        return new Heard(
                all,
                asSaid ? List.of() : readings.get(0),
                readings.stream().skip(1).map(said -> String.join(" ", said)).toList());
    }

    private static String withStop(String sentence) {
        return sentence.endsWith(".") ? sentence : sentence + ".";
    }

    /** Each of what was said before with each way to go on, the likeliest first; of many a few. */
    private static List<List<String>> goingOn(List<List<String>> before, List<String> ways) {
        return ways.stream()
                .flatMap(way -> before.stream().map(said -> Stream.concat(said.stream(), Stream.of(way))
                        .toList()))
                .limit(Phrasing.Either.MOST)
                .toList();
    }

    /** More are no sentence that people say. */
    private static final int MOST_HALVES = 6;

    private Heard readSentence(String text) {
        Heard heard = readAsSpelt(text);
        if (heard.understanding() instanceof Understanding.NotUnderstood) {
            // the second half may speak of what the first makes
            List<SentencesOfLine.Found> halves = SentencesOfLine.ofHalves(text);
            Heard apart = halves.size() < 2 || halves.size() > MOST_HALVES ? heard : readEach(halves);
            if (apart.understanding() instanceof Understanding.Understood) {
                return apart;
            }
        }
        return heard.understanding() instanceof Understanding.Understood
                ? Misspelling.in(text, meant).map(SpokenLine::askedAbout).orElse(heard)
                : heard;
    }

    private static Heard askedAbout(Misspelling slip) {
        return new Heard(
                new Understanding.NotUnderstood(
                        slip.start(), slip.start() + slip.word().length(), slip.problem()),
                List.of(),
                List.of());
    }

    private Heard readAsSpelt(String text) {
        if (text.isBlank()) {
            return new Heard(new RuleLine(design, chosen, ids).read(text), List.of(), List.of());
        }
        Phrasing phrasing = new Phrasings(design, expected, last).of(text);
        if (phrasing instanceof Phrasing.ReadAs as) {
            return new Heard(understood(text, as.sentences()), as.sentences(), List.of());
        }
        if (phrasing instanceof Phrasing.Either either) {
            List<String> first = either.readings().get(0).sentences();
            List<String> others = either.readings().stream()
                    .skip(1)
                    .map(reading -> String.join(" ", reading.sentences()))
                    .toList();
            return new Heard(understood(text, first), first, others);
        }
        if (phrasing instanceof Phrasing.Refused refused) {
            int at = Math.max(
                    0, text.toLowerCase(Locale.ROOT).indexOf(refused.word().toLowerCase(Locale.ROOT)));
            int end = refused.word().isEmpty()
                    ? text.length()
                    : at + refused.word().length();
            return new Heard(new Understanding.NotUnderstood(at, end, refused.problem()), List.of(), List.of());
        }
        return new Heard(new RuleLine(design, chosen, ids).read(text), List.of(), List.of());
    }

    /** Reads canonical sentences one after the other, as one step; never throws. */
    public Understanding readAll(List<String> sentences) {
        return understood(String.join(" ", sentences), sentences);
    }

    /** A problem points at the whole line, as its words are others. */
    private Understanding understood(String text, List<String> sentences) {
        Document document = Document.EMPTY.with(design);
        var edits = new ArrayList<Edit>();
        var gists = new ArrayList<String>();
        Optional<Id> subject = Optional.empty();
        for (String sentence : sentences) {
            Understanding each = new RuleLine(document.design(), chosen, ids).read(sentence);
            if (each instanceof Understanding.NotUnderstood not) {
                return new Understanding.NotUnderstood(
                        0, text.length(), "read as «" + sentence + "»: " + not.problem());
            }
            if (each instanceof Understanding.Understood understood) {
                document = understood.edit().applyTo(document);
                edits.add(understood.edit());
                gists.add(understood.gist());
                subject = understood.subject();
            }
        }
        Optional<String> odd = NewNames.implausible(design, document.design(), text);
        if (odd.isPresent()) {
            return new Understanding.NotUnderstood(
                    0,
                    text.length(),
                    "read as «" + String.join(" ", sentences) + "», but \"" + odd.get()
                            + "\" is a piece of a sentence; say the rest in a sentence of its own, or put the name between quotes");
        }
        Optional<String> swallowed = SwallowedWords.in(text, sentences, Nouns.of(design));
        if (swallowed.isPresent()) {
            int at = Math.max(0, text.toLowerCase(Locale.ROOT).indexOf(swallowed.get()));
            return new Understanding.NotUnderstood(
                    at,
                    at + swallowed.get().length(),
                    "read as «" + String.join(" ", sentences) + "», which makes nothing of \"" + swallowed.get()
                            + "\"; say that in a sentence of its own");
        }
        String name = edits.get(edits.size() - 1).name();
        return new Understanding.Understood(
                edits.size() == 1 ? edits.get(0) : new Compound(name, edits), String.join("; ", gists), subject);
    }
}
