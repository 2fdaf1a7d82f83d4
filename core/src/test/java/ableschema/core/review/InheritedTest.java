package ableschema.core.review;

import static org.assertj.core.api.Assertions.assertThat;

import ableschema.core.DesignFixture;
import ableschema.core.finding.Finding;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;

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
}
