package ableschema.core.words;

import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Pattern;
import java.util.stream.Collectors;

/** Phrasings in which a verb, or an adjective, says what is measured: "lasts at most 90 minutes", "is at least 3 metres long". */
final class MeasurePhrasings extends SentenceForms {

    private static final String NUMBER = "-?\\d+(?:\\.\\d+)?";
    private static final String BOUNDS = "((?:between|from|at least) " + NUMBER + " (?:and at most|and|to) " + NUMBER
            + "|(?:at most|at least|no more than|no less than|up to|more than|less than) " + NUMBER
            + "|some|several|a (?:certain )?number of)";

    /** What each measures, by the verb in its plain form and by the adjective. */
    private static final Map<String, String> MEASURED = Map.ofEntries(
            Map.entry("last", "duration"),
            Map.entry("take", "duration"),
            Map.entry("weigh", "weight"),
            Map.entry("cost", "price"),
            Map.entry("long", "length"),
            Map.entry("wide", "width"),
            Map.entry("high", "height"),
            Map.entry("tall", "height"),
            Map.entry("deep", "depth"),
            Map.entry("heavy", "weight"),
            Map.entry("old", "age"));

    private static final Map<String, String> COMPARED = Map.of(
            "older", "old", "longer", "long", "wider", "wide", "higher", "high", "taller", "tall", "deeper", "deep",
            "heavier", "heavy");

    private static final List<String> BORN =
            List.of("date of birth", "birth date", "birthday", "birthdate", "year of birth");

    private final SaidNouns said;
    private final SaidAttributes attributes;

    MeasurePhrasings(SaidNouns said, SaidAttributes attributes) {
        super("lasts?|takes?|weighs?|costs?|old|long|wide|high|tall|deep|heavy|" + String.join("|", COMPARED.keySet()));
        this.said = said;
        this.attributes = attributes;
    }

    @Override
    void fill() {
        String may = "(?:(?:can|may|must|should|has to|have to) )?";
        form(
                "(?:an? |each |every |all )?(.+?) " + may + "(last|take|weigh|cost)s? " + BOUNDS + " (\\p{L}+)",
                m -> measured(m.group(1), m.group(2), m.group(3), m.group(4)));
        form(
                "(?:an? |each |every |all )?(.+?) (last|take|weigh|cost)s? (" + NUMBER + ")(?: (\\p{L}+))? by default",
                m -> preset(m.group(1), m.group(2), m.group(3), m.group(4)));
        form(
                "(?:an? |each |every |all )?(.+?) " + may + "(last|take|weigh|cost)s? (?:either )?(" + NUMBER + "(?:, "
                        + NUMBER + ")*,? or " + NUMBER + ") (\\p{L}+)",
                m -> oneOf(m.group(1), m.group(2), m.group(3), m.group(4)));
        form(
                "(?:an? |each |every |all )?(.+?) " + may + "(?:is|are|be) " + BOUNDS
                        + " (\\p{L}+) (long|wide|high|tall|deep|heavy|old)",
                m -> measured(m.group(1), m.group(4), m.group(2), m.group(3)));
        form(
                "(?:an? |each |every |all |the )?(.+?) (?:can|may|must|should)( ?not|n't)? be ("
                        + String.join("|", COMPARED.keySet()) + ") than (" + NUMBER + ") (\\p{L}+)",
                m -> measured(
                        m.group(1),
                        COMPARED.get(m.group(3).toLowerCase(Locale.ROOT)),
                        (m.group(2).isEmpty() ? "more than " : "at most ") + m.group(4),
                        m.group(5)));
    }

    /** "Appointments last 20, 40 or 60 minutes." */
    private Optional<Phrasing> oneOf(String noun, String verb, String list, String unit) {
        if (!SaidUnits.isUnit(unit)) {
            return Optional.empty();
        }
        String one = said.one(noun);
        String measure = MEASURED.get(verb.toLowerCase(Locale.ROOT));
        String name = attributes.of(one, measure).orElse(measure + " in " + unit.toLowerCase(Locale.ROOT));
        String values = Pattern.compile(NUMBER)
                .matcher(list)
                .results()
                .map(value -> Quoted.of(value.group()))
                .collect(Collectors.joining(", "));
        return readAs("Each " + one + " has " + name + " (one of " + values + ").");
    }

    private static String bounded(String bounds) {
        String both = bounds.replaceFirst("(?i)^at least (\\S+) and(?: at most)? ", "between $1 and ");
        return both.matches("(?i)(?:some|several|a .*)") ? "" : " " + both;
    }

    /** "The maximum stay cannot be longer than 365 days", where that is known of something. */
    private Optional<Phrasing> ofAttribute(String phrase, String bounds, String unit) {
        String flag = bounds.strip()
                .toLowerCase(Locale.ROOT)
                .replaceFirst("^(?:no more than|up to) ", "at most ")
                .replaceFirst("^no less than ", "at least ")
                .replaceFirst("^more than ", "greater than ")
                .replaceFirst("^from (\\S+) to ", "between $1 and ");
        return attributes
                .meant(phrase)
                .filter(meant -> !flag.isEmpty()
                        && attributes.of(meant.owner(), meant.attribute()).isPresent())
                .flatMap(meant -> attributes.fact(phrase, flag, unit));
    }

    private Optional<Phrasing> preset(String noun, String by, String value, String unit) {
        String measure = MEASURED.get(by.toLowerCase(Locale.ROOT));
        String name = attributes
                .of(said.one(noun), measure)
                .orElse(unit.isEmpty() ? measure : measure + " in " + unit.toLowerCase(Locale.ROOT));
        return readAs("Each " + said.one(noun) + " has " + name + " (default " + value + ").");
    }

    private Optional<Phrasing> measured(String noun, String by, String bounds, String unit) {
        if (!SaidUnits.isUnit(unit)
                || SaidItem.signs("1 " + unit).isPresent()
                || said.endsIn(noun).isPresent()) {
            return Optional.empty();
        }
        Optional<Phrasing> known = said.isEntity(noun) ? Optional.empty() : ofAttribute(noun, bounded(bounds), unit);
        if (known.isPresent()) {
            return known;
        }
        String measure = MEASURED.get(by.toLowerCase(Locale.ROOT));
        String one = said.one(noun);
        Optional<String> born =
                BORN.stream().flatMap(each -> attributes.of(one, each).stream()).findFirst();
        if (measure.equals("age") && born.isPresent()) {
            return refused("an age is worked out from the " + born.get()
                    + ", and is another every day; what holds for it is checked where rows are made");
        }
        String name = attributes.of(one, measure).orElse(measure + " in " + unit.toLowerCase(Locale.ROOT));
        return SaidUnits.other(name, unit)
                .<Phrasing>map(problem -> new Phrasing.Refused(problem, unit))
                .or(() -> readAs("Each " + one + " has " + SaidItem.item(name + bounded(bounds)) + "."));
    }
}
