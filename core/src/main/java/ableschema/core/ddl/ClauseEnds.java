package ableschema.core.ddl;

import ableschema.core.ddl.Tokens.Kind;

/** Where what stands in no brackets ends in the definition of a column: before what begins another clause. */
final class ClauseEnds {

    private ClauseEnds() {}

    /** Where the options of an identity end that stand in no brackets. */
    static int ofOptions(Cursor at) {
        int end = at.at();
        while (end < at.end()
                && !(at.tokens().is(end, "not")
                        || at.tokens().is(end, "null")
                        || at.tokens().is(end, "primary")
                        || at.tokens().is(end, "unique")
                        || at.tokens().is(end, "enable")
                        || at.tokens().is(end, "constraint"))) {
            end++;
        }
        return end;
    }

    /** Whether what is computed goes on behind a bracket, as in {@code (a + 1) * 2}. */
    static boolean goesOn(Cursor at, int behind) {
        return behind < at.end() && at.tokens().kind(behind) == Kind.SYMBOL;
    }

    /** Where a computation without brackets ends: before what says how it is kept. */
    static int ofComputed(Cursor at) {
        int end = at.at();
        int depth = 0;
        Tokens tokens = at.tokens();
        while (end < at.end()) {
            depth += tokens.depth(end);
            boolean word = tokens.is(end, "persisted")
                    || tokens.is(end, "stored")
                    || tokens.is(end, "virtual")
                    || tokens.is(end, "not") && tokens.is(end + 1, "null")
                    || tokens.is(end, "constraint")
                    || tokens.is(end, "primary")
                    || tokens.is(end, "unique");
            if (depth == 0 && word) {
                return end;
            }
            end++;
        }
        return end;
    }

    /** Where a default ends: before what begins another clause, outside brackets. */
    static int ofValue(Cursor at) {
        int depth = 0;
        Tokens tokens = at.tokens();
        for (int i = at.at(); i < at.end(); i++) {
            depth += tokens.depth(i);
            boolean isNull = i == at.at() && tokens.is(i, "null"); // the value itself
            if (depth == 0 && !isNull && endsValue(tokens, i)) {
                return i;
            }
        }
        return at.end();
    }

    private static boolean endsValue(Tokens tokens, int i) {
        if (tokens.kind(i) != Kind.WORD
                || tokens.is(i - 1, "is")
                || tokens.is(i - 1, "not") && !tokens.is(i, "default")) {
            return false;
        }
        return tokens.is(i, "not") && tokens.is(i + 1, "null")
                || tokens.is(i, "null")
                || tokens.is(i, "constraint")
                || tokens.is(i, "primary")
                || tokens.is(i, "unique")
                || tokens.is(i, "check")
                || tokens.is(i, "references")
                || tokens.is(i, "comment")
                || tokens.is(i, "collate")
                || tokens.is(i, "generated")
                || tokens.is(i, "on") && (tokens.is(i + 1, "update") || tokens.is(i + 1, "conflict"))
                || tokens.is(i, "auto_increment")
                || tokens.is(i, "autoincrement")
                || tokens.is(i, "enable")
                || tokens.is(i, "disable")
                || tokens.is(i, "with") && tokens.is(i + 1, "values")
                || tokens.is(i, "invisible")
                || tokens.is(i, "visible")
                || tokens.is(i, "after")
                || tokens.is(i, "first")
                || tokens.is(i, "selectivity")
                || tokens.is(i, "before")
                || tokens.is(i, "for") && !tokens.is(i - 1, "value")
                || tokens.is(i, "key");
    }
}
