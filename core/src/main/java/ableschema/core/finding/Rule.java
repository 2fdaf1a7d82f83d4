package ableschema.core.finding;

/** What can be found, with the sentence that says it; words in braces are facts of the finding. */
public enum Rule {
    VALUE_UNFIT(Severity.MUST_MEND, "{table}, row {row}: {column} does not fit its type {type}, as {reason}."),
    VALUE_MISSING(Severity.MUST_MEND, "{table}, row {row}: {column} is empty, but every {table} must have one."),
    KEY_REPEATED(Severity.MUST_MEND, "{table}, row {row}: {column} {value} is the key of row {other} already."),
    UNIQUE_REPEATED(
            Severity.MUST_MEND,
            "{table}, row {row}: {column} {value} stands in row {other} already, and no two rows may share it."),
    PARENT_MISSING(
            Severity.MUST_MEND, "{table}, row {row}: it refers to {parent} {value}, and there is no such {parent}."),
    CHECK_FAILED(Severity.MUST_MEND, "{table}, row {row}: {column} is {value}, but it must be {rule}."),
    NOT_IN_TABLES(Severity.ADVICE, "{text}."),
    NOT_IN_DIALECT(Severity.ADVICE, "Not in {dialect}: {ability}. {remedy}."),
    EVENT_WITHOUT_MOMENT(Severity.OPEN, "{entity} is an event, but no attribute says when it happened."),
    EVENT_WITHOUT_PARTICIPANT(Severity.OPEN, "{entity} is an event, but nothing says who or what took part in it.");

    private final Severity severity;
    private final String sentence;

    Rule(Severity severity, String sentence) {
        this.severity = severity;
        this.sentence = sentence;
    }

    public Severity severity() {
        return severity;
    }

    String sentence() {
        return sentence;
    }
}
