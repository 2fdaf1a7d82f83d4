package ableschema.core.words;

import java.util.List;
import java.util.Locale;
import java.util.Objects;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** One attribute of a list as it is said, with its article, its type by the words of the trade, its length and its bounds. */
final class SaidItem {

    private static final int CASE = Pattern.CASE_INSENSITIVE;

    /** The types that are written otherwise elsewhere, in the order in which they are looked for. */
    private static final List<String[]> TYPES = List.of(
            new String[] {"n?(?:var)?char(?:2|acter)? ?\\((\\d+)\\)", "text $1"},
            new String[] {"string ?\\((\\d+)\\)", "text $1"},
            new String[] {"(?:numeric|decimal|number) ?\\((\\d+) ?, ?(\\d+)\\)", "decimal $1,$2"},
            new String[] {"(?:numeric|decimal|number) ?\\((\\d+)\\)", "decimal $1,0"},
            new String[] {"(?:string|varchar|clob|(?:long|short|free|plain) text)\\b", "text"},
            new String[] {"(?:big|small|tiny)?int(?:eger)?\\b", "whole"},
            new String[] {"bool(?:ean)?\\b", "yes/no"},
            new String[] {"(?:timestamp|datetime|date ?(?:and|/|-) ?time)\\b", "moment"},
            new String[] {"(?:float|double(?: precision)?)\\b", "real"},
            new String[] {"(?:blob|binary)\\b", "bytes"});

    /** "A budget, which cannot be negative". */
    private static final Pattern NEVER_NEGATIVE = Pattern.compile(
            "(.+?),? (?:which|that) (?:cannot|can't|can not|must not|may not|must never) be negative|(.+?),? (?:which|that) (?:is|are) never negative",
            CASE);

    /** "Email unique", "code char(8) primary key", "price decimal(5,2) not null default 12.50". */
    private static final Pattern MARKED = Pattern.compile(
            "(\\p{L}[^()]*?(?:\\([^()]*\\)[^()]*?)?),?(?<! (?:is|are|be)) (unique|secret|personal|optional|nullable|null|not null|required|mandatory|(?:primary )?key|default (?:-?[\\d.]+|\\p{L}+))",
            CASE);

    /** "Length (m)", "duration (in minutes)". */
    private static final Pattern UNIT_IN_BRACKETS = Pattern.compile(
            "(\\p{L}[^():\"]*?) ?\\((?:(?:given |measured )?in )?(\\p{L}+|%)(?:[,;] ?((?:at|between|greater|less|up|default|optional|unique|\\d)\\b[^()]*))?\\)",
            CASE);

    /** "Minute (1 to 120)". */
    private static final Pattern WITHIN = Pattern.compile(
            "(\\p{L}[\\p{L}\\d ]*?) ?\\((-?\\d+(?:\\.\\d+)?) ?(?:to|-|–|\\.\\.|and) ?(-?\\d+(?:\\.\\d+)?)\\)", CASE);

    /** "A quantity, 1 by default". */
    private static final Pattern PRESET = Pattern.compile(
            "(\\p{L}[\\p{L} ]*?),? (?:(?:which|that) is )?(?:(?:at first|initially|to begin with) (-?\\d+(?:\\.\\d+)?)|(-?\\d+(?:\\.\\d+)?|\\p{L}+) by default)",
            CASE);

    /** "A credit limit which defaults to 1000". */
    private static final Pattern DEFAULTS =
            Pattern.compile("(.+?),? (?:which|that) defaults to (-?\\d+(?:\\.\\d+)?|\\p{L}+)", CASE);

    /** "A state which is either open or closed". */
    private static final Pattern STATES = Pattern.compile(
            "(\\p{L}[\\p{L} ]*?),? (?:(?:which|that) (?:is|can be|may be|must be)(?: one of| either)?|either) (\\p{L}[\\p{L}-]*) or (\\p{L}[\\p{L}-]*)",
            CASE);

    /** "A duration in hours that must not exceed 40". */
    private static final Pattern EXCEEDING = Pattern.compile(
            "(.+?),? (?:which|that) (?:must not|cannot|can't|may not|should not|does not) exceed (-?\\d+(?:\\.\\d+)?)(?: [\\p{L}%]+)?",
            CASE);

