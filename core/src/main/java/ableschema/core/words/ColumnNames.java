package ableschema.core.words;

import ableschema.core.design.Attribute;
import ableschema.core.design.Body;
import ableschema.core.design.ColumnRef;
import ableschema.core.design.Design;
import ableschema.core.design.End;
import ableschema.core.design.EndRef;
import ableschema.core.design.Id;
import ableschema.core.mapping.Keys;
import ableschema.core.types.DataType;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Pattern;

/**
 * What the columns of an owner are called in rules and indexes: attributes by their names, columns of references as in
 * {@code apiary code}, and where a reference has one column also by the entity or role alone.
 */
final class ColumnNames {

    /** A name that begins with one of these is put between quotes. */
    private static final Set<String> WORDS = Set.of(
            "and", "or", "not", "is", "are", "null", "empty", "in", "one", "between", "if", "then", "only", "after",
            "before", "like", "at", "on", "more", "less", "true", "false", "yes", "no", "must", "than", "of", "desc",
            "down", "where", "when", "falling", "rising", "but", "for");

    private static final Pattern PLAIN = Pattern.compile("\\p{L}[\\p{L}\\p{N}_]*(?: [\\p{L}\\p{N}_]+)*");

    private final Map<String, ColumnRef> byName = new LinkedHashMap<>();
    /** References of several columns by the entity or role. */
    private final Map<String, List<ColumnRef>> references = new LinkedHashMap<>();

    private final Keys keys;

    ColumnNames(Design design, Id owner) {
        this.keys = new Keys(design);
        for (Attribute each : design.body(owner).orElse(Body.EMPTY).attributes()) {
            if (!each.name().isBlank()) {
                byName.putIfAbsent(each.name(), each.ref());
            }
        }
        for (EndRef end : design.referencesOf(owner)) {
            End at = design.relationship(end.relationship())
                    .orElseThrow()
                    .end(end.side()); // references are the design's
            String called = at.role().isEmpty() ? Nouns.inSentence(design.at(at).name()) : at.role();
            List<ColumnRef> columns = keys.referring(end);
            for (ColumnRef column : columns) {
                attribute(design, column).ifPresent(name -> byName.putIfAbsent(called + " " + name, column));
            }
            if (columns.size() == 1) {
                byName.putIfAbsent(called, columns.get(0));
            } else {
                references.putIfAbsent(called, columns);
            }
        }
    }

    private static Optional<String> attribute(Design design, ColumnRef column) {
        return column.attribute().flatMap(design::attribute).map(Attribute::name);
    }

    /** A column that is named at a place of a text, with the place behind its name. */
    record Found(ColumnRef ref, int end) {}

    /** The column with the longest name that stands at a place; a name between double quotes is taken as it is. */
    Optional<Found> at(String text, int start) {
        int quoted = Quoted.end(text, start);
        if (quoted > 0) {
            String name = Quoted.plain(text.substring(start, quoted));
            return named(name).map(ref -> new Found(ref, quoted));
        }
        Found longest = null;
        for (Map.Entry<String, ColumnRef> each : byName.entrySet()) {
            int end = start + each.getKey().length();
            boolean longer = longest == null || end > longest.end();
            if (longer && stands(text, start, end, each.getKey())) {
                longest = new Found(each.getValue(), end);
            }
        }
        return Optional.ofNullable(longest);
    }

    /** All columns of a reference. */
    record FoundReference(List<ColumnRef> columns, int end) {}

    /** The reference of several columns that is named at a place, where no column is. */
    Optional<FoundReference> referenceAt(String text, int start) {
        return references.entrySet().stream()
                .filter(each -> stands(text, start, start + each.getKey().length(), each.getKey()))
                .map(each -> new FoundReference(
                        each.getValue(), start + each.getKey().length()))
                .max(Comparator.comparingInt(FoundReference::end));
    }

    /** A space in a name may be written as an underscore, as it is in the tables. */
    private static boolean stands(String text, int start, int end, String name) {
        if (end > text.length()
                || end < text.length() && isOfWord(text.charAt(end)) && isOfWord(text.charAt(end - 1))) {
            return false;
        }
        for (int i = 0; i < name.length(); i++) {
            char wanted = name.charAt(i);
            char there = text.charAt(start + i);
            boolean same =
                    Character.toLowerCase(wanted) == Character.toLowerCase(there) || wanted == ' ' && there == '_';
            if (!same) {
                return false;
            }
        }
        return true;
    }

    static boolean isOfWord(char letter) {
        return Character.isLetterOrDigit(letter) || letter == '_';
    }

    Optional<ColumnRef> named(String name) {
        return Optional.ofNullable(byName.get(name)).or(() -> byName.entrySet().stream()
                .filter(each -> each.getKey().equalsIgnoreCase(name.replace('_', ' '))
                        || each.getKey().equalsIgnoreCase(name))
                .map(Map.Entry::getValue)
                .findFirst());
    }

    DataType type(ColumnRef column) {
        return keys.type(column);
    }

    /** How a column is said so that it is read again; empty where it has no name of its own here. */
    Optional<String> said(ColumnRef column) {
        return byName.entrySet().stream()
                .filter(each -> each.getValue().equals(column))
                .map(Map.Entry::getKey)
                .findFirst()
                .map(ColumnNames::listed);
    }

    private static String listed(String name) {
        String first = name.toLowerCase(Locale.ROOT).split(" ")[0];
        return PLAIN.matcher(name).matches() && !WORDS.contains(first) ? name : Quoted.of(name);
    }

    /** Each column once, as it is named in a rule. */
    List<String> offered() {
        return byName.values().stream()
                .distinct()
                .flatMap(column -> said(column).stream())
                .toList();
    }

    /** The names that there are, to be offered. */
    List<String> all() {
        return new ArrayList<>(byName.keySet());
    }
}
