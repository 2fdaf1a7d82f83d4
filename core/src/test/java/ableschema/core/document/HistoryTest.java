package ableschema.core.document;

import static ableschema.core.DesignFixture.design;
import static org.assertj.core.api.Assertions.assertThat;

import ableschema.core.brief.BriefEdits;
import ableschema.core.design.Attribute;
import ableschema.core.design.Cardinality;
import ableschema.core.design.EntityKind;
import ableschema.core.design.IdKind;
import ableschema.core.design.IdSource;
import ableschema.core.design.Index;
import ableschema.core.design.Relationship;
import ableschema.core.design.Side;
import ableschema.core.design.Topic;
import ableschema.core.edit.ChangeDiagram;
import ableschema.core.edit.ChangeDiagrams;
import ableschema.core.edit.ChangeRules;
import ableschema.core.edit.Edits;
import ableschema.core.edit.MoveCards;
import ableschema.core.mapping.NameStyle;
import ableschema.core.mapping.NamingRules;
import ableschema.core.rows.DesignScript;
import ableschema.core.sql.dialect.Dialects;
import ableschema.core.store.DocumentFile;
import ableschema.core.types.DataTypes;
import ableschema.core.words.ConditionText;
import ableschema.core.words.RuleLine;
import ableschema.core.words.Understanding;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import org.junit.jupiter.api.Test;

class HistoryTest {

    private static final IdSource IDS = IdSource.seeded(9);

    private static Attribute attribute(Document d, String entity, String name) {
        return d.design().entity(entity).orElseThrow().body().attribute(name).orElseThrow();
    }

    private static Relationship relationship(Document d) {
        return d.design().relationships().get(0);
    }

    private static Edit said(Document d, String sentence) {
        var reading = new RuleLine(d.design(), Optional.empty(), IDS).read(sentence);
        assertThat(reading).as(sentence).isInstanceOf(Understanding.Understood.class);
        return ((Understanding.Understood) reading).edit();
    }

    /** Some thirty different things that a designer does, one after the other. */
    private static List<Function<Document, Edit>> thirty() {
        List<Function<Document, Edit>> edits = new ArrayList<>();
        edits.add(d -> said(d, "Each apiary has code: text 6 (key), name: text 60."));
        edits.add(d -> said(d, "Each hive has stand no: whole 500 (key), colour: text 20."));
        edits.add(d -> said(d, "Each hive stands in exactly one apiary; each apiary shelters any number of hives."));
        edits.add(
                d -> new Edits(d.design(), IDS).rename(d.design().entity("Hive").orElseThrow(), "Colony"));
        edits.add(d ->
                new Edits(d.design(), IDS).setKind(d.design().entity("Apiary").orElseThrow(), EntityKind.PLACE));
        edits.add(d ->
                new Edits(d.design(), IDS).define(d.design().entity("Apiary").orElseThrow(), "Where hives stand."));
        edits.add(d -> new Edits(d.design(), IDS)
                .addAttribute(
                        d.design().entity("Apiary").orElseThrow().id(),
                        Attribute.named(IDS.next(IdKind.ATTRIBUTE), "altitude m")));
        edits.add(d -> new Edits(d.design(), IDS).moveAttribute(attribute(d, "Apiary", "altitude m"), 0));
        edits.add(d -> new Edits(d.design(), IDS)
                .changeAttribute(attribute(d, "Apiary", "altitude m").withType(DataTypes.parse("whole 4000"))));
        edits.add(d -> new Edits(d.design(), IDS)
                .changeAttribute(attribute(d, "Apiary", "altitude m").withOptional(true)));
        edits.add(d -> new Edits(d.design(), IDS).setUnique(attribute(d, "Apiary", "name"), true));
        edits.add(d ->
                new Edits(d.design(), IDS).setOften(attribute(d, "Colony", "colour"), Index.Purpose.SEARCHED, true));
        edits.add(d -> new Edits(d.design(), IDS)
                .setCondition(
                        attribute(d, "Colony", "stand no"),
                        ConditionText.read(attribute(d, "Colony", "stand no"), "> 0")));
        edits.add(d -> new Edits(d.design(), IDS).setIdentifying(relationship(d), true));
        edits.add(d -> new Edits(d.design(), IDS)
                .changeRelationship(relationship(d)
                        .with(Side.SECOND, relationship(d).second().withCardinality(Cardinality.AT_MOST_ONE))));
        edits.add(d -> new Edits(d.design(), IDS)
                .addUnique(
                        d.design().entity("Apiary").orElseThrow().id(),
                        List.of(
                                attribute(d, "Apiary", "altitude m").ref(),
                                attribute(d, "Apiary", "name").ref())));
        edits.add(d -> new Edits(d.design(), IDS)
                .addDependency(
                        d.design().entity("Apiary").orElseThrow().id(),
                        List.of(attribute(d, "Apiary", "name").ref()),
                        List.of(attribute(d, "Apiary", "altitude m").ref())));
        edits.add(d -> new MoveCards(
                Map.of(d.design().entity("Apiary").orElseThrow().id(), new Position(40, 80)), "move Apiary"));
        edits.add(d -> new ChangeRules(
                HouseRules.USUAL
                        .withNaming(new NamingRules(NameStyle.CAMEL, true, false))
                        .withDialect("h2"),
                "name another way"));
        edits.add(d -> new ChangeDiagram(d.diagram().withNotation(Notation.CHEN), "draw the ends as Chen"));
        edits.add(d -> new Edits(d.design(), IDS)
                .remove(List.of(attribute(d, "Colony", "colour").id())));
        edits.add(d -> new BriefEdits(d.design(), IDS).setPurpose("To know of every colony where it stands."));
        edits.add(d -> new BriefEdits(d.design(), IDS).ask("Which colonies stand where?"));
        edits.add(d -> new BriefEdits(d.design(), IDS)
                .setAnswer(
                        d.design().notes().brief().questions().get(0),
                        attribute(d, "Apiary", "name").id(),
                        true));
        edits.add(d -> new Edits(d.design(), IDS)
                .setReason(Topic.keyOf(d.design().entity("Apiary").orElseThrow().id()), "It is painted on the gate."));
        edits.add(d -> new ChangeRules(d.rules().withReasonsInSql(true), "reasons in the SQL"));
        edits.add(d -> said(d, "A nuc is a kind of colony (in one table)."));
        edits.add(d -> ChangeDiagrams.add(
                d, "gates", List.of(d.design().entity("Apiary").orElseThrow().id())));
        edits.add(d ->
                new Edits(d.design(), IDS).setParked(d.design().entity("Nuc").orElseThrow(), true));
        return edits;
    }

