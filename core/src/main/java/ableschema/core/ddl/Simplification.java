package ableschema.core.ddl;

import static ableschema.core.ddl.Item.closing;
import static ableschema.core.ddl.Item.opening;

import ableschema.core.ddl.Tokens.Kind;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;
import java.util.regex.Pattern;

/** Takes out of an expression what a database adds when it prints it, where that changes nothing: casts, brackets, forms of its own. */
final class Simplification {

    /** A cast to one of these changes no text. */
    private static final Set<String> TEXTS = Set.of("text", "varchar", "char", "name", "citext");

    /** Types of numbers that are written as they are. */
    private static final Set<String> NUMBERS = Set.of("integer", "bigint", "smallint", "decimal");

    private static final Pattern NUMBER = Pattern.compile("'-?[0-9]+(\\.[0-9]+)?'");

    /** Functions that give a text. */
    private static final Set<String> GIVING_TEXT = Set.of(
            "lower",
            "upper",
            "trim",
            "btrim",
            "ltrim",
            "rtrim",
            "concat",
            "replace",
            "left",
            "right",
            "substring",
            "substr");

    private Simplification() {}

    /**
     * @param printsRanges whether the database prints BETWEEN as two comparisons
     * @param isText       whether a column holds texts, so that a cast to one changes nothing
     */
    static List<Item> of(List<Item> items, boolean printsRanges, Predicate<String> isText) {
        List<Item> cast = trimmed(printsRanges ? intervals(items) : items);
        List<Item> simple = unwrapped(inLists(withoutCastCalls(withoutCasts(bareCalls(cast), isText))));
        return printsRanges ? ranges(simple) : simple;
    }

    /** {@code trim(both from a)} is {@code trim(a)}. */
    private static List<Item> trimmed(List<Item> items) {
        var kept = new ArrayList<Item>();
        for (int i = 0; i < items.size(); i++) {
            kept.add(items.get(i));
            boolean both = i + 3 < items.size()
                    && items.get(i).is("trim")
                    && items.get(i + 1).is("(")
                    && items.get(i + 2).is("both")
                    && items.get(i + 3).is("from");
            if (both) {
                kept.add(items.get(i + 1));
                i += 3;
            }
        }
        return kept;
    }

    /** A stretch of time is printed as a text with a cast. */
    private static List<Item> intervals(List<Item> items) {
        var kept = new ArrayList<>(items);
        for (int i = 0; i + 1 < kept.size(); i++) {
            boolean last = i + 2 >= kept.size()
                    || kept.get(i + 2).kind() != Kind.WORD
                    || kept.get(i + 2).isKeyword();
            if (kept.get(i).is("interval")
                    && kept.get(i).column().isEmpty()
                    && kept.get(i + 1).kind() == Kind.STRING
                    && last) {
                Item interval = kept.remove(i);
                kept.add(i + 1, Item.symbol("::"));
                kept.add(i + 2, interval);
            }
        }
        return kept;
    }

    /** A call that is cast is printed in brackets. */
    private static List<Item> bareCalls(List<Item> items) {
        var kept = new ArrayList<Item>();
        for (int i = 0; i < items.size(); i++) {
            int close = items.get(i).is("(") ? closing(items, i) : i;
            boolean call = close - i > 3
                    && (i == 0 || !items.get(i - 1).isCall())
                    && items.get(i + 1).isFunction()
                    && items.get(i + 2).is("(")
                    && closing(items, i + 2) == close - 1
                    && close + 1 < items.size()
                    && items.get(close + 1).is("::");
            kept.addAll(call ? bareCalls(items.subList(i + 1, close)) : List.of(items.get(i)));
            i = call ? close : i;
        }
        return kept;
    }

    /** A cast of a literal, and of a text to a text, says nothing that the column's type does not. */
    private static List<Item> withoutCasts(List<Item> items, Predicate<String> isText) {
        var kept = new ArrayList<Item>();
        for (int i = 0; i < items.size(); i++) {
            if (!items.get(i).is("::")) {
                kept.add(items.get(i));
                continue;
            }
            int type = i + 1;
            String name = type < items.size() ? items.get(type).text() : "";
            int end = castEnd(items, type);
            boolean divided = end < items.size() && items.get(end).is("/") || isDivisor(kept);
            String plain = SqlType.of(name, List.of(), false, "", "").name();
            if (!divided && isHarmless(kept, plain, isText)) {
                unquote(kept, plain);
                i = end - 1;
            } else {
                kept.add(items.get(i));
            }
        }
        return kept;
    }

    /** A number that is printed as a text with a cast is a number again. */
    private static void unquote(List<Item> before, String type) {
        int last = before.size() - 1;
        String text = before.get(last).text();
        if (!NUMBERS.contains(type)
                || before.get(last).kind() != Kind.STRING
                || !NUMBER.matcher(text).matches()) {
            return;
        }
        before.remove(last);
        if (text.charAt(1) == '-') {
            before.add(Item.symbol("-"));
        }
        before.add(new Item(text.replaceAll("[-']", ""), Kind.NUMBER, Optional.empty()));
    }

