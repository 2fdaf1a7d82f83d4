package ableschema.core.mapping;

import ableschema.core.design.Body;
import ableschema.core.design.ColumnRef;
import ableschema.core.design.Design;
import ableschema.core.design.End;
import ableschema.core.design.EndRef;
import ableschema.core.design.ForeignColumn;
import ableschema.core.design.Id;
import ableschema.core.design.Index;
import ableschema.core.design.Relationship;
import ableschema.core.schema.ForeignKey;
import ableschema.core.schema.Table.CheckConstraint;
import ableschema.core.schema.Table.IndexedColumn;
import ableschema.core.schema.Table.PrimaryKey;
import ableschema.core.schema.Table.TableIndex;
import ableschema.core.schema.Table.UniqueConstraint;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** The constraints and indexes of one table, named so that an engine's message can be understood. */
final class TableConstraints {

    private final String table;
    private final Id owner;
    private final TableColumns columns;
    private final Design design;
    private final Body body;
    private final Keys keys;
    private final NamingRules rules;
    private final Names names;
    private final List<List<String>> served = new ArrayList<>();

    TableConstraints(
            String table, Id owner, TableColumns columns, Design design, Keys keys, NamingRules rules, Names names) {
        this.table = table;
        this.owner = owner;
        this.columns = columns;
        this.design = design;
        this.body = design.body(owner).orElse(Body.EMPTY);
        this.keys = keys;
        this.rules = rules;
        this.names = names;
    }

    /** The table that a foreign key leads to. */
    record Target(String table, TableColumns columns) {}

    Optional<PrimaryKey> primaryKey() {
        List<String> key = columns.names(keys.of(owner));
        if (key.isEmpty()) {
            return Optional.empty();
        }
        served.add(key);
        return Optional.of(new PrimaryKey(named("key"), key));
    }

    List<ForeignKey> foreignKeys(Function<EndRef, Target> targets) {
        var foreignKeys = new ArrayList<ForeignKey>();
        for (EndRef end : design.referencesOf(owner)) {
            List<ColumnRef> referring = keys.referring(end);
            Target target = targets.apply(end);
            if (referring.stream().allMatch(ref -> ref.attribute().isPresent())) {
                foreignKeys.add(foreignKey(end, referring, target));
            }
        }
        return foreignKeys;
    }

    private ForeignKey foreignKey(EndRef end, List<ColumnRef> referring, Target target) {
        Relationship relationship = design.relationship(end.relationship()).orElseThrow(); // from referencesOf
        List<ColumnRef> targets =
                referring.stream().map(ref -> ((ForeignColumn) ref).target()).toList();
        return new ForeignKey(
                named(verb(relationship, end), named(relationship.end(end.side()))),
                columns.names(referring),
                target.table(),
                target.columns().names(targets),
                relationship.onDelete(),
                relationship.onUpdate(),
                end);
    }

    private static String verb(Relationship relationship, EndRef end) {
        return relationship.isManyToMany()
                ? "of"
                : relationship.end(end.side().other()).verb();
    }

    private String named(End end) {
        return end.role().isEmpty() ? design.at(end).name() : end.role();
    }

    List<UniqueConstraint> uniques() {
        Stream<UniqueConstraint> stated = body.uniques().stream()
                .map(u ->
                        unique(keys.columns(owner, u.parts()), u.id(), u.pins().name()));
        Stream<UniqueConstraint> oneToOne = design.referencesOf(owner).stream()
                .filter(end -> design.relationship(end.relationship())
                        .filter(Relationship::isOneToOne)
                        .isPresent())
                .map(end -> unique(keys.referring(end), end.relationship(), ""));
        return Stream.concat(stated, oneToOne)
                .filter(unique -> !unique.columns().isEmpty() && isNew(unique.columns()))
                .toList();
    }

    private boolean isNew(List<String> unique) {
        boolean known = served.contains(unique);
        served.add(unique);
        return !known;
    }

    private UniqueConstraint unique(List<ColumnRef> refs, Id origin, String pinned) {
        List<String> over = columns.names(refs);
        return new UniqueConstraint(pinned(pinned, listed(over), "unique"), over, origin);
    }

    List<CheckConstraint> checks() {
        return body.checks().stream()
                .map(check -> {
                    List<String> over = columns.names(
                            check.expression().columns().distinct().toList());
                    String name = pinned(check.pins().name(), listed(over), "check");
                    return new CheckConstraint(name, check.expression(), check.id());
                })
                .toList();
    }

    List<TableIndex> indexes() {
        var indexes = new ArrayList<TableIndex>();
        for (Index index : body.indexes()) {
            List<IndexedColumn> parts = index.parts().stream()
                    .flatMap(part -> columns.column(part.column()).stream()
                            .map(column -> new IndexedColumn(column.name(), part.descending())))
                    .toList();
            if (!parts.isEmpty()) {
                List<String> over = parts.stream().map(IndexedColumn::name).toList();
                String name = pinned(index.pins().name(), listed(over), "index");
                indexes.add(new TableIndex(name, parts, index.unique(), index.id()));
                served.add(over);
            }
        }
        if (rules.indexForeignKeys()) {
            design.referencesOf(owner).forEach(end -> indexForeignKey(end).ifPresent(indexes::add));
        }
        return indexes;
    }

    private Optional<TableIndex> indexForeignKey(EndRef end) {
        List<String> over = columns.names(keys.referring(end));
        if (over.isEmpty() || served.stream().anyMatch(list -> startsWith(list, over))) {
            return Optional.empty();
        }
        served.add(over);
        List<IndexedColumn> parts =
                over.stream().map(name -> new IndexedColumn(name, false)).toList();
        return Optional.of(new TableIndex(named(listed(over), "index"), parts, false, end.relationship()));
    }

    private static boolean startsWith(List<String> list, List<String> start) {
        return list.size() >= start.size() && list.subList(0, start.size()).equals(start);
    }

    private static String listed(List<String> columns) {
        return columns.stream().collect(Collectors.joining(" "));
    }

    private String pinned(String pinned, String... words) {
        return pinned.isEmpty() ? named(words) : names.free(pinned);
    }

    private String named(String... words) {
        return names.free(rules.style().of(table, String.join(" ", words)));
    }
}
