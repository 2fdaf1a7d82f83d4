package ableschema.core.design;

/** What only someone who knows the business can say of what might tell rows apart; it decides most between candidate keys. */
public enum KeyQuestion {
    /** Of an entity: whether rows are made where they cannot see each other, and are brought together later. */
    SEVERAL_PLACES("May rows be made in several places at once, such as offline?"),
    /** Of an attribute. */
    CHANGES("Does it ever change?"),
    /** Of an attribute: whether people say it and write it down. */
    KNOWN("Do people use it?"),
    /** Of an attribute: whether it says something about a person that not everyone may see. */
    PRIVATE("Is it private?");

    private final String text;

    KeyQuestion(String text) {
        this.text = text;
    }

    public String text() {
        return text;
    }
}
