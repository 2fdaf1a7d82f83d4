package ableschema.core.words;

import ableschema.core.design.Cardinality;
import ableschema.core.words.Counts.Found;
import ableschema.core.words.Phrasing.ReadAs;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;

/** Phrasings of relationships: plural subjects, can and must, nouns without a number. */
final class RelationPhrasings {

    private static final int CASE = Pattern.CASE_INSENSITIVE;
    private static final Pattern TAIL = Pattern.compile(
            ",? (?:at (?:a|any|one|the same) time|at once|on the same day|in total|over time|in its life)$", CASE);
    private static final Pattern SECOND =
            Pattern.compile("\\s*;\\s*|,? (?:and|while|whereas) (?=(?:an?|each|every|the) )", CASE);
    private static final Pattern MODAL =
            Pattern.compile("^(can|may|must|should|will|might|has to|have to|needs to|need to) ", CASE);
    private static final Pattern NUMBER_APART = Pattern.compile(
            "(at least) (\\w+) (\\p{L}[\\p{L} -]*?) (?:and|but) (?:no more than|at most|not more than|up to) (\\w+)$",
            CASE);
    private static final Set<String> AUXILIARIES =
            Set.of("is", "are", "has", "have", "can", "may", "must", "should", "will", "might", "needs", "need");
    private static final Set<String> PLURAL_VERBS = Set.of(
            "consist", "contain", "include", "hold", "belong", "own", "use", "need", "store", "employ", "visit", "make",
            "give", "take", "lead", "refer", "produce", "sell", "buy", "serve", "carry", "house", "cover", "join",
            "run", "stand", "live", "work", "play", "teach", "attend", "write", "read", "send", "receive", "start",
            "end");
    private static final Set<String> WHOLES =
            Set.of("consists of", "contains", "includes", "holds", "has", "comprises");

    private static final Set<String> COMPARISONS =
            Set.of("fewer", "more", "less", "than", "least", "most", "several", "multiple", "many", "few", "or", "and");

    private static final Pattern STRAY =
            Pattern.compile(",| (?:and|or|who|which|that|whose|where|with|has|have|is|are|can|may|must|not) ", CASE);
    private static final Pattern LEFT_OVER = Pattern.compile(
            " (?:on|in|at|during|per|from|for|by|to|until|since|before|after|without|under|over|as) .*", CASE);
    private static final Pattern OF_ONE = Pattern.compile("(.+) of (?:an?|the|each|every|its|their) (.+)", CASE);
    private static final Pattern TYPED = Pattern.compile(
            "is an? (?:decimal|number|text|string|date|moment|time|year|whole|integer|boolean|uuid)\\b.*", CASE);
    private static final Set<String> HOW_OFTEN = Set.of("time", "times", "once", "twice", "way", "ways");

    private static final Pattern DENIED = Pattern.compile("\\b(?:not|never|no longer|cannot)\\b|n't\\b", CASE);
    private static final Set<String> UNITS = Set.of(
            "kg",
            "kgs",
            "g",
            "t",
            "tonne",
            "tonnes",
            "ton",
            "tons",
            "km",
            "m",
            "cm",
            "mm",
            "metre",
            "metres",
            "meter",
            "meters",
            "litre",
            "litres",
            "l",
            "ml",
            "hour",
            "hours",
            "minute",
            "minutes",
            "second",
            "seconds",
            "percent",
            "euro",
            "euros",
            "dollar",
            "dollars",
            "degrees",
            "kilogram",
            "kilograms",
            "gram",
            "grams",
            "kilometre",
            "kilometres",
            "mile",
            "miles");

    private final SaidNouns said;

    RelationPhrasings(SaidNouns said) {
        this.said = said;
    }

    /** One clause, taken apart. */
    private record Clause(String subject, String verb, Cardinality cardinality, String object, boolean open) {
        String said() {
            return "ach " + subject + " " + verb + " " + Quantity.said(cardinality) + " " + object;
        }

