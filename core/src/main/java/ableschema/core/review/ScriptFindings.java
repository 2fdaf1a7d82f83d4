package ableschema.core.review;

import ableschema.core.design.Id;
import ableschema.core.finding.Finding;
import ableschema.core.finding.Place;
import ableschema.core.finding.Rule;
import ableschema.core.mapping.Gap;
import ableschema.core.mapping.Mapping;
import ableschema.core.schema.Part;
import ableschema.core.sql.Script;
import ableschema.core.sql.dialect.Shortfall;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** What a design says and its tables, or the chosen dialect, do not have; each stands in the script as a comment too. */
public final class ScriptFindings {

    private ScriptFindings() {}

    /** The gaps of the tables, then the shortfalls of the dialect, in the order of the script. */
    public static List<Finding> of(Mapping mapping, Script script) {
        var findings = new ArrayList<Finding>();
        for (Gap gap : mapping.gaps()) {
            findings.add(new Finding(
                    Rule.NOT_IN_TABLES, Place.of(gap.thing()), Map.of("text", gap.text()), Optional.empty()));
        }
        for (Shortfall shortfall : script.shortfalls()) {
            findings.add(new Finding(
                    Rule.NOT_IN_DIALECT,
                    Place.of(thing(mapping, shortfall.place())),
                    Map.of(
                            "dialect", shortfall.dialect(),
                            "ability", shortfall.ability().words(),
                            "remedy", shortfall.remedy()),
                    Optional.empty()));
        }
        return findings;
    }

    /** The narrowest thing that people can choose and a part comes from; {@link Place#EVERYWHERE} for the whole schema. */
    private static Id thing(Mapping mapping, Part part) {
        return mapping.trace().things(List.of(part, new Part(part.table(), Part.Kind.TABLE, ""))).stream()
                .filter(mapping.physical()::knows)
                .min(Comparator.comparing((Id id) -> id.kind()).reversed())
                .orElse(Place.EVERYWHERE);
    }
}
