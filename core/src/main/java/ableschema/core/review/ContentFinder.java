package ableschema.core.review;

import ableschema.core.brief.TypeSuggestion;
import ableschema.core.design.Attribute;
import ableschema.core.design.Body;
import ableschema.core.design.Design;
import ableschema.core.design.Entity;
import ableschema.core.design.Mark;
import ableschema.core.edit.ChangeBody;
import ableschema.core.finding.Finding;
import ableschema.core.finding.Place;
import ableschema.core.finding.Remedy;
import ableschema.core.finding.Rule;
import ableschema.core.finding.Step;
import ableschema.core.types.DataType;
import ableschema.core.types.TypedValue;
import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.regex.Pattern;

/** Attributes that hold something else than their type says: lists, dates and numbers in texts, money in approximate numbers. */
final class ContentFinder implements Finder.OfEach {

    static final Rule LIST_IN_TEXT = Rule.advice(
            Step.FORMS,
            "list-in-text",
            "Several values in one text",
            "{entity}: {column} holds several values in one text.",
            "No database can ask for one of them, check it, or refer to it; each value wants a row of its own.");
    static final Rule KEPT_AS_TEXT = Rule.advice(
            Step.DRAW,
            "kept-as-text",
            "Kept as text",
            "{entity}: {column} is kept as text, and looks like {type}.",
            "A text takes any value, sorts by letters and cannot be reckoned with.");
    static final Rule APPROXIMATE = Rule.advice(
            Step.DRAW,
            "approximate-amount",
            "Approximate type for an amount",
            "{entity}: {column} is an amount in an approximate type.",
            "It keeps most decimal fractions not exactly, so that sums are wrong by a little and equal amounts differ.");
    static final Rule SECRET = Rule.advice(
            Step.DRAW,
            "plain-secret",
            "Secret kept as plain text",
            "{entity}: {column} is a secret kept as plain text.",
            "Whoever reads the table, or a copy of it, has the secret; of a password only a salted hash is kept.");

    private static final Pattern AMOUNT = words(
            "amount|price|cost|fee|rent|total|sum|balance|salary|wage|tax|discount|payment|deposit"
                    + "|budget|debit|credit|weight|mass|length|width|height|depth|volume|area|quantity|distance|dose|kg|g|mg|m|cm|mm|km|l|ml");
    private static final Pattern SECRETS =
            words("password|passwd|pwd|passphrase|passcode|pin|secret|api key|token|cvv|cvc");
    private static final Pattern HASHED = words("hash|hashed|digest|salt|encrypted");
    private static final Pattern DAY =
            Pattern.compile("(?i)(?:.* )?(?:date|day|birthday|born|datetime|timestamp)|date of .*");
    private static final Pattern CODE =
            words("code|no|number|nr|id|phone|telephone|tel|fax|zip|post|postcode|account|isbn|version");
    private static final Pattern YES_OR_NO = Pattern.compile("(?i)(?:is|has|was|can|may) .+|(?:.+ )?(?:flag|yes no)");

    private static final Pattern MONEY = Pattern.compile("(?i)(?:.+ )?(?:amount|price|cost|fee|sum|balance|salary)");
    private static final Pattern COUNT = Pattern.compile("(?i)(?:.+ )?(?:quantity|qty|stock|age)");

    private static final Pattern SEVERAL = Pattern.compile(
            "(?i)(?:.+ )?(?:tags|keywords|emails|addresses|phones|numbers|ids|codes|skills|languages|members|authors|categories|roles|groups"
                    + "|children|hobbies|interests|allergies|ingredients|items|products|colours|colors)");

    private static final int LONGEST_YES = 5;

    private static final Pattern LIST = Pattern.compile("[^,;|]{1,30}(?:[,;|][^,;|]{1,30})+");
    /** Of so many values one may be no date. */
    private static final int MOST = 5;

    private static Pattern words(String words) {
        return Pattern.compile("(?i)(?:.*[ _-])?(?:" + words + ")(?:[ _-].*)?");
    }

    @Override
    public List<Rule> rules() {
        return List.of(LIST_IN_TEXT, KEPT_AS_TEXT, APPROXIMATE, SECRET);
    }

    @Override
    public void find(Subject subject, Entity entity, Consumer<Finding> found) {
        for (Attribute attribute : entity.body().attributes()) {
            DataType type = subject.design().typeOf(attribute);
            List<String> values = values(entity.body(), attribute);
            if (type instanceof DataType.Text) {
                if ((attribute.is(Mark.SECRET)
                                || SECRETS.matcher(attribute.name()).matches())
                        && !HASHED.matcher(attribute.name()).matches()) {
                    found.accept(secret(entity, attribute));
                } else if (values.isEmpty()
                        && SEVERAL.matcher(spaced(attribute)).matches()) {
                    found.accept(of(LIST_IN_TEXT, entity, attribute).withEvidence("so it is called"));
                } else if (isList(values)) {
                    found.accept(of(LIST_IN_TEXT, entity, attribute).withEvidence("as in “" + longest(values) + "”"));
                } else {
                    kept(subject.design(), entity, attribute, values).ifPresent(found);
                }
            } else if (type == DataType.Simple.REAL
                    && (attribute.is(Mark.MONEY)
                            || attribute.is(Mark.MEASURED)
                            || AMOUNT.matcher(attribute.name()).matches())) {
                found.accept(approximate(subject.design(), entity, attribute, values));
            }
        }
    }