        Clause with(Cardinality other, String noun) {
            return new Clause(subject, verb, other, noun, false);
        }
    }

    Optional<Phrasing> of(String sentence) {
        Matcher denied = DENIED.matcher(Quoted.masked(sentence));
        if (denied.find()) {
            return Optional.of(new Phrasing.Refused(
                    "say what is the case, not what is not: 'at most 3' for 'not more than 3'", denied.group()));
        }
        int bracket = options(sentence);
        String options = sentence.substring(bracket).replaceFirst("\\.\\s*$", "");
        String clauses = sentence.substring(0, bracket).strip().replaceFirst("\\.+$", "");
        Matcher second = SECOND.matcher(Quoted.masked(clauses));
        boolean two = second.find();
        Optional<Clause> forth = clause(two ? clauses.substring(0, second.start()) : clauses);
        Optional<Clause> back = two ? clause(clauses.substring(second.end())) : Optional.empty();
        if (forth.isEmpty() || two && back.isEmpty()) {
            return Optional.empty();
        }
        Optional<Phrasing> slip = Stream.of(forth, back)
                .flatMap(Optional::stream)
                .flatMap(each -> slip(each).stream())
                .findFirst();
        if (slip.isPresent()) {
            return slip;
        }
        String end = (options.isEmpty() ? "" : " " + options) + ".";
        String behind = back.map(clause -> "; e" + clause.said()).orElse("") + end;
        if (forth.get().open()) {
            return Optional.of(new Phrasing.Either(List.of(
                    ReadAs.of("E" + forth.get().said() + behind),
                    ReadAs.of("E"
                            + forth.get()
                                    .with(
                                            Cardinality.EXACTLY_ONE,
                                            said.one(forth.get().object()))
                                    .said()
                            + behind))));
        }
        return Optional.of(ReadAs.of("E" + forth.get().said() + behind));
    }

    /** A word that is nearly one of the grammar, or a comparison, is no verb; a noun that is nearly an entity is no new one. */
    private Optional<Phrasing> slip(Clause clause) {
        Matcher stray = STRAY.matcher(" " + Quoted.masked(clause.object()) + " ");
        if (stray.find()) {
            return Optional.of(new Phrasing.Refused(
                    "only one entity stands behind the verb; say the rest in a sentence of its own", clause.object()));
        }
        Optional<Phrasing> other = noEntity(clause);
        if (other.isPresent()) {
            return other;
        }
        if (UNITS.contains(clause.object().toLowerCase(Locale.ROOT))) {
            return Optional.of(new Phrasing.Refused(
                    "a measure is no entity. Say for example: Each " + clause.subject()
                            + " has weight: decimal 6,2 (at most 30)",
                    clause.object()));
        }
        for (String word : Quoted.masked(clause.verb()).toLowerCase(Locale.ROOT).split(" ")) {
            for (String known : List.of("exactly", "at least", "at most")) {
                boolean near = !word.equals(known)
                        && Spelling.distance(word, known.replace(" ", "")) <= (known.length() > 7 ? 1 : 2)
                        && word.length() > 4;
                if (near) {
                    return Optional.of(new Phrasing.Refused("\"" + word + "\", did you mean \"" + known + "\"?", word));
                }
            }
            if (COMPARISONS.contains(word)) {
                return Optional.of(new Phrasing.Refused(
                        "how many is meant by \"" + word
                                + "\"? Say for example 'at most 4', 'at least one' or 'any number of'",
                        word));
            }
        }
        return Stream.of(clause.subject(), clause.object())
                .flatMap(noun -> said.nearlyNamed(noun).stream()
                        .<Phrasing>map(name -> new Phrasing.Refused(
                                "\"" + noun + "\", did you mean \"" + name + "\"? If it is another, say first: " + noun
                                        + " is an entity.",
                                noun)))
                .findFirst();
    }

