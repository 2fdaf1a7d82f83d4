package ableschema.core.review;

import ableschema.core.mapping.Mapping;
import ableschema.core.schema.ForeignKey;
import ableschema.core.schema.Table;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Explains terms of the trade where they are used, each in two sentences with the designer's own names. */
public final class Terms {

    private static final Pattern TERM = Pattern.compile(
            "(?i)\\b(foreign keys?|primary key|candidate keys?|third normal form|normal form|[123]NF|unique constraint"
                    + "|index(?:es|ed)?|checks?|defaults?|set null|set default|keys?|UUID)\\b");

    private final Optional<Table> keyed;
    private final Optional<Table> referring;
    private final Map<String, String> explained = new LinkedHashMap<>();

    /** @param mapping the tables that give the examples, those of the chosen thing first */
    public Terms(Mapping mapping, Optional<Table> chosen) {
        List<Table> tables = new ArrayList<>();
        chosen.ifPresent(tables::add);
        tables.addAll(mapping.schema().tables());
        this.keyed =
                tables.stream().filter(each -> each.primaryKey().isPresent()).findFirst();
        this.referring =
                tables.stream().filter(each -> !each.foreignKeys().isEmpty()).findFirst();
    }

    /** A piece of a text, and what the term that it is means; empty where it is none. */
    public record Piece(String text, Optional<String> meaning) {}

    /** Cuts a text at the terms in it. */
    public List<Piece> in(String text) {
        var pieces = new ArrayList<Piece>();
        Matcher matcher = TERM.matcher(text);
        int at = 0;
        while (matcher.find()) {
            if (matcher.start() > at) {
                pieces.add(new Piece(text.substring(at, matcher.start()), Optional.empty()));
            }
            pieces.add(new Piece(matcher.group(), Optional.of(meaning(matcher.group()))));
            at = matcher.end();
        }
        if (at < text.length()) {
            pieces.add(new Piece(text.substring(at), Optional.empty()));
        }
        return pieces;
    }

    /** What a term means, in two sentences; one of those that {@link #in} finds. */
    public String meaning(String term) {
        String one = term.toLowerCase(Locale.ROOT).replaceFirst("(?<=key|check|default)s$", "");
        return explained.computeIfAbsent(one, this::explain);
    }

    private String explain(String term) {
        return switch (term) {
            case "foreign key" ->
                "A foreign key is a column whose value must be the key of a row in another table. " + foreignKey();
            case "primary key", "key" ->
                "The key is what tells each row from every other; it is never empty and never twice the same. " + key();
            case "candidate key" ->
                "A candidate key is anything that could be the key: unique, and no smaller part of it is. " + key();
            case "1nf", "2nf", "3nf", "third normal form", "normal form" ->
                "In third normal form every fact is said once: each column depends on the key, the whole key and nothing else."
                        + " " + key();
            case "unique constraint" ->
                "A unique constraint lets no two rows have the same value there, though it may be empty. " + key();
            case "index", "indexes", "indexed" ->
                "An index is a sorted list beside the table by which rows are found without looking at all of them. "
                        + index();
            case "check" ->
                "A check is a condition that each row must meet, or the database refuses it. It is held whatever program"
                        + " writes the row.";
            case "default" ->
                "The default is what a column gets where a row is put in without a value for it. It is used for new rows"
                        + " only.";
            case "set null", "set default" ->
                "When a row goes, those that refer to it can lose their reference (set null) or refer to another (set"
                        + " default). " + foreignKey();
            default ->
                "A UUID is a number of 128 bits that is made anywhere without asking anybody and is never made twice. "
                        + key();
        };
    }

    private String key() {
        return keyed.flatMap(table -> table.primaryKey()
                        .map(key -> "No two rows of " + table.name() + " have the same "
                                + String.join(" and ", key.columns()) + "."))
                .orElse("No table here has one yet.");
    }

    private String foreignKey() {
        return referring
                .map(table -> {
                    ForeignKey key = table.foreignKeys().get(0);
                    return "What stands in " + table.name() + "." + String.join(", ", key.columns())
                            + " must stand in " + key.target().name() + "."
                            + String.join(", ", key.targetColumns()) + ".";
                })
                .orElse("No table here has one yet.");
    }

    private String index() {
        return referring
                .map(table -> "To find all rows of " + table.name() + " with a certain "
                        + table.foreignKeys().get(0).columns().get(0) + ", it is looked up there.")
                .or(() -> keyed.map(table -> "The key of " + table.name() + " has one of its own."))
                .orElse("Each key brings one along.");
    }
}