    private static int castEnd(List<Item> items, int type) {
        int end = type + 1;
        while (end < items.size()
                && items.get(end).kind() == Kind.WORD
                && Set.of("varying", "precision", "without", "with", "time", "zone")
                        .contains(items.get(end).text())) {
            end++;
        }
        if (end < items.size() && items.get(end).is("(")) {
            end = closing(items, end) + 1;
        }
        while (end + 1 < items.size()
                && items.get(end).is("[")
                && items.get(end + 1).is("]")) {
            end += 2;
        }
        return Math.min(end, items.size());
    }

    /** Whether what was just read may lose its cast. */
    private static boolean isHarmless(List<Item> before, String type, Predicate<String> isText) {
        int last = before.size() - 1;
        if (last < 0) {
            return false;
        }
        Item operand = before.get(last);
        if (operand.is(")")) {
            int open = opening(before, last);
            boolean single =
                    last - open == 2 && (open == 0 || !before.get(open - 1).isCall());
            operand = single ? before.get(open + 1) : operand;
            if (!single) {
                return TEXTS.contains(type) && isText(before.subList(open, last)) || isArray(before, open);
            }
        }
        boolean literal = operand.kind() == Kind.STRING || operand.kind() == Kind.NUMBER || operand.is("null");
        return literal && !type.equals("interval") // which is worked with
                || operand.is("]")
                || TEXTS.contains(type) && operand.column().filter(isText).isPresent();
    }

    /** Whether what stands in brackets is a text anyhow: joined, or made by a function that gives one. */
    private static boolean isText(List<Item> inside) {
        return inside.stream()
                        .anyMatch(
                                item -> item.is("||") || item.kind() == Kind.WORD && GIVING_TEXT.contains(item.text()))
                && inside.stream().noneMatch(item -> item.is("+") || item.is("-") || item.is("*") || item.is("/"));
    }

    /** A whole number divides otherwise than one with decimals. */
    private static boolean isDivisor(List<Item> before) {
        int last = before.size() - 1;
        int start = last >= 0 && before.get(last).is(")") ? opening(before, last) : last;
        return start > 0 && before.get(start - 1).is("/");
    }

    private static boolean isArray(List<Item> items, int open) {
        return open + 1 < items.size() && items.get(open + 1).is("array");
    }

    /** {@code cast(0 as numeric(1))} is 0. */
    private static List<Item> withoutCastCalls(List<Item> items) {
        var kept = new ArrayList<Item>();
        for (int i = 0; i < items.size(); i++) {
            boolean literal = items.get(i).is("cast")
                    && i + 4 < items.size()
                    && items.get(i + 1).is("(")
                    && (items.get(i + 2).kind() == Kind.NUMBER
                            || items.get(i + 2).kind() == Kind.STRING)
                    && items.get(i + 3).is("as");
            kept.add(items.get(literal ? i + 2 : i));
            i = literal ? closing(items, i + 1) : i;
        }
        return kept;
    }

    /** {@code = ANY (ARRAY[…])} is how one database prints IN. */
    private static List<Item> inLists(List<Item> items) {
        var done = new ArrayList<Item>();
        for (int i = 0; i < items.size(); i++) {
            boolean none = items.get(i).is("<>")
                    && i + 2 < items.size()
                    && items.get(i + 1).is("all");
            boolean any = (none
                            || items.get(i).is("=")
                                    && i + 2 < items.size()
                                    && items.get(i + 1).is("any"))
                    && items.get(i + 2).is("(");
            int close = any ? closing(items, i + 2) : 0;
            List<Item> values = any ? items.subList(i + 3, close) : List.of();
            while (!values.isEmpty() && values.get(0).is("(") && closing(values, 0) == values.size() - 1) {
                values = values.subList(1, values.size() - 1);
            }
            boolean array = values.size() > 2
                    && values.get(0).is("array")
                    && values.get(1).is("[")
                    && values.get(values.size() - 1).is("]");
            if (!array) {
                done.add(items.get(i));
                continue;
            }
            if (none) {
                done.add(Item.word("not"));
            }
            done.add(Item.word("in"));
            done.add(Item.symbol("("));
            values.subList(2, values.size() - 1).stream()
                    .filter(item -> !item.is("(") && !item.is(")"))
                    .forEach(done::add);
            done.add(Item.symbol(")"));
            i = close;
        }
        return done;
    }

    /** Without brackets around all of it, or around a single value. */
    private static List<Item> unwrapped(List<Item> items) {
        List<Item> inside = items;
        while (inside.size() > 2 && inside.get(0).is("(") && closing(inside, 0) == inside.size() - 1) {
            inside = inside.subList(1, inside.size() - 1);
        }
        var done = new ArrayList<Item>();
        for (int i = 0; i < inside.size(); i++) {
            boolean single = inside.get(i).is("(")
                    && i + 2 < inside.size()
                    && inside.get(i + 1).isValue()
                    && inside.get(i + 2).is(")")
                    && (done.isEmpty() || !done.get(done.size() - 1).isCall());
            int close = inside.get(i).is("(") ? closing(inside, i) : 0;
            if (single) {
                done.add(inside.get(i + 1));
                i += 2;
            } else if (close > i
                    && (isOnePart(inside, i, close) || isJoined(inside, i, close) || isOperand(inside, i, close))) {
                done.addAll(inside.subList(i + 1, close));
                i = close;
            } else {
                done.add(inside.get(i));
            }
        }
        return done.size() < inside.size() ? unwrapped(done) : done;
    }

