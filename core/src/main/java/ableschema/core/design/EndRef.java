package ableschema.core.design;

/** One end of a relationship, such as {@code r:k3f9q2.1}; in a reference it is the end that is referred to. */
public record EndRef(Id relationship, Side side) {

    public static EndRef parse(String text) {
        int dot = text.lastIndexOf('.');
        String number = text.substring(dot + 1);
        if (dot < 0 || !(number.equals("1") || number.equals("2"))) {
            throw new IllegalArgumentException("'" + text + "' is no end of a relationship, as in r:k3f9q2.1");
        }
        return new EndRef(Id.parse(text.substring(0, dot)), number.equals("1") ? Side.FIRST : Side.SECOND);
    }

    @Override
    public String toString() {
        return relationship + "." + (side.ordinal() + 1);
    }
}
