package ableschema.core.rows;

import static java.util.stream.Collectors.groupingBy;
import static java.util.stream.Collectors.joining;
import static java.util.stream.Collectors.toList;

import ableschema.core.design.Body;
import ableschema.core.design.Design;
import ableschema.core.design.Id;
import ableschema.core.design.Row;
import ableschema.core.mapping.Mapping;
import ableschema.core.types.ReferenceAction;
import ableschema.core.words.Nouns;
import ableschema.core.words.Sentences;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.function.BiFunction;

/** Says what deleting a row of one table, or giving it another key, comes to: from the diagram alone, level by level, and on the sample rows. */
public final class ReachText {

    /** Of more sample rows than these in the whole design nothing is worked out while somebody waits. */
    private static final int MOST_ROWS = 2_000;

    /** A hub is referred to by more tables than anybody reads. */
    private static final int MOST_TABLES = 8;

    private final Design design;
    private final Mapping mapping;
    private final Nouns nouns;
    private Optional<Referring> referring = Optional.empty();

    public ReachText(Design design, Mapping mapping) {
        this.design = design;
        this.mapping = mapping;
        this.nouns = Nouns.of(design);
    }

    /** A line for each level, such as "2 levels down: stays stay without it; fees and lamps go too"; empty where nothing refers to it. */
    public List<String> deleting(Id owner) {
        return levels(Deletion.reach(mapping, owner), "go too");
    }

    /** A line for each level, such as "at once: berths change too". */
    public List<String> changing(Id owner) {
        return levels(KeyChange.reach(mapping, owner), "change too");
    }

    private List<String> levels(List<Reach> reach, String along) {
        Map<Integer, List<Reach>> byLevel = reach.stream().collect(groupingBy(Reach::level, TreeMap::new, toList()));
        var lines = new ArrayList<String>();
        byLevel.forEach((level, reached) -> {
            Map<String, Set<String>> byFate = new LinkedHashMap<>();
            reached.forEach(each -> byFate.computeIfAbsent(fate(each.does(), along), fate -> new LinkedHashSet<>())
                    .add(many(each.owner())));
            lines.add((level == 1 ? "at once: " : level + " levels down: ")
                    + byFate.entrySet().stream()
                            .map(each -> few(List.copyOf(each.getValue())) + " " + each.getKey())
                            .collect(joining("; ")));
        });
        return lines;
    }

    private static String few(List<String> tables) {
        int more = tables.size() - MOST_TABLES;
        return more > 1
                ? String.join(", ", tables.subList(0, MOST_TABLES)) + " and " + more + " more"
                : Sentences.listed(tables);
    }

    private static String fate(ReferenceAction does, String along) {
        return switch (does) {
            case CASCADE -> along;
            case SET_NULL -> "stay without it";
            case SET_DEFAULT -> "get their default";
            case NO_ACTION, RESTRICT -> "hold it back";
        };
    }

    private String many(Id owner) {
        return design.entity(owner).map(nouns::many).orElseGet(() -> "rows of " + design.nameOf(owner));
    }

    private String counted(Id owner, int count) {
        String one = design.entity(owner).map(nouns::one).orElseGet(() -> "row of " + design.nameOf(owner));
        return count + " " + (count == 1 ? one : many(owner));
    }

    /** What would become of the sample rows, such as "of 2 sample rows 1 could go, and with it 2 berths; 1 is held back by 1 lamp". */
    public String deletingRows(Id owner) {
        return onRows(owner, "go", (referring, row) -> {
            Deletion deletion = Deletion.of(referring, row);
            var others = new LinkedHashMap<>(deletion.deleted());
            others.remove(owner);
            return new Effect(others, deletion.refusing());
        });
    }

    /** The same for another key, such as "of 2 sample rows 1 could get another key, and with it 2 berths". */
    public String changingRows(Id owner) {
        return onRows(owner, "get another key", (referring, row) -> {
            KeyChange change = KeyChange.of(mapping, referring, owner, row);
            return new Effect(change.changed(), change.refusing());
        });
    }

    /** Gathered once for both questions. */
    private Referring referring() {
        if (referring.isEmpty()) {
            referring = Optional.of(new Referring(mapping));
        }
        return referring.get();
    }

    private record Effect(Map<Id, Set<Id>> along, Map<Id, Set<Id>> refusing) {}

    private String onRows(Id owner, String could, BiFunction<Referring, Id, Effect> effect) {
        List<Row> rows = design.body(owner).map(Body::rows).orElse(List.of());
        if (rows.isEmpty() || design.countRows() > MOST_ROWS) {
            return "";
        }
        Referring referring = referring();
        int free = 0;
        Map<Id, Integer> along = new LinkedHashMap<>();
        Map<Id, Integer> holding = new LinkedHashMap<>();
        for (Row row : rows) {
            Effect each = effect.apply(referring, row.id());
            if (each.refusing().isEmpty()) {
                free++;
                count(each.along(), along);
            } else {
                count(each.refusing(), holding);
            }
        }
        String held = holding.isEmpty() ? "" : listed(holding);
        if (free == 0) {
            return "none of the " + rows.size() + " sample rows could " + could + ", for " + held;
        }
        int kept = rows.size() - free;
        return "of " + rows.size() + (rows.size() == 1 ? " sample row " : " sample rows ") + free + " could " + could
                + (along.isEmpty() ? "" : ", and with " + (free == 1 ? "it " : "them ") + listed(along))
                + (kept == 0 ? "" : "; " + kept + (kept == 1 ? " is" : " are") + " held back by " + held);
    }

    private static void count(Map<Id, Set<Id>> rows, Map<Id, Integer> into) {
        rows.forEach((owner, each) -> into.merge(owner, each.size(), Integer::sum));
    }

    private String listed(Map<Id, Integer> counts) {
        return Sentences.listed(counts.entrySet().stream()
                .map(each -> counted(each.getKey(), each.getValue()))
                .toList());
    }
}
