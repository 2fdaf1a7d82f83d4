package ableschema.engine;

import static org.assertj.core.api.Assertions.assertThat;

import ableschema.core.design.Attribute;
import ableschema.core.design.Body;
import ableschema.core.design.Cardinality;
import ableschema.core.design.Check;
import ableschema.core.design.Condition;
import ableschema.core.design.Design;
import ableschema.core.design.End;
import ableschema.core.design.EndRef;
import ableschema.core.design.Entity;
import ableschema.core.design.EntityKind;
import ableschema.core.design.IdKind;
import ableschema.core.design.IdSource;
import ableschema.core.design.Pins;
import ableschema.core.design.Relationship;
import ableschema.core.design.Row;
import ableschema.core.design.Side;
import ableschema.core.document.Document;
import ableschema.core.document.HouseRules;
import ableschema.core.expression.Expression;
import ableschema.core.mapping.NameStyle;
import ableschema.core.mapping.NamingRules;
import ableschema.core.rows.DesignScript;
import ableschema.core.schema.Table;
import ableschema.core.types.DataType;
import java.sql.Connection;
import java.sql.ResultSet;
import java.sql.Statement;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;

/** Names and values that would end a literal, a comment or a statement, or that are words of SQL themselves. */
class HostileNamesTest {

    private static final List<String> NAMES = List.of(
            "it's \"quoted\"",
            "a; DROP TABLE apiary; --",
            "*/ end /* of comment",
            "order",
            "select",
            "user",
            "long ".repeat(40),
            "🐝 hive 🍯",
            "خلية النحل",
            "line\nbreak",
            "`back` [square] {curly} ?",
            "$$ $1 :name @at",
            "100 %",
            "Ä Ö ß",
            "\\backslash\\");

    static Stream<Arguments> engines() {
        return Stream.of(RealEngine.values()).flatMap(engine -> Stream.of(NameStyle.SNAKE, NameStyle.AS_WRITTEN)
                .map(style -> Arguments.of(engine, style)));
    }

    /** One entity for each name, with an attribute, a rule, a comment, a default and a row of that very text, in a chain. */
    static Document hostile(NameStyle style) {
        IdSource ids = IdSource.seeded(5);
        var entities = new ArrayList<Entity>();
        var relationships = new ArrayList<Relationship>();
        for (String name : NAMES) {
            var key = Attribute.named(ids.next(IdKind.ATTRIBUTE), name)
                    .withType(new DataType.Text(300))
                    .withComment(name);
            var other = Attribute.named(ids.next(IdKind.ATTRIBUTE), name + " too")
                    .withType(new DataType.Text(300))
                    .withDefault(Expression.of(new Expression.Text<>(Expression.literal(new DataType.Text(0), name))));
            var rule = new Condition.OneOf(key.ref(), List.of(name, "another"));
            Row row = Row.empty(ids.next(IdKind.ROW)).with(key.id(), name);
            var entity =
                    new Entity(ids.next(IdKind.ENTITY), name, new EntityKind(name), name, false, Body.EMPTY, Pins.NONE);
            if (!entities.isEmpty()) {
                Entity parent = entities.get(entities.size() - 1);
                var relationship = Relationship.between(
                        ids.next(IdKind.RELATIONSHIP),
                        new End(parent.id(), name, Cardinality.EXACTLY_ONE, name),
                        new End(entity.id(), name, Cardinality.ANY_NUMBER, ""));
                relationships.add(relationship);
                row = row.with(
                        new EndRef(relationship.id(), Side.FIRST),
                        Optional.of(Row.Reference.to(parent.body().rows().get(0))));
            }
            entities.add(entity.withBody(Body.EMPTY
                    .withAttributes(List.of(key, other))
                    .withKey(List.of(key.ref()))
                    .withChecks(List.of(new Check(ids.next(IdKind.CHECK), rule.expression(key.type()), Pins.NONE)))
                    .withRows(List.of(row))));
        }
        HouseRules rules =
                HouseRules.USUAL.withNaming(new NamingRules(style, false, true)).withDialect("postgresql");
        return Document.EMPTY.with(Design.of(entities, relationships)).with(rules);
    }

    @ParameterizedTest
    @MethodSource("engines")
    void definitions_and_rows_arrive_unharmed(RealEngine engine, NameStyle style) throws Exception {
        Document document = hostile(style);
        var script = DesignScript.withRows(document.mapping(), engine.dialect());
        assertThat(script.text()).doesNotContain("left out");
        try (Connection connection = engine.open()) {
            ScriptRun run = ScriptRun.of(script, connection);
            assertThat(run.refusal()).as(script.text()).isEmpty();
            List<Table> tables = document.mapping().schema().tables();
            for (int i = 0; i < NAMES.size(); i++) {
                Table table = tables.get(i);
                String query = "SELECT "
                        + engine.dialect().quoted(table.columns().get(0).name()) + ", "
                        + engine.dialect().quoted(table.columns().get(1).name()) + " FROM "
                        + engine.dialect().quoted(table.name());
                try (Statement statement = connection.createStatement()) {
                    statement.setEscapeProcessing(false);
                    ResultSet rows = statement.executeQuery(query);
                    assertThat(rows.next()).isTrue();
                    assertThat(rows.getString(1)).isEqualTo(NAMES.get(i));
                    assertThat(rows.getString(2)).isEqualTo(NAMES.get(i));
                }
            }
        }
    }
}