    /** What stands where an entity is expected, and is none. */
    private Optional<Phrasing> noEntity(Clause clause) {
        String object = Quoted.masked(clause.object());
        Matcher over = LEFT_OVER.matcher(object);
        if (over.find() && said.entity(clause.object()).isEmpty()) {
            return Optional.of(new Phrasing.Refused(
                    "only one entity stands behind the verb; say the rest in a sentence of its own",
                    over.group().strip()));
        }
        if (HOW_OFTEN.contains(object.toLowerCase(Locale.ROOT))
                && said.entity(clause.object()).isEmpty()) {
            return Optional.of(new Phrasing.Refused(
                    "how often it happens is no number of something; say what is made each time, as in: Each hive is looked"
                            + " at in any number of inspections",
                    clause.object()));
        }
        Matcher ofOne = OF_ONE.matcher(Quoted.masked(clause.subject()));
        if (ofOne.matches() && said.entity(clause.subject()).isEmpty()) {
            return Optional.of(new Phrasing.Refused(
                    "say it of the whole: Each " + said.one(ofOne.group(2)) + " has "
                            + ofOne.group(1).toLowerCase(Locale.ROOT),
                    clause.subject()));
        }
        if (TYPED.matcher(Quoted.masked(clause.verb())).matches()) {
            return Optional.of(new Phrasing.Refused(
                    "whose " + clause.subject() + "? Say for example: Each hive has " + clause.subject()
                            + ": decimal 6,2",
                    clause.subject()));
        }
        return Optional.empty();
    }

    /** Where the options in brackets at the end begin. */
    private static int options(String sentence) {
        Matcher options = Pattern.compile(
                        " ?\\((?:first |second )?(?:called|on delete|on update|first as|second as)\\b.*", CASE)
                .matcher(Quoted.masked(sentence));
        return options.find() ? options.start() : sentence.length();
    }

    private Optional<Clause> clause(String text) {
        String clause = TAIL.matcher(text.strip()).replaceFirst("");
        Matcher apart = NUMBER_APART.matcher(clause);
        if (apart.find()) {
            clause = clause.substring(0, apart.start()) + "between " + apart.group(2) + " and " + apart.group(4) + " "
                    + apart.group(3);
        }
        boolean all = clause.toLowerCase(Locale.ROOT).startsWith("all ");
        boolean article = !all && !SaidNouns.bare(clause).equals(clause);
        String rest = SaidNouns.bare(clause);
        int verb = verbAt(rest, !article);
        if (verb <= 0) {
            return Optional.empty();
        }
        String noun = rest.substring(0, verb).strip();
        if (!article && !said.isPlural(noun)) {
            return Optional.empty();
        }
        return predicate(said.one(noun), rest.substring(verb).strip(), !article);
    }

    private Optional<Clause> predicate(String subject, String words, boolean plural) {
        String masked = Quoted.masked(words);
        Matcher modal = MODAL.matcher(masked);
        boolean free =
                modal.lookingAt() && modal.group(1).toLowerCase(Locale.ROOT).matches("can|may|might");
        boolean base = modal.lookingAt();
        String from = base ? words.substring(modal.end()) : words;
        String verbal = base || plural ? thirdPerson(from) : from;
        Optional<Found> count = Counts.find(Quoted.masked(verbal), 1);
        if (count.isPresent()) {
            String verb = verbal.substring(0, count.get().start()).strip();
            String object = SaidNouns.bare(verbal.substring(count.get().end()).replaceFirst("(?i)^ of ", " "));
            if (verb.isEmpty() || object.isEmpty()) {
                return Optional.empty();
            }
            Cardinality cardinality =
                    free && count.get().bare() && !count.get().cardinality().isMany()
                            ? Cardinality.AT_MOST_ONE
                            : count.get().cardinality();
            return counted(subject, verb, cardinality, object);
        }
        return uncounted(subject, verbal, free, plural);
    }

