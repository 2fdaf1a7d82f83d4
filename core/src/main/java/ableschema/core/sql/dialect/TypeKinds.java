package ableschema.core.sql.dialect;

import ableschema.core.sql.dialect.TypeForm.Kind;
import ableschema.core.types.DataType;

/** The kind of type that a dialect keeps the values of a type as. */
record TypeKinds(Traits traits) implements DataType.Visitor<Kind> {

    @Override
    public Kind undecided() {
        return Kind.LONG_TEXT;
    }

    @Override
    public Kind text(DataType.Text type) {
        return within(Kind.TEXT, type.max()) ? Kind.TEXT : Kind.LONG_TEXT;
    }

    @Override
    public Kind bytes(DataType.Bytes type) {
        return within(Kind.BYTES, type.max()) ? Kind.BYTES : Kind.LONG_BYTES;
    }

    private boolean within(Kind kind, long wanted) {
        long limit = traits.type(kind).limit();
        return wanted > 0 && (limit == 0 || wanted <= limit);
    }

    @Override
    public Kind whole(DataType.Whole type) {
        long largest = type.largest();
        if (largest == 0) {
            return Kind.WHOLE;
        }
        return largest <= Short.MAX_VALUE ? Kind.SMALL : largest <= Integer.MAX_VALUE ? Kind.WHOLE : Kind.BIG;
    }

    @Override
    public Kind counted(DataType.Counted type) {
        return type.largest() > Integer.MAX_VALUE ? Kind.BIG : Kind.WHOLE;
    }

    @Override
    public Kind decimal(DataType.Decimal type) {
        return Kind.DECIMAL;
    }

    @Override
    public Kind list(DataType.OneOf type) {
        return Kind.LIST;
    }

    @Override
    public Kind domain(DataType.InDomain type) {
        return Kind.LONG_TEXT;
    }

    @Override
    public Kind simple(DataType.Simple type) {
        return Kind.valueOf(type.name());
    }
}
