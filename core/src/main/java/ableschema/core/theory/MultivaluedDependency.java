package ableschema.core.theory;

/** For each {@code from}, the values of {@code to} come with every combination of the values of the rest. */
public record MultivaluedDependency(AttributeSet from, AttributeSet to) {}
