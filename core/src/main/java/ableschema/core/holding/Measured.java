package ableschema.core.holding;

import ableschema.core.design.Attribute;
import ableschema.core.design.Design;
import ableschema.core.design.Volume;
import ableschema.core.sql.dialect.Ability;
import ableschema.core.sql.dialect.Dialect;
import ableschema.core.sql.dialect.TypeForm;
import ableschema.core.types.DataType;
import ableschema.core.types.ReadableCode;
import ableschema.core.types.TypedValue;
import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;

/** Measures, kind of type by kind of type, how full the column of an attribute is. */
final class Measured extends DataType.OtherVisitor<Fullness> {

    private static final int PLANNED_YEARS = 10;
    private static final int MOST_COUNTED = 6;

    private final Design design;
    private final Attribute attribute;
    private final Dialect dialect;
    private final int thisYear;
    private final List<String> values;
    private final List<String> said = new ArrayList<>();

    Measured(Design design, Attribute attribute, Dialect dialect, int thisYear) {
        this.design = design;
        this.attribute = attribute;
        this.dialect = dialect;
        this.thisYear = thisYear;
        this.values = Holdings.values(design, attribute);
    }

    private Fullness full(DataType type, String low, String high, String seen, Optional<Double> share) {
        TypeForm form = dialect.form(type);
        dialect.typeShortfall(type).ifPresent(shortfall -> said.add("In " + dialect.label() + ", " + shortfall + "."));
        space(form);
        return new Fullness(dialect.type(type), form.bytes(), low, high, seen, share, said);
    }

    /** What the values take together in some years, where it is known how many they are. */
    private void space(TypeForm form) {
        Optional<Volume> volume = volume();
        if (volume.isEmpty() || form.bytes() <= 0) {
            return;
        }
        long rows = volume.get().after(PLANNED_YEARS);
        said.add(number(rows) + " rows in " + PLANNED_YEARS + " years take about "
                + Space.said((double) rows * form.bytes()) + " here.");
    }

    private Optional<Volume> volume() {
        return design.ownerOf(attribute.id()).flatMap(owner -> design.notes().volume(owner));
    }

    static String number(long number) {
        return String.format(Locale.ROOT, "%,d", number);
    }

    private String rows() {
        return values.size() == 1 ? "the one row" : values.size() + " rows";
    }

    private Stream<BigDecimal> numbers(DataType type) {
        return values.stream()
                .map(value -> TypedValue.of(type, value))
                .filter(TypedValue::fits)
                .map(value -> new BigDecimal(value.canonical()));
    }

    /** "2 to 9 in 24 rows". */
    private String between(DataType type) {
        Optional<BigDecimal> least = numbers(type).min(Comparator.naturalOrder());
        Optional<BigDecimal> most = numbers(type).max(Comparator.naturalOrder());
        if (least.isEmpty() || most.isEmpty()) {
            return "";
        }
        return (least.equals(most) ? plain(most.get()) : plain(least.get()) + " to " + plain(most.get())) + " in "
                + rows();
    }

    private static String plain(BigDecimal number) {
        return number.toPlainString();
    }

    private Optional<Double> share(DataType type, double most) {
        return numbers(type)
                .map(BigDecimal::abs)
                .max(Comparator.naturalOrder())
                .map(largest -> largest.doubleValue() / most);
    }

    @Override
    public Fullness whole(DataType.Whole type) {
        TypeForm form = dialect.form(type);
        // a check may hold a column to less than it has room for
        boolean held =
                !dialect.holding(type, attribute.name(), attribute.optional()).isEmpty();
        long least = held ? Math.max(form.smallest(), type.lowest()) : form.smallest();
        long most = held ? Math.min(form.largest(), type.widest()) : form.largest();
        long largest = type.largest();
        if (largest > 0 && largest < most) {
            said.add("Values up to " + number(largest)
                    + " are expected, which chooses the width; a check can hold them to it.");
        }
        if (largest == 0) {
            said.add("How large its values get is not said: whole 500 would say so.");
        }
        return full(type, number(least), number(most), between(type), share(type, most));
    }

    @Override
    public Fullness counted(DataType.Counted type) {
        TypeForm form = dialect.form(type);
        long last = type.step() > 0 ? form.largest() : form.smallest();
        said.add(runsOut(type));
        if (dialect.usesUpRefusedNumbers()) {
            said.add("A refused row uses its number up as well, so that there are gaps.");
        }
        return full(type, number(type.start()), number(last), between(type), share(type, Math.abs((double) last)));
    }

    private String runsOut(DataType.Counted type) {
        Optional<Volume> volume = volume();
        if (volume.isEmpty()) {
            return "When it runs out follows from how many rows are expected, which is not said.";
        }
        return Fullness.yearsLeft(design, attribute, dialect)
                .map(years -> years == 0
                        ? "There are not numbers enough for the rows of the first year."
                        : "Its numbers run out in " + (thisYear + years) + ", after " + years
                                + (years == 1 ? " year." : " years."))
                .orElse(
                        volume.get().eachYear() == 0
                                ? "It does not run out, as no more rows are expected each year."
                                : "It does not run out within a thousand years.");
    }

