package ableschema.core.mapping;

import ableschema.core.design.Design;
import ableschema.core.design.Domain;
import ableschema.core.design.Id;
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

    private final List<DomainType> types = new ArrayList<>();
    private final Map<TableName, Id> traces = new HashMap<>();
    private final Map<Id, TableName> names = new LinkedHashMap<>();

    Domains(Design design, NamingRules rules) {
        var taken = new Names();
        if (!design.domains().isEmpty()) {
            // some databases keep the names of types and tables together
            design.entities().forEach(entity -> taken.reserve(rules.table(entity, design.plural())));
            design.relationships()
                    .forEach(pairing -> taken.reserve(rules.style().of(pairing.noun())));
        }
        design.domains().forEach(domain -> taken.reserve(domain.pins().name()));
        for (Domain domain : design.domains()) {
            String wanted = rules.style().of(domain.name());
            var name = new TableName(
                    domain.pins().namespace(), taken.pinnedOr(domain.pins().name(), wanted));
            names.put(domain.id(), name);
            traces.put(name, domain.id());
            types.add(new DomainType(
                    name,
                    domain.base().asReferenced(),
                    domain.check().map(value -> DomainType.VALUE),
                    domain.defaultValue().map(value -> DomainType.VALUE),
                    domain.comment(),
                    domain.pins().options()));
        }
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
