package ableschema.core.review;

import ableschema.core.design.Body;
import ableschema.core.design.ColumnRef;
import ableschema.core.design.Design;
import ableschema.core.design.Id;
import ableschema.core.design.IdKind;
import ableschema.core.design.IdSource;
import ableschema.core.design.Index;
import ableschema.core.design.Pins;
import ableschema.core.document.Edit;
import ableschema.core.document.HouseRules;
import ableschema.core.edit.ChangeBody;
import ableschema.core.edit.ChangeRules;
import ableschema.core.finding.Finding;
import ableschema.core.finding.Place;
import ableschema.core.finding.Remedy;
import ableschema.core.finding.Rule;
import ableschema.core.finding.Step;
import ableschema.core.schema.Column;
import ableschema.core.schema.ForeignKey;
import ableschema.core.schema.Table;
import ableschema.core.words.Sentences;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.stream.Stream;

/** Foreign keys without an index or of another type than what they refer to, and indexes that others make needless. */
final class IndexFinder implements Finder.OfEach {

    static final Rule UNINDEXED = Rule.advice(
            Step.SQL,
            "foreign-key-unindexed",
            "Foreign key without an index",
            "{table}: nothing indexes {columns}, by which it refers to {target}.",
            "Each deletion in the table referred to, and each join, looks through all rows of this one.");
    static final Rule NEEDLESS = Rule.advice(
            Step.SQL,
            "index-needless",
            "Index that another makes needless",
            "{table}: the index {index} leads nowhere that {other} does not.",
            "It costs time with every row that is written and never saves any.");
    static final Rule MANY = Rule.advice(
            Step.SQL,
            "index-many",
            "More indexes than the house admits",
            "{table} has {count} indexes; the house rules admit {most}.",
            "Each row that is written is written into all of them; those by which nobody searches or sorts cost time alone.");
    static final Rule TYPE_DIFFERS = Rule.mustMend(
            Step.SQL,
            "foreign-key-type",
            "Foreign key of another type",
            "{table}: {column} is {type}, and refers to {target}, which is {other}.",
            "Some databases refuse the reference; the others convert each value, and cannot use the index.");

    @Override
    public List<Rule> rules() {
        return List.of(UNINDEXED, NEEDLESS, MANY, TYPE_DIFFERS);
    }

    @Override
    public void find(Subject subject, Id owner, Consumer<Finding> found) {
        subject.table(owner).ifPresent(table -> {
            List<ForeignKey> unindexed = subject.dialect().indexesForeignKeys()
                    ? List.of()
                    : table.foreignKeys().stream()
                            .filter(key -> leading(table).noneMatch(columns -> leads(columns, key.columns())))
                            .toList();
            if (!unindexed.isEmpty()) {
                found.accept(unindexed(subject, owner, table, unindexed));
            }
            table.foreignKeys().forEach(key -> differing(subject, owner, table, key, found));
            needless(subject, owner, table, found);
            many(subject, owner, table, found);
        });
    }

    private static Stream<List<String>> leading(Table table) {
        return Stream.of(
                        table.primaryKey().stream().map(Table.PrimaryKey::columns),
                        table.uniques().stream().map(Table.UniqueConstraint::columns),
                        table.indexes().stream()
                                .filter(index -> !index.only().isPresent())
                                .map(Table.TableIndex::columnNames))
                .flatMap(each -> each);
    }

    /** Whether these columns begin with the wanted ones, in whatever order. */
    private static boolean leads(List<String> columns, List<String> wanted) {
        return columns.size() >= wanted.size()
                && new HashSet<>(columns.subList(0, wanted.size())).equals(new HashSet<>(wanted));
    }

    /** One for all references of a table, as they are indexed together or by a rule of the house. */
    private static Finding unindexed(Subject subject, Id owner, Table table, List<ForeignKey> keys) {
        List<List<ColumnRef>> refs = keys.stream()
                .map(key -> key.columns().stream()
                        .flatMap(name -> table.column(name).stream())
                        .map(column -> subject.trace().ref(table, column))
                        .toList())
                .toList();
        HouseRules rules = subject.document().rules();
        Finding finding = Finding.of(
                        UNINDEXED,
                        keys.size() == 1
                                ? Place.of(
                                        subject.trace().end(table, keys.get(0)).relationship())
                                : Place.of(owner))
                .naming("table", subject.trace().label(table))
                .naming(
                        "target",
                        Sentences.listed(keys.stream()
                                .map(key -> key.target().toString())
                                .distinct()
                                .toList()))
                .naming(
                        "columns",
                        Sentences.listed(keys.stream()
                                .map(key -> String.join(", ", key.columns()))
                                .toList()))
                .mendedBy(Remedy.of(
                        keys.size() == 1 ? "index it" : "index each of them",
                        (design, ids, given) -> indexed(design, ids, owner, refs)));
        return rules.naming().indexForeignKeys()
                ? finding
                : finding.mendedBy(Remedy.of(
                        "index all foreign keys by house rule",
                        (design, ids, given) -> new ChangeRules(
                                rules.withNaming(rules.naming().withIndexForeignKeys(true)),
                                "index all foreign keys")));
    }