    private static String sql(Document document) {
        return document.mapping().undecided().isEmpty()
                ? DesignScript.definitions(document.mapping(), Dialects.POSTGRESQL)
                        .text()
                : document.mapping().undecided().toString();
    }

    @Test
    void changes_of_thirty_sorts_are_undone_and_redone_to_the_same_file_and_sql_each_time() {
        var history = new History(Document.EMPTY);
        List<String> files = new ArrayList<>(List.of(DocumentFile.print(Document.EMPTY)));
        List<String> scripts = new ArrayList<>(List.of(sql(Document.EMPTY)));
        for (Function<Document, Edit> edit : thirty()) {
            history.apply(edit.apply(history.present()));
            files.add(DocumentFile.print(history.present()));
            scripts.add(sql(history.present()));
        }
        assertThat(files).hasSize(30).doesNotHaveDuplicates();
        for (int i = files.size() - 2; i >= 0; i--) {
            history.undo();
            assertThat(DocumentFile.print(history.present())).isEqualTo(files.get(i));
            assertThat(sql(history.present())).isEqualTo(scripts.get(i));
        }
        assertThat(history.undoable()).isEmpty();
        for (int i = 1; i < files.size(); i++) {
            history.redo();
            assertThat(DocumentFile.print(history.present())).isEqualTo(files.get(i));
            assertThat(sql(history.present())).isEqualTo(scripts.get(i));
        }
        assertThat(history.redoable()).isEmpty();
    }

    @Test
    void a_new_change_ends_what_could_be_done_again_and_nothing_done_leaves_no_trace() {
        var start = design("Each hive has code: text 6 (key).");
        var history = new History(start.document());
        history.apply(new Edits(start.design(), IDS).rename(start.entity("Hive"), "Colony"));
        history.undo();
        assertThat(history.redoable()).contains("rename Hive to Colony");
        history.apply(new Edits(start.design(), IDS).rename(start.entity("Hive"), "Hive"));
        assertThat(history.redoable()).contains("rename Hive to Colony");
        assertThat(history.undoable()).isEmpty();
        history.apply(new Edits(start.design(), IDS).rename(start.entity("Hive"), "Nest"));
        assertThat(history.redoable()).isEmpty();
        assertThat(history.undoable()).contains("rename Hive to Nest");
        history.redo();
        assertThat(history.present().design().entity("Nest")).isPresent();
    }
}
