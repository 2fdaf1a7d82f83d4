package ableschema.core.ddl;

import ableschema.core.ddl.Tokens.Kind;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;

/** Reads the type of a column as SQL writes it; {@link TypeMeaning} says what it holds. */
final class TypeReader {

    /** What begins the next clause of a column, and so is no part of its type. */
    private static final Set<String> CLAUSES = Set.of(
            "not",
            "null",
            "default",
            "primary",
            "unique",
            "check",
            "references",
            "constraint",
            "collate",
            "comment",
            "generated",
            "as",
            "identity",
            "auto_increment",
            "autoincrement",
            "on",
            "key",
            "charset",
            "encode",
            "storage",
            "compression",
            "enable",
            "disable",
            "invisible",
            "visible",
            "sparse",
            "rowguidcol",
            "persisted",
            "using",
            "set",
            "first",
            "after",
            "for",
            "options",
            "masked",
            "virtual",
            "stored",
            "always",
            "hidden",
            "ascii",
            "binary");

    /** Of one character, as no length is given. */
    private static final Set<String> ONE_CHARACTER = Set.of("char", "character");

    /** Types by their text, as there are few of them and many columns. */
    private static final Map<String, SqlType> KNOWN = new ConcurrentHashMap<>();

    /** The same where any words are a type, and read otherwise. */
    private static final Map<String, SqlType> KNOWN_FREE = new ConcurrentHashMap<>();

    private static final int MOST_KNOWN = 2000;

    private TypeReader() {}

    /** @param free whether any words make up a type, as SQLite has it */
    static SqlType read(Cursor at, boolean free) {
        int start = at.at();
        String name = name(at, free);
        Optional<Cursor> arguments = at.is('(') ? Optional.of(at.inside()) : Optional.empty();
        name += zone(at, name);
        name += range(at, name);
        boolean unsigned = false;
        while (at.isAny("unsigned", "signed", "zerofill")) {
            unsigned |= !at.is("signed");
            at.skip();
        }
        String array = array(at);
        String text = text(at.tokens(), start, at.at());
        if (!free && arguments.isEmpty() && ONE_CHARACTER.contains(text.toLowerCase(Locale.ROOT))) {
            return SqlType.of(name, List.of("1"), false, "", text + "(1)");
        }
        Map<String, SqlType> types = free ? KNOWN_FREE : KNOWN;
        SqlType known = types.get(text);
        if (known == null) {
            known = SqlType.of(name, arguments.map(TypeReader::arguments).orElse(List.of()), unsigned, array, text);
            if (types.size() < MOST_KNOWN) {
                types.put(text, known);
            }
        }
        return known;
    }

    private static String name(Cursor at, boolean free) {
        if (at.isKind(Kind.NAME)) {
            return at.lastName();
        }
        boolean set = at.is("set") && at.at() + 1 < at.end() && at.tokens().is(at.at() + 1, '(');
        if (!at.isKind(Kind.WORD) || isClause(at) && !set && !at.is("binary")) {
            if (free) {
                return "";
            }
            throw new Unread("a type was expected" + at.here());
        }
        String name = word(at);
        if (at.is('.')) {
            at.skip();
            return at.lastName();
        }
        while (at.isKind(Kind.WORD) && goesOn(at, name, free)) {
            name += " " + word(at);
        }
        return name;
    }

    private static String word(Cursor at) {
        String word = at.tokens().text(at.at()).toLowerCase(Locale.ROOT);
        at.skip();
        return word;
    }

    private static boolean isClause(Cursor at) {
        return CLAUSES.contains(at.tokens().text(at.at()).toLowerCase(Locale.ROOT));
    }

    private static boolean goesOn(Cursor at, String name, boolean free) {
        return switch (name) {
            case "double" -> at.is("precision");
            case "character", "char", "nchar", "binary" -> at.isAny("varying", "large");
            case "character large", "char large", "binary large" -> at.is("object");
            case "bit" -> at.is("varying");
            case "national" -> at.isAny("character", "char", "varchar");
            case "national character", "national char" -> at.is("varying");
            case "long" -> at.isAny("raw", "varchar", "varbinary", "text");
            case "interval" -> at.isAny("year", "month", "day", "hour", "minute", "second");
            case "interval year", "interval day", "interval hour", "interval minute" -> at.is("to");
            default ->
                name.startsWith("interval ") && name.endsWith(" to")
                        ? at.isAny("year", "month", "day", "hour", "minute", "second")
                        : free && !isClause(at);
        };
    }

    /** The second unit of an interval may stand behind the digits of the first: {@code INTERVAL DAY(3) TO SECOND(2)}. */
    private static String range(Cursor at, String name) {
        if (!name.startsWith("interval ") || !at.accept("to")) {
            return "";
        }
        String unit = " to " + word(at);
        if (at.is('(')) {
            at.inside();
        }
        return unit;
    }

    /** The words about time zones stand behind the digits. */
    private static String zone(Cursor at, String name) {
        if (!name.equals("time") && !name.equals("timestamp")) {
            return "";
        }
        if (at.is("with", "local")) {
            at.skipTo(at.at() + 4);
            return " with local time zone";
        }
        if (at.is("with", "time") || at.is("without", "time")) {
            boolean with = at.is("with");
            at.skipTo(Math.min(at.end(), at.at() + 3));
            return with ? " with time zone" : " without time zone";
        }
        return "";
    }

    private static List<String> arguments(Cursor inside) {
        var found = new ArrayList<String>();
        for (Cursor part : inside.parts()) {
            found.add(
                    part.isKind(Kind.STRING)
                            ? part.tokens().text(part.at())
                            : text(part.tokens(), part.at(), part.end()).toLowerCase(Locale.ROOT));
        }
        return found;
    }

    private static String array(Cursor at) {
        if (!at.is('[') && !at.is("array")) {
            return "";
        }
        var array = new StringBuilder();
        if (at.accept("array")) {
            int start = at.at();
            if (at.accept('[')) {
                at.skip();
                at.accept(']');
            }
            return " array" + at.tokens().text(start, at.at());
        }
        while (at.is('[')) {
            while (!at.atEnd() && !at.accept(']')) {
                at.skip();
            }
            array.append("[]");
        }
        return array.toString();
    }

    /** Tokens as they stand, but with single spaces. */
    static String text(Tokens tokens, int from, int to) {
        int together = from;
        while (together + 1 < to && tokens.touchesNext(together)) {
            together++;
        }
        if (together + 1 >= to) {
            return tokens.text(from, to);
        }
        var text = new StringBuilder();
        for (int i = from; i < to; i++) {
            if (i > from && !tokens.touchesNext(i - 1)) {
                text.append(' ');
            }
            text.append(tokens.text(i));
        }
        return text.toString();
    }
}
