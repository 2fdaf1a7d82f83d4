package ableschema.core.words;

import ableschema.core.design.Cardinality;
import ableschema.core.words.Phrasing.ReadAs;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** Phrasings of what is known of each: lists with articles and "and", headings with a list, types by the words of the trade. */
final class AttributePhrasings {

    private static final int CASE = Pattern.CASE_INSENSITIVE;
    private static final Pattern RECORDED = Pattern.compile(
            "(?:for|of|about) (?:each|every|an?|all|any) (.+?),? (?:(?:we|you|they) (?:also )?|please )?(?:record|store|keep|note|know|need|register|save|log|capture|document)s? (.+)",
            CASE);
    private static final Pattern HEADED = Pattern.compile("(\\p{L}[\\p{L} -]*?) ?: ?(\\p{L}.*)");
    private static final Pattern BRACKETED = Pattern.compile("(\\p{L}[\\p{L} -]*?) ?\\((\\p{L}.*)\\)\\.?");

    /** Not a heading with what is known of it, but what a thing may be: "a material (wood, glass or metal)". */
    private static final Pattern VALUES = Pattern.compile("(?:an?|the) .* \\([^)]* or [^,)]+\\)?\\.?");

    /** The end of a list: "a kind (car, lorry, bus)". */
    private static final Pattern ITEM = Pattern.compile("(?:an? |its |their |the )\\p{Ll}.*\\(.*");

    private static final Pattern HAS = Pattern.compile(
            "(.+?) (?:also )?(has|have|must have|should have|(?:is|are) (?:described|recorded|noted|registered|stored|listed) (?:by|with))(:?) (.+)",
            CASE);

    /** "A number of 12 digits" is one, and no number of digits. */
    private static final Pattern SIGNED = Pattern.compile(
            "(?:a |one )?(?:number of|\\w+-)(?: ?(?:up to |at most )?\\w+)? ?(?:digits?|characters?|letters?|signs?)\\b",
            CASE);

    /** What a subject does not hold. */
    private static final Pattern TOLD = Pattern.compile(",|\\b(?:but|not|if|when|them|which|who|that|whose)\\b", CASE);

    private static final Pattern OTHER_SENTENCE = Pattern.compile("(?:each|every) \\p{L}.* .*", CASE);

    private static final Pattern NEXT = Pattern.compile("; (?:each|every|an?|the|all|no|some) ", CASE);

    private static final Pattern MODAL = Pattern.compile("(.+) (?:may|can|might|could)", CASE);

    /** Looked for where nothing "has" anything, as these are nouns too: each store, each record. */
    private static final Pattern STORES =
            Pattern.compile("(.+?) (?:also )?(store|stores|record|records|keeps)(:?) (.+)", CASE);

    /** A number of something, or the rest of a list of numbers: no name of an attribute. */
    private static final Pattern NUMBERED = Pattern.compile(
            "^\\[?(?:can't|cannot|can|may|must|should|will|is|are|or|either|been|to (?!date|day|time|year|month|place|city|station|page)|not|never|always|until|if|when|while|before|after|during|for|with|without|unless|because|since|per) |(?<![\\p{L}\\d])\\d+ \\p{L}"
                    + "| unique ",
            CASE);

    private static final Pattern SENTENCE = Pattern.compile(
            " (?:has|have|is|are|contains?|consists?|belongs?|includes?|that|which|who|whose|can|may|must|each|every|if|when|once|unless|while|because) ",
            CASE);

    /** "An address consists of street, house number and town". */
    private static final Pattern CONSISTS = Pattern.compile(
            "(?:an? |each |every |the )?(?!.* has )(\\p{L}[\\p{L} -]*?) (?:consists? of|is composed of|are composed of|is made up of|are made up of|comprises?|states?|lists?|specif(?:y|ies)|contains?|includes?|shows?|gives?|says?|notes?) (.+)",
            CASE);

    private static final Pattern NUMBER_OF =
            Pattern.compile("(?:the|a) (?:total )?number of \\p{L}+(?: \\p{L}+)?", CASE);

    /** "A number of beds between 1 and 6" is a number, as it has bounds. */
    private static final Pattern NUMBER_WITHIN = Pattern.compile(
            NUMBER_OF.pattern() + ",? (?:of )?(?:between|from|at most|at least|no more than|up to) -?\\d.*", CASE);

