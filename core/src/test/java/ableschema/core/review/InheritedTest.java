package ableschema.core.review;

import static org.assertj.core.api.Assertions.assertThat;

import ableschema.core.DesignFixture;
import ableschema.core.edit.ChangeEntity;
import ableschema.core.finding.Finding;
import ableschema.core.finding.Remedy;
import ableschema.core.sql.dialect.Dialect;
import ableschema.core.sql.dialect.Dialects;
import ableschema.core.store.DocumentFile;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** The faults of an inherited database, each found once, and nothing false beside them. */
class InheritedTest {

    @Test
    void the_usual_faults_are_found_once_each_and_nothing_else() throws Exception {
        String[] sentences = Files.readAllLines(Path.of("src/test/resources/designs/inherited.txt")).stream()
                .filter(line -> !line.startsWith("#"))
                .toArray(String[]::new);

        assertThat(DesignFixture.design(sentences).review().open())
                .extracting(Finding::text)
                .containsExactlyInAnyOrder(
                        "Member: born is kept as text, and looks like date.",
                        "Member: password is a secret kept as plain text.",
                        "Employee: hired date is kept as text, and looks like date.",
                        "Branch: rent is an amount in an approximate type.",
                        "Tool: photo 1, photo 2, photo 3 repeat one fact.",
                        "Tool: price is an amount in an approximate type.",
                        "Loan: order is a word that PostgreSQL, MySQL, MariaDB, SQLite, SQL Server, Oracle, H2 and standard"
                                + " SQL reserve.",
                        "Return has no key.",
                        "Return is related to nothing.",
                        "Audit is related to nothing.",
                        "Repair: the default of priority is 9, but it must be between 1 and 5.",
                        "That each fine is settled by at least one payment is held by no definition.",
                        "How many enrolments may one member have?",
                        "When Supplier goes, Delivery should lose its reference, but must have one.",
                        "Certificate refers to Tool directly, and by way of Inspection too.",
                        "status is whole in Payment, and text 10 in Fine.");
    }

    /** Whatever is found anywhere, each remedy can be carried out, and the design that comes of it can be reviewed. */
    @ParameterizedTest
    @ValueSource(strings = {"../demo/alder-valley", "../demo/field-log", "src/test/resources/designs/every-feature"})
    void each_remedy_of_each_finding_can_be_carried_out(String name) throws Exception {
        DesignFixture read = DesignFixture.of(DocumentFile.read(Path.of(name + ".able.json")));
        for (Dialect dialect : Dialects.ALL) {
            DesignFixture made = read.writtenFor(dialect);
            for (Finding finding : made.review().open()) {
                for (Remedy remedy : finding.remedies()) {
                    DesignFixture mended = made.with(f -> remedy.edit(f.design(), f.ids()));
                    assertThat(mended.review().open())
                            .as("%s: %s", finding.text(), remedy.title())
                            .noneMatch(each -> each.rule() == finding.rule()
                                    && each.place().equals(finding.place())
                                    && each.facts().equals(finding.facts()));
                }
            }
        }
    }

    @Test
    void a_pairing_and_a_pinned_table_called_by_a_reserved_word_get_another_name() {
        DesignFixture made = DesignFixture.design(
                        "Each valve has no: whole (key).",
                        "Each pump has no: whole (key).",
                        "Each valve fits any number of pumps; each pump takes any number of valves (called order).")
                .with(f -> new ChangeEntity(
                        f.entity("Pump").withPins(f.entity("Pump").pins().withName("user")), "pin"));
        assertThat(made.review().open()).extracting(Finding::text).hasSize(2);
        DesignFixture mended = made;
        for (Finding each : made.review().open()) {
            mended = mended.with(f -> each.remedies().get(0).edit(f.design(), f.ids()));
        }

        assertThat(mended.review().open()).isEmpty();
        assertThat(mended.schema().tables())
                .extracting(table -> table.name())
                .containsExactlyInAnyOrder("valve", "pump_record", "order_record");
    }
}