    private Optional<Clause> counted(String subject, String verb, Cardinality cardinality, String object) {
        return Optional.of(new Clause(subject, verb, cardinality, inNumber(object, cardinality), false));
    }

    /** The object in the number that goes with how many there are, where it is known which noun it is. */
    private String inNumber(String object, Cardinality cardinality) {
        boolean one = cardinality.max() == 1 || cardinality.equals(Cardinality.AT_LEAST_ONE);
        return Quoted.is(object) ? object : one ? said.one(object) : plural(object);
    }

    private String plural(String object) {
        return said.many(object);
    }

    /** "is located in a building", "has turbines": an article makes it one, a plural any number. */
    private Optional<Clause> uncounted(String subject, String verbal, boolean free, boolean plural) {
        Matcher article = Pattern.compile(
                        "^(.*?\\p{L}) (?:an?|the|its|their) (?!.* (?:an?|the) )(\\p{L}[\\p{L}\\d -]*)$", CASE)
                .matcher(verbal);
        if (article.matches()) {
            Cardinality one = free ? Cardinality.AT_MOST_ONE : Cardinality.EXACTLY_ONE;
            return Optional.of(new Clause(subject, article.group(1), one, said.one(article.group(2)), false));
        }
        for (int space = verbal.indexOf(' '); space > 0; space = verbal.indexOf(' ', space + 1)) {
            String verb = verbal.substring(0, space);
            String object = verbal.substring(space + 1);
            boolean last = object.indexOf(' ') < 0;
            if (said.entity(object).isPresent() || last && said.isPlural(object)) {
                boolean many = said.isPlural(object);
                boolean open = many && plural && !WHOLES.contains(verb.toLowerCase(Locale.ROOT));
                return Optional.of(new Clause(
                        subject,
                        verb,
                        many ? Cardinality.ANY_NUMBER : free ? Cardinality.AT_MOST_ONE : Cardinality.EXACTLY_ONE,
                        many ? plural(object) : said.one(object),
                        open));
            }
        }
        return Optional.empty();
    }

    /** Where the verb begins: behind a known entity, or at the first word that looks like one; 0 where none does. */
    private int verbAt(String text, boolean plural) {
        int known = said.nouns().leadingLength(text);
        if (known > 0 && known < text.length()) {
            return known;
        }
        int at = Quoted.end(text, 0);
        if (at > 0) {
            return at;
        }
        int space = text.indexOf(' ');
        while (space > 0) {
            int next = text.indexOf(' ', space + 1);
            String word =
                    text.substring(space + 1, next < 0 ? text.length() : next).toLowerCase(Locale.ROOT);
            boolean verb = AUXILIARIES.contains(word)
                    || (plural ? PLURAL_VERBS.contains(word) : word.matches("\\p{L}+[^su\\W]s|\\p{L}+ss?es"));
            if (verb && next > 0) {
                return space;
            }
            space = next;
        }
        int first = text.indexOf(' ');
        return plural && first > 0 && said.isPlural(text.substring(0, first)) ? first : 0;
    }

    /** A verb as it goes with one: "belong to" is "belongs to". */
    private static String thirdPerson(String words) {
        int space = words.indexOf(' ');
        String verb = space < 0 ? words : words.substring(0, space);
        String rest = space < 0 ? "" : words.substring(space);
        String one =
                switch (verb.toLowerCase(Locale.ROOT)) {
                    case "be", "are", "is" -> "is";
                    case "have", "has" -> "has";
                    case "do" -> "does";
                    default ->
                        verb.matches("(?i).*(?:s|x|ch|sh|o)")
                                ? verb + "es"
                                : verb.matches("(?i).*[^aeiou]y")
                                        ? verb.substring(0, verb.length() - 1) + "ies"
                                        : verb + "s";
                };
        return one + rest;
    }
}
