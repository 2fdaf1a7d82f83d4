package ableschema.engine;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Random;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** Statements as people write them, chosen at random; an engine refuses some, which then are no part of the script. */
final class RandomScript {

    /** A statement, and what it makes of the tables where an engine takes it. */
    record Step(String sql, Runnable done) {}

    private record Column(String name, char kind) {}

    private static final class Made {
        String name;
        final List<Column> columns = new ArrayList<>();

        /** Of two unique keys of the same columns it is chance which is taken for the key, and which for an index. */
        final Set<List<String>> uniques = new HashSet<>();

        Made(String name) {
            this.name = name;
        }
    }

    private final Random random;
    private final RealEngine engine;
    private final SpokenTypes types;
    private final List<Made> tables = new ArrayList<>();
    private int made;

    /** Columns that rules speak of: where their type becomes another, an engine puts casts into the rules. */
    private final Set<String> spokenOf = new HashSet<>();

    RandomScript(long seed, RealEngine engine) {
        this.random = new Random(seed);
        this.engine = engine;
        this.types = new SpokenTypes(random, engine);
    }

    Step next() {
        if (tables.size() < 2 || random.nextInt(6) == 0) {
            return create();
        }
        Made table = any(tables);
        return switch (random.nextInt(14)) {
            case 0, 1 -> index(table);
            case 2 -> addColumn(table);
            case 3 -> dropColumn(table);
            case 4 -> renameColumn(table);
            case 5 -> renameTable(table);
            case 6 -> nullable(table);
            case 7 -> preset(table);
            case 8 -> retype(table);
            case 9, 10 -> addConstraint(table);
            case 11 -> comment(table);
            case 12 -> random.nextInt(3) == 0 ? drop(table) : dropConstraint(table);
            default -> new Step(several(table), () -> {});
        };
    }

    private <T> T any(List<T> list) {
        return list.get(random.nextInt(list.size()));
    }

    private String one(String... choices) {
        return choices[random.nextInt(choices.length)];
    }

    private boolean in(int times) {
        return random.nextInt(times) == 0;
    }

    private String said(String keywords) {
        return switch (random.nextInt(3)) {
            case 0 -> keywords.toLowerCase(Locale.ROOT);
            case 1 -> keywords.charAt(0) + keywords.substring(1).toLowerCase(Locale.ROOT);
            default -> keywords;
        };
    }

    /** A new name, sometimes one that only quotes make one. */
    private String name(String stem) {
        String plain = stem + ++made;
        return switch (random.nextInt(9)) {
            case 0 -> quoted(plain.toUpperCase(Locale.ROOT));
            case 1 -> quoted(stem + " no. " + made);
            case 2 -> plain.substring(0, 1).toUpperCase(Locale.ROOT) + plain.substring(1);
            case 3 -> quoted("order" + (in(2) ? made : "-" + made));
            case 4 -> engine == RealEngine.H2 ? plain : quoted(plain); // which there is another name in small letters
            default -> plain;
        };
    }

    private String quoted(String name) {
        return engine == RealEngine.MARIADB || engine == RealEngine.SQLITE && in(4)
                ? "`" + name + "`"
                : engine == RealEngine.SQLITE && in(4) ? "[" + name + "]" : "\"" + name + "\"";
    }

    private Step create() {
        var table = new Made(name(one("t", "hive", "loan", "Visit")));
        var parts = new ArrayList<String>();
        int columns = 2 + random.nextInt(5);
        int key = random.nextInt(4);
        for (int i = 0; i < columns; i++) {
            boolean first = i == 0;
            parts.add(first && key == 0 ? numbered(table) : column(table, first && key == 1 ? "PRIMARY KEY" : ""));
        }
        String keyed = list(table, 1 + random.nextInt(2));
        if (key == 2 && isNewKey(table, keyed)) {
            parts.add(constraint("PRIMARY KEY") + " " + keyed + including(table) + later());
        }
        for (int i = random.nextInt(3); i > 0; i--) {
            parts.add(tableConstraint(table));
        }
        if (engine == RealEngine.MARIADB && in(3) && !indexed(table).isEmpty()) {
            parts.add(said(one("KEY", "INDEX")) + " " + (in(4) ? "" : name("ix") + " ") + "("
                    + any(indexed(table)).name() + ")");
        }
        String sql = said("CREATE TABLE") + " " + (in(4) ? said("IF NOT EXISTS") + " " : "") + table.name
                + (in(2) ? " (" : "\n(") + String.join(one(", ", ",\n  ", " , -- next\n "), parts) + ")" + end();
        return new Step(sql, () -> tables.add(table));
    }

