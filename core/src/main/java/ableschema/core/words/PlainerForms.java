package ableschema.core.words;

import java.util.List;
import java.util.Set;
import java.util.regex.Pattern;
import java.util.stream.Stream;

/** What is said otherwise in plainer words of the same meaning, in the order in which it is looked for. */
final class PlainerForms {

    /** @param words of which a sentence has one where it is said so; most sentences have none */
    record Plainer(Set<String> words, Pattern said, String plain) {}

    /** What stands for all signs of comparison among the words of a sentence. */
    static final String SIGNS = "<";

    private static final String SPEAKERS = "we|they|you|one|people|everybody";

    private static final String WE = "(?:" + SPEAKERS + ")";
    private static final String KEEP =
            "(?:(?:also|always|then) )?(?:(?:must|have to|need to|want to|should|can|may|will) )?(?:keep|store|record|note|register|track|know|save|hold|need|remember|collect|log|capture|document|write down|jot down|take down)";
    private static final String COUNTED =
            "(?=(?:only )?(?:at (?:most|least)|exactly|one|two|three|four|five|six|seven|eight|nine|ten|\\d+|many|several|any number|no more|up to|more than) )";

    /** What is written down in parts. */
    static final String WHOLES = "address|name|location|coordinates|dimensions|details";

    /** What stands between a whole and its parts. */
    static final String OF_PARTS =
            "(?: ?\\((?=[^()]* and )|,? (?:that is|which is|which are|namely|i\\.e\\.),? (?:made up of |composed of )?"
                    + "|,? (?:(?:which|that) consists? of|(?:which is |which are )?(?:consisting|made up|composed) of) )";

    static final List<Plainer> ALL = Stream.of(SentencesInOne.ALL, forms(), PlainerCounts.ALL)
            .flatMap(List::stream)
            .toList();

    private PlainerForms() {}

