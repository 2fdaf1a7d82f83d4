package ableschema.core.words;

import ableschema.core.design.Attribute;
import ableschema.core.design.Design;
import ableschema.core.design.Entity;
import ableschema.core.design.Relationship;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;

/** Nouns as they are said: with articles, in the plural, in lists. */
final class SaidNouns {

    private static final Pattern ARTICLE = Pattern.compile(
            "(?:(?:its|their) own |an? |the |each |every |all |any |its |their |his |her |our |my |your |this |one )+(?=\\S)",
            Pattern.CASE_INSENSITIVE);
    private static final Pattern BETWEEN = Pattern.compile(
            "\\s*,\\s*(?:and |or |as well as )?|(?!(?<=: ?date) and time\\b)\\s+(?:and|as well as|together with|plus)\\s+",
            Pattern.CASE_INSENSITIVE);

    private static final Pattern DIGITS = Pattern.compile(": ?decimal \\d+ ?(,) ?\\d", Pattern.CASE_INSENSITIVE);

    /** One or two words before a noun, none of which joins it to another. */
    private static final Pattern ADJECTIVAL = Pattern.compile(
            "(?!.*\\b(?:of|in|on|at|by|for|to|from|per|with|and|or)\\b)\\p{L}[\\p{L}-]*(?: \\p{L}[\\p{L}-]*){1,3}",
            Pattern.CASE_INSENSITIVE);

    /** "Between 1 and 6" is no list. */
    private static final Pattern BOUNDS =
            Pattern.compile("\\bbetween -?[\\d.,]+(?: \\p{L}+)?( and )-?\\d", Pattern.CASE_INSENSITIVE);

    private final Design design;
    private final Nouns nouns;
    private final Set<String> expected;

    /** @param expected entities that are not there yet and that another sentence speaks of, in small letters */
    SaidNouns(Design design, Set<String> expected) {
        this.design = design;
        this.expected = expected;
        this.nouns = Nouns.of(design);
    }

    Nouns nouns() {
        return nouns;
    }

    /** Without the words that only point at it: "the draught" is draught. */
    static String bare(String phrase) {
        String stripped = withoutStops(phrase.strip()).strip();
        var article = ARTICLE.matcher(stripped);
        return article.lookingAt() ? stripped.substring(article.end()).strip() : stripped;
    }

    /** Without the full stops that it ends with. */
    static String withoutStops(String phrase) {
        int end = phrase.length();
        while (end > 0 && phrase.charAt(end - 1) == '.') {
            end--;
        }
        return phrase.substring(0, end);
    }

    static boolean hasArticle(String phrase) {
        return phrase.strip().toLowerCase(Locale.ROOT).matches("(?:an?|the|its|their|one) .*");
    }

    /** One of the entity that a phrase speaks of, be it said in the singular or the plural. */
    String one(String phrase) {
        String noun = bare(phrase);
        return nouns.entity(noun).map(nouns::one).orElseGet(() -> {
            String small = Nouns.inSentence(noun);
            return isPlural(noun) ? nouns.singulars(small).get(0) : small;
        });
    }

    /** Several of the entity that a phrase speaks of. */
    String many(String phrase) {
        String noun = bare(phrase);
        return nouns.entity(noun)
                .map(nouns::many)
                .orElseGet(() -> isPlural(noun)
                        ? Nouns.inSentence(noun)
                        : design.plural().of(Nouns.inSentence(noun)));
    }

    /** The known entity that a noun nearly names; empty where it names one, or is like none. */
    Optional<String> nearlyNamed(String phrase) {
        String noun = bare(phrase).toLowerCase(Locale.ROOT);
        if (noun.length() < 4 || noun.indexOf('"') >= 0 || nouns.entity(noun).isPresent()) {
            return Optional.empty();
        }
        return design.entities().stream()
                .map(Entity::name)
                .filter(name -> Math.abs(name.length() - noun.length()) <= 2
                        && isSlip(name.toLowerCase(Locale.ROOT), noun)
                        && !design.plural().of(name).equalsIgnoreCase(noun)
                        && !isOfTheSameStem(name.toLowerCase(Locale.ROOT), noun))
                .findFirst();
    }

    /** Of short words many are alike, and only two letters in the wrong order are a slip. */
    private static boolean isSlip(String name, String typed) {
        int most = typed.length() < 5 ? 0 : typed.length() < 6 ? 1 : 2;
        return Spelling.distance(name, typed) <= most || isTurned(name, typed);
    }

