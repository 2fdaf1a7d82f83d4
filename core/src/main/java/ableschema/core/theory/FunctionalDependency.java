package ableschema.core.theory;

/** Rows alike in all of {@code from} are alike in all of {@code to}. */
public record FunctionalDependency(AttributeSet from, AttributeSet to) {}
