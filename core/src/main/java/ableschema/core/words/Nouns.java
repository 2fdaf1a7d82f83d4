package ableschema.core.words;

import ableschema.core.design.Design;
import ableschema.core.design.Entity;
import ableschema.core.design.Grown;
import ableschema.core.design.Id;
import ableschema.core.design.Plural;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Entities as nouns in sentences: one hive, many hives. A noun between double quotes is exactly that name. */
public final class Nouns {

    private static final Pattern OWNED = Pattern.compile("(.+?)['’]s? (.+)");
    private static final Pattern BRACKET = Pattern.compile("[()\\[\\]{}]");
    private static final Pattern STOP = Pattern.compile("[;?!]|[:,] ");
    private static final Pattern PLAIN = Pattern.compile("[\\p{L}\\p{N}_%#/'’°²³-]+(?: [\\p{L}\\p{N}_%#/'’°²³-]+)*");
    private static final Set<String> WORDS_OF_THE_GRAMMAR = Set.of("each", "has", "is", "and", "or", "share");
    private static final Set<String> BEGINNINGS = Set.of("a", "an", "the", "no", "about", "pairing");

    /** What begins so tells where, when, of which or how many. */
    private static final Pattern PIECE = Pattern.compile(
            "(?:for|in|on|at|of|by|to|from|with|under|during|after|before|when|if|per) (?:each|every|all|any|an?|the|one|no) "
                    + "|.+ (?:in|on|at|of|by|to|from|with|for|under) (?:the|its|their|an?|each|every) |or |(?:to|than|-|–) (?:\\d|(?:"
                    + Counts.WORDS + ")\\b)",
            Pattern.CASE_INSENSITIVE);

    private static final Pattern POINTING = Pattern.compile(
            "there|it|this|that|these|those|they|he|she|we|you|i|one|everything|something|nothing|everybody|somebody|nobody",
            Pattern.CASE_INSENSITIVE);

    private static final Pattern HISSING =
            Pattern.compile(".*(?:x|ch|sh|ss|[tz]z|[^ao]us|is|o|atlas|gas|canvas|alias|bias|lens)es");

    private final Design design;
    private final Plural plural;
    private final Index index;

    /** Shared with the designs made from this one, as long as the same plurals are taught. */
    private final Map<String, List<String>> singulars;

    private static final int MOST_SINGULARS = 10_000;

    /** Which entity each noun means; it holds for all designs whose entities have the same names. */
    private record Index(
            List<Entity> entities,
            Plural plural,
            Grown<String, Id> exact,
            Grown<String, Id> singular,
            Grown<String, Id> plurals,
            int mostWords) {

        static Index of(Design design) {
            Grown<String, Id> nothing = Grown.of(Map.of());
            return new Index(List.of(), design.plural(), nothing, nothing, nothing, 1).with(design.entities());
        }

        /** The index of a design whose first entities have the names of these; empty where some have others. */
        Optional<Index> after(Design design) {
            List<Entity> now = design.entities();
            boolean same = entities.size() <= now.size() && plural.equals(design.plural());
            for (int i = 0; same && entities != now && i < entities.size(); i++) {
                Entity one = entities.get(i);
                Entity other = now.get(i);
                same = one == other || one.id().equals(other.id()) && one.name().equals(other.name());
            }
            return same ? Optional.of(now.size() == entities.size() ? this : with(now)) : Optional.empty();
        }

        private Index with(List<Entity> now) {
            Map<String, Id> moreExact = new HashMap<>();
            Map<String, Id> moreSingular = new HashMap<>();
            Map<String, Id> morePlurals = new HashMap<>();
            int most = mostWords;
            for (Entity entity : now.subList(entities.size(), now.size())) {
                String name = entity.name();
                putIfNew(exact, moreExact, name, entity.id());
                putIfNew(singular, moreSingular, small(name), entity.id());
                putIfNew(plurals, morePlurals, small(plural.of(name)), entity.id());
                most = Math.max(most, name.split(" ", -1).length);
            }
            return new Index(
                    now, plural, exact.with(moreExact), singular.with(moreSingular), plurals.with(morePlurals), most);
        }

        /** Of two of the same name the first is meant. */
        private static void putIfNew(Grown<String, Id> known, Map<String, Id> more, String noun, Id id) {
            if (!known.has(noun)) {
                more.putIfAbsent(noun, id);
            }
        }
    }