    /** "States a quantity". */
    private static final Pattern VALUED = Pattern.compile(
            "(?:an?|the|its) (?:\\p{L}+ )?(?:quantity|amount|price|date|time|number|name|title|code|value|percentage|weight|reason|status|duration|count)",
            CASE);

    private static final Pattern NOTED = Pattern.compile(
            "(?:the |an? )?(\\p{L}+(?: \\p{L}+)?) (?:is|are) (?:noted|recorded|stored|kept|registered|written down) (?:(?:at|for|with|on|of) (?:each|every)|per) (\\p{L}+(?: \\p{L}+)?)\\.?",
            CASE);

    /** What has types, and may be spoken of by its values: "waste types: paper, glass". */
    private static final Pattern SORTED = Pattern.compile(
            "(?:.* )?(?:types|kinds|sorts|categories|classes|statuses|states|colours|colors|sizes|levels|grades)",
            CASE);

    /** Nothing is called so that is known of a thing: "sex: male, female, unknown". */
    private static final Pattern VALUE = Pattern.compile(
            "yes|no|true|false|male|female|unknown|none|other|others|low|medium|high|small|large|never|always|open|closed|pending|cancelled|canceled|red|green|blue|yellow|black|white",
            CASE);

    private static final Pattern FEATURE = Pattern.compile(
            "(?:.*[ :(\\[].*|name|date|time|length|width|height|weight|size|email|phone|address|quantity|amount|status|type|code|title|label|description|remark|note|number|no|id|rank|order|price|rate|value|abbreviation|meaning)",
            CASE);

    private final SaidNouns said;

    AttributePhrasings(SaidNouns said) {
        this.said = said;
    }

    Optional<Phrasing> of(String sentence) {
        Optional<Cut> recorded = Cut.of(RECORDED, sentence);
        if (recorded.isPresent()) {
            return attributes(recorded.get().group(1), recorded.get().group(2));
        }
        Optional<Phrasing> untold = Cut.of(HEADED, sentence).flatMap(this::ofWhat);
        if (untold.isPresent()) {
            return untold;
        }
        for (Pattern headed : List.of(HEADED, BRACKETED)) {
            Optional<Cut> found = Cut.of(headed, sentence)
                    .filter(cut -> cut.group(1).split(" ").length <= 3
                            && !isVerbal(cut.group(1))
                            && !beginsWithSeveral(cut.group(1), cut.group(2))
                            && !SaidItem.areOfOne(SaidNouns.members(cut.group(2)))
                            && !VALUES.matcher(cut.group(1) + " (" + cut.group(2))
                                    .matches()
                            && !ITEM.matcher(sentence).matches()
                            && (Character.isUpperCase(cut.group(1).charAt(0))
                                    || SaidNouns.members(cut.group(2)).size() > 1));
            if (found.isPresent()) {
                String heading = found.get().group(1);
                String list = found.get().group(2);
                return isValues(heading, list)
                        ? Optional.of(new Phrasing.Refused("are these its values? Say of what it is told: Each … has "
                                + Nouns.inSentence(said.one(heading)) + " (one of " + SaidNouns.withoutStops(list)
                                + ")"))
                        : listed(heading, list);
            }
        }
        Optional<Phrasing> parts = Cut.of(CONSISTS, sentence).flatMap(this::consists);
        if (parts.isPresent()) {
            return parts;
        }
        Optional<Phrasing> noted = Cut.of(NOTED, sentence).flatMap(this::noted);
        if (noted.isPresent()) {
            return noted;
        }
        return Cut.of(HAS, sentence)
                .or(() -> Cut.of(STORES, sentence)
                        .filter(cut -> !SaidNouns.bare(cut.group(1) + " x").equals("x")))
                .flatMap(this::has);
    }

    /** "Price per day: decimal, at least 0" tells of an attribute, and not of what. */
    private Optional<Phrasing> ofWhat(Cut headed) {
        List<String> members = SaidNouns.members(headed.group(2));
        return SaidItem.areOfOne(members) && !isVerbal(headed.group(1)) && !said.isEntity(headed.group(1))
                ? Optional.of(new Phrasing.Refused("of what is this told? Say: Each … has "
                        + Nouns.inSentence(SaidNouns.bare(headed.group(1))) + ": "
                        + String.join(", ", members).replaceFirst("\\.$", "")))
                : Optional.empty();
    }

