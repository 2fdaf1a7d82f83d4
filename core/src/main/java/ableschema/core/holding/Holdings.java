package ableschema.core.holding;

import ableschema.core.brief.TypeSuggestion;
import ableschema.core.design.Attribute;
import ableschema.core.design.Design;
import ableschema.core.design.IdSource;
import ableschema.core.design.Mark;
import ableschema.core.document.Edit;
import ableschema.core.edit.Edits;
import ableschema.core.types.DataType;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/** Tells what an attribute holds from its type and marks, and gives it the type of what it is said to hold. */
public final class Holdings {

    private static final DataType.Decimal MONEY = new DataType.Decimal(12, 2);
    private static final DataType.Decimal MEASURE = new DataType.Decimal(10, 3);
    private static final DataType.Text WORDS = new DataType.Text(80);
    private static final DataType.Text CODE = new DataType.Text(20);
    /** Longer addresses are cut off by programs on the way. */
    private static final DataType.Text LINK = new DataType.Text(2000);

    private Holdings() {}

    /** Empty for what has no words here, such as a uuid, and where nothing is known of it yet. */
    public static Optional<Holding> of(Design design, Attribute attribute) {
        DataType type = design.typeOf(attribute);
        if (type instanceof DataType.Undecided) {
            List<String> values = values(design, attribute);
            DataType suggested = TypeSuggestion.of(attribute.name(), values).type();
            return suggested instanceof DataType.Undecided
                    ? Optional.empty()
                    : of(design, attribute.withType(suggested));
        }
        if (type instanceof DataType.Whole || type instanceof DataType.Counted) {
            return Optional.of(Holding.COUNT);
        }
        if (type instanceof DataType.Decimal || type == DataType.Simple.REAL) {
            return Optional.of(attribute.is(Mark.MONEY) ? Holding.MONEY : Holding.MEASURED);
        }
        if (type instanceof DataType.Bytes) {
            return Optional.of(Holding.FILE);
        }
        return type instanceof DataType.Simple simple ? simple(simple) : Optional.of(text(design, attribute, type));
    }

    private static Holding text(Design design, Attribute attribute, DataType type) {
        if (type instanceof DataType.OneOf || ListedValues.isChecked(design, attribute)) {
            return Holding.CLOSED;
        }
        if (attribute.is(Mark.CODE) || !attribute.pattern().isEmpty()) {
            return Holding.CODE;
        }
        if (attribute.is(Mark.LINK)) {
            return Holding.LINK;
        }
        return type instanceof DataType.Text text && text.max() == 0 ? Holding.LONG_TEXT : Holding.FEW_WORDS;
    }

    private static Optional<Holding> simple(DataType.Simple type) {
        return switch (type) {
            case DATE -> Optional.of(Holding.DAY);
            case MOMENT -> Optional.of(Holding.MOMENT);
            case MOMENT_ANYWHERE -> Optional.of(Holding.MOMENT_ANYWHERE);
            case TIME -> Optional.of(Holding.TIME_OF_DAY);
            case YEAR -> Optional.of(Holding.YEAR);
            case YES_NO -> Optional.of(Holding.YES_NO);
            case REAL, UUID, JSON -> Optional.empty();
        };
    }

    /** What the sample rows have for an attribute, in their order, without what is empty. */
    static List<String> values(Design design, Attribute attribute) {
        return design.ownerOf(attribute.id()).flatMap(design::body).stream()
                .flatMap(body -> body.rows().stream())
                .flatMap(row -> row.value(attribute.id()).stream())
                .toList();
    }

    /**
     * Gives an attribute the type of what it holds.
     *
     * @throws IllegalArgumentException with what is missing for it, such as the values of a list
     */
    public static Edit say(Design design, IdSource ids, Attribute attribute, Holding holding) {
        if (holding == Holding.CLOSED || holding == Holding.GROWING) {
            return ListedValues.of(design, attribute)
                    .orElseThrow(() -> new IllegalArgumentException(
                            attribute.name() + " holds no words and no numbers of which there could be a list"))
                    .as(holding == Holding.CLOSED ? ListedValues.Form.LIST : ListedValues.Form.TABLE, ids);
        }
        Attribute typed = attribute
                .withType(type(design, attribute, holding))
                .withMarks(marks(attribute.marks(), holding))
                .withPattern(holding == Holding.CODE ? attribute.pattern() : "");
        return holding == Holding.COUNT || ListedValues.of(design, attribute).isEmpty()
                ? new Edits(design, ids).changeAttribute(typed)
                : ListedValues.released(design, typed, ids);
    }

    private static Set<Mark> marks(Set<Mark> before, Holding holding) {
        var marks = EnumSet.noneOf(Mark.class);
        marks.addAll(before);
        marks.removeAll(Holding.MARKS);
        marks.addAll(holding.marks());
        return marks;
    }

    /** The type that a holding asks for; what is known of sizes already, by the type or by the rows, is kept. */
    static DataType type(Design design, Attribute attribute, Holding holding) {
        List<String> values = values(design, attribute);
        DataType now = design.typeOf(attribute);
        DataType seen = TypeSuggestion.of(attribute.name(), values).type();
        return switch (holding) {
            case COUNT ->
                now instanceof DataType.Whole || now instanceof DataType.Counted
                        ? now
                        : seen instanceof DataType.Whole ? seen : new DataType.Whole(0);
            case MEASURED -> decimal(now, seen, MEASURE);
            case MONEY -> decimal(now, seen, MONEY);
            case CODE -> sized(now, values, CODE);
            case FEW_WORDS -> sized(now, values, WORDS);
            case LINK -> LINK;
            case LONG_TEXT, CLOSED, GROWING -> new DataType.Text(0);
            case DAY -> DataType.Simple.DATE;
            case MOMENT -> DataType.Simple.MOMENT;
            case MOMENT_ANYWHERE -> DataType.Simple.MOMENT_ANYWHERE;
            case TIME_OF_DAY -> DataType.Simple.TIME;
            case YEAR -> DataType.Simple.YEAR;
            case YES_NO -> DataType.Simple.YES_NO;
            case FILE -> now instanceof DataType.Bytes ? now : new DataType.Bytes(0);
        };
    }

    private static DataType decimal(DataType now, DataType seen, DataType.Decimal usual) {
        if (now instanceof DataType.Decimal) {
            return now;
        }
        if (seen instanceof DataType.Decimal decimal) {
            int scale = Math.max(decimal.scale(), usual.scale() == MONEY.scale() ? MONEY.scale() : 0);
            int before = Math.max(decimal.precision() - decimal.scale(), usual.precision() - usual.scale());
            return new DataType.Decimal(before + scale, scale);
        }
        return usual;
    }

    private static DataType sized(DataType now, List<String> values, DataType.Text usual) {
        if (now instanceof DataType.Text text && text.max() > 0) {
            return now;
        }
        int longest = values.stream()
                .mapToInt(value -> value.codePointCount(0, value.length()))
                .max()
                .orElse(0);
        return new DataType.Text(Math.max(usual.max(), longest));
    }
}
