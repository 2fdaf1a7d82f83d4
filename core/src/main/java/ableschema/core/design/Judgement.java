package ableschema.core.design;

/**
 * What someone who knows the business said of one sentence. It holds for the words that were judged: when the design
 * comes to say it otherwise, the sentence is open again.
 *
 * @param about    the thing whose sentence it is
 * @param sentence the words that were judged
 * @param remark   what was said to it; empty for nothing
 */
public record Judgement(Id about, String sentence, Verdict verdict, String remark) {

    /** Whether the sentence is true of the business. */
    public enum Verdict {
        CONFIRMED,
        WRONG
    }
}
