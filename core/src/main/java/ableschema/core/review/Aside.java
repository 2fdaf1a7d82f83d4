package ableschema.core.review;

import ableschema.core.design.KeyPart;
import ableschema.core.design.SetAside;
import ableschema.core.finding.Finding;
import java.util.List;
import java.util.stream.Stream;

/** Tells which finding was set aside: one of the same rule at the same place in which the same was found. */
public final class Aside {

    private Aside() {}

    /** Sets a finding aside. */
    public static SetAside of(Finding finding, String reason) {
        return new SetAside(finding.rule().id(), finding.place().owner(), parts(finding), finding.facts(), reason);
    }

    static boolean isOf(SetAside aside, Finding finding) {
        return aside.rule().equals(finding.rule().id())
                && aside.owner().equals(finding.place().owner())
                && aside.parts().equals(parts(finding))
                && aside.facts().equals(finding.facts());
    }

    private static List<String> parts(Finding finding) {
        return Stream.concat(
                        finding.place().row().stream().map(Object::toString),
                        finding.place().parts().stream().map(KeyPart::toString))
                .toList();
    }
}
