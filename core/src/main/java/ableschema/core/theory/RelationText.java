package ableschema.core.theory;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;

/**
 * Reads a relation as text: {@code R(A, B, C, D)} on the first line, then one dependency a line, {@code A, B -> C} or
 * {@code A ->> C}; blank lines and lines that begin with # are skipped.
 */
public final class RelationText {

    private static final Pattern HEADING = Pattern.compile("\\s*([^()]+?)\\s*\\(([^()]*)\\)\\s*");

    private final List<FunctionalDependency> functional = new ArrayList<>();
    private final List<MultivaluedDependency> multivalued = new ArrayList<>();
    private String name = "";
    private final Map<String, Integer> places = new LinkedHashMap<>();

    private RelationText() {}

    /** A line that is not as it should be, with its number from 1. */
    public static final class SyntaxProblem extends Exception {
        private static final long serialVersionUID = 1L;

        SyntaxProblem(int line, String problem) {
            super("line " + line + ": " + problem);
        }
    }

    public static Relation read(String text) throws SyntaxProblem {
        var reading = new RelationText();
        int number = 0;
        for (String line : text.split("\\R", -1)) {
            number++;
            if (!line.isBlank() && !line.strip().startsWith("#")) {
                reading.line(line.replace("\uFEFF", ""), number);
            }
        }
        if (reading.name.isEmpty()) {
            throw new SyntaxProblem(number, "expected a heading such as R(A, B, C), but there is none");
        }
        return new Relation(
                reading.name, List.copyOf(reading.places.keySet()), reading.functional, reading.multivalued);
    }

    private void line(String line, int number) throws SyntaxProblem {
        if (name.isEmpty()) {
            heading(line, number);
            return;
        }
        int arrow = line.indexOf("->");
        if (arrow < 0) {
            throw new SyntaxProblem(number, "expected '->' or '->>' in '" + line.strip() + "', as in A, B -> C");
        }
        boolean many = line.startsWith("->>", arrow);
        AttributeSet from = set(line.substring(0, arrow), number, true);
        AttributeSet to = set(line.substring(arrow + (many ? 3 : 2)), number, false);
        if (many) {
            multivalued.add(new MultivaluedDependency(from, to));
        } else {
            functional.add(new FunctionalDependency(from, to));
        }
    }

    private void heading(String line, int number) throws SyntaxProblem {
        Matcher heading = HEADING.matcher(line);
        if (!heading.matches()) {
            throw new SyntaxProblem(number, "expected a heading such as R(A, B, C), but found '" + line.strip() + "'");
        }
        name = heading.group(1);
        for (String each : heading.group(2).split(",", -1)) {
            String attribute = each.strip();
            if (attribute.isEmpty() || places.containsKey(attribute)) {
                throw new SyntaxProblem(
                        number,
                        attribute.isEmpty()
                                ? "an attribute between commas has no name"
                                : "attribute " + attribute + " stands twice in the heading");
            }
            places.put(attribute, places.size());
        }
    }

    private AttributeSet set(String text, int number, boolean mayBeEmpty) throws SyntaxProblem {
        if (text.isBlank() && mayBeEmpty) {
            return AttributeSet.EMPTY;
        }
        var found = new ArrayList<Integer>();
        for (String each : text.split(",", -1)) {
            Integer place = places.get(each.strip());
            if (place == null) {
                throw new SyntaxProblem(
                        number, "'" + each.strip() + "' is not in the heading " + name + "(" + listed() + ")");
            }
            found.add(place);
        }
        return AttributeSet.of(found);
    }

    /** The heading, as far as it can be read in a message. */
    private String listed() {
        String all = places.keySet().stream().limit(12).collect(Collectors.joining(", "));
        return places.size() > 12 ? all + ", …" : all;
    }
}
