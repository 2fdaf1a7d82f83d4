package ableschema.core.words;

import ableschema.core.design.Attribute;
import ableschema.core.design.Body;
import ableschema.core.design.Check;
import ableschema.core.design.ColumnRef;
import ableschema.core.design.Condition;
import ableschema.core.design.Design;
import ableschema.core.design.Pins;
import ableschema.core.design.Unique;
import ableschema.core.expression.Expression;
import ableschema.core.types.DataTypes;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;

/** Says the attributes of a body in the short notation: {@code stand no: whole 500 (key; greater than 0)}. */
final class AttributeWords {

    private final Design design;
    private final Body body;

    /** @param design where domains are looked up */
    AttributeWords(Design design, Body body) {
        this.design = design;
        this.body = body;
    }

    List<String> said() {
        return attributes().map(this::said).toList();
    }

    /** The attributes that have words; another of the same name would be taken for the first. */
    private Stream<Attribute> attributes() {
        return body.attributes().stream()
                .filter(a -> body.attribute(a.name()).filter(a::equals).isPresent());
    }

    int unsaid() {
        return body.attributes().size() - (int) attributes().count();
    }

    boolean says(Attribute attribute) {
        return attributes().anyMatch(attribute::equals);
    }

    /** The body without all that the sentence says of its attributes, so that another sentence can say all of it. */
    Body withoutWhatIsSaid() {
        Body bare = body.withAttributes(
                        body.attributes().stream().map(this::bare).toList())
                .withUniques(body.uniques().stream()
                        .filter(unique -> attributes().noneMatch(a -> isMark(unique, a)))
                        .toList())
                .withChecks(body.checks().stream().filter(check -> !says(check)).toList());
        return saysKey() ? bare.withKey(List.of()) : bare;
    }

    private Attribute bare(Attribute attribute) {
        if (!says(attribute)) {
            return attribute;
        }
        Attribute bare = attribute
                .withType(DataTypes.UNDECIDED)
                .withOptional(false)
                .withMarks(Set.of())
                .withPattern("");
        boolean said = attribute.defaultValue().isPresent() && saysDefault(attribute);
        return said ? bare.withDefault(Expression.none()) : bare;
    }

    /** Whether a unique is said by the mark on an attribute: the first that is on this attribute alone. */
    boolean isMark(Unique unique, Attribute attribute) {
        return body.uniques().stream()
                .filter(each -> each.parts().equals(List.of(attribute.ref())))
                .findFirst()
                .filter(unique::equals)
                .isPresent();
    }

    /** Whether the key is said by marks on the attributes alone. */
    boolean saysKey() {
        List<ColumnRef> marked = attributes()
                .map(Attribute::ref)
                .filter(ref -> body.key().contains(ref))
                .toList();
        return !marked.isEmpty() && body.key().equals(marked);
    }

    /** Whether a check is said as a rule on its attribute. */
    boolean says(Check check) {
        return check.pins().equals(Pins.NONE)
                && attributes().anyMatch(a -> condition(a, check).isPresent());
    }

    boolean saysDefault(Attribute attribute) {
        return !attribute.defaultValue().isPresent() || saidDefault(attribute).isPresent();
    }

    /** Empty where the domain of the attribute has no such value. */
    private Optional<String> saidDefault(Attribute attribute) {
        return ConditionText.saidDefault(attribute)
                .filter(text -> isRead(() -> ConditionText.readDefault(plain(attribute), text)));
    }

    /** With the type that its domain holds, by which what is said of its values is judged. */
    private Attribute plain(Attribute attribute) {
        return attribute.withType(design.typeOf(attribute));
    }

    private static boolean isRead(Runnable reading) {
        try {
            reading.run();
            return true;
        } catch (IllegalArgumentException e) {
            return false; // it names a value that the type has not
        }
    }

    private Optional<Condition> condition(Attribute attribute, Check check) {
        return Condition.read(check.expression())
                .filter(condition -> condition.column().equals(attribute.ref())
                        && condition.expression(attribute.type()).equals(check.expression())
                        && readsBack(attribute, condition));
    }

    private boolean readsBack(Attribute attribute, Condition condition) {
        String said = ConditionText.said(condition);
        return isRead(() -> ConditionText.read(plain(attribute), said))
                && ConditionText.read(attribute, said).filter(condition::equals).isPresent();
    }

    private String said(Attribute attribute) {
        String rest = typeAndFlags(attribute);
        boolean typed = !attribute.type().equals(DataTypes.UNDECIDED);
        boolean bare = !typed
                && rest.isEmpty()
                && !attribute.optional()
                && attributes().count() == 1;
        String name = bare && isPluralOfEntity(attribute.name())
                ? Quoted.of(attribute.name())
                : Nouns.listed(attribute.name());
        return (attribute.optional() ? "[" + name + "]" : name) + (typed ? ": " : "") + rest;
    }

    /** "Each row has seats" would be read as rows that have several seats. */
    private boolean isPluralOfEntity(String name) {
        return new SaidNouns(design, Set.of()).entity(name).isPresent();
    }

    /** What stands behind the colon: the type, and in brackets what else there is to say. */
    String typeAndFlags(Attribute attribute) {
        boolean typed = !attribute.type().equals(DataTypes.UNDECIDED);
        List<String> flags = flags(attribute);
        return (typed ? new DomainWords(design).type(attribute.type()) : "")
                + (flags.isEmpty() ? "" : " (" + String.join("; ", flags) + ")");
    }

    private List<String> flags(Attribute attribute) {
        var flags = new ArrayList<String>();
        if (saysKey() && body.key().contains(attribute.ref())) {
            flags.add("key");
        }
        if (body.isUnique(attribute)) {
            flags.add("unique");
        }
        if (attribute.defaultValue().isPresent()) {
            saidDefault(attribute).ifPresent(text -> flags.add("default " + text));
        }
        for (Check check : body.checks()) {
            if (check.pins().equals(Pins.NONE)) {
                condition(attribute, check).map(ConditionText::said).ifPresent(flags::add);
            }
        }
        if (!attribute.pattern().isEmpty()) {
            flags.add("pattern " + Nouns.listed(attribute.pattern()));
        }
        attribute.marks().forEach(mark -> flags.add(mark.toString()));
        return flags;
    }
}