    /** "A barcode which must be unique". */
    private static final Pattern TOLD_OF = Pattern.compile(
            "(.+?),? (?:which|that) (?:must be|is|are|has to be|should be|may be|can be) (unique|secret|personal|private|confidential|optional|empty|unknown|missing|positive|(?:at least|at most|greater than|less than|more than) -?\\d+(?:\\.\\d+)?(?: [\\p{L}%]+)?)",
            CASE);

    /** "A number counting up from 100", "a number (starting at 100)". */
    private static final Pattern COUNTING = Pattern.compile(
            "(\\p{L}[\\p{L} ]*?),? \\(?(?:(?:which|that) )?(?:start(?:ing|s)|count(?:ing|s|ed)|begin(?:ning|s)|running) (?:up )?(?:at|from|with) (\\d+)\\)?",
            CASE);

    /** "A short name that no two workers share". */
    private static final Pattern SHARED_BY_NONE = Pattern.compile(
            "(.+?),? (?:which|that) (?:no (?:two|other) \\p{L}+(?: \\p{L}+)? (?:shares?|has|have)|nobody else has|no one else has)",
            CASE);

    /** "A name (required)", as all are that are not said to be optional. */
    private static final Pattern NEEDED = Pattern.compile(
            "(.+?) ?\\((?:required|mandatory|obligatory|compulsory|needed|not (?:null|optional|empty)|always (?:known|given|there)|must be (?:given|known|there|filled in))\\)",
            CASE);

    private static final String SIGNS = "(?:digits?|characters?|letters?|signs?)";

    private static final Pattern SIZED = Pattern.compile(
            "(\\p{L}[\\p{L} -]*?)(?: (?:of|with)(?: up to| at most| exactly| always)?|,?) \\(?(?:up to |at most |maximum |max\\.? |exactly |always )?(\\d{1,4}|"
                    + Counts.WORDS + ") " + SIGNS + "\\)?",
            CASE);

    /** "A code of 5 letters (key)". */
    private static final Pattern SIZED_FLAG =
            Pattern.compile("(" + SIZED.pattern() + ") \\((key|unique|secret|personal)\\)", CASE);

    private static final Pattern SIGNS_BEFORE =
            Pattern.compile("(\\d{1,4}|" + Counts.WORDS + ")-" + SIGNS + " (\\p{L}[\\p{L} ]*)", CASE);

    private static final String BOUND = "(-?\\d+(?:\\.\\d+)?)(?: ([\\p{L}%°/³²]+))?";

    private static final Pattern RANGE = Pattern.compile(
            "(\\p{L}[\\p{L}\\d -]*?)(?: of)?,? (?:from|between) " + BOUND + " (?:to|and) " + BOUND, CASE);

    private static final Pattern LIMIT = Pattern.compile(
            "(\\p{L}[\\p{L}\\d -]*?)(?: of)? (at most|at least|no more than|no less than|greater than|more than|less than|up to) "
                    + BOUND,
            CASE);

    /** "A type (city, trekking, cargo)" says its values. */
    private static final Pattern VALUES = Pattern.compile(
            "(\\p{L}[\\p{L} ]*?) ?\\((?![^()]*, [^(),]* and )(\\p{L}[\\p{L}\\d -]*(?:, ?\\p{L}[\\p{L}\\d -]*)*(?:,| or|, or) ?\\p{L}[\\p{L}\\d -]*)\\)",
            CASE);

    private static final Pattern FLAGS = Pattern.compile(
            "\\b(?:key|optional|unique|money|measured|code|link|personal|secret|pattern|default|one of|at (?:least|most)|between|greater|less)\\b",
            CASE);

    private static final Pattern FLAG =
            Pattern.compile("unique|optional|nullable|required|mandatory|(?:primary )?key|secret|personal", CASE);

    /** "Decimal, at least 0" is told of one attribute, and lists none. */
    private static final Pattern TOLD_OF_ONE = Pattern.compile(
            "(?:decimal|numeric|integer|(?:big|small)?int|varchar2?|string|bool(?:ean)?|yes/no|timestamp|datetime|float|double|whole|whole number)(?: ?\\(.*\\))?"
                    + "|(?:at (?:least|most)|(?:greater|less|more|fewer) than|up to|from|between) -?\\d.*",
            CASE);

