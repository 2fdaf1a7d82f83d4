package ableschema.core.ddl;

import java.util.List;
import java.util.Locale;
import java.util.Map;

/**
 * A type as SQL names it.
 *
 * @param name      in small letters, of several names for one type always the same
 * @param arguments what stands in brackets behind it, such as {@code 10} and {@code 2}
 * @param unsigned  whether no number is below 0
 * @param array     the brackets of an array and other words that belong to the type; empty for none
 * @param text      as it was found, on one line
 * @param canonical the one form that types have which are the same
 */
record SqlType(String name, List<String> arguments, boolean unsigned, String array, String text, String canonical) {

    private static final Map<String, String> ALIASES = Map.ofEntries(
            Map.entry("character varying", "varchar"),
            Map.entry("char varying", "varchar"),
            Map.entry("character", "char"),
            Map.entry("bpchar", "char"),
            Map.entry("national character varying", "nvarchar"),
            Map.entry("national char varying", "nvarchar"),
            Map.entry("national varchar", "nvarchar"),
            Map.entry("nchar varying", "nvarchar"),
            Map.entry("national character", "nchar"),
            Map.entry("national char", "nchar"),
            Map.entry("character large object", "clob"),
            Map.entry("char large object", "clob"),
            Map.entry("binary large object", "blob"),
            Map.entry("binary varying", "varbinary"),
            Map.entry("int", "integer"),
            Map.entry("int4", "integer"),
            Map.entry("signed", "integer"),
            Map.entry("int1", "tinyint"),
            Map.entry("int2", "smallint"),
            Map.entry("int3", "mediumint"),
            Map.entry("middleint", "mediumint"),
            Map.entry("int8", "bigint"),
            Map.entry("numeric", "decimal"),
            Map.entry("dec", "decimal"),
            Map.entry("float8", "double precision"),
            Map.entry("float4", "real"),
            Map.entry("bool", "boolean"),
            Map.entry("timestamp without time zone", "timestamp"),
            Map.entry("timestamp with time zone", "timestamptz"),
            Map.entry("time without time zone", "time"),
            Map.entry("timetz", "time with time zone"),
            Map.entry("serial4", "serial"),
            Map.entry("serial8", "bigserial"),
            Map.entry("serial2", "smallserial"),
            Map.entry("bit varying", "varbit"));

    /** The type of H2 that is a number, numbered and the key. */
    static final SqlType IDENTITY = of("bigint", List.of(), false, "", "identity");

    /** Of what is given no type. */
    static final SqlType NONE = of("", List.of(), false, "", "");

    SqlType {
        arguments = List.copyOf(arguments);
    }

    /** @param found the name as it stands, its words with single spaces between */
    static SqlType of(String found, List<String> arguments, boolean unsigned, String array, String text) {
        String small = found.toLowerCase(Locale.ROOT);
        String name = ALIASES.getOrDefault(small, small);
        return new SqlType(name, arguments, unsigned, array, text, canonical(name, arguments, unsigned, array));
    }

    private static String canonical(String name, List<String> arguments, boolean unsigned, String array) {
        List<String> counted =
                name.equals("decimal") && arguments.size() == 1 ? List.of(arguments.get(0), "0") : arguments;
        if (name.equals("number") && arguments.size() == 2 && arguments.get(1).equals("0")) {
            counted = List.of(arguments.get(0));
        }
        return name
                + (counted.isEmpty() ? "" : "(" + String.join(",", counted) + ")")
                + (unsigned ? " unsigned" : "")
                + array;
    }

    /** The same type with words behind it that belong to it, such as a character set. */
    SqlType with(String words) {
        String all = array + " " + words;
        return new SqlType(
                name, arguments, unsigned, all, text + " " + words, canonical(name, arguments, unsigned, all));
    }

    boolean has(int arguments) {
        return this.arguments.size() == arguments;
    }

    /** An argument as a number; 0 where it is none, or there is none. */
    long number(int argument) {
        String text = argument < arguments.size() ? arguments.get(argument) : "";
        int end = 0;
        while (end < text.length() && text.charAt(end) >= '0' && text.charAt(end) <= '9') {
            end++;
        }
        return end == 0 || end > 18 ? 0 : Long.parseLong(text.substring(0, end));
    }
}
