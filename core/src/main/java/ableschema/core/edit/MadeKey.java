package ableschema.core.edit;

import ableschema.core.design.Attribute;
import ableschema.core.design.Body;
import ableschema.core.design.FreeName;
import ableschema.core.design.IdKind;
import ableschema.core.design.IdSource;
import ableschema.core.design.Row;
import ableschema.core.expression.Expression;
import ableschema.core.types.DataType;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.UUID;
import java.util.stream.Stream;

/**
 * An attribute that is made to be the key, and that the database fills.
 *
 * @param rows the sample rows of its entity, each with a value
 */
public record MadeKey(Attribute attribute, List<Row> rows) {

    public MadeKey {
        rows = List.copyOf(rows);
    }

    /** @param entity what is numbered, after which the number is called */
    public static MadeKey counted(String entity, Body body, IdSource ids) {
        String name = free(entity.toLowerCase(Locale.ROOT) + " no", body);
        Attribute attribute = Attribute.named(ids.next(IdKind.ATTRIBUTE), name).withType(new DataType.Counted(1, 1));
        var rows = new ArrayList<Row>();
        for (Row row : body.rows()) {
            rows.add(row.with(attribute.id(), Integer.toString(rows.size() + 1)));
        }
        return new MadeKey(attribute, rows);
    }

    public static MadeKey uuid(Body body, IdSource ids) {
        Attribute attribute = Attribute.named(ids.next(IdKind.ATTRIBUTE), free("id", body))
                .withType(DataType.Simple.UUID)
                .withDefault(Expression.of(new Expression.Text<>("new_uuid()")));
        List<Row> rows = body.rows().stream()
                .map(row -> row.with(
                        attribute.id(),
                        UUID.nameUUIDFromBytes(row.id().toString().getBytes(StandardCharsets.UTF_8))
                                .toString()))
                .toList();
        return new MadeKey(attribute, rows);
    }

    private static String free(String wanted, Body body) {
        return FreeName.of(wanted, name -> body.attribute(name).isPresent());
    }

    /** The body that it was made for, with the attribute before its others and as its key. */
    public Body in(Body body) {
        return body.withAttributes(Stream.concat(Stream.of(attribute), body.attributes().stream())
                        .toList())
                .withRows(rows)
                .withKey(List.of(attribute.ref()));
    }
}
