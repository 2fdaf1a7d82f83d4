package ableschema.core.rows;

import ableschema.core.finding.Rule;
import ableschema.core.finding.Step;
import java.util.List;

/** What sample rows are held against. */
public final class RowRules {

    private static final String REFUSED = "The database refuses the row, and so does everything that refers to it.";

    public static final Rule VALUE_UNFIT = Rule.mustMend(
            Step.ROWS,
            "value-unfit",
            "Value does not fit its type",
            "{table}, row {row}: {column} does not fit its type {type}, as {reason}.",
            REFUSED);
    public static final Rule VALUE_MISSING = Rule.mustMend(
            Step.ROWS,
            "value-missing",
            "Required value is empty",
            "{table}, row {row}: {column} is empty, but every {table} must have one.",
            REFUSED);
    public static final Rule KEY_REPEATED = Rule.mustMend(
            Step.ROWS,
            "key-repeated",
            "Two rows with one key",
            "{table}, row {row}: {column} {value} is the key of row {other} already.",
            REFUSED);
    public static final Rule UNIQUE_REPEATED = Rule.mustMend(
            Step.ROWS,
            "unique-repeated",
            "Two rows alike where none may be",
            "{table}, row {row}: {column} {value} stands in row {other} already, and no two rows may share it.",
            REFUSED);
    public static final Rule PARENT_MISSING = Rule.mustMend(
            Step.ROWS,
            "parent-missing",
            "Reference to a row that is not there",
            "{table}, row {row}: it refers to {parent} {value}, and there is no such {parent}.",
            REFUSED);
    public static final Rule CHECK_FAILED = Rule.mustMend(
            Step.ROWS,
            "check-failed",
            "Value breaks a check",
            "{table}, row {row}: {column} is {value}, but it must be {rule}.",
            REFUSED);
    public static final Rule BEYOND_EXPECTED = Rule.advice(
            Step.ROWS,
            "beyond-expected",
            "Value larger than was expected",
            "{table}, row {row}: {column} is {value}, and the largest expected is {largest}.",
            "The largest value expected only chooses the width of the column and is held by nothing; what must be held is"
                    + " said as a check.");

    /** All of them. */
    public static final List<Rule> ALL = List.of(
            VALUE_UNFIT, VALUE_MISSING, KEY_REPEATED, UNIQUE_REPEATED, PARENT_MISSING, CHECK_FAILED, BEYOND_EXPECTED);

    private RowRules() {}
}
