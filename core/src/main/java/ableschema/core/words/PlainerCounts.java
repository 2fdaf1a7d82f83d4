package ableschema.core.words;

import static ableschema.core.words.PlainerForms.plainer;

import java.util.List;

/** How many, said plainly where it was said with "not", "never", "as many as" and "there is", in the order in which it is looked for. */
final class PlainerCounts {

    private static final String NOT_ALLOWED =
            "(?:can't|can ?not|may not|must not|mustn't|should not|shouldn't|(?:is|are) (?:not|never) allowed to)";

    private static final String LIKES = "(?:likes?|wants?|needs?|wish(?:es)?|pleases?)";

    static final List<PlainerForms.Plainer> ALL = List.of(
            plainer("only", " (?:one|an?) (\\p{L}+(?: \\p{L}+)?) only(?=\\.?$)", " exactly one $1"),
            plainer("must", "\\bmust (?:give|provide|supply|state|enter|specify) (?=(?:an?|their|its) )", "have "),
            plainer("many", "\\bas many (.+?) as (?:they|it|he|she|we|you) " + LIKES, "any number of $1"),
            plainer("more", "\\b" + NOT_ALLOWED + " ((?:\\p{L}+ ){1,4}?)more than (?=\\S)", "can $1at most "),
            plainer(
                    "fewer|less",
                    "\\b" + NOT_ALLOWED + " ((?:\\p{L}+ ){1,4}?)(?:fewer|less) than (?=\\S)",
                    "must $1at least "),
            plainer(
                    "more",
                    "\\b(?:does not|doesn't|do not|don't) ((?:\\p{L}+ ){1,4}?)more than (?=\\S)",
                    "can $1at most "),
            plainer("more", "\\b(?:never) ((?:\\p{L}+ ){1,4}?)more than (?=\\S)", "$1at most "),
            plainer("more", "\\bis never (\\p{L}+ (?:\\p{L}+ )?)more than (?=\\S)", "is $1at most "),
            plainer(
                    "more",
                    "^no (?!two |one |more |fewer |less )((?:\\p{L}+ ){2,6}?)more than (?=\\S)",
                    "Each $1at most "),
            plainer(
                    "not|doesn't|don't|needn't",
                    "\\b(?:does not|doesn't|do not|don't|need not|needn't) (?:have to |need to |necessarily )?have (?=an? )",
                    "may have "),
            plainer(
                    "not|doesn't|don't",
                    "\\b(?:does not|doesn't|do not|don't) (?:have|need) to have (?=\\S)",
                    "may have "),
            plainer(
                    "us",
                    "\\b(?:give|provide|tell|leave|supply)s? us (?:with )?(?:their|its|an?|the) (?=\\S)",
                    "have a "),
            plainer(
                    "there",
                    "^there (?:is|are|must be|will be) (?!about |around |some \\d|(?:at most|only|exactly|no more than) one .* (?:per|for) .* and )(.+?) (?:per|(?:for|in|on|at) (?:each|every|any)) (.+?)(?=\\.?$)",
                    "Each $2 has $1"),
            plainer(
                    "there",
                    "^there (?:can|may|must|should) be (?!(?:at most|only|exactly|no more than) one .* (?:per|for) .* and )(.+?) (?:per|(?:for|in|on|at) (?:each|every|any|an?)) (.+?)(?=\\.?$)",
                    "Each $2 can have $1"));

    private PlainerCounts() {}
}
