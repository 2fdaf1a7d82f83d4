package ableschema.core.brief;

import ableschema.core.design.Brief;
import ableschema.core.design.Design;
import ableschema.core.design.Entity;
import ableschema.core.design.EntityKind;
import ableschema.core.design.Id;
import ableschema.core.design.IdKind;
import ableschema.core.design.IdSource;
import ableschema.core.design.Lists;
import ableschema.core.design.Question;
import ableschema.core.document.Edit;
import ableschema.core.edit.AddEntity;
import ableschema.core.edit.ChangeNotes;
import ableschema.core.edit.Compound;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;

/** Makes edits of the brief, each named as it will read in the history. */
public final class BriefEdits {

    private final Design design;
    private final IdSource ids;

    public BriefEdits(Design design, IdSource ids) {
        this.design = design;
        this.ids = ids;
    }

    private Edit change(Brief brief, String name) {
        return new ChangeNotes(design.notes().with(brief), name);
    }

    private Brief brief() {
        return design.notes().brief();
    }

    public Edit setPurpose(String purpose) {
        return change(brief().withPurpose(purpose), "say what it is for");
    }

    public Edit setTold(String told) {
        return change(brief().withTold(told), "note what was told");
    }

    public Edit ask(String text) {
        return change(brief().with(new Question(ids.next(IdKind.QUESTION), text, List.of())), "ask: " + text);
    }

    public Edit reword(Question question, String text) {
        return change(brief().with(question.withText(text)), "ask: " + text);
    }

    public Edit drop(Question question) {
        List<Question> rest = brief().questions().stream()
                .filter(q -> !q.id().equals(question.id()))
                .toList();
        return change(brief().withQuestions(rest), "no longer ask: " + question.text());
    }

    /** Names an attribute as part of the answer, or takes it out again. */
    public Edit setAnswer(Question question, Id attribute, boolean answers) {
        var all = new ArrayList<>(question.answers());
        all.remove(attribute);
        String name = design.attribute(attribute).map(a -> a.name()).orElse("?");
        return change(
                brief().with(question.withAnswers(answers ? Lists.plus(all, attribute) : all)),
                name + (answers ? " helps to answer: " : " no longer answers: ") + question.text());
    }

    /** Makes one entity of each noun, with its kind; nothing is made for nouns that the design has. */
    public Edit makeEntities(Map<String, EntityKind> nouns) {
        var edits = new ArrayList<Edit>();
        nouns.forEach((noun, kind) -> {
            String name = noun.substring(0, 1).toUpperCase(Locale.ROOT) + noun.substring(1);
            if (design.entity(name).isEmpty()) {
                Entity entity = Entity.named(ids.next(IdKind.ENTITY), name).withKind(kind);
                edits.add(new AddEntity(entity, Optional.empty()));
            }
        });
        return new Compound("make entities of " + String.join(", ", nouns.keySet()), edits);
    }
}
