package ableschema.core;

import ableschema.core.design.Attribute;
import ableschema.core.design.Design;
import ableschema.core.design.Entity;
import ableschema.core.design.Id;
import ableschema.core.design.IdSource;
import ableschema.core.design.Row;
import ableschema.core.document.Document;
import ableschema.core.document.Edit;
import ableschema.core.edit.ChangeBody;
import ableschema.core.edit.ChangeRules;
import ableschema.core.mapping.Gap;
import ableschema.core.review.Review;
import ableschema.core.review.Subject;
import ableschema.core.rows.RowEntry;
import ableschema.core.rows.RowTable;
import ableschema.core.schema.Schema;
import ableschema.core.schema.Table;
import ableschema.core.sql.dialect.Dialect;
import ableschema.core.words.RuleLine;
import ableschema.core.words.Understanding;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;

/** A document under test, written in the words of the rule line and changed by {@code with}. */
public final class DesignFixture {

    private static final IdSource IDS = IdSource.seeded(7);

    private final Document document;

    private DesignFixture(Document document) {
        this.document = document;
    }

    /** Reads sentences one by one; a sentence that is not understood fails the test with its problem. */
    public static DesignFixture design(String... sentences) {
        return new DesignFixture(Document.EMPTY).with(sentences);
    }

    public static DesignFixture of(Document document) {
        return new DesignFixture(document);
    }

    public DesignFixture with(String... sentences) {
        DesignFixture changed = this;
        for (String sentence : sentences) {
            changed = changed.with(changed.read(sentence, Optional.empty()));
        }
        return changed;
    }

    /** Says dependencies of an entity, as in {@code "hive code -> apiary"}. */
    public DesignFixture where(String entity, String... dependencies) {
        DesignFixture changed = this;
        for (String dependency : dependencies) {
            changed = changed.with(changed.read(dependency, Optional.of(entity)));
        }
        return changed;
    }

    public DesignFixture with(Edit edit) {
        return new DesignFixture(edit.applyTo(document));
    }

    public DesignFixture with(Function<DesignFixture, Edit> edit) {
        return with(edit.apply(this));
    }

    private Edit read(String text, Optional<String> entity) {
        Understanding understanding =
                new RuleLine(design(), entity.map(name -> entity(name).id()), IDS).read(text);
        if (understanding instanceof Understanding.Understood understood) {
            return understood.edit();
        }
        throw new AssertionError("not understood: " + text + ": " + understanding);
    }

    /** Fills in sample rows, as they are pasted: a line of names, then the rows. */
    public DesignFixture filled(String entity, String csv) {
        Id owner = entity(entity).id();
        List<Row> rows = new RowTable(new RowEntry(design(), owner, IDS))
                .read(csv, false, List.of())
                .rows();
        return with(new ChangeBody(owner, entity(entity).body().withRows(rows), "fill"));
    }

    public Document document() {
        return document;
    }

    public Design design() {
        return document.design();
    }

    public IdSource ids() {
        return IDS;
    }

    public Entity entity(String name) {
        return design().entity(name).orElseThrow(() -> new AssertionError("no entity " + name));
    }

    public Attribute attribute(String entity, String name) {
        return entity(entity).body().attribute(name).orElseThrow(() -> new AssertionError("no attribute " + name));
    }

    /** The tables that the design gives. */
    public Schema schema() {
        return document.mapping().schema();
    }

    public Table table(String name) {
        return schema().table(name).orElseThrow(() -> new AssertionError("no table " + name));
    }

    /** What the design says and its tables do not have. */
    public List<String> gaps() {
        return document.mapping().gaps().stream().map(Gap::text).toList();
    }

    /** All that there is to say about the design. */
    public Review review() {
        return Review.of(Subject.of(document, document.mapping()));
    }

    /** The same design, written for another dialect. */
    public DesignFixture writtenFor(Dialect dialect) {
        return with(new ChangeRules(document.rules().withDialect(dialect.name()), "dialect"));
    }
}
