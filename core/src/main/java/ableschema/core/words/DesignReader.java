package ableschema.core.words;

import ableschema.core.design.Id;
import ableschema.core.design.IdKind;
import ableschema.core.design.IdSource;
import ableschema.core.document.Document;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Reads a text of sentences, one a line or several, into a document; lines that begin with # are skipped. */
public final class DesignReader {

    /** Behind a full stop, where another sentence begins. */
    private static final Pattern NEXT =
            Pattern.compile("(?<=\\.)\\s+(?=(?:Each|No two|The|About|A|An|Every|All|For|By|There|One) )");

    private final Set<Id> used = new HashSet<>();
    private final Map<String, Integer> timesSaid = new HashMap<>();
    private final List<Problem> problems = new ArrayList<>();
    private final List<ReadAs> readings = new ArrayList<>();
    private final boolean strict;
    private Document document;

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
        for (int i = 0; i < lines.length; i++) {
            if (!lines[i].isBlank() && !lines[i].stripLeading().startsWith("#")) {
                reader.readLine(lines[i], i + 1);
            }
        }
        return new Result(reader.document, reader.problems, reader.readings);
    }

    private void readLine(String line, int number) {
        String masked = Quoted.masked(line);
        int start = 0;
        Matcher next = NEXT.matcher(masked);
        boolean endsInText = masked.matches("(?s)(?:About |(?!Each ).*? is an? [^.]*?: ).*");
        while (!endsInText && next.find()) {
            readSentence(line.substring(start, next.start()), number, start);
            start = next.end();
        }
        readSentence(line.substring(start), number, start);
    }

    private void readSentence(String sentence, int line, int offset) {
        IdSource ids = idsFor(sentence);
        SpokenLine.Heard heard = strict
                ? new SpokenLine.Heard(
                        new RuleLine(document.design(), Optional.empty(), ids).read(sentence), List.of(), List.of())
                : new SpokenLine(document.design(), Optional.empty(), ids).read(sentence);
        if (!heard.readAs().isEmpty()) {
            readings.add(new ReadAs(line, heard.readAs(), heard.others()));
        }
        Understanding understanding = heard.understanding();
        if (understanding instanceof Understanding.Understood understood) {
            document = understood.edit().applyTo(document);
        } else if (understanding instanceof Understanding.NotUnderstood not) {
            problems.add(new Problem(line, offset + not.start() + 1, not.problem()));
        }
    }

    /** Ids that follow from the sentence, so that a text changed in one line gives a file changed in few. */
    private IdSource idsFor(String sentence) {
        int times = timesSaid.merge(sentence, 1, Integer::sum);
        var made = new HashMap<IdKind, Integer>();
        return kind -> {
            Id id;
            do {
                int count = made.merge(kind, 1, Integer::sum);
                id = Id.derived(kind, sentence + "\n" + times + "\n" + count);
            } while (!used.add(id));
            return id;
        };
    }
}
