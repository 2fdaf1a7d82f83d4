package ableschema.core.schema;

/** Something to be said beside one part of a schema, such as that a rule could not be put into it. */
public record Remark(Part place, String text) {}
