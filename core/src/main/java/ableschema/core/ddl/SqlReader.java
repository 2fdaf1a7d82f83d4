package ableschema.core.ddl;

import ableschema.core.sql.dialect.Dialect;
import java.nio.file.Path;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * Reads the definitions in an SQL text: what its statements make, change, rename and drop counts as it ends up. It takes any
 * text: what is not understood is listed and the rest is read.
 */
public final class SqlReader {

    /** Statements that leave nothing in a database. */
    private static final Set<String> PASSING = Set.of(
            "begin",
            "start",
            "commit",
            "rollback",
            "end",
            "savepoint",
            "release",
            "lock",
            "unlock",
            "pragma",
            "analyze",
            "vacuum",
            "optimize",
            "flush",
            "checkpoint",
            "print",
            "exit",
            "quit",
            "show",
            "select",
            "values",
            "explain",
            "reset",
            "discard",
            "dbcc",
            "declare",
            "return",
            "whenever",
            "delete",
            "truncate",
            "prepare",
            "execute",
            "deallocate");

    private static final Set<String> INDEXES = Set.of("fulltext", "spatial", "bitmap", "clustered");

    /** What is neither read nor carried along. */
    private static final Map<String, String> MADE = Map.ofEntries(
            Map.entry("view", "a view that lasts as long as the session"),
            Map.entry("role", "a role"),
            Map.entry("user", "a user"),
            Map.entry("login", "a login"),
            Map.entry("publication", "a publication"),
            Map.entry("subscription", "a subscription"),
            Map.entry("server", "a server"),
            Map.entry("tablespace", "a tablespace"));

    private final Context context;
    private final Tokens tokens;
    private final Lexer lexer;
    private final NamedTypeReader types;
    private final OtherReader others;
    private final RowReader rows;
    private final CarriedReader carried;

    private SqlReader(String text, Dialect dialect, int mostRows) {
        Lexis lexis = Lexis.of(dialect);
        this.context = new Context(dialect);
        this.tokens = new Tokens(text, lexis);
        this.lexer = new Lexer(text, lexis);
        this.types = new NamedTypeReader(context);
        this.others = new OtherReader(context, types);
        this.rows = new RowReader(context.draft, mostRows);
        this.carried = new CarriedReader(context);
    }

    /** Reads a text as one of a dialect. */
    public static SqlRead read(String text, Dialect dialect) {
        return read(text, dialect, 0);
    }

    /** @param mostRows how many rows of each table are read along */
    public static SqlRead read(String text, Dialect dialect, int mostRows) {
        var reader = new SqlReader(text, dialect, mostRows);
        while (reader.lexer.next(reader.tokens)) {
            reader.statement();
        }
        reader.rows.end();
        int unclosed = reader.lexer.unclosed();
        Optional<SqlRead.Cut> cut = unclosed < 0
                ? Optional.empty()
                : Optional.of(new SqlRead.Cut(reader.tokens.lineAt(unclosed), reader.lexer.unclosedWhat()));
        return new Completion(reader.context).read(cut, reader.rows.read(), reader.carried);
    }

    /** Reads a text of which it is not said in which dialect it is. */
    public static SqlRead read(String text) {
        return read(text, dialectOf(text), 0);
    }

    /** The dialect that most in a text speaks for; standard SQL where nothing does. */
    public static Dialect dialectOf(String text) {
        return DialectGuess.of(text);
    }

    /** The dialect of the text of a file, for which its name and that of its folder speak, too. */
    public static Dialect dialectOf(String text, Path file) {
        return DialectGuess.of(text, file);
    }

    private void statement() {
        if (tokens.isClient()) {
            skip("a command of the client program");
            return;
        }
        var at = new Cursor(tokens, context.names, 0, tokens.count());
        try {
            if (!rows.takes(at) && !carried.takes(at)) {
                read(at);
            }
        } catch (Unread e) {
            skip(e.reason());
        }
    }

    private void skip(String reason) {
        int end = 0;
        while (end < Math.min(tokens.count(), 200) && !tokens.is(end, "password") && !tokens.is(end, "identified")) {
            end++; // a password is told to nobody
        }
        String rest = end < tokens.count() && end < 200 ? " …" : "";
        context.draft.skip(tokens.line(0), tokens.text(0, end) + rest, reason);
    }