    /** The nouns of a design, worked out once for it. */
    public static Nouns of(Design design) {
        return design.once(Nouns.class, Nouns::new);
    }

    private Nouns(Design design, Optional<Nouns> before) {
        this.design = design;
        this.plural = design.plural();
        this.singulars = before.filter(one -> one.plural.equals(plural))
                .map(one -> one.singulars)
                .orElseGet(ConcurrentHashMap::new);
        this.index = before.flatMap(one -> one.index.after(design)).orElseGet(() -> Index.of(design));
    }

    private static String small(String text) {
        return text.toLowerCase(Locale.ROOT);
    }

    /** The name as it stands within a sentence. */
    public static String inSentence(String name) {
        boolean capitalisedWord = name.length() > 1
                && Character.isUpperCase(name.charAt(0))
                && name.substring(1).equals(name.substring(1).toLowerCase(Locale.ROOT));
        return capitalisedWord ? name.toLowerCase(Locale.ROOT) : name;
    }

    /** The name of a new entity that a sentence speaks of: "Hive" for "hive"; what stands in quotes stays as it is. */
    public static String asName(String noun) {
        if (Quoted.is(noun)) {
            return Quoted.plain(noun);
        }
        int first = noun.offsetByCodePoints(0, 1);
        return noun.substring(0, first).toUpperCase(Locale.ROOT) + noun.substring(first);
    }

    /**
     * The name of a new entity that a line speaks of. Brackets say something of a name and are no part of it: a {@link Misunderstanding}
     * points at a noun that has some outside of quotes.
     */
    String newName(String noun, String line) {
        if (noun.isBlank()) {
            throw new Misunderstanding(0, line.length(), "the name of an entity is missing");
        }
        if (!Quoted.is(noun)) {
            Optional<String> problem = problemOf(noun);
            if (problem.isPresent()) {
                int start = Math.max(0, line.indexOf(noun));
                throw new Misunderstanding(
                        start, Math.min(line.length(), start + noun.length()), problem.get() + Quoted.of(asName(noun)));
            }
        }
        Matcher owned = OWNED.matcher(noun);
        if (!Quoted.is(noun) && owned.matches() && entity(owned.group(1)).isPresent()) {
            int start = Math.max(0, line.indexOf(noun));
            throw new Misunderstanding(
                    start,
                    Math.min(line.length(), start + noun.length()),
                    "this speaks of what each " + owned.group(1) + " has: say The " + owned.group(2) + " of each "
                            + owned.group(1) + " …, or put the name between quotes if it is one: "
                            + Quoted.of(asName(noun)));
        }
        return asName(noun);
    }

    /** Why a noun is no name, up to the name between quotes; empty where it is one. */
    private static Optional<String> problemOf(String noun) {
        if (small(noun).startsWith("of ")) {
            return Optional.of("no name begins with 'of'; if it is meant so, it stands between quotes: ");
        }
        if (isPieceOfSentence(noun) || STOP.matcher(noun).find()) {
            return Optional.of(
                    "\"" + noun
                            + "\" is a piece of a sentence; say the rest in a sentence of its own. If it is a name, it stands between quotes: ");
        }
        return BRACKET.matcher(noun).find()
                ? Optional.of(
                        "what stands between brackets is no part of a name; if it is meant so, the name stands between quotes: ")
                : Optional.empty();
    }

    /** "For every area", "trawler under one skipper", and not "two-way street" or "form 7". */
    private static boolean isPieceOfSentence(String noun) {
        return PIECE.matcher(noun).lookingAt()
                || Quantity.find(noun, 0)
                        .filter(found -> found.start() > 0
                                && Character.isLetter(noun.charAt(found.start()))
                                && !noun.startsWith("-", found.end()))
                        .isPresent();
    }

