package ableschema.core.ddl;

import static ableschema.core.ddl.Item.closing;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;

/** Writes calls that are called or put otherwise in some databases as standard SQL has them. */
final class Calls {

    private static final Map<String, String> OTHER_NAMES =
            Map.of("lcase", "lower", "ucase", "upper", "substr", "substring");

    /** What MariaDB prints for a function that it knows by this name as well. */
    private static final Map<String, String> MYSQL_NAMES = Map.of("octet_length", "length");

    /** What is called without an argument there, and is a word elsewhere. */
    private static final Map<String, String> WORDS = Map.of(
            "curdate", "current_date",
            "curtime", "current_time",
            "current_date", "current_date",
            "current_time", "current_time");

    private final boolean mysql;

    /** Whether a function gives the year of a date. */
    private final boolean year;

    Calls(boolean mysql, boolean year) {
        this.mysql = mysql;
        this.year = year;
    }

    /** The same expression with its calls as in standard SQL, those within others too. */
    List<Item> standard(List<Item> items) {
        var done = new ArrayList<Item>();
        for (int i = 0; i < items.size(); i++) {
            boolean call = items.get(i).isFunction()
                    && i + 1 < items.size()
                    && items.get(i + 1).is("(");
            if (!call) {
                done.add(items.get(i));
                continue;
            }
            int close = closing(items, i + 1);
            call(items.get(i), arguments(items.subList(i + 2, Math.max(i + 2, close))), done);
            i = close;
        }
        return done;
    }

    private List<List<Item>> arguments(List<Item> inside) {
        var arguments = new ArrayList<List<Item>>();
        var argument = new ArrayList<Item>();
        int depth = 0;
        for (Item item : inside) {
            depth += item.is("(") ? 1 : item.is(")") ? -1 : 0;
            if (depth == 0 && item.is(",")) {
                arguments.add(standard(argument));
                argument = new ArrayList<>();
            } else {
                argument.add(item);
            }
        }
        if (!argument.isEmpty() || !arguments.isEmpty()) {
            arguments.add(standard(argument));
        }
        return arguments;
    }

    private void call(Item function, List<List<Item>> arguments, List<Item> done) {
        String called = function.text();
        String usual = mysql ? MYSQL_NAMES.getOrDefault(called, called) : called;
        String name = function.column().isPresent() ? called : OTHER_NAMES.getOrDefault(usual, usual);
        if (mysql && arguments.isEmpty() && WORDS.containsKey(name)) {
            done.add(Item.word(WORDS.getOrDefault(name, name)));
        } else if (mysql && name.equals("concat") && arguments.size() > 1) {
            joined(arguments, Item.symbol("||"), Item.symbol("||"), done);
        } else if (year && called.equals("year") && arguments.size() == 1) {
            done.addAll(List.of(Item.word("extract"), Item.symbol("("), Item.word("year"), Item.word("from")));
            done.addAll(arguments.get(0));
            done.add(Item.symbol(")"));
        } else {
            boolean cut = name.equals("substring") && (arguments.size() == 2 || arguments.size() == 3);
            done.add(name.equals(called) ? function : Item.word(name));
            done.add(Item.symbol("("));
            joined(
                    arguments,
                    cut ? Item.word("from") : Item.symbol(","),
                    cut ? Item.word("for") : Item.symbol(","),
                    done);
            done.add(Item.symbol(")"));
        }
    }

    private static void joined(List<List<Item>> arguments, Item first, Item others, List<Item> done) {
        for (int i = 0; i < arguments.size(); i++) {
            if (i > 0) {
                done.add(i == 1 ? first : others);
            }
            done.addAll(arguments.get(i));
        }
    }
}
