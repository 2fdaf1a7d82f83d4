package ableschema.core.store;

import ableschema.core.design.ColumnRef;
import ableschema.core.design.Design;
import ableschema.core.design.EndRef;
import ableschema.core.design.Id;
import ableschema.core.design.KeyPart;
import ableschema.core.design.Pins;
import ableschema.core.design.Pins.Role;
import ableschema.core.design.Reference;
import ableschema.core.expression.Expression;
import ableschema.core.sql.dialect.Dialects;
import ableschema.core.types.DataType;
import ableschema.core.types.DataTypes;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Function;

/** Forms of small things, and what makes sure that ids are used once and refer to something. */
final class Forms {

    /** The design that is written; what is not in it any more is left out. */
    private final Design written;

    private final Set<Id> ids = new HashSet<>();
    private final List<Runnable> checksAtTheEnd = new ArrayList<>();

    Forms(Design written) {
        this.written = written;
    }

    /** The design that is written; an empty one where a file is read. */
    Design written() {
        return written;
    }

    /** Carries out what could only be checked once all ids are known. */
    void check() {
        checksAtTheEnd.forEach(Runnable::run);
    }

    /** The id of a new thing. */
    final Form<Id> newId = Form.text(Id::parse).checked((json, id) -> {
        if (!ids.add(id)) {
            throw json.misfit("two things have the id " + id);
        }
    });

    /** The id of something else in the file. */
    final Form<Id> known = Form.text(Id::parse).checked(this::requireKnown);

    final Form<KeyPart> part = Form.text(KeyPart::parse).checked(this::requireKnown);

    final Form<ColumnRef> column = Form.text(ColumnRef::parse).checked(this::requireKnown);

    final Form<Expression<ColumnRef>> expression = Form.<Expression<ColumnRef>>text(
                    text -> Expression.parse(text, ColumnRef::parse))
            .checked((json, read) -> read.columns().forEach(column -> requireKnown(json, column)));

    /** The name of a dialect that there is. */
    static final Form<String> DIALECT = Form.text(name -> Dialects.named(name)
            .map(dialect -> name)
            .orElseThrow(
                    () -> new IllegalArgumentException("'" + name + "' is no dialect; there are " + Dialects.names())));

    final Form<DataType> type = Form.text(DataTypes::parse).checked((json, read) -> {
        if (read instanceof DataType.InDomain in) {
            requireKnown(json, attempt(json, in.domain(), Id::parse));
        }
    });

    void requireKnown(Node place, Id id) {
        checksAtTheEnd.add(() -> {
            if (!ids.contains(id)) {
                throw place.misfit("it refers to " + id + ", which is not in this file");
            }
        });
    }

    void requireKnown(Node place, KeyPart part) {
        part.through().ifPresent(end -> requireKnown(place, end.relationship()));
        if (part instanceof ColumnRef.Own own) {
            requireKnown(place, own.id());
        }
    }

    void requireKnown(Node place, EndRef end) {
        requireKnown(place, end.relationship());
    }

    static <T> T attempt(Node json, String text, Function<String, T> reading) {
        try {
            return reading.apply(text);
        } catch (IllegalArgumentException e) {
            throw json.misfit(String.valueOf(e.getMessage()));
        }
    }

    private static final Form<Map<String, String>> OPTIONS = Form.<Map<String, String>>object(
                    members -> members.others(Form.TEXT, List.of(), options -> options))
            .checked((json, options) -> options.forEach((option, value) -> attempt(json, option, name -> {
                Dialects.requireOption(name, value);
                return name;
            })));

    static final Form<Map<String, String>> CHOICES = Form.<Map<String, String>>object(
                    members -> members.others(Form.TEXT, List.of(), choices -> choices))
            .checked((json, choices) -> choices.forEach((choice, value) -> attempt(json, choice, name -> {
                Dialects.requireChoice(name, value);
                return name;
            })));

    /** What can be pinned of a thing with a table or columns of its own. */
    static <O> Pins pins(Members<O> members, Function<O, Pins> getter) {
        var names = new LinkedHashMap<Role, String>();
        name(members, "physicalName", Role.ITSELF, getter, names);
        name(members, "keyName", Role.KEY, getter, names);
        String namespace = members.text("namespace", each -> getter.apply(each).namespace());
        int place = members.optional(
                "place", Form.NUMBER, 0, each -> getter.apply(each).place());
        Map<String, String> options = members.optional(
                "options", OPTIONS, Map.of(), each -> getter.apply(each).options());
        return new Pins(names, namespace, place, options);
    }

    /** What can be pinned of a reference. */
    static <O> Pins referencePins(Members<O> members, Function<O, Pins> getter) {
        var names = new LinkedHashMap<Role, String>();
        name(members, "foreignKeyName", Role.ITSELF, getter, names);
        name(members, "uniqueName", Role.UNIQUE, getter, names);
        name(members, "indexName", Role.INDEX, getter, names);
        Map<String, String> options = members.optional(
                "options", OPTIONS, Map.of(), each -> getter.apply(each).options());
        return new Pins(names, "", 0, options);
    }

    private static <O> void name(
            Members<O> members, String member, Role role, Function<O, Pins> getter, Map<Role, String> names) {
        String name = members.text(member, each -> getter.apply(each).name(role));
        if (!name.isEmpty()) {
            names.put(role, name);
        }
    }

    /** Whether what a reference names is still there. */
    boolean isThere(Reference reference) {
        return reference.targetKey().isEmpty()
                || written.entities().stream()
                        .flatMap(entity -> entity.body().uniques().stream())
                        .anyMatch(unique ->
                                unique.id().equals(reference.targetKey().get()));
    }
}