    /** "Articles: sheet, towel, uniform" may be what each has, or what there is of them. */
    private Optional<Phrasing> listed(String heading, String list) {
        Optional<Phrasing> known = attributes(heading, list);
        List<String> members = SaidNouns.members(list);
        boolean open = said.isPlural(heading)
                && members.size() > 1
                && members.stream().noneMatch(each -> FEATURE.matcher(each).matches())
                && members.stream().allMatch(each -> each.matches("\\p{L}+(?: \\p{L}+)?\\.?"));
        return open
                        && known.isPresent()
                        && known.get() instanceof ReadAs read
                        && read.sentences().size() == 1
                ? Optional.of(new Phrasing.Either(List.of(
                        read,
                        ReadAs.of("Each " + said.one(heading) + " has kind: text 20 (one of "
                                + String.join(", ", members) + ")."))))
                : known;
    }

    private static boolean isValues(String heading, String list) {
        return SaidNouns.members(list).stream()
                        .anyMatch(each -> VALUE.matcher(each).matches())
                || SORTED.matcher(heading).matches()
                        && SaidNouns.members(list).stream()
                                .noneMatch(each -> FEATURE.matcher(each).matches());
    }

    /** "The mileage is noted at every repair" is known of each; several are things of their own. */
    private Optional<Phrasing> noted(Cut found) {
        String noun = found.group(2);
        if (!said.isEntity(noun) || SaidNouns.members(found.group(1)).size() > 1) {
            return Optional.empty();
        }
        return said.isPlural(found.group(1)) || said.isEntity(found.group(1))
                ? Optional.of(
                        ReadAs.of("Each " + said.one(noun) + " has any number of " + said.many(found.group(1)) + "."))
                : attributes(noun, found.group(1));
    }

    /** Several things of which none is an entity, or many, are what is known of it. */
    private Optional<Phrasing> consists(Cut found) {
        List<String> members = SaidNouns.members(found.group(2));
        boolean number =
                members.size() == 1 && NUMBER_OF.matcher(members.get(0)).matches();
        boolean plain = number
                || members.size() == 1 && VALUED.matcher(members.get(0)).matches() && !said.isEntity(members.get(0))
                || members.size() > 1
                        && !members.stream().allMatch(said::isEntity)
                        && members.stream()
                                .noneMatch(each -> said.isPlural(each.replaceFirst(
                                                " (?:in \\p{L}+|\\p{L}+ed|sold|bought|made|done|taken|given)$", ""))
                                        || said.endsIn(each).isPresent()
                                        || Counts.begin(Quoted.masked(each)) && !SaidNouns.hasArticle(each));
        return plain ? attributes(found.group(1), found.group(2)) : Optional.empty();
    }

    /** "Members rent equipment" is no heading of tanks and suits. */
    private boolean beginsWithSeveral(String heading, String list) {
        int space = heading.indexOf(' ');
        String first = space < 0 ? "" : heading.substring(0, space);
        return said.isPlural(first)
                && !said.isEntity(heading)
                && (said.isEntity(first) || areThings(SaidNouns.members(list)));
    }

    private static boolean isVerbal(String words) {
        return words.toLowerCase(Locale.ROOT).matches(".*\\b(?:is|are|has|have|of|each|every)\\b.*");
    }

    private Optional<Phrasing> has(Cut has) {
        String list = has.group(4);
        if (OF_A_KIND.matcher(list).matches()) {
            return Optional.empty(); // "has a mentor, who is a teacher" leads to one of another kind
        }
        String masked = Quoted.masked(list);
        List<String> members = SaidNouns.members(list);
        boolean numbers =
                members.size() > 1 && NUMBER_OF.matcher(members.get(0)).matches();
        boolean counted = Counts.begin(masked)
                && !numbers
                && !SIGNED.matcher(masked).lookingAt()
                && !LISTED.matcher(masked).matches();
        boolean heading = !has.group(3).isEmpty();
        if (members.stream().anyMatch(OTHER_SENTENCE.asMatchPredicate())) {
            return Optional.empty(); // "a choir has singers, and each singer sings in …"
        }
        boolean storing =
                !has.group(2).toLowerCase(Locale.ROOT).matches("has|have|must have|should have|(?:is|are) .*");
        if (TOLD.matcher(Quoted.masked(has.group(1))).find() || masked.startsWith("to ")) {
            return Optional.empty(); // "not all of them have to be": no attribute is spoken of
        }
        if (members.size() == 1 && NUMBER_WITHIN.matcher(members.get(0)).matches()) {
            return attributes(has.group(1), list);
        }
        if (members.size() == 1 && NUMBER_OF.matcher(members.get(0)).matches() && !heading) {
            return numberOf(has.group(1), members.get(0));
        }
        if (counted && !heading
                || Quoted.masked(has.group(1)).contains(";")
                || NEXT.matcher(masked).find()
                || members.isEmpty()) {
            return Optional.empty();
        }
        if (members.size() > 1 && !heading && !EACH.matcher(has.group(1)).lookingAt() && areThings(members)) {
            return things(said.one(has.group(1)), members);
        }
        String only = members.get(0);
        boolean articles = members.stream().anyMatch(SaidNouns::hasArticle);
        if (members.size() == 1 && !heading && !storing) {
            boolean related = said.isEntity(only) || !SaidNouns.hasArticle(only) && said.isPlural(only);
            boolean item = only.contains(":") || only.contains("(") || only.contains("[") || only.contains("\"");
            if (related && !item) {
                return Optional.empty(); // a relationship to another entity
            }
        }
        if (storing && !articles && members.size() == 1) {
            return Optional.empty();
        }
        Optional<Cut> listed = Cut.of(LISTED, list);
        if (listed.isPresent() && !heading) {
            return values(has.group(1), listed.get());
        }
        Matcher modal = MODAL.matcher(has.group(1));
        return modal.matches() ? attributes(modal.group(1), list, true) : attributes(has.group(1), list);
    }

