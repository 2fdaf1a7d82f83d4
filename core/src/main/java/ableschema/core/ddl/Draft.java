package ableschema.core.ddl;

import ableschema.core.carried.Carried;
import ableschema.core.schema.DomainType;
import ableschema.core.schema.Identity;
import ableschema.core.schema.TableName;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** What a script has made up to the statement that is being read. */
final class Draft {

    private final Names names;

    /** Whether the names that the database gave to foreign keys follow that of their table. */
    private final boolean keysFollow;

    private final Map<String, DraftTable> tables = new LinkedHashMap<>();
    private final Map<String, List<DraftTable>> byName = new HashMap<>();
    final Map<String, DomainType> domains = new LinkedHashMap<>();

    /** Sequences, by their names without a schema. */
    private final Map<String, Identity> sequences = new HashMap<>();

    /** What stands beside the tables and is carried along. */
    final CarriedDraft carried;

    /** The sequences from which no column draws, as they were made. */
    final Map<String, Carried> undrawn = new LinkedHashMap<>();

    /** The columns with which sequences go, as table and column, by the keys of the sequences. */
    final Map<String, String> owners = new HashMap<>();

    /** All sequences, as they were made. */
    final Map<String, Carried> sequencesMade = new HashMap<>();

    final List<Skipped> skipped = new ArrayList<>();

    /** What the rows of other tables are kept in, with the table whose rows they are. */
    private final Map<String, DraftTable> parts = new HashMap<>();

    /** The owner of all, who is not named any more; empty where there is none. */
    String owner = "";

    /** The schema that unqualified names are in. */
    String namespace = "";

    Draft(Names names, boolean keysFollow) {
        this.names = names;
        this.keysFollow = keysFollow;
        this.carried = new CarriedDraft(names);
    }

    Names names() {
        return names;
    }

    Collection<DraftTable> tables() {
        return tables.values();
    }

    private String key(TableName name) {
        String own = names.key(name.name());
        return name.namespace().isEmpty() ? own : names.key(name.namespace()) + "\u0000" + own;
    }

    /** The full name of a table that is made. */
    TableName placed(TableName name) {
        return name.namespace().isEmpty() && !namespace.isEmpty() ? new TableName(namespace, name.name()) : name;
    }

    /** Adds a table; false where there is one of that name. */
    boolean add(DraftTable table) {
        if (tables.putIfAbsent(key(table.name), table) != null) {
            return false;
        }
        byName.computeIfAbsent(names.key(table.name.name()), name -> new ArrayList<>(1))
                .add(table);
        return true;
    }

    /** The table that a name means: in its own schema, in the present one, or the only one that is called so. */
    Optional<DraftTable> table(TableName name) {
        DraftTable found = tables.get(key(placed(name)));
        if (found == null) {
            found = tables.get(key(name));
        }
        if (found == null) {
            List<DraftTable> alike = byName.getOrDefault(names.key(name.name()), List.of());
            found = alike.size() == 1
                            && (name.namespace().isEmpty()
                                    || alike.get(0).name.namespace().isEmpty())
                    ? alike.get(0)
                    : null;
        }
        return Optional.ofNullable(found);
    }

    DraftTable requireTable(TableName name) {
        return table(name)
                .orElseThrow(() -> new Unread(partOf(name)
                        .map(whole -> name + " is a part of " + whole.name + ", which is read as one")
                        .orElse("there is no table " + name)));
    }

    /** The table of which this is the name of a part, or of a part of one. */
    Optional<DraftTable> partOf(TableName name) {
        return Optional.ofNullable(parts.get(key(placed(name))));
    }

    /**
     * Makes a part of a table, or of one of its parts.
     *
     * @param of    the table or the part that it is a part of
     * @param words which rows it keeps, and how it is cut itself
     */
    void addPart(TableName name, TableName of, String words) {
        TableName placed = placed(name);
        DraftTable whole = partOf(of).orElseGet(() -> requireTable(of));
        Optional<TableName> within = partOf(of).map(any -> placed(of));
        Optional<DraftTable> alone = table(name).filter(each -> each.name.equals(placed));
        if (alone.filter(each -> each == whole).isPresent()) {
            throw new Unread(placed + " cannot be a part of itself");
        }
        whole.settings.addPart(placed, within, words);
        alone.ifPresent(each -> {
            whole.settings.takeParts(each);
            parts.replaceAll((part, owner) -> owner == each ? whole : owner);
            drop(each);
        });
        parts.put(key(placed), whole);
    }

    void drop(DraftTable table) {
        tables.remove(key(table.name));
        byName.getOrDefault(names.key(table.name.name()), new ArrayList<>()).remove(table);
    }

    /** Gives a table another name, which those that refer to it follow. */
    void rename(DraftTable table, TableName to) {
        TableName before = table.name;
        if (keysFollow) {
            String made = before.name() + "_ibfk_";
            table.foreignKeys.replaceAll(key -> key.name().startsWith(made)
                    ? key.named(to.name() + key.name().substring(before.name().length()))
                    : key);
        }
        var order = new ArrayList<>(tables.values());
        tables.clear();
        byName.clear();
        table.name = to;
        order.forEach(this::add);
        for (DraftTable each : order) {
            each.foreignKeys.replaceAll(key -> key.target().equals(before) ? key.to(to, key.targetColumns()) : key);
        }
    }

    /** Gives a column another name, which foreign keys that lead to it follow. */
    void rename(DraftTable table, String column, String to) {
        String before = table.requireColumn(column);
        table.rename(before, to);
        for (DraftTable each : tables.values()) {
            each.foreignKeys.replaceAll(key -> key.target().equals(table.name)
                    ? key.to(
                            key.target(),
                            key.targetColumns().stream()
                                    .map(name -> names.same(name, before) ? to : name)
                                    .toList())
                    : key);
        }
    }

    void addSequence(String key, Identity numbers) {
        sequences.put(key, numbers);
    }

    /** The numbers of a sequence from which a column draws; from 1 on where it is not known. */
    Identity drawn(String key) {
        undrawn.remove(key);
        return numbers(key);
    }

    /** The same of a sequence that stays one of its own. */
    Identity numbers(String key) {
        return sequences.getOrDefault(key, new Identity(1, 1));
    }

    void skip(int line, String statement, String reason) {
        skipped.add(new Skipped(line, statement, reason));
    }

    /** Tells once what is so in many places of a script. */
    void skipAll(int line, String statement, String reason) {
        if (skipped.stream().noneMatch(each -> each.reason().equals(reason))) {
            skip(line, statement, reason);
        }
    }
}