    private String end() {
        return switch (engine) {
            case MARIADB ->
                one(
                        "",
                        "",
                        " ENGINE=InnoDB",
                        " engine = innodb row_format=dynamic",
                        " checksum=1 PACK_KEYS=0 max_rows = 100",
                        " KEY_BLOCK_SIZE=8 ROW_FORMAT=COMPRESSED",
                        " stats_persistent=0",
                        " COMMENT='it''s \\\\ kept'");
            case SQLITE -> one("", "", "", " STRICT", " WITHOUT ROWID");
            default -> "";
        };
    }

    private String numbered(Made table) {
        String name = name("id");
        table.uniques.add(List.of(name));
        table.columns.add(new Column(name, 'n'));
        return name + " "
                + switch (engine) {
                    case POSTGRESQL ->
                        one(
                                "serial primary key",
                                "BIGSERIAL PRIMARY KEY",
                                "integer generated always as identity primary key",
                                "int GENERATED BY DEFAULT AS IDENTITY (START WITH 10 INCREMENT BY 5) PRIMARY KEY",
                                "smallserial not null");
                    case MARIADB ->
                        one(
                                "int auto_increment primary key",
                                "INT(11) UNSIGNED NOT NULL AUTO_INCREMENT PRIMARY KEY",
                                "serial",
                                "bigint not null primary key auto_increment",
                                "SMALLINT AUTO_INCREMENT PRIMARY KEY");
                    case SQLITE ->
                        one(
                                "integer primary key",
                                "INTEGER PRIMARY KEY AUTOINCREMENT",
                                "INTEGER NOT NULL PRIMARY KEY",
                                "integer constraint pk primary key asc autoincrement");
                    case H2 ->
                        one(
                                "int auto_increment primary key",
                                "bigint generated always as identity primary key",
                                "identity primary key",
                                "int generated by default as identity (start with 7) not null primary key",
                                "BIGINT IDENTITY(5, 2) PRIMARY KEY");
                };
    }

    private String column(Made table, String key) {
        String name = name(one("a", "b", "amount", "Note", "valid_from"));
        SpokenTypes.Spoken type = types.any();
        var clauses = new ArrayList<String>();
        if (in(3)) {
            clauses.add(said(one("NOT NULL", "NOT NULL", "NULL")));
        }
        if (in(3) && key.isEmpty()) {
            clauses.add(said("DEFAULT") + " " + types.value(type.kind()));
        }
        if (in(9) && key.isEmpty() && table.uniques.add(List.of(name))) {
            clauses.add(constraint("UNIQUE") + later());
        }
        if (in(7) && key.isEmpty() && type.kind() != 'x') {
            clauses.add(check(name, type.kind()));
        }
        if (in(10) && !tables.isEmpty() && type.kind() != 'x') {
            clauses.add(references(type.kind()));
        }
        if (!key.isEmpty() && table.uniques.add(List.of(name))) {
            clauses.add(said(key));
        }
        if (engine == RealEngine.MARIADB && in(6)) {
            clauses.add("COMMENT " + types.value('t'));
        }
        boolean generated = clauses.isEmpty() && in(8) && !table.columns.isEmpty();
        if (generated) {
            Column of = any(table.columns);
            clauses.add((in(2) || engine == RealEngine.POSTGRESQL ? said("GENERATED ALWAYS") + " " : "") + "AS ("
                    + computed(of) + ")"
                    + (engine == RealEngine.POSTGRESQL
                            ? " STORED"
                            : engine == RealEngine.H2 ? "" : one("", " stored", " VIRTUAL")));
        }
        table.columns.add(new Column(name, type.kind()));
        return name + " " + type.text() + (clauses.isEmpty() ? "" : " ") + String.join(" ", clauses);
    }

    private String constraint(String kind) {
        return (in(2) ? said("CONSTRAINT") + " " + name("c_") + " " : "") + said(kind);
    }

    private String list(Made table, int most) {
        return Stream.generate(() -> any(table.columns).name())
                .limit(most)
                .distinct()
                .collect(Collectors.joining(", ", "(", ")"));
    }

    /** @param kind of the column that refers, as is that which it refers to */
    private String references(char kind) {
        Made other = any(tables);
        List<String> keys = other.uniques.stream()
                .filter(key -> key.size() == 1)
                .map(key -> key.get(0))
                .filter(key ->
                        other.columns.stream().anyMatch(each -> each.name().equals(key) && each.kind() == kind))
                .toList();
        if (keys.isEmpty()) {
            return said("NOT NULL");
        }
        String actions = one(
                "",
                "",
                " ON DELETE CASCADE",
                " on update cascade on delete set null",
                " ON DELETE RESTRICT",
                " ON UPDATE NO ACTION");
        return said("REFERENCES") + " " + other.name + " (" + any(keys) + ")" + actions + waiting();
    }

