package ableschema.core.ddl;

import ableschema.core.ddl.Tokens.Kind;
import java.util.Locale;
import java.util.Set;

/** How a table is cut into parts, as it stands behind PARTITION BY, in one form whoever has written it. */
final class PartitionText {

    private static final Set<String> WORDS = Set.of(
            "range",
            "list",
            "hash",
            "key",
            "linear",
            "columns",
            "partition",
            "partitions",
            "subpartition",
            "subpartitions",
            "by",
            "values",
            "less",
            "than",
            "in",
            "maxvalue",
            "default",
            "comment",
            "algorithm");

    private final Context context;
    private final Tokens tokens;
    private final StringBuilder text = new StringBuilder();

    private PartitionText(Context context, Tokens tokens) {
        this.context = context;
        this.tokens = tokens;
    }

    /** The stretch from one token up to another. */
    static String of(Context context, Tokens tokens, int from, int to) {
        var made = new PartitionText(context, tokens);
        int at = from;
        while (at < to) {
            at = made.isUsualEngine(at, to) ? at + (tokens.is(at + 1, '=') ? 3 : 2) : made.add(at);
        }
        return made.text.toString();
    }

    private boolean isUsualEngine(int at, int to) {
        int name = tokens.is(at + 1, '=') ? at + 2 : at + 1;
        return tokens.is(at, "engine") && name < to && tokens.is(name, "innodb");
    }

    private int add(int at) {
        String token = said(at);
        boolean opening = tokens.is(at, '(');
        boolean call = opening && at > 0 && tokens.kind(at - 1) == Kind.WORD && !isWord(at - 1) && !isName(at - 1);
        boolean tight = text.isEmpty()
                || text.charAt(text.length() - 1) == '('
                || tokens.is(at, ')')
                || tokens.is(at, ',')
                || call
                || tokens.is(at, ':')
                || at > 0 && tokens.is(at - 1, ':');
        text.append(tight ? "" : " ").append(token);
        return at + 1;
    }

    /** Whether the name of a part stands here, behind which a bracket is not that of a call. */
    private boolean isName(int at) {
        return at > 0 && (tokens.is(at - 1, "partition") || tokens.is(at - 1, "subpartition")) && !tokens.is(at, "by");
    }

    private boolean isWord(int at) {
        return tokens.kind(at) == Kind.WORD && WORDS.contains(tokens.text(at).toLowerCase(Locale.ROOT)) && !isName(at);
    }

    private String said(int at) {
        if (isWord(at)) {
            return tokens.text(at).toUpperCase(Locale.ROOT);
        }
        boolean function = tokens.kind(at) == Kind.WORD && tokens.is(at + 1, '(') && !isName(at);
        if (function) {
            return tokens.text(at).toLowerCase(Locale.ROOT); // as the engine's catalogue has it
        }
        return tokens.kind(at) == Kind.NAME ? context.dialect.quoted(tokens.unquoted(at)) : tokens.text(at);
    }
}
