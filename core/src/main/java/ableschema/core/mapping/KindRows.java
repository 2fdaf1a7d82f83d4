package ableschema.core.mapping;

import ableschema.core.design.Design;
import ableschema.core.design.EndRef;
import ableschema.core.design.Entity;
import ableschema.core.design.Id;
import ableschema.core.design.Relationship;
import ableschema.core.design.Row;
import ableschema.core.design.Side;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.UnaryOperator;

/** The sample rows of a general entity, each with what the rows of kinds that stand on it add. */
final class KindRows {

    private final Design design;
    private final Map<Id, Relationship> up;
    private final UnaryOperator<Id> rootOf;
    private final Map<Id, Map<Id, Row>> byRoot = new HashMap<>();
    /** What a row of a kind has become. */
    private final Map<Id, Id> became = new HashMap<>();

    KindRows(Design design, Map<Id, Relationship> up, UnaryOperator<Id> rootOf, UnaryOperator<Id> discriminator) {
        this.design = design;
        this.up = up;
        this.rootOf = rootOf;
        for (Entity entity : design.entities()) {
            if (rootOf.apply(entity.id()).equals(entity.id())) {
                Id says = discriminator.apply(entity.id());
                var rows = new LinkedHashMap<Id, Row>();
                entity.body().rows().forEach(row -> rows.put(row.id(), row));
                boolean several = layKinds(entity.id(), says, rows);
                if (several) {
                    rows.replaceAll((id, row) -> row.value(says).isPresent() ? row : row.with(says, entity.name()));
                    byRoot.put(entity.id(), rows);
                }
            }
        }
    }

    private boolean layKinds(Id general, Id says, Map<Id, Row> rows) {
        boolean several = false;
        for (Map.Entry<Id, Relationship> each : up.entrySet()) {
            if (each.getValue().first().entity().equals(general)) {
                several = true;
                Entity special = design.entity(each.getKey()).orElseThrow(); // kinds are in the design
                EndRef end = each.getValue().ref(Side.FIRST);
                special.body().rows().forEach(row -> lay(row, special, end, says, rows));
                layKinds(special.id(), says, rows);
            }
        }
        return several;
    }

    private void lay(Row row, Entity special, EndRef end, Id says, Map<Id, Row> rows) {
        Optional<Row> base = row.reference(end)
                .filter(Row.ToRow.class::isInstance)
                .map(to -> ((Row.ToRow) to).row())
                .map(id -> rows.get(became.getOrDefault(id, id)));
        Row merged = base.orElse(row).with(says, special.name());
        for (Map.Entry<Id, String> value : row.values().entrySet()) {
            merged = merged.with(value.getKey(), value.getValue());
        }
        for (Map.Entry<EndRef, Row.Reference> reference : row.references().entrySet()) {
            merged = merged.with(reference.getKey(), Optional.of(reference.getValue()));
        }
        merged = merged.with(end, Optional.empty());
        rows.put(merged.id(), merged);
        became.put(row.id(), merged.id());
    }

    /** The rows of an entity in whose table kinds lie. */
    List<Row> of(Id root) {
        return rereferred(
                List.copyOf(byRoot.getOrDefault(rootOf.apply(root), Map.of()).values()));
    }

    /** Rows of which those that referred to a row of a kind refer to the row that it has become. */
    List<Row> rereferred(List<Row> rows) {
        return rows.stream().map(this::rereferred).toList();
    }

    private Row rereferred(Row row) {
        Row changed = row;
        for (Map.Entry<EndRef, Row.Reference> each : row.references().entrySet()) {
            if (each.getValue() instanceof Row.ToRow to && became.containsKey(to.row())) {
                Id target = became.getOrDefault(to.row(), to.row());
                changed = changed.with(each.getKey(), Optional.of(new Row.ToRow(target)));
            }
        }
        return changed;
    }
}