    /** {@code a >= 1 and a <= 5} is how one database prints BETWEEN. */
    private static List<Item> ranges(List<Item> items) {
        var done = new ArrayList<Item>();
        for (int i = 0; i < items.size(); i++) {
            boolean range = i + 6 < items.size()
                    && items.get(i).column().isPresent()
                    && items.get(i + 1).is(">=")
                    && items.get(i + 2).isValue()
                    && items.get(i + 3).is("and")
                    && items.get(i + 4).equals(items.get(i))
                    && items.get(i + 5).is("<=")
                    && items.get(i + 6).isValue()
                    && (i == 0 || joins(items.get(i - 1)))
                    && (i + 7 == items.size() || joins(items.get(i + 7)));
            if (range) {
                done.add(items.get(i));
                done.add(Item.word("between"));
                done.add(items.get(i + 2));
                done.add(items.get(i + 3));
                done.add(items.get(i + 6));
                i += 6;
            } else {
                done.add(items.get(i));
            }
        }
        return done;
    }

    private static boolean joins(Item item) {
        return item.is("and") || item.is("or") || item.is("(") || item.is(")");
    }

    /** Whether a pair of brackets holds what is worked out before it is compared, as it is without them. */
    private static boolean isOperand(List<Item> items, int open, int close) {
        boolean before = open == 0
                || joins(items.get(open - 1))
                        && (open < 2 || !items.get(open - 2).isCall())
                || compares(items.get(open - 1));
        boolean behind = close == items.size() - 1
                || items.get(close + 1).is("and")
                || items.get(close + 1).is("or")
                || items.get(close + 1).is(")")
                || compares(items.get(close + 1));
        boolean compared =
                open > 0 && compares(items.get(open - 1)) || close + 1 < items.size() && compares(items.get(close + 1));
        int depth = 0;
        boolean plain = before && behind && compared;
        for (int i = open + 1; i < close && plain; i++) {
            Item item = items.get(i);
            depth += item.is("(") ? 1 : item.is(")") ? -1 : 0;
            plain = depth > 0
                    || item.is(")")
                    || item.isValue()
                    || item.isFunction()
                    || item.is("+")
                    || item.is("-")
                    || item.is("*")
                    || item.is("/")
                    || item.is("%");
        }
        return plain;
    }

    private static boolean compares(Item item) {
        return item.is("=") || item.is("<>") || item.is("<") || item.is(">") || item.is("<=") || item.is(">=");
    }

    /** Whether a pair of brackets holds texts that are joined, and more of them are joined to it. */
    private static boolean isJoined(List<Item> items, int open, int close) {
        boolean before =
                open == 0 || items.get(open - 1).is("||") || items.get(open - 1).is("(");
        boolean joined =
                before && close + 1 < items.size() && items.get(close + 1).is("||");
        int depth = 0;
        for (int i = open + 1; i < close && joined; i++) {
            depth += items.get(i).is("(") ? 1 : items.get(i).is(")") ? -1 : 0;
            Item item = items.get(i);
            joined = depth > 0 || item.is(")") || item.isValue() || item.isFunction() || item.is("||");
        }
        return joined;
    }

    /** Whether a pair of brackets holds one comparison among others that are joined by AND or OR. */
    private static boolean isOnePart(List<Item> items, int open, int close) {
        boolean before = open == 0
                || items.get(open - 1).is("and")
                || items.get(open - 1).is("or")
                || items.get(open - 1).is("(")
                        && (open < 2 || !items.get(open - 2).isCall());
        boolean behind = close == items.size() - 1
                || items.get(close + 1).is("and")
                || items.get(close + 1).is("or")
                || items.get(close + 1).is(")");
        boolean ranged = open > 1 && items.get(open - 1).is("and") && isRanged(items, open - 1);
        boolean alone = (open == 0 || !items.get(open - 1).is("and"))
                && (close == items.size() - 1 || !items.get(close + 1).is("and"));
        return before
                && behind
                && !ranged
                && items.subList(open + 1, close).stream().noneMatch(item -> item.is("or") || !alone && item.is("and"));
    }

    /** Whether an AND belongs to a BETWEEN. */
    private static boolean isRanged(List<Item> items, int and) {
        for (int i = and - 1; i >= 0 && and - i < 12; i--) {
            if (items.get(i).is("between")) {
                return true;
            }
            if (items.get(i).is("and") || items.get(i).is("or")) {
                return false;
            }
        }
        return false;
    }
}
