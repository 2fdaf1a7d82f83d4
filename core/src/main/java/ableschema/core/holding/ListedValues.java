package ableschema.core.holding;

import ableschema.core.brief.TypeSuggestion;
import ableschema.core.design.Attribute;
import ableschema.core.design.Body;
import ableschema.core.design.Check;
import ableschema.core.design.Condition;
import ableschema.core.design.Design;
import ableschema.core.design.Domain;
import ableschema.core.design.FreeName;
import ableschema.core.design.IdKind;
import ableschema.core.design.IdSource;
import ableschema.core.design.Lists;
import ableschema.core.design.Pins;
import ableschema.core.document.Edit;
import ableschema.core.edit.ChangeBody;
import ableschema.core.edit.ChangeKey;
import ableschema.core.edit.Compound;
import ableschema.core.edit.Edits;
import ableschema.core.edit.PutDomain;
import ableschema.core.types.DataType;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/** The values that an attribute may have, and the forms in which a design can keep to them, each turned into any other. */
public final class ListedValues {

    /** More different values than this are no list that anybody would choose from. */
    static final int MOST = 200;

    /** How values are kept to. */
    public enum Form {
        /** Any value is taken. */
        ANYTHING("anything"),
        /** A rule on the attribute names them. */
        CHECK("a check"),
        /** The type of the attribute names them. */
        LIST("a list"),
        /** A named type does, which other attributes can share. */
        NAMED_LIST("a list with a name"),
        /** Each is a row of a table of its own. */
        TABLE("a lookup table");

        private final String label;

        Form(String label) {
            this.label = label;
        }

        public String label() {
            return label;
        }
    }

    private final Design design;
    private final Attribute attribute;
    private final Body body;
    private final Form form;
    private final List<String> values;

    private ListedValues(Design design, Attribute attribute, Body body, Form form, List<String> values) {
        this.design = design;
        this.attribute = attribute;
        this.body = body;
        this.form = form;
        this.values = List.copyOf(values);
    }

    /** Empty where it holds neither words nor whole numbers, as there are no lists of other things. */
    public static Optional<ListedValues> of(Design design, Attribute attribute) {
        DataType type = design.typeOf(attribute);
        Optional<Body> body = design.ownerOf(attribute.id()).flatMap(design::body);
        if (body.isEmpty() || attribute.filling().isComputed()) {
            return Optional.empty();
        }
        if (type instanceof DataType.OneOf list) {
            Form form = attribute.type() instanceof DataType.InDomain ? Form.NAMED_LIST : Form.LIST;
            return Optional.of(new ListedValues(design, attribute, body.get(), form, list.values()));
        }
        boolean listable =
                type instanceof DataType.Text || type instanceof DataType.Whole || type instanceof DataType.Undecided;
        if (!listable) {
            return Optional.empty();
        }
        Optional<Condition.OneOf> check = check(body.get(), attribute);
        List<String> values = check.map(Condition.OneOf::values).orElseGet(() -> found(design, attribute));
        return Optional.of(new ListedValues(
                design, attribute, body.get(), check.isPresent() ? Form.CHECK : Form.ANYTHING, values));
    }

    /** The different values of the rows, and what stands where none is given. */
    private static List<String> found(Design design, Attribute attribute) {
        var values = new LinkedHashSet<>(Holdings.values(design, attribute));
        if (!values.isEmpty()) {
            preset(design, attribute).ifPresent(values::add);
        }
        return List.copyOf(values);
    }

    private static Optional<String> preset(Design design, Attribute attribute) {
        return attribute.defaultValue().literal().or(() -> design.domain(attribute.type())
                .flatMap(domain -> domain.defaultValue().literal()));
    }

    static boolean isChecked(Design design, Attribute attribute) {
        return design.ownerOf(attribute.id())
                .flatMap(design::body)
                .flatMap(body -> check(body, attribute))
                .isPresent();
    }

    private static Optional<Condition.OneOf> check(Body body, Attribute attribute) {
        return body.checks().stream()
                .flatMap(check -> Condition.read(check.expression()).stream())
                .filter(rule -> rule.column().equals(attribute.ref()))
                .filter(Condition.OneOf.class::isInstance)
                .map(Condition.OneOf.class::cast)
                .findFirst();
    }

    public Form form() {
        return form;
    }

    /** The values that are named, or where none are, the different ones that the sample rows have. */
    public List<String> values() {
        return values;
    }

    private boolean isNumbers() {
        return design.typeOf(attribute) instanceof DataType.Whole;
    }

