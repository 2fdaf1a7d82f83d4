package ableschema.core.ddl;

import java.math.BigDecimal;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** The texts that stand between quotes in SQL, in whatever way. */
final class Literal {

    private static final Pattern NUMBERED = Pattern.compile("\\\\(?:\\+([0-9a-fA-F]{6})|([0-9a-fA-F]{4})|\\\\)");

    /** Of a power that no column holds nothing is made. */
    private static final Pattern POWER = Pattern.compile("-?\\d{1,30}(?:\\.\\d{1,30})?[eE][+-]?\\d{1,2}");

    private Literal() {}

    /** The value of a text as it stands in SQL: {@code 'it''s'}, {@code N'it''s'}, {@code q'[it's]'}, {@code $$it's$$}. */
    static String of(String sql) {
        if (sql.startsWith("$")) {
            int tag = sql.indexOf('$', 1) + 1;
            return sql.substring(tag, Math.max(tag, sql.length() - tag));
        }
        int quote = 0;
        while (quote < sql.length() && sql.charAt(quote) != '\'' && sql.charAt(quote) != '"') {
            quote++;
        }
        quote = quote < sql.length() ? quote : -1;
        String prefix = sql.substring(0, Math.max(quote, 0)).toLowerCase(Locale.ROOT);
        if (prefix.endsWith("q")) {
            return sql.substring(Math.min(quote + 2, sql.length()), Math.max(quote + 2, sql.length() - 2));
        }
        boolean closed = sql.length() > quote + 1 && sql.charAt(sql.length() - 1) == sql.charAt(Math.max(quote, 0));
        String inside = sql.substring(Math.min(quote + 1, sql.length()), closed ? sql.length() - 1 : sql.length());
        String sign = quote < 0 ? "'" : String.valueOf(sql.charAt(quote));
        String plain = inside.replace(sign + sign, sign);
        return prefix.equals("u&") ? numbered(plain) : plain;
    }

    /** {@code \00e9} and {@code \+01f600} are characters by their numbers (ISO/IEC 9075-2, 5.3). */
    private static String numbered(String text) {
        return NUMBERED.matcher(text).replaceAll(each -> {
            String digits = each.group(1) == null ? each.group(2) : each.group(1);
            if (digits == null) {
                return Matcher.quoteReplacement("\\");
            }
            int character = Integer.parseInt(digits, 16);
            return Matcher.quoteReplacement(
                    Character.isValidCodePoint(character) ? Character.toString(character) : each.group());
        });
    }

    /** A truth as it is written in PostgreSQL and its kin; any other value as it is. */
    static String truth(String value) {
        return switch (value.toLowerCase(Locale.ROOT)) {
            case "t", "on" -> "yes";
            case "f", "off" -> "no";
            default -> value;
        };
    }

    /** A number that is written with a power of ten, as in {@code 1e3}, without it; empty for anything else. */
    static Optional<String> power(String sql) {
        return POWER.matcher(sql).matches() ? Optional.of(new BigDecimal(sql).toPlainString()) : Optional.empty();
    }

    /** The same, where a backslash escapes the character behind it. */
    static String escaped(String sql) {
        String inside = of(sql);
        return inside.indexOf('\\') < 0
                ? inside
                : ESCAPED.matcher(inside).replaceAll(each -> Matcher.quoteReplacement(meant(each.group(1))));
    }

    /** The same in PostgreSQL, which also has bytes and characters by their numbers there. */
    static String escapedWithNumbers(String sql) {
        String inside = of(sql);
        return inside.indexOf('\\') < 0 ? inside : new Escapes(inside).read();
    }

    private static final Pattern ESCAPED = Pattern.compile("\\\\(.)", Pattern.DOTALL);

    /** What a sign means behind a backslash: itself, as a rule. */
    static String meant(String escaped) {
        return switch (escaped) {
            case "n" -> "\n";
            case "t" -> "\t";
            case "r" -> "\r";
            case "b" -> "\b";
            case "0" -> "\0";
            default -> escaped;
        };
    }
}
