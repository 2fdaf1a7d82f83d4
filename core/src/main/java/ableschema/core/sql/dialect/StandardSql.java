package ableschema.core.sql.dialect;

import ableschema.core.types.DataType;
import ableschema.core.types.DataType.Simple;

/** SQL as ISO/IEC 9075 has it, with the descriptions that several databases added in one form. */
final class StandardSql extends Dialect {

    private static final Traits TRAITS = Traits.STANDARD
            .without(
                    Ability.SKIP_EXISTING,
                    Ability.DROP_EXISTING,
                    Ability.RESTART_NUMBERING,
                    Ability.NUMBERS_BESIDE_TEXTS,
                    Ability.PARTIAL_INDEXES,
                    Ability.MADE_INDEXES)
            .withOptions(DialectOption.rawType());

    StandardSql() {
        super(TRAITS);
    }

    @Override
    protected String typed(DataType type, String canonical) {
        if (type == Simple.DATE) {
            return "DATE " + text(canonical);
        }
        if (type == Simple.TIME) {
            return "TIME " + text(canonical);
        }
        return type == Simple.MOMENT || type == Simple.MOMENT_ANYWHERE
                ? "TIMESTAMP " + text(canonical)
                : super.typed(type, canonical);
    }
}
