package ableschema.core.words;

import ableschema.core.design.Attribute;
import ableschema.core.design.Body;
import ableschema.core.design.Check;
import ableschema.core.design.ColumnRef;
import ableschema.core.design.Condition;
import ableschema.core.design.IdKind;
import ableschema.core.design.IdSource;
import ableschema.core.design.Lists;
import ableschema.core.design.Mark;
import ableschema.core.design.Pins;
import ableschema.core.design.Unique;
import ableschema.core.expression.Expression;
import ableschema.core.types.DataType;
import ableschema.core.types.ReadableCode;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;

/**
 * What stands in brackets behind an attribute:
 *
 * <pre>
 * flags = flag { ("," | ";") flag }
 * flag  = "key" | "optional" | "unique" | mark | "pattern" CODE | "default" VALUE | condition
 * mark  = "money" | "measured" | "code" | "link" | "personal" | "secret"
 * </pre>
 *
 * A list of values ends at a semicolon, as its values stand between commas.
 */
final class AttributeFlags {

    private final List<Condition> conditions = new ArrayList<>();
    private final DataType holds;
    private Attribute attribute;
    private boolean key;
    private boolean unique;

    /**
     * @param holds the type of the attribute, domains resolved
     * @param at    where the flags begin in the whole line
     */
    AttributeFlags(Attribute attribute, DataType holds, String flags, int at) {
        this.attribute = attribute;
        this.holds = holds;
        String masked = Quoted.masked(flags);
        int from = 0;
        while (from <= flags.length()) {
            int end = endOfFlag(masked, from);
            String flag = flags.substring(from, end);
            int start = at + from + flag.length() - flag.stripLeading().length();
            read(flag.strip(), start, Math.max(at + end, start));
            from = end + 1;
        }
    }

    private static int endOfFlag(String masked, int from) {
        int semicolon = masked.indexOf(';', from);
        int last = semicolon < 0 ? masked.length() : semicolon;
        boolean list = masked.substring(from).stripLeading().startsWith("one of ");
        int comma = masked.indexOf(',', from);
        return list || comma < 0 ? last : Math.min(comma, last);
    }

    private void read(String flag, int start, int end) {
        switch (flag) {
            case "key" -> key = true;
            case "optional" -> attribute = attribute.withOptional(true);
            case "unique" -> unique = true;
            default -> Mark.named(flag).ifPresentOrElse(this::mark, () -> readValue(flag, start, end));
        }
    }

    private void mark(Mark mark) {
        var marks = EnumSet.of(mark);
        marks.addAll(attribute.marks());
        attribute = attribute.withMarks(marks);
    }

    private static String readPattern(String text) {
        String pattern = Quoted.plain(text);
        ReadableCode.read(pattern);
        return pattern;
    }

    private void readValue(String flag, int start, int end) {
        try {
            if (flag.startsWith("pattern ")) {
                attribute = attribute.withPattern(readPattern(flag.substring("pattern ".length())));
                return;
            }
            if (flag.startsWith("default ")) {
                String value = flag.substring("default ".length());
                ConditionText.readDefault(attribute.withType(holds), value); // refuses what the type has not
                attribute = attribute.withDefault(ConditionText.readDefault(attribute, value));
                return;
            }
            ConditionText.read(attribute.withType(holds), flag); // the same
            conditions.add(ConditionText.read(attribute, flag)
                    .orElseThrow(() -> new IllegalArgumentException("expected something between the brackets")));
        } catch (IllegalArgumentException e) {
            boolean value = flag.contains(" ") || flag.matches("[<>=].*");
            throw new Misunderstanding(
                    start,
                    end,
                    value
                            ? String.valueOf(e.getMessage())
                            : "expected key, optional, unique, a mark such as money or personal, a default or a rule, not '"
                                    + flag + "'");
        }
    }

    boolean isKey() {
        return key;
    }

    Attribute attribute() {
        return attribute;
    }

    /** The body with what was said of unique values, and with these conditions in place of those it had on the attribute. */
    Body rulesFor(Body body, IdSource ids) {
        Body with = body;
        if (unique && !with.isUnique(attribute)) {
            with = with.withUniques(Lists.plus(
                    with.uniques(), new Unique(ids.next(IdKind.UNIQUE), List.of(attribute.ref()), Pins.NONE)));
        }
        if (conditions.isEmpty()) {
            return with;
        }
        var checks = new ArrayList<>(with.checks());
        checks.removeIf(check -> isOnAttribute(check));
        for (Condition condition : conditions) {
            Expression<ColumnRef> expression = condition.expression(attribute.type());
            checks.add(new Check(ids.next(IdKind.CHECK), expression, Pins.NONE));
        }
        return with.withChecks(checks);
    }

    private boolean isOnAttribute(Check check) {
        return Condition.read(check.expression())
                .filter(condition -> condition.column().equals(attribute.ref()))
                .isPresent();
    }
}