    private String check(String column, char kind) {
        return constraint("CHECK") + " (" + rule(column, kind) + ")"
                + (engine == RealEngine.POSTGRESQL && in(6) ? said(" NO INHERIT") : "");
    }

    /** When a reference is checked. */
    private String waiting() {
        boolean may = engine == RealEngine.POSTGRESQL || engine == RealEngine.SQLITE;
        return may && in(5)
                ? one(" DEFERRABLE", " deferrable initially immediate", " DEFERRABLE INITIALLY DEFERRED")
                : "";
    }

    private String tableConstraint(Made table) {
        Column of = any(table.columns);
        String columns = list(table, 1 + random.nextInt(2));
        boolean unique = random.nextInt(3) == 0 || tables.isEmpty();
        if (unique && isNewKey(table, columns)) {
            return constraint("UNIQUE") + " " + columns + including(table) + later();
        }
        return switch (random.nextInt(2)) {
            case 0 -> check(of.name(), of.kind());
            default -> tables.isEmpty() ? check(of.name(), of.kind()) : foreignKey(table, of);
        };
    }

    private String foreignKey(Made table, Column of) {
        String references = references(of.kind());
        boolean itself = of.kind() == 'x' || references.contains("(" + of.name() + ")"); // which nobody means
        return itself ? check(of.name(), of.kind()) : constraint("FOREIGN KEY") + " (" + of.name() + ") " + references;
    }

    /** When what is unique is checked; nothing can refer to it then. */
    private String later() {
        if (engine == RealEngine.SQLITE && in(6)) {
            return said(one(" ON CONFLICT IGNORE", " ON CONFLICT REPLACE", " ON CONFLICT ABORT"));
        }
        return engine == RealEngine.POSTGRESQL && in(6)
                ? one(
                        " DEFERRABLE",
                        " deferrable initially deferred",
                        " NOT DEFERRABLE",
                        " deferrable initially immediate")
                : "";
    }

    private String including(Made table) {
        return engine == RealEngine.POSTGRESQL && in(6)
                ? " INCLUDE (" + any(table.columns).name() + ")"
                : "";
    }

    private static boolean isNewKey(Made table, String columns) {
        return table.uniques.add(
                Stream.of(columns.replaceAll("[()]| (?i:asc|desc)\\b", "").split(", "))
                        .sorted()
                        .toList());
    }

    private String rule(String name, char kind) {
        spokenOf.add(name);
        return types.rule(name, kind);
    }

    private String computed(Column of) {
        spokenOf.add(of.name());
        return types.computed(of.name(), of.kind());
    }

    private Step index(Made table) {
        List<Column> indexed = indexed(table);
        if (indexed.isEmpty()) {
            return comment(table);
        }
        String columns = Stream.generate(() -> any(indexed).name())
                .limit(1 + random.nextInt(2))
                .distinct()
                .map(each -> each + one("", "", " DESC", " asc"))
                .collect(Collectors.joining(", ", "(", ")"));
        boolean unique = in(4) && isNewKey(table, columns);
        String where = (engine == RealEngine.POSTGRESQL || engine == RealEngine.SQLITE) && in(4)
                ? " WHERE " + any(table.columns).name() + " IS NOT NULL"
                : "";
        String using = engine == RealEngine.POSTGRESQL && in(4) ? " using btree" : "";
        return new Step(
                said(unique ? "CREATE UNIQUE INDEX" : "CREATE INDEX") + " " + (in(4) ? said("IF NOT EXISTS") + " " : "")
                        + name("ix") + " " + said("ON") + " " + table.name + using + " " + columns + including(table)
                        + where,
                () -> {});
    }

    /** MariaDB cuts an index of long texts by itself. */
    private List<Column> indexed(Made table) {
        return table.columns.stream()
                .filter(each -> engine != RealEngine.MARIADB || "ndm".indexOf(each.kind()) >= 0)
                .toList();
    }

    private Step addColumn(Made table) {
        var with = new Made(table.name);
        with.columns.addAll(table.columns);
        String column = column(with, "");
        String place = engine == RealEngine.MARIADB
                ? one("", "", " FIRST", " after " + any(table.columns).name())
                : "";
        return new Step(
                alter(table) + said(one("ADD COLUMN", "ADD")) + " " + column + place,
                () -> table.columns.add(with.columns.get(with.columns.size() - 1)));
    }

    private String alter(Made table) {
        return said("ALTER TABLE") + " " + table.name + " ";
    }

    private Step dropColumn(Made table) {
        Column column = any(table.columns);
        if (table.columns.size() == 1) {
            return comment(table);
        }
        String cascade = engine == RealEngine.POSTGRESQL ? one("", " CASCADE") : "";
        return new Step(
                alter(table) + said("DROP COLUMN") + " " + column.name() + cascade, () -> table.columns.remove(column));
    }

