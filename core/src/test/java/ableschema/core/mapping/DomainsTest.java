package ableschema.core.mapping;

import static ableschema.core.DesignFixture.design;
import static org.assertj.core.api.Assertions.assertThat;

import ableschema.core.DesignFixture;
import ableschema.core.design.Domain;
import ableschema.core.design.Pins;
import ableschema.core.edit.PutDomain;
import ableschema.core.rows.DesignScript;
import ableschema.core.sql.dialect.Dialects;
import java.util.List;
import org.junit.jupiter.api.Test;

/** Domains of a design as those of its tables: their names, and what a change of one makes anew. */
class DomainsTest {

    private static Domain pinned(Domain domain, Pins pins) {
        return new Domain(
                domain.id(),
                domain.name(),
                domain.base(),
                domain.check(),
                domain.defaultValue(),
                domain.comment(),
                pins);
    }

    private static DesignFixture domains(Pins first, Pins second) {
        DesignFixture made = design(
                "The domain Zip holds text 5.",
                "The domain Crate holds text 9.",
                "Each crate has code: domain Crate (key), [zip]: domain Zip.");
        List<Domain> all = made.design().domains();
        return made.with(new PutDomain(pinned(all.get(0), first), "pin"))
                .with(new PutDomain(pinned(all.get(1), second), "pin"));
    }

    private static List<String> domainNames(DesignFixture made) {
        return made.document().mapping().schema().domains().stream()
                .map(domain -> domain.name().toString())
                .toList();
    }

    @Test
    void domains_make_way_for_tables_and_for_pinned_names_and_say_so() {
        assertThat(domainNames(domains(Pins.NONE, Pins.NONE))).containsExactly("zip", "crate_2");
        assertThat(domainNames(domains(Pins.NONE, Pins.NONE.withName("zip")))).containsExactly("zip_2", "zip");
        assertThat(domainNames(domains(Pins.NONE, Pins.NONE.withNamespace("shop"))))
                .containsExactly("zip", "shop.crate");
        DesignFixture twice = domains(Pins.NONE.withName("d"), Pins.NONE.withName("D"));

        assertThat(domainNames(twice)).containsExactly("d", "D_2");
        assertThat(twice.gaps())
                .containsExactly("the name D is pinned for another domain too, so that this one is called D_2");
        assertThat(DesignScript.definitions(twice.document().mapping(), Dialects.POSTGRESQL)
                        .text())
                .contains(
                        "-- The name D is pinned for another domain too, so that this one is called D_2.\nCREATE DOMAIN");
        assertThat(twice.document()
                        .mapping()
                        .trace()
                        .things(List.of(twice.document()
                                .mapping()
                                .schema()
                                .domains()
                                .get(1)
                                .part())))
                .containsExactly(twice.design().domains().get(1).id());
        assertThat(twice.table("crate").columns())
                .extracting(c -> c.type().toString())
                .containsExactly("domain D_2", "domain d");
    }

    @Test
    void a_domain_that_changes_makes_only_the_tables_anew_that_have_it() {
        DesignFixture made = design(
                "The domain Zip holds text 5.",
                "Each depot has code: domain Zip (key).",
                "Each crate has no: whole (key).",
                "Each label has no: whole (key).",
                "Each crate stands in exactly one depot; each depot holds any number of crates.");
        DesignFixture changed = made.with("The domain Zip holds text 7.");
        DesignFixture renamed = changed.with(
                new PutDomain(pinned(changed.design().domains().get(0), Pins.NONE.withName("post_code")), "pin"));
        Mapping first = made.document().mapping();
        Mapping second = first.after(changed.design(), NamingRules.USUAL, false);
        Mapping third = second.after(renamed.design(), NamingRules.USUAL, false);

        assertThat(second.schema().domains().get(0).base()).hasToString("text 7");
        assertThat(third.schema().table("label").orElseThrow())
                .isSameAs(second.schema().table("label").orElseThrow())
                .isSameAs(first.schema().table("label").orElseThrow());
        assertThat(third.schema().table("depot").orElseThrow().columns().get(0).type())
                .hasToString("domain post_code");
        assertThat(third.schema()
                        .table("crate")
                        .orElseThrow()
                        .column("depot_code")
                        .orElseThrow()
                        .type())
                .as("what refers is of the same named type")
                .hasToString("domain post_code");
    }
}