    /** What is a type, and may be the name of an attribute. */
    private static final Pattern TYPE_OR_NAME =
            Pattern.compile("text|date|time|moment|number|money|code|link|year", CASE);

    private static final Pattern TYPE_BEHIND = Pattern.compile(
            "(\\p{L}[\\p{L}\\d _]*?) ((?:\\p{L}{3,9}2?) ?\\(\\d+(?: ?, ?\\d+)?\\)|varchar2?|clob|(?:big|small|tiny)?int|integer|bool|boolean"
                    + "|timestamp|datetime|blob)",
            CASE);

    private static final Pattern MAYBE = Pattern.compile("(?:optional(?:ly)?|possibly|maybe|perhaps) ", CASE);

    private static final Pattern OPTIONAL_BEHIND = Pattern.compile(
            "(.+?) ?\\((?:optional|if (?:known|any|given|there is one)|(?:may|can|might) be (?:empty|missing|unknown|left out|left empty)|(?:empty|open|unknown|blank|not set|not known) (?:until|before|while|if|when|unless|as long as) [^()]*|not always (?:known|given)|nullable)\\)",
            CASE);

    /** "Email (unique, optional)". */
    private static final Pattern OPTIONAL_AMONG = Pattern.compile(
            "(.+?) ?\\((?:([^()]+?)(?:, ?| and ))?(?:optional|nullable)(?:(?:, ?| and )([^()]+))?\\)", CASE);

    private static final Pattern OF_ITS = Pattern.compile(" of (?:its|their|his|her|the) ", CASE);

    private static final Pattern END_OF_NAME = Pattern.compile(" ?:| \\(");

    /** "Explicit (yes/no)". */
    private static final Pattern YES_OR_NO = Pattern.compile(
            " ?\\((?:yes ?/ ?no|y/n|yes or no|true ?/ ?false|true or false)\\)$|(?<![:,]) (?:yes ?/ ?no|y/n)$", CASE);

    /** "Done (yes/no, default no)". */
    /** "A number automatically". */
    private static final Pattern AUTOMATIC = Pattern.compile(
            "((?:\\p{L}+ )?(?:number|no|id)) (?:automatically|(?:assigned|generated|counted) automatically|automatically (?:assigned|generated|counted))",
            CASE);

    /** "Id PK", "title not null", as columns are noted. */
    private static final Pattern COLUMN_FLAG = Pattern.compile("(.+?) (?:\\(?(?:(PK|primary key)|not null)\\)?)", CASE);

    private static final Pattern YES_OR_NO_PRESET = Pattern.compile(
            "([^()]+?) ?\\((?:yes ?/ ?no|y/n|true ?/ ?false)[,;] ?default:? (yes|no|true|false)\\)", CASE);

    private SaidItem() {}

    /** Whether these are all said of one attribute, as its type, its bounds or its flags, and are none themselves. */
    static boolean areOfOne(List<String> members) {
        boolean told = members.stream().anyMatch(SaidItem::isToldOfOne);
        return told
                && members.stream()
                        .allMatch(each ->
                                isToldOfOne(each) || TYPE_OR_NAME.matcher(each).matches());
    }

    private static boolean isToldOfOne(String member) {
        return FLAG.matcher(member).matches() || TOLD_OF_ONE.matcher(member).matches();
    }

    /** One attribute that no two have the same of. */
    static String unique(String member) {
        String item = item(member);
        boolean named = END_OF_NAME.matcher(Quoted.masked(item)).find();
        return named ? flagged(item, "unique") : Nouns.listed(item) + " (unique)";
    }