    private static List<String> values(Body body, Attribute attribute) {
        return body.rows().stream()
                .flatMap(row -> row.value(attribute.id()).stream())
                .toList();
    }

    private static Finding of(Rule rule, Entity entity, Attribute attribute) {
        return Finding.of(rule, new Place(entity.id(), Optional.empty(), List.of(attribute.ref())))
                .naming("entity", entity.name())
                .naming("column", attribute.name());
    }

    /** At least half of the values, and two, are lists; two parts each time may be a name turned round. */
    private static boolean isList(List<String> values) {
        List<Integer> parts = values.stream()
                .filter(value -> LIST.matcher(value).matches())
                .map(value -> value.split("[,;|]").length)
                .toList();
        boolean differ = parts.stream().distinct().count() > 1
                || values.stream().anyMatch(value -> value.contains(";") || value.contains("|"))
                || parts.stream().anyMatch(count -> count > 2);
        return parts.size() > 1 && parts.size() * 2 >= values.size() && differ;
    }

    private static String longest(List<String> values) {
        return values.stream()
                .filter(value -> LIST.matcher(value).matches())
                .reduce("", (one, other) -> other.length() > one.length() ? other : one);
    }

    private static Optional<Finding> kept(Design design, Entity entity, Attribute attribute, List<String> values) {
        Optional<DataType> called = called(attribute);
        if (values.size() < 2) {
            return called.map(type -> Retyping.offered(
                    looking(entity, attribute, type).withEvidence("so it is called"), design, attribute, type, "it"));
        }
        boolean named = called.filter(DataType.Simple.DATE::equals).isPresent();
        DataType suggested = TypeSuggestion.of(attribute.name(), values).type();
        boolean code = suggested.isNumeric() && CODE.matcher(attribute.name()).matches();
        if (!(suggested instanceof DataType.Text) && !code) {
            return Optional.of(Retyping.offered(
                    looking(entity, attribute, suggested).withEvidence("all " + values.size() + " values are such"),
                    design,
                    attribute,
                    suggested,
                    "it"));
        }
        List<String> misfits = values.stream()
                .filter(value -> !TypedValue.of(DataType.Simple.DATE, value).fits())
                .toList();
        boolean mostly = misfits.size() * MOST <= values.size();
        return mostly || named
                ? Optional.of(looking(entity, attribute, DataType.Simple.DATE)
                        .withEvidence(misfits.size() + " of " + values.size() + " values hold no date: “"
                                + String.join("”, “", misfits.stream().limit(2).toList()) + "”"))
                : Optional.empty();
    }

    /** What a text is, going by its name alone. */
    private static Optional<DataType> called(Attribute attribute) {
        String name = spaced(attribute);
        if (DAY.matcher(name).matches()) {
            return Optional.of(DataType.Simple.DATE);
        }
        boolean brief = attribute.type() instanceof DataType.Text text && text.max() > 0 && text.max() <= LONGEST_YES;
        if (brief && YES_OR_NO.matcher(name).matches()) {
            return Optional.of(DataType.Simple.YES_NO);
        }
        if (COUNT.matcher(name).matches()) {
            return Optional.of(new DataType.Whole(0));
        }
        return MONEY.matcher(name).matches() ? Optional.of(new DataType.Decimal(10, 2)) : Optional.empty();
    }

    private static String spaced(Attribute attribute) {
        return attribute.name().replace('_', ' ');
    }

    private static Finding looking(Entity entity, Attribute attribute, DataType type) {
        return of(KEPT_AS_TEXT, entity, attribute).stating("type", type.toString());
    }

    private static Finding approximate(Design design, Entity entity, Attribute attribute, List<String> values) {
        DataType suggested = TypeSuggestion.of(attribute.name(), values).type();
        DataType exact = suggested instanceof DataType.Decimal ? suggested : new DataType.Decimal(10, 2);
        return Retyping.offered(
                of(APPROXIMATE, entity, attribute).withEvidence("0.1 + 0.2 is 0.30000000000000004 there"),
                design,
                attribute,
                exact,
                "it");
    }

    private static Finding secret(Entity entity, Attribute attribute) {
        return of(SECRET, entity, attribute)
                .mendedBy(Remedy.of("keep a hash instead, without the values there are", (design, ids, given) -> {
                    Attribute now = design.attribute(attribute.id()).orElseThrow();
                    Body body = design.body(entity.id()).orElseThrow();
                    Body changed = body.withRows(body.rows().stream()
                                    .map(row -> row.with(attribute.id(), ""))
                                    .toList())
                            .replacing(now.withName(now.name() + " hash").withType(new DataType.Text(255)));
                    return new ChangeBody(entity.id(), changed, "keep a hash of " + now.name());
                }));
    }
}