    private static boolean isTurned(String name, String typed) {
        int at = 0;
        while (at < Math.min(name.length(), typed.length()) && name.charAt(at) == typed.charAt(at)) {
            at++;
        }
        return name.length() == typed.length()
                && at + 1 < name.length()
                && name.charAt(at) == typed.charAt(at + 1)
                && name.charAt(at + 1) == typed.charAt(at)
                && name.substring(at + 2).equals(typed.substring(at + 2));
    }

    private static final Pattern ENDING =
            Pattern.compile("|e?r|ors?|ers?|e?ry|ed|al|ly|ions?|ing|ments?|ees?|ists?|ances?|ations?|ives?");

    /** An inspection is no inspector, and a winery no wine: both are words. */
    private static boolean isOfTheSameStem(String one, String other) {
        int same = 0;
        while (same < Math.min(one.length(), other.length()) && one.charAt(same) == other.charAt(same)) {
            same++;
        }
        return same >= 4
                && ENDING.matcher(one.substring(same)).matches()
                && ENDING.matcher(other.substring(same)).matches();
    }

    /** Whether a noun that is no entity yet looks like a plural. */
    boolean isPlural(String phrase) {
        String noun = bare(phrase);
        Optional<Entity> known = nouns.entity(noun);
        if (known.isPresent()) {
            return !known.get().name().equalsIgnoreCase(noun);
        }
        return nouns.singulars(noun).size() > 1;
    }

    /** Whether several are called as one is: equipment, staff. */
    boolean isUncounted(String phrase) {
        String noun = bare(phrase);
        return !noun.isEmpty()
                && nouns.entity(noun).isEmpty()
                && design.plural().of(noun).equals(noun);
    }

    private static final Pattern PIECE = Pattern.compile("(?:piece|item|unit)s? of ", Pattern.CASE_INSENSITIVE);

    private static final Pattern PIECES = Pattern.compile(
            "(?<=\\b(?:each|every|an?|the|one|all|many|several|some|number of|\\d) )(?:piece|item|unit)s? of (\\p{L}+)\\b",
            Pattern.CASE_INSENSITIVE);

    /** "Each piece of equipment" is each equipment, where equipment is known of and nothing is called a piece of it. */
    String withoutPieces(String sentence) {
        if (!PIECE.matcher(sentence).find()) {
            return sentence; // as nearly all are, and looking back at each place takes its time
        }
        return PIECES.matcher(sentence).replaceAll(of -> {
            boolean uncounted = nouns.entity(of.group(1))
                    .filter(known -> design.plural().of(known.name()).equals(known.name()))
                    .isPresent();
            return uncounted && entity(of.group()).isEmpty() ? of.group(1) : of.group();
        });
    }

    Optional<Entity> entity(String phrase) {
        return nouns.entity(bare(phrase));
    }

    /** Whether a noun is an entity, or becomes one by what another sentence says. */
    boolean isEntity(String phrase) {
        return entity(phrase).isPresent() || expected.contains(one(phrase).toLowerCase(Locale.ROOT));
    }

    /** The known entity that a longer noun ends in: the depot of "home depot"; empty where the noun itself is one. */
    Optional<Entity> endsIn(String phrase) {
        return isEntity(phrase) ? Optional.empty() : head(phrase);
    }

    /** The singular of the entity that a longer noun ends in, be it known or made by another sentence; empty where it is one itself. */
    Optional<String> headNoun(String phrase) {
        return endsIn(phrase)
                .map(nouns::one)
                .or(() -> isEntity(phrase) ? Optional.empty() : expectedHead(bare(phrase)));
    }

    private Optional<String> expectedHead(String noun) {
        int first = ADJECTIVAL.matcher(noun).matches() ? noun.indexOf(' ') : -1;
        for (int space = first; space > 0; space = noun.indexOf(' ', space + 1)) {
            String head = one(noun.substring(space + 1)).toLowerCase(Locale.ROOT);
            if (expected.contains(head)) {
                return Optional.of(head);
            }
        }
        return Optional.empty();
    }

    /** The known entity in which the name of something that is not known ends. */
    Optional<Entity> head(String phrase) {
        String noun = bare(phrase);
        if (!ADJECTIVAL.matcher(noun).matches() || entity(noun).isPresent()) {
            return Optional.empty();
        }
        for (int space = noun.indexOf(' '); space > 0; space = noun.indexOf(' ', space + 1)) {
            Optional<Entity> known = nouns.entity(noun.substring(space + 1));
            if (known.isPresent()) {
                return known;
            }
        }
        return Optional.empty();
    }