    private void read(Cursor at) {
        if (at.accept("create")) {
            create(at);
        } else if (at.is("alter", "table")) {
            at.skip();
            new AlterReader(context).read(at);
        } else if (at.is("alter", "session") || at.is("alter", "database") || at.is("alter", "default")) {
            skip("a setting");
        } else if (at.accept("alter")) {
            if (!isOfOwner(at)) {
                others.alter(at);
            }
        } else if (at.accept("comment", "on")) {
            others.comment(at);
        } else if (at.accept("drop")) {
            others.drop(at);
        } else if (at.accept("rename")) {
            others.rename(at);
        } else if (at.accept("use") || at.accept("reset", "search_path")) {
            context.draft.namespace = "";
        } else if (at.accept("set")) {
            set(at);
        } else if (at.acceptAny("exec", "execute", "call")) {
            if (!others.call(at)) {
                skip("a call of a procedure");
            }
        } else if (at.is("if")) {
            conditional(at);
        } else if (!isPassing(at)) {
            skip("no statement that is read");
        }
    }

    /** Who owns a thing says nothing of it. */
    static boolean isOfOwner(Cursor at) {
        return at.end() - at.at() > 3
                && at.tokens().is(at.end() - 3, "owner")
                && at.tokens().is(at.end() - 2, "to");
    }

    private static boolean isPassing(Cursor at) {
        return at.isKind(Tokens.Kind.WORD)
                && PASSING.contains(at.tokens().text(at.at()).toLowerCase(Locale.ROOT));
    }

    private void set(Cursor at) {
        if (!at.acceptAny("search_path", "schema")) {
            return; // what holds for this session only
        }
        at.accept("to");
        at.accept('=');
        if (at.isName()) {
            String first = at.name();
            boolean none = first.isEmpty() || first.startsWith("$") || first.equals("pg_catalog");
            context.draft.namespace = none ? "" : context.names.namespace(first);
        }
    }

    /** IF … IS NULL CREATE …: what is made where there is none is made. */
    private void conditional(Cursor at) {
        for (int i = at.at(); i < at.end(); i++) {
            if (tokens.is(i, "create")) {
                at.skipTo(i + 1);
                create(at);
                return;
            }
        }
        if (!tokens.is(1, "schema_id")) { // the tables say themselves where they are
            skip("no statement that is read");
        }
    }

    private void create(Cursor at) {
        boolean unique = false;
        String kind = "";
        boolean passing = false;
        while (at.isKind(Tokens.Kind.WORD)) {
            String word = tokens.text(at.at()).toLowerCase(Locale.ROOT);
            switch (word) {
                case "table" -> {
                    if (passing
                            || tokens.text(Math.min(at.at() + 1, tokens.count() - 1))
                                    .startsWith("#")) {
                        throw new Unread("a table that lasts as long as the session is not part of a design");
                    }
                    new TableReader(context).read(at, tokens.line(0), tokens.is(1, "unlogged"));
                    return;
                }
                case "index" -> {
                    IndexReader.create(context, at, unique, kind);
                    return;
                }
                case "type", "domain" -> {
                    types.make(at);
                    return;
                }
                case "sequence" -> {
                    others.sequence(at);
                    return;
                }
                case "schema", "database" -> {
                    return; // the tables say themselves where they are
                }
                case "virtual", "foreign", "external" -> throw new Unread("a table whose rows are kept elsewhere");
                default -> {
                    String what = MADE.get(word);
                    if (what != null) {
                        throw new Unread(what + " is not part of a design");
                    }
                    unique |= word.equals("unique");
                    passing |= word.equals("temp") || word.equals("temporary");
                    kind = INDEXES.contains(word) ? word : kind;
                    at.skip();
                    if (at.is('=')) { // ALGORITHM=…, DEFINER=…
                        at.skip();
                        at.skip();
                        if (at.is('@')) {
                            at.skip();
                            at.skip();
                        }
                    }
                }
            }
        }
        throw new Unread("it is not known what is made here");
    }
}