    /** The item as the grammar has it: {@code [caption]: text 200}. */
    static String item(String member) {
        String name = OF_ITS.matcher(SaidNouns.bare(member)).replaceFirst(" of ");
        boolean optional = MAYBE.matcher(name).lookingAt();
        if (optional) {
            name = SaidNouns.bare(name.replaceFirst("(?i)^\\w+ ", ""));
        }
        if (name.toLowerCase(Locale.ROOT).startsWith("unique ")) {
            return unique(name.substring("unique ".length()));
        }
        Matcher never = NEVER_NEGATIVE.matcher(name);
        if (never.matches()) {
            return item(never.group(1) == null ? never.group(2) : never.group(1)) + " (at least 0)";
        }
        Matcher measured = UNIT_IN_BRACKETS.matcher(name);
        if (measured.matches() && SaidUnits.isNamedUnit(measured.group(2))) {
            name = measured.group(1) + " in " + measured.group(2).replace("%", "percent")
                    + (measured.group(3) == null ? "" : " (" + measured.group(3) + ")");
        }
        Matcher marked = MARKED.matcher(name);
        if (marked.matches() && !marked.group(1).isBlank()) {
            return marked(marked.group(1), marked.group(2).toLowerCase(Locale.ROOT));
        }
        Matcher within = WITHIN.matcher(name);
        if (within.matches()) {
            return within.group(1) + " (between " + within.group(2) + " and " + within.group(3) + ")";
        }
        Matcher asked = YES_OR_NO_PRESET.matcher(name);
        if (asked.matches()) {
            return item(asked.group(1)) + ": yes/no (default " + asked.group(2) + ")";
        }
        Matcher defaults = DEFAULTS.matcher(name);
        if (defaults.matches()) {
            return flagged(item(defaults.group(1)), "default " + defaults.group(2));
        }
        Matcher preset = PRESET.matcher(name);
        if (preset.matches()) {
            String value = preset.group(2) == null ? preset.group(3) : preset.group(2);
            return preset.group(1) + " (default " + value + ")";
        }
        Matcher states = STATES.matcher(name);
        if (states.matches()) {
            return states.group(1) + " (one of " + states.group(2) + ", " + states.group(3) + ")";
        }
        Matcher exceeding = EXCEEDING.matcher(name);
        if (exceeding.matches()) {
            return item(exceeding.group(1) + " at most " + exceeding.group(2));
        }
        Matcher told = TOLD_OF.matcher(name);
        if (told.matches() && told.group(2).equalsIgnoreCase("unique")) {
            return item(told.group(1)) + " (unique)";
        }
        if (told.matches() && told.group(2).matches("(?i)secret|confidential|personal|private")) {
            return flagged(item(told.group(1)), told.group(2).matches("(?i)personal|private") ? "personal" : "secret");
        }
        if (told.matches() && told.group(2).equalsIgnoreCase("positive")) {
            return item(told.group(1)) + " (greater than 0)";
        }
        if (told.matches() && told.group(2).matches("(?i)(?:at|greater|less|more) .*")) {
            return item(told.group(1) + " " + told.group(2));
        }
        if (told.matches()) {
            optional = true;
            name = told.group(1);
        }
        Matcher automatic = AUTOMATIC.matcher(name);
        if (automatic.matches()) {
            return automatic.group(1) + ": counted";
        }
        Matcher column = COLUMN_FLAG.matcher(name);
        if (column.matches()) {
            return column.group(2) == null ? item(column.group(1)) : flagged(item(column.group(1)), "key");
        }
        Matcher counting = COUNTING.matcher(name);
        if (counting.matches()) {
            return counting.group(1) + ": counted " + counting.group(2);
        }
        Matcher shared = SHARED_BY_NONE.matcher(name);
        if (shared.matches()) {
            return unique(shared.group(1));
        }
        Matcher flag = SIZED_FLAG.matcher(name);
        if (flag.matches()) {
            return flagged(item(flag.group(1)), flag.group(flag.groupCount()).toLowerCase(Locale.ROOT));
        }
        Matcher needed = NEEDED.matcher(name);
        if (needed.matches()) {
            return item(needed.group(1));
        }
        Matcher bracket = OPTIONAL_BEHIND.matcher(name);
        if (bracket.matches()) {
            optional = true;
            name = bracket.group(1);
        }
        Matcher among = OPTIONAL_AMONG.matcher(name);
        if (among.matches()) {
            optional = true;
            name = among.group(1) + " ("
                    + Stream.of(among.group(2), among.group(3))
                            .filter(Objects::nonNull)
                            .collect(Collectors.joining(", "))
                    + ")";
        }
        Matcher values = VALUES.matcher(name);
        if (values.matches() && !FLAGS.matcher(values.group(2)).find()) {
            name = values.group(1) + " (one of " + values.group(2).replaceAll("(?i),? or ", ", ") + ")";
        }
        name = bounded(typed(sized(name)));
        if (!optional || name.startsWith("[")) {
            return name;
        }
        Matcher end = END_OF_NAME.matcher(Quoted.masked(name));
        int at = end.find() ? end.start() : name.length();
        return "[" + name.substring(0, at) + "]" + name.substring(at);
    }

