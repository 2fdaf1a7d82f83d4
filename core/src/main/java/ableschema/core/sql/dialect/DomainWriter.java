package ableschema.core.sql.dialect;

import ableschema.core.schema.DomainType;
import java.util.ArrayList;
import java.util.List;

/** Writes the definition of a named type: what it holds, what it takes where nothing is given, and what its values must meet. */
record DomainWriter(Dialect dialect, DomainType domain) {

    String create(String name) {
        String base = dialect.option(domain.options(), DialectOption.TYPE).orElseGet(() -> dialect.type(domain.base()));
        String collated = dialect.option(domain.options(), DialectOption.COLLATION)
                .map(any -> " COLLATE " + dialect.delimited(any))
                .orElse("");
        String never = dialect.has(domain.options(), DialectOption.NOT_NULL) ? " NOT NULL" : "";
        return "CREATE DOMAIN " + name + " AS " + base + collated + filled() + never + checks();
    }

    private String filled() {
        return domain.defaultValue().isPresent()
                ? dialect.defaultValue(domain.defaultValue(), domain.base())
                        .map(sql -> " DEFAULT " + sql)
                        .orElse("")
                : "";
    }

    private String checks() {
        List<String> conditions = new ArrayList<>(dialect.holding(domain.base(), "VALUE", true));
        if (domain.check().isPresent() && dialect.understands(domain.check())) {
            conditions.add(new Translation(dialect, value -> domain.base(), value -> "VALUE").of(domain.check()));
        }
        String called = dialect.option(domain.options(), DialectOption.CONSTRAINT)
                .filter(any -> conditions.size() == 1)
                .map(any -> " CONSTRAINT " + dialect.quoted(any))
                .orElse("");
        var text = new StringBuilder();
        conditions.forEach(
                each -> text.append(called).append(" CHECK (").append(each).append(')'));
        return text.toString();
    }
}
