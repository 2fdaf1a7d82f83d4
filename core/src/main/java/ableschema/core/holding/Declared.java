package ableschema.core.holding;

import ableschema.core.design.Attribute;
import ableschema.core.design.Body;
import ableschema.core.design.Cardinality;
import ableschema.core.design.ColumnRef;
import ableschema.core.design.Condition;
import ableschema.core.design.Design;
import ableschema.core.design.End;
import ableschema.core.design.EndRef;
import ableschema.core.design.Entity;
import ableschema.core.design.IdKind;
import ableschema.core.design.IdSource;
import ableschema.core.design.ReferenceColumn;
import ableschema.core.design.Relationship;
import ableschema.core.design.Row;
import ableschema.core.document.Edit;
import ableschema.core.edit.ChangeBody;
import ableschema.core.edit.Compound;
import ableschema.core.edit.PutRelationship;
import ableschema.core.types.DataType;
import ableschema.core.types.TypedValue;
import ableschema.core.words.Nouns;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** What follows where an attribute that holds keys of another entity is made a reference that the database checks. */
public final class Declared {

    private final Design design;
    private final Entity from;
    private final Attribute attribute;
    private final Entity to;
    private final Attribute key;
    /** By their keys, read only when they are asked for, as most that could be declared is never asked about its rows. */
    private Optional<Map<String, Row>> parents = Optional.empty();

    private Declared(Design design, Entity from, Attribute attribute, Entity to, Attribute key) {
        this.design = design;
        this.from = from;
        this.attribute = attribute;
        this.to = to;
        this.key = key;
    }

    /** Empty where the other has no key of one attribute of its own, or one of another kind of values. */
    public static Optional<Declared> of(Design design, Attribute attribute, Entity to) {
        Optional<Entity> from = design.ownerOf(attribute.id()).flatMap(design::entity);
        Optional<Attribute> key = soleKey(to);
        if (from.isEmpty()
                || key.isEmpty()
                || key.get().id().equals(attribute.id())
                || attribute.filling().isComputed()) {
            return Optional.empty();
        }
        return isAlike(design.typeOf(attribute), design.typeOf(key.get()))
                ? Optional.of(new Declared(design, from.get(), attribute, to, key.get()))
                : Optional.empty();
    }

    /** The one attribute that is the key of an entity; empty where it is none, several or a reference. */
    public static Optional<Attribute> soleKey(Entity entity) {
        Body body = entity.body();
        return body.key().size() == 1 && body.key().get(0) instanceof ColumnRef.Own own
                ? body.attribute(own.id())
                : Optional.empty();
    }

    /** Whether values of one could be values of the other. */
    private static boolean isAlike(DataType one, DataType key) {
        boolean numbers = isWhole(one) && isWhole(key);
        boolean texts = one instanceof DataType.Text && key instanceof DataType.Text;
        boolean unknown = one instanceof DataType.Undecided && !(key instanceof DataType.Undecided);
        return numbers || texts || unknown || one instanceof DataType.Simple && one.equals(key);
    }

    /** A number that is handed out is a key of its own, and never one of another. */
    private static boolean isWhole(DataType type) {
        return type instanceof DataType.Whole || type instanceof DataType.Counted;
    }

    private static String canonical(DataType type, String value) {
        TypedValue typed = TypedValue.of(type, value);
        return typed.fits() ? typed.canonical() : value;
    }

    public Entity to() {
        return to;
    }

    /** How many of the values in the sample rows are keys there. */
    public long matching() {
        return values().stream().filter(this::isThere).count();
    }

    /** The values of the sample rows, in their order. */
    public List<String> values() {
        return Holdings.values(design, attribute);
    }

    /** Values that are no key there, each once. */
    public List<String> orphans() {
        return values().stream().filter(value -> !isThere(value)).distinct().toList();
    }

    private boolean isThere(String value) {
        return parents().containsKey(canonical(design.typeOf(key), value));
    }

    private Map<String, Row> parents() {
        if (parents.isEmpty()) {
            DataType type = design.typeOf(key);
            var byKey = new HashMap<String, Row>();
            for (Row row : to.body().rows()) {
                row.value(key.id()).ifPresent(value -> byKey.put(canonical(type, value), row));
            }
            parents = Optional.of(byKey);
        }
        return parents.get();
    }

