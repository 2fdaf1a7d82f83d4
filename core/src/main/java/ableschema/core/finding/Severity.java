package ableschema.core.finding;

/** How much a finding matters. */
public enum Severity {
    MUST_MEND,
    ADVICE,
    OPEN
}