    private Step renameColumn(Made table) {
        Column column = any(table.columns);
        String name = name("renamed");
        String sql =
                switch (engine) {
                    case H2 -> "ALTER COLUMN " + column.name() + " RENAME TO " + name;
                    default -> "RENAME COLUMN " + column.name() + " TO " + name;
                };
        return new Step(alter(table) + sql, () -> replace(table, column, new Column(name, column.kind())));
    }

    private void replace(Made table, Column before, Column after) {
        if (spokenOf.contains(before.name())) {
            spokenOf.add(after.name());
        }
        table.columns.set(table.columns.indexOf(before), after);
        List<List<String>> keys = List.copyOf(table.uniques);
        table.uniques.clear();
        keys.forEach(key -> table.uniques.add(key.stream()
                .map(name -> name.equals(before.name()) ? after.name() : name)
                .sorted()
                .toList()));
    }

    private Step renameTable(Made table) {
        String name = name("renamed");
        return new Step(
                engine == RealEngine.MARIADB && in(2)
                        ? "RENAME TABLE " + table.name + " TO " + name
                        : alter(table) + said("RENAME TO") + " " + name,
                () -> table.name = name);
    }

    private Step nullable(Made table) {
        Column column = any(table.columns);
        String change = one("SET NOT NULL", "DROP NOT NULL");
        return new Step(alter(table) + "ALTER COLUMN " + column.name() + " " + change, () -> {});
    }

    private Step preset(Made table) {
        Column column = any(table.columns);
        if (column.kind() == 'm' && engine == RealEngine.MARIADB) { // whose defaults no other takes the place of
            return comment(table);
        }
        String change = in(3) ? "DROP DEFAULT" : "SET DEFAULT " + types.value(column.kind());
        return new Step(
                alter(table) + said(one("ALTER COLUMN", "ALTER")) + " " + column.name() + " " + change, () -> {});
    }

    private Step retype(Made table) {
        Column column = any(table.columns);
        if (spokenOf.contains(column.name())) {
            return comment(table);
        }
        SpokenTypes.Spoken type = types.of(column.kind());
        Runnable done = () -> replace(table, column, new Column(column.name(), type.kind()));
        return switch (engine) {
            case POSTGRESQL ->
                new Step(
                        alter(table) + "ALTER COLUMN " + column.name() + one(" TYPE ", " SET DATA TYPE ") + type.text()
                                + one("", " USING NULL"),
                        done);
            case MARIADB -> {
                String end = one("", " NOT NULL", " DEFAULT " + types.value(type.kind()));
                String name = name("changed");
                yield in(2)
                        ? new Step(alter(table) + "MODIFY COLUMN " + column.name() + " " + type.text() + end, done)
                        : new Step(
                                alter(table) + "CHANGE " + column.name() + " " + name + " " + type.text() + end,
                                () -> table.columns.set(table.columns.indexOf(column), new Column(name, type.kind())));
            }
            default ->
                new Step(
                        alter(table) + "ALTER COLUMN " + column.name() + one(" SET DATA TYPE ", " ") + type.text(),
                        done);
        };
    }

    private Step addConstraint(Made table) {
        String columns = list(table, 1);
        return new Step(
                in(4) && isNewKey(table, columns)
                        ? alter(table) + "ADD " + constraint("PRIMARY KEY") + " " + columns
                        : alter(table) + said("ADD") + " " + tableConstraint(table),
                () -> {});
    }

    private Step dropConstraint(Made table) {
        String change =
                switch (engine) {
                    case MARIADB -> one("DROP PRIMARY KEY", "DROP INDEX ix" + made, "DROP CONSTRAINT c_" + made);
                    default -> one("DROP CONSTRAINT c_" + made, "DROP CONSTRAINT IF EXISTS c_" + (made - 1));
                };
        return new Step(alter(table) + change, () -> {});
    }

    private Step comment(Made table) {
        return new Step(
                in(2)
                        ? "COMMENT ON TABLE " + table.name + " IS " + types.value('t')
                        : "COMMENT ON COLUMN " + table.name + "."
                                + any(table.columns).name() + " IS " + types.value('t'),
                () -> {});
    }

    private Step drop(Made table) {
        return new Step(
                said("DROP TABLE") + " " + (in(3) ? "IF EXISTS " : "") + table.name + one("", "", " CASCADE"),
                () -> tables.remove(table));
    }

    /** Several changes of one table at once. */
    private String several(Made table) {
        Column first = table.columns.get(0);
        String preset = first.kind() == 'm' ? " SET NOT NULL" : " DROP DEFAULT";
        return alter(table) + "ALTER COLUMN " + first.name() + preset + ", ADD " + tableConstraint(table);
    }
}
