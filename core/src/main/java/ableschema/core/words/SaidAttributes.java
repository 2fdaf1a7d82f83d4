package ableschema.core.words;

import ableschema.core.design.Attribute;
import ableschema.core.design.Cardinality;
import ableschema.core.design.Entity;
import ableschema.core.design.Relationship;
import ableschema.core.words.Phrasing.ReadAs;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Attributes as they are spoken of: "the draught of a vessel", "a vessel's draught", "vessel draughts", or "draught" alone. */
final class SaidAttributes {

    private static final Pattern OF =
            Pattern.compile("(.+?) of (?:an? |the |each |every |all |any )(.+)", Pattern.CASE_INSENSITIVE);
    private static final Pattern OF_MANY = Pattern.compile("(.+) of (.+)", Pattern.CASE_INSENSITIVE);
    private static final Pattern WHOSE =
            Pattern.compile("(?:an? |the |each |every )?(.+?)'s (.+)", Pattern.CASE_INSENSITIVE);

    /** "The number of copies" is no number that each copy has. */
    private static final Pattern COUNTED = Pattern.compile(
            "(?:the |a )?(?:maximum |minimum |total )?number of (?!(?:an?|the|each|every|its) ).+",
            Pattern.CASE_INSENSITIVE);

    /** "For rejected proofs a reason is required." */
    private static final Pattern FOR_SOME =
            Pattern.compile("(?:for|in|on|at|of|by|to|with|without|if|when|unless|while) ", Pattern.CASE_INSENSITIVE);

    /** "E-mail addresses", which are no things of their own. */
    private static final Pattern FEATURES = Pattern.compile(
            "[\\p{L}-]+ (?:addresses|numbers|names|codes|dates|titles|times|prices)", Pattern.CASE_INSENSITIVE);

    /** What a phrase of more words than these speaks of is not guessed. */
    private static final int MOST_WORDS = 5;

    private final SaidNouns said;

    SaidAttributes(SaidNouns said) {
        this.said = said;
    }

    /**
     * Whose attribute a phrase means, both as they stand in a sentence of the grammar.
     *
     * @param owner the entity as a noun in the singular
     */
    record Meant(String owner, String attribute) {}

    /** Empty where no entity is named and none, or several, have such an attribute. */
    Optional<Meant> meant(String phrase) {
        Matcher of = OF.matcher(phrase);
        Matcher whose = WHOSE.matcher(phrase);
        Matcher ofMany = OF_MANY.matcher(phrase);
        Optional<Meant> inFull = said.ownerOf(List.of(phrase))
                .map(owner -> new Meant(said.nouns().one(owner), SaidNouns.attribute(owner, phrase)));
        if (inFull.isPresent() || isCount(phrase, of)) {
            return inFull;
        }
        if (of.matches()) {
            return named(of.group(2), of.group(1));
        }
        if (ofMany.matches() && said.entity(ofMany.group(2)).isPresent()) {
            return named(ofMany.group(2), ofMany.group(1));
        }
        if (whose.matches()) {
            return named(whose.group(1), whose.group(2));
        }
        if (phrase.toLowerCase(Locale.ROOT).startsWith("each ") || phrase.split(" ").length > MOST_WORDS) {
            return Optional.empty();
        }
        return behindItsEntity(phrase, false).or(() -> ofTheOnlyOne(phrase)).or(() -> behindItsEntity(phrase, true));
    }

    /** "The number of seats of a venue" is an attribute where no seats are known of. */
    private boolean isCount(String phrase, Matcher of) {
        return COUNTED.matcher(phrase).matches()
                && !(of.matches() && !said.isEntity(of.group(1).replaceFirst("(?i).*number of ", "")));
    }

    /** "Email addresses" are the email address of whatever has one, and "the length" what is measured in metres, where nothing else has it. */
    Optional<Meant> ofTheOnlyOne(String phrase) {
        List<Meant> meant = said.having(owner -> known(owner, SaidNouns.bare(phrase))).entrySet().stream()
                .map(each -> new Meant(said.nouns().one(each.getKey()), Nouns.listed(each.getValue())))
                .toList();
        return meant.size() == 1 ? Optional.of(meant.get(0)) : Optional.empty();
    }

    /** The attribute of an entity that a name, or a name without its unit, means; empty where there is none. */
    Optional<String> of(String noun, String attribute) {
        return said.entity(noun).flatMap(owner -> known(owner, attribute)).map(Nouns::listed);
    }

    private Optional<Meant> named(String noun, String attribute) {
        String bare = SaidNouns.bare(attribute);
        String name = said.entity(noun)
                .flatMap(owner -> known(owner, bare))
                .map(Nouns::listed)
                .orElseGet(() -> Nouns.listed(said.isPlural(noun) && said.isPlural(bare) ? said.one(bare) : bare));
        return Optional.of(new Meant(said.one(noun), name));
    }

