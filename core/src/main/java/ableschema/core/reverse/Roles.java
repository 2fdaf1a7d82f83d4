package ableschema.core.reverse;

import ableschema.core.schema.ForeignKey;
import ableschema.core.schema.Table;
import java.util.List;

/** What a foreign key says by the names of its columns: the part that its target plays, and verbs for both directions. */
record Roles(String role, String verb, String inverse) {

    /** @param target what is referred to, in the singular and in words */
    static Roles of(
            Table table,
            ForeignKey key,
            List<String> columns,
            List<String> targetColumns,
            String target,
            boolean identifying) {
        String role = columns.size() == 1 ? role(columns.get(0), targetColumns.get(0), target) : "";
        boolean recursive = key.target().equals(table.qualified());
        if (role.isEmpty() && recursive) {
            role = "other " + target;
        }
        if (role.isEmpty()) {
            return identifying ? new Roles("", "is part of", "consists of") : new Roles("", "belongs to", "has");
        }
        return role.endsWith(" by")
                ? new Roles(role, "is " + role, "has " + role.substring(0, role.length() - 3))
                : new Roles(role, "has " + role, "is " + role + " of");
    }

    /** What is left of a column's name without the name of the column that it refers to; empty where that is the target's name. */
    private static String role(String column, String targetColumn, String target) {
        String phrase = Phrases.of(column);
        String end = Phrases.of(targetColumn);
        for (String ending : List.of(end, withoutStart(end, target), "id", "no", "code", "key", "fk")) {
            if (!ending.isEmpty() && phrase.endsWith(" " + ending)) {
                phrase = phrase.substring(0, phrase.length() - ending.length() - 1);
                break;
            }
        }
        String glued = end.startsWith(target) ? end.substring(target.length()) : ""; // hostid, and so templateid
        if (phrase.equals(Phrases.of(column)) && !glued.isBlank() && phrase.length() > glued.length() + 1) {
            phrase = phrase.endsWith(glued) ? phrase.substring(0, phrase.length() - glued.length()) : phrase;
        }
        boolean plain = phrase.equals(target)
                || phrase.equals(end)
                || Phrases.singular(phrase).equals(target)
                || target.endsWith(" " + phrase);
        return plain ? "" : phrase;
    }

    private static String withoutStart(String phrase, String start) {
        return phrase.startsWith(start + " ") ? phrase.substring(start.length() + 1) : phrase;
    }
}
