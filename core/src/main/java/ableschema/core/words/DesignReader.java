package ableschema.core.words;

import ableschema.core.design.Id;
import ableschema.core.design.IdKind;
import ableschema.core.design.IdSource;
import ableschema.core.document.Document;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;

/**
 * Reads a text of sentences, one a line or several, into a document; lines that begin with # are skipped. The text is read as
 * a whole: a sentence may speak of what a later one makes, and then is read after it.
 */
public final class DesignReader {

    /** A sentence where it stands, and how often it had been said before. */
    private record Said(String text, int line, int offset, int times) {}

    private final Set<Id> used = new HashSet<>();
    private final Map<String, Integer> timesSaid = new HashMap<>();
    private final Map<Said, Problem> problems = new LinkedHashMap<>();
    private final List<ReadAs> readings = new ArrayList<>();
    private final boolean strict;

    /** The document as it was when a sentence was last refused; in the same one it would be again. */
    private final Map<Said, Document> refusedIn = new HashMap<>();

    /** What sentences of the text tell something of, so that it is an entity in those before them too. */
    private final Set<String> expected = new HashSet<>();

    private Predicate<String> meant = word -> true;

    private Document document;

    /** Whether what a sentence speaks of, and no other has made, is made by it. */
    private boolean last;

    private DesignReader(Document start, boolean strict) {
        this.document = start;
        this.strict = strict;
    }

    /**
     * A sentence that was read as others.
     *
     * @param line   counted from 1
     * @param others other likely readings, which were not taken
     */
    public record ReadAs(int line, List<String> sentences, List<String> others) {
        public ReadAs {
            sentences = List.copyOf(sentences);
            others = List.copyOf(others);
        }

        @Override
        public String toString() {
            return "line " + line + ": read as " + String.join(" ", sentences)
                    + (others.isEmpty() ? "" : " It could also mean: " + String.join(", or: ", others));
        }
    }

    /** A place that was not understood, counted from 1. */
    public record Problem(int line, int column, String text) {
        @Override
        public String toString() {
            return "line " + line + ", column " + column + ": " + text;
        }
    }

    /** What was understood, and what was not. */
    public record Result(Document document, List<Problem> problems, List<ReadAs> readings) {
        public Result {
            readings = List.copyOf(readings);
            problems = List.copyOf(problems);
        }
    }

    /** Reads a text into an empty document; the same sentence gives the same ids each time. */
    public static Result read(String text) {
        return read(text, false);
    }

    /** @param strict whether canonical sentences alone are read */
    public static Result read(String text, boolean strict) {
        var reader = new DesignReader(Document.EMPTY, strict);
        String[] lines = text.split("\\R", -1);
        if (!strict) {
            reader.expected.addAll(SpokenLine.subjects(text));
            reader.meant = new MeantWords(text);
        }
        for (int i = 0; i < lines.length; i++) {
            if (!lines[i].isBlank() && !lines[i].stripLeading().startsWith("#")) {
                reader.readLine(lines[i], i + 1);
            }
        }
        reader.readAgain();
        reader.last = true;
        reader.refusedIn.clear();
        reader.readAgain();
        reader.readings.sort(Comparator.comparingInt(ReadAs::line));
        return new Result(reader.document, List.copyOf(reader.problems.values()), reader.readings);
    }

    /** Reads what was not understood again, as long as something of it is understood now. */
    private void readAgain() {
        int before;
        do {
            before = problems.size();
            for (Said each : List.copyOf(problems.keySet())) {
                if (refusedIn.get(each) != document) {
                    readSentence(each);
                }
            }
        } while (problems.size() < before);
    }

    private void readLine(String line, int number) {
        SentencesOfLine.of(line).forEach(each -> readSentence(said(each.text(), number, each.offset())));
    }

    private Said said(String sentence, int line, int offset) {
        return new Said(sentence, line, offset, timesSaid.merge(sentence, 1, Integer::sum));
    }

    private void readSentence(Said said) {
        var made = new HashSet<Id>();
        IdSource ids = idsFor(said, made);
        SpokenLine.Heard heard = strict
                ? new SpokenLine.Heard(
                        new RuleLine(document.design(), Optional.empty(), ids).read(said.text()), List.of(), List.of())
                : new SpokenLine(document.design(), Optional.empty(), ids, expected, last, meant).read(said.text());
        if (heard.understanding() instanceof Understanding.NotUnderstood not) {
            used.removeAll(made);
            problems.put(said, new Problem(said.line(), said.offset() + not.start() + 1, not.problem()));
            refusedIn.put(said, document);
            return;
        }
        problems.remove(said);
        if (!heard.readAs().isEmpty()) {
            readings.add(new ReadAs(said.line(), heard.readAs(), heard.others()));
        }
        if (heard.understanding() instanceof Understanding.Understood understood) {
            document = understood.edit().applyTo(document);
        }
    }

    /** Ids that follow from the sentence, so that a text changed in one line gives a file changed in few. */
    private IdSource idsFor(Said said, Set<Id> taken) {
        var made = new HashMap<IdKind, Integer>();
        return kind -> {
            Id id;
            do {
                int count = made.merge(kind, 1, Integer::sum);
                id = Id.derived(kind, said.text() + "\n" + said.times() + "\n" + count);
            } while (!used.add(id));
            taken.add(id);
            return id;
        };
    }
}
