package ableschema.core.edit;

import ableschema.core.design.Domain;
import ableschema.core.design.Lists;
import ableschema.core.document.Document;
import ableschema.core.document.Edit;
import java.util.List;

/** Adds a domain, or replaces the one with the same id; its name says which. */
public record PutDomain(Domain domain, String name) implements Edit {
    @Override
    public Document applyTo(Document document) {
        List<Domain> domains = document.design().domains();
        boolean known = document.design().domain(domain.id()).isPresent();
        return document.with(document.design()
                .withDomains(known ? Lists.replace(domains, Domain::id, domain) : Lists.plus(domains, domain)));
    }
}
