package ableschema.core.ddl;

import ableschema.core.schema.Identity;
import java.util.Locale;

/** From where, and by how much, numbers are counted: the options of a sequence or an identity. */
record Sequence(long start, long step) {

    /** Reads options in any order; what says nothing of the numbers themselves is passed over. */
    static Sequence read(Cursor at) {
        long start = 1;
        long step = 1;
        boolean said = false;
        long least = 1;
        while (!at.atEnd()) {
            if (at.accept("start")) {
                at.accept("with");
                at.accept('=');
                start = at.is("limit") ? 1 : at.number();
                said = true;
            } else if (at.accept("increment")) {
                at.accept("by");
                at.accept('=');
                step = at.number();
            } else if (at.is("minvalue") && at.at() + 1 < at.end() && !at.is("minvalue", "no")) {
                at.skip();
                least = at.isKind(Tokens.Kind.NUMBER) || at.is('-') ? at.number() : least;
            } else {
                at.skip();
            }
        }
        return new Sequence(said ? start : step > 0 ? least : -1, step == 0 ? 1 : step);
    }

    Identity identity() {
        return new Identity(start, step);
    }

    /** What finds a sequence by its own name, without a schema or quotes. */
    static String ownKey(String name) {
        return name.toLowerCase(Locale.ROOT);
    }

    /** What finds a sequence by its name, with or without a schema and quotes. */
    static String key(String name) {
        int dot = -1;
        boolean quoted = false;
        for (int i = 0; i < name.length(); i++) {
            quoted ^= name.charAt(i) == '"';
            dot = name.charAt(i) == '.' && !quoted ? i : dot;
        }
        String last = name.substring(dot + 1);
        return last.replace("\"", "").toLowerCase(Locale.ROOT);
    }
}
