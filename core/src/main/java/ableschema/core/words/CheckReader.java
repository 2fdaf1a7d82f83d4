package ableschema.core.words;

import ableschema.core.design.ColumnRef;
import ableschema.core.expression.Expression;
import ableschema.core.types.DataType;
import ableschema.core.types.TypedValue;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Reads one rule by the productions of {@link CheckText}, and writes it in standard SQL as it goes. */
final class CheckReader {

    private static final int MOST_BRACKETS = 60;
    private static final String NOT = "(?:(?:can|may|must|should) ?not be|can't be|not|no)";
    private static final String BE = "(?:(?:is|are|must be|has to be|should be|must) )?";

    /** The longer forms stand first. */
    private static final Map<Pattern, String> SIGNS = new LinkedHashMap<>();

    static {
        sign(NOT + " (?:after|later than|more than|greater than|larger than|above|over)", "<=");
        sign(NOT + " (?:before|earlier than|less than|smaller than|fewer than|below|under)", ">=");
        sign("(?:on or after|at or after|at least|from)", ">=");
        sign("(?:on or before|at or before|at most|up to)", "<=");
        sign("(?:after|later than|more than|greater than|larger than|above|over)", ">");
        sign("(?:before|earlier than|less than|smaller than|fewer than|below|under)", "<");
        sign("(?:not equal to|not the same as|other than|different from)", "<>");
        sign("(?:equal to|equals|the same as)", "=");
    }

    private static void sign(String words, String sign) {
        SIGNS.put(pattern(BE + words + "\\b"), sign);
    }

    private static final Pattern IF = pattern("if\\b");
    private static final Pattern THEN = pattern(",?\\s*then\\b");
    private static final Pattern ONLY = pattern("only (?:if|where|when)\\b");
    private static final Pattern SQL_NULL = pattern("is\\s+(?:not\\s+)?null\\b");
    private static final Pattern MISSING = pattern("(?:is|are|must be) (not )?(?:empty|missing|unknown)\\b");
    private static final Pattern THERE = pattern("(?:is|are|must be) (not )?(?:there|given|known|filled)\\b");
    private static final Pattern ONE_OF = pattern(BE + "(not )?one of\\b");
    private static final Pattern LISTED = pattern("(not\\s+)?in\\s*\\(");
    private static final Pattern BETWEEN = pattern("(?:(?:is|must be|lies|must lie) )?(not )?(between)\\b");
    /** The second group says where what is looked for stands. */
    private static final Pattern WITHIN = pattern(
            "((?:does|do|must|may|can|should|is)(?: ?not) |doesn't |can't |not )?(?:(?:must|may|can|should|does|do|is) )?(like|contains?|(?:starts?|begins?) with|ends? with|ends? in)\\b");

    private static final Pattern LOOKED_FOR = Pattern.compile("\\s*('(?:[^']|'')*')");
    private static final Pattern PLAIN_SIGN = Pattern.compile("<=|>=|<>|!=|<|>|=");
    private static final Pattern BE_NOT = pattern("(?:is|are) not\\b");
    private static final Pattern JUST_BE = pattern("(?:is|are|must be|has to be)\\b");

    private final String text;
    private final CheckOperands operands;
    private int at;
    private int depth;
    private Optional<Compared> compared = Optional.empty();
    /** Whether that was said to be equal to something. */
    private boolean equated;

    /** What was compared last, and what was written for it. */
    private record Compared(CheckOperands.Value value, List<Expression.Piece<ColumnRef>> written) {}

    private List<Expression.Piece<ColumnRef>> out = new ArrayList<>();

    CheckReader(String text, int start, ColumnNames names, String owner) {
        this.text = text;
        this.at = start;
        this.operands = new CheckOperands(this, text, names, owner);
    }

    private static Pattern pattern(String words) {
        return Pattern.compile(words, Pattern.CASE_INSENSITIVE);
    }

    int at() {
        return at;
    }

    void moveTo(int place) {
        at = place;
    }

    void write(String sql) {
        out.add(new Expression.Text<>(sql));
    }

    void write(ColumnRef column) {
        out.add(new Expression.Column<>(column));
    }

    /** Copies the space that stands here. */
    void space() {
        int end = behindSpace();
        if (end > at) {
            write(text.substring(at, end));
            at = end;
        }
    }

