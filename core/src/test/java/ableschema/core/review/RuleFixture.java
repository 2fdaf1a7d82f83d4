package ableschema.core.review;

import static ableschema.core.DesignFixture.design;

import ableschema.core.DesignFixture;
import ableschema.core.finding.Finding;
import java.util.List;

/** What a rule finds in a design that is said in sentences. */
final class RuleFixture {

    private RuleFixture() {}

    static DesignFixture said(String sentences) {
        return design(sentences.split("(?<=\\.) +(?=[A-Z])"));
    }

    static List<Finding> found(DesignFixture made, String rule) {
        return made.review().open().stream()
                .filter(each -> each.rule().id().equals(rule))
                .toList();
    }

    static List<String> texts(DesignFixture made, String rule) {
        return found(made, rule).stream().map(Finding::text).toList();
    }

    static DesignFixture mended(DesignFixture made, String rule) {
        return made.with(f -> found(made, rule).get(0).remedies().get(0).edit(f.design(), f.ids()));
    }
}
