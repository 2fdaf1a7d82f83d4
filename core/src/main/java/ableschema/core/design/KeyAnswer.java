package ableschema.core.design;

/**
 * An answer to a question on which the choice of a key depends.
 *
 * @param about the entity or attribute that it is about
 */
public record KeyAnswer(Id about, KeyQuestion question, boolean yes) {}
