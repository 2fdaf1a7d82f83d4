package ableschema.core.sql.dialect;

import ableschema.core.sql.dialect.TypeForm.Kind;
import ableschema.core.types.DataType;
import java.util.Optional;

/** Says what of a type's size a dialect cannot keep. */
final class TypeLimits extends DataType.OtherVisitor<Optional<String>> {

    /** The bytes of a decimal type that keeps any number of digits where none are given. */
    static final int UNBOUNDED = -1;

    private final Dialect dialect;

    TypeLimits(Dialect dialect) {
        this.dialect = dialect;
    }

    @Override
    protected Optional<String> other(DataType type) {
        TypeForm form = dialect.form(type);
        return form.isUnlimited()
                ? Optional.empty()
                : Optional.of("it holds nothing before " + form.first() + " nor after " + form.last());
    }

    @Override
    public Optional<String> text(DataType.Text type) {
        return beyond(Kind.TEXT, type.max(), type, "characters");
    }

    @Override
    public Optional<String> bytes(DataType.Bytes type) {
        return beyond(Kind.BYTES, type.max(), type, "bytes");
    }

    private Optional<String> beyond(Kind kind, long wanted, DataType type, String of) {
        long limit = dialect.traits().type(kind).limit();
        return limit > 0 && wanted > limit
                ? Optional.of("at most " + limit + " " + of + " can be asked for, so that it is " + dialect.type(type)
                        + " and longer ones than " + wanted + " are taken too")
                : Optional.empty();
    }

    @Override
    public Optional<String> decimal(DataType.Decimal type) {
        TypeForm form = dialect.traits().type(Kind.DECIMAL);
        int scale = dialect.traits().decimalScale();
        boolean beyond = form.limit() > 0 && type.precision() > form.limit() || scale > 0 && type.scale() > scale;
        return beyond
                ? Optional.of("at most " + form.limit() + " digits can be asked for, so that " + type + " is "
                        + dialect.type(type))
                : Optional.empty();
    }
}