    Optional<Matcher> here(Pattern pattern) {
        Matcher matcher = pattern.matcher(text).region(at, text.length());
        matcher.useTransparentBounds(true);
        return matcher.lookingAt() ? Optional.of(matcher) : Optional.empty();
    }

    /** Takes a word or sign that stands behind space, and copies both. */
    boolean accept(String word) {
        int from = behindSpace();
        int end = from + word.length();
        boolean letters = Character.isLetter(word.charAt(0));
        boolean found = text.regionMatches(true, from, word, 0, word.length())
                && !(letters && end < text.length() && ColumnNames.isOfWord(text.charAt(end)));
        if (found) {
            write(text.substring(at, end));
            at = end;
        }
        return found;
    }

    /** Takes a word that stands behind space, and writes a sign in its place. */
    boolean acceptAs(String word, String sign) {
        int written = out.size();
        int before = at;
        boolean found = accept(word);
        if (found) {
            out = new ArrayList<>(out.subList(0, written));
            write(text.substring(before, at - word.length()) + sign);
        }
        return found;
    }

    /** Whether a sign was written last. */
    boolean hasWritten(String sign) {
        return !out.isEmpty()
                && out.get(out.size() - 1) instanceof Expression.Text<ColumnRef> last
                && last.text().endsWith(sign);
    }

    private int behindSpace() {
        int from = at;
        while (from < text.length() && Character.isWhitespace(text.charAt(from))) {
            from++;
        }
        return from;
    }

    private boolean skip(Pattern words) {
        int before = at;
        at = behindSpace();
        Optional<Matcher> found = here(words);
        at = found.map(Matcher::end).orElse(before);
        return found.isPresent();
    }

    Misunderstanding expected(String what) {
        int start = Math.min(behindSpace(), Math.max(0, text.length() - 1));
        int end = text.indexOf(' ', Math.min(start + 1, text.length()));
        return new Misunderstanding(start, end < 0 ? text.length() : end, "expected " + what);
    }

    Expression<ColumnRef> rule() {
        at = behindSpace();
        if (skip(IF)) {
            var condition = captured();
            if (!skip(THEN)) {
                throw expected("'then'");
            }
            implies(condition, captured());
        } else {
            var first = captured();
            if (skip(ONLY)) {
                implies(first, captured());
            } else {
                out.addAll(first);
            }
        }
        int end = at;
        while (end < text.length() && (Character.isWhitespace(text.charAt(end)) || text.charAt(end) == '.')) {
            end++;
        }
        if (end < text.length()) {
            at = end;
            throw expected("'and', 'or', 'only where' or the end of the rule");
        }
        return new Expression<>(out, "");
    }

    /** A value that is made of columns; what stands behind it is left to whoever asked. */
    CheckText.ReadValue value() {
        int start = at;
        operands.sum(Optional.empty());
        var value = new Expression<>(out, "");
        if (value.columns().findAny().isEmpty()) {
            at = start;
            throw expected("the name of an attribute, or something made of one");
        }
        return new CheckText.ReadValue(value, at);
    }

    /** What an either writes, apart from the rest. */
    private List<Expression.Piece<ColumnRef>> captured() {
        var before = out;
        out = new ArrayList<>();
        at = behindSpace();
        either();
        var captured = out;
        out = before;
        return captured;
    }

    private void implies(List<Expression.Piece<ColumnRef>> condition, List<Expression.Piece<ColumnRef>> then) {
        write("not (");
        out.addAll(condition);
        write(") or (");
        out.addAll(then);
        write(")");
    }

    private void either() {
        both();
        while (accept("or")) {
            both();
        }
    }

    private void both() {
        negation();
        while (accept("and")) {
            negation();
        }
    }

    /** Nobody reads brackets that are deeper, and a machine not without end. */
    void deeper() {
        depth++;
        if (depth > MOST_BRACKETS) {
            throw expected("fewer brackets within brackets");
        }
    }

    void shallower() {
        depth--;
    }

    private void negation() {
        space();
        if (!operands.isColumn() && accept("not")) {
            deeper();
            negation();
            shallower();
            return;
        }
        if (at < text.length() && text.charAt(at) == '(' && bracketed()) {
            return;
        }
        comparison();
    }

