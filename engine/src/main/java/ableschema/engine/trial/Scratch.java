package ableschema.engine.trial;

import ableschema.core.design.Design;
import ableschema.core.design.Pins;
import ableschema.core.document.Document;
import ableschema.core.schema.Column;
import ableschema.core.schema.DomainType;
import ableschema.core.schema.Schema;
import ableschema.core.schema.Table;
import ableschema.core.schema.TableName;
import ableschema.core.sql.dialect.Ability;
import ableschema.core.sql.dialect.Dialect;
import ableschema.core.types.DataType;
import java.sql.Connection;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.LinkedHashSet;
import java.util.Set;

/** Schemas of a database that a trial makes for itself, one for each of the design's, so that it touches nothing that is there. */
final class Scratch {

    private final String name;
    private final Dialect dialect;
    private final Set<String> made = new LinkedHashSet<>();

    /** @param name one that no schema has */
    Scratch(String name, Dialect dialect) {
        this.name = name;
        this.dialect = dialect;
    }

    /** The schema in which what has none of its own is tried. */
    String name() {
        return name;
    }

    /** The same design with everything in schemas of the trial. */
    Document in(Document document) {
        if (!dialect.can(Ability.NAMESPACES)) {
            return document;
        }
        Design design = document.design();
        var entities = design.entities().stream()
                .map(each -> each.withPins(moved(each.pins())))
                .toList();
        var relationships = design.relationships().stream()
                .map(each -> each.withPins(moved(each.pins())))
                .toList();
        var domains = design.domains().stream()
                .map(each -> each.withPins(moved(each.pins())))
                .toList();
        return document.with(design.withDomains(domains).withAll(entities, relationships));
    }

    private Pins moved(Pins pins) {
        String namespace = pins.namespace().isEmpty() ? name : name + "_" + pins.namespace();
        made.add(namespace);
        return pins.withNamespace(namespace);
    }

    /** Makes the schema in which what names none is looked for and made. */
    void enter(Connection connection) throws SQLException {
        if (!dialect.can(Ability.NAMESPACES)) {
            return;
        }
        made.add(name);
        try (Statement statement = connection.createStatement()) {
            statement.execute(dialect.namespace(name));
            switch (dialect.name()) {
                case "postgresql" -> statement.execute("SET search_path TO " + dialect.quoted(name) + ", public");
                case "h2" -> statement.execute("SET SCHEMA " + dialect.quoted(name));
                default -> connection.setCatalog(name);
            }
        }
    }

    /** What stands in the schemas of the trial, by the names that it has in the design. */
    Schema out(Schema schema) {
        return new Schema(
                schema.domains().stream()
                        .filter(each -> isOurs(each.name()))
                        .map(each -> new DomainType(
                                back(each.name()),
                                each.base(),
                                each.check(),
                                each.defaultValue(),
                                each.comment(),
                                each.options()))
                        .toList(),
                schema.tables().stream()
                        .filter(each -> isOurs(each.qualified()))
                        .map(this::out)
                        .toList());
    }

    /** What stands in the schema of what has none of its own, as one sees it from there. */
    Schema here(Schema schema) {
        Schema out = out(schema);
        return new Schema(
                out.domains(),
                out.tables().stream().filter(each -> each.namespace().isEmpty()).toList());
    }

    private boolean isOurs(TableName table) {
        return !dialect.can(Ability.NAMESPACES) || table.namespace().startsWith(name);
    }

    private Table out(Table table) {
        return new Table(
                back(table.qualified()),
                table.comment(),
                table.columns().stream().map(this::out).toList(),
                table.primaryKey(),
                table.foreignKeys().stream()
                        .map(key -> key.to(back(key.target()), key.targetColumns()))
                        .toList(),
                table.uniques(),
                table.checks(),
                table.indexes(),
                table.options());
    }

    private Column out(Column column) {
        return column.type() instanceof DataType.InDomain named
                ? new Column(
                        column.name(),
                        new DataType.InDomain(back(named(named.domain())).toString()),
                        column.nullable(),
                        column.filling(),
                        column.identity(),
                        column.comment(),
                        column.options())
                : column;
    }

    private static TableName named(String domain) {
        int point = domain.indexOf('.');
        return point < 0
                ? TableName.of(domain)
                : new TableName(domain.substring(0, point), domain.substring(point + 1));
    }

    private TableName back(TableName table) {
        String namespace = table.namespace();
        return !namespace.startsWith(name)
                ? table
                : new TableName(
                        namespace.length() > name.length() ? namespace.substring(name.length() + 1) : "", table.name());
    }

    /** Takes away all that the trial has made, whatever became of it. */
    void drop(Connection connection) throws SQLException {
        boolean databases = dialect.name().equals("mysql") || dialect.name().equals("mariadb");
        try (Statement statement = connection.createStatement()) {
            for (String each : made) {
                statement.execute(
                        databases
                                ? "DROP DATABASE IF EXISTS " + dialect.quoted(each)
                                : "DROP SCHEMA IF EXISTS " + dialect.quoted(each) + " CASCADE");
            }
        }
    }
}