    @Override
    public Fullness decimal(DataType.Decimal type) {
        BigDecimal high = BigDecimal.TEN
                .pow(type.precision() - type.scale())
                .subtract(BigDecimal.ONE.movePointLeft(type.scale()));
        if (dialect.roundsDecimals()) {
            said.add("Further decimal places are rounded away without a word.");
        } else {
            said.add("A value with further decimal places is "
                    + (dialect.can(Ability.HELD_TYPES) ? "refused." : "taken as it is."));
        }
        return full(
                type, "-" + high.toPlainString(), high.toPlainString(), between(type), share(type, high.doubleValue()));
    }

    @Override
    public Fullness text(DataType.Text type) {
        Optional<String> longest = values.stream().max(Comparator.comparing(Measured::letters));
        String seen = longest.map(value -> "up to " + letters(value) + " letters in " + rows())
                .orElse("");
        if (type.max() == 0) {
            return full(type, "", "", seen, Optional.empty());
        }
        Optional<ReadableCode> code = ReadableCode.of(attribute.pattern());
        if (code.isPresent()) {
            return codes(type, code.get());
        }
        said.add(
                dialect.can(Ability.TEXT_LENGTHS)
                        ? "A longer one is refused, not cut."
                        : "A longer one is taken all the same: " + dialect.label() + " keeps no lengths.");
        long beyond =
                values.stream().filter(value -> letters(value) > type.max()).count();
        if (beyond > 0) {
            said.add(beyond + (beyond == 1 ? " sample row is" : " sample rows are") + " longer already.");
        }
        return full(
                type,
                "0",
                number(type.max()) + " letters",
                seen,
                longest.map(value -> (double) letters(value) / type.max()));
    }

    private Fullness codes(DataType.Text type, ReadableCode code) {
        long departing = values.stream().filter(value -> !code.isCode(value)).count();
        said.add("Codes of " + code.length() + " letters, the first " + code.code(1, thisYear) + ".");
        if (code.length() > type.max()) {
            said.add("They do not fit into " + type + ".");
        }
        if (departing > 0) {
            said.add(departing + (departing == 1 ? " sample row has" : " sample rows have") + " another form.");
        }
        volume().ifPresent(volume -> said.add(code.yearsLeft(volume.first(), volume.eachYear())
                .map(years -> years == 0
                        ? "There are not codes enough for the rows of a year."
                        : "They run out in " + (thisYear + years) + ", after " + years
                                + (years == 1 ? " year." : " years."))
                .orElse("They do not run out.")));
        return full(
                type,
                code.code(1, thisYear),
                code.code(code.largest(), thisYear),
                values.isEmpty() ? "" : "in " + rows(),
                Optional.empty());
    }

    private static int letters(String value) {
        return value.codePointCount(0, value.length());
    }

    @Override
    public Fullness list(DataType.OneOf type) {
        Map<String, Integer> counts = new LinkedHashMap<>();
        type.values().forEach(value -> counts.put(value, 0));
        values.forEach(value -> counts.computeIfPresent(value, (each, count) -> count + 1));
        String seen = counts.entrySet().stream()
                .limit(MOST_COUNTED)
                .map(each -> each.getKey() + " " + each.getValue())
                .reduce((one, other) -> one + ", " + other)
                .orElse("");
        List<String> unused = counts.entrySet().stream()
                .filter(each -> each.getValue() == 0)
                .map(Map.Entry::getKey)
                .limit(MOST_COUNTED)
                .toList();
        if (!unused.isEmpty() && !values.isEmpty()) {
            said.add("No sample row has " + String.join(", ", unused) + ".");
        }
        return full(type, "", type.values().size() + " values", values.isEmpty() ? "" : seen, Optional.empty());
    }

    @Override
    protected Fullness other(DataType type) {
        TypeForm form = dialect.form(type);
        String seen = values.isEmpty() ? "" : seen(type);
        return full(type, form.first(), form.last(), seen, Optional.empty());
    }

    private String seen(DataType type) {
        List<String> sorted = values.stream()
                .map(value -> TypedValue.of(type, value))
                .filter(TypedValue::fits)
                .map(TypedValue::canonical)
                .sorted()
                .toList();
        boolean comparable =
                type instanceof DataType.Simple && type != DataType.Simple.JSON && type != DataType.Simple.UUID;
        return comparable && !sorted.isEmpty() && type != DataType.Simple.YES_NO
                ? sorted.get(0) + " to " + sorted.get(sorted.size() - 1) + " in " + rows()
                : "in " + rows();
    }
}