    private boolean isAlone() {
        return from.body().isUnique(attribute) || from.body().key().equals(List.of(attribute.ref()));
    }

    private boolean mayBeMissing() {
        return attribute.optional() && !from.body().key().contains(attribute.ref());
    }

    /** Why the numbers at its ends are what they are. */
    public String reason(Nouns nouns) {
        String here = isAlone()
                ? attribute.name() + " is unique, so that each " + nouns.one(to) + " has at most one " + nouns.one(from)
                : attribute.name() + " may repeat, so that each " + nouns.one(to) + " has any number of "
                        + nouns.many(from);
        return here + "; "
                + (mayBeMissing()
                        ? "it may be empty, so that there may be no " + nouns.one(to)
                        : "it must be there, and so must the " + nouns.one(to));
    }

    /** In one step: the relationship, and the entity without the attribute; a row without a parent keeps what it said. */
    public Edit edit(IdSource ids) {
        String title = "make " + attribute.name() + " of " + from.name() + " a reference to " + to.name();
        End parent = new End(
                to.id(),
                "is referred to by",
                mayBeMissing() ? Cardinality.AT_MOST_ONE : Cardinality.EXACTLY_ONE,
                role());
        parent = parent.with(parent.reference().with(column()));
        Relationship relationship = Relationship.referring(
                ids.next(IdKind.RELATIONSHIP),
                new End(from.id(), "refers to", isAlone() ? Cardinality.AT_MOST_ONE : Cardinality.ANY_NUMBER, ""),
                parent);
        return new Compound(
                title,
                List.of(
                        new PutRelationship(relationship, title),
                        new ChangeBody(from.id(), referring(relationship.referred()), title)));
    }

    /** What stands before the name of the other: {@code home} in {@code home berth no}. */
    private String role() {
        String name = words(attribute.name());
        String of = words(to.name());
        int at = name.indexOf(of);
        return at > 0 ? name.substring(0, at + of.length()).strip() : "";
    }

    /** The words of a name in small letters with a space between, whether it is written home berth, home_berth or homeBerth. */
    public static String words(String name) {
        var words = new StringBuilder(name.length() + 4);
        char before = ' ';
        for (int i = 0; i < name.length(); i++) {
            char letter = name.charAt(i);
            boolean gap = letter == '_' || letter == '-' || Character.isWhitespace(letter);
            boolean turns = Character.isUpperCase(letter) && Character.isLowerCase(before);
            if ((gap || turns) && !words.isEmpty() && words.charAt(words.length() - 1) != ' ') {
                words.append(' ');
            }
            if (!gap) {
                words.append(Character.toLowerCase(letter));
            }
            before = letter;
        }
        return words.toString().stripTrailing();
    }

    /** The column is called as it was, as programs know it by its name. */
    private ReferenceColumn column() {
        ReferenceColumn column = ReferenceColumn.to(key.ref())
                .withDefault(attribute.defaultValue())
                .withComment(attribute.comment())
                .withPins(attribute.pins());
        return column.pins().name().isEmpty() ? column.withName(attribute.name().replace(' ', '_')) : column;
    }

    private Body referring(EndRef end) {
        Body before = from.body();
        Body without = before.withChecks(before.checks().stream()
                .filter(check -> Condition.read(check.expression())
                        .filter(rule -> rule.column().equals(attribute.ref()))
                        .isEmpty())
                .toList());
        var rows = new ArrayList<Row>();
        for (Row row : before.rows()) {
            Optional<Row.Reference> to = row.value(attribute.id()).map(this::reference);
            rows.add(row.with(attribute.id(), "").with(end, to));
        }
        return Exchange.referenceFor(without, attribute, end, key.ref()).withRows(rows);
    }

    private Row.Reference reference(String value) {
        Row parent = parents().get(canonical(design.typeOf(key), value));
        return parent == null ? new Row.RawKey(List.of(value)) : Row.Reference.to(parent);
    }
}
