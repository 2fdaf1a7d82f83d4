package ableschema.core.words;

import ableschema.core.design.Design;
import ableschema.core.design.Entity;
import ableschema.core.design.Volume;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;

/** Reads how many of something people expect, as they say it: {@code We add 750 inspections a month.} */
final class VolumePhrasings {

    private static final String ABOUT = "(?:(?:about|around|roughly|some|nearly|up to|at most|maybe|perhaps) )?";
    private static final String NUMBER = "(?<number>" + VolumeSentence.NUMBER + ") ?(?:new |more )?";
    private static final String PER = "(?:a|an|each|every|per) (?<per>year|month|week|day)";
    private static final Map<String, Long> TIMES_A_YEAR = Map.of("year", 1L, "month", 12L, "week", 52L, "day", 365L);

    private static final List<Pattern> GROWING = List.of(
            pattern(
                    "(?:we|they|people) (?:will )?(?:expect|add|get|make|record|register|open|create|have) (?:to (?:add|make|get) )?"
                            + ABOUT + NUMBER + "(?<noun>.+?) " + PER),
            pattern(ABOUT + NUMBER + "(?<noun>.+?) (?:are|is|will be) (?:added|made|recorded|registered|opened|created"
                    + "|expected|done) " + PER),
            pattern(PER.replace("a|an|", "") + ",? " + ABOUT + NUMBER
                    + "(?<noun>.+?) (?:are|is|comes?|joins?|arrives?|registers?|will be)(?: .+)?"));

    private static final Pattern STANDING =
            pattern("(?:there (?:are|will be)|we have|we expect) " + ABOUT + NUMBER + "(?<noun>.+?)"
                    + "(?:,? and (?:about )?(?<year>" + VolumeSentence.NUMBER
                    + ") (?:more|new ones)(?: are added| come)? (?:a|each|every|per) year)?");

    /** "There are around 400 doors and 1,200 keys." */
    private static final Pattern BOTH = pattern("(?:there (?:are|will be)|we have|we expect) " + ABOUT + "(\\d[\\d,. ]*"
            + " (?!more\\b)[^,]+?),? and " + ABOUT + "(\\d[\\d,. ]* (?!more\\b|new\\b)[^,]+?)");

    private static final Pattern A_YEAR = pattern(".* " + PER);

    private final Design design;
    private final SaidNouns said;

    VolumePhrasings(Design design, SaidNouns said) {
        this.design = design;
        this.said = said;
    }

    private static Pattern pattern(String words) {
        return Pattern.compile(words + "\\s*\\.?", Pattern.CASE_INSENSITIVE);
    }

    /** Empty where nothing known is counted. */
    Optional<Phrasing> of(String sentence) {
        for (Pattern each : GROWING) {
            Matcher growing = each.matcher(sentence);
            if (growing.matches()) {
                Optional<Entity> entity = said.entity(growing.group("noun"));
                if (entity.isPresent()) {
                    return Optional.of(growing(entity.get(), growing));
                }
            }
        }
        Matcher both = BOTH.matcher(sentence);
        if (both.matches()) {
            Optional<Phrasing> first = of("There are about " + both.group(1) + ".");
            String way = A_YEAR.matcher(both.group(2)).matches() ? "We add " : "There are about ";
            Optional<Phrasing> second = of(way + both.group(2) + ".");
            return first.isPresent()
                            && second.isPresent()
                            && first.get() instanceof Phrasing.ReadAs one
                            && second.get() instanceof Phrasing.ReadAs other
                    ? Optional.of(
                            new Phrasing.ReadAs(Stream.concat(one.sentences().stream(), other.sentences().stream())
                                    .toList()))
                    : Optional.empty();
        }
        Matcher standing = STANDING.matcher(sentence);
        return standing.matches()
                ? said.entity(standing.group("noun")).map(entity -> standing(entity, standing))
                : Optional.empty();
    }

    private Phrasing growing(Entity entity, Matcher found) {
        long first = before(entity).first();
        long times = TIMES_A_YEAR.get(found.group("per").toLowerCase(Locale.ROOT));
        return read(
                entity, () -> new Volume(first, Math.multiplyExact(VolumeSentence.read(found.group("number")), times)));
    }

    private Phrasing standing(Entity entity, Matcher found) {
        String year = found.group("year");
        return read(
                entity,
                () -> new Volume(
                        VolumeSentence.read(found.group("number")),
                        year == null ? before(entity).eachYear() : VolumeSentence.read(year)));
    }

    private Volume before(Entity entity) {
        return design.notes().volume(entity.id()).orElse(Volume.NONE);
    }

    private interface Reading {
        Volume volume();
    }

    private Phrasing read(Entity entity, Reading reading) {
        try {
            return Phrasing.ReadAs.of(VolumeSentence.said(said.nouns().many(entity), reading.volume()));
        } catch (IllegalArgumentException e) {
            return new Phrasing.Refused(String.valueOf(e.getMessage()));
        } catch (ArithmeticException e) {
            return new Phrasing.Refused("that is more rows in a year than can be counted");
        }
    }
}
