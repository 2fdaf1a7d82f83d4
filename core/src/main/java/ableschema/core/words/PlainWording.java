package ableschema.core.words;

import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Says a sentence in plainer words of the same meaning: "can't have more than 12" is "can have at most 12". */
final class PlainWording {

    private record Plainer(Pattern said, String plain) {}

    private static final String NOT_ALLOWED =
            "(?:can't|can ?not|may not|must not|mustn't|should not|shouldn't|(?:is|are) (?:not|never) allowed to)";
    private static final String LIKES = "(?:likes?|wants?|needs?|wish(?:es)?|pleases?)";

    private static final String WE = "(?:we|they|you|one|people|everybody)";
    private static final String KEEP =
            "(?:(?:also|always|then) )?(?:(?:must|have to|need to|want to|should|can|may|will) )?(?:keep|store|record|note|register|track|know|save|hold|need|remember|collect)";
    private static final String COUNTED =
            "(?=(?:at (?:most|least)|exactly|one|two|three|four|five|six|seven|eight|nine|ten|\\d+|many|several|any number|no more|up to|more than) )";

    private static final List<Plainer> PLAINER = List.of(
            plainer("\\bpersons\\b", "people"),
            plainer(
                    "(?<!\\bnot)(?<!n't)(?<=\\p{L}) (?:always|usually|normally|typically|generally|obviously) (?=\\p{L})",
                    " "),
            plainer(
                    "^" + WE + " " + KEEP
                            + " (?:for|of|about) (?:each|every|an?|any) (\\p{L}+(?: \\p{L}+)?) ((?:an?|the|its|their|his|her) .+)",
                    "Each $1 has $2"),
            plainer(
                    "^(?:for|about|of|from) (?:all |all the |the |our )?((?:\\p{L}+ )?(?:\\p{L}+s|people|children|men|women)),? "
                            + WE + " " + KEEP + " (?=\\S)",
                    "All $1 have "),
            plainer("\\b(several|many|some|two|three|number of|more) (?:different|various|distinct) (?=\\p{L})", "$1 "),
            plainer("\\b(?:different|various|distinct) (?=\\p{L}+s\\.?$)", "several "),
            plainer("\\b(an?|one|the) (?:certain|given|particular|specific) (?!date|day|time|moment|year)", "$1 "),
            plainer("\\b(?:no|zero) (\\p{L}+) or (?:just |only |exactly )?one \\1\\b", "at most one $1"),
            plainer(
                    " (?:is|are|stays|remains) (?:unknown|empty|missing|not known)(?:,? (?:until|while|before|as long as|unless|if|when) .+?)?(?=\\.?$)",
                    " may be unknown"),
            plainer(
                    "(?<!is )(?<!are )\\ban? (?:collection|set|list|group|series|range|variety|lot|handful|couple|bunch) of (?=(?:\\p{L}+ )?\\p{L}+s\\.?$)",
                    "any number of "),
            plainer(
                    "^" + WE + " " + KEEP
                            + " (?:the |an? )?(.+?) (?:of|for|about) (?:each|every|an?|any) (.+?)(?=\\.?$)",
                    "Each $2 has $1"),
            plainer(
                    "^" + WE + " " + KEEP
                            + " (?:the |an? )?(.+?) (?:of|for|about) (?:all|all the|the|our) (.+?)(?=\\.?$)",
                    "All $2 have $1"),
            plainer(
                    "^(?:for|about|of|from) (?:each|every|an?|any) (.+?),? " + WE + " " + KEEP + " (?=\\S)",
                    "Each $1 has "),
            plainer(
                    " (?:and )?(?:an? |the )?(\\p{L}+(?: \\p{L}+)?),? if (?:there is one|it has one|any|known|given|available)(?=\\.?$)",
                    " optional $1"),
            plainer(
                    "^two (?:different |distinct )?(.+?) (?:can |may |must )?(?:never|not|cannot) (?:have|share) the same (?=\\S)",
                    "No two $1 have the same "),
            plainer("\\((?:text|string) (?:of )?(?:up to|at most|max\\.?) (?=\\d)", "(up to "),
            plainer("\\b(be|is|are) an? (\\p{L}+ (?:of|in|at|for|on|to)) " + COUNTED, "$1 $2 "),
            plainer("^(?:and|also|so|then|note that|of course),? (?=\\S)", ""),
            plainer(",? (?:too|as well)(?=\\.?$)", ""),
            plainer("^(?:as a rule|in general|basically|usually|normally|typically|of course),? (?=\\S)", ""),
            plainer(" ?(?:>=|≥) ?(?=-?\\d)", " must be at least "),
            plainer(" ?(?:<=|≤) ?(?=-?\\d)", " must be at most "),
            plainer(" ?> ?(?=-?\\d)", " must be greater than "),
            plainer(" ?< ?(?=-?\\d)", " must be less than "),
            plainer(
                    " (?:has|have) been (?=\\p{L}+(?:ed|en|wn|ught|old|aid|ade|ent) (?:by|in|on|at|to|from|for|with)\\b)",
                    " is "),
            plainer(
                    ",? (?:unless (?:stated|said|given|specified|set) otherwise|unless otherwise (?:stated|said|given|specified|set)|if nothing else is (?:said|stated|given))(?=\\.?$)",
                    " by default"),
            plainer(
                    "\\b(one|two|three|four|five|six|ten|\\d+) (\\p{L}+(?: \\p{L}+)?) at (most|least)(?=\\.?$)",
                    "at $3 $1 $2"),
            plainer(
                    "\\b((?:one|an?|at least one|one or more|several|many) (\\p{L}+(?: \\p{L}+)?)), (?:which|who) (has|have) (?=an? )",
                    "$1; a $2 has "),
            plainer(",? and,? (?:later|eventually|finally|in the end)(?: on)?,? (?=\\S)", ", optional "),
            plainer("(?:,? (?:that|which))? (?:nobody|no one) else has(?=\\.?$)", " (unique)"),
            plainer("\\bmax(?:imum|\\.)? (?=\\d)", "at most "),
            plainer("\\bmin(?:imum|\\.)? (?=\\d)", "at least "),
            plainer(
                    "\\b(?:is|are) never (?=(?:below|under|less than|above|over|more than|greater than) )",
                    "must not be "),
            plainer(",? (?:which|that) (?:is|are) (?:its|their|the) (?:primary )?key\\b(?=,| and|\\.?$)", " (key)"),
            plainer("\\bmember(s?) of (?:the )?staff\\b", "staff member$1"),
            plainer(
                    "^((?:an?|each|every) (\\p{L}+(?: \\p{L}+)?) [^,;]*? (?:one|an?|exactly one|at most one) (\\p{L}+(?: \\p{L}+)?)), (?:who|which|that) ((?:can|may|must|has|is|needs)\\b[^,;]* \\2(?:s|es)?)(?=\\.?$)",
                    "$1, and a $3 $4"),
            plainer(
                    "(?<=\\b(?:many|several|multiple|more|any number of|\\d) )(\\p{L}+(?: \\p{L}+)?),? each (?:with|having) (?:(?:its|their|his|her|an?) (?:own )?)?(\\p{L}.*)",
                    "$1; all $1 have a $2"),
            plainer(",? and,? (?:if|once|when|after) \\p{L}+(?: \\p{L}+)?, (?:an? |the )?(?=\\S)", ", optional "),
            plainer(
                    ",? and (?:an? |the )?(\\p{L}+(?: \\p{L}+)?) (?:once|when|after|if|as soon as) (?:it|they|he|she) (?:is|are|has been|have been|was|were) \\p{L}+(?=\\.?$)",
                    ", optional $1"),
            plainer(
                    "^two (.+? (?:in|of|on|at|within) the same .+?) (?:can |may |must )?(?:never|not|cannot|can't) (?:have|share) the same (?=\\S)",
                    "No two $1 have the same "),
            plainer("(?<=\\b(?:is|are|can|may|must)) also (?=\\S)", " "),
            plainer(
                    "\\b((?:at|in|from|to|on|with|by) )(exactly one|one|an?) (\\p{L}+(?: \\p{L}+)?)(,? and \\p{L}+ (?:at|in|from|to|on|with|by) )another(?: one)?(?=\\.?$)",
                    "$1$2 $3$4one $3"),
            plainer(
                    "\\b(?:one|an?) (\\p{L}+(?: \\p{L}+)?),? (?:but |and |or )?(?:sometimes|occasionally|possibly|in some cases)(?: also)?(?: (?:by|of|in|on|at|to|with|for))?"
                            + " (?:several|more|many|two or more|more than one)(?: of them)?(?=\\.?$)",
                    "one or more $1"),
            plainer(
                    ", (?=(?:which|that) (?:is|are|must be|has to be|should be|cannot be|can't be|must not be|may not be) (?:unique|optional|positive|(?:never )?negative)\\b)",
                    " "),
            plainer(",? and,? (?:optionally|possibly|maybe|perhaps|sometimes|in some cases),? (?=\\S)", ", optional "),
            plainer(
                    "^(?:for|in|on|at) (?:each|every|an?|any) (.+?),? there (?:is|are|must be|will be) (.+?)(?=\\.?$)",
                    "Each $1 has $2"),
            plainer(
                    "^(?:for|in|on|at) (?:each|every|an?|any) (.+?),? there (?:can|may) be (.+?)(?=\\.?$)",
                    "Each $1 can have $2"),
            plainer(
                    "^for (?:each|every|an?|any) (.+?),? ((?:at|exactly|one|two|three|\\d)\\b.+?) (?:is|are) (?:needed|required)(?=\\.?$)",
                    "Each $1 needs $2"),
            plainer(",? and,? if (?:it|they|he|she) (?:has|have) (?:one|any|some),? (?=\\S)", ", optional "),
            plainer("^some ((?:\\p{L}+ )?\\p{L}+s) (?!are |were |of |can |may |must )(?=\\p{L}+ \\S)", "$1 may "),
            plainer("\\b(?:has|have) (?:room|space|place|places|capacity) for ", "holds "),
            plainer(
                    ",? and,? if (?:known|given|available|any|there is one|it has one|applicable),? (?=\\S)",
                    ", optional "),
            plainer(" (is|are) both (?=an? |\\p{L}+s\\.?$)", " $1 "),
            plainer(" (?:one|an?) (\\p{L}+(?: \\p{L}+)?) only(?=\\.?$)", " exactly one $1"),
            plainer("\\bmust (?:give|provide|supply|state|enter|specify) (?=(?:an?|their|its) )", "have "),
            plainer("\\bas many (.+?) as (?:they|it|he|she|we|you) " + LIKES, "any number of $1"),
            plainer("\\b" + NOT_ALLOWED + " ((?:\\p{L}+ ){1,4}?)more than (?=\\S)", "can $1at most "),
            plainer("\\b" + NOT_ALLOWED + " ((?:\\p{L}+ ){1,4}?)(?:fewer|less) than (?=\\S)", "must $1at least "),
            plainer("\\b(?:does not|doesn't|do not|don't) ((?:\\p{L}+ ){1,4}?)more than (?=\\S)", "can $1at most "),
            plainer("\\b(?:never) ((?:\\p{L}+ ){1,4}?)more than (?=\\S)", "$1at most "),
            plainer("\\bis never (\\p{L}+ (?:\\p{L}+ )?)more than (?=\\S)", "is $1at most "),
            plainer("^no (?!two |one |more |fewer |less )((?:\\p{L}+ ){2,6}?)more than (?=\\S)", "Each $1at most "),
            plainer(
                    "\\b(?:does not|doesn't|do not|don't|need not|needn't) (?:have to |need to |necessarily )?have (?=an? )",
                    "may have "),
            plainer("\\b(?:does not|doesn't|do not|don't) (?:have|need) to have (?=\\S)", "may have "),
            plainer("\\b(?:give|provide|tell|leave|supply)s? us (?:with )?(?:their|its|an?|the) (?=\\S)", "have a "),
            plainer(
                    "^there (?:is|are|must be|will be) (?!about |around |some \\d|(?:at most|only|exactly|no more than) one .* (?:per|for) .* and )(.+?) (?:per|(?:for|in|on|at) (?:each|every|any)) (.+?)(?=\\.?$)",
                    "Each $2 has $1"),
            plainer(
                    "^there (?:can|may|must|should) be (?!(?:at most|only|exactly|no more than) one .* (?:per|for) .* and )(.+?) (?:per|(?:for|in|on|at) (?:each|every|any|an?)) (.+?)(?=\\.?$)",
                    "Each $2 can have $1"));

    private PlainWording() {}

    private static Plainer plainer(String said, String plain) {
        return new Plainer(Pattern.compile(said, Pattern.CASE_INSENSITIVE), plain);
    }

    /** What stands between quotes stays as it is. */
    static String of(String sentence) {
        String plain = sentence;
        for (Plainer each : PLAINER) {
            Matcher matcher = each.said().matcher(Quoted.masked(plain));
            if (matcher.find()) {
                plain = plain.substring(0, matcher.start())
                        + filled(each.plain(), matcher, plain)
                        + plain.substring(matcher.end());
            }
        }
        return plain;
    }

    /** The groups are those of the text, as the matcher saw quotes blotted out. */
    private static String filled(String plain, Matcher matcher, String text) {
        String filled = plain;
        for (int i = 1; i <= matcher.groupCount(); i++) {
            filled = filled.replace("$" + i, text.substring(matcher.start(i), matcher.end(i)));
        }
        return filled;
    }
}
