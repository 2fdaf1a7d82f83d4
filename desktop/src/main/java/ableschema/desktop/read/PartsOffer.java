package ableschema.desktop.read;

import ableschema.core.document.Document;
import ableschema.core.edit.ChangeDiagrams;
import ableschema.core.edit.PartPictures;
import ableschema.desktop.workspace.Workspace;
import ableschema.diagram.layout.AutoLayout;
import java.util.Optional;

/** Offers to look at a large design in parts, and lays out a picture of each. */
public final class PartsOffer {

    private final Workspace workspace;

    public PartsOffer(Workspace workspace) {
        this.workspace = workspace;
    }

    /** What would be made, in words; empty where the design is small, or nothing tells its parts. */
    Optional<String> said() {
        return proposed().map(parts -> "Make " + parts.parts().size() + " part-pictures by " + parts.by());
    }

    private Optional<PartPictures> proposed() {
        return PartPictures.of(workspace.document(), workspace.mapping());
    }

    /** Makes the pictures as one step that can be undone; says why where there are none. */
    public void make() {
        Document document = workspace.document();
        Optional<PartPictures> parts = proposed();
        if (parts.isEmpty()) {
            workspace
                    .notices()
                    .say("part-pictures are made of designs of more than " + PartPictures.FROM
                            + " entities, by schema, by what names begin with, or by neighbourhood");
            return;
        }
        workspace
                .jobs()
                .run(
                        "laying out part-pictures",
                        progress -> laidOut(document, parts.get(), progress::done),
                        () -> workspace.document() == document,
                        workspace::apply,
                        failure -> workspace
                                .notices()
                                .complain("the pictures could not be made: " + failure.getMessage()));
    }

    private interface Progress {
        void done(long done, long all);
    }

    private static ChangeDiagrams laidOut(Document document, PartPictures parts, Progress progress) {
        ChangeDiagrams edit = parts.added(document);
        Document made = edit.applyTo(document);
        int there = document.diagrams().size();
        for (int i = there; i < edit.diagrams().size(); i++) {
            made = AutoLayout.completed(made.viewing(edit.diagrams().get(i).name()));
            progress.done(i - there + 1L, edit.diagrams().size() - (long) there);
        }
        return new ChangeDiagrams(made.diagrams(), edit.inView(), edit.name());
    }
}