    /** A bracket holds a rule, or a value as in {@code (a + b) > 1}, in which case nothing is read of it here. */
    private boolean bracketed() {
        int before = at;
        int written = out.size();
        int level = depth;
        deeper();
        try {
            accept("(");
            either();
            boolean closed = accept(")");
            int next = behindSpace();
            boolean value = next < text.length() && "+-*/<>=!".indexOf(text.charAt(next)) >= 0;
            if (closed && !value) {
                depth = level;
                return true;
            }
        } catch (Misunderstanding e) {
            if (text.indexOf(')', before) < 0
                    || e.getMessage() != null && !e.getMessage().startsWith("expected a comparison")) {
                throw e;
            }
        }
        at = before;
        depth = level;
        out = new ArrayList<>(out.subList(0, written));
        return false;
    }

    /** {@code copies at least 1 and at most 5}, {@code kind is short or long}: what is compared is the same as before. */
    private boolean again() {
        if (compared.isEmpty() || operands.isColumn()) {
            return false;
        }
        CheckOperands.Value before = compared.get().value();
        boolean sign = here(PLAIN_SIGN).isPresent()
                || SIGNS.keySet().stream().anyMatch(each -> here(each).isPresent());
        if (sign) {
            out.addAll(compared.get().written());
            write(" ");
            comparison(before);
            return true;
        }
        if (!operands.isListed(before.type())) {
            return false;
        }
        if (!equated) { // whether "is not short or long" rules out both is not to be guessed
            throw expected("the whole comparison again, or: not one of …");
        }
        out.addAll(compared.get().written());
        write(" = ");
        requireAlike(before, operands.sum(Optional.of(before.type())));
        return true;
    }

    private void comparison() {
        if (again()) {
            return;
        }
        int from = out.size();
        CheckOperands.Value left = operands.sum(Optional.empty());
        compared = Optional.of(new Compared(left, List.copyOf(out.subList(from, out.size()))));
        space();
        comparison(left);
    }

    private void comparison(CheckOperands.Value left) {
        equated = false;
        Optional<Matcher> empty = here(SQL_NULL);
        if (empty.isPresent()) {
            write(empty.get().group());
            at = empty.get().end();
            return;
        }
        if (written(MISSING, "is null", "is not null") || written(THERE, "is not null", "is null")) {
            return;
        }
        if (range(left) || list(left) || within(left)) {
            return;
        }
        for (Map.Entry<Pattern, String> each : SIGNS.entrySet()) {
            if (written(each.getKey(), each.getValue(), each.getValue())) {
                compare(left);
                return;
            }
        }
        Optional<Matcher> sign = here(PLAIN_SIGN);
        if (sign.isPresent()) {
            write(sign.get().group().equals("!=") ? "<>" : sign.get().group());
            at = sign.get().end();
            compare(left);
            equated = sign.get().group().equals("=");
        } else if (written(BE_NOT, "<>", "<>")) {
            compare(left);
        } else if (written(JUST_BE, "=", "=")) {
            compare(left);
            equated = true;
        } else if (here(ONLY).isPresent() || here(THEN).isPresent()) {
            write(left.type() == DataType.Simple.YES_NO ? "" : "is not null");
        } else if (left.type() != DataType.Simple.YES_NO) {
            throw expected("a comparison, such as: after …, at least …, is empty, one of …");
        }
    }

    /** Takes words, of which the first group negates them, and writes SQL in their place. */
    private boolean written(Pattern words, String sql, String negated) {
        Optional<Matcher> found = here(words);
        found.ifPresent(match -> {
            write(match.groupCount() > 0 && match.group(1) != null ? negated : sql);
            at = match.end();
        });
        return found.isPresent();
    }

    private void compare(CheckOperands.Value left) {
        space();
        CheckOperands.Value right = operands.sum(Optional.of(left.type()));
        requireAlike(left, right);
    }

    private boolean range(CheckOperands.Value left) {
        if (!written(BETWEEN, "between", "not between")) {
            return false;
        }
        compare(left);
        if (!accept("and")) {
            throw expected("'and' and the other end of the range");
        }
        compare(left);
        return true;
    }

