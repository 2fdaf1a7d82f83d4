package ableschema.desktop.sheet;

import ableschema.core.document.Document;
import ableschema.desktop.workspace.Jobs.Job;
import ableschema.desktop.workspace.Workspace;
import ableschema.diagram.picture.Contents;
import ableschema.diagram.picture.Picture;
import ableschema.diagram.picture.PictureDraft;
import ableschema.diagram.picture.View;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;

/** The last picture of each way to look at the design, from which the next follows; many lines are laid by a job. */
final class LaidPictures {

    private static final int LAID_AT_ONCE = 40;

    private final Workspace workspace;
    private final Runnable laidLater;
    private final Map<Looked, Picture> pictures = new HashMap<>();
    private final Map<Looked, Job> laying = new HashMap<>();

    /** A way to look at the design, of which the last picture is kept. */
    private record Looked(View view, boolean focused, String picture) {}

    /** @param laidLater done when a job has laid lines, so that the picture is drawn with them */
    LaidPictures(Workspace workspace, Runnable laidLater) {
        this.workspace = workspace;
        this.laidLater = laidLater;
    }

    /**
     * The picture as it is now; where many lines have to be laid, those that are left, until a job has laid the others.
     *
     * @param otherwise what it follows when the design is looked at in this way for the first time
     */
    Picture now(Contents contents, Picture otherwise) {
        Document document = workspace.document();
        var looked = new Looked(
                workspace.viewProperty().get(),
                workspace.selection().focusProperty().get().isPresent(),
                document.diagram().name());
        PictureDraft draft = PictureDraft.of(
                pictures.getOrDefault(looked, otherwise),
                contents,
                document.diagram().positions(),
                document.diagram().notation());
        boolean atOnce = draft.linesToLay() <= LAID_AT_ONCE;
        Picture now = atOnce ? draft.finished(laid -> {}) : draft.meanwhile();
        if (!atOnce && !isBeingLaid(looked)) {
            lay(looked, draft);
        }
        pictures.put(looked, now);
        return now;
    }

    private boolean isBeingLaid(Looked looked) {
        return Optional.ofNullable(laying.get(looked))
                .filter(workspace.jobs().running()::contains)
                .isPresent();
    }

    /** What has changed by the time when the job ends follows then. */
    private void lay(Looked looked, PictureDraft draft) {
        int lines = draft.linesToLay();
        laying.put(
                looked,
                workspace
                        .jobs()
                        .run(
                                "drawing the lines",
                                progress -> draft.finished(laid -> {
                                    if (laid % 50 == 0) {
                                        progress.done(laid, lines);
                                    }
                                }),
                                () -> true,
                                laid -> {
                                    pictures.put(looked, laid);
                                    laidLater.run();
                                },
                                failure -> workspace
                                        .notices()
                                        .complain("the lines could not be drawn: " + failure.getMessage())));
    }
}
