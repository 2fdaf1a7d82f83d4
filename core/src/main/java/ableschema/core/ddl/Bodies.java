package ableschema.core.ddl;

import ableschema.core.ddl.Lexis.Client;

/** Follows the bodies of triggers and routines, in which semicolons end no statement. */
final class Bodies {

    /** Behind so many words nothing says any more that a routine is made. */
    private static final int LAST_WORD = 14;

    private Client client = Client.NONE;
    private boolean possible;
    private boolean body;
    private int open;
    private int firstEnd;
    private boolean given;

    /** Begins with a new statement. */
    void begin(Client of) {
        client = of;
        possible = true;
        body = false;
        open = 0;
        firstEnd = 0;
    }

    boolean isBody() {
        return body;
    }

    /** Whether a semicolon ends nothing here. */
    boolean isOpen() {
        return body && !given && (open > 0 || client == Client.SLASH || client == Client.GO);
    }

    void semicolon(int end) {
        firstEnd = firstEnd == 0 ? end : firstEnd;
    }

    /** Where the first statement in a body ended that was never closed; 0 where none is open. From then on none is looked for. */
    int rewind() {
        boolean unclosed = isOpen() && client != Client.GO && firstEnd > 0;
        given |= unclosed;
        body = false;
        return unclosed ? firstEnd : 0;
    }

    /** Looks at the word that has just been read. */
    void word(Tokens tokens) {
        int last = tokens.count() - 1;
        if (body) {
            count(tokens, last);
        } else if (possible && last <= LAST_WORD) {
            recognise(tokens, last);
        }
    }

    private void recognise(Tokens tokens, int last) {
        if (last == 0) {
            boolean block = client == Client.SLASH && (tokens.is(0, "declare") || tokens.is(0, "begin"));
            possible = block
                    || tokens.is(0, "create")
                    || tokens.is(0, "replace")
                    || client == Client.GO
                            && tokens.is(0, "alter"); // elsewhere a body is made, and only switched on and off
            body = block;
            open = tokens.is(0, "begin") ? 1 : 0;
        } else if (tokens.is(last, "table") || tokens.is(last, "index") || tokens.is(last, "view")) {
            possible = false;
        } else {
            body = tokens.is(last, "trigger")
                    || tokens.is(last, "function")
                    || tokens.is(last, "procedure")
                    || tokens.is(last, "event")
                    || tokens.is(last, "package")
                    || tokens.is(last, "body");
        }
    }

    private void count(Tokens tokens, int last) {
        boolean closing = last > 0 && tokens.is(last - 1, "end");
        if (tokens.is(last, "end")) {
            open = Math.max(0, open - 1);
        } else if (closing && isOpenedOtherwise(tokens, last)) {
            open++; // END IF and the like close what was not counted
        } else if (!closing && (tokens.is(last, "begin") || tokens.is(last, "case"))) {
            open++;
        }
    }

    private static boolean isOpenedOtherwise(Tokens tokens, int last) {
        return tokens.is(last, "if")
                || tokens.is(last, "loop")
                || tokens.is(last, "while")
                || tokens.is(last, "repeat");
    }
}
