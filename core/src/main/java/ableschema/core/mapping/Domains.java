package ableschema.core.mapping;

import ableschema.core.design.Design;
import ableschema.core.design.Domain;
import ableschema.core.design.Entity;
import ableschema.core.design.Id;
import ableschema.core.design.Pins;
import ableschema.core.design.Relationship;
import ableschema.core.schema.DomainType;
import ableschema.core.schema.TableName;
import ableschema.core.types.DataType;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/** The named types that a design's domains become. */
final class Domains {

    static final Domains NONE = new Domains(Design.EMPTY, NamingRules.USUAL);

    private final Map<String, Names> spaces = new HashMap<>();
    private final List<Gap> gaps = new ArrayList<>();
    private final List<DomainType> types = new ArrayList<>();
    private final Map<TableName, Id> traces = new HashMap<>();
    private final Map<Id, TableName> names = new LinkedHashMap<>();

    Domains(Design design, NamingRules rules) {
        if (!design.domains().isEmpty()) {
            reserve(design, rules);
        }
        for (Domain domain : design.domains()) {
            Pins pins = domain.pins();
            String given = space(pins).pinnedOr(pins.name(), rules.style().of(domain.name()));
            if (!pins.name().isEmpty() && !given.equals(pins.name())) {
                gaps.add(new Gap(
                        Gap.Kind.PINNED_NAME,
                        domain.id(),
                        domain.id(),
                        "the name " + pins.name() + " is pinned for another domain too, so that this one is called "
                                + given));
            }
            var name = new TableName(pins.namespace(), given);
            names.put(domain.id(), name);
            traces.put(name, domain.id());
            types.add(new DomainType(
                    name,
                    domain.base().asReferenced(),
                    domain.check().map(value -> DomainType.VALUE),
                    domain.defaultValue().map(value -> DomainType.VALUE),
                    domain.comment(),
                    pins.options()));
        }
    }

    /** Keeps the names of tables free, as some databases hold types and tables in one space, and all pinned names. */
    private void reserve(Design design, NamingRules rules) {
        for (Entity entity : design.entities()) {
            space(entity.pins()).reserve(rules.table(entity, design.plural()));
            space(entity.pins()).reserve(entity.pins().name());
        }
        for (Relationship pairing : design.relationships()) {
            space(pairing.pins()).reserve(rules.table(pairing.noun(), design.plural()));
            space(pairing.pins()).reserve(pairing.pins().name());
        }
        design.domains()
                .forEach(domain -> space(domain.pins()).reserve(domain.pins().name()));
    }

    private Names space(Pins pins) {
        return spaces.computeIfAbsent(pins.namespace(), namespace -> new Names());
    }

    List<Gap> gaps() {
        return gaps;
    }

    List<DomainType> types() {
        return types;
    }

    Map<TableName, Id> traces() {
        return traces;
    }

    /** A type of the design as a type of the schema, which addresses domains by name. */
    DataType inSchema(DataType type) {
        if (type instanceof DataType.InDomain in) {
            TableName name = names.get(Id.parse(in.domain()));
            return name == null ? type : new DataType.InDomain(name.toString());
        }
        return type;
    }
}
