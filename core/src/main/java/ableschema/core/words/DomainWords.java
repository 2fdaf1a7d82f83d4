package ableschema.core.words;

import ableschema.core.design.Attribute;
import ableschema.core.design.Body;
import ableschema.core.design.Check;
import ableschema.core.design.ColumnRef;
import ableschema.core.design.Design;
import ableschema.core.design.Domain;
import ableschema.core.design.Domain.Value;
import ableschema.core.design.IdKind;
import ableschema.core.design.IdSource;
import ableschema.core.design.Pins;
import ableschema.core.edit.PutDomain;
import ableschema.core.expression.Expression;
import ableschema.core.types.DataType;
import ableschema.core.types.DataTypes;
import java.util.List;
import java.util.Optional;

/**
 * Says domains, and reads them, as if each were one attribute: {@code The domain net weight holds decimal 6,2 (greater than 0;
 * default 1).} An attribute of it says {@code weight: domain net weight}.
 */
public final class DomainWords {

    private static final String KEYWORD = "domain ";

    private final Design design;

    public DomainWords(Design design) {
        this.design = design;
    }

    /** The type of an attribute in words; a domain by its name. */
    public String type(DataType type) {
        return design.domain(type)
                .map(domain -> KEYWORD + Nouns.listed(domain.name()))
                .orElseGet(type::toString);
    }

    /** Reads a type; an {@link IllegalArgumentException} says what was expected. */
    public DataType read(String text) {
        String given = text.strip();
        if (!given.regionMatches(true, 0, KEYWORD, 0, KEYWORD.length())) {
            return DataTypes.parse(given);
        }
        String name = Quoted.plain(given.substring(KEYWORD.length()).strip());
        return design.domain(name)
                .<DataType>map(domain -> new DataType.InDomain(domain.id().toString()))
                .orElseThrow(() -> new IllegalArgumentException("there is no domain called " + name
                        + " yet; one is made as in: The domain " + name + " holds text 40."));
    }

    /** The sentence of a domain, without a check and a default that have no words. */
    String said(Domain domain) {
        Domain sayable = sayable(domain);
        Attribute attribute = asAttribute(sayable);
        var words = new AttributeWords(design, body(sayable, attribute));
        return "The domain " + Nouns.listed(domain.name()) + " holds " + words.typeAndFlags(attribute) + ".";
    }

    /** A domain without what has no words. */
    Domain sayable(Domain domain) {
        Attribute attribute = asAttribute(domain);
        Body body = body(domain, attribute);
        var words = new AttributeWords(design, body);
        Domain filled = words.saysDefault(attribute) ? domain : domain.withDefault(Expression.none());
        return body.checks().stream().allMatch(words::says) ? filled : filled.withCheck(Expression.none());
    }

    private static Body body(Domain domain, Attribute attribute) {
        Body body = Body.EMPTY.withAttributes(List.of(attribute));
        if (!domain.check().isPresent()) {
            return body;
        }
        Expression<ColumnRef> check = domain.check().map(value -> attribute.ref());
        return body.withChecks(List.of(new Check(domain.id(), check, Pins.NONE)));
    }

    private static Attribute asAttribute(Domain domain) {
        Attribute attribute = Attribute.named(domain.id(), domain.name()).withType(domain.base());
        return attribute.withDefault(domain.defaultValue().map(value -> attribute.ref()));
    }

    /**
     * What a sentence makes of a domain.
     *
     * @param flags what stood in brackets, read for an attribute of the same type
     */
    PutDomain put(String name, DataType base, Optional<AttributeFlags> flags, IdSource ids) {
        Domain before = design.domain(name).orElseGet(() -> Domain.named(ids.next(IdKind.DOMAIN), name, base));
        Expression<Value> check = flags.map(read -> read.rulesFor(Body.EMPTY, ids))
                .flatMap(body -> body.checks().stream().findFirst())
                .map(each -> each.expression().map(column -> Value.VALUE))
                .orElse(Expression.none());
        Expression<Value> byDefault = flags.map(
                        read -> read.attribute().defaultValue().map(column -> Value.VALUE))
                .orElse(Expression.none());
        Domain sayable = sayable(before); // what has no words stays when a sentence does not speak of it
        boolean keepsCheck = !check.isPresent() && !sayable.check().isPresent();
        boolean keepsDefault = !byDefault.isPresent() && !sayable.defaultValue().isPresent();
        Domain domain = before.withBase(base)
                .withCheck(keepsCheck ? before.check() : check)
                .withDefault(keepsDefault ? before.defaultValue() : byDefault);
        return new PutDomain(domain, "say what the domain " + name + " holds");
    }

    /** An attribute by which the rules of a domain are read. */
    static Attribute standIn(String name, DataType base, IdSource ids) {
        return Attribute.named(ids.next(IdKind.ATTRIBUTE), name).withType(base);
    }
}