    /** What it can be turned into, apart from what it is. */
    public List<Form> others() {
        return Stream.of(Form.values())
                .filter(each -> each != form && whyNot(each).isEmpty())
                .toList();
    }

    /** Why a form is not to be had; empty where it is. */
    public Optional<String> whyNot(Form wanted) {
        if (wanted == Form.TABLE) {
            return design.entity(design.ownerOf(attribute.id()).orElseThrow()).isPresent()
                    ? Optional.empty()
                    : Optional.of("a pairing refers to its two ends and to nothing else; make it an entity first");
        }
        if (wanted == Form.ANYTHING) {
            return Optional.empty();
        }
        if (values.isEmpty()) {
            return Optional.of(
                    "no value of " + attribute.name() + " is known yet; type the list itself, as in: list (a, b)");
        }
        if (values.size() > MOST) {
            return Optional.of(
                    values.size() + " different values are more than a list is for; a lookup table takes them");
        }
        return isNumbers() && wanted != Form.CHECK
                ? Optional.of(
                        "lists are of words; numbers are kept to by a check or by a lookup table with their meanings")
                : Optional.empty();
    }

    /**
     * Turns it into another form; rows, default, keys and rules go along.
     *
     * @throws IllegalArgumentException with why it cannot be had
     */
    public Edit as(Form wanted, IdSource ids) {
        whyNot(wanted).ifPresent(why -> {
            throw new IllegalArgumentException(why);
        });
        return switch (wanted) {
            case ANYTHING -> changed(bare(loose()), "let " + attribute.name() + " hold anything");
            case CHECK -> checked(ids);
            case LIST ->
                changed(
                        bare(attribute.withType(new DataType.OneOf(values))),
                        "make " + attribute.name() + " one of a list");
            case NAMED_LIST -> named(ids);
            case TABLE -> new ChangeKey(new LookupTable(design, attribute, withPreset()).made(ids));
        };
    }

    /** With what stands where nothing is given: a row would refer to it. */
    private List<String> withPreset() {
        return Stream.concat(values.stream(), preset(design, attribute).stream())
                .distinct()
                .toList();
    }

    /** Gives an attribute another type, and lifts the list that it was kept to. */
    static Edit released(Design design, Attribute typed, IdSource ids) {
        Attribute before = design.attribute(typed.id()).orElseThrow(); // it is changed, and so is there
        ListedValues listed = of(design, before).orElseThrow(); // asked by those that have one
        return listed.form == Form.ANYTHING
                ? new Edits(design, ids).changeAttribute(typed)
                : listed.changed(listed.bare(typed), "change " + typed.name());
    }

    private Edit changed(Body changed, String name) {
        return new ChangeBody(design.ownerOf(attribute.id()).orElseThrow(), changed, name);
    }

    /** The body with the attribute changed, and without the check that named its values. */
    private Body bare(Attribute changed) {
        return body.replacing(changed)
                .withChecks(body.checks().stream()
                        .filter(check -> Condition.read(check.expression())
                                .filter(rule -> rule instanceof Condition.OneOf
                                        && rule.column().equals(attribute.ref()))
                                .isEmpty())
                        .toList());
    }

    /** With room for values that nobody has named. */
    private Attribute loose() {
        if (!(design.typeOf(attribute) instanceof DataType.OneOf list)) {
            return attribute;
        }
        DataType seen = TypeSuggestion.of(attribute.name(), list.values()).type();
        int max = seen instanceof DataType.Text text && text.max() > list.longest() ? text.max() : list.longest();
        return attribute.withType(new DataType.Text(max));
    }

    private Edit checked(IdSource ids) {
        Attribute text = design.typeOf(attribute) instanceof DataType.OneOf list
                ? attribute.withType(new DataType.Text(list.longest()))
                : attribute;
        Body plain = bare(text);
        var rule = new Condition.OneOf(text.ref(), values);
        var check = new Check(ids.next(IdKind.CHECK), rule.expression(text.type()), Pins.NONE);
        return changed(
                plain.withChecks(Lists.plus(plain.checks(), check)),
                "have a check keep " + attribute.name() + " to its values");
    }

    private Edit named(IdSource ids) {
        String name = free(attribute.name());
        Domain domain = Domain.named(ids.next(IdKind.DOMAIN), name, new DataType.OneOf(values));
        String title = "give the list of " + attribute.name() + " a name";
        return new Compound(
                title,
                List.of(
                        new PutDomain(domain, title),
                        changed(
                                bare(attribute.withType(
                                        new DataType.InDomain(domain.id().toString()))),
                                title)));
    }

    private String free(String name) {
        return FreeName.of(name, each -> design.domain(each).isPresent());
    }
}
