package ableschema.core.theory;

/**
 * A dependency that keeps a relation from a normal form.
 *
 * @param form        the lowest form that it breaks
 * @param from        the determinant
 * @param to          what hangs on it
 * @param multivalued whether it is a multivalued dependency
 */
public record Violation(NormalForm form, AttributeSet from, AttributeSet to, boolean multivalued) {}
