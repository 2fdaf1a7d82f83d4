package ableschema.desktop.review;

import ableschema.core.design.SetAside;
import ableschema.core.finding.Finding;
import java.util.Optional;

/** One line in the list of findings: a heading, a finding, or what was set aside. */
sealed interface Entry {

    /** @param count how many findings stand under it */
    record Heading(String label, int count) implements Entry {}

    /** @param text the sentence, without the name that the heading says already */
    record Open(Finding finding, String text) implements Entry {}

    /** @param finding what is found and not said; empty where it is found no more */
    record Aside(SetAside aside, Optional<Finding> finding) implements Entry {}
}