    /** "Rooms have chairs and tables": several each, of what is not known by its nature. */
    private boolean areThings(List<String> members) {
        return members.stream()
                .allMatch(each -> !SaidNouns.hasArticle(each)
                        && each.matches("\\p{L}+(?: \\p{L}+)?\\.?")
                        && said.isPlural(each)
                        && !FEATURE.matcher(said.one(each).replaceFirst(".* ", ""))
                                .matches());
    }

    private Optional<Phrasing> things(String owner, List<String> members) {
        var related = new ReadAs(members.stream()
                .map(each -> "Each " + owner + " has any number of " + said.many(each) + ".")
                .toList());
        return members.stream().anyMatch(said::isEntity)
                ? Optional.of(related)
                : Optional.of(new Phrasing.Either(List.of(related, said(owner, members, Stream.empty()))));
    }

    /** "Has a number of pieces": how many there are, or a number that is known of it. */
    private Optional<Phrasing> numberOf(String noun, String number) {
        String counted = number.replaceFirst("(?i).*number of ", "");
        String one = said.one(noun);
        ReadAs many = ReadAs.of("Each " + one + " has any number of " + said.many(counted) + ".");
        ReadAs known = ReadAs.of("Each " + one + " has " + SaidNouns.bare(number) + ".");
        boolean kept = number.regionMatches(true, 0, "the ", 0, 4); // "the number of seeds is noted"
        return said.isEntity(counted) && !kept
                ? Optional.of(many)
                : Optional.of(new Phrasing.Either(List.of(known, many)));
    }

    /** What begins so lists attributes, as the grammar does, unless they have articles. */
    private static final Pattern EACH = Pattern.compile("each ", CASE);

    /** "Bookings have a status: booked, boarded or cancelled." */
    private static final Pattern LISTED = Pattern.compile(
            "(?:an? |the |its |their |(?:exactly )?one (?:of )?)?(\\p{L}[\\p{L} ]*?)(?: ?:|,? (?:which|that) (?:is|can be|may be)(?: one of| either)?:?) ?([^:()]+?,? or [^:()]+)",
            CASE);

    private Optional<Phrasing> values(String noun, Cut listed) {
        List<String> values = SaidNouns.members(listed.group(2).replaceAll("(?i),? or ", ", "));
        return Optional.of(ReadAs.of("Each " + said.one(noun) + " has " + Nouns.listed(listed.group(1)) + " (one of "
                + values.stream()
                        .map(value -> Quoted.is(value) ? value : Nouns.listed(value))
                        .collect(Collectors.joining(", "))
                + ")."));
    }

    private Optional<Phrasing> attributes(String noun, String list) {
        return attributes(noun, list, false);
    }

