package ableschema.core.normalization;

import ableschema.core.theory.Violation;
import ableschema.core.words.Nouns;

/** Says why a dependency breaks a normal form and what goes wrong, with the designer's own names and rows. */
public final class ViolationText {

    private final EntityTheory theory;
    private final Redundancy redundancy;

    public ViolationText(EntityTheory theory, Redundancy redundancy) {
        this.theory = theory;
        this.redundancy = redundancy;
    }

    /** Why the form fails: "apiary hangs on hive code alone, a part of the key." */
    public String why(Violation violation) {
        String what = theory.listed(violation.to());
        String on = theory.listed(violation.from());
        String hangs = violation.to().size() == 1 ? " hangs on " : " hang on ";
        String entity = Nouns.inSentence(theory.entity().name());
        return switch (violation.form()) {
            case SECOND ->
                what + hangs + on + " alone, a part of the key, so every " + entity + " says again what " + on
                        + " has said already.";
            case THIRD ->
                what + hangs + on + ", which is no key, so every " + entity + " with the same " + on
                        + " says it again.";
            case BOYCE_CODD -> on + " decides " + what + ", yet is no key of " + entity + ".";
            default ->
                on + " comes with every combination of " + what + " and the rest, so each must be said many times.";
        };
    }

    /** What goes wrong in the rows there are; empty where they repeat nothing yet. */
    public String consequence(Violation violation) {
        Redundancy.Repeated most = redundancy.mostRepeated(violation);
        if (most.times() < 2) {
            return "";
        }
        String what = theory.listed(violation.to());
        String entity = Nouns.inSentence(theory.entity().name());
        return "A change for " + most.value() + " must be written " + most.times() + " times; without a " + entity
                + ", " + what + " cannot be noted, and with the last one deleted it is lost.";
    }
}
