package ableschema.core.review;

import ableschema.core.design.Attribute;
import ableschema.core.design.Design;
import ableschema.core.design.Entity;
import ableschema.core.design.IdSource;
import ableschema.core.design.Volume;
import ableschema.core.document.Edit;
import ableschema.core.edit.ChangeBody;
import ableschema.core.edit.Edits;
import ableschema.core.finding.Finding;
import ableschema.core.finding.Place;
import ableschema.core.finding.Remedy;
import ableschema.core.finding.Rule;
import ableschema.core.finding.Step;
import ableschema.core.holding.Fullness;
import ableschema.core.holding.Holding;
import ableschema.core.holding.Holdings;
import ableschema.core.holding.ListedValues;
import ableschema.core.types.DataType;
import ableschema.core.types.ReadableCode;
import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.regex.Pattern;

/** Numbers that are no numbers, mean something that is not said, are other ones tomorrow, or come to an end. */
final class MeaningFinder implements Finder.OfEach {

    static final Rule CODE_AS_NUMBER = Rule.advice(
            Step.DRAW,
            "code-as-number",
            "Code kept as a number",
            "{entity}: {column} is kept as a number, and looks like a code.",
            "A number has no zeros in front and no dashes; and codes are neither added up nor compared.");
    static final Rule CODED = Rule.advice(
            Step.DRAW,
            "unsaid-codes",
            "Numbers that stand for something",
            "{entity}: nothing says what the numbers of {column} stand for.",
            "Whoever reads the rows must know their meanings from elsewhere, and so does every program.");
    static final Rule STALE = Rule.advice(
            Step.DRAW,
            "goes-stale",
            "Goes stale by itself",
            "{entity}: {column} is another one as time goes by.",
            "Nobody changes the rows each day; what it is reckoned from stays the same, and gives it at any time.");
    static final Rule DEPARTS = Rule.advice(
            Step.ROWS,
            "departs-from-pattern",
            "Codes of another form",
            "{entity}: {many} of {column} {are} not as in {pattern}.",
            "People and programs take a code apart by its form; one that has another is read as something else.");
    static final Rule RUNS_OUT = Rule.advice(
            Step.DRAW,
            "runs-out",
            "Runs out of numbers",
            "{entity}: the numbers of {column} run out after {years}.",
            "Then no row can be added until the column, and every one that refers to it, is made wider.");

    /** Sooner than this somebody who is there now has to see to it. */
    private static final long SOON = 20;

    private static final long PLANNED = 100;
    private static final int MOST_CODES = 12;

    private static final Pattern DIGITS = called("phone|telephone|mobile|fax|zip|postcode|postal code|iban|isbn|ean");
    private static final Pattern KINDS = called("status|state|type|kind|category|class|grade|code|flag|mode");
    private static final Pattern AGE = called("age|years old|seniority|years of service");
    private static final Pattern PASSING =
            words("days since|days left|days overdue|days until|months since|years since");
    private static final Pattern NO_NUMBER = Pattern.compile("\\s*(?:0[0-9]+|[0-9]+(?:-[0-9]+)+)\\s*");
    private static final Pattern SAYS = Pattern.compile("(?s).*[0-9]\\s*(?:=|:|is|means|stands)\\s*\\S.*");

    /** At the end of a name, where it says what a value is: a phone number is one, and a count of phone calls is none. */
    private static Pattern called(String words) {
        return Pattern.compile(
                "(?i)(?:.*[ _-])?(?:" + words.replace(" ", "[ _]") + ")(?:[ _-](?:no|nr|number|code|id))?");
    }

    private static Pattern words(String words) {
        return Pattern.compile("(?i)(?:.*[ _-])?(?:" + words.replace(" ", "[ _]") + ")(?:[ _-].*)?");
    }

    @Override
    public List<Rule> rules() {
        return List.of(CODE_AS_NUMBER, CODED, STALE, DEPARTS, RUNS_OUT);
    }

    @Override
    public void find(Subject subject, Entity entity, Consumer<Finding> found) {
        for (Attribute attribute : entity.body().attributes()) {
            DataType type = subject.design().typeOf(attribute);
            if (type instanceof DataType.Counted) {
                runsOut(subject, entity, attribute).ifPresent(found);
            } else if (type instanceof DataType.Text) {
                ReadableCode.of(attribute.pattern()).ifPresent(code -> codes(subject, entity, attribute, code, found));
            } else if (type instanceof DataType.Whole) {
                numbers(subject.design(), entity, attribute).ifPresent(found);
            }
        }
    }

    private static Finding of(Rule rule, Entity entity, Attribute attribute) {
        return Finding.of(rule, new Place(entity.id(), Optional.empty(), List.of(attribute.ref())))
                .naming("entity", entity.name())
                .naming("column", attribute.name());
    }

    private static Optional<Finding> numbers(Design design, Entity entity, Attribute attribute) {
        List<String> values = entity.body().rows().stream()
                .flatMap(row -> row.value(attribute.id()).stream())
                .toList();
        Optional<String> odd = values.stream()
                .filter(value -> NO_NUMBER.matcher(value).matches())
                .findFirst();
        if (odd.isPresent() || DIGITS.matcher(attribute.name()).matches()) {
            return Optional.of(of(CODE_AS_NUMBER, entity, attribute)
                    .withEvidence(odd.map(MeaningFinder::kept).orElse("so it is called"))
                    .mendedBy(remedy("make it a text", attribute, (now, held) -> held.say(Holding.CODE))));
        }
        if (AGE.matcher(attribute.name()).matches()
                || PASSING.matcher(attribute.name()).matches()) {
            return Optional.of(stale(entity, attribute));
        }
        return coded(design, entity, attribute);
    }