    /** @param optional whether each may have them and need not */
    private Optional<Phrasing> attributes(String noun, String list, boolean optional) {
        String owner = isPairing(noun) ? noun.strip().replaceFirst("(?i)^(?:each|every) ", "") : said.one(noun);
        var items = new ArrayList<String>();
        var sentences = new ArrayList<String>();
        var roles = new ArrayList<String>();
        var asAttributes = new ArrayList<String>();
        boolean articles = SaidNouns.members(list).stream().anyMatch(SaidNouns::hasArticle);
        for (String member : withBounds(SaidNouns.members(list))) {
            boolean listed = EACH.matcher(noun).lookingAt() && !SaidNouns.hasArticle(member);
            Optional<String> related =
                    referring(owner, member).or(() -> listed ? Optional.empty() : related(owner, member, optional));
            if (related.isEmpty() && !listed && isRole(owner, member)) {
                roles.add(role(owner, member, optional));
                asAttributes.add(SaidItem.item(optional ? "optional " + member : member));
                continue;
            }
            if (related.isEmpty() && articles && isSeveral(member)) {
                roles.add("Each " + owner + " has any number of " + said.many(member) + ".");
                asAttributes.add(SaidItem.item(optional ? "optional " + member : member));
                continue;
            }
            related = related.or(() -> counted(owner, member));
            if (related.isPresent()) {
                sentences.add(related.get());
                continue;
            }
            String item = asKnown(owner, SaidItem.item(optional ? "optional " + member : member));
            String name = Quoted.masked(item).replaceFirst("[:(].*", "");
            if (NUMBERED.matcher(name).find()
                    || name.strip().matches("(?i)after|before|later|then")
                    || SENTENCE.matcher(" " + name + " ").find()) {
                return Optional.of(new Phrasing.Refused(
                        "the name of an attribute ends before this; say the rest in a sentence of its own", member));
            }
            Matcher thing = THING_IN.matcher(SaidNouns.bare(member));
            if (!listed
                    && thing.matches()
                    && said.isEntity(thing.group(1))
                    && !said.isEntity(member)
                    && !SaidUnits.isUnit(thing.group(2))) {
                return Optional.of(new Phrasing.Refused(
                        "is it one of what is known? Say: Each " + owner + " has exactly one "
                                + said.one(thing.group(1)) + " (second as " + Nouns.listed(SaidNouns.bare(member))
                                + ")",
                        member));
            }
            items.add(item);
        }
        if (!roles.isEmpty()) {
            return Optional.of(new Phrasing.Either(List.of(
                    said(owner, items, Stream.concat(sentences.stream(), roles.stream())),
                    said(
                            owner,
                            Stream.concat(items.stream(), asAttributes.stream()).toList(),
                            sentences.stream()))));
        }
        return Optional.of(said(owner, items, sentences.stream()));
    }

    /** "An editor in charge". */
    private static final Pattern THING_IN =
            Pattern.compile("(\\p{L}+(?: \\p{L}+)?) (?:in|on|at|for|from|with|of) (\\p{L}+(?: \\p{L}+)?)", CASE);

    private static final Pattern IN_UNIT = Pattern.compile("([^(:\\[]+) in (\\p{L}+)( \\(.*)");

    /** "A length between 2 and 5 metres" where a length is known of each: it is that one. */
    private String asKnown(String owner, String item) {
        Matcher measured = IN_UNIT.matcher(item);
        boolean known = measured.matches()
                && said.entity(owner)
                        .filter(entity ->
                                entity.body().attribute(measured.group(1)).isPresent())
                        .isPresent();
        return known ? measured.group(1) + measured.group(3) : item;
    }

    private static ReadAs said(String owner, List<String> items, Stream<String> others) {
        Stream<String> has = items.isEmpty()
                ? Stream.empty()
                : Stream.of("Each " + owner + " has " + String.join(", ", items) + ".");
        return new ReadAs(Stream.concat(has, others).toList());
    }

    private static final Pattern REFERRING =
            Pattern.compile("(\\p{L}[\\p{L} _-]*?)[ _-]?(?:id|no|number|code)? ?\\(?(?:FK|foreign key)\\)?", CASE);

    /** "Book_id FK" is what a rule is made of, and no attribute beside it. */
    private Optional<String> referring(String owner, String member) {
        Matcher column = REFERRING.matcher(member);
        return column.matches()
                ? Optional.of("Each " + owner + " has exactly one "
                        + said.one(column.group(1).replace('_', ' ').strip()) + ".")
                : Optional.empty();
    }

    /** "Ingredients" beside "a title", where they might have articles and have none. */
    private boolean isSeveral(String member) {
        return member.matches("\\p{L}+(?: \\p{L}+)?")
                && said.isPlural(member)
                && !PARTS.matcher(member).matches()
                && !FEATURE.matcher(said.one(member).replaceFirst(".* ", "")).matches();
    }