    private static List<Plainer> forms() {
        return List.of(
                plainer("our", "^(?:in|at|for) our (?:\\p{L}+ )?\\p{L}+,? (?=(?:each|every|an?|all|the|no) )", ""),
                plainer(
                        "without",
                        "^no (\\p{L}+(?: \\p{L}+)??) (?:may|can|must) be without (?:an?|its|their) (?=\\p{L})",
                        "Each $1 has a "),
                plainer(
                        "only",
                        "^only ((?:\\p{L}+ )?\\p{L}+s) (?:have|can have|may have) (?=(?:an?|the|their) )",
                        "All $1 have "),
                plainer(
                        "which|that",
                        ",? (?:which|that) (?:(?:may|can|might) be (?:left out|omitted|left empty|left blank|skipped)|(?:may|might) not be known)(?=,| and |\\.?$)",
                        " (optional)"),
                plainer(
                        "each|every",
                        "^(?:the )?(\\p{L}+) and (\\p{L}+) (date|time|price|number|weight|code|name) (?:is|are|must be) (?:recorded|noted|stored|kept|registered|needed|known) (?:for|of|with|at) (?:each|every) (\\p{L}+(?: \\p{L}+)?)(?=\\.?$)",
                        "Each $4 has a $1 $3 and a $2 $3"),
                plainer(
                        "maximum|minimum",
                        "\\b(an?|its|the) max(?:imum)? (\\p{L}+) of (\\d[\\d.,]*)(?= (?!\\p{L}*(?:participants|people|persons|guests|students|members)\\b)\\p{L}+)",
                        "$1 $2 of at most $3"),
                plainer(
                        "to",
                        "\\bof (-?\\d[\\d.]*) ?(?:to|-|–) ?(\\d[\\d.]*)(?= ?(?:%|(?:percent|euros?|dollars?|kg|g|t|km|m|cm|mm|metres|meters|litres|liters|minutes|hours|days|degrees|points)\\b))",
                        "between $1 and $2"),
                plainer(
                        "other",
                        "\\b(be|is|are) (?:an?|the) (\\p{L}+ (?:of|for|to|in)) other (?=\\p{L}+s\\.?$)",
                        "$1 $2 several "),
                plainer(
                        "grade|class|category|level|group|series",
                        "\\b(grade|class|category|level|group|series) (\\p{Lu}|\\d)((?:, (?:\\p{Lu}|\\d))*),? or (\\p{Lu}|\\d)(?=\\.?$)",
                        "$1 ($2$3 or $4)"),
                plainer(
                        "years|time|life|lifetime|career",
                        " (?:over (?:the years|time|(?:its|their|his|her) (?:whole )?(?:life|lifetime|career))|in the course of (?:time|the years)|during (?:its|their|his|her) (?:whole )?(?:life|lifetime|career))(?=\\.?$)",
                        ""),
                plainer(
                        "which|that",
                        "\\b(an?|its|their) (\\p{L}+(?: \\p{L}+)?),? (?:which|that) (?:is|can be|may be|must be) one of:? (\\p{L}+(?: \\p{L}+)?(?:, \\p{L}+(?: \\p{L}+)?)+)(?=\\.?$)",
                        "$1 $2 ($3)"),
                plainer(
                        "hundreds|thousands|millions|scores|tens",
                        "\\b(?:(?:hundreds|thousands|millions|scores|tens) of )+(?=\\p{L})",
                        "many "),
                plainer("are|is", ", so (is|are) (?=\\p{L}+(?: \\p{L}+)?\\.?$)", " and so $1 "),
                plainer("our|my", "^(?:our|my) (\\p{L}+s) (?=(?!of\\b)\\p{L}+[^\\Ws] )", "All $1 "),
                plainer(
                        "least",
                        "^(at least (?:\\d+|\\p{L}+)) (\\p{L}+(?: (?!(?:is|are|can|may|must)\\b)\\p{L}+)??) ((?:is |are )?\\p{L}+(?: (?:in|on|at|for|to|by|with))?) (?:each|every) (\\p{L}+(?: \\p{L}+)?)(?=\\.?$)",
                        "A $2 $3 any number of $4, and each $4 has $1 $2"),
                plainer(
                        "default",
                        "; (?:and )?(?:the |its )?default (?:is |being )?(\\p{L}+)(?=\\.?$)",
                        " and $1 by default"),
                plainer(
                        "share|shares|has|have",
                        ", (which|that) no (two|other) (\\p{L}+(?: \\p{L}+)? (?:shares?|has|have))(?=\\.?$)",
                        " $1 no $2 $3"),
                plainer(
                        "and",
                        "\\b(starts|begins|departs|leaves) and (ends|finishes|arrives|returns) (at|in|from|to) (?=(?:an?|one|exactly one) )(\\p{L}+(?: \\p{L}+){1,3})(?=\\.?$)",
                        "$1 $3 $4 and $2 $3 $4"),
                plainer(
                        WHOLES,
                        "\\b(?:an?|one|its|their) (?:(?:full|contact|postal) )?(?:" + WHOLES + ")" + OF_PARTS
                                + "(PART(?:, PART)*,? and PART)\\)?(?=\\.?$)"
                                        .replace("PART", "(?:(?:an?|the) )?\\p{L}+(?: \\p{L}+)?"),
                        "$1"),
                plainer(
                        "another",
                        "\\b(be|is|are) (?:an?|the) (\\p{L}+ (?:of|in|at|for|on|to)) (?=another )",
                        "$1 $2 "),
                plainer(
                        "hierarchy|tree",
                        "^(?:the )?(?:\\p{L}+ )?\\p{L}+s (?:form|build|are) an? (?:hierarchy|tree)(?:[:;,]|, (?:where|in which|and)) (?=(?:an?|each|every|all|the) )",
                        ""),
                plainer(
                        "level|grade|status|state|type|kind|category|class|size|colour|color|priority|severity|difficulty|rank|position|language|method|mode|stage|phase|gender|sex|season|shift",
                        "\\band (an?|its|their) ((?:\\p{L}+ )?\\p{L}+): (?!(?:text|whole|decimal|real|date|time|moment|year|yes|list|counted|uuid|json|bytes|domain|number|string|integer|int|boolean|varchar)\\b)(\\p{L}[\\p{L} -]*(?:, \\p{L}[\\p{L} -]*)+)(?=\\.?$)",
                        "and $1 $2 ($3)"),
                plainer(
                        "number",
                        "\\b(?:a|the|its) (number of \\p{L}+(?: \\p{L}+)?) ?\\((?:between |from )?(\\d+) ?(?:to|-|–|and) ?(\\d+)\\)(?=\\.?$)",
                        "\"$1\" (between $2 and $3)"),
                plainer(
                        "number",
                        "\\b(?:a|the|its) (number of \\p{L}+(?: \\p{L}+)?),? (?:at first|initially|normally|usually) (\\d+)(?=\\.?$)",
                        "\"$1\" (default $2)"),
                plainer(
                        "each|every|to|in|by|of|at|on|for",
                        "^((?:each|every|an?) [^,;:]*? ((?:(?:is|are) )?\\p{L}+) (to|in|by|of|at|on|for) (?:exactly )?(?:one|an?) (?:\\p{L}+ )?(\\p{L}+(?: \\p{L}+)?))(?:,? and|[,;]) (?:each|every|an?|that|the|this|such an?) \\4 \\3 (?=(?:exactly )?(?:one|an?) )",
                        "$1, and each $4 $2 $3 "),
                plainer(
                        "each|every|an|a|that",
                        "^((?:each|every|an?) [^,;:]*? ((?:is|are) \\p{L}+) (into|to|in|by|of|from) (?:(?:several|many|one or more|two or more) )?(\\p{L}+(?: \\p{L}+)?)s)(?:,? and|[,;]) (?:each|every|an?|that|such an?) \\4 \\3 (?=\\p{L})",
                        "$1, and each $4 $2 $3 "),
                plainer(
                        "only",
                        "^only (?:one|a single) (\\p{L}+(?: (?!(?:is|can|may|must)\\b)\\p{L}+)?) ((?:can be |may be |must be |can |may |must |is )?\\p{L}+(?: (?:for|to|on|in|at|after|by|with|of))?) (?:an?|one|each|every|the same) (\\p{L}+(?: \\p{L}+)?)(?=\\.?$)",
                        "A $1 $2 any number of $3, and each $3 has exactly one $1"),
                plainer(
                        "who|that|which",
                        "^(?:we have|there are|we serve|we employ) (\\p{L}+(?: \\p{L}+)?s|people) (?:who|that|which) (?=\\p{L})",
                        "$1 "),
                plainer(
                        "normally|usually|typically|first|initially|default",
                        ", (?:(?:which|that) is )?(?:(?:normally|usually|typically|at first|initially) (-?\\d+(?:\\.\\d+)?|\\p{L}+)|(-?\\d+(?:\\.\\d+)?) (?:normally|usually|at first|initially))(?=\\.?$)",
                        " (default $1$2)"),
                plainer(
                        "optionally|optional",
                        "\\((?:optionally|optional),?\\) (?=(?:an?|the|its|their|his|her) )",
                        "optionally "),
                plainer("no", "\\bno (\\p{L}+) or (?:several|many|more) (?:\\1(?:s|es))(?=\\.?$)", "any number of $1s"),
                plainer(
                        "which|that",
                        "\\b(an?|its|their) (\\p{L}+(?: \\p{L}+)?),? (?:which|that) (?:is|can be|may be|must be)(?: either| one of)?:? (\\p{L}+(?: \\p{L}+)?(?:, \\p{L}+(?: \\p{L}+)?)+,? or \\p{L}+(?: \\p{L}+)?)(?=\\.?$)",
                        "$1 $2 ($3)"),
                plainer(
                        "or",
                        "\\b(an?|its|their) (\\p{L}+(?: \\p{L}+)?)(?: of|:) (\\p{L}+(?: \\p{L}+)?(?:, \\p{L}+(?: \\p{L}+)?)+,? or \\p{L}+(?: \\p{L}+)?)(?=\\.?$)",
                        "$1 $2 ($3)"),
                plainer(
                        "more|several",
                        "\\b(one|two|three|four|five|\\d+) ((?:(?!or)\\p{L}+ )?(?!or\\b)\\p{L}+) or (more|several)(?=\\.?$)",
                        "$1 or $3 $2"),
                plainer(
                        "unique",
                        "\\b(?:an?|its|their) (\\p{L}+(?: \\p{L}+)?)(?:,? and |; )(?:the |these )?\\1(?:s|es) (?:are|must be) (?:only )?unique (?=(?:per|within|in|inside|on|at) )",
                        "a $1 unique "),
                plainer(
                        "it|they|he|she",
                        "\\b(date|time|day|year|place) (?:when |where |on which |at which |in which )?(?:it|they|he|she) (?:(?:was|were|is|are) (\\p{L}+)|(\\p{L}+ed))(?=,| and |\\.?$)",
                        "$1 $2$3"),
                plainer("only", "(?<=\\b(?:is|are)) only (?=(?:on|in|at|by|for|of|from|with|to|\\p{L}+ed) )", " "),
                plainer(
                        "mandatory|required|compulsory|obligatory",
                        ",? (?:both|all)(?: of (?:them|which))?(?: are| being)? (?:mandatory|required|compulsory|obligatory)(?=\\.?$)",
                        ""),
                plainer(
                        "each",
                        "(?<=\\b(?:many|several|multiple|more|any number of|\\d) )(\\p{L}+(?: \\p{L}+)?),? each (?=\\p{L}+(?:ed|en|wn|de|ld|nt|pt|ght) (?:by|in|on|at|to|from|for|with) )",
                        "$1, and all $1 are "),
                plainer(
                        "whose",
                        "\\b(an?|one|exactly one) (\\p{L}+(?: \\p{L}+)?),? whose (\\p{L}+(?: \\p{L}+)?) (?=(?:is|are|must|can|may|cannot|has to)\\b[^,;]*$)",
                        "$1 $2, and the $3 of a $2 "),
                plainer(
                        "and",
                        "\\b(?:an?|its|their|the) (\\p{L}+(?: \\p{L}+)?),? (?:and|where) (?:the|this|that|its|their) \\1 (?:is|must be|has to be|lies) (?:always )?(?=(?:at (?:most|least)|between|greater|less|more) [^,;]*$)",
                        "a $1 of "),
                plainer(
                        SPEAKERS,
                        "^" + WE + " " + KEEP + " " + COUNTED
                                + "(.+?) (?:per|for (?:each|every)) (?!(?:hour|day|week|month|year|season)\\b)(\\p{L}+(?: \\p{L}+)?)(?=\\.?$)",
                        "Each $2 has $1"),
                plainer(
                        "come|comes",
                        "\\bcomes? in (?:several |different |various )?(size|colour|color|weight|length|width|grade|flavour|flavor|format|version)s?:? (?=[^:()]*,[^:()]* (?:or|and) )([^:()]*?),? (?:or|and) (\\p{L}[^,:()]*?|\\d[^,:()]*?)(?=\\.?$)",
                        "have a $1: $2 or $3"),
                plainer(
                        "loads|lots|plenty|tons|dozens",
                        "\\b(?:loads|lots|plenty|tons|dozens|a lot) of (?=\\p{L})",
                        "many "),
                plainer(
                        "going|running|open",
                        "(?<=\\p{L}) (?:going|running|open) (?:at once|at the same time|at a time)(?=\\.?$)",
                        ""),
                plainer(
                        "when",
                        "(?<=(?:has|have|keep|record|store|note|know|and|,) )when (?:it|they|he|she) (?:(?:was|were|is|are) (\\p{L}+)|(\\p{L}+ed))(?=,| and |\\.?$)",
                        "date $1$2"),
                plainer(
                        "changes",
                        "^(?:an?|each|every) (\\p{L}+(?: \\p{L}+)?) has (?:an?|its|one) (\\p{L}+(?: \\p{L}+)?),? (?:which|that) (never )?changes(?=\\.?$)",
                        "Each $1 has a $2, and the $2 of each $1 $3changes"),
                plainer("different", "\\ba different (?=\\p{L})", "a "),
                plainer(
                        "gets|get|receives|receive|given|carries|carry|bears|bear|shows|show|need|needs|require|requires",
                        "\\b(?:gets?|receives?|is given|are given|carry|carries|bears?|shows?|(?<!we )(?<!you )(?<!they )(?<!also )(?:needs?|requires?)) (?=(?:an? |its |their )(?:own |unique )*(?:\\p{L}+ )?(?:number|code|name|id|label|title|date|status|password|colour|color|value|amount|price)\\b)",
                        "has "),
                plainer(
                        "it",
                        "\\b(exactly one|one|an?) (\\p{L}+(?: \\p{L}+)?)(,? and .*?\\b(?:unique|numbered|told apart|identified|known)\\b.*? (?:within|inside|in|per|on|of|at)) it(?=\\.?$)",
                        "$1 $2$3 its $2"),
                plainer(
                        "addition|additionally|furthermore|moreover|besides",
                        "(?:^|(?<=\\b(?:has|have|is|are|can|may|must)),? )(?:in addition|additionally|furthermore|moreover|besides),? (?=\\S)| (?:in addition|additionally|furthermore|moreover|besides)(?= (?:has|have|is|are|can|may|must)\\b)",
                        " "),
                plainer(
                        "not",
                        "^not (?:every|each) (\\p{L}+(?: \\p{L}+)?) (?:has|needs) (?=(?:an?|the|its) )",
                        "A $1 may have "),
                plainer(
                        "not",
                        "^not all (?:of )?(?:the |our )?(\\p{L}+(?: \\p{L}+)?) (?:have|need) (?=(?:an?|the|their) )",
                        "All $1 may have "),
                plainer(
                        "all|both|any|several",
                        "(\\b(?:is|be) an? [^;:]*? or an? [^;:,]*),? or (?:all|both|any|several)(?: of (?:these|them|those))?(?=\\.?$)",
                        "$1"),
                plainer(
                        "optionally|possibly",
                        "^((?:(?!\\b(?:has|have|with)\\b)[^:;])*?) and (?:optionally|possibly) (?:an?|one) (\\p{L}+(?: \\p{L}+)?)(?=\\.?$)",
                        "$1 and at most one $2"),
                plainer(
                        "percentage|number|amount|value|figure",
                        "\\bis an? (?:percentage|number|amount|value|figure) (?=between |from )",
                        "is "),
                plainer(
                        "forms|varieties|categories",
                        "\\bare (?:all )?(?:different )?(?:forms|varieties|categories) of (?=\\p{L}+(?: \\p{L}+)?\\.?$)",
                        "are kinds of "),
                plainer(
                        "least",
                        "\\b(is|are|must be|has to be) at least (-?\\d[\\d.,]*) and at most (-?\\d[\\d.,]*)(?= \\p{L}+\\.?$|\\.?$)",
                        "$1 between $2 and $3"),
                plainer("differ|differs", "\\bdiffers? (?:in|by) (?:their |its )?", "have "),
                plainer(
                        "which|whom",
                        "(?<=\\b(?:many|several|multiple|more|any number of|\\d|consists? of|up of|contains?|includes?|holds?|owns?|sells?|offers?) )(\\p{L}+(?: \\p{L}+)?),? each of (?:which|whom) (?=(?:has|is|belongs|can|may|must)\\b)",
                        "$1, and all $1 "),
                plainer(
                        "who|which",
                        "^([^,;]* ((?:\\p{L}+ )?\\p{L}+s)), (?:who|which) (?=(?:(?!is|has|was|are|were)\\p{L}+ (?:for|in|at|on|with|to|from) |(?:have|can|may|must) (?!be\\b|not\\b)))",
                        "$1, and all $2 "),
                plainer(
                        "never|unique",
                        "\\b(?:an?|its|their|the) (\\p{L}+(?: \\p{L}+)?)(?:,? and|;) (?:(?:the|their|all) )?(?:\\p{L}+ )?\\1(?:s|es) (?:are|must be|have to be) (?:always )?(?:unique|never (?:re-?used|repeated|(?:used|given|issued|assigned) (?:twice|again)))(?=\\.?$)",
                        "a unique $1"),
                plainer(
                        "unique",
                        "\\b(?:carries|carry|bears?|wears?|shows?|uses?) (?:an?|its|their) (?:own )?unique (?=\\S)",
                        "has a unique "),
                plainer(
                        "optional",
                        "\\b(?:an?|the|its|their) (\\p{L}+(?: \\p{L}+)?)((?:,| and) [^;]*)?(?:;|,)? (?:but |and |while |where )?(?:the|its|their) \\1 (?:is|are) optional(?=\\.?$)",
                        "an optional $1$2"),
                plainer(
                        "gets|get|receives|receive",
                        "\\b(?:gets?|receives?) (?=an? \\p{L}+(?: \\p{L}+)? (?:between|from|of (?:at|up)) (?:\\p{L}+ )*-?\\d)",
                        "has "),
                plainer("never", "\\b(?:must|may|can|should) never be (?=(?:negative|zero)\\b)", "cannot be "),
                plainer(
                        "default",
                        "[;,] ?(?:and |where )?(?:the )?(\\p{L}+) (?:is|being) the default(?=\\.?$)",
                        " and $1 by default"),
                plainer("and", "^(.*\\b(\\p{L}+s)),? and \\2 (?=\\p{L}+ \\p{L})", "$1, and all $2 "),
                plainer(
                        "least",
                        "\\b(?:any number of|several|many) (\\p{L}+(?: \\p{L}+)?),? but (?:always |must have )?at least one(?: of them)?(?=\\.?$)",
                        "at least one $1"),
                plainer(
                        "missing|unknown|empty|blank",
                        ", (?=(?:which|that) (?:(?:may|can) be|is|stays|remains) (?:missing|unknown|empty|blank)\\b)",
                        " "),
                plainer(
                        "are",
                        "\\bare (?!kind|type|sort|part)(\\p{L}+[^s\\W])s (of|at|in) (?=(?:the )?\\p{L}+s\\.?$)",
                        "are $1 $2 "),
                plainer("null", ",? and (?:(?:is|must be|can be) )?(?:not null|never null|not empty)(?=\\.?$)", ""),
                plainer(
                        "usually|normally|typically|often|mostly|generally",
                        "(?<=\\p{L}) (?:usually|normally|typically|often|mostly|generally) (has|have) (?:more than (?:one|\\d+)|several|many|two or more|at least \\w+) ",
                        " can have several "),
                plainer(
                        "which|whom",
                        "(?<=\\b(?:many|several|multiple|more|any number of|\\d|consists? of|contains?|includes?|holds?|owns?|sells?|offers?|has|have|hold|own|sell) )(\\p{L}+(?: \\p{L}+)?),? each of (?:which|whom) (\\p{L}{2,}[^\\Wsxzho])s (?=\\p{L})",
                        "$1, and all $1 $2 "),
                plainer("just|merely", "\\b(?:just|merely) (?=one |an? )", "exactly "),
                plainer(
                        "one",
                        "^one (?=\\p{L}+(?: \\p{L}+)? (?:can|may|has|usually|normally|typically|must|might) )",
                        "A "),
                plainer(
                        "exist",
                        "^((?:an?|each|every|no) )?(\\p{L}+(?: \\p{L}+)?) (?:can't|cannot|can not|may not|must not|can|may) exist without (?:an?|its|their|the) (\\p{L}+(?: \\p{L}+)?)(?=\\.?$)",
                        "Each $2 belongs to exactly one $3"),
                plainer(
                        "later|afterwards",
                        " (?:is|are) (?:only )?(?:filled in|entered|added|set|recorded|noted) (?:only )?(?:later(?: on)?|afterwards)(?=\\.?$)",
                        " may be unknown"),
                plainer("there's", "^there's (?=\\S)", "There is "),
                plainer(
                        "our|my|these|the|their",
                        "^(?:each|every one|all|both|our|my|all our)(?: of (?:our|my|these|the|their))? ((?:\\p{L}+ )?(?:\\p{L}+s|people|children|men|women)) (?=(?:has|have|is|are|can|may|must) )",
                        "All $1 "),
                plainer(
                        "none|nobody",
                        "\\b(?:exactly )?(?:one|an?) (\\p{L}+(?: \\p{L}+)?),? or (?:(?:by|to|in|on|at|of|for|from|with) )?(?:none|nobody|no one)(?: at all)?(?=\\.?$)",
                        "at most one $1"),
                plainer("persons", "(?<!number of )\\bpersons\\b", "people"),
                plainer(
                        "always|usually|normally|typically|generally|obviously",
                        "(?<!\\bnot)(?<!n't)(?<=\\p{L}) (?:always|usually|normally|typically|generally|obviously) (?=\\p{L})",
                        " "),
                plainer(
                        "can|may",
                        "^((?:up to|at most|no more than|not more than|a maximum of) (?:\\d+|\\p{L}+)) (\\p{L}+(?: \\p{L}+)?) (can|may) (\\p{L}.*?) (?:an?|one|each|every|any|the same) (\\p{L}+(?: \\p{L}+)?)(?=\\.?$)",
                        "$2 $3 $4 several $5, and each $5 has $1 $2"),
                plainer(
                        SPEAKERS,
                        "^" + WE + " " + KEEP
                                + " (?:the |an? )?(.+?) of (?:the|our|each|every|an?) (\\p{L}+), and (?=(?:an?|the) )",
                        "Each $2 has $1, "),
                plainer(
                        "may|can|might|could",
                        "\\b((?:may|can|might|could) (?:\\p{L}+ ){1,4}?)one or (?:more|several|many) (?=\\p{L})",
                        "$1any number of "),
                plainer(
                        "optional",
                        "((?:has|have) [^;]*?)(?:;|,)? (?:but |and |while |where )?(?:the|its|their|an?) (\\p{L}+(?: \\p{L}+)?) (?:is|are) optional(?=\\.?$)",
                        "$1, optional $2"),
                plainer("or", "^(\\p{L}+(?: \\p{L}+)?): ?([^:()]+,? or [^:(),]+)(?=\\.?$)", "The $1 is one of $2"),
                plainer("course", ", of course(?=\\.?$)", ""),
                plainer(
                        "apart",
                        "^(?:the )?(.+?) (?:is|are) what (?:tells?|sets?|keeps?) (?:the |all |our |two )?(.+?) apart(?=\\.?$)",
                        "The $2 are identified by their $1"),
                plainer(
                        "some",
                        "^some ((?:\\p{L}+ )?\\p{L}+s) are (?:also )?((?!also )(?:\\p{L}+ )?\\p{L}+s)(?=\\.?$)",
                        "All $2 are $1"),
                plainer(
                        "whose",
                        "((?:\\b(?:one|an?|at least one|one or more) )(\\p{L}+)), whose (.+?) " + WE + " " + KEEP
                                + "(?=\\.?$)",
                        "$1, and a $2 has $3"),
                plainer(
                        "sometimes|often|always",
                        "\\b(?:exactly )?(?:one|an?) (\\p{L}+(?: \\p{L}+)?),? but (?:it is |this is |we )?(?:sometimes|often|not always)\\b[^,;]* (?:not known|unknown|(?:don't|do not|doesn't) know)(?: (?:by )?(?:whom|who|which|it|one|that))?(?=\\.?$)",
                        "at most one $1"),
                plainer(
                        "time|once",
                        "\\b(?:only |just )?(?<!exactly )(?<!least )(?<!most )(?<!than )one (\\p{L}+(?: \\p{L}+)?) at (?:a|any|any one|one|the same|any given) time",
                        "at most one $1"),
                plainer(
                        "same",
                        "(?:^|(?<=\\b(?:and|but|while|whereas) |; ))(?:one and )?the same (?=\\p{L}+(?: \\p{L}+)? (?:can|may|might|could)\\b)",
                        "A "),
                plainer(
                        "recorded|noted|kept|stored|known|needed|registered|measured|determined|entered|agreed|fixed|set|given|counted|specified|stated|defined|documented|logged",
                        "^(?:for|in|at|during|with) (?:each|every|an?|any) (\\p{L}+(?: (?!(?:the|an?|its|their|and) )\\p{L}+)?),? (?!(?:and|at|exactly|one|two|three|\\d)\\b)(.+?) (?:is|are|must be|has to be|have to be) (?:recorded|noted|kept|stored|known|needed|registered|measured|determined|entered|written down|agreed|fixed|set|given|counted|specified|stated|defined|documented|logged)(?=\\.?$)",
                        "Each $1 has $2"),
                plainer(
                        "never",
                        "\\b(must|may|can|should) never be (?=(?:below|under|less|above|over|more|greater|higher|lower)\\b)",
                        "must not be "),
                plainer(
                        "empty|blank|missing|null",
                        " (?:can't|cannot|can not|must not|mustn't|may not|must never|may never|should not|should never) be (?:left )?(?:empty|blank|missing|null)(?=\\.?$)",
                        " is mandatory"),
                plainer(
                        SPEAKERS,
                        "^" + WE + " " + KEEP
                                + " (?:for|of|about) (?:each|every|an?|any) (\\p{L}+(?: \\p{L}+)?) ((?:an?|the|its|their|his|her) .+)",
                        "Each $1 has $2"),
                plainer(
                        SPEAKERS,
                        "^(?:for|about|of|from) (?:all |all the |the |our )?((?:\\p{L}+ )?(?:\\p{L}+s|people|children|men|women)),? "
                                + WE + " " + KEEP + " (?=\\S)",
                        "All $1 have "),
                plainer(
                        "different|various|distinct",
                        "\\b(several|many|some|two|three|number of|more) (?:different|various|distinct) (?=\\p{L})",
                        "$1 "),
                plainer(
                        "different|various|distinct",
                        "\\b(?:different|various|distinct) (?=\\p{L}+s\\.?$)",
                        "several "),
                plainer(
                        "certain|given|particular|specific",
                        "\\b(an?|one|the) (?:certain|given|particular|specific) (?!date|day|time|moment|year)",
                        "$1 "),
                plainer("no|zero", "\\b(?:no|zero) (\\p{L}+) or (?:just |only |exactly )?one \\1\\b", "at most one $1"),
                plainer(
                        "unknown|empty|missing|known",
                        " (?:is|are|stays|remains|(?:can|may) be(?! \\p{L}+,? if )|(?:can|may) stay) (?:unknown|empty|missing|not known)(?:,? (?:until|while|before|as long as|unless|if|when) .+?| at first| initially| in the beginning| for now)?(?=\\.?$)",
                        " may be unknown"),
                plainer(
                        "collection|set|list|group|series|range|variety|lot|handful|couple|bunch",
                        "(?<!is )(?<!are )\\ban? (?:collection|set|list|group|series|range|variety|lot|handful|couple|bunch) of (?=(?:\\p{L}+ )?\\p{L}+s\\.?$)",
                        "any number of "),
                plainer(
                        SPEAKERS,
                        "^" + WE + " " + KEEP
                                + " (?:the |an? )?(.+?) (?:of|for|about) (?:each|every|an?|any) (.+?)(?=\\.?$)",
                        "Each $2 has $1"),
                plainer(
                        SPEAKERS,
                        "^" + WE + " " + KEEP
                                + " (?:the |an? )?(.+?) (?:of|for|about) (?:all|all the|the|our) (.+?)(?=\\.?$)",
                        "All $2 have $1"),
                plainer(
                        SPEAKERS,
                        "^(?:for|about|of|from) (?:each|every|an?|any) (.+?),? " + WE + " " + KEEP + " (?=\\S)",
                        "Each $1 has "),
                plainer(
                        "if",
                        ",? and (?:an? |the )?(\\p{L}+(?: \\p{L}+)?),? if (?:there is one|(?:it has|they have|he has|she has) (?:one|any)|any|known|given|available|agreed|needed|applicable|necessary|possible)(?=\\.?$)",
                        ", optional $1"),
                plainer(
                        "default",
                        "^([^(:]*\\b(?:is|are|be) [^(:]*?),? default (?:is |being )?(\\p{L}+)(?=\\.?$)",
                        "$1 and $2 by default"),
                plainer(
                        "if",
                        " (?:an? |the )?(\\p{L}+(?: \\p{L}+)?),? if (?:there is one|(?:it has|they have|he has|she has) (?:one|any)|any|known|given|available|agreed|needed|applicable|necessary|possible)(?=\\.?$)",
                        " optional $1"),
                plainer(
                        "two",
                        "^two (?:different |distinct )?(.+?) (?:can |may |must )?(?:never|not|cannot) (?:have|share) the same (?=\\S)",
                        "No two $1 have the same "),
                plainer("text|string", "\\((?:text|string) (?:of )?(?:up to|at most|max\\.?) (?=\\d)", "(up to "),
                plainer(
                        "be|is|are",
                        "\\b(be|is|are) (?:an?|the) (\\p{L}+ (?:of|in|at|for|on|to)) " + COUNTED,
                        "$1 $2 "),
                plainer("and|also|so|then|note|course", "^(?:and|also|so|then|note that|of course),? (?=\\S)", ""),
                plainer("too|well", ",? (?:too|as well)(?=\\.?$)", ""),
                plainer(
                        "rule|general|basically|usually|normally|typically|course",
                        "^(?:as a rule|in general|basically|usually|normally|typically|of course),? (?=\\S)",
                        ""),
                plainer(SIGNS, " ?(?:>=|≥) ?(?=-?\\d)", " must be at least "),
                plainer(SIGNS, " ?(?:<=|≤) ?(?=-?\\d)", " must be at most "),
                plainer(SIGNS, " ?> ?(?=-?\\d)", " must be greater than "),
                plainer(SIGNS, " ?< ?(?=-?\\d)", " must be less than "),
                plainer(
                        "been",
                        " (?:has|have) been (?=(?:\\p{L}+(?:ed|en|wn|ught|old|eld|aid|ade|ent|ept|ilt|ound|orn|ung)|cut|put|set|read|lost|shot|cast|done|won) (?:by|in|on|at|to|from|for|with|into|out of)\\b)",
                        " is "),
                plainer(
                        "otherwise|nothing",
                        ",? (?:unless (?:stated|said|given|specified|set) otherwise|unless otherwise (?:stated|said|given|specified|set)|if nothing else is (?:said|stated|given))(?=\\.?$)",
                        " by default"),
                plainer(
                        "most|least",
                        "\\b(one|two|three|four|five|six|ten|\\d+) (\\p{L}+(?: \\p{L}+)?) at (most|least)(?=\\.?$)",
                        "at $3 $1 $2"),
                plainer(
                        "which|who",
                        "\\b((?:one|an?|at least one|one or more|several|many) (\\p{L}+(?: \\p{L}+)?)), (?:which|who) (has|have) (?=an? )",
                        "$1, and a $2 has "),
                plainer(
                        "later|eventually|finally|end",
                        ",? and,? (?:later|eventually|finally|in the end)(?: on)?,? (?=\\S)",
                        ", optional "),
                plainer(
                        "nobody|no",
                        "(?:,? (?:that|which))? (?:nobody|no one) else (?:has|(?:may|can|must) have)(?=\\.?$)",
                        " (unique)"),
                plainer("max|maximum", "\\bmax(?:imum|\\.)? (?=\\d)", "at most "),
                plainer("min|minimum", "\\bmin(?:imum|\\.)? (?=\\d)", "at least "),
                plainer(
                        "never",
                        "\\b(?:is|are) never (?=(?:below|under|less than|above|over|more than|greater than) )",
                        "must not be "),
                plainer(
                        "key",
                        ",? (?:which|that) (?:is|are) (?:its|their|the) (?:primary )?key\\b(?=,| and|\\.?$)",
                        " (key)"),
                plainer("staff", "\\bmember(s?) of (?:the )?staff\\b", "staff member$1"),
                plainer(
                        "who|which|that",
                        "^((?:an?|each|every) (\\p{L}+(?: \\p{L}+)?) [^,;]*? (?:one|an?|exactly one|at most one) (\\p{L}+(?: \\p{L}+)?)), (?:who|which|that) ((?:can|may|must|has|is|needs)\\b[^,;]* \\2(?:s|es)?)(?=\\.?$)",
                        "$1, and a $3 $4"),
                plainer(
                        "each",
                        "\\b((?:has|have|contains?|includes?|consists? of|(?:made|composed) (?:up )?of|comprises?|divided into|split into|there (?:is|are)) (?:(?:one or|at least|up to|exactly) )?(?:(?:many|several|multiple|more|any number of|\\d+|one|two|three|four|five|ten) )?)(\\p{L}+(?: \\p{L}+)?),? each (?:with|having) (?:(?:its|their|his|her|an?) (?:own )?)?(\\p{L}.*)",
                        "$1$2, and all $2 have a $3"),
                plainer(
                        "if|once|when|after",
                        ",? and,? (?:if|once|when|after) (?:it is |it has been |they are )?\\p{L}+(?: \\p{L}+)?, (?:an? |the )?(?=\\S)",
                        ", optional "),
                plainer(
                        "once|when|after|if|soon",
                        ",? and (?:an? |the )?(\\p{L}+(?: \\p{L}+)?) (?:once|when|after|if|as soon as) (?:it|they|he|she) (?:is|are|has been|have been|was|were) \\p{L}+(?=\\.?$)",
                        ", optional $1"),
                plainer(
                        "two",
                        "^two (.+? (?:in|of|on|at|within) the same .+?) (?:can |may |must )?(?:never|not|cannot|can't) (?:have|share) the same (?=\\S)",
                        "No two $1 have the same "),
                plainer("also", "(?<=\\b(?:is|are|can|may|must)) also (?=\\S)", " "),
                plainer(
                        "another",
                        "\\b((?:at|in|from|to|on|with|by) )(exactly one|one|an?) (\\p{L}+(?: \\p{L}+)?)(,? and \\p{L}+ (?:at|in|from|to|on|with|by) )another(?: one)?(?=\\.?$)",
                        "$1$2 $3$4one $3"),
                plainer(
                        "sometimes|occasionally|possibly|cases",
                        "\\b(?:one|an?) (\\p{L}+(?: \\p{L}+)?),? (?:but |and |or )?(?:sometimes|occasionally|possibly|in some cases)(?: also)?(?: (?:by|of|in|on|at|to|with|for))?"
                                + " (?:several|more|many|two or more|more than one)(?: of them)?(?=\\.?$)",
                        "one or more $1"),
                plainer(
                        "which|that",
                        ", (?=(?:which|that) (?:is|are|must be|has to be|should be|cannot be|can't be|must not be|may not be) (?:unique|optional|secret|confidential|personal|private|positive|(?:never )?negative)\\b)",
                        " "),
                plainer(
                        "optionally|possibly|maybe|perhaps|sometimes|cases",
                        ",? and,? (?:optionally|possibly|maybe|perhaps|sometimes|in some cases),? (?=\\S)",
                        ", optional "),
                plainer(
                        "there",
                        "^(?:for|in|on|at) (?:each|every|an?|any) (.+?),? there (?:is|are|must be|will be) (.+?)(?=\\.?$)",
                        "Each $1 has $2"),
                plainer(
                        "there",
                        "^(?:for|in|on|at) (?:each|every|an?|any) (.+?),? there (?:can|may) be (.+?)(?=\\.?$)",
                        "Each $1 can have $2"),
                plainer(
                        "needed|required",
                        "^for (?:each|every|an?|any) (.+?),? ((?:at|exactly|one|two|three|\\d)\\b.+?) (?:is|are) (?:needed|required)(?=\\.?$)",
                        "Each $1 needs $2"),
                plainer("if", ",? and,? if (?:it|they|he|she) (?:has|have) (?:one|any|some),? (?=\\S)", ", optional "),
                plainer(
                        "some",
                        "^some ((?:\\p{L}+ )?\\p{L}+s) (?!are |were |of |can |may |must )(?=\\p{L}+ \\S)",
                        "$1 may "),
                plainer(
                        "room|space|place|places|capacity",
                        "\\b(?:has|have) (?:room|space|place|places|capacity) for ",
                        "holds "),
                plainer(
                        "if",
                        ",? and,? if (?:known|given|available|any|there is one|it has one|applicable),? (?=\\S)",
                        ", optional "),
                plainer("both", " (is|are) both (?=an? |\\p{L}+s\\.?$)", " $1 "));
    }

    static Plainer plainer(String words, String said, String plain) {
        return new Plainer(Set.of(words.split("\\|")), Pattern.compile(said, Pattern.CASE_INSENSITIVE), plain);
    }
}
