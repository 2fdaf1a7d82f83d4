package ableschema.core.design;

/** What a reason is given for: a thing of the design, or the choice of its key, as in {@code e:k3f9q2/key}. */
public record Topic(Id thing, boolean key) {

    private static final String KEY = "/key";

    public static Topic of(Id thing) {
        return new Topic(thing, false);
    }

    public static Topic keyOf(Id entity) {
        return new Topic(entity, true);
    }

    /** Reads the text form; an {@link IllegalArgumentException} names a text that is none. */
    public static Topic parse(String text) {
        return text.endsWith(KEY)
                ? keyOf(Id.parse(text.substring(0, text.length() - KEY.length())))
                : of(Id.parse(text));
    }

    @Override
    public String toString() {
        return thing + (key ? KEY : "");
    }
}
