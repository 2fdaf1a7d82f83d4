package ableschema.core.brief;

import ableschema.core.design.Attribute;
import ableschema.core.design.Body;
import ableschema.core.design.Condition;
import ableschema.core.types.DataType;
import ableschema.core.types.DataTypes;
import java.math.BigDecimal;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Pattern;
import java.util.stream.Stream;

/** The type that the name of an attribute, its unit and its bounds make likely where no value tells more. */
public final class TypeByName {

    private record Sign(Pattern name, DataType type, String reason) {}

    private static final Pattern NUMBER = Pattern.compile("-?\\d{1,15}(?:\\.\\d{1,9})?");
    private static final Pattern TIME = Pattern.compile("(?:.* )?time");

    /** The first that fits counts, so that a "phone number" is no number of phones. */
    private static final List<Sign> SIGNS = List.of(
            sign(
                    ".* in (?:seconds|minutes|days|weeks|months|years|bytes|pixels|pieces)",
                    "whole",
                    "so many of its unit are counted"),
            sign(
                    ".* in (?:euros?|dollars?|pounds?|francs?|cents?)",
                    "decimal 10,2",
                    "sums of money are exact to the cent"),
            sign(".* in percent|(?:.* )?percentage(?: of .*)?", "decimal 5,2", "a percentage may be a broken one"),
            sign(".* in \\p{L}+(?: \\p{L}+)?", "decimal 9,2", "what is measured in a unit is seldom whole"),
            sign(
                    "(?:number|amount|quantity|count) of .*|(?:.* )?(?:quantity|capacity|age|pages|seats|copies|score|rating|priority|severity|position|floor|stock)",
                    "whole",
                    "it is counted"),
            sign(
                    "date of .*|(?:.* )?(?:date|birthday|day)|(?:valid )?(?:from|until|since)|\\p{L}+(?:ed|t|n|ld) on|(?:starts|ends|expires) on|valid (?:from|until)",
                    "date",
                    "a day is called so"),
            sign("\\p{L}+(?:ed|t|n) at|(?:starts|ends) at|(?:.* )?timestamp", "moment", "a moment is called so"),
            sign("year of .*|(?:.* )?year", "year", "a year is called so"),
            sign(
                    "(?:.* )?(?:price|cost|costs|fee|salary|wage|rent|budget|premium|balance|deposit|total|amount|sum|payment)(?: per .*)?|amount \\p{L}+",
                    "decimal 10,2",
                    "sums of money are exact to the cent"),
            sign("(?:.* )?(?:latitude|longitude)", "decimal 9,6", "degrees to the width of a hand"),
            sign(
                    "(?:.* )?(?:weight|length|width|height|depth|area|volume|temperature|distance|speed|diameter|thickness)",
                    "decimal 9,2",
                    "what is measured is seldom whole"),
            sign("(?:.* )?(?:e-?mail|mail)(?: address)?", "text 80", "mail addresses are seldom longer"),
            sign(
                    "(?:.* )?(?:phone|telephone|mobile|fax)(?: number| no)?",
                    "text 20",
                    "a phone number begins with 0 or +"),
            sign("(?:.* )?(?:website|url|link|homepage)", "text 200", "an address on the web"),
            sign("(?:.* )?(?:postcode|zip|postal code|zip code)", "text 12", "a postcode may begin with 0"),
            sign("(?:.* )?password", "text 200", "what is kept of a password is long"),
            sign(
                    "(?:.* )?(?:code|isbn|iban|sku|barcode|plate|registration|checksum)",
                    "text 30",
                    "letters and digits with which nobody reckons"),
            sign("number|no", "whole", "a number by itself is one"),
            sign("(?:.* )?(?:number|no|id)", "text 20", "nobody reckons with it, and it may begin with 0"),
            sign(
                    "(?:.* )?(?:description|text|notes?|remarks?|comments?|reason|biography|abstract|summary|definition|message)",
                    "text 500",
                    "people write there as much as they like"),
            sign("(?:.* )?(?:title|subject|headline|caption)", "text 120", "a title is called so"),
            sign("(?:.* )?(?:name|surname|person|author|maker|manufacturer)", "text 60", "a name is called so"),
            sign(
                    "(?:.* )?(?:address|street|city|town|village|country|nationality|place|location|region|destination)",
                    "text 80",
                    "places are called by words"),
            sign(
                    "(?:.* )?(?:colou?r|status|state|kind|type|category|sex|gender|grade|level|unit|brand|make|model|material|language|currency|genre|role|rank|form|method)",
                    "text 30",
                    "a word says it"),
            sign("(?:is|has|can) .*", "yes/no", "the name asks for yes or no"));

    private TypeByName() {}

    private static Sign sign(String name, String type, String reason) {
        return new Sign(Pattern.compile(name), DataTypes.parse(type), reason);
    }

    /**
     * Looks at the name and at what holds for the attribute; empty where neither tells.
     *
     * @param body of the entity or relationship that has the attribute
     */
    public static Optional<TypeSuggestion> of(Attribute attribute, Body body) {
        String name =
                attribute.name().toLowerCase(Locale.ROOT).replace('_', ' ').strip();
        Optional<TypeSuggestion> named = TIME.matcher(name).matches()
                ? Optional.of(time(body))
                : SIGNS.stream()
                        .filter(sign -> sign.name().matcher(name).matches())
                        .findFirst()
                        .map(sign -> new TypeSuggestion(sign.type(), sign.reason()));
        List<BigDecimal> bounds = bounds(attribute, body);
        boolean number = named.filter(one -> one.type().isNumeric()).isPresent();
        return bounds.isEmpty() || number ? named : Optional.of(within(bounds));
    }

    /** Beside a date it is the time of that day. */
    private static TypeSuggestion time(Body body) {
        boolean day = body.attributes().stream()
                .anyMatch(each -> each.name().toLowerCase(Locale.ROOT).matches("(?:.* )?(?:date|day)"));
        return day
                ? new TypeSuggestion(DataType.Simple.TIME, "the day stands beside it")
                : new TypeSuggestion(DataType.Simple.MOMENT, "no day stands beside it");
    }

    private static TypeSuggestion within(List<BigDecimal> bounds) {
        int places = bounds.stream().mapToInt(BigDecimal::scale).max().orElse(0);
        return places > 0
                ? new TypeSuggestion(new DataType.Decimal(9 + places, places), "its bounds are broken numbers")
                : new TypeSuggestion(DataTypes.parse("whole"), "its bounds are whole numbers");
    }

    /** The numbers with which a rule compares it; none where it is compared with anything else. */
    private static List<BigDecimal> bounds(Attribute attribute, Body body) {
        List<String> values = body.checks().stream()
                .flatMap(check -> Condition.read(check.expression()).stream())
                .filter(rule -> rule.column().equals(attribute.ref()))
                .flatMap(TypeByName::values)
                .toList();
        return values.stream().allMatch(value -> NUMBER.matcher(value).matches())
                ? values.stream().map(BigDecimal::new).toList()
                : List.of();
    }

    private static Stream<String> values(Condition rule) {
        if (rule instanceof Condition.Range range) {
            return Stream.of(range.low(), range.high());
        }
        return rule instanceof Condition.Comparison comparison ? Stream.of(comparison.value()) : Stream.empty();
    }
}
