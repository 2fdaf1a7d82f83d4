package ableschema.core.sql;

import ableschema.core.expression.Filling;
import ableschema.core.expression.Token;
import ableschema.core.schema.Column;
import ableschema.core.schema.DomainType;
import ableschema.core.schema.ForeignKey;
import ableschema.core.schema.Part;
import ableschema.core.schema.Schema;
import ableschema.core.schema.Table;
import ableschema.core.sql.dialect.Ability;
import ableschema.core.sql.dialect.Dialect;
import ableschema.core.sql.dialect.ScriptStyle.Existing;
import ableschema.core.sql.dialect.Shortfall;
import ableschema.core.sql.dialect.Traits.TextComparison;
import ableschema.core.types.DataType;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Stream;

/** What a dialect cannot say of a schema, without writing the script that says it. */
public final class Shortfalls {

    private Shortfalls() {}

    /** Those of one table; that its references cannot wait for the end of a transaction is told by the whole. */
    public static List<Shortfall> of(Table table, Schema schema, Dialect dialect) {
        return new TableShortfalls(dialect, schema, table).found(List.of());
    }

    /** Those of the whole: of the script, its namespaces and named types, and of references that run in a circle or by two ways. */
    public static List<Shortfall> ofWhole(Schema schema, Dialect dialect) {
        var found = new ArrayList<>(ofScript(schema, dialect));
        if (!dialect.can(Ability.NAMESPACES)) {
            namespaces(schema).forEach(each -> found.add(ofNamespace(each, dialect)));
        }
        if (!dialect.can(Ability.DOMAINS)) {
            schema.domains().forEach(each -> found.add(ofDomain(each, dialect)));
        }
        found.addAll(CascadePaths.of(schema, dialect).shortfalls());
        found.addAll(new RuleNames(dialect, schema).shortfalls());
        if (!dialect.can(Ability.DEFERRED_CONSTRAINTS)) {
            TableOrder order = TableOrder.of(schema);
            for (Table table : order.tables()) {
                for (ForeignKey key : table.foreignKeys()) {
                    if (order.isDeferred(table, key)) {
                        found.add(TableShortfalls.undeferred(table, key, dialect));
                    }
                }
            }
        }
        return found;
    }

    /** What holds of the whole script, said once at its head. */
    static List<Shortfall> ofScript(Schema schema, Dialect dialect) {
        var found = new ArrayList<Shortfall>();
        if (!dialect.can(Ability.TRANSACTIONAL_DEFINITIONS)) {
            found.add(whole(
                    Ability.TRANSACTIONAL_DEFINITIONS, "where a statement is refused, those before it stay", dialect));
        }
        if (!dialect.can(Ability.HELD_TYPES)) {
            found.add(whole(
                    Ability.HELD_TYPES, "as chosen, any value goes into any column, and longer texts too", dialect));
        }
        if (!dialect.style().schema().isEmpty() && !dialect.can(Ability.NAMESPACES)) {
            found.add(whole(
                    Ability.NAMESPACES,
                    "all stands where the script is run, and not in "
                            + dialect.style().schema(),
                    dialect));
        }
        if (!dialect.style().user().isEmpty() && !dialect.can(Ability.USERS)) {
            found.add(whole(Ability.USERS, "whoever can open the file can do everything", dialect));
        }
        Existing existing = dialect.style().existing();
        if (existing == Existing.SKIP && dialect.tableIfMissing().isEmpty()) {
            found.add(whole(Ability.SKIP_EXISTING, "a table that is there already is refused", dialect));
        }
        if (existing == Existing.REPLACE && !dialect.can(Ability.DROP_EXISTING)) {
            found.add(whole(Ability.DROP_EXISTING, "a table that is there already is refused", dialect));
        }
        TextComparison comparison = dialect.traits().comparison();
        boolean keyed = hasKeyedText(schema);
        boolean ruled = schema.tables().stream().anyMatch(table -> comparesText(schema, table));
        if (comparison != TextComparison.EXACT && (keyed || ruled)) {
            found.add(whole(
                    Ability.EXACT_TEXT,
                    "texts that differ only in letter case"
                            + (comparison == TextComparison.NO_CASE ? "" : " or accents")
                            + " are the same to "
                            + (!ruled ? "keys" : keyed ? "keys and rules" : "rules")
                            + ", unless the database compares otherwise",
                    dialect));
        }
        if (!dialect.can(Ability.EXACT_DECIMALS)
                && schema.tables().stream().anyMatch(table -> reckons(schema, table))) {
            found.add(whole(
                    Ability.EXACT_DECIMALS,
                    "sums and products of decimals are kept as binary fractions, so that 10.35 may be rounded to 10.3",
                    dialect));
        }
        found.addAll(CarriedWriter.shortfalls(schema.carried(), dialect));
        return found;
    }

    /** Whether a rule or a computed column of a table adds, multiplies or divides decimals. */
    private static boolean reckons(Schema schema, Table table) {
        return Stream.concat(
                        table.checks().stream().map(Table.CheckConstraint::expression),
                        table.columns().stream()
                                .map(Column::filling)
                                .filter(Filling::isComputed)
                                .map(Filling::expression))
                .anyMatch(expression -> expression.columns().anyMatch(name -> table.column(name)
                                .filter(column -> schema.resolved(column.type()) instanceof DataType.Decimal)
                                .isPresent())
                        && Token.of(expression).stream()
                                .anyMatch(token -> token.kind() == Token.Kind.SYMBOL && "+-*/".contains(token.text())));
    }

    private static boolean hasKeyedText(Schema schema) {
        return schema.tables().stream().anyMatch(table -> keyed(table).anyMatch(name -> table.column(name)
                .map(Column::type)
                .filter(type -> schema.resolved(type) instanceof DataType.Text)
                .isPresent()));
    }

    /** Whether a rule of a table holds a text against another; its length is the same however it is compared. */
    private static boolean comparesText(Schema schema, Table table) {
        return table.checks().stream().map(Table.CheckConstraint::expression).anyMatch(rule -> {
            long texts = rule.columns()
                    .filter(name -> table.column(name)
                            .filter(column -> schema.resolved(column.type()) instanceof DataType.Text)
                            .isPresent())
                    .count();
            return texts > 1
                    || texts == 1 && Token.of(rule).stream().anyMatch(token -> token.kind() == Token.Kind.STRING);
        });
    }

    private static Stream<String> keyed(Table table) {
        return Stream.concat(
                table.primaryKey().stream().flatMap(key -> key.columns().stream()),
                table.uniques().stream().flatMap(unique -> unique.columns().stream()));
    }

    static Set<String> namespaces(Schema schema) {
        var namespaces = new TreeSet<String>();
        schema.tables().forEach(table -> namespaces.add(table.namespace()));
        schema.domains().forEach(domain -> namespaces.add(domain.name().namespace()));
        namespaces.remove("");
        return namespaces;
    }

    static Shortfall ofNamespace(String namespace, Dialect dialect) {
        return whole(Ability.NAMESPACES, "the tables of " + namespace + " stand beside the others", dialect);
    }

    static Shortfall ofDomain(DomainType domain, Dialect dialect) {
        return new Shortfall(
                dialect.label(),
                Ability.DOMAINS,
                domain.part(),
                "what it holds, its check and its default stand with each column of it");
    }

    private static Shortfall whole(Ability ability, String instead, Dialect dialect) {
        return new Shortfall(dialect.label(), ability, Part.WHOLE, instead);
    }
}
