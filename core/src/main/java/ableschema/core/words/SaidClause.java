package ableschema.core.words;

import ableschema.core.design.Cardinality;

/**
 * One clause of a sentence about a relationship, taken apart.
 *
 * @param open whether the object, a plural behind a plural, may be meant as one for each
 */
record SaidClause(String subject, String verb, Cardinality cardinality, String object, boolean open) {

    /** The clause as the grammar has it, but for its first letter. */
    String said() {
        return "ach " + subject + " " + verb + " " + Quantity.said(cardinality) + " " + object;
    }

    SaidClause with(Cardinality other, String noun) {
        return new SaidClause(subject, verb, other, noun, false);
    }
}