    /**
     * "Station names" are the name of each station.
     *
     * @param making whether it may be one that is not known yet
     */
    private Optional<Meant> behindItsEntity(String phrase, boolean making) {
        String bare = SaidNouns.bare(phrase);
        int known = said.nouns().leadingLength(bare);
        if (known <= 0 || known >= bare.length()) {
            return Optional.empty();
        }
        return said.entity(bare.substring(0, known))
                .flatMap(owner -> known(owner, bare.substring(known).strip())
                        .or(() -> making ? severalOf(bare.substring(known).strip()) : Optional.empty())
                        .map(name -> new Meant(said.nouns().one(owner), Nouns.listed(name))));
    }

    /** "Room names" are the name of each room, be it known or not. */
    private Optional<String> severalOf(String plural) {
        boolean one = plural.indexOf(' ') < 0 || FEATURES.matcher(plural).matches();
        return one && !said.isEntity(plural) ? Optional.of(said.one(plural)) : Optional.empty();
    }

    /** The attribute as its owner has it, be it said in the singular or the plural. */
    private Optional<String> known(Entity owner, String name) {
        return owner.body()
                .attribute(name)
                .or(() -> inItsUnit(owner, name))
                .or(() -> said.nouns().singulars(name).stream()
                        .flatMap(one -> owner.body().attribute(one).stream())
                        .findFirst())
                .or(() -> said.nouns().singulars(name).stream()
                        .flatMap(one -> inItsUnit(owner, one).stream())
                        .findFirst())
                .map(Attribute::name);
    }

    /** That an attribute is never left out, of the entity that is named or of the only one that has it. */
    Optional<Phrasing> needed(String phrase) {
        return meant(phrase)
                .<Phrasing>map(meant -> ReadAs.of("Each " + meant.owner() + " has " + meant.attribute() + "."))
                .or(() -> whose(phrase));
    }

    /** "The length" of what has a length in metres. */
    private static Optional<Attribute> inItsUnit(Entity owner, String name) {
        List<Attribute> measured = owner.body().attributes().stream()
                .filter(each -> each.name().toLowerCase(Locale.ROOT).startsWith(name.toLowerCase(Locale.ROOT) + " in "))
                .toList();
        return measured.size() == 1 ? Optional.of(measured.get(0)) : Optional.empty();
    }

    /** A fact about an attribute that is measured; the unit is part of the name of one that is not known yet. */
    Optional<Phrasing> fact(String phrase, String flag, String unit) {
        Optional<Meant> known = meant(phrase);
        Optional<String> other = known.flatMap(meant -> SaidUnits.other(meant.attribute(), unit));
        if (other.isPresent()) {
            return Optional.of(new Phrasing.Refused(other.get(), unit));
        }
        return known.filter(meant -> of(meant.owner(), meant.attribute()).isEmpty())
                .<Phrasing>map(meant -> ReadAs.of("Each " + meant.owner() + " has "
                        + SaidUnits.inUnit(meant.attribute(), unit) + " (" + flag + ")."))
                .or(() -> fact(phrase, flag));
    }

    /**
     * A fact about one attribute, of the entity that is named or of the only one that has it.
     *
     * @param flag what is said of it, as it stands between the brackets; empty that it may be left out
     */
    Optional<Phrasing> fact(String phrase, String flag) {
        Optional<Meant> meant = meant(phrase);
        Optional<Phrasing> rule = flag.isEmpty() ? meant.flatMap(this::maybeNone) : Optional.empty();
        if (rule.isPresent()) {
            return rule;
        }
        if (meant.isPresent()) {
            String attribute = meant.get().attribute();
            return Optional.of(ReadAs.of("Each " + meant.get().owner() + " has "
                    + (flag.isEmpty() ? "[" + attribute + "]" : attribute + " (" + flag + ")") + "."));
        }
        return whose(phrase);
    }

    /** "The photographer of a photograph may be unknown", where each is taken by one. */
    private Optional<Phrasing> maybeNone(Meant meant) {
        Optional<Entity> owner = said.entity(meant.owner());
        Optional<Entity> other = said.entity(meant.attribute());
        List<Relationship> rules = owner.stream()
                .flatMap(one -> other.stream().flatMap(leading -> said.between(one, leading)))
                .filter(each -> each.second().cardinality().equals(Cardinality.EXACTLY_ONE))
                .toList();
        return rules.size() == 1
                ? Optional.of(ReadAs.of("Each " + meant.owner() + " "
                        + rules.get(0).first().verb() + " at most one " + said.one(meant.attribute()) + "."))
                : Optional.empty();
    }

    /** Asks whose attribute is meant; empty for a phrase that speaks of something else. */
    Optional<Phrasing> whose(String phrase) {
        if (phrase.toLowerCase(Locale.ROOT).startsWith("each ") || phrase.split(" ").length > MOST_WORDS) {
            return Optional.empty();
        }
        String bare = Nouns.inSentence(SaidNouns.bare(phrase));
        if (FOR_SOME.matcher(bare).lookingAt()) {
            return Optional.empty();
        }
        return Optional.of(
                new Phrasing.Refused("whose " + bare + "? Say: the " + bare + " of a …, and then what holds for it"));
    }
}
