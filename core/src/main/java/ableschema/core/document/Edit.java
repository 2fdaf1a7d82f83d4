package ableschema.core.document;

/** One thing a designer does; it turns a document into the next, and undo is the document before. */
public interface Edit {

    /** What it does, as it reads in a history: "rename hive to colony". */
    String name();

    /** Returns the changed document; the same instance if there is nothing to change. */
    Document applyTo(Document document);
}
