package ableschema.core.sql.dialect;

import static java.util.stream.Collectors.joining;

import ableschema.core.sql.dialect.TypeForm.Kind;
import ableschema.core.types.DataType;

/** Writes types as a dialect names them. */
final class TypeWriter extends DataType.OtherVisitor<String> {

    private final Dialect dialect;

    TypeWriter(Dialect dialect) {
        this.dialect = dialect;
    }

    @Override
    protected String other(DataType type) {
        return dialect.form(type).pattern();
    }

    @Override
    public String undecided() {
        return "undecided";
    }

    @Override
    public String text(DataType.Text type) {
        return other(type).replace("{n}", String.valueOf(type.max()));
    }

    @Override
    public String bytes(DataType.Bytes type) {
        return other(type).replace("{n}", String.valueOf(type.max()));
    }

    @Override
    public String list(DataType.OneOf type) {
        return other(type)
                .replace("{n}", String.valueOf(type.longest()))
                .replace("{values}", type.values().stream().map(dialect::text).collect(joining(", ")));
    }

    @Override
    public String decimal(DataType.Decimal type) {
        TypeForm form = dialect.traits().type(Kind.DECIMAL);
        if (form.limit() > 0 && type.precision() > form.limit() && form.bytes() == TypeLimits.UNBOUNDED) {
            return form.pattern().replaceFirst("\\(.*", "");
        }
        long precision = form.limit() == 0 ? type.precision() : Math.min(type.precision(), form.limit());
        int most = dialect.traits().decimalScale();
        long scale = Math.min(precision, most == 0 ? type.scale() : Math.min(type.scale(), most));
        return form.pattern().replace("{p}", String.valueOf(precision)).replace("{s}", String.valueOf(scale));
    }

    @Override
    public String domain(DataType.InDomain type) {
        int point = type.domain().indexOf('.');
        return point < 0
                ? dialect.quoted(type.domain())
                : dialect.quoted(type.domain().substring(0, point)) + "."
                        + dialect.quoted(type.domain().substring(point + 1));
    }
}
