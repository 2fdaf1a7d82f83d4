package ableschema.core.expression;

import java.util.function.Function;

/**
 * What fills a column where nobody gives a value: nothing, a default, or a computation from the other columns of its row,
 * which nobody can give a value for.
 *
 * @param <R> what a column is addressed by
 */
public record Filling<R>(Kind kind, Expression<R> expression) {

    /** How a column is filled. */
    public enum Kind {
        NOTHING,
        DEFAULT,
        COMPUTED
    }

    private static final Filling<?> NOTHING = new Filling<>(Kind.NOTHING, Expression.none());

    public Filling {
        if (expression.isPresent() == (kind == Kind.NOTHING)) {
            throw new IllegalArgumentException(
                    "a column filled by " + kind + " cannot have the expression '" + expression + "'");
        }
    }

    @SuppressWarnings("unchecked") // there is no expression of the type in it
    public static <R> Filling<R> nothing() {
        return (Filling<R>) NOTHING;
    }

    /** A default; nothing where there is no expression. */
    public static <R> Filling<R> byDefault(Expression<R> expression) {
        return expression.isPresent() ? new Filling<>(Kind.DEFAULT, expression) : nothing();
    }

    /** A computation; nothing where there is no expression. */
    public static <R> Filling<R> computed(Expression<R> expression) {
        return expression.isPresent() ? new Filling<>(Kind.COMPUTED, expression) : nothing();
    }

    /** The default; no expression where it is filled by nothing or computed. */
    public Expression<R> defaultValue() {
        return kind == Kind.DEFAULT ? expression : Expression.none();
    }

    public boolean isComputed() {
        return kind == Kind.COMPUTED;
    }

    public boolean isPresent() {
        return kind != Kind.NOTHING;
    }

    /** Returns this filling with each column addressed as the function says. */
    public <S> Filling<S> map(Function<? super R, ? extends S> address) {
        return isPresent() ? new Filling<>(kind, expression.map(address)) : nothing();
    }
}
