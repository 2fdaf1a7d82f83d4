package ableschema.core.finding;

import ableschema.core.design.Design;
import ableschema.core.design.IdSource;
import ableschema.core.document.Edit;

/**
 * A way to mend a finding: an edit, made for the design as it is when the remedy is chosen.
 *
 * @param title    what it does, such as "make code the key"
 * @param asks     what is to be said before, such as "name"; empty for nothing
 * @param proposal what is taken where nothing else is said
 */
public record Remedy(String title, String asks, String proposal, Making making) {

    /** Makes the edit; what was asked for is given as a text. */
    @FunctionalInterface
    public interface Making {
        Edit edit(Design design, IdSource ids, String given);
    }

    /** Makes an edit that no other finding of its rule can be touched by, so that many are mended without looking again after each. */
    @FunctionalInterface
    public interface Alone extends Making {}

    /** A remedy that asks for nothing. */
    public static Remedy of(String title, Making making) {
        return new Remedy(title, "", "", making);
    }

    public Edit edit(Design design, IdSource ids) {
        return making.edit(design, ids, proposal);
    }

    /** What a remedy does is told by its words; two makings cannot be compared. */
    @Override
    public boolean equals(Object other) {
        return other instanceof Remedy remedy
                && title.equals(remedy.title)
                && asks.equals(remedy.asks)
                && proposal.equals(remedy.proposal);
    }

    @Override
    public int hashCode() {
        return title.hashCode() + 31 * proposal.hashCode();
    }
}
