package ableschema.engine;

import static org.assertj.core.api.Assertions.assertThat;

import ableschema.core.design.Attribute;
import ableschema.core.design.Body;
import ableschema.core.design.Cardinality;
import ableschema.core.design.Design;
import ableschema.core.design.End;
import ableschema.core.design.Entity;
import ableschema.core.design.Id;
import ableschema.core.design.IdKind;
import ableschema.core.design.IdSource;
import ableschema.core.design.Lists;
import ableschema.core.design.Relationship;
import ableschema.core.design.Row;
import ableschema.core.design.Side;
import ableschema.core.document.Document;
import ableschema.core.rows.DesignScript;
import ableschema.core.sql.dialect.Ability;
import ableschema.core.types.DataType;
import java.sql.Connection;
import java.sql.ResultSet;
import java.sql.Statement;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** Tables and rows that refer to each other in a circle, and a table that refers to itself. */
class CirclesTest {

    private final IdSource ids = IdSource.seeded(11);

    private Entity entity(String name) {
        var key = Attribute.named(ids.next(IdKind.ATTRIBUTE), "no").withType(new DataType.Whole(0));
        Row one = Row.empty(ids.next(IdKind.ROW)).with(key.id(), "1");
        Row two = Row.empty(ids.next(IdKind.ROW)).with(key.id(), "2");
        return Entity.named(ids.next(IdKind.ENTITY), name)
                .withBody(Body.EMPTY
                        .withAttributes(List.of(key))
                        .withKey(List.of(key.ref()))
                        .withRows(List.of(one, two)));
    }

    private Relationship optionalParent(Entity parent, Entity child, String verb) {
        return Relationship.between(
                ids.next(IdKind.RELATIONSHIP),
                new End(parent.id(), "is chosen by", Cardinality.AT_MOST_ONE, ""),
                new End(child.id(), verb, Cardinality.ANY_NUMBER, ""));
    }

    private static Design referring(Design design, Id from, int row, Relationship through, Id to, int target) {
        Body body = design.body(from).orElseThrow();
        Row parent = design.body(to).orElseThrow().rows().get(target);
        Row changed = body.rows().get(row).with(through.ref(Side.FIRST), Optional.of(Row.Reference.to(parent)));
        return design.withBody(from, body.withRows(Lists.replace(body.rows(), Row::id, changed)));
    }

    @ParameterizedTest
    @EnumSource
    void are_built_and_filled(RealEngine engine) throws Exception {
        Entity hive = entity("hive");
        Entity keeper = entity("keeper");
        Relationship cares = optionalParent(hive, keeper, "prefers");
        Relationship owns = optionalParent(keeper, hive, "belongs to");
        Relationship mentors = optionalParent(keeper, keeper, "learns from");
        Design design = Design.of(List.of(hive, keeper), List.of(cares, owns, mentors));
        design = referring(design, keeper.id(), 0, cares, hive.id(), 0);
        design = referring(design, hive.id(), 0, owns, keeper.id(), 0);
        design = referring(design, keeper.id(), 0, mentors, keeper.id(), 1);
        design = referring(design, keeper.id(), 1, mentors, keeper.id(), 0);
        Document document = Document.EMPTY.with(design);
        var script = DesignScript.withRows(document.mapping(), engine.dialect());

        try (Connection connection = engine.open();
                Statement statement = connection.createStatement()) {
            ScriptRun run = ScriptRun.of(script, connection);
            assertThat(run.refusal()).as(script.text()).isEmpty();
            try (ResultSet both = statement.executeQuery("SELECT count(*) FROM hive h JOIN keeper k"
                    + " ON h.keeper_no = k.no AND k.hive_no = h.no JOIN keeper m ON k.learns_from_keeper_no = m.no")) {
                both.next();
                assertThat(both.getInt(1)).isEqualTo(1);
            }
        }
    }

    @ParameterizedTest
    @EnumSource
    void rows_that_no_order_could_put_in_need_constraints_that_wait(RealEngine engine) throws Exception {
        Entity hive = entity("hive");
        Entity keeper = entity("keeper");
        Relationship cares = mandatory(optionalParent(hive, keeper, "cares for"));
        Relationship owns = mandatory(optionalParent(keeper, hive, "belongs to"));
        Design design = Design.of(List.of(hive, keeper), List.of(cares, owns));
        design = referring(design, keeper.id(), 0, cares, hive.id(), 0);
        design = referring(design, hive.id(), 0, owns, keeper.id(), 0);
        Document document = Document.EMPTY.with(design);
        var script = DesignScript.withRows(document.mapping(), engine.dialect());

        boolean defers = engine.dialect().can(Ability.DEFERRED_CONSTRAINTS);
        if (!defers) {
            assertThat(script.text())
                    .contains("-- left out")
                    .contains("run in a circle")
                    .contains("go in only while it is not there")
                    .doesNotContain("INSERT");
        }
        try (Connection connection = engine.open();
                Statement statement = connection.createStatement()) {
            assertThat(ScriptRun.of(script, connection).refusal())
                    .as(script.text())
                    .isEmpty();
            try (ResultSet rows = statement.executeQuery(
                    "SELECT count(*) FROM hive h JOIN keeper k ON h.keeper_no = k.no AND k.hive_no = h.no")) {
                rows.next();
                assertThat(rows.getInt(1)).isEqualTo(defers ? 1 : 0);
            }
        }
    }

    private static Relationship mandatory(Relationship relationship) {
        return relationship.with(Side.FIRST, relationship.first().withCardinality(Cardinality.EXACTLY_ONE));
    }
}
