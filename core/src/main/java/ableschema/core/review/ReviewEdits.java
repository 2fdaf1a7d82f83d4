package ableschema.core.review;

import ableschema.core.design.Design;
import ableschema.core.design.IdSource;
import ableschema.core.design.Lists;
import ableschema.core.design.Notes;
import ableschema.core.design.SetAside;
import ableschema.core.document.Document;
import ableschema.core.document.Edit;
import ableschema.core.edit.ChangeNotes;
import ableschema.core.edit.Compound;
import ableschema.core.finding.Finding;
import ableschema.core.finding.Remedy;
import ableschema.core.mapping.Mapping;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/** Makes edits of findings: to set one aside, to take it back, and to mend several at once. */
public final class ReviewEdits {

    private ReviewEdits() {}

    public static Edit setAside(Design design, Finding finding, String reason) {
        Notes notes = design.notes();
        return new ChangeNotes(
                notes.withSetAside(Lists.plus(notes.setAside(), Aside.of(finding, reason))),
                "set aside: " + finding.rule().title().toLowerCase(Locale.ROOT));
    }

    /** Lets a finding be said again, or drops one that is found no more. */
    public static Edit takeBack(Design design, SetAside aside) {
        Notes notes = design.notes();
        return new ChangeNotes(
                notes.withSetAside(notes.setAside().stream()
                        .filter(each -> !each.equals(aside))
                        .toList()),
                "take back what was set aside");
    }

    /**
     * Mends several findings of one rule by the same remedy, as one edit; what one mending takes care of for another is not
     * mended twice.
     *
     * @param title the remedy; findings that have no such remedy stay
     */
    public static Edit mendAll(Document document, List<Finding> findings, String title, IdSource ids) {
        var edits = new ArrayList<Edit>();
        Document now = document;
        Optional<Review> review = Optional.empty();
        int reviewed = -1;
        Mapping mapping = document.mapping();
        for (Finding each : findings) {
            Optional<Remedy> remedy = each.remedies().stream()
                    .filter(one -> one.title().equals(title))
                    .findFirst();
            if (remedy.isEmpty()) {
                continue;
            }
            boolean alone = remedy.get().making() instanceof Remedy.Alone;
            if (!alone && reviewed < edits.size()) {
                reviewed = edits.size();
                mapping = now.mapping(mapping);
                Subject subject = Subject.of(now, mapping);
                review = Optional.of(review.map(before -> before.after(subject)).orElseGet(() -> Review.of(subject)));
            }
            if (alone || review.orElseThrow().open().contains(each)) {
                Edit edit = remedy.get().edit(now.design(), ids);
                edits.add(edit);
                now = edit.applyTo(now);
            }
        }
        return new Compound("mend " + edits.size() + " findings: " + title, edits);
    }
}