    /** A part of a text: SQL says it by LIKE, in which % stands for anything. */
    private boolean within(CheckOperands.Value left) {
        Optional<Matcher> words = here(WITHIN);
        if (words.isEmpty()) {
            return false;
        }
        boolean text = left.type() instanceof DataType.Text || left.type() instanceof DataType.OneOf;
        if (!text) {
            throw Misunderstanding.ofTypes(
                    left.start(),
                    left.start() + left.said().length(),
                    left.said() + " holds " + left.type() + ", and only a text has parts");
        }
        at = words.get().end();
        String how = words.get().group(2).toLowerCase(Locale.ROOT);
        Optional<Matcher> found = here(LOOKED_FOR);
        if (found.isEmpty()) {
            at = behindSpace();
            throw expected("a text between quotes, such as: contains 'x'");
        }
        String pattern = found.get().group(1);
        boolean like = how.equals("like");
        if (pattern.indexOf('\\') >= 0
                || pattern.indexOf('[') >= 0
                || !like && (pattern.indexOf('%') >= 0 || pattern.indexOf('_') >= 0)) {
            throw new Misunderstanding(
                    found.get().start(1),
                    found.get().end(1),
                    "databases read \\, [, % and _ in such a text each in its own way"
                            + (like ? "; % and _ alone go" : ""));
        }
        String inner = pattern.substring(1, pattern.length() - 1);
        write((words.get().group(1) == null ? "like '" : "not like '")
                + (like || how.startsWith("start") || how.startsWith("begin") ? "" : "%")
                + inner
                + (like || how.startsWith("end") ? "" : "%")
                + "'");
        at = found.get().end();
        return true;
    }

    private boolean list(CheckOperands.Value left) {
        Optional<Matcher> listed = here(LISTED);
        if (listed.isPresent()) {
            write(listed.get().group());
            at = listed.get().end();
        } else if (!written(ONE_OF, "in (", "not in (")) {
            return false;
        }
        if (listed.isEmpty()) {
            at = behindSpace();
        }
        do {
            compare(left);
        } while (accept(","));
        if (listed.isEmpty()) {
            write(")");
        } else if (!accept(")")) {
            throw expected("a comma or ')'");
        }
        return true;
    }

    /** Nothing is equal to, before or after what is of another kind. */
    private void requireAlike(CheckOperands.Value left, CheckOperands.Value right) {
        CheckOperands.Value document = left.type() == DataType.Simple.JSON ? left : right;
        if (document.type() == DataType.Simple.JSON) {
            throw Misunderstanding.ofTypes(
                    document.start(),
                    document.start() + document.said().length(),
                    document.said() + " holds json, which databases compare each in its own way, or not at all");
        }
        if (right.literal().isPresent()) {
            TypedValue value = TypedValue.of(left.type(), right.literal().get());
            boolean open =
                    left.type() instanceof DataType.Undecided || left.literal().isPresent();
            boolean outside =
                    left.type() instanceof DataType.OneOf; // such a rule holds for no row, and says nothing wrong
            if (!open && !value.fits() && !(isNumber(left.type()) && right.isNumber()) || outside && !value.fits()) {
                throw Misunderstanding.ofTypes(
                        right.start(),
                        at,
                        left.said() + " holds " + left.type() + ": "
                                + value.problem().orElse("this does not fit"));
            }
            return;
        }
        boolean known = !(left.type() instanceof DataType.Undecided) && !(right.type() instanceof DataType.Undecided);
        if (known && sort(left.type()) != sort(right.type())) {
            throw Misunderstanding.ofTypes(
                    right.start(),
                    at,
                    left.said() + " holds " + left.type() + ", and " + right.said() + " holds " + right.type()
                            + ": the one is never equal to, below or above the other");
        }
    }

    static boolean isNumber(DataType type) {
        return type.isNumeric();
    }

    private static int sort(DataType type) {
        if (type.isNumeric()) {
            return 0;
        }
        if (type instanceof DataType.Text || type instanceof DataType.OneOf) {
            return 1;
        }
        boolean moment = type == DataType.Simple.DATE
                || type == DataType.Simple.MOMENT
                || type == DataType.Simple.MOMENT_ANYWHERE;
        return moment ? 2 : type instanceof DataType.Simple simple ? 10 + simple.ordinal() : 3;
    }
}
