package ableschema.core.review;

import ableschema.core.design.Design;
import ableschema.core.design.Id;
import ableschema.core.design.Judgement;
import ableschema.core.design.Relationship;
import ableschema.core.document.Document;
import ableschema.core.mapping.Mapping;
import ableschema.core.mapping.Trace;
import ableschema.core.rows.FilledRows;
import ableschema.core.rows.RowValues;
import ableschema.core.schema.Schema;
import ableschema.core.schema.Table;
import ableschema.core.sql.dialect.Dialect;
import ableschema.core.words.Nouns;
import ableschema.core.words.Sentences;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;

/** What is reviewed: a design without what is set aside in it, its tables, the dialect, and its rows as they would be inserted. */
public final class Subject {

    private final Document document;
    private final Design design;
    private final Mapping mapping;
    private final Dialect dialect;
    private final Map<Id, List<Judgement>> judgements = new HashMap<>();
    private Optional<Sentences> sentences = Optional.empty();
    private Optional<Nouns> nouns = Optional.empty();
    private Optional<Design> filled = Optional.empty();
    private Optional<RowValues> values = Optional.empty();
    private Optional<UndeclaredFinder.Keyed> keyed = Optional.empty();

    private Subject(Document document, Mapping mapping) {
        this.document = document;
        this.design = document.design().inScope();
        this.mapping = mapping;
        this.dialect = document.dialect();
        for (Judgement each : document.design().notes().judgements()) {
            judgements.computeIfAbsent(each.about(), id -> new ArrayList<>()).add(each);
        }
    }

    /** @param mapping the tables of the document */
    public static Subject of(Document document, Mapping mapping) {
        return new Subject(document, mapping);
    }

    public Document document() {
        return document;
    }

    /** The design without what is set aside. */
    public Design design() {
        return design;
    }

    public Mapping mapping() {
        return mapping;
    }

    public Schema schema() {
        return mapping.schema();
    }

    public Trace trace() {
        return mapping.trace();
    }

    public Dialect dialect() {
        return dialect;
    }

    /** A name with all letters alike that a database, or the chosen one, holds equal. */
    String folded(String name) {
        return dialect.traits().comparison().folded(name.toLowerCase(Locale.ROOT));
    }

    /** The table of an entity or many-to-many relationship, which a kind that shares one does not have. */
    public Optional<Table> table(Id owner) {
        return mapping.trace().tableOf(owner);
    }

    /** The relationships of an entity. */
    public List<Relationship> relationshipsOf(Id entity) {
        return design.relationshipsOf(entity).toList();
    }

    /** What was said of the sentences of a thing. */
    List<Judgement> judgementsOf(Id about) {
        return judgements.getOrDefault(about, List.of());
    }

    Sentences sentences() {
        if (sentences.isEmpty()) {
            sentences = Optional.of(new Sentences(design));
        }
        return sentences.get();
    }

    Nouns nouns() {
        if (nouns.isEmpty()) {
            nouns = Optional.of(Nouns.of(design));
        }
        return nouns.get();
    }

    /** The design with its sample rows as a database would complete them. */
    public Design filled() {
        if (filled.isEmpty()) {
            filled = Optional.of(FilledRows.of(design));
        }
        return filled.get();
    }

    /** What columns that refer to the entities would be called. */
    UndeclaredFinder.Keyed keyed() {
        if (keyed.isEmpty()) {
            keyed = Optional.of(UndeclaredFinder.Keyed.of(this));
        }
        return keyed.get();
    }

    /** The values in those rows. */
    public RowValues values() {
        if (values.isEmpty()) {
            values = Optional.of(new RowValues(filled()));
        }
        return values.get();
    }
}