    /** Whether a name can stand in a sentence without quotes. */
    static boolean isPlain(String name) {
        List<String> words = Arrays.asList(small(name).split(" "));
        return PLAIN.matcher(name).matches()
                && !PIECE.matcher(name).lookingAt()
                && Quantity.find(name, 0).isEmpty()
                && words.stream().noneMatch(WORDS_OF_THE_GRAMMAR::contains)
                && !BEGINNINGS.contains(words.get(0));
    }

    /** The name of an attribute, a role or a value as it stands in a list. */
    static String listed(String name) {
        return isPlain(name) ? name : Quoted.of(name);
    }

    /** The entity as a noun, between quotes where it would else be taken for another or not be understood. */
    public String one(Entity entity) {
        String said = inSentence(entity.name());
        return isPlain(said)
                        && entity(said)
                                .filter(known -> known.id().equals(entity.id()))
                                .isPresent()
                ? said
                : Quoted.of(entity.name());
    }

    /** Several of an entity. */
    public String many(Entity entity) {
        String said = plural.of(inSentence(entity.name()));
        return isPlain(said)
                        && entity(said)
                                .filter(known -> known.id().equals(entity.id()))
                                .isPresent()
                ? said
                : one(entity);
    }

    /** The name as it stands where it is first said, so that an entity of exactly this name is made. */
    String declared(Entity entity) {
        String name = entity.name();
        Id alike = index.plurals().get(small(name)).orElse(entity.id());
        boolean alone =
                index.singular().get(small(name)).filter(entity.id()::equals).isPresent()
                        && entity.id().equals(alike);
        return alone && isPlain(name) && !pointsOnly(name) && asName(name).equals(name) ? name : Quoted.of(name);
    }

    /** Whether it points at something that was spoken of before; a name that is such a word stands between quotes. */
    static boolean pointsOnly(String noun) {
        return POINTING.matcher(noun).matches();
    }

    /** Whether a noun is an entity of the design. */
    public boolean knows(String noun) {
        return entity(noun).isPresent();
    }

    /** The entity that a noun means, in the singular or plural, whatever its letter case. */
    Optional<Entity> entity(String noun) {
        String token = noun.strip();
        Optional<Id> found = Quoted.is(token)
                ? index.exact().get(Quoted.plain(token))
                : index.exact()
                        .get(token)
                        .or(() -> index.singular().get(small(token)))
                        .or(() -> index.plurals().get(small(token)));
        return found.flatMap(design::entity);
    }

    /** How many characters at the start of a text name an entity; of several names the longest; 0 for none. */
    int leadingLength(String text) {
        int quoted = Quoted.end(text, 0);
        if (quoted > 0) {
            return entity(text.substring(0, quoted)).isPresent() ? quoted : 0;
        }
        int longest = 0;
        int at = 0;
        for (int words = 0; words < index.mostWords() && at < text.length(); words++) {
            int space = text.indexOf(' ', at);
            int end = space < 0 ? text.length() : space;
            if (entity(text.substring(0, end)).isPresent()) {
                longest = end;
            }
            at = end + 1;
        }
        return longest;
    }

    /** Whether a noun is this name in the singular or plural. */
    boolean means(String noun, String name) {
        return Quoted.is(noun)
                ? Quoted.plain(noun).equals(name)
                : noun.equalsIgnoreCase(name) || noun.equalsIgnoreCase(plural.of(name));
    }

