package ableschema.core.ddl;

import static ableschema.core.ddl.Item.closing;

import ableschema.core.ddl.Tokens.Kind;
import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Pattern;
import java.util.stream.Stream;

/** Brings expressions into the form in which some databases print them, whatever they were written like. */
final class PrintedForm {

    private static final Map<String, String> OPPOSITES =
            Map.of("=", "<>", "<>", "=", "!=", "=", "<", ">=", ">=", "<", ">", "<=", "<=", ">");

    /** Of a power that nobody writes out nothing is made. */
    private static final Pattern DECIMAL = Pattern.compile("\\d{1,30}(?:\\.\\d{1,30})?(?:[eE][+-]?\\d{1,2})?");

    /** Without the signs that mean something to LIKE, or to GLOB alone. */
    private static final Pattern PLAIN_GLOB = Pattern.compile("'[^%_\\[\\\\]*'");

    private PrintedForm() {}

    /** @param plainNumbers whether a number is printed with as many digits as those it is held against */
    static List<Item> of(List<Item> items, boolean plainNumbers) {
        List<Item> numbers =
                plainNumbers ? items.stream().map(PrintedForm::withPlainNumber).toList() : items;
        return unsigned(remainders(withoutNot(numbers)));
    }

    /** {@code 5.0} and {@code 1E+2} are 5 and 100. */
    private static Item withPlainNumber(Item item) {
        if (item.kind() != Kind.NUMBER || !DECIMAL.matcher(item.text()).matches()) {
            return item;
        }
        var number = new BigDecimal(item.text());
        boolean whole = number.stripTrailingZeros().scale() <= 0;
        String plain = whole ? number.toBigInteger().toString() : number.toPlainString();
        return new Item(plain, Kind.NUMBER, Optional.empty());
    }

    /** {@code not (a = 3)} is {@code a <> 3}, as both are unknown where {@code a} is empty. */
    private static List<Item> withoutNot(List<Item> items) {
        var done = new ArrayList<Item>();
        for (int i = 0; i < items.size(); i++) {
            boolean negated = items.get(i).is("not")
                    && i + 5 < items.size()
                    && items.get(i + 1).is("(")
                    && closing(items, i + 1) == i + 5
                    && items.get(i + 2).isValue()
                    && items.get(i + 4).isValue();
            Optional<String> opposite =
                    negated ? Optional.ofNullable(OPPOSITES.get(items.get(i + 3).text())) : Optional.empty();
            if (opposite.isPresent()) {
                done.add(items.get(i + 2));
                done.add(Item.symbol(opposite.get()));
                done.add(items.get(i + 4));
                i += 5;
            } else {
                done.add(items.get(i));
            }
        }
        return done;
    }

    /** {@code a % 2} and {@code a mod 2} are {@code mod(a, 2)}. */
    private static List<Item> remainders(List<Item> items) {
        var done = new ArrayList<Item>();
        for (int i = 0; i < items.size(); i++) {
            boolean remainder = i + 2 < items.size()
                    && (i == 0 || !bindsAsMuch(items.get(i - 1)))
                    && items.get(i).isValue()
                    && (items.get(i + 1).is("%") || items.get(i + 1).is("mod"))
                    && items.get(i + 2).isValue();
            if (remainder) {
                done.addAll(List.of(
                        Item.word("mod"),
                        Item.symbol("("),
                        items.get(i),
                        Item.symbol(","),
                        items.get(i + 2),
                        Item.symbol(")")));
                i += 2;
            } else {
                done.add(items.get(i));
            }
        }
        return done;
    }

    /** Whether what stands before takes its operand first, as in {@code a * b % 2}. */
    private static boolean bindsAsMuch(Item before) {
        return before.kind() == Kind.SYMBOL
                ? Stream.of("*", "/", "%", "^", "||", ".", "-").anyMatch(before::is)
                : before.is("mod") || before.is("div");
    }

    /** Whether a pattern stands here that LIKE has as well where it looks at letter case. */
    static boolean isPlainGlob(List<Item> items, int place) {
        return items.get(place).is("glob")
                && place + 1 < items.size()
                && PLAIN_GLOB.matcher(items.get(place + 1).text()).matches();
    }

    /** {@code glob 'A*'} is how LIKE is written where that does not look at letter case. */
    static List<Item> withLike(List<Item> items) {
        var done = new ArrayList<Item>();
        for (int i = 0; i < items.size(); i++) {
            boolean glob = isPlainGlob(items, i);
            done.add(glob ? Item.word("like") : items.get(i));
            if (glob) {
                String pattern = items.get(i + 1).text().replace('*', '%').replace('?', '_');
                done.add(new Item(pattern, Kind.STRING, Optional.empty()));
                i++;
            }
        }
        return done;
    }

    /** {@code + 2} alone is 2. */
    private static List<Item> unsigned(List<Item> items) {
        return items.size() == 2 && items.get(0).is("+") && items.get(1).isValue() ? items.subList(1, 2) : items;
    }
}
