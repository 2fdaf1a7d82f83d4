package ableschema.core.ddl;

import java.util.Locale;
import java.util.Map;

/**
 * How MySQL and MariaDB compare texts: a character set alone stands for its usual collation, and a collation says its character
 * set. The names are those that servers print today.
 */
final class Collations {

    /** The character set whose usual collation depends on the version of the server. */
    private static final String UNSURE = "utf8mb4";

    /** Stands for the collation by number of the characters, while these are not known yet. */
    static final String BINARY = "_bin";

    /** Usual collations that are not called after their set alone. */
    private static final Map<String, String> USUAL = Map.ofEntries(
            Map.entry("latin1", "latin1_swedish_ci"),
            Map.entry("latin5", "latin5_turkish_ci"),
            Map.entry("dec8", "dec8_swedish_ci"),
            Map.entry("swe7", "swe7_swedish_ci"),
            Map.entry("hp8", "hp8_english_ci"),
            Map.entry("big5", "big5_chinese_ci"),
            Map.entry("gbk", "gbk_chinese_ci"),
            Map.entry("gb2312", "gb2312_chinese_ci"),
            Map.entry("gb18030", "gb18030_chinese_ci"),
            Map.entry("sjis", "sjis_japanese_ci"),
            Map.entry("ujis", "ujis_japanese_ci"),
            Map.entry("cp932", "cp932_japanese_ci"),
            Map.entry("eucjpms", "eucjpms_japanese_ci"),
            Map.entry("euckr", "euckr_korean_ci"),
            Map.entry("tis620", "tis620_thai_ci"),
            Map.entry("binary", "binary"));

    private Collations() {}

    /** The collation of a character set; empty where that depends on the server. */
    static String usual(Context context, String charset) {
        String name = present(charset);
        if (name.equals(UNSURE) && !context.is("mariadb")) {
            return "";
        }
        return USUAL.getOrDefault(name, name + "_general_ci");
    }

    /** The name of today for a character set or collation. */
    static String present(String name) {
        String small = name.toLowerCase(Locale.ROOT);
        return small.equals("utf8") || small.startsWith("utf8_") ? "utf8mb3" + small.substring(4) : small;
    }

    /** How many bytes a character takes at most; four where nothing is said of it. */
    static int bytes(String collation) {
        String charset = collation.replaceAll("_.*", "");
        return switch (charset) {
            case "", "utf8mb4", "utf16", "utf16le", "utf32", "gb18030" -> 4;
            case "utf8mb3", "ujis", "eucjpms" -> 3;
            case "ucs2", "big5", "gbk", "gb2312", "sjis", "cp932", "euckr" -> 2;
            default -> 1;
        };
    }

    /** Leaves one of both to a table, and to its columns only what is another than the table's. */
    static void settle(Context context, DraftTable table) {
        String charset = context.dialect.name() + ".charset";
        String collation = context.dialect.name() + ".collation";
        String set = table.options.getOrDefault(charset, "");
        String found = table.options.getOrDefault(collation, "");
        if (set.isEmpty() && found.isEmpty()) {
            binary(table, collation, "utf8mb4");
            return;
        }
        String settled = found.isEmpty() && !set.isEmpty() ? usual(context, set) : present(found);
        binary(table, collation, settled.isEmpty() ? present(set) : settled.replaceAll("_.*", ""));
        if (!settled.isEmpty()) {
            table.options.remove(charset);
            table.options.put(collation, settled);
            table.columns.replaceAll(column -> {
                boolean same = settled.equals(column.options().get(collation));
                return same ? column.withoutOption(collation) : column;
            });
        } else if (!set.isEmpty()) {
            table.options.put(charset, present(set));
        }
    }

    /** A column of which only {@code BINARY} is said is compared by the numbers of the characters of its table. */
    private static void binary(DraftTable table, String collation, String charset) {
        table.columns.replaceAll(column -> BINARY.equals(column.options().get(collation))
                ? column.withOption(collation, charset + BINARY)
                : column);
    }
}
