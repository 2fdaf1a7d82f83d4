package ableschema.core.words;

import ableschema.core.words.Phrasing.ReadAs;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Phrasings of what is known of each: lists with articles and "and", headings with a list, types by the words of the trade. */
final class AttributePhrasings {

    private static final int CASE = Pattern.CASE_INSENSITIVE;
    private static final Pattern RECORDED = Pattern.compile(
            "(?:for|of|about) (?:each|every|an?|all|any) (.+?),? (?:we|you|they) (?:also )?(?:record|store|keep|note|know|need|register)s? (.+)",
            CASE);
    private static final Pattern HEADED = Pattern.compile("(\\p{Lu}[\\p{L} -]*?) ?: ?(\\p{L}.*)");
    private static final Pattern BRACKETED = Pattern.compile("(\\p{Lu}[\\p{L} -]*?) ?\\((\\p{L}.*)\\)\\.?");
    private static final Pattern HAS = Pattern.compile(
            "(.+?) (?:also )?(has|have|must have|should have|is described by|are described by)(:?) (.+)", CASE);

    private static final Pattern MODAL = Pattern.compile("(.+) (?:may|can|might|could)", CASE);

    /** Looked for where nothing "has" anything, as these are nouns too: each store, each record. */
    private static final Pattern STORES =
            Pattern.compile("(.+?) (?:also )?(store|stores|record|records|keeps)(:?) (.+)", CASE);

    /** The types that are written otherwise elsewhere, in the order in which they are looked for. */
    private static final List<String[]> TYPES = List.of(
            new String[] {"n?(?:var)?char(?:2|acter)? ?\\((\\d+)\\)", "text $1"},
            new String[] {"string ?\\((\\d+)\\)", "text $1"},
            new String[] {"(?:numeric|decimal|number) ?\\((\\d+) ?, ?(\\d+)\\)", "decimal $1,$2"},
            new String[] {"(?:numeric|decimal|number) ?\\((\\d+)\\)", "decimal $1,0"},
            new String[] {"(?:string|varchar|clob)\\b", "text"},
            new String[] {"(?:big|small|tiny)?int(?:eger)?\\b", "whole"},
            new String[] {"bool(?:ean)?\\b", "yes/no"},
            new String[] {"(?:timestamp|datetime)\\b", "moment"},
            new String[] {"(?:float|double(?: precision)?)\\b", "real"},
            new String[] {"(?:blob|binary)\\b", "bytes"});

    private static final Pattern SENTENCE =
            Pattern.compile(" (?:has|have|is|are|that|which|who|whose|can|may|must|each|every) ", CASE);

    private final SaidNouns said;

    AttributePhrasings(SaidNouns said) {
        this.said = said;
    }

    Optional<Phrasing> of(String sentence) {
        Optional<Cut> recorded = Cut.of(RECORDED, sentence);
        if (recorded.isPresent()) {
            return attributes(recorded.get().group(1), recorded.get().group(2));
        }
        for (Pattern headed : List.of(HEADED, BRACKETED)) {
            Optional<Cut> found = Cut.of(headed, sentence)
                    .filter(cut -> cut.group(1).split(" ").length <= 3 && !isVerbal(cut.group(1)));
            if (found.isPresent()) {
                return attributes(found.get().group(1), found.get().group(2));
            }
        }
        return Cut.of(HAS, sentence)
                .or(() -> Cut.of(STORES, sentence)
                        .filter(cut -> !SaidNouns.bare(cut.group(1) + " x").equals("x")))
                .flatMap(this::has);
    }

    private static boolean isVerbal(String words) {
        return words.toLowerCase(Locale.ROOT).matches(".*\\b(?:is|are|has|have|of|each|every)\\b.*");
    }

    private Optional<Phrasing> has(Cut has) {
        String list = has.group(4);
        String masked = Quoted.masked(list);
        boolean counted = Counts.begin(masked);
        List<String> members = SaidNouns.members(list);
        boolean heading = !has.group(3).isEmpty();
        boolean storing = !has.group(2).toLowerCase(Locale.ROOT).matches("has|have|must have|should have");
        if (counted && !heading || Quoted.masked(has.group(1)).contains(";") || members.isEmpty()) {
            return Optional.empty();
        }
        String only = members.get(0);
        boolean articles = members.stream().anyMatch(SaidNouns::hasArticle);
        if (members.size() == 1 && !heading && !storing) {
            boolean related = said.entity(only).isPresent() || !SaidNouns.hasArticle(only) && said.isPlural(only);
            boolean item = only.contains(":") || only.contains("(") || only.contains("[") || only.contains("\"");
            if (related && !item) {
                return Optional.empty(); // a relationship to another entity
            }
        }
        if (storing && !articles && members.size() == 1) {
            return Optional.empty();
        }
        Matcher modal = MODAL.matcher(has.group(1));
        return modal.matches() ? attributes(modal.group(1), list, true) : attributes(has.group(1), list);
    }

    private Optional<Phrasing> attributes(String noun, String list) {
        return attributes(noun, list, false);
    }

    /** @param optional whether each may have them and need not */
    private Optional<Phrasing> attributes(String noun, String list, boolean optional) {
        var items = new ArrayList<String>();
        for (String member : SaidNouns.members(list)) {
            String item = item(optional ? "optional " + member : member);
            if (SENTENCE.matcher(" " + Quoted.masked(item).replaceFirst("[:(].*", "") + " ")
                    .find()) {
                return Optional.of(new Phrasing.Refused(
                        "the name of an attribute ends before this; say the rest in a sentence of its own", member));
            }
            items.add(item);
        }
        String owner = isPairing(noun) ? noun.strip().replaceFirst("(?i)^(?:each|every) ", "") : said.one(noun);
        return Optional.of(ReadAs.of("Each " + owner + " has " + String.join(", ", items) + "."));
    }

    /** {@code pairing "apiary offers forage plant"} is said of a relationship and stands as it is. */
    private static boolean isPairing(String noun) {
        return noun.toLowerCase(Locale.ROOT).contains("pairing \"");
    }

    private static String item(String member) {
        String name = SaidNouns.bare(member);
        boolean optional = name.matches("(?i)(?:optional(?:ly)?|possibly|maybe|perhaps) .*");
        if (optional) {
            name = SaidNouns.bare(name.replaceFirst("(?i)^\\w+ ", ""));
        }
        Matcher bracket = Pattern.compile("(.+?) ?\\((?:optional|if known|may be empty|nullable)\\)", CASE)
                .matcher(name);
        if (bracket.matches()) {
            optional = true;
            name = bracket.group(1);
        }
        name = typed(name);
        int colon = name.indexOf(':');
        if (optional && !name.startsWith("[")) {
            return colon < 0 ? "[" + name + "]" : "[" + name.substring(0, colon) + "]" + name.substring(colon);
        }
        return name;
    }

    private static String typed(String item) {
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
