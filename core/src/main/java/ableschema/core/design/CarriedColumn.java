package ableschema.core.design;

/** What a designer has said of a foreign key column beyond what follows from its relationship; empty texts say nothing. */
public record CarriedColumn(ForeignColumn column, String name, String comment) {}