    private static String marked(String item, String mark) {
        return switch (mark) {
            case "not null", "required", "mandatory" -> item(item);
            case "optional", "nullable", "null" -> item("optional " + item);
            default -> flagged(item(item), mark.replace("primary ", ""));
        };
    }

    /** With one more word between the brackets. */
    private static String flagged(String item, String flag) {
        return item.endsWith(")") && !item.matches(".*: [a-z ]*\\(.*\\)")
                ? item.substring(0, item.length() - 1) + "; " + flag + ")"
                : item + " (" + flag + ")";
    }

    /** Where a number of signs is told of a known attribute. */
    static Optional<Integer> signs(String words) {
        Matcher signs = Pattern.compile("(\\d{1,4}|" + Counts.WORDS + ") " + SIGNS + "(?: long)?", CASE)
                .matcher(words);
        return signs.matches() ? Optional.of(Counts.number(signs.group(1))) : Optional.empty();
    }

    /** "A number of 12 digits" and "three-letter code" are texts of this length, as such numbers may begin with 0. */
    private static String sized(String item) {
        Matcher behind = SIZED.matcher(item);
        if (behind.matches()) {
            return behind.group(1) + ": text " + Counts.number(behind.group(2));
        }
        Matcher before = SIGNS_BEFORE.matcher(item);
        return before.matches() ? before.group(2) + ": text " + Counts.number(before.group(1)) : item;
    }

    /** "A severity from 1 to 5" is held to that. */
    private static String bounded(String item) {
        Matcher range = RANGE.matcher(item);
        if (range.matches()) {
            return inUnit(range.group(1), range.group(5)) + " (between " + range.group(2) + " and " + range.group(4)
                    + ")";
        }
        Matcher limit = LIMIT.matcher(item);
        if (!limit.matches()) {
            return item;
        }
        String sign =
                switch (limit.group(2).toLowerCase(Locale.ROOT)) {
                    case "no more than", "up to" -> "at most";
                    case "no less than" -> "at least";
                    case "more than" -> "greater than";
                    default -> limit.group(2).toLowerCase(Locale.ROOT);
                };
        return inUnit(limit.group(1), limit.group(4)) + " (" + sign + " " + limit.group(3) + ")";
    }

    private static String inUnit(String name, String unit) {
        return unit == null ? name : SaidUnits.inUnit(name, unit);
    }

    /** "Code char(4)" says its type without a colon; a connection string is a name. */
    private static String withColon(String item) {
        Matcher type = TYPE_BEHIND.matcher(item);
        return type.matches() ? type.group(1) + ": " + type.group(2) : item;
    }

    /** "Founded (year)". */
    private static final Pattern TYPE_IN_BRACKETS = Pattern.compile(
            "(\\p{L}[^()]*?) ?\\(((?:(?:long|short|free|plain) )?text|date|time|year|moment|timestamp|datetime|whole(?: number)?|integer|int|boolean|bool|string|uuid|json)\\)",
            CASE);

    private static String typed(String said) {
        Matcher typed = TYPE_IN_BRACKETS.matcher(said);
        if (typed.matches()) {
            return typed(typed.group(1) + ": " + typed.group(2).replaceFirst("(?i) number$|^\\p{L}+ (?=text$)", ""));
        }
        String item = withColon(YES_OR_NO.matcher(said).replaceFirst(": yes/no"));
        Matcher type = Pattern.compile("^([^:\"]+?\\]?) ?: ?(.+)$").matcher(item);
        if (!type.matches()) {
            return item;
        }
        String words = type.group(2);
        for (String[] each : TYPES) {
            Matcher known = Pattern.compile("^" + each[0], CASE).matcher(words);
            if (known.find()) {
                return type.group(1) + ": " + known.replaceFirst(each[1]);
            }
        }
        return item;
    }
}