    private static void codes(
            Subject subject, Entity entity, Attribute attribute, ReadableCode code, Consumer<Finding> found) {
        List<String> departing = entity.body().rows().stream()
                .flatMap(row -> row.value(attribute.id()).stream())
                .filter(value -> !code.isCode(value))
                .toList();
        if (!departing.isEmpty()) {
            found.accept(of(DEPARTS, entity, attribute)
                    .stating("many", departing.size() == 1 ? "1 value" : departing.size() + " values")
                    .stating("are", departing.size() == 1 ? "is" : "are")
                    .stating("pattern", attribute.pattern())
                    .withEvidence("“"
                            + String.join("”, “", departing.stream().limit(2).toList()) + "”"));
        }
        subject.design()
                .notes()
                .volume(entity.id())
                .flatMap(volume -> code.yearsLeft(volume.first(), volume.eachYear()))
                .filter(years -> years < SOON)
                .ifPresent(years -> found.accept(of(RUNS_OUT, entity, attribute)
                        .stating("years", inWords(years))
                        .withEvidence("codes as in " + attribute.pattern())
                        .mendedBy(longer(attribute))));
    }

    private static Remedy longer(Attribute attribute) {
        return remedy("give the codes two digits more", attribute, (now, held) -> {
            String pattern = now.pattern().replaceFirst("0", "000");
            int max = now.type() instanceof DataType.Text text ? text.max() : 0;
            int length = ReadableCode.of(pattern).map(ReadableCode::length).orElse(max);
            return new Edits(held.design(), held.ids())
                    .changeAttribute(now.withPattern(pattern)
                            .withType(max == 0 ? now.type() : new DataType.Text(Math.max(max, length))));
        });
    }

    private static String inWords(long years) {
        return years == 0 ? "less than a year" : years == 1 ? "1 year" : years + " years";
    }

    private static String kept(String value) {
        String stripped = value.strip();
        return stripped.contains("-")
                ? "“" + stripped + "” is no number at all"
                : "“" + stripped + "” would be kept as " + stripped.replaceFirst("^0+(?=.)", "");
    }

    /** What a remedy makes of the attribute as it is by then. */
    private interface Making {
        Edit edit(Attribute now, Held held);
    }

    private record Held(Design design, IdSource ids, Attribute attribute) {
        Edit say(Holding holding) {
            return Holdings.say(design, ids, attribute, holding);
        }
    }

    private static Remedy remedy(String title, Attribute attribute, Making making) {
        return Remedy.of(title, (design, ids, given) -> {
            Attribute now = design.attribute(attribute.id()).orElseThrow(); // a finding goes with what it is about
            return making.edit(now, new Held(design, ids, now));
        });
    }

    private static Finding stale(Entity entity, Attribute attribute) {
        boolean age = AGE.matcher(attribute.name()).matches();
        return of(STALE, entity, attribute)
                .mendedBy(new Remedy(
                        "keep the day it is reckoned from, without the values there are",
                        "name",
                        age ? "born on" : attribute.name().replaceFirst("(?i)(?:days|months|years)[ _]", ""),
                        (design, ids, given) -> {
                            Attribute now = design.attribute(attribute.id()).orElseThrow();
                            var emptied = design.body(entity.id()).orElseThrow();
                            Edit renamed = new Edits(design, ids)
                                    .changeAttribute(now.withName(given).withType(DataType.Simple.DATE));
                            return new ChangeBody(
                                    entity.id(),
                                    ((ChangeBody) renamed)
                                            .body()
                                            .withRows(emptied.rows().stream()
                                                    .map(row -> row.with(attribute.id(), ""))
                                                    .toList()),
                                    "keep " + given + " instead of " + now.name());
                        }));
    }

    private static Optional<Finding> coded(Design design, Entity entity, Attribute attribute) {
        Optional<ListedValues> listed = ListedValues.of(design, attribute);
        if (listed.isEmpty()
                || entity.body().key().contains(attribute.ref())
                || SAYS.matcher(attribute.comment()).matches()) {
            return Optional.empty();
        }
        int values = listed.get().values().size();
        boolean checked = listed.get().form() == ListedValues.Form.CHECK;
        boolean called = KINDS.matcher(attribute.name()).matches() && values > 0;
        return (checked || called) && values <= MOST_CODES
                ? Optional.of(of(CODED, entity, attribute)
                        .withEvidence(String.join(", ", listed.get().values()))
                        .mendedBy(remedy(
                                "give them a table with their meanings",
                                attribute,
                                (now, held) -> held.say(Holding.GROWING))))
                : Optional.empty();
    }

    private static Optional<Finding> runsOut(Subject subject, Entity entity, Attribute attribute) {
        return Fullness.yearsLeft(subject.design(), attribute, subject.dialect())
                .filter(years -> years < SOON)
                .map(years -> of(RUNS_OUT, entity, attribute)
                        .stating("years", inWords(years))
                        .withEvidence(subject.dialect().type(subject.design().typeOf(attribute)) + " in "
                                + subject.dialect().label())
                        .mendedBy(wider(entity, attribute)));
    }

    private static Remedy wider(Entity entity, Attribute attribute) {
        return remedy("count them in a wider column", attribute, (now, held) -> {
            var counted = (DataType.Counted) now.type();
            long rows = held.design()
                    .notes()
                    .volume(entity.id())
                    .orElse(Volume.NONE)
                    .after(PLANNED);
            double last = counted.start() + (double) rows * counted.step();
            long room = Math.abs(last) > 9e17 ? 900_000_000_000_000_000L : Math.abs((long) last);
            return new Edits(held.design(), held.ids())
                    .changeAttribute(now.withType(new DataType.Counted(
                            counted.start(),
                            counted.step(),
                            Math.max(room, Integer.MAX_VALUE + 1L) * Long.signum(counted.step()))));
        });
    }
}
