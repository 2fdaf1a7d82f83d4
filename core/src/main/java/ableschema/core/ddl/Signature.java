package ableschema.core.ddl;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.regex.Pattern;

/** The values that a routine takes, which tell it from others of its name: {@code (a integer, OUT b text)}. */
record Signature(List<String> parameters) {

    private static final Pattern MODE = Pattern.compile("(in|out|inout|variadic)\\s+(.*)", Pattern.DOTALL);
    private static final Pattern DEFAULT = Pattern.compile("\\s*(\\bdefault\\b|:?=).*", Pattern.DOTALL);

    /** Of a routine as it is called among what is carried along, with its parameters in brackets. */
    static Signature of(String routine) {
        int open = routine.indexOf('(');
        return new Signature(open < 0 ? List.of() : parts(routine.substring(open + 1, routine.lastIndexOf(')'))));
    }

    /** Whether these are the types of its parameters; those that it only gives back are not among them. */
    boolean takes(String types) {
        List<String> wanted = parts(types);
        List<String> own = parameters.stream()
                .filter(each -> !each.startsWith("out "))
                .map(each -> DEFAULT.matcher(each).replaceFirst(""))
                .toList();
        if (wanted.size() != own.size()) {
            return false;
        }
        for (int i = 0; i < own.size(); i++) {
            if (!isSame(own.get(i), wanted.get(i))) {
                return false;
            }
        }
        return true;
    }

    /** A parameter may have a name before its type, in both places. */
    private static boolean isSame(String one, String other) {
        List<String> meant = meanings(other);
        return meanings(one).stream().anyMatch(meant::contains);
    }

    private static List<String> meanings(String parameter) {
        String plain = MODE.matcher(parameter).replaceFirst("$2").strip();
        var meanings = new ArrayList<String>();
        meanings.add(type(plain));
        int space = plain.indexOf(' ');
        if (space > 0) {
            meanings.add(type(plain.substring(space + 1).strip()));
        }
        return meanings;
    }

    private static String type(String text) {
        String array = text.endsWith("[]") ? "[]" : "";
        String name =
                text.replaceAll("\\[]$|\\(.*?\\)", "").replaceAll("\\s+", " ").strip();
        return SqlType.of(name, List.of(), false, array, "").canonical();
    }

    /** What stands between commas that are in no brackets. */
    private static List<String> parts(String list) {
        var parts = new ArrayList<String>();
        int depth = 0;
        int start = 0;
        for (int i = 0; i < list.length(); i++) {
            char c = list.charAt(i);
            depth += c == '(' ? 1 : c == ')' ? -1 : 0;
            if (c == ',' && depth == 0) {
                parts.add(list.substring(start, i).strip().toLowerCase(Locale.ROOT));
                start = i + 1;
            }
        }
        String last = list.substring(start).strip().toLowerCase(Locale.ROOT);
        if (!last.isEmpty()) {
            parts.add(last);
        }
        return parts;
    }
}
