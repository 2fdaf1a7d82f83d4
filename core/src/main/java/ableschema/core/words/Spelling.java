package ableschema.core.words;

/** How far two words are apart. */
public final class Spelling {

    private Spelling() {}

    /** The number of letters to add, leave out or exchange to get from one word to the other (Levenshtein 1966). */
    public static int distance(String one, String other) {
        int[] row = new int[other.length() + 1];
        for (int j = 0; j <= other.length(); j++) {
            row[j] = j;
        }
        for (int i = 1; i <= one.length(); i++) {
            int diagonal = row[0];
            row[0] = i;
            for (int j = 1; j <= other.length(); j++) {
                int exchanged = diagonal + (one.charAt(i - 1) == other.charAt(j - 1) ? 0 : 1);
                diagonal = row[j];
                row[j] = Math.min(exchanged, 1 + Math.min(row[j - 1], row[j]));
            }
        }
        return row[other.length()];
    }
}
