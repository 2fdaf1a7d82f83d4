package ableschema.core.ddl;

import ableschema.core.carried.Carried;
import ableschema.core.sql.dialect.Dialect;
import java.util.LinkedHashSet;
import java.util.Set;
import java.util.function.Predicate;

/** The text of a statement that is carried along, and the names in it. */
public final class CarriedText {

    private final Dialect dialect;
    private final Names names;
    private final Lexis lexis;

    CarriedText(Dialect dialect) {
        this.dialect = dialect;
        this.names = new Names(dialect);
        this.lexis = Lexis.of(dialect);
    }

    /** The names in a statement, also in bodies between dollar signs, each as it is compared in the dialect. */
    public static Set<String> names(String sql, Dialect dialect) {
        return new CarriedText(dialect).names(sql);
    }

    /** What is the same for names that mean the same in the dialect. */
    public static String key(String name, Dialect dialect) {
        return new Names(dialect).key(name);
    }

    /** The same statement with another name wherever one stands, between quotes where it needs them. */
    public static String renamed(String sql, String name, String to, Dialect dialect) {
        return new CarriedText(dialect).renamed(sql, name, to);
    }

    Set<String> names(String sql) {
        var found = new LinkedHashSet<String>();
        Tokens tokens = tokens(sql);
        for (int i = 0; i < tokens.count(); i++) {
            if (isName(tokens, i)) {
                found.add(names.key(names.of(tokens, i)));
            } else if (isBody(tokens, i)) {
                found.addAll(names(body(tokens, i)));
            }
        }
        return found;
    }

    private String renamed(String sql, String name, String to) {
        var text = new StringBuilder();
        Tokens tokens = tokens(sql);
        int at = 0;
        for (int i = 0; i < tokens.count(); i++) {
            text.append(sql, at, tokens.start(i));
            at = tokens.end(i);
            if (isName(tokens, i) && names.same(names.of(tokens, i), name)) {
                text.append(dialect.quoted(to));
            } else if (isBody(tokens, i)) {
                String whole = tokens.text(i);
                String body = body(tokens, i);
                int start = whole.indexOf('$', 1) + 1;
                text.append(whole, 0, start)
                        .append(renamed(body, name, to))
                        .append(whole, start + body.length(), whole.length());
            } else {
                text.append(sql, tokens.start(i), at);
            }
        }
        return text.append(sql, at, sql.length()).toString();
    }

    private static boolean isName(Tokens tokens, int token) {
        return tokens.kind(token) == Tokens.Kind.WORD || tokens.kind(token) == Tokens.Kind.NAME;
    }

    private static boolean isBody(Tokens tokens, int token) {
        return tokens.kind(token) == Tokens.Kind.STRING && tokens.text(token).startsWith("$");
    }

    private static String body(Tokens tokens, int token) {
        String whole = tokens.text(token);
        int start = whole.indexOf('$', 1) + 1;
        return whole.substring(start, Math.max(start, whole.length() - start));
    }

    /** All tokens of a text, whatever ends its statements. */
    private Tokens tokens(String sql) {
        var all = new Tokens(sql, lexis);
        var lexer = new Lexer(sql, lexis);
        lexer.all(all);
        return all;
    }

    /** The same statement without the name of a schema before others. */
    Carried without(String namespace, Carried each) {
        String name =
                each.name().startsWith(namespace + ".") ? each.name().substring(namespace.length() + 1) : each.name();
        String sql = of(tokens(each.sql()), other -> names.same(other, namespace));
        return each.renamed(name, sql);
    }

    /**
     * A statement as it stands, without what its surroundings say: comments for certain versions only are opened, and the schema in
     * which everything stands anyhow is not named.
     */
    String of(Tokens tokens) {
        return of(tokens, namespace -> names.namespace(namespace).isEmpty());
    }

    private String of(Tokens tokens, Predicate<String> isUsual) {
        var text = new StringBuilder();
        for (int i = 0; i < tokens.count(); i++) {
            if (i > 0) {
                text.append(gap(tokens.between(i - 1, i)));
            }
            boolean usual = isName(tokens, i)
                    && tokens.is(i + 1, '.')
                    && i + 2 < tokens.count()
                    && isName(tokens, i + 2)
                    && !(i > 0 && tokens.is(i - 1, '.'))
                    && isUsual.test(names.of(tokens, i));
            if (usual) {
                i++;
            } else {
                text.append(tokens.text(i));
            }
        }
        return text.toString().replace("\r\n", "\n").replace('\r', '\n').strip();
    }

    /** What stands between two tokens: a comment that is closed there, or space. */
    private String gap(String between) {
        boolean conditional = between.contains("/*!")
                || between.contains("/*M!")
                || between.stripLeading().startsWith("*/");
        return conditional && lexis.client() == Lexis.Client.DELIMITER ? " " : between;
    }
}
