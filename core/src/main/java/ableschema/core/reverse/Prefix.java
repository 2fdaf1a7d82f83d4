package ableschema.core.reverse;

import ableschema.core.schema.Schema;
import ableschema.core.schema.Table;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;

/** What stands before the names of tables and says nothing of what is in them: {@code tblMember}, {@code app_member}. */
final class Prefix {

    private static final List<String> OF_THE_KIND = List.of("tbl", "tab");
    private static final int FEWEST_TABLES = 5;

    private static final int MOST_LETTERS = 20;

    private final List<Table> tables;
    private final String shared;

    Prefix(Schema schema) {
        this.tables = schema.tables();
        this.shared = shared(schema);
    }

    /** The beginning up to an underscore that most tables have; empty where there is none. */
    private static String shared(Schema schema) {
        Map<String, Integer> counts = new HashMap<>();
        for (Table table : schema.tables()) {
            int end = table.name().indexOf('_');
            if (end > 0) {
                counts.merge(table.name().substring(0, end + 1).toLowerCase(Locale.ROOT), 1, Integer::sum);
            }
        }
        int all = schema.tables().size();
        return counts.entrySet().stream()
                .filter(each -> all >= FEWEST_TABLES && 10 * each.getValue() > 6 * all)
                .map(Map.Entry::getKey)
                .findFirst()
                .orElse("");
    }

    /** What stands before most names, as they have it; empty where nothing does. */
    String before() {
        Map<String, Integer> counts = new HashMap<>();
        for (Table table : tables) {
            String name = table.name();
            counts.merge(name.substring(0, name.length() - without(name).length()), 1, Integer::sum);
        }
        return counts.entrySet().stream()
                .filter(each -> 10 * each.getValue() > 6 * tables.size()
                        && each.getKey().length() <= MOST_LETTERS)
                .map(Map.Entry::getKey)
                .filter(prefix -> prefix.matches("[\\p{L}\\p{Nd}_]*"))
                .findFirst()
                .orElse("");
    }

    /** A name without it; the name itself where nothing would be left. */
    String without(String name) {
        String small = name.toLowerCase(Locale.ROOT);
        if (!shared.isEmpty() && small.startsWith(shared) && name.length() > shared.length()) {
            return name.substring(shared.length());
        }
        for (String kind : OF_THE_KIND) {
            int end = kind.length();
            boolean begins = small.startsWith(kind) && name.length() > end + 1;
            if (begins && name.charAt(end) == '_') {
                return name.substring(end + 1);
            }
            if (begins && Character.isUpperCase(name.charAt(end)) && !Character.isUpperCase(name.charAt(end - 1))) {
                return name.substring(end);
            }
        }
        return name;
    }
}
