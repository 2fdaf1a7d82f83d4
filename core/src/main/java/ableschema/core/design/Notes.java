package ableschema.core.design;

import java.util.ArrayList;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * What is kept with a design beside its meaning: the brief, why choices were made, and what was said of its sentences.
 *
 * @param reasons why a thing is as it is, by what the reason is for
 * @param setAside findings that are to be said no more, as long as the same is found
 * @param answers what was answered on which the choice of keys depends, at most one answer to a question
 * @param volumes how many rows of a thing are expected
 * @param kept statements of a database that are no part of the tables, carried along
 * @param plurals plurals that the rules of English do not give, by the singular
 */
public record Notes(
        Brief brief,
        Map<Topic, String> reasons,
        List<Judgement> judgements,
        Map<String, String> plurals,
        List<SetAside> setAside,
        List<KeyAnswer> answers,
        Map<Id, Volume> volumes,
        List<Kept> kept) {

    public static final Notes NONE =
            new Notes(Brief.EMPTY, Map.of(), List.of(), Map.of(), List.of(), List.of(), Map.of(), List.of());

    public Notes {
        reasons = Collections.unmodifiableMap(new LinkedHashMap<>(reasons));
        judgements = List.copyOf(judgements);
        plurals = Collections.unmodifiableMap(new LinkedHashMap<>(plurals));
        setAside = List.copyOf(setAside);
        answers = List.copyOf(answers);
        volumes = Collections.unmodifiableMap(new LinkedHashMap<>(volumes));
        kept = List.copyOf(kept);
    }

    /** Why something is as it is; empty where nobody said. */
    public String reason(Topic topic) {
        return reasons.getOrDefault(topic, "");
    }

    /** What was said of a sentence in exactly these words. */
    public Optional<Judgement> judgement(Id about, String sentence) {
        return judgements.stream()
                .filter(j -> j.about().equals(about) && j.sentence().equals(sentence))
                .findFirst();
    }

    public Notes with(Brief brief) {
        return new Notes(brief, reasons, judgements, plurals, setAside, answers, volumes, kept);
    }

    /** Returns these notes with a reason; an empty one takes it away. */
    public Notes withReason(Topic topic, String reason) {
        var changed = new LinkedHashMap<>(reasons);
        if (reason.isEmpty()) {
            changed.remove(topic);
        } else {
            changed.put(topic, reason);
        }
        return new Notes(brief, changed, judgements, plurals, setAside, answers, volumes, kept);
    }

    /** Returns these notes with a judgement in place of what was said of that sentence before. */
    public Notes with(Judgement judgement) {
        Notes rest = withoutJudgement(judgement.about(), judgement.sentence());
        return new Notes(
                brief, reasons, Lists.plus(rest.judgements, judgement), plurals, setAside, answers, volumes, kept);
    }

    public Notes withoutJudgement(Id about, String sentence) {
        var rest = new ArrayList<>(judgements);
        rest.removeIf(j -> j.about().equals(about) && j.sentence().equals(sentence));
        return new Notes(brief, reasons, rest, plurals, setAside, answers, volumes, kept);
    }

    public Notes withPlural(String singular, String plural) {
        var changed = new LinkedHashMap<>(plurals);
        changed.put(singular, plural);
        return new Notes(brief, reasons, judgements, changed, setAside, answers, volumes, kept);
    }

    public Notes withSetAside(List<SetAside> setAside) {
        return new Notes(brief, reasons, judgements, plurals, setAside, answers, volumes, kept);
    }

    /** What was answered to a question about a thing; empty where nobody did. */
    public Optional<Boolean> answer(Id about, KeyQuestion question) {
        return answers.stream()
                .filter(each -> each.about().equals(about) && each.question() == question)
                .map(KeyAnswer::yes)
                .findFirst();
    }

    /** Whether it was said that values stay as they were given. */
    public boolean isNeverChanged(Id about) {
        return answer(about, KeyQuestion.CHANGES).filter(changes -> !changes).isPresent();
    }

    /** Returns these notes with an answer in place of what was answered before; an empty one takes it back. */
    public Notes withAnswer(Id about, KeyQuestion question, Optional<Boolean> yes) {
        var changed = new ArrayList<>(answers);
        changed.removeIf(each -> each.about().equals(about) && each.question() == question);
        yes.ifPresent(answer -> changed.add(new KeyAnswer(about, question, answer)));
        return new Notes(brief, reasons, judgements, plurals, setAside, changed, volumes, kept);
    }

    /** How many rows of a thing are expected; empty where nobody said. */
    public Optional<Volume> volume(Id of) {
        return Optional.ofNullable(volumes.get(of));
    }

    /** Returns these notes with how many rows are expected; none at all takes it back. */
    public Notes withVolume(Id of, Volume volume) {
        var changed = new LinkedHashMap<>(volumes);
        changed.remove(of);
        if (!volume.equals(Volume.NONE)) {
            changed.put(of, volume);
        }
        return new Notes(brief, reasons, judgements, plurals, setAside, answers, changed, kept);
    }

    /** Returns these notes with other statements that are carried along. */
    public Notes withKept(List<Kept> kept) {
        return new Notes(brief, reasons, judgements, plurals, setAside, answers, volumes, kept);
    }
}