    /** The one known entity whose name ends in a noun that is none: the tide gauge of "gauge"; empty where several do. */
    Optional<Entity> inFull(String phrase) {
        String tail = " " + one(phrase).toLowerCase(Locale.ROOT);
        if (isEntity(phrase) || phrase.indexOf('"') >= 0) {
            return Optional.empty();
        }
        List<Entity> longer = design.entities().stream()
                .filter(each -> each.name().toLowerCase(Locale.ROOT).endsWith(tail))
                .toList();
        return longer.size() == 1 ? Optional.of(longer.get(0)) : Optional.empty();
    }

    /** The members of a list, with its commas and "and", brackets and quotes respected. */
    static List<String> members(String list) {
        String masked = masked(list);
        var members = new ArrayList<String>();
        var between = BETWEEN.matcher(masked);
        int start = 0;
        while (between.find()) {
            add(list.substring(start, between.start()), members);
            start = between.end();
        }
        add(list.substring(start).replaceFirst("\\s*\\.\\s*$", ""), members);
        return members;
    }

    private static void add(String member, List<String> members) {
        if (!member.isBlank()) {
            members.add(member.strip());
        }
    }

    /** Blots out quotes, what stands in brackets and the comma of a decimal type, so that a list is only cut between its members. */
    private static String masked(String list) {
        var masked = new StringBuilder(Quoted.masked(list));
        BOUNDS.matcher(masked.toString()).results().forEach(found -> {
            for (int i = found.start(1); i < found.end(1); i++) {
                masked.setCharAt(i, Quoted.MASK);
            }
        });
        DIGITS.matcher(masked.toString()).results().forEach(found -> masked.setCharAt(found.start(1), Quoted.MASK));
        int depth = 0;
        for (int i = 0; i < masked.length(); i++) {
            char c = masked.charAt(i);
            depth += c == '(' ? 1 : 0;
            if (depth > 0) {
                masked.setCharAt(i, Quoted.MASK);
            }
            depth -= c == ')' ? 1 : 0;
        }
        return masked.toString();
    }

    /** The one entity that has all of these attributes; empty where none has, or several have. */
    Optional<Entity> ownerOf(List<String> attributes) {
        List<Entity> owners = design.entities().stream()
                .filter(entity -> attributes.stream()
                        .allMatch(name -> entity.body().attribute(bare(name)).isPresent()))
                .toList();
        return owners.size() == 1 ? Optional.of(owners.get(0)) : Optional.empty();
    }

    /** The relationships that read from the one to the other. */
    Stream<Relationship> between(Entity first, Entity second) {
        return design.relationshipsOf(first.id())
                .filter(each -> each.first().entity().equals(first.id())
                        && each.second().entity().equals(second.id()));
    }

    /** Whether two nouns are entities of which it is known what they have to do with each other. */
    boolean areRelated(String one, String other) {
        return entity(one).stream().anyMatch(first -> entity(other).stream()
                .anyMatch(second -> Stream.concat(between(first, second), between(second, first))
                        .findAny()
                        .isPresent()));
    }

    /** What each entity has, where it has it. */
    Map<Entity, String> having(Function<Entity, Optional<String>> attribute) {
        var having = new LinkedHashMap<Entity, String>();
        design.entities().forEach(entity -> attribute.apply(entity).ifPresent(name -> having.put(entity, name)));
        return having;
    }

    /** The name of an attribute as its entity has it, so that its letters are the same. */
    static String attribute(Entity of, String phrase) {
        String name = ofItsOwn(of, bare(phrase));
        return Nouns.listed(of.body().attribute(name).map(Attribute::name).orElse(name));
    }

    /** "The wagon number" of a wagon is its number, where it has one and nothing that is called so in full. */
    static String ofItsOwn(Entity owner, String attribute) {
        String bare = bare(attribute);
        int name = owner.name().length();
        boolean prefixed = bare.regionMatches(true, 0, owner.name() + " ", 0, name + 1);
        if (owner.body().attribute(bare).isPresent()) {
            return attribute;
        }
        return prefixed && owner.body().attribute(bare.substring(name + 1)).isPresent()
                ? bare.substring(name + 1)
                : turned(bare)
                        .filter(other -> owner.body().attribute(other).isPresent())
                        .orElse(attribute);
    }

    private static final Pattern OF_DATE = Pattern.compile(
            "(date|time|day|year|place) of (\\p{L}+)|(\\p{L}+) (date|time|day|year|place)", Pattern.CASE_INSENSITIVE);

    /** "The admission date" is the date of admission, and the other way round. */
    private static Optional<String> turned(String name) {
        Matcher of = OF_DATE.matcher(name);
        return of.matches()
                ? Optional.of(
                        of.group(1) == null ? of.group(4) + " of " + of.group(3) : of.group(2) + " " + of.group(1))
                : Optional.empty();
    }
}
