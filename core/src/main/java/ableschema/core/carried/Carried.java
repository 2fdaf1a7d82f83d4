package ableschema.core.carried;

import java.util.Locale;

/**
 * A statement that makes something beside the tables and is carried along as it stands.
 *
 * @param name    what it makes, with its arguments or its table where only these tell it from others; empty where it makes nothing of
 *                its own
 * @param dialect whose SQL it is written in
 * @param within  the schema in which names without one stand in it; empty for the usual one
 * @param early   whether it stands before the tables, as something in them may need it
 * @param sql     the statement without the mark that ends it
 */
public record Carried(Kind kind, String name, String dialect, String within, boolean early, String sql) {

    /** What a statement makes, in the order in which a script has them. */
    public enum Kind {
        EXTENSION,
        TYPE,
        SEQUENCE,
        ROUTINE,
        PACKAGE,
        SYNONYM,
        /** Another thing that definitions may use, such as a collation or an operator. */
        OTHER,
        VIEW,
        /** An index over what a view keeps, or of a kind that no design has. */
        INDEX,
        TRIGGER,
        /** A rule by which statements are rewritten. */
        RULE,
        /** Which rows who may see. */
        POLICY,
        EVENT,
        DESCRIPTION,
        /** Who may do what. */
        RIGHT;

        /** What people call it. */
        public String word() {
            return this == OTHER ? "statement" : name().toLowerCase(Locale.ROOT);
        }

        /** Whether it only stands behind the rows: what acts on new rows must not act on these. */
        public boolean isLast() {
            return compareTo(VIEW) > 0;
        }
    }

    /** What it is, for people: "view late_loans". */
    public String label() {
        return name.isEmpty() ? kind.word() : kind.word() + " " + name;
    }

    public Carried withEarly(boolean early) {
        return new Carried(kind, name, dialect, within, early, sql);
    }

    /** The same with another name and text. */
    public Carried renamed(String name, String sql) {
        return new Carried(kind, name, dialect, within, early, sql);
    }

    public Carried withSql(String sql) {
        return new Carried(kind, name, dialect, within, early, sql);
    }
}
