package ableschema.core.theory;

/** How far a relation is free of facts said twice; each form includes those before it. */
public enum NormalForm {
    FIRST("1NF"),
    SECOND("2NF"),
    THIRD("3NF"),
    BOYCE_CODD("BCNF"),
    FOURTH("4NF");

    private final String sign;

    NormalForm(String sign) {
        this.sign = sign;
    }

    /** The usual short name, such as 3NF. */
    public String sign() {
        return sign;
    }
}
