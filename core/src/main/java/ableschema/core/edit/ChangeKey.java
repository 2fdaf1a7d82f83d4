package ableschema.core.edit;

import ableschema.core.design.Body;
import ableschema.core.design.ColumnRef;
import ableschema.core.design.Design;
import ableschema.core.design.EndRef;
import ableschema.core.design.Entity;
import ableschema.core.design.ForeignColumn;
import ableschema.core.design.Id;
import ableschema.core.design.Index;
import ableschema.core.design.KeyPart;
import ableschema.core.design.Relationship;
import ableschema.core.design.Unique;
import ableschema.core.document.Document;
import ableschema.core.document.Edit;
import ableschema.core.expression.Expression;
import ableschema.core.mapping.Keys;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * An edit that makes a key another, and carries it through: a unique rule or an index over all columns by which a table refers to
 * the key is over those by which it refers from then on. A check on such a column cannot follow, as it speaks of other values.
 */
public record ChangeKey(Edit choice) implements Edit {

    @Override
    public String name() {
        return choice.name();
    }

    @Override
    public Document applyTo(Document document) {
        Document next = choice.applyTo(document);
        return next == document ? document : next.with(new Following(document.design(), next.design()).followed());
    }

    /** What speaks of a key that is no more in the words of the one that is. */
    private static final class Following {

        private final Design after;
        private final Keys keysBefore;
        private final Keys keysAfter;

        Following(Design before, Design after) {
            this.after = after;
            this.keysBefore = new Keys(before);
            this.keysAfter = new Keys(after);
        }

        Design followed() {
            Design design = after;
            List<Id> owners = Stream.concat(
                            after.entities().stream().map(Entity::id),
                            after.relationships().stream().map(Relationship::id))
                    .toList();
            for (Id owner : owners) {
                Body body = after.body(owner).orElse(Body.EMPTY);
                Body changed = followed(body);
                design = changed.equals(body) ? design : design.withBody(owner, changed);
            }
            return design;
        }

        private Body followed(Body body) {
            if (body.uniques().isEmpty()
                    && body.indexes().isEmpty()
                    && body.key().size() < 2) {
                return body;
            }
            List<Unique> uniques = body.uniques().stream()
                    .map(unique -> new Unique(unique.id(), followed(unique.parts()), unique.pins()))
                    .toList();
            List<Index> indexes = body.indexes().stream().map(this::followed).toList();
            return body.withKey(followed(body.key())).withUniques(uniques).withIndexes(indexes);
        }

        private List<KeyPart> followed(List<KeyPart> parts) {
            List<KeyPart> changed = parts;
            for (EndRef end : ends(parts.stream().map(KeyPart::through))) {
                List<ColumnRef> before = keysBefore.referring(end);
                if (hasChanged(end) && changed.containsAll(before)) {
                    changed = inPlaceOf(before, List.<KeyPart>of(new KeyPart.WholeReference(end)), changed);
                }
            }
            return changed;
        }

        private Index followed(Index index) {
            List<Index.Part> changed = index.parts();
            for (EndRef end : ends(index.parts().stream()
                    .flatMap(part -> part.column().stream())
                    .map(ColumnRef::through))) {
                List<Index.Part> before = parts(keysBefore.referring(end), index);
                boolean covered = before.size() == keysBefore.referring(end).size();
                if (hasChanged(end) && covered) {
                    boolean descending = before.get(0).descending();
                    List<Index.Part> now = keysAfter.referring(end).stream()
                            .map(column -> new Index.Part(Expression.column(column), descending))
                            .toList();
                    changed = inPlaceOf(before, now, changed);
                }
            }
            return new Index(index.id(), changed, index.unique(), index.purpose(), index.only(), index.pins());
        }

        private static List<Index.Part> parts(List<ColumnRef> columns, Index index) {
            return index.parts().stream()
                    .filter(part -> part.column().filter(columns::contains).isPresent())
                    .toList();
        }

        /** The references that parts come by, each once. */
        private static List<EndRef> ends(Stream<Optional<EndRef>> through) {
            return through.flatMap(Optional::stream).distinct().toList();
        }

        private boolean hasChanged(EndRef end) {
            List<ColumnRef> before = keysBefore.referring(end);
            List<ColumnRef> now = keysAfter.referring(end);
            boolean keyed = now.stream()
                    .allMatch(column -> column instanceof ForeignColumn foreign
                            && !(foreign.target() instanceof ColumnRef.Keyless));
            return !before.isEmpty() && !now.isEmpty() && keyed && !before.equals(now);
        }

        private static <T> List<T> inPlaceOf(List<? extends T> old, List<T> now, List<T> all) {
            var changed = new ArrayList<T>();
            boolean put = false;
            for (T each : all) {
                if (!old.contains(each)) {
                    changed.add(each);
                } else if (!put) {
                    changed.addAll(now);
                    put = true;
                }
            }
            return changed;
        }
    }
}
