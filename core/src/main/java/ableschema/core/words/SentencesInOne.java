package ableschema.core.words;

import static ableschema.core.words.PlainerForms.plainer;

import java.util.List;

/** What one clause says of two things and two say more plainly, in the order in which it is looked for. */
final class SentencesInOne {

    static final List<PlainerForms.Plainer> ALL = List.of(
            plainer(
                    "most|least|more|up",
                    "\\b(up to|at most|no more than|at least) (\\d+ \\p{L}+(?: \\p{L}+)?),? and (?=\\d+ \\p{L})",
                    "$1 $2 and $1 "),
            plainer(
                    "several|many|multiple|more",
                    "^(?:several|many|multiple|more than one) (\\p{L}+(?: \\p{L}+)??s) (?:may|can) be (\\p{L}+ (?:to|in|at|on|by|for|with)) (?:one|an?|the same|each) \\p{L}+(?: \\p{L}+)?,? and (?:an?|one|each|every) \\p{L}+(?: \\p{L}+)? (?:may|can) be \\2 (?=(?:several|many|multiple|more than one) )",
                    "$1 can be $2 "),
            plainer(
                    "which|that",
                    "\\b(an?|its) (\\p{L}+(?: \\p{L}+)?),? (?:which|that) (?:is|has|must be|must have|has to be|has to have) ((?:(?:exactly|at most|always) )?\\w+ (?:digits|characters|letters))(?: long)?(?:,? and (?:is |must be )?(unique|optional))?(?=\\.?$)",
                    "$4 $2 of $3"),
            plainer(
                    "and",
                    "\\b(any number of|several|many|zero or more) (\\p{L}+s) and (\\p{L}+s)(?=\\.?$)",
                    "$1 $2 and $1 $3"),
            plainer(
                    "sometimes|optionally|possibly|maybe",
                    "\\b((?:is|are) \\p{L}+ (?:by|in|at|for|to)) (an?|one|exactly one) (\\p{L}+(?: \\p{L}+)?),? and (?:sometimes|optionally|possibly|maybe) (?:by|in|at|for|to) (?:an?|one) (\\p{L}+(?: \\p{L}+)?)(?=\\.?$)",
                    "$1 $2 $3 and $1 at most one $4"),
            plainer(
                    "new",
                    "^new (\\p{L}+(?: \\p{L}+)?s) (?:have|get|start (?:with|in)|are given) (?:the |an? )?(state|status) (\\p{L}+|\"[^\"]*\")(?=\\.?$)",
                    "The $2 of all $1 is $3 by default"),
            plainer(
                    "both",
                    "\\b(an?|its|their) (\\p{L}+(?: \\p{L}+)?) and (?:(an?|its|their) )?(\\p{L}+(?: \\p{L}+)?),? both (?:(?:given|measured) )?(in \\p{L}+)(?=\\.?$)",
                    "$1 $2 $5 and $3 $4 $5"),
            plainer(
                    "per|each",
                    "^(?:the |all )?(\\p{L}+(?: \\p{L}+)??)s (?!are |have |can |may )(\\p{L}+) (\\p{L}+(?: \\p{L}+)??)e?s,? (?:with |but )?((?:(?:at most|only|just|exactly|at least|up to) )?(?:one|two|three|four|five|\\d+)) \\1s? (?:per|for each) \\3(?=\\.?$)",
                    "$1s $2 many $3s, and each $3 has $4 $1"),
            plainer(
                    "with",
                    "\\b(has|have) (an?|one|exactly one) (\\p{L}+(?: \\p{L}+)?) with (an? \\p{L}+(?: \\p{L}+)?(?:,? (?:and )?an? \\p{L}+(?: \\p{L}+)?)+)(?=\\.?$)",
                    "$1 exactly one $3, and each $3 has $4"),
            plainer(
                    "date|day|time|moment|year",
                    "^((?:an?|each|every) \\p{L}+(?: (?!is |has )\\p{L}+)??) ((?!is |has )\\p{L}+s) ((?:an?|one|exactly one) \\p{L}+(?: \\p{L}+)?) ((?:on|in) an? (?:certain |given |specific )?(?:date|day|moment|year)|at an? (?:certain |given |specific )(?:date|time|moment))(?=\\.?$)",
                    "$1 $2 $3, and $1 $2 $4"),
            plainer(
                    "once",
                    "^((?:an?|each|every) \\p{L}+(?: \\p{L}+)??) (?:can|may) (?:only )?((?!be )\\p{L}+(?: (?:in|at|on|for|to))?) (?:an?|one|each|every|the same|any) (\\p{L}+(?: \\p{L}+)?) (?:only |just |at most |no more than )?once(?=\\.?$)",
                    "$1 can $2 any number of $3"),
            plainer(
                    "identify|identifies",
                    "^((?:an?|each|every) \\p{L}+(?: \\p{L}+)??) has (?:an?|its|one) (\\p{L}+(?: \\p{L}+)?) and (?:an?|its|one) (\\p{L}+(?: \\p{L}+)?),? (?:which|that) (?:together |jointly |both )?(?:uniquely )?identif(?:y|ies) (?:it|them|him|her)(?=\\.?$)",
                    "$1 has a $2 and a $3, and $1 is identified by its $2 and $3"),
            plainer(
                    "with|at|from|on|for",
                    "^((?:(?:an?|each|every|all) )?\\p{L}+(?: \\p{L}+)?? (?:can |may )?(?:makes?|requests?|places?|schedules?|arranges?|submits?|files?|has|have|(?:books?|takes?)(?=[^,;]* with )) (?:several|many|multiple|any number of|one or more|zero or more) (\\p{L}+(?: \\p{L}+)?s)) (with|at|from|on|for) ((?:an?|exactly one) \\p{L}+(?: \\p{L}+)?)(?=\\.?$)",
                    "$1, and all $2 are $3 $4"),
            plainer(
                    "to|from|into",
                    "^((\\p{L}+s) (?!are |have |can |may |must )(\\p{L}+) (\\p{L}+s)) (to|from|into) ((?:an?|one|exactly one) \\p{L}+(?: \\p{L}+)?)(?=\\.?$)",
                    "$2 $3 several $4, and all $4 are $5 $6"),
            plainer(
                    "per|each",
                    "^((?:(?:an?|each|every|all) )?(\\p{L}+(?: \\p{L}+)??) (?:can |may )?(?:has|have|holds?|gets?|receives?) (?:several|many|multiple|more than one|any number of) (\\p{L}+(?: \\p{L}+)?)),? (?:but )?(?:at most|only|no more than|never more than|not more than) one (?:of (?:them|these) )?(?:per|for each|of each|in each) (\\p{L}+(?: \\p{L}+)?)(?=\\.?$)",
                    "All $3 belong to one $2, and no two $3 have the same $2 and $4"),
            plainer(
                    "with|having",
                    "^((?:an?|each|every) \\p{L}+(?: \\p{L}+)?) is an? (?!kind |type |sort )(\\p{L}+(?: \\p{L}+)?) (?:with|having) (an? (?!amount|quantity|number|price|dose|set |list )[^,;:]+?)(?=\\.?$)",
                    "$1 is a $2, and $1 has $3"),
            plainer(
                    "which",
                    "^((?:an?|each|every) \\p{L}+(?: \\p{L}+)?) (?:records|shows|tells|notes|says|states) which (\\p{L}+(?: (?!was |is )\\p{L}+)??) (?:was|is|were|has been|will be) [^,;]*? which (\\p{L}+(?: \\p{L}+)?),? (?:and )?from when (?:to|till|until) when(?=\\.?$)",
                    "$1 has exactly one $2 and exactly one $3, and $1 has a start date and an optional end date"),
            plainer(
                    "which",
                    "^((?:an?|each|every) \\p{L}+(?: \\p{L}+)?) (?:records|shows|tells|notes|says|states) which (\\p{L}+(?: (?!was |is )\\p{L}+)??) (?:was|is|were|has been|will be) [^,;]*? which (\\p{L}+(?: \\p{L}+)?)(?=\\.?$)",
                    "$1 has exactly one $2 and exactly one $3"),
            plainer(
                    "per|each",
                    "^(?:the |all )?(\\p{L}+(?: \\p{L}+)??)s are (\\p{L}+ (?:in|on|at|to|by)) (\\p{L}+(?: \\p{L}+)??)e?s,? (?:with )?((?:at most|up to|no more than|a maximum of|exactly|at least) (?:\\d+|\\p{L}+)) \\1s? (?:per|for each|in each|on each) \\3(?=\\.?$)",
                    "Each $1 is $2 one $3, and each $3 has $4 $1s"),
            plainer(
                    "numbered|lettered",
                    "^(?:the |all )?(\\p{L}+(?: \\p{L}+)?s) (?:at|in|on|of|within|inside) (?:an?|each|every|one) (\\p{L}+(?: \\p{L}+)?) are (number|letter)ed(?: consecutively)?(?:,? (?:starting (?:with|from|at)|from) (?:1|one|A))?(?=\\.?$)",
                    "$1 are $3ed within each $2"),
            plainer(
                    "which|that",
                    "\\b((?:one|an?|at least one|one or more|several|many) (\\p{L}+(?: \\p{L}+)?)), (?:which|that) (\\p{L}+s) (on|at|in) (an? (?:certain |given |specific |fixed |particular )?(?:date|day|time|year))(?=\\.?$)",
                    "$1, and each $2 $3 $4 $5"),
            plainer(
                    "each",
                    "\\b((?:results? in|leads? to|yields?|reveals?|takes?|finds?) (?:many|several|multiple|any number of|(?:one|zero|two) or more|at least (?:\\d+|\\p{L}+)|up to (?:\\d+|\\p{L}+)) )(\\p{L}+(?: \\p{L}+)?),? each (?:with|having) (?:(?:its|their|his|her|an?) (?:own )?)?(\\p{L}.*)",
                    "$1$2, and all $2 have a $3"),
            plainer(
                    "per|each|every",
                    "^(?:the )?(\\p{L}+(?: \\p{L}+)?) (?:is|are) (?:stored|kept|recorded|set|defined|fixed|held|maintained|given|noted|known|agreed) (?:per|for (?:each|every)) (\\p{L}+(?: \\p{L}+)?),? and (?:it )?(?=(?:must|can|cannot|can't|may|is|has|lies)\\b)",
                    "Each $2 has a $1, and the $1 "),
            plainer(
                    "both",
                    "\\b(an?|its|their) (\\p{L}+(?: \\p{L}+)?) and (?:(?:an?|its|their) )?(\\p{L}+(?: \\p{L}+)?),? both(?: of (?:them|which)(?: are)?)?(?: (?:are|being|must be))? (unique|optional)(?=\\.?$)",
                    "$1 $2 ($4) and $3 ($4)"),
            plainer(
                    "as",
                    "^((?:an?|each|every) (?:\\p{L}+ )?\\p{L}+) is (\\p{L}+ (?:to|in|at|by|for|on) (?:an?|one|exactly one) \\p{L}+(?: \\p{L}+)?),? as (?:either )?((?:\\p{L}+, )*\\p{L}+,? or \\p{L}+)(?=\\.?$)",
                    "$1 is $2, and $1 has a role ($3)"),
            plainer(
                    "as",
                    "^((?:\\p{L}+ )?\\p{L}+s) are (\\p{L}+ (?:to|in|at|by|for|on) (?:an?|one|exactly one) \\p{L}+(?: \\p{L}+)?),? as (?:either )?((?:\\p{L}+, )*\\p{L}+,? or \\p{L}+)(?=\\.?$)",
                    "$1 are $2, and $1 have a role ($3)"),
            plainer(
                    "letters|digits|characters",
                    "^(\\p{L}+(?: \\p{L}+){1,2}): ((?:exactly |at most |up to )?(?:\\d+|\\p{L}+) (?:letters|digits|characters)),? (unique|optional|mandatory)(?=\\.?$)",
                    "The $1 has $2, and the $1 is $3"));

    private SentencesInOne() {}
}