    /** Plurals that are not formed by adding an ending, and their singulars; longer words end in them as well. */
    private static final Map<String, String> UNRULY = Map.ofEntries(
            Map.entry("people", "person"),
            Map.entry("children", "child"),
            Map.entry("men", "man"),
            Map.entry("mice", "mouse"),
            Map.entry("teeth", "tooth"),
            Map.entry("feet", "foot"),
            Map.entry("leaves", "leaf"),
            Map.entry("shelves", "shelf"),
            Map.entry("halves", "half"),
            Map.entry("knives", "knife"),
            Map.entry("wives", "wife"),
            Map.entry("wolves", "wolf"),
            Map.entry("calves", "calf"),
            Map.entry("thieves", "thief"),
            Map.entry("yses", "ysis"),
            Map.entry("oses", "osis"),
            Map.entry("heses", "hesis"),
            Map.entry("crises", "crisis"),
            Map.entry("criteria", "criterion"),
            Map.entry("media", "medium"),
            Map.entry("vertices", "vertex"),
            Map.entry("matrices", "matrix"),
            Map.entry("indices", "index"),
            Map.entry("geese", "goose"),
            Map.entry("oxen", "ox"),
            Map.entry("lice", "louse"),
            Map.entry("loaves", "loaf"),
            Map.entry("hooves", "hoof"),
            Map.entry("scarves", "scarf"),
            Map.entry("bacteria", "bacterium"),
            Map.entry("strata", "stratum"),
            Map.entry("phenomena", "phenomenon"),
            Map.entry("curricula", "curriculum"),
            Map.entry("nuclei", "nucleus"),
            Map.entry("stimuli", "stimulus"),
            Map.entry("alumni", "alumnus"),
            Map.entry("algae", "alga"),
            Map.entry("larvae", "larva"),
            Map.entry("nebulae", "nebula"),
            Map.entry("vertebrae", "vertebra"));

    /** "A bus" is one, and several of nothing. */
    private static final Pattern ONE_IN_S = Pattern.compile(
            "(?!.*(?:menus|gurus|emus|gnus|haikus)$).*(?:[^aeu]us|sis|axis|iris|pelvis|chassis|debris|atlas|\\bgas|canvas|alias|bias|\\blens|series|species|news)");

    /** The singulars that a plural may come from, the likeliest first; the noun itself where it is no plural. */
    public List<String> singulars(String noun) {
        if (singulars.size() > MOST_SINGULARS) {
            singulars.clear();
        }
        return singulars.computeIfAbsent(noun, each -> List.copyOf(singularsOf(each)));
    }

    private List<String> singularsOf(String noun) {
        var singulars = new ArrayList<String>();
        String lower = small(noun);
        plural.taught().forEach((one, many) -> {
            if (many.equalsIgnoreCase(noun)) {
                singulars.add(one);
            }
        });
        boolean maybePlural = !Quoted.is(noun)
                && (lower.indexOf(" of ") > 0
                        || lower.endsWith("s")
                        || UNRULY.keySet().stream().anyMatch(lower::endsWith));
        if (!maybePlural || ONE_IN_S.matcher(lower).matches()) {
            singulars.add(noun);
            return singulars;
        }
        int of = lower.indexOf(" of ");
        if (of > 0) {
            singularsOf(noun.substring(0, of)).forEach(head -> singulars.add(head + noun.substring(of)));
        }
        UNRULY.forEach((many, one) -> {
            if (lower.endsWith(many)) {
                singulars.add(noun.substring(0, noun.length() - many.length()) + one);
            }
        });
        if (lower.endsWith("ies")) {
            singulars.add(noun.substring(0, noun.length() - 3) + "y");
        }
        // "statuses" is of status, and "courses" of course
        boolean hissing = lower.endsWith("es") && HISSING.matcher(lower).matches();
        for (String ending : hissing ? List.of("es", "s") : List.of("s", "es")) {
            if (lower.endsWith(ending)) {
                singulars.add(noun.substring(0, noun.length() - ending.length()));
            }
        }
        singulars.removeIf(
                singular -> singular.isBlank() || !plural.of(singular).equalsIgnoreCase(noun));
        singulars.remove(noun);
        // "avalanches" is of avalanche, as there is no avalanch, and "doses" of dose
        if ((hissing || lower.endsWith("oses")) && singulars.size() > 1) {
            singulars.sort(
                    Comparator.comparing(one -> !EnglishWords.has(small(one.substring(one.lastIndexOf(' ') + 1)))));
        }
        singulars.add(noun);
        return singulars;
    }
}