    private static ChangeBody indexed(Design design, IdSource ids, Id owner, List<List<ColumnRef>> refs) {
        Body body = design.body(owner).orElseThrow(); // what is found stands in the design
        List<Index> indexes = new ArrayList<>(body.indexes());
        for (List<ColumnRef> each : refs) {
            List<Index.Part> parts =
                    each.stream().map(ref -> new Index.Part(ref, false)).toList();
            indexes.add(new Index(ids.next(IdKind.INDEX), parts, false, Pins.NONE));
        }
        return new ChangeBody(
                owner, body.withIndexes(indexes), refs.size() == 1 ? "index a reference" : "index references");
    }

    private static void differing(Subject subject, Id owner, Table table, ForeignKey key, Consumer<Finding> found) {
        Optional<Table> target = subject.schema().table(key.target());
        for (int i = 0; i < key.columns().size() && target.isPresent(); i++) {
            Optional<Column> own = table.column(key.columns().get(i));
            Optional<Column> referred = target.get().column(key.targetColumns().get(i));
            if (own.isEmpty() || referred.isEmpty()) {
                continue;
            }
            String type = subject.dialect()
                    .type(subject.schema().resolved(own.get().type()).asReferenced());
            String other = subject.dialect()
                    .type(subject.schema().resolved(referred.get().type()).asReferenced());
            if (!type.equals(other)
                    && !own.get().isUndecided()
                    && !referred.get().isUndecided()) {
                found.accept(Finding.of(
                                TYPE_DIFFERS,
                                new Place(
                                        owner,
                                        Optional.empty(),
                                        List.of(subject.trace().ref(table, own.get()))))
                        .naming("table", subject.trace().label(table))
                        .naming("column", own.get().name())
                        .naming("target", key.target() + "." + referred.get().name())
                        .stating("type", type)
                        .stating("other", other));
            }
        }
    }

    private static void many(Subject subject, Id owner, Table table, Consumer<Finding> found) {
        int most = subject.document().rules().naming().mostIndexes();
        long count = (table.primaryKey().isPresent() ? 1 : 0)
                + table.uniques().size()
                + table.indexes().size();
        if (most > 0 && count > most) {
            found.accept(Finding.of(MANY, Place.of(owner))
                    .naming("table", subject.trace().label(table))
                    .stating("count", String.valueOf(count))
                    .stating("most", String.valueOf(most)));
        }
    }

    private static void needless(Subject subject, Id owner, Table table, Consumer<Finding> found) {
        for (Table.TableIndex index : table.indexes()) {
            if (index.unique()) {
                continue;
            }
            List<String> columns = index.isPlain() ? index.columnNames() : List.of();
            Optional<String> other = Stream.of(
                            table.primaryKey().stream()
                                    .filter(key -> begins(key.columns(), columns))
                                    .map(Table.PrimaryKey::name),
                            table.uniques().stream()
                                    .filter(unique -> begins(unique.columns(), columns))
                                    .map(Table.UniqueConstraint::name),
                            table.indexes().stream()
                                    .filter(each -> each != index && covers(each, index, table))
                                    .map(Table.TableIndex::name))
                    .flatMap(each -> each)
                    .findFirst();
            other.ifPresent(name -> found.accept(needless(subject, owner, table, index, name)));
        }
    }

    private static boolean begins(List<String> columns, List<String> wanted) {
        return !wanted.isEmpty()
                && columns.size() >= wanted.size()
                && columns.subList(0, wanted.size()).equals(wanted);
    }

    /** Whether one index serves for all that another does; of two that are the same, the later is needless. */
    private static boolean covers(Table.TableIndex one, Table.TableIndex other, Table table) {
        boolean rows = !one.only().isPresent() || one.only().equals(other.only());
        boolean begins = rows
                && one.columns().size() >= other.columns().size()
                && one.columns().subList(0, other.columns().size()).equals(other.columns());
        boolean same =
                one.columns().size() == other.columns().size() && one.only().equals(other.only()) && !one.unique();
        return begins
                && (!same || table.indexes().indexOf(one) < table.indexes().indexOf(other));
    }

    private static Finding needless(Subject subject, Id owner, Table table, Table.TableIndex index, String other) {
        Finding finding = Finding.of(NEEDLESS, Place.of(owner))
                .naming("table", subject.trace().label(table))
                .stating("index", index.name())
                .stating("other", other);
        Optional<Index> own = subject.trace().of(table).rules().containsKey(index.name())
                ? subject.design().body(owner).stream()
                        .flatMap(body -> body.indexes().stream())
                        .filter(each -> each.id()
                                .equals(subject.trace().of(table).rules().get(index.name())))
                        .findFirst()
                : Optional.empty();
        return own.map(each -> finding.mendedBy(Remedy.of(
                        "take the index away",
                        (design, ids, given) -> without(design.body(owner).orElseThrow(), owner, each))))
                .orElse(finding);
    }

    private static Edit without(Body body, Id owner, Index index) {
        return new ChangeBody(owner, body.withoutIndex(index.id()), "take an index away");
    }
}