    private static final Pattern PARTS = Pattern.compile(
            "(?:\\p{L}+ )?(?:coordinates|directions|details|dimensions|remarks|notes|comments|hours|initials|results|particulars|preferences|contents|specifications|instructions|measurements|wishes|needs|kilometres|metres|miles|seconds|minutes|points|terms|conditions|credits|news|costs)",
            CASE);

    /** "A home team" where teams are known of, and what "a parent genre" is to a genre. */
    private boolean isRole(String owner, String member) {
        String noun = SaidNouns.bare(member);
        return noun.matches("\\p{L}+ \\p{L}+(?: \\p{L}+)?")
                && !member.toLowerCase(Locale.ROOT).startsWith("one ")
                && !said.isPlural(noun)
                && !said.isEntity(noun)
                && (said.headNoun(noun).isPresent() || noun.endsWith(" " + owner) && !noun.contains(" of "));
    }

    private String role(String owner, String member, boolean optional) {
        return "Each " + owner + (optional ? " has at most one " : " has exactly one ")
                + said.headNoun(member).orElse(owner)
                + " (second as " + Nouns.listed(Nouns.inSentence(SaidNouns.bare(member))) + ").";
    }

    private static final Pattern BOUND = Pattern.compile(
            "(?:at most|at least|no more than|no less than|up to|greater than|more than|less than|between|from) -?[\\d.,]+(?: (?:and|to) -?[\\d.,]+)?",
            CASE);

    private static final Pattern PRESET = Pattern.compile(
            "(?:(?:which|that) is )?(?:-?[\\d.]+|\\p{L}+) by default|default (?:-?[\\d.]+|\\p{L}+)", CASE);

    private static final Pattern MARK = Pattern.compile("unique|secret|personal|optional|required|mandatory", CASE);

    private static final Pattern OF_A_KIND = Pattern.compile(
            "an? \\p{L}+(?: \\p{L}+)?,? (?:who|which) (?:is|must be|has to be) (?:also )?an? \\p{L}+(?: \\p{L}+)?\\.?",
            CASE);

    /** "A number of seats, at least 1" is one attribute. */
    private static List<String> withBounds(List<String> members) {
        var joined = new ArrayList<String>();
        for (String member : members) {
            int last = joined.size() - 1;
            if (last >= 0
                    && (BOUND.matcher(member).matches()
                            || PRESET.matcher(member).matches()
                            || MARK.matcher(member).matches())) {
                joined.set(last, joined.get(last) + " " + member);
            } else {
                joined.add(member);
            }
        }
        return joined;
    }

    /** "Four wheels" among what a car has are so many of another thing. */
    private Optional<String> counted(String owner, String member) {
        String masked = Quoted.masked(member);
        Optional<Counts.Found> count =
                SIGNED.matcher(masked).lookingAt() || !Counts.begin(masked) ? Optional.empty() : Counts.find(masked, 0);
        boolean named = member.toLowerCase(Locale.ROOT)
                .startsWith("a number of "); // as in "a number of servings", an attribute
        return count.filter(found -> !named && found.end() < member.length()).map(found -> {
            String noun = member.substring(found.end()).strip();
            boolean one = found.cardinality().max() == 1 || found.cardinality().equals(Cardinality.AT_LEAST_ONE);
            return "Each " + owner + " has " + Quantity.said(found.cardinality()) + " "
                    + (one ? said.one(noun) : said.many(noun)) + ".";
        });
    }

    /** "A customer" among what an order has is no attribute where customers are known of: the two are related. */
    private Optional<String> related(String owner, String member, boolean optional) {
        boolean maybe = optional || member.matches("(?i)(?:optional(?:ly)?|possibly|maybe|perhaps) .*");
        String noun = SaidNouns.bare(
                maybe ? member.replaceFirst("(?i)^(?:optional(?:ly)?|possibly|maybe|perhaps) ", "") : member);
        boolean plain = noun.indexOf(':') < 0 && noun.indexOf('(') < 0 && noun.indexOf('"') < 0;
        if (!plain || !said.isEntity(noun)) {
            return Optional.empty();
        }
        boolean many = said.isPlural(noun);
        return Optional.of("Each " + owner + " has "
                + (many
                        ? "any number of " + said.many(noun)
                        : (maybe ? "at most one " : "exactly one ") + said.one(noun))
                + ".");
    }

    /** {@code pairing "apiary offers forage plant"} is said of a relationship and stands as it is. */
    private static boolean isPairing(String noun) {
        return noun.toLowerCase(Locale.ROOT).contains("pairing \"");
    }
}
